import { isUpTo } from '../law';
import type { Source } from '../contract';

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

/** Value at the first row whose rating is at least the one asked for (within 1 %); the last row beyond. */
export function atRating<C extends string, V>(of: Table<C, V>, rating: number, column: NoInfer<C>): V | undefined {
  return cell(of, of.rows.find((r) => isUpTo(rating, r[0])) ?? of.rows.at(-1), column);
}

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

/** Highest safe speed in r/min; eight poles and more, which the standards leave out: in proportion to six. */
export function safeSpeedOf(of: Table<'2' | '4' | '6'>, size: number, poles: number): number {
  const value = atRating(of, size, to6Poles(poles)) ?? 0;
  return poles > 6 ? (value * 6) / poles : value;
}
