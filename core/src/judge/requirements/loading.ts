import { percent, type Needs } from '../../needs';
import { shaftPower } from '../../physics';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { requirement, type Bench, type Entry } from '../requirement';
import { tight } from '../../practice';

/** Loaded less than this no motor is right without a reason (common practice: power factor and efficiency fall away). */
const never = 0.3;

export const loading = requirement({
  id: 'loading',
  of: 'motor',
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
    const exempt = power <= (smallest.get(c.poles[e.i] ?? 0) ?? 0) * 1.01 || build.onShelf[e.i] === 1;
    if (exempt || hasReason(bench, e)) return code.pass;
    return share < never && !pinned ? code.fail : code.caution;
  },
  sentence({ outcome, margin, motor, needs }) {
    const share = needs.rules.leastLoading * (1 + margin);
    const text = `Loaded to ${percent(share)} of what it may give`;
    if (outcome === 'pass')
      return margin >= -tight ? `${text}.` : `${text}: ${reasonFor(needs, motor.stock !== undefined)}.`;
    return `${text}, ${percent(needs.rules.leastLoading)} is the least by house rule: too large for its ${writeQuantity(needs.load.power, 'W', needs.practice.words.units)} of load.`;
  },
  cure: () => 'a reason for the size, or more load',
});

/** Steady shaft power where motor and load meet ÷ what the motor may give here. */
export function loadingOf({ needs: { load, place }, c }: Bench, { i, n }: Pick<Entry, 'i' | 'n'>): number {
  return shaftPower(load.torque, load.speed, n, load.shape) / ((c.power[i] ?? 0) * place.motorDerating);
}

/** Whether the case itself gives a reason for a motor this much larger than its steady load. */
function hasReason({ needs, c }: Bench, { i }: Entry): boolean {
  return cycles(needs) || needs.load.shape.kind === 'constant-power' || heavy(needs, c.power[i] ?? 0, c.poles[i] ?? 4);
}

const cycles = ({ load }: Needs): boolean => load.peak > 1.5 || load.thermal > 1.05 || load.breakaway > 2.2;

/** More inertia than the standard's motor starts, of half this rating. */
function heavy({ start, practice }: Needs, power: number, poles: number): boolean {
  return start.loadInertia !== undefined && start.loadInertia > practice.inertiaLimit(power / 2, poles).value;
}

function reasonFor({ load, start }: Needs, shelf: boolean): string {
  if (shelf) return 'it lies on the own shelf';
  if (load.shape.kind === 'constant-power') return 'constant power sizes it at its lowest speed';
  if (load.peak > 1.5) return `peaks of ${load.peak.toFixed(2)} times the steady torque size it`;
  if (load.thermal > 1.05) return 'the heat of its cycle sizes it';
  if (load.breakaway > 2.2) return 'breakaway sizes it';
  return start.loadInertia === undefined ? 'the smallest size made' : 'the inertia to be started sizes it, or it is the smallest made';
} // prettier-ignore
