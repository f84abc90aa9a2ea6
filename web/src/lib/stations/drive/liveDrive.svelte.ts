import { liveDrive, orderDrive, watchDrive, watchedDrive, type Answer } from '$lib/api';
import type { DriveOrder, LinkTold } from '$lib/api/drives';

/** Readings and lines a page keeps. */
const rowsKept = 3000;
const linesKept = 500;

/** A position's drive as a page watches it. */
export class LiveDrive {
  told: LinkTold | null = $state.raw(null);
  /** What was refused last, or is under way. */
  message = $state('');
  busy = $state(false);
  /** What it is set to, as it was read back. */
  held: Readonly<Record<string, number>> | null = $state.raw(null);
  #events: EventSource | undefined;

  constructor(readonly position: string) {}

  /** Looks whether one is watched already. */
  async look(): Promise<void> {
    const answer = await watchedDrive(this.position);
    if (answer.ok && answer.value) this.#hear(answer.value);
  }

  async open(what: Parameters<typeof watchDrive>[1]): Promise<void> {
    const told = await this.#ask(() => watchDrive(this.position, what));
    this.held = null;
    if (told) this.#hear(told);
  }

  async drop(): Promise<void> {
    this.leave();
    await this.order({ do: 'drop' });
    this.told = null;
    this.held = null;
  }

  async order(order: DriveOrder): Promise<boolean> {
    const done = await this.#ask(() => orderDrive(this.position, order));
    if (done?.settings) this.held = done.settings;
    return done !== undefined;
  }

  /** Hears no more; what is watched goes on. */
  leave(): void {
    this.#events?.close();
    this.#events = undefined;
  }

  async #ask<T>(ask: () => Promise<Answer<T>>): Promise<T | undefined> {
    this.busy = true;
    const answer = await ask();
    this.busy = false;
    this.message = answer.ok
      ? ''
      : [
          answer.problem.title,
          answer.problem.detail,
          ...(answer.problem.errors ?? []).map((e) => `${e.path}: ${e.message}`),
        ]
          .filter(Boolean)
          .join('. ');
    return answer.ok ? answer.value : undefined;
  }

  #hear(told: LinkTold): void {
    this.leave();
    this.told = told;
    const events = liveDrive(this.position);
    this.#events = events;
    const read = (e: MessageEvent<string>): LinkTold => JSON.parse(e.data) as LinkTold;
    events.addEventListener('all', (e) => {
      this.told = read(e);
      this.message = '';
    });
    events.addEventListener('more', (e) => {
      const more = read(e);
      this.told = {
        ...more,
        rows: [...(this.told?.rows ?? []), ...more.rows].slice(-rowsKept),
        lines: [...(this.told?.lines ?? []), ...more.lines].slice(-linesKept),
      };
    });
    events.addEventListener('error', () => {
      if (events.readyState === EventSource.CLOSED) {
        this.told = null;
        this.message = 'The drive is no longer watched: its server was stopped, or somebody let it go.';
      } else this.message = 'The server does not answer; what was read stays, and it is asked again.';
    });
  }
}
