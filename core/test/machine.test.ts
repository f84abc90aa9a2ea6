import fc from 'fast-check';
import { complex, add, divide, multiply, type Complex } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { physics, type CaseText } from '@pilgrim/core';
import { figure, findingIds, solved } from './cases';

type Circuit = physics.Circuit;
const { answerLength, at, breakdown, solveAt, torqueAt } = physics;

/** The same circuit by a general library's complex numbers (mathjs 15), written apart from ours. */
function byComplex(c: Circuit, U: number, s: number) {
  const j = (x: number): Complex => complex(0, x);
  const parallel = (a: Complex, b: Complex): Complex => divide(multiply(a, b), add(a, b)) as Complex;
  const cage = add(complex(c.rotorResistance / s, 0), j(c.rotorReactance));
  const rotor = c.cage2 ? parallel(cage, add(complex(c.cage2.resistance / s, 0), j(c.cage2.reactance))) : cage;
  const shunt =
    c.coreLoss > 0
      ? parallel(j(c.magnetisingReactance), complex(c.voltage ** 2 / c.coreLoss, 0))
      : j(c.magnetisingReactance);
  const rest = parallel(rotor, shunt);
  const I = divide(complex(U / Math.sqrt(3), 0), add(complex(c.statorResistance, c.statorReactance), rest)) as Complex;
  const E = multiply(I, rest) as Complex;
  const I2 = divide(E, rotor) as Complex;
  const power = (v: Complex, i: Complex): number => 3 * (v.re * i.re + v.im * i.im);
  const input = power(complex(U / Math.sqrt(3), 0), I);
  const airGap = power(E, I2);
  return {
    current: Math.hypot(I.re, I.im),
    input,
    powerFactor: I.re / Math.hypot(I.re, I.im),
    airGap,
    torque: airGap / ((4 * Math.PI * c.frequency) / c.poles),
  };
}

const machine = (c: Partial<Circuit> & Pick<Circuit, 'poles' | 'voltage' | 'ratedSpeed'>): Circuit => ({
  frequency: 60,
  statorResistance: 0,
  statorReactance: 0,
  rotorResistance: 0,
  rotorReactance: 0,
  magnetisingReactance: 1,
  coreLoss: 0,
  frictionLoss: 0,
  ...c,
});

