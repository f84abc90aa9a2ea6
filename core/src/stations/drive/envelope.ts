import type { DriveCurves } from '../../case';
import { turndowns } from '../../catalogue';
import { model } from '../../contract';
import { assumed, field, reaches } from '../../law';
import {
  catalogueSource,
  cooledBy,
  driveOverload,
  hasRatio,
  heatModelOf,
  heatOfMotor,
  leastDriveSpeed,
  leastSpeedOf,
  loadOn,
  numberOf,
  percent,
  type Needs,
  type Subject,
  type Walk,
} from '../../needs';
import {
  breakdownReserve,
  continuousTorque,
  greatestSpeed,
  isVariableTorque,
  minuteTorque,
  type HeatModel,
} from '../../physics';
import { turndownSpeed } from '../../practice';
import { q, writeQuantity } from '../../quantity';

const rad = Math.PI / 30;
const thermal = model(
  'Thermal model of the motor on a drive',
  'losses by speed, torque and flux against what its cooling takes at that speed',
);

/** The heat of the subject as it would be cooled, with its rated power in W and speed in r/min. */
interface Heated {
  readonly heat: HeatModel;
  readonly power: number;
  readonly speed: number;
}

function heated({ input, practice, w }: Walk, { load }: Needs, subject: Subject): Heated | undefined {
  const power = numberOf(w, subject.power);
  const speed = numberOf(w, subject.speed);
  if (power === undefined || speed === undefined) return undefined;
  const said = input.drive?.cooling;
  if (subject.motor) return { heat: cooledBy(heatOfMotor(subject.motor, load.promised), said), power, speed };
  const frequency = input.plate?.frequency?.value ?? input.supply?.frequency?.value ?? 60;
  const poles = 2 * Math.max(1, Math.floor((60 * frequency) / speed + 1e-9));
  const heat = heatModelOf({
    ...{ power, speed, synchronous: (120 * frequency) / poles },
    efficiency: subject.efficiency.value ?? 0.9,
    powerFactor: w.value('plate.powerFactor') ?? 0.85,
    breakdownTorque: input.plate?.breakdownTorque ?? practice.breakdownTorque(power, poles).value,
    cooling: 'shaft-fan',
    insulation: input.plate?.insulation,
    rise: subject.temperatureRise,
  });
  return { heat: cooledBy(heat, said), power, speed };
}

/** Lowest and highest speed, and the torque the motor may carry between them. */
export function tellEnvelope(walk: Walk, needs: Needs, subject: Subject, blown: boolean): DriveCurves['envelope'] {
  const of = heated(walk, needs, subject);
  tellLeast(walk, needs, subject, of, blown);
  if (!of) return null;
  tellMost(walk, needs, subject, of);
  const rated = of.power / (of.speed * rad);
  const load = loadOn(needs, of);
  const top = Math.max(1.2, (needs.speed.max * needs.load.speed * 1.1) / of.speed);
  const at = (torque: (s: number) => number): [number, number][] =>
    Array.from({ length: 41 }, (_, i) => {
      const s = (top * i) / 40;
      return [Math.round(s * of.speed), Number((torque(s) * rated).toPrecision(4))];
    });
  return {
    continuous: at((s) => continuousTorque(of.heat, Math.max(0.001, s))),
    minute: at((s) => minuteTorque(of.heat, driveOverload(needs), s)),
    load: at(load),
    ratio: platedLeast(needs, subject, of.speed),
    least: Math.round(needs.speed.min * needs.load.speed),
    most: Math.round(needs.speed.max * needs.load.speed),
  };
}

/** r/min by the ratio on the plate; null where it has none. */
function platedLeast({ load }: Needs, { turndown, inverterDuty, kind }: Subject, speed: number): number | null {
  const ratio = isVariableTorque(load.shape)
    ? (turndown.variableTorque ?? turndown.constantTorque)
    : turndown.constantTorque;
  return ratio === undefined || !(inverterDuty || kind === 'plate') ? null : Math.round(speed / ratio);
}

