import type { physics } from '@pilgrim/core';
import type { LinkState } from './drives';

/** What the server tells of a meter that it records. */
export interface MeterTold {
  readonly address: string;
  /** Whether it is the one at a stand-in's input. */
  readonly standIn: boolean;
  readonly link: LinkState;
  /** When its recording began, ISO 8601, and seconds kept since. */
  readonly since: string;
  readonly kept: number;
  /** The last reading, and when. */
  readonly last: (physics.MeterReading & { readonly at: string }) | null;
}

/** A stretch of time of a record: its beginning in ms, W least, mean and most, A most. */
export type MeterRow = readonly [at: number, least: number, mean: number, most: number, current: number];

/** A record drawn over a span: in stretches of `step` s, from seconds, minutes or hours as they are kept. */
export interface MeterRecord {
  readonly step: number;
  readonly of: 'seconds' | 'minutes' | 'hours';
  readonly rows: readonly MeterRow[];
  /** Where nothing was recorded, ms. */
  readonly gaps: readonly { readonly from: number; readonly to: number }[];
  /** kWh over what was recorded. */
  readonly energy: number;
}
