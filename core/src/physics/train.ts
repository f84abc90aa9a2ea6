import { definition, law } from '../law';

const gearing = definition('Mechanics', 'a train of ratio i and efficiency η, ratio = motor speed ÷ driven speed');

export const torqueThroughTrain = law({
  name: 'Torque at the motor through a train',
  symbol: 'T_m',
  unit: 'N.m',
  takes: { T_L: 'N.m', i: '1', eta: '1' },
  formula: 'T_L / (i * eta)',
  source: gearing,
  of: ({ T_L, i, eta }) => T_L / (i * eta),
});

export const speedThroughTrain = law({
  name: 'Motor speed through a train',
  symbol: 'n_m',
  unit: 'rpm',
  takes: { n_L: 'rpm', i: '1' },
  formula: 'n_L * i',
  source: gearing,
  of: ({ n_L, i }) => n_L * i,
});

export const drivenSpeed = law({
  name: 'Driven speed behind a train',
  symbol: 'n_L',
  unit: 'rpm',
  takes: { n_m: 'rpm', i: '1' },
  formula: 'n_m / i',
  source: gearing,
  of: ({ n_m, i }) => n_m / i,
});

export const powerThroughTrain = law({
  name: 'Power at the motor through a train',
  symbol: 'P_m',
  unit: 'W',
  takes: { P_L: 'W', eta: '1' },
  formula: 'P_L / eta',
  source: gearing,
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
  of: ({ T_m, k_b }) => T_m * k_b,
});
