import { reaches } from '../law';
import type { Motor } from '../catalogue';
import { continuousTorque, isVariableTorque, leastSpeed, lossShares, torqueRatio, type HeatModel } from '../physics';
import { permittedRise } from '../practice';
import type { Needs } from './walk';

/** What the heat of a motor on a drive is worked out from. W, r/min. */
export interface Rated {
  readonly power: number;
  readonly speed: number;
  /** No slip. */
  readonly synchronous: number;
  readonly efficiency: number;
  readonly powerFactor: number;
  readonly breakdownTorque: number;
  readonly cooling: HeatModel['cooling'];
  readonly insulation: string | undefined;
  /** As marked, K. */
  readonly rise: number | undefined;
}

/** Thermal model of a motor from its rated values: rotor loss by slip, the rest by the usual shares of a cage motor. */
export function heatModelOf(of: Rated): HeatModel {
  const slip = 1 - of.speed / of.synchronous;
  const losses = of.power * (1 / of.efficiency - 1);
  const rotor = Math.min(0.5, (of.power * slip) / (1 - slip) / losses);
  const rest = 1 - rotor;
  const permitted = permittedRise[of.insulation ?? ''];
  return {
    rotor,
    stator: rest * lossShares.stator,
    core: rest * lossShares.core,
    stray: rest * lossShares.stray,
    friction: rest * lossShares.friction,
    // Leakage takes about a fifth of the reactive current at rated load.
    magnetising: Math.min(0.8, 0.8 * Math.sqrt(1 - of.powerFactor ** 2)),
    breakdown: of.breakdownTorque,
    cooling: of.cooling,
    // Of a class F winding with the rise of class B; none is counted where no rise is marked.
    reserve: of.rise !== undefined && permitted !== undefined ? Math.min(1.5, Math.max(1, permitted / of.rise)) : 1,
  };
}

const models = new WeakMap<Motor, HeatModel>();

/** Thermal model of a catalogue motor as it is cooled by itself. */
export function heatOfMotor(motor: Motor): HeatModel {
  const there = models.get(motor);
  if (there) return there;
  const { power, speed, efficiency, powerFactor, breakdownTorque, cooling, insulation } = motor;
  const synchronous = (120 * motor.frequency) / motor.poles;
  const made = heatModelOf({
    ...{ power, speed, synchronous, efficiency, powerFactor, breakdownTorque, insulation, rise: undefined },
    cooling: cooling === 'blower' ? 'blower' : cooling === 'open' ? 'open' : 'shaft-fan',
  });
  models.set(motor, made);
  return made;
}

/** The load's torque ÷ a motor's rated torque at a speed ÷ its rated speed. */
export const loadOn =
  ({ load }: Pick<Needs, 'load'>, rated: { readonly power: number; readonly speed: number }) =>
  (s: number): number =>
    (load.torque * torqueRatio(load.shape, (s * rated.speed) / load.speed)) /
    (rated.power / ((rated.speed * Math.PI) / 30));

/**
 * Whether a motor's own ratio says how slowly it may run: where one is given and the house rule goes by it, or it has
 * a blower.
 */
export const hasRatio = (
  { rules }: Pick<Needs, 'rules'>,
  motor: Pick<Motor, 'inverterDuty' | 'cooling' | 'turndownUnsaid'>,
): boolean =>
  motor.cooling === 'blower' || (motor.inverterDuty && motor.turndownUnsaid !== true && rules.slowSpeed === 'plate');

/** ÷ rated speed: what a shaft fan is never trusted below, however little is asked (common practice). */
const slowest = 0.1;

const ratioOf = ({ load }: Pick<Needs, 'load'>, { turndown }: Pick<Motor, 'turndown'>): number =>
  isVariableTorque(load.shape) ? turndown.variableTorque : turndown.constantTorque;

/** Lowest speed in r/min a motor may run at for good with the needs' load: by its ratio, or by its heat where less. */
export function leastDriveSpeed(needs: Needs, motor: Motor): number {
  if (needs.drive?.cooling === 'blower') return 0;
  const byRatio = motor.speed / ratioOf(needs, motor);
  return hasRatio(needs, motor) ? byRatio : Math.min(byRatio, leastByHeat(heatOfMotor(motor), needs, motor));
}

/**
 * Lowest speed in r/min by the motor's heat, from nine tenths of rated speed downward: at full speed the
 * sizing by power
 * has its own margin. Never below a tenth, unless something else cools it.
 */
export function leastByHeat(heat: HeatModel, needs: Needs, rated: Pick<Motor, 'power' | 'speed'>): number {
  const fan = heat.cooling === 'shaft-fan' || heat.cooling === 'open';
  return rated.speed * Math.max(fan ? slowest : 0, leastSpeed(heat, loadOn(needs, rated), 0.9));
}

/** How much is left at the lowest speed asked: of speed by the motor's ratio, or of torque by its heat where more. */
export function slowReserve(needs: Needs, motor: Motor): number {
  if (needs.drive?.cooling === 'blower') return most;
  const asked = needs.speed.min * needs.load.speed;
  const byRatio = Math.min(most, (asked * ratioOf(needs, motor)) / motor.speed - 1);
  const s = asked / motor.speed;
  if (hasRatio(needs, motor) || byRatio >= 0 || !reaches(s, slowest)) return byRatio;
  const load = loadOn(needs, motor)(s);
  return load <= 0
    ? most
    : Math.max(byRatio, Math.min(most, (continuousTorque(heatOfMotor(motor), s) * 1.001) / load - 1));
}

/** A reserve beyond which nobody asks how much. */
const most = 9;
