import { definition } from '../../contract';
import { any, law, notNegative, positive, share, type Law } from '../../law';

const gearing = definition('Mechanics', 'a train of ratio i and efficiency η, ratio = motor speed ÷ driven speed');

export const torqueThroughTrain = law({
  name: 'Torque at the motor through a train',
  symbol: 'T_m',
  unit: 'N.m',
  takes: { T_L: 'N.m', i: '1', eta: '1' },
  formula: 'T_L / (i * eta)',
  source: gearing,
  range: { T_L: any, i: positive, eta: [0.05, 1] },
  example: { of: { T_L: 900, i: 20, eta: 0.9 }, gives: 50, from: 'by hand' },
  of: ({ T_L, i, eta }) => T_L / (i * eta),
});

export const speedThroughTrain = law({
  name: 'Motor speed through a train',
  symbol: 'n_m',
  unit: 'rpm',
  takes: { n_L: 'rpm', i: '1' },
  formula: 'n_L * i',
  source: gearing,
  range: { n_L: notNegative, i: positive },
  example: { of: { n_L: 70, i: 25 }, gives: 1750, from: 'by hand' },
  of: ({ n_L, i }) => n_L * i,
});

export const drivenSpeed = law({
  name: 'Driven speed behind a train',
  symbol: 'n_L',
  unit: 'rpm',
  takes: { n_m: 'rpm', i: '1' },
  formula: 'n_m / i',
  source: gearing,
  range: { n_m: notNegative, i: positive },
  example: { of: { n_m: 1750, i: 25 }, gives: 70, from: 'by hand' },
  of: ({ n_m, i }) => n_m / i,
});

export const powerThroughTrain = law({
  name: 'Power at the motor through a train',
  symbol: 'P_m',
  unit: 'W',
  takes: { P_L: 'W', eta: '1' },
  formula: 'P_L / eta',
  source: gearing,
  range: { P_L: any, eta: [0.05, 1] },
  example: { of: { P_L: 9000, eta: 0.9 }, gives: 10000, from: 'by hand' },
  of: ({ P_L, eta }) => P_L / eta,
});

/** Motor speed a drive holds, as a share of the motor speed at the demand. */
export const speedOnDrive = law({
  name: 'Motor speed on a drive',
  symbol: 'n_op',
  unit: 'rpm',
  takes: { n_m: 'rpm', k: '1' },
  formula: 'n_m * max(1, k)',
  source: definition('Case', 'highest speed asked, and not below the speed of the demand'),
  range: { n_m: notNegative, k: [0, 10] },
  example: { of: { n_m: 1500, k: 1.2 }, gives: 1800, from: 'by hand' },
  of: ({ n_m, k }) => n_m * Math.max(1, k),
});

/** Driven inertia seen from the motor shaft: kinetic energy is the same on both sides. */
export const inertiaThroughTrain = law({
  name: 'Driven inertia at the motor',
  symbol: 'J_m',
  unit: 'kg.m2',
  takes: { J_L: 'kg.m2', i: '1' },
  formula: 'J_L / i^2',
  source: gearing,
  range: { J_L: notNegative, i: positive },
  example: { of: { J_L: 40, i: 20 }, gives: 0.1, from: 'by hand' },
  of: ({ J_L, i }) => J_L / (i * i),
});

/** Torque the motor must break away with: a multiple of the steady torque. */
export const breakawayTorque = law({
  name: 'Breakaway torque at the motor',
  symbol: 'T_b',
  unit: 'N.m',
  takes: { T_m: 'N.m', k_b: '1' },
  formula: 'T_m * k_b',
  source: definition('Case', 'breakaway is torque at standstill ÷ steady torque'),
  range: { T_m: any, k_b: [0, 20] },
  example: { of: { T_m: 40, k_b: 1.5 }, gives: 60, from: 'by hand' },
  of: ({ T_m, k_b }) => T_m * k_b,
});

export type TrainKind = 'direct' | 'belt' | 'gearbox' | 'chain';

/** One stage of a train, from the motor outwards; inertia of its parts at its slower side. */
export interface Stage {
  readonly ratio: number;
  readonly efficiency: number;
  readonly inertia: number;
}

const exampleTrain = 'a belt 3 : 1 (95 %, 0.2 kg·m² at its slower side), then gears 20 : 1 (95 %, 0.5 kg·m²)';
const exampleStages: readonly Stage[] = [
  { ratio: 3, efficiency: 0.95, inertia: 0.2 },
  { ratio: 20, efficiency: 0.95, inertia: 0.5 },
];

