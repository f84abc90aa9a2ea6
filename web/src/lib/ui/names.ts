import type { Figure, StationState, Verdict } from '@pilgrim/core';
import { isStation, stations, type StationName } from '@pilgrim/core/vocabulary';
import { readingFields, readingKeys } from '@pilgrim/core/readings';
import fields from '$lib/generated/fields.json';

export { figureName, isStation, methodOfFigure, stationNames } from '@pilgrim/core/vocabulary';

export type StationId = StationName;
export const stationIds = stations;

/** Where a position is entered: at its choice, where there is one. */
export const entryOf = ({ choice }: { readonly choice: string | null }): StationId =>
  choice === null ? 'plate' : 'choice';

/** The station on whose desk a field of the case stands. */
export function stationOfField(path: string): StationId {
  const head = path.split(/[.[]/)[0] ?? '';
  if (head === 'supply') return 'start';
  if (head === 'motor' || head === 'method' || head === 'rules' || head === 'waived') return 'choice';
  if (head === 'money') return 'cost';
  if (head === 'history' || head === 'measured' || head === 'replacement' || head === 'accepted') return 'plate';
  return isStation(head) ? head : 'plate';
}

const shownNames = new Map<string, string>([
  ...Object.entries(fields),
  ...readingKeys.map((key) => [`reading.${key}`, readingFields[key].label] as const),
]);

/** How a verdict is marked: what passes on a condition holds if, and is no tick. */
export const markOf = ({
  outcome,
  condition,
  waived,
}: Pick<Verdict, 'outcome' | 'condition' | 'waived'>): Verdict['outcome'] | 'condition' =>
  outcome === 'pass' && condition !== null && waived === null ? 'condition' : outcome;

/** The same of several verdicts that answer one question with this outcome. */
export const markOfAll = (
  outcome: Verdict['outcome'],
  verdicts: readonly Pick<Verdict, 'outcome' | 'condition' | 'waived'>[],
): Verdict['outcome'] | 'condition' =>
  outcome === 'pass' && verdicts.some((v) => markOf(v) === 'condition') ? 'condition' : outcome;

/** Every field that has one name on all screens, with it. */
export const namedFields = (): readonly (readonly [path: string, label: string])[] => [...shownNames];

/** Remembers what a field is called on its screen, so that whoever speaks of it elsewhere says the same. */
export const nameField = (path: string, label: string): void => void shownNames.set(path, label);

/** A field as its screen calls it ("Pull"); where screens differ and none was seen, the end of its path. */
export const fieldName = (path: string): string =>
  shownNames.get(path) ??
  path
    .split('.')
    .slice(-2)
    .join(' ')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase();

export const words = (text: string): string => text.replaceAll('-', ' ');

/** How a station stands, said for whoever does not see its mark. */
export const stateWords: Readonly<Record<StationState, string>> = {
  empty: 'empty',
  waits: 'waits',
  stop: 'stop',
  caution: 'caution',
  condition: 'holds if',
  enough: 'enough',
};

/** "NFPA 70, 2023, Table 430.250 (from memory)" */
export const cited = (s: Pick<Figure['source'], 'title' | 'edition' | 'part' | 'fromMemory'>): string =>
  [s.title, s.edition, s.part].filter(Boolean).join(', ') + (s.fromMemory ? ' (from memory)' : '');
