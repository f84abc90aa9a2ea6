import type { Motor } from '../catalogue';
import { commonPractice, type Method } from '../contract';
import { prescribed } from '../law';
import { cableResistance, ratedTorqueOf, totalInertia, usualInertia, type Fitted, type StartCase } from '../physics';
import { q } from '../quantity';
import { connectionFor, driveOverload, runUpLoad, settledSpeed, type CableImpedance, type Needs } from '../needs';
import { machineFor, startKey } from './fitted';
import type { DriveAim } from './plans';

/** A mm² carries about this much where no table sizes the cable, A. */
export const usualDensity = prescribed(q(3, '1'), commonPractice('3 A/mm², where no table sizes the cable'));
/** Reactance of a cable, Ω per m: common practice 0.08 mΩ. */
const cableReactance = 0.08e-3;

/** One motor with the case's load on the case's supply, ready to be started by any method. */
export interface Bench extends StartCase {
  /** How well the circuit meets the motor's data; undefined where the case pins the circuit. */
  readonly fitted: Fitted | undefined;
  readonly aim: DriveAim;
  /** The cable that Guard sizes; undefined where its length or a table is missing. */
  readonly cable: CableImpedance | undefined;
}

const benches = new WeakMap<Needs, Map<string, Bench | null>>();

/**
 * Everything of a motor's start but the method, from what the case needs. Undefined where the motor's circuit or the
 * supply's
 * voltage is not known. Made once for each needs, and for motors that start alike; writes nothing.
 */
export function benchFor(needs: Needs, motor: Motor, method?: Method): Bench | undefined {
  const known = benches.get(needs) ?? new Map<string, Bench | null>();
  // Straight on the line the cable may be a thicker one, for what it loses at standstill; behind a drive it need not be
  // as thick as a device asks that opens its faults.
  const own = needs.place.cable !== undefined && hasOwnCable(needs, motor, method) ? method : undefined;
  const key = `${startKey(motor)} ${own ?? ''}`;
  benches.set(needs, known);
  const there = known.get(key);
  if (there !== undefined) return there ?? undefined;
  const made = prepared(needs, motor, own);
  known.set(key, made ?? null);
  return made;
}

function hasOwnCable(needs: Needs, motor: Motor, method: Method | undefined): boolean {
  if (method === 'drive') return benchFor(needs, motor)?.cable?.forDevice === true;
  return method === 'direct';
}

function prepared(needs: Needs, motor: Motor, method: Method | undefined): Bench | undefined {
  const { supply, load, start } = needs;
  const machine = machineFor(needs, motor);
  if (!machine || supply.voltage === undefined) return undefined;
  const current = connectionFor(motor, supply.voltage).current;
  const sized = needs.place.cable === undefined ? undefined : start.cableOf(motor, method);
  return {
    circuit: machine.circuit,
    fitted: machine.fitted,
    feed: {
      voltage: supply.voltage,
      frequency: supply.frequency,
      resistance: 0,
      reactance: supply.impedance ?? 0,
      generator: supply.generator,
      cable: cableOf(needs, sized, current),
    },
    inertia: inertiaOf(needs, motor),
    load: {
      torque: load.torque,
      speed: load.speed,
      ...runUpLoad(load),
      working: load.shape,
      breakaway: load.torque * load.breakaway,
    },
    stallTime: start.stallTime,
    cable: sized,
    ratedCurrent: current,
    ratedTorque: ratedTorqueOf(machine.circuit),
    permitted: start.permitted.value,
    aim: {
      overload: driveOverload(needs),
      speed: settledSpeed(needs, 'drive', load.speed),
      ...(load.hoist && { ramp: hoistRamp(start.perHour) }),
    },
  };
}

/** s in which a hoist comes to speed: 2 s, or a tenth of its cycle where that is shorter (common practice). */
function hoistRamp(perHour: number | undefined): readonly [number, string] {
  const cycle = perHour === undefined || perHour <= 0 ? Infinity : 3600 / perHour;
  return cycle / 10 < 2 ? [Number((cycle / 10).toPrecision(2)), 'a tenth of its cycle'] : [2, 'usual of a hoist'];
}

/** The cable as Guard sizes it; where no table reaches, by a usual density of current. */
function cableOf({ place }: Needs, sized: CableImpedance | undefined, current: number): StartCase['feed']['cable'] {
  const length = place.cable;
  if (length === undefined) return { resistance: 0, reactance: 0 };
  if (sized) return { resistance: sized.resistance, reactance: sized.reactance };
  const I_n = q(current, 'A');
  return {
    resistance: cableResistance.of({ l: q(length, 'm'), I_n, j: usualDensity.value ?? q(NaN, '1') }),
    reactance: cableReactance * length,
  };
}

function inertiaOf({ start }: Needs, motor: Motor): number {
  return totalInertia.of({ J_m: q(motor.inertia, 'kg.m2'), J_L: q(loadInertiaOf({ start }, motor), 'kg.m2') });
}

/** Inertia of load and train at the motor in kg·m²: given, or usual for a machine of its size. */
export function loadInertiaOf({ start }: Pick<Needs, 'start'>, motor: Motor): number {
  if (start.loadInertia !== undefined) return start.loadInertia;
  return usualInertia.of({ J_m: q(start.sizeInertia ?? motor.inertia, 'kg.m2'), k_J: q(start.inertiaRatio, '1') });
}
