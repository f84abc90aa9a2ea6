import { isUpTo } from '../law';
import { cite, model, type Prescribed, type Source } from '../contract';

/**
 * A row of a table: its rating (or the upper end of its band), then the value of each column; null where the table has
 * none.
 */
export type Row<V = number> = readonly [rating: number, ...values: (V | null)[]];

/** A table of a standard, ascending by rating, its columns named and its source beside it. */
export interface Table<C extends string = string, V = number> {
  readonly source: Source;
  readonly columns: readonly C[];
  readonly rows: readonly Row<V>[];
}

export const table = <const C extends string>(
  source: Source,
  columns: readonly C[],
  rows: readonly Row[],
): Table<C> => ({ source, columns, rows });

/** A table whose cells are designations. */
export const tableOfNames = <const C extends string>(
  source: Source,
  columns: readonly C[],
  rows: readonly Row<string>[],
): Table<C, string> => ({ source, columns, rows });

/** One cell of a row; undefined where the table has none. */
export const cell = <C extends string, V>(
  of: Table<C, V>,
  row: Row<V> | undefined,
  column: NoInfer<C>,
): V | undefined => (row?.[of.columns.indexOf(column) + 1] as V | null | undefined) ?? undefined;

/** Whether a table of ratings speaks of one: from its first row to its last (within 1 %). */
export const reachesRating = ({ rows }: Table<string, unknown>, rating: number): boolean =>
  isUpTo(rows[0]?.[0] ?? Infinity, rating) && isUpTo(rating, rows.at(-1)?.[0] ?? 0);

/** Value at the first row whose rating is at least the one asked for; none below the first row or beyond the last. */
export function atRating<C extends string, V>(of: Table<C, V>, rating: number, column: NoInfer<C>): V | undefined {
  return reachesRating(of, rating)
    ? cell(
        of,
        of.rows.find((r) => isUpTo(rating, r[0])),
        column,
      )
    : undefined;
}

/**
 * The same, or outside what the table says in a column what its nearest row does: an estimate, whose source tells that
 * and where the column ends.
 */
export function atNearestRating<C extends string>(
  of: Table<C>,
  rating: number,
  column: NoInfer<C>,
  unit: 'hp' | 'kW' | 'mm',
): (Prescribed<number> & { readonly row: number }) | undefined {
  const filled = { ...of, rows: of.rows.filter((row) => cell(of, row, column) !== undefined) };
  const row = filled.rows.find((r) => isUpTo(rating, r[0])) ?? filled.rows.at(-1);
  const value = cell(of, row, column);
  if (value === undefined || !row) return undefined;
  const inside = reachesRating(filled, rating);
  return { value, row: row[0], source: inside ? of.source : beyond(of.source, row[0], unit) };
}

/** Source of what is taken from a table's end for a rating outside it. */
export const beyond = (of: Source, end: number, unit: string, taken: 'as at' | 'in proportion to' = 'as at'): Source =>
  model('Estimate outside a table', `taken ${taken} ${end} ${unit}, where it ends: ${cite(of)}`);

/** Value of the row of exactly this rating (within 1.1 %); tables do not speak of ratings between their rows. */
export function exactly<C extends string, V>(of: Table<C, V>, rating: number, column: NoInfer<C>): V | undefined {
  return cell(
    of,
    of.rows.find((r) => Math.abs(r[0] / rating - 1) < 0.011),
    column,
  );
}

/** Value of the first band whose upper end reaches the rating; none beyond the last. */
export function atBand<C extends string, V>(of: Table<C, V>, rating: number, column: NoInfer<C>): V | undefined {
  return cell(
    of,
    of.rows.find((r) => rating <= r[0]),
    column,
  );
}

/** What to add to a reason where a value is that of a table's end; nothing inside it. */
export const asAtEnd = (
  of: Table,
  found: { readonly row: number; readonly source: Source } | undefined,
  unit: string,
): string =>
  found === undefined || found.source === of.source ? '' : `, taken as at ${found.row} ${unit}, where it ends`;

/** A value of eight poles: for slower motors, which the tables leave out, an estimate. */
export const asEightPoles = (of: Prescribed<number>, poles: number): Prescribed<number> =>
  poles <= 8
    ? of
    : { value: of.value, source: model('Estimate outside a table', `taken as at eight poles: ${cite(of.source)}`) };

/** What a function makes of a few names, made once for each: only for names out of fixed lists, which bound it. */
export function madeOnce<A extends readonly string[], V>(make: (...names: A) => V): (...names: A) => V {
  const made = new Map<string, V>();
  return (...names) => {
    const key = names.join(' ');
    const there = made.get(key);
    if (there !== undefined) return there;
    const value = make(...names);
    made.set(key, value);
    return value;
  };
}

/** Column for a number of poles in a table of 2, 4 and 6 poles; slower motors read the last. */
export const to6Poles = (poles: number): '2' | '4' | '6' => (poles <= 2 ? '2' : poles <= 4 ? '4' : '6');

/** The same in a table of 4, 6 and 8 poles, whose first column serves two-pole motors too. */
export const from4Poles = (poles: number): '4' | '6' | '8' => (poles <= 4 ? '4' : poles <= 6 ? '6' : '8');

/** The same in a table of 2, 4, 6 and 8 poles. */
export const to8Poles = (poles: number): '2' | '4' | '6' | '8' => (poles <= 2 ? '2' : from4Poles(poles));

/**
 * Highest safe speed in r/min. Eight poles and more, which the standards leave out, in proportion to six; sizes beyond
 * the table as its last: both estimates.
 */
export function safeSpeedOf(
  of: Table<'2' | '4' | '6'>,
  size: number,
  poles: number,
  unit: 'hp' | 'mm',
): Prescribed<number> {
  // The first row of a table of sizes holds for all smaller ones.
  const { value, source } = atNearestRating(of, Math.max(size, of.rows[0]?.[0] ?? 0), to6Poles(poles), unit) ?? {
    value: 0,
    source: of.source,
  };
  return poles > 6
    ? {
        value: (value * 6) / poles,
        source: model('Estimate outside a table', `six poles in proportion: ${cite(source)}`),
      }
    : { value, source };
}
