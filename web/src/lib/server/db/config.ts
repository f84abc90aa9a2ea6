/** What the server is told by its surroundings. ./pilgrim sets all of it. */
export const config = {
  databaseUrl: process.env.DATABASE_URL ?? '',
  demo: process.env.PILGRIM_DEMO ?? '../demo',
  migrations: process.env.PILGRIM_MIGRATIONS ?? '../db/migrations',
  /** The threads' program, made by tools/bundle.mjs. */
  solver: process.env.PILGRIM_SOLVER ?? '../dist/solver.mjs',
  host: process.env.HOST ?? '127.0.0.1',
  port: process.env.PORT ?? '4180',
};
