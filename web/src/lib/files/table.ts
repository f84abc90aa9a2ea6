import { readNumber } from '@pilgrim/core/quantity';
import { readingFields, readingKeys, type ReadingKey } from '@pilgrim/core/readings';
import { insulationKinds, supports } from '@pilgrim/core/vocabulary';
import { parse } from 'csv-parse/browser/esm/sync';
import type { Json } from '$lib/desk/paths';
import { readCell } from '$lib/log/cells';
import { delimiterOf, readUtf8 } from './text';
import { timeFormats } from './times';

/** What is wrong with one cell: line and column counted from 1, and the column's name. */
export interface CellFault {
  readonly line: number;
  readonly column: number;
  readonly message: string;
}
export type TableReading =
  { readonly ok: true; readonly rows: readonly Json[] } | { readonly ok: false; readonly faults: readonly CellFault[] };

/** A cell read: what stands in the case for it, or why it cannot be read. */
type Cell = { readonly ok: true; readonly value: Json } | { readonly ok: false; readonly message: string };

/** One column of a table: its key in the case, how its heading may begin, and how a cell is read by that heading. */
interface Column {
  readonly key: string;
  readonly heading: RegExp;
  readonly read: (cell: string, heading: string) => Cell;
  readonly optional?: boolean;
}

const good = (value: Json): Cell => ({ ok: true, value });
const bad = (message: string): Cell => ({ ok: false, message });
const faultsShown = 20;

/** Reads a table with a heading line, cell by cell. Never throws. */
function readTable(bytes: Uint8Array, columns: readonly Column[], example: string): TableReading {
  const fault = (message: string): TableReading => ({ ok: false, faults: [{ line: 1, column: 1, message }] });
  const text = readUtf8(bytes);
  if (!text.ok) return fault(text.message);
  let records: string[][];
  const lines: number[] = [];
  try {
    records = parse(text.text, {
      delimiter: delimiterOf(text.text),
      ...{ bom: true, trim: true, relax_column_count: true, skip_empty_lines: true },
      on_record: (record: string[], context) => {
        lines.push(context.lines);
        return record;
      },
    });
  } catch (error) {
    return fault(`It is not CSV: ${error instanceof Error ? error.message : 'unreadable'}.`);
  }
  const [first, ...rest] = records;
  if (!first || rest.length === 0) return fault(`It needs a line of headings and lines below it: ${example}`);
  const headings = first;
  const places = columns.map((column) => headings.findIndex((h) => column.heading.test(h)));
  const missing = columns.filter((column, i) => places[i] === -1 && !column.optional);
  if (missing.length > 0)
    return fault(`It has no column for ${missing.map((c) => c.key).join(', ')}. Headings such as: ${example}`);
  const faults: CellFault[] = [];
  const rows = rest.map((record, n) => {
    const row: Record<string, Json> = {};
    for (const [i, { key, read, optional }] of columns.entries()) {
      const place = places[i] ?? -1;
      const cell = record[place]?.trim() ?? '';
      if (place < 0 || (cell === '' && optional)) continue;
      const found = cell === '' ? bad('is empty') : read(cell, headings[place] ?? '');
      if (found.ok) row[key] = found.value;
      else faults.push({ line: lines[n + 1] ?? n + 2, column: place + 1, message: `${key} ${found.message}` });
    }
    return row;
  });
  return faults.length > 0 ? { ok: false, faults: faults.slice(0, faultsShown) } : { ok: true, rows };
}

const number = (cell: string): Cell => {
  const found = readNumber(cell);
  return found.ok ? good(found.value) : bad(`“${cell}” is no number`);
};

const price = (cell: string): Cell => {
  const found = number(cell);
  return found.ok && typeof found.value === 'number' && found.value < 0 ? bad('is below 0') : found;
};

const timeOfDay = (cell: string): Cell => {
  const [, h, m = '00'] = /^(\d{1,2})(?::(\d{2}))?(?::00)?$/.exec(cell) ?? [];
  const minutes = Number(h) * 60 + Number(m);
  if (h === undefined || Number(m) > 59 || minutes > 1440) return bad(`“${cell}” is no time of day such as 06:30`);
  return good(`${h.padStart(2, '0')}:${m}`);
};

const dayNames = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
const dayOf = (word: string): number => dayNames.findIndex((d) => word.startsWith(d));

/** "all", "weekdays", "Mon-Fri", "Sat Sun". */
function days(cell: string): Cell {
  const said = cell.toLowerCase();
  if (said === 'all' || said === 'weekdays' || said === 'weekend') return good(said);
  const list: string[] = [];
  for (const word of said.split(/[\s,;/+]+/)) {
    const [a = '', b = a] = word.split(/[-–]/);
    const [from, to] = [dayOf(a), dayOf(b)];
    if (from < 0 || to < 0) return bad(`“${cell}” names no days such as weekdays, weekend, Mon-Fri`);
    for (let i = from; ; i = (i + 1) % 7) {
      list.push(dayNames[i] ?? 'mon');
      if (i === to) break;
    }
  }
  return good([...new Set(list)]);
}

