import { reaches } from '../law';
import type { Motor } from '../catalogue';
import type { OutputFilter } from '../contract';
import { doubledPulse, pulsePeak, terminalPulse, type PulseFilter } from '../physics';
import {
  cableWave,
  coreDamping,
  driveClass,
  filterCoils,
  filterLoss,
  neverAssumed,
  sineCrest,
  usualDriveCable,
  usualEdge,
} from '../practice';
import { q } from '../quantity';
import { connectionFor } from './candidate';
import { brakingKindOf } from './drive';
import type { Needs } from './walk';

/** Crest in V of the drive's pulses fully reflected at the motor's end of the cable, on a line of so many V. */
export const doubledCrest = (line: number): number => doubledPulse.of({ U: q(line, 'V') });

/** Fallback in m where the data for a computed length are missing: general-purpose motors, common practice. */
const fallback = 15;

/**
 * Motor cable in m that needs no filter, Infinity for any length. With the drive's rise time it is computed; else 15 m
 * stands. The school of 30 m means windings made for drives, and never one that does not bear the doubled pulse.
 */
export function unfilteredLength(
  { rules, drive }: Pick<Needs, 'rules' | 'drive'>,
  line: number,
  pulseRating: number,
  inverterDuty: boolean,
): number {
  const bears = pulseRating >= doubledCrest(line);
  if (rules.leadLength !== 'calculated') return rules.leadLength === '30 m' && bears && inverterDuty ? 30 : fallback;
  if (bears) return Infinity;
  const edge = drive?.riseTime?.value;
  if (edge === undefined) return fallback;
  const step = Math.SQRT2 * line;
  return pulseRating < step ? 0 : ((cableWave.speed * edge) / 2) * (pulseRating / (2 * step));
}

/** Reactance 1 of a motor's rated impedance, as an inductance in H at its frequency. */
const unitInductance = (line: number, power: number, frequency: number): number =>
  (line * line) / (1.25 * power) / (2 * Math.PI * frequency);

/** What stands at the drive's output for a motor of so many W; undefined where nothing does. */
export function pulseFilterOf(kind: 'reactor' | 'dv-dt', line: number, power: number, frequency: number): PulseFilter {
  const inductance = filterCoils[kind] * unitInductance(line, power, frequency);
  const capacitance = kind === 'reactor' ? 0 : filterCoils.edge ** 2 / inductance;
  return {
    ...{ inductance, capacitance, beside: coreDamping },
    damping: capacitance > 0 ? Math.sqrt(inductance / capacitance) : 1,
  };
}

/** What a pulse runs through: V of the line, m of cable, s of its edge; W and Hz of the motor a filter is made for. */
export interface Pulsed {
  readonly line: number;
  readonly length: number;
  readonly edge: number;
  readonly power: number;
  readonly frequency: number;
  readonly filter: OutputFilter;
}

/** Highest crest in V at the motor, an open end taken. */
export function crestAt({ line, length, edge, power, frequency, filter }: Pulsed): number {
  const step = Math.SQRT2 * line;
  if (filter === 'sine') return step * sineCrest;
  const key = `${filter} ${line} ${length} ${edge} ${filter === 'none' ? 0 : power.toPrecision(3)} ${frequency}`;
  const there = crests.get(key);
  if (there !== undefined) return there;
  const { speed, surge } = cableWave;
  const crest =
    filter === 'none'
      ? terminalPulse.of({ U: q(line, 'V'), l: q(length, 'm'), v: q(speed, 'm/s'), t_r: q(edge, 's') })
      : pulsePeak({
          ...{ step, speed, surge, length, reflection: 1, riseTime: edge },
          filter: pulseFilterOf(filter, line, power, frequency),
        });
  if (crests.size > 2000) crests.clear();
  crests.set(key, crest);
  return crest;
}

const crests = new Map<string, number>();

/**
 * Crest at a motor of so many W with what the case says of cable, edge and filter; the doubled one where it does not.
 */
