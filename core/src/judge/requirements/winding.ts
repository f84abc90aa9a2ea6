import { unfilteredLength } from '../../needs';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { passIf, requirement } from '../requirement';

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
    return e.line >= neverAssumed ? code.fail : code.caution;
  },
  sentence({ outcome, margin, motor, needs }) {
    const pulse = motor.pulseRating / (1 + margin);
    const facts = `Pulses may reach ${writeQuantity(pulse, 'V')}, the winding bears ${writeQuantity(motor.pulseRating, 'V')}`;
    if (margin >= 0) return `${facts}: any cable length.`;
    const metres = unfilteredLength(needs);
    if (outcome === 'pass')
      return needs.rules.inverterDuty === 'modern'
        ? 'Accepted by house rule as of modern make.'
        : `${facts}, but the cable is no longer than ${metres} m.`;
    if (outcome === 'caution')
      return `${facts}: keep the cable below ${metres} m, fit a dV/dt filter, or take an inverter-duty motor.`;
    return needs.rules.inverterDuty === 'plate'
      ? 'The house rule wants inverter duty on the plate.'
      : `${facts}: at this voltage take an inverter-duty motor.`;
  },
  cure: ({ needs }) =>
    needs.rules.inverterDuty === 'plate'
      ? 'a house rule that judges heat and pulses apart'
      : 'a sine filter, or a lower voltage',
});
