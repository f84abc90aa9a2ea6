import type { Motor } from '../catalogue';
import type { Method } from '../contract';
import { simulate, type Run } from '../physics';
import { starDeltaFits, type Needs } from '../needs';
import type { Bench } from './bench';
import { planFor, type Planned, type UsualSettings } from './plans';

/** A start of one motor by one method: how it would be set, and what the simulation makes of it. */
export interface Started {
  readonly method: Method;
  readonly planned: Planned;
  /** Settings taken in place of the usual ones. */
  readonly usual: Partial<UsualSettings>;
  /** Undefined for star-delta on a motor whose leads do not allow it here. */
  readonly run: Run | undefined;
}

/**
 * One motor started by one method on its bench, set as the case says and else as usual; `usual` are other settings to
 * take for usual
 * ones. Writes nothing.
 */
export function startOf(
  needs: Needs,
  motor: Motor,
  bench: Bench,
  method: Method,
  usual: Partial<UsualSettings> = {},
): Started {
  const planned = planFor(needs.start.settings, method, bench, bench.aim, usual);
  const fits = method !== 'star-delta' || starDeltaFits(needs.practice, bench.feed.voltage, motor);
  return { method, planned, usual, run: fits ? simulate(bench, planned.plan, false) : undefined };
}
