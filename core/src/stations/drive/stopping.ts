import type { DriveCurves, DriveSetting } from '../../case';
import { commonPractice, model, type BrakingKind } from '../../contract';
import { prescribed, reaches, type Workings } from '../../law';
import {
  brakingKindOf,
  driveOverload,
  isHoist,
  numberOf,
  percent,
  type Needs,
  type Subject,
  type Walk,
} from '../../needs';
import {
  brakingEnergy,
  brakingResistance,
  coastTime,
  Fed,
  frictionAt,
  injected,
  injectedTorque,
  lossTorque,
  noPoint,
  programFrom,
  quickestRamp,
  rampedStop,
  stallHeat,
  startTorqueAt,
  stopOnDrive,
  torqueRatio,
  type DrivenMachine,
  type DriveProgram,
  type SimulatedStop,
  type Turning,
} from '../../physics';
import { driveClassSource, lossBraking } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { benchFor, drivenMachine, triedOf } from '../../runs';

const rad = Math.PI / 30;
const followed = model('Stop followed in time', 'J dω/dt = −T_load − T_brake, the load’s torque by its shape');
const seconds = (t: number): string => writeQuantity(q(t, 's'), 's');
const watts = (p: number): string => writeQuantity(q(p, 'W'), 'W');

/** How it stops: from r/min, within s where that is known; the machine to follow it with. */
export interface Stopping {
  readonly kind: BrakingKind;
  readonly speed: number;
  readonly time: number | undefined;
  /** s it turns on by itself from so many r/min; Infinity where nothing holds it. */
  readonly runsOut: (speed: number) => number;
  readonly machine: DrivenMachine;
  /** × the load while it stops: below 0 where it drives, as what is lowered does. */
  readonly load: number;
}

