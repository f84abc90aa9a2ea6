import type { MotorColumns } from '../catalogue';
import type { Outcome } from '../case';
import type { Method } from '../contract';
import type { RemedyKind } from '../practice';
import { code } from './code';
import type { Needs } from '../needs';
import type { Bench } from './requirement';
import { asked, requirements, type RequirementId } from './requirements';

/** How many columns an entry has. */
export const R = requirements.length;
const at = new Map<RequirementId, number>(requirements.map((r, i) => [r, i]));
/** Column of a requirement within an entry. */
export const columnOf = (r: RequirementId): number => at.get(r) ?? 0;

/** All outcomes and margins as columns: motor × stride + place; the rest by entry (motor × methods + method). */
export interface Judged {
  readonly bench: Bench;
  readonly columns: MotorColumns;
  readonly methods: readonly Method[];
  readonly places: Places;
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

/** Where verdicts stand among those of one motor; what is the same by several methods stands once. */
export interface Places {
  /** How many verdicts one motor has. */
  readonly stride: number;
  /** Place by method × requirements + requirement; -1 where these needs do not ask it. */
  readonly of: Int32Array;
}

/** Places for the verdicts that these needs ask, by method. */
export function placesOf(needs: Needs, methods: readonly Method[]): Places {
  const of = new Int32Array(methods.length * R).fill(-1);
  const [first, none] = [firstOnLine(methods), -1];
  let stride = 0;
  for (const [m, method] of methods.entries())
    for (const [column, r] of asked.entries()) {
      if (!r.applies(needs)) continue;
      const other = r.of === 'motor' && m > 0 ? 0 : r.of === 'line' && method !== 'drive' && m !== first ? first : none;
      of[m * R + column] = other === none ? stride++ : (of[other * R + column] ?? 0);
    }
  return { stride, of };
}

/** Where the verdict on an entry stands in the columns; -1 where these needs do not ask it. */
export function placeOf({ methods, places }: Pick<Judged, 'methods' | 'places'>, entry: number, id: RequirementId) {
  const M = methods.length;
  const place = places.of[(entry % M) * R + columnOf(id)] ?? -1;
  return place < 0 ? -1 : Math.floor(entry / M) * places.stride + place;
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
