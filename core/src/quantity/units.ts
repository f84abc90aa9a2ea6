/**
 * Dimensions and units. Inside core a quantity is a plain number in its dimension's base unit (SI, or the
 * trade's customary unit named with it); text in any other unit is converted here, once, at the edge.
 *
 * Factors are exact by definition where a definition exists: the international foot, inch and pound
 * (NIST SP 811, 2008, appendix B.8), standard gravity 9.80665 m/s² (CGPM 1901), horsepower 550 ft·lbf/s.
 */
const inch = 0.0254;
const foot = 0.3048;
const pound = 0.45359237;
const gravity = 9.80665;
const poundForce = pound * gravity;
const horsepower = 550 * foot * poundForce;
const gallonUS = 231 * inch ** 3;

/** A unit within a dimension: `base = typed × factor + offset`. The first spelling is how it is written. */
export interface Unit {
  readonly names: readonly [string, ...string[]];
  readonly factor: number;
  readonly offset?: number;
}

export interface DimensionSpec {
  /** What a person calls it. */
  readonly label: string;
  /** ASCII id of the base unit, as results carry it. */
  readonly base: string;
  /** Three examples for a message. */
  readonly examples: readonly [string, string, string];
  /** Names of the unit shown in SI and in North-American reading. */
  readonly si: string;
  readonly us: string;
  readonly units: readonly Unit[];
}

const u = (factor: number, ...names: [string, ...string[]]): Unit => ({ names, factor });

/** Spellings of a product of two units: either first, with a dot, a hyphen or nothing between; the first is written. */
const joined = (a: readonly string[], b: readonly string[]): [string, ...string[]] => {
  const pairs = a.flatMap((x) => b.flatMap((y) => [[x, y] as const, [y, x] as const]));
  const [first, ...rest] = pairs.flatMap(([x, y]) => [`${x}·${y}`, `${x}-${y}`, `${x}${y}`]);
  return [first ?? '', ...rest];
};

