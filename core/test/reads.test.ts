import { describe, expect, it } from 'vitest';
import { physics, presentRatio } from '@pilgrim/core';
import { textbook } from './circuits';

const { attainedSpeed, bestVoltage, circuitLaws, currentAt, fitCircuit, Network, pointAt, reducedHookup } = physics;
const { grid, gridLength, runOnDrive, seen, seenAt, seenFed, seenLength, simulate, solveAt, startTorqueAt } = physics;
const { answerLength, at, leakageLeft, onLine, pointForTorque } = physics;
type Circuit = physics.Circuit;

const c = textbook;
const feed = { voltage: 460, frequency: 60, resistance: 0, reactance: 0.02, cable: { resistance: 0, reactance: 0 } };
const T = 70;
const load: physics.StartLoad = {
  torque: 30,
  speed: 1760,
  shape: { kind: 'constant' },
  startRatio: 1,
  breakaway: 30,
};

describe('the circuit at another frequency', () => {
  it('at the same flux iron takes f to the 1.5th: at a quarter of the frequency an eighth', () => {
    const iron = (f: number): number => {
      const out = new Float64Array(answerLength);
      // Without stator impedance the air gap has the whole voltage: flux is volts per hertz.
      solveAt({ ...c, statorResistance: 0, statorReactance: 0 }, (460 * f) / 60, f, 0.01, out);
      return out[at.coreLoss] ?? NaN;
    };
    expect(iron(60)).toBeCloseTo(400, 6);
    expect(iron(15)).toBeCloseTo(400 / 8, 6);
  });
  it('fed at full voltage standing, leakage that saturates has settled at the current it lets through', () => {
    const saturation = { from: 60, depth: 0.5 };
    const s: Circuit = { ...c, saturation };
    const [fed, whole] = [new Float64Array(seenLength), new Float64Array(seenLength)];
    seenFed(s, 460, 60, 1, fed);
    seenAt(s, 60, 1, whole);
    expect(fed[seen.reactance]).toBeLessThan(0.9 * (whole[seen.reactance] ?? NaN));
    const I = 460 / Math.sqrt(3) / Math.hypot(fed[seen.resistance] ?? NaN, fed[seen.reactance] ?? NaN);
    expect(I).toBeCloseTo(currentAt(s, 460, 60, 1), 6);
    const left = leakageLeft(saturation, I);
    const { saturation: _, ...rest } = s;
    const scaled = { ...rest, statorReactance: left * c.statorReactance, rotorReactance: left * c.rotorReactance };
    expect(currentAt(scaled, 460, 60, 1)).toBeCloseTo(I, 6);
  });
  it('every law of a circuit is named, with symbol and unit, and says how it is found', () => {
    for (const [key, law] of Object.entries(circuitLaws(c))) {
      for (const word of [law.name, law.symbol, law.unit]) expect(word, key).toMatch(/^\S/);
      expect(law.formula.length, key).toBeGreaterThan(30);
      expect(law.formula, key).not.toContain('undefined');
    }
  });
  it('the voltage that saves most carries the load with the reserve, and a little more or less takes more', () => {
    const light = 0.2 * T;
    const best = bestVoltage(c, 60, light) ?? expect.fail('none');
    for (const U of [0.97, 1.03].map((k) => k * best.voltage))
      expect(pointForTorque(c, U, 60, light)?.input ?? Infinity).toBeGreaterThanOrEqual(best.input - 1);
  });
});

/** One start of it on the line. */
const s = {
  ...{ circuit: c, feed, inertia: 0.5, load, stallTime: 12 },
  ...{ ratedCurrent: 30, ratedTorque: T, permitted: 12 },
};

describe('a fit', () => {
  it('meets rated power, current and efficiency exactly, also of a high-slip machine with much leakage', () => {
    const d = {
      poles: 6,
      frequency: 60,
      voltage: 460,
      power: 15000,
      speed: 1080,
      current: 27,
      efficiency: 0.86,
      lockedRotorCurrent: 110,
      lockedRotorTorque: 2.9,
      breakdownTorque: 3,
    };
    const { circuit } = fitCircuit(d);
    const rated = pointAt(circuit, 460, 60, 0.1);
    expect(rated.output / d.power).toBeCloseTo(1, 6);
    expect(rated.current / d.current).toBeCloseTo(1, 6);
    expect(rated.efficiency / d.efficiency).toBeCloseTo(1, 6);
  });
  it('saturates no deeper than the data ask', () => {
    const of = { poles: 4, frequency: 60, voltage: 460, power: 18642, speed: 1765, current: 30, efficiency: 0.93 };
    const depths = [198, 203, 210].map((lockedRotorCurrent) => {
      const d = { ...of, lockedRotorCurrent, lockedRotorTorque: 1.8, breakdownTorque: 2.5 };
      return fitCircuit(d).circuit.saturation?.depth ?? 0;
    });
    // The more current standing beside the same breakdown torque, the more must give way.
    expect(depths[0]).toBeGreaterThan(0);
    expect(depths[1]).toBeGreaterThan(depths[0] ?? NaN);
    expect(depths[2]).toBeGreaterThan(depths[1] ?? NaN);
    expect(depths[2]).toBeLessThan(0.69);
  });
});

