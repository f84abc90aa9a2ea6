import { interpolate } from '../../quantity';

/** Torque of the driven machine against speed, both as ratios to the stated demand. */
export type LoadShape =
  | { readonly kind: 'constant' | 'linear' | 'quadratic' | 'constant-power' }
  | { readonly kind: 'points'; readonly points: readonly (readonly [number, number])[] };

/**
 * Torque ratio at a speed ratio x ≥ 0. Points are joined by straight lines and held beyond both ends;
 * constant power is held at ten times the torque below a tenth of the speed, where the law has no meaning.
 */
export function torqueRatio(shape: LoadShape, x: number): number {
  switch (shape.kind) {
    case 'constant':
      return 1;
    case 'linear':
      return x;
    case 'quadratic':
      return x * x;
    case 'constant-power':
      return 1 / Math.max(x, 0.1);
    case 'points':
      return interpolate(shape.points, x, 1);
  }
}

/**
 * Variable torque is what falls at least in proportion to speed: the drive and the shaft fan are then spared at low
 * speed.
 */
export function isVariableTorque(shape: LoadShape): boolean {
  return torqueRatio(shape, 0.5) <= 0.55;
}