export const dimensions = {
  power: {
    label: 'power',
    base: 'W',
    examples: ['30 hp', '11 kW', '3/4 hp'],
    si: 'kW',
    us: 'hp',
    units: [u(1, 'W'), u(1e3, 'kW'), u(1e6, 'MW'), u(horsepower, 'hp', 'h.p.'), u(75 * gravity, 'PS', 'cv', 'pk')],
  },
  apparentPower: {
    label: 'apparent power',
    base: 'VA',
    examples: ['750 kVA', '1.5 MVA', '5000 VA'],
    si: 'kVA',
    us: 'kVA',
    units: [u(1, 'VA'), u(1e3, 'kVA'), u(1e6, 'MVA')],
  },
  reactivePower: {
    label: 'reactive power',
    base: 'var',
    examples: ['10 kvar', '7500 var', '12.5 kvar'],
    si: 'kvar',
    us: 'kvar',
    units: [u(1, 'var', 'VAr', 'VAR'), u(1e3, 'kvar', 'kVAr', 'kVAR')],
  },
  torque: {
    label: 'torque',
    base: 'N.m',
    examples: ['50 lbf·ft', '68 N·m', '600 lbf·in'],
    si: 'N·m',
    us: 'lbf·ft',
    units: [
      u(1, 'N·m', 'Nm', 'N-m'),
      u(1e3, 'kN·m', 'kNm'),
      u(poundForce * foot, ...joined(['lbf', 'lb', 'lbs'], ['ft'])),
      u(poundForce * inch, ...joined(['lbf', 'lb', 'lbs'], ['in'])),
      u(gravity, 'kgf·m', 'kgfm', 'kg·m'),
    ],
  },
  force: {
    label: 'force',
    base: 'N',
    examples: ['160 lbf', '90 kgf', '750 N'],
    si: 'N',
    us: 'lbf',
    units: [u(1, 'N'), u(1e3, 'kN'), u(poundForce, 'lbf', 'lb', 'lbs'), u(gravity, 'kgf', 'kg')],
  },
  length: {
    label: 'length',
    base: 'm',
    examples: ['60 m', '200 ft', '3 in'],
    si: 'm',
    us: 'ft',
    units: [
      u(1, 'm'),
      u(1e-3, 'mm'),
      u(1e-2, 'cm'),
      u(1e3, 'km'),
      u(foot, 'ft', 'feet', "'"),
      u(inch, 'in', 'inch', '"'),
    ],
  },
  speed: {
    label: 'rotational speed',
    base: 'rpm',
    examples: ['1770 rpm', '1470 r/min', '24.5 rev/s'],
    si: 'r/min',
    us: 'r/min',
    units: [
      u(1, 'r/min', 'rpm', 'rev/min', 'min-1', '1/min', '/min', 'tr/min', 'U/min'),
      u(60, 'rev/s', 'r/s', 's-1'),
      u(30 / Math.PI, 'rad/s'),
    ],
  },
  linearSpeed: {
    label: 'linear speed',
    base: 'm/s',
    examples: ['1.2 m/s', '240 ft/min', '4 km/h'],
    si: 'm/s',
    us: 'ft/min',
    units: [u(1, 'm/s'), u(1 / 60, 'm/min'), u(foot / 60, 'ft/min', 'fpm'), u(foot, 'ft/s'), u(1 / 3.6, 'km/h')],
  },
  voltage: {
    label: 'voltage',
    base: 'V',
    examples: ['460 V', '400 V', '0.48 kV'],
    si: 'V',
    us: 'V',
    units: [u(1, 'V', 'volt', 'volts', 'VAC', 'V AC', 'V~', 'V 3~', 'V 3ph'), u(1e3, 'kV')],
  },
  current: {
    label: 'current',
    base: 'A',
    examples: ['36 A', '0.83 A', '22 kA'],
    si: 'A',
    us: 'A',
    units: [u(1, 'A', 'amp', 'amps'), u(1e-3, 'mA'), u(1e3, 'kA')],
  },
  frequency: {
    label: 'frequency',
    base: 'Hz',
    examples: ['60 Hz', '50 Hz', '87 Hz'],
    si: 'Hz',
    us: 'Hz',
    units: [u(1, 'Hz', 'c/s', 'cps', 'cy', 'cycles'), u(1e3, 'kHz')],
  },
  temperature: {
    label: 'temperature',
    base: 'degC',
    examples: ['46 degC', '104 degF', '40 °C'],
    si: '°C',
    us: '°F',
    units: [
      u(1, '°C', 'degC', 'C', 'deg C'),
      { names: ['°F', 'degF', 'F', 'deg F'], factor: 5 / 9, offset: (-32 * 5) / 9 },
      { names: ['K'], factor: 1, offset: -273.15 },
    ],
  },
  temperatureRise: {
    label: 'temperature rise',
    base: 'K',
    examples: ['80 K', '90 degC', '144 degF'],
    si: 'K',
    us: '°F',
    units: [u(1, 'K', '°C', 'degC', 'C', 'deg C'), u(5 / 9, '°F', 'degF', 'F', 'deg F')],
  },
  time: {
    label: 'time',
    base: 's',
    examples: ['12 s', '2 min', '0.5 h'],
    si: 's',
    us: 's',
    units: [u(1, 's', 'sec'), u(1e-3, 'ms'), u(1e-6, 'µs', 'us'), u(60, 'min'), u(3600, 'h', 'hr')],
  },
  inertia: {
    label: 'moment of inertia',
    base: 'kg.m2',
    examples: ['12 kg·m²', '285 lb·ft²', '48 kg·m² GD2'],
    si: 'kg·m²',
    us: 'lb·ft²',
    units: [
      u(1, 'kg·m²', 'kgm2', 'kg-m2'),
      u(pound * foot ** 2, 'lb·ft²', 'lbft2', 'lb-ft2', 'lbm·ft²'),
      u(poundForce * foot, 'slug·ft²', 'lbf·ft·s²'),
      u(1 / 4, 'kg·m² GD2', 'kgm2 GD2', 'kg-m2 GD2'),
    ],
  },
  mass: {
    label: 'mass',
    base: 'kg',
    examples: ['800 kg', '1.2 t', '1760 lb'],
    si: 'kg',
    us: 'lb',
    units: [u(1, 'kg'), u(1e3, 't'), u(pound, 'lb', 'lbs', 'lbm')],
  },
  flow: {
    label: 'volume flow',
    base: 'm3/s',
    examples: ['240 m³/h', '1050 gpm', '12000 cfm'],
    si: 'm³/h',
    us: 'gpm',
    units: [
      u(1, 'm³/s'),
      u(1 / 3600, 'm³/h'),
      u(1 / 60, 'm³/min'),
      u(1e-3, 'l/s', 'L/s'),
      u(1e-3 / 60, 'l/min', 'L/min'),
      u(gallonUS / 60, 'gpm', 'gal/min'),
      u(foot ** 3 / 60, 'cfm', 'ft³/min'),
    ],
  },
  massFlow: {
    label: 'mass flow',
    base: 'kg/s',
    examples: ['60 t/h', '16 kg/s', '2000 lb/min'],
    si: 't/h',
    us: 'lb/min',
    units: [u(1, 'kg/s'), u(1 / 3.6, 't/h'), u(1 / 3600, 'kg/h'), u(pound / 60, 'lb/min'), u(pound / 3600, 'lb/h')],
  },
  pressure: {
    label: 'pressure',
    base: 'Pa',
    examples: ['1800 Pa', '7.2 inH2O', '0.4 bar'],
    si: 'Pa',
    us: 'inH2O',
    units: [
      u(1, 'Pa'),
      u(1e3, 'kPa'),
      u(100, 'mbar'),
      u(1e5, 'bar'),
      u(poundForce / inch ** 2, 'psi'),
      u(249.08891, 'inH2O', 'inwg', 'in wg', 'inWC'),
      u(gravity, 'mmH2O'),
    ],
  },
  density: {
    label: 'density',
    base: 'kg/m3',
    examples: ['1000 kg/m³', '62.4 lb/ft³', '1.2 kg/m³'],
    si: 'kg/m³',
    us: 'lb/ft³',
    units: [u(1, 'kg/m³'), u(1e3, 'kg/l', 'kg/L', 't/m³'), u(pound / foot ** 3, 'lb/ft³')],
  },
  viscosity: {
    label: 'kinematic viscosity',
    base: 'mm2/s',
    examples: ['40 cSt', '1 mm²/s', '0.0004 ft²/s'],
    si: 'mm²/s',
    us: 'mm²/s',
    units: [u(1, 'mm²/s', 'cSt'), u(1e6, 'm²/s'), u(1e6 * foot ** 2, 'ft²/s')],
  },
  linearMass: {
    label: 'mass per length',
    base: 'kg/m',
    examples: ['42 kg/m', '28 lb/ft', '0.05 t/m'],
    si: 'kg/m',
    us: 'lb/ft',
    units: [u(1, 'kg/m'), u(1e3, 't/m'), u(pound / foot, 'lb/ft')],
  },
  sound: {
    label: 'sound level',
    base: 'dB',
    examples: ['80 dB', '75 dB(A)', '82 dBA'],
    si: 'dB',
    us: 'dB',
    units: [u(1, 'dB', 'dB(A)', 'dBA')],
  },
  letThrough: {
    label: 'let-through',
    base: 'A2.s',
    examples: ['45000 A²s', '120000 A2s', '1300000 A²·s'],
    si: 'A²·s',
    us: 'A²·s',
    units: [u(1, 'A²·s', 'A²s', 'A2s', 'A2.s')],
  },
  resistance: {
    label: 'resistance',
    base: 'ohm',
    examples: ['0.641 ohm', '26.3 Ω', '120 mΩ'],
    si: 'Ω',
    us: 'Ω',
    units: [u(1, 'Ω', 'ohm', 'ohms'), u(1e-3, 'mΩ', 'mohm')],
  },
} as const satisfies Record<string, DimensionSpec>;

