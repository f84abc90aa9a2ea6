import type { DrivePlan } from './driveRun';
import { reducedHookup } from './hookups';
import type { Plan, Run } from './run';
import { attainedSpeed, simulate, type StartCase } from './startCase';

type Soft = Extract<Plan, { method: 'soft-starter' }>;
type StarDelta = Extract<Plan, { method: 'star-delta' }>;

/** What a search came to: the setting, and the start with it. Undefined setting: none will do, and the run says why. */
export interface Found<T> {
  readonly value: T | undefined;
  readonly run: Run;
}

/** A start that comes up within its permitted time and heat. */
export const succeeds = (s: StartCase, r: Run): boolean =>
  r.outcome === 'running' && (r.time ?? Infinity) <= s.permitted && Math.max(r.statorHeat, r.rotorHeat) <= 1;

/**
 * Lowest current limit, × rated current, with which a soft starter brings the machine up in time; to 0.02 of rated
 * current.
 */
export function lowestLimit(s: StartCase, plan: Soft): Found<number> {
  const run = (multiple: number): Run => simulate(s, { ...plan, limit: multiple * s.ratedCurrent });
  let high = 8;
  let best = run(high);
  if (!succeeds(s, best)) return { value: undefined, run: best };
  let low = 1;
  while (high - low > 0.02) {
    const mid = (low + high) / 2;
    const r = run(mid);
    if (succeeds(s, r)) {
      high = mid;
      best = r;
    } else low = mid;
  }
  // Up, never down: what is set must still start.
  const value = Math.ceil(high * 20) / 20;
  return { value, run: run(value) };
}

/**
 * When a star stage may end: not before it has done what it can, and not so late that the start takes too long or
 * heats too much.
 */
export interface ChangeoverWindow {
  /** Speed in r/min that star attains, and the time in s at which it has 97 % of it. */
  readonly speed: number;
  readonly earliest: number;
  readonly latest: number;
}

/**
 * Latest safe changeover of a star-delta start in s, to a fiftieth; undefined where star attains nothing or no
 * changeover succeeds.
 */
export function changeoverWindow(s: StartCase, plan: StarDelta): Found<ChangeoverWindow> {
  const speed = attainedSpeed(s, reducedHookup(s.circuit, s.feed.frequency, plan));
  const synchronous = (120 * s.feed.frequency) / s.circuit.poles;
  const early = simulate(s, { ...plan, changeover: { at: 'speed', share: (0.97 * speed) / synchronous } });
  const earliest = early.events.find((e) => e.what === 'opened' || e.what === 'changed-over')?.time;
  if (speed <= 0 || earliest === undefined || !succeeds(s, early)) return { value: undefined, run: early };
  const at = (time: number): Run => simulate(s, { ...plan, changeover: { at: 'time', time } });
  let low = earliest;
  let high = Math.min(120, s.permitted);
  let best = early;
  if (succeeds(s, at(high))) return { value: { speed, earliest, latest: high }, run: early };
  while (high - low > 0.02 * Math.max(1, earliest)) {
    const mid = (low + high) / 2;
    const r = at(mid);
    if (succeeds(s, r)) {
      low = mid;
      best = r;
    } else high = mid;
  }
  return { value: { speed, earliest, latest: low }, run: best };
}

/** Shortest ramp in s, to a tenth, that a drive follows without meeting its current limit. */
export function shortestRamp(s: StartCase, plan: DrivePlan): Found<number> {
  const run = (ramp: number): Run => simulate(s, { ...plan, ramp });
  const follows = (r: Run): boolean => succeeds(s, r) && !r.events.some((e) => e.what === 'limited');
  let high = 1;
  let best = run(high);
  while (!follows(best) && high < 300) {
    high *= 2;
    best = run(high);
  }
  if (!follows(best)) return { value: undefined, run: best };
  let low = 0.1;
  while (high - low > 0.02 * high) {
    const mid = (low + high) / 2;
    const r = run(mid);
    if (follows(r)) {
      high = mid;
      best = r;
    } else low = mid;
  }
  const value = Math.ceil(high * 10) / 10;
  return { value, run: run(value) };
}

/** Pressure waves travel a pipe of water at about this, m/s (common practice: 1000 to 1400 in steel). */
const waveSpeed = 1200;

/**
 * Gentlest stop time of a pump in s, an estimate: ten reflections of the pipeline (2 L ÷ a each) so that closing is
 * slow against them, or, without
 * a known length, ten seconds; and never less than three times the time in which it would coast to half speed, for a
 * ramp shorter than
 * coasting changes nothing. Pipe length in m.
 */
export function gentlestStop(s: StartCase, pipe: number | undefined): number {
  const omega = (s.load.speed * Math.PI) / 30;
  const coast = (s.inertia * omega * 0.5) / Math.max(0.6 * s.load.torque, 1e-9);
  const slow = pipe === undefined ? 10 : (20 * pipe) / waveSpeed;
  return Math.max(slow, 3 * coast);
}
