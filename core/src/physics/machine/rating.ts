import { commonPractice, definition, model } from '../../contract';
import { any, law, notNegative, positive, share } from '../../law';

const machine = definition('Three-phase induction machine', 'rated values and their relations');
const constantFlux = definition(
  'Induction machine',
  'same volts per hertz: same flux, so same torque, current and slip in r/min',
);
const constantPower = model(
  'Induction machine at a fixed shaft power',
  'voltage off by a little; magnetising current neglected',
);

export const apparentPower = law({
  name: 'Apparent power at full load',
  symbol: 'S',
  unit: 'VA',
  takes: { U: 'V', I: 'A' },
  formula: 'sqrt(3) * U * I',
  source: machine,
  range: { U: notNegative, I: notNegative },
  example: { of: { U: 400, I: 28.5 }, gives: 19745, from: 'by hand' },
  of: ({ U, I }) => Math.sqrt(3) * U * I,
});

export const powerFromPlate = law({
  name: 'Shaft power from voltage, current, efficiency and power factor',
  symbol: 'P',
  unit: 'W',
  takes: { U: 'V', I: 'A', eta: '1', pf: '1' },
  formula: 'sqrt(3) * U * I * eta * pf',
  source: machine,
  range: { U: notNegative, I: notNegative, eta: share, pf: share },
  example: {
    of: { U: 460, I: 18.88, eta: 0.837, pf: 0.833 },
    gives: 10488,
    from: 'by hand; a widely used textbook example prints 10.5 kW (from memory)',
  },
  of: ({ U, I, eta, pf }) => Math.sqrt(3) * U * I * eta * pf,
});

export const serviceFactorPower = law({
  name: 'Power at the service factor',
  symbol: 'P_sf',
  unit: 'W',
  takes: { k: '1', P: 'W' },
  formula: 'k * P',
  source: definition(
    'Service factor',
    'multiple of rated power permitted at rated voltage, frequency and usual conditions',
  ),
  range: { k: [1, 2], P: notNegative },
  example: { of: { k: 1.15, P: 7457 }, gives: 8575.5, from: 'by hand' },
  of: ({ k, P }) => k * P,
});

export const serviceFactorCurrent = law({
  name: 'Current at the service factor',
  symbol: 'I_sf',
  unit: 'A',
  takes: { k: '1', I: 'A' },
  formula: 'k * I',
  source: commonPractice('Above full load current goes with load'),
  estimate: { basis: 'current in proportion to load above full load', band: [0.96, 1.04] },
  range: { k: [1, 2], I: notNegative },
  example: { of: { k: 1.15, I: 12.5 }, gives: 14.375, from: 'by hand' },
  of: ({ k, I }) => k * I,
});

/** Multiple of rated current that the motor draws at locked rotor. */
export const lockedRotorRatio = law({
  name: 'Locked-rotor current, times rated',
  symbol: 'i_LR',
  unit: '1',
  takes: { I_LR: 'A', I: 'A' },
  formula: 'I_LR / I',
  source: machine,
  range: { I_LR: notNegative, I: positive },
  example: { of: { I_LR: 81, I: 12.5 }, gives: 6.48, from: 'by hand' },
  of: ({ I_LR, I }) => I_LR / I,
});

export const multipleOfTorque = law({
  name: 'Torque from its multiple of rated torque',
  symbol: 'T',
  unit: 'N.m',
  takes: { t: '1', T_r: 'N.m' },
  formula: 't * T_r',
  source: machine,
  range: { t: notNegative, T_r: any },
  example: { of: { t: 2.2, T_r: 40 }, gives: 88, from: 'by hand' },
  of: ({ t, T_r }) => t * T_r,
});

/** Voltage over one coil group of the winding: the same whichever of its lines the motor is connected for. */
export const windingVoltage = law({
  name: 'Voltage over one coil group',
  symbol: 'U_w',
  unit: 'V',
  takes: { k: '1', U: 'V' },
  formula: 'k * U',
  source: definition('Three-phase connections', 'delta 1, star 1/√3, series half of parallel'),
  range: { k: [0.2, 1], U: notNegative },
  example: { of: { k: 0.57735, U: 400 }, gives: 230.94, from: 'by hand: a winding for 230 V, in star on 400 V' },
  of: ({ k, U }) => k * U,
});

export const fluxRatio = law({
  name: 'Flux here, as a share of rated',
  symbol: 'phi',
  unit: '1',
  takes: { U_s: 'V', f_s: 'Hz', U: 'V', f: 'Hz' },
  formula: '(U_s / f_s) / (U / f)',
  source: definition('Transformer law', 'flux goes with volts per hertz'),
  range: { U_s: notNegative, f_s: [5, 500], U: positive, f: [5, 500] },
  example: { of: { U_s: 480, f_s: 60, U: 400, f: 50 }, gives: 1, from: 'by hand: 480 V at 60 Hz is 400 V at 50 Hz' },
  of: ({ U_s, f_s, U, f }) => U_s / f_s / (U / f),
});

