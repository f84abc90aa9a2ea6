import type { Machine } from '../contract';
import type { Case } from '../case';
import type { LoadShape } from '../physics';
import { factsOf } from '../practice';

/** The load's shape as given, else the machine's usual one. */
export function shapeOf(shape: NonNullable<Case['load']>['shape'], machine: Machine | undefined): LoadShape {
  if (shape === undefined) return { kind: factsOf(machine).shape };
  if (typeof shape === 'string') return { kind: shape };
  return { kind: 'points', points: shape.points.toSorted((a, b) => a[0] - b[0]) };
}
