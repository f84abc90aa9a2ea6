import { definition } from '../../contract';
import { any, law, notNegative, positive } from '../../law';

export const mechanics = definition('Mechanics', 'torque = force × radius; power = torque × angular speed');

/** Torque at a shaft from a tangential pull at a radius. */
export const torqueByPull = law({
  name: 'Torque of a pull at a radius',
  symbol: 'T_L',
  unit: 'N.m',
  takes: { F: 'N', r: 'm' },
  formula: 'F * r',
  source: mechanics,
  range: { F: any, r: notNegative },
  example: { of: { F: 711.7, r: 0.381 }, gives: 271.16, from: 'by hand' },
  of: ({ F, r }) => F * r,
});

/** Torque of a shaft carrying power P at n r/min; n above zero. */
export const torqueFromPower = law({
  name: 'Torque from power and speed',
  symbol: 'T',
  unit: 'N.m',
  takes: { P: 'W', n: 'rpm' },
  formula: '60 * P / (2 * pi * n)',
  source: mechanics,
  range: { P: any, n: positive },
  example: {
    of: { P: 7456.998715822702, n: 1750 },
    gives: 40.691,
    from: 'by hand; the trade’s 10 hp × 5252 ÷ 1750 = 30.0 lbf·ft',
  },
  of: ({ P, n }) => (60 * P) / (2 * Math.PI * n),
});

/** Power carried by a shaft at torque T and n r/min. */
export const powerFromTorque = law({
  name: 'Power from torque and speed',
  symbol: 'P',
  unit: 'W',
  takes: { T: 'N.m', n: 'rpm' },
  formula: 'T * 2 * pi * n / 60',
  source: mechanics,
  range: { T: any, n: notNegative },
  example: { of: { T: 40.69, n: 1750 }, gives: 7456.8, from: 'by hand' },
  of: ({ T, n }) => (T * 2 * Math.PI * n) / 60,
});

/** Shaft power of a pump lifting flow Q through head H; eta is the pump's own efficiency. */
export const pumpPower = law({
  name: 'Shaft power of a pump',
  symbol: 'P_L',
  unit: 'W',
  takes: { rho: 'kg/m3', Q: 'm3/s', H: 'm', eta: '1' },
  formula: 'rho * 9.80665 * Q * H / eta',
  source: definition('Hydraulics', 'power = density × g × flow × head'),
  range: { rho: positive, Q: notNegative, H: notNegative, eta: [0.05, 1] },
  example: { of: { rho: 1000, Q: 0.05, H: 20, eta: 0.75 }, gives: 13076, from: 'by hand' },
  of: ({ rho, Q, H, eta }) => (rho * 9.80665 * Q * H) / eta,
});

/** Shaft power of a fan moving flow Q against total pressure p; eta is the fan's total efficiency. */
export const fanPower = law({
  name: 'Shaft power of a fan',
  symbol: 'P_L',
  unit: 'W',
  takes: { Q: 'm3/s', p: 'Pa', eta: '1' },
  formula: 'Q * p / eta',
  source: definition('Aerodynamics', 'power = flow × total pressure (incompressible)'),
  range: { Q: notNegative, p: notNegative, eta: [0.05, 1] },
  example: { of: { Q: 10, p: 1500, eta: 0.75 }, gives: 20000, from: 'by hand' },
  of: ({ Q, p, eta }) => (Q * p) / eta,
});

/** Shaft power of a hoist raising mass m at v; eta covers rope and sheaves. */
export const hoistPower = law({
  name: 'Shaft power of a hoist',
  symbol: 'P_L',
  unit: 'W',
  takes: { m: 'kg', v: 'm/s', eta: '1' },
  formula: 'm * 9.80665 * v / eta',
  source: mechanics,
  range: { m: notNegative, v: notNegative, eta: [0.05, 1] },
  example: { of: { m: 1000, v: 0.5, eta: 0.85 }, gives: 5768.6, from: 'by hand' },
  of: ({ m, v, eta }) => (m * 9.80665 * v) / eta,
});

/** Speed of a drum of diameter D whose rope or belt runs at v. */
export const drumSpeed = law({
  name: 'Speed of a drum',
  symbol: 'n_L',
  unit: 'rpm',
  takes: { v: 'm/s', D: 'm' },
  formula: '60 * v / (pi * D)',
  source: definition('Geometry'),
  range: { v: notNegative, D: positive },
  example: { of: { v: 1.5, D: 0.5 }, gives: 57.296, from: 'by hand' },
  of: ({ v, D }) => (60 * v) / (Math.PI * D),
});

/** Required power after the sizing margin, before derating and the next standard size. */
export const withMargin = law({
  name: 'Power with the sizing margin',
  symbol: 'P_req',
  unit: 'W',
  takes: { P_m: 'W', k: '1' },
  formula: 'P_m * k',
  source: definition('House rule', 'sizing margin on the power at the motor'),
  range: { P_m: notNegative, k: [1, 3] },
  example: { of: { P_m: 10000, k: 1.15 }, gives: 11500, from: 'by hand' },
  of: ({ P_m, k }) => P_m * k,
});
