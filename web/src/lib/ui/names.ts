import type { Figure } from '@pilgrim/core';
import { isStation, stations, type StationName } from '@pilgrim/core/vocabulary';

export { figureName, isStation, methodOfFigure, stationNames } from '@pilgrim/core/vocabulary';

export type StationId = StationName;
export const stationIds = stations;

/** The station on whose desk a field of the case stands. */
export function stationOfField(path: string): StationId {
  const head = path.split(/[.[]/)[0] ?? '';
  if (head === 'supply') return 'start';
  if (head === 'motor' || head === 'method' || head === 'rules' || head === 'waived') return 'choice';
  if (head === 'money') return 'cost';
  if (head === 'history' || head === 'measured' || head === 'replacement' || head === 'accepted') return 'plate';
  return isStation(head) ? head : 'plate';
}

/** "load.demand.force" → "demand force", for lists of wanted fields. */
export const fieldName = (path: string): string =>
  path
    .split('.')
    .slice(-2)
    .join(' ')
    .replace(/([A-Z])/g, ' $1')
    .toLowerCase();

export const words = (text: string): string => text.replaceAll('-', ' ');

/** "NFPA 70, 2023, Table 430.250 (from memory)" */
export const cited = (s: Pick<Figure['source'], 'title' | 'edition' | 'part' | 'fromMemory'>): string =>
  [s.title, s.edition, s.part].filter(Boolean).join(', ') + (s.fromMemory ? ' (from memory)' : '');
