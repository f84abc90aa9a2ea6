import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import type { Board } from '@pilgrim/core';
import { Piscina } from 'piscina';
import { config } from '$lib/server/db/config';
import type { ListReading } from '$lib/server/lists/list';
import { Refusal, refuse } from '$lib/server/refusal';
import { background } from './background';
import type { BoardTask, ListRead, ListTask, Solved, SolveTask, Zipped } from './worker';

/** A save has a thread of its own: whatever is solved for scripts and lists, a person does not wait behind it. */
export type Lane = 'saves' | 'others';
const threads: Readonly<Record<Lane, number>> = { saves: 1, others: Math.max(1, availableParallelism() - 1) };
/** So many wait for a thread; more are refused at once, not kept waiting. */
const waiting = 200;

const lanes = new Map<Lane, Piscina>();
function laneOf(lane: Lane): Piscina {
  const known = lanes.get(lane);
  if (known) return known;
  const pool = new Piscina({
    filename: resolve(config.solver),
    execArgv: [],
    argv: lane === 'others' ? [background] : [],
    minThreads: 1,
    maxThreads: threads[lane],
    maxQueue: waiting,
    idleTimeout: 30_000,
  });
  lanes.set(lane, pool);
  return pool;
}

async function run<T>(lane: Lane, name: string, task: SolveTask | ListTask | BoardTask): Promise<T> {
  try {
    return (await laneOf(lane).run(task, { name })) as T;
  } catch (error) {
    if (error instanceof Error && error.message === 'Task queue is at limit')
      throw refuse(503, 'Too much is being solved just now; try again in a moment');
    throw error;
  }
}

/** Reads a case and solves it, off the event loop. */
export const solveCase = (task: SolveTask): Promise<Solved> => run('others', 'solveCase', task);
/** The same, compressed. */
export const solveZipped = (task: SolveTask): Promise<Zipped> => run('others', 'solveZipped', task);
/** The same, as a revision keeps it (`pilgrim.kept/1`). */
export const keepCase = (task: SolveTask, lane: Lane): Promise<Solved> => run(lane, 'keepCase', task);

/** The motor behind its drive, to be run in time. */
export const driveCase = (task: SolveTask): Promise<Solved> => run('others', 'driveCase', task);

/** Adds up what hangs on a board, off the event loop. */
export const addUpBoard = (task: BoardTask): Promise<Board> => run('others', 'addUpBoard', task);

/** Reads a list of motors off the event loop; refused as `readList` refuses. */
export async function readListOf<T>(task: ListTask): Promise<ListReading<T>> {
  const read = await run<ListRead<T>>('others', 'readListOf', task);
  if (!read.ok) throw new Refusal(read.problem);
  return read.reading;
}

/** How many are solved at once for a list or an array of cases: one is read in while others are under way. */
export const ahead = threads.others + 1;

/** Cases that between them ask most of what a solve is made of. */
export const warming: readonly unknown[] = [
  {
    format: 'pilgrim.case/1',
    practice: 'iec',
    plate: { power: '11 kW', voltage: '400 V', current: '21.5 A', speed: '1465 rpm', frequency: '50 Hz' },
    load: {
      demand: { kind: 'power', power: '9 kW', speed: '1450 rpm' },
      machine: 'centrifugal-fan',
      inertia: '4 kg m2',
    },
    supply: { voltage: '400 V', frequency: '50 Hz' },
    speed: {
      profile: [
        { hours: 3000, flow: 1 },
        { hours: 3000, flow: 0.6 },
      ],
    },
    money: { energyPrice: 0.14, currency: 'EUR', years: 10 },
  },
  {
    format: 'pilgrim.case/1',
    practice: 'north-america',
    load: { demand: { kind: 'power', power: '20 hp', speed: '1750 rpm' }, machine: 'conveyor' },
    supply: { voltage: '460 V', frequency: '60 Hz' },
  },
];

/** Starts the threads before anybody waits for them; each solves a few cases, as the first takes a second. */
export async function warmPool(): Promise<void> {
  for (let i = 0; i < 6; i++)
    for (const given of warming) await Promise.all([keepCase({ given }, 'saves'), keepCase({ given }, 'others')]);
}

/** Ends the threads, with what they are at. */
export async function closePool(): Promise<void> {
  const open = [...lanes.values()];
  lanes.clear();
  await Promise.all(open.map((pool) => pool.destroy()));
}

/**
 * The answers to many, in their order, `ahead` of them under way at a time. One that fails ends it; what is under way
 * then is not waited for.
 */
export async function* inOrder<T, R>(given: Iterable<T>, ask: (one: T) => Promise<R>): AsyncGenerator<R> {
  const under: Promise<R>[] = [];
  for (const one of given) {
    const asked = ask(one);
    asked.catch(() => {});
    under.push(asked);
    if (under.length >= ahead) {
      const first = await under.shift();
      if (first !== undefined) yield first;
    }
  }
  for (const one of under) yield await one;
}
