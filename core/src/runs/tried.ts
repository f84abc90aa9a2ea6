import type { Motor } from '../catalogue';
import type { Outcome } from '../case';
import type { Method } from '../contract';
import { percent, type Needs } from '../needs';
import { pointForTorque, simulate, startsPerHour, type Run, type StartCase } from '../physics';
import { keeps, unlimitedStart, type Practice } from '../practice';
import { q, writeQuantity } from '../quantity';
import { benchFor, loadInertiaOf, type Bench } from './bench';
import type { UsualSettings } from './plans';
import { startOf, type Started } from './run';

/** One method planned, simulated where the motor can be started so, and judged. */
export interface Tried extends Started {
  readonly bench: Bench;
  readonly problems: readonly Problem[];
  readonly outcome: Outcome;
  /** Starts an hour that its heat bears at this load; undefined where it does not come up. */
  readonly starts: number | undefined;
}

/** Something against a method, with the id of the finding it makes where the method is the subject's. */
export interface Problem {
  readonly id:
    | 'start.stalls'
    | 'start.crawls'
    | 'start.too-long'
    | 'start.too-hot'
    | 'start.supply-weak'
    | 'start.six-leads'
    | 'start.no-speed-control'
    | 'start.jolts'
    | 'start.little-margin'
    | 'start.source-unknown'
    | 'start.too-often';
  /** A note is tight: it only just misses a house rule, and passes. */
  readonly level: 'fail' | 'caution' | 'note';
  readonly text: string;
}

/** Lines of judgement on a simulated start; common practice. */
const line = {
  /** Share of the permitted heat above which a start is a caution. */
  hot: 0.7,
  /** Least torque to spare ÷ rated torque. */
  spare: 0.05,
  /** A reduced stage should bring the machine at least this far, ÷ synchronous speed. */
  reducedSpeed: 0.75,
  /** Changeover current ÷ direct peak at which nothing is gained. */
  nothingGained: 0.9,
  /** Starts an hour over what heat bears: an estimate, so a caution up to this multiple. */
  tooMany: 2,
} as const;

/** Starts an hour that any motor bears, spread out (NEMA MG 1 12.54: two from cold, one from hot; from memory). */
const alwaysBorne = 2;

const tries = new WeakMap<Bench, Map<string, Tried>>();

/**
 * One motor with one method on the case's load and supply, simulated and judged; undefined where its circuit or the
 * supply is not
 * known. Settings that the case leaves open are searched among the usual ones: the first with nothing against it, else
 * the one with
 * least. The judge and Start read the same. Found once; writes nothing.
 */
