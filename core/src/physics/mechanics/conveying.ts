import { commonPractice, definition, model, remembered } from '../../contract';
import { law } from '../../law';

const beltStandard = remembered('standard', 'ISO 5048', '1989', 'resistances to motion, clauses 4 and 5');

/**
 * Power at the drum of a belt conveyor whose friction number counts everything that rubs, referred to the material
 * carried. Q in kg/s above zero, length and lift in m (lift negative downhill), f usually 0.03 to 0.1.
 */
export const conveyorPower = law({
  name: 'Power at the drum of a conveyor',
  symbol: 'P_L',
  unit: 'W',
  takes: { Q: 'kg/s', f: '1', L: 'm', H: 'm' },
  formula: '9.80665 * Q * (f * L + H)',
  source: definition(
    'Mechanics',
    'material is moved against friction over the length and lifted; friction referred to the load',
  ),
  of: ({ Q, f, L, H }) => 9.80665 * Q * (f * L + H),
});

/** Force at the drum of a belt conveyor: main resistance with belt and rollers, secondary ones by their factor C, and lift. */
export const beltForce = law({
  name: 'Force at the drum of a belt conveyor',
  symbol: 'F_U',
  unit: 'N',
  takes: { C: '1', f: '1', L: 'm', q_m: 'kg/m', Q: 'kg/s', v: 'm/s', H: 'm' },
  formula: '9.80665 * (C * f * L * (q_m + Q / v) + H * Q / v)',
  source: beltStandard,
  of: ({ C, f, L, q_m, Q, v, H }) => 9.80665 * (C * f * L * (q_m + Q / v) + (H * Q) / v),
});

export const powerOfForce = law({
  name: 'Power of a force moving at v',
  symbol: 'P_L',
  unit: 'W',
  takes: { F: 'N', v: 'm/s' },
  formula: 'F * v',
  source: definition('Mechanics', 'power = force × speed'),
  of: ({ F, v }) => F * v,
});

/** Total ÷ main resistance of a belt by its length in m; short belts have many rubbing parts for their length. */
export const secondaryPoints: readonly (readonly [number, number])[] = [
  [80, 1.92],
  [100, 1.78],
  [150, 1.58],
  [200, 1.45],
  [300, 1.31],
  [400, 1.25],
  [500, 1.2],
  [600, 1.17],
  [700, 1.14],
  [800, 1.12],
  [900, 1.1],
  [1000, 1.09],
  [1500, 1.06],
  [2000, 1.05],
];
export const secondarySource = remembered('standard', 'DIN 22101', '2011', 'coefficient C by length; below 80 m held');

/** Power at the shaft of a screw conveyor: progress resistance λ, lift, and D·L/20 kW turned empty (D and L in m). */
export const screwPower = law({
  name: 'Power at the shaft of a screw conveyor',
  symbol: 'P_L',
  unit: 'W',
  takes: { Q: 'kg/s', lambda: '1', L: 'm', H: 'm', D: 'm' },
  formula: '9.80665 * Q * (lambda * L + H) + 50 * D * L',
  source: remembered('standard', 'ISO 7119', '1981', 'power of screw conveyors'),
  of: ({ Q, lambda, L, H, D }) => 9.80665 * Q * (lambda * L + H) + 50 * D * L,
});

/** Power at the head shaft of a bucket elevator; H_0 is the height that digging and friction are worth. */
export const elevatorPower = law({
  name: 'Power at the head of a bucket elevator',
  symbol: 'P_L',
  unit: 'W',
  takes: { Q: 'kg/s', H: 'm', H_0: 'm' },
  formula: '9.80665 * Q * (H + H_0)',
  source: definition('Mechanics', 'material is lifted; digging and friction as added height'),
  of: ({ Q, H, H_0 }) => 9.80665 * Q * (H + H_0),
});

/** Height that digging is worth, in diameters of the boot pulley. */
export const diggingDiameters = 12;
export const diggingSource = remembered(
  'standard',
  'CEMA 375',
  '2017',
  'boot load as 10 to 15 times the boot pulley’s diameter (centrifugal, spaced buckets)',
);

/** Power a lowered load gives back through a hoist of efficiency eta. */
export const loweringPower = law({
  name: 'Power given back while lowering',
  symbol: 'P_low',
  unit: 'W',
  takes: { m: 'kg', v: 'm/s', eta: '1' },
  formula: 'm * 9.80665 * v * eta',
  source: definition('Mechanics', 'losses help the brake on the way down'),
  of: ({ m, v, eta }) => m * 9.80665 * v * eta,
});

