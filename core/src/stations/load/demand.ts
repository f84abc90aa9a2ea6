import type { Machine } from '../../contract';
import type { Case, Demand } from '../../case';
import { commonPractice } from '../../contract';
import { assumed, field, prescribed, type Given } from '../../law';
import {
  airDensity,
  beltForce,
  conveyorPower,
  diggingDiameters,
  diggingSource,
  drivenSpeed,
  drumSpeed,
  elevatorPower,
  fanPower,
  hoistPower,
  holdingTorque,
  loweringPower,
  powerFromTorque,
  powerOfForce,
  pressureAtDensity,
  pullRatio,
  pumpPower,
  runningFromBreakaway,
  screwPower,
  staticShare,
  torqueBehindTrain,
  torqueByPull,
  torqueFromPower,
} from '../../physics';
import { interpolate, monotone, q, writeQuantity, type Q, type UnitId } from '../../quantity';
import type { Drivetrain } from './drivetrain';
import { factsOf, machineSource, secondaryPoints, secondarySource } from '../../practice';
import { brakingKindOf, percent, type PlateFacts, type Walk } from '../../needs';

type Of<K extends Demand['kind']> = Extract<Demand, { kind: K }>;

/** What was typed for one part of the demand. */
const at = <U extends UnitId>(
  name: string,
  quantity: { readonly value: Q<U>; readonly text: string } | undefined,
): Given<U> => field(`load.demand.${name}`, quantity?.value, quantity?.text);
const share = (name: string, value: number | undefined): Given<'1'> =>
  field(`load.demand.${name}`, value === undefined ? undefined : q(value, '1'));

/**
 * Torque, speed and power at the driven shaft, from whichever are known. What was read at the motor is told elsewhere.
 */
export function tellDrivenShaft(
  walk: Walk,
  demand: Exclude<Demand, { kind: 'measured' }>,
  train: Drivetrain,
  plate: PlateFacts,
): void {
  switch (demand.kind) {
    case 'power':
      speedOf(walk, demand.speed, train, plate);
      walk.w.given('load.power', 'W', 'load.demand.power', demand.power?.value);
      torque(walk);
      return;
    case 'torque':
      speedOf(walk, demand.speed, train, plate);
      byTorque(walk, demand, train);
      askSpeed(walk, demand, plate);
      return;
    case 'pull':
      speedOf(walk, demand.speed, train, plate);
      byPull(walk, demand);
      askSpeed(walk, demand, plate);
      return;
    case 'pump':
      speedOf(walk, demand.speed, train, plate);
      byPump(walk, demand);
      torque(walk);
      return;
    case 'fan':
      speedOf(walk, demand.speed, train, plate);
      byFan(walk, demand);
      torque(walk);
      return;
    case 'conveyor':
      byConveyor(walk, demand, train, plate);
      return;
    case 'hoist':
      byHoist(walk, demand);
  }
}

const torque = ({ w }: Walk): void =>
  void w.figure('load.torque', torqueFromPower, { P: 'load.power', n: 'load.speed' });
const power = ({ w }: Walk): void =>
  void w.figure('load.power', powerFromTorque, { T: 'load.torque', n: 'load.speed' });

function byTorque(walk: Walk, demand: Of<'torque'>, train: Drivetrain): void {
  const { w } = walk;
  if (demand.at === 'train-input')
    w.figure('load.torque', torqueBehindTrain, {
      T_m: at('torque', demand.torque),
      i: train.ratio,
      eta: train.efficiency,
    });
  else w.given('load.torque', 'N.m', 'load.demand.torque', demand.torque?.value);
  power(walk);
}

function byPull(walk: Walk, demand: Of<'pull'>): void {
  const { w, input } = walk;
  const r = at('radius', demand.radius);
  const machine = input.load?.machine;
  if (!demand.force && demand.breakawayForce) {
    w.figure('load.torque', runningFromBreakaway, {
      F_b: at('breakawayForce', demand.breakawayForce),
      r,
      k_b: breakawayGiven(walk, machine),
    });
    w.finding(
      'load.breakaway-only',
      'caution',
      'Only the pull that gets it moving was read; the running torque is guessed from what is usual for ' +
        'the machine. Read the pull while it moves as well, if that can be done safely.',
      { fields: ['load.demand.force'], figures: ['load.torque'] },
    );
  } else {
    w.figure('load.torque', torqueByPull, { F: at('force', demand.force), r });
    if (demand.force && demand.breakawayForce) {
      if (demand.breakawayForce.value < demand.force.value)
        w.finding(
          'load.pulls-swapped',
          'caution',
          'It takes less to get it moving than to keep it moving: were the two pulls swapped?',
          { fields: ['load.demand.breakawayForce', 'load.demand.force'] },
        );
      w.figure('load.breakawayRatio', pullRatio, {
        F_b: at('breakawayForce', demand.breakawayForce),
        F: at('force', demand.force),
      });
    }
  }
  power(walk);
}

