import type { Case } from '../../case';
import type { Motor } from '../../catalogue';
import { commonPractice } from '../../contract';
import { assumed, field, prescribed, type Given } from '../../law';
import {
  cableResistance,
  fitCircuit,
  ratedTorqueOf,
  totalInertia,
  usualInertia,
  type Circuit,
  type Fitted,
  type StartCase,
} from '../../physics';
import { q, writeQuantity } from '../../quantity';
import { factsOf, type Needs, numberOf, type Subject, type Walk } from '../../needs';

const fits = new WeakMap<Motor, Map<number, Fitted>>();

/** The circuit fitted to a motor connected for a voltage; found once for each. Undefined where slip or efficiency are no motor's. */
export function fittedCircuit(motor: Motor, voltage: number): Fitted | undefined {
  const known = fits.get(motor) ?? new Map<number, Fitted>();
  fits.set(motor, known);
  const there = known.get(voltage);
  if (there) return there;
  const connection = motor.connections.find((c) => c.voltage === voltage) ?? motor.connections.at(-1);
  const top = motor.connections.at(-1);
  const synchronous = (120 * motor.frequency) / motor.poles;
  if (!connection || !top || !(motor.speed < synchronous) || !(motor.efficiency < 1)) return undefined;
  const fitted = fitCircuit({
    poles: motor.poles,
    frequency: motor.frequency,
    voltage: connection.voltage,
    power: motor.power,
    speed: motor.speed,
    current: connection.current,
    efficiency: motor.efficiency,
    lockedRotorCurrent: (motor.lockedRotorCurrent * top.voltage) / connection.voltage,
    lockedRotorTorque: motor.lockedRotorTorque,
    breakdownTorque: motor.breakdownTorque,
    design: motor.designLetter,
  });
  known.set(voltage, fitted);
  return fitted;
}

/** A mm² carries about this much where nobody has sized the cable yet, A. */
const usualDensity = 3;
/** Reactance of a cable, Ω per m: common practice 0.08 mΩ. */
const cableReactance = 0.08e-3;

/**
 * Everything of the subject's start but the method, with its figures: inertia, cable, permitted time and heat. Undefined where the motor's
 * circuit or the supply's voltage is not known.
 */
export function startCase(walk: Walk, needs: Needs, subject: Subject, circuit: Circuit): StartCase | undefined {
  const { input, w, practice } = walk;
  const U = needs.supply.voltage;
  const motor = subject.motor;
  const current = numberOf(w, subject.current);
  if (U === undefined || !motor || current === undefined) return undefined;
  return {
    circuit,
    feed: {
      voltage: U,
      frequency: needs.supply.frequency,
      resistance: 0,
      reactance: needs.supply.impedance ?? 0,
      generator: needs.supply.generator,
      cable: tellCable(walk, needs, subject),
    },
    inertia: tellInertia(walk, motor),
    load: {
      torque: needs.load.torque,
      speed: needs.load.speed,
      shape: needs.load.shape,
      startRatio: needs.load.startRatio,
      breakaway: needs.load.torque * needs.load.breakaway,
    },
    stallTime: tellStallTime(input, walk, practice.stallTime),
    ratedCurrent: current,
    ratedTorque: ratedTorqueOf(circuit),
    permitted: permittedTime(input).value,
  };
}

/** Longest time to speed in s: the case's, else what the machine itself asks, else none. */
export function permittedTime(input: Case): {
  readonly value: number;
  readonly text: string;
  readonly machine: boolean;
} {
  const own = input.load?.maxStartTime;
  if (own) return { value: own.value, text: own.text, machine: false };
  const usual = factsOf(input.load?.machine).startTime;
  if (usual === undefined) return { value: Infinity, text: '', machine: false };
  return { value: usual, text: writeQuantity(usual, 's'), machine: true };
}

function tellCable({ w }: Walk, needs: Needs, subject: Subject): StartCase['feed']['cable'] {
  const length = needs.place.cable;
  if (length === undefined) return { resistance: 0, reactance: 0 };
  const resistance = w.figure('start.cableResistance', cableResistance, {
    l: field('place.cable.length', q(length, 'm')),
    I_n: subject.current,
    j: prescribed(q(usualDensity, '1'), commonPractice('3 A/mm², until the cable is sized')),
  });
  return { resistance: resistance ?? 0, reactance: cableReactance * length };
}

function tellInertia({ input, w }: Walk, motor: Motor): number {
  const J_m: Given<'kg.m2'> = prescribed(q(motor.inertia, 'kg.m2'), {
    kind: 'catalogue',
    title: 'Rotor inertia of the motor',
    part: motor.name,
    fromMemory: false,
  });
  if (w.figures.has('load.inertiaAtMotor') && input.load?.inertia)
    return w.figure('start.inertia', totalInertia, { J_m, J_L: 'load.inertiaAtMotor' }) ?? motor.inertia;
  const k = factsOf(input.load?.machine).inertia;
  w.figure('start.loadInertia', usualInertia, {
    J_m,
    k_J: assumed('load.inertia', q(k, '1'), `no inertia given: ${k} × the motor’s, usual for the machine`),
  });
  return w.figure('start.inertia', totalInertia, { J_m, J_L: 'start.loadInertia' }) ?? motor.inertia;
}

function tellStallTime(input: Case, { w }: Walk, usual: Walk['practice']['stallTime']): number {
  const own = input.start?.stallTime;
  w.stated('start.stallTime', 's', own?.value ?? q(usual.value, 's'), own ? { kind: 'given', title: 'Given in start.stallTime', fromMemory: false } : usual.source, {
    field: 'start.stallTime',
    symbol: 't_E',
    assumed: own ? undefined : 'not given: the least a motor of this practice bears, hot',
  });
  return own?.value ?? usual.value;
} // prettier-ignore
