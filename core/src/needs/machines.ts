import type { Machine, Method } from '../contract';
import type { Case } from '../case';
import type { LoadShape } from '../physics';
import { factsOf } from '../practice';
import type { LoadNeeds } from './walk';

/** The load's shape as given, else the machine's usual one. */
export function shapeOf(shape: NonNullable<Case['load']>['shape'], machine: Machine | undefined): LoadShape {
  if (shape === undefined) return { kind: factsOf(machine).shape };
  if (typeof shape === 'string') return { kind: shape };
  return { kind: 'points', points: shape.points.toSorted((a, b) => a[0] - b[0]) };
}

/** Torque that a machine of constant power asks in its run-up, ÷ its demand's: it starts idling (common practice). */
const idle = 0.2;

/** The load while it runs up: constant power is a shape of the working range, and such a machine starts idling. */
export const runUpLoad = ({
  shape,
  startRatio,
}: Pick<LoadNeeds, 'shape' | 'startRatio'>): { readonly shape: LoadShape; readonly startRatio: number } =>
  shape.kind === 'constant-power'
    ? { shape: { kind: 'constant' }, startRatio: startRatio < 1 ? startRatio : idle }
    : { shape, startRatio };

/** A hoist is one however its load is told: by machine, or by mass and speed. */
export const isHoist = ({ load }: Pick<Case, 'load'>): boolean =>
  load?.machine === 'hoist' || load?.demand?.kind === 'hoist';

/** What starts or feeds the motor today: as said, or as it was when it failed; else straight on the line if it can. */
export const starterThere = ({ starter, history, supply }: Pick<Case, 'starter' | 'history' | 'supply'>): Method =>
  starter ?? history?.method ?? (supply?.phases === 1 ? 'drive' : 'direct');

/** Whether it starts by itself after a trip or a dip: as decided at Guard, and never what hangs. */
export const restartsAlone = (input: Pick<Case, 'load' | 'guard'>): boolean =>
  input.guard?.restart === 'automatic' && !isHoist(input);

/** What people can be drawn into, or what falls: it must not start by itself. */
const reaching = [
  'conveyor',
  'screw-conveyor',
  'bucket-elevator',
  'mixer',
  'crusher',
  'mill',
  'machine-tool',
  'winder',
  'hoist',
] as const;

/** Whether it must not start by itself: people can reach what it drives, or it falls. */
export const mayNotRestart = (machine: Machine | undefined): boolean =>
  machine !== undefined && (reaching as readonly Machine[]).includes(machine);

/**
 * Whether a short dip is ridden through: as decided at Guard; else a drive bridges it from what turns and another
 * starter closes again where it restarts by itself, and neither where people can reach the machine or it falls.
 */
export const ridesThrough = (input: Pick<Case, 'load' | 'guard'>, method: Method | null | undefined): boolean =>
  !isHoist(input) &&
  (input.guard?.undervoltage === undefined
    ? !mayNotRestart(input.load?.machine) && (method === 'drive' || input.guard?.restart === 'automatic')
    : input.guard.undervoltage === 'ride-through');

/** Duty that a competent person answers for, not this sheet: emergency duty, or a fire pump by its name. */
export const isEmergency = ({ guard, name, plate }: Pick<Case, 'guard' | 'name' | 'plate'>): boolean =>
  guard?.role === 'emergency' || fireDuty.test(name ?? '') || fireDuty.test(plate?.remarks ?? '');

const fireDuty = /\b(?:fire[\s-]?(?:pump|fighting|water)|sprinkler)\b/i;
