import type { Plate } from '../case';
import type { Practice } from '../practice';
import { hazardMark } from './hazard';

/** The plate's words for its enclosure and its IP code as one text; undefined where it says neither. */
export function enclosureText(plate: Pick<Plate, 'enclosure' | 'protection'>): string | undefined {
  const text = [plate.enclosure, plate.protection].filter((x) => x !== undefined).join(' ');
  return text === '' ? undefined : text;
}

/**
 * The class of a plate's enclosure, in the practice's words or by its IP code; undefined where neither says one. A
 * motor certified for
 * an explosive atmosphere is at least an enclosed one, whatever words it uses.
 */
export function enclosureOf(plate: Plate, practice: Pick<Practice, 'enclosureClass'>): string | undefined {
  const text = enclosureText(plate);
  const said = text === undefined ? undefined : practice.enclosureClass(text);
  return (said === undefined || said === 'open') && hazardMark(plate) ? 'enclosed' : said;
}
