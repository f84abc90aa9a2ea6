import { nameplate, physics, presentRatio } from '@pilgrim/core';
import type { FlowControl } from '@pilgrim/core/vocabulary';
import { readNumber } from '@pilgrim/core/quantity';
import { parse } from 'csv-parse/browser/esm/sync';
import { delimiterOf, readUtf8 } from './text';
import { timeFormats, type TimeFormat } from './times';

/** How a logger's file is to be understood. */
export interface LogQuestion {
  /** Columns of time and value, counted from 0; guessed where left out. */
  readonly time?: number;
  readonly value?: number;
  readonly kind: 'flow' | 'current' | 'power';
  readonly full?: number;
  readonly control: FlowControl;
  /** Of the motor, for a log of current. */
  readonly poles: number;
}

export interface LogFile {
  readonly ok: boolean;
  /** Why nothing could be made of it. */
  readonly message: string;
  readonly headings: readonly string[];
  readonly time: number;
  readonly value: number;
  readonly rows: number;
  /** Lines that could not be read, the first of them told. */
  readonly bad: number;
  readonly errors: readonly { readonly line: number; readonly message: string }[];
  /** What was done to its clock; null where it needed nothing. */
  readonly clock: physics.ClockSettled | null;
  readonly profile: physics.LoggedProfile | null;
}

const errorsShown = 50;

const nothing: LogFile = {
  ...{ ok: false, message: '', headings: [], time: 0, value: 1, rows: 0, bad: 0, errors: [] },
  ...{ clock: null, profile: null },
};

/** Lines of a file and their cells. */
interface Rows {
  readonly count: number;
  /** Line of the file, counted from 1. */
  readonly line: (row: number) => number;
  readonly cell: (row: number, column: number) => string;
  readonly width: (row: number) => number;
}

/**
 * A file without quotes is cut where it is looked at: a million lines made into cells would take longer than all that
 * is made of them. With quotes it is read whole.
 */
function rowsOf(text: string): Rows {
  const delimiter = delimiterOf(text);
  if (text.includes('"')) {
    const records = parse(text, {
      ...{ delimiter, bom: true, relax_quotes: true, relax_column_count: true, skip_empty_lines: true, trim: true },
    });
    return {
      count: records.length,
      line: (row) => row + 1,
      cell: (row, column) => records[row]?.[column] ?? '',
      width: (row) => records[row]?.length ?? 0,
    };
  }
  const [starts, lines]: [number[], number[]] = [[], []];
  for (let from = text.startsWith('\uFEFF') ? 1 : 0, line = 1; from < text.length; line++) {
    const end = text.indexOf('\n', from);
    const to = end < 0 ? text.length : end;
    if (to > from && !(to === from + 1 && text.charCodeAt(from) === 13)) {
      starts.push(from);
      lines.push(line);
    }
    from = to + 1;
  }
  const endOf = (row: number): number => {
    const end = text.indexOf('\n', starts[row] ?? 0);
    return end < 0 ? text.length : end;
  };
  return {
    count: starts.length,
    line: (row) => lines[row] ?? row + 1,
    cell(row, column) {
      const end = endOf(row);
      let from = starts[row] ?? 0;
      for (let k = 0; k < column; k++) {
        const next = text.indexOf(delimiter, from);
        if (next < 0 || next >= end) return '';
        from = next + 1;
      }
      const to = text.indexOf(delimiter, from);
      return text.slice(from, to < 0 || to > end ? end : to).trim();
    },
    width: (row) => text.slice(starts[row] ?? 0, endOf(row)).split(delimiter).length,
  };
}

const numberIn = (cell: string): number => {
  const quick = cell === '' ? NaN : Number(cell);
  if (Number.isFinite(quick)) return quick;
  const read = readNumber(cell);
  return read.ok ? read.value : NaN;
};

/** Rows from which the way times are written is taken. */
const looked = 200;

/** Reads a logger's CSV (time and value) and sorts it into hours a year. Never throws. */
export function readLog(bytes: Uint8Array, question: LogQuestion): LogFile {
  const text = readUtf8(bytes);
  if (!text.ok) return { ...nothing, message: text.message };
  let rows: Rows;
  try {
    rows = rowsOf(text.text);
  } catch (error) {
    return { ...nothing, message: `It is not CSV: ${error instanceof Error ? error.message : 'unreadable'}.` };
  }
  const width = rows.count > 0 ? rows.width(0) : 0;
  if (width < 2) return { ...nothing, message: 'A log needs two columns, time and value.' };
  const first = Array.from({ length: width }, (_, column) => rows.cell(0, column));
  const isTime = (cell: string): boolean => timeFormats.some((f) => f.read(cell) !== undefined);
  const headed = first.every((cell) => Number.isNaN(numberIn(cell)) && !isTime(cell));
  const headings = headed ? first : first.map((_, i) => `column ${i + 1}`);
  const begin = headed ? 1 : 0;
  const count = rows.count - begin;
  const time = question.time ?? guess(headings, /time|date|zeit|datum|stamp/i, 0);
  const value =
    question.value ?? guess(headings, /flow|current|amp|power|kw|value|strom|leistung/i, time === 0 ? 1 : 0);
  const every = Math.max(1, Math.floor(count / looked));
  const sample = Array.from({ length: Math.ceil(count / every) }, (_, i) => rows.cell(begin + i * every, time));
  const readable = (f: TimeFormat): number => sample.filter((cell) => f.read(cell) !== undefined).length;
  const [format] = timeFormats.toSorted((a, b) => readable(b) - readable(a));
  const [times, values] = [new Float64Array(count), new Float64Array(count)];
  const errors: { line: number; message: string }[] = [];
  let [taken, bad, absolute] = [0, 0, true];
  for (let i = 0; i < count; i++) {
    const cell = rows.cell(begin + i, time);
    const at = format?.read(cell);
    const number = at === undefined ? NaN : numberIn(rows.cell(begin + i, value));
    if (at !== undefined && !Number.isNaN(number)) {
      times[taken] = at.seconds;
      values[taken] = number;
      absolute &&= at.absolute;
      taken++;
      continue;
    }
    bad++;
    if (errors.length >= errorsShown) continue;
    const why = at === undefined ? `“${cell}” is no time` : `“${rows.cell(begin + i, value)}” is no number`;
    errors.push({ line: rows.line(begin + i), message: why });
  }
  const read: physics.Series = { times: times.subarray(0, taken), values: values.subarray(0, taken) };
  // A clock that the file sets by universal time needs no setting.
  const clock = absolute ? null : physics.settleClock(read.times, format?.dated ?? true);
  const told = { headings, time, value, rows: count, bad, errors, clock };
  const reading = physics.profileFromLog(physics.inOrder(read), {
    ...question,
    magnetising: nameplate.noLoadShare(question.poles),
    presentRatio,
  });
  return reading.ok
    ? { ok: true, message: '', ...told, profile: reading.profile }
    : { ok: false, message: reading.message, ...told, profile: null };
}

const guess = (headings: readonly string[], like: RegExp, otherwise: number): number => {
  const found = headings.findIndex((h) => like.test(h));
  return found < 0 ? otherwise : found;
};
