import { isUpTo } from '../../law';
import { remembered } from '../../contract';
import { horsepower, type Practice } from '../practice';
import { atRating } from '../table';
import { codeLetters, codeLetterSource, tableCurrents } from './tables/guard';

const overloadSource = remembered('code', 'NFPA 70 (National Electrical Code)', '2023', '430.32(A)(1) and (C)');
const conductorSource = remembered('code', 'NFPA 70 (National Electrical Code)', '2023', '430.22');
const lowSpeedSource = remembered(
  'code',
  'NFPA 70 (National Electrical Code)',
  '2023',
  '430.6(A)(1), motors built for low speeds (less than 1200 r/min)',
);

type TableVoltage = (typeof tableCurrents.columns)[number];

/** What protects and feeds a motor by the National Electrical Code. */
export const guard = {
  conductorBasis: 'table',

  conductorFactor: { value: 1.25, source: conductorSource },

  stampsCodeLetter: true,

  codeLetter(letter) {
    const row = codeLetters.find(([l]) => l === letter.toUpperCase());
    return row && { value: { low: row[1], high: row[2] }, source: codeLetterSource };
  },

  tableCurrent(power, voltage, _plate, supply) {
    const { column, off } = voltageColumn(usedAt208(voltage, supply) ? 208 : voltage);
    if (off > 0.07) return undefined;
    const hp = power / horsepower;
    const last = tableCurrents.rows.at(-1)?.[0] ?? 0;
    const value = !isUpTo(hp, last) ? undefined : atRating(tableCurrents, hp, column);
    return value === undefined ? undefined : { value, source: tableCurrents.source };
  },

  lowSpeed: { value: 1200, source: lowSpeedSource },

  overload(serviceFactor, rise) {
    const cool = rise !== undefined && rise <= 40;
    const because =
      serviceFactor < 1.15 && cool
        ? `a marked rise of ${rise} K`
        : `service factor ${Number(serviceFactor.toFixed(3))}`;
    return serviceFactor >= 1.15 || cool
      ? { trip: 1.25, maximum: 1.4, because, source: overloadSource }
      : { trip: 1.15, maximum: 1.3, because, source: overloadSource };
  },
} satisfies Partial<Practice> & ThisType<Practice>;

/**
 * A motor rated 220 to 240 V on a 208 V network: the table has a column for what it draws there. One rated 200 V keeps
 * its own.
 */
const usedAt208 = (voltage: number, supply: number | undefined): boolean =>
  supply !== undefined && supply >= 204 && supply <= 212 && voltage >= 220 && voltage <= 240;

/**
 * The table's column whose voltage lies nearest, and how far off it is: 440 to 480 V read the 460 V column, 400 V none
 * well.
 */
export function voltageColumn(voltage: number): { readonly column: TableVoltage; readonly off: number } {
  const off = (column: TableVoltage): number => Math.abs(voltage / Number(column) - 1);
  const column = tableCurrents.columns.reduce((best, c) => (off(c) < off(best) ? c : best));
  return { column, off: off(column) };
}
