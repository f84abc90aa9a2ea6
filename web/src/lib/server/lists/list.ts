import { nameplate } from '@pilgrim/core';
import { parse, type Info } from 'csv-parse';
import { readSheet, type SheetData } from 'read-excel-file/node';
import { delimiterOf, readUtf8 } from '$lib/files/text';
import { refuse } from '$lib/server/refusal';

type ListMapping = nameplate.ListMapping;

export interface ListError {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}

/** What a list holds, before any of it is taken. */
export interface ListReading<T> {
  readonly headings: readonly string[];
  readonly mapping: ListMapping;
  /** Needed columns that are not there; nothing can be taken without them. */
  readonly missing: readonly string[];
  readonly rows: number;
  readonly good: readonly T[];
  readonly bad: number;
  /** The first of them, by line and column. */
  readonly errors: readonly ListError[];
  /** The first rows as they stand. */
  readonly sample: readonly (readonly string[])[];
}

const errorsShown = 200;
const sampleRows = 8;
/** Characters of one row: more is no list of motors, and would be gone through for minutes. */
const recordLimit = 64 * 1024;
/** Rows are read in batches of this many, and others are served between. */
const batch = 500;

interface Row {
  readonly line: number;
  readonly cells: readonly string[];
}

/**
 * Reads a list in CSV (comma, semicolon or tab, UTF-8) or XLSX (its first sheet). Rows that cannot be read are told by
 * line and column. `constants`: what is the same in every row. Refused whole where it is neither, or has no heading.
 */
export async function readList<T>(
  bytes: Uint8Array,
  kind: nameplate.ListKind<T>,
  given: ListMapping | undefined,
  constants: nameplate.ListConstants = {},
): Promise<ListReading<T>> {
  const rows = isZip(bytes) ? rowsOfWorkbook(bytes) : rowsOfCsv(bytes);
  let list: ReturnType<typeof nameplate.withConstants> | undefined;
  let headings: readonly string[] = [];
  let mapping: ListMapping = {};
  let missing: string[] = [];
  const good: T[] = [];
  const errors: ListError[] = [];
  const sample: (readonly string[])[] = [];
  let count = 0;
  let bad = 0;
  for await (const { line, cells } of rows) {
    if (!list) {
      headings = cells;
      mapping = given ?? nameplate.guessMapping(headings, kind.columns);
      list = nameplate.withConstants(headings, mapping, constants, kind.columns);
      missing = nameplate.unmapped(list.mapping, kind.columns);
      continue;
    }
    count++;
    if (sample.length < sampleRows) sample.push(cells);
    if (count % batch === 0) await new Promise((done) => setImmediate(done));
    if (missing.length > 0) continue;
    const filled = [...headings.map((_, i) => cells[i] ?? ''), ...list.cells];
    const found =
      cells.length > headings.length
        ? ({
            ok: false,
            errors: [
              {
                column: `column ${headings.length + 1}`,
                message: `the row has ${cells.length} cells, the heading ${headings.length}`,
              },
            ],
          } as const)
        : kind.read(filled, list.headings, list.mapping);
    if (found.ok) good.push(found.entry);
    else {
      bad++;
      for (const e of found.errors) if (errors.length < errorsShown) errors.push({ line, ...e });
    }
  }
  if (!list)
    throw refuse(422, 'The list cannot be read', { detail: 'It is empty: the first line must name the columns.' });
  return { headings, mapping, missing, rows: count, good, bad, errors, sample };
}

const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3;

async function* rowsOfCsv(bytes: Uint8Array): AsyncGenerator<Row> {
  const text = readUtf8(bytes);
  if (!text.ok) throw refuse(422, 'The list cannot be read', { detail: text.message });
  if (text.text.includes('\0'))
    throw refuse(422, 'The list cannot be read', { detail: 'It holds a NUL character: it is no text.' });
  const parser = parse(text.text, {
    delimiter: delimiterOf(text.text),
    bom: true,
    info: true,
    relax_quotes: true,
    relax_column_count: true,
    skip_empty_lines: true,
    trim: true,
    max_record_size: recordLimit,
  });
  try {
    for await (const item of parser) {
      const { record, info }: { record: string[]; info: Info } = item;
      yield { line: info.lines, cells: record };
    }
  } catch (error) {
    throw refuse(422, 'The list cannot be read', {
      detail: `It is not CSV: ${error instanceof Error ? error.message : 'unreadable'}. Nothing was taken.`,
    });
  }
}

async function* rowsOfWorkbook(bytes: Uint8Array): AsyncGenerator<Row> {
  let sheet: SheetData;
  try {
    sheet = await readSheet(Buffer.from(bytes));
  } catch {
    throw refuse(422, 'The list cannot be read', {
      detail: 'It is no workbook that can be read: save it again as XLSX or CSV UTF-8. Nothing was taken.',
    });
  }
  for (const [i, row] of sheet.entries()) {
    const cells = row.map((c) =>
      c === null ? '' : c instanceof Date ? c.toISOString().slice(0, 10) : String(c).trim(),
    );
    // Empty cells behind the last one are no cells.
    const last = cells.findLastIndex((c) => c !== '');
    if (last >= 0) yield { line: i + 1, cells: cells.slice(0, last + 1) };
  }
}
