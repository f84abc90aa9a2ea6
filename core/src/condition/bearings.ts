import type { Assumed } from '../contract';
import { bearingOf, bearingSource, type Bearing } from '../nameplate';
import { greaseInterval, greaseQuantity, riseOverAir, startsBetween } from '../physics';
import { bearingLimits, greaseHabit, vibrationZones, type Zones } from '../practice';
import { q } from '../quantity';
import { before, read, type Round } from './round';

export const zoneOf = (value: number, [a, b, c]: Zones): 'A' | 'B' | 'C' | 'D' =>
  value <= a ? 'A' : value <= b ? 'B' : value <= c ? 'C' : 'D';

/** How the machine stands: as this round says, or the last that did; nobody: rigid, the stricter. */
export const supportOf = ({ reading, earlier }: Pick<Round, 'reading' | 'earlier'>) =>
  reading.support ?? earlier.findLast((r) => r.support !== undefined)?.support;

/** Zones of vibration that hold at this position. */
export const zonesHere = (round: Pick<Round, 'plate' | 'reading' | 'earlier'>) =>
  vibrationZones(round.plate.power, supportOf(round) ?? 'rigid');

/** Vibration, temperature, noise, grease and starts. */
export function tellBearings(round: Round): void {
  tellVibration(round);
  tellTemperature(round);
  tellNoise(round);
  tellGrease(round);
  tellStarts(round);
}

const zoneSays = {
  A: 'as new',
  B: 'fit to run without limit',
  C: 'not fit to run for long: plan a repair, and read it monthly',
  D: 'enough to damage it: stop it',
} as const;

function tellVibration(round: Round): void {
  const { reading, walk } = round;
  if (reading.vibration === undefined) return;
  const { zones, machine, source } = zonesHere(round);
  const zone = zoneOf(reading.vibration, zones);
  const support = supportOf(round);
  const earlier = before(round, 'vibration');
  const doubled = earlier?.vibration !== undefined && reading.vibration > 2 * earlier.vibration && zone !== 'A';
  walk.w.finding(
    'condition.vibration',
    zone === 'D' ? 'stop' : zone === 'C' || doubled ? 'caution' : 'note',
    `${reading.vibration} mm/s is zone ${zone} for a machine ${machine} on a ${support ?? 'rigid'} support` +
      `${support === undefined ? ' (assumed)' : ''}: ${zoneSays[zone]}.` +
      (doubled ? ` It more than doubled since ${earlier.at.slice(0, 10)} (${earlier.vibration} mm/s).` : '') +
      (zone === 'C' || zone === 'D' || doubled
        ? ' Feet and foundation bolts first, then alignment and belt, balance (fan blades, product on them), bearings.'
        : ''),
    { fields: ['reading.vibration'], source },
  );
}

function tellTemperature(round: Round): void {
  const { reading, walk } = round;
  const { w } = walk;
  if (reading.temperature === undefined) return;
  const rise =
    reading.ambient === undefined
      ? undefined
      : w.figure('condition.rise', riseOverAir, {
          T: read(round, 'temperature', 'degC'),
          T_a: read(round, 'ambient', 'degC'),
        });
  const { hot, tooHot, source } = bearingLimits;
  if (reading.temperature > hot)
    w.finding(
      'condition.hot-bearing',
      reading.temperature > tooHot ? 'stop' : 'caution',
      `${reading.temperature} °C at the bearing housing: ` +
        (reading.temperature > tooHot
          ? `above ${tooHot} °C the grease runs out and the bearing with it. Stop it and look.`
          : 'above 80 °C. Too much grease just put in (it settles within hours), too little, belt too tight, ' +
            'misaligned, or heat from the machine.'),
      { fields: ['reading.temperature'], source },
    );
  const earlier = round.earlier.findLast((r) => r.temperature !== undefined && r.ambient !== undefined);
  const was = earlier && (earlier.temperature ?? 0) - (earlier.ambient ?? 0);
  if (rise !== undefined && was !== undefined && rise > was + bearingLimits.rise)
    w.finding(
      'condition.bearing-rise',
      'caution',
      `The housing stands ${rise.toFixed(0)} K above the air; on ${earlier?.at.slice(0, 10)} it was ` +
        `${was.toFixed(0)} K. Same load? Then the bearing, its grease or the alignment changed.`,
      { figures: ['condition.rise'], source },
    );
}

function tellNoise({ reading, earlier, walk }: Round): void {
  const first = earlier.find((r) => r.bearingNoise !== undefined);
  if (reading.bearingNoise === undefined || first?.bearingNoise === undefined) return;
  const over = reading.bearingNoise - first.bearingNoise;
  const { grease, damage } = bearingLimits.noise;
  if (over < grease) return;
  walk.w.finding(
    'condition.bearing-noise',
    'caution',
    `The bearing is ${over.toFixed(0)} dB louder than on ${first.at.slice(0, 10)}: ` +
      (over >= damage
        ? 'beyond 16 dB its tracks are usually damaged. Order the bearing and plan the stop.'
        : 'from 8 dB it asks for grease; listen while it goes in, and stop when it gets quiet.'),
    { fields: ['reading.bearingNoise'], source: bearingLimits.source },
  );
}

/** Bearing at the drive end as the plate tells it. */
export const driveEnd = ({ walk }: Pick<Round, 'walk'>): Bearing | undefined =>
  bearingOf(walk.input.plate?.bearings?.driveEnd);

