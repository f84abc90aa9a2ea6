import type { CaseError } from '@pilgrim/core';

/**
 * Why something is not done, in words and with a status; stores throw it, and what answers a request writes it out
 * (RFC 9457).
 */
export interface Problem {
  readonly status: number;
  readonly title: string;
  readonly detail?: string;
  readonly errors?: readonly CaseError[];
  readonly [more: string]: unknown;
}

/** A refusal in the one format of RFC 9457. */
export class Refusal extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

export const refuse = (status: number, title: string, more: Omit<Problem, 'status' | 'title'> = {}): Refusal =>
  new Refusal({ status, title, ...more });
