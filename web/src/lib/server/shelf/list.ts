import { nameplate } from '@pilgrim/core';
import { parse } from 'csv-parse';
import { parse as parseAtOnce } from 'csv-parse/sync';
import { delimiterOf, readUtf8 } from '$lib/files/text';
import { refuse } from '$lib/server/refusal';

type ListMapping = nameplate.ListMapping;
type Entry = Omit<nameplate.ShelfEntry, 'id'>;

export interface ListError {
  readonly line: number;
  readonly column: string;
  readonly message: string;
}

/** What a list of motors holds, before any of it is taken. */
export interface ListReading {
  readonly headings: readonly string[];
  readonly mapping: ListMapping;
  /** Needed columns that are not there; nothing can be taken without them. */
  readonly missing: readonly string[];
  readonly rows: number;
  readonly good: readonly Entry[];
  readonly bad: number;
  /** The first of them, by line and column. */
  readonly errors: readonly ListError[];
}

const errorsShown = 200;
/** Rows are read in batches of this many, and others are served between. */
const batch = 500;

/**
 * Reads a list of motors in CSV: comma, semicolon or tab, UTF-8. Rows that cannot be read are told by line and column.
 * Refused whole
 * where it is not UTF-8, not CSV, or has no heading.
 */
export async function readMotorList(bytes: Uint8Array, given: ListMapping | undefined): Promise<ListReading> {
  const text = readUtf8(bytes);
  if (!text.ok) throw refuse(422, 'The list cannot be read', { detail: text.message });
  const delimiter = delimiterOf(text.text);
  let headings: string[] | undefined;
  let mapping: ListMapping = {};
  let missing: string[] = [];
  const good: Entry[] = [];
  const errors: ListError[] = [];
  let rows = 0;
  let bad = 0;
  const parser = parse(text.text, {
    delimiter,
    bom: true,
    info: true,
    relax_quotes: true,
    relax_column_count: true,
    skip_empty_lines: true,
    trim: true,
  });
  try {
    for await (const item of parser) {
      const { record, info }: { record: string[]; info: { lines: number } } = item;
      if (!headings) {
        headings = record;
        mapping = given ?? nameplate.guessMapping(headings);
        missing = nameplate.unmapped(mapping);
        continue;
      }
      rows++;
      if (rows % batch === 0) await new Promise((done) => setImmediate(done));
      if (missing.length > 0) continue;
      const found =
        record.length > headings.length
          ? ({
              ok: false,
              errors: [
                {
                  column: `column ${headings.length + 1}`,
                  message: `the row has ${record.length} cells, the heading ${headings.length}`,
                },
              ],
            } as const)
          : nameplate.readListRow(record, headings, mapping);
      if (found.ok) good.push(found.entry);
      else {
        bad++;
        for (const e of found.errors) if (errors.length < errorsShown) errors.push({ line: info.lines, ...e });
      }
    }
  } catch (error) {
    throw refuse(422, 'The list cannot be read', {
      detail: `It is not CSV: ${error instanceof Error ? error.message : 'unreadable'}. Nothing was taken.`,
    });
  }
  if (!headings)
    throw refuse(422, 'The list cannot be read', { detail: 'It is empty: the first line must name the columns.' });
  return { headings, mapping, missing, rows, good, bad, errors };
}

/** The first rows of a list as they stand, for a preview. */
export function firstRows(bytes: Uint8Array, count: number): string[][] {
  const text = readUtf8(bytes);
  if (!text.ok) return [];
  return parseAtOnce(text.text, {
    delimiter: delimiterOf(text.text),
    bom: true,
    relax_quotes: true,
    relax_column_count: true,
    skip_empty_lines: true,
    trim: true,
    to: count + 1,
  }).slice(1);
}
