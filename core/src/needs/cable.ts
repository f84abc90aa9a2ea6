import type { Case } from '../case';
import type { Motor } from '../catalogue';
import type { Prescribed } from '../contract';
import {
  ampacityOf,
  leastConductors,
  typedSize,
  type CableAsked,
  type Conductors,
  type Laid,
  type NotLaid,
} from '../practice';
import type { Subject } from './subject';
import type { CableImpedance, Walk } from './walk';

type Asking = Pick<Walk, 'input' | 'practice' | 'rules'>;

/** What of a motor decides its conductors: W, V, A, r/min. */
export interface MotorNumbers {
  readonly power: number;
  readonly voltage: number;
  readonly current: number;
  readonly speed: number | undefined;
}

/** The current that conductors start from: the code's table's, or the plate's, and why. */
export interface ConductorBasis {
  readonly table: Prescribed<number> | undefined;
  /** The table stands. */
  readonly byTable: boolean;
  /** The table would stand, but a motor built for low speed may draw more. */
  readonly slow: boolean;
}

/** By which current a motor's conductors are sized: practice or house rule, and the exception of low speeds. */
export function conductorBasis({ input, practice, rules }: Asking, motor: MotorNumbers): ConductorBasis {
  const { power, voltage, current, speed } = motor;
  const table = practice.tableCurrent(power, voltage, current, input.supply?.voltage?.value);
  const basis = rules.conductorBasis === 'practice' ? practice.conductorBasis : rules.conductorBasis;
  const low = practice.lowSpeed?.value;
  const slow =
    basis === 'table' &&
    table !== undefined &&
    low !== undefined &&
    speed !== undefined &&
    speed < low &&
    current > table.value;
  return { table, byTable: basis === 'table' && table !== undefined && !slow, slow };
}

/** The design letter as stamped or sold; undefined where a plate has none, whatever is usual. */
export function designOf(input: Case, { kind, motor }: Pick<Subject, 'kind' | 'motor'>): string | undefined {
  if (kind === 'choice' || input.motor?.catalogue !== undefined) return motor?.designLetter;
  return (input.motor?.plate ?? input.plate)?.designLetter;
}

const degrees = { '60 degC': 60, '75 degC': 75, '90 degC': 90 } as const;

/** What the tables need to know of a case's cable that must carry so many A. */
export function cableAsked({ input }: Pick<Walk, 'input'>, needed: number, design: string | undefined): CableAsked {
  const { rating, terminals, ambient, ...asked } = input.guard?.cable ?? {};
  return {
    ...asked,
    ...(rating && { rating: degrees[rating] }),
    ...(terminals && { terminals: degrees[terminals] }),
    ...(ambient && { ambient: ambient.value }),
    ...(design !== undefined && { design }),
    current: needed,
  };
}

/** A case's cable as its tables see it, the least that does, and the one taken: the size that is there, else that. */
export interface CableTaken {
  readonly laid: Laid;
  readonly least: Conductors | undefined;
  readonly typed: boolean;
  readonly conductors: Conductors | undefined;
}

export function cableFor(walk: Asking, needed: number, design: string | undefined): CableTaken | NotLaid {
  const { input, practice } = walk;
  const laid = practice.cable(cableAsked(walk, needed, design));
  if ('because' in laid) return laid;
  const given = input.guard?.cable;
  const least = leastConductors(laid, needed, given?.parallel);
  const size = given?.area && typedSize(laid, given.area.area);
  const count = given?.parallel ?? 1;
  const conductors = size ? { size, count, ampacity: ampacityOf(laid, size, count) } : least;
  return { laid, least, typed: size !== undefined, conductors };
}

/** The cable a start is simulated with: the one Guard sizes. Undefined without a length, or where no table reaches. */
export function cableImpedance(walk: Asking, motor: Motor, on: MotorNumbers): CableImpedance | undefined {
  const length = walk.input.place?.cable?.length?.value;
  if (length === undefined) return undefined;
  const { table, byTable } = conductorBasis(walk, on);
  const needed = walk.practice.conductorFactor.value * (byTable && table ? table.value : on.current);
  const cable = cableFor(walk, needed, designOf(walk.input, { kind: walk.input.motor ? 'pinned' : 'choice', motor }));
  if ('because' in cable || !cable.conductors) return undefined;
  const { size, count } = cable.conductors;
  return {
    name: count === 1 ? size.name : `${count} × ${size.name}`,
    perMetre: size.resistance,
    count,
    source: cable.laid.impedanceSource,
    resistance: (size.resistance * length) / count,
    reactance: (size.reactance * length) / count,
  };
}
