import type { FlowControl } from '../../contract';
import { usualStep } from './clock';

/** One reading of a logger: seconds from any beginning, and the value. */
export interface Sample {
  readonly time: number;
  readonly value: number;
}

/** A logger's readings in order of time: s from any beginning, and the values; one as long as the other. */
export interface Series {
  readonly times: Float64Array;
  readonly values: Float64Array;
}

export interface LogOptions {
  readonly kind: 'flow' | 'current' | 'power';
  /** Value at the flow of the demand, in the log's own unit; the highest logged where nobody says. */
  readonly full?: number;
  /** How flow was controlled while it was logged; turns power or current into flow. */
  readonly control: FlowControl;
  /** Share of full input at a share of full flow under a way of control, as the curves in use say. */
  readonly presentRatio: (control: FlowControl, flow: number) => number;
  /** Magnetising share of full-load current, for a log of current. */
  readonly magnetising: number;
}

export interface LoggedProfile {
  /** Hours a year at each flow, lowest first, flows rounded to a twentieth. */
  readonly rows: readonly { readonly hours: number; readonly flow: number }[];
  readonly full: number;
  /** Seconds from first to last reading, of which so many were covered and so many the machine stood. */
  readonly span: number;
  readonly covered: number;
  readonly standing: number;
  readonly gaps: readonly { readonly from: number; readonly to: number }[];
  /** Readings above the flow of the demand by more than a fifth. */
  readonly above: number;
  /** The highest reading, and when. */
  readonly peak: Sample;
  /** Times it began to run, gaps apart. */
  readonly starts: number;
  /** Seconds it ran and did next to nothing. */
  readonly idling: number;
  /**
   * How high it stands while running hardest, the last quarter of the readings ÷ the first, less one; null where too
   * short. By the ninetieth of a hundred, so that another mix of duties moves it little.
   */
  readonly drift: number | null;
  /** Least and most in each of some hundred pieces of the time: no peak is lost. */
  readonly outline: readonly (readonly [time: number, least: number, most: number])[];
}

export type LogReading =
  { readonly ok: true; readonly profile: LoggedProfile } | { readonly ok: false; readonly message: string };

const hoursOfYear = 8760;
/** Below this share of full value the machine is taken as standing. */
const standingBelow = 0.03;
const step = 0.05;

/** Share of full flow below which a running machine idles (common practice). */
const idlingBelow = 0.12;
/** Pieces of the outline, and readings from which a drift is told. */
const [pieces, longEnough] = [400, 100];

/** Readings in order of their time: as they are, where they already stand so. */
export function inOrder(series: Series): Series {
  const { times, values } = series;
  if (times.every((t, i) => i === 0 || t >= (times[i - 1] ?? 0))) return series;
  const order = Uint32Array.from(times, (_, i) => i).sort((a, b) => (times[a] ?? 0) - (times[b] ?? 0));
  return {
    times: Float64Array.from(order, (i) => times[i] ?? 0),
    values: Float64Array.from(order, (i) => values[i] ?? 0),
  };
}

/** Readings in any order, sorted. */
export const seriesOf = (samples: readonly Sample[]): Series =>
  inOrder({
    times: Float64Array.from(samples, (s) => s.time),
    values: Float64Array.from(samples, (s) => s.value),
  });

/**
 * Sorts a log into hours a year at each flow. A reading stands until the next one; where the next is later than four
 * usual intervals, the time between is a gap and counts for nothing. The year is taken to go as the time covered did.
 * Times in s, finite, rising.
 */
