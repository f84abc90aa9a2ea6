import {
  bestVoltage,
  changeoverWindow,
  firstCycles,
  gentlestStop,
  lowestLimit,
  pointForTorque,
  shortestRamp,
  simulate,
  type OperatingPoint,
  type Run,
} from '../physics';
import type { Case, StartCurves, StartSetting } from '../case';
import type { Method } from '../contract';
import { writeQuantity } from '../quantity';
import { planFor } from '../runs';
import { methodCurve, overTime, type OverTime, type Starting } from '../stations';

/** One method tried with other settings, without solving the case again: what a dragged handle shows. */
export interface StartPreview extends OverTime {
  readonly method: Method;
  readonly curve: StartCurves['methods'][number];
  readonly settings: readonly StartSetting[];
  readonly ending: Run['outcome'];
  /** s, A, shares; null where it does not come to speed, or the source is not described. */
  readonly arrival: number | null;
  readonly peakCurrent: number;
  readonly dip: number | null;
  readonly thermalUse: number;
}

/** Simulates one method with these settings; about two milliseconds. */
export function previewStart(s: Starting, method: Method, settings: Case['start']): StartPreview {
  const { plan, settings: list } = planFor(settings, method, s.bench, s.aim, s.usual);
  // Figures of the run that is judged; a trace for the chart asks for shorter steps.
  const run = simulate(s.bench, plan, false);
  return {
    method,
    ...overTime(simulate(s.bench, plan, true), s.bench),
    curve: methodCurve(s.bench, plan, run),
    settings: list,
    ending: run.outcome,
    arrival: run.time ?? null,
    peakCurrent: run.peakLine,
    dip: s.sourceKnown ? run.dip : null,
    thermalUse: Math.max(run.statorHeat, run.rotorHeat),
  };
}

/** A setting found by search: where it stands in a case, what to write there, and what it rests on. */
export interface FoundSetting {
  readonly method: Method;
  readonly path: string;
  readonly label: string;
  /** As a case writes it; null where no setting will do. */
  readonly value: string | number | null;
  readonly text: string;
  readonly why: string;
}

/** Trip class 30, s. */
const slowestClass = 30;

/**
 * Searches the settings of every method by simulating starts: lowest current limit, latest safe changeover, shortest
 * drive ramp, gentlest stop of a
 * pump. Takes some ten milliseconds.
 */
export function findSettings(s: Starting): FoundSetting[] {
  // Where nobody says how long a start may take, an overload relay does: its slowest usual class trips in half a
  // minute.
  const bench = { ...s.bench, permitted: Math.min(s.bench.permitted, slowestClass) };
  const found: FoundSetting[] = [];
  const soft = planFor(s.settings, 'soft-starter', bench, s.aim, s.usual).plan;
  if (soft.method === 'soft-starter') {
    const { value, run } = lowestLimit(bench, soft);
    found.push({
      method: 'soft-starter',
      path: 'start.softStarter.limit',
      label: 'Lowest current limit',
      value: value ?? null,
      text: value === undefined ? 'none will do' : `${value} × rated current`,
      why:
        value === undefined
          ? 'Even at eight times rated current the machine does not come up within its time and heat.'
          : `At speed in ${writeQuantity(run.time ?? 0, 's')}; less does not bring it up within its time and heat.`,
    });
  }
  const star = planFor(s.settings, 'star-delta', bench, s.aim, s.usual).plan;
  if (star.method === 'star-delta') {
    const { value } = changeoverWindow(bench, star);
    found.push({
      method: 'star-delta',
      path: 'start.starDelta.time',
      label: 'Changeover',
      value: value === undefined ? null : `${Number(value.earliest.toPrecision(2))} s`,
      text:
        value === undefined
          ? 'none will do'
          : `${writeQuantity(value.earliest, 's')}, ${writeQuantity(value.latest, 's')} at the latest`,
      why:
        value === undefined
          ? 'Star does not bring the machine to a speed from which delta takes it up within its time and heat.'
          : `Star has done what it can at ${Math.round(value.speed)} r/min; later only heats.`,
    });
  }
  const drive = planFor(s.settings, 'drive', bench, s.aim, s.usual).plan;
  if (drive.method === 'drive') {
    const { value } = shortestRamp(bench, drive);
    found.push({
      method: 'drive',
      path: 'start.drive.ramp',
      label: 'Shortest ramp',
      value: value === undefined ? null : `${value} s`,
      text: value === undefined ? 'none will do' : writeQuantity(value, 's'),
      why:
        value === undefined
          ? 'At its current limit the drive does not follow any ramp: raise the limit, or take a larger drive.'
          : 'A shorter one meets the current limit, and the drive falls behind or trips.',
    });
  }
  if (s.pump) {
    const least = gentlestStop(bench, s.pipe);
    found.push({
      method: 'soft-starter',
      path: 'start.softStarter.stop',
      label: 'Gentlest stop',
      value: `${Math.ceil(least)} s`,
      text: writeQuantity(Math.ceil(least), 's'),
      why:
        `An estimate: ` +
        `${
          s.pipe === undefined
            ? 'ten seconds, for the pipeline’s length is not given'
            : 'ten reflections of the pipeline'
        }, and three times the time of coasting to half speed.`,
    });
  }
  return found;
}

