import { commonPractice, definition, type Prescribed, type Source, remembered } from '../contract';
import { q } from '../quantity';
import { law, notNegative, positive, share, reaches } from '../law';

/** A conductor that can be bought: its trade name and its area in mm². */
export interface ConductorSize {
  readonly name: string;
  readonly area: number;
}

/** One size as the tables of a practice see it, laid as the case says. */
export interface LaidSize extends ConductorSize {
  /** A, before corrections. */
  readonly base: number;
  /** A, what terminals of this temperature permit, where the code asks. */
  readonly terminals?: number;
  /** Ω per metre of one conductor in service. */
  readonly resistance: number;
  readonly reactance: number;
  /** A·s^½/mm² of a short circuit, where it is not that of the other sizes. */
  readonly k?: number;
  /** Whether as many as are wished may run in parallel. */
  readonly parallel: boolean;
  /** in², of one insulated conductor. */
  readonly insulated?: number;
}

/** What was taken because its field was left out. */
export interface TakenAs {
  readonly path: string;
  readonly value: string | number;
}

/** What is left out of a cable is taken as usual, and kept to be shown as taken. */
export function takingUsual() {
  const taken: TakenAs[] = [];
  const or = <T extends string | number>(given: T | undefined, path: string, usual: T, unit = ''): T => {
    if (given !== undefined) return given;
    taken.push({ path: `guard.cable.${path}`, value: unit ? `${usual} ${unit}` : usual });
    return usual;
  };
  return { taken, or };
}

/** A cable of the case as the tables of its practice see it. */
export interface Laid {
  readonly sizes: readonly LaidSize[];
  readonly source: Source;
  readonly impedanceSource: Source;
  readonly ambientFactor: Prescribed<number>;
  /** Factor for what lies together, so many conductors a phase side by side; undefined where no table knows it. */
  readonly grouped: (parallel: number) => Prescribed<number> | undefined;
  /** The field by which the practice counts what lies beside it. */
  readonly besides: 'guard.cable.circuits' | 'guard.cable.conductors';
  /** A·s^½/mm² of a short circuit that heats the conductor alone. */
  readonly k: Prescribed<number>;
  readonly taken: readonly TakenAs[];
  /** Where the terminals decide: their temperature, °C, and who says so. */
  readonly terminals?: Prescribed<number>;
  /** Said of the cable beside its figures. */
  readonly remark?: string;
}

/** Nothing of the practice's tables holds there. */
export interface NotLaid {
  readonly because: string;
  readonly path: string;
}

/** What the case says of the cable, and what of the motor matters to it. */
export interface CableAsked {
  readonly material?: 'copper' | 'aluminium';
  readonly rating?: number;
  readonly terminals?: number;
  readonly conductors?: number;
  readonly raceway?: 'conduit-steel' | 'conduit-pvc' | 'tray' | 'free-air' | 'buried';
  readonly insulation?: 'pvc' | 'xlpe';
  readonly method?: 'A1' | 'A2' | 'B1' | 'B2' | 'C' | 'D1' | 'D2' | 'E' | 'F';
  readonly circuits?: number;
  readonly arrangement?: 'bunched' | 'single-layer' | 'spaced';
  readonly wire?: string;
  /** °C around the cable. */
  readonly ambient?: number;
  /** A of the circuit, by which the usual terminals go. */
  readonly current: number;
  /** The motor's design letter, where one is stamped. */
  readonly design?: string;
}

/** The conductors of a circuit: a size, how many of it side by side, and what it carries as laid. */
export interface Conductors {
  readonly size: LaidSize;
  readonly count: number;
  readonly ampacity: number;
}

const most = 6;

export const ampacityOf = ({ ambientFactor, grouped }: Laid, size: LaidSize, count: number): number => {
  const asLaid = count * size.base * ambientFactor.value * (grouped(count)?.value ?? 0);
  return size.terminals === undefined ? asLaid : Math.min(asLaid, count * size.terminals);
};

/**
 * The least conductors that carry a current: one of each size first, then two side by side and more, where the size
 * permits it. With a number given only so many; `does`: what else it must hold. Undefined where nothing in the tables
 * does.
 */
export function leastConductors(
  laid: Laid,
  needed: number,
  parallel?: number,
  does: (size: LaidSize, count: number) => boolean = () => true,
): Conductors | undefined {
  for (let count = parallel ?? 1; count <= (parallel ?? most); count++)
    for (const size of laid.sizes) {
      if (count > 1 && !size.parallel) continue;
      const ampacity = ampacityOf(laid, size, count);
      if (reaches(ampacity, needed) && does(size, count)) return { size, count, ampacity };
    }
  return undefined;
}

/** The size of the tables that was typed: the same area within 3 %, else the next one below it. */
export const typedSize = (laid: Laid, area: number): LaidSize | undefined =>
  laid.sizes.findLast((s) => s.area <= area * 1.03);

