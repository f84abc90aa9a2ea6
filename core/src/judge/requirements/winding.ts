import { crestFor, unfilteredLength } from '../../needs';
import { modernSince, neverAssumed } from '../../practice';
import { filterNames } from '../../contract';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { passIf, remedied, requirement, type Looked } from '../requirement';

/** Pulses of the drive against what the winding bears. */
export const winding = requirement({
  id: 'winding',
  of: 'method',
  told: true,
  fields: ['place.cable.length'],
  judge({ needs, build, c }, e) {
    if (!e.drive) return code.none;
    const pulse = build.pulseRating[e.i] ?? 0;
    const inverterDuty = build.inverterDuty[e.i] === 1;
    e.margin = pulse / crestFor(needs, e.line, c.power[e.i] ?? 0) - 1;
    const { inverterDuty: rule } = needs.rules;
    if (rule === 'plate') return passIf(inverterDuty);
    const made = build.made[e.i] ?? NaN;
    if (rule === 'modern' && made >= modernSince) return code.pass;
    const { cable } = needs.place;
    if (isFiltered(needs)) return e.margin >= 0 ? code.pass : remedied(e, 'sine-filter');
    const metres = unfilteredLength(needs, e.line, pulse, inverterDuty);
    if (metres === Infinity || (cable !== undefined && cable <= metres && e.line < neverAssumed)) return code.pass;
    if ((cable === undefined || (rule === 'modern' && Number.isNaN(made))) && e.line < neverAssumed) {
      e.condition = true;
      return code.caution;
    }
    return remedied(e, e.line >= neverAssumed ? 'sine-filter' : 'filter');
  },
  sentence(v) {
    const { outcome, margin, motor, needs } = v;
    const pulse = motor.pulseRating / (1 + margin);
    const facts =
      `Pulses may reach ${writeQuantity(pulse, 'V')}, ` + `the winding bears ${writeQuantity(motor.pulseRating, 'V')}`;
    if (outcome === 'fail') return 'The house rule wants inverter duty on the plate.';
    if (needs.rules.inverterDuty === 'modern' && isModern(motor.made))
      return `Accepted by house rule: ${motor.made === undefined ? 'a new motor' : `made in ${motor.made}`}.`;
    if (isFiltered(needs)) return `${facts} behind the ${filterNames[needs.drive?.filter ?? 'none']}.`;
    const metres = lengthFor(v);
    const { cable } = needs.place;
    if (metres === Infinity) return `${facts}: any cable length.`;
    if (lineOf(v) >= neverAssumed) return `${facts}: at this voltage a sine filter, or an inverter-duty motor.`;
    if (cable === undefined || cable > metres)
      return `${facts}: keep the cable below ${metres} m, fit a dV/dt filter, or take an inverter-duty motor.`;
    return `${facts}, but the cable is no longer than ${metres} m.`;
  },
  remedied: ({ needs }) =>
    (needs.supply.voltage ?? 0) >= neverAssumed || isFiltered(needs)
      ? 'a sine filter at the drive'
      : 'a dV/dt ' + 'filter at the drive',
  holdsIf(v) {
    if (v.needs.rules.inverterDuty === 'modern' && v.motor.made === null)
      return {
        field: 'plate.year',
        limit: `${modernSince}`,
        text: `Holds where the motor was made in ${modernSince} or later: confirm its year, or fit a dV/dt filter.`,
      };
    const metres = lengthFor(v);
    return {
      field: 'place.cable.length',
      limit: `${metres} m`,
      text: `Holds with a motor cable of ${metres} m or less; a dV/dt filter beyond.`,
    };
  },
  cure: ({ needs }) =>
    needs.rules.inverterDuty === 'plate'
      ? 'a house rule that judges heat and pulses apart'
      : 'a sine filter, or a lower voltage',
});

const isFiltered = ({ drive }: Looked['needs']): boolean => drive?.filter !== undefined && drive.filter !== 'none';

const isModern = (made: number | null | undefined): boolean => made === undefined || (made ?? 0) >= modernSince;

const lineOf = ({ needs, motor }: Looked): number => needs.supply.voltage ?? motor.connections.at(-1)?.voltage ?? 0;

const lengthFor = (v: Looked): number =>
  unfilteredLength(v.needs, lineOf(v), v.motor.pulseRating, v.motor.inverterDuty);
