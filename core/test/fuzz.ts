import { readDraft, resultSchema, solve } from '@pilgrim/core';

/**
 * What is wrong with core's answer to anything at all: a throw, a number that is none, a figure never asked for, a
 * result that its schema refuses. Of a case that is not valid, the part that can be read is solved, as a screen does;
 * `took` is told the ms of solving.
 */
export function fuzzed(text: unknown, took?: (ms: number) => void): string[] {
  try {
    const draft = readDraft(text);
    if (!draft.value) return draft.errors.length > 0 ? [] : ['neither a case nor an error'];
    const from = performance.now();
    const result = solve(draft.value);
    took?.(performance.now() - from);
    const odd = oddNumbers(result, 'result');
    odd.push(...result.findings.filter((f) => f.id === 'case.gap').map((f) => f.text));
    const refused = resultSchema.safeParse(JSON.parse(JSON.stringify(result))).error?.issues ?? [];
    return [...odd, ...refused.map((i) => `${i.path.join('.')}: ${i.message}`)].slice(0, 5);
  } catch (error) {
    return [`threw ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`.slice(0, 400)];
  }
}

/** Paths of all numbers in a value that are not finite, and of texts that show one. */
function oddNumbers(value: unknown, path: string): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} is ${value}`];
  if (typeof value === 'string') return /\b(NaN|Infinity|undefined)\b/.test(value) ? [`${path} reads "${value}"`] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => oddNumbers(inner, `${path}.${key}`));
}
