import { commonPractice, definition, model, type Method } from '../../contract';
import { law, notNegative, positive, share } from '../../law';

const circuit = definition(
  'Voltage divider at standstill',
  'source and locked-rotor impedance in series, both taken as reactance (an upper bound of the dip)',
);

/** Short-circuit impedance per phase of a transformer or generator seen at its voltage. */
export const sourceImpedance = law({
  name: 'Source impedance',
  symbol: 'Z_s',
  unit: 'ohm',
  takes: { U: 'V', S: 'VA', x: '1' },
  formula: 'x * U^2 / S',
  source: definition('Per-unit system'),
  range: { U: notNegative, S: positive, x: [0, 1] },
  example: { of: { U: 480, S: 500000, x: 0.05 }, gives: 0.02304, from: 'by hand' },
  of: ({ U, S, x }) => (x * U * U) / S,
});

/** A bank and the network behind it, as one impedance at the bank's low side. */
export const sourceImpedanceBehind = law({
  name: 'Source impedance with the network behind the bank',
  symbol: 'Z_s',
  unit: 'ohm',
  takes: { U: 'V', S: 'VA', x: '1', S_k: 'VA' },
  formula: 'U^2 * (x / S + 1 / S_k)',
  source: definition('Per-unit system'),
  range: { U: notNegative, S: positive, x: [0, 1], S_k: positive },
  example: { of: { U: 480, S: 500000, x: 0.05, S_k: 50e6 }, gives: 0.027648, from: 'by hand' },
  of: ({ U, S, x, S_k }) => U * U * (x / S + 1 / S_k),
});

export const sourceImpedanceFromFault = law({
  name: 'Source impedance from fault current',
  symbol: 'Z_s',
  unit: 'ohm',
  takes: { U: 'V', I_k: 'A' },
  formula: 'U / (sqrt(3) * I_k)',
  source: circuit,
  range: { U: notNegative, I_k: positive },
  example: { of: { U: 480, I_k: 12028 }, gives: 0.02304, from: 'by hand' },
  of: ({ U, I_k }) => U / (Math.sqrt(3) * I_k),
});

export const faultCurrent = law({
  name: 'Available fault current at the starter',
  symbol: 'I_k',
  unit: 'A',
  takes: { U: 'V', Z_s: 'ohm' },
  formula: 'U / (sqrt(3) * Z_s)',
  source: circuit,
  range: { U: notNegative, Z_s: positive },
  example: { of: { U: 480, Z_s: 0.02304 }, gives: 12028, from: 'by hand; 500 kVA with 5 %: full-load 601 A × 20' },
  of: ({ U, Z_s }) => U / (Math.sqrt(3) * Z_s),
});

/** The same of a source with one phase, whose impedance is that of its two lines together. */
export const faultCurrentOnePhase = law({
  name: 'Available fault current of a single-phase source',
  symbol: 'I_k',
  unit: 'A',
  takes: { U: 'V', Z_s: 'ohm' },
  formula: 'U / Z_s',
  source: circuit,
  range: { U: notNegative, Z_s: positive },
  example: { of: { U: 240, Z_s: 0.0461 }, gives: 5206, from: 'by hand; 50 kVA with 4 %: full-load 208 A × 25' },
  of: ({ U, Z_s }) => U / Z_s,
});

/** Impedance per phase (star) of the motor at locked rotor, from its locked-rotor current at rated voltage. */
export const lockedRotorImpedance = law({
  name: 'Locked-rotor impedance',
  symbol: 'Z_LR',
  unit: 'ohm',
  takes: { U_r: 'V', I_LR: 'A' },
  formula: 'U_r / (sqrt(3) * I_LR)',
  source: circuit,
  range: { U_r: notNegative, I_LR: positive },
  example: { of: { U_r: 460, I_LR: 81 }, gives: 3.2788, from: 'by hand' },
  of: ({ U_r, I_LR }) => U_r / (Math.sqrt(3) * I_LR),
});