/** A tariff by time of the week: from, to, days, price. */
export const readTariffFile = (bytes: Uint8Array): TableReading =>
  readTable(
    bytes,
    [
      { key: 'from', heading: /^from/i, read: timeOfDay },
      { key: 'to', heading: /^(to|until)/i, read: timeOfDay },
      { key: 'days', heading: /^day/i, read: days, optional: true },
      { key: 'price', heading: /^price/i, read: price },
    ],
    'from;to;days;price',
  );

/** A quantity whose unit stands in the cell, or in brackets in its heading. */
const quantity = (cell: string, heading: string): Cell => {
  if (/[a-z³"′']/i.test(cell)) return good(cell);
  const unit = /[[(]([^\])]+)[\])]/.exec(heading)?.[1]?.trim();
  if (unit === undefined) return bad(`“${cell}” has no unit: write it in the heading, such as flow (m³/h)`);
  return number(cell).ok ? good(`${cell} ${unit}`) : bad(`“${cell}” is no number`);
};

const share = (cell: string): Cell => {
  const found = number(cell.replace(/\s*%$/, ''));
  if (!found.ok || typeof found.value !== 'number') return found;
  const value = found.value > 1 || cell.endsWith('%') ? found.value / 100 : found.value;
  return value >= 0 && value < 1 ? good(Number(value.toPrecision(9))) : bad('must lie from 0 to below 100 %');
};

/** A pump's or fan's curve: flow, head or pressure, efficiency. */
export const readCurveFile = (bytes: Uint8Array): TableReading =>
  readTable(
    bytes,
    [
      { key: 'flow', heading: /^(flow|q\b|volume)/i, read: quantity },
      { key: 'head', heading: /^(head|h\b)/i, read: quantity, optional: true },
      { key: 'pressure', heading: /^(pressure|p\b)/i, read: quantity, optional: true },
      { key: 'efficiency', heading: /^(eff|eta|η)/i, read: share },
    ],
    'flow (m³/h);head (m);efficiency (%)',
  );

/** A time as loggers and people write it, in the clock of this machine where it names no other. */
function time(cell: string): Cell {
  for (const format of timeFormats) {
    const read = format.dated ? format.read(cell) : undefined;
    if (!read) continue;
    const clock = new Date(1000 * read.seconds);
    if (read.absolute) return good(clock.toISOString());
    const parts = [clock.getUTCFullYear(), clock.getUTCMonth(), clock.getUTCDate()] as const;
    const here = new Date(...parts, clock.getUTCHours(), clock.getUTCMinutes(), clock.getUTCSeconds());
    return good(here.toISOString());
  }
  const day = /^(\d{4})-(\d\d)-(\d\d)$/.exec(cell);
  return day ? time(`${cell} 12:00`) : bad(`“${cell}” is no date and time such as 2026-11-02 06:40`);
}

const oneOf =
  (values: readonly string[]) =>
  (cell: string): Cell =>
    values.includes(cell.toLowerCase()) ? good(cell.toLowerCase()) : bad(`must be one of ${values.join(', ')}`);

/** A number of a round, in the unit its heading names in brackets, else in the field's own. */
const roundCell =
  (key: ReadingKey) =>
  (cell: string, heading: string): Cell => {
    const unit = /[[(]([^\])]+)[\])]/.exec(heading)?.[1]?.trim() ?? readingFields[key].unit;
    const bare = /[a-zΩ°]/i.test(cell) || unit === '' ? cell : `${cell} ${unit}`;
    const found = readCell(key, bare, readingFields[key].unit);
    return found.ok ? good(found.value) : bad(found.message);
  };

const textOf = (most: number) => (cell: string) => (cell.length > most ? bad('is too long') : good(cell));

/** Rounds of readings: a time, and any of what a round may hold, by its key in the open format. */
export const readRoundsFile = (bytes: Uint8Array): TableReading => {
  const reading = readTable(
    bytes,
    [
      { key: 'at', heading: /^(at|time|date|when)/i, read: time },
      { key: 'by', heading: /^by$/i, read: textOf(200), optional: true },
      { key: 'note', heading: /^note/i, read: textOf(2000), optional: true },
      { key: 'support', heading: /^support/i, read: oneOf(supports), optional: true },
      { key: 'winding', heading: /^winding/i, read: oneOf(insulationKinds), optional: true },
      ...readingKeys.map((key) => ({
        key,
        heading: new RegExp(`^${key}\\b`, 'i'),
        read: roundCell(key),
        optional: true,
      })),
    ],
    'at;current1;current2;current3;temperature (°C);vibration (mm/s)',
  );
  if (!reading.ok) return reading;
  const empty = reading.rows.findIndex(
    (row) => !readingKeys.some((key) => typeof row === 'object' && row !== null && key in row),
  );
  const message = 'holds no reading under a heading that is known, such as current1, temperature (°C)';
  return empty < 0 ? reading : { ok: false, faults: [{ line: empty + 2, column: 1, message }] };
};
