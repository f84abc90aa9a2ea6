import type { Case, MotorReading, ReadingKey } from '../case';
import { demoCombinations } from '../catalogue';
import { field, Workings, type Given } from '../law';
import type { PlateFacts, Walk } from '../needs';
import { practiceById, rulesFor } from '../practice';
import { q, type UnitId } from '../quantity';
import { readPlate } from '../stations';

/** One round at a position: its readings, those before it, and the motor's plate. */
export interface Round {
  readonly walk: Walk;
  readonly plate: PlateFacts;
  readonly reading: MotorReading;
  /** Earlier rounds, oldest first. */
  readonly earlier: readonly MotorReading[];
}

export const currents = ['current1', 'current2', 'current3'] as const satisfies readonly ReadingKey[];
export const voltages = ['voltage12', 'voltage23', 'voltage31'] as const satisfies readonly ReadingKey[];

/** Opens a round: the plate is read again, into workings of the round's own. */
export function openRound(input: Case, reading: MotorReading, earlier: readonly MotorReading[]): Round {
  const w = new Workings(input.money?.currency);
  const practice = practiceById(input.practice);
  const walk: Walk = { input, practice, rules: rulesFor(input.rules), w, combinations: demoCombinations() };
  const plate = readPlate(walk);
  // What the plate itself has to say stands at its station.
  w.findings.length = 0;
  w.enter('plate');
  return { walk, plate, reading, earlier };
}

/** A number of the round as a law takes it; `scale` brings it to the law's unit. */
export const read = <U extends UnitId>({ reading }: Round, key: ReadingKey, unit: U, scale = 1): Given<U> => {
  const value = reading[key];
  return field(`reading.${key}`, value === undefined ? undefined : q(value * scale, unit));
};

/** Those of some readings that were taken. */
export const taken = (reading: MotorReading, keys: readonly ReadingKey[]): readonly number[] =>
  keys.flatMap((key) => reading[key] ?? []);

/** The last earlier round that holds a reading. */
export const before = ({ earlier }: Round, key: ReadingKey): MotorReading | undefined =>
  earlier.findLast((r) => r[key] !== undefined);

export const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/** Whether the frequency of a round is not that of the plate's line: a drive stands before the motor. */
export function onDriveAt({ walk, plate }: Pick<Round, 'walk' | 'plate'>, { frequency }: MotorReading): boolean {
  const line = plate.frequency ?? walk.input.supply?.frequency?.value;
  return frequency !== undefined && line !== undefined && Math.abs(frequency / line - 1) > 0.02;
}
