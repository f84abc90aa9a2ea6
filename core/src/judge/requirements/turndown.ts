import { percent, turndownSpeedOf } from '../../needs';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { remedied, requirement } from '../requirement';

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
    if (!(e.margin < 0)) return code.pass;
    // A blower of its own cools it at any speed; an open motor has nowhere to put one.
    return build.enclosures[e.i] === 'enclosed' || build.enclosures[e.i] === 'severe-duty'
      ? remedied(e, 'blower')
      : code.fail;
  },
  sentence: ({ motor, needs }) =>
    `Lowest speed asked is ${writeQuantity(needs.speed.min * needs.load.speed, 'rpm')}; on this load ` +
    `the motor may go down to ${writeQuantity(turndownSpeedOf(needs, motor), 'rpm')}.`,
  remedied: () => 'a blower of its own on the motor',
  cure: ({ motor, needs }) => `not below ${percent(turndownSpeedOf(needs, motor) / needs.load.speed)} speed`,
});
