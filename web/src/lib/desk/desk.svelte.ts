import type { CaseError, Figure, Result } from '@pilgrim/core';
import { copiedFrom } from '@pilgrim/core/carry';
import { changesBetween, choiceInWords, isSame, type Changes } from '@pilgrim/core/changes';
import { restingOn, stations, worstFirst, type StationName } from '@pilgrim/core/vocabulary';
import { applyPatches, enablePatches, produceWithPatches, type Patch } from 'immer';
import { getContext, setContext } from 'svelte';
import {
  headOf,
  listCombinations,
  listShelf,
  readRevision,
  saveRevision,
  type Head,
  type Problem,
  type Revision,
} from '$lib/api';
import { bringShelf, LatestSolver, type DraftAnswer } from '$lib/solver';
import { fieldName } from '$lib/ui/names';
import { author, keepCommon } from './carried';
import { dropDraft, readStoredDraft, storeDraft } from './drafts';
import { putAt, valueAt, type Json } from './paths';

enablePatches();

/** ms that the own shelf may take, before what was saved is shown without it. */
const shelfWait = 3000;
const otherShelf = 'The server chose otherwise: the own shelf has changed. Reload to see it.';

type CaseDraft = { readonly [key: string]: Json };

interface Step {
  readonly path: string;
  /** What it changed, in words: what undo takes back. */
  readonly called: string;
  readonly undo: Patch[];
  readonly redo: Patch[];
}

export type SaveState = 'saved' | 'edited' | 'saving' | 'failed';

/** One position being worked on: the case as typed, its newest result, what is wrong, undo, draft and save. */
export class Desk {
  case: CaseDraft = $state.raw({});
  result: Result | null = $state.raw(null);
  /** Counts the worker's answers: what asks it for more (rows, comparisons) asks again when this changes. */
  answers = $state(0);
  errors: readonly CaseError[] = $state.raw([]);
  /** Until what was saved has been solved again, with the own shelf: a choice of the catalogue alone would flip. */
  opening = $state(true);
  /** What this core and today's shelf answer otherwise than the revision says that stands on the desk. */
  program: Changes | null = $state.raw(null);
  parent: string | null = $state(null);
  /** The revision last read or saved here. */
  head: Head | null = $state.raw(null);
  state: SaveState = $state('saved');
  message = $state('');
  /** Somebody else's revision that stands in the way of a save. */
  conflict: Revision | null = $state.raw(null);
  /** The figure whose working the ledger shows. */
  working: string | null = $state(null);
  /** The answer before the last edit, and what that edit changed. */
  since: { readonly result: Result | null; readonly called: string } | null = $state.raw(null);

