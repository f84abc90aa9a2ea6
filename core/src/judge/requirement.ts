import type { Motor, MotorColumns } from '../catalogue';
import type { Outcome } from '../case';
import type { FigureId, Method } from '../contract';
import type { Needs } from '../needs';
import type { RemedyKind } from '../practice';
import type { Problem, Tried } from '../runs';
import { code } from './code';
import type { BuildColumns, SupplyColumns } from './columns';

/** What judging reads, all of it found before the first motor: columns, and numbers that no motor changes. */
export interface Bench {
  readonly needs: Needs;
  readonly motors: readonly Motor[];
  readonly c: MotorColumns;
  readonly build: BuildColumns;
  readonly supply: SupplyColumns;
  /** 1 where a motor has the old one's frame. */
  readonly frame: Uint8Array | undefined;
  /** Torque asked while running up ÷ steady torque. */
  readonly runUp: number;
  readonly overload: number;
  readonly variableTorque: boolean;
  /** True where starts can be simulated: closed forms then only rule out what no simulation would pass. */
  readonly simulates: boolean;
  /** Smallest rating made, W: of each number of poles. */
  readonly smallest: ReadonlyMap<number, number>;
  /** One motor is pinned: its size is what it is. */
  readonly pinned: boolean;
}

/** One motor with one method, as its requirements see it; one object, moved on from entry to entry. */
export interface Entry {
  i: number;
  method: Method;
  drive: boolean;
  /** Speed it settles at, r/min. */
  n: number;
  /** Connected voltage of the motor, and voltage of the line, V. */
  own: number;
  line: number;
  /**
   * At standstill: dip at the bus (NaN where the source is not described), torque in N·m, and that ÷ locked-rotor
   * torque.
   */
  dip: number;
  torque: number;
  share: number;
  /** Line current at standstill, A. */
  current: number;
  /** Left by the requirement judged last: how much is left over, as a share. */
  margin: number;
  /** Share that what stands between its drive and it loses; 0 before its winding was judged. */
  filterLoss: number;
  /** Left by it where it is not `pass` by itself: what would make it pass. */
  remedy: RemedyKind | undefined;
  /** True where it passes if an input that nobody gave keeps a limit. */
  condition: boolean;
}

/** A verdict that somebody looks at. */
export interface Looked {
  readonly outcome: Outcome;
  readonly margin: number;
  readonly needs: Needs;
  readonly motor: Motor;
  readonly method: Method;
  /** Where the motor would run straight on the line, r/min. */
  readonly direct: number;
  /** Its start, where it was simulated. */
  readonly tried: Tried | undefined;
}

/** An input that nobody gave, with the limit up to or from which a requirement holds. */
export interface Condition {
  readonly field: string;
  readonly limit: string;
  readonly text: string;
}

/** One thing asked of a motor with its starter: everything that is known of it stands in its file. */
export interface Requirement<I extends string = string> {
  readonly id: I;
  /**
   * Of the motor itself, the same by every method (and judged for the first alone); of the motor on the line, the same
   * by every method that is no drive; or of how it is started and fed.
   */
  readonly of: 'motor' | 'line' | 'method';
  /** Whether the margin is a number to tell. */
  readonly told: boolean;
  /** Whether nobody set it a limit here: then its margin says nothing. */
  limitless(looked: Looked): boolean;
  /** Fields of the case that decide it, and figures it rests on. */
  readonly fields: readonly string[];
  readonly figures: readonly FigureId[];
  /** What a simulated start may have against it that belongs here. */
  readonly problems: readonly Problem['id'][];
  /** Whether these needs ask it of any candidate at all; then it is judged for each. */
  applies(needs: Needs): boolean;
  /**
   * Outcome code, leaving margin, remedy and condition in the entry; runs over columns for every candidate, so it
   * makes nothing.
   */
  readonly judge: (bench: Bench, entry: Entry) => number;
  /** Margin by the simulated start, where it has one of its own. */
  marginOf(bench: Bench, entry: Entry, tried: Tried): number;
  /** The reason in one sentence. */
  sentence(looked: Looked): string;
  /** What is bought or set, in words, where a remedy answers it. */
  remedied(looked: Looked): string;
  /** The input nobody gave, and its limit; asked only where its verdict holds on a condition. */
  holdsIf(looked: Looked): Condition | undefined;
  /** The least that would admit a failing candidate. */
  cure(looked: Looked): string;
}

/** States a requirement. */
export function requirement<const I extends string>(
  spec: Pick<Requirement<I>, 'id' | 'of' | 'judge' | 'sentence'> & Partial<Requirement<I>>,
): Requirement<I> {
  return {
    told: false,
    fields: [],
    figures: [],
    problems: [],
    applies: () => true,
    limitless: () => false,
    marginOf: (_, entry) => entry.margin,
    remedied: () => '',
    holdsIf: () => undefined,
    cure: () => 'what its verdict says',
    ...spec,
  };
}

/** How what only a simulated start tells (time, heat, how often) is judged without one: not at all. */
export const whenSimulated = (): number => code.none;

/** Fails below nothing left, is a caution below what is wanted in reserve. */
export const withReserve = (reserve: number, wanted: number): number =>
  reserve < 0 ? code.fail : reserve < wanted ? code.caution : code.pass;

export const passIf = (holds: boolean, otherwise: number = code.fail): number => (holds ? code.pass : otherwise);

/** A caution that this remedy answers. */
export function remedied(entry: Entry, kind: RemedyKind): number {
  entry.remedy = kind;
  return code.caution;
}

/** The worst of what a simulated start has against it, of the kinds named; a condition is a caution that says so. */
export function problemCode(tried: Tried, ids: readonly Problem['id'][], entry?: Pick<Entry, 'condition'>): number {
  let worst: number = code.pass;
  let conditional = false;
  for (const { id, level } of tried.problems) {
    if (!ids.includes(id) || level === 'note') continue;
    if (level === 'condition') conditional = true;
    else worst = Math.max(worst, code[level]);
  }
  if (!conditional || worst !== code.pass) return worst;
  if (entry) entry.condition = true;
  return code.caution;
}

/** What it has against it of these kinds, in words; undefined where nothing. */
export function problemText(tried: Tried | undefined, ids: readonly Problem['id'][]): string | undefined {
  const texts = tried?.problems.filter((p) => ids.includes(p.id)).map((p) => p.text) ?? [];
  return texts.length === 0 ? undefined : texts.join(' ');
}
