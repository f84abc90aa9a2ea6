import { reaches, exceeds } from '../law';
import type { Case } from '../case';
import type { Motor } from '../catalogue';
import type { Method, Prescribed, ProtectiveDevice, Source } from '../contract';
import {
  ampacityOf,
  deviceBand,
  cableWithstand,
  earthFaultAtEnd,
  faultAtEnd,
  leastConductors,
  relayBand,
  secondFaultAtEnd,
  typedSize,
  voltageDrop,
  type CableAsked,
  type Conductors,
  type Laid,
  type LaidSize,
  type NotLaid,
  type Practice,
  type TripClass,
} from '../practice';
import { q } from '../quantity';
import { clearing, faultBorne, type Clearing, type Opening } from './fault';
import type { Subject } from './subject';
import type { CableImpedance, Walk } from './walk';

type Asking = Pick<Walk, 'input' | 'practice' | 'rules'>;
/** The same, with the source that was read. */
type Sourced = Asking & { readonly w?: Walk['w'] };

/** What of a motor decides its conductors: W, V, A, r/min. */
export interface MotorNumbers {
  readonly power: number;
  readonly voltage: number;
  readonly current: number;
  readonly speed: number | undefined;
}

/** The current that conductors start from: the code's table's, or the plate's, and why. */
export interface ConductorBasis {
  readonly table: Prescribed<number> | undefined;
  /** The table stands. */
  readonly byTable: boolean;
  /** The table would stand, but a motor built for low speed may draw more. */
  readonly slow: boolean;
}

/** By which current a motor's conductors are sized: practice or house rule, and the exception of low speeds. */
export function conductorBasis({ input, practice, rules }: Asking, motor: MotorNumbers): ConductorBasis {
  const { power, voltage, current, speed } = motor;
  const table = practice.tableCurrent(power, voltage, current, input.supply?.voltage?.value);
  const basis = rules.conductorBasis === 'practice' ? practice.conductorBasis : rules.conductorBasis;
  const low = practice.lowSpeed?.value;
  const slow =
    basis === 'table' &&
    table !== undefined &&
    low !== undefined &&
    speed !== undefined &&
    speed < low &&
    current > table.value;
  return { table, byTable: basis === 'table' && table !== undefined && !slow, slow };
}

/** The design letter as stamped or sold; undefined where a plate has none, whatever is usual. */
export function designOf(input: Case, { kind, motor }: Pick<Subject, 'kind' | 'motor'>): string | undefined {
  if (kind === 'choice' || input.motor?.catalogue !== undefined) return motor?.designLetter;
  return (input.motor?.plate ?? input.plate)?.designLetter;
}

const degrees = { '60 degC': 60, '75 degC': 75, '90 degC': 90 } as const;

/** Buried cables know the ground's warmth, not the motor's. */
const isBuried = ({ method, raceway }: NonNullable<NonNullable<Case['guard']>['cable']>): boolean =>
  method === 'D1' || method === 'D2' || raceway === 'buried';

/** °C around a cable: as said, else the motor's own place where that is above the 30 °C of the tables. */
function around({ guard, place }: Case): { readonly value: number; readonly taken?: string } | undefined {
  const cable = guard?.cable ?? {};
  if (cable.ambient) return { value: cable.ambient.value };
  const there = place?.ambient;
  if (!there || there.value <= tablesAt || isBuried(cable)) return undefined;
  return { value: there.value, taken: there.text };
}
/** °C for which the tables stand. */
const tablesAt = 30;

/** What the tables need to know of a case's cable that must carry so many A. */
export function cableAsked({ input }: Pick<Walk, 'input'>, needed: number, design: string | undefined): CableAsked {
  const { rating, terminals, ambient: _, ...asked } = input.guard?.cable ?? {};
  const ambient = around(input);
  return {
    ...asked,
    ...(rating && { rating: degrees[rating] }),
    ...(terminals && { terminals: degrees[terminals] }),
    ...(ambient && { ambient: ambient.value }),
    ...(design !== undefined && { design }),
    current: needed,
  };
}

