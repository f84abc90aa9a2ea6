import { connectionFor, percent } from '../../needs';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { requirement } from '../requirement';

export const voltage = requirement({
  id: 'voltage',
  of: 'motor',
  told: true,
  fields: ['supply.voltage'],
  applies: ({ supply }) => supply.voltage !== undefined,
  judge({ supply }, e) {
    e.margin = supply.fitMargin[e.i] ?? 0;
    return supply.fit[e.i] ?? code.none;
  },
  sentence({ motor, needs: { supply, practice } }) {
    const own = connectionFor(motor, supply.voltage).voltage;
    const line = supply.voltage ?? own;
    const fit = practice.voltageFit(line, own);
    return (
      `${writeQuantity(own, 'V')} motor on ${writeQuantity(line, 'V')}: ` +
      `${(fit.deviation * 100).toFixed(1)} % off, ${percent(fit.limit)} permitted.`
    );
  },
  cure: ({ motor }) => `a supply within ${percent(0.1)} of ${motor.voltageText}`,
});
