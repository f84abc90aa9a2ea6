import fc from 'fast-check';
import { Solver } from 'odex';
import { describe, expect, it } from 'vitest';
import { physics, runs } from '@pilgrim/core';
import { rectifierByPackage } from './rectifierByPackage';

const [voltage, frequency, power] = [400, 50, 22_000];
const omega = 2 * Math.PI * frequency;
const base = (voltage * voltage) / power;
const six = [{ shift: 0, emf: 1 }];

/** A rectifier by per-unit reactances of line and DC side, and µF for each kW. */
const spec = (x: number, capacitor: number, dc = 0): physics.RectifierSpec => ({
  ...{ voltage, frequency, power },
  inductance: (x * base) / omega,
  dcInductance: (dc * base) / omega,
  capacitance: (capacitor * 1e-6 * power) / 1000,
  bridges: six,
});
const run = (x: number, capacitor: number, dc = 0): physics.RectifierRun =>
  physics.runRectifier(spec(x, capacitor, dc));
/** The lines follow each other by a third of a period. */
const startOf = ({ wave, dcFirst }: physics.RectifierRun) => {
  const at = (third: number): number => wave[((third * wave.length) / 3) % wave.length] ?? NaN;
  return [at(0), at(2), at(1), dcFirst] as const;
};
const share = (r: physics.RectifierRun, order: number): number => (r.crests[order - 1] ?? 0) / (r.crests[0] ?? 1);

