import { Solver } from 'odex';
import { Bench } from 'tinybench';
import { genericMotors, methods, physics, readCase, solveWith } from '@pilgrim/core';

/** The machine and its start: one run-up beside a general ODE package, a fit, and the comparison of all methods. */
const { answerLength, at, fitCircuit, frictionAt, runUp, simulate, solveAt, startTorqueAt } = physics;

const circuit: physics.Circuit = {
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
const load: physics.StartLoad = {
  torque: 1500,
  speed: 1780,
  shape: { kind: 'quadratic' },
  startRatio: 1,
  breakaway: 225,
};
const inertia = 40;
const feed = { voltage: 2300, frequency: 60, resistance: 0, reactance: 0, cable: { resistance: 0, reactance: 0 } };
const spec = { circuit, feed, inertia, load, stallTime: 12, plan: { method: 'direct' } } as const;

/**
 * The same equations over arrays, as a general package wants them: speed, input, stator heat, rotor heat, core,
 * friction, load, current squared.
 */
const out = new Float64Array(answerLength);
const rates = (_: number, y: number[]): number[] => {
  const w = Math.max(0, y[0] ?? 0);
  const n = (w * 30) / Math.PI;
  solveAt(circuit, 2300, 60, 1 - n / 1800, out);
  const friction = frictionAt(circuit, n);
  const resisting = startTorqueAt(load, n);
  const torque = out[at.torque] ?? 0;
  return [
    (torque - resisting - (w > 1e-9 ? friction / w : 0)) / inertia,
    out[at.input] ?? 0,
    out[at.statorLoss] ?? 0,
    (out[at.airGap] ?? 0) - torque * w,
    out[at.coreLoss] ?? 0,
    friction,
    resisting * w,
    (out[at.current] ?? 0) ** 2,
  ];
};
const end = runUp({ ...spec, tolerance: 1e-9 }).time ?? 0;

/**
 * Share of the input that heat, work and motion do not account for at the end, and how far the energies are from the
 * exact ones.
 */
function errorOf(y: readonly number[], exact: readonly number[]): number {
  const [w = 0, input = 1, stator = 0, rotor = 0, core = 0, friction = 0, work = 0] = y;
  const kinetic = 0.5 * inertia * w * w;
  const open = Math.abs(input - stator - rotor - core - friction - work - kinetic) / input;
  return Math.max(open, Math.abs(input / (exact[1] ?? 1) - 1), Math.abs(rotor / (exact[3] ?? 1) - 1));
}
const byPackage = (tolerance: number): number[] => {
  const solver = new Solver(8);
  solver.relativeTolerance = tolerance;
  solver.absoluteTolerance = tolerance;
  solver.maxSteps = 100_000;
  return solver.solve(rates, 0, [0, 0, 0, 0, 0, 0, 0, 0], end).y;
};
const exact = byPackage(1e-12);
const ours = (tolerance: number): number[] => {
  const r = runUp({ ...spec, tolerance, horizon: end });
  return [
    (r.speed * Math.PI) / 30,
    r.energy.input,
    r.energy.stator,
    r.energy.rotor,
    r.energy.core,
    r.energy.friction,
    r.energy.load,
  ];
};

/** Loosest tolerance, by decades and thirds of them, with which every energy is within 0.1 %. */
function loosest(solve: (tolerance: number) => readonly number[]): number {
  for (let i = 3; i < 40; i++) if (errorOf(solve(10 ** (-i / 3)), exact) < 1e-3) return 10 ** (-i / 3);
  throw new Error('no tolerance gives 0.1 %');
}
const tolerance = { ours: loosest(ours), package: loosest(byPackage) };

const text = {
  format: 'pilgrim.case/1',
  practice: 'iec',
  motor: { catalogue: 'iec-ip55-ie3-75kW-4p' },
  supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'transformer', rating: '630 kVA', impedance: 0.05 } },
  load: {
    machine: 'centrifugal-fan',
    demand: { kind: 'power', power: '62 kW', speed: '1480 rpm' },
    inertia: '9 kg·m²',
  },
};
const reading = readCase(text);
if (!reading.ok) throw new Error('the case is not valid');
const starting = solveWith(reading.value).starting;
if (!starting) throw new Error('nothing to start');
const { bench: onBench, aim } = starting;
const plans = (): physics.AnyPlan[] =>
  methods.map((m): physics.AnyPlan => {
    const changeover = { at: 'speed', share: 0.9 } as const;
    switch (m) {
      case 'direct':
        return { method: m };
      case 'star-delta':
        return { method: m, changeover, pause: 0.05 };
      case 'autotransformer':
        return { method: m, tap: 0.65, changeover };
      case 'primary-reactor':
        return { method: m, element: 'reactor', share: 0.65, changeover };
      case 'soft-starter':
        return {
          method: m,
          limit: 3.5 * onBench.ratedCurrent,
          ramp: 'voltage',
          from: 0.3,
          time: 10,
          kick: undefined,
          ratedTorque: onBench.ratedTorque,
        };
      case 'drive':
        return {
          method: m,
          ramp: 10,
          limit: aim.overload * onBench.ratedCurrent,
          speed: aim.speed,
          control: 'vector',
          boost: 0,
        };
    }
  });

const data = genericMotors().map((m): physics.MachineData => {
  const c = m.connections.at(-1);
  return {
    poles: m.poles,
    frequency: m.frequency,
    voltage: c?.voltage ?? 0,
    power: m.power,
    speed: m.speed,
    current: c?.current ?? 0,
    efficiency: m.efficiency,
    lockedRotorCurrent: m.lockedRotorCurrent,
    lockedRotorTorque: m.lockedRotorTorque,
    breakdownTorque: m.breakdownTorque,
    design: m.designLetter,
  };
});

let next = 0;
const one = (): physics.MachineData => {
  const d = data[next++ % data.length];
  if (!d) throw new Error('no motor');
  return d;
};
/** Starts in one timed turn, so that reading the clock does not count. */
const batch = 50;
const own = 'one start, every energy within 0.1 %';
const theirs = 'the same by odex 2.0.4';
const bench = new Bench({ time: 1500, warmupTime: 500 });
const ownSpec = { ...spec, tolerance: tolerance.ours, horizon: end };
bench.add(own, () => {
  for (let i = 0; i < batch; i++) runUp(ownSpec);
});
bench.add(theirs, () => {
  for (let i = 0; i < batch; i++) byPackage(tolerance.package);
});
bench.add('one start as the screen draws it', () => void runUp({ ...spec, traced: true }));
bench.add('a circuit fitted to a motor of the catalogue', () => void fitCircuit(one()));
bench.add('all six methods compared, with a fit', () => {
  fitCircuit(one());
  for (const plan of plans()) simulate(onBench, plan, plan.method === 'direct');
});
await bench.run();
const medians = new Map<string, number>();
for (const task of bench.tasks) {
  const result = task.result;
  if (!('latency' in result)) continue;
  const of = task.name === own || task.name === theirs ? batch : 1;
  const p50 = result.latency.p50 / of;
  const p99 = result.latency.p99 / of;
  medians.set(task.name, p50);
  process.stdout.write(`${task.name}: median ${p50.toFixed(3)} ms, 99th percentile ${p99.toFixed(3)} ms\n`);
}
process.stdout.write(
  `the package takes ${((medians.get(theirs) ?? NaN) / (medians.get(own) ?? NaN)).toFixed(1)} ` +
    `× as long as our own at the same error\n`,
);
