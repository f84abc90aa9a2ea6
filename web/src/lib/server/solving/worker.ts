import { gzipSync } from 'node:zlib';
import {
  bestFifty,
  keep,
  nameplate,
  readCase,
  solveWith,
  type CaseError,
  type Motor,
  type PracticeId,
  type Result,
} from '@pilgrim/core';
import { positionsOncePerTag } from '$lib/server/lists/kinds';
import { readList, type ListReading } from '$lib/server/lists/list';
import { Refusal, type Problem } from '$lib/server/refusal';
import { giveWay } from './background';

giveWay();

/** A plant's own shelf as JSON, in memory that all threads share: it is read once for each version of it. */
export interface SharedShelf {
  readonly plant: string;
  readonly version: number;
  readonly json: SharedArrayBuffer;
}

export interface SolveTask {
  readonly given: unknown;
  /** The shelf to choose from besides the catalogue, and the position's tag and name: its spares are its own. */
  readonly from?: { readonly shelf: SharedShelf; readonly own: readonly string[] };
}
/** A result as JSON: what passes it on need not read it. */
export type Solved =
  | { readonly ok: true; readonly result: string; readonly core: string }
  | { readonly ok: false; readonly errors: readonly CaseError[] };

export type Zipped =
  { readonly ok: true; readonly gzip: Uint8Array } | { readonly ok: false; readonly errors: readonly CaseError[] };

export const solveCase = (task: SolveTask): Solved => solved(task, bestFifty, (result) => result);
/** The same as a gzip file: packing it takes as long as solving it, and this thread is the one that gives way. */
export function solveZipped(task: SolveTask): Zipped {
  const answer = solveCase(task);
  return answer.ok ? { ok: true, gzip: gzipSync(answer.result) } : answer;
}
/** The same, as a revision keeps it: of the candidates only the first, which is the choice. */
export const keepCase = (task: SolveTask): Solved => solved(task, 1, keep);

function solved({ given, from }: SolveTask, candidates: number, told: (result: Result) => unknown): Solved {
  const reading = readCase(given);
  if (!reading.ok) return reading;
  const shelf = from ? nameplate.spareOf(motorsOf(from.shelf, reading.value.practice), from.own) : [];
  const { result } = solveWith(reading.value, shelf, candidates);
  return { ok: true, result: JSON.stringify(told(result)), core: result.core };
}

const made = new Map<string, { readonly version: number; readonly motors: readonly Motor[] }>();

function motorsOf({ plant, version, json }: SharedShelf, practice: PracticeId): readonly Motor[] {
  const key = `${plant} ${practice}`;
  const known = made.get(key);
  if (known?.version === version) return known.motors;
  const entries = JSON.parse(Buffer.from(json).toString('utf8')) as nameplate.ShelfEntry[];
  const { motors } = nameplate.shelfMotors(entries, practice);
  made.set(key, { version, motors });
  return motors;
}

export interface ListTask {
  readonly bytes: Uint8Array;
  readonly mapping: nameplate.ListMapping | undefined;
  readonly constants: nameplate.ListConstants | undefined;
  /** Tags that are positions already, where it is a list of positions; undefined: a list for the shelf. */
  readonly tags: readonly string[] | undefined;
}
export type ListRead<T> =
  { readonly ok: true; readonly reading: ListReading<T> } | { readonly ok: false; readonly problem: Problem };

export async function readListOf({ bytes, mapping, constants, tags }: ListTask): Promise<ListRead<unknown>> {
  const kind: nameplate.ListKind<unknown> = tags ? positionsOncePerTag(new Set(tags)) : nameplate.shelfList;
  try {
    return { ok: true, reading: await readList(bytes, kind, mapping, constants) };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problem: error.problem };
    throw error;
  }
}
