import type { conduits, Earthing, Prescribed, ProtectiveDevice, Source } from '../contract';
import type { Q } from '../quantity';
import type { CableAsked, ConductorSize, Laid, LaidSize, NotLaid } from './cables';
import type { PlaceNeeds } from './enclosures';
import type { Frame, FrameSystem } from './frames';

export type PracticeId = 'north-america' | 'iec';

/** How well a motor voltage suits a supply: within the comfortable band, usable with a caution, or not at all. */
export interface VoltageFit {
  readonly outcome: 'pass' | 'caution' | 'fail';
  /** supply ÷ motor voltage − 1 */
  readonly deviation: number;
  /** Largest deviation permitted at all. */
  readonly limit: number;
  readonly source: Source;
}

/** How large a short-circuit device may be, as a share of the motor's table current. */
export interface DeviceRule {
  readonly kind: ProtectiveDevice;
  readonly share: number;
  /** As far as the exceptions go where the motor cannot start otherwise. */
  readonly most: number;
  /** A setting, not a rating: no next size up. */
  readonly setting: boolean;
  readonly source: Source;
  readonly exceptions: Source;
}

export type Conduit = (typeof conduits)[number];
export interface ConduitFill {
  /** Trade size. */
  readonly size: string;
  /** Of the permitted area. */
  readonly share: number;
}

export interface FeederMotor {
  /** A, as the practice counts it. */
  readonly current: number;
  /** A, its branch device; absent where nobody says. */
  readonly device?: number;
}
export interface Feeder {
  readonly current: number;
  readonly device: number | undefined;
  readonly source: Source;
  readonly deviceSource: Source;
}

export interface OverloadRule {
  readonly trip: number;
  /** Highest percentage where the motor cannot otherwise start; absent where the practice has none. */
  readonly maximum?: number;
  /** What of the motor decided, in words. */
  readonly because: string;
  readonly source: Source;
}

/** A drive of the generic ladder: output current and the power it is sold beside. */
export interface DriveSize {
  readonly current: number;
  readonly power: number;
  readonly name: string;
}

/** Words of the practice, for labels and sheets. */
export interface Words {
  /** As in “… practice”. */
  readonly name: string;
  readonly fullLoadCurrent: string;
  readonly fullLoadCurrentLong: string;
  readonly powerUnit: 'hp' | 'kW';
  /** The system a power is written in. */
  readonly units: 'us' | 'si';
  /** Whose law asks an efficiency of new motors. */
  readonly market: string;
}

/** A class of efficiency and the nominal value it asks of one rating. */
export interface EfficiencyClass {
  readonly name: string;
  readonly efficiency: number;
  readonly source: Source;
}

/** From when a market asked a class of a new motor. */
export interface EfficiencyFloor {
  readonly name: string;
  readonly since: number;
  readonly efficiency: number;
  readonly source: Source;
}

/** What a design letter promises: the least torques as multiples of rated, and what the letter is for. */
export interface Design {
  readonly letter: string;
  readonly words: string;
  readonly lockedRotorTorque?: number;
  readonly breakdownTorque?: number;
  /** True where the standard limits the locked-rotor current of this design. */
  readonly limitsCurrent: boolean;
  readonly source: Source;
}

/** A drive's own fundamental in A, fault current ÷ that, harmonics ÷ that, and the voltage's distortion if known. */
export interface EquipmentDrawn {
  readonly current: number;
  readonly ratio: number | undefined;
  readonly shares: readonly (readonly [order: number, share: number])[];
  /** Degrees of the fifth against the phase voltage; undefined where nobody simulated it. */
  readonly fifth: number | undefined;
  readonly voltage: number | undefined;
}

