import { commonPractice, model, remembered } from '../../law';
import { q } from '../../quantity';
import {
  atRating,
  fitOutcome,
  horsepower,
  poleColumn,
  suitableEnclosures,
  type DriveSize,
  type Practice,
} from '../practice';
import * as t from './tables';

const voltageSource = remembered('standard', 'NEMA MG 1', '2016', '12.44 (±10 % of rated voltage)');
const overloadSource = remembered('code', 'NFPA 70 (National Electrical Code)', '2023', '430.32(A)(1) and (C)');
const conductorSource = remembered('code', 'NFPA 70 (National Electrical Code)', '2023', '430.22');
const shaftHeightSource = remembered('standard', 'NEMA MG 1', '2016', '4.2.1 (dimension D)');
const enclosureSource = commonPractice('Enclosure words of NEMA MG 1, Part 1, and where the trade uses them');

/** Motor practice of North America: NEMA MG 1 motors installed by the National Electrical Code. */
export const northAmerica: Practice = {
  id: 'north-america',
  name: 'North America',
  words: { fullLoadCurrent: 'FLA', fullLoadCurrentLong: 'full-load amps', powerUnit: 'hp' },
  frequency: q(60, 'Hz'),
  conductorBasis: 'table',
  conductorFactor: { value: 1.25, source: conductorSource },
  ratings: t.premiumEfficiency.map(([hp]) => hp * horsepower),

  voltageFit(supply, motor) {
    const deviation = supply / motor - 1;
    const outcome = fitOutcome(deviation, 0.06, 0.1);
    return { outcome, deviation, limit: 0.1, source: voltageSource };
  },

  codeLetter(letter) {
    const row = t.codeLetters.find(([l]) => l === letter.toUpperCase());
    return row && { value: { low: row[1], high: row[2] }, source: t.codeLetterSource };
  },

  minimumEfficiency(nominal) {
    const row = t.efficiencyBands.find(([n]) => Math.abs(n - nominal * 100) < 0.051);
    return row && { value: row[1] / 100, source: t.efficiencyBandSource };
  },

  usualEfficiency(power, poles) {
    const premium = atRating(t.premiumEfficiency, power / horsepower, 3 + poleColumn(poles)) ?? 95;
    const loss = (100 / premium - 1) * 1.35;
    return {
      value: 1 / (1 + loss),
      source: model('Efficiency of an older motor', '35 % more loss than the premium table (NEMA MG 1 Table 12-12)'),
    };
  },

  shaftHeight(frame) {
    const digits = /^(\d{2,4})/.exec(frame.trim())?.[1];
    if (!digits) return undefined;
    const inches = digits.length === 2 ? Number(digits) / 16 : Number(digits.slice(0, 2)) / 4;
    return { value: inches * 25.4, source: shaftHeightSource };
  },

  tableCurrent(power, voltage) {
    const { column, off } = voltageColumn(voltage);
    if (off > 0.07) return undefined;
    const hp = power / horsepower;
    const last = t.tableCurrents.at(-1)?.[0] ?? 0;
    const value = hp > last * 1.01 ? undefined : atRating(t.tableCurrents, hp, column);
    return value === undefined ? undefined : { value, source: t.tableCurrentSource };
  },

  overload(serviceFactor) {
    return serviceFactor >= 1.15
      ? { trip: 1.25, maximum: 1.4, source: overloadSource }
      : { trip: 1.15, maximum: 1.3, source: overloadSource };
  },

  enclosures: (place) => ({ value: suitableEnclosures(place), source: enclosureSource }),

  enclosureClass(text) {
    const s = text.toUpperCase();
    if (/WASH/.test(s)) return 'washdown';
    if (/SEVERE|IEEE ?841/.test(s)) return 'severe-duty';
    if (/TEFC|TEBC|TENV|TEAO|TOTALLY/.test(s)) return 'enclosed';
    if (/ODP|OPEN|DRIP|WPI|DP/.test(s)) return 'open';
    return undefined;
  },

  lockedRotorCurrent(power, voltage) {
    const at230 = atRating(t.lockedRotorCurrents, power / horsepower, 0) ?? 0;
    return { value: (at230 * 230) / voltage, source: t.lockedRotorCurrentSource };
  },

  lockedRotorTorque(power, poles) {
    const percent = atRating(t.lockedRotorTorques, power / horsepower, poleColumn(poles)) ?? 0;
    return { value: percent / 100, source: t.lockedRotorTorqueSource };
  },

  driveSizes(voltage) {
    const { column } = voltageColumn(voltage);
    const sizes: DriveSize[] = [];
    for (const row of t.tableCurrents) {
      const current = row[column + 1];
      if (current) sizes.push({ current, power: row[0] * horsepower, name: `${row[0]} hp` });
    }
    return { value: sizes, source: t.tableCurrentSource };
  },
};

/** The table's column whose voltage lies nearest, and how far off it is: 440 to 480 V read the 460 V column, 400 V none well. */
function voltageColumn(voltage: number): { readonly column: number; readonly off: number } {
  const offs = t.tableCurrentVoltages.map((v) => Math.abs(voltage / v - 1));
  const off = Math.min(...offs);
  return { column: offs.indexOf(off), off };
}
