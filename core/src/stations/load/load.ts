import type { Machine } from '../../contract';
import type { Demand } from '../../case';
import { commonPractice, houseRule } from '../../contract';
import { assumed, field, type Given, type Workings } from '../../law';
import {
  breakawayTorque,
  cycleTime,
  dutyOf,
  dutySource,
  highEnd,
  inertiaThroughTrain,
  inertiaWithTrain,
  lowEnd,
  peakTorque,
  powerThroughTrain,
  rmsPower,
  speedThroughTrain,
  thermalRatio,
  torqueThroughTrain,
  unloadedBreakaway,
  withMargin,
  type Segment,
} from '../../physics';
import { factsOf, houseRules } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { isHeld, breakawayGiven, tellDrivenShaft } from './demand';
import { readTrain, tellPull, type Drivetrain } from './drivetrain';
import { isHoist, type LoadNeeds, type PlateFacts, shapeOf, type Walk } from '../../needs';
import { tellRunning } from './running';

/** From what is known of the driven machine to torque, speed and power at the motor shaft, and the power to ask for. */
export function findLoad(walk: Walk, plate: PlateFacts): LoadNeeds | undefined {
  const { input, w } = walk;
  w.enter('load');
  const load = input.load;
  const demand = load?.demand;
  if (!load || !demand) {
    w.want('load.demand');
    const stamped = fromPlate(walk, plate);
    if (stamped) return stamped;
    // A plate for several voltages may be complete but for the supply.
    const unsupplied = input.supply?.voltage === undefined && (input.plate?.voltage?.groups.flat().length ?? 0) > 1;
    missingLoad(
      w,
      'There is no load yet: give power, torque or a pull at a radius, and the speed of the driven shaft. Or ' +
        (unsupplied
          ? 'say what the supply’s voltage is: the plate’s rating then stands for the load.'
          : 'give a complete plate: its rating then stands for the load.'),
      unsupplied ? ['supply.voltage', 'load.demand'] : undefined,
    );
    return undefined;
  }
  const shape = shapeOf(load.shape, load.machine);
  const train = readTrain(walk);
  let usual = usualUncertainty(demand, load.machine);
  if (demand.kind === 'measured') usual = tellRunning(walk, demand, train, plate);
  else {
    tellDrivenShaft(walk, demand, train, plate);
    w.figure('load.motorTorque', torqueThroughTrain, { T_L: 'load.torque', i: train.ratio, eta: train.efficiency });
    w.figure('load.motorSpeed', speedThroughTrain, { n_L: 'load.speed', i: train.ratio });
    w.figure('load.motorPower', powerThroughTrain, { P_L: 'load.power', eta: train.efficiency });
  }
  // A hoist is one however its load is told; by its mass it says how much comes back (stations/load/demand).
  if (isHoist(input) && demand.kind !== 'hoist')
    w.finding(
      'load.overhauling',
      isHeld(input) ? 'note' : 'caution',
      'Lowering, the load drives the motor and gives back its power less the losses: on a drive a chopper with a ' +
        'resistor that bears it, or one that feeds back; the brake closes before torque goes and opens after torque ' +
        'is proved; limit switches, a load limiter. Lifting people is not answered here.',
      { fields: ['load.machine', 'load.demand'] },
    );
  const uncertainty = tellUncertainty(walk, demand, usual);
  tellPull(walk, train);
  const thermal = tellDuty(walk);
  margin(walk, uncertainty);
  w.figure('load.requiredPower', withMargin, {
    P_m: thermal === undefined ? 'load.motorPower' : 'load.rmsPower',
    k: 'load.margin',
  });
  const breakaway = tellBreakaway(walk);
  tellInertia(walk, train);
  const peak = tellPeak(walk);

  const torque = w.value('load.motorTorque');
  const speed = w.value('load.motorSpeed');
  const power = w.value('load.motorPower');
  const k = w.value('load.margin');
  if (torque === undefined || speed === undefined || power === undefined || k === undefined || !(power > 0)) {
    missingLoad(w, `The load is not complete: ${w.wanted('load').map(spoken).join(', ') || 'the demand'} is missing.`);
    return undefined;
  }
  if (power > mostPower || torque > mostPower) {
    missingLoad(w, `A load of ${writeQuantity(power, 'W')} is no machine’s: see what was typed.`);
    return undefined;
  }
  return {
    basis: 'load',
    machine: load.machine,
    hoist: isHoist(input),
    brake: load.brake,
    startKnown: true,
    torque,
    speed,
    power,
    shape,
    breakaway,
    margin: k,
    ratio: train.ratioValue,
    overload: load.overload?.ratio ?? 1,
    startRatio: load.startRatio ?? 1,
    thermal: thermal ?? 1,
    peak,
    promised: load.overload?.breakdown,
    cycle: cycleOf(input),
    uncertainty,
    belt: train.first === 'belt' || train.first === 'chain',
    sheave: load.train?.sheave?.value,
    pull: w.value('load.beltPull'),
    permittedPull: load.train?.permittedPull?.value,
  };
}

