import type { Motor } from '../catalogue';
import { fitCircuit, type Circuit, type Fitted } from '../physics';
import { connectionFor, type Needs } from '../needs';

const fits = new WeakMap<Motor, Map<number, Fitted>>();
const byData = new Map<string, Fitted>();
/** So many machines are kept by their data; a catalogue has fewer. */
const mostKept = 5000;
const keys = new WeakMap<Motor, string>();

/** Motors with the same key start alike: they differ in what a start does not see (enclosure, frame, price). */
export function startKey(motor: Motor): string {
  const known = keys.get(motor);
  if (known !== undefined) return known;
  const { id, poles, frequency, power, speed, efficiency, lockedRotorCurrent, lockedRotorTorque } = motor;
  const key = [
    id.startsWith('pinned') ? id : '',
    poles,
    frequency,
    power,
    speed,
    efficiency,
    motor.constantLoss,
    lockedRotorCurrent,
    lockedRotorTorque,
    motor.breakdownTorque,
    motor.leastBreakdown,
    motor.inertia,
    motor.designLetter,
    motor.deltaVoltage,
    ...motor.connections.flatMap((c) => [c.voltage, c.current]),
  ].join();
  keys.set(motor, key);
  return key;
}

/**
 * The circuit fitted to a motor connected for a voltage; found once for each. Undefined where slip or efficiency are
 * no motor's.
 */
export function fittedCircuit(motor: Motor, voltage: number): Fitted | undefined {
  const known = fits.get(motor) ?? new Map<number, Fitted>();
  fits.set(motor, known);
  const there = known.get(voltage);
  if (there) return there;
  const connection = motor.connections.find((c) => c.voltage === voltage) ?? motor.connections.at(-1);
  const top = motor.connections.at(-1);
  const synchronous = (120 * motor.frequency) / motor.poles;
  if (!connection || !top || !(motor.speed < synchronous) || !(motor.efficiency < 1)) return undefined;
  const key = `${startKey(motor)} ${connection.voltage}`;
  const alike = byData.get(key);
  if (alike) {
    known.set(voltage, alike);
    return alike;
  }
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
    leastBreakdown: motor.leastBreakdown,
    design: motor.designLetter,
    constantLoss: motor.constantLoss,
  });
  known.set(voltage, fitted);
  if (byData.size >= mostKept) byData.clear();
  byData.set(key, fitted);
  return fitted;
}

/**
 * The circuit that speaks for a motor: the pinned one, else one fitted to its data on the connection for this supply.
 */
export function machineFor(
  needs: Needs,
  motor: Motor,
): { readonly circuit: Circuit; readonly fitted?: Fitted } | undefined {
  if (motor.id === 'pinned-circuit' && needs.start.circuit) return { circuit: needs.start.circuit };
  const fitted = fittedCircuit(motor, connectionFor(motor, needs.supply.voltage).voltage);
  return fitted && { circuit: fitted.circuit, fitted };
}
