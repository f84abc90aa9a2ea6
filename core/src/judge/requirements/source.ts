import { percent, type Needs } from '../../needs';
import { driveShareAtLoad, shaftPower } from '../../physics';
import { fullSource, setHeat, setHeight, setPowerFactor, drivenPowerFactor } from '../../practice';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { requirement, type Bench, type Entry } from '../requirement';

/** What the position takes while it runs, as shares of a bank's or set's kVA and of a set's kW. */
interface Taken {
  readonly apparent: number;
  readonly share: number;
  /** The kW of a set are the nearer limit. */
  readonly byPower: boolean;
}

const isSet = ({ supply }: Needs): boolean => supply.generator !== undefined;

/** W that a set gives here: rated at 0.8, less in thin or hot air. */
const setPower = ({ supply, place }: Needs): number =>
  (supply.rating ?? 0) *
  setPowerFactor *
  Math.max(0.3, 1 - setHeight * Math.max(0, place.altitude - 1000) - setHeat * Math.max(0, place.ambient - 40));

function takenBy(needs: Needs, power: number, efficiency: number, powerFactor: number, drive: boolean): Taken {
  const input = power / efficiency / (drive ? driveShareAtLoad : 1);
  const apparent = input / (drive ? drivenPowerFactor : powerFactor);
  const share = apparent / (needs.supply.rating ?? Infinity);
  const byKw = isSet(needs) ? input / setPower(needs) : 0;
  return { apparent, share: Math.max(share, byKw), byPower: byKw > share };
}

const entryTaken = ({ needs, c, motors }: Bench, { i, n, drive }: Entry): Taken =>
  takenBy(
    needs,
    shaftPower(needs.load.torque, needs.load.speed, n, needs.load.shape),
    c.efficiency[i] ?? 0.9,
    motors[i]?.powerFactor ?? 0.85,
    drive,
  );

/** What heat and height leave of a set, in words; empty where they take nothing. */
const leftOfSet = (needs: Needs): string => {
  if (!isSet(needs)) return '';
  const left = setPower(needs) / ((needs.supply.rating ?? 1) * setPowerFactor);
  return left > 0.995 ? '' : `, of which heat and height leave ${percent(left)}`;
};

/** What stays running on a bank or a set against its rating: its own share alone, whatever else hangs there. */
export const source = requirement({
  id: 'source',
  of: 'line',
  told: true,
  fields: ['supply.source'],
  figures: ['load.motorPower'],
  applies: ({ supply, load }) => supply.rating !== undefined && load.basis === 'load',
  judge(bench, e) {
    const { share } = entryTaken(bench, e);
    e.margin = 1 - share;
    return share > 1 ? code.fail : share > fullSource ? code.caution : code.pass;
  },
  sentence({ outcome, margin, needs }) {
    const name = isSet(needs) ? 'generating set' : 'transformer';
    const rating = writeQuantity(needs.supply.rating ?? 0, 'VA');
    const share = `Running it takes ${percent(1 - margin)} of the ${name}’s ${rating}${leftOfSet(needs)}`;
    if (outcome === 'fail') return `${share}: the ${name} is too small for it, whatever else hangs there.`;
    return outcome === 'caution' ? `${share}: little is left for whatever else hangs there.` : `${share}.`;
  },
  cure: ({ margin, needs }) => `a source of ${writeQuantity((needs.supply.rating ?? 0) * (1 - margin), 'VA')} or more`,
});
