import { writePart } from '../../quantity';
import { code } from '../code';
import { requirement } from '../requirement';

/** A sheave this much below the standard's least is only rounded. */
const rounding = -0.005;

export const shaft = requirement({
  id: 'shaft',
  of: 'motor',
  fields: ['load.train.kind', 'load.train.sheave'],
  figures: ['load.beltPull'],
  applies: ({ load }) => load.belt,
  judge({ needs: { load }, build }, e) {
    const least = build.leastSheave[e.i] ?? NaN;
    e.margin = Number.isNaN(least) || load.sheave === undefined ? 0 : load.sheave / least - 1;
    return build.shortShaft[e.i] ? code.fail : e.margin < rounding ? code.caution : code.pass;
  },
  sentence({ outcome, margin, motor, needs: { load } }) {
    if (outcome === 'fail')
      return `Frame ${motor.frame} has a short shaft, for direct coupling only: a belt needs the long one.`;
    if (outcome === 'pass')
      return load.sheave === undefined
        ? 'A shaft for belts; give the sheave’s diameter to see whether it is large enough.'
        : 'Shaft and sheave suit each other.';
    return (
      `A sheave of ${writePart(load.sheave ?? 0)} is below the standard’s ` +
      `${writePart((load.sheave ?? 0) / (1 + margin))} for frame ` +
      `${motor.frame}: shaft and bearing take too much.`
    );
  },
  cure: () => 'direct coupling instead of the belt',
});
