import { inputOf, pointOf, type Needs } from '../../needs';
import type { FlowWay } from '../../physics';

/** What a year takes: money of its energy at today's prices, its energy in kWh, and the demand billed in kW. */
export interface YearSum {
  readonly money: number;
  readonly energy: number;
  readonly demand: number;
}

/** A motor over the year: W of full shaft power and of rating, efficiency at full load, and how its flow is made. */
export interface Runner {
  readonly full: number;
  readonly rated: number;
  readonly eta: number;
  readonly way: FlowWay;
  /** Demand billed ÷ highest input in kW. */
  readonly billed: number;
}

/** A year along its rows; load scaled by k, the motor's losses by l. */
export function yearOf(needs: Needs, { full, rated, eta, way, billed }: Runner, k = 1, l = 1): YearSum {
  const worse = 1 / (1 + l * (1 / eta - 1));
  let [money, energy, demand] = [0, 0, 0];
  for (const { hours, flow, price } of needs.speed.rows) {
    const drawn = inputOf(full * k, rated, worse, pointOf(needs, way, flow), way) / 1000;
    energy += hours * drawn;
    money += hours * drawn * needs.energyPrice * price;
    demand = Math.max(demand, drawn);
  }
  return { money, energy, demand: demand * billed };
}