  #past: readonly Step[] = $state.raw([]);
  #future: readonly Step[] = $state.raw([]);
  #store: ReturnType<typeof setTimeout> | undefined;
  readonly #solver = new LatestSolver((answer) => {
    if (this.opening) this.#opened(answer);
    else {
      this.errors = answer.errors;
      if (answer.result) this.result = settled(this.result, answer.result, this.waiting);
      this.answers++;
    }
  });

  constructor(
    readonly studyId: string,
    head: Head | null,
    name: string,
  ) {
    this.take(head, name);
  }

  /** Starts from a revision, or from an empty case with the position's name. */
  take(head: Head | null, name: string): void {
    this.case = head ? asDraft(head.caseText) : { format: 'pilgrim.case/1', practice: 'iec', name };
    this.result = null;
    this.opening = true;
    this.program = null;
    this.parent = head?.id ?? null;
    this.head = head;
    this.state = 'saved';
    this.conflict = null;
    this.errors = [];
    this.since = null;
    this.#past = [];
    this.#future = [];
  }

  /** What undo and redo would take back, in words; undefined where there is nothing. */
  get undoes(): string | undefined {
    return this.#past.at(-1)?.called;
  }
  get redoes(): string | undefined {
    return this.#future.at(-1)?.called;
  }

  /** Brings back an unsaved edit of this study, if there is one. */
  async wake(): Promise<void> {
    try {
      const draft = await readStoredDraft(this.studyId);
      if (draft) {
        this.case = asDraft(draft.case);
        this.parent = draft.parent;
        this.state = 'edited';
        this.message = 'Unsaved edits were brought back.';
      }
    } catch {
      this.message = 'This browser keeps no drafts: save often.';
    }
  }

  /** What was saved comes first: a field of the draft that cannot be read leaves its answer standing. */
  #open(): void {
    this.#solver.ask(this.head?.caseText ?? this.case);
  }

  #opened({ result, errors }: DraftAnswer): void {
    this.opening = false;
    this.result = result;
    // What was edited before is told against this answer.
    if (this.since) this.since = { ...this.since, result };
    for (const done of this.#whenOpen.splice(0)) done();
    this.errors = errors;
    this.answers++;
    if (this.state !== 'saved') this.#solver.ask(this.case);
    if (this.head && result && this.head.coreVersion !== result.core) void this.#compare(this.head, result);
  }

  async #compare(head: Head, result: Result): Promise<void> {
    const kept = await readRevision(head.id);
    if (!kept.ok || this.head !== head) return;
    const changes = changesBetween(kept.value.result, result);
    this.program = isSame(changes) ? null : changes;
  }

  /** Fetches the plant's own shelf, hands it to the solver with the position's tag and name, and solves. */
  async bringShelf(plantId: string, own: readonly string[]): Promise<void> {
    const late = setTimeout(() => this.#open(), shelfWait);
    const [answer, tested] = await Promise.all([listShelf(plantId), listCombinations(plantId)]);
    clearTimeout(late);
    if (!answer.ok && answer.status === 0)
      this.message = 'The own shelf could not be fetched: the choice is made among the catalogue.';
    const combinations = tested.ok ? tested.value : [];
    if (answer.ok && Array.isArray(answer.value) && answer.value.length + combinations.length > 0)
      await bringShelf(answer.value, own, combinations);
    if (this.opening) this.#open();
    else this.#solver.ask(this.case);
  }

  readonly #whenOpen: (() => void)[] = [];
  /** Resolves once what was saved has been solved again: until then a station may lack its fields. */
  async opened(): Promise<void> {
    if (this.opening) await new Promise<void>((done) => this.#whenOpen.push(done));
  }

  /** The stations as they are, and as they were saved until that is solved again. */
  get stations(): Result['stations'] | undefined {
    return this.result?.stations ?? this.head?.stations;
  }
  /** The standing choice in words, in the same way. */
  get choice(): string | null {
    if (!this.result) return this.head?.choice ?? null;
    return this.result.choice && choiceInWords(this.result.choice);
  }

  value(path: string): unknown {
    return valueAt(this.case, path);
  }

  /** Figures of a page that judges something else beside the case: they stand before its own. */
  aside: Readonly<Record<string, Figure>> | null = $state.raw(null);

  figure(id: string): Figure | undefined {
    return this.aside?.[id] ?? this.result?.figures[id];
  }

  error(path: string): string | undefined {
    return this.errors.find((e) => e.path === path)?.message;
  }

  /** The tag of the position that a copied one begins from, until it is saved once with what was found here. */
  get copied(): string | undefined {
    return copiedFrom(this.head?.note);
  }

  /** Where a field's value was carried over from, while nobody has changed it here and saved. */
  carried(path: string): string | undefined {
    const from = this.copied;
    if (from === undefined || path === 'name') return undefined;
    const [here, there] = [this.value(path), valueAt(this.head?.caseText, path)];
    return here !== undefined && JSON.stringify(here) === JSON.stringify(there) ? from : undefined;
  }

  /** Stations whose answer rests on a field that cannot be read, each with those fields. */
  get waiting(): ReadonlyMap<StationName, readonly string[]> {
    const fields = new Map<StationName, string[]>();
    for (const { path } of this.errors)
      for (const station of restingOn(path)) fields.set(station, [...(fields.get(station) ?? []), path]);
    return fields;
  }

  /** Puts what was typed at a path; undefined clears it. Edits of one field in a row are one step of undo. */
  set(path: string, value: Json | undefined): void {
    this.change(path, (draft) => putAt(draft, path, value));
  }

  /** An edit; with a path of '' it is a step of undo of its own. `called`: what it changes, in words. */
  change(path: string, edit: (draft: object) => void, called = fieldName(path)): void {
    const [next, redo, undo] = produceWithPatches(this.case, (draft) => void edit(draft));
    if (redo.length === 0) return;
    this.case = next;
    const last = this.#past.at(-1);
    if (last?.path === path && path !== '')
      this.#past = [
        ...this.#past.slice(0, -1),
        { path, called, undo: [...undo, ...last.undo], redo: [...last.redo, ...redo] },
      ];
    else {
      this.#past = [...this.#past, { path, called, undo, redo }];
      this.since = { result: this.result, called };
    }
    this.#future = [];
    this.#touched();
  }

  /** Begins anew with another state of the case, as one step that can be undone. */
  replace(text: unknown, called: string): void {
    const next = asDraft(text);
    this.change(
      '',
      (draft) => {
        for (const key of Object.keys(draft)) if (!(key in next)) Reflect.deleteProperty(draft, key);
        Object.assign(draft, next);
      },
      called,
    );
  }

  undo(): void {
    const step = this.#past.at(-1);
    if (!step) return;
    this.#past = this.#past.slice(0, -1);
    this.#future = [...this.#future, step];
    this.#turn(step.undo, step);
  }

  redo(): void {
    const step = this.#future.at(-1);
    if (!step) return;
    this.#future = this.#future.slice(0, -1);
    this.#past = [...this.#past, step];
    this.#turn(step.redo, step);
  }

  #turn(patches: Patch[], { called }: Step): void {
    this.since = { result: this.result, called };
    this.case = applyPatches(this.case, patches);
    this.#touched();
  }

  #touched(): void {
    this.state = 'edited';
    this.message = '';
    if (!this.opening) this.#solver.ask(this.case);
    clearTimeout(this.#store);
    this.#store = setTimeout(() => void this.keepDraft(), 150);
  }

  async keepDraft(): Promise<void> {
    clearTimeout(this.#store);
    if (this.state === 'saved') return;
    try {
      await storeDraft(this.studyId, { case: this.case, parent: this.parent, at: Date.now() });
    } catch {
      this.message = 'The draft could not be kept on this machine: save now.';
    }
  }

  /** Saves a revision; the server solves the same case again. Refused where somebody saved in between. */
  async save(note = ''): Promise<void> {
    if (this.state === 'saving') return;
    this.state = 'saving';
    const sent = this.case;
    const answer = await saveRevision(this.studyId, this.parent, { case: sent, author: author(), note });
    if (!answer.ok) {
      this.#refused(answer.status, answer.problem);
      return;
    }
    const revision = headOf(answer.value);
    this.parent = revision.id;
    this.head = revision;
    this.conflict = null;
    if (this.case === sent) {
      this.state = 'saved';
      keepCommon(sent);
      this.program = null;
      this.message = this.choice === revision.choice ? '' : otherShelf;
      await dropDraft(this.studyId).catch(() => {});
    } else this.#touched();
  }

  #refused(status: number, problem: Problem): void {
    this.state = 'failed';
    if (status === 0) this.message = 'The server did not answer. The draft is kept on this machine; try again.';
    else if (status === 412 && problem.head) {
      this.conflict = problem.head;
      this.message = 'Somebody saved this position in between.';
    } else if (status === 422 && problem.errors) {
      this.errors = problem.errors;
      const names = problem.errors.map((e) => fieldName(e.path)).join(', ');
      this.message = `${names} cannot be read. What you typed is kept.`;
    } else this.message = `${problem.title ?? 'The server refused'}.`;
  }

  /** Takes the other revision as it stands and drops the edits here. */
  async takeTheirs(name: string): Promise<void> {
    if (!this.conflict) return;
    this.take(headOf(this.conflict), name);
    await dropDraft(this.studyId).catch(() => {});
    this.#open();
  }

  /**
   * Saves what is here on top of the other revision, which stays in the history. `merged`: both edits together, where
   * they were put together.
   */
  async keepMine(merged?: Readonly<Record<string, unknown>>): Promise<void> {
    if (!this.conflict) return;
    if (merged) this.replace(merged, `the edits of ${this.conflict.author}`);
    this.parent = this.conflict.id;
    this.conflict = null;
    this.state = 'edited';
    await this.save();
  }
}

