import type { TransactionSql } from 'postgres';
import type { Sql } from '$lib/server/db/database';
import type { CleanImage } from './image';

type Runner = Sql | TransactionSql;

/** A photograph of a plate, without its content. */
export interface Photograph {
  readonly id: string;
  readonly name: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly createdAt: Date;
}

/** Largest photograph taken, and how many a position keeps. */
export const photographLimit = 12 * 1024 * 1024;
export const photographsPerPosition = 12;

const columns = (sql: Runner) => sql`id, name, type, width, height, created_at as "createdAt"`;

export async function photographsOf(sql: Runner, positionId: string): Promise<Photograph[]> {
  return sql<
    Photograph[]
  >`select ${columns(sql)} from photographs where position_id = ${positionId} order by created_at, id`;
}

/** Keeps a photograph, unless the position has as many as it may; undefined then. */
export async function keepPhotograph(
  sql: Sql,
  positionId: string,
  name: string,
  image: CleanImage,
): Promise<Photograph | undefined> {
  return sql.begin(async (tx) => {
    await tx`select id from positions where id = ${positionId} for update`;
    const [{ count } = { count: 0 }] = await tx<
      { count: number }[]
    >`select count(*)::int as count from photographs where position_id = ${positionId}`;
    if (count >= photographsPerPosition) return undefined;
    return insertPhotograph(tx, positionId, { id: crypto.randomUUID(), name, createdAt: new Date() }, image);
  });
}

export async function insertPhotograph(
  tx: TransactionSql,
  positionId: string,
  { id, name, createdAt }: Pick<Photograph, 'id' | 'name' | 'createdAt'>,
  { type, width, height, content }: CleanImage,
): Promise<Photograph | undefined> {
  const [row] = await tx<Photograph[]>`
    insert into photographs (id, position_id, name, type, width, height, content, created_at)
    values (${id}, ${positionId}, ${name}, ${type}, ${width}, ${height}, ${content}, ${createdAt})
    on conflict (id) do nothing
    returning ${columns(tx)}`;
  return row;
}

export async function photographContent(
  sql: Runner,
  id: string,
): Promise<{ readonly type: string; readonly content: Buffer } | undefined> {
  const [row] = await sql<{ type: string; content: Buffer }[]>`select type, content from photographs where id = ${id}`;
  return row;
}

export async function dropPhotograph(sql: Sql, id: string): Promise<boolean> {
  return (await sql`delete from photographs where id = ${id}`).count === 1;
}