export function triedOf(needs: Needs, motor: Motor, method: Method, traced = false): Tried | undefined {
  const bench = benchFor(needs, motor);
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
  const problems = run ? problemsOf(needs, bench, method, run, directPeak, starts) : [missingLeads(motor)];
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

function missingLeads({ name, deltaVoltage }: Motor): Problem {
  const has = deltaVoltage === null ? 'does not say it has them' : `has delta at ${writeQuantity(deltaVoltage, 'V')}`;
  return {
    id: 'start.six-leads',
    level: 'fail',
    text: `Star-delta needs both ends of three windings and delta at line voltage; ${name} ${has}.`,
  };
}

function problemsOf(
  needs: Needs,
  bench: StartCase,
  method: Method,
  run: Run,
  directPeak: number | undefined,
  starts: number | undefined,
): Problem[] {
  const list: Problem[] = [];
  const add = (id: Problem['id'], level: Problem['level'], text: string): void => void list.push({ id, level, text });
  const synchronous = (120 * bench.feed.frequency) / bench.circuit.poles;
  const stage = stageNames[method];
  if (run.outcome === 'stalled')
    add(
      'start.stalls',
      'fail',
      `Stalls${stage ? ` ${stage}` : ''}: at ${run.heldAt ? `${Math.round(run.heldAt)} r/min` : 'standstill'} ` +
        `the load asks ${writeQuantity(-run.margin, 'N.m')} more than the motor gives.`,
    );
  else if (run.outcome === 'crawling')
    add(
      'start.stalls',
      'fail',
      `Crawls: the load crosses the motor’s torque at ${percent((run.heldAt ?? 0) / synchronous)} ` +
        `speed${stage ? ` ${stage}` : ''}.`,
    );
  else if (run.outcome === 'unfinished')
    add(
      'start.too-long',
      'fail',
      `Not at speed after ${writeQuantity(run.events.at(-1)?.time ?? 600, 's')} ` +
        `and more; the simulation gives up at ten minutes.`,
    );
  const changed = run.events.find((e) => e.what === 'changed-over');
  if (changed && run.outcome === 'running') {
    const reached = changed.speed / synchronous;
    const gain = directPeak === undefined ? 0 : (run.changeoverCurrent ?? 0) / directPeak;
    if (run.heldAt !== undefined && run.heldAt < line.reducedSpeed * synchronous)
      add(
        'start.crawls',
        'caution',
        `The load crosses the motor’s torque at ${percent(run.heldAt / synchronous)} ` +
          `speed ${stage}: it crawls there until the changeover.`,
      );
    else if (reached < line.reducedSpeed)
      add(
        'start.crawls',
        'caution',
        `The load crosses the motor’s torque at about ${percent(reached)} speed ` +
          `${stage}: no more is to be had before the changeover.`,
      );
    if (gain > line.nothingGained)
      add(
        'start.jolts',
        reached < line.reducedSpeed ? 'fail' : 'caution',
        `The changeover at ${percent(reached)} speed draws ` +
          `${writeQuantity(run.changeoverCurrent ?? 0, 'A')}, nearly as much as a direct start.`,
      );
  }
  const { permitted } = needs.start;
  if (run.time !== undefined && run.time > permitted.value)
    add(
      'start.too-long',
      'fail',
      `Takes ${writeQuantity(run.time, 's')} to speed; ` +
        `${
          permitted.machine
            ? `this machine wants to be there within ${permitted.text}, for its bearings`
            : `${permitted.text} is permitted`
        }.`,
    );
  const heat = Math.max(run.statorHeat, run.rotorHeat);
  if (run.outcome === 'running' && heat > 1)
    add('start.too-hot', 'fail', `Heats the motor to ${percent(heat)} of what it bears from hot.`);
  else if (run.outcome === 'running' && heat > line.hot)
    add(
      'start.too-hot',
      'caution',
      `Heats the motor to ${percent(heat)} of what it bears from hot: no second start soon.`,
    );
  if (needs.supply.impedance === undefined) {
    if (method !== 'drive' && bench.ratedTorque * bench.load.speed * (Math.PI / 30) > unlimitedStart)
      add('start.source-unknown', 'caution', 'The source is not described: the dip cannot be judged.');
  } else {
    const kept = keeps(run.dip, needs.rules.maxDip);
    if (kept !== 'well')
      add(
        'start.supply-weak',
        kept === 'tight' ? 'note' : 'fail',
        `Dips the bus by ${percent(run.dip, 1)}; ${percent(needs.rules.maxDip)} ` +
          `is the house rule${kept === 'tight' ? ': tight' : ''}.`,
      );
  }
  const { startLimit } = needs.supply;
  if (startLimit !== undefined && run.peakLine > startLimit)
    add(
      'start.supply-weak',
      'fail',
      `Draws ${writeQuantity(run.peakLine, 'A')}; the supplier lets a start draw ${writeQuantity(startLimit, 'A')}.`,
    );
  const { perHour } = needs.start;
  const borne = Math.max(starts ?? Infinity, alwaysBorne);
  if (perHour !== undefined && perHour > borne)
    add(
      'start.too-often',
      perHour > line.tooMany * borne ? 'fail' : 'caution',
      `${perHour} starts an hour asked; it bears about ${writeQuantity(borne, '1/h')} ` +
        `at this load. Start gentler, take a larger motor, or leave it running.`,
    );
  if (run.outcome === 'running' && run.margin < line.spare * bench.ratedTorque)
    add(
      'start.little-margin',
      'caution',
      run.margin < 0
        ? `Waits: at ${Math.round(run.marginSpeed)} r/min the load asks ${writeQuantity(-run.margin, 'N.m')} ` +
            `more than the motor gives, until the voltage comes back.`
        : `Only ${writeQuantity(run.margin, 'N.m')} to spare at ${Math.round(run.marginSpeed)} r/min.`,
    );
  if (needs.speed.variable && method !== 'drive')
    add('start.no-speed-control', 'fail', 'Does not control speed, which this machine has use for.');
  const order = { fail: 0, caution: 1, note: 2 };
  return list.toSorted((a, b) => order[a.level] - order[b.level]);
}

/** How a method's reduced stage is spoken of. */
const stageNames: Readonly<Partial<Record<Method, string>>> = {
  'star-delta': 'in star',
  autotransformer: 'on the tap',
  'primary-reactor': 'on the series element',
  'soft-starter': 'at the current limit',
  drive: 'at the current limit',
};

export function praise(run: Run | undefined, known: boolean): string {
  if (!run?.time) return '';
  const heat = percent(Math.max(run.statorHeat, run.rotorHeat));
  return (
    `At speed in ${writeQuantity(run.time, 's')} with ${heat} of the permitted ` +
    `heat${known ? `, dipping the bus by ${percent(run.dip, 1)}` : ''}.`
  );
}
