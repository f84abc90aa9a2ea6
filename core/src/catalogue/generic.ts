import {
  cell,
  horsepower,
  iec,
  northAmerica,
  table,
  tableOfNames,
  type Practice,
  type Row,
  type Table,
} from '../practice';
import * as iecTables from '../practice/iec/tables/motors';
import * as naTables from '../practice/north-america/tables/motors';
import {
  heightOf,
  modelBreakdownTorque,
  modelInertia,
  modelLockedRotorCurrent,
  modelMass,
  modelPowerFactor,
  modelPrice,
  modelSound,
  turndowns,
  usualConstruction,
  usualSlip,
  type Rated,
} from './models';
import type { Connection, EnclosureClass, Motor } from './motor';

/**
 * The generic catalogue: standard ratings, frames, torques and efficiencies from the standards' tables; everything the
 * standards leave open by the models beside (docs/catalogue.md says how each column was made). No maker's data.
 */
export function genericMotors(): readonly Motor[] {
  cached ??= [...build(northAmerican), ...build(underIec)];
  return cached;
}

let cached: readonly Motor[] | undefined;

interface Series {
  readonly key: string;
  readonly enclosure: EnclosureClass;
  readonly enclosureText: string;
  readonly efficiencyClass: string;
  /**
   * Which columns of the tables of efficiency are its own: those of 2, 4 and 6 poles begin with it, that of 8 poles is
   * called so.
   */
  readonly column: 'open' | 'enclosed' | 'IE3' | 'IE4';
  readonly price: number;
  readonly inverterDuty?: boolean;
  readonly blower?: boolean;
  /** High starting torque: the tradition's design for loads that are hard to start. */
  readonly hard?: boolean;
  /** Cast iron under epoxy, where stainless is not made. */
  readonly coated?: boolean;
  /** Wound for another supply than the usual one of its tradition. */
  readonly winding?: (rating: number) => Winding;
  /** Frequency where it is not the tradition's own, Hz. */
  readonly hertz?: 50 | 60;
  /** Smallest and largest rating, in the practice's own unit. */
  readonly from?: number;
  readonly upTo?: number;
}

/** One voltage, three leads brought out in North America, six under IEC. */
const at = (volts: number, leads: 3 | 6 = 3) => ({
  winding: (): Winding => ({
    text: `${volts} V`,
    volts: [volts],
    leads,
    delta: leads === 6 ? volts : null,
    onDrive: volts,
  }),
});
/** The usual pair of 50 Hz in North American frames: nine leads to 100 hp, six above. */
const at50 = {
  hertz: 50,
  from: 1,
  winding: (rating: number): Winding =>
    rating <= 100
      ? { text: '190/380 V', volts: [190, 380], leads: 9, delta: null, onDrive: 380 }
      : { text: '380 V', volts: [380], leads: 6, delta: 380, onDrive: 380 },
} as const;
/** Delta at the lower voltage, star at the upper. */
const deltaStar = (low: number, high: number): Winding => ({
  text: `${low}/${high} V`,
  volts: [low, high],
  leads: 6,
  delta: low,
  onDrive: low < 300 ? high : low,
});
/** 460 V at 60 Hz serves 440 to 480 V; 380 V at 60 Hz is wound apart. */
const at60 = { hertz: 60, from: 0.75, ...at(460, 6) } as const;
const at60low = {
  hertz: 60,
  from: 0.75,
  winding: (rating: number): Winding => (rating < 4 ? deltaStar(220, 380) : deltaStar(380, 660)),
} as const;

