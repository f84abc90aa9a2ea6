import type { DriveCurves, DriveView, Verdict } from '../../case';
import { modelPrice } from '../../catalogue';
import { filterNames, houseRule, model, outputFilters, type OutputFilter } from '../../contract';
import { assumed, field, prescribed, exceeds } from '../../law';
import {
  brakedBus,
  catalogueSource,
  crestAt,
  crestFor,
  helps,
  judgedLine,
  motorsOn,
  numberOf,
  outputFor,
  overloadOfClass,
  percent,
  pulseRatingOf,
  woundOf,
  type Needs,
  type Output,
  type Pulsed,
  type Subject,
  type Walk,
} from '../../needs';
import { branchedPeak, criticalLength, doubledPulse, slowestEdge, terminalPulse } from '../../physics';
import {
  bulkOf,
  cableWave,
  filterDrop,
  filterSource,
  houseRules,
  drivePremium,
  neverAssumed,
  remedyPrice,
  usualEdge,
} from '../../practice';
import { q, writeQuantity } from '../../quantity';

const points = 28;
const short = (x: number): number => Number(x.toPrecision(4));
const volts = (v: number): string => writeQuantity(q(v, 'V'), 'V');

/** What pulses told: curves, and the remedies compared. */
interface PulsesTold {
  readonly pulses: DriveCurves['pulses'];
  readonly remedies: DriveView['remedies'];
  /** What stands between drive and motor; undefined where it cannot be said. */
  readonly output: Output | undefined;
}

/** Pulses on the motor's cable against what its winding bears, and what would help. */
export function tellPulses(walk: Walk, needs: Needs, subject: Subject, winding: Verdict | undefined): PulsesTold {
  const { input, practice, rules, w } = walk;
  const line = input.supply?.voltage?.value;
  const power = numberOf(w, subject.power);
  const none: PulsesTold = { pulses: null, remedies: [], output: undefined };
  if (line === undefined || power === undefined) return none;
  const supply = field('supply.voltage', input.supply?.voltage?.value, input.supply?.voltage?.text);
  const cable = input.place?.cable?.length;
  const edge = input.drive?.riseTime;
  const filter = input.drive?.filter ?? 'none';
  const t_r = edge
    ? field('drive.riseTime', edge.value, edge.text)
    : assumed('drive.riseTime', q(usualEdge.value, 's'), 'not given: the usual edge of today’s drives');
  const v = prescribed(q(cableWave.speed, 'm/s'), cableWave.source);
  const critical = w.figure('drive.criticalLength', criticalLength, { v, t_r });
  const peak = crestFor(needs, line, power);
  if (filter !== 'none')
    w.stated('drive.peakVoltage', 'V', q(peak, 'V'), filter === 'sine' ? filterSource : followed, {
      field: 'drive.filter',
      holds: filter,
      symbol: 'U_pk',
      text: `${volts(peak)} behind the ${filterNames[filter]}`,
    });
  else if (cable === undefined) w.figure('drive.peakVoltage', doubledPulse, { U: supply });
  else
    w.figure('drive.peakVoltage', terminalPulse, {
      ...{ U: supply, v, t_r },
      l: field('place.cable.length', cable.value, cable.text),
    });
  const rating = pulseRatingOf(subject, practice);
  const source =
    subject.pulseRating === undefined
      ? practice.ordinaryPulse.source
      : subject.motor && !subject.inverterDuty
        ? practice.ordinaryPulse.source
        : subject.motor
          ? catalogueSource(subject.motor)
          : practice.drivePulse(numberOf(w, subject.voltage) ?? line).source;
  w.stated('drive.peakPermitted', 'V', q(rating, 'V'), source, {
    symbol: 'U_w',
    ...(subject.pulseRating === undefined && {
      field: 'plate.inverterDuty',
      assumed: 'the plate says nothing of pulses: an ordinary winding',
    }),
  });
  if (filter === 'none' && cable && rating < 2 * Math.SQRT2 * line && rating >= Math.SQRT2 * line)
    w.figure('drive.slowestEdge', slowestEdge, {
      ...{ U: supply, v },
      l: field('place.cable.length', cable.value, cable.text),
      U_w: 'drive.peakPermitted',
    });
  const wound = woundOf(w, subject, needs) ?? { power, voltage: line, pulseRating: rating, inverterDuty: false };
  const output = outputFor(needs, line, wound);
  const bus = output.filter === 'sine' ? undefined : brakedBus(needs, line);
  const from =
    bus === undefined
      ? `at ${volts(judgedLine(needs, line, wound, output.filter))}`
      : `from the chopper’s ${volts(bus)}`;
  w.stated('drive.peakJudged', 'V', q(output.crest, 'V'), judgedSource, {
    field: 'drive.filter',
    holds: output.filter,
    symbol: 'U_j',
    text:
      `${volts(output.crest)} ${from}` + (output.filter === 'none' ? '' : ` behind the ${filterNames[output.filter]}`),
  });
  const { metres } = output;
  w.stated(
    'drive.cableLimit',
    'm',
    q(metres, 'm'),
    houseRule(houseRules.leadLength.title, houseRules.leadLength.reason),
    {
      field: 'rules.leadLength',
      symbol: 'l_max',
      assumed:
        rules.leadLength === 'calculated' && !edge
          ? 'the drive’s rise time is not known: the 15 m fallback'
          : undefined,
    },
  );
  if (subject.method === 'drive') judge(walk, { line, rating, output, cable, edge: edge?.value, winding });
  const pulsed: Pulsed = {
    ...{ line, power, filter, frequency: needs.supply.frequency },
    length: cable?.value ?? Math.max(100, 4 * (critical ?? 10)),
    edge: edge?.value ?? usualEdge.value,
  };
  return {
    pulses: curveOf(pulsed, rating, cable?.value),
    remedies: compared(
      walk,
      pulsed,
      (filter, made = wound.inverterDuty) => judgedLine(needs, line, { ...wound, inverterDuty: made }, filter),
      { rating, metres },
      subject,
    ),
    output,
  };
}

