import type { MotorReading } from '../case';
import type { Level } from '../contract';
import { currentUnbalance, voltageUnbalance } from '../physics';
import { bearingLimits, currentLimit, leastInsulation, unbalanceLimits, voltageLimit } from '../practice';
import { q } from '../quantity';
import { zonesHere } from './bearings';
import { currents, mean, onDriveAt, taken, voltages, type Round } from './round';
import { insulationAt40, windingOf } from './winding';

/** A stretch of a chart that a limit makes: from `from` to `to`, open where null. */
export interface Region {
  readonly from: number | null;
  readonly to: number | null;
  readonly level: Level;
  readonly label: string;
}

/** How one thing went over the rounds. */
export interface Trend {
  readonly id: string;
  readonly label: string;
  readonly unit: string;
  /** Time (ISO 8601) and value of each round that read it. */
  readonly points: readonly (readonly [at: string, value: number])[];
  readonly regions: readonly Region[];
}

const above = (from: number, level: Level, label: string): Region => ({ from, to: null, level, label });
const between = (from: number, to: number, level: Level, label: string): Region => ({ from, to, level, label });

/** Trends of all that was read, with the limits that hold here. */
export function trendsOf(round: Round): readonly Trend[] {
  const rounds = [...round.earlier, round.reading];
  const { w } = round.walk;
  const { kind } = windingOf(round);
  const rated = w.value('plate.connectedCurrent');
  const volts = w.value('plate.connectedVoltage');
  const firstNoise = rounds.find((r) => r.bearingNoise !== undefined)?.bearingNoise;
  const { zones, source } = zonesHere(round);
  const [a, b, c] = zones;
  const trend = (
    id: string,
    label: string,
    unit: string,
    of: (r: MotorReading) => number | undefined,
    regions: readonly Region[],
  ): Trend => ({ id, label, unit, points: pointsOf(rounds, of), regions });
  const trends = [
    trend('current', 'Current, highest phase', 'A', (r) => highest(taken(r, currents)), [
      ...(rated === undefined
        ? []
        : [
            between(rated, currentLimit.relay * rated, 'caution', 'above the plate'),
            above(currentLimit.relay * rated, 'stop', 'the relay’s to trip'),
          ]),
    ]),
    trend('currentUnbalance', 'Unbalance of the currents', '%', (r) => unbalance(r, currents), [
      above(100 * unbalanceLimits.current, 'caution', 'supply or winding'),
    ]),
    trend('voltage', 'Voltage, mean', 'V', (r) => meanOn(round, r), [
      ...(volts === undefined
        ? []
        : [
            { from: null, to: (1 - voltageLimit.off) * volts, level: 'caution' as const, label: 'too low' },
            above((1 + voltageLimit.off) * volts, 'caution', 'too high'),
          ]),
    ]),
    trend('voltageUnbalance', 'Unbalance of the voltages', '%', (r) => unbalance(r, voltages), [
      between(100 * unbalanceLimits.voltage.look, 100 * unbalanceLimits.voltage.stop, 'caution', 'derate'),
      above(100 * unbalanceLimits.voltage.stop, 'stop', 'not run'),
    ]),
    trend('power', 'Input power', 'kW', (r) => r.power, []),
    trend('temperature', 'Bearing housing', '°C', (r) => r.temperature, [
      between(bearingLimits.hot, bearingLimits.tooHot, 'caution', 'hot'),
      above(bearingLimits.tooHot, 'stop', 'too hot'),
    ]),
    trend('vibration', `Vibration, RMS (${source.title})`, 'mm/s', (r) => r.vibration, [
      between(a, b, 'note', 'zone B'),
      between(b, c, 'caution', 'zone C'),
      above(c, 'stop', 'zone D'),
    ]),
    trend('bearingNoise', 'Bearing noise', 'dB', (r) => r.bearingNoise, [
      ...(firstNoise === undefined
        ? []
        : [
            between(
              firstNoise + bearingLimits.noise.grease,
              firstNoise + bearingLimits.noise.damage,
              'caution',
              'grease',
            ),
            above(firstNoise + bearingLimits.noise.damage, 'stop', 'damage'),
          ]),
    ]),
    trend(
      'insulation',
      `Insulation at 40 °C (${kind})`,
      'MΩ',
      (r) => {
        const at40 = insulationAt40(r, kind);
        return at40 === undefined ? undefined : at40 / 1e6;
      },
      [
        { from: null, to: leastInsulation.ohm / 1e6, level: 'stop', label: 'not started' },
        between(leastInsulation.ohm / 1e6, (10 * leastInsulation.ohm) / 1e6, 'caution', 'damp or dirty'),
      ],
    ),
    trend('polarisationIndex', 'Polarisation index', '', (r) => r.polarisationIndex, [
      { from: null, to: leastInsulation.index, level: 'caution', label: 'damp or dirty' },
    ]),
    trend('hours', 'Hours run', 'h', (r) => r.hours, []),
  ];
  return trends.filter((t) => t.points.length > 0);
}

const pointsOf = (rounds: readonly MotorReading[], of: (r: MotorReading) => number | undefined): Trend['points'] =>
  rounds.flatMap((r) => {
    const value = of(r);
    return value === undefined ? [] : [[r.at, value] as const];
  });

const highest = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.max(...values);

const meanOn = (round: Round, r: MotorReading): number | undefined => {
  const found = taken(r, voltages);
  return found.length === 0 || onDriveAt(round, r) ? undefined : mean(found);
};

function unbalance(r: MotorReading, keys: typeof currents | typeof voltages): number | undefined {
  const [a, b, c] = taken(r, keys);
  if (a === undefined || b === undefined || c === undefined || a + b + c === 0) return undefined;
  return keys === currents
    ? 100 * currentUnbalance.of({ a: q(a, 'A'), b: q(b, 'A'), c: q(c, 'A') })
    : 100 * voltageUnbalance.of({ a: q(a, 'V'), b: q(b, 'V'), c: q(c, 'V') });
}