export const crestFor = (
  { drive, place, supply }: Pick<Needs, 'drive' | 'place' | 'supply'>,
  line: number,
  power: number,
  filter: OutputFilter = drive?.filter ?? 'none',
): number => {
  const length = place.cable;
  if (length === undefined && filter !== 'sine')
    return filter === 'none'
      ? doubledCrest(line)
      : crestAt({ ...usualFilteredCable, line, power, filter, frequency: supply.frequency });
  return crestAt({
    ...{ line, power, filter, length: length ?? 0, frequency: supply.frequency },
    edge: drive?.riseTime?.value ?? usualEdge.value,
  });
};

/** A cable that nobody described, behind a filter: 100 m. */
const usualFilteredCable = { length: 100, edge: usualEdge.value };

/** What of a motor decides what stands between it and its drive: W, V of its connection, V that its winding bears. */
export interface Wound {
  readonly power: number;
  readonly voltage: number;
  readonly pulseRating: number;
  readonly inverterDuty: boolean;
}

/** What stands between drive and motor: decided once, read by verdict, findings, settings and lines. */
export interface Output {
  readonly filter: OutputFilter;
  /** Typed in the case, asked by winding or drive, or nothing asked. */
  readonly by: 'case' | 'asked' | 'nothing';
  /** Crest in V behind it by which it is judged, and whether the winding bears that. */
  readonly crest: number;
  readonly holds: boolean;
  /** m of cable without a filter, and whether winding or drive sets it. */
  readonly metres: number;
  readonly limitedBy: 'winding' | 'drive';
  /**
   * What nobody said and decides: the cable's length, or how slowly the drive's edges rise, with the least in s that
   * a cable of this length bears.
   */
  readonly conditional: 'length' | 'edge' | undefined;
  readonly edge: number;
}

type Pulsing = Pick<Needs, 'rules' | 'drive' | 'place' | 'supply' | 'lessons'> & {
  readonly load: Pick<Needs['load'], 'hoist'>;
};

/** What stands between a drive and its motor: as decided, and as typed where nothing can be decided yet. */
export const filterOf = (
  { drive }: Partial<Pick<Needs, 'drive'>>,
  output: Pick<Output, 'filter'> | undefined,
): OutputFilter => output?.filter ?? drive?.filter ?? 'none';

/**
 * Line voltage in V by which pulses are judged: a tenth over the motor's own, as a supply may be; a rating of winding
 * made for drives has that tenth in it already (3.1 × rated; impulse category C). Where a chopper brakes as a rule the
 * pulses are those of its bus.
 */
export const judgedLine = (
  needs: Pulsing,
  line: number,
  { voltage, inverterDuty }: Pick<Wound, 'voltage' | 'inverterDuty'>,
  filter: OutputFilter = 'none',
): number => {
  const usual = inverterDuty ? line : Math.max(line, 1.1 * voltage);
  // Behind a sine filter the motor sees what the drive is told to give, whatever its bus.
  return filter === 'sine' ? usual : Math.max(usual, (brakedBus(needs, line) ?? 0) / Math.SQRT2);
};

/** V of the bus while a chopper brakes as a rule; undefined where none does, or a house rule judges at the line. */
export const brakedBus = ({ rules, drive, load }: Pulsing, line: number): number | undefined =>
  rules.brakedPulses === 'chopper' && brakingKindOf(drive, load.hoist) === 'chopper'
    ? driveClass(line)?.chopper
    : undefined;

/** A computed crest behind a coil is known no better than this: a remedy leaves as much in hand (common practice). */
export const filterReserve = 0.05;

/**
 * Whether a winding bears what stands before it: where bare pulses are too much for it, less of them, with something in
 * hand. A sine filter leaves no pulses.
 */
export const helps = (filter: OutputFilter, crest: number, bare: number, rating: number): boolean =>
  filter === 'sine' || reaches(rating, bare)
    ? reaches(rating, crest)
    : crest < bare && reaches(rating, crest * (1 + filterReserve));

