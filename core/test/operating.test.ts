import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { physics } from '@pilgrim/core';
import { textbook } from './circuits';

const { bestVoltage, breakdown, driveTorqueAt, pointAt, pointForTorque, ratedTorqueOf, runOnDrive, startTorqueAt } =
  physics;
const c = textbook;
const T = ratedTorqueOf(c);
const at = (U: number, f: number, share: number): physics.OperatingPoint =>
  pointForTorque(c, U, f, share * T) ?? expect.fail(`${share} of rated torque at ${U} V, ${f} Hz`);

describe('working points (theory)', () => {
  it('losses by kind are the whole difference between input and output', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 200, max: 520, noNaN: true }),
        fc.double({ min: 20, max: 90, noNaN: true }),
        fc.double({ min: 0.002, max: 1, noNaN: true }),
        (U, f, s) => {
          const p = pointAt(c, U, f, s);
          const losses = Object.values(p.losses).reduce((sum, x) => sum + x, 0);
          expect(Math.abs(p.input - p.output - losses)).toBeLessThan(1e-6 * p.input);
        },
      ),
    );
  });
  it('a tenth less voltage at full torque: about a fifth less breakdown torque, a tenth more current, more slip', () => {
    const [full, low] = [at(460, 60, 1), at(414, 60, 1)];
    expect(breakdown(c, 414, 60).torque / breakdown(c, 460, 60).torque).toBeCloseTo(0.81, 6);
    expect(low.current / full.current).toBeGreaterThan(1.05);
    expect(low.current / full.current).toBeLessThan(1.13);
    expect(low.slip / full.slip).toBeCloseTo(1 / 0.81, 1);
  });
  it(
    'on 50 Hz at the same volts per hertz: five sixths of the speed, ' +
      'about the same slip in r/min and the same current',
    () => {
      const [sixty, fifty] = [at(460, 60, 1), at((460 * 5) / 6, 50, 1)];
      expect(1500 - fifty.speed).toBeCloseTo(1800 - sixty.speed, -0.7);
      expect(Math.abs(fifty.current / sixty.current - 1)).toBeLessThan(0.03);
      expect(fifty.output / sixty.output).toBeCloseTo(5 / 6, 1);
    },
  );
  it('above base speed on the same voltage breakdown falls about with the square of frequency', () => {
    const ratio = breakdown(c, 460, 90).torque / breakdown(c, 460, 60).torque;
    expect(ratio).toBeGreaterThan((60 / 90) ** 2);
    expect(ratio).toBeLessThan(0.56);
    expect(pointForTorque(c, 460, 180, T)).toBeUndefined();
  });
  it('braking: pulled above synchronous speed it gives power back', () => {
    const p = pointAt(c, 460, 60, -0.02);
    expect(p.input).toBeLessThan(0);
    expect(p.torque).toBeLessThan(0);
    expect(p.efficiency).toBe(0);
  });
  it('power factor falls and slip halves with the load', () => {
    const loads = [1, 0.75, 0.5, 0.25].map((share) => at(460, 60, share));
    const falls = (list: readonly number[]): void => expect(list).toEqual(list.toSorted((a, b) => b - a));
    falls(loads.map((p) => p.powerFactor));
    falls(loads.map((p) => p.current));
    expect((loads[2]?.slip ?? NaN) / (loads[0]?.slip ?? NaN)).toBeCloseTo(0.5, 1);
  });
});

describe('the voltage that takes least', () => {
  it('is lower for less torque, never takes more than full voltage, and keeps half as much again to breakdown', () => {
    let before = 0;
    for (const share of [0.05, 0.15, 0.3, 0.5, 0.8]) {
      const best = bestVoltage(c, 60, share * T) ?? expect.fail();
      expect(best.voltage).toBeGreaterThanOrEqual(before - 1);
      before = best.voltage;
      expect(best.input).toBeLessThanOrEqual(at(460, 60, share).input * 1.0001);
      expect(breakdown(c, best.voltage, 60).torque).toBeGreaterThanOrEqual(1.49 * share * T);
      expect(best.torque).toBeCloseTo(share * T, 3);
    }
  });
  it('no voltage in reach takes less (looked for one by one)', () => {
    const best = bestVoltage(c, 60, 0.2 * T) ?? expect.fail();
    for (let U = 120; U <= 460; U += 2) {
      if (breakdown(c, U, 60).torque < 0.3 * T) continue;
      expect(pointForTorque(c, U, 60, 0.2 * T)?.input ?? Infinity).toBeGreaterThan(best.input * 0.9999);
    }
  });
  it('there is none where even full voltage has no reserve', () => {
    expect(bestVoltage(c, 60, breakdown(c, 460, 60).torque / 1.2)).toBeUndefined();
  });
});

