import { leastDriveSpeed, percent, slowReserve } from '../../needs';
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
  judge({ needs, motors, build }, e) {
    const motor = motors[e.i];
    if (!e.drive || !motor) return code.none;
    e.margin = slowReserve(needs, motor);
    if (!(e.margin < 0)) return code.pass;
    // What its own fan cools stays so where somebody said it.
    if (needs.drive?.cooling !== undefined) return code.fail;
    // A blower of its own cools it at any speed; an open motor has nowhere to put one.
    return build.enclosures[e.i] === 'enclosed' || build.enclosures[e.i] === 'severe-duty'
      ? remedied(e, 'blower')
      : code.fail;
  },
  sentence({ motor, needs, margin, outcome }) {
    const asked = `Lowest speed asked is ${writeQuantity(needs.speed.min * needs.load.speed, 'rpm')}`;
    const slowest = leastDriveSpeed(needs, motor);
    if (slowest === 0) return `${asked}; what cools it does not turn with it, so it may run at any speed.`;
    const least = writeQuantity(slowest, 'rpm');
    if (margin >= 0) return `${asked}; on this load the motor may go down to ${least}.`;
    return outcome === 'pass'
      ? `${asked}; its own fan cools it down to ${least} only, so it is bought with a blower.`
      : `${asked}; on this load the motor cannot go below ${least}.`;
  },
  remedied: () => 'a blower of its own on the motor',
  cure: ({ motor, needs }) =>
    `not below ${percent(leastDriveSpeed(needs, motor) / needs.load.speed)} speed` +
    (needs.drive?.cooling === 'self' ? ', or a blower of its own' : ''),
});
