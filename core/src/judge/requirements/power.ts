import { ambientFor } from '../../practice';
import { percent } from '../../needs';
import { shaftPower } from '../../physics';
import { writeQuantity } from '../../quantity';
import { passIf, requirement, type Bench, type Entry, type Looked } from '../requirement';

/** Coldest place for which an ambient is still worth naming as a cure, °C. */
const coldest = -20;

export const power = requirement({
  id: 'power',
  of: 'motor',
  told: true,
  fields: ['load.demand'],
  figures: ['load.requiredPower', 'place.motorDerating'],
  judge(bench, e) {
    const { load, place } = bench.needs;
    const rated = (bench.c.power[e.i] ?? 0) * place.motorDerating;
    const asked = neededRating(bench, e) * load.margin * load.thermal;
    e.margin = rated / asked - 1;
    return passIf(rated >= asked);
  },
  sentence(v) {
    const { rated, asked, hottest } = sizes(v);
    const unit = v.needs.practice.words.units;
    const text = (watts: number): string => writeQuantity(watts, 'W', unit);
    if (v.outcome === 'pass') return `${text(rated)} left after heat and height, ${text(asked)} asked with the margin.`;
    const cure =
      hottest === undefined
        ? `It would pass with ${percent(1 + v.margin)} of this load.`
        : `It would pass up to ${writeQuantity(hottest, 'degC', 'si')}.`;
    return `${text(rated)} left after heat and height, but ${text(asked)} is asked. ${cure}`;
  },
  cure(v) {
    const { hottest } = sizes(v);
    return hottest === undefined
      ? `at most ${percent(1 + v.margin)} of this load`
      : `up to ${writeQuantity(hottest, 'degC', 'si')}`;
  },
});

/** What is left, what is asked, and the ambient up to which it would do, where there is one. */
function sizes({ margin, motor, needs: { place } }: Looked): {
  readonly rated: number;
  readonly asked: number;
  readonly hottest: number | undefined;
} {
  const rated = motor.power * place.motorDerating;
  const asked = rated / (1 + margin);
  const hottest = ambientFor(asked / motor.power, place.altitude, place.unbalanceDerating);
  return { rated, asked, hottest: asked <= motor.power && hottest > coldest ? hottest : undefined };
}

/**
 * Rating that carries the load: on a drive by torque below rated speed, by power above it; on the line by the power where motor and
 * load meet, and never less than the demand as stated, which a slower motor only seems to be spared.
 */
function neededRating({ needs: { load }, c }: Bench, { i, n, drive }: Entry): number {
  const shaft = shaftPower(load.torque, load.speed, n, load.shape);
  const rated = c.speed[i] ?? 0;
  if (drive) return n < rated ? (shaft * rated) / n : shaft;
  return Math.max(shaft, load.power);
}
