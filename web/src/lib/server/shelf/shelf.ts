import type { nameplate } from '@pilgrim/core';
import type { JSONValue, TransactionSql } from 'postgres';
import type { Sql } from '$lib/server/db/database';
import { refuse } from '$lib/server/refusal';
import type { KeptShelf, SharedShelf } from '$lib/server/solving/worker';
import { combinationsOf } from './combinations';

type Runner = Sql | TransactionSql;
type ShelfEntry = nameplate.ShelfEntry;

/** So many motors a plant's shelf may hold; beyond, judging them would no longer keep up with typing. */
export const shelfLimit = 20_000;

export interface Plant {
  readonly id: string;
  readonly name: string;
  readonly shelfVersion: number;
}

export async function plantsOf(sql: Runner): Promise<Plant[]> {
  return sql<Plant[]>`select id, name, shelf_version as "shelfVersion" from plants order by name`;
}

export async function findPlant(sql: Runner, id: string): Promise<Plant | undefined> {
  const [row] = await sql<Plant[]>`select id, name, shelf_version as "shelfVersion" from plants where id = ${id}`;
  return row;
}

/** The plant a study belongs to, and its position's tag and name. */
export async function plantOfStudy(
  sql: Runner,
  studyId: string,
): Promise<(Plant & { readonly own: readonly string[] }) | undefined> {
  const [row] = await sql<(Plant & { own: string[] })[]>`
    select pl.id, pl.name, pl.shelf_version as "shelfVersion", array[p.tag, p.name] as own
    from studies s join positions p on p.id = s.position_id join areas a on a.id = p.area_id
    join plants pl on pl.id = a.plant_id
    where s.id = ${studyId}`;
  return row;
}

export async function shelfOf(sql: Runner, plantId: string): Promise<ShelfEntry[]> {
  return sql<ShelfEntry[]>`
    select id, name, plate, quantity, place, days, kept_for as "keptFor", price
    from shelf_motors where plant_id = ${plantId} order by name, id`;
}

/** Puts motors on a plant's shelf, all or none. Refused where the shelf would grow beyond its limit. */
export async function addToShelf(
  sql: Sql,
  plantId: string,
  entries: readonly Omit<ShelfEntry, 'id'>[],
): Promise<readonly string[]> {
  return sql.begin(async (tx) => {
    await tx`select id from plants where id = ${plantId} for update`;
    const [{ count } = { count: 0 }] = await tx<
      { count: number }[]
    >`select count(*)::int as count from shelf_motors where plant_id = ${plantId}`;
    if (count + entries.length > shelfLimit)
      throw refuse(409, `A shelf holds ${shelfLimit.toLocaleString('en')} motors at most`, {
        detail:
          `There are ${count.toLocaleString('en')}, and ${entries.length.toLocaleString('en')} ` +
          `more were offered. Nothing was taken.`,
      });
    const ids = entries.map(() => crypto.randomUUID());
    for (let from = 0; from < entries.length; from += 1000) {
      const rows = entries.slice(from, from + 1000).map((e, i) => ({
        id: ids[from + i] ?? crypto.randomUUID(),
        plant_id: plantId,
        name: e.name,
        plate: tx.json(plain(e.plate)),
        quantity: e.quantity,
        place: e.place,
        days: e.days,
        kept_for: e.keptFor,
        price: e.price,
      }));
      await tx`insert into shelf_motors ${tx(rows)}`;
    }
    await shelfChanged(tx, plantId);
    return ids;
  });
}

/** Whether a write on a motor of the shelf was done, came too late, or meant nothing that is there. */
export type ShelfWrite = 'done' | 'outdated' | 'missing';

/** Changes how many there are and where, if the shelf still is at the version the caller saw; undefined parts stay. */
export const changeOnShelf = (
  sql: Sql,
  id: string,
  version: number,
  change: nameplate.ShelfChange,
): Promise<ShelfWrite> =>
  writeOn(
    sql,
    id,
    version,
    (tx) =>
      tx`update shelf_motors set quantity = coalesce(${change.quantity ?? null}, quantity),
        place = coalesce(${change.place ?? null}, place), kept_for = coalesce(${change.keptFor ?? null}, kept_for),
        days = ${change.days === undefined ? tx`days` : change.days} where id = ${id}`,
  );

export const takeOffShelf = (sql: Sql, id: string, version: number): Promise<ShelfWrite> =>
  writeOn(sql, id, version, (tx) => tx`delete from shelf_motors where id = ${id}`);

async function writeOn(
  sql: Sql,
  id: string,
  version: number,
  write: (tx: TransactionSql) => Promise<unknown>,
): Promise<ShelfWrite> {
  return sql.begin(async (tx): Promise<ShelfWrite> => {
    const [plant] = await tx<Plant[]>`
      select p.id, p.name, p.shelf_version as "shelfVersion" from plants p
      join shelf_motors m on m.plant_id = p.id where m.id = ${id} for update of p`;
    if (!plant) return 'missing';
    if (plant.shelfVersion !== version) return 'outdated';
    await write(tx);
    await shelfChanged(tx, plant.id);
    return 'done';
  });
}

/** Counts the shelf's version up: solving threads and browsers read it anew. */
export const shelfChanged = (tx: TransactionSql, plantId: string) =>
  tx`update plants set shelf_version = shelf_version + 1 where id = ${plantId}`;

const shared = new Map<string, SharedShelf>();

/** A plant's shelf as the solving threads read it; made once for each version of it. */
export async function sharedShelf(sql: Runner, plant: Plant): Promise<SharedShelf> {
  const known = shared.get(plant.id);
  if (known?.version === plant.shelfVersion) return known;
  const kept: KeptShelf = { motors: await shelfOf(sql, plant.id), combinations: await combinationsOf(sql, plant.id) };
  const text = Buffer.from(JSON.stringify(kept));
  const json = new SharedArrayBuffer(text.byteLength);
  text.copy(new Uint8Array(json));
  const made = { plant: plant.id, version: plant.shelfVersion, json };
  shared.set(plant.id, made);
  return made;
}

const plain = (value: ShelfEntry['plate']): JSONValue => JSON.parse(JSON.stringify(value));
