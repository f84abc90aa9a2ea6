import { nameplate, physics, presentRatio } from '@pilgrim/core';
import type { FlowControl } from '@pilgrim/core/vocabulary';
import { readNumber } from '@pilgrim/core/quantity';
import { parse } from 'csv-parse/browser/esm/sync';
import { isValid } from 'date-fns/isValid';
import { parse as parseDate } from 'date-fns/parse';
import { delimiterOf, readUtf8 } from './text';

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
  readonly profile: physics.LoggedProfile | null;
}

const formats = [
  "yyyy-MM-dd'T'HH:mm:ss",
  'yyyy-MM-dd HH:mm:ss',
  'yyyy-MM-dd HH:mm',
  'yyyy/MM/dd HH:mm:ss',
  'dd.MM.yyyy HH:mm:ss',
  'dd.MM.yyyy HH:mm',
  'MM/dd/yyyy HH:mm:ss',
  'MM/dd/yyyy HH:mm',
  'HH:mm:ss',
] as const;

const errorsShown = 50;

/** Reads a logger's CSV (time and value) and sorts it into hours a year. Never throws. */
export function readLog(bytes: Uint8Array, question: LogQuestion): LogFile {
  const nothing: LogFile = {
    ok: false,
    message: '',
    headings: [],
    time: 0,
    value: 1,
    rows: 0,
    bad: 0,
    errors: [],
    profile: null,
  };
  const text = readUtf8(bytes);
  if (!text.ok) return { ...nothing, message: text.message };
  let records: string[][];
  try {
    records = parse(text.text, {
      delimiter: delimiterOf(text.text),
      bom: true,
      relax_quotes: true,
      relax_column_count: true,
      skip_empty_lines: true,
      trim: true,
    });
  } catch (error) {
    return { ...nothing, message: `It is not CSV: ${error instanceof Error ? error.message : 'unreadable'}.` };
  }
  const first = records[0];
  if (!first || first.length < 2) return { ...nothing, message: 'A log needs two columns, time and value.' };
  const headed = first.every((cell) => !readNumber(cell).ok && timeOf(cell, undefined) === undefined);
  const headings = headed ? first : first.map((_, i) => `column ${i + 1}`);
  const rows = headed ? records.slice(1) : records;
  const time = question.time ?? guess(headings, /time|date|zeit|datum|stamp/i, 0);
  const value =
    question.value ?? guess(headings, /flow|current|amp|power|kw|value|strom|leistung/i, time === 0 ? 1 : 0);
  const format = formats.find((f) => rows.slice(0, 20).every((r) => timeOf(r[time] ?? '', f) !== undefined));
  const samples: physics.Sample[] = [];
  const errors: { line: number; message: string }[] = [];
  let bad = 0;
  for (const [i, row] of rows.entries()) {
    const at = timeOf(row[time] ?? '', format);
    const number = readNumber(row[value] ?? '');
    if (at !== undefined && number.ok) samples.push({ time: at, value: number.value });
    else {
      bad++;
      const cell = at === undefined ? `“${row[time] ?? ''}” is no time` : `“${row[value] ?? ''}” is no number`;
      if (errors.length < errorsShown) errors.push({ line: i + (headed ? 2 : 1), message: cell });
    }
  }
  const told = { headings, time, value, rows: rows.length, bad, errors };
  const reading = physics.profileFromLog(samples, {
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

const epoch = new Date(2000, 0, 1);

/** Seconds: a plain number, or a date and time in one of the usual ways. */
function timeOf(cell: string, format: string | undefined): number | undefined {
  if (/^\d+([.,]\d+)?$/.test(cell)) {
    const number = readNumber(cell);
    return number.ok ? number.value : undefined;
  }
  const iso = cell.replace(/(\.\d+)?(Z|[+-]\d\d:?\d\d)$/, '');
  for (const f of format ? [format] : formats) {
    const date = parseDate(iso, f, epoch);
    if (isValid(date)) return date.getTime() / 1000;
  }
  return undefined;
}
