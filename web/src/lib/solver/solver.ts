import {
  bestFifty,
  explainMotor,
  findSettings,
  flowBenchOf,
  firstCyclesOf,
  keep,
  nameplate,
  operateAt,
  poleOptions,
  previewStart,
  readDraft,
  readingSchema,
  screenRows,
  solveWith,
  tellCondition,
  whatWouldChange,
  type Candidate,
  type CaseError,
  type Combination,
  type Change,
  type ConditionTold,
  type FirstCyclesView,
  type FlowBenchOf,
  type FoundSetting,
  type Kept,
  type Method,
  type Motor,
  type MotorReading,
  type OperatingView,
  type PoleOption,
  type Result,
  type ScreenQuery,
  type ScreenRow,
  type Screening,
  type Solved,
  type Starting,
  type StartPreview,
} from '@pilgrim/core';
import { readLog, type LogFile, type LogQuestion } from '$lib/files/log';

export interface DraftAnswer {
  readonly result: Result | null;
  readonly errors: readonly CaseError[];
}

/** A round judged; what of it cannot be, by its fields. */
export interface ConditionAnswer {
  readonly told: ConditionTold | null;
  readonly errors: readonly CaseError[];
}

export interface RowsAnswer {
  readonly total: number;
  readonly rows: readonly ScreenRow[];
}

/** Candidates put into words at every keystroke; the table asks the judged columns. */
const toldWhileTyping = 12;

/** Solves of the first draft repeated while nobody asks: by then the engine has compiled what every edit runs. */
const warmingSolves = 10;

let shelf: readonly nameplate.ShelfEntry[] = [];
let ownNames: readonly string[] = [];
/** The plant's own; undefined: those that ship. */
let combinations: readonly Combination[] | undefined;
const shelfMotors = new Map<string, readonly Motor[]>();
let screening: Screening | null = null;
let starting: Starting | null = null;

function motorsFor(practice: 'north-america' | 'iec'): readonly Motor[] {
  const motors =
    shelfMotors.get(practice) ?? nameplate.spareOf(nameplate.shelfMotors(shelf, practice).motors, ownNames);
  shelfMotors.set(practice, motors);
  return motors;
}

let warmed = false;

/** Repeats a solve between questions, so that the first edits are as quick as the later ones. */
function warmUp(input: unknown, left = warmingSolves): void {
  warmed = true;
  if (left === 0) return;
  setTimeout(() => {
    solveDraft(input);
    warmUp(input, left - 1);
  }, 5);
}

function solveDraft(input: unknown): { readonly errors: readonly CaseError[]; readonly solved: Solved | null } {
  const { value, errors } = readDraft(input);
  return { errors, solved: value ? solveWith(value, motorsFor(value.practice), toldWhileTyping, combinations) : null };
}

/** What the worker answers; it keeps the newest draft's judged columns and start between questions. */
export const solver = {
  /** Solves what can be read of a case being typed, and says what cannot. */
  draft(input: unknown): DraftAnswer {
    const { errors, solved } = solveDraft(input);
    if (!solved) return { result: null, errors };
    screening = solved.screening;
    starting = solved.starting;
    if (!warmed) warmUp(input);
    return { result: solved.result, errors };
  },
  /** The motors of the own shelf, judged beside the catalogue's, and the names of the position that asks. */
  shelf(entries: readonly nameplate.ShelfEntry[], own: readonly string[], tested: readonly Combination[]): void {
    shelf = entries;
    ownNames = own;
    combinations = tested.length > 0 ? tested : undefined;
    shelfMotors.clear();
  },
  /** A stretch of all motors as the newest draft judged them. */
  rows(query: ScreenQuery, from: number, count: number): RowsAnswer {
    if (!screening) return { total: 0, rows: [] };
    const rows = screenRows(screening, query);
    return { total: rows.length, rows: rows.slice(from, from + count) };
  },
  /** Motors of the newest draft in words, by their ids; those it does not judge are left out. */
  explain(ids: readonly string[]): readonly Candidate[] {
    const of = screening;
    return of ? ids.flatMap((id) => explainMotor(of, id) ?? []) : [];
  },
  /** The same machine on another number of poles. */
  poles(): readonly PoleOption[] {
    return screening ? poleOptions(screening) : [];
  },
  /** At which ambient, load, hours, price and static head the first choice changes. Takes about a second. */
  changes(input: unknown): readonly Change[] {
    const { value } = readDraft(input);
    const solved = value && solveWith(value, motorsFor(value.practice));
    return solved?.screening && solved.result.choice ? whatWouldChange(solved.screening) : [];
  },
  /** What a revision would keep of a case. */
  kept(input: unknown): Kept | null {
    const { value } = readDraft(input);
    return value ? keep(solveWith(value, motorsFor(value.practice), bestFifty, combinations).result) : null;
  },
  /** One starting method of the newest draft's subject, with the settings of another draft. */
  preview(input: unknown, method: Method): StartPreview | null {
    return starting && previewStart(starting, method, readDraft(input).value?.start);
  },
  /** Settings of every method found by simulating starts. */
  settings: (): readonly FoundSetting[] => (starting ? findSettings(starting) : []),
  /** The electromagnetic transient of switching on, or of the change to delta. */
  cycles: (method: 'direct' | 'star-delta'): FirstCyclesView | null => starting && firstCyclesOf(starting, method),
  /** The subject's motor at a voltage, frequency and share of rated torque. */
  operate: (voltage: number, frequency: number, load: number): OperatingView | null =>
    starting && operateAt(starting, voltage, frequency, load),
  /** Reads a block of text from a plate into fields, and says what was not understood. */
  plateText: (text: string): nameplate.PlateText => nameplate.readPlateText(text),
  /** The machine of a case as two of them stand on the bench; null where it has none. */
  flowBench(input: unknown): FlowBenchOf | null {
    const { solved } = solveDraft(input);
    return solved && flowBenchOf(solved);
  },
  /** What a round's readings mean, against the plate of a case and the rounds before it. */
  condition(input: unknown, round: unknown, rounds: readonly MotorReading[]): ConditionAnswer {
    const { value } = readDraft(input);
    const read = readingSchema.safeParse(round);
    const errors = read.success
      ? []
      : read.error.issues.map((i) => ({ path: `reading.${i.path.map(String).join('.')}`, message: i.message }));
    return { told: value && read.success ? tellCondition(value, read.data, rounds) : null, errors };
  },
  /** Reads a logger's file into the hours of a year. */
  log: (bytes: Uint8Array, question: LogQuestion): LogFile => readLog(bytes, question),
};

export type Solver = typeof solver;
