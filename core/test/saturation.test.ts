import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { genericMotors, physics } from '@pilgrim/core';
import { fittedCircuit } from '../src/runs';

const { breakdown, crestRise, currentAt, deviation, firstCycles, fitCircuit, leakageLeft, Network, onLine } = physics;
const { grid, gridLength, runUp, saturationOf, seriesFor, torqueAt } = physics;
type Circuit = physics.Circuit;
type Feed = physics.Feed;

/** 25 hp, 460 V, four poles: 7.5 times its current standing with 2.5 times its torque at breakdown. */
const data = {
  poles: 4,
  frequency: 60,
  voltage: 460,
  power: 18642,
  speed: 1765,
  current: 30,
  efficiency: 0.93,
  lockedRotorCurrent: 210,
  lockedRotorTorque: 1.8,
  breakdownTorque: 2.5,
};
const { circuit } = fitCircuit(data);
/** The same machine with leakage that is one value. */
const whole: Circuit = { ...circuit, saturation: { from: 1, depth: 0 } };
const stiff: Feed = {
  voltage: 460,
  frequency: 60,
  resistance: 0,
  reactance: 0,
  cable: { resistance: 0, reactance: 0 },
};
/** The circuit with its leakages scaled, one value again. */
const scaled = (c: Circuit, left: number): Circuit => {
  const { saturation: _, cage2, ...rest } = c;
  return {
    ...rest,
    statorReactance: c.statorReactance * left,
    rotorReactance: c.rotorReactance * left,
    ...(cage2 ? { cage2: { ...cage2, reactance: cage2.reactance * left } } : {}),
  };
};

describe('what saturation leaves of the leakage', () => {
  it('is all of it up to where it begins, and the part not through iron far beyond', () => {
    const s = { from: 100, depth: 0.4 };
    expect(leakageLeft(s, 0)).toBe(1);
    expect(leakageLeft(s, 100)).toBe(1);
    expect(leakageLeft(s, 100.01)).toBeLessThan(1);
    expect(leakageLeft(s, 1e7)).toBeCloseTo(0.6, 4);
  });
  it('by hand at twice that current: 1 − 0.7 (1 − (2/π) (π/6 + ½ √¾)) = 0.7263', () => {
    expect(leakageLeft({ from: 50, depth: 0.7 }, 100)).toBeCloseTo(0.7263, 4);
  });
  it('is the fundamental of a sine whose flux is cut off (integrated point by point)', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.001, max: 20, noNaN: true }), (times) => {
        const n = 20000;
        let sum = 0;
        for (let i = 0; i < n; i++) {
          const sine = Math.sin((2 * Math.PI * (i + 0.5)) / n);
          sum += Math.max(-1 / times, Math.min(1 / times, sine)) * sine;
        }
        expect(leakageLeft({ from: 1, depth: 1 }, times)).toBeCloseTo((2 * sum) / n, 5);
      }),
      { numRuns: 20 },
    );
  });
});

