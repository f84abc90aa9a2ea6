import type { Case } from '../case';
import type { Combination, Motor } from '../catalogue';
import type { BrakePlace, FlowControl, Machine, Method, Source } from '../contract';
import type { Workings } from '../law';
import type { KindFound, Lesson, SpecialPart } from '../nameplate';
import type {
  Circuit,
  DeclaredLosses,
  FlowMachine,
  FlowSystem,
  FlowWay,
  LoadShape,
  Segment,
  StandstillSettings,
} from '../physics';
import type { PlaceNeeds as PlaceConditions, Practice, Rules } from '../practice';

/** What every station is handed: the case, who prescribes, the rules in force, and where to write. */
export interface Walk {
  readonly input: Case;
  readonly practice: Practice;
  readonly rules: Rules;
  readonly w: Workings;
  /** Combinations that were tested together, the plant's own or those that ship. */
  readonly combinations: readonly Combination[];
}

/** The motor that is there now, as far as its plate says. SI and the trade's units. */
export interface PlateFacts {
  readonly power?: number;
  readonly voltage?: number;
  readonly current?: number;
  readonly speed?: number;
  readonly frequency?: number;
  readonly poles?: number;
  readonly frame?: string;
  /** The shaft and face its machine is built around. */
  readonly special?: readonly SpecialPart[];
  /** The class of its enclosure, where its words or codes are understood. */
  readonly enclosure?: string;
  readonly serviceFactor?: number;
  /** What it is or has that an ordinary motor is not or has not. */
  readonly kinds?: readonly KindFound[];
}

/** The load at the motor shaft, at the stated demand. */
export interface LoadNeeds {
  /** Whether the load was given, or the old motor's rating stands for it. */
  readonly basis: 'load' | 'plate';
  readonly machine: Machine | undefined;
  /** What it lifts hangs on it. */
  readonly hoist: boolean;
  /** Where a brake holds it, as far as somebody said. */
  readonly brake: BrakePlace | undefined;
  /** Whether enough of the machine is known to judge a start. */
  readonly startKnown: boolean;
  readonly torque: number;
  readonly speed: number;
  readonly power: number;
  readonly shape: LoadShape;
  readonly breakaway: number;
  readonly margin: number;
  readonly ratio: number;
  readonly overload: number;
  /** Torque while running up ÷ torque of the shape; 1 where it starts loaded. */
  readonly startRatio: number;
  /** Thermal equivalent of the duty ÷ steady demand, where it sizes the motor; else 1. */
  readonly thermal: number;
  /** Highest torque while running ÷ steady torque. */
  readonly peak: number;
  /** Breakdown torque ÷ rated that the maker of whatever is bought promises. */
  readonly promised: number | undefined;
  /** The same in time: the duty cycle, or an overload now and then; none where the load is steady. */
  readonly cycle: readonly Segment[];
  /** How far the load may be off, as a share. */
  readonly uncertainty: number;
  /** Belt or chain pulls on the motor's shaft, over a sheave of this pitch diameter in m. */
  readonly belt: boolean;
  readonly sheave: number | undefined;
  /** N: how hard the belt pulls, where the sheave is known, and what the motor's maker permits, where somebody said. */
  readonly pull: number | undefined;
  readonly permittedPull: number | undefined;
}

export interface PlaceNeeds {
  readonly motorDerating: number;
  readonly unbalanceDerating: number;
  readonly altitude: number;
  readonly driveDerating: number;
  readonly enclosures: readonly string[];
  readonly cable: number | undefined;
  readonly ambient: number;
  readonly conditions: PlaceConditions;
  readonly noiseLimit: number | undefined;
  readonly vibration: boolean;
}

export interface YearRow {
  readonly hours: number;
  readonly flow: number;
  /** Price of its energy ÷ `energyPrice`. */
  readonly price: number;
}

/** How the year's flows are made: machine and system, ÷ the demand at full flow. */
export interface FlowNeeds {
  readonly machine: FlowMachine;
  /** The share of head that is there without flow, and like machines on one duty. */
  readonly system: FlowSystem;
  /** As flow is held now. */
  readonly present: FlowWay;
  /** Whether the machine's curve is its own. */
  readonly typed: boolean;
}

/** What a drive loses itself, by its data sheet (undefined: as usual), and whether it lowers the motor's flux. */
export interface FedNeeds {
  readonly losses: DeclaredLosses | undefined;
  readonly leastFlux: boolean;
  /** W that the drive takes while nothing runs; nothing where its sheet is not told. */
  readonly standby: number;
}

export interface SpeedNeeds {
  readonly variable: boolean;
  /** Whether a damper, vanes, a valve or a bypass holds flow below full for a part of the year: speed would do it. */
  readonly throttled: boolean;
  readonly min: number;
  readonly max: number;
  readonly rows: readonly YearRow[];
  readonly control: FlowControl;
  readonly flow: FlowNeeds;
  /** True where no profile was given and full flow is taken for ranking. */
  readonly assumedHours: boolean;
}

