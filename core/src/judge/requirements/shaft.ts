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
  sentence({ outcome, margin, motor, needs: { load, practice } }) {
    if (outcome === 'fail')
      return `Frame ${motor.frame} has a short shaft, for direct coupling only: a belt needs the long one.`;
    if (outcome === 'pass' && load.sheave === undefined)
      return 'A shaft for belts; give the sheave’s diameter to see whether it is large enough.';
    if (outcome === 'pass')
      return motor.frame === null || practice.leastSheave(motor.frame) === undefined
        ? 'No standard names its least sheave: hold the belt’s pull against the radial load its maker permits.'
        : 'Shaft and sheave suit each other.';
    return (
      `A sheave of ${writePart(load.sheave ?? 0)} is below the standard’s ` +
      `${writePart((load.sheave ?? 0) / (1 + margin))} for frame ` +
      `${motor.frame}: shaft and bearing take too much.`
    );
  },
  cure: () => 'direct coupling instead of the belt',
});
