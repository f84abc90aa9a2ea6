import type { MotorReading, ReadingKey } from '../case';
import { checkMonths, greaseHabit } from '../practice';
import { driveEnd, zoneOf, zonesHere } from './bearings';
import { currents, voltages, type Round } from './round';

/** A check that comes round: when, and why then. */
export interface Due {
  readonly what: string;
  /** Day, ISO 8601; null where it was never done: now. */
  readonly at: string | null;
  readonly why: string;
}

/** The checks of a position, soonest first, from all its rounds up to this one. */
export function dueOf(round: Round): readonly Due[] {
  const rounds = [...round.earlier, round.reading];
  const last = (keys: readonly ReadingKey[]): MotorReading | undefined =>
    rounds.findLast((r) => keys.some((key) => r[key] !== undefined));
  const tooLow = round.walk.w.findings.some((f) => f.id === 'condition.insulation' && f.level === 'stop');
  const falls = round.walk.w.findings.some(
    (f) => f.id === 'condition.insulation-falls' || (f.id === 'condition.insulation' && f.level !== 'note'),
  );
  const insulation = falls ? checkMonths.insulationFalling : checkMonths.insulation;
  const due = [
    after('Currents and voltages', last([...currents, ...voltages]), checkMonths.electrical, 'half-yearly'),
    vibration(round, last(['vibration'])),
    tooLow
      ? { what: 'Insulation', at: null, why: 'below the least: before it is started' }
      : after('Insulation', last(['insulation']), insulation, falls ? 'it is low or falls' : 'yearly'),
    ...grease(round, rounds),
  ];
  return due.toSorted((a, b) => (a.at ?? '').localeCompare(b.at ?? ''));
}

function after(what: string, done: MotorReading | undefined, months: number, why: string): Due {
  if (!done) return { what, at: null, why: 'never read here' };
  return { what, at: monthsAfter(done.at, months), why: `${why}; last ${done.at.slice(0, 10)}` };
}

function vibration(round: Round, done: MotorReading | undefined): Due {
  const what = 'Vibration and housing temperature';
  if (done?.vibration === undefined) return { what, at: null, why: 'never read here' };
  const zone = zoneOf(done.vibration, zonesHere(round).zones);
  if (zone === 'D') return { what, at: null, why: 'in zone D: before it runs on' };
  const worse = round.walk.w.findings.some(
    (f) => f.id === 'condition.hot-bearing' || f.id === 'condition.bearing-rise' || f.id === 'condition.bearing-noise',
  );
  return worse
    ? after(what, done, checkMonths.vibration.C, `zone ${zone}, but hotter or louder than it was`)
    : after(what, done, checkMonths.vibration[zone], `zone ${zone}`);
}

function grease(round: Round, rounds: readonly MotorReading[]): Due[] {
  const interval = round.walk.w.value('condition.greaseInterval');
  if (interval === undefined || driveEnd(round)?.sealed) return [];
  const what = 'Grease';
  const done = rounds.findLast((r) => (r.grease ?? 0) > 0);
  if (!done) return [{ what, at: null, why: 'no greasing is written down here' }];
  const { perDay, why } = runsPerDay(round, rounds);
  const hours = Math.min(interval, (greaseHabit.oldest * perDay) / 24);
  const days = hours / Math.max(perDay, 0.01);
  const at = new Date(Date.parse(done.at) + 86_400_000 * days).toISOString().slice(0, 10);
  return [{ what, at, why: `${Math.round(hours)} h after ${done.at.slice(0, 10)}, ${why}` }];
}

/** Hours a day it runs: by its counter, else by the year's hours of the case, else all of them. */
function runsPerDay({ walk: { input } }: Round, rounds: readonly MotorReading[]): { perDay: number; why: string } {
  const counted = rounds.filter((r) => r.hours !== undefined);
  const [first, last] = [counted[0], counted.at(-1)];
  const days = first && last ? (Date.parse(last.at) - Date.parse(first.at)) / 86_400_000 : 0;
  const ran = (last?.hours ?? 0) - (first?.hours ?? 0);
  if (days > 1 && ran > 0) {
    const perDay = Math.min(24, ran / days);
    return { perDay, why: `at ${perDay.toPrecision(2)} h a day by its counter` };
  }
  const hours = input.speed?.profile?.reduce((sum, p) => sum + p.hours, 0);
  if (hours !== undefined && hours > 0) return { perDay: hours / 365, why: `at the ${hours} h a year of its profile` };
  return { perDay: 24, why: 'taken as running all day: no hours are counted or given' };
}

/** The same day some months on; a day that month has not is its last. */
function monthsAfter(at: string, months: number): string {
  const day = new Date(`${at.slice(0, 10)}T00:00:00Z`);
  const wanted = day.getUTCDate();
  day.setUTCDate(1);
  day.setUTCMonth(day.getUTCMonth() + months + 1, 0);
  day.setUTCDate(Math.min(wanted, day.getUTCDate()));
  return day.toISOString().slice(0, 10);
}
