import type { DriveCurves } from '../../case';
import { model, rectifierNames, type RectifierKind } from '../../contract';
import { assumed, field, prescribed, type Given, exceeds } from '../../law';
import { chokeFor, motorsOn, numberOf, percent, type Needs, type Subject, type Walk } from '../../needs';
import {
  demandDistortion,
  driveInputCurrent,
  singlePhaseInputCurrent,
  driveInputPower,
  driveEfficiency,
  driveShareAtLoad,
  fedLoss,
  fedLosses,
  rootSum,
  summationSource,
  together,
  voltageShares,
  type Harmonics,
} from '../../physics';
import {
  activeSource,
  cell,
  capacitanceSource,
  demandLimits,
  demandRow,
  groupOf,
  multiPulse,
  singlePhaseShare,
  usualCapacitance,
  usualChoke,
  usualChokeSource,
  voltageLimits,
} from '../../practice';

import { q, writeNumber, writeQuantity } from '../../quantity';
import { drawnBy, type Drawn } from '../../runs';

const simulated = model(
  'Rectifier simulated in time',
  'diodes, reactance, capacitor and constant power, to its steady state',
);
/** Reactance of a supply that nobody described, at the power drawn. */
const usualSource = 0.02;

/** VA of a drive for each W of its motor, where its size is not known. */
const usualApparent = 1.3;

/** Of motor and drive together, of another drive of the site (common practice). */
const usualEfficiency = 0.92;

/** What hangs at the supply: V, Hz, Ω a phase, and the motor's rated power in W. */
interface At {
  readonly voltage: number;
  readonly frequency: number;
  readonly source: number | undefined;
}

/** Harmonic currents and fundamental of a drive, A. */
interface Spectrum {
  readonly harmonics: Harmonics;
  readonly fundamental: number;
}

/** A drive as its rectifier is asked for: W of its rating and of what it takes. */
interface Asked {
  readonly kind: RectifierKind | 'single-phase';
  readonly choke: number;
  readonly rated: number;
  readonly power: number;
  /** VA of the drive's rated current, which a choke's share is of. */
  readonly apparent: number;
}

/** The same with the rectifier that draws it. */
interface SpectrumDrawn extends Spectrum {
  readonly by: Drawn;
}

/** A drive's rectifier as drawn at a power of P W, of a drive for so many W rated. */
function drawn({ voltage, frequency, source }: At, of: Asked): SpectrumDrawn | undefined {
  const base = (voltage * voltage) / of.power;
  const choke = of.choke * (of.power / of.apparent);
  const capacitor = 2 * Math.PI * frequency * usualCapacitance(of.rated, voltage) * base;
  const by = drawnBy(of.kind, source === undefined ? usualSource : source / base, choke, capacitor);
  if (!by) return undefined;
  const fundamental = (by.fundamental * of.power) / (phases(of.kind) * voltage);
  const harmonics = by.shares.map(([order, share]): [number, number] => [order, share * fundamental]);
  return { by, harmonics, fundamental };
}

/** √3 of three lines, 1 of one phase. */
const phases = (kind: RectifierKind | 'single-phase'): number => (kind === 'single-phase' ? 1 : Math.sqrt(3));

/**
 * Current, power factor and distortion at the supply: the rectifier simulated, then summed up with what else hangs
 * there.
 */
