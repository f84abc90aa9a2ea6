import { constants, setPriority } from 'node:os';

/** Said to a thread that is to give way to saves, pages and the database. */
export const background = 'background';

/**
 * A thread that was told so gives way. Linux has a priority for each thread; elsewhere it would be the whole
 * server's.
 */
export function giveWay(): void {
  if (process.argv.includes(background) && process.platform === 'linux') setPriority(constants.priority.PRIORITY_LOW);
}