export const ampacityAsLaid = law({
  name: 'What the conductors carry as laid',
  symbol: 'I_z',
  unit: 'A',
  takes: { n: '1', I_0: 'A', f_a: '1', f_g: '1' },
  formula: 'n * I_0 * f_a * f_g',
  source: definition(
    'Ampacity',
    'the table’s × the factors for ambient and for others beside it × conductors in parallel',
  ),
  range: { n: [1, 12], I_0: notNegative, f_a: [0, 2], f_g: share },
  example: { of: { n: 1, I_0: 57, f_a: 0.87, f_g: 0.7 }, gives: 34.713, from: 'by hand' },
  of: ({ n, I_0, f_a, f_g }) => n * I_0 * f_a * f_g,
});

export const ampacityAtTerminals = law({
  name: 'What the conductors carry as laid, and their terminals permit',
  symbol: 'I_z',
  unit: 'A',
  takes: { n: '1', I_0: 'A', f_a: '1', f_g: '1', I_t: 'A' },
  formula: 'min(n * I_0 * f_a * f_g, n * I_t)',
  source: definition('Ampacity', 'the corrected ampacity, and no more than the terminals’ own column'),
  range: { n: [1, 12], I_0: notNegative, f_a: [0, 2], f_g: share, I_t: notNegative },
  example: { of: { n: 1, I_0: 55, f_a: 1, f_g: 1, I_t: 50 }, gives: 50, from: 'by hand' },
  of: ({ n, I_0, f_a, f_g, I_t }) => Math.min(n * I_0 * f_a * f_g, n * I_t),
});

export const voltageDrop = law({
  name: 'Voltage drop of the cable, as a share of the line voltage',
  symbol: 'd_U',
  unit: '1',
  takes: { I: 'A', R: 'ohm', X: 'ohm', c: '1', U: 'V' },
  formula: 'sqrt(3) * I * (R * c + X * sqrt(1 - c^2)) / U',
  source: definition('Three-phase line', 'the drop in phase with the voltage; enough for short lines'),
  range: { I: notNegative, R: notNegative, X: notNegative, c: share, U: positive },
  example: {
    of: { I: 40, R: 0.1406, X: 0.008, c: 0.85, U: 400 },
    gives: 0.0214297,
    from: 'by hand: 100 m of 16 mm² copper, 0.0225·100/16 and 0.08 mΩ/m',
  },
  of: ({ I, R, X, c, U }) => (Math.sqrt(3) * I * (R * c + X * Math.sqrt(1 - c * c))) / U,
});

export const lostStarting = law({
  name: 'Voltage lost on the cable while it starts, as a share of the line voltage',
  symbol: 'd_s',
  unit: '1',
  takes: { k: '1', I: 'A', R: 'ohm', X: 'ohm', c: '1', U: 'V' },
  formula: 'sqrt(3) * k * I * (R * c + X * sqrt(1 - c^2)) / U',
  source: definition('Three-phase line', 'the drop in phase with the voltage, of that share of the current'),
  range: { k: share, I: notNegative, R: notNegative, X: notNegative, c: share, U: positive },
  example: {
    of: { k: 0.5, I: 80, R: 0.1406, X: 0.008, c: 0.85, U: 400 },
    gives: 0.0214297,
    from: 'by hand: 40 A through 100 m of 16 mm² copper, 0.0225·100/16 and 0.08 mΩ/m',
  },
  of: ({ k, I, R, X, c, U }) => voltageDrop.of({ I: q(k * I, 'A'), R, X, c, U }),
});

export const lostAsSimulated = law({
  name: 'Voltage lost on the cable while it starts, as simulated',
  symbol: 'd_s',
  unit: '1',
  takes: { du_c: '1' },
  formula: 'du_c',
  source: definition('The simulated start', 'the most that is lost between bus and terminals'),
  range: { du_c: share },
  example: { of: { du_c: 0.08 }, gives: 0.08, from: 'by hand: it is the run’s own' },
  of: ({ du_c }) => du_c,
});

export const faultAtEnd = law({
  name: 'Fault current at the end of the cable',
  symbol: 'I_k',
  unit: 'A',
  takes: { U: 'V', Z_s: 'ohm', R: 'ohm', X: 'ohm' },
  formula: 'U / (sqrt(3) * sqrt(R^2 + (Z_s + X)^2))',
  source: definition('Three-phase fault', 'source and cable in series; the source taken as a reactance'),
  range: { U: positive, Z_s: notNegative, R: notNegative, X: notNegative },
  example: {
    of: { U: 480, Z_s: 0.02304, R: 0.02, X: 0.005 },
    gives: 8046.3,
    from: 'by hand: 277.13 V over √(0.02² + 0.02804²) = 0.034442 Ω',
  },
  of: ({ U, Z_s, R, X }) => U / (Math.sqrt(3) * Math.hypot(R, Z_s + X)),
});

export const faultWithMotors = law({
  name: 'Fault current with what running motors add',
  symbol: 'I_kM',
  unit: 'A',
  takes: { I_k: 'A', k: '1', I_M: 'A' },
  formula: 'I_k + k * I_M',
  source: commonPractice('Running motors feed a fault with 4 to 6 times their current for its first cycles; 4 taken'),
  range: { I_k: notNegative, k: [3, 7], I_M: notNegative },
  example: { of: { I_k: 12000, k: 4, I_M: 150 }, gives: 12600, from: 'by hand' },
  of: ({ I_k, k, I_M }) => I_k + k * I_M,
});