const followed = model('Waves followed in time through filter and cable', 'an open end at the motor: the worst case');

const judgedSource = model(
  'Crest at the motor behind what was decided',
  'at a tenth over the motor’s voltage, unless its rating has that in it; on the bus of a chopper where one brakes ' +
    'as a rule; an open end at the motor',
);

/** What a choice has to do with pulses. */
interface Judged {
  readonly line: number;
  readonly rating: number;
  readonly output: Output;
  readonly cable: { readonly value: number; readonly text: string } | undefined;
  readonly edge: number | undefined;
  readonly winding: Verdict | undefined;
}

/** Why something stands between drive and motor, or must: a note where the choice counts it. */
function judge({ w }: Walk, { line, rating, output, cable, edge, winding }: Judged): void {
  const { filter, by, crest, holds, metres, limitedBy } = output;
  // What the choice accepts as it is, by a house rule, is not doubted here.
  const counted = winding?.remedy != null;
  if (winding?.outcome === 'pass' && !counted && by === 'asked') return;
  const level = counted ? 'note' : 'caution';
  const figures = ['drive.peakJudged', 'drive.peakPermitted'] as const;
  const name = filterNames[filter];
  if (by === 'nothing') return;
  if (!holds)
    w.finding(
      'drive.insulation',
      'caution',
      `Behind the ${name} pulses still reach ${volts(crest)}, the winding bears ${volts(rating)}` +
        (exceeds(crest, rating) ? ': ' : `, and so little in hand is none of a computed crest: `) +
        (filter === 'sine' ? 'a winding made for drives.' : 'a sine filter, or a winding made for it.'),
      { fields: ['drive.filter', 'place.cable.length'], figures },
    );
  else if (by === 'case') return;
  else if (line < neverAssumed && cable !== undefined && cable.value > metres) {
    const slow = w.figures.get('drive.slowestEdge');
    w.finding(
      'drive.cable-too-long',
      level,
      `${cable.text} of motor cable, ${Number(metres.toPrecision(3))} m without a filter` +
        `${limitedBy === 'drive' ? ' by what drives of its size bear' : ''}: ` +
        (counted
          ? `the choice counts a ${name} at the drive.`
          : `fit a ${name}, hang the drive nearer, or take an inverter-duty motor.`) +
        (slow && edge === undefined && limitedBy === 'winding'
          ? ` Holds bare if its edges rise in ${slow.text} or slower: ask its maker.`
          : ''),
      { fields: ['place.cable.length'], figures: ['drive.peakVoltage', 'drive.cableLimit'] },
    );
  } else
    w.finding(
      'drive.insulation',
      level,
      `On ${volts(line)} bare pulses pass the ${volts(rating)} that the winding bears; behind a ${name} they ` +
        `reach ${volts(crest)}: ` +
        (counted
          ? `the choice counts a ${name} at the drive.`
          : `fit it, or order a winding for drives: impulse class C, or 3.1 × its voltage.`),
      { fields: ['drive.filter', 'plate.inverterDuty'], figures },
    );
}

function curveOf(pulsed: Pulsed, permitted: number, at: number | undefined): DriveCurves['pulses'] {
  const most = Math.max(1.5 * pulsed.length, 20);
  const even = Array.from({ length: points }, (_, i) => (most * (i + 1)) / points);
  const lengths = at === undefined ? even : [...new Set([...even, at])].sort((a, b) => a - b);
  const along = (filter: Pulsed['filter']): [number, number][] =>
    lengths.map((length) => [short(length), short(crestAt({ ...pulsed, filter, length }))]);
  return {
    bare: along('none'),
    filtered: pulsed.filter === 'none' ? null : along(pulsed.filter),
    permitted: short(permitted),
    length: at ?? null,
  };
}