describe('behind a drive', () => {
  const rated = pointAt(c, 460, 60, 1 - c.ratedSpeed / 1800).current;
  const plan = (own: Partial<physics.DrivePlan>): physics.DrivePlan => ({
    method: 'drive',
    ramp: 8,
    limit: 1.5 * rated,
    speed: 1760,
    control: 'vector',
    boost: 0,
    ...own,
  });
  const feed = { voltage: 460, frequency: 60, resistance: 0, reactance: 0.02, cable: { resistance: 0, reactance: 0 } };
  const load = {
    torque: 0.9 * T,
    speed: 1760,
    shape: { kind: 'constant' } as const,
    startRatio: 1,
    breakaway: 1.3 * T,
  };
  const run = (own: Partial<physics.DrivePlan>) =>
    runOnDrive({ circuit: c, feed, inertia: 0.5, load, stallTime: 12, plan: plan(own), traced: true });

  it('half as much current again gives about half as much torque again from standstill on (common practice)', () => {
    const still = driveTorqueAt(c, plan({}), 0);
    expect(still / T).toBeGreaterThan(1.35);
    expect(still / T).toBeLessThan(1.75);
    expect(driveTorqueAt(c, plan({}), 900) / still).toBeCloseTo(1, 1);
  });
  it('volts per hertz without boost is weak near standstill; boost helps', () => {
    const [bare, boosted, vector] = [
      plan({ control: 'scalar' }),
      plan({ control: 'scalar', boost: 0.05 }),
      plan({}),
    ].map((p) => driveTorqueAt(c, p, 0));
    expect(bare).toBeLessThan(vector ?? 0);
    expect(boosted).toBeGreaterThan(bare ?? Infinity);
  });
  it('speed follows the ramp: rated frequency after the ramp time', () => {
    const r = run({});
    expect(r.outcome).toBe('running');
    expect(r.time ?? NaN).toBeCloseTo((0.95 * 1760 * 8) / 1800, 1);
    const trace = r.trace ?? expect.fail();
    for (const [i, t] of trace.time.entries()) expect(trace.speed[i] ?? 0).toBeLessThanOrEqual((t / 8) * 1800 + 1);
  });
  it('the supply gives power, not current: little at low speed, less than the motor takes all the way', () => {
    const trace = run({}).trace ?? expect.fail();
    const early = trace.time.findIndex((t) => t > 0.5);
    expect((trace.line[early] ?? NaN) / (trace.motor[early] ?? NaN)).toBeLessThan(0.3);
    for (const [i, line] of trace.line.entries()) expect(line).toBeLessThan(1.05 * (trace.motor[i] ?? 0));
  });
  it('a limit too low for the breakaway stalls, and says how much is missing', () => {
    const r = run({ limit: rated });
    expect(r.outcome).toBe('stalled');
    expect(r.margin).toBeCloseTo(driveTorqueAt(c, plan({ limit: rated }), 0) - startTorqueAt(load, 0), 6);
  });
  it('never gives more than its limit', () => {
    for (const limit of [1.2, 1.5, 2])
      expect(run({ limit: limit * rated, ramp: 1 }).peakMotor).toBeLessThanOrEqual(limit * rated * 1.01);
  });
  it('a shorter ramp than its torque allows takes as long as torque and inertia say', () => {
    const r = runOnDrive({
      circuit: c,
      feed,
      inertia: 6,
      load: { ...load, breakaway: 0.9 * T },
      stallTime: 12,
      plan: plan({ ramp: 0.5 }),
    });
    const able = driveTorqueAt(c, plan({}), 0);
    expect(r.events.map((e) => e.what)).toContain('limited');
    expect((r.time ?? NaN) / ((6 * 0.95 * 1760 * Math.PI) / 30 / (able - 0.9 * T))).toBeCloseTo(1, 1);
  });
  it('above base speed it weakens the field and gives less', () => {
    expect(driveTorqueAt(c, plan({}), 2700)).toBeLessThan(0.8 * driveTorqueAt(c, plan({}), 1700));
  });
  it('no ramp, however short or long, takes more than some thousand steps', () => {
    for (const ramp of [1e-9, 0.001, 0.1, 500, 1e5])
      expect(run({ ramp }).trace?.time.length ?? Infinity).toBeLessThan(6000);
  });
});