/** A case's cable as its tables see it; where ordinary insulation ends in this heat and nobody named one, the next. */
function laidFor({ input, practice }: Asking, needed: number, design: string | undefined): Laid | NotLaid {
  const asked = cableAsked({ input }, needed, design);
  const heat = around(input);
  const as = (of: Laid, more: Laid['taken']): Laid => ({ ...of, taken: [...of.taken, ...more] });
  const warm: Laid['taken'] = heat?.taken === undefined ? [] : [{ path: 'guard.cable.ambient', value: heat.taken }];
  const laid = practice.cable(asked);
  if (!('because' in laid)) return as(laid, warm);
  const hotter = practice.hotterCable;
  if (heat?.taken === undefined || asked[hotter.field] !== undefined) return laid;
  const again = practice.cable({ ...asked, [hotter.field]: hotter.value });
  return 'because' in again ? laid : as(again, [...warm, { path: `guard.cable.${hotter.field}`, value: hotter.value }]);
}

/** What the way to a motor asks of its cable beside ampacity. V, A, m; shares of the line's voltage. */
export interface CableWay {
  readonly line: number;
  readonly length: number;
  readonly current: number;
  readonly cosine: number;
  readonly maxDrop: number;
  /** What a start straight on the line draws, and what may be lost of the voltage then. */
  readonly start: { readonly drawn: readonly StartDrawn[]; readonly maxDrop: number } | undefined;
  /** What an earth fault at its end asks; undefined where no time is prescribed. */
  readonly earth: EarthLoop | undefined;
  /** What a short circuit on it meets; undefined behind a drive, or a source of which no fault current is known. */
  readonly fault: FaultLoop | undefined;
}

/** The Ω of a source, and what opens a fault behind it. */
interface FaultLoop {
  readonly impedance: number;
  readonly clearing: Clearing;
}

/** An earth fault at the end of a circuit: A that its device asks, s within which it must be off. */
export interface Disconnection {
  readonly asked: number;
  readonly within: number;
  readonly source: Source;
}

/** The same on its way from a source of so many Ω. */
interface EarthLoop extends Pick<Disconnection, 'asked'> {
  readonly impedance: number;
  readonly second: boolean;
}

/** Smallest standard rating of a kind that is so many A. */
export const nextRating = (practice: Practice, kind: ProtectiveDevice, amperes: number): number | undefined =>
  practice.deviceRatings(kind).value.find((r) => reaches(r, amperes));

/** Nets on which a first earth fault flows on: what opens is the second. */
export const isUnearthed = ({ supply }: Pick<Case, 'supply'>): boolean =>
  supply?.earthing === 'isolated' || supply?.earthing === 'high-resistance';

/** What an earth fault must drive for a device to be off in time; undefined where no time is prescribed. */
export function disconnectionOf(
  practice: Practice,
  line: number,
  dial: number,
  of: Opening,
): Disconnection | undefined {
  // By the rating of what protects; a magnetic release is no rating, its breaker's dial is.
  const time = practice.disconnection?.(of.kind === 'motor-breaker' ? dial : of.rating, line);
  if (!time) return undefined;
  const band = deviceBand(of.kind, of.rating);
  // A motor breaker opens by its overload release as well; a relay opens a contactor, which is no disconnection.
  const relay = of.kind === 'motor-breaker' ? of.relay : undefined;
  const own = relay ? relayBand(relay.class, relay.dial).slow : () => Infinity;
  const slow = (I: number): number => Math.min(band.slow(I), own(I));
  let asked = relay?.dial ?? of.rating;
  while (slow(asked) > time.value && asked < 1e6) asked *= 1.01;
  return { asked, within: time.value, source: time.source };
}

/** By what a circuit's device is counted: A, and whether its motor draws more in its first crest. */
interface Counted {
  readonly current: number;
  readonly efficientB: boolean;
}

/** Design B of an efficient class: what it draws in the first crest made the code raise its magnetic settings. */
export function isEfficientB({ input, practice }: Asking, subject: Pick<Subject, 'kind' | 'motor'>): boolean {
  const named = subject.motor?.efficiencyClass ?? input.plate?.efficiencyClass;
  return designOf(input, subject) === 'B' && named !== undefined && practice.readEfficiencyClass(named) !== undefined;
}