/** Torque at locked rotor and rated voltage from its multiple of rated torque. */
export const lockedRotorTorque = law({
  name: 'Locked-rotor torque',
  symbol: 'T_LR',
  unit: 'N.m',
  takes: { t: '1', T_r: 'N.m' },
  formula: 't * T_r',
  source: definition('Locked-rotor torque', 'as a multiple of rated torque'),
  range: { t: notNegative, T_r: notNegative },
  example: { of: { t: 1.65, T_r: 40 }, gives: 66, from: 'by hand' },
  of: ({ t, T_r }) => t * T_r,
});

/** Line current at standstill where the method draws a fixed share c of the direct current at the same voltage. */
export const startingCurrent = law({
  name: 'Starting line current',
  symbol: 'I_st',
  unit: 'A',
  takes: { U: 'V', Z_s: 'ohm', Z_LR: 'ohm', c: '1' },
  formula: 'U / (sqrt(3) * (Z_s + Z_LR / c))',
  source: circuit,
  range: { U: notNegative, Z_s: notNegative, Z_LR: positive, c: [0.01, 1] },
  example: { of: { U: 480, Z_s: 0.02304, Z_LR: 0.3, c: 0.4225 }, gives: 378.02, from: 'by hand' },
  of: ({ U, Z_s, Z_LR, c }) => U / (Math.sqrt(3) * (Z_s + Z_LR / c)),
});

/**
 * Line current where the starter holds a limit m × plate current (soft starter), never more than the motor would draw.
 */
export const limitedCurrent = law({
  name: 'Current-limited starting current',
  symbol: 'I_st',
  unit: 'A',
  takes: { m: '1', I_n: 'A', U: 'V', Z_s: 'ohm', Z_LR: 'ohm' },
  formula: 'min(m * I_n, U / (sqrt(3) * (Z_s + Z_LR)))',
  source: circuit,
  range: { m: [0.5, 10], I_n: notNegative, U: notNegative, Z_s: notNegative, Z_LR: positive },
  example: { of: { m: 3.5, I_n: 100, U: 480, Z_s: 0.02304, Z_LR: 0.3 }, gives: 350, from: 'by hand' },
  of: ({ m, I_n, U, Z_s, Z_LR }) => Math.min(m * I_n, U / (Math.sqrt(3) * (Z_s + Z_LR))),
});

/**
 * Upper bound of what a drive draws from the supply: its overload factor times the plate current, reached at full
 * speed.
 */
export const driveLineCurrent = law({
  name: 'Line current of a drive while accelerating',
  symbol: 'I_st',
  unit: 'A',
  takes: { k: '1', I_n: 'A' },
  formula: 'k * I_n',
  source: commonPractice('The input of a drive carries no more than its output at full speed and voltage'),
  estimate: { basis: 'upper bound; at standstill the supply gives the losses only', band: [0.5, 1] },
  range: { k: [0.5, 3], I_n: notNegative },
  example: { of: { k: 1.5, I_n: 40 }, gives: 60, from: 'by hand' },
  of: ({ k, I_n }) => k * I_n,
});

export const voltageDip = law({
  name: 'Voltage dip at the bus',
  symbol: 'dip',
  unit: '1',
  takes: { I_st: 'A', Z_s: 'ohm', U: 'V' },
  formula: 'sqrt(3) * I_st * Z_s / U',
  source: circuit,
  range: { I_st: notNegative, Z_s: notNegative, U: positive },
  example: { of: { I_st: 600, Z_s: 0.02304, U: 480 }, gives: 0.049883, from: 'by hand' },
  of: ({ I_st, Z_s, U }) => (Math.sqrt(3) * I_st * Z_s) / U,
});

/**
 * Torque at standstill: the motor's own at rated voltage, by the square of the voltage it gets, times the method's
 * share.
 */
