import { lacking } from '../../nameplate';
import type { Needs } from '../../needs';
import { passIf, requirement } from '../requirement';

/** The old motor's special shaft and face: a motor without them cannot stand in its place. */
export const interchange = requirement({
  id: 'interchange',
  of: 'motor',
  fields: ['plate.frame', 'waived'],
  applies: ({ old }) => (old.special ?? []).length > 0,
  judge({ needs, build }, e) {
    e.margin = 0;
    return passIf(lacking(needs.old.special ?? [], build.special[e.i] ?? []).length === 0);
  },
  sentence: ({ outcome, motor, needs }) =>
    outcome === 'pass'
      ? `It has the old motor’s ${parts(needs)}.`
      : `The machine is built around a ${parts(needs)}; frame ${motor.frame ?? 'not standardised'} ` +
        `has none: it cannot stand where the old one stood.`,
  cure: ({ needs }) => `the old motor’s ${parts(needs)}, made to order`,
});

const parts = ({ old }: Needs): string => (old.special ?? []).map((p) => p.words).join(' and ');
