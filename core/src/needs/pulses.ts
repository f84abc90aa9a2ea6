import type { OutputFilter } from '../contract';
import { doubledPulse, pulsePeak, terminalPulse, type PulseFilter } from '../physics';
import { cableWave, coreDamping, filterCoils, sineCrest, usualEdge } from '../practice';
import { q } from '../quantity';
import type { Needs } from './walk';

/** Crest in V of the drive's pulses fully reflected at the motor's end of the cable, on a line of so many V. */
export const doubledCrest = (line: number): number => doubledPulse.of({ U: q(line, 'V') });

/** Fallback in m where the data for a computed length are missing: general-purpose motors, common practice. */
const fallback = 15;

/**
 * Motor cable in m that needs no filter, Infinity for any length. With the drive's rise time it is computed; else 15 m
 * stands. The school of 30 m means windings made for drives, and never one that does not bear the doubled pulse.
 */
export function unfilteredLength(
  { rules, drive }: Pick<Needs, 'rules' | 'drive'>,
  line: number,
  pulseRating: number,
  inverterDuty: boolean,
): number {
  const bears = pulseRating >= doubledCrest(line);
  if (rules.leadLength !== 'calculated') return rules.leadLength === '30 m' && bears && inverterDuty ? 30 : fallback;
  if (bears) return Infinity;
  const edge = drive?.riseTime?.value;
  if (edge === undefined) return fallback;
  const step = Math.SQRT2 * line;
  return pulseRating < step ? 0 : ((cableWave.speed * edge) / 2) * (pulseRating / (2 * step));
}

/** Reactance 1 of a motor's rated impedance, as an inductance in H at its frequency. */
const unitInductance = (line: number, power: number, frequency: number): number =>
  (line * line) / (1.25 * power) / (2 * Math.PI * frequency);

/** What stands at the drive's output for a motor of so many W; undefined where nothing does. */
export function pulseFilterOf(kind: 'reactor' | 'dv-dt', line: number, power: number, frequency: number): PulseFilter {
  const inductance = filterCoils[kind] * unitInductance(line, power, frequency);
  const capacitance = kind === 'reactor' ? 0 : filterCoils.edge ** 2 / inductance;
  return {
    ...{ inductance, capacitance, beside: coreDamping },
    damping: capacitance > 0 ? Math.sqrt(inductance / capacitance) : 1,
  };
}

/** What a pulse runs through: V of the line, m of cable, s of its edge; W and Hz of the motor a filter is made for. */
export interface Pulsed {
  readonly line: number;
  readonly length: number;
  readonly edge: number;
  readonly power: number;
  readonly frequency: number;
  readonly filter: OutputFilter;
}

/** Highest crest in V at the motor, an open end taken. */
export function crestAt({ line, length, edge, power, frequency, filter }: Pulsed): number {
  const step = Math.SQRT2 * line;
  if (filter === 'sine') return step * sineCrest;
  const key = `${filter} ${line} ${length} ${edge} ${filter === 'none' ? 0 : power.toPrecision(3)} ${frequency}`;
  const there = crests.get(key);
  if (there !== undefined) return there;
  const { speed, surge } = cableWave;
  const crest =
    filter === 'none'
      ? terminalPulse.of({ U: q(line, 'V'), l: q(length, 'm'), v: q(speed, 'm/s'), t_r: q(edge, 's') })
      : pulsePeak({
          ...{ step, speed, surge, length, reflection: 1, riseTime: edge },
          filter: pulseFilterOf(filter, line, power, frequency),
        });
  if (crests.size > 2000) crests.clear();
  crests.set(key, crest);
  return crest;
}

const crests = new Map<string, number>();

/**
 * Crest at a motor of so many W with what the case says of cable, edge and filter; the doubled one where it does not.
 */
export const crestFor = (
  { drive, place, supply }: Pick<Needs, 'drive' | 'place' | 'supply'>,
  line: number,
  power: number,
): number => {
  const filter = drive?.filter ?? 'none';
  const length = place.cable;
  if (length === undefined && filter !== 'sine')
    return filter === 'none'
      ? doubledCrest(line)
      : crestAt({ ...usualFilteredCable, line, power, filter, frequency: supply.frequency });
  return crestAt({
    ...{ line, power, filter, length: length ?? 0, frequency: supply.frequency },
    edge: drive?.riseTime?.value ?? usualEdge.value,
  });
};

/** A cable that nobody described, behind a filter: 100 m. */
const usualFilteredCable = { length: 100, edge: usualEdge.value };
