import type { Result } from '@pilgrim/core';

/** A position as the plant list shows it. */
export interface PlantRow {
  readonly id: string;
  readonly studyId: string;
  readonly tag: string;
  readonly name: string;
  readonly area: string;
  readonly machine: string | null;
  readonly choice: string | null;
  readonly stations: Result['stations'] | null;
  readonly worst: { readonly level: string; readonly text: string } | null;
  readonly newEnergy: number | null;
  readonly energyPrice: number | null;
  readonly currency: string | null;
}

export type RowState = 'empty' | 'enough' | 'caution' | 'stop';
/** Order of states where the worst is to come first. */
export const worstFirst: Readonly<Record<RowState, number>> = { stop: 0, caution: 1, empty: 2, enough: 3 };

/** The worst of a position's stations; empty where nothing is chosen. */
export function stateOf(p: Pick<PlantRow, 'stations' | 'choice'>): RowState {
  if (!p.stations) return 'empty';
  const states = Object.values(p.stations).map((s) => s.state);
  if (states.includes('stop')) return 'stop';
  if (!p.choice) return 'empty';
  return states.includes('caution') ? 'caution' : 'enough';
}

/** Money a year for the energy of the standing choice; undefined where it is not worked out. */
export const costOf = (p: Pick<PlantRow, 'newEnergy' | 'energyPrice'>): number | undefined =>
  p.newEnergy === null || p.energyPrice === null ? undefined : p.newEnergy * p.energyPrice;

/** Tags that more than one position carries: both may stand, but the list says so. */
export function repeatedTags(positions: readonly Pick<PlantRow, 'tag'>[]): ReadonlySet<string> {
  const [seen, twice] = [new Set<string>(), new Set<string>()];
  for (const { tag } of positions) (seen.has(tag) ? twice : seen).add(tag);
  return twice;
}
