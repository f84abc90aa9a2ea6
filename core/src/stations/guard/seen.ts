import type { Method } from '../../contract';
import type { Run } from '../../physics';

/** A simulated start as an overload relay sees it, its currents as those of a relay in the line. */
export interface StartSeen {
  /** s, ascending. */
  readonly time: readonly number[];
  /** A. */
  readonly current: readonly number[];
  /** A²·s from switch-on. */
  readonly squared: readonly number[];
}

/**
 * What a relay sees of a traced start. In star one inside the delta sees the whole current of its winding, which is
 * √3 times as much against its dial as one in the line sees. `used`: the run's own A²·s, which the drawn course is
 * made to end at; absent where the relay sees something else than the winding.
 */
export function startSeen(run: Run, method: Method, insideDelta: boolean, used?: number): StartSeen | undefined {
  const { trace } = run;
  if (!trace || trace.time.length < 2) return undefined;
  const opened = run.events.find((e) => e.what === 'opened' || e.what === 'changed-over')?.time ?? 0;
  const inStar = method === 'star-delta' && insideDelta;
  const time = [...trace.time];
  const current = time.map((t, i) => (trace.motor[i] ?? 0) * (inStar && t < opened ? Math.sqrt(3) : 1));
  let sum = 0;
  const squared = time.map((t, i) => {
    const dt = i === 0 ? 0 : t - (time[i - 1] ?? t);
    const [a, b] = [current[i - 1] ?? 0, current[i] ?? 0];
    sum += (dt * (a * a + a * b + b * b)) / 3;
    return sum;
  });
  const scale = used === undefined || sum <= 0 ? 1 : used / sum;
  return { time, current, squared: squared.map((s) => s * scale) };
}

/** The start as a steady current of the same heat: A up to each moment, and the moment in s. */
export function steadyOf({ time, squared }: StartSeen): readonly (readonly [number, number])[] {
  return time.flatMap((t, i) => (t > 0 ? [[Math.sqrt((squared[i] ?? 0) / t), t] as const] : []));
}
