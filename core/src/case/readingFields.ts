import type { Dimension } from '../quantity';
import type { Range } from './fields';

/** A number that a reading may hold. */
export interface ReadingField {
  readonly label: string;
  /** Its unit as typed and kept; empty for a pure number. */
  readonly unit: string;
  /** The dimension in which it may be typed in another unit. */
  readonly dimension?: Dimension;
  readonly range: Range;
  readonly example: number;
}

/** What is read at a running or resting motor, in the order of a round; kept in these units. */
export const readingFields = {
  current1: { label: 'Current L1', unit: 'A', dimension: 'current', range: { min: 0, max: 1e4 }, example: 16.8 },
  current2: { label: 'Current L2', unit: 'A', dimension: 'current', range: { min: 0, max: 1e4 }, example: 17.1 },
  current3: { label: 'Current L3', unit: 'A', dimension: 'current', range: { min: 0, max: 1e4 }, example: 16.5 },
  voltage12: { label: 'Voltage L1–L2', unit: 'V', dimension: 'voltage', range: { min: 0, max: 15e3 }, example: 402 },
  voltage23: { label: 'Voltage L2–L3', unit: 'V', dimension: 'voltage', range: { min: 0, max: 15e3 }, example: 399 },
  voltage31: { label: 'Voltage L3–L1', unit: 'V', dimension: 'voltage', range: { min: 0, max: 15e3 }, example: 401 },
  power: { label: 'Input power', unit: 'kW', dimension: 'power', range: { min: 0, max: 1e4 }, example: 7.9 },
  frequency: { label: 'Frequency', unit: 'Hz', dimension: 'frequency', range: { above: 0, max: 400 }, example: 50 },
  speed: { label: 'Speed', unit: 'r/min', dimension: 'speed', range: { min: 0, max: 24e3 }, example: 1462 },
  temperature: {
    label: 'Bearing housing',
    unit: '°C',
    dimension: 'temperature',
    range: { min: -60, max: 300 },
    example: 62,
  },
  ambient: { label: 'Air around', unit: '°C', dimension: 'temperature', range: { min: -60, max: 120 }, example: 24 },
  vibration: { label: 'Vibration, RMS', unit: 'mm/s', range: { min: 0, max: 200 }, example: 1.8 },
  bearingNoise: { label: 'Bearing noise', unit: 'dB', range: { min: -60, max: 200 }, example: 24 },
  insulation: { label: 'Insulation to earth', unit: 'MΩ', range: { min: 0, max: 1e7 }, example: 250 },
  insulationTemperature: {
    label: 'Winding at that test',
    unit: '°C',
    dimension: 'temperature',
    range: { min: -60, max: 250 },
    example: 22,
  },
  polarisationIndex: { label: 'Polarisation index', unit: '', range: { min: 0, max: 50 }, example: 2.4 },
  grease: { label: 'Grease put in', unit: 'g', range: { min: 0, max: 5000 }, example: 12 },
  hours: { label: 'Hours run', unit: 'h', range: { min: 0, max: 1e6 }, example: 12_480 },
  starts: { label: 'Starts counted', unit: '', range: { min: 0, max: 1e8 }, example: 3120 },
} as const satisfies Record<string, ReadingField>;
export type ReadingKey = keyof typeof readingFields;

export const isReadingKey = (text: string): text is ReadingKey => Object.hasOwn(readingFields, text);
export const readingKeys: readonly ReadingKey[] = Object.keys(readingFields).filter(isReadingKey);