export const scaledVoltage = law({
  name: 'Voltage for the same flux at another frequency',
  symbol: 'U_2',
  unit: 'V',
  takes: { U: 'V', f: 'Hz', f_2: 'Hz' },
  formula: 'U * f_2 / f',
  source: constantFlux,
  range: { U: notNegative, f: [5, 500], f_2: [5, 500] },
  example: { of: { U: 400, f: 50, f_2: 60 }, gives: 480, from: 'by hand' },
  of: ({ U, f, f_2 }) => (U * f_2) / f,
});

/**
 * Power at another frequency with the same flux: the torque stays, so power goes with speed at the same slip in r/min.
 */
export const scaledPower = law({
  name: 'Power at another frequency, same volts per hertz',
  symbol: 'P_2',
  unit: 'W',
  takes: { P: 'W', n: 'rpm', n_2: 'rpm' },
  formula: 'P * n_2 / n',
  source: constantFlux,
  range: { P: notNegative, n: positive, n_2: positive },
  example: { of: { P: 15000, n: 1465, n_2: 1765 }, gives: 18072, from: 'by hand' },
  of: ({ P, n, n_2 }) => (P * n_2) / n,
});

export const scaledSpeed = law({
  name: 'Full-load speed at another frequency, same volts per hertz',
  symbol: 'n_2',
  unit: 'rpm',
  takes: { n: 'rpm', n_s: 'rpm', f: 'Hz', f_2: 'Hz' },
  formula: 'n_s * f_2 / f - (n_s - n)',
  source: constantFlux,
  range: { n: notNegative, n_s: positive, f: [5, 500], f_2: [5, 500] },
  example: { of: { n: 1465, n_s: 1500, f: 50, f_2: 60 }, gives: 1765, from: 'by hand' },
  of: ({ n, n_s, f, f_2 }) => (n_s * f_2) / f - (n_s - n),
});

/** At the same flux and torque the current is the same; friction and cooling change a little. */
export const scaledCurrent = law({
  name: 'Current at another frequency, same volts per hertz',
  symbol: 'I_2',
  unit: 'A',
  takes: { I: 'A' },
  formula: 'I',
  source: constantFlux,
  estimate: { basis: 'same flux and torque; iron and fan losses change a little', band: [0.96, 1.04] },
  range: { I: notNegative },
  example: { of: { I: 28.5 }, gives: 28.5, from: 'by hand' },
  of: ({ I }) => I,
});

/** Full-load current on a voltage off the rated one, at the same shaft power. */
export const currentAtVoltage = law({
  name: 'Full-load current at the voltage here',
  symbol: 'I_h',
  unit: 'A',
  takes: { I: 'A', U: 'V', U_s: 'V' },
  formula: 'I * U / U_s',
  source: constantPower,
  estimate: {
    basis: 'same power on another voltage; above rated voltage more magnetising current',
    band: [0.97, 1.06],
  },
  range: { I: notNegative, U: notNegative, U_s: positive },
  example: { of: { I: 12.5, U: 460, U_s: 437 }, gives: 13.158, from: 'by hand' },
  of: ({ I, U, U_s }) => (I * U) / U_s,
});

/** Torque at any slip goes with the square of voltage. */
export const torqueAtVoltage = law({
  name: 'Starting and breakdown torque here, as a share of rated',
  symbol: 't_h',
  unit: '1',
  takes: { U_s: 'V', U: 'V' },
  formula: '(U_s / U)^2',
  source: definition('Induction machine', 'torque at a given slip goes with the square of voltage'),
  range: { U_s: notNegative, U: positive },
  example: { of: { U_s: 414, U: 460 }, gives: 0.81, from: 'by hand' },
  of: ({ U_s, U }) => (U_s / U) ** 2,
});

/** Slip at the same torque on another voltage: near full load torque goes with slip × voltage². */
export const slipAtVoltage = law({
  name: 'Full-load slip at the voltage here',
  symbol: 's_h',
  unit: '1',
  takes: { s: '1', U: 'V', U_s: 'V' },
  formula: 's * (U / U_s)^2',
  source: definition('Induction machine', 'near full load torque goes with slip × voltage squared'),
  estimate: { basis: 'straight-line torque near full load', band: [0.95, 1.1] },
  range: { s: [-1, 1], U: notNegative, U_s: positive },
  example: { of: { s: 0.025, U: 460, U_s: 414 }, gives: 0.030864, from: 'by hand' },
  of: ({ s, U, U_s }) => s * (U / U_s) ** 2,
});

export const perYear = law({
  name: 'Running hours a year',
  symbol: 'H',
  unit: 'h/a',
  takes: { h: 'h', t: 'a' },
  formula: 'h / t',
  source: definition('Time'),
  range: { h: notNegative, t: positive },
  example: { of: { h: 26000, t: 6.5 }, gives: 4000, from: 'by hand' },
  of: ({ h, t }) => h / t,
});

