import { closest } from 'fastest-levenshtein';
import { z } from 'zod';
import { clip } from '../quantity';
import { caseSchema, type Case } from './schema';

/** What is wrong, where, and what is allowed. */
export interface CaseError {
  readonly path: string;
  readonly message: string;
}

export type CaseReading =
  { readonly ok: true; readonly value: Case } | { readonly ok: false; readonly errors: readonly CaseError[] };

/** Deepest nesting accepted; a case needs six. */
const maxDepth = 32;

/** Reads JSON text of one case or of a batch. Never throws; errors of the whole carry the path "case". */
export function parseJson(
  source: string,
): { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly errors: readonly CaseError[] } {
  const whole = (message: string): { ok: false; errors: CaseError[] } => ({
    ok: false,
    errors: [{ path: 'case', message }],
  });
  if (source.trim() === '') return whole('is empty: write a JSON object with "format": "pilgrim.case/1"');
  if (deeperThan(source, maxDepth)) return whole(`is nested deeper than ${maxDepth} levels`);
  try {
    return { ok: true, value: JSON.parse(source.replace(/^\uFEFF/, '')) };
  } catch (error) {
    return whole(`is not JSON: ${clip(error instanceof Error ? error.message : 'unreadable')}`);
  }
}

/** Reads a case that is already JSON. Every error names its path and what is allowed. */
export function readCase(input: unknown): CaseReading {
  const parsed = caseSchema.safeParse(input);
  if (parsed.success) return { ok: true, value: parsed.data };
  return { ok: false, errors: parsed.error.issues.flatMap(explain) };
}

/**
 * Reads a case that is still being typed: fields that cannot be read are reported and left out, the rest is read.
 * Undefined only where format or practice themselves are unusable.
 */
export function readDraft(input: unknown): { readonly value: Case | undefined; readonly errors: readonly CaseError[] } {
  const found = new Map<string, CaseError>();
  let current: unknown = input;
  for (let round = 0; round < 8; round++) {
    const parsed = caseSchema.safeParse(current);
    if (parsed.success) return { value: parsed.data, errors: [...found.values()] };
    const cuts = new Map<string, readonly PropertyKey[]>();
    for (const issue of parsed.error.issues) {
      for (const error of explain(issue)) found.set(`${error.path} ${error.message}`, error);
      const drop = issue.code === 'unrecognized_keys' ? issue.keys.map((k) => [...issue.path, k]) : [issue.path];
      for (const path of drop.map((d) => existing(current, d))) cuts.set(path.map(String).join('\0'), path);
    }
    // Later array elements first, so that cutting one does not move the next.
    for (const path of [...cuts.values()].reverse()) current = without(current, path);
  }
  return { value: undefined, errors: [...found.values()] };
}

/**
 * The part of a path to cut: a whole array element, or the nearest thing there where the error is that something is
 * missing.
 */
function existing(data: unknown, path: readonly PropertyKey[]): readonly PropertyKey[] {
  const index = path.findIndex((p) => typeof p === 'number');
  let cut = index >= 0 ? path.slice(0, index + 1) : path;
  while (cut.length > 0 && at(data, cut) === undefined) cut = cut.slice(0, -1);
  return cut;
}

function at(data: unknown, path: readonly PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (inner, key) => (typeof inner === 'object' && inner !== null ? Reflect.get(inner, key) : undefined),
    data,
  );
}

function explain(issue: z.core.$ZodIssue): CaseError[] {
  const path = pathText(issue.path);
  if (issue.code === 'unrecognized_keys') {
    const known = keysAt(caseSchema, issue.path);
    return issue.keys.map((key) => ({
      path: pathText([...issue.path, clip(key)]),
      message:
        known.length > 0 ? `is not known here; the nearest known key is "${closest(key, known)}"` : 'is not known here',
    }));
  }
  return [{ path, message: issue.message }];
}

const pathText = (path: readonly PropertyKey[]): string =>
  path.length === 0
    ? 'case'
    : path
        .map((p) => (p === '' ? '""' : String(p)))
        .join('.')
        .replace(/\.(\d+)(?=\.|$)/g, '[$1]');

/** Keys known at a path of the schema, through optionals, unions, arrays and pipes. */
function keysAt(schema: z.core.$ZodType, path: readonly PropertyKey[]): string[] {
  const inner = unwrapped(schema);
  if (inner instanceof z.ZodUnion) return inner.options.flatMap((o) => keysAt(o, path));
  const [head, ...rest] = path;
  if (inner instanceof z.ZodArray) return head === undefined ? [] : keysAt(inner.element, rest);
  if (!(inner instanceof z.ZodObject)) return [];
  if (head === undefined) return Object.keys(inner.shape);
  const next: unknown = inner.shape[String(head)];
  return next instanceof z.ZodType ? keysAt(next, rest) : [];
}

function unwrapped(schema: z.core.$ZodType): z.core.$ZodType {
  if (schema instanceof z.ZodOptional || schema instanceof z.ZodNullable) return unwrapped(schema.unwrap());
  return schema instanceof z.ZodPipe ? unwrapped(schema.in) : schema;
}

/** A copy of plain JSON data without the value at a path; array elements are cut out, the rest keeps its order. */
function without(data: unknown, path: readonly PropertyKey[]): unknown {
  const [head, ...rest] = path;
  if (head === undefined) return undefined;
  if (Array.isArray(data)) {
    const items: unknown[] = data;
    return rest.length === 0
      ? items.filter((_, i) => i !== Number(head))
      : items.map((item, i) => (i === Number(head) ? without(item, rest) : item));
  }
  if (typeof data !== 'object' || data === null) return data;
  const entries = Object.entries(data);
  return Object.fromEntries(
    entries.flatMap(([key, value]) => {
      if (key !== String(head)) return [[key, value]];
      return rest.length === 0 ? [] : [[key, without(value, rest)]];
    }),
  );
}

/** Whether brackets outside strings nest deeper than a limit; one pass, so a huge file cannot exhaust the stack. */
function deeperThan(source: string, limit: number): boolean {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < source.length; i++) {
    const c = source.charCodeAt(i);
    if (quoted) {
      if (c === 92) i++;
      else if (c === 34) quoted = false;
    } else if (c === 34) quoted = true;
    else if (c === 91 || c === 123) {
      if (++depth > limit) return true;
    } else if (c === 93 || c === 125) depth--;
  }
  return false;
}
