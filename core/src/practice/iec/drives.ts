import type { DriveSize, Practice } from '../practice';
import { currentSeries, currentSeriesSource } from './tables/drives';
import { efficiencies } from './tables/motors';

/** Drives of preferred current ratings. */
export const drives = {
  driveSizes(voltage) {
    const sizes = currentSeries.map((current): DriveSize => {
      const rating = efficiencies.rows.findLast(([kw]) => (kw * 1000) / (Math.sqrt(3) * voltage * 0.78) <= current);
      const kw = rating?.[0] ?? 0.55;
      return { current, power: kw * 1000, name: `${current} A` };
    });
    return { value: sizes, source: currentSeriesSource };
  },
} satisfies Partial<Practice> & ThisType<Practice>;
