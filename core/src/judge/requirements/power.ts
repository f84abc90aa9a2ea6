import { ambientFor, tight } from '../../practice';
import { leftOf, percent, shareLeft, type Left } from '../../needs';
import { shaftPower } from '../../physics';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { passIf, requirement, type Bench, type Entry, type Looked } from '../requirement';

/** Coldest place for which an ambient is still worth naming as a cure, °C. */
const coldest = -20;

const nothingLeft = 'Nothing is left of its rating in this heat and height.';

export const power = requirement({
  id: 'power',
  of: 'line',
  told: true,
  fields: ['load.demand'],
  figures: ['load.requiredPower', 'place.motorDerating'],
  judge(bench, e) {
    const { load } = bench.needs;
    const rated = (bench.c.power[e.i] ?? 0) * shareLeft(bench.needs, bench.build.serviceFactor[e.i] ?? 1, e.drive);
    if (load.basis === 'plate') return likeBefore(bench, e);
    const needed = neededRating(bench, e) * load.thermal;
    e.margin = rated / (needed * load.margin) - 1;
    // The margin is a house rule: what only just misses it passes as tight; the load itself is a physical limit.
    return passIf(e.margin >= -tight && rated >= needed);
  },
  sentence(v) {
    if (v.needs.load.basis === 'plate') return asBefore(v);
    if (left(v).share <= 0) return nothingLeft;
    const { rated, asked, hottest, share } = sizes(v);
    const unit = v.needs.practice.words.units;
    const text = (watts: number): string => writeQuantity(watts, 'W', unit);
    if (v.outcome === 'pass')
      return (
        `${text(rated)} left after heat and height${byFactor[left(v).by]}, ${text(asked)} asked ` +
        `with the margin${v.margin < 0 ? ': tight' : ''}.`
      );
    const cure =
      hottest === undefined
        ? `It would pass with ${percent(wholeBelow(share))} of this load.`
        : `It would pass up to ${writeQuantity(hottest, 'degC', 'si')}.`;
    return `${text(rated)} left after heat and height, but ${text(asked)} is asked. ${cure}`;
  },
  holdsIf(v) {
    const limit = writeQuantity(v.motor.power * left(v).share, 'W', v.needs.practice.words.units);
    return {
      field: 'load.demand',
      limit,
      text: `Holds to ${limit} of load in this heat and height; above that take the next size, ${nextSize(v)}.`,
    };
  },
  cure(v) {
    if (left(v).share <= 0) return 'a cooler or lower place';
    const { hottest, share } = sizes(v);
    return hottest === undefined
      ? `at most ${percent(wholeBelow(share))} of this load`
      : `up to ${writeQuantity(hottest, 'degC', 'si')}`;
  },
});

const left = ({ needs, motor, method }: Looked): Left => leftOf(needs, motor.serviceFactor, method === 'drive');

/** What a service factor has to do with what is left. */
const byFactor = {
  place: '',
  height: ', for its service factor takes up the height',
  'service-factor': ' with its service factor used',
};

/** A share in whole per cent, downwards: what is said to pass does. */
const wholeBelow = (share: number): number => Math.floor(share * 100) / 100;

/** What is left, what is asked, and the ambient up to which it would do, where there is one. */
function sizes(v: Looked): {
  readonly rated: number;
  readonly asked: number;
  /** The share of the load with which it would pass. */
  readonly share: number;
  readonly hottest: number | undefined;
} {
  const { margin, motor } = v;
  const { place } = v.needs;
  const rated = motor.power * left(v).share;
  const asked = rated / (1 + margin);
  // By the figures in the sentence, so that whoever redoes the sum gets the same; what only just misses passes too.
  const hottest = ambientFor(asked / motor.power, place.altitude, place.unbalanceDerating);
  return {
    rated,
    asked,
    share: rated / asked,
    hottest: asked <= motor.power && hottest > coldest ? hottest : undefined,
  };
}

/**
 * Rating that carries the load: on a drive by torque below rated speed, by power above it, and at constant power by the
 * torque at the least speed; on the line by the power where motor and load meet, and never less than the demand as
 * stated, which a slower motor only seems to be spared.
 */
function neededRating({ needs: { load, speed }, c }: Bench, { i, n, drive }: Entry): number {
  const shaft = shaftPower(load.torque, load.speed, n, load.shape);
  const rated = c.speed[i] ?? 0;
  const alike = load.shape.kind === 'constant-power' && speed.variable;
  const least = alike ? Math.min(n, speed.min * load.speed) : n;
  if (drive) return least < rated ? (shaft * rated) / least : shaft;
  return Math.max(shaft, load.power);
}

/**
 * No load is known and the old motor's rating stands for it: the same size, rating against rating; heat and height
 * condition the load.
 */
function likeBefore({ needs, c, build }: Bench, e: Entry): number {
  const { load, lessons } = needs;
  const power = c.power[e.i] ?? 0;
  e.margin = power / load.power - 1;
  if (e.margin < -tight) return code.fail;
  const most = power * shareLeft(needs, build.serviceFactor[e.i] ?? 1, e.drive);
  if (most >= load.power * (1 - tight)) return code.pass;
  // Where the old one was overheated, heat counts.
  if (lessons.some((l) => l.requirement === 'history-reserve')) return code.fail;
  e.condition = true;
  return code.caution;
}

function asBefore({ margin, motor, needs }: Looked): string {
  const units = needs.practice.words.units;
  const [own, old] = [writeQuantity(motor.power, 'W', units), writeQuantity(needs.load.power, 'W', units)];
  if (margin < -tight) return `${own} where the old motor had ${old}, and no load is known: smaller is not safe.`;
  return Math.abs(margin) <= tight ? `${own}, the old motor’s size.` : `${own}, more than the old motor’s ${old}.`;
}

/** The practice's next rating above a motor's. */
function nextSize({ motor, needs: { practice } }: Looked): string {
  const next = practice.ratings.find((r) => r > motor.power * 1.02);
  return next === undefined ? 'which is not made here' : writeQuantity(next, 'W', practice.words.units);
}
