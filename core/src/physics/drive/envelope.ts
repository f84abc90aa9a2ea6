/**
 * What torque a motor may carry on a drive, by a thermal model of its rated losses. At a speed s (÷ rated) with the
 * flux φ a drive can give (1 to base speed, 1/s beyond), torque t (÷ rated) asks the current
 *
 *   i² = (m φ)² + (1 − m²)(t/φ)²
 *
 * with m the magnetising share. Copper heats with i² (rotor with the torque's part), iron with φ² s^1.5 and friction
 * with s (what the fan wastes goes off with its air), and the drive’s pulses add a share of all rated losses.
 * What may be lost falls with the cooling: a fan on
 * the shaft leaves `still` of it at standstill. The torque is what makes the two equal.
 */

/** Rated losses as shares of their sum, and what cools. */
export interface HeatModel {
  readonly stator: number;
  readonly rotor: number;
  readonly core: number;
  readonly stray: number;
  readonly friction: number;
  /** Magnetising current ÷ rated current. */
  readonly magnetising: number;
  /** Breakdown torque ÷ rated torque at rated flux. */
  readonly breakdown: number;
  readonly cooling: 'shaft-fan' | 'open' | 'blower' | 'none';
  /** Permitted rise ÷ rise at rated load on the line; 1 where no reserve is known. */
  readonly reserve: number;
}

/**
 * Extra losses by a converter's pulses ÷ rated losses (IEC TS 60034-25, 2022: 10 to 20 % on two-level drives; from
 * memory).
 */
export const pulseLosses = 0.1;
/** Of the rated cooling, what is left at standstill, by what cools: common practice. */
const still = { 'shaft-fan': 0.28, open: 0.2, blower: 1, none: 1 } as const;
/** Torque permitted ÷ breakdown torque: a jolt of 1.6 must not stall it (IEC 60034-1, 2022, 9.4.1; from memory). */
export const breakdownReserve = 1.6;

/** Cooling at speed s ÷ cooling at rated speed. */
export const coolingAt = (cooling: HeatModel['cooling'], s: number): number =>
  still[cooling] + (1 - still[cooling]) * Math.min(1.2, s) ** 0.8;

/** Flux ÷ rated at speed s: full to base speed, then as the voltage ends. */
export const fluxAt = (s: number): number => (s <= 1 ? 1 : 1 / s);

/** Torque ÷ rated that may be carried for good at speed s ÷ rated, 0 or more; never above rated torque or power. */
export const continuousTorque = (m: HeatModel, s: number): number => torqueBetween(m, s, s);

/** The same at the least anywhere between two speeds: with the cooling of the slower and the iron of the faster. */
function torqueBetween(m: HeatModel, low: number, high: number): number {
  const flux = fluxAt(high);
  const most = fluxAt(low);
  const mag = m.magnetising * m.magnetising;
  const borne = coolingAt(m.cooling, low) * m.reserve;
  const iron = m.core * most * most * high * Math.sqrt(high) + m.friction * high + pulseLosses;
  const copper = m.stator + m.stray;
  const left = borne - iron - copper * mag * most * most;
  const each = (copper * (1 - mag) + m.rotor) / (flux * flux);
  const byHeat = left <= 0 ? 0 : Math.sqrt(left / each);
  return Math.min(byHeat, flux, (m.breakdown * flux * flux) / breakdownReserve);
}

/** Torque ÷ rated for a minute: what an overload of the drive gives, and what breakdown leaves. */
export const minuteTorque = (m: HeatModel, overload: number, s: number): number =>
  Math.min(overload * fluxAt(s), (m.breakdown * fluxAt(s) ** 2) / breakdownReserve);

/** A span of speeds is halved so often before it counts as one speed. */
const halvings = 14;

/**
 * Lowest speed ÷ rated at which a load may be carried for good; `loadAt` its torque ÷ the motor's rated torque. 0 where
 * it may stand. The load, which rises or falls all the way, is followed downward from `from` to `to`: what is carried
 * further below, past a speed where it is not, counts for nothing.
 */
export function leastSpeed(m: HeatModel, loadAt: (s: number) => number, from: number, to = 0): number {
  // What the coolest and the most asked of a span leave is carried all along it; else its halves are looked at apart.
  const within = (low: number, high: number, depth: number): number => {
    const asked = Math.max(loadAt(low), loadAt(high)) * 0.999;
    if (torqueBetween(m, low, high) >= asked) return low;
    if (depth === 0) return high;
    const middle = (low + high) / 2;
    const upper = within(middle, high, depth - 1);
    return upper > middle ? upper : within(low, middle, depth - 1);
  };
  return within(Math.min(to, from), from, halvings);
}

/** Highest speed ÷ rated, up to `most`, at which the load is still carried for good from `from` upward. */
export function greatestSpeed(m: HeatModel, loadAt: (s: number) => number, from: number, most: number): number {
  const carries = (s: number): boolean => continuousTorque(m, s) >= loadAt(s) * 0.999;
  const parts = 64;
  for (let i = 1; i <= parts; i++) {
    const s = from + ((most - from) * i) / parts;
    if (carries(s)) continue;
    let [low, high] = [from + ((most - from) * (i - 1)) / parts, s];
    for (let k = 0; k < 24; k++) {
      const mid = (low + high) / 2;
      if (carries(mid)) low = mid;
      else high = mid;
    }
    return low;
  }
  return most;
}