const premium = { efficiencyClass: 'Premium', column: 'enclosed' } as const;
const naSeries: readonly Series[] = [
  { key: 'odp', enclosure: 'open', enclosureText: 'ODP', ...premium, column: 'open', price: 0.85 },
  { key: 'odp-575', enclosure: 'open', enclosureText: 'ODP', ...premium, column: 'open', price: 0.87, ...at(575) },
  { key: 'tefc', enclosure: 'enclosed', enclosureText: 'TEFC', ...premium, price: 1 },
  { key: 'tefc-575', enclosure: 'enclosed', enclosureText: 'TEFC', ...premium, price: 1.02, ...at(575) },
  { key: 'tefc-200', enclosure: 'enclosed', enclosureText: 'TEFC', ...premium, price: 1.03, ...at(200), upTo: 150 },
  { key: 'tefc-c', enclosure: 'enclosed', enclosureText: 'TEFC', ...premium, price: 1.12, hard: true, upTo: 200 },
  { key: 'tefc-inv', enclosure: 'enclosed', enclosureText: 'TEFC inverter duty', ...premium, price: 1.18, inverterDuty: true },
  { key: 'tebc', enclosure: 'enclosed', enclosureText: 'TEBC inverter duty', ...premium, price: 1.55, inverterDuty: true, blower: true },
  { key: 'severe', enclosure: 'severe-duty', enclosureText: 'TEFC severe duty', ...premium, price: 1.25 },
  { key: 'wash', enclosure: 'washdown', enclosureText: 'TEFC washdown', ...premium, price: 1.9, inverterDuty: true, upTo: 20 },
  { key: 'epoxy', enclosure: 'washdown', enclosureText: 'TEFC washdown, epoxy', ...premium, price: 1.45, from: 25, upTo: 200, coated: true },
  { key: 'odp-50', enclosure: 'open', enclosureText: 'ODP', ...premium, column: 'open', price: 0.95, ...at50 },
  { key: 'tefc-50', enclosure: 'enclosed', enclosureText: 'TEFC', ...premium, price: 1.1, ...at50 },
  { key: 'inv-50', enclosure: 'enclosed', enclosureText: 'TEFC inverter duty', ...premium, price: 1.28, inverterDuty: true, ...at50 },
  { key: 'severe-50', enclosure: 'severe-duty', enclosureText: 'TEFC severe duty', ...premium, price: 1.35, ...at50 },
  { key: 'wash-50', enclosure: 'washdown', enclosureText: 'TEFC washdown', ...premium, price: 2, inverterDuty: true, upTo: 20, ...at50 },
]; // prettier-ignore

const ie3 = { efficiencyClass: 'IE3', column: 'IE3' } as const;
const ie4 = { efficiencyClass: 'IE4', column: 'IE4' } as const;
const iecSeries: readonly Series[] = [
  // Small IEC motors are made enclosed only.
  { key: 'ip23', enclosure: 'open', enclosureText: 'IP23', ...ie3, price: 0.88, from: 11 },
  { key: 'ip55-ie3', enclosure: 'enclosed', enclosureText: 'IP55', ...ie3, price: 1 },
  { key: 'ip55-ie4', enclosure: 'enclosed', enclosureText: 'IP55', ...ie4, price: 1.16 },
  { key: 'ip55-h', enclosure: 'enclosed', enclosureText: 'IP55', ...ie3, price: 1.1, hard: true, upTo: 160 },
  { key: 'ip55-500', enclosure: 'enclosed', enclosureText: 'IP55', ...ie3, price: 1.03, ...at(500, 6) },
  { key: 'ip55-inv', enclosure: 'enclosed', enclosureText: 'IP55 inverter duty', ...ie3, price: 1.18, inverterDuty: true },
  { key: 'ic416', enclosure: 'enclosed', enclosureText: 'IP55 IC416 inverter duty', ...ie3, price: 1.5, inverterDuty: true, blower: true },
  { key: 'ip56', enclosure: 'severe-duty', enclosureText: 'IP56 severe duty', ...ie3, price: 1.22 },
  { key: 'ip66', enclosure: 'washdown', enclosureText: 'IP66 washdown', ...ie3, price: 1.7, inverterDuty: true, upTo: 15 },
  { key: 'epoxy', enclosure: 'washdown', enclosureText: 'IP66 washdown, epoxy', ...ie3, price: 1.4, from: 18.5, upTo: 160, coated: true },
  { key: 'ip55-230', enclosure: 'enclosed', enclosureText: 'IP55', ...ie3, price: 1.04, from: 4, upTo: 45, winding: () => deltaStar(230, 400) },
  { key: 'ip55-60', enclosure: 'enclosed', enclosureText: 'IP55', ...ie3, price: 1.05, ...at60 },
  { key: 'ip55-60-380', enclosure: 'enclosed', enclosureText: 'IP55', ...ie3, price: 1.07, ...at60low },
  { key: 'ip55-60-h', enclosure: 'enclosed', enclosureText: 'IP55', ...ie3, price: 1.16, hard: true, upTo: 160, ...at60 },
  { key: 'inv-60', enclosure: 'enclosed', enclosureText: 'IP55 inverter duty', ...ie3, price: 1.24, inverterDuty: true, ...at60 },
  { key: 'ip56-60', enclosure: 'severe-duty', enclosureText: 'IP56 severe duty', ...ie3, price: 1.28, ...at60 },
  { key: 'ip66-60', enclosure: 'washdown', enclosureText: 'IP66 washdown', ...ie3, price: 1.78, inverterDuty: true, upTo: 15, ...at60 },
]; // prettier-ignore

