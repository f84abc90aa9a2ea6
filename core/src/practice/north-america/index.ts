import { commonPractice, model, remembered } from '../../contract';
import { q } from '../../quantity';
import { readFrame } from '../frames';
import {
  atRating,
  classOfProtection,
  exactly,
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
const lowSpeedSource = remembered(
  'code',
  'NFPA 70 (National Electrical Code)',
  '2023',
  '430.6(A)(1), motors built for low speeds (less than 1200 r/min)',
);
const shaftHeightSource = remembered('standard', 'NEMA MG 1', '2016', '4.2.1 (dimension D)');
const enclosureSource = commonPractice('Enclosure words of NEMA MG 1, Part 1, and where the trade uses them');

const stallSource = remembered(
  'standard',
  'NEMA MG 1',
  '2016',
  '12.49 (to 500 hp: at least 12 s at running temperature)',
);
const inertiaSource = remembered(
  'standard',
  'NEMA MG 1',
  '2016',
  '12.54.1 (load Wk², torque with the square of speed)',
);

/** Motor practice of North America: NEMA MG 1 motors installed by the National Electrical Code. */
export const northAmerica: Practice = {
  id: 'north-america',
  name: 'North America',
  words: {
    fullLoadCurrent: 'FLA',
    fullLoadCurrentLong: 'full-load amps',
    powerUnit: 'hp',
    market: 'the United States',
  },
  frequency: q(60, 'Hz'),
  driveServiceFactor: 1.15,
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

  frameSystem: 'nema',
  motorVoltages: [
    115, 190, 200, 208, 220, 230, 240, 380, 400, 415, 440, 460, 480, 550, 575, 600, 690, 2300, 4000, 4160,
  ],
  nominalEfficiencies: { value: t.efficiencyBands.map(([n]) => n / 100), source: t.efficiencyBandSource },
  frame: (designation, poles) => readFrame(designation, 'nema', poles),

  standardFrame(power, poles) {
    const frame = poles > 6 ? undefined : t.frames.find(([hp]) => sameRating(hp, power))?.[poleColumn(poles) + 1];
    return frame === undefined ? undefined : { value: String(frame), source: t.frameSource };
  },

  ratingsInFrame(designation, poles) {
    const digits = /\d+/.exec(designation)?.[0];
    if (poles > 6) return [];
    return t.frames
      .filter((row) => /\d+/.exec(String(row[poleColumn(poles) + 1]))?.[0] === digits)
      .map(([hp]) => hp * horsepower);
  },

  efficiencyClasses(power, poles, open = false) {
    if (poles > 6) return [];
    const column = (open ? 0 : 3) + poleColumn(poles);
    const hp = power / horsepower;
    const classes = [
      { name: 'energy efficient', rows: t.energyEfficient, source: t.energyEfficientSource },
      { name: 'premium', rows: t.premiumEfficiency, source: t.premiumEfficiencySource },
    ];
    return classes.flatMap(({ name, rows, source }) => {
      const percent = exactly(rows, hp, column);
      return percent === undefined ? [] : [{ name, efficiency: percent / 100, source }];
    });
  },

  readEfficiencyClass(text) {
    if (/PREM|IE ?3/i.test(text)) return 'premium';
    return /EPACT|ENERGY|HIGH|IE ?2/i.test(text) ? 'energy efficient' : undefined;
  },

  efficiencyFloor(power, poles, year, open) {
    const hp = power / horsepower;
    const floor = floors.findLast((f) => year > f.since && hp <= f.upTo * 1.01);
    const found = floor && this.efficiencyClasses(power, poles, open).find((c) => c.name === floor.name);
    return floor && found && { ...found, since: floor.since, source: floor.source };
  },

  design(letter, power, poles) {
    const hp = power / horsepower;
    const locked = exactly(t.lockedRotorTorques, hp, poleColumn(poles));
    const breakdown = atRating(t.breakdownTorques, hp, Math.min(3, poles / 2 - 1));
    const share = (percent: number | undefined): number | undefined =>
      percent === undefined ? undefined : percent / 100;
    const column = Math.max(0, Math.min(2, poles / 2 - 2));
    const name = letter.trim().toUpperCase();
    switch (name) {
      case 'A':
      case 'B':
        return {
          letter: name,
          words:
            name === 'A'
              ? 'normal starting torque, starting current not limited'
              : 'normal starting torque, low starting current: the usual one',
          lockedRotorTorque: poles > 6 ? undefined : share(locked),
          breakdownTorque: share(breakdown),
          limitsCurrent: name === 'B',
          source: t.breakdownTorqueSource,
        };
      case 'C':
        return {
          letter: name,
          words: 'high starting torque, for loads that are hard to start',
          lockedRotorTorque: poles < 4 || hp > 200 ? undefined : share(atRating(t.designCLockedTorques, hp, column)),
          breakdownTorque: poles < 4 || hp > 200 ? undefined : share(atRating(t.designCBreakdownTorques, hp, column)),
          limitsCurrent: true,
          source: t.designCTorqueSource,
        };
      case 'D':
        return {
          letter: name,
          words: 'very high starting torque and slip, for presses and hoists',
          lockedRotorTorque: poles < 4 || hp > 150 ? undefined : t.designDLockedTorque / 100,
          limitsCurrent: true,
          source: t.designDTorqueSource,
        };
      default:
        return undefined;
    }
  },

  lockedRotorLimit(power, voltage) {
    return this.lockedRotorCurrent(power, voltage);
  },

  shaftHeight(frame) {
    const found = readFrame(frame, 'nema');
    return found && { value: found.shaftHeight, source: found.system === 'nema' ? shaftHeightSource : found.source };
  },

  tableCurrent(power, voltage, _plate, supply) {
    const { column, off } = voltageColumn(usedAt208(voltage, supply) ? 208 : voltage);
    if (off > 0.07) return undefined;
    const hp = power / horsepower;
    const last = t.tableCurrents.at(-1)?.[0] ?? 0;
    const value = hp > last * 1.01 ? undefined : atRating(t.tableCurrents, hp, column);
    return value === undefined ? undefined : { value, source: t.tableCurrentSource };
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

  enclosures: (place) => ({ value: suitableEnclosures(place), source: enclosureSource }),

  enclosureClass(text) {
    const s = text.toUpperCase();
    if (/WASH/.test(s)) return 'washdown';
    if (/SEVERE|IEEE ?841/.test(s)) return 'severe-duty';
    if (/TEFC|TEBC|TENV|TEAO|TOTALLY/.test(s)) return 'enclosed';
    if (/ODP|OPEN|DRIP|WPI|DP/.test(s)) return 'open';
    return classOfProtection(text);
  },

  lockedRotorCurrent(power, voltage) {
    const at230 = atRating(t.lockedRotorCurrents, power / horsepower, 0) ?? 0;
    return { value: (at230 * 230) / voltage, source: t.lockedRotorCurrentSource };
  },

  lockedRotorTorque(power, poles) {
    const hp = power / horsepower;
    const percent =
      (poles > 6 ? atRating(t.eightPoleLockedTorques, hp, 0) : atRating(t.lockedRotorTorques, hp, poleColumn(poles))) ??
      0;
    return { value: percent / 100, source: t.lockedRotorTorqueSource };
  },

  breakdownTorque(power, poles) {
    const column = Math.max(0, Math.min(3, poles / 2 - 1));
    const hp = power / horsepower;
    const percent = atRating(t.breakdownTorques, hp, column) ?? atRating(t.breakdownTorques, 1.5, column) ?? 0;
    return { value: percent / 100, source: t.breakdownTorqueSource };
  },

  pullUpTorque(power, poles) {
    const locked = this.lockedRotorTorque(power, poles).value;
    return { value: pullUpOf(locked), source: t.pullUpTorqueSource };
  },

  leastSheave(frame) {
    const inches = t.leastSheaves[/^\d+T/.exec(frame)?.[0] ?? ''];
    return inches === undefined ? undefined : { value: inches * 0.0254, source: t.leastSheaveSource };
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

  stallTime: { value: 12, source: stallSource },

  inertiaLimit(power, poles) {
    const hp = power / horsepower;
    const thousands = 7.2 / poles;
    const factor = poles === 2 ? 27 : 24;
    const pounds = (factor * hp ** 0.95) / thousands ** 2.4 - (0.0685 * hp ** 1.5) / thousands ** 1.8;
    return { value: pounds * 0.45359237 * 0.3048 ** 2, source: inertiaSource };
  },
};

/** NEMA MG 1 12.40.1: least pull-up torque from locked-rotor torque, both ÷ rated. */
const pullUpOf = (locked: number): number => (locked <= 1.1 ? 0.9 * locked : locked < 1.45 ? 1 : 0.7 * locked);

const sameRating = (hp: number, power: number): boolean => Math.abs((hp * horsepower) / power - 1) < 0.011;

/** Classes the United States asked of new motors, and up to which rating, hp. Exempt kinds and exports exist. */
const floors = [
  {
    name: 'energy efficient',
    since: 1997,
    upTo: 200,
    source: remembered('code', 'Energy Policy Act', '1992', 'in force October 1997'),
  },
  {
    name: 'premium',
    since: 2010,
    upTo: 200,
    source: remembered('code', 'Energy Independence and Security Act', '2007', 'in force December 2010'),
  },
  {
    name: 'premium',
    since: 2016,
    upTo: 500,
    source: remembered('code', '10 CFR 431.25', '2014', 'in force June 2016'),
  },
] as const;

/** A motor rated 220 to 240 V on a 208 V network: the table has a column for what it draws there. One rated 200 V keeps its own. */
const usedAt208 = (voltage: number, supply: number | undefined): boolean =>
  supply !== undefined && supply >= 204 && supply <= 212 && voltage >= 220 && voltage <= 240;

/** The table's column whose voltage lies nearest, and how far off it is: 440 to 480 V read the 460 V column, 400 V none well. */
function voltageColumn(voltage: number): { readonly column: number; readonly off: number } {
  const offs = t.tableCurrentVoltages.map((v) => Math.abs(voltage / v - 1));
  const off = Math.min(...offs);
  return { column: offs.indexOf(off), off };
}