describe('a plate with much locked-rotor current and little breakdown torque', () => {
  it('is met by one machine whose leakage saturates, where constant leakage meets no such three values', () => {
    expect(circuit.saturation?.depth).toBeGreaterThan(0.3);
    expect(circuit.saturation?.from).toBe(75);
    expect(currentAt(circuit, 460, 60, 1) / 210).toBeCloseTo(1, 1);
    const rated = (30 * data.power) / (Math.PI * data.speed);
    expect(breakdown(circuit, 460, 60).torque / rated / 2.5).toBeCloseTo(1, 1);
    // With the leakage that the breakdown torque leaves whole, it would draw a fifth less standing.
    expect(currentAt(whole, 460, 60, 1)).toBeLessThan(0.85 * 210);
  });
  it.each([
    [6, 1.9],
    [7, 2.2],
    [8, 3],
    [8, 3.5],
    [9, 3.5],
  ])('%d times the current with %d times the torque: every value within its limit', (times, torque) => {
    const fit = fitCircuit({ ...data, lockedRotorCurrent: 30 * times, breakdownTorque: torque });
    expect(fit.reason).toBeUndefined();
    for (const m of fit.met) expect(Math.abs(deviation(m))).toBeLessThanOrEqual(m.within);
    expect(fit.circuit.saturation?.depth).toBeLessThanOrEqual(0.7);
  });
  it('no deeper than need be: less current standing asks for less of it', () => {
    const depth = (times: number) =>
      fitCircuit({ ...data, lockedRotorCurrent: 30 * times }).circuit.saturation?.depth ?? 0;
    expect(depth(7)).toBeGreaterThan(depth(6.5));
    expect(depth(5.5)).toBe(0);
  });
  it('beyond the deepest that cages have it says so, with the nearest there is', () => {
    const fit = fitCircuit({ ...data, lockedRotorCurrent: 270, breakdownTorque: 1.9 });
    expect(fit.reason).toMatch(/Nearest: locked-rotor current −/);
    const constant = fitCircuit({ ...data, lockedRotorCurrent: 170, breakdownTorque: 2.2 });
    expect(currentAt(fit.circuit, 460, 60, 1)).toBeGreaterThan(currentAt(constant.circuit, 460, 60, 1));
  });
  it('nothing is assumed that no value asks for: no machine of the catalogue needs it', () => {
    for (const m of genericMotors().filter((_, i) => i % 7 === 0))
      expect(fittedCircuit(m, m.connections.at(-1)?.voltage ?? 0)?.circuit.saturation, m.id).toBeUndefined();
  });
});

describe('the machine with it, solved', () => {
  it('has at every slip and voltage the leakage that its own current leaves', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.005, max: 1.9, noNaN: true }),
        fc.double({ min: 40, max: 520, noNaN: true }),
        (slip, volts) => {
          const current = currentAt(circuit, volts, 60, slip);
          const left = circuit.saturation ? leakageLeft(circuit.saturation, current) : 0;
          const same = scaled(circuit, left);
          expect(currentAt(same, volts, 60, slip) / current).toBeCloseTo(1, 8);
          expect(torqueAt(same, volts, 60, slip) / torqueAt(circuit, volts, 60, slip)).toBeCloseTo(1, 8);
        },
      ),
    );
  });
  it('running it is as without: rated current does not saturate', () => {
    expect(currentAt(circuit, 460, 60, 0.0194)).toBe(currentAt(whole, 460, 60, 0.0194));
  });
  it('at reduced voltage current falls more than in proportion and torque more than with its square', () => {
    expect(currentAt(circuit, 300, 60, 1) / currentAt(circuit, 460, 60, 1)).toBeLessThan(0.98 * (300 / 460));
    expect(torqueAt(circuit, 300, 60, 1) / torqueAt(circuit, 460, 60, 1)).toBeLessThan(0.97 * (300 / 460) ** 2);
    expect(currentAt(whole, 300, 60, 1) / currentAt(whole, 460, 60, 1)).toBeCloseTo(300 / 460, 10);
  });
});

