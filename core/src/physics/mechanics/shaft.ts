import { definition } from '../../contract';
import { law } from '../../law';

const mechanics = definition('Mechanics', 'torque = force × radius; power = torque × angular speed');

/** Torque at a shaft from a tangential pull at a radius. */
export const torqueByPull = law({
  name: 'Torque of a pull at a radius',
  symbol: 'T_L',
  unit: 'N.m',
  takes: { F: 'N', r: 'm' },
  formula: 'F * r',
  source: mechanics,
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
  of: ({ P_m, k }) => P_m * k,
});
