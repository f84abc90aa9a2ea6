import type { Finding } from '@pilgrim/core';
import type { Desk } from './desk.svelte';
import type { Json } from './paths';

/** Something the engineer let stand, for the values of its fields at the time. */
interface Accepted {
  readonly finding: string;
  readonly values?: Readonly<Record<string, string>>;
  readonly reason: string;
}

function acceptedOf(desk: Desk): readonly Accepted[] {
  const list = desk.value('accepted');
  return Array.isArray(list) ? (list as unknown as Accepted[]) : [];
}

const same = (a: Accepted, f: Finding): boolean =>
  a.finding === f.id && Object.keys(a.values ?? {}).every((path) => f.fields.includes(path));

const put = (desk: Desk, list: readonly Accepted[]): void =>
  desk.set('accepted', list.length > 0 ? (list as unknown as Json) : undefined);

/** A value of the case as it was written; what is no single value is not compared. */
const written = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : '';

/** Lets a doubt or a caution stand for the values it rests on now; when one of them changes it is back. */
export function accept(desk: Desk, f: Finding, reason: string): void {
  if (reason.trim() === '') return;
  const values = Object.fromEntries(f.fields.map((path) => [path, written(desk.value(path))]));
  put(desk, [...acceptedOf(desk).filter((a) => !same(a, f)), { finding: f.id, values, reason: reason.trim() }]);
}

/** Takes that back. */
export const doubtAgain = (desk: Desk, f: Finding): void =>
  put(
    desk,
    acceptedOf(desk).filter((a) => !same(a, f)),
  );