/** Decides what stands between a drive on a line of so many V and its motor; the first that the winding bears. */
export function outputFor(needs: Pulsing, line: number, of: Wound): Output {
  const { rules, drive, place, lessons } = needs;
  const { power, pulseRating, inverterDuty } = of;
  const judged = judgedLine(needs, line, of);
  const typed = drive?.filter ?? 'none';
  const cable = place.cable;
  const crestBehind = (filter: OutputFilter): number =>
    crestKept(needs, judgedLine(needs, line, of, filter), power, filter);
  const bears = (crest: number): boolean => reaches(pulseRating, crest);
  const byWinding = unfilteredLength({ rules, drive }, judged, pulseRating, inverterDuty);
  const byDrive = usualDriveCable(power);
  const limits = {
    edge: slowestEdgeFor(judged, cable ?? 0, pulseRating),
    metres: Math.min(byWinding, byDrive.screened),
    limitedBy: byWinding <= byDrive.screened ? 'winding' : 'drive',
  } as const;
  if (typed !== 'none') {
    const crest = crestBehind(typed);
    const holds = helps(typed, crest, crestBehind('none'), pulseRating);
    return { filter: typed, by: 'case', crest, holds, conditional: undefined, ...limits };
  }
  const bare = crestBehind('none');
  const never = line >= neverAssumed && !bears(bare);
  const taught = !inverterDuty && lessons.some((l) => l.requirement === 'history-pulses');
  const short = cable === undefined || cable <= limits.metres;
  const unsaid = rules.leadLength === 'calculated' && drive?.riseTime === undefined && !bears(bare);
  const conditional = cable === undefined ? 'length' : unsaid && Number.isFinite(limits.edge) ? 'edge' : undefined;
  if (!never && !taught && short)
    return { filter: 'none', by: 'nothing', crest: bare, holds: true, conditional, ...limits };
  const tries: readonly OutputFilter[] =
    rules.outputReactor === 'accept' ? ['reactor', 'dv-dt', 'sine'] : ['dv-dt', 'sine'];
  for (const filter of tries) {
    const crest = crestBehind(filter);
    if (helps(filter, crest, bare, pulseRating))
      return { filter, by: 'asked', crest, holds: true, conditional: undefined, ...limits };
  }
  return { filter: 'sine', by: 'asked', crest: crestBehind('sine'), holds: false, conditional: undefined, ...limits };
}

/**
 * Share of what passes that is lost in what stands between a drive and its motor. A house rule that takes windings as
 * they are counts only what the case fits.
 */
export const filterLossOf = ({ drive, rules }: Pulsing, { filter }: Pick<Output, 'filter'>): number =>
  filterLoss[rules.inverterDuty === 'judged' ? filter : (drive?.filter ?? 'none')];

/** The same at a line of so many V. */
export const filterLossFor = (needs: Pulsing, line: number, of: Wound): number =>
  filterLossOf(needs, outputFor(needs, line, of));

/** The same for a motor of a list. */
export const filterLossOfMotor = (needs: Pulsing, motor: Motor): number => {
  const { voltage } = connectionFor(motor, needs.supply.voltage);
  return filterLossFor(needs, needs.supply.voltage ?? voltage, { ...motor, voltage });
};

/** Crests of one case, so that a list of motors asks each once: by line, rating and filter. */
const kept = new WeakMap<Pulsing, Map<number, number>>();
const filterCode: Readonly<Record<OutputFilter, number>> = { none: 0, reactor: 1, 'dv-dt': 2, sine: 3 };

function crestKept(needs: Pulsing, line: number, power: number, filter: OutputFilter): number {
  const known = kept.get(needs) ?? new Map<number, number>();
  kept.set(needs, known);
  // Bare pulses know no rating.
  const key = (Math.round(line * 10) * 1e8 + (filter === 'none' ? 0 : Math.round(power))) * 4 + filterCode[filter];
  const there = known.get(key);
  if (there !== undefined) return there;
  const crest = crestFor(needs, line, power, filter);
  known.set(key, crest);
  return crest;
}

/** Least rise in s with which this cable leaves no more than the winding bears; Infinity where none does. */
const slowestEdgeFor = (line: number, length: number, pulseRating: number): number => {
  const step = Math.SQRT2 * line;
  return pulseRating < step ? Infinity : (4 * step * length) / (cableWave.speed * pulseRating);
};