export const startingTorque = law({
  name: 'Starting torque',
  symbol: 'T_st',
  unit: 'N.m',
  takes: { T_LR: 'N.m', U: 'V', dip: '1', U_r: 'V', c: '1' },
  formula: 'T_LR * c * (U * (1 - dip) / U_r)^2',
  source: definition('Induction machine', 'torque at a given slip goes with the square of voltage'),
  range: { T_LR: notNegative, U: notNegative, dip: share, U_r: positive, c: [0.01, 1] },
  example: { of: { T_LR: 100, U: 480, dip: 0.1, U_r: 460, c: 0.333333 }, gives: 29.399, from: 'by hand' },
  of: ({ T_LR, U, dip, U_r, c }) => T_LR * c * ((U * (1 - dip)) / U_r) ** 2,
});

/** Torque at standstill under a current limit: torque goes with the square of current at standstill. */
export const limitedTorque = law({
  name: 'Starting torque at a current limit',
  symbol: 'T_st',
  unit: 'N.m',
  takes: { T_LR: 'N.m', I_st: 'A', I_LR: 'A' },
  formula: 'T_LR * (I_st / I_LR)^2',
  source: definition('Induction machine', 'torque at standstill goes with the square of current'),
  range: { T_LR: notNegative, I_st: notNegative, I_LR: positive },
  example: { of: { T_LR: 100, I_st: 350, I_LR: 700 }, gives: 25, from: 'by hand' },
  of: ({ T_LR, I_st, I_LR }) => T_LR * (I_st / I_LR) ** 2,
});

/** Torque a drive holds from near zero speed, as a multiple of the motor's rated torque. */
export const driveTorque = law({
  name: 'Starting torque on a drive',
  symbol: 'T_st',
  unit: 'N.m',
  takes: { k: '1', T_r: 'N.m' },
  formula: 'k * T_r',
  source: commonPractice('Torque near zero speed follows the overload rating, with vector control'),
  estimate: { basis: 'torque taken in proportion to current; needs vector control', band: [0.85, 1] },
  range: { k: [0, 3], T_r: notNegative },
  example: { of: { k: 1.5, T_r: 40 }, gives: 60, from: 'by hand' },
  of: ({ k, T_r }) => k * T_r,
});

export const torqueReserve = law({
  name: 'Starting torque over breakaway',
  symbol: 'm_b',
  unit: '1',
  takes: { T_st: 'N.m', T_b: 'N.m' },
  formula: 'T_st / T_b - 1',
  source: definition('Margin', 'what is left over the need, as a share of it'),
  range: { T_st: notNegative, T_b: positive },
  example: { of: { T_st: 66, T_b: 60 }, gives: 0.1, from: 'by hand' },
  of: ({ T_st, T_b }) => T_st / T_b - 1,
});

/** How a method scales direct line current and torque at standstill. Tap 65 % is assumed where one is needed. */
export interface MethodShares {
  readonly current: number;
  readonly torque: number;
  readonly tap?: number;
}

export const tap = 0.65;
export const tapPractice = commonPractice('65 % tap, the middle one of 50, 65 and 80 %');
export const softLimit = 3.5;
export const softLimitPractice = commonPractice('Current limit of 3.5 × plate current, within the usual 3 to 4.5');
export const shareSource = model(
  'Reduced-voltage starting',
  'star-delta ⅓ and ⅓; autotransformer k² and k²; reactor k and k²',
);

/**
 * Settings that standstill depends on: an autotransformer's tap, a reactor's share of voltage, a soft starter's limit
 * × plate current.
 */
export interface StandstillSettings {
  readonly tap: number;
  readonly reactorShare: number;
  readonly softLimit: number;
}

/** Shares of direct line current and torque; undefined for methods that control current instead of voltage. */
export function methodShares(method: Method, set: StandstillSettings): MethodShares | undefined {
  switch (method) {
    case 'direct':
      return { current: 1, torque: 1 };
    case 'star-delta':
      return { current: 1 / 3, torque: 1 / 3 };
    case 'autotransformer':
      return { current: set.tap * set.tap, torque: set.tap * set.tap, tap: set.tap };
    case 'primary-reactor':
      return { current: set.reactorShare, torque: set.reactorShare ** 2, tap: set.reactorShare };
    case 'soft-starter':
    case 'drive':
      return undefined;
  }
}