/** W and N·m: a thousand times the largest power station. What lies beyond is a slip, and no sum of it is finite. */
const mostPower = 1e13;

/** What the old motor's rating is taken for, where no load was given. */
const plateStands = 'no load given: the old motor’s rating stands for it';

/**
 * The old motor's rating as the load, without a margin on top: the same as before is the least. Undefined where the
 * plate is not complete.
 */
function fromPlate(walk: Walk, plate: PlateFacts): LoadNeeds | undefined {
  const { input, w } = walk;
  const { power, speed, current, voltage } = plate;
  const torque = w.value('plate.ratedTorque');
  if (power === undefined || speed === undefined || torque === undefined) return undefined;
  if (current === undefined || voltage === undefined) return undefined;
  const load = input.load;
  const facts = factsOf(load?.machine);
  const machine = load?.machine !== undefined;
  const train = readTrain(walk);
  // Of an unknown machine nothing is claimed at standstill but its torque.
  const breakaway = load?.breakaway ?? (machine ? facts.breakaway : 1);
  const of = (symbol: string) => ({ field: 'load.demand', assumed: plateStands, symbol });
  const given = { kind: 'given', title: 'The old motor’s rating', fromMemory: false } as const;
  w.stated('load.motorPower', 'W', q(power, 'W'), given, of('P_m'));
  w.stated('load.motorSpeed', 'rpm', q(speed, 'rpm'), given, of('n_m'));
  w.stated('load.motorTorque', 'N.m', q(torque, 'N.m'), given, of('T_m'));
  w.stated('load.requiredPower', 'W', q(power, 'W'), given, of('P_req'));
  w.figure('load.breakawayTorque', breakawayTorque, {
    T_m: 'load.motorTorque',
    k_b: breakawayGiven(walk, load?.machine),
  });
  tellInertia(walk, train);
  const peak = tellPeak(walk);
  w.finding(
    'load.from-plate',
    'note',
    `No load is given: the old motor’s rating, ${w.text('load.motorPower')} at ${w.text('load.motorSpeed')}, ` +
      `stands for it, with no margin on top. Guard’s settings are the old motor’s: reset them from the new ` +
      `plate.${
        input.history
          ? ''
          : ' Was it overheated? Say what failed under history, for the same ' +
            'motor into the same trouble fails the same way.'
      }`,
    { fields: ['load.demand', 'plate.power', 'history.causes'], figures: ['load.motorPower', 'plate.ratedPower'] },
  );
  return {
    basis: 'plate',
    machine: load?.machine,
    hoist: isHoist(input),
    brake: load?.brake,
    startKnown:
      machine && (input.motor?.existing === true || load.inertia !== undefined || load.startsPerHour !== undefined),
    torque,
    speed,
    power,
    shape: shapeOf(load?.shape, load?.machine),
    breakaway,
    margin: 1,
    ratio: train.ratioValue,
    overload: load?.overload?.ratio ?? 1,
    startRatio: load?.startRatio ?? 1,
    thermal: 1,
    peak,
    promised: load?.overload?.breakdown,
    cycle: cycleOf(input),
    uncertainty: 0,
    belt: train.first === 'belt' || train.first === 'chain',
    sheave: load?.train?.sheave?.value,
    pull: undefined,
    permittedPull: load?.train?.permittedPull?.value,
  };
}

