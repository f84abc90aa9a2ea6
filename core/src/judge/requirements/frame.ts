import { code } from '../code';
import { passIf, requirement } from '../requirement';

export const frame = requirement({
  id: 'frame',
  of: 'motor',
  applies: ({ oldFrame }) => oldFrame !== undefined,
  judge({ frame: same }, e) {
    e.margin = 0;
    return passIf(same?.[e.i] === 1, code.caution);
  },
  sentence: ({ outcome, motor, needs }) =>
    outcome === 'pass'
      ? `Same frame as the old motor (${needs.oldFrame}).`
      : `Frame ${motor.frame ?? 'not standardised'} where ${needs.oldFrame} stood: base, coupling and shaft need adapting.`,
});
