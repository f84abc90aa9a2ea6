import type { Case, Machine } from '../case';
import { commonPractice, type Source } from '../law';
import type { LoadShape } from '../physics';

interface MachineFacts {
  readonly shape: 'constant' | 'linear' | 'quadratic' | 'constant-power';
  readonly breakaway: number;
}

/** Where shapes and breakaways of machines come from. */
export const machineSource: Source = commonPractice('Torque shape and breakaway usual for the machine');

const constant = (breakaway: number): MachineFacts => ({ shape: 'constant', breakaway });
const quadratic = (breakaway: number): MachineFacts => ({ shape: 'quadratic', breakaway });

const machineFacts: Readonly<Record<Machine, MachineFacts>> = {
  conveyor: constant(1.5),
  'screw-conveyor': constant(1.6),
  'bucket-elevator': constant(1.5),
  hoist: constant(1.2),
  'centrifugal-pump': quadratic(0.2),
  'deep-well-pump': quadratic(0.3),
  'displacement-pump': constant(1.4),
  'centrifugal-fan': quadratic(0.15),
  blower: quadratic(0.15),
  compressor: constant(1.3),
  mixer: constant(1.4),
  crusher: constant(1.5),
  mill: constant(1.4),
  'machine-tool': { shape: 'constant-power', breakaway: 1 },
  winder: { shape: 'constant-power', breakaway: 1 },
  other: constant(1.5),
};

/** Shape and breakaway usual for a machine; of an unnamed one, constant torque. */
export const factsOf = (machine: Machine | undefined): MachineFacts => machineFacts[machine ?? 'other'];

/** The load's shape as given, else the machine's usual one. */
export function shapeOf(shape: NonNullable<Case['load']>['shape'], machine: Machine | undefined): LoadShape {
  if (shape === undefined) return { kind: factsOf(machine).shape };
  if (typeof shape === 'string') return { kind: shape };
  return { kind: 'points', points: shape.points.toSorted((a, b) => a[0] - b[0]) };
}
