import { frictionAt, leakageLeft, saturationOf, type Circuit, type Saturation } from '../machine/circuit';
import type { Feed } from '../supply/network';
import { startTorqueAt, type StartLoad } from './run';

/** What is switched: at standstill, or from star through a pause without current into delta, at a speed in r/min. */
export type Switching =
  | { readonly kind: 'direct' }
  | {
      readonly kind: 'star-delta';
      readonly speed: number;
      readonly pause: number;
      /** Degrees by which the delta's voltage leads the star's: 30 or −30 as it is wired. */
      readonly shift: number;
    };

export interface TransientSpec {
  readonly circuit: Circuit;
  readonly feed: Feed;
  readonly inertia: number;
  readonly load: StartLoad;
  readonly switching: Switching;
  /** s after switching on, or after the reconnection in delta. */
  readonly duration: number;
}

/** Instantaneous values over time: s, A in phase a of the line, N·m at the shaft, r/min. */
export interface Transient {
  readonly time: Float64Array;
  readonly current: Float64Array;
  readonly torque: Float64Array;
  readonly speed: Float64Array;
  /** Largest in any phase, A, from the (re)connection on. */
  readonly peakCurrent: number;
  /** Largest and most negative torque from the (re)connection on, N·m. */
  readonly peakTorque: number;
  readonly leastTorque: number;
  /** Voltage between lines left on the open winding just before reconnection ÷ rated; 0 for a direct start. */
  readonly residual: number;
  /** At the end: r/min, N·m, and the crest of the symmetrical current then, A. */
  readonly endSpeed: number;
  readonly endTorque: number;
  readonly endCurrent: number;
}

const leastReactance = 1e-3;
const third = (2 * Math.PI) / 3;

/**
 * The first cycles by the two-axis model in the stator's frame: flux linkages of the stator and one or two cages,
 * speed among the unknowns.
 * Fluxes obey dψ_s/dt = v − R_s i_s and dψ_k/dt = −R_k i_k + j ω_r ψ_k; torque is ³⁄₂ p (ψ_m × i_s). Leakage
 * gives way to the length of the stator's current vector (`saturationOf`). Iron loss is left out. Fixed steps (Runge
 * and Kutta's fourth order) of a 256th cycle, finer where a cage's leakage asks for it. Source: Krause, Wasynczuk and
 * Sudhoff, Analysis of Electric Machinery, chapter 4 (from memory).
 */
export function firstCycles(spec: TransientSpec): Transient {
  return new TwoAxis(spec).run();
}

class TwoAxis {
  /** Leakages in H: the path's to the motor, and as saturation leaves them the stator's with it and the cages'. */
  readonly #path: number;
  readonly #whole: { readonly ls: number; readonly l1: number; readonly l2: number };
  readonly #saturation: Saturation;
  readonly #magnetising: number;
  #left = 1;
  #ls = 0;
  #l1 = 0;
  #l2 = 0;
  readonly #rs: number;
  readonly #r1: number;
  readonly #r2: number;
  /** 1 ÷ (1/Lm + 1/L1 + 1/L2), with the stator's leakage and without. */
  #air = 0;
  #airOpen = 0;
  readonly #pairs: number;
  readonly #omega: number;
  readonly #y = new Float64Array(7);
  readonly #z = new Float64Array(7);
  readonly #k1 = new Float64Array(7);
  readonly #k2 = new Float64Array(7);
  readonly #k3 = new Float64Array(7);
  readonly #k4 = new Float64Array(7);
  #t = 0;
  #volts = 0;
  #shift = 0;
  #open = false;
  /** Of the last rates worked out: stator current and torque. */
  #ir = 0;
  #ii = 0;
  #torque = 0;

