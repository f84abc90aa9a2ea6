import type { Motor, MotorColumns } from '../catalogue';
import type { Outcome } from '../case';
import type { FigureId, Method } from '../contract';
import type { Needs } from '../needs';
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
  /** At standstill: dip at the bus (NaN where the source is not described), torque in N·m, and that ÷ locked-rotor torque. */
  dip: number;
  torque: number;
  share: number;
  /** Left by the requirement judged last: how much is left over, as a share. */
  margin: number;
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
}

/** One thing asked of a motor with its starter: everything that is known of it stands in its file. */
export interface Requirement<I extends string = string> {
  readonly id: I;
  /** Of the motor itself, or of how it is started and fed. */
  readonly of: 'motor' | 'method';
  /** Whether the margin is a number to tell. */
  readonly told: boolean;
  /** Fields of the case that decide it, and figures it rests on. */
  readonly fields: readonly string[];
  readonly figures: readonly FigureId[];
  /** Whether these needs ask it of any candidate at all; then it is judged for each. */
  applies(needs: Needs): boolean;
  /** Outcome code, leaving the margin in the entry; runs over columns for every candidate, so it makes nothing. */
  judge(bench: Bench, entry: Entry): number;
  /** The reason in one sentence. */
  sentence(looked: Looked): string;
  /** The least that would admit a failing candidate. */
  cure(looked: Looked): string;
}

/** States a requirement. */
export function requirement<const I extends string>(
  spec: Omit<Requirement<I>, 'told' | 'fields' | 'figures' | 'applies' | 'cure'> & Partial<Requirement<I>>,
): Requirement<I> {
  return { told: false, fields: [], figures: [], applies: () => true, cure: () => 'what its verdict says', ...spec };
}

/** Fails below nothing left, is a caution below what is wanted in reserve. */
export const withReserve = (reserve: number, wanted: number): number =>
  reserve < 0 ? code.fail : reserve < wanted ? code.caution : code.pass;

export const passIf = (holds: boolean, otherwise: number = code.fail): number => (holds ? code.pass : otherwise);
