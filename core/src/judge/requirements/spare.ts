import { code } from '../code';
import { requirement } from '../requirement';

export const spare = requirement({
  id: 'spare',
  of: 'motor',
  judge: ({ build }, e) => (build.kept[e.i] ? code.caution : code.none),
  sentence: ({ motor }) =>
    `Kept as the spare of ${motor.stock?.keptFor}: taken, that position has none until another is bought.`,
  cure: () => 'one bought to put back',
});
