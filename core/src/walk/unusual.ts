import type { Case } from '../case';
import { commonPractice, type StationName } from '../contract';
import type { Walk } from '../needs';
import { writeQuantity, type UnitId } from '../quantity';

/** What is seldom meant: below or above it a value is asked about. In the unit's own size. */
type Usual = readonly [station: StationName, path: string, unit: UnitId, least: number, most: number, what: string];

/** Ranges of what three-phase low- and medium-voltage drives and their places are (common practice). */
const usual: readonly Usual[] = [
  ['plate', 'supply.voltage', 'V', 100, 15_000, 'a supply'],
  ['plate', 'supply.frequency', 'Hz', 16, 400, 'a supply'],
  ['load', 'load.demand.power', 'W', 10, 10e6, 'a machine behind one motor'],
  ['load', 'load.demand.torque', 'N.m', 0.01, 5e6, 'a machine behind one motor'],
  ['load', 'load.demand.speed', 'rpm', 0.01, 30_000, 'a driven shaft'],
  ['load', 'load.demand.head', 'm', 0.1, 1500, 'a pump'],
  ['load', 'load.inertia', 'kg.m2', 1e-6, 200_000, 'a driven machine'],
  ['place', 'place.ambient', 'degC', -50, 70, 'a place where motors run'],
  ['place', 'place.altitude', 'm', -430, 5200, 'a place where motors run'],
  ['place', 'place.cable.length', 'm', 0.1, 5000, 'a motor cable'],
];
const source = commonPractice('What is seldom meant; mistyped zeros and units are found so');

/** Values far outside what the trade has: asked about, never refused. */
export function askUnusual({ input, w }: Walk): void {
  for (const [station, path, unit, least, most, what] of usual) {
    const found = at(input, path);
    if (found === undefined || (found.value >= least && found.value <= most)) continue;
    const [limit, word] = found.value < least ? [least, 'below'] : [most, 'above'];
    w.enter(station);
    w.finding(
      'case.unusual',
      'caution',
      `${found.text} is far from what ${what} has: seldom ${word} ${writeQuantity(limit, unit)}. Was another unit or ` +
        `another number meant?`,
      { fields: [path], source },
    );
  }
}

/** A quantity of the case, where the path holds one with a unit. */
function at(input: Case, path: string): { readonly value: number; readonly text: string } | undefined {
  const found = path
    .split('.')
    .reduce<unknown>((o, key) => (typeof o === 'object' && o !== null ? Reflect.get(o, key) : undefined), input);
  if (typeof found !== 'object' || found === null || !('value' in found) || !('text' in found)) return undefined;
  return typeof found.value === 'number' ? { value: found.value, text: String(found.text) } : undefined;
}
