import { isUpTo } from '../../law';
import { commonPractice, model, remembered, type Prescribed } from '../../contract';
import { classOfProtection, suitableEnclosures } from '../enclosures';
import { readFrame } from '../frames';
import { fitOutcome, type Practice } from '../practice';
import { interpolate } from '../../quantity';
import {
  asAtEnd,
  asEightPoles,
  atBand,
  atNearestRating,
  atRating,
  beyond,
  cell,
  exactly,
  safeSpeedOf,
  to6Poles,
  to8Poles,
  type Table,
} from '../table';
import * as t from './tables/motors';

const systemSource = remembered('standard', 'IEC 60038', '2021', 'table 1 (230/400, 400/690 and 1000 V)');
const voltageSource = remembered('standard', 'IEC 60034-1', '2022', '7.3 (zone A ±5 %, zone B ±10 %)');
const toleranceSource = remembered('standard', 'IEC 60034-1', '2022', 'Table 20 (tolerance on efficiency)');
const frameHeightSource = remembered('standard', 'IEC 60072-1', '1991', 'shaft height H');
const enclosureSource = remembered('standard', 'IEC 60034-5', '2020', 'IP codes; where used: common practice');

/** Share of the standard's locked-rotor limit that the generic motor is taken to draw. */
const usualShare = 0.75;

const inertiaSource = remembered(
  'standard',
  'IEC 60034-12',
  '2002',
  'clause 5.3 or 6.3 (external inertia of design N, torque with the square of speed)',
);

