import { field } from '../../law';
import type { Walk } from '../../needs';
import { faultAtEnd } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import type { Circuit } from './cable';

/** Available fault current at the starter and at the motor's end, against what the panel is rated for. */
export function tellFault({ input, w }: Walk, circuit: Circuit | undefined): void {
  const available = w.figures.get('start.faultCurrent');
  const fields = ['supply.source'];
  if (!available) {
    w.finding(
      'guard.no-fault-level',
      'note',
      'The fault current at the starter is not known: nothing here can be bought before it is. Describe the source, ' +
        'or ask the supplier of power for it.',
      { fields },
    );
    return;
  }
  const { value, source } = available;
  w.stated('guard.availableFault', 'A', q(value, 'A'), source, { symbol: 'I_k' });
  const rated = input.guard?.assemblyRating;
  if (rated && value > rated.value * 1.0001)
    w.finding(
      'guard.fault-too-high',
      'stop',
      `${writeQuantity(value, 'A')} may flow at a fault, the panel is rated for ${rated.text}: a panel with a higher ` +
        'rating, devices that limit the current, or more impedance before it.',
      { fields: ['guard.assemblyRating', ...fields], figures: ['guard.availableFault'] },
    );
  const voltage = input.supply?.voltage;
  if (!circuit?.impedance || !voltage) return;
  w.figure('guard.faultAtMotor', faultAtEnd, {
    U: field('supply.voltage', voltage.value, voltage.text),
    Z_s: 'start.sourceImpedance',
    R: circuit.impedance.resistance,
    X: circuit.impedance.reactance,
  });
}
