import type { Combination } from '@pilgrim/core';
import type { TransactionSql } from 'postgres';
import type { Sql } from '$lib/server/db/database';
import { shelfChanged, type ShelfWrite } from './shelf';

/** A plant's own tables of combinations tested together; none where the one that ships stands. */
export async function combinationsOf(sql: Sql | TransactionSql, plantId: string): Promise<Combination[]> {
  const tables = await sql<{ name: string; rows: Omit<Combination, 'table'>[] }[]>`
    select name, rows from combination_tables where plant_id = ${plantId} order by name`;
  return tables.flatMap(({ name, rows }) => rows.map((row) => ({ table: name, ...row })));
}

/** Keeps a table under its file's name, instead of what stood under that. */
export const putCombinations = (
  sql: Sql,
  plantId: string,
  name: string,
  rows: readonly Omit<Combination, 'table'>[],
): Promise<unknown> =>
  sql.begin(async (tx) => {
    await tx`insert into combination_tables (plant_id, name, rows)
      values (${plantId}, ${name}, ${JSON.stringify(rows)}::text::jsonb)
      on conflict (plant_id, name) do update set rows = excluded.rows`;
    await shelfChanged(tx, plantId);
  });

/** Takes all of a plant's own tables away, if its shelf still is at the version the caller saw. */
export const dropCombinations = (sql: Sql, plantId: string, version: number): Promise<ShelfWrite> =>
  sql.begin(async (tx): Promise<ShelfWrite> => {
    const [plant] = await tx<{ version: number }[]>`
      select shelf_version as version from plants where id = ${plantId} for update`;
    if (!plant) return 'missing';
    if (plant.version !== version) return 'outdated';
    await tx`delete from combination_tables where plant_id = ${plantId}`;
    await shelfChanged(tx, plantId);
    return 'done';
  });
