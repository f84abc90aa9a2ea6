import { commonPractice } from '../../contract';

/** Some suppliers limit starting current from about here, W (common practice). */
export const unlimitedStart = 4000;

/** Windings made since about this year bear a drive, by the school that asks no more (common practice). */
export const modernSince = 2015;

/** A miss of a house rule's limit by no more than this share of it is tight, and passes; a physical limit stays one. */
export const tight = 0.02;

/** Years over which a purchase is judged where nobody says (common practice). */
export const usualYears = 10;
/** Discount rate where nobody says (common practice). */
export const usualRate = 0.07;

/** Whether a value keeps a house rule's upper limit, only just misses it, or does not. */
export const keeps = (value: number, limit: number): 'well' | 'tight' | 'not' =>
  value <= limit ? 'well' : value <= limit * (1 + tight) ? 'tight' : 'not';

/** Short-circuit impedance of a usual transformer (common practice; IEC 60076-5: 4 to 6 % by rating, from memory). */
export const usualImpedance = 0.05;
/** Copper loss of a distribution transformer at its rated current ÷ its rating, the same as its resistance. */
export const usualCopper = {
  value: 0.01,
  source: commonPractice('Copper loss of transformers of 100 to 1600 kVA, 0.7 to 1.5 % of their rating'),
};

/** At and above this line voltage a winding is never assumed to bear a drive's pulses, V (common practice). */
export const neverAssumed = 550;

const driveCables = [
  [5_500, 50, 100],
  [37_000, 100, 150],
  [Infinity, 150, 300],
] as const;

/** m of motor cable that drives for so many W usually bear, screened and bare (common practice; ask its maker). */
export function usualDriveCable(power: number): { readonly screened: number; readonly bare: number } {
  const [, screened, bare] = driveCables.find(([to]) => power <= to) ?? driveCables[2];
  return { screened, bare };
}

/** What running motors add to a fault, as a multiple of their current. */
export const runningMotorsAdd = {
  value: 4,
  source: commonPractice('Motors feed a fault with 4 to 6 times their current for its first cycles; 4 taken'),
};

/** Share of a source's rating beyond which one position leaves little for the others (common practice). */
export const fullSource = 0.8;
/** Sets are rated at this power factor (ISO 8528-1, from memory). */
export const setPowerFactor = 0.8;
/** What a set loses for each metre above 1000 m (common practice; its maker says). */
export const setHeight = 0.0001;
/** And for each K of the air above 40 °C (common practice; its maker says). */
export const setHeat = 0.006;
/** True power factor of a six-pulse drive with a choke at its input, harmonics counted (common practice). */
export const drivenPowerFactor = 0.9;
/** Fault level that any public network has behind a bank, VA (common practice; a weak rural line some 20 to 50 MVA). */
export const weakestNetwork = 20e6;
/** Stall time from hot that any cage motor bears, s (common practice: 5 to 6). */
export const anyStall = 5;

/** W of motor above which a belt asks a roller bearing at its drive end. */
export const rollerBearing = {
  above: 45_000,
  source: commonPractice('Roller bearing at the drive end for belts above about 45 kW (60 hp)'),
};
