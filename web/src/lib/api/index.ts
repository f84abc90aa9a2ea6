import type { CaseError, Combination, Kept, MotorReading, nameplate } from '@pilgrim/core';
import { choiceInWords } from '@pilgrim/core/changes';
import type { PlantPage } from '$lib/plant/rows';
import type { DriveOrder, LinkTold } from './drives';
import type { MeterRecord, MeterTold } from './meters';

/** Everything the interface asks of the server, each call with what it answers. */

/** A refusal as the server words it (RFC 9457), or that it did not answer. */
export interface Problem {
  readonly title?: string;
  readonly detail?: string;
  readonly errors?: readonly CaseError[];
  /** The revision in the way, where somebody saved in between. */
  readonly head?: Revision;
}

/** `status` 0: the server did not answer. */
export type Answer<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly status: number; readonly problem: Problem };

/** A revision as the server keeps it. */
export interface Revision {
  readonly id: string;
  readonly caseText: unknown;
  readonly result: Kept;
  readonly coreVersion: string;
  readonly author: string;
  readonly note: string;
  readonly createdAt: string;
}

/** The newest revision as a page brings it: what it answered is solved again here, but for its stations and choice. */
export interface Head extends Omit<Revision, 'result'> {
  readonly stations: Kept['stations'];
  /** In words; null where nothing was chosen. */
  readonly choice: string | null;
}
export function headOf({ result, ...revision }: Revision): Head {
  const { stations, choice } = result;
  return { ...revision, stations, choice: choice && choiceInWords(choice) };
}

/** A revision as the history lists it. */
export interface RevisionListed extends Pick<Head, 'id' | 'author' | 'note' | 'createdAt' | 'coreVersion'> {
  readonly choice: string | null;
}

/** A photograph of a plate as the server lists it. */
export interface PhotographListed {
  readonly id: string;
  readonly name: string;
  readonly width: number;
  readonly height: number;
}

/** What the server read of a list of motors. */
export interface ListTold {
  readonly headings: readonly string[];
  readonly mapping: nameplate.ListMapping;
  readonly missing: readonly string[];
  readonly rows: number;
  readonly good: number;
  readonly bad: number;
  readonly errors: readonly { readonly line: number; readonly column: string; readonly message: string }[];
  readonly sample: readonly (readonly string[])[];
  readonly taken: number;
}

interface Sent {
  readonly method?: 'POST' | 'PATCH' | 'DELETE';
  readonly type?: string;
  readonly body?: BodyInit;
  /** What was last seen of the thing that is changed. */
  readonly match?: string;
}

async function call<T>(path: string, { method, type, body, match }: Sent = {}): Promise<Answer<T>> {
  try {
    const response = await fetch(`/api/v1/${path}`, {
      method,
      body,
      headers: { ...(type && { 'content-type': type }), ...(match !== undefined && { 'if-match': `"${match}"` }) },
    });
    const text = await response.text();
    const value: unknown = text === '' ? null : JSON.parse(text);
    // Taken at the server's word: it is the same build. What it answers is tested over HTTP in e2e.
    if (response.ok) return { ok: true, value: value as T };
    return { ok: false, status: response.status, problem: (value ?? {}) as Problem };
  } catch {
    return { ok: false, status: 0, problem: { title: 'The server did not answer' } };
  }
}

const json = (body: unknown): Pick<Sent, 'type' | 'body'> => ({ type: 'application/json', body: JSON.stringify(body) });

/** A page of the plant list: what is found, sorted and filtered, after a place in it. */
export const listPage = (query: Readonly<Record<string, string>>) =>
  call<PlantPage>(`positions/list?${new URLSearchParams(query).toString()}`);

export const createPosition = (position: { tag: string; name: string; area: string; plant: string }) =>
  call<{ readonly id: string; readonly studyId: string }>('positions', { method: 'POST', ...json(position) });
/** A new position that begins with a case: made and saved once; where the case is refused the position stays, empty. */
export async function startPosition(
  position: Parameters<typeof createPosition>[0],
  first: object,
  author: string,
  note = '',
): Promise<Answer<{ readonly id: string }>> {
  const made = await createPosition(position);
  if (made.ok) await saveRevision(made.value.studyId, null, { case: first, author, note });
  return made;
}
export const importPosition = (file: string) =>
  call<unknown>('positions/import', { method: 'POST', type: 'application/json', body: file });
export const removePosition = (id: string, version: number) =>
  call<unknown>(`positions/${id}`, { method: 'DELETE', match: String(version) });
export const restorePosition = (id: string, version: number) =>
  call<unknown>(`positions/${id}/restore`, { method: 'POST', match: String(version) });
export const readRevision = (id: string) => call<Revision>(`revisions/${id}`);
export const saveRevision = (
  study: string,
  parent: string | null,
  of: { case: object; author: string; note?: string },
) => call<Revision>(`studies/${study}/revisions`, { method: 'POST', match: parent ?? 'none', ...json(of) });

export const keepPhotograph = (position: string, name: string, picture: Blob) =>
  call<PhotographListed>(`positions/${position}/photographs?name=${encodeURIComponent(name)}`, {
    method: 'POST',
    type: 'image/jpeg',
    body: picture,
  });
export const removePhotograph = (id: string) => call<unknown>(`photographs/${id}`, { method: 'DELETE', match: id });

