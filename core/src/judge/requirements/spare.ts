import { code } from '../code';
import { requirement } from '../requirement';

export const spare = requirement({
  id: 'spare',
  of: 'motor',
  judge: ({ build }, e) => (build.kept[e.i] ? code.caution : code.none),
  sentence({ motor: { stock } }) {
    const left = (stock?.quantity ?? 1) - 1;
    return (
      `Kept as the spare of ${stock?.keptFor}: taken, that position has ${left > 0 ? `${left} left` : 'none'} until ` +
      `another is bought${left > 0 ? '' : '; only a person takes it'}.`
    );
  },
  cure: () => 'one bought to put back',
});