/** Motors by IEC 60034. */
export const motors = {
  ratings: t.efficiencies.rows.map(([kw]) => kw * 1000),

  // Motors are rated for the nominal voltage itself.
  supplyFor: (motor) => ({ value: motor, source: systemSource }),

  voltageFit(supply, motor) {
    const deviation = supply / motor - 1;
    const outcome = fitOutcome(deviation, 0.055, 0.1);
    return { outcome, deviation, limit: 0.1, source: voltageSource };
  },

  minimumEfficiency(nominal, power) {
    const share = power <= 150_000 ? 0.15 : 0.1;
    return { value: nominal - share * (1 - nominal), source: toleranceSource };
  },

  usualEfficiency(power, poles, year) {
    const floor = year === undefined ? undefined : this.efficiencyFloor(power, poles, year);
    if (floor) return { value: floor.efficiency, source: floor.source };
    if (year !== undefined && year <= 2011) {
      const ie1 = atNearestRating(t.ie1, power / 1000, to6Poles(poles), 'kW');
      const more = lossByYear.find((l) => year < l.before)?.more ?? 1;
      return {
        value: 1 / (1 + (100 / (ie1?.value ?? 94) - 1) * more),
        source: model(
          'Efficiency of an older motor',
          `${more === 1 ? 'as' : `${Math.round((more - 1) * 100)} % more loss than`} class IE1, made in ${year}` +
            asAtEnd(t.ie1, ie1, 'kW'),
        ),
      };
    }
    const kw = power / 1000;
    const table = kw < smallBelow ? t.smallEfficiencies : t.efficiencies;
    const ie2 = atNearestRating(table, kw, `IE2 ${to6Poles(poles)}`, 'kW');
    return {
      value: (ie2?.value ?? 95) / 100,
      source: model('Efficiency of an older motor', `taken as class IE2 (IEC 60034-30-1)${asAtEnd(table, ie2, 'kW')}`),
    };
  },

  ordinaryPulse: {
    value: 1350,
    source: remembered('standard', 'IEC TS 60034-25', '2022', 'impulse withstand of windings up to 500 V'),
  },
  // Category C: twice the link's voltage at a line 10 % high.
  drivePulse: (line) => ({
    value: 2 * Math.SQRT2 * 1.1 * line,
    source: remembered('standard', 'IEC 60034-18-41', '2014', 'impulse voltage category C (overshoot factor 2.0)'),
  }),

  frameSystem: 'iec',

  leadMarks: 'letters',

  motorVoltages: [
    110, 127, 200, 208, 220, 230, 240, 265, 266, 290, 380, 400, 415, 440, 460, 480, 500, 525, 575, 600, 660, 690, 720,
    760, 3000, 3300, 6000, 6600, 10000, 11000,
  ],

  frame: (designation, poles) => readFrame(designation, 'iec', poles),

  standardFrame(power, poles) {
    const frame = poles > 6 ? undefined : exactly(t.frames, power / 1000, to6Poles(poles));
    return frame === undefined ? undefined : { value: frame, source: t.frameSource };
  },

  ratingsInFrame(frame, poles) {
    const name = /\d+[SML]?/.exec(frame.designation.toUpperCase())?.[0] ?? '';
    if (poles > 6) return [];
    return t.frames.rows
      .filter((row) => cell(t.frames, row, to6Poles(poles))?.startsWith(name))
      .map(([kw]) => kw * 1000);
  },

  efficiencyTabledAt: 50,

  efficiencyClasses(power, poles) {
    const kw = power / 1000;
    const column = to6Poles(poles);
    const few = (name: 'IE2' | 'IE3' | 'IE4'): number | undefined =>
      exactly(t.efficiencies, kw, `${name} ${column}`) ?? exactly(t.smallEfficiencies, kw, `${name} ${column}`);
    const eight = (name: 'IE3' | 'IE4'): number | undefined => exactly(t.eightPoleEfficiencies, kw, name);
    const classes =
      poles > 6
        ? [
            { name: 'IE3', percent: eight('IE3'), source: t.eightPoleEfficiencies.source },
            { name: 'IE4', percent: eight('IE4'), source: t.eightPoleEfficiencies.source },
          ]
        : [
            { name: 'IE1', percent: exactly(t.ie1, kw, column), source: t.ie1Source },
            { name: 'IE2', percent: few('IE2'), source: t.efficiencySource },
            { name: 'IE3', percent: few('IE3'), source: t.efficiencySource },
            { name: 'IE4', percent: few('IE4'), source: t.efficiencySource },
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
    const floor = floors.findLast(
      (f) => year >= f.whole && poles <= f.poles && isUpTo(f.from, kw) && isUpTo(kw, f.upTo),
    );
    const found = floor && this.efficiencyClasses(power, poles).find((c) => c.name === floor.name);
    return floor && found && { ...found, since: floor.since, source: floorSource };
  },

  usualDesign: 'N',

  design(letter, power, poles) {
    const name = letter.trim().toUpperCase();
    if (!/^[NH][EY]{0,2}$/.test(name)) return undefined;
    const kw = power / 1000;
    const column = to6Poles(poles);
    const locked = poles > 6 ? atBand(t.eightPoleTorques, kw, 'locked') : atBand(t.lockedRotorTorques, kw, column);
    const breakdown = poles > 6 ? atBand(t.eightPoleTorques, kw, 'breakdown') : atBand(t.breakdownTorques, kw, column);
    const star = name.includes('Y') ? ', made for star-delta' : '';
    // Design H is for four to eight poles, to 160 kW.
    const known = poles <= 8 && (!name.startsWith('H') || (poles >= 4 && kw <= 160));
    if (!known || locked === undefined || breakdown === undefined)
      return {
        letter: name,
        words: `beyond the tables here${star}`,
        limitsCurrent: !name.includes('E'),
        source: t.lockedRotorTorqueSource,
      };
    if (name.startsWith('H'))
      return {
        letter: name,
        words: `high starting torque${star}`,
        lockedRotorTorque: Math.max(2, 1.5 * locked),
        breakdownTorque: Math.max(1.9, breakdown),
        limitsCurrent: !name.includes('E'),
        source: t.designHSource,
      };
    return {
      letter: name,
      words:
        `normal starting ` +
        `torque${name.includes('E') ? ', with the higher starting current of high efficiency' : ''}${star}`,
      lockedRotorTorque: locked,
      breakdownTorque: breakdown,
      // The E of high efficiency has an apparent power of its own (2016), which is not entered here.
      limitsCurrent: !name.includes('E'),
      source: t.lockedRotorTorqueSource,
    };
  },

  lockedRotorLimit(power, voltage) {
    const perKw = atBand(t.lockedRotorPower, power / 1000, 'kVA per kW');
    return perKw === undefined
      ? undefined
      : { value: (perKw * power) / (Math.sqrt(3) * voltage), source: t.lockedRotorPowerSource };
  },

  shaftHeight(frame) {
    const found = readFrame(frame, 'iec');
    return found && { value: found.shaftHeight, source: found.system === 'iec' ? frameHeightSource : found.source };
  },

  enclosures: (place) => ({ value: suitableEnclosures(place), source: enclosureSource }),

  enclosureClass(text) {
    const byCode = classOfProtection(text);
    if (byCode !== undefined) return byCode;
    const s = text.toUpperCase();
    if (/TEFC|TENV|TEBC/.test(s)) return 'enclosed';
    return /ODP|OPEN/.test(s) ? 'open' : undefined;
  },

  lockedRotorCurrent(power, voltage) {
    const { value: perKw, source } = ofBand(t.lockedRotorPower, power, 'kVA per kW');
    const outside = source === t.lockedRotorPowerSource ? '' : ', taken as where it ends';
    return {
      value: (usualShare * perKw * power) / (Math.sqrt(3) * voltage),
      source: model(
        'Locked-rotor current of a generic motor',
        `75 % of the limit of IEC 60034-12:2002, Table 2${outside}`,
      ),
    };
  },

  usualStart(power, poles, className) {
    if (className !== 'IE3' && className !== 'IE4') return undefined;
    const of = (what: 'I' | 'T'): number =>
      interpolate(
        t.usualStarts.rows.map((row) => [row[0], cell(t.usualStarts, row, `${what} ${to8Poles(poles)}`) ?? 0]),
        power / 1000,
        0,
      );
    const current = of('I') + (className === 'IE4' ? t.ie4StartsHarder : 0);
    return { value: { current, torque: of('T') }, source: t.usualStartSource };
  },

  safeSpeed(power, poles) {
    const kw = power / 1000;
    const name = atRating(t.frames, Math.max(kw, t.frames.rows[0]?.[0] ?? 0), to6Poles(poles));
    // Above what frames are tabled for it is taken to stand on 355 mm or more.
    const height = name === undefined ? 400 : Number(/\d+/.exec(name)?.[0]);
    return safeSpeedOf(t.safeSpeeds, height, poles, 'mm');
  },

  lockedRotorTorque(power, poles) {
    return poles > 6
      ? asEightPoles(ofBand(t.eightPoleTorques, power, 'locked'), poles)
      : ofBand(t.lockedRotorTorques, power, to6Poles(poles));
  },

  breakdownTorque(power, poles) {
    return poles > 6
      ? asEightPoles(ofBand(t.eightPoleTorques, power, 'breakdown'), poles)
      : ofBand(t.breakdownTorques, power, to6Poles(poles));
  },

  pullUpTorque: (power, poles) => asEightPoles(ofBand(t.pullUpTorques, power, to8Poles(poles)), poles),

  leastSheave: () => undefined,

  stallTimeTo: 0,
  stallTime: {
    value: 10,
    source: commonPractice('A hot cage motor bears its locked-rotor current for 10 to 20 s; the lower end taken'),
  },

  inertiaLimit(power, poles) {
    return { value: 0.04 * (power / 1000) ** 0.9 * (poles / 2) ** 2.5, source: inertiaSource };
  },
} satisfies Partial<Practice> & ThisType<Practice>;

/** Value of the band of a rating in W; beyond the last as in that, an estimate. */
function ofBand<C extends string>(of: Table<C>, power: number, column: NoInfer<C>): Prescribed<number> {
  const kw = power / 1000;
  const value = atBand(of, kw, column);
  if (value !== undefined) return { value, source: of.source };
  const last = of.rows.at(-1);
  return { value: cell(of, last, column) ?? 0, source: beyond(of.source, last?.[0] ?? 0, 'kW') };
}

/** kW from which the table of usual ratings begins; smaller ones have their own. */
const smallBelow = 0.6;

/** Loss of a standard motor ÷ that of class IE1, by when it was made (common practice). */
const lossByYear = [
  { before: 1970, more: 1.2 },
  { before: 1998, more: 1.1 },
] as const;

/**
 * Classes the European Union asked of new motors, by rating in kW; `whole`: the first year all through. Exempt kinds
 * and exports exist.
 */
const floorSource = remembered(
  'code',
  'Regulations (EC) 640/2009 and (EU) 2019/1781',
  '2009 and 2019',
  'dates of application',
);
const floors = [
  { name: 'IE2', since: 2011, whole: 2012, from: 0.75, upTo: 375, poles: 6 },
  // Or IE2 on a drive, which no plate tells.
  { name: 'IE3', since: 2015, whole: 2015, from: 7.5, upTo: 375, poles: 6 },
  { name: 'IE3', since: 2017, whole: 2017, from: 0.75, upTo: 7.4, poles: 6 },
  { name: 'IE2', since: 2021, whole: 2022, from: 0.12, upTo: 0.73, poles: 8 },
  { name: 'IE3', since: 2021, whole: 2022, from: 0.75, upTo: 1000, poles: 8 },
  { name: 'IE4', since: 2023, whole: 2024, from: 75, upTo: 200, poles: 6 },
] as const;
