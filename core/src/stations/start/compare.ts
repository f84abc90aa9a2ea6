import { starterPriceIndex, type Motor } from '../../catalogue';
import type { Outcome, StartRow, StartView } from '../../case';
import type { Method } from '../../contract';
import type { Run, StartCase } from '../../physics';
import { writeQuantity } from '../../quantity';
import { methodNames } from '../../contract';
import { unlimitedStart } from '../../judge';
import { type Needs, percent, type Subject } from '../../needs';
import type { Started } from '../../runs';

/** One method planned, simulated where the motor can be started so, and judged. */
export interface Tried extends Started {
  readonly problems: readonly Problem[];
}

/** Something against a method, with the id of the finding it makes where the method is the subject's. */
export interface Problem {
  readonly id: 'start.stalls' | 'start.crawls' | 'start.too-long' | 'start.too-hot' | 'start.supply-weak' | 'start.six-leads' | 'start.no-speed-control' | 'start.jolts' | 'start.little-margin' | 'start.source-unknown'; // prettier-ignore
  readonly level: 'fail' | 'caution';
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
} as const;

/** One method of the subject's started and judged. `directPeak`: line current of a direct start, to see what a changeover gains. */
export function tryMethod(
  needs: Needs,
  motor: Motor,
  bench: StartCase,
  started: Started,
  directPeak: number | undefined,
): Tried {
  const { run, method } = started;
  const problems = run ? problemsOf(needs, bench, method, run, directPeak) : [missingLeads(motor)];
  return { ...started, problems };
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
): Problem[] {
  const list: Problem[] = [];
  const add = (id: Problem['id'], level: Problem['level'], text: string): void => void list.push({ id, level, text });
  const synchronous = (120 * bench.feed.frequency) / bench.circuit.poles;
  const stage = stageNames[method];
  if (run.outcome === 'stalled')
    add('start.stalls', 'fail', `Stalls${stage ? ` ${stage}` : ''}: at ${run.heldAt ? `${Math.round(run.heldAt)} r/min` : 'standstill'} the load asks ${writeQuantity(-run.margin, 'N.m')} more than the motor gives.`); // prettier-ignore
  else if (run.outcome === 'crawling')
    add('start.stalls', 'fail', `Crawls: the load crosses the motor’s torque at ${percent((run.heldAt ?? 0) / synchronous)} speed${stage ? ` ${stage}` : ''}.`); // prettier-ignore
  else if (run.outcome === 'unfinished')
    add('start.too-long', 'fail', `Not at speed after ${writeQuantity(run.events.at(-1)?.time ?? 600, 's')} and more; the simulation gives up at ten minutes.`); // prettier-ignore
  const changed = run.events.find((e) => e.what === 'changed-over');
  if (changed && run.outcome === 'running') {
    const reached = changed.speed / synchronous;
    const gain = directPeak === undefined ? 0 : (run.changeoverCurrent ?? 0) / directPeak;
    if (run.heldAt !== undefined && run.heldAt < line.reducedSpeed * synchronous)
      add('start.crawls', 'caution', `The load crosses the motor’s torque at ${percent(run.heldAt / synchronous)} speed ${stage}: it crawls there until the changeover.`); // prettier-ignore
    else if (reached < line.reducedSpeed)
      add('start.crawls', 'caution', `The load crosses the motor’s torque at about ${percent(reached)} speed ${stage}: no more is to be had before the changeover.`); // prettier-ignore
    if (gain > line.nothingGained)
      add('start.jolts', reached < line.reducedSpeed ? 'fail' : 'caution', `The changeover at ${percent(reached)} speed draws ${writeQuantity(run.changeoverCurrent ?? 0, 'A')}, nearly as much as a direct start.`); // prettier-ignore
  }
  const { permitted } = needs.start;
  if (run.time !== undefined && run.time > permitted.value)
    add('start.too-long', 'fail', `Takes ${writeQuantity(run.time, 's')} to speed; ${permitted.machine ? `this machine wants to be there within ${permitted.text}, for its bearings` : `${permitted.text} is permitted`}.`); // prettier-ignore
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
  } else if (run.dip > needs.rules.maxDip)
    add('start.supply-weak', 'fail', `Dips the bus by ${percent(run.dip, 1)}; ${percent(needs.rules.maxDip)} is the house rule.`); // prettier-ignore
  if (run.outcome === 'running' && run.margin < line.spare * bench.ratedTorque)
    add('start.little-margin', 'caution', run.margin < 0 ? `Waits: at ${Math.round(run.marginSpeed)} r/min the load asks ${writeQuantity(-run.margin, 'N.m')} more than the motor gives, until the voltage comes back.` : `Only ${writeQuantity(run.margin, 'N.m')} to spare at ${Math.round(run.marginSpeed)} r/min.`); // prettier-ignore
  if (needs.speed.variable && method !== 'drive')
    add('start.no-speed-control', 'fail', 'Does not control speed, which this machine has use for.');
  return list.toSorted((a, b) => Number(a.level === 'caution') - Number(b.level === 'caution'));
}

