import type { Case, MotorReading } from '../case';
import { worstFirst, type Figure, type Finding } from '../contract';
import { tellBearings } from './bearings';
import { dueOf, type Due } from './due';
import { tellElectrical } from './electrical';
import { nextSteps, type Step } from './next';
import { openRound } from './round';
import { trendsOf, type Trend } from './trends';
import { tellWinding } from './winding';

export type { Due } from './due';
export type { Step } from './next';
export type { Region, Trend } from './trends';

/** What a round's readings mean at a position. */
export interface ConditionTold {
  readonly figures: Readonly<Record<string, Figure>>;
  /** Worst first. */
  readonly findings: readonly Finding[];
  /** What to measure next where it draws more than its plate; else empty. */
  readonly steps: readonly Step[];
  readonly due: readonly Due[];
  readonly trends: readonly Trend[];
}

/**
 * Judges one round against the plate and the rounds before it. `rounds` in any order; those later than the one told
 * are not looked at.
 */
export function tellCondition(input: Case, reading: MotorReading, rounds: readonly MotorReading[]): ConditionTold {
  const time = Date.parse(reading.at);
  const earlier = rounds.filter((r) => Date.parse(r.at) < time).toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const round = openRound(input, reading, earlier);
  const way = tellElectrical(round);
  tellWinding(round);
  tellBearings(round);
  const { w } = round.walk;
  return {
    figures: Object.fromEntries(w.figures),
    findings: worstFirst(w.findings.map((f) => ({ ...f, fields: f.fields.map(ofRound) }))),
    steps: nextSteps(round, way),
    due: dueOf(round),
    trends: trendsOf(round),
  };
}

const own: Readonly<Record<string, string>> = {
  'load.demand': 'reading.power',
  'load.demand.power': 'reading.power',
  'load.demand.current': 'reading.current1',
  'load.demand.voltage': 'reading.voltage12',
  'load.demand.speed': 'reading.speed',
};

/** The station's field of a reading, as the round's own. */
const ofRound = (path: string): string => own[path] ?? path;
