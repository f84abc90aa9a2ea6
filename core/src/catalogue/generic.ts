import { horsepower, iec, northAmerica, type Practice, type Rows } from '../practice';
import * as iecTables from '../practice/iec/tables';
import * as naTables from '../practice/north-america/tables';
import type { Connection, EnclosureClass, Motor } from './motor';

/**
 * The generic catalogue: standard ratings, frames and efficiencies from the standards' tables; everything the
 * standards leave open by the models below (docs/catalogue.md says how each column was made). No maker's data.
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
  /** First of three efficiency columns (2, 4, 6 poles). */
  readonly column: number;
  readonly inverterDuty: boolean;
  readonly price: number;
  readonly upTo?: number;
  readonly volts?: 'only 575';
}

const naSeries: readonly Series[] = [
  {
    key: 'odp',
    enclosure: 'open',
    enclosureText: 'ODP',
    efficiencyClass: 'Premium',
    column: 0,
    inverterDuty: false,
    price: 0.85,
  },
  {
    key: 'tefc',
    enclosure: 'enclosed',
    enclosureText: 'TEFC',
    efficiencyClass: 'Premium',
    column: 3,
    inverterDuty: false,
    price: 1,
  },
  {
    key: 'tefc-575',
    enclosure: 'enclosed',
    enclosureText: 'TEFC',
    efficiencyClass: 'Premium',
    column: 3,
    inverterDuty: false,
    price: 1.02,
    volts: 'only 575',
  },
  {
    key: 'tefc-inv',
    enclosure: 'enclosed',
    enclosureText: 'TEFC inverter duty',
    efficiencyClass: 'Premium',
    column: 3,
    inverterDuty: true,
    price: 1.18,
  },
  {
    key: 'severe',
    enclosure: 'severe-duty',
    enclosureText: 'TEFC severe duty',
    efficiencyClass: 'Premium',
    column: 3,
    inverterDuty: false,
    price: 1.25,
  },
  {
    key: 'wash',
    enclosure: 'washdown',
    enclosureText: 'TEFC washdown',
    efficiencyClass: 'Premium',
    column: 3,
    inverterDuty: true,
    price: 1.9,
    upTo: 20,
  },
];

const iecSeries: readonly Series[] = [
  {
    key: 'ip55-ie3',
    enclosure: 'enclosed',
    enclosureText: 'IP55',
    efficiencyClass: 'IE3',
    column: 3,
    inverterDuty: false,
    price: 1,
  },
  {
    key: 'ip55-ie4',
    enclosure: 'enclosed',
    enclosureText: 'IP55',
    efficiencyClass: 'IE4',
    column: 6,
    inverterDuty: false,
    price: 1.16,
  },
  {
    key: 'ip55-inv',
    enclosure: 'enclosed',
    enclosureText: 'IP55 inverter duty',
    efficiencyClass: 'IE3',
    column: 3,
    inverterDuty: true,
    price: 1.18,
  },
  {
    key: 'ip56',
    enclosure: 'severe-duty',
    enclosureText: 'IP56 severe duty',
    efficiencyClass: 'IE3',
    column: 3,
    inverterDuty: false,
    price: 1.22,
  },
  {
    key: 'ip66',
    enclosure: 'washdown',
    enclosureText: 'IP66 washdown',
    efficiencyClass: 'IE3',
    column: 3,
    inverterDuty: true,
    price: 1.7,
    upTo: 15,
  },
];

const poleNumbers = [2, 4, 6] as const;

/** What one tradition brings to its motors. */
interface Tradition {
  readonly key: string;
  readonly practice: Practice;
  readonly series: readonly Series[];
  readonly efficiencies: Rows;
  readonly frames: readonly (readonly [number, string, string, string])[];
  /** Watts in one unit of rating. */
  readonly unit: number;
  /** Plates round full-load speed to this many r/min. */
  readonly speedStep: number;
  readonly serviceFactor: number;
  windingOf(rating: number, series: Series): Winding;
}

const northAmerican: Tradition = {
  key: 'na',
  practice: northAmerica,
  series: naSeries,
  efficiencies: naTables.premiumEfficiency,
  frames: naTables.frames,
  unit: horsepower,
  speedStep: 5,
  serviceFactor: 1.15,
  windingOf(rating, series) {
    if (series.volts === 'only 575') return { text: '575 V', volts: [575], leads: 3, delta: null, onDrive: 575 };
    return rating <= 100
      ? { text: '208-230/460 V', volts: [208, 230, 460], leads: 9, delta: null, onDrive: 460 }
      : { text: '460 V', volts: [460], leads: 6, delta: 460, onDrive: 460 };
  },
};