type Frames = Table<'2' | '4' | '6', string>;

/** What one tradition brings to its motors. */
interface Tradition {
  readonly key: string;
  readonly practice: Practice;
  readonly series: readonly Series[];
  readonly efficiencies: Table;
  readonly eightPole: Table;
  readonly frames: Frames;
  readonly openFrames: Frames;
  readonly eightPoleFrames: Table<'8', string>;
  /** Watts in one unit of rating. */
  readonly unit: number;
  /** Plates round full-load speed to this many r/min. */
  readonly speedStep: number;
  readonly serviceFactor: number;
  readonly design: string;
  readonly hardDesign: string;
  windingOf(rating: number): Winding;
  /** Efficiency in % at its other frequency, by the table that is used there; undefined where it has none. */
  efficiencyElsewhere(rating: number, poles: Poles): number | undefined;
}

const withSmallFrames = (of: Frames): Frames =>
  tableOfNames(of.source, of.columns, [[0.5, '56', '56', '56'], [0.75, '56', '56', '143T'], ...of.rows]);
const iecFrames: Frames = tableOfNames(iecTables.frames.source, iecTables.frames.columns, [
  ...iecTables.smallFrames.rows,
  ...iecTables.frames.rows,
]);

/** Small ratings that the list begins with; their tables begin lower. */
const smallListed = { hp: [0.5, 0.75], kW: [0.37, 0.55] } as const;
const isListed =
  (ratings: readonly number[]) =>
  ([rating]: Row): boolean =>
    ratings.includes(rating);

const northAmerican: Tradition = {
  key: 'na',
  practice: northAmerica,
  series: naSeries,
  // Open and enclosed small motors share one table.
  efficiencies: table(naTables.premiumEfficiency.source, naTables.premiumEfficiency.columns, [
    ...naTables.smallEfficiency.rows.filter(isListed(smallListed.hp)).map(([hp, ...e]): Row => [hp, ...e, ...e]),
    ...naTables.premiumEfficiency.rows,
  ]),
  eightPole: naTables.eightPoleEfficiency,
  frames: withSmallFrames(naTables.frames),
  openFrames: withSmallFrames(naTables.openFrames),
  eightPoleFrames: naTables.eightPoleFrames,
  unit: horsepower,
  speedStep: 5,
  serviceFactor: 1.15,
  design: 'B',
  hardDesign: 'C',
  windingOf(rating) {
    return rating <= 100
      ? { text: '208-230/460 V', volts: [208, 230, 460], leads: 9, delta: null, onDrive: 460 }
      : { text: '460 V', volts: [460], leads: 6, delta: 460, onDrive: 460 };
  },
  // At 50 Hz premium is near IE3 (from memory), stamped by the nominal values of NEMA MG 1, Table 12-10.
  efficiencyElsewhere(rating, poles) {
    const ie3 = byTable(
      iecTables.efficiencies,
      iecTables.eightPoleEfficiencies,
      'IE3',
      (rating * horsepower) / 1000,
      poles,
    );
    if (ie3 === undefined) return undefined;
    return naTables.efficiencyBands.rows.reduce((a, [n]) => (n <= ie3 + 0.01 ? Math.max(a, n) : a), 0);
  },
};