/** How it stops on the drive: by itself, by ramp, by resistor; energy, power and ohms. */
export function tellStopping(walk: Walk, needs: Needs, subject: Subject): Stopping | undefined {
  const { input, w } = walk;
  const bench = subject.motor && benchFor(needs, subject.motor);
  const speed = needs.load.speed * Math.max(1, needs.speed.max);
  const power = numberOf(w, subject.power);
  const hoist = isHoist(input);
  const rated = w.value('drive.ratedCurrent') ?? numberOf(w, subject.current);
  if (!bench || power === undefined || rated === undefined) return undefined;
  const machine = drivenMachine(bench, { power, rated, overload: driveOverload(needs), hangs: hoist });
  if (!machine) return undefined;
  const { load } = needs;
  const turning: Turning = {
    inertia: bench.inertia,
    speed,
    load: (n) => load.torque * torqueRatio(load.shape, n / load.speed),
  };
  const drag = (n: number): number => machine.drag + (n > 0 ? frictionAt(bench.circuit, n) / (n * rad) : 0);
  const runsOut = (from: number): number => coastTime({ ...turning, speed: from }, drag);
  const coast = runsOut(speed);
  // What hangs falls; only its brake stops it.
  if (!hoist && Number.isFinite(coast) && coast < 1e5)
    w.stated('drive.coastTime', 's', q(coast, 's'), followed, { symbol: 't_c', field: 'load.inertia' });
  const byLosses = (n: number): number => lossTorque(lossBraking.value * power, bench.ratedTorque, n);
  const gentle = quickestRamp(turning, byLosses, drag);
  const braking = input.drive?.braking;
  const kind = brakingKindOf(input.drive, hoist);
  const lowering = hoist ? loweringOf(walk, machine, load.speed) : { shaft: 0, returned: 0 };
  const raising = load.torque * load.speed * rad;
  const told = { kind, speed, runsOut, machine, load: lowering.shaft > 0 ? -lowering.shaft / raising : 1 };
  if (kind === 'coast') {
    if (!hoist && Number.isFinite(coast)) w.stated('drive.stopTime', 's', q(coast, 's'), followed, { symbol: 't_s' });
    if (hoist)
      w.finding(
        'drive.braking',
        'stop',
        'A hoist that coasts drops its load: a holding brake, and a chopper or a drive that feeds back.',
        { fields: ['drive.braking.kind'] },
      );
    return { ...told, time: undefined };
  }
  // Down as it goes up, where the bus bears that; with somewhere to put the energy nothing else counts.
  const up = triedOf(needs, subject.motor, 'drive')?.planned.settings.find((s) => s.path === 'start.drive.ramp');
  const usual = (Number(up?.value ?? 0) * speed * bench.circuit.poles) / (120 * bench.circuit.frequency);
  const free = kind === 'chopper' || kind === 'regenerative';
  const dc = injected * bench.ratedCurrent;
  const time =
    kind === 'dc'
      ? coastTime(turning, (n) => drag(n) + injectedTorque(bench.circuit, dc, n))
      : (braking?.time?.value ?? (free ? usual : Math.max(gentle, usual)));
  if (!Number.isFinite(time) || time <= 0) return { ...told, time: undefined };
  const why =
    kind === 'dc'
      ? `by direct current that heats as ${injected} × rated current does`
      : braking?.time
        ? undefined
        : 'not given: as it goes up, where its bus bears that';
  const from = { field: 'drive.braking.time', ...(why !== undefined && { assumed: why, holds: seconds(time) }) };
  w.stated('drive.stopTime', 's', q(time, 's'), followed, { symbol: 't_s', ...from });
  const stop = rampedStop({ ...turning, load: (n) => turning.load(n) + drag(n) }, time);
  const kinetic = (bench.inertia * (speed * rad) ** 2) / 2;
  w.figure('drive.brakingEnergy', brakingEnergy, {
    J: w.figures.has('start.inertia')
      ? 'start.inertia'
      : prescribed(q(bench.inertia, 'kg.m2'), model('Motor and machine', 'usual for its size')),
    n_1: prescribed(q(speed, 'rpm'), model('Highest speed on the drive', 'of the motor')),
    E_L: prescribed(q(Math.max(0, kinetic - stop.energy), 'J'), followed),
  });
  const peak = Math.max(stop.peak, lowering.shaft);
  w.stated('drive.brakingPower', 'W', q(peak, 'W'), followed, { symbol: 'P_b', ...from });
  const perHour = braking?.perHour ?? input.load?.startsPerHour;
  if (perHour !== undefined && perHour > 0)
    w.stated(
      'drive.brakingMean',
      'W',
      q(hoist ? lowering.returned / 2 : (stop.energy * perHour) / 3600, 'W'),
      followed,
      { symbol: 'P_m', field: 'drive.braking.perHour' },
    );
  const quick = !reaches(time, gentle) && peak > 0;
  if (peak > 0 && kind !== 'regenerative' && kind !== 'dc' && (quick || hoist || kind === 'chopper')) {
    w.figure('drive.brakingResistance', brakingResistance, {
      U_c: prescribed(q(machine.chopper, 'V'), driveClassSource),
      P_b: 'drive.brakingPower',
    });
    w.stated('drive.brakingLeast', 'ohm', q(leastResistance({ trip: machine.trip, rated }), 'ohm'), chopperSource, {
      symbol: 'R_min',
    });
  }
  if (subject.method !== 'drive') return { ...told, time };
  const fields = ['drive.braking.time', 'drive.braking.kind'];
  const figures = ['drive.stopTime', 'drive.brakingPower'] as const;
  if (quick && kind === 'ramp')
    w.finding(
      'drive.overvoltage',
      'caution',
      `A ramp of ${seconds(time)} pumps ${watts(peak)} back: without a resistor its bus trips on overvoltage ` +
        `(${machine.trip} V). ${seconds(gentle)} or longer, or a chopper with a resistor, or a drive that feeds back.`,
      { fields, figures, source: lossBraking.source },
    );
  else if (hoist && kind !== 'regenerative' && kind !== 'chopper')
    w.finding(
      'drive.overvoltage',
      'caution',
      `Lowering, the load pumps ${watts(lowering.returned)} back for as long as it goes down: a chopper whose ` +
        `resistor bears that for good, or a drive that feeds back; and a holding brake.`,
      { fields, figures },
    );
  if (kind === 'dc') {
    const share = kinetic / stallHeat(bench.circuit, bench.stallTime).rotor;
    w.stated('drive.stopHeat', '1', q(share, '1'), followed, { symbol: 'h_s', field: 'load.inertia' });
    const late = braking?.time !== undefined && time > 1.05 * braking.time.value;
    w.finding(
      'drive.braking',
      share > 1 || late ? 'caution' : 'note',
      `${late ? `Direct current stops it in ${seconds(time)}, not sooner. ` : ''}` +
        `Direct current brakes by heating the rotor with all of the energy, ${percent(share)} of what it bears from ` +
        `hot: ${share > 1 ? 'not even one stop; a chopper with a resistor' : 'for rare stops'}, and no holding brake.`,
      { fields, figures: ['drive.brakingEnergy', 'drive.stopHeat'] },
    );
  }
  return { ...told, time };
}

