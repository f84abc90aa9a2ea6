import { deviceBand, opening, relayBand, type TripClass } from '../practice';
import type { ProtectiveDevice } from '../contract';

/** What of a device decides when it opens: its rating or magnetic setting, and its overload's class and dial, A. */
export interface Opening {
  readonly kind: ProtectiveDevice;
  readonly rating: number;
  readonly relay: { readonly class: TripClass; readonly dial: number } | undefined;
}

/** How what protects a cable opens a short circuit along it. */
export interface Clearing {
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

/** A device with the relay beside it, and what its maker says that it lets through, A²·s. */
export function clearing(device: Opening, letThrough: number | undefined): Clearing {
  const band = deviceBand(device.kind, device.rating);
  const relay = device.relay ? relayBand(device.relay.class, device.relay.dial).slow : () => Infinity;
  return {
    ...{ letThrough, limitsFrom: band.limitsFrom },
    clears: (current) => Math.min(band.slow(current), Math.max(opening.contactor, relay(current))),
  };
}

/** Currents looked at between both ends. */
const steps = 24;

/** Holds every fault along a cable, of so many A at its ends, against the A²s that its conductors withstand. */
export function faultBorne(
  { clears, limitsFrom, letThrough }: Clearing,
  [one, other]: readonly [number, number],
  withstand: number,
): FaultBorne {
  const [least, most] = [Math.min(one, other), Math.max(one, other)];
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