/** How a method's reduced stage is spoken of. */
const stageNames: Readonly<Partial<Record<Method, string>>> = {
  'star-delta': 'in star',
  autotransformer: 'on the tap',
  'primary-reactor': 'on the series element',
  'soft-starter': 'at the current limit',
  drive: 'at the current limit',
};

const parts: Readonly<Record<Method, readonly [parts: string, whenOff: string]>> = {
  direct: ['contactor, overload relay', 'none'],
  'star-delta': ['three contactors, timer, overload in the phases (0.58 × rated current), six leads', 'none'],
  autotransformer: ['autotransformer, three contactors, timer', 'none'],
  'primary-reactor': ['reactor or resistor, two contactors, timer', 'none'],
  'soft-starter': [
    'soft starter, bypass; a line contactor where a dead output matters',
    'live: its semiconductors leak',
  ],
  drive: ['drive, line choke; filter as Drive says', 'live for minutes: capacitors'],
};

const eventWords = {
  opened: 'star opens',
  'changed-over': 'full line',
  'limit-left': 'current falls below the limit',
  limited: 'current limit reached',
  'at-speed': '95 % of the final speed',
  stalled: 'stalls',
  crawling: 'crawls',
  held: 'held by the load',
} as const;

/** A tried method as the comparison shows it. */
export function rowOf(needs: Needs, subject: Subject, bench: StartCase, tried: Tried): StartRow {
  const { method, run, problems } = tried;
  const outcome: Outcome = problems.some((p) => p.level === 'fail') ? 'fail' : problems.length > 0 ? 'caution' : 'pass';
  const known = needs.supply.impedance !== undefined;
  const [needed, whenOff] = parts[method];
  return {
    method,
    outcome,
    text: problems.length > 0 ? problems.map((p) => p.text).join(' ') : praise(run, known),
    settings: tried.planned.settings,
    events: (run?.events ?? []).map((e) => ({ time: e.time, speed: e.speed, text: eventWords[e.what] })),
    run: run
      ? {
          ending: run.outcome,
          peakCurrent: run.peakLine,
          motorCurrent: run.peakMotor,
          changeoverCurrent: run.changeoverCurrent ?? null,
          dip: known ? run.dip : null,
          time: run.time ?? null,
          margin: run.margin,
          marginSpeed: run.marginSpeed,
          thermalUse: Math.max(run.statorHeat, run.rotorHeat),
          jolt: run.jolt / bench.ratedTorque,
          endSpeed: run.speed,
        }
      : null,
    leads: method === 'star-delta' ? 6 : 3,
    parts: needed,
    whenOff,
    speedControl: method === 'drive',
    costIndex: starterPriceIndex(method, subject.motor?.power ?? needs.load.power),
  };
}

function praise(run: Run | undefined, known: boolean): string {
  if (!run?.time) return '';
  const heat = percent(Math.max(run.statorHeat, run.rotorHeat));
  return `At speed in ${writeQuantity(run.time, 's')} with ${heat} of the permitted heat${known ? `, dipping the bus by ${percent(run.dip, 1)}` : ''}.`;
}

/** The cheapest method that will do, and why not the cheaper ones; null where none does. */
export function recommend(rows: readonly StartRow[]): StartView['recommended'] {
  const byCost = rows.toSorted((a, b) => a.costIndex - b.costIndex);
  const best = byCost.find((r) => r.outcome === 'pass') ?? byCost.find((r) => r.outcome === 'caution');
  if (!best) return null;
  const cheaper = byCost.slice(0, byCost.indexOf(best));
  return {
    method: best.method,
    reasons: [
      `${methodNames[best.method]}: ${cheaper.length === 0 ? 'the cheapest starter, and it will do' : 'the cheapest that will do'}. ${best.text}`,
      ...cheaper.map((r) => `${methodNames[r.method]} costs less, but: ${r.text}`),
    ],
  };
}
