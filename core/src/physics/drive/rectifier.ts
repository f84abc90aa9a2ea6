/**
 * A diode rectifier with a capacitor behind it, in time: how a drive draws its current.
 *
 * Each six-pulse bridge hangs on three sine sources of its own phase with an inductance L in each line, a choke on its
 * DC side, and feeds the common capacitor, from which the inverter takes constant power. Diodes are ideal. Which of
 * them conduct makes the circuit: with the sets U above and D below, of n_U and n_D lines,
 *
 *   (L/n_U + L/n_D + L_d) di/dt = mean e over U − mean e over D − v,   C dv/dt = Σ i − P/v,
 *
 * a line joins U when its EMF exceeds the upper rail, and leaves when its current is nothing. Between such events the
 * equations are integrated by the classical Runge–Kutta method; events are found by the secant method. The steady
 * state is the one that repeats after a sixth of a period with the lines exchanged, by Newton's method on the state
 * at its beginning. (Without any resistance it may be one that a real, damped rectifier reaches and this one,
 * left alone,
 * would swing about.) Currents of several bridges are turned back by the shift of their transformer windings and added;
 * the source's own inductance is counted in each bridge's lines. Within 0.1 % of a general integrator (tests).
 */

/** One bridge: its EMF and inductance against the nominal ones, and its winding's phase shift in rad. */
export interface Bridge {
  readonly shift: number;
  /** EMF ÷ nominal; 1 is nominal. */
  readonly emf: number;
}

/** What the rectifier is built of. V line to line, Hz, H, F, W. */
export interface RectifierSpec {
  readonly voltage: number;
  readonly frequency: number;
  /** In each line of each bridge, of source, transformer and choke: above 0. H. */
  readonly inductance: number;
  /** In the DC side of each bridge. H, from 0. */
  readonly dcInductance: number;
  readonly capacitance: number;
  /** Taken from the capacitor, above 0. W. */
  readonly power: number;
  readonly bridges: readonly Bridge[];
}

/** How the rectifier runs. A, V; the waveform is the current of one line over a period. */
export interface RectifierRun {
  /** Crest in A of the harmonics 1 to 50 of the line current, [order − 1], and their phases in rad against a cosine. */
  readonly crests: readonly number[];
  readonly angles: readonly number[];
  readonly current: number;
  readonly fundamental: number;
  /** Harmonic current ÷ fundamental. */
  readonly distortion: number;
  /** Power ÷ apparent power at the stiff source. */
  readonly powerFactor: number;
  readonly dcVoltage: number;
  readonly dcCrest: number;
  /** The capacitor's voltage where the waveform begins. */
  readonly dcFirst: number;
  readonly wave: readonly number[];
  /** Whether the steady state was met. */
  readonly settled: boolean;
}

/** Steps in a sixth of a period. */
const steps = 48;
const period = 6 * steps;
/** Over a period; a sine is a cosine three quarters on. */
const cosines = Float64Array.from({ length: period }, (_, k) => Math.cos((2 * Math.PI * k) / period));
export const highestOrder = 50;
const third = (2 * Math.PI) / 3;
const sin60 = Math.sqrt(3) / 2;

const scaleOf = ({ power, voltage }: RectifierSpec): number => power / voltage;

/** The next change of what conducts. */
interface Due {
  kind: 'begin' | 'join-upper' | 'join-lower' | 'leave-upper' | 'leave-lower';
  bridge: number;
  line: number;
  other: number;
}

/** State of the rectifier: line currents of every bridge, three each, then the capacitor's voltage. */
class Integrator {
  readonly #n: number;
  readonly #upper: Uint8Array;
  readonly #lower: Uint8Array;
  readonly #k: Float64Array[];
  readonly #at: Float64Array;
  readonly #next: Float64Array;
  readonly #e = new Float64Array(3);
  /** Rails of the bridge last looked at. */
  #plus = 0;
  #minus = 0;
  readonly #crest: number;
  readonly #omega: number;
  readonly #due: Due = { kind: 'begin', bridge: 0, line: 0, other: 0 };
  /** A of the rectifier's own size: what counts as nothing is measured by it. */
  readonly #scale: number;

