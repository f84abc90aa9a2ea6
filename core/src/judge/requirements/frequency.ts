import { code } from '../code';
import { requirement } from '../requirement';

/** Two frequencies within this share are one. */
const alike = 0.01;

export const frequency = requirement({
  id: 'frequency',
  of: 'motor',
  fields: ['supply.frequency'],
  judge({ needs, build }, e) {
    const off = Math.abs((build.frequency[e.i] ?? 0) / needs.supply.frequency - 1);
    e.margin = alike - off;
    return off < alike ? code.pass : e.drive ? code.caution : code.fail;
  },
  sentence: ({ outcome, motor, needs: { supply } }) =>
    outcome === 'pass'
      ? `${motor.frequency} Hz motor on ${supply.frequency} Hz.`
      : `${motor.frequency} Hz motor on ${supply.frequency} Hz: right only at the same volts per hertz${outcome === 'caution' ? ', which the drive must be set to' : ''}.`,
  cure: ({ motor }) => `${motor.frequency} Hz, or a drive`,
});
