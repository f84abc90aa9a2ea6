import fc from 'fast-check';
import { Solver } from 'odex';
import { describe, expect, it } from 'vitest';
import { physics } from '@pilgrim/core';

const {
  answerLength,
  at,
  breakdown,
  currentAt,
  curveOf,
  frictionAt,
  grid,
  gridLength,
  Network,
  onLine,
  reducedHookup,
  runOnDrive,
  runUp,
  simulate,
  solveAt,
  startTorqueAt,
  torqueAt,
} = physics;
type Circuit = physics.Circuit;
type Feed = physics.Feed;
type StartLoad = physics.StartLoad;
type AnyPlan = physics.AnyPlan;

const within = (actual: number, wanted: number, share: number): void =>
  expect(Math.abs(actual / wanted - 1), `${actual} against ${wanted}`).toBeLessThan(share);

/**
 * 500 hp of a textbook (Krause, Wasynczuk and Sudhoff, table 4.10-1, from memory), with iron and friction of our own.
 */
const big: Circuit = {
  poles: 4,
  voltage: 2300,
  frequency: 60,
  statorResistance: 0.262,
  statorReactance: 1.206,
  rotorResistance: 0.187,
  rotorReactance: 1.206,
  magnetisingReactance: 54.02,
  coreLoss: 4000,
  frictionLoss: 3000,
  ratedSpeed: 1773,
};
/** 25 hp of a textbook, a second cage added. */
const twoCages: Circuit = {
  poles: 4,
  voltage: 460,
  frequency: 60,
  statorResistance: 0.641,
  statorReactance: 1.106,
  rotorResistance: 0.42,
  rotorReactance: 1.9,
  magnetisingReactance: 26.3,
  coreLoss: 200,
  frictionLoss: 300,
  ratedSpeed: 1760,
  cage2: { resistance: 1.6, reactance: 0.55 },
};

const stiff = (c: Circuit): Feed => ({
  voltage: c.voltage,
  frequency: c.frequency,
  resistance: 0,
  reactance: 0,
  cable: { resistance: 0, reactance: 0 },
});
const none: StartLoad = { torque: 0, speed: 1780, shape: { kind: 'constant' }, startRatio: 1, breakaway: 0 };
const fan = (torque: number): StartLoad => ({
  torque,
  speed: 1780,
  shape: { kind: 'quadratic' },
  startRatio: 1,
  breakaway: 0.15 * torque,
});
const spec = (c: Circuit, load: StartLoad, inertia: number) => ({
  circuit: c,
  feed: stiff(c),
  inertia,
  load,
  stallTime: 12,
  plan: { method: 'direct' } as const,
});

describe('analytic solutions', () => {
  it('a linear machine (torque with slip): speed is ωₛ(1 − e^(−kt/Jωₛ)), and 95 % stands at ln 20 time constants', () => {
    // Rotor resistance alone: T = 3 E² s ÷ (ωₛ R).
    const R = 2;
    const linear: Circuit = {
      poles: 4,
      voltage: 400,
      frequency: 50,
      statorResistance: 0,
      statorReactance: 0,
      rotorResistance: R,
      rotorReactance: 0,
      magnetisingReactance: 1e9,
      coreLoss: 0,
      frictionLoss: 0,
      ratedSpeed: 1450,
    };
    const ws = 50 * Math.PI;
    const k = (400 * 400) / (ws * R);
    const J = 0.8;
    const run = runUp({ ...spec(linear, none, J), traced: true });
    within(run.time ?? NaN, ((J * ws) / k) * Math.log(20), 0.001);
    const trace = run.trace ?? expect.fail();
    for (const [i, t] of trace.time.entries())
      expect(trace.speed[i]).toBeCloseTo(1500 * (1 - Math.exp((-k * t) / (J * ws))), 0);
    // And half of what came in went into the rotor.
    within(run.energy.rotor, run.energy.kinetic, 0.01);
  });
  it(
    'constant torque: t = J Δω ÷ (T − T_L), by a soft starter that ' +
      'holds twice rated torque, and by a drive at its limit',
    () => {
      const load = { ...none, torque: 500, breakaway: 500 };
      const held = {
        method: 'soft-starter',
        limit: Infinity,
        ramp: 'torque',
        from: 2,
        time: 1e4,
        kick: undefined,
        ratedTorque: 400,
      } as const;
      const run = runUp({ ...spec({ ...big, frictionLoss: 0 }, load, 20), plan: held, horizon: 200, traced: true });
      const trace = run.trace ?? expect.fail();
      const i = trace.speed.findIndex((n) => n > 900);
      within(trace.time[i] ?? NaN, (20 * ((trace.speed[i] ?? NaN) * Math.PI)) / 30 / (800 - 500), 0.001);
      const plan = { method: 'drive', ramp: 0.2, limit: 100, speed: 900, control: 'vector', boost: 0 } as const;
      const able = physics.driveTorqueAt({ ...big, frictionLoss: 0 }, plan, 0);
      const driven = runOnDrive({ ...spec({ ...big, frictionLoss: 0 }, load, 20), plan });
      within(driven.time ?? NaN, (20 * (0.95 * 900 * Math.PI)) / 30 / (able - 500), 0.01);
    },
  );
  it('unloaded, the rotor’s heat of a direct start is the kinetic energy, whatever the machine', () => {
    for (const c of [big, twoCages]) {
      const run = runUp(spec({ ...c, frictionLoss: 0 }, none, 4));
      const omega = (2 * Math.PI * c.frequency) / (c.poles / 2);
      within(run.energy.rotor, 0.5 * 4 * omega * omega, 0.01);
    }
  });
});