/** The device that a motor of so many A would have. */
function openingOf({ input, practice }: Asking, current: number, counted: Counted): Opening | undefined {
  const kind = input.guard?.device ?? practice.usualDevice;
  const rule = practice.devices(counted.current, counted).find((r) => r.kind === kind);
  const asked = rule && counted.current * rule.share;
  const rating = asked && (rule.setting ? asked : nextRating(practice, kind, asked));
  if (rating === undefined) return undefined;
  const typed = input.guard?.relay?.class;
  return { kind, rating, relay: { class: typed === undefined ? '10' : (`${typed}` as TripClass), dial: current } };
}

function earthLoop(
  { input, practice }: Asking,
  on: { readonly line: number; readonly current: number; readonly impedance: number },
  device: Opening,
): EarthLoop | undefined {
  if (!practice.disconnection || input.supply?.earthing === 'corner') return undefined;
  const off = disconnectionOf(practice, on.line, input.guard?.relay?.dial?.value ?? on.current, device);
  return off && { impedance: on.impedance, asked: off.asked, second: isUnearthed(input) };
}

/** Of 5 % in all from the bus, 3 % are the branch circuit's (common practice; NFPA 70, 210.19 informational note). */
export const usualDrop = 0.03;
/** What a motor draws at one moment of a start: A, and its power factor. */
export interface StartDrawn {
  readonly current: number;
  /** The same ÷ locked-rotor current. */
  readonly share: number;
  readonly cosine: number;
}

/** What of a motor decides what it draws starting: A locked; ÷ rated torque at standstill and at breakdown. */
export interface StartsWith {
  readonly locked: number;
  readonly torque: number;
  readonly breakdown: number | undefined;
}

/** Of the losses at its rating the stator's copper; of locked-rotor current what breakdown draws (common practice). */
const [copperShare, atBreakdown] = [0.4, 0.72];
/** ÷ rated torque, of a motor of which nobody says where it breaks down (common practice). */
const usualBreakdown = 2.5;

/**
 * What a motor draws where a start loses most on its cable: at standstill, and where it breaks down, by the power that
 * its torque and its stator's copper take there. W, V, A.
 */
export function drawnStarting(
  { power, voltage, current, efficiency }: Pick<MotorNumbers, 'power' | 'voltage' | 'current'> & { efficiency: number },
  { locked, torque, breakdown = usualBreakdown }: StartsWith,
): readonly [standstill: StartDrawn, breakdown: StartDrawn] {
  const copper = copperShare * power * (1 / efficiency - 1);
  const at = (share: number, torques: number): StartDrawn => {
    const I = share * locked;
    const active = power * torques + (I / current) ** 2 * copper;
    return { current: I, share, cosine: Math.min(0.95, active / (Math.sqrt(3) * voltage * I)) };
  };
  return [at(1, torque), at(atBreakdown, breakdown)];
}

/** Whether a start loses most on its cable where the motor stands on the full line, as its run knows it. */
export const losesOnFullLine = (method: Method): boolean => method === 'direct' || method === 'star-delta';

/**
 * The way to a motor; undefined where its length or the supply's voltage is not said. `starts`: what it draws while it
 * starts straight on the line.
 */
export function cableWay(
  walk: Sourced,
  on: { readonly power: number; readonly voltage: number; readonly current: number; readonly efficiency: number },
  motor: Pick<Subject, 'kind' | 'motor'>,
  starts: readonly StartDrawn[] | undefined,
  byDrive = false,
): CableWay | undefined {
  const { input, rules } = walk;
  const [length, line] = [input.place?.cable?.length?.value, input.supply?.voltage?.value];
  if (length === undefined || length <= 0 || line === undefined) return undefined;
  const table = walk.practice.tableCurrent(on.power, on.voltage, on.current, line);
  const counted = { current: table?.value ?? on.current, efficientB: isEfficientB(walk, motor) };
  const device = byDrive ? undefined : openingOf(walk, on.current, counted);
  // A source that nobody described is taken as stiff: what it does not open in time behind one, it opens nowhere.
  const impedance = walk.w?.value('start.sourceImpedance') ?? 0;
  const letThrough = input.guard?.letThrough?.value;
  return {
    ...{ line, length, current: on.current },
    cosine: Math.min(0.98, on.power / (Math.sqrt(3) * on.voltage * on.current * on.efficiency)),
    maxDrop: input.guard?.maxDrop ?? usualDrop,
    start: starts && { drawn: starts, maxDrop: rules.maxStartDrop },
    earth: device && earthLoop(walk, { line, current: on.current, impedance }, device),
    fault: device && impedance > 0 ? { impedance, clearing: clearing(device, letThrough) } : undefined,
  };
}

