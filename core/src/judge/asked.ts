import type { MotorColumns } from '../catalogue';
import type { Outcome } from '../case';
import type { Method } from '../contract';
import type { RemedyKind } from '../practice';
import { code } from './code';
import type { Bench } from './requirement';
import { asked, requirements, type RequirementId } from './requirements';

/** How many columns an entry has. */
export const R = requirements.length;
const at = new Map<RequirementId, number>(requirements.map((r, i) => [r, i]));
/** Column of a requirement within an entry. */
export const columnOf = (r: RequirementId): number => at.get(r) ?? 0;

/** All outcomes and margins as columns: entry (motor × methods + method) × requirements + requirement. */
export interface Judged {
  readonly bench: Bench;
  readonly columns: MotorColumns;
  readonly methods: readonly Method[];
  readonly outcomes: Int8Array;
  readonly margins: Float64Array;
  /** What makes a verdict pass that would not by itself: `answer` codes, remedies by number from 2 on. */
  readonly answers: Int8Array;
  /** Worst outcome of each motor × method, waived requirements left out. */
  readonly worst: Int8Array;
  /** Cautions that neither remedy nor condition answers, and conditions, of each motor × method. */
  readonly open: Int8Array;
  readonly conditions: Int8Array;
  /** Price index of motor, starter and remedies. */
  readonly price: Float64Array;
  readonly lifeCycle: Float64Array;
  /** What entries are ranked by, least first: failing ones by how far they are off. */
  readonly rank: Float64Array;
  /** 1 where the start was simulated. */
  readonly simulated: Uint8Array;
  /** The best entry (motor × methods + method) of each motor, best first. */
  order: Int32Array;
  /** How many starts were simulated to find the first. */
  runs: number;
  /** How the first was found among those that cost the same. */
  tie: Tie | undefined;
}

/** Candidates that count as equal to the cheapest, and what decided between them. */
export interface Tie {
  readonly cheapest: number;
  readonly count: number;
  readonly by: string;
}

/** Answers of a verdict: none, a condition, or a remedy counted from `remedy` on. */
export const answer = { none: 0, condition: 1, remedy: 2 } as const;

export const outcomeOf = (n: number): Outcome => (n >= code.fail ? 'fail' : n === code.caution ? 'caution' : 'pass');

/** The first method that is no drive: what is the same by all of these is judged for it. */
export const firstOnLine = (methods: readonly Method[]): number => methods.findIndex((method) => method !== 'drive');

/** Where the verdict on an entry stands in the columns: what is the same by several methods stands at the first. */
export function placeOf({ methods }: Pick<Judged, 'methods'>, entry: number, requirement: RequirementId): number {
  const m = entry % methods.length;
  const column = columnOf(requirement);
  const on = asked[column]?.of;
  const at = on === 'motor' ? 0 : on === 'line' && methods[m] !== 'drive' ? firstOnLine(methods) : m;
  return (entry - m + at) * R + column;
}

/** Outcome and margin of one requirement for an entry; undefined where it does not apply. */
export function entryVerdict(
  judged: Judged,
  entry: number,
  requirement: RequirementId,
):
  | { readonly outcome: Outcome; readonly margin: number; readonly answered: 'remedy' | 'condition' | undefined }
  | undefined {
  const index = placeOf(judged, entry, requirement);
  const outcome = judged.outcomes[index] ?? code.none;
  const answered = judged.answers[index] ?? answer.none;
  return outcome === code.none
    ? undefined
    : {
        outcome: outcomeOf(outcome),
        margin: judged.margins[index] ?? 0,
        answered: answered === answer.none ? undefined : answered === answer.condition ? 'condition' : 'remedy',
      };
}

/** The remedy of a verdict, by its number. */
export const remedyNamed = (kinds: readonly RemedyKind[], answered: number): RemedyKind | undefined =>
  kinds[answered - answer.remedy];
