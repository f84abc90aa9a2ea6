import type { Case, StartCurves, StartView } from '../case';
import type { Motor } from '../catalogue';
import {
  assumed,
  commonPractice,
  field,
  methods,
  model,
  prescribed,
  type Given,
  type Method,
  type Source,
  type StartId,
  type Workings,
} from '../law';
import {
  coldShare,
  coldStall,
  coldStallPractice,
  driveLineCurrent,
  driveTorque,
  firstPeak,
  grid,
  gridLength,
  Network,
  onLine,
  gentlestStop,
  inertiaReserve,
  largestMotor,
  limitedCurrent,
  limitedTorque,
  lockedRotorImpedance,
  lockedRotorTorque,
  methodShares,
  pointForTorque,
  reducedHookup,
  runLaws,
  seen,
  seenAt,
  seenLength,
  shareSource,
  softLimitPractice,
  startingCurrent,
  startingTorque,
  startsPerHour,
  tapPractice,
  torqueFromPower,
  torqueReserve,
  voltageDip,
  type Circuit,
  type Fitted,
  type MethodShares,
  type Run,
  type StartCase,
  type AnyPlan,
} from '../physics';
import { q, writeQuantity } from '../quantity';
import { driveOverload } from './candidate';
import { methodNames } from './explain';
import { machineView, pinnedCircuit, tellFitted } from './machine';
import { fittedCircuit, startCase } from './startBench';
import { curvesOf } from './startCurves';
import { recommend, rowOf, tryMethod, type Tried } from './startCompare';
import type { DriveAim } from './startPlans';
import { numberOf, type Subject } from './subject';
import { percent, type Needs, type Walk } from './walk';

/** What Start hands to the result beside its figures. */
export interface StartTold {
  readonly view: StartView;
  readonly curves: StartCurves;
  readonly starting: Starting;
}

/** One motor, load and supply ready to be started again with other settings. */
export interface Starting {
  readonly bench: StartCase;
  readonly aim: DriveAim;
  readonly settings: Case['start'];
  /** The subject's own method. */
  readonly method: Method;
  readonly pipe: number | undefined;
  readonly pump: boolean;
  /** False where nobody described the source: no dip is claimed. */
  readonly sourceKnown: boolean;
}

/**
 * The subject's start by every method: at standstill in closed form, and, where the motor's circuit and the supply's voltage are known,
 * simulated on this load and this supply.
 */
export function tellStart(walk: Walk, needs: Needs, subject: Subject): StartTold | undefined {
  const { input, w } = walk;
  w.enter('start');
  const supply: Given<'V'> = field('supply.voltage', input.supply?.voltage?.value, input.supply?.voltage?.text);
  w.figure('start.ratedTorque', torqueFromPower, { P: subject.power, n: subject.speed });
  w.figure('start.lockedRotorTorque', lockedRotorTorque, { t: subject.lockedRotorTorque, T_r: 'start.ratedTorque' });
  w.stated(
    'start.lockedRotorCurrent',
    'A',
    subject.lockedRotorCurrent.value,
    subject.lockedRotorCurrent.source ?? { kind: 'given', title: 'Code letter of the plate', fromMemory: false },
    { field: subject.lockedRotorCurrent.field, assumed: subject.lockedRotorCurrent.assumed, symbol: 'I_LR' },
  );
  w.figure('start.lockedRotorImpedance', lockedRotorImpedance, {
    U_r: subject.voltage,
    I_LR: 'start.lockedRotorCurrent',
  });
  const known = needs.supply.impedance !== undefined;
  if (!known) {
    w.stated(
      'start.sourceImpedance',
      'ohm',
      q(0, 'ohm'),
      { kind: 'given', title: 'Nobody described the source', fromMemory: false },
      {
        field: 'supply.source',
        assumed: 'the source is not described: current is given as on a stiff supply, and no dip is claimed',
        symbol: 'Z_s',
      },
    );
  }
  for (const method of methods) tellStandstill(walk, needs, subject, method, supply, known);
  const told = simulateAll(walk, needs, subject, supply);
  if (!told) {
    for (const method of methods) peakAtStandstill(walk, needs, subject, method, supply, known);
    judgeStandstill(walk, subject);
  }
  return told;
}

