import { z } from 'zod';
import type { Fact, Figure, Finding, Method, StationName } from '../law';
import type { CaseError } from './read';

export type Outcome = 'pass' | 'caution' | 'fail';

/** Never a bare yes or no: how much is left (a share, 0 is just enough), one sentence, and the figures it rests on. */
export interface Verdict {
  readonly requirement: string;
  readonly outcome: Outcome;
  readonly margin: number | null;
  readonly text: string;
  readonly figures: readonly string[];
  /** Why the engineer let this requirement not count; null where it counts. */
  readonly waived: string | null;
}

/** Where a motor of the own shelf lies. */
export interface StockView {
  readonly quantity: number;
  readonly place: string;
  readonly assumed: readonly string[];
}

export interface CandidateMotor {
  readonly id: string;
  readonly name: string;
  readonly power: string;
  readonly speed: string;
  readonly voltage: string;
  readonly current: string;
  readonly efficiency: number;
  readonly frame: string | null;
  readonly enclosure: string;
  readonly poles: number;
  readonly construction: string;
  readonly designLetter: string;
  readonly serviceFactor: number;
  /** kg, and sound power level in dB(A). */
  readonly mass: number;
  readonly sound: number;
  readonly stock: StockView | null;
}

/** An enclosure class for this place. */
export interface EnclosureView {
  readonly kind: string;
  readonly words: string;
  readonly protection: string;
  readonly cooling: string;
  readonly construction: string;
  readonly suits: boolean;
  readonly cheapest: boolean;
  readonly text: string;
}

export interface Control {
  readonly name: string;
  readonly ratedCurrent: number | null;
}

export interface CandidateCost {
  readonly priceIndex: number;
  readonly lifeCycle: number;
  /** What life-cycle cost had to assume. */
  readonly assumed: readonly string[];
}

export interface Candidate {
  readonly motor: CandidateMotor;
  readonly method: Method;
  readonly control: Control;
  readonly outcome: Outcome;
  readonly verdicts: readonly Verdict[];
  /** The least that would have to change for it to be admitted; null where nothing fails. */
  readonly change: string | null;
  readonly cost: CandidateCost;
}

export interface MethodVerdict {
  readonly method: Method;
  readonly outcome: Outcome;
  readonly verdicts: readonly Verdict[];
}

export interface Choice {
  readonly motor: CandidateMotor;
  readonly method: Method;
  readonly control: Control;
  readonly outcome: Outcome;
  readonly reasons: readonly string[];
}

export type StationState = 'empty' | 'enough' | 'caution' | 'stop';

/** What the way shows of a station: its state, its one key figure in words, and the fields it still wants. */
export interface StationSummary {
  readonly state: StationState;
  readonly key: string;
  readonly wanted: readonly string[];
}

export interface RuleUsed {
  readonly id: string;
  readonly title: string;
  readonly value: string;
  readonly own: boolean;
  readonly reason: string;
}

/** One setting of a starter, with the field of the case it stands in. `assumed` says why, where nobody gave it. */
export interface StartSetting {
  readonly path: string;
  readonly label: string;
  readonly value: number | string;
  readonly text: string;
  readonly assumed: string | null;
}

/** How one method starts this load on this supply. A, N·m, s, r/min; shares as numbers. Null: not simulated. */
export interface StartRow {
  readonly method: Method;
  readonly outcome: Outcome;
  /** One sentence: why it will do, or why not. */
  readonly text: string;
  readonly settings: readonly StartSetting[];
  readonly events: readonly { readonly time: number; readonly speed: number; readonly text: string }[];
  readonly run: {
    readonly ending: 'running' | 'stalled' | 'crawling' | 'unfinished';
    readonly peakCurrent: number;
    readonly motorCurrent: number;
    readonly changeoverCurrent: number | null;
    /** Null where the source is not described. */
    readonly dip: number | null;
    readonly time: number | null;
    readonly margin: number;
    readonly marginSpeed: number;
    readonly thermalUse: number;
    /** Largest sudden step of torque ÷ rated torque. */
    readonly jolt: number;
    readonly endSpeed: number;
  } | null;
  readonly leads: number;
  readonly parts: string;
  readonly whenOff: string;
  readonly speedControl: boolean;
  /** Invented price index of the starter. */
  readonly costIndex: number;
}

