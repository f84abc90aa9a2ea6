import { constantLossShare } from '../physics';
import { q } from '../quantity';

/** What a plate's part-load efficiency says of its losses. */
export interface ConstantLossSaid {
  /** Share of full-load losses that does not go with load; may be no motor's. */
  readonly share: number;
  readonly field: 'efficiencyHalf' | 'efficiencyThreeQuarter';
  /** Share of rated load its efficiency stands at. */
  readonly load: number;
  readonly efficiency: number;
}

/** Efficiencies of a plate or list, 0 to 1. */
export interface EfficienciesSaid {
  readonly efficiency?: number | undefined;
  readonly efficiencyThreeQuarter?: number | undefined;
  readonly efficiencyHalf?: number | undefined;
}

/** From the efficiency at half load, which tells it sharper, else at three quarters; undefined where neither stands. */
export function constantLossSaid(of: EfficienciesSaid): ConstantLossSaid | undefined {
  const field = of.efficiencyHalf === undefined ? 'efficiencyThreeQuarter' : 'efficiencyHalf';
  const [eta, efficiency, load] = [of.efficiency, of[field], field === 'efficiencyHalf' ? 0.5 : 0.75];
  if (eta === undefined || efficiency === undefined) return undefined;
  const share = constantLossShare.of({ eta: q(eta, '1'), x: q(load, '1'), eta_x: q(efficiency, '1') });
  return { share, field, load, efficiency };
}

/** Shares that a cage motor's losses may have: common practice, a third to a half is usual. */
export const usualConstantLosses = { least: 0.1, most: 0.8 } as const;
export const isUsualConstantLoss = (share: number): boolean =>
  share >= usualConstantLosses.least && share <= usualConstantLosses.most;
