import { commonPractice, definition, remembered } from '../../contract';
import { any, law, notNegative, positive, type Law } from '../../law';

/** One stretch of a duty cycle: seconds at a torque ratio, or standing still. */
export interface Segment {
  readonly duration: number;
  readonly ratio: number;
  readonly rest: boolean;
}

/** A standing shaft-fan motor cools this many times more slowly than a running one. */
export const restCooling = 3;

/**
 * Thermal equivalent of a duty cycle at constant speed, as a share of the steady demand: root of the mean square of
 * torque
 * over running time plus a third of standing time. Right where the cycle is short against the motor's thermal time
 * (ten minutes at most).
 */
export const thermalRatio = (cycle: readonly Segment[]): Law<Record<never, never>, '1'> =>
  law({
    name: 'Thermal equivalent of the duty cycle',
    symbol: 'k_th',
    unit: '1',
    takes: {},
    formula: 'square root of the sum of ratio^2 * time running over (time running + time standing / 3)',
    source: commonPractice(
      'Root-mean-square power, standing time counted at a third for a motor cooled by its shaft fan',
    ),
    method: true,
    range: {},
    example: {
      of: {},
      gives: 0.86603,
      from: 'by hand: 60 s of rest count as 20 s, √(60 / 80)',
      made: {
        for: '60 s at full torque, 60 s at rest',
        law: () =>
          thermalRatio([
            { duration: 60, ratio: 1, rest: false },
            { duration: 60, ratio: 0, rest: true },
          ]),
      },
    },
    of: () => thermalEquivalent(cycle),
  });

export function thermalEquivalent(cycle: readonly Segment[]): number {
  let heat = 0;
  let cooling = 0;
  for (const { duration, ratio, rest } of cycle) {
    if (!rest) heat += ratio * ratio * duration;
    cooling += rest ? duration / restCooling : duration;
  }
  return cooling > 0 ? Math.sqrt(heat / cooling) : 0;
}

export const cycleTime = (cycle: readonly Segment[]): number => cycle.reduce((sum, s) => sum + s.duration, 0);

export const rmsPower = law({
  name: 'Thermally equivalent power at the motor',
  symbol: 'P_th',
  unit: 'W',
  takes: { P_m: 'W', k_th: '1' },
  formula: 'P_m * k_th',
  source: definition('Duty cycle', 'steady power × thermal equivalent of the cycle'),
  range: { P_m: notNegative, k_th: [0, 10] },
  example: { of: { P_m: 10000, k_th: 0.79 }, gives: 7900, from: 'by hand' },
  of: ({ P_m, k_th }) => P_m * k_th,
});

/** Highest torque the load asks while running, at the motor. */
export const peakTorque = law({
  name: 'Highest torque while running',
  symbol: 'T_pk',
  unit: 'N.m',
  takes: { T_m: 'N.m', k_pk: '1' },
  formula: 'T_m * k_pk',
  source: definition('Case', 'highest of the overload and the cycle, as a multiple of the steady torque'),
  range: { T_m: any, k_pk: [0, 20] },
  example: { of: { T_m: 40, k_pk: 1.6 }, gives: 64, from: 'by hand' },
  of: ({ T_m, k_pk }) => T_m * k_pk,
});

/** Breakdown torque at the voltage that is there: with its square. */
export const breakdownAtVoltage = law({
  name: 'Breakdown torque at this voltage',
  symbol: 'T_b',
  unit: 'N.m',
  takes: { t: '1', T_r: 'N.m', U: 'V', U_r: 'V' },
  formula: 't * T_r * (U / U_r)^2',
  source: definition('Induction machine', 'torque at a given slip goes with the square of voltage'),
  range: { t: [1, 10], T_r: notNegative, U: notNegative, U_r: positive },
  example: { of: { t: 2.5, T_r: 40, U: 414, U_r: 460 }, gives: 81, from: 'by hand: 0.9² = 0.81 of 100 N·m' },
  of: ({ t, T_r, U, U_r }) => t * T_r * (U / U_r) ** 2,
});

export const reserveOver = law({
  name: 'Breakdown torque over the highest torque',
  symbol: 'm_pk',
  unit: '1',
  takes: { T_b: 'N.m', T_pk: 'N.m' },
  formula: 'T_b / T_pk - 1',
  source: definition('Margin', 'what is left over the need, as a share of it'),
  range: { T_b: notNegative, T_pk: positive },
  example: { of: { T_b: 81, T_pk: 60 }, gives: 0.35, from: 'by hand' },
  of: ({ T_b, T_pk }) => T_b / T_pk - 1,
});

/** A duty cycle in the standard's words. */
export interface DutyType {
  readonly type: 'S1' | 'S2' | 'S3' | 'S4' | 'S6';
  /** Share of the cycle under load, where the type has one. */
  readonly factor: number | undefined;
  readonly text: string;
}

export const dutySource = remembered('standard', 'IEC 60034-1', '2022', '4.2 (duty types)');

/**
 * Names a duty cycle: S1 running evenly, S2 once and then long at rest, S3 in turns with standstill, S4 the same where
 * starting
 * heats, S6 in turns with idling. A cycle over ten minutes in turns is not S3, S4 or S6 by the standard.
 */
export function dutyOf(cycle: readonly Segment[], startsPerHour: number): DutyType {
  const total = cycleTime(cycle);
  const of = (keep: (s: Segment) => boolean): number => cycleTime(cycle.filter(keep)) / total;
  const rest = of((s) => s.rest);
  const idle = of((s) => !s.rest && s.ratio < 0.15);
  const percent = (share: number): string => `${Math.round(share * 100)} %`;
  if (rest > 0 && total > 3600)
    return {
      type: 'S2',
      factor: undefined,
      text: `S2 ${Math.round(((1 - rest) * total) / 60)} min: a run, then rest until cold`,
    };
  if (rest > 0) {
    const type = startsPerHour > 10 ? 'S4' : 'S3';
    return {
      type,
      factor: 1 - rest,
      text: `${type} ${percent(1 - rest)}: in turns with standstill${type === 'S4' ? ', and starting heats' : ''}`,
    };
  }
  if (idle > 0) return { type: 'S6', factor: 1 - idle, text: `S6 ${percent(1 - idle)}: in turns with idling` };
  return { type: 'S1', factor: undefined, text: 'S1: runs on, load varying' };
}
