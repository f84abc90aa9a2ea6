import type { StationName } from '@pilgrim/core/vocabulary';

/** What stands of a position: as its sheet does, nothing chosen, or solved; the worst first. */
export const rowStates = ['stop', 'caution', 'empty', 'condition', 'enough'] as const;
export type RowState = (typeof rowStates)[number];

/** A position as the plant list shows it. */
export interface PlantRow {
  readonly id: string;
  readonly studyId: string;
  readonly tag: string;
  readonly name: string;
  readonly area: string;
  readonly machine: string | null;
  readonly choice: string | null;
  readonly state: RowState;
  /** Stations that nothing is known of; null where nothing but a name was saved. */
  readonly open: readonly StationName[] | null;
  readonly worst: { readonly level: string; readonly text: string } | null;
  /** Money a year for the energy of the standing choice, in its currency; null where it is not worked out. */
  readonly cost: number | null;
  readonly currency: string | null;
  /** Another position of the plant carries the same tag: both may stand, but the list says so. */
  readonly twice: boolean;
}

export interface PlantPage {
  readonly rows: readonly PlantRow[];
  /** Of all that are so, not only of this page. */
  readonly total: number;
  /** Where the next page begins; null where this is the last. */
  readonly next: string | null;
}