const underIec: Tradition = {
  key: 'iec',
  practice: iec,
  series: iecSeries,
  efficiencies: table(iecTables.efficiencies.source, iecTables.efficiencies.columns, [
    ...iecTables.smallEfficiencies.rows.filter(isListed(smallListed.kW)),
    ...iecTables.efficiencies.rows,
  ]),
  eightPole: iecTables.eightPoleEfficiencies,
  frames: iecFrames,
  openFrames: iecFrames,
  eightPoleFrames: iecTables.eightPoleFrames,
  unit: 1000,
  speedStep: 1,
  serviceFactor: 1,
  design: 'N',
  hardDesign: 'H',
  windingOf: (rating) => (rating < 4 ? deltaStar(230, 400) : deltaStar(400, 690)),
  // At 60 Hz the classes of IEC have the values of the North American tables (IEC 60034-30-1, from memory).
  efficiencyElsewhere: (rating, poles) =>
    byTable(naTables.premiumEfficiency, naTables.eightPoleEfficiency, 'enclosed', (rating * 1000) / horsepower, poles),
};

interface Winding {
  readonly text: string;
  readonly volts: readonly number[];
  readonly leads: 3 | 6 | 9;
  readonly delta: number | null;
  /** Line voltage at which a drive would feed this winding. */
  readonly onDrive: number;
}

/** By the rating of another tradition's table that is nearest: a few watts more or less are one size. */
function byTable(few: Table, eightPole: Table, column: string, rating: number, poles: Poles): number | undefined {
  const of = poles === 8 ? eightPole : few;
  const row = of.rows.reduce<Row | undefined>(
    (a, b) => (a && Math.abs(a[0] - rating) <= Math.abs(b[0] - rating) ? a : b),
    undefined,
  );
  return row && cell(of, row, poles === 8 ? column : `${column} ${poles}`);
}

const poleNumbers = [2, 4, 6, 8] as const;
type Poles = (typeof poleNumbers)[number];

function build(tradition: Tradition): Motor[] {
  const motors: Motor[] = [];
  for (const series of tradition.series) {
    for (const row of tradition.efficiencies.rows) {
      const rating = row[0];
      if (rating > (series.upTo ?? Infinity) || rating < (series.from ?? 0)) continue;
      for (const poles of poleNumbers) {
        // The design for hard starts is not made with two poles.
        if (series.hard && poles === 2) continue;
        const percent = efficiencyOf(tradition, series, row, poles);
        if (percent !== undefined) motors.push(motor(tradition, series, rating, poles, percent / 100));
      }
    }
  }
  return motors;
}

function efficiencyOf(tradition: Tradition, series: Series, row: Row, poles: Poles): number | undefined {
  const { efficiencies, eightPole } = tradition;
  if (series.hertz) return tradition.efficiencyElsewhere(row[0], poles);
  if (poles < 8) return cell(efficiencies, row, `${series.column} ${poles}`);
  return cell(eightPole, ofRating(eightPole, row[0]), series.column);
}

function frameOf(tradition: Tradition, rating: number, poles: Poles, open: boolean): string | null {
  const { eightPoleFrames } = tradition;
  const frames = open ? tradition.openFrames : tradition.frames;
  const found =
    poles === 8
      ? cell(eightPoleFrames, ofRating(eightPoleFrames, rating), '8')
      : cell(frames, ofRating(frames, rating), `${poles}`);
  return found ?? null;
}

const ofRating = <C extends string, V>(of: Table<C, V>, rating: number): Row<V> | undefined =>
  of.rows.find(([r]) => r === rating);

/** Ratings that the trade writes as fractions. */
const fractions: Readonly<Record<number, string>> = { 0.5: '1/2', 0.75: '3/4' };

/** Common practice: where the usual motor pulls above the standard's least, the one for hard starts pulls this more. */
const hardPullsMore = 1.15;

