import type { CostOption } from '../case';
import { owedBreakdown, type Motor } from '../catalogue';
import { connectionFor, starDeltaFits, type Needs } from '../needs';
import { breakdown, breakdownReserve, pointForTorque, simulate, type Circuit } from '../physics';
import { writeQuantity } from '../quantity';
import { benchFor, fittedCircuit } from '../runs';
import type { Runner } from '../stations';

/** Share of rating up to which star is looked at; it saves up to a third or two fifths (common practice). */
export const starUpTo = 0.5;

/** Share of rating below which losses are counted as at it. */
const least = 0.02;

/** Within this of √3 two voltages are one winding in star and in delta. */
const alike = 0.03;
const rootThree = Math.sqrt(3);

/** A delta motor run in star: how it runs, and what that asks. */
export interface InStar extends Pick<CostOption, 'outcome' | 'text'> {
  readonly runner: Runner;
}

/**
 * The motor that is there with its links put to star: a third of its torque, less iron loss, more copper loss. Losses,
 * current and breakdown by its circuit, its start simulated. Undefined where it cannot be so connected, has a drive
 * or two speeds, or carries more than `starUpTo`.
 */
export function inStar(needs: Needs, there: Motor, before: Runner): InStar | undefined {
  const line = needs.supply.voltage;
  const share = before.full / there.power;
  const isElse = before.way.kind === 'speed' || before.way.kind === 'two-speed';
  if (line === undefined || share > starUpTo || isElse) return undefined;
  const low = connectionFor(there, line);
  const top = there.connections.find((c) => Math.abs(c.voltage / (rootThree * low.voltage) - 1) < alike);
  if (!starDeltaFits(needs.practice, line, there) || !top) return undefined;
  const [delta, star] = [fittedCircuit(there, low.voltage), fittedCircuit(there, top.voltage)];
  const bench = benchFor(needs, there);
  if (!delta || !star || !bench) return undefined;
  const f = needs.supply.frequency;
  const lossOf = ({ circuit }: { readonly circuit: Circuit }, x: number): number => {
    const p = pointForTorque(circuit, line, f, x * bench.ratedTorque);
    return p ? p.input - p.output : Infinity;
  };
  const lossTimes = (x: number): number => {
    const of = Math.max(least, x);
    return lossOf(star, of) / lossOf(delta, of);
  };
  const runner = { ...before, lossTimes };
  const at = pointForTorque(star.circuit, line, f, share * bench.ratedTorque);
  // By what its maker owes, where nobody measured it.
  const counted = owedBreakdown(there) / there.breakdownTorque;
  const reserve = (counted * breakdown(star.circuit, line, f).torque) / (needs.load.torque * needs.load.peak);
  if (!at || reserve < breakdownReserve)
    return {
      ...{ runner, outcome: 'fail' },
      text:
        `Its breakdown torque in star is ${reserve.toFixed(2)} times the load’s peak: below ${breakdownReserve} a ` +
        `dip or a jolt stalls it.`,
    };
  const run = simulate({ ...bench, circuit: star.circuit, ratedCurrent: top.current }, { method: 'direct' });
  if (run.outcome !== 'running' || run.time === undefined)
    return { runner, outcome: 'fail', text: 'It does not come up to speed in star: it would have to start in delta.' };
  const bears = writeQuantity(top.current, 'A');
  const upIn = writeQuantity(Number(run.time.toPrecision(2)), 's');
  if (at.current > top.current)
    return {
      ...{ runner, outcome: 'fail' },
      text: `It would draw ${writeQuantity(at.current, 'A')} in star, where its winding bears ${bears}.`,
    };
  return {
    ...{ runner, outcome: 'caution' },
    text:
      `Links from delta to star, overload dial to ${bears}: a third of its torque, breakdown ${reserve.toFixed(1)} ` +
      `times the load’s peak, up in ${upIn}. Only while the load stays as small.`,
  };
}
