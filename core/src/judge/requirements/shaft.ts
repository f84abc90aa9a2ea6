import type { Motor } from '../../catalogue';
import type { Practice } from '../../practice';
import { writePart, writeQuantity } from '../../quantity';
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
    if (load.permittedPull !== undefined && load.pull !== undefined) {
      e.margin = load.permittedPull / load.pull - 1;
      return e.margin < rounding ? code.caution : code.pass;
    }
    // A sheave that nobody gave, or whose least no table gives, is never better than one that is known.
    e.condition = Number.isNaN(least) || load.sheave === undefined;
    return e.condition || e.margin < rounding ? code.caution : code.pass;
  },
  sentence({ outcome, margin, motor, needs: { load, practice } }) {
    if (load.permittedPull !== undefined && load.pull !== undefined && outcome !== 'fail')
      return `The belt pulls ${writeQuantity(load.pull, 'N')}, ${writeQuantity(load.permittedPull, 'N')} is permitted.`;
    if (outcome === 'fail')
      return `Frame ${motor.frame} has a short shaft, for direct coupling only: a belt needs the long one.`;
    if (outcome === 'pass' && isUnknown(motor, practice))
      return 'No standard names its least sheave: hold the belt’s pull against the radial load its maker permits.';
    if (outcome === 'pass')
      return load.sheave === undefined ? 'A shaft for belts.' : 'Shaft and sheave suit each other.';
    return (
      `A sheave of ${writePart(load.sheave ?? 0)} is below the standard’s ` +
      `${writePart((load.sheave ?? 0) / (1 + margin))} for frame ` +
      `${motor.frame}: shaft and bearing take too much.`
    );
  },
  holdsIf({ motor, needs: { load, practice } }) {
    const least = motor.frame === null ? undefined : practice.leastSheave(motor.frame);
    if (load.sheave === undefined && least !== undefined)
      return {
        field: 'load.train.sheave',
        limit: writePart(least.value),
        text: `Holds with a sheave of ${writePart(least.value)} or more on its shaft (${least.source.title}).`,
      };
    return load.pull === undefined
      ? {
          field: 'load.train.sheave',
          limit: 'its maker’s least',
          text: 'Holds with a sheave that its maker permits: no standard names the least here. Give its diameter.',
        }
      : {
          field: 'load.train.permittedPull',
          limit: writeQuantity(load.pull, 'N'),
          text: `Holds if its maker permits ${writeQuantity(load.pull, 'N')} across the shaft: no standard says.`,
        };
  },
  cure: () => 'direct coupling instead of the belt',
});

const isUnknown = ({ frame }: Motor, practice: Practice): boolean =>
  frame === null || practice.leastSheave(frame) === undefined;
