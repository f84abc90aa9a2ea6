/**
 * What a new position takes over from one like it: everything but what is of that one motor's own past and what
 * somebody decided there and nowhere else. That a place is not hazardous is never carried; that it is, always.
 */
export function carriedCase(from: Readonly<Record<string, unknown>>, name: string): Record<string, unknown> {
  const kept = Object.fromEntries(Object.entries(from).filter(([part]) => !own.has(part)));
  const place = typeof kept.place === 'object' && kept.place !== null ? { ...kept.place } : undefined;
  if (place && 'hazardous' in place && place.hazardous !== true) Reflect.deleteProperty(place, 'hazardous');
  return { ...kept, ...(place && { place }), name };
}

/** What a revision notes that begins a position as a copy of another, and the other's tag read from it. */
export const copyNote = (tag: string): string => `Copied from ${tag}`;
export const copiedFrom = (note: string | undefined): string | undefined => /^Copied from (.+)$/.exec(note ?? '')?.[1];

/** Parts of a case that belong to its motor or to a decision about it. */
const own: ReadonlySet<string> = new Set(['history', 'measured', 'accepted', 'waived']);

/** What the next position of a plant most likely shares with the last: its practice and its supply. */
export function commonCase(from: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const { format, practice, supply } = from;
  return { format, practice, ...(supply === undefined ? {} : { supply }) };
}