/** A value the circuit was fitted to, and what it gives. */
export interface MetView {
  readonly label: string;
  readonly wanted: number;
  readonly got: number;
  readonly unit: string;
  readonly deviation: number;
  readonly met: boolean;
}

/** The machine's circuit and what follows from it. Ω, W, A. */
export interface MachineView {
  readonly name: string;
  readonly origin: 'given' | 'fitted';
  readonly voltage: number;
  readonly frequency: number;
  readonly parameters: readonly { readonly symbol: string; readonly label: string; readonly text: string }[];
  readonly met: readonly MetView[];
  /** Why the data cannot belong to one machine; null where they can. */
  readonly reason: string | null;
  readonly assumed: readonly string[];
  readonly partLoad: readonly {
    readonly load: number;
    readonly speed: number;
    readonly current: number;
    readonly powerFactor: number;
    readonly efficiency: number;
    readonly input: number;
  }[];
  readonly losses: readonly { readonly label: string; readonly value: number }[];
}

export interface StartView {
  readonly rows: readonly StartRow[];
  readonly recommended: { readonly method: Method; readonly reasons: readonly string[] } | null;
  readonly machine: MachineView;
}

/** Columns over time of the subject's start, and torque and current over speed of every method. */
export interface StartCurves {
  readonly method: Method;
  readonly time: readonly number[];
  readonly speed: readonly number[];
  readonly line: readonly number[];
  readonly torque: readonly number[];
  readonly load: readonly number[];
  readonly bus: readonly number[];
  readonly heat: readonly number[];
  readonly loadSpeed: readonly (readonly [number, number])[];
  readonly methods: readonly {
    readonly method: Method;
    readonly speed: readonly number[];
    readonly torque: readonly number[];
    readonly current: readonly number[];
  }[];
}

export interface ProfilePoint {
  readonly hours: number;
  readonly flow: number;
  readonly oldInput: number;
  readonly newInput: number;
}

export interface Curves {
  /** Torque in N·m against r/min at the motor shaft. */
  readonly torqueSpeed: {
    readonly load: readonly (readonly [number, number])[];
    readonly motor: readonly (readonly [number, number])[];
  } | null;
  /** Input in kW against flow ratio, old and new way of control, and the year's rows. */
  readonly flow: {
    readonly old: readonly (readonly [number, number])[];
    readonly new: readonly (readonly [number, number])[];
    readonly rows: readonly ProfilePoint[];
  } | null;
  readonly start: StartCurves | null;
}

/** How one line of the old plate compares with its replacement. */
export type Likeness = 'same' | 'better' | 'adaptable' | 'impossible' | 'unknown';

export interface ReplacementLine {
  readonly item: string;
  readonly likeness: Likeness;
  readonly old: string;
  readonly new: string;
  /** What it means, or what adapting needs. */
  readonly text: string;
}

export interface Replacement {
  readonly kind: 'choice' | 'catalogue' | 'plate';
  readonly name: string;
  readonly likeness: Likeness;
  readonly lines: readonly ReplacementLine[];
}

/** A cause of the failure, with what speaks for and against it. */
export interface LikelyCause {
  readonly cause: string;
  readonly title: string;
  readonly likelihood: 'likely' | 'possible' | 'unlikely';
  readonly reasons: readonly string[];
  readonly remedy: string;
}

/** What the new choice must do differently: judged for every candidate under this requirement. */
export interface LessonView {
  readonly requirement: string;
  readonly cause: string;
  readonly text: string;
}

export interface FailureHistory {
  readonly causes: readonly LikelyCause[];
  readonly lessons: readonly LessonView[];
}

export interface Result {
  readonly format: 'pilgrim.result/1';
  readonly core: string;
  readonly name: string | null;
  readonly practice: string;
  readonly figures: Readonly<Record<string, Figure>>;
  readonly findings: readonly Finding[];
  readonly facts: readonly Fact[];
  readonly enclosures: readonly EnclosureView[];
  readonly history: FailureHistory | null;
  readonly replacement: Replacement | null;
  readonly counts: { readonly motors: number; readonly pass: number; readonly caution: number; readonly fail: number };
  readonly candidates: readonly Candidate[];
  readonly methods: readonly MethodVerdict[];
  readonly choice: Choice | null;
  readonly subject: {
    readonly kind: 'pinned' | 'choice' | 'plate';
    readonly name: string;
    readonly method: Method | null;
  } | null;
  readonly stations: Readonly<Record<StationName, StationSummary>>;
  readonly rules: readonly RuleUsed[];
  readonly curves: Curves;
  readonly start: StartView | null;
}

