import type { Motor } from '../catalogue';
import type { Outcome } from '../case';
import type { Method } from '../contract';
import { percent, type Needs } from '../needs';
import { pointForTorque, simulate, startsPerHour, type Run } from '../physics';
import type { Practice } from '../practice';
import { q, writeQuantity } from '../quantity';
import { benchFor, loadInertiaOf, type Bench } from './bench';
import type { UsualSettings } from './plans';
import { missingLeads, problemsOf, type Problem } from './problems';
import { startOf, type Started } from './run';

/** One method planned, simulated where the motor can be started so, and judged. */
export interface Tried extends Started {
  readonly bench: Bench;
  readonly problems: readonly Problem[];
  readonly outcome: Outcome;
  /** Starts an hour that its heat bears at this load; undefined where it does not come up. */
  readonly starts: number | undefined;
}

const tries = new WeakMap<Bench, Map<string, Tried>>();

/**
 * One motor with one method on the case's load and supply, simulated and judged; undefined where its circuit or the
 * supply is not
 * known. Settings that the case leaves open are searched among the usual ones: the first with nothing against it, else
 * the one with
 * least. The judge and Start read the same. Found once; writes nothing.
 */
export function triedOf(needs: Needs, motor: Motor, method: Method, traced = false): Tried | undefined {
  const bench = benchFor(needs, motor, method);
  if (!bench) return undefined;
  const known = tries.get(bench) ?? new Map<string, Tried>();
  tries.set(bench, known);
  const key = traced ? `${method} traced` : method;
  const there = known.get(key);
  if (there) return there;
  const found = traced ? retraced(needs, motor, bench, method) : searched(needs, motor, bench, method);
  known.set(key, found);
  return found;
}

/** What a start is set to where the case leaves it open, in the order it is tried. */
const usualTries: Readonly<Partial<Record<Method, readonly Partial<UsualSettings>[]>>> = {
  'soft-starter': [{}, { softLimit: 3 }, { softLimit: 4 }, { softLimit: 4.5 }],
  autotransformer: [{}, { tap: 0.5 }, { tap: 0.8 }],
  'primary-reactor': [{}, { reactorShare: 0.5 }, { reactorShare: 0.8 }],
};

/** Whether the case itself sets what would be searched. */
function isSet({ start: { settings } }: Needs, method: Method): boolean {
  switch (method) {
    case 'soft-starter':
      return settings?.softStarter?.limit !== undefined;
    case 'autotransformer':
      return settings?.autotransformer?.tap !== undefined;
    case 'primary-reactor':
      return settings?.reactor?.share !== undefined;
    default:
      return true;
  }
}

function searched(needs: Needs, motor: Motor, bench: Bench, method: Method): Tried {
  const all = isSet(needs, method) ? [{}] : (usualTries[method] ?? [{}]);
  let best: Tried | undefined;
  for (const usual of all) {
    const tried = tryWith(needs, motor, bench, method, usual);
    if (tried.outcome === 'pass') return tried;
    if (!best || weight[tried.outcome] < weight[best.outcome]) best = tried;
  }
  return best ?? tryWith(needs, motor, bench, method, {});
}

const weight: Readonly<Record<Outcome, number>> = { pass: 0, caution: 1, fail: 2 };

/** The same start again for its course; its figures stay those that were judged, for a trace asks for shorter steps. */
function retraced(needs: Needs, motor: Motor, bench: Bench, method: Method): Tried {
  const found = triedOf(needs, motor, method) ?? searched(needs, motor, bench, method);
  if (!found.run) return found;
  return { ...found, run: { ...found.run, trace: simulate(bench, found.planned.plan, true).trace } };
}

function tryWith(needs: Needs, motor: Motor, bench: Bench, method: Method, usual: Partial<UsualSettings>): Tried {
  const started = startOf(needs, motor, bench, method, usual);
  const { run } = started;
  const changes = method === 'star-delta' || method === 'autotransformer' || method === 'primary-reactor';
  const directPeak = changes && run ? triedOf(needs, motor, 'direct')?.run?.peakLine : undefined;
  const starts = run?.outcome === 'running' ? startsOf(needs, motor, bench, method, run) : undefined;
  const problems = run ? problemsOf(needs, bench, method, motor, run, directPeak, starts) : [missingLeads(motor)];
  const worst = problems.some((p) => p.level === 'fail')
    ? 'fail'
    : problems.some((p) => p.level === 'caution')
      ? 'caution'
      : 'pass';
  return { ...started, bench, problems, outcome: worst, starts };
}

/** Losses in W at the rated torque and at the load's, by the circuit. */
export function lossesOf(
  needs: Needs,
  { circuit, feed, ratedTorque }: Bench,
): { readonly rated: number; readonly running: number } | undefined {
  const at = (torque: number): number | undefined => {
    const p = pointForTorque(circuit, feed.voltage, feed.frequency, torque);
    return p && p.input - p.output;
  };
  const [rated, running] = [at(ratedTorque), at(needs.load.torque)];
  return rated === undefined || running === undefined ? undefined : { rated, running };
}

/** Starts an hour that a method lets the motor bear: the lesser of heat and standard; a drive sets no limit. */
function startsOf(needs: Needs, motor: Motor, bench: Bench, method: Method, run: Run): number | undefined {
  if (method === 'drive') return undefined;
  const byHeat = startsBorne(needs, bench, run);
  const byStandard = method === 'direct' ? startsByStandard(needs, motor)?.value.starts : undefined;
  return byStandard === undefined ? byHeat : Math.min(byHeat ?? Infinity, byStandard);
}

/** What the standard permits straight on the line, with the inertia given, or usual for the machine. */
export const startsByStandard = (needs: Needs, motor: Motor): ReturnType<NonNullable<Practice['startsOnLine']>> =>
  needs.practice.startsOnLine?.(motor.power, motor.poles, loadInertiaOf(needs, motor));

/** Starts an hour whose heat, with that of running, stays at full load's. */
function startsBorne(needs: Needs, bench: Bench, run: Run): number | undefined {
  const losses = lossesOf(needs, bench);
  if (!losses) return undefined;
  const E_st = q(run.energy.stator + run.energy.rotor, 'J');
  return startsPerHour.of({ P_r: q(losses.rated, 'W'), P_run: q(losses.running, 'W'), E_st });
}

export function praise(run: Run | undefined, known: boolean): string {
  if (!run?.time) return '';
  const heat = percent(Math.max(run.statorHeat, run.rotorHeat));
  return (
    `At speed in ${writeQuantity(run.time, 's')} with ${heat} of the permitted ` +
    `heat${known ? `, dipping the bus by ${percent(run.dip, 1)}` : ''}.`
  );
}