describe('against a general ODE package (odex 2.0.4) on the same equations', () => {
  /** Speed and energies of a direct start on a stiff line, written apart from the simulation, over arrays. */
  const rates = (c: Circuit, load: StartLoad, J: number) => {
    const out = new Float64Array(answerLength);
    return (_: number, y: number[]): number[] => {
      const w = Math.max(0, y[0] ?? 0);
      const n = (w * 30) / Math.PI;
      solveAt(c, c.voltage, c.frequency, 1 - n / ((120 * c.frequency) / c.poles), out);
      const friction = frictionAt(c, n);
      const resisting = startTorqueAt(load, n) + (w > 1e-9 ? friction / w : 0);
      const torque = out[at.torque] ?? 0;
      return [
        (torque - resisting) / J,
        out[at.input] ?? 0,
        out[at.statorLoss] ?? 0,
        (out[at.airGap] ?? 0) - torque * w,
        startTorqueAt(load, n) * w,
        (out[at.current] ?? 0) ** 2,
      ];
    };
  };
  it.each([
    ['500 hp with a fan', big, fan(1800), 60],
    ['500 hp unloaded', big, none, 11],
    ['two cages with a fan', twoCages, fan(50), 1.2],
    ['two cages with a constant load', twoCages, { ...none, torque: 60, breakaway: 90 }, 0.6],
  ] as const)('%s: at the time of arrival theirs is at 95 %% of the final speed, within 0.1 %%', (_, c, load, J) => {
    const run = runUp(spec(c, load, J));
    const solver = new Solver(6);
    solver.relativeTolerance = 1e-9;
    solver.absoluteTolerance = 1e-6;
    solver.maxSteps = 100_000;
    const end = run.time ?? expect.fail();
    const theirs = solver.solve(rates(c, load, J), 0, [0, 0, 0, 0, 0, 0], end).y;
    within((theirs[0] ?? NaN) * (30 / Math.PI), 0.95 * (run.finalSpeed ?? NaN), 0.001);
  });
  it('every integral at the end within 0.1 %', () => {
    for (const [c, load, J] of [
      [big, fan(1800), 60],
      [twoCages, fan(50), 1.2],
    ] as const) {
      const run = runUp({ ...spec(c, load, J), traced: true });
      const trace = run.trace ?? expect.fail();
      const end = trace.time.at(-1) ?? NaN;
      const solver = new Solver(6);
      solver.relativeTolerance = 1e-9;
      solver.absoluteTolerance = 1e-6;
      solver.maxSteps = 100_000;
      const y = solver.solve(rates(c, load, J), 0, [0, 0, 0, 0, 0, 0], end).y;
      within(run.speed, (y[0] ?? NaN) * (30 / Math.PI), 0.001);
      within(run.energy.input, y[1] ?? NaN, 0.001);
      within(run.energy.stator, y[2] ?? NaN, 0.001);
      within(run.energy.rotor, y[3] ?? NaN, 0.001);
      within(run.energy.load, y[4] ?? NaN, 0.001);
    }
  });
});