/** A round of readings as the server keeps it. */
export interface RoundKept {
  readonly id: string;
  readonly reading: MotorReading;
}
export const keepReadings = (position: string, readings: object | readonly object[]) =>
  call<{ readonly kept: readonly RoundKept[]; readonly there: number }>(`positions/${position}/readings`, {
    method: 'POST',
    ...json(readings),
  });
export const removeReading = (id: string) => call<unknown>(`readings/${id}`, { method: 'DELETE', match: id });

/** The drive that is watched for a position; null: none. */
export const watchedDrive = (position: string) => call<LinkTold | null>(`positions/${position}/drive`);
/** Starts a stand-in for a case, or watches the drive at an address. */
export const watchDrive = (position: string, what: { case: object } | { address: string }) =>
  call<LinkTold>(`positions/${position}/drive`, { method: 'POST', ...json(what) });
export const orderDrive = (position: string, order: DriveOrder) =>
  call<{ readonly settings: Readonly<Record<string, number>> | null }>(`positions/${position}/drive/orders`, {
    method: 'POST',
    ...json(order),
  });
/** Readings and log as they come: `all` that is kept at first, then `more`. */
export const liveDrive = (position: string): EventSource => new EventSource(`/api/v1/positions/${position}/drive/live`);

/** The meter that is recorded for a position; null: none. */
export const recordedMeter = (position: string) => call<MeterTold | null>(`positions/${position}/meter`);
export const orderMeter = (position: string, order: { do: 'record'; address?: string } | { do: 'stop' }) =>
  call<MeterTold | null>(`positions/${position}/meter`, { method: 'POST', ...json(order) });
export const meterRecord = (position: string, from: Date, to?: Date) => {
  const query = new URLSearchParams({ from: from.toISOString(), ...(to && { to: to.toISOString() }) });
  return call<MeterRecord>(`positions/${position}/meter/record?${query}`);
};
/** A record as a logger's file, as far back as it is kept. */
export const recordAsCsv = (position: string) =>
  asCsv(`positions/${position}/meter/record?from=${new Date(0).toISOString()}`);

export const listShelf = (plant: string) => call<unknown>(`plants/${plant}/shelf`);
/** The plant's own tables of combinations tested together. */
export const listCombinations = (plant: string) => call<readonly Combination[]>(`plants/${plant}/combinations`);
export const dropCombinations = (plant: string, version: number) =>
  call<unknown>(`plants/${plant}/combinations`, { method: 'DELETE', match: String(version) });
export const addToShelf = (plant: string, entry: object) =>
  call<unknown>(`plants/${plant}/shelf`, { method: 'POST', ...json(entry) });
export const changeOnShelf = (id: string, version: number, change: nameplate.ShelfChange) =>
  call<unknown>(`shelf/${id}`, { method: 'PATCH', match: String(version), ...json(change) });
export const takeOffShelf = (id: string, version: number) =>
  call<unknown>(`shelf/${id}`, { method: 'DELETE', match: String(version) });
/** What a list becomes: motors on the shelf, a table of combinations, or positions. */
export type ListTarget = 'shelf' | 'combinations' | 'positions';
export interface ListChoices {
  readonly mapping?: nameplate.ListMapping;
  readonly constants?: nameplate.ListConstants;
}
/** Reads a list; takes its good rows where `take` is set, and says how far it is where that takes time. */
export async function importList(
  plant: string,
  target: ListTarget,
  file: File,
  { mapping, constants }: ListChoices,
  take: boolean,
  progress: (done: number, of: number) => void = () => {},
): Promise<Answer<ListTold>> {
  const query = new URLSearchParams(target === 'combinations' ? { name: file.name } : {});
  if (mapping) query.set('mapping', JSON.stringify(mapping));
  if (constants) query.set('constants', JSON.stringify(constants));
  if (take) query.set('take', 'good');
  const path = `plants/${plant}/${target}/import?${query}`;
  const sent = { method: 'POST', type: file.type || 'text/csv', body: file } as const;
  if (!take || target !== 'positions') return call<ListTold>(path, sent);
  try {
    const response = await fetch(`/api/v1/${path}`, { ...sent, headers: { 'content-type': sent.type } });
    if (!response.ok || !response.body)
      return { ok: false, status: response.status, problem: (await response.json()) as Problem };
    let rest = '';
    const lines = response.body.pipeThrough(new TextDecoderStream()).getReader();
    for (;;) {
      const { done, value } = await lines.read();
      if (done) break;
      const whole = (rest + value).split('\n');
      rest = whole.pop() ?? '';
      for (const line of whole) {
        const told = JSON.parse(line) as ListLine;
        if ('problem' in told) return { ok: false, status: 500, problem: told.problem };
        if ('taken' in told) return { ok: true, value: told };
        progress(told.done, told.of);
      }
    }
    return { ok: false, status: 0, problem: { title: 'The answer broke off: look whether the positions are there' } };
  } catch {
    return { ok: false, status: 0, problem: { title: 'The server did not answer' } };
  }
}
type ListLine = ListTold | { readonly problem: Problem } | { readonly done: number; readonly of: number };

/** The plant's shelf or combinations as a spreadsheet's file; undefined where the server did not answer. */
export const listAsCsv = (plant: string, of: 'shelf' | 'combinations') => asCsv(`plants/${plant}/${of}`);
/** A position's rounds, to be read back. */
export const readingsAsCsv = (position: string) => asCsv(`positions/${position}/readings`);

async function asCsv(path: string): Promise<Blob | undefined> {
  const response = await fetch(`/api/v1/${path}`, { headers: { accept: 'text/csv' } }).catch(() => null);
  return response?.ok ? response.blob() : undefined;
}