/** Years between two months written as decimal years. */
export const lifetime = law({
  name: 'Time from installation to failure',
  symbol: 't',
  unit: 'a',
  takes: { t_i: 'a', t_f: 'a' },
  formula: 't_f - t_i',
  source: definition('Time'),
  range: { t_i: [1850, 2200], t_f: [1850, 2200] },
  example: { of: { t_i: 2014.5, t_f: 2021.25 }, gives: 6.75, from: 'by hand' },
  of: ({ t_i, t_f }) => t_f - t_i,
});

export const ratio = law({
  name: 'New against old',
  symbol: 'r',
  unit: '1',
  takes: { x_new: '1', x_old: '1' },
  formula: 'x_new / x_old',
  source: definition('Ratio'),
  range: { x_new: any, x_old: any },
  example: { of: { x_new: 0.924, x_old: 0.885 }, gives: 1.0441, from: 'by hand' },
  of: ({ x_new, x_old }) => x_new / x_old,
});

/**
 * Rating from the no-load current: a motor idles on a share of its rated current that falls with size and rises with
 * poles.
 */
export const ratedFromNoLoad = law({
  name: 'Rating guessed from the no-load current',
  symbol: 'P_0',
  unit: 'W',
  takes: { U: 'V', I_0: 'A', k: '1', eta: '1', pf: '1' },
  formula: 'sqrt(3) * U * (I_0 / k) * eta * pf',
  source: commonPractice(
    'No-load current 0.3 of rated at 2 poles, 0.38 at 4, 0.48 at 6, 0.55 at 8; a quarter either way',
  ),
  estimate: { basis: 'usual share of no-load current', band: [0.72, 1.4] },
  range: { U: notNegative, I_0: notNegative, k: [0.1, 0.9], eta: share, pf: share },
  example: { of: { U: 460, I_0: 5, k: 0.4, eta: 0.9, pf: 0.84 }, gives: 7529.2, from: 'by hand' },
  of: ({ U, I_0, k, eta, pf }) => Math.sqrt(3) * U * (I_0 / k) * eta * pf,
});

/**
 * Rating from the resistance between two terminals: stator copper loss at rated current is a usual share of the input.
 */
export const ratedFromResistance = law({
  name: 'Rating guessed from the winding resistance',
  symbol: 'P_R',
  unit: 'W',
  takes: { U: 'V', R: 'ohm', c: '1', eta: '1', pf: '1' },
  formula: '2 * c * U^2 * pf^2 * eta / R',
  source: model(
    'Stator copper loss',
    '1.5 × R × I² = c × √3 × U × I × pf, with c the usual share of the input, solved for the power',
  ),
  estimate: { basis: 'usual share of stator copper loss', band: [0.6, 1.7] },
  range: { U: notNegative, R: positive, c: [0.001, 0.2], eta: share, pf: share },
  example: { of: { U: 400, R: 0.6, c: 0.03, eta: 0.9, pf: 0.85 }, gives: 10404, from: 'by hand' },
  of: ({ U, R, c, eta, pf }) => (2 * c * U * U * pf * pf * eta) / R,
});

/** Current at part load: the magnetising part stays, the load's part goes with power; the two stand at right angles. */
export const currentAtLoad = law({
  name: 'Current at a shaft power',
  symbol: 'I',
  unit: 'A',
  takes: { I_n: 'A', k: '1', P: 'W', P_r: 'W' },
  formula: 'I_n * sqrt(k^2 + (1 - k^2) * (P / P_r)^2)',
  source: model('Circle of currents', 'magnetising current constant, load current in proportion to power'),
  estimate: { basis: 'usual share of magnetising current', band: [0.9, 1.1] },
  range: { I_n: notNegative, k: [0, 0.95], P: notNegative, P_r: positive },
  example: { of: { I_n: 12.5, k: 0.4, P: 3728, P_r: 7457 }, gives: 7.6029, from: 'by hand' },
  of: ({ I_n, k, P, P_r }) => I_n * Math.sqrt(k * k + (1 - k * k) * (P / P_r) ** 2),
});

/**
 * Load as a share of rating from running and no-load current, both measured, I at least I_0: load parts at right
 * angles to I_0.
 */
export const loadFromCurrents = law({
  name: 'Load guessed from running and no-load current',
  symbol: 'x',
  unit: '1',
  takes: { I: 'A', I_0: 'A', k: '1' },
  formula: 'sqrt((I - I_0) * (I + I_0) / ((I_0 / k - I_0) * (I_0 / k + I_0)))',
  source: model('Circle of currents', 'rated current taken as no-load current ÷ its usual share k'),
  estimate: { basis: 'usual share of no-load current', band: [0.7, 1.4] },
  range: { I: notNegative, I_0: notNegative, k: [0.1, 0.95] },
  example: { of: { I: 9, I_0: 5, k: 0.4 }, gives: 0.6532, from: 'by hand' },
  of: ({ I, I_0, k }) => Math.sqrt(((I - I_0) * (I + I_0)) / ((I_0 / k - I_0) * (I_0 / k + I_0))),
});
