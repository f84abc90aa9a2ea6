import { gzipSync } from 'node:zlib';
import {
  bestFifty,
  boardOf,
  keep,
  nameplate,
  readCase,
  solveWith,
  type Board,
  type CaseError,
  type Combination,
  type Motor,
  type PracticeId,
  type Result,
} from '@pilgrim/core';
import { positionsOncePerTag } from '$lib/server/lists/kinds';
import { readList, type ListReading } from '$lib/server/lists/list';
import { Refusal, type Problem } from '$lib/server/refusal';
import { giveWay } from './background';

giveWay();

/** What a shared shelf's JSON holds; no combinations: those that ship. */
export interface KeptShelf {
  readonly motors: readonly nameplate.ShelfEntry[];
  readonly combinations: readonly Combination[];
}

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

/** A case's motor behind its drive as JSON, to be run in time; null where it cannot be. */
export const driveCase = (task: SolveTask): Solved => solved(task, 1, (_, { driven }) => driven);

function solved(
  { given, from }: SolveTask,
  candidates: number,
  told: (result: Result, all: ReturnType<typeof solveWith>) => unknown,
): Solved {
  const reading = readCase(given);
  if (!reading.ok) return reading;
  const shelf = from && shelfOf(from.shelf, reading.value.practice);
  const motors = from && shelf ? nameplate.spareOf(shelf.motors, from.own) : [];
  const all = solveWith(reading.value, motors, candidates, shelf?.combinations);
  return { ok: true, result: JSON.stringify(told(all.result, all)), core: all.result.core };
}

interface MadeShelf {
  readonly version: number;
  readonly motors: readonly Motor[];
  /** Undefined where the plant has none of its own. */
  readonly combinations: readonly Combination[] | undefined;
}
const made = new Map<string, MadeShelf>();

function shelfOf({ plant, version, json }: SharedShelf, practice: PracticeId): MadeShelf {
  const key = `${plant} ${practice}`;
  const known = made.get(key);
  if (known?.version === version) return known;
  const kept = JSON.parse(Buffer.from(json).toString('utf8')) as KeptShelf;
  const shelf: MadeShelf = {
    version,
    motors: nameplate.shelfMotors(kept.motors, practice).motors,
    combinations: kept.combinations.length > 0 ? kept.combinations : undefined,
  };
  made.set(key, shelf);
  return shelf;
}

/** Positions that hang on one board, each with its case as it is kept. */
export interface BoardTask {
  readonly shelf: SharedShelf;
  readonly members: readonly {
    readonly id: string;
    readonly tag: string;
    readonly name: string;
    readonly given: unknown;
  }[];
}
/** The board added up; a case that cannot be read any more counts as open. */
export function addUpBoard({ shelf, members }: BoardTask): Board {
  const read = members.map(({ given, ...of }) => ({ ...of, reading: readCase(given) }));
  const good = read.flatMap(({ reading, ...of }) => (reading.ok ? [{ ...of, input: reading.value }] : []));
  const practice = good[0]?.input.practice ?? 'iec';
  const board = boardOf(good, shelfOf(shelf, practice).motors);
  return {
    ...board,
    open: [...board.open, ...read.flatMap(({ id, tag, name, reading }) => (reading.ok ? [] : [{ id, tag, name }]))],
  };
}

export interface ListTask {
  readonly bytes: Uint8Array;
  readonly mapping: nameplate.ListMapping | undefined;
  readonly constants: nameplate.ListConstants | undefined;
  /** What it lists; of positions also the tags that are positions already. */
  readonly of: 'shelf' | 'combinations' | { readonly tags: readonly string[] };
}
export type ListRead<T> =
  { readonly ok: true; readonly reading: ListReading<T> } | { readonly ok: false; readonly problem: Problem };

export async function readListOf({ bytes, mapping, constants, of }: ListTask): Promise<ListRead<unknown>> {
  const kind: nameplate.ListKind<unknown> =
    of === 'shelf'
      ? nameplate.shelfList
      : of === 'combinations'
        ? nameplate.combinationList
        : positionsOncePerTag(new Set(of.tags));
  try {
    return { ok: true, reading: await readList(bytes, kind, mapping, constants) };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, problem: error.problem };
    throw error;
  }
}
