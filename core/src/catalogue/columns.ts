import { usualConstantLoss } from '../physics';
import { withParts } from './faced';
import { genericMotors } from './generic';
import type { Motor } from './motor';

/** The catalogue as columns, one number a motor, for judging every candidate without allocating. */
export interface MotorColumns {
  readonly motors: readonly Motor[];
  readonly power: Float64Array;
  readonly speed: Float64Array;
  readonly synchronous: Float64Array;
  readonly poles: Float64Array;
  readonly efficiency: Float64Array;
  readonly efficiencyMinimum: Float64Array;
  readonly constantLoss: Float64Array;
  readonly ratedTorque: Float64Array;
  readonly lockedRotorTorque: Float64Array;
  readonly pullUpTorque: Float64Array;
  readonly breakdownTorque: Float64Array;
  /** What of it its maker owes. */
  readonly owedBreakdown: Float64Array;
  readonly priceIndex: Float64Array;
}

const cache = new WeakMap<readonly Motor[], MotorColumns>();

/** Columns of a list of motors; the generic catalogue unless another list is given. Built once for each list. */
export function motorColumns(motors: readonly Motor[] = genericMotors()): MotorColumns {
  const known = cache.get(motors);
  if (known) return known;
  const column = (of: (m: Motor) => number): Float64Array => Float64Array.from(motors, of);
  const columns: MotorColumns = {
    motors,
    power: column((m) => m.power),
    speed: column((m) => m.speed),
    synchronous: column((m) => (120 * m.frequency) / m.poles),
    poles: column((m) => m.poles),
    efficiency: column((m) => m.efficiency),
    efficiencyMinimum: column((m) => m.efficiencyMinimum),
    constantLoss: column((m) => m.constantLoss ?? usualConstantLoss),
    ratedTorque: column(ratedTorque),
    lockedRotorTorque: column((m) => m.lockedRotorTorque * ratedTorque(m)),
    pullUpTorque: column((m) => m.pullUpTorque * ratedTorque(m)),
    breakdownTorque: column((m) => m.breakdownTorque * ratedTorque(m)),
    owedBreakdown: column((m) => owedBreakdown(m) * ratedTorque(m)),
    priceIndex: column((m) => m.priceIndex),
  };
  cache.set(motors, columns);
  return columns;
}

/**
 * Breakdown torque ÷ rated that may be counted on: what the standard makes its maker owe, or what he promises; measured
 * or stamped, that itself.
 */
export const owedBreakdown = (m: Pick<Motor, 'breakdownTorque' | 'leastBreakdown'>, promised = 0): number =>
  m.leastBreakdown === undefined ? m.breakdownTorque : Math.max(m.leastBreakdown, promised);

export const ratedTorque = (m: Motor): number => (60 * m.power) / (2 * Math.PI * m.speed);

export function motorById(id: string): Motor | undefined {
  const [plain, ...letters] = id.split('+');
  const motor = genericMotors().find((m) => m.id === plain);
  return motor && withParts(motor, letters);
}
