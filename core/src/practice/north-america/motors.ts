import { isUpTo } from '../../law';
import { commonPractice, model, remembered, type Prescribed, type Source } from '../../contract';
import { classOfProtection, suitableEnclosures } from '../enclosures';
import { readFrame } from '../frames';
import { fitOutcome, horsepower, type Practice } from '../practice';
import {
  asAtEnd,
  asEightPoles,
  atNearestRating,
  atRating,
  beyond,
  cell,
  exactly,
  from4Poles,
  reachesRating,
  safeSpeedOf,
  to6Poles,
  to8Poles,
} from '../table';
import * as t from './tables/motors';

const voltageSource = remembered('standard', 'NEMA MG 1', '2016', '12.44 (±10 % of rated voltage)');
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

/** kg·m² in one lb·ft². */
const poundFootSquared = 0.45359237 * 0.3048 ** 2;

/** Motors by NEMA MG 1. */
export const motors = {
  ratings: t.premiumEfficiency.rows.map(([hp]) => hp * horsepower),

  voltageFit(supply, motor) {
    const deviation = supply / motor - 1;
    const outcome = fitOutcome(deviation, 0.06, 0.1);
    return { outcome, deviation, limit: 0.1, source: voltageSource };
  },

  supplyFor(motor) {
    const nominal = cell(
      t.systemVoltages,
      t.systemVoltages.rows.find(([rated]) => rated === motor),
      'system',
    );
    return { value: nominal ?? motor, source: t.systemVoltages.source };
  },

  minimumEfficiency(nominal) {
    const row = t.efficiencyBands.rows.find(([n]) => Math.abs(n - nominal * 100) < 0.051);
    const least = cell(t.efficiencyBands, row, 'least');
    return least === undefined ? undefined : { value: least / 100, source: t.efficiencyBands.source };
  },

  usualEfficiency(power, poles, year) {
    const floor = year === undefined ? undefined : this.efficiencyFloor(power, poles, year);
    if (floor) return { value: floor.efficiency, source: floor.source };
    const hp = power / horsepower;
    const column = to6Poles(poles);
    const small = hp < smallBelow;
    const best = small
      ? atNearestRating(t.smallEfficiency, hp, column, 'hp')
      : atNearestRating(t.premiumEfficiency, hp, `enclosed ${column}`, 'hp');
    const premium = best?.value ?? 95;
    const more = (year === undefined ? undefined : lossByYear.find((l) => year < l.before)?.more) ?? 1.35;
    return {
      value: 1 / (1 + (100 / premium - 1) * more),
      source: model(
        'Efficiency of an older motor',
        `${Math.round((more - 1) * 100)} % more loss than ` +
          (small ? 'small motors must have (10 CFR 431.446)' : 'the premium table (NEMA MG 1 Table 12-12)') +
          (year === undefined ? ', year not known' : `, made in ${year}`) +
          asAtEnd(small ? t.smallEfficiency : t.premiumEfficiency, best, 'hp'),
      ),
    };
  },

  ordinaryPulse: { value: 1000, source: remembered('standard', 'NEMA MG 1', '2016', '30.2.2.8 (1000 V, 2 µs)') },
  drivePulse: (line) => ({
    value: 3.1 * line,
    source: remembered('standard', 'NEMA MG 1', '2016', '31.4.4.2 (3.1 × rated, 0.1 µs)'),
  }),

  frameSystem: 'nema',

  leadMarks: 'numbers',

  motorVoltages: [
    115, 190, 200, 208, 220, 230, 240, 380, 400, 415, 440, 460, 480, 550, 575, 600, 690, 2300, 4000, 4160,
  ],

  efficiencyTabledAt: 60,

  nominalEfficiencies: { value: t.efficiencyBands.rows.map(([n]) => n / 100), source: t.efficiencyBandSource },

  frame: (designation, poles) => readFrame(designation, 'nema', poles),

  standardFrame(power, poles, of) {
    const table =
      of?.series === 'U' ? t.uFrames : of?.series === 'first' ? t.firstFrames : of?.open ? t.openFrames : t.frames;
    const frame = poles > 6 ? undefined : exactly(table, power / horsepower, to6Poles(poles));
    return frame === undefined ? undefined : { value: frame, source: table.source };
  },

  ratingsInFrame(frame, poles) {
    if (poles > 6) return [];
    const digits = (name: string | undefined): string | undefined => /\d+/.exec(name ?? '')?.[0];
    const tables =
      frame.series === 'U' ? [t.uFrames] : frame.series === 'first' ? [t.firstFrames] : [t.frames, t.openFrames];
    const held = tables.flatMap((of) =>
      of.rows.filter((row) => digits(cell(of, row, to6Poles(poles))) === digits(frame.designation)).map(([hp]) => hp),
    );
    return [...new Set(held)].sort((a, b) => a - b).map((hp) => hp * horsepower);
  },

  efficiencyClasses(power, poles, open = false) {
    if (poles > 6) return [];
    const column = `${open ? 'open' : 'enclosed'} ${to6Poles(poles)}` as const;
    const hp = power / horsepower;
    const classes = [
      { name: 'energy efficient', table: t.energyEfficient },
      { name: 'premium', table: t.premiumEfficiency },
    ];
    return classes.flatMap(({ name, table }) => {
      const percent = exactly(table, hp, column);
      return percent === undefined ? [] : [{ name, efficiency: percent / 100, source: table.source }];
    });
  },

  readEfficiencyClass(text) {
    if (/PREM|IE ?3/i.test(text)) return 'premium';
    return /EPACT|ENERGY|HIGH|IE ?2/i.test(text) ? 'energy efficient' : undefined;
  },

  efficiencyFloor(power, poles, year, open) {
    const hp = power / horsepower;
    const floor = floors.findLast((f) => year > f.since && isUpTo(hp, f.upTo));
    const found = floor && this.efficiencyClasses(power, poles, open).find((c) => c.name === floor.name);
    return floor && found && { ...found, since: floor.since, source: floor.source };
  },

  usualDesign: 'B',

  design(letter, power, poles) {
    const hp = power / horsepower;
    const locked =
      poles > 8
        ? undefined
        : poles > 6
          ? atRating(t.eightPoleLockedTorques, hp, '8')
          : exactly(t.lockedRotorTorques, hp, to6Poles(poles));
    const breakdown = atRating(t.breakdownTorques, hp, to8Poles(poles));
    const share = (percent: number | undefined): number | undefined =>
      percent === undefined ? undefined : percent / 100;
    const column = from4Poles(poles);
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
          lockedRotorTorque: share(locked),
          breakdownTorque: poles > 8 ? undefined : share(breakdown),
          limitsCurrent: name === 'B',
          source: t.breakdownTorqueSource,
        };
      case 'C':
        return {
          letter: name,
          words: 'high starting torque, for loads that are hard to start',
          lockedRotorTorque:
            poles < 4 || poles > 8 || hp > 200 ? undefined : share(atRating(t.designCLockedTorques, hp, column)),
          breakdownTorque:
            poles < 4 || poles > 8 || hp > 200 ? undefined : share(atRating(t.designCBreakdownTorques, hp, column)),
          limitsCurrent: true,
          source: t.designCTorqueSource,
        };
      case 'D':
        return {
          letter: name,
          words: 'very high starting torque and slip, for presses and hoists',
          lockedRotorTorque: poles < 4 || poles > 8 || hp > 150 ? undefined : t.designDLockedTorque / 100,
          limitsCurrent: true,
          source: t.designDTorqueSource,
        };
      default:
        return undefined;
    }
  },

  lockedRotorLimit(power, voltage, frequency) {
    const hp = power / horsepower;
    return reachesRating(lockedRotorTable(frequency).of, hp) ? lockedRotorAt(hp, voltage, frequency) : undefined;
  },

  shaftHeight(frame) {
    const found = readFrame(frame, 'nema');
    return found && { value: found.shaftHeight, source: found.system === 'nema' ? shaftHeightSource : found.source };
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

  lockedRotorCurrent: (power, voltage, frequency) => lockedRotorAt(power / horsepower, voltage, frequency),

  startsOnLine(power, poles, inertia) {
    const hp = power / horsepower;
    const { rows } = t.starts;
    const above = rows.find((r) => isUpTo(hp, r[0]));
    const below = rows.findLast((r) => isUpTo(r[0], hp));
    if (poles > 6 || !above || !below) return undefined;
    // Between two ratings the more cautious of each: starts and rest of the larger, inertia of the smaller.
    const of = (row: typeof above, column: 'A' | 'B' | 'C'): number =>
      cell(t.starts, row, `${column} ${to6Poles(poles)}`) ?? 0;
    const starts = Math.min(of(above, 'A'), of(below, 'B') / (inertia / poundFootSquared));
    return { value: { starts, rest: of(above, 'C') }, source: t.startsSource };
  },

  safeSpeed: (power, poles) => safeSpeedOf(t.safeSpeeds, power / horsepower, poles, 'hp'),

  lockedRotorTorque(power, poles) {
    const hp = power / horsepower;
    const found =
      poles > 6
        ? atNearestRating(t.eightPoleLockedTorques, hp, '8', 'hp')
        : atNearestRating(t.lockedRotorTorques, hp, to6Poles(poles), 'hp');
    return asEightPoles(asShare(found, t.lockedRotorTorqueSource), poles);
  },

  breakdownTorque(power, poles) {
    const found = atNearestRating(t.breakdownTorques, power / horsepower, to8Poles(poles), 'hp');
    return asEightPoles(asShare(found, t.breakdownTorqueSource), poles);
  },

  pullUpTorque(power, poles) {
    const locked = this.lockedRotorTorque(power, poles);
    const source = locked.source === t.lockedRotorTorqueSource ? t.pullUpTorqueSource : locked.source;
    return { value: pullUpOf(locked.value), source };
  },

  leastSheave(frame) {
    const inches = t.leastSheaves[/^\d+T/.exec(frame)?.[0] ?? ''];
    return inches === undefined ? undefined : { value: inches * 0.0254, source: t.leastSheaveSource };
  },

  stallTimeTo: 500 * horsepower,
  stallTime: { value: 12, source: stallSource },

  inertiaLimit(power, poles) {
    const hp = power / horsepower;
    const thousands = 7.2 / poles;
    const factor = poles === 2 ? 27 : 24;
    const pounds = (factor * hp ** 0.95) / thousands ** 2.4 - (0.0685 * hp ** 1.5) / thousands ** 1.8;
    return { value: pounds * 0.45359237 * 0.3048 ** 2, source: inertiaSource };
  },
} satisfies Partial<Practice> & ThisType<Practice>;

