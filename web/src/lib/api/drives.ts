import type { physics } from '@pilgrim/core';

/** What the server tells of a drive it watches. */

export type LinkState = 'connecting' | 'up' | 'cut' | 'lost';
/** A reading; null marks a gap: the link was down. */
export type LinkRow = physics.DriveReading | null;
/** A line of the log, at the drive's own time in s. */
export interface LinkLine {
  readonly time: number;
  readonly what: physics.DriveEventKind | `link-${LinkState}` | 'writing';
  readonly fault: physics.DriveFault;
}
export interface LinkTold {
  readonly address: string;
  readonly standIn: boolean;
  /** Whether it may be written to. */
  readonly writes: boolean;
  readonly link: LinkState;
  readonly rows: readonly LinkRow[];
  readonly lines: readonly LinkLine[];
}

/** One thing to be done. */
export type DriveOrder =
  | { readonly do: 'program'; readonly table: readonly { readonly id: string; readonly number: number }[] }
  | { readonly do: 'run' | 'stop' | 'reset' | 'cut' | 'join' }
  | { readonly do: 'drop' }
  | { readonly do: 'reference'; readonly share: number }
  | { readonly do: 'source'; readonly kind: 'network' | 'analogue' }
  | { readonly do: 'spoil'; readonly change: Readonly<Partial<physics.DriveSpoiling>> }
  | { readonly do: 'allow'; readonly address: string };