function motor(tradition: Tradition, series: Series, rating: number, poles: Poles, efficiency: number): Motor {
  const { practice, speedStep: step } = tradition;
  const winding = series.winding?.(rating) ?? tradition.windingOf(rating);
  const frequency = series.hertz ?? practice.frequency;
  const power = rating * tradition.unit;
  const synchronous = (120 * frequency) / poles;
  const speed = Math.min(synchronous - step, Math.round((synchronous * (1 - usualSlip(efficiency))) / step) * step);
  const powerFactor = modelPowerFactor(practice.id, power, poles);
  const connections = winding.volts.map((voltage): Connection => {
    const current = power / (Math.sqrt(3) * voltage * efficiency * powerFactor);
    return { voltage, current: Number(current.toPrecision(3)) };
  });
  const top = winding.volts.at(-1) ?? 0;
  const unitText = practice.words.powerUnit;
  const ratingText = fractions[rating] ?? String(rating);
  const frame = frameOf(tradition, rating, poles, series.enclosure === 'open');
  const inverterDuty = series.inverterDuty ?? false;
  const cooling = series.enclosure === 'open' ? 'open' : series.blower ? 'blower' : 'shaft-fan';
  const construction = series.coated ? 'cast-iron' : usualConstruction(power, series.enclosure, inverterDuty);
  const letter = series.hard ? tradition.hardDesign : tradition.design;
  const hard = series.hard ? practice.design(letter, power, poles) : undefined;
  const usual = practice.usualStart?.(power, poles, series.efficiencyClass)?.value;
  const least = hard?.lockedRotorTorque ?? practice.lockedRotorTorque(power, poles).value;
  const lockedRotorTorque = Number(Math.max(least, (usual?.torque ?? 0) * (hard ? hardPullsMore : 1)).toFixed(2));
  const leastPullUp = Number((0.7 * lockedRotorTorque).toFixed(3));
  const current = connections.at(-1)?.current ?? 0;
  const rated: Rated = {
    current,
    slip: 1 - speed / synchronous,
    powerFactor,
    efficiency,
    lockedRotorTorque,
  };
  const most = usual ? usual.current * current : practice.lockedRotorCurrent(power, top, frequency).value;
  const lockedRotorCurrent = modelLockedRotorCurrent(most, rated);
  const leastBreakdown = hard?.breakdownTorque ?? practice.breakdownTorque(power, poles).value;
  const special = (series.hard ? ` design ${letter}` : '') + (series.hertz ? `, ${series.hertz} Hz` : '');
  return {
    id: `${tradition.key}-${series.key}-${String(rating).replace('.', '_')}${unitText}-${poles}p`,
    name: `${ratingText} ${unitText} ${poles}-pole ${series.enclosureText} ${series.efficiencyClass}${special}`,
    practice: practice.id,
    power,
    powerText: `${ratingText} ${unitText}`,
    poles,
    frequency,
    speed,
    voltageText: winding.text,
    connections,
    efficiency,
    efficiencyMinimum: practice.minimumEfficiency(efficiency, power)?.value ?? efficiency,
    efficiencyClass: series.efficiencyClass,
    powerFactor,
    frame,
    enclosure: series.enclosure,
    enclosureText: series.enclosureText,
    cooling,
    construction,
    serviceFactor: tradition.serviceFactor,
    designLetter: letter,
    insulation: 'F',
    leads: winding.leads,
    deltaVoltage: winding.delta,
    lockedRotorCurrent,
    lockedRotorTorque,
    pullUpTorque: series.hard
      ? leastPullUp
      : Math.max(practice.pullUpTorque(power, poles).value, usual ? leastPullUp : 0),
    leastBreakdown,
    breakdownTorque: modelBreakdownTorque(leastBreakdown, lockedRotorCurrent, series.hard === true, rated),
    inertia: modelInertia(power, synchronous),
    mass: modelMass(power, poles, series.enclosure, construction),
    sound: modelSound(heightOf(frame, practice.frameSystem, power), poles, frequency, cooling),
    turndown: series.blower ? turndowns.blower : inverterDuty ? turndowns.inverter : turndowns.usual,
    inverterDuty,
    pulseRating: (inverterDuty ? practice.drivePulse(winding.onDrive) : practice.ordinaryPulse).value,
    maxSpeed: practice.safeSpeed(power, poles).value,
    priceIndex: modelPrice(power, poles, series.price),
  };
}