export type Dimension = keyof typeof dimensions;

/** ASCII units that figures and laws may carry: the base unit of each dimension and a few of the trade's own. */
const plainUnits = {
  '1': '',
  mm: 'mm',
  mm2: 'mm²',
  'kWh/a': 'kWh a year',
  '1/a': 'a year',
  'kg/a': 'kg a year',
  a: 'years',
  h: 'h',
  'h/a': 'h a year',
  '1/h': 'an hour',
  g: 'g',
  J: 'J',
  'kVA/hp': 'kVA/hp',
  'kg/kWh': 'kg/kWh',
  '1/kWh': 'per kWh',
  '1/kW': 'per kW and month',
  '1/kg': 'per kg',
  kW: 'kW',
  'm/s2': 'm/s²',
  hp: 'hp',
  money: '',
} as const;

export type UnitId = (typeof dimensions)[Dimension]['base'] | keyof typeof plainUnits;

declare const unitBrand: unique symbol;
/** A number known to be in unit U. Made only by reading a quantity or evaluating a law. */
export type Q<U extends UnitId> = number & { readonly [unitBrand]: U };

/** Brands a number whose unit the caller vouches for: table values, catalogue columns, parsed text. */
export function q<U extends UnitId>(value: number, unit?: U): Q<U>;
export function q(value: number): number {
  return value;
}

export type BaseUnit<D extends Dimension> = (typeof dimensions)[D]['base'];

const byBase = new Map<string, DimensionSpec>(Object.values(dimensions).map((d) => [d.base, d]));

/** The dimension whose base unit this is, if it has one. */
export function dimensionOfUnit(unit: UnitId): DimensionSpec | undefined {
  return byBase.get(unit);
}

/** How a unit id is written for people: "kg.m2" as "kg·m²". */
export function unitLabel(unit: UnitId): string {
  if (Object.hasOwn(plainUnits, unit)) return plainUnits[unit as keyof typeof plainUnits];
  const d = byBase.get(unit);
  return d?.units.find((x) => x.factor === 1 && !x.offset)?.names[0] ?? unit;
}
