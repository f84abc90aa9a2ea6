import type { Case } from '../case';
import { field, type Given } from '../law';
import { circuitLaws, type Circuit } from '../physics';
import { q } from '../quantity';
import type { Walk } from './walk';

type CircuitText = NonNullable<NonNullable<Case['motor']>['circuit']>;

/** The circuit the case pins, as numbers; undefined where it has no rated speed. */
export function pinnedCircuit({ input }: Walk): Circuit | undefined {
  const given = input.motor?.circuit;
  return given?.ratedSpeed && circuitOf(given, given.ratedSpeed.value);
}

const circuitOf = (c: CircuitText, ratedSpeed: number): Circuit => ({
  poles: c.poles,
  voltage: c.voltage.value,
  frequency: c.frequency.value,
  statorResistance: c.statorResistance.value,
  statorReactance: c.statorReactance.value,
  rotorResistance: c.rotorResistance.value,
  rotorReactance: c.rotorReactance.value,
  magnetisingReactance: c.magnetisingReactance.value,
  coreLoss: c.coreLoss?.value ?? 0,
  frictionLoss: c.frictionLoss?.value ?? 0,
  ratedSpeed,
  ...(c.cage2 ? { cage2: { resistance: c.cage2.resistance.value, reactance: c.cage2.reactance.value } } : {}),
});

/** What the pinned circuit gives at rated speed, at standstill and at breakdown, at its own voltage and frequency. */
export function tellMachine(walk: Walk): void {
  const { input, w } = walk;
  const given = input.motor?.circuit;
  const circuit = pinnedCircuit(walk);
  if (!given || !circuit) return;
  w.enter('choice');
  const laws = circuitLaws(circuit);
  const U = field('motor.circuit.voltage', given.voltage.value, given.voltage.text);
  const f = field('motor.circuit.frequency', given.frequency.value, given.frequency.text);
  const n = field('motor.circuit.ratedSpeed', given.ratedSpeed?.value, given.ratedSpeed?.text);
  const rated = { U, f, n };
  w.figure('motor.current', laws.current, rated);
  w.figure('motor.powerFactor', laws.powerFactor, rated);
  w.figure('motor.inputPower', laws.inputPower, rated);
  w.figure('motor.airGapPower', laws.airGapPower, rated);
  w.figure('motor.torque', laws.torque, rated);
  w.figure('motor.outputPower', laws.outputPower, rated);
  w.figure('motor.shaftTorque', laws.shaftTorque, rated);
  w.figure('motor.efficiency', laws.efficiency, rated);
  const still: Given<'rpm'> = { value: q(0, 'rpm'), text: 'standstill' };
  w.figure('motor.startingCurrent', laws.current, { U, f, n: still });
  w.figure('motor.startingTorque', laws.torque, { U, f, n: still });
  w.figure('motor.breakdownTorque', laws.breakdownTorque, { U, f });
  w.figure('motor.breakdownSlip', laws.breakdownSlip, { U, f });
}
