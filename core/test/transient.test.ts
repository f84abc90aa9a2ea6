import { describe, expect, it } from 'vitest';
import { physics, q } from '@pilgrim/core';

const { crestRise, currentAt, firstCycles, firstPeak, pointAt, runUp, saturationOf, torqueAt } = physics;
type Circuit = physics.Circuit;
type Feed = physics.Feed;

/** Krause, Wasynczuk and Sudhoff, Analysis of Electric Machinery, table 4.10-1 (from memory): 60 Hz, four poles. */
const krause = {
  '3 hp': { U: 220, n: 1710, rs: 0.435, x: 0.754, xm: 26.13, rr: 0.816, J: 0.089 },
  '50 hp': { U: 460, n: 1705, rs: 0.087, x: 0.302, xm: 13.08, rr: 0.228, J: 1.662 },
  '500 hp': { U: 2300, n: 1773, rs: 0.262, x: 1.206, xm: 54.02, rr: 0.187, J: 11.06 },
  '2250 hp': { U: 2300, n: 1786, rs: 0.029, x: 0.226, xm: 13.04, rr: 0.022, J: 63.87 },
} as const;

const circuitOf = (m: (typeof krause)[keyof typeof krause]): Circuit => ({
  poles: 4,
  voltage: m.U,
  frequency: 60,
  statorResistance: m.rs,
  statorReactance: m.x,
  rotorResistance: m.rr,
  rotorReactance: m.x,
  magnetisingReactance: m.xm,
  coreLoss: 0,
  frictionLoss: 0,
  ratedSpeed: m.n,
});
const feed = (c: Circuit): Feed => ({
  voltage: c.voltage,
  frequency: c.frequency,
  resistance: 0,
  reactance: 0,
  cable: { resistance: 0, reactance: 0 },
});
const idle = { torque: 0, speed: 1780, shape: { kind: 'constant' }, startRatio: 1, breakaway: 0 } as const;
const free = (m: (typeof krause)[keyof typeof krause], duration: number) =>
  firstCycles({
    circuit: circuitOf(m),
    feed: feed(circuitOf(m)),
    inertia: m.J,
    load: idle,
    switching: { kind: 'direct' },
    duration,
  });
const reaches = (t: physics.Transient, n: number): number => t.time[t.speed.findIndex((v) => v >= n)] ?? NaN;

describe('free acceleration of textbook machines (the book’s figures 4.10, from memory)', () => {
  it('3 hp comes up in about a third of a second, pulsating at 60 Hz about its mean at first, without overshoot', () => {
    const t = free(krause['3 hp'], 0.6);
    expect(reaches(t, 0.95 * 1800)).toBeGreaterThan(0.25);
    expect(reaches(t, 0.95 * 1800)).toBeLessThan(0.45);
    // About ten times base torque (11.9 N·m) at the first crest.
    expect(t.peakTorque / 11.9).toBeGreaterThan(8);
    expect(t.peakTorque / 11.9).toBeLessThan(13);
    expect(Math.max(...t.speed)).toBeLessThan(1806);
    const crests = [...t.torque].flatMap((v, i, all) =>
      i > 0 && t.time[i] !== undefined && t.time[i] < 0.1 && v > (all[i - 1] ?? 0) && v >= (all[i + 1] ?? 0) && v > 60
        ? [t.time[i]]
        : [],
    );
    expect(((crests[2] ?? NaN) - (crests[0] ?? NaN)) / 2 - 1 / 60).toBeLessThan(0.001);
  });
  it('50 hp in about half a second', () => {
    expect(reaches(free(krause['50 hp'], 1), 0.95 * 1800)).toBeGreaterThan(0.4);
    expect(reaches(free(krause['50 hp'], 1), 0.95 * 1800)).toBeLessThan(0.7);
  });
  it(
    'the large ones overshoot synchronous speed and swing about it; 500 hp ' +
      'takes about a second and a half, 2250 hp two and a half',
    () => {
      const [five, twenty] = [free(krause['500 hp'], 3), free(krause['2250 hp'], 4)];
      expect(Math.max(...five.speed)).toBeGreaterThan(1815);
      expect(Math.max(...twenty.speed)).toBeGreaterThan(1820);
      expect(reaches(five, 0.95 * 1800)).toBeGreaterThan(1.2);
      expect(reaches(five, 0.95 * 1800)).toBeLessThan(1.7);
      expect(reaches(twenty, 0.95 * 1800)).toBeGreaterThan(2);
      expect(reaches(twenty, 0.95 * 1800)).toBeLessThan(3);
      expect(five.endSpeed).toBeCloseTo(1800, 0);
      // Torque swings below nought while it starts.
      expect(twenty.leastTorque).toBeLessThan(0);
    },
  );
});

