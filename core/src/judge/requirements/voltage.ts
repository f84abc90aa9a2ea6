import { connectionFor, percent, type Needs } from '../../needs';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { remedied, requirement } from '../requirement';

export const voltage = requirement({
  id: 'voltage',
  of: 'line',
  told: true,
  fields: ['supply.voltage'],
  applies: ({ supply }) => supply.voltage !== undefined,
  judge({ needs, supply, c }, e) {
    e.margin = supply.fitMargin[e.i] ?? 0;
    const fit = supply.fit[e.i] ?? code.none;
    if (fit !== code.fail || !e.drive) return fit;
    const left = fluxReserve(needs, c.speed[e.i] ?? 0, e.line / e.own);
    if (left < 0) return fit;
    e.margin = left;
    return remedied(e, 'setting');
  },
  sentence({ motor, method, outcome, needs }) {
    const { supply, practice } = needs;
    const own = connectionFor(motor, supply.voltage).voltage;
    const line = supply.voltage ?? own;
    const fit = practice.voltageFit(line, own);
    const volts = `${writeQuantity(own, 'V')} motor on ${writeQuantity(line, 'V')}`;
    if (method === 'drive' && outcome !== 'fail' && fit.outcome === 'fail')
      return (
        `${volts}: on a drive volts per hertz decide, and it has full flux to ` +
        `${writeQuantity((motor.frequency * line) / own, 'Hz')}, above what the load asks.`
      );
    return `${volts}: ${(fit.deviation * 100).toFixed(1)} % off, ${percent(fit.limit)} permitted.`;
  },
  remedied: ({ motor, needs: { supply } }) =>
    `the drive set to ${writeQuantity(connectionFor(motor, supply.voltage).voltage, 'V')} at ${motor.frequency} Hz`,
  cure: ({ motor }) => `a supply within ${percent(0.1)} of ${motor.voltageText}`,
});

/**
 * How far the speed up to which the line holds a motor's volts per hertz lies above the highest asked, as a share;
 * below nought where a drive is no way out, as of a motor wound for less than the line.
 */
function fluxReserve({ speed, load }: Needs, rated: number, share: number): number {
  if (!(share < 1) || rated === 0) return -1;
  const top = (speed.variable ? speed.max : 1) * load.speed;
  return (rated * share) / top - 1;
}
