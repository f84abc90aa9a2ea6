import { Solver } from 'odex';
import type { physics } from '@pilgrim/core';

/**
 * A six-pulse rectifier's line current over one period, by a general ODE package (odex 2.0.4) on the same equations,
 * written apart from the simulation: from a state of three line currents and the DC voltage, its diodes
 * switched where a bisection finds it.
 */
export function rectifierByPackage(
  spec: Omit<physics.RectifierSpec, 'bridges'>,
  points: number,
  from: readonly [a: number, b: number, c: number, dc: number],
): { readonly wave: number[]; readonly distortion: number; readonly dcVoltage: number } {
  const { inductance: L, dcInductance: Ld, capacitance: C, power: P } = spec;
  const crest = spec.voltage * Math.sqrt(2 / 3);
  const omega = 2 * Math.PI * spec.frequency;
  const emf = (t: number): number[] => [0, 1, 2].map((k) => crest * Math.cos(omega * t - (2 * Math.PI * k) / 3));
  let up: number[] = [];
  let down: number[] = [];
  const mean = (e: number[], of: number[]): number => of.reduce((sum, k) => sum + (e[k] ?? 0), 0) / of.length;
  /** Slope of the DC current and both rails. */
  const rails = (t: number, v: number) => {
    const e = emf(t);
    const slope = (mean(e, up) - mean(e, down) - v) / (L / up.length + L / down.length + Ld);
    return { e, slope, plus: mean(e, up) - (L / up.length) * slope, minus: mean(e, down) + (L / down.length) * slope };
  };
  const rates = (t: number, y: number[]): number[] => {
    const v = y[3] ?? 0;
    if (up.length === 0) return [0, 0, 0, -P / v / C];
    const { e, plus, minus } = rails(t, v);
    const dc = up.reduce((sum, k) => sum + (y[k] ?? 0), 0);
    const slopes = [0, 1, 2].map((k) =>
      up.includes(k) ? ((e[k] ?? 0) - plus) / L : down.includes(k) ? ((e[k] ?? 0) - minus) / L : 0,
    );
    return [...slopes, (dc - P / v) / C];
  };
  const solver = new Solver(4);
  solver.relativeTolerance = 1e-8;
  solver.absoluteTolerance = 1e-8;
  solver.maxSteps = 10_000;
  const to = (from: number, y: number[], end: number): number[] => solver.solve(rates, from, y, end).y;
  /** What must change now, or nothing. */
  const due = (t: number, y: number[]): (() => void) | undefined => {
    const e = emf(t);
    if (up.length === 0) {
      const [hi, lo] = [e.indexOf(Math.max(...e)), e.indexOf(Math.min(...e))];
      if ((e[hi] ?? 0) - (e[lo] ?? 0) <= (y[3] ?? 0)) return undefined;
      return () => ([up, down] = [[hi], [lo]]);
    }
    const stopped = [...up.filter((k) => (y[k] ?? 0) < -1e-9), ...down.filter((k) => (y[k] ?? 0) > 1e-9)][0];
    if (stopped !== undefined)
      return () => {
        up = up.filter((k) => k !== stopped);
        down = down.filter((k) => k !== stopped);
        if (up.length === 0 || down.length === 0) [up, down] = [[], []];
      };
    const { plus, minus } = rails(t, y[3] ?? 0);
    const free = [0, 1, 2].find((k) => !up.includes(k) && !down.includes(k));
    if (free === undefined) return undefined;
    if ((e[free] ?? 0) > plus + 1e-9) return () => up.push(free);
    return (e[free] ?? 0) < minus - 1e-9 ? () => down.push(free) : undefined;
  };
  let y: number[] = [...from];
  const flows = 1e-6 * Math.max(...from.slice(0, 3).map(Math.abs));
  for (const k of [0, 1, 2]) {
    if ((y[k] ?? 0) > flows) up.push(k);
    if ((y[k] ?? 0) < -flows) down.push(k);
  }
  const wave: number[] = [];
  const h = 1 / spec.frequency / points;
  let volts = 0;
  for (let n = 0; n < points; n++) {
    wave.push(y[0] ?? 0);
    volts += (y[3] ?? 0) / points;
    let t = n * h;
    const end = (n + 1) * h;
    for (let cuts = 0; cuts < 20; cuts++) {
      for (let m = 0; m < 6; m++) due(t, y)?.();
      const next = to(t, y, end);
      if (!due(end, next)) {
        y = next;
        break;
      }
      let [low, high] = [t, end];
      for (let k = 0; k < 24; k++) {
        const mid = (low + high) / 2;
        if (due(mid, to(t, y, mid))) high = mid;
        else low = mid;
      }
      y = to(t, y, high);
      t = high;
      due(t, y)?.();
      for (let k = 0; k < 3; k++) if (!up.includes(k) && !down.includes(k)) y[k] = 0;
      if (end - t < 1e-12) break;
    }
  }
  const harmonic = (order: number): number => {
    const [re, im] = [Math.cos, Math.sin].map((f) =>
      wave.reduce((sum, i, k) => sum + i * f((2 * Math.PI * order * k) / points), 0),
    );
    return Math.hypot(re ?? 0, im ?? 0);
  };
  const orders = [5, 7, 11, 13, 17, 19, 23, 25, 29, 31, 35, 37, 41, 43, 47, 49];
  return { wave, distortion: Math.hypot(...orders.map(harmonic)) / harmonic(1), dcVoltage: volts };
}