export function tellInput(
  walk: Walk,
  needs: Needs,
  subject: Subject,
): Pick<DriveCurves, 'waveform' | 'spectrum'> | null {
  const { input, w } = walk;
  const voltage = input.supply?.voltage?.value;
  const rated = numberOf(w, subject.power);
  if (voltage === undefined || rated === undefined) return null;
  const shaft = w.figures.get('load.motorPower')?.value ?? rated;
  const count = motorsOn(needs);
  const x = Math.max(0.05, shaft / rated);
  const eta = x / (x + fedLoss(x, 1, { eta: subject.efficiency.value ?? 0.9, constant: subject.constantLoss }, rated));
  const perDrive: Given<'W'> = prescribed(q(count * shaft, 'W'), model('Shaft power', `${count} motors`));
  const power = w.figure('drive.inputPower', driveInputPower, {
    P: count === 1 && w.figures.has('load.motorPower') ? 'load.motorPower' : perDrive,
    eta_m: prescribed(
      q(eta, '1'),
      model(
        'Efficiency at this load',
        `losses partly constant, partly square; ${Math.round(100 * (fedLosses(rated) - 1))} % more behind a drive`,
      ),
    ),
    eta_d: prescribed(q(driveShareAtLoad, '1'), driveEfficiency.source),
  });
  if (power === undefined) return null;
  const single = needs.onePhase;
  const kind = single ? 'single-phase' : (input.drive?.rectifier ?? 'six-pulse');
  // On one phase it is a drive of twice the size.
  const made = (rated * count) / (single ? singlePhaseShare.value : 1);
  const choke = chokeFor(needs, made);
  const at: At = { voltage, frequency: needs.supply.frequency, source: needs.supply.impedance };
  const output = w.value('drive.ratedCurrent');
  const apparent = output === undefined ? usualApparent * made : Math.sqrt(3) * voltage * output;
  const ask = { kind, choke, rated: made, power, apparent } as const;
  const own = drawn(at, ask);
  if (!own) {
    w.finding(
      'drive.no-steady-state',
      'note',
      'Its choke and capacitor swing together here and have no steady state: take another choke, or ask its maker.',
      { fields: ['drive.choke'] },
    );
    return null;
  }
  const taken = kind === 'active' ? activeSource : { ...simulated, part: partOf(kind) };
  w.stated('drive.truePowerFactor', '1', q(own.by.powerFactor, '1'), taken, {
    symbol: 'λ',
    ...(at.source === undefined
      ? {
          field: 'supply.source',
          assumed: `the source is not described: ${percent(usualSource)} of reactance taken`,
          holds: percent(usualSource),
        }
      : {
          field: 'drive.rectifier',
          ...(input.drive?.rectifier === undefined &&
            !single && { assumed: 'not said: six-pulse', holds: 'six-pulse' }),
        }),
  });
  const current = w.figure('drive.inputCurrent', single ? singlePhaseInputCurrent : driveInputCurrent, {
    P: 'drive.inputPower',
    U: field('supply.voltage', input.supply?.voltage?.value, input.supply?.voltage?.text),
    lambda: 'drive.truePowerFactor',
  });
  w.stated('drive.currentDistortion', '1', q(own.by.distortion, '1'), taken, {
    text: percent(own.by.distortion, 1),
    symbol: 'THD',
    field: 'drive.choke',
    ...(input.drive?.choke === undefined && {
      assumed:
        choke > usualChoke(made)
          ? `by house rule: an input reactor of ${percent(choke)} with every drive`
          : `not said: ${percent(choke)} (${usualChokeSource.title})`,
      holds: String(choke),
    }),
  });
  if (kind !== 'active') tellCapacitor(walk, at, made);
  const full = drawn(at, { ...ask, power: (rated * count) / ((subject.efficiency.value ?? 0.9) * driveShareAtLoad) });
  if (full)
    w.stated('drive.ratedInput', 'A', q(full.fundamental * Math.hypot(1, full.by.distortion), 'A'), taken, {
      symbol: 'I_in',
    });
  if (single && current !== undefined)
    w.finding(
      'drive.input',
      'caution',
      `On one phase a three-phase drive gives about half its rating, and draws ` +
        `${writeQuantity(q(current, 'A'), 'A')}, a third harmonic of ` +
        `${percent(own.by.shares.find(([order]) => order === 3)?.[1] ?? 0)} in it: wires and device by that, and ask ` +
        'its maker whether its phase-loss trip can be set for it.',
      { fields: ['drive.input', 'supply.phases'], figures: ['drive.inputCurrent'] },
    );
  judgeSite(walk, needs, at, own, full ?? own);
  return {
    waveform: halved(own.by.wave).map((i, k, all): [number, number] => [
      Number(((360 * k) / all.length).toFixed(2)),
      short((i * power) / (phases(kind) * voltage)),
    ]),
    spectrum: own.harmonics.map(([order, current]): [number, number] => [order, short(current)]),
  };
}