describe('a light machine on a slow ramp (stiff)', () => {
  const c = twoCages;
  const load: StartLoad = { ...none, torque: 60, breakaway: 60 };
  const [from, time, J] = [0.5, 20, 0.01];
  const plan = { method: 'soft-starter', limit: 1e6, ramp: 'voltage', from, time, kick: undefined } as const;
  const followed = () => runUp({ ...spec(c, load, J), plan: { ...plan, ratedTorque: 100 }, traced: true });
  it('follows the ramp in some hundred steps, to its final speed', () => {
    const run = followed();
    expect(run.outcome).toBe('running');
    expect(run.steps).toBeLessThan(600);
  });
  it('as a general ODE package has it that takes thousands: speed within 0.1 %, heat and work within 0.2 %', () => {
    const run = followed();
    const out = new Float64Array(answerLength);
    const rates = (t: number, y: number[]): number[] => {
      const w = Math.max(0, y[0] ?? 0);
      const n = (w * 30) / Math.PI;
      const volts = c.voltage * Math.min(1, from + ((1 - from) * t) / time);
      solveAt(c, volts, c.frequency, 1 - n / ((120 * c.frequency) / c.poles), out);
      const torque = out[at.torque] ?? 0;
      const resisting = startTorqueAt(load, n) + (w > 1e-9 ? frictionAt(c, n) / w : 0);
      return [
        w <= 0 && torque < resisting ? 0 : (torque - resisting) / J,
        out[at.input] ?? 0,
        (out[at.airGap] ?? 0) - torque * w,
        startTorqueAt(load, n) * w,
      ];
    };
    const trace = run.trace ?? expect.fail();
    const end = trace.time.at(-1) ?? NaN;
    expect(end).toBeGreaterThan(5);
    const solver = new Solver(4);
    solver.relativeTolerance = 1e-8;
    solver.absoluteTolerance = 1e-6;
    solver.maxSteps = 1_000_000;
    const [w, input, rotor, work] = solver.solve(rates, 0, [0, 0, 0, 0], end).y;
    within(run.speed, (w ?? NaN) * (30 / Math.PI), 0.001);
    within(run.energy.input, input ?? NaN, 0.002);
    within(run.energy.rotor, rotor ?? NaN, 0.002);
    within(run.energy.load, work ?? NaN, 0.002);
  });
  it('what comes in is heat, work and motion, within 0.1 %', () => {
    const e = followed().energy;
    within(e.stator + e.rotor + e.core + e.friction + e.load + e.kinetic, e.input, 0.001);
  });
  it('whose limit carries the load at no speed above crawls, and is not waited for', () => {
    const held = runUp({
      ...spec(c, { ...load, torque: 100, breakaway: 10 }, J),
      plan: { ...plan, limit: 50, ratedTorque: 100 },
    });
    expect(held.outcome).toBe('crawling');
    expect(held.speed).toBeGreaterThan(0);
    expect(held.events.at(-1)?.time).toBeLessThan(time);
    within(held.peakLine, 50, 0.001);
  });
});

const plans = (rated: number, torque: number): readonly AnyPlan[] => [
  { method: 'direct' },
  { method: 'star-delta', changeover: { at: 'speed', share: 0.85 }, pause: 0.05 },
  { method: 'star-delta', changeover: { at: 'time', time: 3 }, pause: 0 },
  { method: 'autotransformer', tap: 0.65, changeover: { at: 'speed', share: 0.8 } },
  { method: 'primary-reactor', element: 'reactor', share: 0.7, changeover: { at: 'time', time: 4 } },
  { method: 'primary-reactor', element: 'resistor', share: 0.7, changeover: { at: 'speed', share: 0.8 } },
  { method: 'soft-starter', limit: 4 * rated, ramp: 'voltage', from: 0.3, time: 8, kick: { voltage: 0.8, time: 0.3 }, ratedTorque: torque },
  { method: 'soft-starter', limit: 4 * rated, ramp: 'torque', from: 0.1, time: 8, kick: undefined, ratedTorque: torque },
  { method: 'drive', ramp: 8, limit: 1.5 * rated, speed: 1780, control: 'vector', boost: 0 },
  { method: 'drive', ramp: 8, limit: 1.5 * rated, speed: 1780, control: 'scalar', boost: 0.03 },
]; // prettier-ignore

