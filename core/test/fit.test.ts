import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { genericMotors, physics, type Motor } from '@pilgrim/core';
import { textbook } from './circuits';

const { answerLength, at, breakdown, currentAt, deviation, fitCircuit, pointAt, solveAt, torqueAt } = physics;
type Circuit = physics.Circuit;
type MachineData = physics.MachineData;

const dataOf = (m: Motor): MachineData => {
  const c = m.connections.at(-1);
  if (!c) throw new Error(`${m.id} has no connection`);
  return {
    poles: m.poles,
    frequency: m.frequency,
    voltage: c.voltage,
    power: m.power,
    speed: m.speed,
    current: c.current,
    efficiency: m.efficiency,
    lockedRotorCurrent: m.lockedRotorCurrent,
    lockedRotorTorque: m.lockedRotorTorque,
    breakdownTorque: m.breakdownTorque,
    design: m.designLetter,
  };
};

describe('circuits of the whole generic catalogue', () => {
  const motors = genericMotors();
  const fitted = motors.map((m) => {
    const data = { ...dataOf(m), leastBreakdown: m.leastBreakdown };
    return { id: m.id, least: m.leastBreakdown ?? NaN, data, fit: fitCircuit(data) };
  });

  it('all are met: rated values within 1 %, locked-rotor current within 5 %, and no torque less than is owed', () => {
    for (const { id, fit, least } of fitted) {
      expect(fit.reason, id).toBeUndefined();
      const of = (what: string) => fit.met.find((m) => m.what === what) ?? expect.fail();
      for (const what of ['current', 'power', 'powerFactor', 'efficiency'])
        expect(Math.abs(deviation(of(what))), id).toBeLessThanOrEqual(0.01);
      expect(Math.abs(deviation(of('lockedRotorCurrent'))), id).toBeLessThanOrEqual(0.05);
      expect(deviation(of('lockedRotorTorque')), id).toBeGreaterThanOrEqual(-0.05);
      expect(of('breakdownTorque').got, id).toBeGreaterThanOrEqual(0.95 * least);
    }
  });
  it('had somebody measured its torques, one in fifty would not be one machine; the reason names what misses', () => {
    const strict = motors.map((m) => ({ id: m.id, fit: fitCircuit(dataOf(m)) }));
    const missed = strict.filter((f) => f.fit.reason !== undefined);
    expect(missed.length / strict.length).toBeLessThanOrEqual(0.02);
    for (const { fit } of missed) {
      expect(fit.reason).toMatch(/Nearest: .*[+−][0-9.]+ %/);
      // Too little is said with a minus, too much with a plus: the sign of what it misses.
      const off = fit.met.filter((m) => Math.abs(deviation(m)) > 0.05);
      const signs = /Nearest: (.*)\.$/.exec(fit.reason ?? '')?.[1]?.match(/[+−]/g) ?? [];
      expect(signs).toEqual(off.map((m) => (deviation(m) > 0 ? '+' : '−')));
    }
  });
  it('what a fit says it gives is what its circuit gives, solved apart', () => {
    for (const { data, fit } of fitted.filter((_, i) => i % 97 === 0)) {
      const c = fit.circuit;
      const of = (what: string) => fit.met.find((m) => m.what === what)?.got ?? NaN;
      const rated = pointAt(c, c.voltage, c.frequency, 1 - (data.speed * data.poles) / (120 * data.frequency));
      expect(rated.current).toBeCloseTo(of('current'), 8);
      expect(rated.efficiency).toBeCloseTo(of('efficiency'), 10);
      expect(currentAt(c, c.voltage, c.frequency, 1)).toBeCloseTo(of('lockedRotorCurrent'), 8);
    }
  });
  it('no resistance, reactance or loss is negative or nothing', () => {
    for (const { fit } of fitted) {
      const c = fit.circuit;
      for (const x of [
        c.statorResistance,
        c.statorReactance,
        c.rotorResistance,
        c.rotorReactance,
        c.magnetisingReactance,
        c.coreLoss,
        c.frictionLoss,
        c.strayResistance ?? 0,
        c.cage2?.resistance ?? 1,
        c.cage2?.reactance ?? 1,
      ])
        expect(x).toBeGreaterThan(0);
    }
  });
  it('most want two cages; one is kept where it does', () => {
    expect(fitted.filter((f) => f.fit.circuit.cage2).length).toBeGreaterThan(0.9 * fitted.length);
  });
});

/** What a bench would measure of a circuit. */
function measured(c: Circuit, apart: boolean): MachineData {
  const s = 1 - (c.ratedSpeed * c.poles) / (120 * c.frequency);
  const out = new Float64Array(answerLength);
  solveAt(c, c.voltage, c.frequency, s, out);
  const torque = out[at.shaftTorque] ?? NaN;
  return {
    poles: c.poles,
    frequency: c.frequency,
    voltage: c.voltage,
    power: out[at.output] ?? NaN,
    speed: c.ratedSpeed,
    current: out[at.current] ?? NaN,
    efficiency: (out[at.output] ?? NaN) / (out[at.input] ?? NaN),
    lockedRotorCurrent: currentAt(c, c.voltage, c.frequency, 1),
    lockedRotorTorque: torqueAt(c, c.voltage, c.frequency, 1) / torque,
    breakdownTorque: breakdown(c, c.voltage, c.frequency).torque / torque,
    ...(apart
      ? {
          measured: {
            statorResistance: c.statorResistance,
            coreLoss: out[at.coreLoss] ?? 0,
            frictionLoss: c.frictionLoss,
          },
        }
      : {}),
  };
}

