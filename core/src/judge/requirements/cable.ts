import { percent } from '../../needs';
import { problemText, requirement, whenSimulated } from '../requirement';

/** What is lost on the motor's cable, as Guard sizes it. */
export const cable = requirement({
  id: 'cable',
  of: 'method',
  told: true,
  fields: ['place.cable.length', 'guard.cable.area', 'guard.maxDrop'],
  figures: ['guard.voltageDrop'],
  problems: ['cable.drop'],
  applies: ({ place, load }) => place.cable !== undefined && load.startKnown,
  judge: whenSimulated,
  marginOf(_bench, _entry, { bench: { cable: sized } }) {
    return sized?.drop === undefined ? 0 : Math.max(-1, 1 - sized.drop / sized.maxDrop);
  },
  sentence: ({ tried }) =>
    problemText(tried, ['cable.drop']) ??
    (tried?.bench.cable?.drop === undefined
      ? 'The cable’s drop is not known here.'
      : `${percent(tried.bench.cable.drop, 1)} of the voltage is lost on ${tried.bench.cable.name}.`),
  cure: () => 'a thicker or shorter cable',
});
