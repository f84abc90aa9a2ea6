import { wrap, type Remote } from 'comlink';
import type { DraftAnswer, Solver } from './worker';

let remote: Remote<Solver> | undefined;

function solver(): Remote<Solver> {
  remote ??= wrap<Solver>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

/** Solves drafts in the worker, always the newest: one in work, one waiting, older ones dropped. */
export class LatestSolver {
  #waiting: unknown;
  #hasWaiting = false;
  #busy = false;

  constructor(private readonly answer: (answer: DraftAnswer) => void) {}

  ask(draft: unknown): void {
    this.#waiting = draft;
    this.#hasWaiting = true;
    if (!this.#busy) void this.#work();
  }

  async #work(): Promise<void> {
    this.#busy = true;
    try {
      while (this.#hasWaiting) {
        this.#hasWaiting = false;
        const answer = await solver().draft(this.#waiting);
        if (!this.#hasWaiting) this.answer(answer);
      }
    } finally {
      this.#busy = false;
    }
  }
}