describe('on the line', () => {
  const at = (stage: Partial<physics.Hookup>, n = 0, control?: physics.Control): Float64Array => {
    const out = new Float64Array(gridLength);
    new Network(circuit, stiff).solve(n, { ...onLine, ...stage }, control, 460, 0, out);
    return out;
  };
  it('in star the winding has 1/√3 of the voltage, and the line a third of what that draws in delta', () => {
    const star = at({ impedance: 3 });
    expect(star[grid.line]).toBeCloseTo(currentAt(circuit, 460 / Math.sqrt(3), 60, 1) / Math.sqrt(3), 6);
    expect(star[grid.torque]).toBeCloseTo(torqueAt(circuit, 460 / Math.sqrt(3), 60, 1), 6);
    // Less than a third of the current across the line: in star it saturates less.
    expect(star[grid.line]).toBeLessThan((at({})[grid.line] ?? 0) / 3);
  });
  it('behind a tap the motor has the tap’s share of voltage and the line its share of that current', () => {
    const tapped = at({ tap: 0.65 });
    expect(tapped[grid.motor]).toBeCloseTo(currentAt(circuit, 299, 60, 1), 6);
    expect(tapped[grid.line]).toBeCloseTo(0.65 * currentAt(circuit, 299, 60, 1), 6);
  });
  it('a reactor for half the voltage leaves half the voltage', () => {
    const ohms = seriesFor(circuit, 60, 0.5, 'reactor');
    expect(at({ reactance: ohms })[grid.terminal]).toBeCloseTo(230, 6);
  });
  it('a soft starter’s limit is the line’s current, and the motor has the leakage that this leaves', () => {
    const limit = 120;
    const held = at({}, 0, { current: limit, voltage: 1, torque: Infinity });
    expect(held[grid.line]).toBeCloseTo(limit, 8);
    const left = circuit.saturation ? leakageLeft(circuit.saturation, limit) : 0;
    const same = scaled(circuit, left);
    const perSquare = torqueAt(same, 460, 60, 1) / currentAt(same, 460, 60, 1) ** 2;
    expect(held[grid.torque]).toBeCloseTo(perSquare * limit ** 2, 6);
  });
  it('a simulated start loses no energy by it', () => {
    const load = { torque: 60, speed: 1765, shape: { kind: 'quadratic' }, startRatio: 1, breakaway: 5 } as const;
    const r = runUp({ circuit, feed: stiff, inertia: 3, load, stallTime: 12, plan: { method: 'direct' } });
    expect(r.outcome).toBe('running');
    const { input, ...to } = r.energy;
    expect(Object.values(to).reduce((a, b) => a + b, 0) / input).toBeCloseTo(1, 3);
    expect(r.peakLine).toBeCloseTo(currentAt(circuit, 460, 60, 1), 1);
  });
});

describe('first crests', () => {
  const held = (c: Circuit, duration: number) =>
    firstCycles({
      circuit: c,
      feed: stiff,
      inertia: 1e9,
      load: { torque: 0, speed: 1765, shape: { kind: 'constant' }, startRatio: 1, breakaway: 0 },
      switching: { kind: 'direct' },
      duration,
    });
  it('settle, held at standstill, to the saturated locked rotor within 0.1 %', () => {
    // Iron loss is left out of the first cycles.
    const ironless: Circuit = { ...circuit, coreLoss: 0 };
    const t = held(ironless, 6);
    expect(Math.abs(t.endCurrent / (Math.SQRT2 * currentAt(ironless, 460, 60, 1)) - 1)).toBeLessThan(0.001);
    expect(Math.abs(t.endTorque / torqueAt(ironless, 460, 60, 1) - 1)).toBeLessThan(0.001);
  });
  it('of a machine with constant leakage standing lie a few to fifteen per cent higher for it beyond', () => {
    const left = circuit.saturation ? leakageLeft(circuit.saturation, currentAt(circuit, 460, 60, 1)) : 0;
    const standing = scaled(circuit, left);
    const constant: Circuit = { ...standing, saturation: { from: 1, depth: 0 } };
    const ratio = held(standing, 0.05).peakCurrent / held(constant, 0.05).peakCurrent;
    expect(ratio).toBeGreaterThan(1.02);
    expect(ratio).toBeLessThan(1.15);
    // The closed form says about the same of it.
    const still = physics.pointAt(standing, 460, 60, 1);
    const r = still.powerFactor / Math.sqrt(1 - still.powerFactor ** 2);
    expect(Math.abs(crestRise(saturationOf(standing), still.current, r, 1) / ratio - 1)).toBeLessThan(0.05);
  });
  it('rise more the less of the path is line, and not at all where nothing saturates', () => {
    const s = { from: 200, depth: 0.3 };
    expect(crestRise(s, 200, 0.2, 0)).toBe(1);
    expect(crestRise({ ...s, depth: 0 }, 200, 0.2, 1)).toBe(1);
    expect(crestRise(s, 200, 0.2, 0.5)).toBeGreaterThan(1);
    expect(crestRise(s, 200, 0.2, 1)).toBeGreaterThan(crestRise(s, 200, 0.2, 0.5));
  });
});
