import type { CaseError } from '@pilgrim/core';
import { isReadingKey, readingKeys, type ReadingKey } from '@pilgrim/core/readings';
import type { InsulationKind, Support } from '@pilgrim/core/vocabulary';
import { readCell, unitHere } from './cells';

interface Kept {
  readonly texts?: Partial<Record<ReadingKey, string>>;
  readonly at?: string;
  readonly note?: string;
  readonly support?: Support;
  readonly winding?: InsulationKind;
}

/** A round while it is typed: kept in this browser until it is kept on the server, so that nothing is lost. */
export class RoundDraft {
  texts: Partial<Record<ReadingKey, string>> = $state({});
  /** Local date and time as the field has it; empty: now. */
  at = $state('');
  note = $state('');
  support: Support | undefined = $state(undefined);
  winding: InsulationKind | undefined = $state(undefined);
  readonly #key: string;
  readonly #system: 'us' | 'si';

  constructor(position: string, system: 'us' | 'si') {
    this.#key = `pilgrim.round.${position}`;
    this.#system = system;
  }

  unit(key: ReadingKey): string {
    return unitHere(key, this.#system);
  }

  get isEmpty(): boolean {
    return readingKeys.every((key) => (this.texts[key] ?? '').trim() === '');
  }

  /** The fields that cannot be read. */
  get errors(): readonly CaseError[] {
    return this.#cells.flatMap(([key, read]) => (read.ok ? [] : [{ path: `reading.${key}`, message: read.message }]));
  }

  /** What can be read of it, as the open format has it. */
  round(by: string): Record<string, unknown> {
    const time = this.at === '' ? new Date() : new Date(this.at);
    return {
      at: Number.isNaN(time.getTime()) ? this.at : time.toISOString(),
      ...(by !== '' && { by }),
      ...(this.note.trim() !== '' && { note: this.note.trim() }),
      ...(this.support && { support: this.support }),
      ...(this.winding && { winding: this.winding }),
      ...Object.fromEntries(this.#cells.flatMap(([key, read]) => (read.ok ? [[key, read.value]] : []))),
    };
  }

  get #cells() {
    return readingKeys
      .filter((key) => (this.texts[key] ?? '').trim() !== '')
      .map((key) => [key, readCell(key, this.texts[key] ?? '', this.unit(key))] as const);
  }

  store(): void {
    const { texts, at, note, support, winding } = this;
    try {
      localStorage.setItem(this.#key, JSON.stringify({ texts, at, note, support, winding }));
    } catch {
      // A browser that keeps nothing: what is typed stands on the page.
    }
  }

  wake(): void {
    try {
      const kept = JSON.parse(localStorage.getItem(this.#key) ?? '{}') as Kept;
      this.texts = Object.fromEntries(
        Object.entries(kept.texts ?? {}).filter(([key, text]) => isReadingKey(key) && typeof text === 'string'),
      );
      this.at = kept.at ?? '';
      this.note = kept.note ?? '';
      this.support = kept.support;
      this.winding = kept.winding;
    } catch {
      this.clear();
    }
  }

  /** Begun anew; how the machine stands and is wound stays as the rounds before have it. */
  clear(): void {
    this.texts = {};
    this.at = this.note = '';
    this.support = this.winding = undefined;
    localStorage.removeItem(this.#key);
  }
}