export interface SupplyNeeds {
  /** 1 or 3. */
  readonly phases: number;
  readonly voltage: number | undefined;
  readonly frequency: number;
  /** Ohms per phase; 0 for a stiff supply, undefined where nobody said. */
  readonly impedance: number | undefined;
  /** Ohms per phase of a transformer's copper; 0 of any other source. */
  readonly copper: number;
  /** What the supplier lets a start draw in the line, A; undefined where nobody said. */
  readonly startLimit: number | undefined;
  /** False behind a bank of which nobody said what network feeds it. */
  readonly upstreamKnown: boolean;
  /** Of the bank or the sets, VA; undefined where it is neither, or nobody said. */
  readonly rating: number | undefined;
  /** A generator's behaviour after the first instant: Ω a phase, and s. */
  readonly generator: { readonly transientReactance: number; readonly recovery: number } | undefined;
}

/** Cable of a motor on its length: what it is, and Ω a phase. */
export interface CableImpedance {
  readonly name: string;
  /** Ω per m of one conductor, and how many side by side. */
  readonly perMetre: number;
  readonly count: number;
  readonly source: Source;
  readonly resistance: number;
  readonly reactance: number;
  /** Share of the voltage lost on it at rated current, and the share that is wished; undefined where no supply is. */
  readonly drop: number | undefined;
  readonly maxDrop: number;
  /** Whether it is thicker for what opens its faults, which a drive's circuit does not have. */
  readonly forDevice: boolean;
}

/** What the case says of the start: settings, inertia, and what motor and machine bear. */
export interface StartNeeds {
  readonly settings: Case['start'];
  /** Inertia of load and train at the motor in kg·m², where it was given. */
  readonly loadInertia: number | undefined;
  /** Where it was not: usual for the machine, as a multiple of the motor's. */
  readonly inertiaRatio: number;
  /** Rotor inertia in kg·m² of a motor of the load's own size, which the multiple is of; undefined without a load. */
  readonly sizeInertia: number | undefined;
  /** Time in s that the motor bears its locked-rotor current, hot. */
  readonly stallTime: number;
  /** Whether somebody typed it. */
  readonly stallTyped: boolean;
  /** Longest time to speed in s, Infinity where nobody asks; `machine`: by the kind of machine. */
  readonly permitted: { readonly value: number; readonly text: string; readonly machine: boolean };
  /** What starts the motor that is there and stays: it runs, so it starts. Undefined where none stays. */
  readonly today: Method | undefined;
  /** Starts an hour that are asked; undefined where nobody says. */
  readonly perHour: number | undefined;
  /** The motor's cable as Guard sizes it; undefined without a length, or where no table reaches. */
  readonly cableOf: (motor: Motor, method: Method | undefined) => CableImpedance | undefined;
  /** The circuit that the case pins. */
  readonly circuit: Circuit | undefined;
}

/** What the case asks of motor and starter: the end of the first pass, all the second pass reads. */
export interface Needs {
  readonly practice: Practice;
  readonly rules: Rules;
  readonly supply: SupplyNeeds;
  readonly load: LoadNeeds;
  readonly place: PlaceNeeds;
  readonly speed: SpeedNeeds;
  readonly starter: StandstillSettings;
  readonly start: StartNeeds;
  /** As the case asks the drive to be. */
  readonly drive: Case['drive'];
  /** One phase feeds it. */
  readonly onePhase: boolean;
  readonly fed: FedNeeds;
  readonly oldFrame: string | undefined;
  /** The failed motor, and what the new choice must do differently because of how it failed. */
  readonly old: PlateFacts;
  readonly lessons: readonly Lesson[];
  /** The motor that is there stays: nothing it has is lost. */
  readonly stays: boolean;
  /** Requirements that do not count, with the reason. */
  readonly waived: ReadonlyMap<string, string>;
  readonly energyPrice: number;
  /** What money is in; empty where nobody said. */
  readonly currency: string;
  readonly years: number;
  readonly discountRate: number;
  /** What the ranking had to assume, in words. */
  readonly assumed: readonly string[];
}

/** A share in per cent; a margin beyond five times over is said as more than that. */
export const percent = (share: number, digits?: number): string =>
  share > 5 ? 'over 500 %' : `${(share * 100).toFixed(digits ?? usualDigits(share))} %`;

/** A small share that is no whole per cent keeps a digit: 4.5 % is not 5 %. */
const usualDigits = (share: number): number => {
  const cents = Math.abs(100 * share);
  return cents < 9.95 && Math.abs(cents - Math.round(cents)) > 0.05 ? 1 : 0;
};