/** The first cycles of one switching as a chart shows them; N·m, A, s. */
export interface FirstCyclesView {
  readonly method: 'direct' | 'star-delta';
  readonly time: readonly number[];
  readonly current: readonly number[];
  readonly torque: readonly number[];
  readonly peakCurrent: number;
  /** ÷ crest of rated current, and ÷ rated torque. */
  readonly peakRatio: number;
  readonly peakTorque: number;
  readonly torqueRatio: number;
  readonly leastTorque: number;
  readonly residual: number;
  readonly caution: string;
}

const brief = (list: ArrayLike<number>, every: number): number[] => {
  const kept: number[] = [];
  for (let i = 0; i < list.length; i += every) kept.push(Number((list[i] ?? 0).toPrecision(4)));
  return kept;
};

/**
 * Electromagnetic transient of a direct start, or of a star-delta changeover at the speed the simulation changes over;
 * of both wirings the worse.
 */
export function firstCyclesOf(s: Starting, method: 'direct' | 'star-delta'): FirstCyclesView {
  const { bench } = s;
  const base = { circuit: bench.circuit, feed: bench.feed, inertia: bench.inertia, load: bench.load, duration: 0.4 };
  const plan = planFor(s.settings, 'star-delta', bench, s.aim, s.usual).plan;
  const synchronous = (120 * bench.feed.frequency) / bench.circuit.poles;
  const changed = method === 'star-delta' && plan.method === 'star-delta';
  const speed = changed && plan.changeover.at === 'speed' ? plan.changeover.share * synchronous : 0.9 * synchronous;
  const pause = changed ? plan.pause : 0;
  const runs = changed
    ? [30, -30].map((shift) => firstCycles({ ...base, switching: { kind: 'star-delta', speed, pause, shift } }))
    : [firstCycles({ ...base, switching: { kind: 'direct' } })];
  const worst = runs.reduce((a, b) => (b.peakCurrent > a.peakCurrent ? b : a));
  const every = Math.max(1, Math.floor(worst.time.length / 700));
  const peakRatio = worst.peakCurrent / (Math.SQRT2 * bench.ratedCurrent);
  const torqueRatio = Math.max(worst.peakTorque, -worst.leastTorque) / bench.ratedTorque;
  return {
    method,
    time: brief(worst.time, every),
    current: brief(worst.current, every),
    torque: brief(worst.torque, every),
    peakCurrent: worst.peakCurrent,
    peakRatio,
    peakTorque: worst.peakTorque,
    torqueRatio,
    leastTorque: worst.leastTorque,
    residual: worst.residual,
    caution:
      `Set an instantaneous trip above ${writeQuantity(worst.peakCurrent, 'A')} crest ` +
      `(${(worst.peakCurrent / Math.SQRT2 / bench.ratedCurrent).toFixed(1)} × rated current as r.m.s.). ` +
      `Coupling, keys and gears see up to ${torqueRatio.toFixed(1)} × rated ` +
      'torque.' +
      (changed && worst.residual > 0.25
        ? ` ${Math.round(worst.residual * 100)} % of the voltage still stands on the winding when delta closes: ` +
          'a longer pause or a closed transition spares the shaft.'
        : ''),
  };
}

/** The machine at a voltage, frequency and load of one's choosing, and what an energy-saving mode would make of it. */
export interface OperatingView {
  readonly at: OperatingPoint | null;
  readonly best: OperatingPoint | null;
}

/** V line to line, Hz, load torque as a share of rated; all above zero. Null where breakdown torque is not enough. */
export function operateAt(s: Starting, voltage: number, frequency: number, load: number): OperatingView {
  const { circuit, ratedTorque } = s.bench;
  return {
    at: pointForTorque(circuit, voltage, frequency, load * ratedTorque) ?? null,
    best: bestVoltage(circuit, frequency, load * ratedTorque) ?? null,
  };
}