/** Breakaway ÷ steady torque: typed, else usual for the machine. */
export function breakawayGiven({ input }: Walk, machine: Machine | undefined): Given<'1'> {
  const typed = input.load?.breakaway;
  if (typed !== undefined) return field('load.breakaway', q(typed, '1'));
  const why = machine
    ? `usual for a ${machine.replaceAll('-', ' ')}`
    : 'no machine named; a constant-torque load is taken';
  return { ...assumed('load.breakaway', q(factsOf(machine).breakaway, '1'), why), source: machineSource };
}

/** Efficiency of pump or fan: typed, else its own curve's at the flow of the demand. */
function efficiencyOf({ speed }: Case, demand: Of<'pump'> | Of<'fan'>): Given<'1'> {
  const [flow, curve] = [demand.flow?.value, speed?.curve];
  if (demand.efficiency !== undefined || flow === undefined || !curve) return share('efficiency', demand.efficiency);
  return field('speed.curve', q(monotone(curve.map((p) => [p.flow.value, p.efficiency]))(flow), '1'));
}

function byPump({ w, input }: Walk, demand: Of<'pump'>): void {
  w.figure('load.power', pumpPower, {
    rho: demand.density
      ? at('density', demand.density)
      : assumed('load.demand.density', q(1000, 'kg/m3'), 'cold water'),
    Q: at('flow', demand.flow),
    H: at('head', demand.head),
    eta: efficiencyOf(input, demand),
  });
  if (demand.staticHead) {
    const s = w.figure('load.staticFraction', staticShare, {
      H_s: at('staticHead', demand.staticHead),
      H: at('head', demand.head),
    });
    if (s !== undefined && s > 1)
      w.finding('load.static-head', 'caution', 'The static head is above the whole head: one of the two is misread.', {
        fields: ['load.demand.staticHead', 'load.demand.head'],
      });
  }
  if ((demand.viscosity?.value ?? 0) > 20)
    w.finding(
      'load.viscous',
      'caution',
      `${demand.viscosity?.text} is thicker than water: a centrifugal pump loses head and efficiency, so ` +
        `curves for water no longer hold. Ask the maker, or correct by ANSI/HI 9.6.7, and enter the corrected values.`,
      {
        fields: ['load.demand.viscosity'],
        source: commonPractice('Curves for water hold to about 20 mm²/s'),
      },
    );
}

function byFan({ w, input }: Walk, demand: Of<'fan'>): void {
  const gas = demand.gasTemperature;
  const place = input.place;
  const altitude: Given<'m'> = place?.altitude
    ? field('place.altitude', place.altitude.value, place.altitude.text)
    : assumed('place.altitude', q(0, 'm'), 'no altitude given: sea level');
  const density = w.figure('load.gasDensity', airDensity, {
    theta: gas
      ? at('gasTemperature', gas)
      : assumed('load.demand.gasTemperature', q(20, 'degC'), 'no gas temperature given'),
    h: altitude,
  });
  const standard = demand.pressureAt === 'standard';
  if (standard)
    w.figure('load.fanPressure', pressureAtDensity, { p_std: at('pressure', demand.pressure), rho: 'load.gasDensity' });
  w.figure('load.power', fanPower, {
    Q: at('flow', demand.flow),
    p: standard ? 'load.fanPressure' : at('pressure', demand.pressure),
    eta: efficiencyOf(input, demand),
  });
  if (gas && density !== undefined && gas.value > 60) {
    const air = airDensity.of({ theta: q(20, 'degC'), h: q(altitude.value ?? 0, 'm') });
    const cold = air / density;
    w.finding(
      'load.cold-start',
      'caution',
      `The gas is ${gas.text}: started cold, with air of ${air.toFixed(2)} kg/m³, the fan takes ${percent(cold)} of ` +
        `this power. Start it with the damper shut or by a drive, or size for the cold.`,
      { fields: ['load.demand.gasTemperature', 'load.startRatio'], figures: ['load.gasDensity'] },
    );
  }
}

