import { openDB, type DBSchema } from 'idb';
import type { Json } from './paths';

/** An unsaved edit, kept on this machine until it is saved. */
export interface Draft {
  readonly case: Json;
  readonly parent: string | null;
  readonly at: number;
}

interface Store extends DBSchema {
  drafts: { key: string; value: Draft };
}

const open = () => openDB<Store>('pilgrim', 1, { upgrade: (db) => void db.createObjectStore('drafts') });
let opened: ReturnType<typeof open> | undefined;
const store = () => (opened ??= open());

export const readStoredDraft = async (study: string): Promise<Draft | undefined> =>
  (await store()).get('drafts', study);
export const storeDraft = async (study: string, draft: Draft): Promise<void> =>
  void (await (await store()).put('drafts', draft, study));
export const draftedStudies = async (): Promise<readonly string[]> => (await store()).getAllKeys('drafts');
export const dropDraft = async (study: string): Promise<void> => (await store()).delete('drafts', study);
