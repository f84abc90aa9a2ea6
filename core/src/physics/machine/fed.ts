import { seen, seenAt, seenLength, type Circuit } from './circuit';

/** How a drive feeds its motor: A at the motor at most, and how it holds the flux. */
export interface FedBy {
  readonly limit: number;
  /** `vector`: holds the flux from standstill; `scalar`: volts per hertz, with `boost` of rated voltage at zero. */
  readonly control: 'vector' | 'scalar';
  readonly boost: number;
}

const pi = Math.PI;
const rootThree = Math.sqrt(3);
/** Of a vector; `Math.hypot` guards against overflows that no ohms have, at several times the cost. */
const length = (a: number, b: number): number => Math.sqrt(a * a + b * b);

export const noPoint = (): FedPoint => ({
  frequency: 0,
  voltage: 0,
  torque: 0,
  current: 0,
  stator: 0,
  rotor: 0,
  core: 0,
});

/** One working point behind a drive: Hz, V between lines, N·m, A and W. */
export interface FedPoint {
  frequency: number;
  voltage: number;
  torque: number;
  current: number;
  stator: number;
  rotor: number;
  core: number;
}

/**
 * The motor behind a drive at n r/min with slip frequency f2, written into `p`. Up to base frequency a vector drive
 * holds the air-gap
 * flux of the rated point, a scalar one volts per hertz with its boost; above, voltage stays and flux falls.
 */
export class Fed {
  readonly #view = new Float64Array(seenLength);
  readonly #ratedEmf: number;

  constructor(
    readonly circuit: Circuit,
    readonly plan: FedBy,
  ) {
    const c = circuit;
    const s = 1 - (c.ratedSpeed * c.poles) / (120 * c.frequency);
    this.#ratedEmf = this.#emf(c.frequency, s, c.voltage);
  }

  /** Air-gap voltage per phase at frequency f and slip s with line voltage U. */
  #emf(f: number, s: number, U: number): number {
    const c = this.circuit;
    seenAt(c, f, s, this.#view);
    const r = this.#view[seen.resistance] ?? 0;
    const x = this.#view[seen.reactance] ?? 0;
    const inner = length(r - c.statorResistance - (c.strayResistance ?? 0), x - (c.statorReactance * f) / c.frequency);
    return ((U / rootThree) * inner) / length(r, x);
  }

  solve(n: number, f2: number, p: FedPoint): void {
    const c = this.circuit;
    const f = Math.max(1e-3, (n * c.poles) / 120 + f2);
    const s = f2 / f;
    seenAt(c, f, Math.abs(s) < 1e-6 ? 1e-6 : s, this.#view);
    const r = this.#view[seen.resistance] ?? 0;
    const x = this.#view[seen.reactance] ?? 0;
    const share = Math.min(1, f / c.frequency);
    const most = c.voltage / rootThree;
    let current: number;
    if (this.plan.control === 'vector') {
      // Flux held: current is the air-gap voltage over what lies behind it; the voltage that needs is bounded by the
      // line's.
      const inner = length(
        r - c.statorResistance - (c.strayResistance ?? 0),
        x - (c.statorReactance * f) / c.frequency,
      );
      current = Math.min((this.#ratedEmf * share) / inner, most / length(r, x));
    } else {
      const volts = this.plan.boost + (1 - this.plan.boost) * share;
      current = (most * volts) / length(r, x);
    }
    const square = current * current;
    const gap = square * (this.#view[seen.airGap] ?? 0);
    p.frequency = f;
    p.voltage = rootThree * current * length(r, x);
    p.current = current;
    p.torque = (gap * c.poles) / (4 * pi * f);
    p.stator = 3 * square * (c.statorResistance + (c.strayResistance ?? 0));
    p.rotor = gap * s;
    p.core = square * (this.#view[seen.core] ?? 0);
  }

  /** Slip frequency of the most torque within the current limit at n r/min. */
  most(n: number, p: FedPoint): number {
    let best = 0;
    let torque = -Infinity;
    let f2 = 0.02;
    const end = 0.5 * this.circuit.frequency;
    // Torque rises with slip frequency until the limit or pull-out is met.
    for (; f2 < end; f2 *= 1.25) {
      this.solve(n, f2, p);
      if (p.current > this.plan.limit || p.torque < torque) break;
      best = f2;
      torque = p.torque;
    }
    let high = Math.min(end, f2);
    for (let i = 0; i < 18; i++) {
      const mid = (best + high) / 2;
      this.solve(n, mid, p);
      if (p.current <= this.plan.limit && p.torque >= torque) {
        best = mid;
        torque = p.torque;
      } else high = mid;
    }
    this.solve(n, best, p);
    return best;
  }

  /**
   * The point that gives torque T at n r/min, T between nothing and the torque of slip frequency `most`: by regula
   * falsi (Illinois).
   */
  give(n: number, T: number, most: number, p: FedPoint): void {
    let low = T < 0 ? -most : 0;
    this.solve(n, low, p);
    let below = p.torque - T;
    let high = T < 0 ? 0 : most;
    this.solve(n, high, p);
    let above = p.torque - T;
    for (let i = 0; i < 12 && Math.abs(above - below) > 1e-9; i++) {
      const mid = Math.max(low, Math.min(high, low - (below * (high - low)) / (above - below)));
      this.solve(n, mid, p);
      const off = p.torque - T;
      if (Math.abs(off) < 1e-5 * Math.abs(T) + 1e-6) return;
      if (off < 0) {
        low = mid;
        below = off;
        above /= 2;
      } else {
        high = mid;
        above = off;
        below /= 2;
      }
    }
  }
}