function tellLeast(walk: Walk, needs: Needs, subject: Subject, of: Heated | undefined, blown: boolean): void {
  const { input, w } = walk;
  const variable = isVariableTorque(needs.load.shape);
  const ratio = variable
    ? (subject.turndown.variableTorque ?? subject.turndown.constantTorque)
    : subject.turndown.constantTorque;
  const ruled = subject.motor
    ? hasRatio(needs, subject.motor)
    : ratio !== undefined && needs.rules.slowSpeed === 'plate';
  const path = `plate.inverterDuty.${variable ? 'variableTorque' : 'constantTorque'}`;
  const asked = needs.speed.min * needs.load.speed;
  if (input.drive?.cooling === 'blower')
    w.stated('drive.minSpeed', 'rpm', q(0, 'rpm'), thermal, {
      text: 'any: a blower of its own cools it',
      symbol: 'n_min',
      field: 'drive.cooling',
    });
  else if (ruled && ratio !== undefined)
    w.figure('drive.minSpeed', turndownSpeed, {
      n_r: subject.speed,
      k: field(subject.kind === 'plate' ? path : 'motor', q(ratio, '1')),
    });
  else if (of) {
    const least = subject.motor
      ? leastDriveSpeed(needs, subject.motor)
      : leastSpeedOf(needs, { ...of, ratio: usualTurndown(variable), own: false, heat: () => of.heat });
    w.stated('drive.minSpeed', 'rpm', q(least, 'rpm'), thermal, {
      symbol: 'n_min',
      field: 'speed.min',
      ...((subject.kind === 'plate' || input.motor?.existing === true) && {
        assumed: 'no ratio on the plate: by habit and by its heat with this load',
      }),
    });
  } else
    w.figure('drive.minSpeed', turndownSpeed, {
      n_r: subject.speed,
      k: assumed(path, q(usualTurndown(variable), '1'), 'no inverter-duty ratio: common practice'),
    });
  const least = w.value('drive.minSpeed');
  if (of && asked > 0 && needs.speed.variable) {
    const carried = continuousTorque(of.heat, asked / of.speed) * (of.power / (of.speed * rad));
    w.stated('drive.torqueLeast', 'N.m', q(carried, 'N.m'), thermal, { symbol: 'T_c', field: 'speed.min' });
  }
  const figures = ['drive.minSpeed'] as const;
  if (!blown && needs.speed.variable && least !== undefined && !reaches(asked, least))
    w.finding(
      'drive.below-turndown',
      'caution',
      `${percent(needs.speed.min)} speed is ${writeQuantity(asked, 'rpm')}; on this load the motor will ` +
        `overheat below ${writeQuantity(least, 'rpm')}. Fit a blower, gear down, or take a larger motor.`,
      { fields: ['speed.min'], figures },
    );
  if (needs.speed.variable && asked > 0 && asked < 30 && input.drive?.encoder !== true)
    w.finding(
      'drive.encoder',
      'caution',
      `${writeQuantity(asked, 'rpm')} is below 30 r/min: use an encoder, or the speed will not hold.`,
      { fields: ['speed.min', 'drive.encoder'] },
    );
}

/** Common practice for a general-purpose motor. */
const usualTurndown = (variable: boolean): number =>
  variable ? turndowns.usual.variableTorque : turndowns.usual.constantTorque;

function tellMost({ w, input }: Walk, needs: Needs, subject: Subject, { heat, power, speed }: Heated): void {
  const top = needs.speed.max * needs.load.speed;
  const mechanical = subject.maxSpeed;
  const beyond = top > speed * 1.03;
  const load = loadOn(needs, { power, speed });
  const from = Math.min(1, top / speed);
  // Beyond rated speed the flux falls as the voltage ends: the load must still be carried.
  const weak = beyond ? speed * greatestSpeed(heat, load, from, Math.max(from, top / speed)) : undefined;
  if (mechanical !== undefined) {
    if (subject.kind === 'plate') w.given('drive.maxSpeed', 'rpm', 'plate.maxSpeed', mechanical);
    else if (subject.motor)
      w.stated('drive.maxSpeed', 'rpm', mechanical, catalogueSource(subject.motor), { symbol: 'n_max' });
  }
  const figures = mechanical === undefined ? [] : (['drive.maxSpeed'] as const);
  if (needs.speed.variable && mechanical !== undefined && top > mechanical)
    w.finding(
      'drive.above-max-speed',
      'stop',
      `${writeQuantity(top, 'rpm')} is above the motor’s maximum safe ` +
        `speed of ${writeQuantity(mechanical, 'rpm')}.`,
      { fields: ['speed.max'], figures },
    );
  if (!needs.speed.variable || !beyond || weak === undefined) return;
  const s = top / speed;
  const breakdown = heat.breakdown / s ** 2;
  const carried = reaches(weak, top);
  w.finding(
    'drive.field-weakening',
    carried ? 'note' : 'caution',
    `At ${writeQuantity(top, 'rpm')}, beyond rated speed, the voltage stays and the flux falls: torque with 1/speed, ` +
      `breakdown torque to ${percent(breakdown)} of rated (${(1 / breakdownReserve).toFixed(2)} of it may be ` +
      `used), and ` +
      `the load asks ${percent(load(s))}. ` +
      (carried
        ? 'It carries that.'
        : `It is carried up to ${writeQuantity(weak, 'rpm')}: gear up, take a larger motor` +
          `${input.supply?.voltage && subject.deltaVoltage ? ', or a winding for a lower voltage' : ''}.` +
          promiseOf(heat, load(s), s)),
    { fields: ['speed.max', 'load.overload.breakdown'], figures },
  );
}

/** What promise of its maker's would carry a load beyond rated speed, where breakdown torque alone is in the way. */
function promiseOf(heat: HeatModel, load: number, s: number): string {
  const asked = Math.ceil(100 * breakdownReserve * load * s * s) / 100;
  return asked <= mostPromised && reaches(continuousTorque({ ...heat, breakdown: asked }, s), load)
    ? ` Or its maker promises a breakdown torque of ${asked.toFixed(2)} × rated.`
    : '';
}

/** ÷ rated: more than that no ordinary motor gives (common practice). */
const mostPromised = 3.5;
