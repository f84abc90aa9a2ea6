import { isUpTo, reaches } from '../law';
import type { Case } from '../case';
import { commonPractice, comparedMethods, type BrakingKind, type DriveDuty, type Method } from '../contract';
import { leastDriveRating } from '../physics';
import {
  dutyOverload,
  horsepower,
  houseReactor,
  usualChoke,
  driveCurrent,
  overloadCurrent,
  carrierShare,
  singlePhaseShare,
  type DriveSize,
} from '../practice';
import { q } from '../quantity';
import { driveOverload, isHeavyDuty, overloadOfClass } from './candidate';
import type { Needs } from './walk';

/** How a drive stops its machine: as asked, else a hoist by a chopper and all else by its ramp. */
export const brakingKindOf = (drive: Case['drive'], hoist: boolean): BrakingKind =>
  drive?.braking?.kind ?? (hoist ? 'chopper' : 'ramp');

/**
 * Continuous output current in A that a motor of this current (A) and rated torque (N·m) asks of a drive under these
 * needs.
 */
export function driveCurrentAsked(needs: Needs, current: number, ratedTorque: number): number {
  const I_n = q(current, 'A');
  const { peak, torque } = needs.load;
  const I_o = overloadCurrent.of({ I_n, r: q(peak, '1'), T_m: q(torque, 'N.m'), T_r: q(ratedTorque, 'N.m') });
  const one = driveCurrent.of({ I_n, I_o, k: q(driveOverload(needs), '1'), m: q(motorsOn(needs), '1') });
  return Math.max(one, cycleCurrent(needs, current, ratedTorque));
}

/**
 * Continuous output current in A that the load in time asks: by its thermal equivalent, its overloads against those of
 * a drive of its class, and its peak; of all motors on it. Steady: the current at the load.
 */
export function cycleCurrent(needs: Needs, current: number, ratedTorque: number): number {
  const { cycle, torque } = needs.load;
  const rating =
    cycle.length === 0 ? 1 : leastDriveRating(cycle, overloadOfClass(needs), dutyOverload[dutyClass(needs)].seconds);
  return motorsOn(needs) * current * rating * (torque / ratedTorque);
}

const dutyClass = (needs: Needs): DriveDuty => (isHeavyDuty(needs) ? 'heavy' : 'normal');

/**
 * A size's current at normal and at heavy duty, A: as drives are made, the heavy duty of one is the normal duty of the
 * size below. `size` is taken at the duty of the load.
 */
export function bothDuties(
  needs: Needs,
  sizes: readonly DriveSize[],
  size: DriveSize,
): Partial<Record<DriveDuty, number>> {
  const i = sizes.findIndex((s) => s.current === size.current);
  return isHeavyDuty(needs)
    ? { normal: sizes[i + 1]?.current, heavy: size.current }
    : { normal: size.current, heavy: sizes[i - 1]?.current };
}

/** How many motors hang on the drive. */
export const motorsOn = ({ drive }: Pick<Case, 'drive'>): number => drive?.motors ?? 1;

/** Choke of the drive, as a share: as said, by house rule, or what a generic drive for so many W has. */
export const chokeFor = ({ drive, rules }: Pick<Needs, 'drive' | 'rules'>, power: number): number =>
  drive?.choke ?? Math.max(usualChoke(power), rules.inputReactor === 'every drive' ? houseReactor : 0);

/** Whether one phase feeds the drive: the supply has no more, or only two of its lines are brought to it. */
export const onOnePhase = ({ supply, drive }: Pick<Case, 'supply' | 'drive'>): boolean =>
  supply?.phases === 1 || drive?.input === 'single-phase';

/** The methods that are judged: the one that is pinned; on one phase a drive alone; else all that are compared. */
export const methodsFor = ({ method, supply }: Pick<Case, 'method' | 'supply'>): readonly Method[] =>
  method ? [method] : supply?.phases === 1 ? ['drive'] : comparedMethods;

/** What is left of a drive's rating by heat, height, its carrier and a feed of one phase. */
export const driveLeft = ({ place, drive, onePhase }: Pick<Needs, 'place' | 'drive' | 'onePhase'>): number =>
  place.driveDerating *
  (onePhase ? singlePhaseShare.value : 1) *
  (drive?.carrier ? carrierShare(drive.carrier.value) : 1);

/** The sizes of the practice's ladder that match by power and by current, and the one that the house rule takes. */
export interface DriveMatch {
  readonly byPower: DriveSize | undefined;
  readonly byCurrent: DriveSize | undefined;
  readonly taken: DriveSize | undefined;
}

/** Matches a drive to the current asked (A) and the motor's rating (W) at its voltage, after heat and height. */
export function matchDrive(needs: Needs, voltage: number, asked: number, power: number): DriveMatch {
  const { practice, rules } = needs;
  const sizes = practice.driveSizes(voltage).value;
  // Ladders and plates are rounded: a thousandth of current and a hundredth of power are no difference.
  const byPower = sizes.find((s) => isUpTo(motorsOn(needs) * power, s.power));
  const byCurrent = sizes.find((s) => reaches(s.current * driveLeft(needs), asked));
  return { byPower, byCurrent, taken: rules.driveMatch === 'power' ? byPower : byCurrent };
}

/** Largest drive that one school still hangs sealed on the wall, W. */
const largestSealed = 20 * horsepower;

/** How a drive for a motor of this rating in W is housed: as the case says, else by house rule. */
export function driveHousing({ rules }: Pick<Needs, 'rules'>, place: Case['place'], power: number): string {
  const bySize = isUpTo(power, largestSealed) ? 'sealed' : 'cabinet';
  const said = place?.driveHousing === 'wall' ? 'sealed' : place?.driveHousing;
  const housing = said ?? (rules.driveHousing === 'by size' ? bySize : rules.driveHousing);
  const dusty = place?.dirt !== undefined && place.dirt !== 'clean';
  const wet = place?.driveLocation === 'outdoor' ? ', made for outdoors' : '';
  return housing === 'sealed'
    ? `sealed on the wall (IP54 or type 12 at least${wet}), its fins kept clean`
    : `in a cabinet${wet}, filtered and under slight pressure; filters changed every ` +
        (dusty ? 'month' : 'three months');
}
export const driveHousingSource = commonPractice('Drives sealed on the wall to about 20 hp, in a cabinet beyond');