/** Ratio of all stages together. */
export const stagesRatio = (stages: readonly Stage[]): Law<Record<never, never>, '1'> =>
  law({
    name: 'Ratio of the train',
    symbol: 'i',
    unit: '1',
    takes: {},
    formula: 'product of the ratios of the stages',
    source: gearing,
    method: true,
    range: {},
    example: {
      of: {},
      gives: 60,
      from: 'by hand: 3 × 20',
      made: { for: exampleTrain, law: () => stagesRatio(exampleStages) },
    },
    of: () => stages.reduce((i, s) => i * s.ratio, 1),
  });

export const stagesEfficiency = (stages: readonly Stage[]): Law<Record<never, never>, '1'> =>
  law({
    name: 'Efficiency of the train',
    symbol: 'eta',
    unit: '1',
    takes: {},
    formula: 'product of the efficiencies of the stages',
    source: gearing,
    method: true,
    range: {},
    example: {
      of: {},
      gives: 0.9025,
      from: 'by hand: 0.95 × 0.95',
      made: { for: exampleTrain, law: () => stagesEfficiency(exampleStages) },
    },
    of: () => stages.reduce((eta, s) => eta * s.efficiency, 1),
  });

/** Inertia of sheaves, gears and couplings at the motor: each stage's divided by the square of the ratio up to it. */
export const stagesInertia = (stages: readonly Stage[]): Law<Record<never, never>, 'kg.m2'> =>
  law({
    name: 'Inertia of the train at the motor',
    symbol: 'J_tr',
    unit: 'kg.m2',
    takes: {},
    formula: 'sum over the stages of inertia over the square of the ratio between motor and its slower side',
    source: gearing,
    method: true,
    range: {},
    example: {
      of: {},
      gives: 0.022361,
      from: 'by hand: 0.2 / 3² + 0.5 / 60²',
      made: { for: exampleTrain, law: () => stagesInertia(exampleStages) },
    },
    of: () => {
      let ratio = 1;
      let sum = 0;
      for (const s of stages) {
        ratio *= s.ratio;
        sum += s.inertia / ratio ** 2;
      }
      return sum;
    },
  });

/** Inertia at the motor of machine and train together. */
export const inertiaWithTrain = law({
  name: 'Driven inertia at the motor, with the train',
  symbol: 'J_m',
  unit: 'kg.m2',
  takes: { J_L: 'kg.m2', i: '1', J_tr: 'kg.m2' },
  formula: 'J_L / i^2 + J_tr',
  source: gearing,
  range: { J_L: notNegative, i: positive, J_tr: notNegative },
  example: { of: { J_L: 40, i: 20, J_tr: 0.02 }, gives: 0.12, from: 'by hand' },
  of: ({ J_L, i, J_tr }) => J_L / (i * i) + J_tr,
});

/** Breakaway of a machine that starts unloaded. */
export const unloadedBreakaway = law({
  name: 'Breakaway torque at the motor, started unloaded',
  symbol: 'T_b',
  unit: 'N.m',
  takes: { T_m: 'N.m', k_b: '1', k_s: '1' },
  formula: 'T_m * k_b * k_s',
  source: definition('Case', 'torque while starting ÷ torque of the shape'),
  range: { T_m: any, k_b: [0, 20], k_s: [0, 5] },
  example: { of: { T_m: 40, k_b: 1.5, k_s: 0.3 }, gives: 18, from: 'by hand' },
  of: ({ T_m, k_b, k_s }) => T_m * k_b * k_s,
});

/** Ends of the band in which the load may lie. */
export const lowEnd = law({
  name: 'Load at the low end of its uncertainty',
  symbol: 'P_lo',
  unit: 'W',
  takes: { P: 'W', u: '1' },
  formula: 'P * (1 - u)',
  source: definition('Uncertainty', 'power × (1 − u)'),
  range: { P: any, u: share },
  example: { of: { P: 10000, u: 0.2 }, gives: 8000, from: 'by hand' },
  of: ({ P, u }) => P * (1 - u),
});
export const highEnd = law({
  name: 'Load at the high end of its uncertainty',
  symbol: 'P_hi',
  unit: 'W',
  takes: { P: 'W', u: '1' },
  formula: 'P * (1 + u)',
  source: definition('Uncertainty', 'power × (1 + u)'),
  range: { P: any, u: share },
  example: { of: { P: 10000, u: 0.2 }, gives: 12000, from: 'by hand' },
  of: ({ P, u }) => P * (1 + u),
});
