import { percent, turndownSpeedOf } from '../../needs';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { passIf, requirement } from '../requirement';

export const turndown = requirement({
  id: 'turndown',
  of: 'method',
  told: true,
  fields: ['speed.min'],
  figures: ['load.motorSpeed'],
  applies: ({ speed }) => speed.variable,
  judge({ needs, c, build, variableTorque }, e) {
    if (!e.drive) return code.none;
    const ratio = (variableTorque ? build.turndownVariable[e.i] : build.turndownConstant[e.i]) ?? 1;
    e.margin = (needs.speed.min * needs.load.speed * ratio) / (c.speed[e.i] ?? 1) - 1;
    return passIf(!(e.margin < 0));
  },
  sentence: ({ motor, needs }) =>
    `Lowest speed asked is ${writeQuantity(needs.speed.min * needs.load.speed, 'rpm')}; on this load the motor may go down to ${writeQuantity(turndownSpeedOf(needs, motor), 'rpm')}.`,
  cure: ({ motor, needs }) => `not below ${percent(turndownSpeedOf(needs, motor) / needs.load.speed)} speed`,
});
