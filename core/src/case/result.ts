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
  }),
});
