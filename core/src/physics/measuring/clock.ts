/** What was done to a log's clock: hours it was put back and forward in the file, and midnights it ran past. */
export interface ClockSettled {
  readonly back: number;
  readonly forward: number;
  readonly midnights: number;
}

const hour = 3600;
const day = 86_400;

/** Median of the steps above a millisecond between readings, some thousands of them looked at. */
export function usualStep(times: Float64Array): number {
  const steps: number[] = [];
  for (let i = 1; i < times.length; i += Math.ceil(times.length / 4000)) {
    const d = (times[i] ?? 0) - (times[i - 1] ?? 0);
    if (d >= 1e-3) steps.push(d);
  }
  steps.sort((a, b) => a - b);
  return steps[Math.floor(steps.length / 2)] ?? 1;
}

/**
 * Sets a log's times straight, in place: local clocks that are put back an hour in autumn (the hour comes twice) and
 * forward in spring (an hour is missing, on a Sunday night), and times of day without a date that run past midnight.
 * Times in s, as the file has them, Sunday counted from 1970.
 */
export function settleClock(times: Float64Array, dated: boolean): ClockSettled {
  const usual = usualStep(times);
  const settled = { back: 0, forward: 0, midnights: 0 };
  let shift = 0;
  let before = times[0] ?? 0;
  for (let i = 1; i < times.length; i++) {
    const now = times[i] ?? 0;
    const step = now - before;
    if (!dated && step < -day / 2) {
      shift += day;
      settled.midnights++;
    } else if (dated && step < 0 && Math.abs(step + hour - usual) <= usual) {
      shift += hour;
      settled.back++;
    } else if (dated && usual <= hour / 2 && Math.abs(step - hour - usual) < usual / 2 && isSpringNight(before)) {
      shift -= hour;
      settled.forward++;
    }
    before = now;
    times[i] = now + shift;
  }
  return settled;
}

/** A Sunday of March or April, before four in the morning: when clocks go forward. */
function isSpringNight(time: number): boolean {
  const date = new Date(time * 1000);
  const month = date.getUTCMonth();
  return date.getUTCDay() === 0 && date.getUTCHours() < 4 && (month === 2 || month === 3);
}