describe('against the circuit in its steady state', () => {
  const c: Circuit = { ...circuitOf(krause['500 hp']), cage2: { resistance: 0.9, reactance: 0.8 } };
  it.each([
    ['one cage', circuitOf(krause['500 hp'])],
    ['two cages', c],
  ] as const)('%s: with the load on, current, torque and speed within 0.1 %%', (_, circuit) => {
    const load = { ...idle, torque: 1800, breakaway: 100, shape: { kind: 'quadratic' } } as const;
    const t = firstCycles({
      circuit,
      feed: feed(circuit),
      inertia: 11,
      load,
      switching: { kind: 'direct' },
      duration: 12,
    });
    const end = pointAt(circuit, 2300, 60, 1 - t.endSpeed / 1800);
    expect(Math.abs(t.endTorque / end.torque - 1)).toBeLessThan(0.001);
    expect(Math.abs(t.endCurrent / (Math.SQRT2 * end.current) - 1)).toBeLessThan(0.001);
    const met = runUp({ circuit, feed: feed(circuit), inertia: 11, load, stallTime: 12, plan: { method: 'direct' } });
    expect(Math.abs(t.endSpeed / (met.finalSpeed ?? NaN) - 1)).toBeLessThan(0.001);
  });
  it('friction takes its part: what it takes at each speed is missing from the shaft', () => {
    const m = krause['50 hp'];
    const run = (frictionLoss: number) =>
      firstCycles({
        circuit: { ...circuitOf(m), frictionLoss },
        feed: feed(circuitOf(m)),
        inertia: m.J,
        load: idle,
        switching: { kind: 'direct' },
        duration: 2,
      });
    const [without, having] = [run(0), run(4000)];
    expect(without.endSpeed).toBeGreaterThan(having.endSpeed);
    // Fans and bearings take the cube of the speed, from 4 kW at rated speed; the circuit's torque there is theirs.
    const n = having.endSpeed;
    const taken = (4000 * (n / m.n) ** 3) / ((n * Math.PI) / 30);
    expect(Math.abs(torqueAt(circuitOf(m), m.U, 60, 1 - n / 1800) / taken - 1)).toBeLessThan(0.01);
  });
  it('held at standstill, current and torque settle to locked rotor within 0.1 %', () => {
    const cage2 = { resistance: 0.9, reactance: 0.5 };
    for (const circuit of [circuitOf(krause['500 hp']), c, { ...circuitOf(krause['500 hp']), cage2 }]) {
      const t = firstCycles({
        circuit,
        feed: feed(circuit),
        inertia: 1e9,
        load: idle,
        switching: { kind: 'direct' },
        duration: 12,
      });
      expect(Math.abs(t.endCurrent / (Math.SQRT2 * currentAt(circuit, 2300, 60, 1)) - 1)).toBeLessThan(0.001);
      expect(Math.abs(t.endTorque / torqueAt(circuit, 2300, 60, 1) - 1)).toBeLessThan(0.001);
    }
  });
  it('its first crest is the standard’s peak factor of the locked-rotor current, within a twelfth', () => {
    for (const m of Object.values(krause)) {
      const circuit = circuitOf(m);
      const t = firstCycles({
        circuit,
        feed: feed(circuit),
        inertia: 1e9,
        load: idle,
        switching: { kind: 'direct' },
        duration: 0.05,
      });
      const still = pointAt(circuit, m.U, 60, 1);
      const r = still.powerFactor / Math.sqrt(1 - still.powerFactor ** 2);
      const k = crestRise(saturationOf(circuit), still.current, r, 1);
      const factor = firstPeak.of({ I: q(still.current), r: q(r), k: q(k) });
      expect(Math.abs(t.peakCurrent / factor - 1)).toBeLessThan(1 / 12);
    }
  });
  it('the run-up without transients is somewhat quicker, for the first cycles pull back: up to a fifth', () => {
    for (const m of [krause['500 hp'], krause['2250 hp']]) {
      const circuit = circuitOf(m);
      const slow = runUp({
        circuit,
        feed: feed(circuit),
        inertia: m.J,
        load: idle,
        stallTime: 12,
        plan: { method: 'direct' },
      });
      const ratio = reaches(free(m, 4), 0.95 * 1800) / (slow.time ?? NaN);
      expect(ratio).toBeGreaterThan(0.98);
      expect(ratio).toBeLessThan(1.2);
    }
  });
});

