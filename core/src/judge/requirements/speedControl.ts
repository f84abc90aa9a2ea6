import { methodNames } from '../../contract';
import { code } from '../code';
import { passIf, requirement } from '../requirement';

export const speedControl = requirement({
  id: 'speed-control',
  of: 'method',
  fields: ['speed.need', 'method'],
  judge({ needs }, e) {
    e.margin = 0;
    if (needs.speed.variable) return passIf(e.drive);
    if (!e.drive) return code.none;
    return passIf(needs.speed.throttled || needs.supply.phases === 1, code.caution);
  },
  sentence({ outcome, method, needs }) {
    if (outcome === 'pass')
      return needs.speed.variable
        ? 'Speed follows the need.'
        : needs.speed.throttled
          ? 'Flow is throttled today: speed would make it instead, and save what is throttled away.'
          : 'Speed is fixed, but no other method runs this motor here.';
    return outcome === 'fail'
      ? `${methodNames[method]} cannot vary speed, and the machine needs it.`
      : 'Speed is fixed: a drive used only for starting is usually money ' +
          'wasted. Right where the supply is weak or breakaway high.';
  },
  cure: () => 'fixed speed',
});