const underIec: Tradition = {
  key: 'iec',
  practice: iec,
  series: iecSeries,
  efficiencies: iecTables.efficiencies,
  frames: iecTables.frames,
  unit: 1000,
  speedStep: 1,
  serviceFactor: 1,
  windingOf: (rating) =>
    rating < 4
      ? { text: '230/400 V', volts: [230, 400], leads: 6, delta: 230, onDrive: 400 }
      : { text: '400/690 V', volts: [400, 690], leads: 6, delta: 400, onDrive: 400 },
};

interface Winding {
  readonly text: string;
  readonly volts: readonly number[];
  readonly leads: 3 | 6 | 9;
  readonly delta: number | null;
  /** Line voltage at which a drive would feed this winding. */
  readonly onDrive: number;
}

function build(tradition: Tradition): Motor[] {
  const motors: Motor[] = [];
  for (const series of tradition.series) {
    for (const [rating, ...columns] of tradition.efficiencies) {
      if (rating > (series.upTo ?? Infinity)) continue;
      for (const [column, poles] of poleNumbers.entries()) {
        const percent = columns[series.column + column];
        if (percent === null || percent === undefined) continue;
        motors.push(motor(tradition, series, rating, poles, column, percent / 100));
      }
    }
  }
  return motors;
}

function motor(
  tradition: Tradition,
  series: Series,
  rating: number,
  poles: 2 | 4 | 6,
  column: number,
  efficiency: number,
): Motor {
  const { practice, speedStep: step } = tradition;
  const winding = tradition.windingOf(rating, series);
  const power = rating * tradition.unit;
  const synchronous = (120 * practice.frequency) / poles;
  const speed = Math.min(synchronous - step, Math.round((synchronous * (1 - usualSlip(efficiency))) / step) * step);
  const powerFactor = usualPowerFactor(power, poles);
  const connections = winding.volts.map((voltage): Connection => {
    const current = power / (Math.sqrt(3) * voltage * efficiency * powerFactor);
    return { voltage, current: Number(current.toPrecision(3)) };
  });
  const top = winding.volts.at(-1) ?? 0;
  const unitText = practice.words.powerUnit;
  const frame = tradition.frames.find(([r]) => r === rating)?.[column + 1];
  return {
    id: `${tradition.key}-${series.key}-${String(rating).replace('.', '_')}${unitText}-${poles}p`,
    name: `${rating} ${unitText} ${poles}-pole ${series.enclosureText} ${series.efficiencyClass}`,
    practice: practice.id,
    power,
    powerText: `${rating} ${unitText}`,
    poles,
    frequency: practice.frequency,
    speed,
    voltageText: winding.text,
    connections,
    efficiency,
    efficiencyMinimum: practice.minimumEfficiency(efficiency, power)?.value ?? efficiency,
    efficiencyClass: series.efficiencyClass,
    powerFactor,
    frame: frame === undefined ? null : String(frame),
    enclosure: series.enclosure,
    enclosureText: series.enclosureText,
    serviceFactor: tradition.serviceFactor,
    leads: winding.leads,
    deltaVoltage: winding.delta,
    lockedRotorCurrent: practice.lockedRotorCurrent(power, top).value,
    lockedRotorTorque: practice.lockedRotorTorque(power, poles).value,
    turndown: series.inverterDuty ? inverterTurndown : usualTurndown,
    inverterDuty: series.inverterDuty,
    pulseRating: series.inverterDuty ? 3.1 * winding.onDrive : 1000,
    maxSpeed: poles === 2 ? synchronous : 1.25 * synchronous,
    priceIndex: priceIndex(power, series, poles),
  };
}

/** Common practice for a general-purpose and for an inverter-duty motor: lowest speed as rated ÷ this. */
const usualTurndown = { variableTorque: 10, constantTorque: 2 } as const;
const inverterTurndown = { variableTorque: 20, constantTorque: 10 } as const;

/** Invented: compares, prices nothing. */
function priceIndex(power: number, series: Series, poles: 2 | 4 | 6): number {
  const byPoles = { 2: 1.06, 4: 1, 6: 1.24 }[poles];
  return Math.round(95 * (power / 1000) ** 0.82 * series.price * byPoles + 60);
}

/** Rotor copper loss is taken as 22 % of all losses of a 60 or 50 Hz cage motor; slip is that share of the air-gap power. */
const usualSlip = (efficiency: number): number => 0.22 * (1 - efficiency);

/** Full-load power factor rises with size and falls with poles; common practice, no table. */
function usualPowerFactor(power: number, poles: number): number {
  const size = Math.log10(power / 1000);
  const four = Math.min(0.89, 0.75 + 0.065 * size);
  return Number((four + (poles === 2 ? 0.04 : poles === 6 ? -0.06 : 0)).toFixed(3));
}