/** A screw and a bucket elevator have resistances of their own; everything else conveys on a belt. */
function byConveyor(walk: Walk, demand: Of<'conveyor'>, train: Drivetrain, plate: PlateFacts): void {
  const { w, input } = walk;
  const machine = input.load?.machine;
  const lift: Given<'m'> = demand.lift
    ? at('lift', demand.lift)
    : assumed('load.demand.lift', q(0, 'm'), 'no lift given: level');
  const Q = at('massFlow', demand.massFlow);
  if (demand.drumDiameter && demand.speed)
    w.figure('load.speed', drumSpeed, { v: at('speed', demand.speed), D: at('drumDiameter', demand.drumDiameter) });
  else if (machine === 'screw-conveyor' || demand.shaftSpeed)
    speedOf(walk, demand.shaftSpeed, train, plate, 'shaftSpeed');
  else {
    w.want(demand.speed ? 'load.demand.drumDiameter' : 'load.demand.speed');
    w.without('load.speed');
  }

  if (machine === 'screw-conveyor') {
    w.figure('load.power', screwPower, {
      Q,
      lambda:
        demand.friction === undefined
          ? {
              ...assumed('load.demand.friction', q(3, '1'), 'middling material (2 for grain, 4 for ash and ore)'),
              source: frictionSource,
            }
          : share('friction', demand.friction),
      L: at('length', demand.length),
      H: lift,
      D: demand.screwDiameter
        ? at('screwDiameter', demand.screwDiameter)
        : assumed('load.demand.screwDiameter', q(0.3, 'm'), 'no screw diameter given'),
    });
  } else if (machine === 'bucket-elevator') {
    w.figure('load.power', elevatorPower, {
      Q,
      H: demand.lift ? lift : at('lift', undefined),
      H_0: demand.digging
        ? at('digging', demand.digging)
        : {
            ...assumed(
              'load.demand.digging',
              q(diggingDiameters * (demand.drumDiameter?.value ?? 0.5), 'm'),
              demand.drumDiameter ? '12 diameters of the pulley' : '12 diameters of a pulley of 0.5 m',
            ),
            source: diggingSource,
          },
    });
    holdback(walk, 'A bucket elevator runs back when it stops under load');
  } else byBelt(walk, demand, Q, lift);
  const watts = w.value('load.power');
  if (watts !== undefined && watts <= 0) {
    w.figures.delete('load.power');
    w.finding(
      'load.overhauling',
      'stop',
      'Downhill the material drives the conveyor: the motor brakes it and feeds energy back. That ' +
        'needs a motor and brake sized for holding it, which is not answered here.',
      { fields: ['load.demand.lift'] },
    );
  }
  torque(walk);
}

const frictionSource = commonPractice('Progress resistance of a screw: grain 1.9 to 2.5, middling 3, ash and ore 4');

function byBelt(walk: Walk, demand: Of<'conveyor'>, Q: Given<'kg/s'>, H: Given<'m'>): void {
  const { w } = walk;
  const L = at('length', demand.length);
  if (demand.movingMass) {
    const C = interpolate(secondaryPoints, demand.length?.value ?? 0, 1);
    const typed =
      demand.secondary === undefined ? prescribed(q(C, '1'), secondarySource) : share('secondary', demand.secondary);
    w.figure('load.beltForce', beltForce, {
      C: typed,
      f: frictionOf(demand.friction, 0.025, 'rollers that turn well (0.02 to 0.03)'),
      L,
      q_m: at('movingMass', demand.movingMass),
      Q,
      v: at('speed', demand.speed),
      H,
    });
    w.figure('load.power', powerOfForce, { F: 'load.beltForce', v: at('speed', demand.speed) });
  } else {
    w.figure('load.power', conveyorPower, {
      Q,
      f: frictionOf(demand.friction, 0.06, 'belt and rollers counted in the friction of the load'),
      L,
      H,
    });
    w.finding(
      'load.moving-mass',
      'note',
      'The mass of belt and rollers is not given: friction is taken as one number referred to ' +
        'the material. A belt that runs nearly empty takes more than this says.',
      { fields: ['load.demand.movingMass'] },
    );
  }
  const lift = demand.lift?.value ?? 0;
  const friction = (demand.friction ?? 0.025) * (demand.length?.value ?? 0);
  if (lift > friction && lift > 0) holdback(walk, 'Stopped under load this incline runs back');
}