/** Where nothing is simulated, standstill is taken for the peak. */
function peakAtStandstill(
  walk: Walk,
  needs: Needs,
  subject: Subject,
  method: Method,
  supply: Given<'V'>,
  known: boolean,
): void {
  const { w } = walk;
  tellCurrent(walk, needs, subject, method, supply, `start.${method}.peakCurrent`);
  if (known)
    w.figure(`start.${method}.voltageDip`, voltageDip, {
      I_st: `start.${method}.peakCurrent`,
      Z_s: 'start.sourceImpedance',
      U: supply,
    });
}

/** Line current at standstill of one method, in closed form. */
function tellCurrent(
  { w }: Walk,
  needs: Needs,
  subject: Subject,
  method: Method,
  U: Given<'V'>,
  id: StartId<'peakCurrent' | 'standstillCurrent'>,
): void {
  const shares = methodShares(method, needs.starter);
  const line = { U, Z_s: 'start.sourceImpedance', Z_LR: 'start.lockedRotorImpedance' } as const;
  if (shares) w.figure(id, startingCurrent, { ...line, c: prescribed(q(shares.current, '1'), sourceOf(shares)) });
  else if (method === 'soft-starter')
    w.figure(id, limitedCurrent, {
      ...line,
      m: prescribed(q(needs.starter.softLimit, '1'), softLimitPractice),
      I_n: subject.current,
    });
  else w.figure(id, driveLineCurrent, { k: overloadOf(needs), I_n: subject.current });
}

const sourceOf = (shares: MethodShares): Source => (shares.tap === undefined ? shareSource : tapPractice);
const overloadOf = (needs: Needs): Given<'1'> =>
  field('load.shape', q(driveOverload(needs), '1'), `${driveOverload(needs)} × for this kind of load`);

/** Standstill current, torque and dip of one method, in closed form. */
function tellStandstill(
  walk: Walk,
  needs: Needs,
  subject: Subject,
  method: Method,
  supply: Given<'V'>,
  known: boolean,
): void {
  const { w } = walk;
  const shares = methodShares(method, needs.starter);
  tellCurrent(walk, needs, subject, method, supply, `start.${method}.standstillCurrent`);
  if (known)
    w.figure(`start.${method}.standstillDip`, voltageDip, {
      I_st: `start.${method}.standstillCurrent`,
      Z_s: 'start.sourceImpedance',
      U: supply,
    });
  if (shares)
    w.figure(`start.${method}.startingTorque`, startingTorque, {
      T_LR: 'start.lockedRotorTorque',
      U: supply,
      dip: known
        ? `start.${method}.standstillDip`
        : assumed('supply.source', q(0, '1'), 'the source is not described: no dip is counted'),
      U_r: subject.voltage,
      c: prescribed(q(shares.torque, '1'), sourceOf(shares)),
    });
  else if (method === 'soft-starter')
    w.figure(`start.${method}.startingTorque`, limitedTorque, {
      T_LR: 'start.lockedRotorTorque',
      I_st: `start.${method}.standstillCurrent`,
      I_LR: 'start.lockedRotorCurrent',
    });
  else w.figure(`start.${method}.startingTorque`, driveTorque, { k: overloadOf(needs), T_r: 'start.ratedTorque' });
  w.figure(`start.${method}.breakawayMargin`, torqueReserve, {
    T_st: `start.${method}.startingTorque`,
    T_b: 'load.breakawayTorque',
  });
}

interface Machine {
  readonly circuit: Circuit;
  readonly fitted: Fitted | undefined;
  readonly motor: Motor;
}

function machineOf(walk: Walk, subject: Subject): Machine | undefined {
  const { motor } = subject;
  if (!motor) return undefined;
  const pinned = motor.id === 'pinned-circuit' ? pinnedCircuit(walk) : undefined;
  if (pinned) return { circuit: pinned, fitted: undefined, motor };
  const voltage = numberOf(walk.w, subject.voltage);
  const fitted = voltage === undefined ? undefined : fittedCircuit(motor, voltage);
  return fitted && { circuit: fitted.circuit, fitted, motor };
}

