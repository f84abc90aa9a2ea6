import { isUpTo } from '../../law';
import { percent, shareLeft, type Needs } from '../../needs';
import { shaftPower } from '../../physics';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { halfInertiaOf } from '../columns';
import { requirement, type Bench, type Entry } from '../requirement';
import { tight } from '../../practice';

/**
 * Loaded less than this no motor is right without a reason (common practice: power factor and efficiency fall away).
 */
const never = 0.3;

export const loading = requirement({
  id: 'loading',
  of: 'line',
  told: true,
  fields: ['load.demand', 'rules.leastLoading'],
  figures: ['choice.loading'],
  applies: ({ load }) => load.basis === 'load',
  judge(bench, e) {
    const { needs, c, build, smallest, pinned } = bench;
    const share = loadingOf(bench, e);
    const least = needs.rules.leastLoading;
    e.margin = share / least - 1;
    if (share >= least * (1 - tight)) return code.pass;
    const power = c.power[e.i] ?? 0;
    const exempt = isUpTo(power, smallest.get(c.poles[e.i] ?? 0) ?? 0) || build.onShelf[e.i] === 1;
    if (exempt || reasonFor(needs, build.halfInertia[e.i] ?? NaN, share) !== undefined) return code.pass;
    return share < never && !pinned ? code.fail : code.caution;
  },
  sentence({ outcome, margin, motor, needs }) {
    const share = needs.rules.leastLoading * (1 + margin);
    const text = `Loaded to ${percent(share)} of what it may give`;
    if (outcome === 'pass') {
      if (margin >= -tight) return `${text}.`;
      const shelf = motor.stock === undefined ? 'it is the smallest size made' : 'it lies on the own shelf';
      return `${text}: ${reasonFor(needs, halfInertiaOf(needs.practice, motor), share) ?? shelf}.`;
    }
    return (
      `${text}, ${percent(needs.rules.leastLoading)} is the least by house rule: too large for its ` +
      `${writeQuantity(needs.load.power, 'W', needs.practice.words.units)} of load.`
    );
  },
  cure: () => 'a reason for the size, or more load',
});

/** Steady shaft power where motor and load meet ÷ what the motor may give here. */
export function loadingOf({ needs, c, build }: Bench, { i, n, drive }: Pick<Entry, 'i' | 'n' | 'drive'>): number {
  const { load } = needs;
  const share = shareLeft(needs, build.serviceFactor[i] ?? 1, drive);
  return shaftPower(load.torque, load.speed, n, load.shape) / ((c.power[i] ?? 0) * share);
}

/**
 * From here on they size a motor, whatever its steady load (common practice): peak, heat of the cycle, breakaway, ÷
 * steady.
 */
const sizes = { peak: 1.5, thermal: 1.05, breakaway: 2.2 };

/** A rating ÷ the next above it, at least: ratings step by a quarter (common practice). */
const oneSize = 0.8;

/**
 * Why the case itself asks for a motor this much larger than its steady load; undefined where it does not. What is
 * asked k times over excuses a loading down to 1/k and a size less: beyond that it is too large for the peak as well.
 */
function reasonFor({ load, speed, start, rules }: Needs, halfInertia: number, share: number): string | undefined {
  const excuses = (times: number): boolean => share > oneSize * Math.min(rules.leastLoading, 1 / times);
  if (load.shape.kind === 'constant-power' && excuses(speed.variable ? 1 / Math.max(speed.min, 0.01) : 1))
    return 'constant power sizes it at its lowest speed';
  if (load.peak > sizes.peak && excuses(load.peak))
    return `peaks of ${load.peak.toFixed(2)} times the steady torque size it`;
  if (load.thermal > sizes.thermal && excuses(load.thermal)) return 'the heat of its cycle sizes it';
  if (load.breakaway > sizes.breakaway && excuses(load.breakaway)) return 'breakaway sizes it';
  // More inertia than the standard's motor starts, of half this rating.
  return start.loadInertia !== undefined && start.loadInertia > halfInertia
    ? 'the inertia to be started sizes it'
    : undefined;
}