describe('a log', () => {
  const profile = (samples: readonly physics.Sample[]) => {
    const of = { kind: 'flow', control: 'none', magnetising: 0.4, presentRatio } as const;
    const reading = physics.profileFromLog(physics.seriesOf(samples), of);
    return reading.ok ? reading.profile : expect.fail(reading.message);
  };
  it('that has every reading twice has no gaps', () => {
    const p = profile(Array.from({ length: 60 }, (_, i) => ({ time: 10 * Math.floor(i / 2), value: 50 })));
    expect(p.gaps).toEqual([]);
    expect(p.rows).toEqual([{ hours: 8760, flow: 1 }]);
  });
  it('a flow of less than half an hour a year is no row', () => {
    const day = Array.from({ length: 86_400 / 2 }, (_, i) => ({ time: 2 * i, value: i === 7 ? 20 : 50 }));
    expect(profile(day).rows).toEqual([{ hours: 8760, flow: 1 }]);
    const longer = day.map((s, i) => ({ ...s, value: i > 6 && i < 13 ? 20 : 50 }));
    expect(profile(longer).rows).toEqual([
      { hours: 1, flow: 0.4 },
      { hours: 8759, flow: 1 },
    ]);
  });
});

describe('a start behind a drive, traced', () => {
  const rated = pointAt(c, 460, 60, 1 - c.ratedSpeed / 1800).current;
  const run = (speed: number) =>
    runOnDrive({
      ...{ circuit: c, feed, inertia: 0.5, stallTime: 12, traced: true, load },
      plan: { method: 'drive', ramp: 8, limit: 1.5 * rated, speed, control: 'vector', boost: 0 },
    });
  it('terminals have volts per hertz up to rated voltage, and no more above base speed', () => {
    for (const speed of [1760, 2400]) {
      const trace = run(speed).trace ?? expect.fail();
      // Above volts per hertz stands what the winding itself takes at low speed: some 5 % here.
      for (const [i, n] of trace.speed.entries()) {
        const U = trace.terminal[i] ?? NaN;
        expect(Math.abs(U - 460 * Math.min(1, n / 1800))).toBeLessThan(0.08 * 460);
        expect(U).toBeLessThanOrEqual(460.0001);
      }
      expect(Math.max(...trace.speed)).toBeGreaterThan(0.98 * speed);
    }
  });
  it('its heat is the square of the motor’s current over time, as a share of locked rotor over the stall time', () => {
    const r = run(1760);
    const trace = r.trace ?? expect.fail();
    let squared = 0;
    for (let i = 1; i < trace.time.length; i++)
      squared += (trace.motor[i] ?? 0) ** 2 * ((trace.time[i] ?? 0) - (trace.time[i - 1] ?? 0));
    const share = squared / (currentAt(c, 460, 60, 1) ** 2 * 12);
    expect(r.statorHeat / share).toBeCloseTo(1, 1);
  });
});

describe('the speed that a reduced voltage attains', () => {
  const hookup = reducedHookup(c, 60, { method: 'star-delta', changeover: { at: 'time', time: 5 }, pause: 0.05 });
  it('is where the load first meets its torque, to a quarter of a turn a minute', () => {
    const net = new Network(c, feed);
    const out = new Float64Array(gridLength);
    const surplus = (n: number): number => {
      net.solve(n, hookup, undefined, feed.voltage, feed.reactance, out);
      return (out[grid.torque] ?? 0) - startTorqueAt(load, n);
    };
    const n = attainedSpeed(s, hookup);
    expect(n).toBeGreaterThan(1700);
    expect(n).toBeLessThan(1800);
    expect(surplus(n)).toBeGreaterThan(0);
    expect(surplus(n + 0.25)).toBeLessThan(0);
  });
  it('is none where the load does not break away, and all but synchronous where nothing holds', () => {
    const heavy = { ...load, torque: 5 * T, breakaway: 5 * T };
    expect(attainedSpeed({ ...s, load: heavy }, hookup)).toBe(0);
    const free = { ...load, torque: 0, breakaway: 0 };
    expect(attainedSpeed({ ...s, load: free }, onLine) / 1800).toBeCloseTo(1, 3);
  });
});

describe('a soft starter without a ramp', () => {
  it('gives full voltage at once', () => {
    const soft = simulate(s, {
      ...{ method: 'soft-starter', ramp: 'voltage', from: 0.4, time: 0, limit: 1e4, ratedTorque: T },
    } as physics.AnyPlan);
    const direct = simulate(s, { method: 'direct' } as physics.AnyPlan);
    expect(soft.outcome).toBe('running');
    expect((soft.time ?? NaN) / (direct.time ?? NaN)).toBeCloseTo(1, 2);
  });
});
