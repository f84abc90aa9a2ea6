import type { MotorReading } from '@pilgrim/core';
import type { JSONValue, TransactionSql } from 'postgres';
import type { Sql } from '$lib/server/db/database';
import { refuse } from '$lib/server/refusal';

/** A round as it is kept. */
export interface Round {
  readonly id: string;
  readonly reading: MotorReading;
}

/** Rounds a position keeps: one a day for a working life. */
export const roundsPerPosition = 15_000;

/** A position's rounds, oldest first. */
export async function roundsOf(sql: Sql | TransactionSql, positionId: string): Promise<Round[]> {
  return sql<Round[]>`select id, reading from rounds where position_id = ${positionId} order by at`;
}

/** Keeps rounds; one of a time that is there already is left as it is. Gives those that were kept. */
export async function keepRounds(sql: Sql, positionId: string, readings: readonly MotorReading[]): Promise<Round[]> {
  return sql.begin(async (tx) => {
    await tx`select id from positions where id = ${positionId} for update`;
    const [{ count } = { count: 0 }] = await tx<
      { count: number }[]
    >`select count(*)::int as count from rounds where position_id = ${positionId}`;
    if (count + readings.length > roundsPerPosition)
      throw refuse(409, `A position keeps ${roundsPerPosition} rounds: export the old ones and drop some first`);
    return insertRounds(
      tx,
      positionId,
      readings.map((reading) => ({ id: crypto.randomUUID(), reading })),
    );
  });
}

export async function insertRounds(tx: TransactionSql, positionId: string, rounds: readonly Round[]): Promise<Round[]> {
  if (rounds.length === 0) return [];
  const rows = rounds.map(({ id, reading }) => ({ id, at: reading.at, reading }));
  const kept = await tx<{ id: string }[]>`
    insert into rounds (id, position_id, at, reading)
    select id, ${positionId}, at, reading
    from jsonb_to_recordset(${tx.json(rows as unknown as JSONValue)}) as given (id uuid, at timestamptz, reading jsonb)
    on conflict do nothing
    returning id`;
  const ids = new Set(kept.map((k) => k.id));
  return rounds.filter((r) => ids.has(r.id));
}

export async function dropRound(sql: Sql, id: string): Promise<boolean> {
  return (await sql`delete from rounds where id = ${id}`).count === 1;
}