describe('changing from star to delta', () => {
  const c = circuitOf(krause['50 hp']);
  const change = (pause: number, shift: number) =>
    firstCycles({
      circuit: c,
      feed: feed(c),
      inertia: 4,
      load: { ...idle, torque: 60, breakaway: 10 },
      switching: { kind: 'star-delta', speed: 1650, pause, shift },
      duration: 0.5,
    });
  it('an open transition leaves a voltage behind that dies away with the pause', () => {
    const short = change(0.02, 30);
    const long = change(0.3, 30);
    expect(short.residual).toBeGreaterThan(long.residual);
    expect(long.residual).toBeLessThan(0.2);
    expect(short.residual).toBeLessThan(1 / Math.sqrt(3) + 0.01);
  });
  it('reconnected badly, its first crest exceeds that of a direct start', () => {
    const worst = Math.max(
      ...[0.02, 0.03, 0.04, 0.05].flatMap((p) => [change(p, 30).peakCurrent, change(p, -30).peakCurrent]),
    );
    const direct = firstCycles({
      circuit: c,
      feed: feed(c),
      inertia: 4,
      load: idle,
      switching: { kind: 'direct' },
      duration: 0.1,
    });
    expect(worst).toBeGreaterThan(direct.peakCurrent);
  });
  it('what is drawn begins with the reconnection and lasts as long as asked', () => {
    const { time } = change(0.05, 30);
    expect(time[0]).toBe(0);
    expect(time.at(-1)).toBeGreaterThan(0.49);
    expect(time.at(-1)).toBeLessThanOrEqual(0.5 + 1e-9);
  });
  it('comes up to speed after it', () => {
    expect(change(0.05, 30).endSpeed).toBeGreaterThan(1700);
  });
});

describe('a double cage held at standstill', () => {
  const single = circuitOf(krause['50 hp']);
  const double: Circuit = { ...single, cage2: { resistance: 1.1, reactance: 0.18 } };
  const held = (c: Circuit) =>
    firstCycles({
      circuit: c,
      feed: feed(c),
      inertia: 1e9,
      load: idle,
      switching: { kind: 'direct' },
      duration: 0.6,
    });
  const last = (t: physics.Transient, column: ArrayLike<number>): number[] =>
    [...t.time].flatMap((time, i) => (time > 0.5 ? [column[i] ?? NaN] : []));
  it.each([
    ['one cage', single],
    ['two cages', double],
  ] as const)('%s: the transient dies away to the phasor circuit’s current and torque', (_, c) => {
    const t = held(c);
    const crest = Math.max(...last(t, t.current).map(Math.abs));
    expect(crest / (Math.SQRT2 * currentAt(c, c.voltage, c.frequency, 1))).toBeCloseTo(1, 1);
    const torque = last(t, t.torque);
    const mean = torque.reduce((a, b) => a + b, 0) / torque.length;
    expect(mean / torqueAt(c, c.voltage, c.frequency, 1)).toBeCloseTo(1, 1);
  });
  it('opened for a moment, the flux of both cages stands in the winding: nearly the star’s voltage is left', () => {
    for (const c of [single, double]) {
      const { residual } = firstCycles({
        circuit: c,
        feed: feed(c),
        inertia: 1.7,
        load: idle,
        switching: { kind: 'star-delta', speed: 1700, pause: 0.002, shift: 30 },
        duration: 0.1,
      });
      // The star leaves 1/√3 of the line on a phase, less the drop over the stator's leakage.
      expect(residual).toBeGreaterThan(0.85 / Math.sqrt(3));
      expect(residual).toBeLessThan(1.02 / Math.sqrt(3));
    }
  });
  it('the second cage is seen: it draws and pulls more than the first alone', () => {
    expect(held(double).peakTorque).toBeGreaterThan(1.1 * held(single).peakTorque);
  });
});