/** A field's path as it is spoken of: "demand power". */
const spoken = (path: string): string => path.split('.').slice(1).join(' ');

function missingLoad(w: Workings, text: string, fields: readonly string[] = ['load.demand']): void {
  w.finding('load.missing', 'caution', text, { fields });
}

/** How far the load may be off by the way it is known, where nobody says: common practice. */
function usualUncertainty(demand: Demand, machine: Machine | undefined): number {
  switch (demand.kind) {
    case 'power':
    case 'pump':
    case 'fan':
      return 0.1;
    case 'torque':
    case 'hoist':
      return 0.05;
    case 'pull':
      return demand.breakawayForce && !demand.force ? 0.3 : 0.1;
    case 'conveyor':
      if (machine === 'screw-conveyor') return 0.25;
      return demand.movingMass || machine === 'bucket-elevator' ? 0.15 : 0.25;
    case 'measured':
      return 0.1;
  }
}

function tellUncertainty({ w }: Walk, demand: Demand, usual: number): number {
  const typed = demand.uncertainty;
  if (typed === undefined)
    w.stated(
      'load.uncertainty',
      '1',
      q(usual, '1'),
      commonPractice(
        'How well a load is known: torque wrench 5 %, data sheet and hydraulics 10 %, conveyor formulas 15 to 25 %',
      ),
      { field: 'load.demand.uncertainty', symbol: 'u', assumed: 'usual for the way the load is known' },
    );
  else w.given('load.uncertainty', '1', 'load.demand.uncertainty', q(typed, '1'));
  w.figure('load.powerLow', lowEnd, { P: 'load.motorPower', u: 'load.uncertainty' });
  w.figure('load.powerHigh', highEnd, { P: 'load.motorPower', u: 'load.uncertainty' });
  return typed ?? usual;
}

/** Turns and standstill: the thermal equivalent, and whether it sizes the motor. Undefined where steady demand does. */
function tellDuty({ input, w, rules }: Walk): number | undefined {
  const cycle = typedCycle(input);
  if (cycle.length === 0) return undefined;
  const duty = dutyOf(cycle, input.load?.startsPerHour ?? 0);
  w.fact('load.duty', 'Duty', duty.text, dutySource, { fields: ['load.cycle'] });
  const k = w.figure('load.thermalRatio', thermalRatio(cycle), {});
  w.figure('load.rmsPower', rmsPower, { P_m: 'load.motorPower', k_th: 'load.thermalRatio' });
  if (k === undefined) return undefined;
  const long = cycleTime(cycle) > 600;
  if (long && cycle.some((s) => s.ratio > 1))
    w.finding(
      'load.long-cycle',
      'caution',
      'The cycle is longer than ten minutes: a motor follows each stretch, so its thermal ' +
        'equivalent says too little. The longest heavy stretch decides.',
      { fields: ['load.cycle'], source: dutySource },
    );
  // Without a load there is no demand to set the cycle against.
  if (!w.figures.has('load.rmsPower')) return undefined;
  if (k > 1 || (rules.dutySizing === 'thermal' && !long)) return k;
  w.finding(
    'load.duty-sizing',
    'note',
    `By its thermal equivalent the cycle asks ${w.text('load.rmsPower')}; the steady demand sizes ` +
      `the motor by house rule, because a cycle as told is seldom the cycle as run.`,
    { fields: ['rules.dutySizing'], figures: ['load.rmsPower', 'load.motorPower'] },
  );
  return undefined;
}

const typedCycle = (input: Walk['input']): Segment[] =>
  (input.load?.cycle ?? []).map((s) => ({ duration: s.duration.value, ratio: s.ratio, rest: s.rest === true }));