const limited = model('Stop followed in time on the drive', 'as programmed, at its current limit');
const chopperSource = commonPractice('A generic chopper carries about 120 % of the drive’s rated current');

/** Share of its lifting power that a hoist gives back, where that alone is told: 0.85 each way (common practice). */
const usualHoist = 0.72;

/** W that a load which is lowered gives the shaft, and what of it comes back to the bus through the motor. */
function loweringOf(
  { input, w }: Walk,
  { circuit }: DrivenMachine,
  speed: number,
): { readonly shaft: number; readonly returned: number } {
  const eta = w.value('load.trainEfficiency') ?? input.load?.train?.efficiency ?? 1;
  // Told by its power alone, what goes down gives that back less the losses of the way up and of the way down.
  const shaft = (w.value('load.loweringPower') ?? (w.value('load.power') ?? 0) * usualHoist) * eta;
  const point = noPoint();
  const fed = new Fed(circuit, { control: 'vector', boost: 0, limit: Infinity });
  fed.give(speed, -shaft / (speed * rad), fed.most(speed, point), point);
  const lost = point.stator + point.rotor + point.core;
  return { shaft, returned: Math.max(0, shaft - lost) };
}

type Points = [number, number][];
const drawn = 120;

/** A column against time as a chart draws it. */
function thin(time: Float64Array, column: Float64Array): Points {
  const round = (x: number): number => Number(x.toPrecision(4));
  const every = Math.max(1, Math.ceil(time.length / drawn));
  return Array.from(time)
    .map((t, i): [number, number] => [round(t), round(column[i] ?? 0)])
    .filter((_, i, all) => i % every === 0 || i === all.length - 1);
}

/** The run-up on the drive as it was simulated. */
export function runCurve(needs: Needs, { motor }: Subject): DriveCurves['run'] {
  const tried = motor && triedOf(needs, motor, 'drive', true);
  const run = tried?.run;
  const trace = run?.trace;
  if (!tried || !trace) return null;
  const { bench, planned } = tried;
  const { time, speed, torque, motor: current, terminal } = trace;
  const point = noPoint();
  const end = run.finalSpeed ?? 0;
  const { plan } = planned;
  const arrives = run.outcome === 'running' && end > 0;
  if (arrives && plan.method === 'drive') {
    const fed = new Fed(bench.circuit, plan);
    const resists = startTorqueAt(bench.load, end) + frictionAt(bench.circuit, end) / (end * rad);
    fed.give(end, resists, fed.most(end, point), point);
  }
  /** A curve, and what it settles at. */
  const settling = (column: Float64Array, settled: number): Points => {
    const points = thin(time, column);
    const last = points.at(-1);
    return arrives && last ? [...points, [last[0] + 0.01, Number(settled.toPrecision(4))]] : points;
  };
  return {
    speed: settling(speed, end),
    torque: settling(torque, point.torque),
    current: settling(current, point.current),
    voltage: settling(terminal, point.voltage),
  };
}

/** Ω below which a generic chopper of a drive carries no resistor. */
const leastResistance = ({ trip, rated }: Pick<DrivenMachine, 'trip' | 'rated'>): number => trip / (1.2 * rated);

/** A stop as it is programmed, until it stands, trips, or has taken ten minutes. */
function followedToItsEnd({ machine, speed, runsOut, time, load }: Stopping, program: DriveProgram): SimulatedStop {
  let about = time ?? Math.min(runsOut(speed), 600);
  for (;;) {
    const stop = stopOnDrive(machine, program, speed, about, load);
    if (stop.stopped !== undefined || stop.fault !== 'none' || about >= 200) return stop;
    about *= 3;
  }
}

/** A stop may take so much longer than was asked before anybody minds (common practice). */
const lateBy = 1.05;

/** Larger drives that are tried where one does not brake hard enough: × its rated current. */
const larger = [1.1, 1.25, 1.5, 2, 2.5, 3] as const;

/**
 * What a stop takes that takes longer than was asked; where the drive's limit is why, which drive and resistor would
 * do. The rounded ends of a ramp take a little as well, by any drive.
 */
