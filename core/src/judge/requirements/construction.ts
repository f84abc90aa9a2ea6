import type { Motor } from '../../catalogue';
import { code } from '../code';
import { passIf, requirement } from '../requirement';

export const construction = requirement({
  id: 'construction',
  of: 'motor',
  applies: ({ place }) => place.vibration,
  judge({ build }, e) {
    e.margin = 0;
    return passIf(build.rugged[e.i] === 1, code.caution);
  },
  sentence: ({ outcome, motor }) =>
    outcome === 'pass'
      ? `${words(motor)} stands the vibration.`
      : `${words(motor)} where it vibrates: cast iron lasts longer.`,
});

function words(motor: Motor): string {
  const text = motor.construction.replace('-', ' ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
