import { isUpTo } from '../law';
import type { Motor } from './motor';

/** A face or a close-coupled pump shaft that motors are ordered with; `from` and `to` by the digits of the frame. */
const made: Readonly<Record<string, { words: string; price: number; from: number; to: number; instead: boolean }>> = {
  // NEMA MG 1 4.4: C faces and D flanges through the T frames; 18.250: JM to 326, JP to 365 (from memory).
  C: { words: 'C face', price: 1.06, from: 56, to: 449, instead: false },
  D: { words: 'D flange', price: 1.12, from: 143, to: 449, instead: false },
  JM: { words: 'close-coupled JM', price: 1.1, from: 143, to: 326, instead: true },
  JP: { words: 'close-coupled JP', price: 1.12, from: 143, to: 365, instead: true },
};

/**
 * A catalogue motor with a face or pump shaft by the letters of NEMA frames; undefined where it is not made so. Prices
 * are invented, as the catalogue's are.
 */
export function withParts(motor: Motor, letters: readonly string[]): Motor | undefined {
  let found = motor;
  for (const letter of letters) {
    const part = made[letter];
    const [, digits, suffix] = /^(\d+)(.*)$/.exec(found.frame ?? '') ?? [];
    if (!part || digits === undefined || Number(digits) < part.from || Number(digits) > part.to) return undefined;
    found = {
      ...found,
      id: `${found.id}+${letter}`,
      name: `${found.name}, ${part.words}`,
      frame: `${digits}${part.instead ? '' : suffix}${letter}`,
      priceIndex: found.priceIndex * part.price,
    };
  }
  return found;
}

/** Largest rating commonly made on frame 56, W (common practice: to 2 hp). */
const largest56 = 2 * 745.7;

/** A small motor on frame 56 with these faces instead of its T frame; undefined where it is not made so. */
export function inFrame56(motor: Motor, letters: readonly string[]): Motor | undefined {
  if (!isUpTo(motor.power, largest56) || motor.frame === null) return undefined;
  return withParts({ ...motor, id: `${motor.id}+56`, frame: '56', name: `${motor.name}, frame 56` }, letters);
}