describe('a six-pulse rectifier in time', () => {
  it('distorts as handbooks print: no choke on a stiff source .96 at 15 µF/kW and 1.5 at 40; 3 % with a 2.5 % source', () => {
    // Application guides of drives, from memory.
    expect(run(1 / 400, 15).distortion).toBeCloseTo(0.96, 1);
    expect(run(1 / 400, 40).distortion).toBeCloseTo(1.45, 1);
    expect(run(0.03 + 0.025, 15).distortion).toBeGreaterThan(0.37);
    expect(run(0.03 + 0.025, 15).distortion).toBeLessThan(0.47);
    expect(run(0.03, 25).distortion).toBeCloseTo(0.53, 1);
    expect(run(0.05 + 0.025, 10).distortion).toBeGreaterThan(0.31);
    expect(run(0.05 + 0.025, 10).distortion).toBeLessThan(0.37);
  });
  it('behind a very large choke its current is a block: harmonics fall as 1/h, distortion to 0.31', () => {
    const r = run(0.0005, 40, 3);
    for (const order of [5, 7, 11, 13]) expect(share(r, order)).toBeCloseTo(1 / order, 2);
    expect(r.distortion).toBeGreaterThan(0.27);
    expect(r.distortion).toBeLessThan(0.32);
    // 1.35 of the line voltage, 3/π of the crest.
    expect(r.dcVoltage).toBeCloseTo((3 / Math.PI) * Math.SQRT2 * voltage, -1);
  });
  it('draws characteristic harmonics alone, and the power it gives', () => {
    for (const [x, c] of [
      [0.0025, 15],
      [0.03, 40],
      [0.08, 20],
    ] as const) {
      // prettier-ignore
      const r = run(x, c);
      expect(r.settled).toBe(true);
      for (const order of [2, 3, 4, 6, 9, 15]) expect(share(r, order)).toBe(0);
      const drawn = Math.sqrt(3) * voltage * r.fundamental * Math.cos(r.angles[0] ?? NaN);
      expect(drawn / power).toBeCloseTo(1, 2);
      expect(r.powerFactor).toBeCloseTo(power / (Math.sqrt(3) * voltage * r.current), 9);
    }
  });
  it.each([
    [0.005, 15, 0],
    [0.03, 40, 0],
    [0.055, 20, 0],
    [0.01, 40, 0.06],
  ] as const)('x = %d, %d µF/kW, DC choke %d: as by a general ODE package within 1 %%', (x, capacitor, dc) => {
    const ours = run(x, capacitor, dc);
    const theirs = rectifierByPackage(spec(x, capacitor, dc), 288, startOf(ours));
    expect(ours.distortion / theirs.distortion).toBeGreaterThan(0.99);
    expect(ours.distortion / theirs.distortion).toBeLessThan(1.01);
    expect(ours.dcVoltage / theirs.dcVoltage).toBeCloseTo(1, 3);
    const most = Math.max(...theirs.wave);
    const off = Math.max(...ours.wave.map((i, k) => Math.abs(i - (theirs.wave[k] ?? NaN))));
    expect(off / most).toBeLessThan(0.01);
  });
  it('twelve pulses leave no 5th and 7th, eighteen no 11th and 13th, as far as their bridges are alike', () => {
    const of = (n: number, unbalance: number): physics.RectifierRun =>
      physics.runRectifier({
        ...spec(n * 0.05, 40),
        bridges: Array.from({ length: n }, (_, i) => ({
          shift: ((i - (n - 1) / 2) * Math.PI) / 3 / n,
          emf: 1 + unbalance * (i - (n - 1) / 2),
        })),
      });
    for (const order of [5, 7, 17, 19]) expect(share(of(2, 0), order)).toBeLessThan(0.002);
    for (const order of [5, 7, 11, 13]) expect(share(of(3, 0), order)).toBeLessThan(0.002);
    expect(share(of(2, 0.015), 5)).toBeGreaterThan(0.02);
    expect(share(of(2, 0), 11)).toBeGreaterThan(0.03);
  });
  it('as a generic drive: twelve pulses about 11 %, eighteen 5 %, active below 5 %', () => {
    const of = (kind: 'six-pulse' | 'twelve-pulse' | 'eighteen-pulse' | 'active'): number =>
      runs.drawnBy(kind, 0.02, 0, 0.014 * 40)?.distortion ?? NaN;
    expect(of('twelve-pulse')).toBeGreaterThan(0.08);
    expect(of('twelve-pulse')).toBeLessThan(0.14);
    expect(of('eighteen-pulse')).toBeGreaterThan(0.03);
    expect(of('eighteen-pulse')).toBeLessThan(0.07);
    expect(of('active')).toBeLessThan(0.05);
    expect(of('six-pulse')).toBeGreaterThan(0.4);
  });
  it('whatever its choke and capacitor, it settles to finite numbers or says that it does not', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.002, max: 0.15, noNaN: true }), fc.integer({ min: 10, max: 80 }), (x, c) => {
        const r = run(x, c);
        if (!r.settled) return;
        expect(r.distortion).toBeGreaterThan(0.1);
        expect(r.distortion).toBeLessThan(2);
        expect(r.powerFactor).toBeLessThanOrEqual(1);
      }),
      { numRuns: 60 },
    );
  });
  it('settles also where a valve takes over at the very end of a sixth', () => {
    for (const x of [0.01428013807971962, 0.01478526339575009, 0.018851134354192955, 0.038317707244527224]) {
      const [before, at, beyond] = [run(0.999 * x, 40), run(x, 40), run(1.001 * x, 40)];
      expect(at.settled).toBe(true);
      expect(at.distortion / ((before.distortion + beyond.distortion) / 2)).toBeCloseTo(1, 2);
    }
  });
  it('more reactance never distorts more', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.1, noNaN: true }), (x) => {
        expect(run(x * 1.2, 40).distortion).toBeLessThan(run(x, 40).distortion * 1.002);
      }),
      { numRuns: 30 },
    );
  });
});

describe('harmonics of several drives', () => {
  it('add straight below the fifth, by exponents 1.4 and 2 above (IEC 61000-3-6, Table 3)', () => {
    const sum = new Map(physics.together([[[3, 2], [5, 10], [11, 3]], [[3, 2], [5, 10], [11, 4]]])); // prettier-ignore
    expect(sum.get(3)).toBeCloseTo(4, 9);
    expect(sum.get(5)).toBeCloseTo(10 * 2 ** (1 / 1.4), 9);
    expect(sum.get(11)).toBeCloseTo(5, 9);
  });
  it('raise voltage by order, reactance and current: 10 A of the 5th behind 0.02 Ω on 400 V is 0.43 %', () => {
    expect(physics.voltageShares([[5, 10]], 0.02, 400)[0]?.[1]).toBeCloseTo((5 * 0.02 * 10 * Math.sqrt(3)) / 400, 12);
  });
});

