import { findUnit } from './read';
import { dimensionOfUnit, unitLabel, type DimensionSpec, type Unit, type UnitId } from './units';

/** Which system a person reads in. It applies to reading, never to what was typed. */
export type ReadingSystem = 'both' | 'si' | 'us';

/** A number at three significant figures, keeping trailing zeros ("2.00"), without exponent between 0.001 and 10 million. */
export function writeNumber(value: number, digits = 3): string {
  if (!Number.isFinite(value)) return '—';
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(Number(value.toPrecision(digits)))));
  if (magnitude < -4 || magnitude > 9) return value.toExponential(digits - 1);
  return value.toFixed(Math.max(0, digits - 1 - magnitude));
}

/** The trade's own habits where three significant figures would mislead or annoy. */
const habits: Partial<Record<UnitId, (value: number) => string>> = {
  rpm: (v) => v.toFixed(Math.abs(v) < 100 ? 1 : 0),
  V: (v) => trim(v.toFixed(Math.abs(v) < 100 ? 1 : 0)),
  A: (v) => trim(writeNumber(v)),
  degC: (v) => trim(v.toFixed(1)),
  Hz: (v) => trim(v.toFixed(2)),
  mm: (v) => trim(v.toFixed(1)),
  'kWh/a': (v) => threeFigures(v),
  '1/a': (v) => threeFigures(v),
  'kg/a': (v) => threeFigures(v),
  money: (v) => Math.round(v).toString(),
  a: (v) => v.toFixed(1),
  h: (v) => threeFigures(v),
  s: (v) => trim(writeNumber(v)),
  dB: (v) => trim(v.toFixed(1)),
  // A ratio close to one says how far off it is.
  '1': (v) => (Number.isInteger(v) ? v.toString() : trim(Math.abs(v - 1) < 0.05 ? v.toFixed(4) : writeNumber(v))),
};

/**
 * Writes a value in its unit for people: `writeQuantity(2.71, 'N.m')` gives "2.71 N·m (2.00 lbf·ft)".
 * With a system of 'si' or 'us' only that reading is given.
 */
export function writeQuantity(value: number, unit: UnitId, system: ReadingSystem = 'both'): string {
  const spec = dimensionOfUnit(unit);
  if (!spec) return join(number(value, unit), unitLabel(unit));
  const si = inUnit(value, spec, spec.si, unit);
  const us = inUnit(value, spec, spec.us, unit);
  if (system === 'si' || si === us) return si;
  return system === 'us' ? us : `${si} (${us})`;
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

const threeFigures = (v: number): string => Math.round(Number(v.toPrecision(3))).toString();

/** Below a kilowatt people read watts; below ten centimetres, millimetres; above ten kiloamperes, kA. */
function scaled(value: number, spec: DimensionSpec, name: string): Unit {
  const v = Math.abs(value);
  const better =
    (name === 'kW' && v < 1000 && 'W') ||
    (name === 'm' && v < 0.1 && 'mm') ||
    (name === 'A' && v >= 1e4 && 'kA') ||
    (name === 'ft' && v < 0.1 && 'in');
  const wanted = better || name;
  const unit = spec.units.find((u) => u.names[0] === wanted) ?? findUnit(spec, wanted);
  if (!unit) throw new RangeError(`no unit ${name} for ${spec.label}`);
  return unit;
}

const number = (value: number, unit: UnitId): string => habits[unit]?.(value) ?? writeNumber(value);
const join = (n: string, unit: string): string => (unit === '' ? n : `${n} ${unit}`);
const trim = (n: string): string => (n.includes('.') && !n.includes('e') ? n.replace(/\.?0+$/, '') : n);
