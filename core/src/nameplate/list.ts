import { z } from 'zod';
import { plateSchema, type CaseError, type CaseText, type Plate } from '../case';
import { findUnit, dimensions, readNumber, unitTextOf, type Dimension } from '../quantity';
import { practiceById, type PracticeId } from '../practice';
import { missingOf, motorOfPlate } from './stock';
import type { Motor } from '../catalogue';

type PlateText = NonNullable<CaseText['plate']>;

/** A motor of the own shelf as it is kept: what its plate says, how many there are, and where. */
export interface ShelfEntry {
  readonly id: string;
  readonly name: string;
  readonly plate: PlateText;
  readonly quantity: number;
  readonly place: string;
  /** Days until it is here, where it is quoted and not there; null where the list does not say. */
  readonly days: number | null;
  /** Tag or name of the position whose spare it is; empty for none. */
  readonly keptFor: string;
  /** What it costs, in the plant's money; null where the list does not say. */
  readonly price: number | null;
}

/** What can be changed of a motor on the shelf; a part that is left out stays. */
export type ShelfChange = Partial<Pick<ShelfEntry, 'quantity' | 'place' | 'days' | 'keptFor'>>;

/** Motors of a shelf, ready to be judged, and the entries whose plates are not complete enough. */
export function shelfMotors(
  entries: readonly ShelfEntry[],
  asked: PracticeId,
): {
  readonly motors: readonly Motor[];
  readonly left: readonly { readonly id: string; readonly missing: readonly string[] }[];
} {
  const practice = practiceById(asked);
  const motors: Motor[] = [];
  const left: { id: string; missing: readonly string[] }[] = [];
  for (const { id, name, plate, quantity, place, days, keptFor, price } of entries) {
    const read = plateSchema.safeParse(plate);
    const made = read.success
      ? motorOfPlate(read.data, practice, {
          id,
          name,
          stock: { quantity, place, days, keptFor },
          ...(price === null ? {} : { price }),
        })
      : ({ ok: false, missing: ['plate'] } as const);
    if (made.ok) motors.push(made.motor);
    else left.push({ id, missing: made.missing });
  }
  return { motors, left };
}

/**
 * The motors as one position sees them: a spare kept for it, by tag or name, is kept for no other. The same list for
 * the same spares, so that what was worked out for a list serves again.
 */
export function spareOf(motors: readonly Motor[], own: readonly string[]): readonly Motor[] {
  const names = new Set(own.map(plain));
  const keptAs = (m: Motor): string => plain(m.stock?.keptFor ?? '');
  const kept = new Set(motors.map(keptAs).filter((name) => name !== '' && names.has(name)));
  if (kept.size === 0) return motors;
  const lists = seenBy.get(motors) ?? new Map<string, readonly Motor[]>();
  seenBy.set(motors, lists);
  const key = JSON.stringify([...kept].toSorted());
  const seen =
    lists.get(key) ??
    motors.map((m) => (m.stock && kept.has(keptAs(m)) ? { ...m, stock: { ...m.stock, keptFor: '' } } : m));
  lists.set(key, seen);
  return seen;
}
/** By the names a list has spares for: never more lists than it has such names together. */
const seenBy = new WeakMap<readonly Motor[], Map<string, readonly Motor[]>>();

export interface ListColumn {
  readonly key: string;
  readonly label: string;
  /** Other headings that mean the same, in lower case without signs. */
  readonly names: readonly string[];
  /** Whose unit is added where a cell or its heading has none. */
  readonly dimension?: Dimension;
  readonly unit?: string;
  readonly kind: 'rating' | 'quantity' | 'share' | 'number' | 'text' | 'own' | 'own number';
  readonly needed?: true;
}