/** Every method on the bench; undefined where the motor's circuit or the supply's voltage is not known. */
function simulateAll(walk: Walk, needs: Needs, subject: Subject, supply: Given<'V'>): StartTold | undefined {
  const { w, input } = walk;
  const machine = machineOf(walk, subject);
  const bench = machine && startCase(walk, needs, subject, machine.circuit);
  if (!machine || !bench) return undefined;
  if (machine.fitted) {
    w.enter('start');
    tellFitted(walk, machine.fitted, machine.motor.name);
  }
  const chosen = subject.method ?? 'direct';
  const aim: DriveAim = { overload: driveOverload(needs), speed: driveSpeed(walk, needs, chosen) };
  const direct = tryMethod(walk, needs, subject, bench, 'direct', aim, undefined, chosen === 'direct');
  const tried = methods.map((m) =>
    m === 'direct' ? direct : tryMethod(walk, needs, subject, bench, m, aim, direct.run?.peakLine, m === chosen),
  );
  for (const t of tried) {
    if (t.run) tellRun(walk, needs, bench, subject, t.method, t.run, supply);
    else peakAtStandstill(walk, needs, subject, t.method, supply, needs.supply.impedance !== undefined);
  }
  const own = tried.find((t) => t.method === chosen);
  if (own) {
    judgeSubject(walk, needs, own, direct);
    tellHeat(walk, needs, bench, own);
    tellAdvice(walk, bench, own);
  }
  tellInertiaLimit(walk, machine.motor);
  const rows = tried.map((t) => rowOf(needs, subject, bench, t));
  const assumedOfMotor = machine.motor.assumed?.map((f) => `${f}: usual for the rating`) ?? [];
  return {
    view: {
      rows,
      recommended: recommend(rows),
      machine: machineView(machine.motor.name, machine.circuit, machine.fitted, assumedOfMotor),
    },
    curves: curvesOf(bench, tried, own),
    starting: {
      bench,
      aim,
      settings: input.start,
      method: chosen,
      pipe: input.start?.softStarter?.pipe?.value,
      pump: isPump(input),
      sourceKnown: needs.supply.impedance !== undefined,
    },
  };
}

/** Speed a drive would bring the machine to, r/min: where it works. */
const driveSpeed = ({ w }: Walk, needs: Needs, chosen: Method): number =>
  (chosen === 'drive' ? w.value('point.motorSpeed') : undefined) ?? needs.load.speed * Math.max(1, needs.speed.max);

/** The figures of one simulated start; peak current and dip take the place of those at standstill. */
function tellRun(
  { w }: Walk,
  needs: Needs,
  bench: StartCase,
  subject: Subject,
  method: Method,
  run: Run,
  U: Given<'V'>,
): void {
  const laws = runLaws(run);
  const known = needs.supply.impedance !== undefined;
  const common = { U, Z_s: 'start.sourceImpedance' } as const;
  w.figure(`start.${method}.peakCurrent`, laws.peakCurrent, { ...common, Z_LR: 'start.lockedRotorImpedance' });
  if (known) {
    w.figure(`start.${method}.voltageDip`, laws.dip, { ...common, I_pk: `start.${method}.peakCurrent` });
    if (method !== 'drive') w.figure(`start.${method}.terminalDip`, laws.terminalDip, common);
    if (run.dip > 0.001)
      w.figure(`start.${method}.largestMotor`, largestMotor, {
        P: subject.power,
        dip: `start.${method}.voltageDip`,
        d_max: { rule: 'maxDip', value: q(Math.min(0.9, needs.rules.maxDip), '1') },
      });
  }
  if (run.time !== undefined)
    w.figure(`start.${method}.time`, laws.time, { J: 'start.inertia', T_L: 'load.motorTorque', U });
  w.figure(`start.${method}.torqueMargin`, laws.margin, { T_L: 'load.motorTorque', U });
  if (run.outcome === 'running')
    w.figure(`start.${method}.thermalUse`, laws.thermalUse, { J: 'start.inertia', t_E: 'start.stallTime' });
  // Behind phase control or a drive the current rises without an offset.
  const controlled = method === 'soft-starter' || method === 'drive';
  w.figure(`start.${method}.firstPeak`, firstPeak, {
    I: `start.${method}.peakCurrent`,
    r: prescribed(
      q(controlled ? 3 : pathRatio(bench), '1'),
      controlled
        ? model('No offset', 'current is let in gradually')
        : model('R/X of source, cable and machine at standstill'),
    ),
  });
}