export function profileFromLog({ times, values }: Series, options: LogOptions): LogReading {
  const count = times.length;
  const [begin, end] = [times[0] ?? 0, times[count - 1] ?? 0];
  if (count < 3 || end - begin < 1)
    return { ok: false, message: 'A log needs at least three readings over more than a second.' };
  let most = 0;
  for (let i = 1; i < count; i++) if ((values[i] ?? 0) > (values[most] ?? 0)) most = i;
  const peak = { time: times[most] ?? 0, value: values[most] ?? 0 };
  const full = options.full ?? Math.max(0, peak.value);
  if (!(full > 0)) return { ok: false, message: 'Every value of the log is zero or below: is it the right column?' };
  if (options.kind !== 'flow' && (options.control === 'none' || options.control === 'bypass'))
    return {
      ok: false,
      message:
        `A log of ${options.kind} tells the flow only where flow changes it: say ` +
        `how flow is controlled (damper, vanes, valve, on and off).`,
    };
  const usual = usualStep(times);
  const flowAt = flowTable(options);
  const seconds = new Map<number, number>();
  const gaps: { from: number; to: number }[] = [];
  let [covered, standing, above, starts, idling] = [0, 0, 0, 0, 0];
  let ran: boolean | undefined;
  for (let i = 0; i < count; i++) {
    const time = times[i] ?? 0;
    const value = values[i] ?? 0;
    const stands = i + 1 < count ? (times[i + 1] ?? 0) - time : usual;
    const gap = stands > 4 * usual;
    if (gap && i + 1 < count) gaps.push({ from: time, to: time + stands });
    const length = gap ? usual : stands;
    covered += length;
    const flow = flowAt(value / full);
    const runs = flow >= standingBelow;
    if (runs && ran === false) starts++;
    ran = gap ? undefined : runs;
    if (!runs) {
      standing += length;
      continue;
    }
    if (flow > 1.2) above++;
    if (flow < idlingBelow) idling += length;
    const bin = Math.max(1, Math.round(Math.min(flow, 2) / step));
    seconds.set(bin, (seconds.get(bin) ?? 0) + length);
  }
  const perYear = hoursOfYear / covered;
  const rows = [...seconds]
    .toSorted((a, b) => a[0] - b[0])
    .map(([bin, time]) => ({ hours: Math.round(time * perYear), flow: Number((bin * step).toFixed(2)) }))
    .filter((row) => row.hours > 0);
  const drift = driftOf(values, standingBelow * full);
  const facts = { full, span: end - begin, covered, standing, gaps, above, peak, starts, idling, drift };
  return { ok: true, profile: { rows, ...facts, outline: outlineOf({ times, values }) } };
}

/** Height of the hardest running in the last quarter of the values ÷ that in the first, less one. */
function driftOf(values: Float64Array, least: number): number | null {
  const quarter = Math.floor(values.length / 4);
  if (values.length < longEnough) return null;
  const high = (part: Float64Array): number | undefined => {
    const running = part.filter((v, i) => v > least && i % Math.ceil(quarter / 5000) === 0).sort();
    return running[Math.floor(0.9 * running.length)];
  };
  const [first, last] = [high(values.subarray(0, quarter)), high(values.subarray(-quarter))];
  return first !== undefined && last !== undefined && first > 0 ? last / first - 1 : null;
}

/** Least and most value in each piece of the time. */
function outlineOf({ times, values }: Series): [number, number, number][] {
  const [begin, end] = [times[0] ?? 0, times.at(-1) ?? 0];
  const width = (end - begin) / pieces || 1;
  const outline: [number, number, number][] = [];
  let piece = -1;
  for (let i = 0; i < times.length; i++) {
    const value = values[i] ?? 0;
    const at = Math.min(pieces - 1, Math.floor(((times[i] ?? 0) - begin) / width));
    const now = at === piece ? outline.at(-1) : undefined;
    if (now) {
      if (value < now[1]) now[1] = value;
      if (value > now[2]) now[2] = value;
    } else {
      outline.push([times[i] ?? 0, value, value]);
      piece = at;
    }
  }
  return outline;
}

/** Flow for a value as a share of full, 0 where the machine stands; looked up where a curve must be turned round. */
function flowTable(options: LogOptions): (share: number) => number {
  if (options.kind === 'flow') return (share) => (share >= standingBelow ? share : 0);
  const [cells, widest] = [2000, 2];
  const table = Float64Array.from({ length: cells + 2 }, (_, i) => flowOf((i * widest) / cells, options) ?? 0);
  return (share) => {
    if (!(share >= standingBelow)) return 0;
    const x = Math.min(cells, (share / widest) * cells);
    const i = Math.floor(x);
    const [a, b] = [table[i] ?? 0, table[i + 1] ?? 0];
    // Beside a jump (switched on or off) nothing lies between.
    return Math.abs(b - a) > 0.5 ? a : a + (x - i) * (b - a);
  };
}

/** Flow as a share of full from a value as a share of full; undefined where the machine stands. */
function flowOf(share: number, { kind, control, magnetising, presentRatio }: LogOptions): number | undefined {
  if (!(share >= standingBelow)) return undefined;
  if (kind === 'flow') return share;
  const k = magnetising;
  const power = kind === 'power' ? share : Math.sqrt(Math.max(0, share * share - k * k) / (1 - k * k));
  if (control === 'on-off') return power > 0.5 ? 1 : undefined;
  return inverse((flow) => presentRatio(control, flow), power);
}

/**
 * Flow at which the present control takes a share of full input, by bisection; the curves rise with flow above a
 * tenth.
 */
function inverse(taken: (flow: number) => number, ratio: number): number {
  let low = 0.1;
  let high = 1.5;
  if (ratio <= taken(low)) return low;
  while (high - low > 1e-4) {
    const mid = (low + high) / 2;
    if (taken(mid) < ratio) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}
