import { commonCase } from '@pilgrim/core/carry';

const key = 'pilgrim.common';

/** Keeps what the next position most likely shares with this one: practice and supply. */
export function keepCommon(from: Readonly<Record<string, unknown>>): void {
  try {
    localStorage.setItem(key, JSON.stringify(commonCase(from)));
  } catch {
    // A browser that keeps nothing asks again.
  }
}

/** What was kept of the last position saved on this machine; undefined where nothing was. */
export function lastCommon(): Readonly<Record<string, unknown>> | undefined {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
    return typeof kept === 'object' && kept !== null ? { ...kept } : undefined;
  } catch {
    return undefined;
  }
}

const authorKey = 'pilgrim.author';

/** Who saves where nobody said who. */
export const unnamed = 'unnamed';

/** Who saves here: said once on this machine. */
export const author = (): string => localStorage.getItem(authorKey) ?? unnamed;
export const setAuthor = (name: string): void =>
  name.trim() === '' ? localStorage.removeItem(authorKey) : localStorage.setItem(authorKey, name.trim());
