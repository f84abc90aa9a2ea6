import type { Sql } from '$lib/server/db/database';
import type { Address } from '$lib/server/drives/polled';

/** Keeps which meter a position records, for when the server starts again. A stand-in's ends with the server. */
export async function keepLink(sql: Sql, position: string, { host, port, unit }: Address): Promise<void> {
  await sql`
    insert into meter_links (position_id, host, port, unit) values (${position}, ${host}, ${port}, ${unit})
    on conflict (position_id) do update set host = ${host}, port = ${port}, unit = ${unit}`;
}

export async function dropLink(sql: Sql, position: string): Promise<void> {
  await sql`delete from meter_links where position_id = ${position}`;
}

/** The meters that were recorded, of positions that are still there. */
export const linksOf = (sql: Sql) =>
  sql<({ readonly position: string } & Address)[]>`
    select l.position_id as position, l.host, l.port, l.unit
    from meter_links l join positions p on p.id = l.position_id
    where p.deleted_at is null order by p.tag, l.position_id`;
