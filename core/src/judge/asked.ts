import type { MotorColumns } from '../catalogue';
import type { Outcome } from '../case';
import type { Method } from '../contract';
import { code } from './code';
import { requirements, type RequirementId } from './requirements';

/** How many columns an entry has. */
export const R = requirements.length;
const at = new Map<RequirementId, number>(requirements.map((r, i) => [r, i]));
/** Column of a requirement within an entry. */
export const columnOf = (r: RequirementId): number => at.get(r) ?? 0;

/** All outcomes and margins as columns: entry (motor × methods + method) × requirements + requirement. */
export interface Judged {
  readonly columns: MotorColumns;
  readonly methods: readonly Method[];
  readonly outcomes: Int8Array;
  readonly margins: Float64Array;
  /** Worst outcome of each motor × method, waived requirements left out. */
  readonly worst: Int8Array;
  readonly lifeCycle: Float64Array;
  /** What entries of the same outcome are ranked by, least first; for failing ones, how far they are off. */
  readonly rank: Float64Array;
  /** The best entry (motor × methods + method) of each motor, best first. */
  readonly order: Int32Array;
}

export const outcomeOf = (n: number): Outcome => (n >= code.fail ? 'fail' : n === code.caution ? 'caution' : 'pass');

/** Outcome and margin of one requirement for an entry; undefined where it does not apply. */
export function entryVerdict(
  judged: Judged,
  entry: number,
  requirement: RequirementId,
): { readonly outcome: Outcome; readonly margin: number } | undefined {
  const index = entry * R + columnOf(requirement);
  const outcome = judged.outcomes[index] ?? code.none;
  return outcome === code.none ? undefined : { outcome: outcomeOf(outcome), margin: judged.margins[index] ?? 0 };
}