/** Textbook machines, their printed answers from memory. Books round, and some drop the core's branch. */
const books = [
  {
    name: '25 hp, 460 V, four poles (widely used textbook example)',
    circuit: machine({
      poles: 4,
      voltage: 460,
      ratedSpeed: 1760.4,
      statorResistance: 0.641,
      statorReactance: 1.106,
      rotorResistance: 0.332,
      rotorReactance: 0.464,
      magnetisingReactance: 26.3,
      frictionLoss: 1100,
    }),
    printed: {
      current: 18.88,
      powerFactor: 0.833,
      torque: 62.8,
      output: 10_485,
      efficiency: 0.837,
      breakdown: 229,
      breakdownSlip: 0.198,
      starting: 104,
    },
  },
  {
    name: '10 hp, 220 V, six poles (Fitzgerald and Kingsley, Electric Machinery, example 6.2 and 6.3)',
    circuit: machine({
      poles: 6,
      voltage: 220,
      ratedSpeed: 1176,
      statorResistance: 0.294,
      statorReactance: 0.503,
      rotorResistance: 0.144,
      rotorReactance: 0.209,
      magnetisingReactance: 13.25,
      frictionLoss: 403,
    }),
    printed: {
      current: 18.8,
      powerFactor: 0.844,
      airGap: 5740,
      output: 5220,
      efficiency: 0.861,
      breakdown: 175,
      breakdownSlip: 0.192,
      starting: 78,
    },
  },
  {
    name: '460 V, 1740 r/min, four poles (Sen, Principles of Electric Machines, example 5.4)',
    circuit: machine({
      poles: 4,
      voltage: 460,
      ratedSpeed: 1740,
      statorResistance: 0.25,
      statorReactance: 0.5,
      rotorResistance: 0.2,
      rotorReactance: 0.5,
      magnetisingReactance: 30,
      frictionLoss: 1700,
    }),
    printed: {
      current: 42.75,
      powerFactor: 0.94,
      torque: 163.1,
      efficiency: 0.875,
      breakdown: 431.7,
      breakdownSlip: 0.1963,
      startingCurrent: 245.9,
    },
  },
  {
    // The book adds core and friction to one rotational loss.
    name: '15 hp, 208 V, four poles (Chapman, Electric Machinery Fundamentals, 4th edition, problem 7-7)',
    circuit: machine({
      poles: 4,
      voltage: 208,
      ratedSpeed: 1710,
      statorResistance: 0.2,
      statorReactance: 0.41,
      rotorResistance: 0.12,
      rotorReactance: 0.41,
      magnetisingReactance: 15,
      frictionLoss: 430,
    }),
    printed: { current: 44.8, powerFactor: 0.903, airGap: 13_400, torque: 71, efficiency: 0.845 },
  },
  {
    name: '30 hp, 208 V, four poles (Chapman, Electric Machinery Fundamentals, 5th edition, problem 6-7)',
    circuit: machine({
      poles: 4,
      voltage: 208,
      ratedSpeed: 1710,
      statorResistance: 0.1,
      statorReactance: 0.21,
      rotorResistance: 0.07,
      rotorReactance: 0.21,
      magnetisingReactance: 10,
      frictionLoss: 900,
    }),
    printed: { current: 78, powerFactor: 0.922, airGap: 24_100, torque: 128, efficiency: 0.85 },
  },
  {
    // The book gives rated power and speed; the speed is rounded to 1 r/min, which is 4 % of slip.
    name: '500 hp, 2300 V, four poles (Krause, Wasynczuk and Sudhoff, Analysis of Electric Machinery, table 4.10-1)',
    circuit: machine({
      poles: 4,
      voltage: 2300,
      ratedSpeed: 1773,
      statorResistance: 0.262,
      statorReactance: 1.206,
      rotorResistance: 0.187,
      rotorReactance: 1.206,
      magnetisingReactance: 54.02,
    }),
    printed: { output: 500 * 746 },
  },
  {
    name: '2250 hp, 2300 V, four poles (the same table; at 1786.2, which prints as 1786)',
    circuit: machine({
      poles: 4,
      voltage: 2300,
      ratedSpeed: 1786.2,
      statorResistance: 0.029,
      statorReactance: 0.226,
      rotorResistance: 0.022,
      rotorReactance: 0.226,
      magnetisingReactance: 13.04,
    }),
    printed: { output: 2250 * 746 },
  },
] as const;

describe.each(books)('$name', ({ circuit, printed }) => {
  const synchronous = (120 * circuit.frequency) / circuit.poles;
  const s = 1 - circuit.ratedSpeed / synchronous;
  const out = new Float64Array(answerLength);
  solveAt(circuit, circuit.voltage, circuit.frequency, s, out);
  const near = (actual: number | undefined, wanted: number | undefined, within = 0.02): void => {
    if (wanted !== undefined) expect(Math.abs((actual ?? NaN) / wanted - 1)).toBeLessThan(within);
  };
  const p: Partial<
    Record<
      | 'current'
      | 'powerFactor'
      | 'torque'
      | 'airGap'
      | 'output'
      | 'efficiency'
      | 'breakdown'
      | 'breakdownSlip'
      | 'starting'
      | 'startingCurrent',
      number
    >
  > = printed;
  it('meets what the book prints within 2 %', () => {
    near(out[at.current], p.current);
    near(out[at.powerFactor], p.powerFactor);
    near(out[at.torque], p.torque);
    near(out[at.airGap], p.airGap);
    near(out[at.output], p.output);
    near((out[at.output] ?? NaN) / (out[at.input] ?? NaN), p.efficiency);
    const b = breakdown(circuit, circuit.voltage, circuit.frequency);
    near(b.torque, p.breakdown);
    near(b.slip, p.breakdownSlip, 0.025);
    // The first book takes the stator's own reactance for its Thévenin reactance, which is 2.4 % off at standstill.
    near(torqueAt(circuit, circuit.voltage, circuit.frequency, 1), p.starting, 0.026);
    near(physics.currentAt(circuit, circuit.voltage, circuit.frequency, 1), p.startingCurrent);
  });
  it('is the exact complex solution at every slip', () => {
    for (const slip of [0.001, s, 0.05, 0.2, 0.5, 1, 1.7, -0.02]) {
      solveAt(circuit, circuit.voltage, circuit.frequency, slip, out);
      const exact = byComplex(circuit, circuit.voltage, slip);
      expect(out[at.current]).toBeCloseTo(exact.current, 8);
      expect(out[at.input]).toBeCloseTo(exact.input, 5);
      expect(out[at.powerFactor]).toBeCloseTo(exact.powerFactor, 10);
      expect(out[at.torque]).toBeCloseTo(exact.torque, 7);
    }
  });
});