/** Columns a list of motors may have; the first five must be there. */
export const listColumns = [
  { key: 'power', label: 'Power', names: ['hp', 'kw', 'rating', 'rated power', 'output', 'leistung', 'puissance'], dimension: 'power', kind: 'rating', needed: true },
  { key: 'voltage', label: 'Voltage', names: ['volts', 'v', 'volt', 'rated voltage', 'spannung', 'tension'], dimension: 'voltage', unit: 'V', kind: 'rating', needed: true },
  { key: 'current', label: 'Current', names: ['amps', 'a', 'fla', 'full load amps', 'rated current', 'in', 'strom', 'courant'], dimension: 'current', unit: 'A', kind: 'rating', needed: true },
  { key: 'speed', label: 'Speed', names: ['rpm', 'r min', 'rated speed', 'full load speed', 'drehzahl', 'vitesse'], dimension: 'speed', unit: 'rpm', kind: 'rating', needed: true },
  { key: 'frequency', label: 'Frequency', names: ['hz', 'frequenz'], dimension: 'frequency', unit: 'Hz', kind: 'quantity', needed: true },
  { key: 'name', label: 'Name', names: ['description', 'tag', 'motor', 'item', 'id', 'bezeichnung'], kind: 'own' },
  { key: 'quantity', label: 'Quantity', names: ['qty', 'count', 'stock', 'on hand', 'menge', 'anzahl'], kind: 'own number' },
  { key: 'place', label: 'Place', names: ['location', 'shelf', 'bin', 'rack', 'store', 'lagerplatz'], kind: 'own' },
  { key: 'days', label: 'Days', names: ['delivery', 'delivery days', 'lead time', 'lieferzeit'], kind: 'own number' },
  { key: 'keptFor', label: 'Spare for', names: ['kept for', 'for position', 'position', 'ersatz für'], kind: 'own' },
  { key: 'price', label: 'Price', names: ['cost', 'value', 'preis', 'prix'], kind: 'own number' },
  { key: 'frame', label: 'Frame', names: ['fr', 'frame size', 'baugrösse', 'baugroesse'], kind: 'text' },
  { key: 'enclosure', label: 'Enclosure', names: ['encl', 'housing'], kind: 'text' },
  { key: 'protection', label: 'Protection (IP)', names: ['ip', 'ip code', 'schutzart'], kind: 'text' },
  { key: 'serviceFactor', label: 'Service factor', names: ['sf'], kind: 'number' },
  { key: 'efficiency', label: 'Efficiency', names: ['eff', 'nom eff', 'nominal efficiency', 'eta', 'wirkungsgrad'], kind: 'share' },
  { key: 'powerFactor', label: 'Power factor', names: ['pf', 'cos phi', 'cosphi', 'cos φ', 'cosφ'], kind: 'share' },
  { key: 'insulation', label: 'Insulation class', names: ['ins', 'insulation', 'ins cl', 'class'], kind: 'text' },
  { key: 'designLetter', label: 'Design letter', names: ['design', 'des'], kind: 'text' },
  { key: 'codeLetter', label: 'Code letter', names: ['code'], kind: 'text' },
  { key: 'efficiencyClass', label: 'Efficiency class', names: ['ie', 'ie class', 'eff class'], kind: 'text' },
  { key: 'leads', label: 'Leads', names: ['lead count'], kind: 'number' },
  { key: 'weight', label: 'Weight', names: ['mass', 'kg', 'gewicht'], dimension: 'mass', unit: 'kg', kind: 'quantity' },
  { key: 'year', label: 'Year', names: ['made', 'baujahr'], kind: 'number' },
] as const satisfies readonly ListColumn[]; // prettier-ignore

export type ListKey = (typeof listColumns)[number]['key'];
/** Which column of a file, counted from 0, is which field, by the field's key. */
export type ListMapping = Readonly<Partial<Record<string, number>>>;
/** What a field is in every row, where the file has no column for it. */
export type ListConstants = Readonly<Partial<Record<string, string>>>;

/** What a list may be of: its columns, and how a row is read. */
export interface ListKind<T> {
  readonly columns: readonly ListColumn[];
  readonly read: (cells: readonly string[], headings: readonly string[], mapping: ListMapping) => RowReading<T>;
}

