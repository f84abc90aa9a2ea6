import { z } from 'zod';
import type { Figure, Finding, Method, StationName } from '../law';
import type { CaseError } from './read';

export type Outcome = 'pass' | 'caution' | 'fail';

/** Never a bare yes or no: how much is left (a share, 0 is just enough), one sentence, and the figures it rests on. */
export interface Verdict {
  readonly requirement: string;
  readonly outcome: Outcome;
  readonly margin: number | null;
  readonly text: string;
  readonly figures: readonly string[];
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

export interface Result {
  readonly format: 'pilgrim.result/1';
  readonly core: string;
  readonly name: string | null;
  readonly practice: string;
  readonly figures: Readonly<Record<string, Figure>>;
  readonly findings: readonly Finding[];
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
const verdict = z.strictObject({
  requirement: z.string(),
  outcome,
  margin: z.number().nullable(),
  text: z.string(),
  figures: z.array(z.string()),
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
    }),
  ),
  counts: z.strictObject({ motors: z.int(), pass: z.int(), caution: z.int(), fail: z.int() }),
  candidates: z
    .array(
      z.strictObject({
        motor,
        method: z.string(),
        control,
        outcome,
        verdicts: z.array(verdict),
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
