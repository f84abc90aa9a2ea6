import type { Problem } from '$lib/server/refusal';

/**
 * What the driver and PostgreSQL call a database that is not there just now: a connection that closed, was refused or
 * did not come about; a server that shuts down, crashed or still recovers (SQLSTATE 57P01 to 57P03, class 08), or has
 * no connection left (53300).
 */
const codes =
  /^(CONNECTION_(CLOSED|ENDED|DESTROYED)|CONNECT_TIMEOUT|E(CONNREFUSED|CONNRESET|PIPE)|57P0[123]|08\w{3}|53300)$/;

const broken = /^E(CONNRESET|PIPE)$/;

/** Whether an error says that the database is not there just now, and not that something was wrong with the request. */
export function isLost(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const code: unknown = Reflect.get(error, 'code');
  if (typeof code !== 'string' || !codes.test(code)) return isLateWrite(error);
  // A sender that breaks off its own request is reset too, but by no system call of ours.
  return !broken.test(code) || 'syscall' in error;
}

/**
 * The driver's own slip: a write that was queued when its connection died is tried on no socket, outside of any promise
 * (postgres 3.4.9, `nextWrite`). The query itself is refused elsewhere.
 */
export const isLateWrite = (error: unknown): boolean =>
  error instanceof TypeError && error.message.includes("reading 'write'") && /nextWrite/.test(error.stack ?? '');

/**
 * What the database or the system calls a disk that takes no more: full (SQLSTATE 53100, ENOSPC, EDQUOT), read-only
 * (25006, EROFS), or out of order (58030).
 */
const disk = /^(53100|58030|25006|ENOSPC|EDQUOT|EROFS)$/;

/** Why nothing can be saved just now, where it is the disk's fault; undefined for any other error. */
export function diskProblem(error: unknown): Problem | undefined {
  const code: unknown = error instanceof Error ? Reflect.get(error, 'code') : undefined;
  if (typeof code !== 'string' || !disk.test(code)) return undefined;
  const why =
    code === '25006' || code === 'EROFS' ? 'is read-only' : code === '58030' ? 'cannot be read or written' : 'is full';
  return {
    status: 507,
    title: `The disk of the database ${why}: nothing was saved`,
    detail: 'What is typed is kept in this browser. Whoever looks after this machine must make room, then try again.',
  };
}

export const lostProblem: Problem = {
  status: 503,
  title: 'The database is not there just now; try again in a moment',
};
export const lostHeaders = { 'retry-after': '2' };