describe('energy', () => {
  it.each(plans(105, 2000).map((p) => [`${p.method} ${'ramp' in p ? String(p.ramp) : ''}`, p] as const))(
    '%s: what comes in is heat, work and motion, within 0.1 %%',
    (_, plan) => {
      const feed: Feed = { ...stiff(big), reactance: 0.3, cable: { resistance: 0.02, reactance: 0.02 } };
      const run = simulate(
        { ...spec(big, fan(900), 40), feed, ratedCurrent: 105, ratedTorque: 2000, permitted: Infinity },
        plan,
      );
      const e = run.energy;
      expect(run.outcome).toBe('running');
      within(e.stator + e.rotor + e.core + e.friction + e.load + e.kinetic, e.input, 0.001);
    },
  );
});

it.each(plans(105, 2000).map((p) => [`${p.method} ${'ramp' in p ? String(p.ramp) : ''}`, p] as const))(
  '%s: the heat that is drawn ends at the hotter of winding and cage',
  (_, plan) => {
    const run = simulate(
      { ...spec(big, fan(900), 40), ratedCurrent: 105, ratedTorque: 2000, permitted: Infinity },
      plan,
      true,
    );
    expect(run.rotorHeat).toBeGreaterThan(0);
    within(run.trace?.heat.at(-1) ?? NaN, Math.max(run.statorHeat, run.rotorHeat), 0.002);
  },
);

describe('what is read off along the way', () => {
  const fed: Feed = { ...stiff(big), reactance: 0.3, cable: { resistance: 0.02, reactance: 0.02 } };
  const start = (plan: physics.Plan, load = fan(900)) =>
    runUp({ ...spec(big, load, 40), feed: fed, plan, traced: true });
  const star: physics.Plan = { method: 'star-delta', changeover: { at: 'speed', share: 0.85 }, pause: 0.05 };
  const traceOf = (run: physics.Run) => run.trace ?? expect.fail();
  it('the motor’s own current: the line’s where nothing stands between, more behind a tap', () => {
    const direct = start({ method: 'direct' });
    expect([...traceOf(direct).motor]).toEqual([...traceOf(direct).line]);
    expect(direct.peakMotor).toBe(direct.peakLine);
    const tapped = start({ method: 'autotransformer', tap: 0.65, changeover: { at: 'speed', share: 0.8 } });
    const { line, motor } = traceOf(tapped);
    within(line[0] ?? NaN, 0.65 * (motor[0] ?? NaN), 0.03);
    within(tapped.peakMotor, Math.max(...motor), 0.01);
  });
  it('the winding’s heat is the square of its current over time, against locked rotor for the stall time', () => {
    const run = start({ method: 'direct' });
    const locked = currentAt(big, big.voltage, big.frequency, 1);
    within(run.statorHeat, run.energy.stator / (3 * big.statorResistance) / (locked ** 2 * 12), 0.002);
  });
  it('the dip at the terminals is that of the full line alone', () => {
    const direct = start({ method: 'direct' });
    within(direct.terminalDip, 1 - Math.min(...traceOf(direct).terminal) / big.voltage, 0.001);
    const changed = start(star);
    const over = changed.events.find((e) => e.what === 'changed-over')?.time ?? expect.fail();
    const { time, terminal } = traceOf(changed);
    const after = [...terminal].filter((_, i) => (time[i] ?? 0) > over);
    within(changed.terminalDip, 1 - Math.min(...after) / big.voltage, 0.04);
    const soft = { method: 'soft-starter', limit: 350, ramp: 'none', from: 1, time: 0, kick: undefined } as const;
    const gentle = start({ ...soft, ratedTorque: 2000 });
    expect(gentle.terminalDip).toBeLessThan(0.6 * direct.terminalDip);
  });
  it('the least torque to spare is the least of the whole way, and where it was', () => {
    const run = start({ method: 'direct' });
    const { torque, load, speed } = traceOf(run);
    const spare = [...torque].map((t, i) => t - (load[i] ?? 0));
    const before = spare.filter((_, i) => (speed[i] ?? 0) < 0.95 * (run.finalSpeed ?? 0));
    within(run.margin, Math.min(...before), 0.01);
    expect(Math.abs(run.marginSpeed - (speed[spare.indexOf(Math.min(...before))] ?? NaN))).toBeLessThan(60);
  });
  it('a chart has a row for every hundredth of the speed or so', () => {
    const { speed } = traceOf(start({ method: 'direct' }));
    for (const [i, n] of speed.entries()) if (i > 0) expect(n - (speed[i - 1] ?? 0)).toBeLessThan(0.03 * 1800);
  });
  it('a load that drives the motor is held above synchronism, and is lost beyond what it holds', () => {
    const driven = (torque: number) => start({ method: 'direct' }, { ...none, torque, breakaway: 0 });
    const held = driven(-800).finalSpeed ?? expect.fail();
    expect(held).toBeGreaterThan(1800);
    within(-torqueAt(big, big.voltage, big.frequency, 1 - held / 1800), 800, 0.1);
    expect(driven(-1e5).finalSpeed).toBeUndefined();
  });
  it('on a drive the least torque to spare is that of its limit on the way', () => {
    const plan = { method: 'drive', ramp: 5, limit: 150, speed: 1780, control: 'vector', boost: 0 } as const;
    const load = { ...none, torque: 300, breakaway: 300 };
    const run = runOnDrive({ ...spec(big, load, 20), plan });
    const able = Array.from({ length: 100 }, (_, i) => physics.driveTorqueAt(big, plan, (1780 * i) / 100) - 300);
    within(run.margin, Math.min(...able), 0.04);
  });
});