/** Which capacitor the rectifier is taken to have: its distortion goes by it. */
function tellCapacitor({ w }: Walk, { voltage }: At, rated: number): void {
  const micro = writeNumber(1e6 * usualCapacitance(rated, voltage));
  w.fact(
    'drive.capacitor',
    'Capacitor of its bus',
    `about ${micro} µF taken, the usual one; a lean one distorts less, its maker says which it has`,
    capacitanceSource,
    { fields: ['drive.rectifier', 'drive.choke'] },
  );
}

const partOf = (kind: Exclude<RectifierKind, 'active'> | 'single-phase'): string =>
  kind === 'single-phase'
    ? 'four diodes on one phase'
    : `${rectifierNames[kind]}${kind === 'six-pulse' ? '' : `; ${multiPulse.source.title}`}`;

const short = (x: number): number => Number(x.toPrecision(4));
/** Every second point: enough for the eye. */
const halved = (wave: readonly number[]): readonly number[] => wave.filter((_, k) => k % 2 === 0);

/** Demand distortion and voltage at the point of connection, against the limits. */
function judgeSite(walk: Walk, needs: Needs, at: At, own: Spectrum, rated: SpectrumDrawn): void {
  const { input, practice, w } = walk;
  const site = input.drive?.site;
  const others = (site?.drives ?? []).flatMap(({ power, rectifier, choke }) => {
    if (!power) return [];
    const taken = power.value / usualEfficiency;
    return (
      drawn(at, {
        kind: rectifier ?? 'six-pulse',
        choke: choke ?? usualChoke(power.value),
        rated: power.value,
        power: taken,
        apparent: usualApparent * power.value,
      }) ?? []
    );
  });
  if (others.length > 0)
    w.fact(
      'drive.spread',
      'Several drives together',
      'their harmonics do not add in full, for their phases spread: the fifth and seventh with the exponent 1.4, ' +
        'those beyond as the root of squares; alike drives at like load may add in full',
      summationSource,
      { fields: ['drive.site.drives'] },
    );
  const all = together([own.harmonics, ...others.map((o) => o.harmonics)]);
  const distorting = own.fundamental + others.reduce((sum, o) => sum + o.fundamental, 0);
  const sum = distorting + (site?.linear?.value ?? 0);
  const demand: Given<'A'> = site?.current
    ? field('drive.site.current', site.current.value, site.current.text)
    : assumed(
        'drive.site.current',
        q(sum, 'A'),
        site ? 'not given: drives and linear load added up' : 'not given: this drive’s own fundamental',
      );
  const I_L = demand.value ?? sum;
  w.figure(
    'drive.demandDistortion',
    demandDistortion,
    {
      I_H: prescribed(q(rootSum(all), 'A'), {
        ...summationSource,
        part: `${summationSource.part ?? ''}; ${others.length + 1} drives together`,
      }),
      I_L: demand,
    },
    { say: (v) => percent(v, 1) },
  );
  const fault = w.figures.get('start.faultCurrent')?.value;
  const ratio = fault === undefined ? undefined : fault / I_L;
  const row = ratio === undefined ? demandLimits.rows[0] : demandRow(ratio);
  const limit = cell(demandLimits, row, 'tdd') ?? 0;
  const tabled =
    ratio === undefined
      ? demandLimits.source
      : { ...demandLimits.source, part: `Table 2, fault ÷ demand current ${Math.round(ratio)}` };
  w.stated('drive.distortionLimit', '1', q(limit, '1'), tabled, {
    symbol: 'TDD_max',
    text: percent(limit),
    field: 'supply.source',
    ...(ratio === undefined && { assumed: 'the source is not described: the strictest row', holds: '5 %' }),
  });
  const X = needs.supply.impedance;
  const volts = X === undefined ? undefined : voltageShares(all, X, at.voltage);
  if (volts)
    w.stated(
      'drive.voltageDistortion',
      '1',
      q(rootSum(volts), '1'),
      model('Source’s reactance', 'X h I_h ÷ phase voltage'),
      {
        symbol: 'THD_U',
        text: percent(rootSum(volts), 1),
      },
    );
  const distortion = rootSum(all) / I_L;
  const single = all.find(([order, I]) => exceeds(I / I_L, cell(demandLimits, row, groupOf(order)) ?? 1));
  const known = site?.current !== undefined && ratio !== undefined;
  const least = rootSum(all) / limit;
  const fields = ['drive.site.current', 'supply.source', 'drive.choke', 'drive.rectifier'];
  const figures = ['drive.demandDistortion', 'drive.distortionLimit'] as const;
  if (exceeds(distortion, limit) || single)
    w.finding(
      'drive.distortion',
      known ? 'caution' : 'note',
      `${percent(distortion, 1)} of the demand current at the point of connection, ${percent(limit)} are permitted` +
        (single && distortion <= limit ? `, and harmonic ${single[0]} is over its own limit` : '') +
        `. ${
          known
            ? betterThan(at, input.drive?.rectifier, own, I_L, limit)
            : `Holds if the site’s demand is at least ${writeQuantity(q(least, 'A'), 'A')}` +
              `${ratio === undefined ? ' (and more on a stiff source, whose limit is wider)' : ''}.`
        } No drive complies by itself: the site does.`,
      { fields, figures, source: demandLimits.source },
    );
  const worst = volts && Math.max(0, ...volts.map(([, share]) => share));
  if (volts && worst !== undefined && (worst > voltageLimits.each || rootSum(volts) > voltageLimits.all))
    w.finding(
      'drive.voltage-distortion',
      'caution',
      `It distorts the voltage at its source by ${percent(rootSum(volts), 1)}, a single harmonic by ` +
        `${percent(worst, 1)}: ${percent(voltageLimits.all)} and ${percent(voltageLimits.each)} are permitted. ` +
        'A choke, more pulses, or an active front end.',
      { fields, figures: ['drive.voltageDistortion'], source: voltageLimits.source },
    );
  practice.judgeEquipment?.(
    {
      current: rated.fundamental,
      ratio: fault === undefined ? undefined : fault / rated.fundamental,
      shares: rated.harmonics.map(([order, I]): [number, number] => [order, I / rated.fundamental]),
      fifth: rated.by.fifth,
      voltage: volts && rootSum(volts),
    },
    (text, source) =>
      w.finding('drive.equipment', 'note', text, { fields, figures: ['drive.currentDistortion'], source }),
  );
}

/** What would do at this point of connection: the first of the usual remedies, simulated. */
function betterThan(at: At, kind: RectifierKind | undefined, own: Spectrum, demand: number, limit: number): string {
  const power = Math.sqrt(3) * at.voltage * own.fundamental;
  const tries = [
    { kind: kind ?? 'six-pulse', choke: 0.05, words: 'a choke of 5 %' },
    { kind: 'twelve-pulse', choke: 0, words: 'twelve pulses' },
    { kind: 'eighteen-pulse', choke: 0, words: 'eighteen pulses' },
    { kind: 'active', choke: 0, words: 'an active front end' },
  ] as const;
  for (const { words, ...of } of tries) {
    const then = drawn(at, { ...of, rated: power, power, apparent: usualApparent * power });
    if (then && rootSum(then.harmonics) / demand <= limit) return `Alone, ${words} would do.`;
  }
  return 'No rectifier alone would do: a filter for the site, or another point of connection.';
}
