import { remembered } from '../../contract';
import { horsepower, type DriveSize, type Practice } from '../practice';
import { cell } from '../table';
import { voltageColumn } from './guard';
import { tableCurrents } from './tables/guard';

/** Drives, sold beside a horsepower: the generic ladder is the code's table of currents. */
export const drives = {
  driveServiceFactor: 1.15,
  driveInputFactor: {
    value: 1.25,
    source: remembered('code', 'NFPA 70 (National Electrical Code)', '2023', '430.122(A)'),
  },

  driveSizes(voltage) {
    const { column } = voltageColumn(voltage);
    const sizes: DriveSize[] = [];
    for (const row of tableCurrents.rows) {
      const current = cell(tableCurrents, row, column);
      if (current) sizes.push({ current, power: row[0] * horsepower, name: `${row[0]} hp` });
    }
    return { value: sizes, source: tableCurrents.source };
  },
} satisfies Partial<Practice> & ThisType<Practice>;
