import type { Case } from '../../case';
import type { Motor } from '../../catalogue';
import { commonPractice, model, type Method } from '../../contract';
import { prescribed, type Workings } from '../../law';
import {
  coldShare,
  coldStall,
  coldStallPractice,
  grid,
  gridLength,
  Network,
  onLine,
  gentlestStop,
  inertiaReserve,
  methodShares,
  reducedHookup,
  shareSource,
  startsPerHour,
  type StartCase,
  type AnyPlan,
} from '../../physics';
import { q, writeNumber, writeQuantity } from '../../quantity';
import { lossesOf, startsByStandard, type Tried } from '../../runs';
import { type Needs, percent, type Walk } from '../../needs';

/** Heat from cold, starts an hour, cool-down. */
export function tellHeat(
  { w }: Walk,
  needs: Needs,
  motor: Motor | undefined,
  { method, run, bench, problems }: Tried,
): void {
  if (run?.outcome !== 'running') return;
  w.figure('start.coldUse', coldShare, {
    h: `start.${method}.thermalUse`,
    k_c: prescribed(q(coldStall, '1'), coldStallPractice),
  });
  // Behind a drive a start heats no more than running.
  if (method === 'drive') return;
  const losses = lossesOf(needs, bench);
  if (!losses) return;
  const source = model('Losses by the circuit', 'at rated torque and at the load’s');
  const z = w.figure('start.startsPerHour', startsPerHour, {
    P_r: prescribed(q(losses.rated, 'W'), source),
    P_run: prescribed(q(losses.running, 'W'), source),
    E_st: prescribed(
      q(run.energy.stator + run.energy.rotor, 'J'),
      model('Heat of the simulated start', 'stator and rotor'),
    ),
  });
  if (z === undefined) return;
  const permitted = method === 'direct' && motor ? startsByStandard(needs, motor) : undefined;
  if (permitted)
    w.fact(
      'start.permitted-starts',
      'Starts an hour by the standard',
      `${writeNumber(permitted.value.starts)} with this inertia, ${permitted.value.rest} s of rest at least; ` +
        `the lesser of this and heat counts.`,
      permitted.source,
      { figures: ['start.startsPerHour'] },
    );
  const often = problems.find((p) => p.id === 'start.too-often');
  if (often)
    w.finding('start.too-often', often.level === 'fail' ? 'stop' : 'caution', often.text, {
      fields: ['load.startsPerHour'],
      figures: ['start.startsPerHour'],
    });
  if (z > 0)
    w.fact(
      'start.cool-down',
      'Between starts',
      `About ${writeQuantity(3600 / z, 's')} running between two starts keeps the mean heat at full load’s.`,
      commonPractice('Mean heat'),
      { figures: ['start.startsPerHour'], estimate: true },
    );
}

/** True where stopping it suddenly may slam a check valve. */
export const isPump = (input: Case): boolean => input.load?.machine?.endsWith('pump') ?? false;

/** What goes with a method beside its settings. */
export function tellAdvice({ input, w }: Walk, bench: StartCase, { method, run, planned }: Tried): void {
  const crest = w.value(`start.${method}.firstPeak`);
  if (run && crest !== undefined && method !== 'soft-starter' && method !== 'drive')
    w.fact(
      'start.instantaneous',
      'Instantaneous trip',
      `Set above a first crest of about ${writeQuantity(crest, 'A')} ` +
        `(${(crest / Math.SQRT2 / bench.ratedCurrent).toFixed(1)} × the crest ` +
        `of rated current); the first cycles on demand say more.`,
      commonPractice('An instantaneous trip must not see the first cycle'),
      { figures: [`start.${method}.firstPeak`], estimate: true },
    );
  tellShare(w, bench, planned.plan);
  if (method !== 'soft-starter') return;
  const own = input.start?.softStarter;
  w.finding(
    'start.live-output',
    'note',
    own?.lineContactor
      ? 'A soft starter’s semiconductors leak: its output is dead only with the line ' +
          'contactor open. Isolate, lock and prove dead all the same.'
      : 'A soft starter’s output is live when off: its semiconductors leak. Isolate, ' +
          'lock and prove dead; add a line contactor where that matters.',
    { fields: ['start.softStarter.lineContactor'] },
  );
  if (own?.bypass === false)
    w.finding(
      'start.no-bypass',
      'caution',
      'Without a bypass the semiconductors carry the running current and heat the panel all year.',
      { fields: ['start.softStarter.bypass'] },
    );
  if (!isPump(input)) return;
  const least = gentlestStop(bench, own?.pipe?.value);
  w.stated(
    'start.stopTime',
    's',
    q(least, 's'),
    commonPractice('Ten reflections of the pipeline, or 10 s; never less than three times coasting to half speed'),
    {
      field: 'start.softStarter.pipe',
      symbol: 't_stop',
      assumed: own?.pipe ? undefined : 'the pipeline’s length is not given: 10 s',
    },
  );
  if (own?.stop !== undefined && own.stop.value < least)
    w.finding(
      'start.slams',
      'caution',
      `A stop in ${own.stop.text} may slam the check valve: about ${writeQuantity(least, 's')} ` +
        `is gentle (an estimate; the pipeline decides).`,
      { fields: ['start.softStarter.stop', 'start.softStarter.pipe'], figures: ['start.stopTime'] },
    );
}

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
  const stiff = methodShares(plan.method, {
    tap: hookup.tap,
    reactorShare: plan.method === 'primary-reactor' ? plan.share : 1,
    softLimit: 0,
  });
  if (!stiff) return;
  w.fact(
    'start.share',
    'Share of a direct start',
    `At standstill on this supply it takes ${percent(of(grid.line))} of the direct line current and gives ` +
      `${percent(of(grid.torque))} of its torque; on a stiff one ${percent(stiff.current)} and ` +
      `${percent(stiff.torque)}. The direct start dips source and cable ` +
      `more, so its own current and torque are less here.`,
    shareSource,
    { figures: [`start.${plan.method}.standstillCurrent`, 'start.sourceImpedance'] },
  );
}

/** The standard's own limit of load inertia, as a cross-check of the simulation. */
export function tellInertiaLimit({ practice, w, input }: Walk, motor: Motor, method: Method): void {
  const limit = practice.inertiaLimit(motor.power, motor.poles);
  w.stated('start.inertiaLimit', 'kg.m2', q(limit.value, 'kg.m2'), limit.source, { symbol: 'J_max' });
  const load = input.load?.inertia ? ('load.inertiaAtMotor' as const) : ('start.loadInertia' as const);
  const reserve = w.figure('start.inertiaReserve', inertiaReserve, { J_max: 'start.inertiaLimit', J_L: load });
  if (reserve !== undefined && reserve < 0)
    w.finding(
      'start.heavy',
      // Behind a drive it never slips so far; with a stall time of its maker the run says it better.
      method === 'drive' || input.start?.stallTime ? 'note' : 'caution',
      `The load’s inertia of ${w.text(load)} is above the ${w.text('start.inertiaLimit')} ` +
        `the standard lets this rating start on the full line: ask the maker.`,
      { fields: ['load.inertia'], figures: ['start.inertiaReserve', 'start.inertiaLimit'], source: limit.source },
    );
}