/** Largest deviation of torque and current over all slips, ÷ the largest of each. */
function apart(a: Circuit, b: Circuit): { torque: number; current: number } {
  let [torque, current] = [0, 0];
  const most = breakdown(a, a.voltage, a.frequency).torque;
  const locked = currentAt(a, a.voltage, a.frequency, 1);
  for (let i = 1; i <= 100; i++) {
    const s = 0.001 * 1000 ** (i / 100);
    torque = Math.max(
      torque,
      Math.abs(torqueAt(a, a.voltage, a.frequency, s) - torqueAt(b, b.voltage, b.frequency, s)) / most,
    );
    current = Math.max(
      current,
      Math.abs(currentAt(a, a.voltage, a.frequency, s) - currentAt(b, b.voltage, b.frequency, s)) / locked,
    );
  }
  return { torque, current };
}

describe('a known circuit’s own data', () => {
  const base: Circuit = { ...textbook, coreLoss: 200 };
  const known: readonly (readonly [string, Circuit])[] = [
    ['25 hp, one cage (textbook)', base],
    ['460 V, one cage, equal leakages (textbook)', { ...base, statorResistance: 0.25, statorReactance: 0.5, rotorResistance: 0.2, rotorReactance: 0.5, magnetisingReactance: 30, ratedSpeed: 1740 }],
    ['500 hp, one cage (textbook)', { ...base, voltage: 2300, statorResistance: 0.262, statorReactance: 1.206, rotorResistance: 0.187, rotorReactance: 1.206, magnetisingReactance: 54.02, coreLoss: 3000, frictionLoss: 2000, ratedSpeed: 1773 }],
    ['two cages, deep bar', { ...base, rotorResistance: 0.42, rotorReactance: 1.9, cage2: { resistance: 1.6, reactance: 0.55 } }],
    ['two cages, strong outer one', { ...base, rotorResistance: 0.36, rotorReactance: 2.6, cage2: { resistance: 3.2, reactance: 0.8 } }],
  ]; // prettier-ignore
  it.each(known)('%s: losses and stator measured apart, its curves come back within 2 %%', (_, c) => {
    const off = apart(c, fitCircuit(measured(c, true)).circuit);
    expect(off.torque).toBeLessThan(0.02);
    expect(off.current).toBeLessThan(0.02);
  });
  it('from plate data alone the points are met, and the curves between them stay within 6 %', () => {
    for (const [, c] of known) {
      const fit = fitCircuit(measured(c, false));
      for (const m of fit.met) expect(Math.abs(deviation(m))).toBeLessThan(m.within);
      expect(apart(c, fit.circuit).torque).toBeLessThan(0.06);
    }
  });
});

describe('data that cannot belong to one machine', () => {
  const sound = dataOf(
    genericMotors().find((m) => m.id === 'iec-ip55-ie3-15kW-4p') ?? genericMotors()[0] ?? expect.fail(),
  );
  it('a slip that loses more than the efficiency allows is said', () => {
    expect(fitCircuit({ ...sound, speed: 1330 }).reason).toContain('Its slip says the rotor alone loses');
  });
  it('a locked-rotor torque too small for its current is said', () => {
    expect(fitCircuit({ ...sound, lockedRotorTorque: 0.3, lockedRotorCurrent: sound.current * 9 }).reason).toContain(
      'less rotor resistance standing than running',
    );
  });
  it('a breakdown torque no cage with this current has is said', () => {
    expect(fitCircuit({ ...sound, breakdownTorque: 1.1 }).reason).toMatch(/breakdown torque \+/);
  });
  it('whatever the data, a circuit comes back with finite numbers', () => {
    fc.assert(
      fc.property(
        fc.record({
          power: fc.double({ min: 100, max: 5e5, noNaN: true }),
          slip: fc.double({ min: 0.0005, max: 0.3, noNaN: true }),
          pf: fc.double({ min: 0.2, max: 0.98, noNaN: true }),
          efficiency: fc.double({ min: 0.3, max: 0.98, noNaN: true }),
          locked: fc.double({ min: 1.5, max: 14, noNaN: true }),
          torque: fc.double({ min: 0.2, max: 5, noNaN: true }),
          peak: fc.double({ min: 1.01, max: 6, noNaN: true }),
        }),
        (v) => {
          const current = v.power / (Math.sqrt(3) * 400 * v.efficiency * v.pf);
          const fit = fitCircuit({
            poles: 4,
            frequency: 50,
            voltage: 400,
            power: v.power,
            speed: 1500 * (1 - v.slip),
            current,
            efficiency: v.efficiency,
            lockedRotorCurrent: v.locked * current,
            lockedRotorTorque: v.torque,
            breakdownTorque: v.peak,
          });
          for (const m of fit.met) expect(Number.isFinite(m.got)).toBe(true);
          if (fit.reason === undefined)
            for (const m of fit.met) expect(Math.abs(deviation(m))).toBeLessThanOrEqual(m.within);
        },
      ),
      { numRuns: 60 },
    );
  });
});