/** Remedies side by side: the crest each leaves, volts it costs, and its price. */
function compared(
  { practice, w }: Walk,
  own: Pulsed,
  judged: (filter: OutputFilter, inverterDuty?: boolean) => number,
  { rating, metres }: Readonly<Record<'rating' | 'metres', number>>,
  subject: Subject,
): DriveView['remedies'] {
  const pulsed = { ...own, line: judged('none') };
  const bulk = bulkOf(pulsed.power);
  const price = { none: 0, reactor: 0.6 * remedyPrice('filter', bulk), 'dv-dt': remedyPrice('filter', bulk) } as const;
  const bare = crestAt({ ...pulsed, line: judged('none', true), filter: 'none' });
  // By its own rated voltage, whatever the line and its bus do.
  const bears = practice.drivePulse(numberOf(w, subject.voltage) ?? own.line).value;
  const others: DriveView['remedies'][number][] = [];
  if (Number.isFinite(metres) && metres >= leastCable)
    others.push({
      ...{ filter: 'nearer', name: `the drive hung nearer, ${Math.floor(metres)} m of cable at most` },
      ...{ peak: short(crestAt({ ...pulsed, filter: 'none', length: metres })), does: true, drop: 0, price: 0 },
      text: 'where there is a place for it',
    });
  if (!subject.inverterDuty)
    others.push({
      ...{ filter: 'winding', name: 'a winding made for drives', peak: short(bare), does: !exceeds(bare, bears) },
      ...{ drop: 0, price: Math.round(drivePremium * (subject.motor?.priceIndex ?? modelPrice(pulsed.power, 4, 1))) },
      text: `bears ${volts(bears)}; ordered with the motor, or at its rewind`,
    });
  const unfiltered = crestAt({ ...pulsed, filter: 'none' });
  const filters = outputFilters.map((filter) => {
    const peak = crestAt({ ...pulsed, line: judged(filter), filter });
    return {
      filter,
      name: filterNames[filter],
      peak: short(peak),
      does: filter === 'none' ? !exceeds(peak, rating) : helps(filter, peak, unfiltered, rating),
      drop: filterDrop[filter],
      price: Math.round(filter === 'sine' ? remedyPrice('sine-filter', bulk) : price[filter]),
      text:
        filter === 'none'
          ? subject.inverterDuty
            ? 'a winding made for drives'
            : 'nothing between drive and motor'
          : `${percent(filterDrop[filter])} of the voltage is lost in it`,
    };
  });
  return [...filters, ...others];
}

/** Whether one of several may be switched in while the drive runs, in words: by what it draws then. */
function switchedIn({ w }: Pick<Walk, 'w'>, needs: Needs, subject: Subject, count: number): string {
  const [rated, current] = [w.value('drive.deratedCurrent'), numberOf(w, subject.current)];
  const locked = subject.lockedRotorCurrent.value;
  if (rated === undefined || current === undefined) return 'and none is switched on while the drive runs.';
  const [asks, bears] = [(count - 1) * current + locked, overloadOfClass(needs) * rated];
  const amperes = (a: number): string => writeQuantity(q(a, 'A'), 'A');
  return asks <= bears
    ? `and one may be switched on while it runs: that draws ${amperes(asks)}, it bears ${amperes(bears)} for a minute.`
    : 'and none has a contactor behind the running drive: ' +
        `switched on then, one more draws ${amperes(asks)}, the drive bears ${amperes(bears)}. All start together.`;
}

/** m of cable below which no drive is hung. */
const leastCable = 2;

/** Several motors: each cable counts, and reflections of all meet. */
export function tellMotors({ input, w }: Walk, needs: Needs, subject: Subject): void {
  const count = motorsOn(needs);
  if (count < 2) return;
  const line = input.supply?.voltage?.value;
  const cable = input.place?.cable?.length;
  const bare = (input.drive?.filter ?? 'none') === 'none' && line && cable && cable.value > leastCable;
  const meeting = bare
    ? branchedPeak({
        ...{ step: Math.SQRT2 * line, trunk: cable.value / 2, branch: cable.value / 2, motors: count },
        ...{ speed: cableWave.speed, riseTime: input.drive?.riseTime?.value ?? usualEdge.value },
      })
    : undefined;
  const pulses =
    meeting === undefined
      ? ''
      : ' Each on a cable of its own from the drive’s terminals, its pulses are those of one motor; ' +
        `branched halfway, the reflections of all meet: up to ${volts(meeting)}.`;
  w.finding(
    'drive.motors',
    'caution',
    `${count} motors on one drive: their currents are added; each needs a protective device and an overload relay ` +
      `of its own, all cables count together against the drive’s limit, ${switchedIn({ w }, needs, subject, count)} ` +
      'Control is by volts per hertz. They share speed, not load.' +
      pulses,
    { fields: ['drive.motors', 'place.cable.length'], figures: ['drive.requiredCurrent'] },
  );
}
