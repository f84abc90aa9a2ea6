import { commonPractice, type OutputFilter } from '../../contract';

/** What is bought or set to answer a caution. */
export const remedyKinds = [
  'adapter',
  'output-reactor',
  'filter',
  'sine-filter',
  'roller-bearing',
  'insulated-bearing',
  'blower',
  'sheave',
  'phase-relay',
  'brake',
  'encoder',
  'sensors',
  'heater',
  'vertical',
  'setting',
] as const;
export type RemedyKind = (typeof remedyKinds)[number];

/**
 * Invented price index of a remedy for a motor: a base, and so much for each kW to the power 0.8. Compares, prices
 * nothing.
 */
const prices: Readonly<Record<RemedyKind, readonly [base: number, each: number]>> = {
  adapter: [40, 5],
  'output-reactor': [72, 8.4],
  filter: [120, 14],
  'sine-filter': [220, 40],
  'roller-bearing': [30, 2],
  'insulated-bearing': [90, 3],
  blower: [260, 9],
  sheave: [40, 4],
  'phase-relay': [60, 0],
  brake: [140, 12],
  encoder: [180, 1],
  sensors: [35, 1],
  heater: [45, 1],
  vertical: [200, 22],
  setting: [0, 0],
};

export const remedySource = commonPractice('Invented price index of the usual remedies; compares, prices nothing');

/** What is bought for each filter behind a drive. */
export const filterRemedy: Readonly<Record<OutputFilter, RemedyKind>> = {
  none: 'setting',
  reactor: 'output-reactor',
  'dv-dt': 'filter',
  sine: 'sine-filter',
};

/** What prices of remedies grow with: the motor's power in kW to the power 0.8. */
export const bulkOf = (power: number): number => (power / 1000) ** 0.8;

/** What a winding made for drives costs beside an ordinary one, as a share of its motor: invented, as all prices. */
export const drivePremium = 0.18;

/** Price index of a remedy for a motor of this bulk. */
export function remedyPrice(kind: RemedyKind, bulk: number): number {
  const [base, each] = prices[kind];
  return Math.round(base + each * bulk);
}

/**
 * Invented price index of a motor cable laid anew: so much a metre for laying it, and for each mm² of one conductor;
 * a screened one costs more. mm², how many side by side, m.
 */
export const cablePrice = (area: number, count: number, length: number, screened: boolean): number =>
  Math.round(length * (6 + 0.45 * area * count * (screened ? 1.4 : 1)));

/**
 * Invented price index of what stands between motor and machine: a belt by the power in W it carries, a gearbox by the
 * torque in N·m at its slow shaft.
 */
export const trainPrice = (kind: 'belt' | 'gearbox', power: number, torque: number): number =>
  Math.round(kind === 'belt' ? 60 + 12 * bulkOf(power) : 90 + 9 * torque ** 0.65);
