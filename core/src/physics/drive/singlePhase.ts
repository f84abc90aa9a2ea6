import { highestOrder } from './rectifier';

/** A bridge of four diodes on one phase: V, Hz; H in its loop, above 0; F; W taken from the capacitor, above 0. */
export interface SinglePhaseSpec {
  readonly voltage: number;
  readonly frequency: number;
  readonly inductance: number;
  readonly capacitance: number;
  readonly power: number;
}

/** How it runs, as of `RectifierRun`; `crests` by order from 1. */
export interface SinglePhaseRun {
  readonly crests: readonly number[];
  readonly current: number;
  readonly fundamental: number;
  readonly distortion: number;
  readonly powerFactor: number;
  readonly dcVoltage: number;
  /** A and V where the half period begins. */
  readonly first: readonly [current: number, voltage: number];
  readonly wave: readonly number[];
  readonly settled: boolean;
}

/** Steps in half a period; every fourth is kept of the waveform. */
const steps = 576;
const kept = 4;

/**
 * A diode bridge on one phase in time: L di/dt = |e| − v while it conducts, C dv/dt = i − P/v; classical Runge–Kutta,
 * the current cut off where it comes to nothing. Steady where half a period repeats, by Newton's method on its
 * beginning.
 */
export function runSinglePhase(spec: SinglePhaseSpec): SinglePhaseRun {
  const { voltage, frequency, inductance: L, capacitance: C, power: P } = spec;
  const crest = Math.SQRT2 * voltage;
  const omega = 2 * Math.PI * frequency;
  const h = Math.PI / omega / steps;
  const units = [P / voltage, crest] as const;
  // From where the voltage crosses nothing: half a period of one sign.
  const half = (
    from: readonly [number, number],
    seen?: (k: number, i: number, v: number) => void,
  ): [number, number] => {
    let [i, v] = from;
    for (let k = 0; k < steps; k++) {
      seen?.(k, i, v);
      const t = k * h;
      const e = (at: number): number => crest * Math.abs(Math.sin(omega * (t + at)));
      const on = i > 0 || e(h / 2) > v;
      const di = (at: number, volts: number): number => (on ? (e(at) - volts) / L : 0);
      const dv = (amperes: number, volts: number): number => (amperes - P / Math.max(volts, 0.05 * crest)) / C;
      const [a1, b1] = [di(0, v), dv(i, v)];
      const [a2, b2] = [di(h / 2, v + (h / 2) * b1), dv(i + (h / 2) * a1, v + (h / 2) * b1)];
      const [a3, b3] = [di(h / 2, v + (h / 2) * b2), dv(i + (h / 2) * a2, v + (h / 2) * b2)];
      const [a4, b4] = [di(h, v + h * b3), dv(i + h * a3, v + h * b3)];
      const next = i + (h / 6) * (a1 + 2 * a2 + 2 * a3 + a4);
      const slope = (b1 + 2 * b2 + 2 * b3 + b4) / 6;
      // A diode lets nothing back.
      const through = next >= 0 ? 1 : i > 0 ? i / (i - next) : 0;
      v += h * (through * slope + (1 - through) * dv(0, v));
      i = Math.max(0, next);
    }
    return [i, v];
  };
  let y: [number, number] = [0, 0.9 * crest];
  for (let round = 0; round < 8; round++) y = half(y);
  let settled = false;
  const miss = (to: readonly number[], from: readonly number[]): [number, number] => [
    ((to[0] ?? 0) - (from[0] ?? 0)) / units[0],
    ((to[1] ?? 0) - (from[1] ?? 0)) / units[1],
  ];
  for (let round = 0; round < 40 && !settled; round++) {
    const to = half(y);
    const m = miss(to, y);
    settled = Math.max(Math.abs(m[0]), Math.abs(m[1])) < 1e-6;
    if (settled) break;
    const d = 1e-4;
    const [byI, byV] = [half([y[0] + d * units[0], y[1]]), half([y[0], y[1] + d * units[1]])];
    const [a, c] = miss(byI, to).map((x) => x / d) as [number, number];
    const [b, e] = miss(byV, to).map((x) => x / d) as [number, number];
    // (1 − J) step = miss
    const det = (1 - a) * (1 - e) - b * c;
    const by: [number, number] = [(m[0] * (1 - e) + b * m[1]) / det, (m[1] * (1 - a) + c * m[0]) / det];
    const next: [number, number] = [Math.max(0, y[0] + by[0] * units[0]), y[1] + by[1] * units[1]];
    y = Number.isFinite(det) && next[1] > 0.2 * crest && next[1] < 1.4 * crest ? next : half(to);
  }
  const wave: number[] = [];
  let sum = 0;
  half(y, (k, i, v) => {
    if (k % kept === 0) wave.push(i);
    sum += v;
  });
  wave.push(...wave.map((i) => -i));
  const crests: number[] = [];
  for (let order = 1; order <= highestOrder; order++) {
    let [re, im] = [0, 0];
    for (const [k, i] of wave.entries()) {
      const angle = (2 * Math.PI * order * k) / wave.length;
      re += i * Math.cos(angle);
      im += i * Math.sin(angle);
    }
    crests.push((2 * Math.hypot(re, im)) / wave.length);
  }
  const fundamental = (crests[0] ?? 0) / Math.SQRT2;
  const harmonics = Math.hypot(...crests.slice(1)) / Math.SQRT2;
  const current = Math.hypot(fundamental, harmonics);
  return {
    ...{ crests, current, fundamental, wave, settled, first: y },
    distortion: harmonics / fundamental,
    powerFactor: P / (voltage * current),
    dcVoltage: sum / steps,
  };
}
