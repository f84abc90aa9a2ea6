import type { Finding, Figure } from '../contract';
import { methodOfFigure } from '../contract/figures';
import { methodNames } from '../contract/methods';
import { stations, type StationName } from '../contract/stations';
import type { Choice, Result } from './result';
import { homeOf, wholeFinding, type Kept } from './kept';

/** What one answer says and another does not, and the figures that read differently. */
export interface Changes {
  /** The standing choice in words, null where there was or is none; the whole null where it is the same. */
  readonly choice: { readonly before: string | null; readonly after: string | null } | null;
  /** In the order of the stations. A figure that is on one side only has null on the other. */
  readonly figures: readonly FigureChange[];
  /** Findings of the first answer that the second does not have, and the other way round, in their order. */
  readonly gone: readonly Finding[];
  readonly come: readonly Finding[];
  /** Findings of both that say it with other figures, as the second has them. */
  readonly reworded: readonly Finding[];
}
export interface FigureChange {
  readonly id: string;
  readonly station: StationName;
  readonly before: Read | null;
  readonly after: Read | null;
}
type Read = Pick<Figure, 'value' | 'unit' | 'text' | 'station'>;
/** An answer, whole or as a revision keeps it. */
type Told = Pick<Result | Kept, 'choice' | 'findings' | 'subject' | 'figures'>;

type Chosen = Pick<Choice, 'motor' | 'method' | 'control'>;
/** The standing choice in one line: "22.4 kW, 4 poles …, variable frequency drive, 52 A". */
export const choiceInWords = ({ motor, method, control }: Chosen): string =>
  [
    motor.name,
    methodNames[method].toLowerCase(),
    ...(control.ratedCurrent === null ? [] : [`${control.ratedCurrent} A`]),
  ].join(', ');

/** Whether two answers say the same. */
export const isSame = ({ choice, figures, gone, come, reworded }: Changes): boolean =>
  choice === null && figures.length + gone.length + come.length + reworded.length === 0;

/** What one answer says and the other does not. Of start figures only the chosen method's; they count as one place. */
export function changesBetween(before: Told, after: Told): Changes {
  const [was, is] = [before, after].map((r) => (r.choice ? choiceInWords(r.choice) : null));
  const told = (of: Told): Readonly<Record<string, Read>> =>
    Object.fromEntries(
      Object.entries(of.figures).flatMap(([id, f]) => {
        const home = homeOf(id, f);
        const told = [undefined, of.subject?.method].includes(methodOfFigure(id));
        return home && told ? [[id, { value: f.value, text: f.text, ...home }]] : [];
      }),
    );
  const [old, now] = [told(before), told(after)];
  const figures = [...new Set([...Object.keys(old), ...Object.keys(now)])].flatMap((id): FigureChange[] => {
    const [a, b] = [old[id] ?? null, now[id] ?? null];
    const station = (b ?? a)?.station;
    return station === undefined || a?.text === b?.text ? [] : [{ id, station, before: a, after: b }];
  });
  const ids = (of: Told): ReadonlySet<string> => new Set(of.findings.map((f) => f.id));
  const [oldIds, newIds] = [ids(before), ids(after)];
  const oldWords = new Set(before.findings.map((f) => f.text));
  return {
    choice: was === is ? null : { before: was ?? null, after: is ?? null },
    figures: figures.toSorted((a, b) => stations.indexOf(a.station) - stations.indexOf(b.station)),
    gone: before.findings.filter((f) => !newIds.has(f.id)).map(wholeFinding),
    come: after.findings.filter((f) => !oldIds.has(f.id)).map(wholeFinding),
    reworded: after.findings.filter((f) => oldIds.has(f.id) && !oldWords.has(f.text)).map(wholeFinding),
  };
}

/** A field of a case that two of its states have differently; undefined where one does not have it. */
export interface FieldChange {
  /** As in errors and findings: "load.demand.force", "load.train[0].kind". */
  readonly path: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** The fields that two states of a case have differently, in the order they stand in them. */
export function fieldChanges(before: unknown, after: unknown): FieldChange[] {
  const left = leaves(before);
  const right = leaves(after);
  return [...new Set([...left.keys(), ...right.keys()])]
    .map((path) => ({ path, before: left.get(path), after: right.get(path) }))
    .filter((c) => c.before !== c.after);
}

export interface Merged {
  readonly merged: Readonly<Record<string, unknown>>;
  /** What both changed, each to something else; `merged` has mine. */
  readonly disputed: readonly { readonly path: string; readonly mine: unknown; readonly theirs: unknown }[];
}

/**
 * Two people's edits of one case, field by field: what one of them left as it was becomes what the other made of it.
 * A list is one field, and so is a part that changed its kind (another demand).
 */
export function mergeCases(
  base: Readonly<Record<string, unknown>>,
  mine: Readonly<Record<string, unknown>>,
  theirs: Readonly<Record<string, unknown>>,
): Merged {
  const disputed: { path: string; mine: unknown; theirs: unknown }[] = [];
  const merge = (path: string, b: unknown, m: unknown, t: unknown): unknown => {
    if (same(m, t) || same(t, b)) return m;
    if (same(m, b)) return t;
    if (isPart(m) && isPart(t) && m.kind === t.kind) {
      const of = isPart(b) ? b : {};
      const keys = [...new Set([...Object.keys(m), ...Object.keys(t)])];
      const entries = keys.map((k) => [k, merge(path === '' ? k : `${path}.${k}`, of[k], m[k], t[k])] as const);
      return Object.fromEntries(entries.filter(([, v]) => v !== undefined));
    }
    disputed.push({ path, mine: m, theirs: t });
    return m;
  };
  return { merged: merge('', base, mine, theirs) as Record<string, unknown>, disputed };
}

const isPart = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const same = (a: unknown, b: unknown): boolean => fieldChanges(a, b).length === 0;

/** Every value of a case that is not made of others, by its path; what is empty counts as itself. */
function leaves(value: unknown, path = '', into = new Map<string, unknown>()): ReadonlyMap<string, unknown> {
  const parts = typeof value === 'object' && value !== null ? Object.entries(value) : [];
  if (parts.length === 0) {
    if (value !== undefined && !isPart(value)) into.set(path, Array.isArray(value) ? '(none)' : value);
    return into;
  }
  for (const [key, part] of parts)
    leaves(part, Array.isArray(value) ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`, into);
  return into;
}
