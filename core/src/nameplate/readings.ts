import type { Plate } from '../case';
import { horsepower, readFrame, type Frame, type Practice } from '../practice';
import { enclosureOf } from './enclosure';
import type { Block } from './pairs';

/** The numbers of a plate as its doubts see them: what is stamped, with how finely. SI and the trade's units. */
export interface Readings {
  readonly power?: number;
  readonly powerAlso?: number;
  readonly voltages: readonly (readonly number[])[];
  readonly currents: readonly (readonly number[])[];
  readonly speeds: readonly number[];
  readonly frequency?: number;
  readonly efficiency?: number;
  readonly efficiencyMinimum?: number;
  readonly efficiencyThreeQuarter?: number;
  readonly efficiencyHalf?: number;
  readonly efficiencyClass?: string;
  readonly powerFactor?: number;
  readonly serviceFactor?: number;
  readonly serviceFactorCurrents: readonly (readonly number[])[];
  readonly codeLetter?: string;
  readonly designLetter?: string;
  readonly frame?: Frame;
  /** An open motor; its classes of efficiency are tabled apart. */
  readonly open?: boolean;
  readonly insulation?: string;
  readonly riseClass?: string;
  readonly temperatureRise?: number;
  readonly ambient?: number;
  readonly driveEndBearing?: string;
  readonly maxSpeed?: number;
  readonly year?: number;
  readonly leads?: number;
  readonly alternate?: Readings;
  /** Relative error that rounding on the plate may hide, by field. */
  readonly rounding: Readonly<Record<string, number>>;
}

/** Frequencies plates carry. */
export const frequencies = [50, 60] as const;

/** Which tradition a plate was made in: its frame says so, else the unit of its power, else the case's practice. */
export function traditionOf(plate: Plate, practices: readonly Practice[], asked: Practice): Practice {
  const frame = plate.frame === undefined ? undefined : readFrame(plate.frame, asked.frameSystem);
  const unit = /hp/i.test(plate.power?.text ?? '') ? 'hp' : /kw|\bw$/i.test(plate.power?.text ?? '') ? 'kW' : undefined;
  if (frame && frame.series !== 'unlisted') return practices.find((p) => p.frameSystem === frame.system) ?? asked;
  return unit === undefined ? asked : (practices.find((p) => p.words.powerUnit === unit) ?? asked);
}

/** The same where the plate itself says so; undefined where nothing on it does. */
export function traditionSaid(plate: Plate, practices: readonly Practice[]): Practice | undefined {
  const [first, ...others] = practices.map((asked) => traditionOf(plate, practices, asked));
  return others.every((p) => p === first) ? first : undefined;
}

/**
 * Signs on a plate that it was made in the other tradition than the one asked; none where its frame says otherwise.
 * Horsepower alone is none: 735.5 W of it stand on frames in millimetres.
 */
export function foreignSigns(plate: Plate, asked: Practice): string[] {
  const frame = plate.frame === undefined ? undefined : readFrame(plate.frame, asked.frameSystem);
  const listed = frame !== undefined && frame.series !== 'unlisted';
  if (listed && frame.system === asked.frameSystem) return [];
  const unit = plate.power?.text ?? '';
  const [horse, kilo] = [/hp/i.test(unit), /kw|\bw$/i.test(unit)];
  const hertz = plate.frequency?.value;
  const american = asked.frameSystem === 'nema';
  const frameSign = listed ? `frame ${frame.designation}` : '';
  const signs = american
    ? [frameSign, hertz === 50 && kilo ? '50 Hz and kilowatts' : '']
    : [
        frameSign,
        hertz === 60 && horse ? '60 Hz and horsepower' : '',
        plate.codeLetter === undefined ? '' : `code letter ${plate.codeLetter}`,
        (plate.serviceFactor ?? 1) > 1 && horse ? `service factor ${plate.serviceFactor}` : '',
      ];
  return signs.filter((x) => x !== '');
}

