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
  sentence: ({ outcome, motor }) =>
    outcome === 'pass'
      ? `Class ${motor.insulation} insulation.`
      : `Class ${motor.insulation} insulation: F or H is wanted on a drive.`,
});
