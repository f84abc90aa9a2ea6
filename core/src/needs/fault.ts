import { deviceBand, opening, relayBand, type TripClass } from '../practice';
import type { ProtectiveDevice } from '../contract';

/** What of a device decides when it opens: its rating or magnetic setting, and its overload's class and dial, A. */
export interface Opening {
  readonly kind: ProtectiveDevice;
  readonly rating: number;
  readonly relay: { readonly class: TripClass; readonly dial: number } | undefined;
}

/** What a short circuit along a cable asks of it. A between the motor's end and the starter. */
export interface Faulted {
  readonly least: number;
  readonly most: number;
  /** s until a fault of so many A is off, at the latest. */
  readonly clears: (current: number) => number;
  /** A from which the device limits the current: only its maker knows what it lets through there. */
  readonly limitsFrom: number | undefined;
  /** A²·s that its maker says, at most. */
  readonly letThrough: number | undefined;
}

/** Whether conductors of an A²s bear every fault along them, and at which A they do not, or nobody knows. */
export interface FaultBorne {
  readonly bears: 'yes' | 'unknown' | 'no';
  readonly at: number | undefined;
}

/** A device with the relay beside it, and the fault currents from a motor's end of a cable to the starter. */
export function faulted(device: Opening, least: number, most: number, letThrough: number | undefined): Faulted {
  const band = deviceBand(device.kind, device.rating);
  const relay = device.relay ? relayBand(device.relay.class, device.relay.dial).slow : () => Infinity;
  return {
    ...{ least: Math.min(least, most), most: Math.max(least, most), letThrough, limitsFrom: band.limitsFrom },
    clears: (current) => Math.min(band.slow(current), Math.max(opening.contactor, relay(current))),
  };
}

/** Currents looked at between both ends. */
const steps = 24;

/** Holds every fault along a cable against the A²s that its conductors withstand. */
export function faultBorne({ least, most, clears, limitsFrom, letThrough }: Faulted, withstand: number): FaultBorne {
  const limits = limitsFrom ?? Infinity;
  let unknown: number | undefined;
  for (let i = 0; i <= steps; i++) {
    const current = least * (most / least) ** (i / steps);
    // Without any device that opens it stays until somebody comes.
    const passes = clears(current) * current ** 2;
    if (passes <= withstand) continue;
    if (current < limits) return { bears: 'no', at: current };
    if (letThrough !== undefined) return letThrough > withstand ? { bears: 'no', at: current } : yes;
    unknown ??= current;
  }
  return unknown === undefined ? yes : { bears: 'unknown', at: most };
}

const yes: FaultBorne = { bears: 'yes', at: undefined };