const asShare = (percent: Prescribed<number> | undefined, otherwise: Source): Prescribed<number> => ({
  value: (percent?.value ?? 0) / 100,
  source: percent?.source ?? otherwise,
});

/** 50 Hz motors have a table of their own, at 380 V. */
const lockedRotorTable = (frequency: number) =>
  frequency < 55
    ? ({ of: t.lockedRotorCurrents50, at: 380 } as const)
    : ({ of: t.lockedRotorCurrents, at: 230 } as const);

/** Largest locked-rotor current in A of a design B motor; outside the table in proportion to its nearest row. */
function lockedRotorAt(hp: number, voltage: number, frequency: number): Prescribed<number> {
  const { of, at } = lockedRotorTable(frequency);
  const found = atNearestRating(of, hp, 'A', 'hp');
  if (!found || reachesRating(of, hp)) return { value: ((found?.value ?? 0) * at) / voltage, source: of.source };
  const source = beyond(of.source, found.row, 'hp', 'in proportion to');
  return { value: ((found.value * hp) / found.row) * (at / voltage), source };
}

/** hp from which the table of usual ratings begins; smaller ones have their own. */
const smallBelow = 0.99;

/**
 * Loss of a standard motor ÷ that of the premium table, by when it was made (common practice): cast iron full of copper
 * lost less for its day than what cheap energy made of the T frames' first years.
 */
const lossByYear = [
  { before: 1952, more: 1.9 },
  { before: 1970, more: 1.7 },
  { before: 1985, more: 1.6 },
] as const;

/** NEMA MG 1 12.40.1: least pull-up torque from locked-rotor torque, both ÷ rated. */
const pullUpOf = (locked: number): number => (locked <= 1.1 ? 0.9 * locked : locked < 1.45 ? 1 : 0.7 * locked);

/** Classes the United States asked of new motors, and up to which rating, hp. Exempt kinds and exports exist. */
const floors = [
  {
    name: 'energy efficient',
    since: 1997,
    upTo: 200,
    source: remembered('code', 'Energy Policy Act', '1992', 'in force October 1997'),
  },
  {
    name: 'energy efficient',
    since: 2010,
    upTo: 500,
    source: remembered('code', 'Energy Independence and Security Act', '2007', 'in force December 2010: above 200 hp'),
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
