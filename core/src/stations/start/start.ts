import type { Case, StartCurves, StartView } from '../../case';
import { methods, model, type Method } from '../../contract';
import { field, prescribed, type Given } from '../../law';
import {
  crestRise,
  firstPeak,
  largestMotor,
  lockedRotorImpedance,
  lockedRotorTorque,
  runLaws,
  seen,
  saturationOf,
  seenFed,
  seenLength,
  torqueFromPower,
  type Run,
  type StandstillSettings,
  type StartCase,
} from '../../physics';
import { q } from '../../quantity';
import { losesOnFullLine, percent, type Needs, type Subject, type Walk } from '../../needs';
import { benchFor, triedOf, type DriveAim, type Tried, type UsualSettings } from '../../runs';
import { methodNames } from '../../contract';
import { machineView, tellFitted } from './machine';
import { isPump, tellAdvice, tellHeat, tellInertiaLimit } from './advice';
import { tellBench } from './bench';
import { recommend, rowOf } from './compare';
import { curvesOf } from './curves';
import { dipsBy, judgeStandstill, peakAtStandstill, tellStandstill, type Standstill } from './standstill';

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
  /** What was found to be set where the case leaves it open. */
  readonly usual: Partial<UsualSettings>;
  /** The subject's own method. */
  readonly method: Method;
  readonly pipe: number | undefined;
  readonly pump: boolean;
  /** False where nobody described the source: no dip is claimed. */
  readonly sourceKnown: boolean;
}

/**
 * The subject's start by every method: at standstill in closed form, and, where the motor's circuit and the supply's
 * voltage are known,
 * simulated on this load and this supply.
 */
export function tellStart(walk: Walk, needs: Needs, subject: Subject, chosen?: Method): StartTold | undefined {
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
  const tried = triedAll(needs, subject);
  const still: Standstill = { walk, needs, subject, supply, known, starter: startersOf(needs, tried) };
  for (const method of startable(needs)) tellStandstill(still, method);
  const told = tellSimulated(still, tried, chosen);
  if (!told) {
    for (const method of startable(needs)) peakAtStandstill(still, method);
    judgeStandstill(walk, subject);
  }
  return told;
}

/** What can start a motor on this supply at all: on one phase a drive alone. */
const startable = ({ supply }: Needs): readonly Method[] => (supply.phases === 1 ? ['drive'] : methods);

/** Every method of the subject's motor, simulated; none where its circuit or the supply's voltage is not known. */
function triedAll(needs: Needs, { motor, method }: Subject): readonly Tried[] {
  if (!motor) return [];
  return startable(needs).flatMap((m) => triedOf(needs, motor, m, m === (method ?? 'direct')) ?? []);
}

/** Settings that standstill depends on, as they were found. */
const startersOf = ({ starter }: Needs, tried: readonly Tried[]): StandstillSettings =>
  tried.reduce(
    (all, { usual }) => ({
      tap: usual.tap ?? all.tap,
      reactorShare: usual.reactorShare ?? all.reactorShare,
      softLimit: usual.softLimit ?? all.softLimit,
    }),
    starter,
  );