export interface Errors {
  readonly format: 'pilgrim.errors/1';
  readonly errors: readonly CaseError[];
}

const source = z.strictObject({
  kind: z.enum([
    'standard',
    'code',
    'textbook',
    'common-practice',
    'definition',
    'given',
    'catalogue',
    'house-rule',
    'model',
  ]),
  title: z.string(),
  edition: z.string().optional(),
  part: z.string().optional(),
  fromMemory: z.boolean(),
});
const outcome = z.enum(['pass', 'caution', 'fail']);
const likeness = z.enum(['same', 'better', 'adaptable', 'impossible', 'unknown']);
const verdict = z.strictObject({
  requirement: z.string(),
  outcome,
  margin: z.number().nullable(),
  text: z.string(),
  figures: z.array(z.string()),
  waived: z.string().nullable().default(null),
});
const motor = z.strictObject({
  id: z.string(),
  name: z.string(),
  power: z.string(),
  speed: z.string(),
  voltage: z.string(),
  current: z.string(),
  efficiency: z.number(),
  frame: z.string().nullable(),
  enclosure: z.string(),
  poles: z.int().default(4),
  construction: z.string().default(''),
  designLetter: z.string().default(''),
  serviceFactor: z.number().default(1),
  mass: z.number().default(0),
  sound: z.number().default(0),
  stock: z
    .strictObject({ quantity: z.number(), place: z.string(), assumed: z.array(z.string()) })
    .nullable()
    .default(null),
});
const enclosure = z.strictObject({
  kind: z.string(),
  words: z.string(),
  protection: z.string(),
  cooling: z.string(),
  construction: z.string(),
  suits: z.boolean(),
  cheapest: z.boolean(),
  text: z.string(),
});
const control = z.strictObject({ name: z.string(), ratedCurrent: z.number().nullable() });
const pair = z.tuple([z.number(), z.number()]);
const profilePoint = z.strictObject({
  hours: z.number(),
  flow: z.number(),
  oldInput: z.number(),
  newInput: z.number(),
});

const numbers = z.array(z.number());
const startRow = z.strictObject({
  method: z.string(),
  outcome,
  text: z.string(),
  settings: z.array(
    z.strictObject({
      path: z.string(),
      label: z.string(),
      value: z.union([z.number(), z.string()]),
      text: z.string(),
      assumed: z.string().nullable(),
    }),
  ),
  events: z.array(z.strictObject({ time: z.number(), speed: z.number(), text: z.string() })),
  run: z
    .strictObject({
      ending: z.enum(['running', 'stalled', 'crawling', 'unfinished']),
      peakCurrent: z.number(),
      motorCurrent: z.number(),
      changeoverCurrent: z.number().nullable(),
      dip: z.number().nullable(),
      time: z.number().nullable(),
      margin: z.number(),
      marginSpeed: z.number(),
      thermalUse: z.number(),
      jolt: z.number(),
      endSpeed: z.number(),
    })
    .nullable(),
  leads: z.number(),
  parts: z.string(),
  whenOff: z.string(),
  speedControl: z.boolean(),
  costIndex: z.number(),
});
const startView = z.strictObject({
  rows: z.array(startRow),
  recommended: z.strictObject({ method: z.string(), reasons: z.array(z.string()) }).nullable(),
  machine: z.strictObject({
    name: z.string(),
    origin: z.enum(['given', 'fitted']),
    voltage: z.number(),
    frequency: z.number(),
    parameters: z.array(z.strictObject({ symbol: z.string(), label: z.string(), text: z.string() })),
    met: z.array(
      z.strictObject({
        label: z.string(),
        wanted: z.number(),
        got: z.number(),
        unit: z.string(),
        deviation: z.number(),
        met: z.boolean(),
      }),
    ),
    reason: z.string().nullable(),
    assumed: z.array(z.string()),
    partLoad: z.array(
      z.strictObject({
        load: z.number(),
        speed: z.number(),
        current: z.number(),
        powerFactor: z.number(),
        efficiency: z.number(),
        input: z.number(),
      }),
    ),
    losses: z.array(z.strictObject({ label: z.string(), value: z.number() })),
  }),
});
const startCurves = z.strictObject({
  method: z.string(),
  time: numbers,
  speed: numbers,
  line: numbers,
  torque: numbers,
  load: numbers,
  bus: numbers,
  heat: numbers,
  loadSpeed: z.array(pair),
  methods: z.array(z.strictObject({ method: z.string(), speed: numbers, torque: numbers, current: numbers })),
});