/** R ÷ X of the whole path at standstill. */
function pathRatio(bench: StartCase): number {
  const view = new Float64Array(seenLength);
  seenAt(bench.circuit, bench.feed.frequency, 1, view);
  const r = (view[seen.resistance] ?? 0) + bench.feed.cable.resistance;
  const x = (view[seen.reactance] ?? 0) + bench.feed.cable.reactance + bench.feed.reactance;
  return r / x;
}

/** Findings of the subject's own method; a direct start the supply does not bear is told besides. */
function judgeSubject({ w, rules }: Walk, needs: Needs, own: Tried, direct: Tried): void {
  const { method } = own;
  for (const problem of own.problems) {
    if (problem.id === 'start.no-speed-control' || problem.id === 'start.source-unknown') continue;
    const id = problem.id === 'start.too-hot' ? 'start.too-long' : problem.id;
    w.finding(id, problem.level === 'fail' ? 'stop' : 'caution', `${methodNames[method]}: ${advised(problem.text, problem.id, w.text(`start.${method}.largestMotor`))}`, {
      fields: fieldsOf[problem.id] ?? ['method'],
      figures: figuresOf(problem.id, method),
    });
  }
  const dip = direct.run?.dip;
  if (method !== 'direct' && needs.supply.impedance !== undefined && dip !== undefined && dip > rules.maxDip)
    w.finding(
      'start.supply-weak',
      'note',
      `Direct on line would draw ${w.text('start.direct.peakCurrent')} and dip the bus by ${percent(dip, 1)}; the house rule allows ${percent(rules.maxDip)}.`,
      { fields: ['supply.source'], figures: ['start.direct.voltageDip', 'start.direct.peakCurrent'] },
    );
} // prettier-ignore

function advised(text: string, id: string, largest: string): string {
  switch (id) {
    case 'start.stalls':
      return `${text} Take a drive, a motor with more starting torque, a higher setting, or start unloaded.`;
    case 'start.supply-weak':
      return `${text} This source starts about ${largest} so. Take a gentler method or a stiffer source.`;
    case 'start.too-long':
      return `${text} Raise the limit or shorten the ramp, if supply and machine bear it.`;
    case 'start.too-hot':
      return `${text} Ask the maker for the permitted run-up, or take a method with more torque.`;
    default:
      return text;
  }
}

const fieldsOf: Readonly<Record<string, readonly string[]>> = {
  'start.stalls': ['method', 'load.breakaway', 'load.shape'],
  'start.crawls': ['method', 'load.shape'],
  'start.too-long': ['load.maxStartTime', 'load.inertia', 'method'],
  'start.too-hot': ['load.inertia', 'start.stallTime'],
  'start.supply-weak': ['supply.source'],
  'start.jolts': ['method'],
};

function figuresOf(id: string, method: Method) {
  switch (id) {
    case 'start.stalls':
    case 'start.crawls':
    case 'start.little-margin':
      return [`start.${method}.torqueMargin`, `start.${method}.startingTorque`, 'load.breakawayTorque'] as const;
    case 'start.too-long':
      return [`start.${method}.time`, 'start.inertia'] as const;
    case 'start.too-hot':
      return [`start.${method}.thermalUse`, 'start.stallTime', 'start.inertia'] as const;
    case 'start.supply-weak':
      return [`start.${method}.voltageDip`, `start.${method}.peakCurrent`] as const;
    default:
      return [`start.${method}.peakCurrent`] as const;
  }
}