/** Share of the line's voltage that is lost on so many of a size by a current in A. */
export const lost = (way: CableWay, size: LaidSize, count: number, current: number, cosine: number): number =>
  voltageDrop.of({
    I: q(current, 'A'),
    R: q((size.resistance * way.length) / count, 'ohm'),
    X: q((size.reactance * way.length) / count, 'ohm'),
    c: q(cosine, '1'),
    U: q(way.line, 'V'),
  });

/** Share of the line's voltage that is lost running, on so many of a size. */
export const runningDrop = (way: CableWay, size: LaidSize, count: number): number =>
  lost(way, size, count, way.current, way.cosine);

/** Drops are held against their limit as they are computed: only the last bits are forgiven. */
const within = (drop: number, limit: number): boolean => !exceeds(drop, limit);

/** Times what those moments tell: a simulated run of a small motor loses up to so much (compared over 312 motors). */
const runMayLose = 1.1;

/** The same where a start straight on the line loses most; 0 where it is none. */
export function startingDrop(way: CableWay, size: LaidSize, count: number): number {
  let most = 0;
  for (const { current, cosine } of way.start?.drawn ?? [])
    most = Math.max(most, lost(way, size, count, current, cosine));
  return most;
}

const runs = (way: CableWay, size: LaidSize, count: number): boolean =>
  within(runningDrop(way, size, count), way.maxDrop);
const starts = (way: CableWay, size: LaidSize, count: number, more: number): boolean =>
  !way.start || within(more * startingDrop(way, size, count), way.start.maxDrop);

/** Whether an earth fault at the end of so many of a size is off in time. */
function opens(
  { input, practice }: Asking,
  { earth, length, line, current }: CableWay,
  size: LaidSize,
  n: number,
): boolean {
  if (!earth) return true;
  const pe = practice.earthConductor(current, size, input.guard?.cable?.material ?? 'copper', 1)?.value;
  if (!pe) return false;
  const [R, X] = [(size.resistance * length) / n, (size.reactance * length) / n];
  const law = earth.second ? secondFaultAtEnd : earthFaultAtEnd;
  const flows = law.of({
    ...{ U: q(line, 'V'), Z_s: q(earth.impedance, 'ohm'), R: q(R, 'ohm'), X: q(X, 'ohm') },
    R_PE: q((R * size.area * n) / pe.area, 'ohm'),
  });
  return flows >= earth.asked;
}

/** Whether so many of a size bear every short circuit on them; what only a maker knows is a condition, and no size. */
function withstands({ fault, length, line }: CableWay, laid: Laid, size: LaidSize, n: number): boolean {
  if (!fault) return true;
  const { impedance } = fault;
  const at = faultAtEnd.of({
    ...{ U: q(line, 'V'), Z_s: q(impedance, 'ohm') },
    ...{ R: q((size.resistance * length) / n, 'ohm'), X: q((size.reactance * length) / n, 'ohm') },
  });
  const bears = cableWithstand.of({ k: q(size.k ?? laid.k.value, '1'), S: q(size.area * n, 'mm2') });
  return faultBorne(fault.clearing, [at, line / (Math.sqrt(3) * impedance)], bears).bears !== 'no';
}

/** A case's cable as its tables see it, the least that does, and the one taken: the size that is there, else that. */
export interface CableTaken {
  readonly laid: Laid;
  readonly least: Conductors | undefined;
  /** The least by ampacity alone. */
  readonly carries: Conductors | undefined;
  /** What decided the least size. */
  readonly decides: 'ampacity' | 'running-drop' | 'starting-drop' | 'disconnection' | 'fault';
  readonly typed: boolean;
  readonly conductors: Conductors | undefined;
}

