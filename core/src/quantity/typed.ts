import { readGroups } from './groups';
import { readNumber, readQuantity } from './read';
import { dimensions, type Dimension } from './units';

/** What a person typed in a field that shows its unit: the text that is kept, and what was done to it, if anything. */
export interface Typed {
  readonly text: string;
  /** Where the text is not what was typed: the reason. */
  readonly by?: 'unit' | 'letters';
}

const mistaken: Readonly<Record<string, string>> = { O: '0', o: '0', I: '1', l: '1', '|': '1' };

/**
 * Letters that stand for figures in a number as it was copied ("I770 rpm", "6O Hz", "l5 hp"): repaired where they stand
 * among figures; anything else comes back as it is.
 */
export function repairDigits(text: string): string {
  const head = /^\s*[\dOoIl|.,/-]+(?=$|[\s\p{L}°])/u.exec(text)?.[0] ?? '';
  return repaired(head) + text.slice(head.length);
}

/** The same for every word of a text that holds nothing but figures and such letters; no place in it moves. */
export const repairWords = (text: string): string =>
  text.replace(/(?<![\p{L}\p{N}])[\dOoIl.,/-]+(?![\p{L}\p{N}])/gu, repaired);

const repaired = (word: string): string => (/\d/.test(word) ? word.replace(/[OoIl|]/g, (c) => mistaken[c] ?? c) : word);

/**
 * Reads what was typed in a field of a dimension that shows `unit`: a bare number, or bare groups, take that unit;
 * letters among figures are repaired. What cannot be read comes back as typed, to be told so.
 */
export function readTyped(dimension: Dimension, text: string, unit: string, grouped = false): Typed {
  const reads = (t: string): boolean => (grouped ? readGroups(dimension, t) : readQuantity(dimension, t)).ok;
  if (text.trim() === '' || reads(text)) return { text };
  const bare = (t: string): string | undefined => {
    const whole = t.trim();
    // "230/460" is two voltages, and no fraction.
    const fraction = /^\d{2,}\s*\//.test(whole);
    const isNumber = (readNumber(whole).ok && !fraction) || (grouped && /^[\d.,/ -]*\d$/.test(whole));
    return isNumber && reads(`${whole} ${unit}`) ? `${whole} ${unit}` : undefined;
  };
  const own = bare(text);
  if (own !== undefined) return { text: own, by: 'unit' };
  const mended = repairDigits(text);
  if (mended === text) return { text };
  if (reads(mended)) return { text: mended, by: 'letters' };
  const both = bare(mended);
  return both === undefined ? { text } : { text: both, by: 'letters' };
}

/** Reading units in which a dimension is short: a length of a shaft, not of a cable. */
const short = { us: 'in', si: 'mm' } as const;

/** Unit in which a field of a dimension shows and takes a bare number, by the system the practice is written in. */
export function fieldUnit(dimension: Dimension, system: 'us' | 'si', small = false): string {
  if (dimension === 'length' && small) return short[system];
  // Motors are rated at 40 °C and by their rise in K in both traditions.
  if (dimension === 'temperature') return '°C';
  if (dimension === 'temperatureRise') return 'K';
  return dimensions[dimension][system];
}
