import type { Case, Demand } from '../case';
import { assumed, commonPractice, field, definition, houseRule, type Given, type Source, type Workings } from '../law';
import {
  breakawayTorque,
  drivenSpeed,
  drumSpeed,
  fanPower,
  hoistPower,
  inertiaThroughTrain,
  powerFromTorque,
  powerThroughTrain,
  pumpPower,
  speedThroughTrain,
  torqueByPull,
  torqueFromPower,
  torqueThroughTrain,
  withMargin,
  type LoadShape,
} from '../physics';
import { houseRules } from '../practice';
import { q, writeQuantity, type Q, type UnitId } from '../quantity';
import type { LoadNeeds, PlateFacts, Walk } from './walk';

type Machine = NonNullable<NonNullable<Case['load']>['machine']>;

interface MachineFacts {
  readonly shape: 'constant' | 'linear' | 'quadratic' | 'constant-power';
  readonly breakaway: number;
}

const machineSource: Source = commonPractice('Torque shape and breakaway usual for the machine');

const constant = (breakaway: number): MachineFacts => ({ shape: 'constant', breakaway });
const quadratic = (breakaway: number): MachineFacts => ({ shape: 'quadratic', breakaway });

const machineFacts: Readonly<Record<Machine, MachineFacts>> = {
  conveyor: constant(1.5),
  'screw-conveyor': constant(1.6),
  'bucket-elevator': constant(1.5),
  hoist: constant(1.2),
  'centrifugal-pump': quadratic(0.2),
  'deep-well-pump': quadratic(0.3),
  'displacement-pump': constant(1.4),
  'centrifugal-fan': quadratic(0.15),
  blower: quadratic(0.15),
  compressor: constant(1.3),
  mixer: constant(1.4),
  crusher: constant(1.5),
  mill: constant(1.4),
  'machine-tool': { shape: 'constant-power', breakaway: 1 },
  winder: { shape: 'constant-power', breakaway: 1 },
  other: constant(1.5),
};

const trainEfficiency = { direct: 1, belt: 0.95, gearbox: 0.94, chain: 0.96 } as const;

/** From what is known of the driven machine to torque, speed and power at the motor shaft, and the power to ask for. */
export function findLoad(walk: Walk, plate: PlateFacts): LoadNeeds | undefined {
  const { input, w } = walk;
  w.enter('load');
  const load = input.load;
  const demand = load?.demand;
  if (!load || !demand) {
    w.want('load.demand');
    missingLoad(
      w,
      'There is no load yet: give power, torque or a pull at a radius, and the speed of the driven shaft.',
    );
    return undefined;
  }
  const facts = machineFacts[load.machine ?? 'other'];
  const why = load.machine
    ? `usual for a ${load.machine.replaceAll('-', ' ')}`
    : 'no machine named; a constant-torque load is taken';
  const shape: LoadShape = shapeOf(load.shape, facts);
  const train = trainOf(load.train);
  drivenShaft(walk, demand, train.i, plate);
  w.figure('load.motorTorque', torqueThroughTrain, { T_L: 'load.torque', i: train.i, eta: train.eta });
  w.figure('load.motorSpeed', speedThroughTrain, { n_L: 'load.speed', i: train.i });
  w.figure('load.motorPower', powerThroughTrain, { P_L: 'load.power', eta: train.eta });
  margin(walk);
  w.figure('load.requiredPower', withMargin, { P_m: 'load.motorPower', k: 'load.margin' });
  const breakaway: Given<'1'> =
    load.breakaway === undefined
      ? { ...assumed('load.breakaway', q(facts.breakaway, '1'), why), source: machineSource }
      : field('load.breakaway', q(load.breakaway, '1'));
  w.figure('load.breakawayTorque', breakawayTorque, { T_m: 'load.motorTorque', k_b: breakaway });
  if (load.inertia)
    w.figure('load.inertiaAtMotor', inertiaThroughTrain, {
      J_L: field('load.inertia', load.inertia.value, load.inertia.text),
      i: train.i,
    });
  notYetUsed(walk);

  const torque = w.value('load.motorTorque');
  const speed = w.value('load.motorSpeed');
  const power = w.value('load.motorPower');
  const k = w.value('load.margin');
  if (torque === undefined || speed === undefined || power === undefined || k === undefined) {
    missingLoad(w, `The load is not complete: ${w.wanted('load').join(', ') || 'the demand'} is missing.`);
    return undefined;
  }
  return {
    torque,
    speed,
    power,
    shape,
    breakaway: breakaway.value ?? 1,
    margin: k,
    ratio: train.i.value ?? 1,
    overload: load.overload?.ratio ?? 1,
  };
}