/** Torque at the drum that the load pulls with while it hangs. */
export const holdingTorque = law({
  name: 'Torque of the hanging load at the drum',
  symbol: 'T_hold',
  unit: 'N.m',
  takes: { m: 'kg', D: 'm' },
  formula: 'm * 9.80665 * D / 2',
  source: definition('Mechanics', 'torque = weight × radius'),
  of: ({ m, D }) => (m * 9.80665 * D) / 2,
});

/**
 * Sideways pull of a belt or chain on the motor's shaft: the torque's force at the pitch radius, times what tension
 * makes of it (V-belt 1.5, chain 1.0).
 */
export const beltPull = law({
  name: 'Pull of belt or chain on the motor shaft',
  symbol: 'F_r',
  unit: 'N',
  takes: { k: '1', T_m: 'N.m', d: 'm' },
  formula: 'k * T_m / (d / 2)',
  source: commonPractice('Overhung load: torque ÷ pitch radius × 1.5 for V-belts, × 1.0 for chain'),
  estimate: { basis: 'usual tension of a V-belt or chain', band: [0.8, 1.4] },
  of: ({ k, T_m, d }) => (k * T_m) / (d / 2),
});

/** Density of air at a temperature and height: ideal gas, standard atmosphere's pressure. */
export const airDensity = law({
  name: 'Density of air by temperature and height',
  symbol: 'rho',
  unit: 'kg/m3',
  takes: { theta: 'degC', h: 'm' },
  formula: '101325 * (1 - 0.0000225577 * h)^5.25588 / (287.05 * (theta + 273.15))',
  source: remembered('standard', 'ISO 2533 (standard atmosphere)', '1975', 'pressure by height; ideal gas'),
  of: ({ theta, h }) => (101325 * (1 - 0.0000225577 * h) ** 5.25588) / (287.05 * (theta + 273.15)),
});

/** Density for which fan pressures are catalogued, kg/m³. */
export const standardAir = 1.2;

/** Pressure a fan makes of gas of density rho, from its catalogued pressure in standard air: volume the same, pressure with density. */
export const pressureAtDensity = law({
  name: 'Fan pressure at the gas’s density',
  symbol: 'p',
  unit: 'Pa',
  takes: { p_std: 'Pa', rho: 'kg/m3' },
  formula: 'p_std * rho / 1.2',
  source: definition('Fan laws', 'at the same speed and volume flow pressure and power go with density'),
  of: ({ p_std, rho }) => (p_std * rho) / 1.2,
});

/** Static share of a pump's head at the flow of the demand. */
export const staticShare = law({
  name: 'Static share of the head',
  symbol: 's',
  unit: '1',
  takes: { H_s: 'm', H: 'm' },
  formula: 'H_s / H',
  source: definition('System curve', 'head = static + friction with the square of flow'),
  of: ({ H_s, H }) => H_s / H,
});

/** Pull to get it moving ÷ pull to keep it moving, both at the same radius. */
export const pullRatio = law({
  name: 'Breakaway from two pulls',
  symbol: 'k_b',
  unit: '1',
  takes: { F_b: 'N', F: 'N' },
  formula: 'F_b / F',
  source: definition('Mechanics', 'both pulls at the same radius'),
  of: ({ F_b, F }) => F_b / F,
});

/** Running torque guessed from the pull that only just moves a standing machine. */
export const runningFromBreakaway = law({
  name: 'Running torque from a breakaway pull',
  symbol: 'T_L',
  unit: 'N.m',
  takes: { F_b: 'N', r: 'm', k_b: '1' },
  formula: 'F_b * r / k_b',
  source: model('Breakaway usual for the machine', 'read the pull while it moves for a better value'),
  estimate: { basis: 'usual breakaway of the machine', band: [0.7, 1.4] },
  of: ({ F_b, r, k_b }) => (F_b * r) / k_b,
});

/** Torque at the driven shaft from torque measured at the motor's end of the train. */
export const torqueBehindTrain = law({
  name: 'Torque behind a train',
  symbol: 'T_L',
  unit: 'N.m',
  takes: { T_m: 'N.m', i: '1', eta: '1' },
  formula: 'T_m * i * eta',
  source: definition('Mechanics', 'a train of ratio i and efficiency η'),
  of: ({ T_m, i, eta }) => T_m * i * eta,
});

export const powerBehindTrain = law({
  name: 'Power behind a train',
  symbol: 'P_L',
  unit: 'W',
  takes: { P_m: 'W', eta: '1' },
  formula: 'P_m * eta',
  source: definition('Mechanics', 'a train of efficiency η'),
  of: ({ P_m, eta }) => P_m * eta,
});
