import { commonPractice, model, remembered } from '../../contract';
import { q } from '../../quantity';
import { readFrame } from '../frames';
import {
  atRating,
  classOfProtection,
  exactly,
  fitOutcome,
  poleColumn,
  suitableEnclosures,
  type DriveSize,
  type Practice,
  type Rows,
} from '../practice';
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
const inertiaSource = remembered(
  'standard',
  'IEC 60034-12',
  '2016',
  'clause 5.3 or 6.3 (external inertia of design N, torque with the square of speed)',
);

export const iec: Practice = {
  id: 'iec',
  name: 'IEC',
  words: { fullLoadCurrent: 'Iₙ', fullLoadCurrentLong: 'rated current', powerUnit: 'kW', market: 'the European Union' },
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

  frameSystem: 'iec',
  motorVoltages: [
    110, 127, 200, 208, 220, 230, 240, 265, 266, 290, 380, 400, 415, 440, 460, 480, 500, 525, 575, 600, 660, 690, 720,
    760, 3000, 3300, 6000, 6600, 10000, 11000,
  ],
  frame: (designation, poles) => readFrame(designation, 'iec', poles),

  standardFrame(power, poles) {
    const frame = poles > 6 ? undefined : t.frames.find(([kw]) => sameRating(kw, power))?.[poleColumn(poles) + 1];
    return frame === undefined ? undefined : { value: String(frame), source: t.frameSource };
  },

  ratingsInFrame(designation, poles) {
    const name = /\d+[SML]?/.exec(designation.toUpperCase())?.[0] ?? '';
    if (poles > 6) return [];
    return t.frames.filter((row) => String(row[poleColumn(poles) + 1]).startsWith(name)).map(([kw]) => kw * 1000);
  },

  efficiencyClasses(power, poles) {
    if (poles > 6) return [];
    const kw = power / 1000;
    const column = poleColumn(poles);
    const classes = [
      { name: 'IE1', percent: exactly(t.ie1, kw, column), source: t.ie1Source },
      { name: 'IE2', percent: exactly(t.efficiencies, kw, column), source: t.efficiencySource },
      { name: 'IE3', percent: exactly(t.efficiencies, kw, 3 + column), source: t.efficiencySource },
      { name: 'IE4', percent: exactly(t.efficiencies, kw, 6 + column), source: t.efficiencySource },
    ];
    return classes.flatMap(({ name, percent, source }) =>
      percent === undefined ? [] : [{ name, efficiency: percent / 100, source }],
    );
  },

  readEfficiencyClass: (text) => {
    const digit = /IE\s*-?([1-4])/i.exec(text)?.[1];
    return digit === undefined ? undefined : `IE${digit}`;
  },

  efficiencyFloor(power, poles, year) {
    const kw = power / 1000;
    const floor = floors.findLast((f) => year > f.since && kw >= f.from * 0.99 && kw <= f.upTo * 1.01);
    const found = floor && this.efficiencyClasses(power, poles).find((c) => c.name === floor.name);
    return floor && found && { ...found, since: floor.since, source: floorSource };
  },

  design(letter, power, poles) {
    const name = letter.trim().toUpperCase();
    if (!/^[NH][EY]{0,2}$/.test(name)) return undefined;
    const kw = power / 1000;
    const column = poleColumn(poles);
    const locked = atBand(t.lockedRotorTorques, kw, column);
    const breakdown = atBand(t.breakdownTorques, kw, column);
    const star = name.includes('Y') ? ', made for star-delta' : '';
    if (poles > 6 || kw > 630 || locked === undefined || breakdown === undefined)
      return {
        letter: name,
        words: `beyond the tables here${star}`,
        limitsCurrent: true,
        source: t.lockedRotorTorqueSource,
      };
    if (name.startsWith('H'))
      return {
        letter: name,
        words: `high starting torque${star}`,
        lockedRotorTorque: Math.max(2, 1.5 * locked),
        breakdownTorque: Math.max(1.9, breakdown),
        limitsCurrent: true,
        source: t.designHSource,
      };
    return {
      letter: name,
      words: `normal starting torque${name.includes('E') ? ', with the higher starting current of high efficiency' : ''}${star}`,
      lockedRotorTorque: locked,
      breakdownTorque: breakdown,
      limitsCurrent: true,
      source: t.lockedRotorTorqueSource,
    };
  },

  lockedRotorLimit(power, voltage) {
    const perKw = t.lockedRotorPower.find(([to]) => power / 1000 <= to)?.[1] ?? 10;
    return { value: (perKw * power) / (Math.sqrt(3) * voltage), source: t.lockedRotorPowerSource };
  },

  shaftHeight(frame) {
    const found = readFrame(frame, 'iec');
    return found && { value: found.shaftHeight, source: found.system === 'iec' ? frameHeightSource : found.source };
  },

  tableCurrent: (_power, _voltage, plate) => ({
    value: plate,
    source: commonPractice('IEC practice has no table current; the plate current stands'),
  }),

  overload: () => ({ trip: 1.2, because: 'any motor', source: overloadSource }),

  enclosures: (place) => ({ value: suitableEnclosures(place), source: enclosureSource }),

  enclosureClass(text) {
    const byCode = classOfProtection(text);
    if (byCode !== undefined) return byCode;
    const s = text.toUpperCase();
    if (/TEFC|TENV|TEBC/.test(s)) return 'enclosed';
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
    const kw = power / 1000;
    const value =
      (poles > 6 ? atRating(t.eightPoleTorques, kw, 0) : atRating(t.lockedRotorTorques, kw, poleColumn(poles))) ?? 0;
    return { value, source: t.lockedRotorTorqueSource };
  },

  breakdownTorque(power, poles) {
    const kw = power / 1000;
    const value =
      (poles > 6 ? atRating(t.eightPoleTorques, kw, 1) : atRating(t.breakdownTorques, kw, poleColumn(poles))) ?? 0;
    return { value, source: t.breakdownTorqueSource };
  },

  pullUpTorque(power, poles) {
    const column = Math.max(0, Math.min(3, poles / 2 - 1));
    return { value: atRating(t.pullUpTorques, power / 1000, column) ?? 0, source: t.pullUpTorqueSource };
  },

  leastSheave: () => undefined,

  driveSizes(voltage) {
    const sizes = t.currentSeries.map((current): DriveSize => {
      const rating = t.efficiencies.findLast(([kw]) => (kw * 1000) / (Math.sqrt(3) * voltage * 0.78) <= current);
      const kw = rating?.[0] ?? 0.55;
      return { current, power: kw * 1000, name: `${current} A` };
    });
    return { value: sizes, source: t.currentSeriesSource };
  },

  stallTime: {
    value: 10,
    source: commonPractice('A hot cage motor bears its locked-rotor current for 10 to 20 s; the lower end taken'),
  },

  inertiaLimit(power, poles) {
    return { value: 0.04 * (power / 1000) ** 0.9 * (poles / 2) ** 2.5, source: inertiaSource };
  },
};

const sameRating = (kw: number, power: number): boolean => Math.abs((kw * 1000) / power - 1) < 0.011;

/** Value of a table by bands whose first column is the band's upper end. */
const atBand = (rows: Rows, kw: number, column: number): number | undefined =>
  rows.find((r) => kw <= r[0])?.[column + 1] ?? undefined;

/** Classes the European Union asked of new motors, by rating in kW. Exempt kinds and exports exist. */
const floorSource = remembered(
  'code',
  'Regulations (EC) 640/2009 and (EU) 2019/1781',
  '2009 and 2019',
  'dates of application',
);
const floors = [
  { name: 'IE2', since: 2011, from: 0.75, upTo: 375 },
  { name: 'IE3', since: 2017, from: 0.75, upTo: 375 },
  { name: 'IE4', since: 2023, from: 75, upTo: 200 },
] as const;
