import { code } from '../code';
import { passIf, requirement } from '../requirement';

export const insulation = requirement({
  id: 'insulation',
  of: 'method',
  judge({ build }, e) {
    if (!e.drive) return code.none;
    e.margin = 0;
    return passIf(build.hotWinding[e.i] === 1, code.caution);
  },
  sentence({ outcome, motor }) {
    const taken = motor.assumed?.includes('insulation') ? ' taken, for its plate does not say' : '';
    const wanted = outcome === 'pass' ? '' : ': F or H is wanted on a drive';
    return `Class ${motor.insulation} insulation${taken}${wanted}.`;
  },
});