export const earthFaultAtEnd = law({
  name: 'Earth fault at the end of the cable',
  symbol: 'I_f',
  unit: 'A',
  takes: { U: 'V', Z_s: 'ohm', R: 'ohm', R_PE: 'ohm', X: 'ohm' },
  formula: '0.95 * U / sqrt(3) / sqrt((R + R_PE)^2 + (Z_s + 2 * X)^2)',
  source: definition('Loop impedance', 'source, line and earth conductor in series; voltage factor 0.95 (minimum)'),
  range: { U: positive, Z_s: notNegative, R: notNegative, R_PE: notNegative, X: notNegative },
  example: {
    of: { U: 400, Z_s: 0.01, R: 0.14, R_PE: 0.14, X: 0.008 },
    gives: 780.2,
    from: 'by hand: 219.39 V over √(0.28² + 0.026²) = 0.28120 Ω',
  },
  of: ({ U, Z_s, R, R_PE, X }) => (0.95 * U) / Math.sqrt(3) / Math.hypot(R + R_PE, Z_s + 2 * X),
});

export const secondFaultAtEnd = law({
  name: 'Second earth fault at the end of the cable, on a net that is not earthed',
  symbol: 'I_f2',
  unit: 'A',
  takes: { U: 'V', Z_s: 'ohm', R: 'ohm', R_PE: 'ohm', X: 'ohm' },
  formula: '0.95 * U / (2 * sqrt((R + R_PE)^2 + (Z_s + 2 * X)^2))',
  source: remembered(
    'standard',
    'IEC 60364-4-41',
    '2005',
    '411.6.4 (a): the line’s voltage over twice the loop, the other fault in as long a circuit; voltage factor 0.95',
  ),
  range: { U: positive, Z_s: notNegative, R: notNegative, R_PE: notNegative, X: notNegative },
  example: {
    of: { U: 400, Z_s: 0.01, R: 0.14, R_PE: 0.14, X: 0.008 },
    gives: 675.68,
    from: 'by hand: 190 V over 0.28120 Ω',
  },
  of: ({ U, Z_s, R, R_PE, X }) => (0.95 * U) / (2 * Math.hypot(R + R_PE, Z_s + 2 * X)),
});

export const capacitorAsked = law({
  name: 'Capacitor that raises the power factor to what is wished',
  symbol: 'Q_c',
  unit: 'var',
  takes: { P: 'W', c: '1', c_w: '1' },
  formula: 'P * (tan(acos(c)) - tan(acos(c_w)))',
  source: definition('Reactive power', 'what is there at rated load, less what may stay'),
  range: { P: notNegative, c: [0.05, 0.9999], c_w: [0.5, 0.9999] },
  example: {
    of: { P: 24000, c: 0.83, c_w: 0.95 },
    gives: 8239.68,
    from: 'by hand: tan of the angles 0.67200 and 0.32868',
  },
  of: ({ P, c, c_w }) => P * (Math.tan(Math.acos(c)) - Math.tan(Math.acos(c_w))),
});

export const capacitorMost = law({
  name: 'Largest capacitor at the motor’s terminals',
  symbol: 'Q_m',
  unit: 'var',
  takes: { f: '1', U: 'V', I_0: 'A' },
  formula: 'f * sqrt(3) * U * I_0',
  source: commonPractice('A share of the no-load reactive power, so that the motor cannot excite itself'),
  range: { f: share, U: positive, I_0: notNegative },
  example: { of: { f: 0.9, U: 400, I_0: 14 }, gives: 8729.5, from: 'by hand: 0.9 × 9,699.5 VA' },
  of: ({ f, U, I_0 }) => f * Math.sqrt(3) * U * I_0,
});

export const boardFactor = law({
  name: 'What a warm, tight board leaves its parts',
  symbol: 'f_b',
  unit: '1',
  takes: { t: 'degC', rise: 'K', m: '1' },
  formula: 'max(0.3, min(1, 1 - 0.01 * (t + rise - 40))) * m',
  source: commonPractice('1 % for each kelvin inside above 40 °C; a tight board is 10 K warmer; withdrawable 0.95'),
  range: { t: [-50, 80], rise: [0, 40], m: [0.5, 1] },
  example: { of: { t: 45, rise: 10, m: 0.95 }, gives: 0.8075, from: 'by hand: 15 K above, 0.85 × 0.95' },
  of: ({ t, rise, m }) => Math.max(0.3, Math.min(1, 1 - 0.01 * (t + rise - 40))) * m,
});

export const cableWithstand = law({
  name: 'Let-through the cable withstands',
  symbol: 'k²S²',
  unit: 'A2.s',
  takes: { k: '1', S: 'mm2' },
  formula: 'k^2 * S^2',
  source: definition('Adiabatic heating', 'all of it stays in the conductor: up to some five seconds'),
  range: { k: [20, 300], S: positive },
  example: { of: { k: 115, S: 10 }, gives: 1322500, from: 'by hand' },
  of: ({ k, S }) => k * k * S * S,
});