  constructor(readonly spec: RectifierSpec) {
    const n = spec.bridges.length;
    this.#n = n;
    this.#upper = new Uint8Array(3 * n);
    this.#lower = new Uint8Array(3 * n);
    this.#k = Array.from({ length: 4 }, () => new Float64Array(3 * n + 1));
    this.#at = new Float64Array(3 * n + 1);
    this.#next = new Float64Array(3 * n + 1);
    this.#crest = spec.voltage * Math.sqrt(2 / 3);
    this.#omega = 2 * Math.PI * spec.frequency;
    this.#scale = scaleOf(spec);
  }

  #sources(t: number, b: number): void {
    const bridge = this.spec.bridges[b];
    const [shift, emf] = [bridge?.shift ?? 0, bridge?.emf ?? 1];
    const angle = this.#omega * t + shift;
    const [along, across] = [emf * this.#crest * Math.cos(angle), emf * this.#crest * Math.sin(angle)];
    this.#e[0] = along;
    this.#e[1] = -0.5 * along + sin60 * across;
    this.#e[2] = -0.5 * along - sin60 * across;
  }

  /** Rails of a bridge, A/s of its DC current; NaN where it does not conduct. */
  #rails(b: number, v: number): number {
    const { inductance: L, dcInductance: Ld } = this.spec;
    let [eU, nU, eD, nD] = [0, 0, 0, 0];
    for (let i = 0; i < 3; i++) {
      if (this.#upper[3 * b + i] === 1) {
        eU += this.#e[i] ?? 0;
        nU++;
      }
      if (this.#lower[3 * b + i] === 1) {
        eD += this.#e[i] ?? 0;
        nD++;
      }
    }
    if (nU === 0 || nD === 0) return NaN;
    const slope = (eU / nU - eD / nD - v) / (L / nU + L / nD + Ld);
    this.#plus = eU / nU - (L / nU) * slope;
    this.#minus = eD / nD + (L / nD) * slope;
    return slope;
  }

  #slopes(t: number, x: Float64Array, out: Float64Array): void {
    const { inductance: L, capacitance: C, power: P } = this.spec;
    const last = 3 * this.#n;
    const v = x[last] ?? 0;
    let dc = 0;
    for (let b = 0; b < this.#n; b++) {
      this.#sources(t, b);
      const conducts = !Number.isNaN(this.#rails(b, v));
      for (let i = 0; i < 3; i++) {
        const k = 3 * b + i;
        const e = this.#e[i] ?? 0;
        const [up, down] = [conducts && this.#upper[k] === 1, conducts && this.#lower[k] === 1];
        out[k] = up ? (e - this.#plus) / L : down ? (e - this.#minus) / L : 0;
        if (up) dc += x[k] ?? 0;
      }
    }
    out[last] = (dc - P / v) / C;
  }

  /** One Runge–Kutta step of h seconds from `from` into `to`. */
  #step(t: number, h: number, from: Float64Array, to: Float64Array): void {
    const [a, b, c, d] = this.#k;
    if (!a || !b || !c || !d) return;
    const at = this.#at;
    this.#slopes(t, from, a);
    for (let i = 0; i < at.length; i++) at[i] = (from[i] ?? 0) + 0.5 * h * (a[i] ?? 0);
    this.#slopes(t + 0.5 * h, at, b);
    for (let i = 0; i < at.length; i++) at[i] = (from[i] ?? 0) + 0.5 * h * (b[i] ?? 0);
    this.#slopes(t + 0.5 * h, at, c);
    for (let i = 0; i < at.length; i++) at[i] = (from[i] ?? 0) + h * (c[i] ?? 0);
    this.#slopes(t + h, at, d);
    for (let i = 0; i < at.length; i++)
      to[i] = (from[i] ?? 0) + (h / 6) * ((a[i] ?? 0) + 2 * (b[i] ?? 0) + 2 * (c[i] ?? 0) + (d[i] ?? 0));
  }

  /**
   * How far the state is beyond the next event, above 0 where one is due; the largest of all. What is due stands in
   * `#due`: the bridge, and the line that joins or leaves a rail.
   */
  #beyond(t: number, x: Float64Array): number {
    const v = x[3 * this.#n] ?? 0;
    const due = this.#due;
    let worst = -Infinity;
    for (let b = 0; b < this.#n; b++) {
      this.#sources(t, b);
      if (Number.isNaN(this.#rails(b, v))) {
        let [hi, lo] = [0, 0];
        for (let i = 1; i < 3; i++) {
          if ((this.#e[i] ?? 0) > (this.#e[hi] ?? 0)) hi = i;
          if ((this.#e[i] ?? 0) < (this.#e[lo] ?? 0)) lo = i;
        }
        const by = ((this.#e[hi] ?? 0) - (this.#e[lo] ?? 0) - v) / this.#crest;
        if (by > worst) {
          worst = by;
          [due.kind, due.bridge, due.line, due.other] = ['begin', b, 3 * b + hi, 3 * b + lo];
        }
        continue;
      }
      for (let i = 0; i < 3; i++) {
        const k = 3 * b + i;
        const [e, current] = [this.#e[i] ?? 0, x[k] ?? 0];
        const [up, down] = [this.#upper[k] === 1, this.#lower[k] === 1];
        const above = up ? -current / this.#scale : down ? -Infinity : (e - this.#plus) / this.#crest;
        const below = down ? current / this.#scale : up ? -Infinity : (this.#minus - e) / this.#crest;
        if (above > worst) {
          worst = above;
          [due.kind, due.bridge, due.line] = [up ? 'leave-upper' : 'join-upper', b, k];
        }
        if (below > worst) {
          worst = below;
          [due.kind, due.bridge, due.line] = [down ? 'leave-lower' : 'join-lower', b, k];
        }
      }
    }
    return worst;
  }

  /** Makes the change that is due. */
  #change(x: Float64Array): void {
    const { kind, bridge, line, other } = this.#due;
    if (kind === 'begin') {
      this.#upper[line] = 1;
      this.#lower[other] = 1;
    } else if (kind === 'join-upper') this.#upper[line] = 1;
    else if (kind === 'join-lower') this.#lower[line] = 1;
    else this.#off(bridge, kind === 'leave-upper' ? this.#upper : this.#lower, line, x);
  }

  /** A line leaves; with the last of a rail the bridge stops. */
  #off(b: number, rail: Uint8Array, k: number, x: Float64Array): void {
    rail[k] = 0;
    x[k] = 0;
    if (rail[3 * b] || rail[3 * b + 1] || rail[3 * b + 2]) return;
    for (let i = 3 * b; i < 3 * b + 3; i++) {
      this.#upper[i] = 0;
      this.#lower[i] = 0;
      x[i] = 0;
    }
  }

  /** Which diodes conduct, by the currents. */
  #read(x: Float64Array): void {
    for (let k = 0; k < 3 * this.#n; k++) {
      const current = (x[k] ?? 0) / this.#scale;
      this.#upper[k] = current > 1e-9 ? 1 : 0;
      this.#lower[k] = current < -1e-9 ? 1 : 0;
    }
  }

  /** Runs a sixth of a period from `x`, in place; states at every step go to `seen`. */
  sixth(x: Float64Array, seen?: (step: number, x: Float64Array) => void): void {
    this.#read(x);
    const h = 1 / this.spec.frequency / 6 / steps;
    for (let s = 0; s < steps; s++) {
      seen?.(s, x);
      let [t, left] = [s * h, h];
      // What is due now is done first; a step is cut where something becomes due within it.
      for (let n = 0; n < 24 && left > 1e-12 * h; n++) {
        let below = this.#beyond(t, x);
        for (let m = 0; m < 6 && below > 1e-9; m++) {
          this.#change(x);
          below = this.#beyond(t, x);
        }
        this.#step(t, left, x, this.#next);
        let above = this.#beyond(t + left, this.#next);
        if (above <= 1e-9) {
          x.set(this.#next);
          break;
        }
        // Regula falsi on how far beyond it is.
        let [low, high] = [0, left];
        below = Math.min(below, -1e-12);
        for (let k = 0; k < 12 && high - low > 1e-10 * h; k++) {
          const cut = low + ((high - low) * -below) / (above - below);
          const at = Math.min(high - 1e-3 * (high - low), Math.max(low + 1e-3 * (high - low), cut));
          this.#step(t, at, x, this.#next);
          const by = this.#beyond(t + at, this.#next);
          if (by > 0) [high, above] = [at, by];
          else [low, below] = [at, Math.min(by, -1e-12)];
          if (Math.abs(by) < 1e-9) break;
        }
        this.#step(t, high, x, this.#next);
        x.set(this.#next);
        t += high;
        left -= high;
        this.#beyond(t, x);
        this.#change(x);
      }
    }
  }
}

/** The state after a sixth of a period as the state before it: every line takes the place of the one before, turned. */
function exchanged(x: Float64Array, bridges: number, into: Float64Array): void {
  for (let b = 0; b < bridges; b++) for (let i = 0; i < 3; i++) into[3 * b + i] = -(x[3 * b + ((i + 2) % 3)] ?? 0);
  into[3 * bridges] = x[3 * bridges] ?? 0;
}

/** Solves A y = b in place by elimination with pivots; false where it is singular. */
function eliminate(A: number[][], b: number[]): boolean {
  const n = b.length;
  for (let c = 0; c < n; c++) {
    let p = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(A[r]?.[c] ?? 0) > Math.abs(A[p]?.[c] ?? 0)) p = r;
    const [row, other] = [A[p], A[c]];
    if (!row || !other || Math.abs(row[c] ?? 0) < 1e-14) return false;
    [A[c], A[p]] = [row, other];
    [b[c], b[p]] = [b[p] ?? 0, b[c] ?? 0];
    for (let r = 0; r < n; r++) {
      const target = A[r];
      if (r === c || !target) continue;
      const f = (target[c] ?? 0) / (row[c] ?? 1);
      for (let k = c; k < n; k++) target[k] = (target[k] ?? 0) - f * (row[k] ?? 0);
      b[r] = (b[r] ?? 0) - f * (b[c] ?? 0);
    }
  }
  for (let c = 0; c < n; c++) b[c] = (b[c] ?? 0) / (A[c]?.[c] ?? 1);
  return true;
}

/**
 * Unknowns at the beginning of a sixth: two currents of each bridge, the third is their sum turned; and the voltage.
 */
function spread(y: readonly number[], bridges: number, x: Float64Array): void {
  for (let b = 0; b < bridges; b++) {
    const [i, j] = [y[2 * b] ?? 0, y[2 * b + 1] ?? 0];
    x.set([i, j, -i - j], 3 * b);
  }
  x[3 * bridges] = y[2 * bridges] ?? 0;
}

/** What a sixth may miss of repeating itself, of the currents' and the voltage's scale. */
const nearEnough = 2e-3;
/** Shares of the crest that the capacitor begins at, and steps towards the steady state from each. */
const starts = [0.955, 0.92, 0.985, 0.87];
const roundsEach = 30;

/** Runs a rectifier to its steady state. */
export function runRectifier(spec: RectifierSpec): RectifierRun {
  const n = spec.bridges.length;
  const integrator = new Integrator(spec);
  const [x, turned] = [new Float64Array(3 * n + 1), new Float64Array(3 * n + 1)];
  const crest = spec.voltage * Math.SQRT2;
  const units = [...Array.from({ length: 2 * n }, () => scaleOf(spec)), crest];
  const gather = (from: Float64Array): number[] => [
    ...Array.from({ length: 2 * n }, (_, k) => from[3 * (k >> 1) + (k & 1)] ?? 0),
    from[3 * n] ?? 0,
  ];
  const after = (y: readonly number[]): number[] => {
    spread(y, n, x);
    integrator.sixth(x);
    exchanged(x, n, turned);
    return gather(turned);
  };
  const missOf = (to: readonly number[], from: readonly number[]): number[] =>
    to.map((v, i) => (v - (from[i] ?? 0)) / (units[i] ?? 1));
  const size = (miss: readonly number[]): number => Math.max(...miss.map(Math.abs));
  // With no current and an endless voltage everything repeats as well: not what is looked for.
  const inReach = (v: number): boolean => v > 0.3 * crest && v < 1.3 * crest;
  let y: number[] = [];
  let settled = false;
  // Where a valve takes over at the very end of a sixth there is a kink that no step gets across: the nearest stands,
  // and what comes near from no start is begun from the next.
  let best = y;
  let nearest = Infinity;
  for (let round = 0; round < starts.length * roundsEach && !settled; round++) {
    const start = starts[round / roundsEach];
    if (start !== undefined) {
      if (nearest < nearEnough) break;
      y = [...Array.from({ length: 2 * n }, () => 0), start * crest];
      for (let i = 0; i < 12; i++) y = after(y);
    }
    const to = after(y);
    const miss = missOf(to, y);
    if (best.length === 0) best = y;
    if (inReach(y.at(-1) ?? 0) && size(miss) < nearest) [best, nearest] = [y, size(miss)];
    if (nearest < 1e-7) {
      settled = true;
      break;
    }
    const columns = y.map((v, j) => {
      const by = 1e-5 * (units[j] ?? 1);
      const moved = after(y.map((w, i) => (i === j ? v + by : w)));
      return moved.map((m, i) => (m - (to[i] ?? 0)) / (units[i] ?? 1) / 1e-5);
    });
    const A = y.map((_, i) => y.map((__, j) => (i === j ? 1 : 0) - (columns[j]?.[i] ?? 0)));
    const by = [...miss];
    // A full step where it helps, less where it does not; a few sixths run freely where none does.
    const found = eliminate(A, by) && by.every((d) => Number.isFinite(d));
    const tried = found
      ? [1, 0.4, 0.1].map((share) => y.map((v, i) => v + share * (by[i] ?? 0) * (units[i] ?? 1)))
      : [];
    const better = tried.find(
      (next) => inReach(next.at(-1) ?? 0) && size(missOf(after(next), next)) < 0.9 * size(miss),
    );
    y = better ?? to;
    if (!better) for (let i = 0; i < 5; i++) y = after(y);
  }
  return told(integrator, best, settled || nearest < nearEnough);
}

function told(integrator: Integrator, y: readonly number[], settled: boolean): RectifierRun {
  const { spec } = integrator;
  const n = spec.bridges.length;
  const x = new Float64Array(3 * n + 1);
  spread(y, n, x);
  const lines = [0, 1, 2].map(() => new Float64Array(steps));
  let [sum, dcCrest] = [0, 0];
  integrator.sixth(x, (s, state) => {
    sum += state[3 * n] ?? 0;
    dcCrest = Math.max(dcCrest, state[3 * n] ?? 0);
    for (const [b, { shift }] of spec.bridges.entries()) {
      // Turned back by the winding's shift, in the plane of the three lines.
      for (let line = 0; line < 3; line++) {
        let own = 0;
        for (let i = 0; i < 3; i++) own += (2 / 3) * Math.cos(shift + third * (line - i)) * (state[3 * b + i] ?? 0);
        const row = lines[line];
        if (row) row[s] = (row[s] ?? 0) + own;
      }
    }
  });
  // A sixth later line a carries what b carried, turned; so a period of one line is made of the sixths of all three.
  const order = [0, 1, 2, 0, 1, 2] as const;
  const wave = order.flatMap((line, s) => [...(lines[line] ?? [])].map((i) => (s % 2 === 0 ? i : -i)));
  const crests: number[] = [];
  const angles: number[] = [];
  for (let h = 1; h <= highestOrder; h++) {
    let [re, im] = [0, 0];
    if (h % 2 === 1 && h % 3 !== 0)
      for (let k = 0; k < period; k++) {
        const at = (h * k) % period;
        re += (wave[k] ?? 0) * (cosines[at] ?? 0);
        im += (wave[k] ?? 0) * (cosines[(at + (3 * period) / 4) % period] ?? 0);
      }
    crests.push((2 * Math.hypot(re, im)) / wave.length);
    angles.push(Math.atan2(-im, re));
  }
  const fundamental = (crests[0] ?? 0) / Math.SQRT2;
  const harmonics = Math.hypot(...crests.slice(1)) / Math.SQRT2;
  const current = Math.hypot(fundamental, harmonics);
  return {
    ...{ crests, angles, current, fundamental, wave, settled },
    distortion: harmonics / fundamental,
    powerFactor: spec.power / (Math.sqrt(3) * spec.voltage * current),
    dcVoltage: sum / steps,
    dcFirst: y.at(-1) ?? NaN,
    dcCrest,
  };
}
