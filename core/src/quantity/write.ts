import { findUnit } from './read';
import { dimensionOfUnit, unitLabel, type DimensionSpec, type Unit, type UnitId } from './units';

/** Which system a person reads in. It applies to reading, never to what was typed. */
export type ReadingSystem = 'both' | 'si' | 'us';

/**
 * A number at three significant figures, keeping trailing zeros ("2.00"), without exponent from 0.0001 to below ten
 * thousand million.
 */
export function writeNumber(value: number, digits = 3): string {
  if (!Number.isFinite(value)) return '—';
  if (value === 0) return '0';
  const rounded = Number(value.toPrecision(digits));
  const magnitude = Math.floor(Math.log10(Math.abs(rounded)));
  if (magnitude < -4 || magnitude > 9) return value.toExponential(digits - 1);
  return rounded.toFixed(Math.max(0, digits - 1 - magnitude));
}

/** Hours beyond which a life is said as longer than this. */
const longestLife = 200_000;

/** The trade's own habits where three significant figures would mislead or annoy. */
const habits: Partial<Record<UnitId, (value: number) => string>> = {
  rpm: (v) => v.toFixed(Math.abs(v) < 100 ? 1 : 0),
  V: (v) => trim(v.toFixed(Math.abs(v) < 100 ? 1 : 0)),
  A: (v) => trim(writeNumber(v)),
  degC: (v) => trim(v.toFixed(1)),
  Hz: (v) => trim(v.toFixed(2)),
  mm: (v) => trim(v.toFixed(1)),
  'kWh/a': (v) => whole(v),
  '1/a': (v) => whole(v),
  'kg/a': (v) => whole(v),
  money: (v) => Math.round(v).toString(),
  a: (v) => v.toFixed(1),
  // A life is not known beyond some twenty years of running.
  h: (v) => (v > longestLife ? `over ${longestLife.toLocaleString('en')}` : whole(v)),
  s: (v) => trim(writeNumber(v)),
  'A2.s': (v) => (v < 1e6 ? String(Number(v.toPrecision(3))) : tenPowers(v)),
  dB: (v) => trim(v.toFixed(1)),
  '1': pureNumber,
};

/** "2.79 × 10⁹": what no one reads in noughts. */
const tenPowers = (v: number): string => {
  const [digits = '', power = ''] = v.toExponential(2).split('e+');
  return `${trim(digits)} × 10${[...power].map((d) => superscripts[Number(d)]).join('')}`;
};
const superscripts = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/**
 * Writes a value in its unit for people: `writeQuantity(2.71, 'N.m')` gives "2.71 N·m (2.00 lbf·ft)".
 * With a system of 'si' or 'us' only that reading is given.
 */
export function writeQuantity(value: number, unit: UnitId, system: ReadingSystem = 'both'): string {
  const spec = dimensionOfUnit(unit);
  if (!spec) return plain(value, unit);
  const si = inUnit(value, spec, spec.si, unit);
  const us = inUnit(value, spec, spec.us, unit);
  if (system === 'si' || si === us) return si;
  return system === 'us' ? us : `${si} (${us})`;
}

/** A unit without a dimension of its own; of those only energy is read in larger ones. */
function plain(value: number, unit: UnitId): string {
  const wanted = unit === 'J' ? step(value, unit) : unit;
  const factor = { GJ: 1e9, MJ: 1e6, kJ: 1e3 }[wanted] ?? 1;
  return join(number(value / factor, unit), wanted === unit ? unitLabel(unit) : wanted);
}

/** Writes a value so that reading it back gives the same number: shortest exact decimal in the base unit. */
export function writeExact(value: number, unit: UnitId): string {
  return join(String(value), unitLabel(unit));
}

