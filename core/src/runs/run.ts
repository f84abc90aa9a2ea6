import type { Motor } from '../catalogue';
import type { Method } from '../contract';
import { simulate, type Run } from '../physics';
import { starDeltaFits, type Needs } from '../needs';
import { benchFor, type Bench } from './bench';
import { planFor, type Planned } from './plans';

/** A start of one motor by one method: how it would be set, and what the simulation makes of it. */
export interface Started {
  readonly method: Method;
  readonly planned: Planned;
  /** Undefined for star-delta on a motor whose leads do not allow it here. */
  readonly run: Run | undefined;
}

const runs = new WeakMap<Bench, Map<string, Started>>();

/**
 * One motor started by one method on the case's load and supply; undefined where its circuit or the supply is not known. `traced` keeps
 * the run's course for charts. Simulated once; writes nothing.
 */
export function startOf(needs: Needs, motor: Motor, method: Method, traced = false): Started | undefined {
  const bench = benchFor(needs, motor);
  if (!bench) return undefined;
  const known = runs.get(bench) ?? new Map<string, Started>();
  runs.set(bench, known);
  const key = traced ? `${method} traced` : method;
  const there = known.get(key);
  if (there) return there;
  const planned = planFor(needs.start.settings, method, bench, bench.aim);
  const fits = method !== 'star-delta' || starDeltaFits(needs.practice, bench.feed.voltage, motor);
  const started = { method, planned, run: fits ? simulate(bench, planned.plan, traced) : undefined };
  known.set(key, started);
  return started;
}
