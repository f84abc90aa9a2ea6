import type { Circuit } from '../machine/circuit';
import type { Feed } from '../supply/network';
import { torqueRatio, type LoadShape } from '../mechanics/shape';

/** Load at the motor's shaft: N·m at its speed in r/min, its shape, and what it asks to break away, N·m. */
export interface StartLoad {
  readonly torque: number;
  readonly speed: number;
  readonly shape: LoadShape;
  /** Its shape at work, where its run-up has another. */
  readonly working?: LoadShape;
  /** Torque while running up ÷ torque of the shape. */
  readonly startRatio: number;
  readonly breakaway: number;
}

/** Share of the load's speed over which a breakaway torque falls to the shape's: common practice. */
export const breakawayFade = 0.1;

/**
 * Load torque in N·m at n r/min, n ≥ 0: the shape's, with what breakaway asks beyond it fading over the first tenth of
 * the speed.
 */
export function startTorqueAt(l: StartLoad, n: number): number {
  const x = n / l.speed;
  const shape = l.torque * l.startRatio * torqueRatio(l.shape, x);
  if (x >= breakawayFade) return shape;
  const still = l.torque * l.startRatio * torqueRatio(l.shape, 0);
  return shape + (l.breakaway - still) * (1 - x / breakawayFade);
}

/** When a reduced-voltage stage ends: after a time in s, or at a share of synchronous speed. */
export type Changeover =
  { readonly at: 'time'; readonly time: number } | { readonly at: 'speed'; readonly share: number };

/**
 * A start on the line with its settings. Currents in A, times in s, voltages as shares. Drives have their own
 * (`DrivePlan`).
 */
export type Plan =
  | { readonly method: 'direct' }
  | {
      readonly method: 'star-delta';
      readonly changeover: Changeover;
      /** Without current between star and delta; 0: closed. */ readonly pause: number;
    }
  | { readonly method: 'autotransformer'; readonly tap: number; readonly changeover: Changeover }
  | {
      readonly method: 'primary-reactor';
      readonly element: 'reactor' | 'resistor';
      /** Motor voltage at standstill on a stiff line. */ readonly share: number;
      readonly changeover: Changeover;
    }
  | {
      readonly method: 'soft-starter';
      readonly limit: number;
      readonly ramp: 'voltage' | 'torque' | 'none';
      /** Voltage, or share of rated torque, the ramp begins at. */
      readonly from: number;
      readonly time: number;
      readonly kick: { readonly voltage: number; readonly time: number } | undefined;
      readonly ratedTorque: number;
    };

export interface RunSpec {
  readonly circuit: Circuit;
  readonly feed: Feed;
  /** Motor, train and load at the motor's shaft, kg·m². */
  readonly inertia: number;
  readonly load: StartLoad;
  readonly plan: Plan;
  /** Seconds the hot motor bears its locked-rotor current at rated voltage. */
  readonly stallTime: number;
  /** Give up after this, s. */
  readonly horizon?: number;
  /** Relative error of speed allowed in a step. */
  readonly tolerance?: number;
  /** True to keep what a chart draws. */
  readonly traced?: boolean;
}

export type RunOutcome = 'running' | 'stalled' | 'crawling' | 'unfinished';

export interface RunEvent {
  readonly time: number;
  /** r/min. */
  readonly speed: number;
  readonly what: 'opened' | 'changed-over' | 'limit-left' | 'limited' | 'at-speed' | 'stalled' | 'crawling' | 'held';
}

/**
 * Columns over time: s, r/min, A in the line, A in the motor, N·m, N·m of load, V at bus and terminals, share of heat.
 */
export interface Trace {
  readonly time: Float64Array;
  readonly speed: Float64Array;
  readonly line: Float64Array;
  readonly motor: Float64Array;
  readonly torque: Float64Array;
  readonly load: Float64Array;
  readonly bus: Float64Array;
  readonly terminal: Float64Array;
  readonly heat: Float64Array;
}

/** J, over the whole simulated start, at the motor's terminals and shaft. */
export interface RunEnergy {
  readonly input: number;
  readonly stator: number;
  readonly rotor: number;
  readonly core: number;
  readonly friction: number;
  readonly load: number;
  readonly kinetic: number;
}

export interface Run {
  readonly outcome: RunOutcome;
  /** From switch-on to 95 % of the final speed, s; undefined where it is not reached. */
  readonly time: number | undefined;
  /** Where it ends, and where motor and load meet on the full line, r/min. */
  readonly speed: number;
  readonly finalSpeed: number | undefined;
  /** Speed at which a reduced stage got stuck, r/min. */
  readonly heldAt: number | undefined;
  readonly peakLine: number;
  readonly peakMotor: number;
  /** Line current just after the change to the full line, A. */
  readonly changeoverCurrent: number | undefined;
  /** Largest sudden step of torque, at switch-on or changeover, N·m. */
  readonly jolt: number;
  readonly dip: number;
  readonly terminalDip: number;
  /** Most that is lost between bus and terminals on the full line, ÷ the voltage before. */
  readonly cableDrop: number;
  /** Least motor torque less load torque up to 95 % of the final speed, N·m, and the speed it stands at. */
  readonly margin: number;
  readonly marginSpeed: number;
  /** Shares of the permitted heating from hot: by stator current squared, by rotor heat. */
  readonly statorHeat: number;
  readonly rotorHeat: number;
  readonly energy: RunEnergy;
  readonly events: readonly RunEvent[];
  readonly trace: Trace | undefined;
  readonly steps: number;
}
