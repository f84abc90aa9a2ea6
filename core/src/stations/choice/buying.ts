import { owedBreakdown, stockText, type Motor } from '../../catalogue';
import type { BuyingLine, Candidate } from '../../case';
import { filterNames } from '../../contract';
import { connectionFor, driveHousing, leftOf, percent, type Needs, type Walk } from '../../needs';
import { houseReactor } from '../../practice';
import { writeQuantity } from '../../quantity';

/** Every line a buyer needs of motor, starter and what goes with them, and what may differ from it. */
export function buyingLines({ input }: Walk, needs: Needs, motor: Motor, candidate: Candidate): BuyingLine[] {
  const { practice, place, supply, speed, start } = needs;
  const connection = connectionFor(motor, supply.voltage);
  const power = (watts: number): string => writeQuantity(watts, 'W', practice.words.units);
  const drive = candidate.method === 'drive';
  const counted = candidate.verdicts.filter((v) => v.waived === null);
  const line = (what: string, text: string, may: string): BuyingLine => ({ what, text, may });
  const sizeHolds = counted.find((v) => v.requirement === 'power')?.condition;
  return [
    line(
      'Motor',
      `three-phase cage induction motor, ${motor.powerText}, continuous duty S1`,
      sizeHolds ? `the next size: ${sizeHolds.text}` : 'the next size up, where the frame stays; never smaller',
    ),
    line(
      'Speed',
      `${motor.poles} poles, ${writeQuantity(motor.speed, 'rpm')} at full load`,
      drive ? 'a few r/min' : 'a few r/min: a faster one takes more power at a fan or pump',
    ),
    line(
      'Supply',
      `${writeQuantity(connection.voltage, 'V')} connection on ` +
        `${supply.voltage === undefined ? 'a line not given' : writeQuantity(supply.voltage, 'V')}, ` +
        `${motor.frequency} Hz, 3 phases; windings ${motor.voltageText}, ${motor.leads} leads`,
      candidate.method === 'star-delta'
        ? 'nothing: star-delta needs six leads with delta at line voltage'
        : 'another winding with this voltage on it',
    ),
    line(
      'Current',
      `${writeQuantity(connection.current, 'A')} at full load`,
      'by the plate that comes: set protection from it, not from this sheet',
    ),
    line(
      'Enclosure',
      `${motor.enclosureText}, ${motor.construction.replace('-', ' ')}`,
      `${
        place.enclosures
          .filter((k) => k !== motor.enclosure)
          .map((k) => k.replace('-', ' '))
          .join(', ') || 'nothing else'
      } will do too`,
    ),
    line(
      'Frame',
      `${motor.frame ?? 'not standardised: ask for the drawing'}` +
        (needs.oldFrame === undefined ? '' : `; the old motor stood on ${needs.oldFrame}`),
      'a frame of the same height and feet, or an adapter base; shaft and coupling by drawing',
    ),
    line(
      'Shaft',
      needs.load.belt ? 'long shaft, for belts' : 'standard shaft',
      (needs.old.special ?? []).length > 0
        ? `nothing: it must have the ${(needs.old.special ?? []).map((p) => p.words).join(' and ')}`
        : 'key and length by drawing',
    ),
    line(
      'Efficiency',
      `${motor.efficiencyClass ?? 'class not stated'}, ${(motor.efficiency * 100).toFixed(1)} % nominal`,
      'better',
    ),
    line(
      'Torque',
      `design ${motor.designLetter}: at least ${percent(motor.lockedRotorTorque)} of ` +
        `rated at standstill, ${percent(owedBreakdown(motor, needs.load.promised))} at breakdown`,
      drive ? 'less at standstill: the drive starts it' : 'more',
    ),
    line(
      'Winding',
      `insulation class ` +
        `${motor.insulation}${
          drive
            ? `, bears pulses of ` +
              `${writeQuantity(motor.pulseRating, 'V')}${motor.inverterDuty ? ', inverter duty' : ''}`
            : ''
        }, service factor ${motor.serviceFactor}`,
      'better',
    ),
    line(
      'Place',
      `ambient ${writeQuantity(place.ambient, 'degC')}, ${writeQuantity(place.altitude, 'm')} above ` +
        `sea level: ${power(motor.power * leftOf(needs, motor.serviceFactor, drive).share)} is left of its rating`,
      'cooler, lower',
    ),
    line(
      'Delivery',
      motor.stock ? stockText(motor.stock) : 'ask when: a motor in the plant beats a better one on the way',
      'sooner',
    ),
    line(
      'Starts',
      start.perHour === undefined ? 'seldom; say so where it is more than twice an hour' : `${start.perHour} an hour`,
      'fewer',
    ),
    line(
      drive ? 'Drive' : 'Starter',
      candidate.control.name +
        (candidate.control.ratedCurrent === null ? '' : `, ${candidate.control.ratedCurrent} A continuous`) +
        (drive ? `; ${speed.variable ? `speed ${percent(speed.min)} to ${percent(speed.max)}` : 'fixed speed'}` : ''),
      drive ? 'more current' : 'a gentler method, if its start is judged again',
    ),
    ...(drive
      ? [line('Drive housing', driveHousing(needs, input.place, motor.power), 'the other, if the place allows it')]
      : []),
    ...(drive ? withDrive(needs).map((text) => line('With it', text, 'what answers the same')) : []),
    ...counted.flatMap((v) => (v.remedy ? [line('With it', v.remedy.text, 'what answers the same')] : [])),
    ...counted.flatMap((v) => (v.condition ? [line('Settle first', v.condition.text, 'nothing')] : [])),
    line(
      'Papers',
      `test report and drawing; ` +
        `${
          input.place?.hazardous === false
            ? 'place stated not hazardous'
            : 'for a place without explosive atmosphere; else a certified motor'
        }`,
      'nothing',
    ),
  ];
}

/** What house rules buy with every drive. */
function withDrive({ rules, drive }: Needs): string[] {
  return [
    rules.inputReactor === 'every drive' &&
      drive?.choke === undefined &&
      `an input reactor of ${percent(houseReactor)}, by house rule`,
    drive?.filter !== undefined && drive.filter !== 'none' && `a ${filterNames[drive.filter]} at the drive, as said`,
    rules.surgeArrester === 'every panel' && 'a surge arrester in its panel, by house rule',
  ].filter((x) => typeof x === 'string');
}
