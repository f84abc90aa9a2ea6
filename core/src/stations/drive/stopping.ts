import { commonPractice, model } from '../../contract';
import { prescribed } from '../../law';
import { numberOf, type Needs, type Subject, type Walk } from '../../needs';
import {
  brakingEnergy,
  brakingResistance,
  coastTime,
  frictionAt,
  quickestStop,
  rampedStop,
  torqueRatio,
  type Turning,
} from '../../physics';
import { bearingDrag, driveClass, driveClassSource, lossBraking } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { benchFor } from '../../runs';

const rad = Math.PI / 30;
const followed = model('Stop followed in time', 'J dω/dt = −T_load − T_brake, the load’s torque by its shape');
const seconds = (t: number): string => writeQuantity(q(t, 's'), 's');

/** How it stops on the drive: by itself, by ramp, by resistor; energy, power and ohms. */
export function tellStopping(walk: Walk, needs: Needs, subject: Subject): void {
  const { input, w } = walk;
  const bench = subject.motor && benchFor(needs, subject.motor);
  const speed = needs.load.speed * Math.max(1, needs.speed.max);
  const rated = numberOf(w, subject.power);
  const voltage = input.supply?.voltage?.value;
  if (!bench || rated === undefined || voltage === undefined) return;
  const { load } = needs;
  const hoist = input.load?.demand?.kind === 'hoist';
  const turning: Turning = {
    inertia: bench.inertia,
    speed,
    load: (n) => load.torque * torqueRatio(load.shape, n / load.speed),
  };
  const drag = (n: number): number =>
    bearingDrag.value * bench.ratedTorque + (n > 0 ? frictionAt(bench.circuit, n) / (n * rad) : 0);
  const coast = coastTime(turning, drag);
  if (Number.isFinite(coast) && coast < 1e5)
    w.stated('drive.coastTime', 's', q(coast, 's'), followed, { symbol: 't_c', field: 'load.inertia' });
  const ratedTorque = bench.ratedTorque;
  // What the losses take: a share of rated power at any speed, no more than a share of rated torque.
  const byLosses = (n: number): number => Math.min((lossBraking.value * rated) / (n * rad), 0.5 * ratedTorque);
  const gentle = quickestStop(turning, byLosses);
  const braking = input.drive?.braking;
  const kind = braking?.kind ?? (hoist ? 'chopper' : 'ramp');
  const asked = braking?.time?.value;
  if (kind === 'coast') {
    if (Number.isFinite(coast)) w.stated('drive.stopTime', 's', q(coast, 's'), followed, { symbol: 't_s' });
    if (hoist)
      w.finding(
        'drive.braking',
        'caution',
        'A hoist that coasts drops its load: a holding brake, and a chopper or a drive that feeds back.',
        {
          fields: ['drive.braking.kind'],
        },
      );
    return;
  }
  const time = asked ?? (kind === 'ramp' ? gentle : Math.min(gentle, coast));
  if (!Number.isFinite(time) || time <= 0) return;
  const from =
    asked === undefined
      ? { field: 'drive.braking.time', assumed: 'not given: the quickest without a resistor' }
      : { field: 'drive.braking.time' };
  w.stated('drive.stopTime', 's', q(time, 's'), followed, { symbol: 't_s', ...from });
  const stop = rampedStop(turning, time);
  const kinetic = (bench.inertia * (speed * rad) ** 2) / 2;
  w.figure('drive.brakingEnergy', brakingEnergy, {
    J: w.figures.has('start.inertia')
      ? 'start.inertia'
      : prescribed(q(bench.inertia, 'kg.m2'), model('Motor and machine', 'usual for its size')),
    n_1: prescribed(q(speed, 'rpm'), model('Highest speed on the drive', 'of the motor')),
    E_L: prescribed(q(Math.max(0, kinetic - stop.energy), 'J'), followed),
  });
  const lowering = hoist
    ? (w.value('load.loweringPower') ?? 0) * (w.value('load.trainEfficiency') ?? input.load?.train?.efficiency ?? 1)
    : 0;
  const peak = Math.max(stop.peak, lowering);
  w.stated('drive.brakingPower', 'W', q(peak, 'W'), followed, { symbol: 'P_b', ...from });
  const perHour = braking?.perHour ?? input.load?.startsPerHour;
  if (perHour !== undefined && perHour > 0)
    w.stated('drive.brakingMean', 'W', q(hoist ? lowering / 2 : (stop.energy * perHour) / 3600, 'W'), followed, {
      symbol: 'P_m',
      field: 'drive.braking.perHour',
    });
  const taken = lossBraking.value * rated;
  const cls = driveClass(voltage);
  const quick = time < gentle * 0.999 && peak > taken;
  if (cls && peak > 0 && kind !== 'regenerative' && kind !== 'dc' && (quick || hoist || kind === 'chopper')) {
    w.figure('drive.brakingResistance', brakingResistance, {
      U_c: prescribed(q(cls.chopper, 'V'), driveClassSource),
      P_b: 'drive.brakingPower',
    });
    const current = w.value('drive.ratedCurrent') ?? numberOf(w, subject.current) ?? 1;
    w.stated('drive.brakingLeast', 'ohm', q(cls.trip / (1.2 * current), 'ohm'), chopperSource, { symbol: 'R_min' });
  }
  if (subject.method !== 'drive') return;
  const fields = ['drive.braking.time', 'drive.braking.kind'];
  const figures = ['drive.stopTime', 'drive.brakingPower'] as const;
  if (quick && kind === 'ramp')
    w.finding(
      'drive.overvoltage',
      'caution',
      `A ramp of ${seconds(time)} pumps ${writeQuantity(q(peak, 'W'), 'W')} back: without a resistor its bus ` +
        `trips on ` +
        `overvoltage (${cls ? `${cls.trip} V` : 'its limit'}). ${seconds(gentle)} or longer, or a chopper with ` +
        `a resistor, or a ` +
        'drive that feeds back.',
      { fields, figures, source: lossBraking.source },
    );
  else if (hoist && kind !== 'regenerative' && kind !== 'chopper')
    w.finding(
      'drive.overvoltage',
      'caution',
      `Lowering, the load pumps ${writeQuantity(q(lowering, 'W'), 'W')} back for as long as it goes down: a ` +
        `chopper whose ` +
        'resistor bears that for good, or a drive that feeds back; and a holding brake.',
      { fields, figures },
    );
  if (kind === 'dc')
    w.finding(
      'drive.braking',
      'note',
      'Direct current brakes by heating the rotor with all of the energy: for rare stops, and no holding brake.',
      { fields, figures: ['drive.brakingEnergy'] },
    );
}

const chopperSource = commonPractice('A generic chopper carries about 120 % of the drive’s rated current');
