import { commonPractice, model, remembered, type FlowControl } from '../../contract';
import { law } from '../../law';

const fanCurves = remembered(
  'standard',
  'ANSI/ASHRAE/IES 90.1 fan part-load curves',
  '1989, as reprinted in the ASHRAE HVAC 2 Toolkit, 1993',
  'p. 2-44',
);

/**
 * Share of full input a fan takes at a share q of full flow, throttled by an outlet (discharge) damper. Fitted for 0.2
 * ≤ q ≤ 1.
 */
export const outletDamper = law({
  name: 'Fan input with an outlet damper',
  symbol: 'r',
  unit: '1',
  takes: { q: '1' },
  formula: '0.37073425 + 0.97250253 * q - 0.34240761 * q^2',
  source: fanCurves,
  range: { q: [0.2, 1] },
  example: { of: { q: 0.5 }, gives: 0.77138, from: 'by hand' },
  of: ({ q }) => 0.37073425 + 0.97250253 * q - 0.34240761 * q * q,
});

/** The same with inlet guide vanes. */
export const inletVane = law({
  name: 'Fan input with inlet vanes',
  symbol: 'r',
  unit: '1',
  takes: { q: '1' },
  formula: '0.35071223 + 0.30850535 * q - 0.54137364 * q^2 + 0.87198823 * q^3',
  source: fanCurves,
  range: { q: [0.2, 1] },
  example: { of: { q: 0.5 }, gives: 0.47862, from: 'by hand' },
  of: ({ q }) => 0.35071223 + 0.30850535 * q - 0.54137364 * q * q + 0.87198823 * q ** 3,
});

/**
 * The same with variable speed, losses of drive and motor included: a cross-check on the affinity law, not used in the
 * sums.
 */
export const variableSpeedFan = law({
  name: 'Fan input with variable speed (published curve)',
  symbol: 'r',
  unit: '1',
  takes: { q: '1' },
  formula: '0.0015302446 + 0.0052080574 * q + 1.1086242 * q^2 - 0.11635563 * q^3',
  source: fanCurves,
  range: { q: [0.2, 1] },
  example: { of: { q: 0.5 }, gives: 0.26675, from: 'by hand' },
  of: ({ q }) => 0.0015302446 + 0.0052080574 * q + 1.1086242 * q * q - 0.11635563 * q ** 3,
});

/** Flow ÷ that of the best point at which a centrifugal pump runs out (common practice). */
const runOut = 1.2;

/**
 * Share of full shaft power of a centrifugal pump throttled by a valve: head rises by a quarter to shut-off along a
 * parabola, efficiency is a parabola through zero with its peak at q = 1; held beyond 1.2, where a pump runs out.
 */
export const throttledPump = law({
  name: 'Pump shaft power behind a throttling valve',
  symbol: 'r',
  unit: '1',
  takes: { q: '1' },
  formula: '(1.25 - 0.25 * min(q, 1.2)^2) / (2 - min(q, 1.2))',
  source: model('Typical centrifugal pump curve', 'head 1.25 − 0.25 q², efficiency q (2 − q)'),
  estimate: { basis: 'typical curve, not this pump', band: [0.9, 1.1] },
  range: { q: [0, runOut] },
  example: { of: { q: 0.5 }, gives: 0.79167, from: 'by hand' },
  of: ({ q }) => (1.25 - 0.25 * Math.min(q, runOut) ** 2) / (2 - Math.min(q, runOut)),
});

/** Hydraulic efficiency of pump or fan where nobody said it: for the account of losses only. */
export const usualFlowEfficiency = {
  value: 0.7,
  source: commonPractice('Pumps and fans of middle size turn some 70 % of shaft power into flow'),
};

/** Low ÷ high speed of a two-speed motor with one winding. */
export const usualLowSpeed = 0.5;
/** Efficiency of a two-speed motor's low speed ÷ that of its high one. */
export const lowSpeedEfficiency = {
  value: 0.96,
  source: commonPractice('The low speed of a two-speed winding loses some points of efficiency'),
};

/** The law behind a way of control, where it is a curve. */
export const controlCurves: Partial<
  Record<FlowControl, typeof outletDamper | typeof inletVane | typeof throttledPump>
> = {
  'outlet-damper': outletDamper,
  'inlet-vane': inletVane,
  'throttle-valve': throttledPump,
};