function inUnit(value: number, spec: DimensionSpec, name: string, base: UnitId): string {
  const unit = scaled(value, spec, name);
  const converted = (value - (unit.offset ?? 0)) / unit.factor;
  const plain = unit.factor === 1 || unit.offset !== undefined;
  return join(plain ? number(converted, base) : writeNumber(converted), unit.names[0]);
}

/** A ratio close to one says how far off it is; what is no ratio at all, such as a count, keeps its whole number. */
function pureNumber(v: number): string {
  if (Number.isInteger(v)) return v.toString();
  if (Math.abs(v) >= 1000) return Math.round(v).toString();
  return trim(Math.abs(v - 1) < 0.05 ? v.toFixed(4) : writeNumber(v));
}

/** A part of a machine in both systems, as drawings and rules have it: "127 mm (5.00 in)". Metres. */
export const writePart = (metres: number): string =>
  `${trim(writeNumber(metres * 1000))} mm (${writeNumber(metres / 0.0254)} in)`;

const moneyUnits: ReadonlySet<UnitId> = new Set(['money', '1/a', '1/kWh', '1/kW', '1/kg']);
/** Whether a unit is of money, which is of the case's own currency. */
export const isMoney = (unit: UnitId): boolean => moneyUnits.has(unit);

/** A whole amount with its currency, thousands apart: "2,194 USD". */
export const writeAmount = (value: number, currency: string): string =>
  [Math.round(value).toLocaleString('en'), ...(currency === '' ? [] : [currency])].join(' ');

/** An amount of money with its currency ("7350 EUR a year"); without one where nobody said which. */
export function writeMoney(value: number, unit: UnitId, currency: string): string {
  const [amount = '', ...per] = writeQuantity(value, unit).split(' ');
  return [amount, ...(currency === '' ? [] : [currency]), ...per].join(' ');
}

/** Three figures, and nothing behind the point: what is counted over a year is not known better. */
const whole = (v: number): string => Math.round(Number(v.toPrecision(3))).toString();

/** Larger and smaller units of one reading, each from the value in the base unit at which people change to it. */
const steps: Readonly<Record<string, readonly (readonly [from: number, unit: string])[]>> = {
  kW: [[1e7, 'MW'], [1e3, 'kW'], [0, 'W']],
  kVA: [[1e7, 'MVA'], [1e3, 'kVA'], [0, 'VA']],
  kvar: [[1e3, 'kvar'], [0, 'var']],
  'N·m': [[1e5, 'kN·m'], [0, 'N·m']],
  N: [[1e4, 'kN'], [0, 'N']],
  m: [[0.1, 'm'], [0, 'mm']],
  ft: [[0.1, 'ft'], [0, 'in']],
  A: [[1e4, 'kA'], [0, 'A']],
  Pa: [[1e4, 'kPa'], [0, 'Pa']],
  Ω: [[0.1, 'Ω'], [0, 'mΩ']],
  s: [[1e-3, 's'], [0, 'µs']],
  J: [[1e9, 'GJ'], [1e6, 'MJ'], [1e3, 'kJ'], [0, 'J']],
}; // prettier-ignore

/** The unit in which people read a value of this size; nothing at all is read in the plain one. */
const step = (value: number, name: string): string =>
  (value === 0 ? undefined : steps[name]?.find(([from]) => Math.abs(value) >= from)?.[1]) ?? name;

function scaled(value: number, spec: DimensionSpec, name: string): Unit {
  const wanted = step(value, name);
  const unit = spec.units.find((u) => u.names[0] === wanted) ?? findUnit(spec, wanted);
  if (!unit) throw new RangeError(`no unit ${name} for ${spec.label}`);
  return unit;
}

const number = (value: number, unit: UnitId): string => habits[unit]?.(value) ?? writeNumber(value);
const join = (n: string, unit: string): string => (unit === '' ? n : `${n} ${unit}`);
/** Without zeros that say nothing. */
export const trim = (n: string): string => (n.includes('.') && !n.includes('e') ? n.replace(/\.?0+$/, '') : n);