function missingLoad(w: Workings, text: string): void {
  w.finding('load.missing', 'caution', text, { fields: ['load.demand'] });
}

function shapeOf(shape: NonNullable<Case['load']>['shape'], facts: MachineFacts): LoadShape {
  if (shape === undefined) return { kind: facts.shape };
  if (typeof shape === 'string') return { kind: shape };
  return { kind: 'points', points: shape.points.toSorted((a, b) => a[0] - b[0]) };
}

function trainOf(train: NonNullable<Case['load']>['train']): { readonly i: Given<'1'>; readonly eta: Given<'1'> } {
  const kind = train?.kind ?? 'direct';
  const i =
    train?.ratio === undefined
      ? assumed('load.train.ratio', q(1, '1'), 'no ratio given: the motor turns as fast as the machine')
      : field('load.train.ratio', q(train.ratio, '1'));
  const eta =
    train?.efficiency === undefined
      ? assumed(
          'load.train.efficiency',
          q(trainEfficiency[kind], '1'),
          kind === 'direct' ? 'direct drive loses nothing' : `usual for a ${kind}`,
        )
      : field('load.train.efficiency', q(train.efficiency, '1'));
  return { i, eta };
}

/** Torque, speed and power at the driven shaft, from whichever two are known. */
function drivenShaft(walk: Walk, demand: Demand, i: Given<'1'>, plate: PlateFacts): void {
  const { w } = walk;
  const at = <U extends UnitId>(
    name: string,
    quantity: { readonly value: Q<U>; readonly text: string } | undefined,
  ): Given<U> => field(`load.demand.${name}`, quantity?.value, quantity?.text);
  const eta = (value: number | undefined): Given<'1'> =>
    field('load.demand.efficiency', value === undefined ? undefined : q(value, '1'));

  switch (demand.kind) {
    case 'power':
      speedOf(walk, demand.speed, i, plate);
      w.given('load.power', 'W', 'load.demand.power', demand.power?.value);
      w.figure('load.torque', torqueFromPower, { P: 'load.power', n: 'load.speed' });
      return;
    case 'torque':
      speedOf(walk, demand.speed, i, plate);
      w.given('load.torque', 'N.m', 'load.demand.torque', demand.torque?.value);
      w.figure('load.power', powerFromTorque, { T: 'load.torque', n: 'load.speed' });
      return;
    case 'pull':
      speedOf(walk, demand.speed, i, plate);
      w.figure('load.torque', torqueByPull, { F: at('force', demand.force), r: at('radius', demand.radius) });
      w.figure('load.power', powerFromTorque, { T: 'load.torque', n: 'load.speed' });
      return;
    case 'pump': {
      speedOf(walk, demand.speed, i, plate);
      const rho = demand.density
        ? at('density', demand.density)
        : assumed('load.demand.density', q(1000, 'kg/m3'), 'cold water');
      w.figure('load.power', pumpPower, {
        rho,
        Q: at('flow', demand.flow),
        H: at('head', demand.head),
        eta: eta(demand.efficiency),
      });
      w.figure('load.torque', torqueFromPower, { P: 'load.power', n: 'load.speed' });
      return;
    }
    case 'fan':
      speedOf(walk, demand.speed, i, plate);
      w.figure('load.power', fanPower, {
        Q: at('flow', demand.flow),
        p: at('pressure', demand.pressure),
        eta: eta(demand.efficiency),
      });
      w.figure('load.torque', torqueFromPower, { P: 'load.power', n: 'load.speed' });
      return;
    case 'hoist':
      w.figure('load.speed', drumSpeed, { v: at('speed', demand.speed), D: at('drumDiameter', demand.drumDiameter) });
      w.figure('load.power', hoistPower, {
        m: at('mass', demand.mass),
        v: at('speed', demand.speed),
        eta: eta(demand.efficiency),
      });
      w.figure('load.torque', torqueFromPower, { P: 'load.power', n: 'load.speed' });
      return;
    case 'conveyor':
    case 'measured':
      w.finding(
        'load.kind-not-worked-out',
        'caution',
        `A demand of kind "${demand.kind}" is kept, but this version does not work it out yet: give power, torque or a pull at a radius as well.`,
        { fields: ['load.demand.kind'] },
      );
      w.want('load.demand');
  }
}