describe('reduced voltage on the same circuit (theory)', () => {
  it('shares at standstill: current as the voltage of a reactor, as its square behind a tap; torque as its square', () => {
    const shares = (method: 'primary-reactor' | 'autotransformer') => {
      const { current, torque, tap } =
        physics.methodShares(method, { tap: 0.8, reactorShare: 0.5, softLimit: 3 }) ?? {};
      return [current, torque, tap];
    };
    expect(shares('primary-reactor')).toEqual([0.5, 0.25, 0.5]);
    expect(shares('autotransformer')).toEqual([0.8 * 0.8, 0.8 * 0.8, 0.8]);
  });
  const still = (
    plan: physics.Plan,
    feed: Feed,
    c: Circuit,
    n = 0,
  ): { line: number; motor: number; torque: number } => {
    const out = new Float64Array(gridLength);
    new Network(c, feed).solve(n, reducedHookup(c, feed.frequency, plan), undefined, feed.voltage, feed.reactance, out);
    return { line: out[grid.line] ?? NaN, motor: out[grid.motor] ?? NaN, torque: out[grid.torque] ?? NaN };
  };
  const star = { method: 'star-delta', changeover: { at: 'speed', share: 0.9 }, pause: 0 } as const;
  const tapped = (tap: number) =>
    ({ method: 'autotransformer', tap, changeover: { at: 'speed', share: 0.8 } }) as const;

  it.each([big, twoCages].map((c) => [c.voltage, c] as const))(
    '%i V: star a third of current and torque, a tap k² of both, at every speed',
    (_, c) => {
      for (const n of [0, 400, 900, 1500, 1750]) {
        const direct = still({ method: 'direct' }, stiff(c), c, n);
        const inStar = still(star, stiff(c), c, n);
        within(inStar.line * 3, direct.line, 0.005);
        within(inStar.torque * 3, direct.torque, 0.005);
        for (const k of [0.5, 0.65, 0.8]) {
          const tap = still(tapped(k), stiff(c), c, n);
          within(tap.line, k * k * direct.line, 0.005);
          within(tap.motor, k * direct.line, 0.005);
          within(tap.torque, k * k * direct.torque, 0.005);
        }
      }
    },
  );
  it('a soft starter’s torque goes with the square of its current', () => {
    const out = new Float64Array(gridLength);
    const net = new Network(big, stiff(big));
    for (const n of [0, 600, 1200]) {
      const direct = still({ method: 'direct' }, stiff(big), big, n);
      for (const share of [0.3, 0.5, 0.8]) {
        net.solve(n, onLine, { current: share * direct.line, voltage: 1, torque: Infinity }, 2300, 0, out);
        within(out[grid.line] ?? NaN, share * direct.line, 0.005);
        within(out[grid.torque] ?? NaN, share * share * direct.torque, 0.005);
      }
    }
  });
  it('a reactor or resistor leaves its share of voltage at standstill, and the square of it as torque', () => {
    const direct = still({ method: 'direct' }, stiff(big), big);
    for (const element of ['reactor', 'resistor'] as const) {
      const plan = {
        method: 'primary-reactor',
        element,
        share: 0.65,
        changeover: { at: 'speed', share: 0.8 },
      } as const;
      const reduced = still(plan, stiff(big), big);
      within(reduced.line, 0.65 * direct.line, 0.005);
      within(reduced.torque, 0.65 ** 2 * direct.torque, 0.005);
    }
  });
  it('on a weak supply star takes more than a third, for the direct start dips more', () => {
    const weak: Feed = { ...stiff(big), reactance: 0.8 };
    const ratio = still(star, weak, big).line / still({ method: 'direct' }, weak, big).line;
    expect(ratio).toBeGreaterThan(0.36);
    // Voltage divider, impedances as complex numbers: (Zs + Z) ÷ (Zs + 3 Z).
    const out = new Float64Array(answerLength);
    solveAt(big, 2300, 60, 1, out);
    const z = 2300 / Math.sqrt(3) / (out[at.current] ?? NaN);
    const r = z * (out[at.powerFactor] ?? NaN);
    const x = Math.sqrt(z * z - r * r);
    within(ratio, Math.hypot(r, x + 0.8) / Math.hypot(3 * r, 3 * x + 0.8), 1e-9);
  });
});