describe('a bridge on one phase in time', () => {
  const [U, P] = [230, 1500];
  const loop = (x: number, capacitor: number): physics.SinglePhaseSpec => ({
    ...{ voltage: U, frequency, power: P },
    inductance: (x * U * U) / P / omega,
    capacitance: (capacitor * 1e-6 * P) / 1000,
  });
  /** The same equations by a general package (odex 2.0.4), in pieces short against their events. */
  function byPackage(
    spec: physics.SinglePhaseSpec,
    first: readonly [number, number],
  ): { readonly current: number; readonly dc: number; readonly end: number } {
    const solver = new Solver(2);
    [solver.relativeTolerance, solver.absoluteTolerance, solver.maxSteps] = [1e-8, 1e-8, 10_000];
    const crest = Math.SQRT2 * spec.voltage;
    const e = (t: number): number => crest * Math.abs(Math.sin(omega * t));
    const pieces = 4000;
    const h = Math.PI / omega / pieces;
    let y: number[] = [...first];
    let [square, sum] = [0, 0];
    for (let k = 0; k < pieces; k++) {
      const [i = 0, v = 0] = y;
      const on = i > 0 || e(k * h) > v;
      const next = solver.solve(
        (t, [, w = 0]) => [on ? (e(t) - w) / spec.inductance : 0, ((on ? i : 0) - spec.power / w) / spec.capacitance],
        k * h,
        y,
        (k + 1) * h,
      ).y;
      y = [Math.max(0, next[0] ?? 0), next[1] ?? 0];
      square += (y[0] ?? 0) ** 2 / pieces;
      sum += (y[1] ?? 0) / pieces;
    }
    return { current: Math.sqrt(square), dc: sum, end: y[1] ?? 0 };
  }
  it.each([
    [0.02, 300],
    [0.05, 200],
    [0.1, 400],
  ])('with %f of reactance and %i µF/kW as a general package has it, within 1 %%', (x, capacitor) => {
    const ours = physics.runSinglePhase(loop(x, capacitor));
    const theirs = byPackage(loop(x, capacitor), ours.first);
    // From the beginning that was found, half a period repeats.
    expect(theirs.end / ours.first[1]).toBeCloseTo(1, 3);
    expect(ours.settled).toBe(true);
    // Ours counts orders to 50.
    expect(ours.current / theirs.current).toBeCloseTo(1, 2);
    expect(ours.dcVoltage / theirs.dc).toBeCloseTo(1, 2);
  });
  it('draws the power it gives, odd harmonics alone, the third most; handbooks print 0.7 to 0.95 of it', () => {
    for (const x of [0.01, 0.02, 0.03]) {
      const r = physics.runSinglePhase(loop(x, 400));
      const drawn = r.wave.reduce((sum, i, k) => sum + i * Math.sin((2 * Math.PI * k) / r.wave.length), 0);
      expect((Math.SQRT2 * U * drawn) / r.wave.length / P).toBeCloseTo(1, 2);
      for (const order of [2, 4, 6]) expect(r.crests[order - 1]).toBeLessThan(1e-9);
      const third = (r.crests[2] ?? 0) / (r.crests[0] ?? 1);
      // Application guides of drives, from memory.
      expect(third).toBeGreaterThan(0.7);
      expect(third).toBeLessThan(0.97);
    }
  });
  it('more reactance never distorts more', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.005, max: 0.06, noNaN: true }), (x) => {
        const at = (reactance: number): number => physics.runSinglePhase(loop(reactance, 400)).distortion;
        expect(at(1.3 * x)).toBeLessThanOrEqual(at(x) * 1.001);
      }),
      { numRuns: 10 },
    );
  });
});
