import { commonPractice, definition, model, remembered } from '../../contract';
import { any, law, notNegative, positive, share } from '../../law';

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
  range: { Q: notNegative, f: [0.001, 10], L: notNegative, H: any },
  example: { of: { Q: 20, f: 0.05, L: 100, H: 10 }, gives: 2942, from: 'by hand' },
  of: ({ Q, f, L, H }) => 9.80665 * Q * (f * L + H),
});

/**
 * Force at the drum of a belt conveyor: main resistance with belt and rollers, secondary ones by their factor C, and
 * lift.
 */
export const beltForce = law({
  name: 'Force at the drum of a belt conveyor',
  symbol: 'F_U',
  unit: 'N',
  takes: { C: '1', f: '1', L: 'm', q_m: 'kg/m', Q: 'kg/s', v: 'm/s', H: 'm' },
  formula: '9.80665 * (C * f * L * (q_m + Q / v) + H * Q / v)',
  source: beltStandard,
  range: { C: [1, 20], f: [0.005, 0.1], L: notNegative, q_m: notNegative, Q: notNegative, v: positive, H: any },
  example: { of: { C: 1.78, f: 0.02, L: 100, q_m: 40, Q: 50, v: 2, H: 5 }, gives: 3495.1, from: 'by hand' },
  of: ({ C, f, L, q_m, Q, v, H }) => 9.80665 * (C * f * L * (q_m + Q / v) + (H * Q) / v),
});

export const powerOfForce = law({
  name: 'Power of a force moving at v',
  symbol: 'P_L',
  unit: 'W',
  takes: { F: 'N', v: 'm/s' },
  formula: 'F * v',
  source: definition('Mechanics', 'power = force × speed'),
  range: { F: any, v: notNegative },
  example: { of: { F: 2000, v: 1.5 }, gives: 3000, from: 'by hand' },
  of: ({ F, v }) => F * v,
});

/** Power at the shaft of a screw conveyor: progress resistance λ, lift, and D·L/20 kW turned empty (D and L in m). */
export const screwPower = law({
  name: 'Power at the shaft of a screw conveyor',
  symbol: 'P_L',
  unit: 'W',
  takes: { Q: 'kg/s', lambda: '1', L: 'm', H: 'm', D: 'm' },
  formula: '9.80665 * Q * (lambda * L + H) + 50 * D * L',
  source: remembered('standard', 'ISO 7119', '1981', 'power of screw conveyors'),
  range: { Q: notNegative, lambda: [1, 10], L: notNegative, H: any, D: notNegative },
  example: { of: { Q: 5, lambda: 2, L: 12, H: 2, D: 0.4 }, gives: 1514.9, from: 'by hand' },
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
  range: { Q: notNegative, H: notNegative, H_0: notNegative },
  example: { of: { Q: 10, H: 25, H_0: 6 }, gives: 3040.1, from: 'by hand' },
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
  range: { m: notNegative, v: notNegative, eta: share },
  example: { of: { m: 1000, v: 0.5, eta: 0.85 }, gives: 4167.8, from: 'by hand' },
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
  range: { m: notNegative, D: notNegative },
  example: { of: { m: 1000, D: 0.4 }, gives: 1961.3, from: 'by hand' },
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
  range: { k: [0.5, 5], T_m: notNegative, d: positive },
  example: { of: { k: 1.5, T_m: 100, d: 0.2 }, gives: 1500, from: 'by hand' },
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
  range: { theta: [-60, 800], h: [-500, 11000] },
  example: {
    of: { theta: 15, h: 0 },
    gives: 1.225,
    from: 'International Standard Atmosphere (ISO 2533:1975, from memory): 1.225 kg/m³ at sea level',
  },
  of: ({ theta, h }) => (101325 * (1 - 0.0000225577 * h) ** 5.25588) / (287.05 * (theta + 273.15)),
});

/**
 * Pressure a fan makes of gas of density rho, from its catalogued pressure in standard air: volume the same, pressure
 * with density.
 */
export const pressureAtDensity = law({
  name: 'Fan pressure at the gas’s density',
  symbol: 'p',
  unit: 'Pa',
  takes: { p_std: 'Pa', rho: 'kg/m3' },
  formula: 'p_std * rho / 1.2',
  source: definition('Fan laws', 'at the same speed and volume flow pressure and power go with density'),
  range: { p_std: notNegative, rho: positive },
  example: { of: { p_std: 1500, rho: 0.9 }, gives: 1125, from: 'by hand' },
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
  range: { H_s: notNegative, H: positive },
  example: { of: { H_s: 6, H: 24 }, gives: 0.25, from: 'by hand' },
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
  range: { F_b: notNegative, F: positive },
  example: { of: { F_b: 900, F: 600 }, gives: 1.5, from: 'by hand' },
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
  range: { F_b: notNegative, r: notNegative, k_b: [0.1, 10] },
  example: { of: { F_b: 900, r: 0.4, k_b: 1.5 }, gives: 240, from: 'by hand' },
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
  range: { T_m: any, i: positive, eta: share },
  example: { of: { T_m: 50, i: 20, eta: 0.9 }, gives: 900, from: 'by hand' },
  of: ({ T_m, i, eta }) => T_m * i * eta,
});

export const powerBehindTrain = law({
  name: 'Power behind a train',
  symbol: 'P_L',
  unit: 'W',
  takes: { P_m: 'W', eta: '1' },
  formula: 'P_m * eta',
  source: definition('Mechanics', 'a train of efficiency η'),
  range: { P_m: any, eta: share },
  example: { of: { P_m: 11000, eta: 0.95 }, gives: 10450, from: 'by hand' },
  of: ({ P_m, eta }) => P_m * eta,
});
