import { remembered } from '../../../contract';

/** Preferred current ratings in A (R10 series), used as the generic ladder of drive sizes. */
export const currentSeriesSource = remembered('standard', 'IEC 60059', '1999', 'standard current ratings');
export const currentSeries = [
  1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3, 8, 10, 12.5, 16, 20, 25, 31.5, 40, 50, 63, 80, 100, 125, 160, 200, 250, 315, 400,
  500, 630, 800, 1000,
] as const;