/** Heat from cold, starts an hour, cool-down. */
function tellHeat({ input, w }: Walk, needs: Needs, bench: StartCase, { method, run }: Tried): void {
  if (run?.outcome !== 'running') return;
  w.figure('start.coldUse', coldShare, {
    h: `start.${method}.thermalUse`,
    k_c: prescribed(q(coldStall, '1'), coldStallPractice),
  });
  const c = bench.circuit;
  const lossesAt = (torque: number): number | undefined => {
    const p = pointForTorque(c, bench.feed.voltage, bench.feed.frequency, torque);
    return p && p.input - p.output;
  };
  const rated = lossesAt(bench.ratedTorque);
  const running = lossesAt(needs.load.torque);
  if (rated === undefined || running === undefined) return;
  const source = model('Losses by the circuit', 'at rated torque and at the load’s');
  const z = w.figure('start.startsPerHour', startsPerHour, {
    P_r: prescribed(q(rated, 'W'), source),
    P_run: prescribed(q(running, 'W'), source),
    E_st: prescribed(q(run.energy.stator + run.energy.rotor, 'J'), model('Heat of the simulated start', 'stator and rotor')),
  });
  const wanted = input.load?.startsPerHour;
  if (z === undefined) return;
  if (wanted !== undefined && wanted > z)
    w.finding('start.too-often', 'caution', `${wanted} starts an hour asked; by heat it bears about ${writeQuantity(z, '1/h')} at this load. Start gentler, take a larger motor, or leave it running.`, { fields: ['load.startsPerHour'], figures: ['start.startsPerHour'] });
  if (z > 0)
    w.fact('start.cool-down', 'Between starts', `About ${writeQuantity(3600 / z, 's')} running between two starts keeps the mean heat at full load’s.`, commonPractice('Mean heat'), { figures: ['start.startsPerHour'], estimate: true });
} // prettier-ignore

const isPump = (input: Case): boolean => input.load?.machine?.endsWith('pump') ?? false;

/** What goes with a method beside its settings. */
function tellAdvice({ input, w }: Walk, bench: StartCase, { method, run, planned }: Tried): void {
  const crest = w.value(`start.${method}.firstPeak`);
  if (run && crest !== undefined && method !== 'soft-starter' && method !== 'drive')
    w.fact(
      'start.instantaneous',
      'Instantaneous trip',
      `Set above a first crest of about ${writeQuantity(crest, 'A')} (${(crest / bench.ratedCurrent).toFixed(1)} × rated current); the first cycles on demand say more.`,
      commonPractice('An instantaneous trip must not see the first cycle'),
      { figures: [`start.${method}.firstPeak`], estimate: true },
    );
  tellShare(w, bench, planned.plan);
  if (method !== 'soft-starter') return;
  const own = input.start?.softStarter;
  w.finding(
    'start.live-output',
    'note',
    'A soft starter’s output is live when off: its semiconductors leak. Isolate, lock and prove dead; add a line contactor where that matters.',
    {},
  );
  if (own?.bypass === false)
    w.finding('start.no-bypass', 'caution', 'Without a bypass the semiconductors carry the running current and heat the panel all year.', { fields: ['start.softStarter.bypass'] });
  if (!isPump(input)) return;
  const least = gentlestStop(bench, own?.pipe?.value);
  w.stated('start.stopTime', 's', q(least, 's'), commonPractice('Ten reflections of the pipeline, or 10 s; never less than three times coasting to half speed'), { field: 'start.softStarter.pipe', symbol: 't_stop', assumed: own?.pipe ? undefined : 'the pipeline’s length is not given: 10 s' });
  if (own?.stop !== undefined && own.stop.value < least)
    w.finding('start.slams', 'caution', `A stop in ${own.stop.text} may slam the check valve: about ${writeQuantity(least, 's')} is gentle (an estimate; the pipeline decides).`, { fields: ['start.softStarter.stop', 'start.softStarter.pipe'], figures: ['start.stopTime'] });
} // prettier-ignore

