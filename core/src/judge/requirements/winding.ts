import { connectionFor, filterLossOf, outputFor, type Output } from '../../needs';
import { filterRemedy, modernSince, neverAssumed, usualDriveCable } from '../../practice';
import { filterNames } from '../../contract';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { passIf, remedied, requirement, type Looked } from '../requirement';

/** Pulses of the drive against what the winding bears, and the motor's cable against what drives bear. */
export const winding = requirement({
  id: 'winding',
  of: 'method',
  told: true,
  fields: ['place.cable.length'],
  judge({ needs, build, c, supply }, e) {
    if (!e.drive) return code.none;
    const wound = entryWound;
    wound.power = c.power[e.i] ?? 0;
    wound.voltage = supply.voltage[e.i] ?? e.line;
    wound.pulseRating = build.pulseRating[e.i] ?? 0;
    wound.inverterDuty = build.inverterDuty[e.i] === 1;
    const output = outputFor(needs, e.line, wound);
    e.margin = wound.pulseRating / output.crest - 1;
    e.filterLoss = filterLossOf(needs, output);
    const { inverterDuty: rule } = needs.rules;
    if (rule === 'plate') return passIf(wound.inverterDuty);
    const made = build.made[e.i] ?? NaN;
    if (rule === 'modern' && made >= modernSince) return code.pass;
    if (needs.supply.voltage === undefined) {
      e.condition = true;
      return code.caution;
    }
    if (output.by === 'case') return output.holds ? code.pass : code.caution;
    if (rule === 'modern' && Number.isNaN(made)) {
      e.condition = true;
      return code.caution;
    }
    if (output.by === 'asked') return output.holds ? remedied(e, filterRemedy[output.filter]) : code.caution;
    if (output.conditional !== undefined) {
      e.condition = true;
      return code.caution;
    }
    return code.pass;
  },
  sentence(v) {
    const { outcome, margin, motor, needs } = v;
    if (outcome === 'fail') return 'The house rule wants inverter duty on the plate.';
    if (needs.rules.inverterDuty === 'modern' && isModern(motor.made))
      return `Accepted by house rule: ${motor.made === undefined ? 'a new motor' : `made in ${motor.made}`}.`;
    if (needs.supply.voltage === undefined)
      return 'What pulses reach follows from the supply’s voltage, which nobody gave.';
    const output = outputOf(v);
    const behind = output.filter === 'none' ? '' : ` behind the ${filterNames[output.filter]}`;
    const facts =
      `Pulses may reach ${writeQuantity(motor.pulseRating / (1 + margin), 'V')}${behind}, ` +
      `the winding bears ${writeQuantity(motor.pulseRating, 'V')}`;
    if (!output.holds) {
      const why = margin < 0 ? '' : ', too little in hand for a computed crest';
      return `${facts}${why}: ${output.filter === 'sine' ? '' : 'a sine filter, or '}a winding made for drives.`;
    }
    if (output.by === 'case') return `${facts}.`;
    if (output.by === 'asked')
      return lineOf(v) >= neverAssumed
        ? `${facts}: at this voltage only with a filter, or a winding made for drives.`
        : `${facts}: bare the cable may be ${length(output)}${byDrive(output)}.`;
    const { cable } = needs.place;
    return cable === undefined
      ? `${facts} on ${length(output)} of cable or less.`
      : `${facts}; its ${writeQuantity(cable, 'm')} of cable are within ${length(output)}.`;
  },
  remedied: (v) => `a ${filterNames[outputOf(v).filter]} at the drive`,
  holdsIf(v) {
    if (v.needs.rules.inverterDuty === 'modern' && v.motor.made === null)
      return {
        field: 'plate.year',
        limit: `${modernSince}`,
        text: `Holds where the motor was made in ${modernSince} or later: confirm its year, or fit a dV/dt filter.`,
      };
    if (v.needs.supply.voltage === undefined)
      return {
        field: 'supply.voltage',
        limit: `${neverAssumed} V`,
        text: `Holds below ${neverAssumed} V on a short cable; above it a filter, or a winding for drives.`,
      };
    const output = outputOf(v);
    if (output.conditional === 'edge')
      return {
        field: 'drive.riseTime',
        limit: writeQuantity(output.edge, 's'),
        text:
          `Holds if the drive’s edges rise in ${writeQuantity(output.edge, 's')} or slower here: ask its maker, ` +
          `or fit a filter (${length(output)} bare by common practice).`,
      };
    const bare = usualDriveCable(v.motor.power).bare;
    return {
      field: 'place.cable.length',
      limit: length(output),
      text:
        output.limitedBy === 'winding'
          ? `Holds with a motor cable of ${length(output)} or less; a dV/dt filter beyond.`
          : `Holds with ${length(output)} of screened cable or less (${bare} m unscreened), as drives of its size ` +
            `usually bear; ask its maker, or a filter beyond.`,
    };
  },
  cure: ({ needs }) =>
    needs.rules.inverterDuty === 'plate'
      ? 'a house rule that judges heat and pulses apart'
      : 'a sine filter, or a lower voltage',
});

const byDrive = ({ limitedBy }: Output): string => (limitedBy === 'drive' ? ', by what drives bear' : '');

/** One object for the innermost loop. */
const entryWound = { power: 0, voltage: 0, pulseRating: 0, inverterDuty: false };

const length = ({ metres }: Output): string => `${Number(metres.toPrecision(3))} m`;

const isModern = (made: number | null | undefined): boolean => made === undefined || (made ?? 0) >= modernSince;

const lineOf = ({ needs, motor }: Looked): number => needs.supply.voltage ?? motor.connections.at(-1)?.voltage ?? 0;

const outputOf = (v: Looked): Output =>
  outputFor(v.needs, lineOf(v), { ...v.motor, voltage: connectionFor(v.motor, v.needs.supply.voltage).voltage });
