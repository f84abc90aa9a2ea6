import { reaches } from '../law';
import { owedBreakdown, type Motor } from '../catalogue';
import { isVariableTorque, leastSpeed, lossShares, torqueRatio, type HeatModel } from '../physics';
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
  /** ÷ rated, as far as its maker owes it. */
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
export function heatOfMotor(motor: Motor, promised?: number): HeatModel {
  const there = promised === undefined ? models.get(motor) : undefined;
  if (there) return there;
  const { power, speed, efficiency, powerFactor, cooling, insulation } = motor;
  const breakdownTorque = owedBreakdown(motor, promised);
  const synchronous = (120 * motor.frequency) / motor.poles;
  const made = heatModelOf({
    ...{ power, speed, synchronous, efficiency, powerFactor, breakdownTorque, insulation, rise: undefined },
    cooling: cooling === 'blower' ? 'blower' : cooling === 'open' ? 'open' : 'shaft-fan',
  });
  if (promised === undefined) models.set(motor, made);
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
/** ÷ rated speed: above it the sizing by power has its own margin. */
const sizedByPower = 0.9;

/** What says how slowly a motor may run for good with a load. */
export interface Slow {
  readonly power: number;
  readonly speed: number;
  /** Rated speed ÷ least speed, by its maker or by habit. */
  readonly ratio: number;
  /** Whether the ratio is the maker's own, and the house goes by it. */
  readonly own: boolean;
  /** Asked for only where the ratio does not settle it. */
  readonly heat: () => HeatModel;
}

/**
 * Lowest speed in r/min a motor may run at for good with the needs' load: by its maker's ratio; where there is none,
 * by habit or by its heat, whichever is more; in the other school by its heat alone. 0 where a blower cools it.
 */
export function leastSpeedOf(needs: Needs, of: Slow): number {
  if (needs.drive?.cooling === 'blower') return 0;
  const byRatio = of.speed / of.ratio;
  if (of.own) return byRatio;
  const heat = of.heat();
  const fan = heat.cooling === 'shaft-fan' || heat.cooling === 'open';
  const floor = Math.max(fan ? slowest * of.speed : 0, needs.rules.slowSpeed === 'heat' ? 0 : byRatio);
  return of.speed * leastSpeed(heat, loadOn(needs, of), sizedByPower, floor / of.speed);
}

/** The same of a catalogue motor. */
export const leastDriveSpeed = (needs: Needs, motor: Motor): number =>
  leastSpeedOf(needs, {
    power: motor.power,
    speed: motor.speed,
    ratio: isVariableTorque(needs.load.shape) ? motor.turndown.variableTorque : motor.turndown.constantTorque,
    own: hasRatio(needs, motor),
    heat: () => cooledBy(heatOfMotor(motor, needs.load.promised), needs.drive?.cooling),
  });

/** A motor as a case says it is cooled on its drive; unsaid as it is built. */
export const cooledBy = (heat: HeatModel, said: 'self' | 'blower' | 'none' | undefined): HeatModel =>
  said === undefined || said === 'self' ? heat : { ...heat, cooling: said };

/** How much is left at the lowest speed asked, as a share of the lowest it may run at. */
export function slowReserve(needs: Needs, motor: Motor): number {
  const least = leastDriveSpeed(needs, motor);
  const asked = needs.speed.min * needs.load.speed;
  // What holds within the limits' own grain holds.
  if (reaches(asked, least)) return least > 0 ? Math.max(0, Math.min(most, asked / least - 1)) : most;
  return asked / least - 1;
}

/** A reserve beyond which nobody asks how much. */
const most = 9;