describe('a start', () => {
  it('crawls where the load crosses the motor’s torque in star, and says at which speed', () => {
    const load = {
      ...none,
      torque: 1500,
      breakaway: 100,
      shape: {
        kind: 'points',
        points: [
          [0, 0.05],
          [0.35, 0.1],
          [0.5, 0.9],
          [1, 0.9],
        ],
      } as const,
      speed: 1780,
    };
    const plan = { method: 'star-delta', changeover: { at: 'speed', share: 0.85 }, pause: 0.05 } as const;
    const run = runUp({ ...spec(big, load, 20), plan });
    expect(run.outcome).toBe('crawling');
    // Where the two curves cross, read off the curve apart from the simulation.
    const s = { ...spec(big, load, 20), ratedCurrent: 105, ratedTorque: 2000, permitted: Infinity };
    const curve = curveOf(s, reducedHookup(big, 60, plan), undefined, 2000);
    const i = curve.speed.findIndex((n, k) => n > 0 && (curve.torque[k] ?? 0) < startTorqueAt(load, n));
    within(run.heldAt ?? NaN, curve.speed[i] ?? NaN, 0.01);
    // By time it is taken over all the same, with the current of a direct start at that speed.
    const timed = runUp({ ...spec(big, load, 20), plan: { ...plan, changeover: { at: 'time', time: 30 } } });
    expect(timed.outcome).toBe('running');
    expect(timed.events.map((e) => e.what)).toEqual(['held', 'opened', 'changed-over', 'at-speed']);
    expect(timed.changeoverCurrent).toBeGreaterThan(400);
  });
  it('stalls where breakaway is more than the motor gives, and takes no longer to say so', () => {
    const run = runUp(spec(big, { ...none, torque: 900, breakaway: 1200 }, 20));
    expect(run.outcome).toBe('stalled');
    expect(run.steps).toBeLessThan(5);
    expect(run.margin).toBeCloseTo(breakdownless(big) - 1200, 3);
  });
  it('takes twice as long with twice the inertia, and heats the rotor twice as much', () => {
    const one = runUp(spec(big, fan(1500), 30));
    const two = runUp(spec(big, fan(1500), 60));
    within(two.time ?? NaN, 2 * (one.time ?? NaN), 0.001);
    within(two.rotorHeat, 2 * one.rotorHeat, 0.005);
  });
  it('a soft starter holds its limit until the motor takes less', () => {
    const plan = {
      method: 'soft-starter',
      limit: 350,
      ramp: 'none',
      from: 1,
      time: 0,
      kick: undefined,
      ratedTorque: 2000,
    } as const;
    const run = runUp({ ...spec(big, fan(1500), 30), plan, traced: true });
    within(run.peakLine, 350, 1e-6);
    expect(run.events.map((e) => e.what)).toContain('limit-left');
  });
  it(
    'a generator dips by its subtransient reactance at first, by more ' +
      'as the transient one takes over, and comes back',
    () => {
      const generator = { transientReactance: 1.5, recovery: 0.5 };
      const feed: Feed = { ...stiff(big), reactance: 1, generator };
      const run = runUp({ ...spec(big, fan(1500), 30), feed, traced: true });
      const trace = run.trace ?? expect.fail();
      const first = runUp({ ...spec(big, fan(1500), 30), feed: { ...stiff(big), reactance: 1 }, traced: true });
      within(trace.bus[0] ?? NaN, first.trace?.bus[0] ?? NaN, 1e-9);
      // Told is what its transient reactance makes of the first instant, before the regulator moves.
      const held = runUp({ ...spec(big, fan(1500), 30), feed: { ...stiff(big), reactance: 1.5 }, traced: true });
      expect(1 - (held.trace?.bus[0] ?? NaN) / 2300).toBeCloseTo(run.dip, 9);
      expect(Math.min(...trace.bus)).toBeLessThan(trace.bus[0] ?? 0);
      expect(trace.bus.at(-1)).toBeGreaterThan(0.95 * 2300);
    },
  );
  it('reached, the final speed is where motor and load meet', () => {
    const run = runUp(spec(big, fan(1800), 30));
    const out = new Float64Array(answerLength);
    const n = run.finalSpeed ?? NaN;
    solveAt(big, 2300, 60, 1 - n / 1800, out);
    expect(out[at.torque] ?? NaN).toBeCloseTo(startTorqueAt(fan(1800), n) + (frictionAt(big, n) * 30) / Math.PI / n, 3);
  });
});

