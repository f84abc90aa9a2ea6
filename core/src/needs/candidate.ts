import type { Case } from '../case';
import type { Connection, Motor, MotorColumns } from '../catalogue';
import type { Method } from '../contract';
import {
  driveShare,
  apparentOf,
  declaredLoss,
  fedLoss,
  leastFedLoss,
  isVariableTorque,
  meetingSpeed,
  partLoadLosses,
  type LossCurve,
  type FlowPoint,
  type FlowWay,
  lossPoints,
  type DeclaredLosses,
  type LossPoint,
} from '../physics';
import { dutyOverload, lowSpeedEfficiency, type Practice } from '../practice';
import type { FedNeeds, Needs } from './walk';

/** Where motor i would run straight on the line, r/min. */
export const directSpeed = (needs: Needs, c: MotorColumns, i: number): number =>
  meetingSpeed(
    c.synchronous[i] ?? 0,
    c.speed[i] ?? 0,
    c.ratedTorque[i] ?? 0,
    needs.load.speed,
    needs.load.torque,
    needs.load.shape,
  );

/**
 * Speed the motor settles at with a method: a drive holds what is asked, everything else runs where motor and load
 * meet.
 */
export const settledSpeed = (needs: Needs, method: Method, direct: number): number =>
  method === 'drive' ? needs.load.speed * Math.max(1, needs.speed.max) : direct;

/** S after a NEMA frame's digits or letters: a short shaft, for direct coupling only. */
export const isShortShaft = (frame: string | null): boolean => frame !== null && /^\d{3}[TU]S/.test(frame);

/** The connection whose voltage lies nearest the supply's; the last (highest) where no supply is known. */
export function connectionFor(motor: Motor, supply: number | undefined): Connection {
  const last = motor.connections.at(-1) ?? { voltage: 0, current: 0 };
  if (supply === undefined) return last;
  return motor.connections.reduce(
    (a, b) => (Math.abs(supply / b.voltage - 1) < Math.abs(supply / a.voltage - 1) ? b : a),
    last,
  );
}

/** Whether a motor's windings can be started in star and run in delta on a line voltage. */
export const starDeltaFits = (
  practice: Practice,
  line: number,
  { deltaVoltage }: Pick<Motor, 'deltaVoltage'>,
): boolean => deltaVoltage !== null && practice.voltageFit(line, deltaVoltage).outcome !== 'fail';

/**
 * Overload a drive must hold for a minute: by its duty where that is said, else 150 % for constant torque and 120 %
 * for variable torque; more where the case asks.
 */
export const driveOverload = (needs: Needs): number => Math.max(overloadOfClass(needs), needs.load.peak);

/** Overload for a minute that a generic drive of the load's class gives. */
export const overloadOfClass = ({ drive, load }: Pick<Needs, 'drive' | 'load'>): number =>
  drive?.duty ? dutyOverload[drive.duty].minute : isVariableTorque(load.shape) ? 1.2 : 1.5;

/** Whether it is a heavy-duty drive that the load asks for. */
export const isHeavyDuty = (needs: Pick<Needs, 'drive' | 'load'>): boolean =>
  overloadOfClass(needs) >= dutyOverload.heavy.minute;

/** Share of rating below which a motor counts as idling: what it gives is then lost in what it takes. */
const nothing = 1e-6;

/** W that a motor takes at its terminals, and that the drive before it and a filter between them lose. */
export interface Drawn {
  readonly motor: number;
  readonly drive: number;
  readonly filter: number;
}

/** A motor as the year's sums know it: W of rating, and its losses. */
export interface Rating extends LossCurve {
  readonly rated: number;
  /** Losses at a share of rating ÷ those as it is made to run, where it is connected otherwise. */
  readonly lossTimes?: (x: number) => number;
  /** Share of what passes that the filter behind its drive loses. */
  readonly filter?: number;
}

/**
 * What one flow draws: W of full shaft power, the motor, and how a drive feeds it. What is switched, or known by a
 * published share, takes its share of full input.
 */
export function drawnOf(
  full: number,
  { rated, lossTimes, filter = 0, ...curve }: Rating,
  point: FlowPoint,
  way: FlowWay,
  fed?: FedNeeds,
): Drawn {
  // Of several machines those that run share the load; the others take nothing.
  const direct = (share: number, running = point.share, of = rated, at: LossCurve = curve): Drawn => {
    const x = Math.max((full * share) / running / of, nothing);
    const lost = partLoadLosses(x, at) * (lossTimes?.(x) ?? 1);
    return { motor: running * of * (x + lost), drive: 0, filter: 0 };
  };
  switch (way.kind) {
    case 'published':
    case 'on-off':
      return { motor: direct(1, 1).motor * point.shaft, drive: 0, filter: 0 };
    case 'two-speed':
      return point.speed < 1
        ? direct(point.shaft, point.share, rated * way.low ** 3, {
            ...curve,
            eta: curve.eta * lowSpeedEfficiency.value,
          })
        : direct(point.shaft);
    case 'speed': {
      const x = Math.max((full * point.shaft) / point.share / rated, nothing);
      const loss = fed?.leastFlux ? leastFedLoss : fedLoss;
      const motor = rated * (x + loss(x, point.speed, curve, rated));
      const lost = fed?.losses
        ? apparentOf(rated) * declaredLoss(fed.losses, Math.min(1, point.speed), x / Math.max(0.05, point.speed))
        : motor * (1 / driveShare((motor * curve.eta) / rated) - 1);
      return {
        motor: point.share * motor,
        drive: point.share * lost,
        filter: point.share * motor * filter,
      };
    }
    default:
      return direct(point.shaft);
  }
}

/** The same, together. */
export function inputOf(...of: Parameters<typeof drawnOf>): number {
  const { motor, drive, filter } = drawnOf(...of);
  return motor + drive + filter;
}

/** What the case declares of its drive's losses, where all eight points are there. */
export function declaredLosses(drive: Case['drive']): DeclaredLosses | undefined {
  const given = drive?.losses;
  const isWhole = (of: typeof given): of is DeclaredLosses =>
    of !== undefined && Object.keys(lossPoints).every((key) => of[key as LossPoint] !== undefined);
  return isWhole(given) ? given : undefined;
}