function tellLate(
  w: Workings,
  { machine, speed, time, load, kind }: Stopping & { readonly time: number },
  program: DriveProgram,
  stopped: number | undefined,
): void {
  const takes = stopped === undefined ? undefined : seconds(Number(stopped.toPrecision(2)));
  if (stopped !== undefined && takes !== undefined)
    w.stated('drive.stopTime', 's', q(stopped, 's'), limited, {
      ...{ symbol: 't_s', field: 'drive.braking.time', holds: seconds(time) },
      text: `${takes}, its ramp ${seconds(time)}`,
    });
  const by = (k: number): number =>
    stopOnDrive({ ...machine, rated: k * machine.rated }, { ...program, limit: k * program.limit }, speed, time, load)
      .stopped ?? Infinity;
  const freely = by(larger.at(-1) ?? 1);
  if (freely > 0.97 * (stopped ?? Infinity)) return;
  const resistor = kind === 'chopper' ? w.figures.get('drive.brakingResistance') : undefined;
  // What burns the peak must be no less than the chopper carries.
  const carries = (k: number): boolean =>
    !resistor || reaches(resistor.value, leastResistance({ ...machine, rated: k * machine.rated }));
  const does = larger.find((k) => carries(k) && by(k) <= Math.max(lateBy * time, 1.02 * freely));
  const rated = writeQuantity(q((does ?? 1) * machine.rated, 'A'), 'A');
  w.finding(
    'drive.stop-late',
    'caution',
    `Asked to stop in ${seconds(time)} it ${takes === undefined ? 'does not stop' : `takes ${takes}`}: at its ` +
      `limit of ${writeQuantity(q(program.limit, 'A'), 'A')} it brakes no harder. ` +
      (does === undefined
        ? 'No drive of up to three times its current would do: give it the time, or a brake of its own.'
        : `A drive of ${rated}${resistor ? ` with a resistor of ${resistor.text} at most` : ''} would do, or the ` +
          'time it takes.'),
    { fields: ['drive.braking.time'], figures: ['drive.stopTime', 'drive.ratedCurrent'] },
  );
}

/**
 * The stop followed with what is programmed; where that takes longer than was asked its own time is what is told, with
 * the drive that would do.
 */
export function tellStop({ w }: Walk, stopping: Stopping, settings: readonly DriveSetting[]): DriveCurves['stop'] {
  const { machine, time, kind } = stopping;
  const program = programFrom(Object.fromEntries(settings.map((s) => [s.id, s.number ?? NaN])));
  // What hangs and is let go has no stop to follow.
  if (!program || (kind === 'coast' && machine.hangs)) return null;
  const stop = followedToItsEnd(stopping, program);
  // What trips turns on by itself until it stands, or its holding brake takes it.
  const [then = 0, still = 0] = [stop.time.at(-1), stop.speed.at(-1)];
  const stands = stop.stands ?? then + stopping.runsOut(still);
  if (time !== undefined && stop.fault !== 'none' && Number.isFinite(stands))
    w.stated('drive.stopTime', 's', q(stands, 's'), followed, {
      ...{ symbol: 't_s', field: 'drive.braking.time', holds: seconds(time) },
      text:
        `${seconds(stands)}, ${machine.hangs ? 'held by its brake' : 'coasting'}: ` +
        `its ramp of ${seconds(time)} trips`,
    });
  if (time !== undefined && kind !== 'dc' && stop.fault === 'none') {
    if ((stop.stopped ?? Infinity) > lateBy * time) tellLate(w, { ...stopping, time }, program, stop.stopped);
    else if (stop.stopped !== undefined && stop.stopped < time / lateBy)
      w.stated('drive.stopTime', 's', q(stop.stopped, 's'), limited, {
        ...{ symbol: 't_s', field: 'drive.braking.time', holds: seconds(time) },
        text: `${seconds(stop.stopped)}, its load ahead of the ramp of ${seconds(time)}`,
      });
  }
  const against = (column: Float64Array): Points => thin(stop.time, column);
  return {
    speed: against(stop.speed),
    torque: against(stop.torque),
    current: against(stop.current),
    voltage: against(stop.voltage),
    bus: against(stop.bus),
    resistor: against(stop.resistor),
    trip: machine.trip,
    fault: stop.fault,
  };
}
