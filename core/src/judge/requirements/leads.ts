import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { passIf, requirement } from '../requirement';

export const leads = requirement({
  id: 'leads',
  of: 'method',
  fields: ['method'],
  judge({ supply }, e) {
    if (e.method !== 'star-delta') return code.none;
    e.margin = 0;
    return passIf(supply.deltaFits[e.i] === 1);
  },
  sentence({ outcome, motor }) {
    if (outcome === 'pass')
      return 'Both ends of three windings are brought out, and delta voltage is the line voltage.';
    return motor.deltaVoltage === null
      ? `${motor.leads} leads: star-delta needs both ends of three windings, and delta at line voltage.`
      : `Delta voltage is ${writeQuantity(motor.deltaVoltage, 'V')}, not the ` +
          `line voltage: in delta on this supply it would burn.`;
  },
  cure: () => 'six leads with delta at line voltage',
});
