import type { Case } from '../case';
import type { Circuit } from '../physics';
import type { Walk } from './walk';

type CircuitText = NonNullable<NonNullable<Case['motor']>['circuit']>;

/** The circuit the case pins, as numbers; undefined where it has no rated speed. */
export function pinnedCircuit({ input }: Pick<Walk, 'input'>): Circuit | undefined {
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
