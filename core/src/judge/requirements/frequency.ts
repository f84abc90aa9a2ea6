import { code } from '../code';
import { remedied, requirement } from '../requirement';

/** Two frequencies within this share are one. */
const alike = 0.01;

export const frequency = requirement({
  id: 'frequency',
  of: 'line',
  fields: ['supply.frequency'],
  judge({ needs, build }, e) {
    const off = Math.abs((build.frequency[e.i] ?? 0) / needs.supply.frequency - 1);
    e.margin = alike - off;
    if (off < alike) return code.pass;
    return e.drive ? remedied(e, 'setting') : code.fail;
  },
  sentence: ({ method, motor, needs: { supply } }) =>
    Math.abs(motor.frequency / supply.frequency - 1) < alike
      ? `${motor.frequency} Hz motor on ${supply.frequency} Hz.`
      : `${motor.frequency} Hz motor on ${supply.frequency} Hz: right only at the same volts per ` +
        `hertz${method === 'drive' ? ', which the drive must be set to' : ''}.`,
  remedied: ({ motor }) => `base frequency ${motor.frequency} Hz set at the drive`,
  cure: ({ motor }) => `${motor.frequency} Hz, or a drive`,
});