/**
 * The newest answer, but for what waits: there the answer before stands, which still knew the field that cannot be read
 * now. Without it the draft would be answered as if nobody had given the field: another motor, and all of it green.
 */
export function settled(
  before: Result | null,
  fresh: Result,
  waiting: Pick<ReadonlyMap<StationName, unknown>, 'has' | 'size'>,
): Result {
  if (before === null || waiting.size === 0) return fresh;
  const own = <T>(old: Readonly<Record<string, T>>, now: Readonly<Record<string, T>>, at: (x: T) => StationName) =>
    Object.fromEntries([
      ...Object.entries(old).filter(([, x]) => waiting.has(at(x))),
      ...Object.entries(now).filter(([, x]) => !waiting.has(at(x))),
    ]);
  const both = <T extends { readonly station: StationName }>(old: readonly T[], now: readonly T[]): T[] => [
    ...old.filter((x) => waiting.has(x.station)),
    ...now.filter((x) => !waiting.has(x.station)),
  ];
  const base = waiting.has('choice') ? { ...before, name: fresh.name, practice: fresh.practice } : fresh;
  return {
    ...base,
    figures: own(before.figures, fresh.figures, (f) => f.station) as Result['figures'],
    findings: worstFirst(both(before.findings, fresh.findings)),
    facts: both(before.facts, fresh.facts),
    stations: Object.fromEntries(
      stations.map((s) => [s, (waiting.has(s) ? before : fresh).stations[s]]),
    ) as unknown as Result['stations'],
  };
}

const asDraft = (value: unknown): CaseDraft =>
  typeof value === 'object' && value !== null ? (structuredClone(value) as CaseDraft) : {};

const key = Symbol('desk');
export const provideDesk = (of: () => Desk): void => void setContext(key, of);
export const useDesk = (): (() => Desk) => getContext<() => Desk>(key);
