import type { Case } from '../case';
import { listedFrames, type Frame, type FrameSystem } from '../practice';

export type Measured = NonNullable<Case['measured']>;

export interface FrameMatch {
  readonly frame: Frame;
  /** Largest difference of what was measured from the standard's dimension, mm. */
  readonly off: number;
  /** How many of its dimensions were measured. */
  readonly measured: number;
}

/** How well a tape and a caliper are read, mm: feet and height by tape, shaft by caliper. */
const tolerance = { shaftHeight: 2, feetAcross: 3, feetAlong: 3, shaftDiameter: 0.6 } as const;

/** Frames whose standard dimensions agree with what was measured, the closest first. Metres in, mm inside. */
export function framesLike(m: Measured, prefer: FrameSystem, poles: number | undefined): FrameMatch[] {
  const keys = ['shaftHeight', 'feetAcross', 'feetAlong', 'shaftDiameter'] as const;
  const taken = keys.filter((k) => m[k] !== undefined);
  if (taken.length === 0) return [];
  const systems: readonly FrameSystem[] = prefer === 'nema' ? ['nema', 'iec'] : ['iec', 'nema'];
  return systems
    .flatMap((system) => listedFrames(system, poles))
    .flatMap((frame): FrameMatch[] => {
      let off = 0;
      for (const key of taken) {
        const measured = (m[key]?.value ?? 0) * 1000;
        const listed = frame[key];
        if (listed === undefined || Math.abs(measured - listed) > tolerance[key]) return [];
        off = Math.max(off, Math.abs(measured - listed) / tolerance[key]);
      }
      return [{ frame, off, measured: taken.length }];
    })
    .toSorted((a, b) => a.off - b.off || Number(b.frame.system === prefer) - Number(a.frame.system === prefer))
    .slice(0, 6);
}

/** Usual no-load current ÷ rated current, common practice. */
export const noLoadShare = (poles: number): number => (poles <= 2 ? 0.3 : poles <= 4 ? 0.38 : poles <= 6 ? 0.48 : 0.55);

/** Usual stator copper loss as a share of the input at full load, by rating in W: falls with size. */
export const copperShare = (power: number): number => Math.min(0.16, 0.1 * (Math.max(power, 100) / 1000) ** -0.37);
