import { commonPractice, model, remembered } from '../../law';
import { q } from '../../quantity';
import { atRating, fitOutcome, poleColumn, suitableEnclosures, type DriveSize, type Practice } from '../practice';
import { codeLetters, codeLetterSource } from '../north-america/tables';
import * as t from './tables';

const voltageSource = remembered('standard', 'IEC 60034-1', '2022', '7.3 (zone A ±5 %, zone B ±10 %)');
const overloadSource = remembered('standard', 'IEC 60947-4-1', '2018', 'Table 2 (trip between 1.05 and 1.2 × setting)');
const toleranceSource = remembered('standard', 'IEC 60034-1', '2022', 'Table 20 (tolerance on efficiency)');
const frameHeightSource = remembered('standard', 'IEC 60072-1', '1991', 'shaft height H');
const enclosureSource = remembered('standard', 'IEC 60034-5', '2020', 'IP codes; where used: common practice');

/** Share of the standard's locked-rotor limit that the generic motor is taken to draw. */
const usualShare = 0.75;

/** Motor practice under IEC: 60034 motors, 60947 starters. */
export const iec: Practice = {
  id: 'iec',
  name: 'IEC',
  words: { fullLoadCurrent: 'Iₙ', fullLoadCurrentLong: 'rated current', powerUnit: 'kW' },
  frequency: q(50, 'Hz'),
  conductorBasis: 'plate',
  conductorFactor: {
    value: 1,
    source: commonPractice('Cable for at least the plate current (IEC 60364-4-43: I_B ≤ I_n ≤ I_z)'),
  },
  ratings: t.efficiencies.map(([kw]) => kw * 1000),

  voltageFit(supply, motor) {
    const deviation = supply / motor - 1;
    const outcome = fitOutcome(deviation, 0.055, 0.1);
    return { outcome, deviation, limit: 0.1, source: voltageSource };
  },

  // A code letter on an imported motor still means what its own code says.
  codeLetter(letter) {
    const row = codeLetters.find(([l]) => l === letter.toUpperCase());
    return row && { value: { low: row[1], high: row[2] }, source: codeLetterSource };
  },

  minimumEfficiency(nominal, power) {
    const share = power <= 150_000 ? 0.15 : 0.1;
    return { value: nominal - share * (1 - nominal), source: toleranceSource };
  },

  usualEfficiency(power, poles) {
    const ie2 = atRating(t.efficiencies, power / 1000, poleColumn(poles)) ?? 95;
    return {
      value: ie2 / 100,
      source: model('Efficiency of an older motor', 'taken as class IE2 (IEC 60034-30-1)'),
    };
  },

  shaftHeight(frame) {
    const height = /^(\d{2,3})\s*[SMLX]?/i.exec(frame.trim())?.[1];
    return height === undefined ? undefined : { value: Number(height), source: frameHeightSource };
  },

  tableCurrent: (_power, _voltage, plate) => ({
    value: plate,
    source: commonPractice('IEC practice has no table current; the plate current stands'),
  }),

  overload: () => ({ trip: 1.2, source: overloadSource }),

  enclosures: (place) => ({ value: suitableEnclosures(place), source: enclosureSource }),

  enclosureClass(text) {
    const s = text.toUpperCase().replace(/\s/g, '');
    const ip = /IP(\d)(\d)/.exec(s);
    if (ip) {
      const [solid, water] = [Number(ip[1]), Number(ip[2])];
      if (solid >= 5 && water >= 6) return 'washdown';
      if (solid >= 4 && water >= 4) return 'enclosed';
      return 'open';
    }
    if (/TEFC|TENV/.test(s)) return 'enclosed';
    return /ODP|OPEN/.test(s) ? 'open' : undefined;
  },

  lockedRotorCurrent(power, voltage) {
    const kw = power / 1000;
    const perKw = t.lockedRotorPower.find(([to]) => kw <= to)?.[1] ?? 10;
    return {
      value: (usualShare * perKw * power) / (Math.sqrt(3) * voltage),
      source: model('Locked-rotor current of a generic motor', '75 % of the limit of IEC 60034-12:2002, Table 2'),
    };
  },

  lockedRotorTorque(power, poles) {
    const value = atRating(t.lockedRotorTorques, power / 1000, poleColumn(poles)) ?? 0;
    return { value, source: t.lockedRotorTorqueSource };
  },

  driveSizes(voltage) {
    const sizes = t.currentSeries.map((current): DriveSize => {
      const rating = t.efficiencies.findLast(([kw]) => (kw * 1000) / (Math.sqrt(3) * voltage * 0.78) <= current);
      const kw = rating?.[0] ?? 0.55;
      return { current, power: kw * 1000, name: `${current} A` };
    });
    return { value: sizes, source: t.currentSeriesSource };
  },
};
