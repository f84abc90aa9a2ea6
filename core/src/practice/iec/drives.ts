import { remembered } from '../../contract';
import type { DriveSize, Practice } from '../practice';
import { cell } from '../table';
import { equipmentLimits, equipmentReach, fifthBetween, fifthLimits, plantVoltage } from '../usual/distortion';
import { currentSeries, currentSeriesSource } from './tables/drives';
import { efficiencies } from './tables/motors';

/** Drives of preferred current ratings. */
export const drives = {
  driveInputFactor: { value: 1, source: remembered('standard', 'IEC 60364-4-43', '2008', '433.1: I_B ≤ I_n ≤ I_z') },

  driveSizes(voltage) {
    const sizes = currentSeries.map((current): DriveSize => {
      const rating = efficiencies.rows.findLast(([kw]) => (kw * 1000) / (Math.sqrt(3) * voltage * 0.78) <= current);
      const kw = rating?.[0] ?? 0.55;
      return { current, power: kw * 1000, name: `${current} A` };
    });
    return { value: sizes, source: currentSeriesSource };
  },

  judgeEquipment({ current, ratio, shares, fifth, voltage }, say) {
    if (voltage !== undefined && voltage > plantVoltage.class2)
      say(
        `The voltage is distorted by ${(100 * voltage).toFixed(1)} %: ` +
          (voltage > plantVoltage.class3
            ? 'more than class 3 (10 %) bears.'
            : 'class 3 bears it (10 %), class 2 (8 %) does not.'),
        plantVoltage.source,
      );
    if (current < equipmentReach.from || current > equipmentReach.to) return;
    const [from, to] = fifthBetween;
    const limits = fifth !== undefined && fifth >= from && fifth <= to ? fifthLimits : equipmentLimits;
    const counted = shares.filter(([order]) => order <= 40);
    const total = Math.hypot(...counted.map(([, share]) => share));
    const weighted = Math.hypot(...counted.map(([order, share]) => (order < 14 ? 0 : Math.sqrt(order) * share)));
    const of = (order: number): number => shares.find(([o]) => o === order)?.[1] ?? 0;
    const keeps = (row: (typeof limits.rows)[number]): boolean =>
      total <= (cell(limits, row, 'thc') ?? 0) &&
      weighted <= (cell(limits, row, 'pwhc') ?? 0) &&
      ([5, 7, 11, 13] as const).every((h) => of(h) <= (cell(limits, row, `${h}`) ?? 0));
    const row = limits.rows.find(keeps);
    if (row && ratio !== undefined && ratio >= row[0]) return;
    say(
      row
        ? `As equipment to 75 A it may be connected where the fault current is ${row[0]} times its own or more` +
            `${ratio === undefined ? '' : `, here it is ${Math.round(ratio)} times`}.`
        : `As equipment to 75 A it distorts more than any fault level permits: ${Math.round(100 * total)} % in all.`,
      limits.source,
    );
  },
} satisfies Partial<Practice> & ThisType<Practice>;
