import type {
  Candidate,
  Change,
  FirstCyclesView,
  FlowBenchOf,
  FoundSetting,
  Kept,
  Method,
  MotorReading,
  nameplate,
  OperatingView,
  PoleOption,
  ScreenQuery,
  StartPreview,
} from '@pilgrim/core';
import { wrap, type Remote } from 'comlink';
import type { LogFile, LogQuestion } from '$lib/files/log';
import type { ConditionAnswer, DraftAnswer, RowsAnswer, Solver } from './solver';

export type { DraftAnswer } from './solver';

const made = new Map<'typing' | 'aside', Remote<Solver>>();

/** The worker that answers typing, and one aside for what takes longer. */
function solver(of: 'typing' | 'aside' = 'typing'): Remote<Solver> {
  const known = made.get(of) ?? wrap<Solver>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  made.set(of, known);
  return known;
}

let shelf: Parameters<Solver['shelf']> = [[], [], []];

/** Hands the own shelf's motors to the worker, the names of the position that asks, and the own combinations. */
export async function bringShelf(...brought: Parameters<Solver['shelf']>): Promise<void> {
  shelf = brought;
  await solver().shelf(...shelf);
}

/** Reads a block of text from a plate, in the worker. */
export const readPlateText = (text: string): Promise<nameplate.PlateText> => solver().plateText(text);

export const screenedRows = (query: ScreenQuery, from: number, count: number): Promise<RowsAnswer> =>
  solver().rows({ ...query, outcomes: [...query.outcomes] }, from, count);

export const explained = (ids: readonly string[]): Promise<readonly Candidate[]> => solver().explain([...ids]);

export const otherPoles = (): Promise<readonly PoleOption[]> => solver().poles();

/** A starting method with the settings of a draft, simulated at once. */
export const startPreview = (draft: unknown, method: Method): Promise<StartPreview | null> =>
  solver().preview(draft, method);

export const foundSettings = (): Promise<readonly FoundSetting[]> => solver().settings();

export const firstCycles = (method: 'direct' | 'star-delta'): Promise<FirstCyclesView | null> =>
  solver().cycles(method);

export const operatingPoint = (voltage: number, frequency: number, load: number): Promise<OperatingView | null> =>
  solver().operate(voltage, frequency, load);

/** The machine of a draft as two of them stand on the bench. */
export const flowBench = (draft: unknown): Promise<FlowBenchOf | null> => solver().flowBench(draft);

/** What a round means, aside from the case being typed. */
export const roundTold = (draft: unknown, round: unknown, rounds: readonly MotorReading[]): Promise<ConditionAnswer> =>
  solver().condition(draft, round, rounds);

/** What a revision would keep of a case, solved now; aside. Null where it cannot be read. */
export async function solvedNow(given: unknown): Promise<Kept | null> {
  await solver('aside').shelf(...shelf);
  return solver('aside').kept(given);
}

/** What would change the first choice of a draft; aside, so that typing goes on. */
export async function wouldChange(draft: unknown): Promise<readonly Change[]> {
  await solver('aside').shelf(...shelf);
  return solver('aside').changes(draft);
}

export const readLogFile = (bytes: Uint8Array, question: LogQuestion): Promise<LogFile> =>
  solver('aside').log(bytes, question);

/** Solves drafts in the worker, always the newest: one in work, one waiting, older ones dropped. */
export class LatestSolver {
  #waiting: unknown;
  #hasWaiting = false;
  #busy = false;

  constructor(private readonly answer: (answer: DraftAnswer) => void) {}

  ask(draft: unknown): void {
    this.#waiting = draft;
    this.#hasWaiting = true;
    if (!this.#busy) void this.#work();
  }

  async #work(): Promise<void> {
    this.#busy = true;
    try {
      while (this.#hasWaiting) {
        this.#hasWaiting = false;
        const answer = await solver().draft(this.#waiting);
        if (!this.#hasWaiting) this.answer(answer);
      }
    } finally {
      this.#busy = false;
    }
  }
}