/** Torque at standstill. */
const breakdownless = (c: Circuit): number => physics.torqueAt(c, c.voltage, c.frequency, 1);

describe('no input that a case can hold makes a NaN or an endless start', () => {
  const shapes = fc.constantFrom<physics.LoadShape>(
    { kind: 'constant' },
    { kind: 'linear' },
    { kind: 'quadratic' },
    { kind: 'constant-power' },
    {
      kind: 'points',
      points: [
        [0, 2],
        [0.5, 0.1],
        [1, 1],
      ],
    },
  );
  it('extreme inertia, no load, reversed load, one percent of voltage, weak supplies', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(big, twoCages),
        fc.double({ min: -6, max: 9, noNaN: true }),
        fc.constantFrom(-1, -0.1, 0, 1e-6, 0.3, 1, 2, 50),
        fc.constantFrom(0.01, 0.3, 0.8, 1, 1.1),
        fc.constantFrom(0, 0.01, 1, 30),
        shapes,
        fc.nat(9),
        fc.boolean(),
        (c, magnitude, share, volts, reactance, shape, which, generator) => {
          const T = physics.ratedTorqueOf(c);
          const I = physics.pointAt(c, c.voltage, c.frequency, 1 - c.ratedSpeed / 1800).current;
          const load: StartLoad = {
            torque: share * T,
            speed: 1780,
            shape,
            startRatio: 1,
            breakaway: Math.max(0, 1.3 * share * T),
          };
          const feed: Feed = {
            ...stiff(c),
            voltage: volts * c.voltage,
            reactance,
            ...(generator ? { generator: { transientReactance: 1.5 * reactance, recovery: 0.5 } } : {}),
          };
          const plan = plans(I, T)[which] ?? { method: 'direct' };
          const run = simulate(
            { ...spec(c, load, 10 ** magnitude), feed, ratedCurrent: I, ratedTorque: T, permitted: Infinity },
            plan,
          );
          const numbers = [
            run.speed,
            run.peakLine,
            run.peakMotor,
            run.dip,
            run.terminalDip,
            run.margin,
            run.statorHeat,
            run.rotorHeat,
            run.jolt,
            ...Object.values(run.energy),
            run.time ?? 0,
            run.finalSpeed ?? 0,
          ];
          for (const x of numbers) expect(Number.isFinite(x), JSON.stringify(run)).toBe(true);
          expect(run.steps).toBeLessThanOrEqual(20_000);
        },
      ),
      { numRuns: 250 },
    );
  }, 60_000);
});

