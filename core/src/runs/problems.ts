import { exceeds } from '../law';
import type { Motor } from '../catalogue';
import type { Method } from '../contract';
import { isStallGiven, percent, startsToday, type CableImpedance, type Needs } from '../needs';
import { startTorqueAt, type Fitted, type Run, type StartCase } from '../physics';
import { anyStall, keeps, unlimitedStart, weakestNetwork } from '../practice';
import { writeQuantity } from '../quantity';

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
    | 'start.too-often'
    | 'cable.drop'
    | 'start.upstream-unknown'
    | 'start.stall-unknown'
    | 'start.heavy';
  /** A condition passes if an input that nobody gave keeps a limit; a note is tight, and passes. */
  readonly level: 'fail' | 'caution' | 'condition' | 'note';
  readonly text: string;
  /** Of a condition: from which, or up to which, it holds. */
  readonly limit?: string;
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

/**
 * ÷ rated torque that any motor has behind a drive from standstill: by vector control for a while, by volts per hertz
 * what it has for good. Common practice.
 */
const owedOnDrive = (control: string | undefined): number => (control === 'scalar' ? 1 : 1.5);

/** Starts an hour that any motor bears, spread out (NEMA MG 1 12.54: two from cold, one from hot; from memory). */
const alwaysBorne = 2;

/** What stands where there is no run: star-delta on a motor not made for it. */
export function missingLeads({ name, deltaVoltage }: Motor): Problem {
  const has = deltaVoltage === null ? 'does not say it has them' : `has delta at ${writeQuantity(deltaVoltage, 'V')}`;
  return {
    id: 'start.six-leads',
    level: 'fail',
    text: `Star-delta needs both ends of three windings and delta at line voltage; ${name} ${has}.`,
  };
}

/**
 * What speaks against a start as it was simulated, worst first. `directPeak`: A, where a changeover is compared with a
 * direct start; `starts`: what the motor bears an hour, undefined where nothing limits it.
 */
export function problemsOf(
  needs: Needs,
  bench: StartCase & { readonly cable?: CableImpedance | undefined; readonly fitted?: Fitted | undefined },
  method: Method,
  motor: Pick<Motor, 'id' | 'power' | 'poles' | 'pullUpTorque'>,
  run: Run,
  directPeak: number | undefined,
  starts: number | undefined,
): Problem[] {
  const list: Problem[] = [];
  const add = (id: Problem['id'], level: Problem['level'], text: string, limit?: string): void =>
    void list.push({ id, level, text, ...(limit !== undefined && { limit }) });
  const synchronous = (120 * bench.feed.frequency) / bench.circuit.poles;
  const stage = stageNames[method];
  const held =
    run.outcome === 'stalled'
      ? `Stalls${stage ? ` ${stage}` : ''}: at ${run.heldAt ? `${Math.round(run.heldAt)} r/min` : 'standstill'} ` +
        `the load asks ${writeQuantity(-run.margin, 'N.m')} more than the motor gives.`
      : run.outcome === 'crawling'
        ? `Crawls: the load crosses the motor’s torque at ${percent((run.heldAt ?? 0) / synchronous)} ` +
          `speed${stage ? ` ${stage}` : ''}.`
        : undefined;
  if (held !== undefined) {
    const doubt = doubtOf(needs, bench, method, motor, run);
    add(
      'start.stalls',
      doubt === undefined ? 'fail' : 'caution',
      doubt === undefined ? held : `${doubt} By it: ${held}`,
    );
  } else if (run.outcome === 'unfinished')
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
  if (!isStallGiven(needs, motor.power) && run.outcome === 'running' && heat <= line.hot) {
    const asked = heat * needs.start.stallTime;
    if (asked > anyStall)
      add(
        'start.stall-unknown',
        'condition',
        `Holds if it bears standing still for ${writeQuantity(asked, 's')} from hot.`,
      );
  }
  // Less voltage heats the rotor as much; a drive does not.
  if (method !== 'drive' && needs.start.loadInertia !== undefined && !needs.start.stallTyped) {
    const limit = needs.practice.inertiaLimit(motor.power, motor.poles).value;
    if (exceeds(needs.start.loadInertia, limit))
      add(
        'start.heavy',
        'caution',
        `Its ${writeQuantity(needs.start.loadInertia, 'kg.m2')} of load are more than the ` +
          `${writeQuantity(limit, 'kg.m2')} that the standard lets this rating start: ask its maker, ` +
          'or give the stall time it states.',
      );
  }
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
    const level = needs.supply.upstreamKnown ? 0 : leastNetwork(needs, run);
    if (kept === 'well' && level > weakestNetwork) {
      const limit = writeQuantity(roundedUp(level), 'VA');
      const text = `Holds from ${limit} of fault level behind the bank, which nobody gave.`;
      add('start.upstream-unknown', 'condition', text, limit);
    }
  }
  const { drop, maxDrop, name } = bench.cable ?? {};
  if (drop !== undefined && maxDrop !== undefined && exceeds(drop, maxDrop))
    add(
      'cable.drop',
      'caution',
      `${percent(drop, 1)} of the voltage is lost on ${name ?? 'the cable'}, ${percent(maxDrop, 1)} is wished.`,
    );
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
  const order = { fail: 0, caution: 1, condition: 2, note: 3 };
  return list.toSorted((a, b) => order[a.level] - order[b.level]);
}

/**
 * Why a start that stalls by its circuit is not said to stall: the motor runs today by this starter, or the circuit
 * does not meet its data while what a maker owes would start it. Undefined where the circuit stands.
 */
function doubtOf(
  needs: Needs,
  bench: StartCase & { readonly fitted?: Fitted | undefined },
  method: Method,
  motor: Pick<Motor, 'id' | 'pullUpTorque'>,
  run: Run,
): string | undefined {
  if (startsToday(needs, motor, method))
    return 'It starts so today: the circuit fitted to its plate, the load or the source is doubted.';
  if (bench.fitted?.reason === undefined) return undefined;
  const { load, ratedTorque, feed, circuit } = bench;
  const direct = motor.pullUpTorque * ((feed.voltage * (1 - run.dip)) / circuit.voltage) ** 2;
  const owed =
    method === 'drive' ? owedOnDrive(needs.start.settings?.drive?.control) : method === 'direct' ? direct : 0;
  let asked = 0;
  for (let i = 0; i <= 20; i++) asked = Math.max(asked, startTorqueAt(load, (load.speed * i) / 20));
  return owed * ratedTorque >= asked
    ? 'No one motor has all its values, and what its maker owes would start it: the circuit fitted to them is doubted.'
    : undefined;
}

/** Least fault level in VA behind the bank with which the dip stays within the house rule; Infinity where none does. */
function leastNetwork({ supply, rules }: Needs, run: Run): number {
  const left = rules.maxDip - run.dip;
  return left <= 0 ? Infinity : (Math.sqrt(3) * (supply.voltage ?? 0) * run.peakLine) / left;
}

/** To two figures, upwards. */
export function roundedUp(value: number): number {
  const step = 10 ** Math.floor(Math.log10(Math.max(value, 1)) - 1);
  return Math.ceil(value / step - 1e-9) * step;
}

/** How a method's reduced stage is spoken of. */
const stageNames: Readonly<Partial<Record<Method, string>>> = {
  'star-delta': 'in star',
  autotransformer: 'on the tap',
  'primary-reactor': 'on the series element',
  'soft-starter': 'at the current limit',
  drive: 'at the current limit',
};