const ohms = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
const anyCircuit = fc
  .record({
    r1: ohms(0.01, 2),
    x1: ohms(0.05, 3),
    r2: ohms(0.01, 2),
    x2: ohms(0.05, 3),
    xm: ohms(8, 200),
    r3: ohms(0.05, 9),
    x3: ohms(0.02, 3),
    iron: ohms(1, 900),
    friction: ohms(0, 900),
    double: fc.boolean(),
  })
  .map((v): Circuit =>
    machine({
      poles: 4,
      voltage: 460,
      ratedSpeed: 1750,
      statorResistance: v.r1,
      statorReactance: v.x1,
      rotorResistance: v.r2,
      rotorReactance: v.x2,
      magnetisingReactance: v.xm,
      coreLoss: v.double ? v.iron : 0,
      frictionLoss: v.friction,
      ...(v.double ? { cage2: { resistance: v.r3, reactance: v.x3 } } : {}),
    }),
  );

describe('laws of every circuit', () => {
  it('one or two cages, with core loss: the exact complex solution, and the powers add up', () => {
    fc.assert(
      fc.property(anyCircuit, fc.double({ min: 0.002, max: 1.5, noNaN: true }), (c, s) => {
        const out = new Float64Array(answerLength);
        solveAt(c, 460, 60, s, out);
        const exact = byComplex(c, 460, s);
        expect(Math.abs((out[at.current] ?? 0) / exact.current - 1)).toBeLessThan(1e-9);
        expect(Math.abs((out[at.torque] ?? 0) / exact.torque - 1)).toBeLessThan(1e-7);
        const sum = (out[at.statorLoss] ?? 0) + (out[at.coreLoss] ?? 0) + (out[at.airGap] ?? 0);
        expect(Math.abs(sum / (out[at.input] ?? 1) - 1)).toBeLessThan(1e-9);
        const shaft = (out[at.airGap] ?? 0) - (out[at.rotorLoss] ?? 0) - (out[at.friction] ?? 0);
        expect(shaft).toBeCloseTo(out[at.output] ?? NaN, 5);
      }),
    );
  });
  it('torque and power go with the square of voltage, current with voltage', () => {
    fc.assert(
      fc.property(anyCircuit, fc.double({ min: 0.01, max: 1.3, noNaN: true }), (c, k) => {
        expect(torqueAt(c, 460 * k, 60, 0.3)).toBeCloseTo(k * k * torqueAt(c, 460, 60, 0.3), 6);
      }),
    );
  });
  it('no slip has more torque than breakdown', () => {
    fc.assert(
      fc.property(anyCircuit, fc.double({ min: 0.0005, max: 1, noNaN: true }), (c, s) => {
        expect(torqueAt(c, 460, 60, s)).toBeLessThanOrEqual(breakdown(c, 460, 60).torque * (1 + 1e-6));
      }),
    );
  });
  it('the slip found for a shaft torque carries it', () => {
    fc.assert(
      fc.property(anyCircuit, fc.double({ min: 0.05, max: 0.9, noNaN: true }), (c, share) => {
        const T = share * breakdown(c, 460, 60).torque;
        const s = physics.slipForShaftTorque(c, 460, 60, T);
        if (s === undefined) return;
        const out = new Float64Array(answerLength);
        solveAt(c, 460, 60, s, out);
        expect(Math.abs((out[at.shaftTorque] ?? 0) - T)).toBeLessThan(1e-4 * Math.max(1, T));
      }),
    );
  });
});

