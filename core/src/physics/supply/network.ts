import {
  prepare,
  preparedLength,
  seen,
  seenBy,
  seenLength,
  settledLeakage,
  type Circuit,
  type Saturation,
} from '../machine/circuit';

/**
 * What feeds a start. V between lines before switching on, Hz, Ω a phase. A generator is its electromotive force
 * behind the transient
 * reactance, the subtransient one counting at the first instant; its regulator brings the bus back with time constant
 * `recovery`.
 */
export interface Feed {
  readonly voltage: number;
  readonly frequency: number;
  readonly resistance: number;
  readonly reactance: number;
  readonly generator?: { readonly transientReactance: number; readonly recovery: number };
  /** From the starter to the motor. */
  readonly cable: { readonly resistance: number; readonly reactance: number };
}

/** One stage of a start: how the motor hangs on the line. */
export interface Hookup {
  /** Times the running connection's impedance: 3 in star of a delta motor. */
  readonly impedance: number;
  /** Motor voltage ÷ line voltage of an autotransformer; 1 without. */
  readonly tap: number;
  /** In series between line and motor, Ω a phase. */
  readonly resistance: number;
  readonly reactance: number;
  /** True while the motor is cut off. */
  readonly open: boolean;
}

export const onLine: Hookup = { impedance: 1, tap: 1, resistance: 0, reactance: 0, open: false };

/** What a controller in the line does at an instant: it lets through no more than these. Infinity and 1: nothing. */
export interface Control {
  /** A in the line. */
  current: number;
  /** Output ÷ input voltage. */
  voltage: number;
  /** N·m. */
  torque: number;
}

/** Where `Network.solve` writes. */
export const grid = {
  line: 0,
  motor: 1,
  bus: 2,
  terminal: 3,
  torque: 4,
  input: 5,
  airGap: 6,
  stator: 7,
  core: 8,
  inserted: 9,
} as const;
export const gridLength = 10;

const rootThree = Math.sqrt(3);
const view = new Float64Array(seenLength);

/**
 * Source, starter, cable and motor in series at one speed, solved exactly: everything is linear in voltage, but for
 * leakage that saturates, which is settled with the current. A soft starter is
 * the series reactance that brings voltage, current or torque to what it is set to, so power is kept and current lags,
 * as phase control makes it
 * (fundamental only). Allocates nothing.
 */
export class Network {
  readonly #prepared = new Float64Array(preparedLength);
  readonly #synchronous: number;
  /** N·m for each W in the air gap, Ω a phase of the stator. */
  readonly #perWatt: number;
  readonly #stator: number;
  readonly #saturation: Saturation | undefined;

  constructor(
    circuit: Circuit,
    readonly feed: Feed,
  ) {
    prepare(circuit, feed.frequency, this.#prepared);
    this.#synchronous = (120 * feed.frequency) / circuit.poles;
    this.#perWatt = circuit.poles / (4 * Math.PI * feed.frequency);
    this.#stator = circuit.statorResistance + (circuit.strayResistance ?? 0);
    this.#saturation = circuit.saturation;
  }

  /**
   * Steady state at n r/min in a stage; `emf` and `reactance` are the source's now. Written into `out` (length
   * `gridLength`).
   */
  solve(
    n: number,
    stage: Hookup,
    control: Control | undefined,
    emf: number,
    reactance: number,
    out: Float64Array,
  ): void {
    if (stage.open) {
      out.fill(0);
      out[grid.bus] = emf;
      return;
    }
    this.#solveWith(1, n, stage, control, emf, reactance, out);
    const saturation = this.#saturation;
    if (!saturation) return;
    // A winding in star carries the line's current, in delta 1/√3 of it: what saturates is the winding.
    const winding = Math.sqrt(stage.impedance);
    if ((out[grid.motor] ?? 0) * winding <= saturation.from) return;
    settledLeakage(saturation, (left) => {
      this.#solveWith(left, n, stage, control, emf, reactance, out);
      return (out[grid.motor] ?? 0) * winding;
    });
  }

  #solveWith(
    left: number,
    n: number,
    stage: Hookup,
    control: Control | undefined,
    emf: number,
    reactance: number,
    out: Float64Array,
  ): void {
    const { feed } = this;
    seenBy(this.#prepared, 1 - n / this.#synchronous, view, left);
    const k2 = stage.impedance / (stage.tap * stage.tap);
    const mr = (view[seen.resistance] ?? 0) * k2;
    const mx = (view[seen.reactance] ?? 0) * k2;
    const behind = 1 / (stage.tap * stage.tap);
    // Starter's output side, seen from the line: cable and motor.
    const or = mr + feed.cable.resistance * behind;
    const ox = mx + feed.cable.reactance * behind;
    const zr = feed.resistance + stage.resistance + or;
    let zx = reactance + stage.reactance + ox;
    const phase = emf / rootThree;
    let inserted = 0;
    // Air-gap watts for each A² of line current.
    const gap = (view[seen.airGap] ?? 0) * k2;
    const perTorque = gap * this.#perWatt;
    if (control) {
      let most = control.current;
      if (control.torque < Infinity && perTorque > 0)
        most = Math.min(most, Math.sqrt(Math.max(0, control.torque) / perTorque));
      if (most < Infinity) {
        const z = phase / Math.max(most, 1e-9);
        inserted = Math.max(inserted, Math.sqrt(Math.max(0, z * z - zr * zr)) - zx);
      }
      if (control.voltage < 1) {
        const z = Math.sqrt(or * or + ox * ox) / Math.max(control.voltage, 1e-6);
        inserted = Math.max(inserted, Math.sqrt(Math.max(0, z * z - or * or)) - ox);
      }
      zx += inserted;
    }
    const line = phase / Math.sqrt(zr * zr + zx * zx);
    const square = line * line;
    const br = zr - feed.resistance;
    const bx = zx - reactance;
    out[grid.line] = line;
    out[grid.motor] = line / stage.tap;
    out[grid.bus] = rootThree * line * Math.sqrt(br * br + bx * bx);
    out[grid.terminal] = rootThree * line * Math.sqrt(mr * mr + mx * mx) * stage.tap;
    out[grid.torque] = square * perTorque;
    out[grid.input] = 3 * square * mr;
    out[grid.airGap] = square * gap;
    out[grid.stator] = 3 * square * this.#stator * k2;
    out[grid.core] = square * (view[seen.core] ?? 0) * k2;
    out[grid.inserted] = inserted;
  }
}