/** Speed of the driven shaft: given, else from the old motor's full-load speed, else from a four-pole motor's synchronous speed. */
function speedOf(
  { w, input, practice }: Walk,
  given: { readonly value: Q<'rpm'>; readonly text: string } | undefined,
  i: Given<'1'>,
  plate: PlateFacts,
): void {
  if (given) {
    w.given('load.speed', 'rpm', 'load.demand.speed', given.value);
    return;
  }
  const f = input.supply?.frequency?.value ?? practice.frequency;
  const n: Given<'rpm'> =
    plate.speed !== undefined
      ? assumed(
          'load.demand.speed',
          q(plate.speed, 'rpm'),
          'left out: the old motor’s full-load speed through the train',
        )
      : assumed(
          'load.demand.speed',
          q((120 * f) / 4, 'rpm'),
          'left out and no plate: synchronous speed of four poles, the general choice',
        );
  w.figure('load.speed', drivenSpeed, { n_m: n, i });
}

/** The sizing margin: the house rule, raised for dirt unless the case sets it. */
function margin({ input, rules, w }: Walk): void {
  const own = input.rules?.sizingMargin;
  const dirt = input.place?.dirt;
  const raised =
    own === undefined && dirt !== undefined && dirt !== 'clean'
      ? Math.max(rules.sizingMargin, 1.15)
      : rules.sizingMargin;
  const source = houseRule(houseRules.sizingMargin.title, houseRules.sizingMargin.reason);
  w.stated('load.margin', '1', q(raised, '1'), source, {
    field: raised === rules.sizingMargin ? 'rules.sizingMargin' : 'place.dirt',
    symbol: 'k',
  });
}

function notYetUsed({ input, w }: Walk): void {
  const { cycle, maxStartTime } = input.load ?? {};
  const fields = [cycle && 'load.cycle', maxStartTime && 'load.maxStartTime'].filter((x) => typeof x === 'string');
  if (fields.length === 0) return;
  w.finding(
    'load.not-judged',
    'caution',
    maxStartTime
      ? `The machine must be at speed within ${maxStartTime.text}. The run-up is not simulated in this version: ask for the motor’s run-up time on this load, and keep soft-start and drive ramps inside it.`
      : 'The duty cycle is kept, but this version sizes for the steady demand: a cycle with peaks above it needs a look by hand.',
    { fields, source: definition('Pilgrim', 'scope of this version') },
  );
}

export function loadKey({ w }: Walk, system: 'hp' | 'kW'): string {
  const power = w.value('load.motorPower');
  const speed = w.value('load.motorSpeed');
  if (power === undefined || speed === undefined) return 'no load yet';
  return `${writeQuantity(power, 'W', system === 'hp' ? 'us' : 'si')} at ${Math.round(speed)}`;
}
