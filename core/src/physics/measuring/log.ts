import type { FlowControl } from '../../contract';

/** One reading of a logger: seconds from any beginning, and the value. */
export interface Sample {
  readonly time: number;
  readonly value: number;
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
}

export type LogReading =
  { readonly ok: true; readonly profile: LoggedProfile } | { readonly ok: false; readonly message: string };

const hoursOfYear = 8760;
/** Below this share of full value the machine is taken as standing. */
const standingBelow = 0.03;
const step = 0.05;

/**
 * Sorts a log into hours a year at each flow. A reading stands until the next one; where the next is later than four
 * usual
 * intervals, the time between is a gap and counts for nothing. The year is taken to go as the time covered did.
 * Samples in any order; times in s, finite.
 */
export function profileFromLog(samples: readonly Sample[], options: LogOptions): LogReading {
  const sorted = samples.toSorted((a, b) => a.time - b.time);
  const first = sorted[0];
  const last = sorted.at(-1);
  if (!first || !last || sorted.length < 3 || last.time - first.time < 1)
    return { ok: false, message: 'A log needs at least three readings over more than a second.' };
  const full = options.full ?? sorted.reduce((most, s) => Math.max(most, s.value), 0);
  if (!(full > 0)) return { ok: false, message: 'Every value of the log is zero or below: is it the right column?' };
  if (options.kind !== 'flow' && (options.control === 'none' || options.control === 'bypass'))
    return {
      ok: false,
      message:
        `A log of ${options.kind} tells the flow only where flow changes it: say ` +
        `how flow is controlled (damper, vanes, valve, on and off).`,
    };
  const intervals = sorted.slice(1).map((s, i) => s.time - (sorted[i]?.time ?? 0));
  // What is nearer together than a millisecond is one reading twice.
  const usual = median(intervals.filter((d) => d >= 1e-3));
  const seconds = new Map<number, number>();
  const gaps: { from: number; to: number }[] = [];
  let covered = 0;
  let standing = 0;
  let above = 0;
  for (const [i, sample] of sorted.entries()) {
    const stands = intervals[i] ?? usual;
    const gap = stands > 4 * usual;
    const next = sorted[i + 1];
    if (gap && next) gaps.push({ from: sample.time, to: next.time });
    const time = gap ? usual : stands;
    covered += time;
    const flow = flowOf(sample.value / full, options);
    if (flow === undefined || flow < standingBelow) {
      standing += time;
      continue;
    }
    if (flow > 1.2) above++;
    const bin = Math.max(step, Math.round(Math.min(flow, 2) / step) * step);
    seconds.set(bin, (seconds.get(bin) ?? 0) + time);
  }
  const perYear = hoursOfYear / covered;
  const rows = [...seconds]
    .toSorted((a, b) => a[0] - b[0])
    .map(([flow, time]) => ({ hours: Math.round(time * perYear), flow: Number(flow.toFixed(2)) }))
    .filter((row) => row.hours > 0);
  return { ok: true, profile: { rows, full, span: last.time - first.time, covered, standing, gaps, above } };
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

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 1;
}