describe('breakdown limits what a start can carry', () => {
  it('a load above breakdown torque never comes to speed', () => {
    const b = breakdown(big, 2300, 60).torque;
    const run = runUp(spec(big, { ...none, torque: 1.2 * b, breakaway: 10, shape: { kind: 'quadratic' } }, 20));
    expect(run.outcome).not.toBe('running');
    expect(run.finalSpeed).toBeUndefined();
  });
});

describe('what happens on the way', () => {
  const whats = (run: physics.Run): string[] => run.events.map((e) => e.what);
  const drive = (limit: number, load = fan(1500)) =>
    runOnDrive({
      ...spec(big, load, 20),
      plan: { method: 'drive', ramp: 8, limit, speed: 1750, control: 'vector', boost: 0 },
    });
  it('a drive tells when it is at speed, once, at 95 % of what is asked', () => {
    const run = drive(160);
    expect(run.outcome).toBe('running');
    const there = run.events.filter((e) => e.what === 'at-speed');
    expect(there).toHaveLength(1);
    expect(there[0]?.time).toBe(run.time);
    expect(there[0]?.speed).toBeCloseTo(0.95 * 1750, 6);
    expect(whats(run)).not.toContain('stalled');
  });
  it('one that cannot move the load tells the stall with its time and speed, and nothing else', () => {
    const run = drive(40, { ...none, torque: 2500, breakaway: 2500 });
    expect(run.outcome).toBe('stalled');
    expect(run.events.at(-1)).toMatchObject({ what: 'stalled', speed: 0 });
    // Not before its ramp to this speed is over.
    expect(run.events.at(-1)?.time).toBeGreaterThan((8 * 1750) / 1800);
  });
  it('one that meets the load on the way crawls there', () => {
    const run = drive(70, fan(2600));
    expect(run.outcome).toBe('crawling');
    expect(run.events.at(-1)?.what).toBe('crawling');
    expect(run.events.at(-1)?.speed).toBeGreaterThan(100);
    expect(run.events.at(-1)?.speed).toBeLessThan(0.95 * 1750);
  });
  it('an open changeover opens before it closes, a closed one does not open', () => {
    const star = (pause: number) =>
      simulate(
        { ...spec(big, fan(500), 20), ratedCurrent: 105, ratedTorque: 2000, permitted: Infinity },
        { method: 'star-delta', pause, changeover: { at: 'speed', share: 0.8 } },
      );
    expect(whats(star(0.05))).toEqual(expect.arrayContaining(['opened', 'changed-over']));
    expect(whats(star(0))).not.toContain('opened');
    const open = star(0.05).events;
    const [opened, closed] = ['opened', 'changed-over'].map((w) => open.find((e) => e.what === w)?.time ?? NaN);
    expect((closed ?? 0) - (opened ?? 0)).toBeCloseTo(0.05, 3);
  });
  it('the earliest safe changeover is where star has done what it can, and later ones succeed up to the latest', () => {
    const s = { ...spec(big, fan(500), 20), ratedCurrent: 105, ratedTorque: 2000, permitted: 30 };
    const { value } = physics.changeoverWindow(s, {
      method: 'star-delta',
      pause: 0.05,
      changeover: { at: 'speed', share: 0.8 },
    });
    if (!value) expect.fail('no window');
    expect(value.earliest).toBeGreaterThan(0.1);
    // It is when star opens, not when delta closes half a second later.
    const slow = { method: 'star-delta', pause: 0.5, changeover: { at: 'speed', share: 0.8 } } as const;
    const late = physics.changeoverWindow(s, slow).value?.earliest ?? NaN;
    expect(Math.abs(late - value.earliest)).toBeLessThan(0.1);
    expect(value.latest).toBeGreaterThanOrEqual(value.earliest);
    const at = simulate(s, { method: 'star-delta', pause: 0.05, changeover: { at: 'time', time: value.earliest } });
    expect(at.outcome).toBe('running');
  });
});
