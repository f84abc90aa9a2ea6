import { tabled, type FlowBenchSpec } from '../physics';
import type { Solved } from './solve';

/** A position's own machine for the bench, and the year and money that go with it. */
export interface FlowBenchOf {
  readonly spec: FlowBenchSpec;
  readonly motor: string;
  /** h and flow ÷ full of the year's rows; whether nobody gave them. */
  readonly year: readonly { readonly hours: number; readonly flow: number }[];
  readonly assumedYear: boolean;
  /** A kWh, in the case's currency. */
  readonly price: number;
  readonly currency: string;
}

/**
 * The machine and motor of a solved case as two of them stand on the bench; null where its machine's torque does not
 * go with the square of speed, or its motor's circuit or load is not known.
 */
export function flowBenchOf({ screening, starting, result }: Solved): FlowBenchOf | null {
  if (!screening || !starting) return null;
  const { load, speed, energyPrice, currency } = screening.needs;
  if (load.shape.kind !== 'quadratic' || load.basis !== 'load') return null;
  const { circuit, inertia } = starting.bench;
  const { machine, system } = speed.flow;
  const spec = { circuit, inertia, power: load.power, speed: load.speed, ...tabled(machine), held: system.held };
  const year = speed.rows.map(({ hours, flow }) => ({ hours, flow }));
  return {
    spec,
    motor: result.subject?.name ?? '',
    year,
    assumedYear: speed.assumedHours,
    price: energyPrice,
    currency,
  };
}
