import { commonPractice, definition } from '../../contract';
import { writeQuantity } from '../../quantity';
import { polesOf } from '../readings';
import { percent, rating, type Check } from './check';

/** Largest slip at full load: NEMA design B below 5 %, more for small motors and for designs meant to slip. */
function slipLimit(power: number, design: string | undefined): number {
  if (design === 'D') return 0.15;
  if (power < 400) return 0.14;
  if (power < 1200) return 0.1;
  return power < 6000 ? 0.08 : 0.05;
}

export const speedAndPoles: Check = (r, practice) => {
  const speed = r.speeds.at(-1);
  const poles = polesOf(r.frequency, speed);
  if (r.speeds.length !== 1 || speed === undefined || poles === undefined || r.frequency === undefined)
    return undefined;
  const synchronous = (120 * r.frequency) / poles;
  const slip = 1 - speed / synchronous;
  const power = r.power ?? 3000;
  const limit = slipLimit(power, r.designLetter);
  if (slip <= 0 || (slip <= limit && (slip > 0.0012 || power > 150_000))) return undefined;
  return {
    id: 'plate.speed-unusual',
    text:
      `${writeQuantity(speed, 'rpm')} at ${r.frequency} Hz would be ${poles} poles with ${percent(slip, 1)} ` +
      `slip; ${slip > limit ? `no more than about ${percent(limit)}` : 'at least 0.1 %'} ` +
      `is usual for ${rating(power, practice)}.`,
    fields: ['speed', 'frequency'],
    source: commonPractice('Full-load slip by size (NEMA MG 1 1.19: design B below 5 %)'),
  };
};

/** No induction motor turns at or above synchronous speed under load. */
export const notBelowSynchronous: Check = (r) => {
  const speed = r.speeds.at(-1);
  if (r.speeds.length !== 1 || speed === undefined || r.frequency === undefined) return undefined;
  const poles = polesOf(r.frequency, speed);
  const synchronous = poles === undefined ? undefined : (120 * r.frequency) / poles;
  if (synchronous !== undefined && speed < synchronous) return undefined;
  const text =
    synchronous === undefined
      ? `${writeQuantity(speed, 'rpm')} is above what two poles can give ` +
        `at ${r.frequency} Hz, or too slow for any motor.`
      : speed === synchronous
        ? `${writeQuantity(speed, 'rpm')} is synchronous speed itself; full-load speed lies below ` +
          `it. Some plates print synchronous speed: measure the running speed.`
        : `${writeQuantity(speed, 'rpm')} is not below synchronous speed (${writeQuantity(synchronous, 'rpm')}): ` +
          `no induction motor does that under load. Read the plate again.`;
  return {
    id: 'plate.speed-not-below-synchronous',
    text,
    fields: ['speed', 'frequency'],
    source: definition('Three-phase induction machine', 'slip is above zero under load'),
  };
};
export const maximumSpeed: Check = (r) => {
  const rated = Math.max(...r.speeds, 0);
  if (r.maxSpeed === undefined || rated === 0 || r.maxSpeed >= rated) return undefined;
  return {
    id: 'plate.max-speed',
    text: `Highest safe speed ${writeQuantity(r.maxSpeed, 'rpm')} is below the rated ${writeQuantity(rated, 'rpm')}.`,
    fields: ['maxSpeed', 'speed'],
    source: definition('Maximum safe speed', 'at least rated speed'),
  };
};
export const secondBlock: Check = (r) => {
  const other = r.alternate;
  const [f, f2] = [r.frequency, other?.frequency];
  if (!other || f === undefined || f2 === undefined) return undefined;
  const source = definition('Two blocks of one winding', 'about the same volts per hertz, the same poles');
  const fields = ['alternate.voltage', 'alternate.frequency', 'alternate.speed'];
  const polesHere = polesOf(f, r.speeds.at(-1));
  const polesThere = polesOf(f2, other.speeds.at(-1));
  if (
    polesHere !== undefined &&
    polesThere !== undefined &&
    polesHere !== polesThere &&
    r.speeds.length === 1 &&
    other.speeds.length === 1
  )
    return {
      id: 'plate.second-block',
      text:
        `${r.speeds[0]} r/min at ${f} Hz is ${polesHere} poles, ${other.speeds[0]} r/min at ` +
        `${f2} Hz is ${polesThere}: one winding has one number of poles.`,
      fields,
      source,
    };
  if (r.voltages.length === 0 || other.voltages.length === 0) return undefined;
  const fits = r.voltages
    .flat()
    .some((u) => other.voltages.flat().some((u2) => Math.abs(u2 / f2 / (u / f) - 1) < 0.21));
  if (fits) return undefined;
  return {
    id: 'plate.second-block',
    text:
      `No voltage of the ${f2} Hz block has the volts per hertz of the ${f} ` +
      `Hz block: the flux would differ by more than a fifth.`,
    fields,
    source,
  };
};