/** Heading without case, signs and a unit in brackets. */
const plain = (heading: string): string =>
  heading
    .toLowerCase()
    .replace(/[([].*?[)\]]/g, ' ')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Guesses which heading is which field; each column is taken once. */
export function guessMapping(
  headings: readonly string[],
  columns: readonly ListColumn[] = listColumns,
): Record<string, number> {
  const mapping: Record<string, number> = {};
  const taken = new Set<number>();
  for (const exact of [true, false])
    for (const column of columns) {
      if (mapping[column.key] !== undefined) continue;
      const names = [column.key.toLowerCase(), plain(column.label), ...column.names];
      const found = headings.findIndex((heading, i) => {
        const text = plain(heading);
        if (taken.has(i) || text === '') return false;
        return exact ? names.includes(text) : names.some((n) => n.length > 2 && text.split(' ').includes(n));
      });
      if (found < 0) continue;
      mapping[column.key] = found;
      taken.add(found);
    }
  return mapping;
}

/** Needed fields that a mapping leaves out. */
export const unmapped = (mapping: ListMapping, columns: readonly ListColumn[] = listColumns): string[] =>
  columns.filter((c) => c.needed && mapping[c.key] === undefined).map((c) => c.label);

/** A list as if what is the same in every row stood in columns of its own, behind those it has. */
export function withConstants(
  headings: readonly string[],
  mapping: ListMapping,
  constants: ListConstants,
  columns: readonly ListColumn[] = listColumns,
): { readonly headings: readonly string[]; readonly mapping: ListMapping; readonly cells: readonly string[] } {
  const same = columns.flatMap((c) => {
    const value = (constants[c.key] ?? '').trim();
    return value === '' ? [] : [{ ...c, value }];
  });
  return {
    headings: [...headings, ...same.map((c) => `${c.label}, the same for all`)],
    mapping: { ...mapping, ...Object.fromEntries(same.map((c, i) => [c.key, headings.length + i])) },
    cells: same.map((c) => c.value),
  };
}

export type RowErrors = readonly { readonly column: string; readonly message: string }[];
export type RowReading<T = Omit<ShelfEntry, 'id'>> =
  { readonly ok: true; readonly entry: T } | { readonly ok: false; readonly errors: RowErrors };

/** Unit named by a heading, such as "Power (kW)", "HP" or "Weight, lb". */
export function unitOfHeading(heading: string, dimension: Dimension): string | undefined {
  const spec = dimensions[dimension];
  for (const word of heading.split(/[\s()[\],;/]+/)) {
    const unit = word === '' ? undefined : findUnit(spec, word);
    if (unit) return unit.names[0];
  }
  return undefined;
}

/** What the cells of a row say of each field, and what is wrong in which column. */
export function readCells(
  columns: readonly ListColumn[],
  cells: readonly string[],
  headings: readonly string[],
  mapping: ListMapping,
): {
  readonly values: Record<string, string | number>;
  readonly errors: { readonly column: string; readonly message: string }[];
  /** Adds an error at a field's column. */
  readonly fail: (key: string, message: string) => void;
} {
  const errors: { column: string; message: string }[] = [];
  const values: Record<string, string | number> = {};
  const fail = (key: string, message: string): void => {
    const heading = headings[mapping[key] ?? -1];
    errors.push({ column: heading ?? columns.find((c) => c.key === key)?.label ?? key, message });
  };
  for (const column of columns) {
    const { key, kind } = column;
    const at = mapping[key];
    if (at === undefined) continue;
    const cell = (cells[at] ?? '').trim();
    if (cell === '') {
      if (column.needed) fail(key, 'is empty');
    } else if (/^[=@]|^[+-](?![\d.,])/.test(cell)) fail(key, `“${cell.slice(0, 40)}” is a formula, not a value`);
    else if (kind === 'own') values[key] = cell.slice(0, 200);
    else if (kind === 'text') values[key] = key === 'insulation' ? cell.toUpperCase() : cell;
    else if (kind === 'rating' || kind === 'quantity') {
      const unit = withUnit(cell, headings[at] ?? '', column);
      if (unit.ok) values[key] = unit.text;
      else fail(key, unit.message);
    } else {
      const number = readNumber(cell.replace(/%$/, '').trim());
      if (!number.ok) fail(key, number.message);
      else if (kind === 'own number' && (number.value < 0 || number.value > 1e9))
        fail(key, `“${cell}” must be zero or more`);
      else values[key] = kind === 'share' && number.value > 1 ? shareOf(number.value) : number.value;
    }
  }
  return { values, errors, fail };
}