/** What the simulated starts say; undefined where nothing could be simulated. */
function tellSimulated(still: Standstill, tried: readonly Tried[], taken: Method | undefined): StartTold | undefined {
  const { walk, needs, subject, supply } = still;
  const { input } = walk;
  const { motor } = subject;
  const bench = motor && benchFor(needs, motor, subject.method ?? 'direct');
  if (!motor || !bench) return undefined;
  tellBench(walk, needs, subject, motor);
  if (bench.fitted) tellFitted(walk, bench.fitted, motor.name);
  const chosen = subject.method ?? 'direct';
  for (const t of tried) {
    if (t.run) tellRun(walk, needs, bench, subject, t.method, t.run, supply);
    else peakAtStandstill(still, t.method);
  }
  const own = tried.find((t) => t.method === chosen);
  if (own) {
    judgeSubject(
      walk,
      needs,
      own,
      tried.find((t) => t.method === 'direct'),
    );
    tellHeat(walk, needs, motor, own);
    tellAdvice(walk, bench, own);
  }
  tellInertiaLimit(walk, motor, chosen);
  const rows = tried.map((t) => rowOf(needs, subject, t));
  const assumedOfMotor = motor.assumed
    ? [
        ...motor.assumed.map((f) => `${f.replace(/([A-Z])/g, ' $1').toLowerCase()}: usual for the rating`),
        'locked-rotor and breakdown torque, which no plate says: by the design letter, or what such a cage gives',
      ]
    : [];
  return {
    view: {
      rows,
      recommended: recommend(rows, taken),
      machine: machineView(motor.name, bench.circuit, bench.fitted, assumedOfMotor),
    },
    curves: curvesOf(bench, tried, own),
    starting: {
      bench,
      aim: bench.aim,
      settings: input.start,
      usual: Object.assign({}, ...tried.map((t) => t.usual)) as Partial<UsualSettings>,
      method: chosen,
      pipe: input.start?.softStarter?.pipe?.value,
      pump: isPump(input),
      sourceKnown: needs.supply.impedance !== undefined,
    },
  };
}

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
  const common = { U, Z_s: dipsBy(w) } as const;
  w.figure(`start.${method}.peakCurrent`, laws.peakCurrent, { ...common, Z_LR: 'start.lockedRotorImpedance' });
  if (known) {
    w.figure(`start.${method}.voltageDip`, laws.dip, { ...common, I_pk: `start.${method}.peakCurrent` });
    if (method !== 'drive') w.figure(`start.${method}.terminalDip`, laws.terminalDip, common);
    if (needs.place.cable !== undefined && losesOnFullLine(method))
      w.figure(`start.${method}.cableDrop`, laws.cableDrop, common);
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
  const path = controlled ? undefined : standingPath(bench);
  w.figure(`start.${method}.firstPeak`, firstPeak, {
    I: `start.${method}.peakCurrent`,
    r: prescribed(
      q(path?.ratio ?? 3, '1'),
      path
        ? model('R/X of source, cable and machine at standstill')
        : model('No offset', 'current is let in gradually'),
    ),
    k: prescribed(
      q(path ? crestRise(saturationOf(bench.circuit), run.peakMotor, path.ratio, path.leakage) : 1, '1'),
      model(
        'Leakage that gives way beyond the locked-rotor current',
        bench.circuit.saturation ? 'as its data ask for' : 'a third of it through iron (common practice, from memory)',
      ),
    ),
  });
}

/** The whole path at standstill: R ÷ X, and how much of X is the machine's leakage. */
function standingPath({ circuit, feed }: StartCase): { readonly ratio: number; readonly leakage: number } {
  const view = new Float64Array(seenLength);
  seenFed(circuit, feed.voltage, feed.frequency, 1, view);
  const r = (view[seen.resistance] ?? 0) + feed.cable.resistance;
  const machine = view[seen.reactance] ?? 0;
  const x = machine + feed.cable.reactance + feed.reactance;
  return { ratio: r / x, leakage: machine / x };
}

/** Findings of the subject's own method; a direct start the supply does not bear is told besides. */
function judgeSubject({ w, rules }: Walk, needs: Needs, own: Tried, direct: Tried | undefined): void {
  const { method } = own;
  for (const problem of own.problems) {
    if (problem.id === 'start.no-speed-control' || problem.id === 'start.source-unknown') continue;
    if (isElsewhere(problem.id)) continue;
    const id = problem.id === 'start.too-hot' ? 'start.too-long' : problem.id;
    w.finding(
      id,
      findingLevel[problem.level],
      `${methodNames[method]}: ${advised(problem.text, problem.id, w.text(`start.${method}.largestMotor`))}`,
      {
        fields: fieldsOf[problem.id] ?? ['method'],
        figures: figuresOf(problem.id, method),
      },
    );
  }
  const dip = direct?.run?.dip;
  if (method !== 'direct' && needs.supply.impedance !== undefined && dip !== undefined && dip > rules.maxDip)
    w.finding(
      'start.supply-weak',
      'note',
      `Direct on line would draw ${w.text('start.direct.peakCurrent')} and dip the bus by ` +
        `${percent(dip, 1)}; the house rule allows ${percent(rules.maxDip)}.`,
      { fields: ['supply.source'], figures: ['start.direct.voltageDip', 'start.direct.peakCurrent'] },
    );
}

/** Problems that are told where they belong, or that are a condition of the choice. */
const elsewhere = [
  'start.too-often',
  'cable.drop',
  'start.upstream-unknown',
  'start.stall-unknown',
  'start.heavy',
] as const;
const isElsewhere = (id: string): id is (typeof elsewhere)[number] => elsewhere.some((other) => other === id);

const findingLevel = { fail: 'stop', caution: 'caution', condition: 'note', note: 'note' } as const;

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
