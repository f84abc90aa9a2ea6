import { readingFields, type ReadingKey } from '@pilgrim/core/readings';
import {
  dimensions,
  fieldUnit,
  findUnit,
  readNumber,
  readQuantity,
  readTyped,
  type Dimension,
} from '@pilgrim/core/quantity';

export type CellRead = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

/** Units beside a field's own that have no dimension of their own here: what one is in the field's. */
const beside: Partial<Record<ReadingKey, Readonly<Record<string, number>>>> = {
  vibration: { 'mm/s': 1, 'in/s': 25.4, ips: 25.4 },
  insulation: { MΩ: 1, Mohm: 1, GΩ: 1e3, Gohm: 1e3, kΩ: 1e-3, kohm: 1e-3 },
  grease: { g: 1, oz: 28.349523125 },
};

/** Unit in which a bare number is taken: that of the practice where the field has a dimension of its own. */
export function unitHere(key: ReadingKey, system: 'us' | 'si'): string {
  const field = readingFields[key];
  // Input is read in kW wherever meters are made.
  return 'dimension' in field && field.dimension === 'temperature' ? fieldUnit(field.dimension, system) : field.unit;
}

/** Reads what was typed for a field, in its unit where none stands; the number in the field's own unit. */
export function readCell(key: ReadingKey, text: string, unit: string): CellRead {
  const field = readingFields[key];
  if ('dimension' in field) {
    const read = readQuantity(field.dimension, readTyped(field.dimension, text, unit).text);
    return read.ok ? good(inUnit(field.dimension, read.value.value, field.unit)) : read;
  }
  const named = /^(.*?\d)\s*([a-zµΩ/]+)$/i.exec(text.trim());
  const factor = named && named[2] !== field.unit ? beside[key]?.[named[2] ?? ''] : 1;
  const number = readNumber(named ? (named[1] ?? '') : text);
  if (number.ok && factor !== undefined) return good(number.value * factor);
  const units = [field.unit, ...Object.keys(beside[key] ?? {}).slice(1)].filter((u) => u !== '');
  const said = units.length === 0 ? '' : ` in ${units.join(', ')}`;
  return { ok: false, message: `write a number${said}, such as ${field.example}` };
}

const good = (value: number): CellRead => ({ ok: true, value: Number(value.toPrecision(9)) });

function inUnit(dimension: Dimension, base: number, name: string): number {
  const unit = findUnit(dimensions[dimension], name);
  return unit ? (base - (unit.offset ?? 0)) / unit.factor : base;
}