/** How much of a direct start a reduced one takes on this supply, and why that is not its share on a stiff one. */
function tellShare(w: Workings, bench: StartCase, plan: AnyPlan): void {
  if (plan.method === 'direct' || plan.method === 'soft-starter' || plan.method === 'drive') return;
  const net = new Network(bench.circuit, bench.feed);
  const { frequency, voltage, reactance } = bench.feed;
  const hookup = reducedHookup(bench.circuit, frequency, plan);
  const [direct, reduced] = [new Float64Array(gridLength), new Float64Array(gridLength)];
  net.solve(0, onLine, undefined, voltage, reactance, direct);
  net.solve(0, hookup, undefined, voltage, reactance, reduced);
  const of = (index: number): number => (reduced[index] ?? 0) / (direct[index] ?? 1);
  const stiff = methodShares(plan.method, { tap: hookup.tap, reactorShare: plan.method === 'primary-reactor' ? plan.share : 1, softLimit: 0 });
  if (!stiff) return;
  w.fact('start.share', 'Share of a direct start', `At standstill on this supply it takes ${percent(of(grid.line))} of the direct line current and gives ${percent(of(grid.torque))} of its torque; on a stiff one ${percent(stiff.current)} and ${percent(stiff.torque)}. The direct start dips source and cable more, so its own current and torque are less here.`, shareSource, { figures: [`start.${plan.method}.standstillCurrent`, 'start.sourceImpedance'] });
} // prettier-ignore

/** The standard's own limit of load inertia, as a cross-check of the simulation. */
function tellInertiaLimit({ practice, w, input }: Walk, motor: Motor): void {
  const limit = practice.inertiaLimit(motor.power, motor.poles);
  w.stated('start.inertiaLimit', 'kg.m2', q(limit.value, 'kg.m2'), limit.source, { symbol: 'J_max' });
  const load = input.load?.inertia ? ('load.inertiaAtMotor' as const) : ('start.loadInertia' as const);
  const reserve = w.figure('start.inertiaReserve', inertiaReserve, { J_max: 'start.inertiaLimit', J_L: load });
  if (reserve !== undefined && reserve < 0)
    w.finding('start.heavy', 'caution', `The load’s inertia of ${w.text(load)} is above the ${w.text('start.inertiaLimit')} the standard lets this rating start on the full line: ask the maker.`, { fields: ['load.inertia'], figures: ['start.inertiaReserve', 'start.inertiaLimit'], source: limit.source });
} // prettier-ignore

/** What standstill alone says, where nothing could be simulated. */
function judgeStandstill({ w, rules }: Walk, subject: Subject): void {
  const method = subject.method ?? 'direct';
  const margin = w.value(`start.${method}.breakawayMargin`);
  if (margin !== undefined && margin < 0) {
    w.finding(
      'start.stalls',
      'stop',
      `${methodNames[method]} gives ${w.text(`start.${method}.startingTorque`)} at standstill, the load asks ${w.text('load.breakawayTorque')} to break away: it would stall. Take a drive, a motor with more starting torque, or start unloaded.`,
      {
        fields: ['method', 'load.breakaway'],
        figures: [`start.${method}.startingTorque`, 'load.breakawayTorque'],
      },
    );
  }
  const direct = w.value('start.direct.voltageDip');
  if (direct !== undefined && direct > rules.maxDip) {
    w.finding(
      'start.supply-weak',
      method === 'direct' ? 'stop' : 'note',
      `Direct on line would draw ${w.text('start.direct.peakCurrent')} and dip the bus by ${percent(direct, 1)}; the house rule allows ${percent(rules.maxDip)}.`,
      { fields: ['supply.source'], figures: ['start.direct.voltageDip', 'start.direct.peakCurrent'] },
    );
  }
}

export function startKey({ w }: Walk, method: Method | null): string {
  if (method === null) return 'nothing to start';
  const dip = w.value(`start.${method}.voltageDip`);
  const current = w.figures.get(`start.${method}.peakCurrent`)?.text;
  if (!current) return methodNames[method];
  const time = w.value(`start.${method}.time`);
  const quick = time === undefined ? '' : ` · ${time < 10 ? time.toFixed(1) : Math.round(time)} s`;
  return dip === undefined
    ? `${methodNames[method]}, ${current}${quick}`
    : `${current}, dip ${percent(dip, 1)}${quick}`;
}
