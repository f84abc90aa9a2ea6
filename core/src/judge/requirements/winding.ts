import { unfilteredLength } from '../../needs';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { passIf, remedied, requirement } from '../requirement';

/** At and above this line voltage an unknown pulse rating is never assumed good, V (common practice). */
const neverAssumed = 550;

/** Pulses of the drive against what the winding bears. */
export const winding = requirement({
  id: 'winding',
  of: 'method',
  told: true,
  fields: ['place.cable.length'],
  judge({ needs, build }, e) {
    if (!e.drive) return code.none;
    e.margin = (build.pulseRating[e.i] ?? 0) / (2 * Math.SQRT2 * e.line) - 1;
    const rule = needs.rules.inverterDuty;
    if (rule !== 'judged') return passIf(rule === 'modern' || build.inverterDuty[e.i] === 1);
    const { cable } = needs.place;
    const short = cable !== undefined && cable <= unfilteredLength(needs);
    if (e.margin >= 0 || (short && e.line < neverAssumed)) return code.pass;
    if (cable === undefined && e.line < neverAssumed) {
      e.condition = true;
      return code.caution;
    }
    return remedied(e, e.line >= neverAssumed ? 'sine-filter' : 'filter');
  },
  sentence({ outcome, margin, motor, needs }) {
    const pulse = motor.pulseRating / (1 + margin);
    const facts =
      `Pulses may reach ${writeQuantity(pulse, 'V')}, ` + `the winding bears ${writeQuantity(motor.pulseRating, 'V')}`;
    if (margin >= 0) return `${facts}: any cable length.`;
    const metres = unfilteredLength(needs);
    const { cable } = needs.place;
    const line = needs.supply.voltage ?? motor.connections.at(-1)?.voltage ?? 0;
    if (needs.rules.inverterDuty === 'modern') return 'Accepted by house rule as of modern make.';
    if (outcome === 'fail') return 'The house rule wants inverter duty on the plate.';
    if (line >= neverAssumed) return `${facts}: at this voltage a sine filter, or an inverter-duty motor.`;
    if (cable === undefined || cable > metres)
      return `${facts}: keep the cable below ${metres} m, fit a dV/dt filter, or take an inverter-duty motor.`;
    return `${facts}, but the cable is no longer than ${metres} m.`;
  },
  remedied: ({ needs }) =>
    (needs.supply.voltage ?? 0) >= neverAssumed ? 'a sine filter at the drive' : 'a dV/dt filter at the drive',
  holdsIf: ({ margin, method, needs }) =>
    method === 'drive' && margin < 0 && needs.place.cable === undefined && (needs.supply.voltage ?? 0) < neverAssumed
      ? {
          field: 'place.cable.length',
          limit: `${unfilteredLength(needs)} m`,
          text: `Holds with a motor cable of ${unfilteredLength(needs)} m or less; a dV/dt filter beyond.`,
        }
      : undefined,
  cure: ({ needs }) =>
    needs.rules.inverterDuty === 'plate'
      ? 'a house rule that judges heat and pulses apart'
      : 'a sine filter, or a lower voltage',
});