/** s of an overload where nobody says: a drive's minute. */
const usualOverload = 60;

/** The cycle as typed, or an overload every ten minutes. */
function cycleOf(input: Walk['input']): readonly Segment[] {
  const typed = typedCycle(input);
  const { ratio = 1, duration } = input.load?.overload ?? {};
  if (typed.length > 0 || ratio <= 1) return typed;
  const time = duration?.value ?? usualOverload;
  return [
    { duration: time, ratio, rest: false },
    { duration: Math.max(0, 10 * usualOverload - time), ratio: 1, rest: false },
  ];
}

function tellPeak({ input, w }: Walk): number {
  const cycle = input.load?.cycle ?? [];
  const overload = input.load?.overload;
  const peak = Math.max(1, overload?.ratio ?? 1, ...cycle.map((s) => s.ratio));
  if (peak > 1) {
    const ofOverload = peak === overload?.ratio;
    w.figure('load.peakTorque', peakTorque, {
      T_m: 'load.motorTorque',
      k_pk: field(ofOverload ? 'load.overload.ratio' : 'load.cycle', q(peak, '1')),
    });
  }
  if (overload?.duration && overload.duration.value > 60 && (overload.ratio ?? 1) > 1)
    w.finding(
      'load.long-overload',
      'caution',
      `An overload of ${overload.duration.text} is no short peak: it heats. Put it into the duty ` +
        `cycle, so that it sizes the motor; a drive’s overload rating is for a minute.`,
      { fields: ['load.overload.duration', 'load.cycle'] },
    );
  return peak;
}

function tellBreakaway(walk: Walk): number {
  const { w, input } = walk;
  const load = input.load;
  const read = load?.breakaway === undefined && w.figures.has('load.breakawayRatio');
  const k_b = read ? ('load.breakawayRatio' as const) : breakawayGiven(walk, load?.machine);
  const ratio = (read ? w.value('load.breakawayRatio') : undefined) ?? breakawayGiven(walk, load?.machine).value ?? 1;
  if (load?.startRatio === undefined) {
    w.figure('load.breakawayTorque', breakawayTorque, { T_m: 'load.motorTorque', k_b });
    return ratio;
  }
  w.figure('load.breakawayTorque', unloadedBreakaway, {
    T_m: 'load.motorTorque',
    k_b,
    k_s: field('load.startRatio', q(load.startRatio, '1')),
  });
  return ratio * load.startRatio;
}

function tellInertia({ input, w }: Walk, train: Drivetrain): void {
  const inertia = input.load?.inertia;
  const J_L: Given<'kg.m2'> = inertia
    ? field('load.inertia', inertia.value, inertia.text)
    : assumed('load.inertia', q(0, 'kg.m2'), 'no inertia given: the train’s alone');
  if (w.figures.has('load.trainInertia'))
    w.figure('load.inertiaAtMotor', inertiaWithTrain, { J_L, i: train.ratio, J_tr: 'load.trainInertia' });
  else if (inertia) w.figure('load.inertiaAtMotor', inertiaThroughTrain, { J_L, i: train.ratio });
}

/** The sizing margin: the house rule, raised for dirt unless the case sets it. */
function margin({ input, rules, w }: Walk, uncertainty: number): void {
  if (rules.sizing === 'certainty' && input.rules?.sizingMargin === undefined) {
    w.stated(
      'load.margin',
      '1',
      q(1 + uncertainty, '1'),
      houseRule(houseRules.sizing.title, houseRules.sizing.reason),
      {
        field: 'rules.sizing',
        symbol: 'k',
      },
    );
    return;
  }
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

export function loadKey({ w }: Walk, system: 'hp' | 'kW'): string {
  const power = w.value('load.motorPower');
  const speed = w.value('load.motorSpeed');
  if (power === undefined || speed === undefined) return 'no load yet';
  return `${writeQuantity(power, 'W', system === 'hp' ? 'us' : 'si')} at ${Math.round(speed)}`;
}
