import { seen, seenFed, seenLength, type Circuit } from '../machine/circuit';
import { onLine, type Hookup } from '../supply/network';
import type { Plan } from './run';

/** How a method hangs the motor on the line before its changeover; as on the full line for those that have none. */
export function reducedHookup(c: Circuit, f: number, plan: Plan): Hookup {
  switch (plan.method) {
    case 'star-delta':
      return { ...onLine, impedance: 3 };
    case 'autotransformer':
      return { ...onLine, tap: plan.tap };
    case 'primary-reactor': {
      const ohms = seriesFor(c, f, plan.share, plan.element);
      return plan.element === 'reactor' ? { ...onLine, reactance: ohms } : { ...onLine, resistance: ohms };
    }
    default:
      return onLine;
  }
}

/**
 * Ω a phase in series that leave a share of a stiff line's voltage to the motor at standstill: of its rated voltage, in
 * proportion to the frequency.
 */
export function seriesFor(c: Circuit, f: number, share: number, element: 'reactor' | 'resistor'): number {
  const view = new Float64Array(seenLength);
  seenFed(c, (share * c.voltage * f) / c.frequency, f, 1, view);
  const r = view[seen.resistance] ?? 0;
  const x = view[seen.reactance] ?? 0;
  const z2 = (r * r + x * x) / (share * share);
  return element === 'reactor'
    ? Math.max(0, Math.sqrt(Math.max(0, z2 - r * r)) - x)
    : Math.max(0, Math.sqrt(Math.max(0, z2 - x * x)) - r);
}