/** What of the cells is of the plate. */
export const plateOf = (
  columns: readonly ListColumn[],
  values: Readonly<Record<string, string | number>>,
): Record<string, string | number> =>
  Object.fromEntries(
    columns.flatMap((c) => {
      const value = values[c.key];
      return value === undefined || c.kind.startsWith('own') ? [] : [[c.key, value]];
    }),
  );

/**
 * Reads one row of a list: a motor, or what is wrong in which column. Cells that a spreadsheet would run are refused.
 */
export function readListRow(cells: readonly string[], headings: readonly string[], mapping: ListMapping): RowReading {
  const { values, errors, fail } = readCells(listColumns, cells, headings, mapping);
  const plate = plateOf(listColumns, values);
  const reading = plateSchema.safeParse(plate);
  if (!reading.success)
    for (const issue of reading.error.issues) {
      const key = String(issue.path[0]);
      if (mapping[key] !== undefined) fail(key, issue.message);
    }
  if (errors.length > 0 || !reading.success) return { ok: false, errors };
  for (const key of missingOf(reading.data)) fail(key, missingWhy(reading.data, key));
  if (errors.length > 0) return { ok: false, errors };
  const words = (key: ListKey): string => String(values[key] ?? '');
  const number = (key: ListKey): number | undefined => (values[key] === undefined ? undefined : Number(values[key]));
  const days = number('days');
  return {
    ok: true,
    entry: {
      name: words('name') || [plate.power, plate.speed, plate.frame].filter((x) => x !== undefined).join(', '),
      plate,
      quantity: Math.round(number('quantity') ?? 1),
      place: words('place'),
      days: days === undefined ? null : Math.ceil(days),
      keptFor: words('keptFor'),
      price: number('price') ?? null,
    },
  };
}

/** A list of motors that lie on a shelf or are quoted. */
export const shelfList: ListKind<Omit<ShelfEntry, 'id'>> = { columns: listColumns, read: readListRow };

const missingWhy = (plate: Plate, key: string): string =>
  key === 'current' && plate.current ? 'its groups do not match those of the voltage' : 'is missing';

const shareOf = (percent: number): number => Number((percent / 100).toFixed(5));

function withUnit(
  cell: string,
  heading: string,
  { dimension, unit, label }: ListColumn,
): { readonly ok: true; readonly text: string } | { readonly ok: false; readonly message: string } {
  if (!dimension) return { ok: true, text: cell };
  const hasUnit = /\p{L}/u.test(unitTextOf(cell)) || /["']$/.test(cell);
  if (hasUnit) return { ok: true, text: cell };
  const named = unitOfHeading(heading, dimension) ?? unit;
  return named === undefined
    ? { ok: false, message: `“${cell}” has no unit: write it in the cell or in the heading, such as “${label} (kW)”` }
    : { ok: true, text: `${cell} ${named}` };
}

/** Errors of a plate by field, for the form that adds one motor. */
export function plateErrors(plate: unknown): CaseError[] {
  const reading = plateSchema.safeParse(plate);
  if (reading.success) return [];
  return reading.error.issues.map((i: z.core.$ZodIssue) => ({
    path: i.path.map(String).join('.'),
    message: i.message,
  }));
}