/** Takes the numbers off a plate. */
export function readingsOf(plate: Plate, prefer: Practice): Readings {
  const poles = polesOf(plate.frequency?.value, plate.speed?.groups.flat().at(-1));
  return {
    ...blockReadings(plate),
    powerAlso: plate.powerAlso?.groups.at(-1)?.at(-1),
    efficiency: plate.efficiency,
    efficiencyMinimum: plate.efficiencyMinimum,
    efficiencyThreeQuarter: plate.efficiencyThreeQuarter,
    efficiencyHalf: plate.efficiencyHalf,
    efficiencyClass: plate.efficiencyClass,
    powerFactor: plate.powerFactor,
    serviceFactor: plate.serviceFactor,
    serviceFactorCurrents: plate.serviceFactorCurrent?.groups ?? [],
    codeLetter: plate.codeLetter?.toUpperCase(),
    designLetter: plate.designLetter?.toUpperCase(),
    frame: plate.frame === undefined ? undefined : readFrame(plate.frame, prefer.frameSystem, poles),
    open: enclosureOf(plate, prefer) === 'open',
    insulation: plate.insulation,
    riseClass: plate.riseClass,
    temperatureRise: plate.temperatureRise?.value,
    ambient: plate.ambient?.value,
    driveEndBearing: plate.bearings?.driveEnd,
    maxSpeed: plate.maxSpeed?.value,
    year: plate.year,
    leads: plate.leads,
    alternate: plate.alternate && {
      ...blockReadings(plate.alternate),
      efficiency: plate.alternate.efficiency,
      powerFactor: plate.alternate.powerFactor,
      serviceFactor: plate.alternate.serviceFactor,
    },
  };
}

function blockReadings(block: Block): Readings {
  return {
    power: block.power?.groups.at(-1)?.at(-1),
    voltages: block.voltage?.groups ?? [],
    currents: block.current?.groups ?? [],
    speeds: block.speed?.groups.flat() ?? [],
    frequency: block.frequency?.value,
    serviceFactorCurrents: [],
    rounding: {
      power: roundingOf(block.power?.text),
      current: roundingOf(block.current?.text),
    },
  };
}

/** Half a unit of the last digit stamped, as a share of the smallest number in the text. */
export function roundingOf(text: string | undefined): number {
  const numbers = text?.match(/\d+(?:[.,]\d+)?/g) ?? [];
  if (text === undefined || numbers.length === 0 || /\d\/\d+\s*hp/i.test(text)) return 0;
  return Math.max(
    ...numbers.map((n) => {
      const decimals = n.split(/[.,]/)[1]?.length ?? 0;
      const value = Number(n.replace(',', '.'));
      return value > 0 ? (0.5 * 10 ** -decimals) / value : 0;
    }),
  );
}

/** Poles whose synchronous speed lies nearest above a full-load speed; undefined where two are too many. */
export function polesOf(frequency: number | undefined, speed: number | undefined): number | undefined {
  if (frequency === undefined || speed === undefined || !(speed > 0)) return undefined;
  const poles = 2 * Math.round((60 * frequency) / speed);
  return poles >= 2 && poles <= 48 ? poles : undefined;
}

/** Pairs of voltage and current of numbers alone. */
export function pairsIn(r: Pick<Readings, 'voltages' | 'currents'>): readonly (readonly [number, number])[] {
  if (r.voltages.length !== r.currents.length) return [];
  return r.voltages.flatMap((group, i) => {
    const own = r.currents[i] ?? [];
    return group.flatMap((voltage, n): (readonly [number, number])[] => {
      const current = own.length === group.length ? own[n] : n === group.length - 1 ? own[0] : undefined;
      return current === undefined ? [] : [[voltage, current]];
    });
  });
}

/** Rating in the plate's own unit, for messages: 30 for 30 hp, 15 for 15 kW. */
export const inUnit = (watts: number, unit: 'hp' | 'kW'): number => watts / (unit === 'hp' ? horsepower : 1000);