describe('idle and half load of the 25 hp circuit (first principles)', () => {
  const c = books[0].circuit;
  it('idle it takes the current of stator and magnetising branch alone: half of rated, though it gives nothing', () => {
    const idle = physics.currentAt(c, 460, 60, 1e-7);
    expect(idle).toBeCloseTo(460 / Math.sqrt(3) / Math.hypot(0.641, 1.106 + 26.3), 4);
    expect(idle / physics.currentAt(c, 460, 60, 0.022)).toBeGreaterThan(0.45);
  });
});

describe('a motor pinned by its circuit', () => {
  const circuit: NonNullable<CaseText['motor']> = {
    circuit: {
      poles: 4,
      voltage: '460 V',
      frequency: '60 Hz',
      statorResistance: '0.641 ohm',
      statorReactance: '1.106 ohm',
      rotorResistance: '0.332 ohm',
      rotorReactance: '0.464 ohm',
      magnetisingReactance: '26.3 ohm',
      frictionLoss: '1100 W',
      ratedSpeed: '1760.4 rpm',
    },
  };
  const asked = (motor: CaseText['motor'], load = '10 kW'): CaseText => ({
    format: 'pilgrim.case/1',
    practice: 'north-america',
    motor,
    supply: { voltage: '460 V', frequency: '60 Hz', source: { kind: 'stiff' } },
    load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: load, speed: '1760 rpm' } },
  });
  it('has the figures of the textbook’s motor, each with its working', () => {
    const r = solved(asked(circuit));
    expect(figure(r, 'motor.current')).toBeCloseTo(18.88, 1);
    expect(figure(r, 'motor.powerFactor')).toBeCloseTo(0.833, 2);
    expect(figure(r, 'motor.outputPower')).toBeCloseTo(10_485, -2);
    expect(figure(r, 'motor.torque')).toBeCloseTo(62.8, 0);
    expect(figure(r, 'motor.efficiency')).toBeCloseTo(0.837, 2);
    expect(Math.abs(figure(r, 'motor.startingTorque') / 104 - 1)).toBeLessThan(0.026);
    expect(Math.abs(figure(r, 'motor.breakdownTorque') / 229 - 1)).toBeLessThan(0.02);
    expect(r.figures['motor.current']?.formula).toContain('complex arithmetic');
  });
  it('is the subject and is judged as a motor: with 10 kW at 1760 it lacks the margin, with 9 kW it has it', () => {
    expect(solved(asked(circuit)).subject).toMatchObject({
      kind: 'pinned',
      name: expect.stringContaining('by its circuit'),
    });
    const power = (load: string) =>
      solved(asked(circuit, load)).candidates[0]?.verdicts.find((v) => v.requirement === 'power')?.outcome;
    expect(power('10 kW')).toBe('fail');
    expect(power('9 kW')).toBe('pass');
    expect(figure(solved(asked(circuit)), 'choice.ratedCurrent')).toBeCloseTo(18.9, 1);
  });
  it('without a rated speed, or with one above synchronous, it says so and chooses among all', () => {
    const { ratedSpeed: _, ...rest } = circuit.circuit ?? {};
    const without = solved(asked({ circuit: rest as typeof circuit.circuit }));
    expect(without.findings).toContainEqual(
      expect.objectContaining({ id: 'choice.pin-not-used', fields: ['motor.circuit.ratedSpeed'] }),
    );
    expect(
      findingIds(solved(asked({ circuit: { ...circuit.circuit, ratedSpeed: '1810 rpm' } as typeof circuit.circuit }))),
    ).toContain('choice.pin-not-used');
  });
});
