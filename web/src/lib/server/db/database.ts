import Postgrator from 'postgrator';
import postgres from 'postgres';
import { config } from './config';
import { makeLean } from '$lib/server/positions/positions';
import { loadDemo } from '$lib/server/seed/demo';

export type Sql = postgres.Sql;

let ready: Promise<Sql> | undefined;

/** The database, migrated and never empty: the demo plant is loaded into a new one. One attempt serves all callers. */
export function database(): Promise<Sql> {
  ready ??= open(config.databaseUrl).catch((error: unknown) => {
    ready = undefined;
    throw error;
  });
  return ready;
}

let prepared = false;
async function open(url: string): Promise<Sql> {
  const sql = connect(url);
  try {
    if (!prepared) {
      await migrate(sql, config.migrations);
      await makeLean(sql);
      await loadDemo(sql, config.demo);
    }
  } catch (error) {
    void sql.end({ timeout: 0 }).catch(() => {});
    throw error;
  }
  prepared = true;
  return sql;
}

export const connect = (url: string): Sql =>
  postgres(url, { max: 8, idle_timeout: 60, connect_timeout: 5, onnotice: () => {} });

/**
 * Gives up every connection and begins anew with the next request. A connection that died with a write queued keeps
 * that write, and would never send another (postgres 3.4.9): after a loss none of the old ones is trusted.
 */
export function renew(): void {
  const old = ready;
  ready = undefined;
  void old?.then((sql) => sql.end({ timeout: 0 })).catch(() => {});
}

/** Lets go of the database for good, once what is under way has ended. */
export async function closeDatabase(): Promise<void> {
  const old = ready;
  ready = undefined;
  await old?.then((sql) => sql.end({ timeout: 3 })).catch(() => {});
}

/** Brings the schema up to date; one migrator at a time, under an advisory lock. */
export async function migrate(sql: Sql, folder: string): Promise<void> {
  const connection = await sql.reserve();
  try {
    await connection`select pg_advisory_lock(4180)`;
    const postgrator = new Postgrator({
      driver: 'pg',
      schemaTable: 'schema_version',
      migrationPattern: `${folder}/*`,
      validateChecksums: true,
      execQuery: async (query) => ({ rows: [...(await connection.unsafe(query))] }),
      // A migration of several statements runs as one simple query, and so in one transaction.
      execSqlScript: async (script) => {
        await connection.unsafe(script).simple();
      },
    });
    await postgrator.migrate();
  } finally {
    await connection`select pg_advisory_unlock(4180)`;
    connection.release();
  }
}
