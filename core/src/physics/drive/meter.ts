import type { DrivenMachine, DriveReading, DriveSpoiling } from './live';
import { runRectifier } from './rectifier';
import type { Register } from './registers';

/** What a power meter at the drive's input shows: our own register map, floats as the drive's; addresses from 0. */
export const meterShows = {
  voltage12: { address: 0, unit: 'V', says: 'between lines 1 and 2' },
  voltage23: { address: 2, unit: 'V', says: 'between lines 2 and 3' },
  voltage31: { address: 4, unit: 'V', says: 'between lines 3 and 1' },
  current1: { address: 6, unit: 'A', says: 'of line 1, true RMS' },
  current2: { address: 8, unit: 'A', says: 'of line 2' },
  current3: { address: 10, unit: 'A', says: 'of line 3' },
  power: { address: 12, unit: 'W', says: 'of all three, below 0 where it is fed back' },
  apparent: { address: 14, unit: 'VA', says: 'of all three' },
  powerFactor: { address: 16, unit: '1', says: 'power over apparent power' },
  frequency: { address: 18, unit: 'Hz', says: 'of the supply' },
  distortion: { address: 20, unit: '1', says: 'harmonic current over its fundamental' },
  energy: { address: 22, unit: 'kWh', says: 'drawn since it was fitted' },
} as const satisfies Readonly<Record<string, Register>>;
export const meterLength = 24;
export type MeterKey = keyof typeof meterShows;
export type MeterReading = Readonly<Record<MeterKey, number>>;

/** Shares of rated power at which the rectifier is simulated; between them its answers are interpolated. */
const shares = [0.03, 0.1, 0.25, 0.5, 0.75, 1, 1.3];
/** Reactance of supply and choke before a stand-in's rectifier, of its rated power. */
const reactance = 0.055;
/** Lines of a supply are never quite alike; it wanders by so much, over so many s, and sags by so much at full load. */
const uneven = [1.003, 0.998, 0.999] as const;
const wander = { share: 0.006, every: 900 };
const sag = 0.012;
/** Power factor of one pair of lines feeding the bus alone. */
const lonePair = 0.58;

/**
 * A power meter at a stand-in drive's input: what its six-pulse rectifier, simulated, makes of the power it draws, and
 * the energy since.
 */
export class LiveMeter {
  #energy = 0;
  #time = 0;
  readonly #points: readonly { readonly share: number; readonly factor: number; readonly distortion: number }[];

  constructor(readonly machine: DrivenMachine) {
    const { line, power, capacitance, circuit } = machine;
    const inductance = (reactance * line * line) / power / (2 * Math.PI * circuit.frequency);
    const bridges = [{ shift: 0, emf: 1 }];
    this.#points = shares.map((share) => {
      const spec = { voltage: line, frequency: circuit.frequency, inductance, dcInductance: 0, capacitance, bridges };
      const run = runRectifier({ ...spec, power: share * power });
      return { share, factor: run.powerFactor, distortion: run.distortion };
    });
  }

  /** Counts the energy of so many seconds at what the drive draws. */
  advance(seconds: number, { input }: DriveReading): void {
    this.#time += seconds;
    this.#energy += (Math.max(0, input) * seconds) / 3.6e6;
  }

  /** What it shows while the drive reads so on a supply spoiled so. */
  show({ input }: DriveReading, { supply, phases }: DriveSpoiling): MeterReading {
    const { machine } = this;
    const load = Math.abs(input) / machine.power;
    const drift = 1 + wander.share * Math.sin((2 * Math.PI * this.#time) / wander.every);
    const volts = machine.line * supply * drift * (1 - sag * Math.min(1.5, load));
    const three = phases === 3;
    const { factor, distortion } = three ? this.#at(load) : { factor: lonePair, distortion: 1.2 };
    const [a, b, c] = uneven;
    const amperes = Math.abs(input) / (three ? Math.sqrt(3) : 1) / (volts || 1) / factor;
    const currents = three ? [amperes * a, amperes * b, amperes * c] : [amperes, amperes, 0];
    const [current1 = 0, current2 = 0, current3 = 0] = currents;
    return {
      voltage12: volts * a,
      voltage23: three ? volts * b : volts * 0.52,
      voltage31: three ? volts * c : volts * 0.49,
      current1,
      current2,
      current3,
      power: input,
      apparent: Math.abs(input) / factor,
      powerFactor: input === 0 ? 0 : Math.sign(input) * factor,
      frequency: machine.circuit.frequency,
      distortion,
      energy: this.#energy,
    };
  }

  #at(share: number): { readonly factor: number; readonly distortion: number } {
    const points = this.#points;
    const i = points.findIndex((p) => p.share >= share);
    const high = points[i === -1 ? points.length - 1 : i];
    const low = points[Math.max(0, (i === -1 ? points.length : i) - 1)];
    if (!high || !low) return { factor: 1, distortion: 0 };
    const t = high === low ? 0 : Math.max(0, (share - low.share) / (high.share - low.share));
    return {
      factor: low.factor + t * (high.factor - low.factor),
      distortion: low.distortion + t * (high.distortion - low.distortion),
    };
  }
}