const frictionOf = (typed: number | undefined, usual: number, why: string): Given<'1'> =>
  typed === undefined
    ? { ...assumed('load.demand.friction', q(usual, '1'), why), source: commonPractice('Friction of belt conveyors') }
    : share('friction', typed);

function holdback({ w }: Walk, why: string): void {
  w.finding(
    'load.holdback',
    'caution',
    `${why}: fit a holdback or a brake, and guard it. Never rely on the gearbox to hold.`,
    { fields: ['load.demand.lift'] },
  );
}

/** Whether what is lowered is answered: a brake was named, and a drive takes back what comes. */
export function isHeld({ load, drive, method, speed }: Walk['input']): boolean {
  const braked = load?.brake === 'motor' || load?.brake === 'machine';
  const kind = brakingKindOf(drive, true);
  const driven = method === 'drive' || (method == null && speed?.need === 'variable');
  return braked && driven && (kind === 'chopper' || kind === 'regenerative');
}

function byHoist(walk: Walk, demand: Of<'hoist'>): void {
  const { w } = walk;
  const [m, v, D] = [at('mass', demand.mass), at('speed', demand.speed), at('drumDiameter', demand.drumDiameter)];
  const eta = share('efficiency', demand.efficiency);
  w.figure('load.speed', drumSpeed, { v, D });
  w.figure('load.power', hoistPower, { m, v, eta });
  torque(walk);
  const down = w.figure('load.loweringPower', loweringPower, { m, v, eta });
  w.figure('load.holdingTorque', holdingTorque, { m, D });
  if (down !== undefined)
    w.finding(
      'load.overhauling',
      isHeld(walk.input) ? 'note' : 'caution',
      `Lowering, the load drives the motor with up to ${writeQuantity(down, 'W')}: a drive needs a brake ` +
        `resistor or must feed back, and a mechanical brake must hold the ` +
        `load by itself. Lifting people is not answered here.`,
      { fields: ['load.demand.mass'], figures: ['load.loweringPower', 'load.holdingTorque'] },
    );
}

/**
 * Speed of the driven shaft: given, else from the old motor's full-load speed, else from a four-pole motor's
 * synchronous speed.
 */
export function speedOf(
  { w, input, practice }: Walk,
  given: { readonly value: Q<'rpm'>; readonly text: string } | undefined,
  train: Drivetrain,
  plate: PlateFacts,
  name = 'speed',
): void {
  const path = `load.demand.${name}`;
  if (given) {
    w.given('load.speed', 'rpm', path, given.value);
    return;
  }
  const f = input.supply?.frequency?.value ?? practice.frequency;
  const n: Given<'rpm'> =
    plate.speed !== undefined
      ? assumed(path, q(plate.speed, 'rpm'), 'left out: the old motor’s full-load speed through the train')
      : assumed(
          path,
          q((120 * f) / 4, 'rpm'),
          'left out and no plate: synchronous speed of four poles, the general choice',
        );
  w.figure('load.speed', drivenSpeed, { n_m: n, i: train.ratio });
}

/** A torque alone is no power: without a speed, and no plate that tells one, it depends on the poles that are taken. */
function askSpeed({ w }: Walk, demand: Extract<Demand, { kind: 'torque' | 'pull' }>, plate: PlateFacts): void {
  const power = w.value('load.power');
  if (demand.speed || plate.speed !== undefined || power === undefined) return;
  w.finding(
    'load.no-speed',
    'caution',
    `No speed is given and no plate tells one: with four poles this torque takes ${writeQuantity(power, 'W')}, with ` +
      `six ${writeQuantity((power * 4) / 6, 'W')}, behind a gearbox less still. Give the driven shaft’s speed.`,
    { fields: ['load.demand.speed', 'load.train.ratio'], figures: ['load.power', 'load.speed'] },
  );
}