function tellGrease(round: Round): void {
  const { walk, reading, plate } = round;
  const { w, input } = walk;
  const text = input.plate?.bearings?.driveEnd ?? '';
  const bearing = driveEnd(round);
  if (!bearing) return;
  if (bearing.sealed) {
    if (reading.grease !== undefined && reading.grease > 0)
      w.finding(
        'condition.grease',
        'caution',
        `${text} is sealed and greased for life: what is pressed in pushes at its seals or goes into the winding.`,
        { fields: ['plate.bearings.driveEnd'] },
      );
    return;
  }
  const from = { source: bearingSource, text };
  const most = w.figure('condition.grease', greaseQuantity, {
    D: { value: q(bearing.outside, 'mm'), ...from },
    B: { value: q(bearing.width, 'mm'), ...from },
  });
  const speed = plate.speed ?? reading.speed;
  if (input.plate?.greaseInterval)
    w.given('condition.greaseInterval', 'h', 'plate.greaseInterval', q(input.plate.greaseInterval.value / 3600, 'h'));
  else if (speed !== undefined) {
    const { factor, why } = greaseFactor(round);
    w.figure(
      'condition.greaseInterval',
      greaseInterval,
      {
        n: { value: q(speed, 'rpm'), field: plate.speed === undefined ? 'reading.speed' : 'plate.speed' },
        d: { value: q(bearing.bore, 'mm'), ...from },
        K: { value: q(greaseHabit[bearing.kind], '1'), source: greaseHabit.source },
        f: { value: q(factor, '1'), source: greaseHabit.source, text: why },
      },
      { assumed: heatAssumed(round) },
    );
  }
  if (most !== undefined && reading.grease !== undefined && reading.grease > 2 * most)
    w.finding(
      'condition.grease',
      'caution',
      `${reading.grease} g is more than twice the ${most.toPrecision(2)} g a ${text} takes: too much churns, ` +
        'runs hot and gets past the seal. Let it run with the drain open.',
      { figures: ['condition.grease'] },
    );
  else if (most !== undefined)
    w.finding(
      'condition.grease',
      'note',
      `${text}: ${most.toPrecision(2)} g every ${w.text('condition.greaseInterval')}, the same grease as is in it` +
        `${input.plate?.grease ? ` (${input.plate.grease})` : ''}; other soaps do not mix. Clean nipple, drain open, ` +
        'while it runs where that is safe.',
      { figures: ['condition.grease', 'condition.greaseInterval'] },
    );
}

/** Hottest housing of this round or the last that read it. */
const housing = (round: Round): number | undefined =>
  round.reading.temperature ?? before(round, 'temperature')?.temperature;

function heatAssumed(round: Round): readonly Assumed[] {
  if (housing(round) !== undefined) return [];
  return [{ field: 'reading.temperature', value: greaseHabit.warm, why: 'housing not read: up to 70 °C' }];
}

function greaseFactor(round: Round): { readonly factor: number; readonly why: string } {
  const { input } = round.walk;
  const heat = Math.min(1, 0.5 ** (((housing(round) ?? greaseHabit.warm) - greaseHabit.warm) / greaseHabit.halving));
  const upright = input.place?.mounting?.startsWith('shaft-') ? greaseHabit.upright : 1;
  const dirt = input.place?.dirt !== undefined && input.place.dirt !== 'clean' ? greaseHabit.dirty : 1;
  const said = [
    heat < 1 && `${heat.toPrecision(2)} for heat`,
    upright < 1 && `${upright} upright`,
    dirt < 1 && `${dirt} for dirt`,
  ].filter((x) => x !== false);
  return { factor: heat * upright * dirt, why: said.length > 0 ? said.join(', ') : '1: lying, clean, to 70 °C' };
}

function tellStarts(round: Round): void {
  const { reading, walk } = round;
  const { w, input } = walk;
  for (const key of ['hours', 'starts'] as const) {
    const was = before(round, key);
    if (was === undefined || reading[key] === undefined || reading[key] >= (was[key] ?? 0)) continue;
    w.finding(
      'condition.counter-back',
      'caution',
      `The counter of ${key} reads ${reading[key]}, and ${was[key]} on ${was.at.slice(0, 10)}: misread, set back, or ` +
        'another motor. Rates are counted anew from here.',
      { fields: [`reading.${key}`] },
    );
  }
  const was = round.earlier.findLast((r) => r.hours !== undefined && r.starts !== undefined);
  if (was?.hours === undefined || was.starts === undefined) return;
  if (reading.hours === undefined || reading.starts === undefined) return;
  if (reading.hours <= was.hours || reading.starts < was.starts) return;
  const rate = w.figure('condition.starts', startsBetween, {
    N_2: read(round, 'starts', '1'),
    N_1: { value: q(was.starts, '1'), text: `${was.starts} on ${was.at.slice(0, 10)}` },
    t_2: read(round, 'hours', 'h'),
    t_1: { value: q(was.hours, 'h'), text: `${was.hours} h on ${was.at.slice(0, 10)}` },
  });
  const said = input.load?.startsPerHour;
  if (rate === undefined || said === undefined || rate <= 1.1 * said) return;
  w.finding(
    'condition.starts',
    'caution',
    `It starts ${Number(rate.toPrecision(2))} times an hour; ${said} was said when it was chosen. ` +
      'See Start for how often it may.',
    { fields: ['load.startsPerHour'], figures: ['condition.starts'] },
  );
}
