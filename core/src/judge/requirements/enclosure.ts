import { enclosureFault } from '../../practice';
import { passIf, requirement } from '../requirement';

export const enclosure = requirement({
  id: 'enclosure',
  of: 'motor',
  fields: ['place.water', 'place.dirt'],
  judge({ needs, build }, e) {
    e.margin = 0;
    return passIf(needs.place.enclosures.includes(build.enclosures[e.i] ?? ''));
  },
  sentence: ({ outcome, motor, needs: { place } }) =>
    outcome === 'pass'
      ? `${motor.enclosureText} suits the place.`
      : `${motor.enclosureText} does not suit the place; it wants ${place.enclosures[0]} or better.`,
  cure: ({ motor, needs: { place } }) =>
    `a place for ${motor.enclosureText}: ` +
    `${enclosureFault(motor.enclosure, place.conditions) ?? 'other conditions'} now`,
});