  constructor(readonly spec: TransientSpec) {
    const { circuit: c, feed } = spec;
    const base = 2 * Math.PI * c.frequency;
    const hz = 2 * Math.PI * feed.frequency;
    const henry = (x: number): number => Math.max(x, leastReactance * c.magnetisingReactance) / base;
    this.#path = (feed.reactance + feed.cable.reactance) / hz;
    this.#whole = {
      ls: henry(c.statorReactance),
      l1: henry(c.rotorReactance),
      l2: c.cage2 ? henry(c.cage2.reactance) : Infinity,
    };
    this.#saturation = saturationOf(c);
    this.#magnetising = base / c.magnetisingReactance;
    this.#rs = c.statorResistance + (c.strayResistance ?? 0) + feed.resistance + feed.cable.resistance;
    this.#r1 = c.rotorResistance;
    this.#r2 = c.cage2?.resistance ?? 0;
    this.#leave(1);
    this.#pairs = c.poles / 2;
    this.#omega = hz;
  }

  run(): Transient {
    const { spec } = this;
    const { switching, feed } = spec;
    const full = (Math.SQRT2 * feed.voltage) / Math.sqrt(3);
    const cycle = 1 / feed.frequency;
    const fastest = Math.min(
      this.#l1 / Math.max(this.#r1, 1e-9),
      this.#l2 / Math.max(this.#r2, 1e-9),
      this.#ls / Math.max(this.#rs, 1e-9),
    );
    const h = Math.min(cycle / 256, 0.5 * fastest);
    let residual = 0;
    if (switching.kind === 'star-delta') {
      // In star long enough that its switching-on has died away, speed held; then open.
      this.#y[6] = (switching.speed * Math.PI) / 30;
      this.#volts = full / Math.sqrt(3);
      for (const end = 30 * cycle; this.#t < end;) this.#step(h, false);
      this.#cut();
      for (const end = this.#t + switching.pause; this.#t < end;) this.#step(h, true);
      const flux = this.#airOpen * Math.hypot(...this.#rotorFlux());
      residual = (flux * this.#pairs * (this.#y[6] ?? 0)) / full;
      this.#connect();
      this.#shift = (switching.shift * Math.PI) / 180;
    }
    this.#volts = full;
    const steps = Math.min(200_000, Math.ceil(spec.duration / h));
    const every = Math.max(1, Math.floor(steps / 1500));
    const kept = Math.floor(steps / every) + 1;
    const time = new Float64Array(kept);
    const current = new Float64Array(kept);
    const torque = new Float64Array(kept);
    const speed = new Float64Array(kept);
    const t0 = this.#t;
    let [peakCurrent, peakTorque, leastTorque] = [0, 0, 0];
    for (let i = 0; i <= steps; i++) {
      this.#rates(this.#t, this.#y, this.#k1, true);
      const [a, b, c] = this.#phases();
      peakCurrent = Math.max(peakCurrent, Math.abs(a), Math.abs(b), Math.abs(c));
      peakTorque = Math.max(peakTorque, this.#torque);
      leastTorque = Math.min(leastTorque, this.#torque);
      if (i % every === 0 && i / every < kept) {
        const row = i / every;
        time[row] = this.#t - t0;
        current[row] = a;
        torque[row] = this.#torque;
        speed[row] = ((this.#y[6] ?? 0) * 30) / Math.PI;
      }
      if (i < steps) this.#step(h, true);
    }
    return {
      time,
      current,
      torque,
      speed,
      peakCurrent,
      peakTorque,
      leastTorque,
      residual,
      endSpeed: ((this.#y[6] ?? 0) * 30) / Math.PI,
      endTorque: this.#torque,
      endCurrent: Math.hypot(this.#ir, this.#ii),
    };
  }

  /** Leakage as a share of the whole, from now on. */
  #leave(left: number): void {
    const { ls, l1, l2 } = this.#whole;
    this.#left = left;
    this.#ls = ls * left + this.#path;
    this.#l1 = l1 * left;
    this.#l2 = l2 * left;
    const m = this.#magnetising + 1 / this.#l1 + 1 / this.#l2;
    this.#air = 1 / (m + 1 / this.#ls);
    this.#airOpen = 1 / m;
  }

  #phases(): readonly [number, number, number] {
    const [r, i] = [this.#ir, this.#ii];
    return [r, r * Math.cos(third) + i * Math.sin(third), r * Math.cos(third) - i * Math.sin(third)];
  }

  /** Sum of the cages' flux linkages over their leakages. */
  #rotorFlux(): readonly [number, number] {
    const y = this.#y;
    return [
      (y[2] ?? 0) / this.#l1 + (this.#l2 === Infinity ? 0 : (y[4] ?? 0) / this.#l2),
      (y[3] ?? 0) / this.#l1 + (this.#l2 === Infinity ? 0 : (y[5] ?? 0) / this.#l2),
    ];
  }

  /** The stator's current is cut: its flux is from now on what the rotor sends through it. */
  #cut(): void {
    this.#open = true;
  }

  #connect(): void {
    const [r, i] = this.#rotorFlux();
    this.#y[0] = this.#airOpen * r;
    this.#y[1] = this.#airOpen * i;
    this.#open = false;
  }

  #rates(t: number, y: Float64Array, dy: Float64Array, moves: boolean): void {
    const { spec } = this;
    const [s0, s1, a0, a1, c0, c1] = [y[0] ?? 0, y[1] ?? 0, y[2] ?? 0, y[3] ?? 0, y[4] ?? 0, y[5] ?? 0];
    const w = y[6] ?? 0;
    const double = this.#l2 !== Infinity;
    if (this.#open) this.#leave(1);
    else this.#settle(s0, s1, a0, a1, c0, c1);
    let mr = a0 / this.#l1 + (double ? c0 / this.#l2 : 0);
    let mi = a1 / this.#l1 + (double ? c1 / this.#l2 : 0);
    if (this.#open) {
      mr *= this.#airOpen;
      mi *= this.#airOpen;
      this.#ir = 0;
      this.#ii = 0;
      dy[0] = 0;
      dy[1] = 0;
    } else {
      mr = this.#air * (mr + s0 / this.#ls);
      mi = this.#air * (mi + s1 / this.#ls);
      this.#ir = (s0 - mr) / this.#ls;
      this.#ii = (s1 - mi) / this.#ls;
      const angle = this.#omega * t + this.#shift;
      dy[0] = this.#volts * Math.cos(angle) - this.#rs * this.#ir;
      dy[1] = this.#volts * Math.sin(angle) - this.#rs * this.#ii;
    }
    const wr = this.#pairs * w;
    dy[2] = (-this.#r1 * (a0 - mr)) / this.#l1 - wr * a1;
    dy[3] = (-this.#r1 * (a1 - mi)) / this.#l1 + wr * a0;
    dy[4] = double ? (-this.#r2 * (c0 - mr)) / this.#l2 - wr * c1 : 0;
    dy[5] = double ? (-this.#r2 * (c1 - mi)) / this.#l2 + wr * c0 : 0;
    this.#torque = 1.5 * this.#pairs * (mr * this.#ii - mi * this.#ir);
    const n = (Math.max(0, w) * 30) / Math.PI;
    const net = this.#torque - startTorqueAt(spec.load, n) - (w > 1e-6 ? frictionAt(spec.circuit, n) / w : 0);
    dy[6] = !moves || (w <= 0 && net < 0) ? 0 : net / spec.inertia;
  }

  /** The share of leakage that the stator's current leaves which these flux linkages drive through it. */
  #settle(s0: number, s1: number, a0: number, a1: number, c0: number, c1: number): void {
    for (let i = 0; i < 50; i++) {
      const air = this.#air;
      const mr = air * (a0 / this.#l1 + c0 / this.#l2 + s0 / this.#ls);
      const mi = air * (a1 / this.#l1 + c1 / this.#l2 + s1 / this.#ls);
      const left = leakageLeft(this.#saturation, Math.hypot(s0 - mr, s1 - mi) / this.#ls / Math.SQRT2);
      const off = left - this.#left;
      if (Math.abs(off) < 1e-12) return;
      this.#leave(left);
    }
  }

  #step(h: number, moves: boolean): void {
    const y = this.#y;
    const z = this.#z;
    const t = this.#t;
    this.#rates(t, y, this.#k1, moves);
    for (let i = 0; i < 7; i++) z[i] = (y[i] ?? 0) + (h / 2) * (this.#k1[i] ?? 0);
    this.#rates(t + h / 2, z, this.#k2, moves);
    for (let i = 0; i < 7; i++) z[i] = (y[i] ?? 0) + (h / 2) * (this.#k2[i] ?? 0);
    this.#rates(t + h / 2, z, this.#k3, moves);
    for (let i = 0; i < 7; i++) z[i] = (y[i] ?? 0) + h * (this.#k3[i] ?? 0);
    this.#rates(t + h, z, this.#k4, moves);
    for (let i = 0; i < 7; i++)
      y[i] =
        (y[i] ?? 0) +
        (h / 6) * ((this.#k1[i] ?? 0) + 2 * (this.#k2[i] ?? 0) + 2 * (this.#k3[i] ?? 0) + (this.#k4[i] ?? 0));
    if ((y[6] ?? 0) < 0) y[6] = 0;
    this.#t = t + h;
  }
}