/**
 * The least conductors that carry so many A as laid and keep the drop running and starting; where no size keeps the
 * drop, the least that carries, and the drop is told.
 */
export function cableFor(
  walk: Asking,
  needed: number,
  design: string | undefined,
  way?: CableWay,
): CableTaken | NotLaid {
  const { input } = walk;
  const laid = laidFor(walk, needed, design);
  if ('because' in laid) return laid;
  const given = input.guard?.cable;
  const count = given?.parallel ?? 1;
  if (laid.grouped(count) === undefined)
    return {
      because: `The tables know no ${count} side by side beside others so many: lay them apart, or have it worked out.`,
      path: 'guard.cable.parallel',
    };
  const carries = leastConductors(laid, needed, given?.parallel);
  const running = way && leastConductors(laid, needed, given?.parallel, (size, n) => runs(way, size, n));
  const both = (more: number) =>
    way &&
    leastConductors(laid, needed, given?.parallel, (size, n) => runs(way, size, n) && starts(way, size, n, more));
  const held = both(runMayLose) ?? both(1) ?? running ?? carries;
  /** No less than what was found, and this besides; what no size does asks another device, not more copper. */
  const more = (of: Conductors | undefined, does: (size: LaidSize, n: number) => boolean): Conductors | undefined =>
    of &&
    (leastConductors(
      laid,
      needed,
      given?.parallel,
      (size, n) => n >= of.count && size.area >= of.size.area && does(size, n),
    ) ??
      of);
  const off = way?.earth ? more(held, (size, n) => opens(walk, way, size, n)) : held;
  const least = way?.fault ? more(off, (size, n) => withstands(way, laid, size, n)) : off;
  const same = (a: Conductors | undefined, b: Conductors | undefined): boolean =>
    a?.size.area === b?.size.area && a?.count === b?.count;
  const size = given?.area && typedSize(laid, given.area.area);
  const conductors = size ? { size, count, ampacity: ampacityOf(laid, size, count) } : least;
  const decides = same(least, carries)
    ? 'ampacity'
    : same(least, running)
      ? 'running-drop'
      : same(least, held)
        ? 'starting-drop'
        : same(least, off)
          ? 'disconnection'
          : 'fault';
  return { laid, least, carries, decides, typed: size !== undefined, conductors };
}

/**
 * The cable a start is simulated with: the one Guard sizes for the motor and its method. Undefined without a length,
 * or where no table reaches.
 */
export function cableImpedance(
  walk: Sourced,
  motor: Motor,
  on: MotorNumbers,
  method: Method | undefined,
): CableImpedance | undefined {
  const length = walk.input.place?.cable?.length?.value;
  if (length === undefined) return undefined;
  const { table, byTable } = conductorBasis(walk, on);
  const needed = walk.practice.conductorFactor.value * (byTable && table ? table.value : on.current);
  const efficiency = walk.rules.efficiencyBasis === 'minimum' ? motor.efficiencyMinimum : motor.efficiency;
  const top = motor.connections.at(-1)?.voltage ?? on.voltage;
  const locked = (motor.lockedRotorCurrent * top) / on.voltage;
  const built = { kind: walk.input.motor ? 'pinned' : 'choice', motor } as const;
  const wound = { locked, torque: motor.lockedRotorTorque, breakdown: motor.breakdownTorque };
  const starts = method === 'direct' ? drawnStarting({ ...on, efficiency }, wound) : undefined;
  const way = cableWay(walk, { ...on, efficiency }, built, starts, method === 'drive');
  const cable = cableFor(walk, needed, designOf(walk.input, built), way);
  if ('because' in cable || !cable.conductors) return undefined;
  const { size, count } = cable.conductors;
  return {
    name: count === 1 ? size.name : `${count} × ${size.name}`,
    perMetre: size.resistance,
    count,
    source: cable.laid.impedanceSource,
    resistance: (size.resistance * length) / count,
    reactance: (size.reactance * length) / count,
    drop: way && runningDrop(way, size, count),
    maxDrop: way?.maxDrop ?? usualDrop,
    forDevice: !cable.typed && (cable.decides === 'disconnection' || cable.decides === 'fault'),
  };
}
