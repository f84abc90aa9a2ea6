import type { Motor } from '../../catalogue';
import type { PlaceNeeds } from '../../needs';
import { enclosureFault, type Rules } from '../../practice';
import { code } from '../code';
import { passIf, requirement } from '../requirement';

export const enclosure = requirement({
  id: 'enclosure',
  of: 'motor',
  fields: ['place.water', 'place.dirt'],
  judge({ needs, build }, e) {
    e.margin = 0;
    if (needs.place.conditions.food && needs.rules.foodFinish === 'stainless' && build.stainless[e.i] !== 1)
      return code.fail;
    if (build.enclosureUnsaid[e.i] === 1) {
      e.condition = true;
      return code.caution;
    }
    return passIf(needs.place.enclosures.includes(build.enclosures[e.i] ?? ''));
  },
  sentence: ({ outcome, motor, needs: { place, rules } }) =>
    outcome === 'pass'
      ? `${motor.enclosureText} suits the place.`
      : chips(motor, place, rules)
        ? `${motor.enclosureText}: the house rule wants stainless at food.`
        : motor.enclosureUnsaid
          ? `How it is enclosed nobody said; the place wants ${place.enclosures[0]} or better.`
          : `${motor.enclosureText} does not suit the place; it wants ${place.enclosures[0]} or better.`,
  holdsIf: ({ motor, needs: { place } }) =>
    motor.enclosureUnsaid
      ? {
          field: 'plate.enclosure',
          limit: place.enclosures[0] ?? 'open',
          text: `Holds where it is ${place.enclosures[0]} or better: look at it, and say it on the plate.`,
        }
      : undefined,
  cure: ({ motor, needs: { place, rules } }) =>
    chips(motor, place, rules)
      ? 'a stainless motor, to order'
      : `a place for ${motor.enclosureText}: ` +
        `${enclosureFault(motor.enclosure, place.conditions) ?? 'other conditions'} now`,
});

/** Sealed epoxy where the house takes stainless only. */
const chips = (motor: Motor, place: PlaceNeeds, rules: Rules): boolean =>
  place.conditions.food &&
  rules.foodFinish === 'stainless' &&
  place.enclosures.includes(motor.enclosure) &&
  motor.construction !== 'stainless';