/** `pilgrim.result/1`, for the published JSON Schema and for reading results back. */
export const resultSchema = z.strictObject({
  format: z.literal('pilgrim.result/1'),
  core: z.string(),
  name: z.string().nullable(),
  practice: z.string(),
  figures: z.record(
    z.string(),
    z.strictObject({
      value: z.number(),
      unit: z.string(),
      text: z.string(),
      symbol: z.string(),
      formula: z.string(),
      inputs: z.record(z.string(), z.union([z.string(), z.number()])),
      origins: z.record(
        z.string(),
        z.strictObject({
          field: z.string().optional(),
          rule: z.string().optional(),
          source: source.optional(),
          text: z.string(),
        }),
      ),
      source,
      estimate: z.boolean(),
      band: pair.nullable(),
      assumed: z.array(
        z.strictObject({ field: z.string(), value: z.union([z.string(), z.number()]), why: z.string() }),
      ),
      station: z.string(),
    }),
  ),
  findings: z.array(
    z.strictObject({
      id: z.string(),
      level: z.enum(['stop', 'caution', 'note']),
      text: z.string(),
      fields: z.array(z.string()),
      figures: z.array(z.string()),
      source: source.nullable(),
      station: z.string(),
      // Results kept before these were told have none.
      doubt: z.boolean().default(false),
      suggestions: z
        .array(z.strictObject({ field: z.string(), value: z.union([z.string(), z.number()]), why: z.string() }))
        .default([]),
      accepted: z.string().nullable().default(null),
    }),
  ),
  enclosures: z.array(enclosure).default([]),
  facts: z
    .array(
      z.strictObject({
        id: z.string(),
        label: z.string(),
        text: z.string(),
        fields: z.array(z.string()),
        figures: z.array(z.string()),
        source,
        estimate: z.boolean(),
        station: z.string(),
      }),
    )
    .default([]),
  history: z
    .strictObject({
      causes: z.array(
        z.strictObject({
          cause: z.string(),
          title: z.string(),
          likelihood: z.enum(['likely', 'possible', 'unlikely']),
          reasons: z.array(z.string()),
          remedy: z.string(),
        }),
      ),
      lessons: z.array(z.strictObject({ requirement: z.string(), cause: z.string(), text: z.string() })),
    })
    .nullable()
    .default(null),
  replacement: z
    .strictObject({
      kind: z.enum(['choice', 'catalogue', 'plate']),
      name: z.string(),
      likeness,
      lines: z.array(
        z.strictObject({ item: z.string(), likeness, old: z.string(), new: z.string(), text: z.string() }),
      ),
    })
    .nullable()
    .default(null),
  counts: z.strictObject({ motors: z.int(), pass: z.int(), caution: z.int(), fail: z.int() }),
  candidates: z
    .array(
      z.strictObject({
        motor,
        method: z.string(),
        control,
        outcome,
        verdicts: z.array(verdict),
        change: z.string().nullable().default(null),
        cost: z.strictObject({ priceIndex: z.number(), lifeCycle: z.number(), assumed: z.array(z.string()) }),
      }),
    )
    .max(50),
  methods: z.array(z.strictObject({ method: z.string(), outcome, verdicts: z.array(verdict) })),
  choice: z.strictObject({ motor, method: z.string(), control, outcome, reasons: z.array(z.string()) }).nullable(),
  subject: z
    .strictObject({ kind: z.enum(['pinned', 'choice', 'plate']), name: z.string(), method: z.string().nullable() })
    .nullable(),
  stations: z.record(
    z.string(),
    z.strictObject({
      state: z.enum(['empty', 'enough', 'caution', 'stop']),
      key: z.string(),
      wanted: z.array(z.string()),
    }),
  ),
  rules: z.array(
    z.strictObject({ id: z.string(), title: z.string(), value: z.string(), own: z.boolean(), reason: z.string() }),
  ),
  curves: z.strictObject({
    torqueSpeed: z.strictObject({ load: z.array(pair), motor: z.array(pair) }).nullable(),
    flow: z.strictObject({ old: z.array(pair), new: z.array(pair), rows: z.array(profilePoint) }).nullable(),
    start: startCurves.nullable().default(null),
  }),
  start: startView.nullable().default(null),
});
