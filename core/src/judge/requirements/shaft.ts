import type { Motor } from '../../catalogue';
import type { Practice } from '../../practice';
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
    if (build.shortShaft[e.i]) return code.fail;
    // A least sheave that no table gives is never better than one that is known.
    e.condition = Number.isNaN(least);
    return e.condition || e.margin < rounding ? code.caution : code.pass;
  },
  sentence({ outcome, margin, motor, needs: { load, practice } }) {
    if (outcome === 'fail')
      return `Frame ${motor.frame} has a short shaft, for direct coupling only: a belt needs the long one.`;
    if (outcome === 'pass' && isUnknown(motor, practice))
      return 'No standard names its least sheave: hold the belt’s pull against the radial load its maker permits.';
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
  holdsIf: ({ needs: { load } }) => ({
    field: 'load.train.sheave',
    limit: load.sheave === undefined ? 'its maker’s least' : writePart(load.sheave),
    text:
      `Holds if its maker permits the belt’s pull` +
      `${load.sheave === undefined ? '' : ` on a sheave of ${writePart(load.sheave)}`}: no standard names it here.`,
  }),
  cure: () => 'direct coupling instead of the belt',
});

const isUnknown = ({ frame }: Motor, practice: Practice): boolean =>
  frame === null || practice.leastSheave(frame) === undefined;
