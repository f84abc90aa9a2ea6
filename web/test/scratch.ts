import { fileURLToPath } from 'node:url';
import { connect, migrate, type Sql } from '$lib/server/db/database';

/** A database of a test's own, migrated and empty; `drop` takes it away. */
export async function scratchDatabase(): Promise<{ readonly sql: Sql; readonly drop: () => Promise<void> }> {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set: run ./pilgrim test');
  const name = `test_${crypto.randomUUID().replaceAll('-', '')}`;
  const admin = connect(url);
  await admin.unsafe(`create database ${name}`);
  const sql = connect(url.replace(/\/[^/]*$/, `/${name}`));
  await migrate(sql, fileURLToPath(new URL('../../db/migrations', import.meta.url)));
  return {
    sql,
    drop: async () => {
      await sql.end();
      await admin.unsafe(`drop database ${name}`);
      await admin.end();
    },
  };
}