/** What people prescribe. Physics never asks it; stations never ask which practice it is. */
export interface Practice {
  readonly id: PracticeId;
  readonly name: string;
  readonly words: Words;
  readonly frequency: Q<'Hz'>;
  /**
   * Service factor wanted of a motor on a drive, as a sign of its cooling; absent where motors are not rated by one.
   */
  readonly driveServiceFactor?: number;
  /** Conductors start from table or plate current unless a house rule says otherwise. */
  readonly conductorBasis: 'table' | 'plate';
  readonly conductorFactor: Prescribed<number>;
  /** The cable of a case as the practice's tables see it. */
  /** What a cable is made of instead, where ordinary insulation ends in the heat and nobody named one. */
  readonly hotterCable:
    { readonly field: 'insulation'; readonly value: 'xlpe' } | { readonly field: 'rating'; readonly value: number };
  cable(asked: CableAsked): Laid | NotLaid;
  /**
   * Earth conductor of a circuit, mm² and name, by its device and its phase conductor; `larger`: the area of the phases
   * ÷ what carries their current. Undefined for a device that the tables do not know.
   */
  earthConductor(
    device: number,
    phase: LaidSize,
    material: 'copper' | 'aluminium',
    larger: number,
  ): Prescribed<ConductorSize> | undefined;
  /** Standard ratings of a kind of short-circuit device, A, ascending. */
  deviceRatings(kind: ProtectiveDevice): Prescribed<readonly number[]>;
  /** What the code permits each kind of short-circuit device of a motor of so much table current, A. */
  devices(current: number, motor: { readonly efficientB: boolean }): readonly DeviceRule[];
  /** The kind taken where nobody says. */
  readonly usualDevice: ProtectiveDevice;
  /** The kind that is permitted only as part of a listed combination; absent where there is none. */
  readonly onlyListed?: Prescribed<ProtectiveDevice>;
  /** By which standard combinations of starter and device are tested. */
  readonly combinationStandard: string;
  /** Share of the table current a disconnect is rated for; absent where none is prescribed. */
  readonly disconnectFactor?: Prescribed<number>;
  /** Where a disconnect must be, in words; absent where none is prescribed. */
  readonly disconnectPlace?: string;
  /**
   * Devices marked with a second voltage, that of an earthed star to earth: whether the supply's earthing excludes
   * them, or nobody said how it is; undefined where the supply's voltage is no such one.
   */
  slashRated?(
    supply: number,
    earthing: Earthing | undefined,
  ): Prescribed<'permitted' | 'excluded' | 'unknown'> | undefined;
  /** Short-circuit rating in A of a motor controller that is marked with none. */
  defaultFaultRating?(power: number): Prescribed<number> | undefined;
  /**
   * Seconds within which an earth fault must be off in a circuit of so many A on a line of so many V; absent where
   * none is tabled.
   */
  disconnection?(device: number, line: number): Prescribed<number>;
  /** AC-3 ratings of contactors, A, ascending. */
  readonly contactorRatings: Prescribed<readonly number[]>;
  /** Size of a starter for a motor, 00 as −1; undefined where the practice counts none, or none reaches. */
  starterSize(power: number, voltage: number, current: number): Prescribed<number> | undefined;
  /** Conduit for insulated conductors, and how full it is of what is permitted; absent where none is tabled. */
  conduit?(
    sizes: readonly { readonly area: number; readonly count: number }[],
    kind: Conduit,
  ): Prescribed<ConduitFill> | undefined;
  /** A feeder of several motors: current its conductors carry at least, and its largest device. */
  feeder(motors: readonly FeederMotor[], other: number): Feeder;
  /** Conductors before a drive ÷ its rated input current. */
  readonly driveInputFactor: Prescribed<number>;
  /** What this practice asks of a drive as equipment, beside the site's limits: says where it does not keep it. */
  judgeEquipment?(drawn: EquipmentDrawn, say: (text: string, source: Source) => void): void;
  /** Standard ratings in W, ascending. */
  readonly ratings: readonly number[];
  voltageFit(supply: number, motor: number): VoltageFit;
  /** Nominal voltage in V of the supply that a motor rated for this one is made for; its own where none is tabled. */
  supplyFor(motor: number): Prescribed<number>;
  /** True where the code asks a letter of locked-rotor kVA on the plate. */
  readonly stampsCodeLetter: boolean;
  codeLetter(letter: string): Prescribed<{ readonly low: number; readonly high: number | undefined }> | undefined;
  minimumEfficiency(nominal: number, power: number): Prescribed<number> | undefined;
  /** Nominal efficiency to assume for a motor whose plate does not say, by rating, poles and year of make if known. */
  usualEfficiency(power: number, poles: number, year?: number): Prescribed<number>;
  /** Crest in V that an ordinary winding bears at a drive's pulses, and one made for drives on a line of so much V. */
  readonly ordinaryPulse: Prescribed<number>;
  drivePulse(line: number): Prescribed<number>;
  readonly frameSystem: FrameSystem;
  /** How the leads of a motor are marked: 1 to 12, or U1 to W2. */
  readonly leadMarks: 'numbers' | 'letters';
  /** Voltages for which motors of this practice are made. */
  readonly motorVoltages: readonly number[];
  /** Nominal efficiencies a plate may carry, descending; absent where any value may be stamped. */
  readonly nominalEfficiencies?: Prescribed<readonly number[]>;
  /** A frame designation of either tradition, understood; digits both use are read as this practice's. */
  frame(designation: string, poles?: number): Frame | undefined;
  /** The frame the standard gives this rating, W: today's enclosed motor's, an open one's, or one of an old series. */
  standardFrame(
    power: number,
    poles: number,
    of?: { readonly open?: boolean; readonly series?: Frame['series'] },
  ): Prescribed<string> | undefined;
  /** Ratings in W, ascending, for which this frame is the standard one, open or enclosed, in its own series. */
  ratingsInFrame(frame: Frame, poles: number): readonly number[];
  /** Hz at which the classes of efficiency are tabled, where they hold at no other. */
  readonly efficiencyTabledAt?: number;
  /**
   * Classes of efficiency at a rating, lowest first; none where the tables do not reach. Open motors may have their
   * own.
   */
  efficiencyClasses(power: number, poles: number, open?: boolean): readonly EfficiencyClass[];
  /** The class a plate names ("IE3", "PREM EFF"), by the name used in `efficiencyClasses`. */
  readEfficiencyClass(text: string): string | undefined;
  /** What the practice's home markets asked of a motor made in a year. */
  efficiencyFloor(power: number, poles: number, year: number, open?: boolean): EfficiencyFloor | undefined;
  /** The letter of the usual design, where none is stamped. */
  readonly usualDesign: string;
  design(letter: string, power: number, poles: number): Design | undefined;
  /** Largest locked-rotor current in A the standard allows the usual design; undefined for ratings it does not know. */
  lockedRotorLimit(power: number, voltage: number, frequency: number): Prescribed<number> | undefined;
  /** Shaft height in mm from a frame designation; undefined where the designation is not one of the practice's. */
  shaftHeight(frame: string): Prescribed<number> | undefined;
  /**
   * The code's table current in A for a rating in W at the motor's own voltage, or at the supply's where the motor is
   * used on a supply the
   * table has a column of its own for (a 230 V motor on 208 V). Undefined where the table has no such rating.
   */
  tableCurrent(power: number, voltage: number, plate: number, supply?: number): Prescribed<number> | undefined;
  /**
   * Motors of less than this speed, r/min, may draw more than the table: conductors go by the larger of table and
   * plate.
   */
  readonly lowSpeed?: Prescribed<number>;
  /** Overload percentages by service factor and, where stamped, temperature rise in K. */
  overload(serviceFactor: number, rise?: number): OverloadRule;
  /** Enclosures that will do in a place, cheapest first. */
  enclosures(place: PlaceNeeds): Prescribed<readonly string[]>;
  /** Reads a plate's enclosure words as one of the practice's enclosure classes. */
  enclosureClass(text: string): string | undefined;
  lockedRotorCurrent(power: number, voltage: number, frequency: number): Prescribed<number>;
  /** Locked-rotor torque ÷ rated torque, the least the standard allows for the common design. */
  lockedRotorTorque(power: number, poles: number): Prescribed<number>;
  /**
   * How a motor of this class of efficiency usually starts: locked-rotor current and torque, each ÷ rated. Undefined
   * where the classes start as the standard's tables say.
   */
  usualStart?(
    power: number,
    poles: number,
    className: string | undefined,
  ): Prescribed<{ readonly current: number; readonly torque: number }> | undefined;
  /**
   * Starts an hour that the standard permits straight on the line with this external inertia in kg·m², and the least
   * rest between them in s; undefined where it has none.
   */
  startsOnLine?(
    power: number,
    poles: number,
    inertia: number,
  ): Prescribed<{ readonly starts: number; readonly rest: number }> | undefined;
  /** Highest speed in r/min that a standard motor of this power in W may be driven to. */
  safeSpeed(power: number, poles: number): Prescribed<number>;
  /** Breakdown torque ÷ rated torque, the least the standard allows for the common design. */
  breakdownTorque(power: number, poles: number): Prescribed<number>;
  /** Pull-up torque ÷ rated torque, the least the standard allows for the common design. */
  pullUpTorque(power: number, poles: number): Prescribed<number>;
  /** Least pitch diameter in m of a V-belt sheave on a frame; undefined where the practice has no table. */
  leastSheave(frame: string): Prescribed<number> | undefined;
  driveSizes(voltage: number): Prescribed<readonly DriveSize[]>;
  /** Seconds a motor at its running temperature bears its locked-rotor current. */
  readonly stallTime: Prescribed<number>;
  /** Rating in W up to which a standard gives it; 0 where it is common practice only. */
  readonly stallTimeTo: number;
  /**
   * Largest load inertia in kg·m² at its shaft that the standard's motor starts twice from cold or once from hot, on
   * the full line.
   */
  inertiaLimit(power: number, poles: number): Prescribed<number>;
}

export const horsepower = 745.6998715822702;

/** Sorts a voltage deviation by a comfortable band and the largest permitted; a supply just at a limit is within it. */
export function fitOutcome(deviation: number, comfortable: number, permitted: number): VoltageFit['outcome'] {
  const size = Math.abs(deviation) - 1e-9;
  return size <= comfortable ? 'pass' : size <= permitted ? 'caution' : 'fail';
}
