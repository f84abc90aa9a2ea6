import { readDraft, solve, type CaseError, type Result } from '@pilgrim/core';
import { expose } from 'comlink';
import { z } from 'zod';

// The content security policy forbids eval, which Zod would otherwise try.
z.config({ jitless: true });

export interface DraftAnswer {
  readonly result: Result | null;
  readonly errors: readonly CaseError[];
}

const solver = {
  /** Solves what can be read of a case being typed, and says what cannot. */
  draft(input: unknown): DraftAnswer {
    const { value, errors } = readDraft(input);
    return { result: value ? solve(value) : null, errors };
  },
};

export type Solver = typeof solver;
expose(solver);
