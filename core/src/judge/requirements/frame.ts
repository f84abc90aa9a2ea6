import { code } from '../code';
import { remedied, requirement } from '../requirement';

export const frame = requirement({
  id: 'frame',
  of: 'motor',
  applies: ({ oldFrame }) => oldFrame !== undefined,
  judge({ frame: same }, e) {
    e.margin = 0;
    return same?.[e.i] === 1 ? code.pass : remedied(e, 'adapter');
  },
  sentence: ({ motor, needs }) =>
    motor.frame?.toUpperCase() === needs.oldFrame?.trim().toUpperCase()
      ? `Same frame as the old motor (${needs.oldFrame}).`
      : `Frame ${motor.frame ?? 'not standardised'} where ${needs.oldFrame} ` +
        `stood: base, coupling and shaft need adapting.`,
  remedied: () => 'an adapter or a new base, with the coupling to suit',
});
