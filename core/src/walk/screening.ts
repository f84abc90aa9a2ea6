import { starterPriceIndex } from '../catalogue';
import type { Candidate, Outcome } from '../case';
import type { Method } from '../contract';
import { motorDerating } from '../practice';
import { q } from '../quantity';
import type { Solved } from './solve';
import type { Needs } from '../needs';
import { entryVerdict, explain, findFirst, judge, outcomeOf, requirements, type Judged } from '../judge';

export type Screening = NonNullable<Solved['screening']>;

/** One motor with its best method, light enough for thousands of rows. */
export interface ScreenRow {
  readonly entry: number;
  readonly id: string;
  readonly name: string;
  readonly power: number;
  readonly powerText: string;
  readonly poles: number;
  readonly method: Method;
  readonly outcome: Outcome;
  readonly speed: number;
  readonly current: number;
  readonly efficiency: number;
  readonly frame: string | null;
  readonly mass: number;
  readonly sound: number;
  readonly price: number;
  readonly lifeCycle: number;
  readonly margin: number;
  /** First requirement that fails, or else that is cautioned. */
  readonly short: string | null;
  readonly stock: number | null;
}

export const screenColumns = [
  'rank',
  'name',
  'power',
  'poles',
  'method',
  'speed',
  'current',
  'efficiency',
  'frame',
  'mass',
  'sound',
  'price',
  'lifeCycle',
  'margin',
  'stock',
] as const;
export type ScreenColumn = (typeof screenColumns)[number];

export interface ScreenQuery {
  readonly outcomes: readonly Outcome[];
  /** Words that must all stand in a motor's name, frame or method. */
  readonly text: string;
  readonly shelfOnly: boolean;
  readonly sort: ScreenColumn;
  readonly descending: boolean;
}

/** Every motor that a query keeps, in its order. */
export function screenRows({ needs, judged }: Screening, query: ScreenQuery): ScreenRow[] {
  const wanted = new Set(query.outcomes);
  const words = query.text.toLowerCase().split(/\s+/).filter(Boolean);
  const rows: ScreenRow[] = [];
  for (const entry of judged.order) {
    const outcome = outcomeOf(judged.worst[entry] ?? 2);
    if (!wanted.has(outcome)) continue;
    const row = rowOf(needs, judged, entry, outcome);
    if (query.shelfOnly && row.stock === null) continue;
    if (words.length > 0) {
      const text = `${row.name} ${row.frame ?? ''} ${row.method} ${row.poles}-pole`.toLowerCase();
      if (!words.every((word) => text.includes(word))) continue;
    }
    rows.push(row);
  }
  const { sort } = query;
  if (sort !== 'rank') rows.sort((a, b) => compare(a[sort], b[sort]));
  if (query.descending) rows.reverse();
  return rows;
}

function compare(a: string | number | null, b: string | number | null): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  if (a === null || b === null) return Number(a === null) - Number(b === null);
  return String(a).localeCompare(String(b), 'en', { numeric: true });
}

function rowOf(needs: Needs, judged: Judged, entry: number, outcome: Outcome): ScreenRow {
  const M = judged.methods.length;
  const i = Math.floor(entry / M);
  const motor = judged.columns.motors[i];
  const method = judged.methods[entry % M];
  if (!motor || !method) throw new RangeError(`no candidate ${entry}`);
  const short =
    outcome === 'pass'
      ? undefined
      : requirements.find((r) => !needs.waived.has(r) && entryVerdict(judged, entry, r)?.outcome === outcome);
  return {
    entry,
    id: motor.id,
    name: motor.name,
    power: motor.power,
    powerText: motor.powerText,
    poles: motor.poles,
    method,
    outcome,
    speed: motor.speed,
    current: motor.connections.at(-1)?.current ?? 0,
    efficiency: motor.efficiency,
    frame: motor.frame,
    mass: motor.mass,
    sound: motor.sound,
    price: motor.priceIndex + starterPriceIndex(method, motor.power),
    lifeCycle: Math.round(judged.lifeCycle[entry] ?? 0),
    margin: entryVerdict(judged, entry, 'power')?.margin ?? 0,
    short: short ?? null,
    stock: motor.stock?.quantity ?? null,
  };
}

/** A candidate of the screening with its verdicts in words. */
export function explainEntry({ needs, judged }: Screening, entry: number): Candidate {
  return explain(needs, judged, entry);
}

/**
 * A motor with its best method in words, by its id, which stays the same from draft to draft; undefined where it is
 * not judged.
 */
export function explainMotor(of: Screening, id: string): Candidate | undefined {
  const { columns, methods, order } = of.judged;
  const i = columns.motors.findIndex((m) => m.id === id);
  const entry = order.find((e) => Math.floor(e / methods.length) === i);
  return i < 0 || entry === undefined ? undefined : explainEntry(of, entry);
}

/** What the first choice would be at other needs: the motor's name and method, or null where nothing passes. */
function firstAt(needs: Needs, judged: Judged): { readonly key: string; readonly words: string } {
  const again = judge(needs, judged.columns.motors, judged.methods, judged.bench.pinned);
  findFirst(again);
  const entry = again.order[0];
  const motor = entry === undefined ? undefined : again.columns.motors[Math.floor(entry / again.methods.length)];
  if (entry === undefined || !motor || again.worst[entry] === 2) return { key: 'none', words: 'nothing passes' };
  const method = again.methods[entry % again.methods.length] ?? 'direct';
  return { key: `${motor.id} ${method}`, words: `${motor.name}, ${method.replace('-', ' ')}` };
}

export type Changeable = 'ambient' | 'load' | 'static-head' | 'hours' | 'energy-price';

export interface Turn {
  /** The value at which the first choice changes, within a thousandth of the range searched. */
  readonly at: number;
  readonly choice: string;
}

export interface Change {
  readonly of: Changeable;
  readonly unit: 'degC' | '1' | 'per kWh' | 'h';
  readonly now: number;
  /** Searched from and to. */
  readonly from: number;
  readonly to: number;
  readonly below: Turn | null;
  readonly above: Turn | null;
}

/** For ambient, load, static head, hours and price of energy: the nearest values at which the first choice changes. */
export function whatWouldChange({ needs, judged }: Screening): Change[] {
  const { place, load, speed } = needs;
  const hours = speed.rows.reduce((sum, r) => sum + r.hours, 0);
  const here = firstAt(needs, judged);
  const change = (
    of: Changeable,
    unit: Change['unit'],
    now: number,
    from: number,
    to: number,
    at: (value: number) => Needs,
  ): Change => {
    const seek = (end: number): Turn | null => turn(now, end, here.key, (value) => firstAt(at(value), judged));
    return { of, unit, now, from, to, below: from < now ? seek(from) : null, above: to > now ? seek(to) : null };
  };
  const scaled = (k: number): Needs => ({
    ...needs,
    load: { ...load, torque: load.torque * k, power: load.power * k },
  });
  const changes = [
    change('ambient', 'degC', place.ambient, -20, 75, (theta) => ({
      ...needs,
      place: {
        ...place,
        ambient: theta,
        motorDerating: motorDerating.of({
          theta: q(theta, 'degC'),
          h: q(place.altitude, 'm'),
          d_u: q(place.unbalanceDerating, '1'),
        }),
      },
    })),
    change('load', '1', 1, 0.4, 2, scaled),
    change('hours', 'h', hours, hours * 0.02, 8784, (h) => ({
      ...needs,
      speed: { ...speed, rows: speed.rows.map((r) => ({ ...r, hours: (r.hours * h) / hours })) },
    })),
    change('energy-price', 'per kWh', needs.energyPrice, needs.energyPrice * 0.1, needs.energyPrice * 5, (price) => ({
      ...needs,
      energyPrice: price,
    })),
  ];
  if (speed.variable && load.shape.kind === 'quadratic')
    changes.push(
      change('static-head', '1', speed.flow.system.held, 0, 0.95, (s) => ({
        ...needs,
        speed: { ...speed, flow: { ...speed.flow, system: { ...speed.flow.system, held: s } } },
      })),
    );
  return changes;
}

/** Steps outwards until the choice is another one, then halves the step between. */
function turn(
  now: number,
  end: number,
  key: string,
  first: (value: number) => { readonly key: string; readonly words: string },
): Turn | null {
  const steps = 8;
  let same = now;
  for (let i = 1; i <= steps; i++) {
    const value = now + ((end - now) * i) / steps;
    let found = first(value);
    if (found.key === key) {
      same = value;
      continue;
    }
    let other = value;
    while (Math.abs(other - same) > Math.abs(end - now) / 1000) {
      const mid = (same + other) / 2;
      const there = first(mid);
      if (there.key === key) same = mid;
      else {
        other = mid;
        found = there;
      }
    }
    return { at: other, choice: found.words };
  }
  return null;
}

/** The same machine driven by a motor of another number of poles: the ratio it wants, and the best there is. */
export interface PoleOption {
  readonly poles: number;
  readonly ratio: number;
  readonly motorSpeed: number;
  /** Torque at the motor in N·m. */
  readonly torque: number;
  readonly here: boolean;
  readonly candidate: Candidate;
}

/**
 * Pole-count what-if: the driven speed stays, the ratio follows, torque at the motor with it; power does not change.
 */
export function poleOptions({ needs, judged }: Screening): PoleOption[] {
  const { load, supply } = needs;
  const synchronous = (poles: number): number => (120 * supply.frequency) / poles;
  const slipped = (poles: number): number => synchronous(poles) * 0.98;
  const all = [2, 4, 6, 8];
  const own = all.reduce((a, b) =>
    Math.abs(Math.log(slipped(b) / load.speed)) < Math.abs(Math.log(slipped(a) / load.speed)) ? b : a,
  );
  return all.flatMap((poles): PoleOption[] => {
    const motors = byPoles(judged, poles);
    const speed = (load.speed * synchronous(poles)) / synchronous(own);
    const torque = (load.torque * load.speed) / speed;
    const moved: Needs = { ...needs, load: { ...load, speed, torque, ratio: (load.ratio * speed) / load.speed } };
    const again = judge(moved, motors, judged.methods, judged.bench.pinned);
    findFirst(again);
    const entry = again.order[0];
    if (entry === undefined) return [];
    return [
      {
        poles,
        ratio: moved.load.ratio,
        motorSpeed: speed,
        torque,
        here: poles === own,
        candidate: explain(moved, again, entry),
      },
    ];
  });
}

const poleLists = new WeakMap<object, Map<number, Judged['columns']['motors']>>();

/** The motors of one number of poles; one list each, so that columns are built once. */
function byPoles(judged: Judged, poles: number): Judged['columns']['motors'] {
  const motors = judged.columns.motors;
  const lists = poleLists.get(motors) ?? new Map<number, Judged['columns']['motors']>();
  poleLists.set(motors, lists);
  const known = lists.get(poles) ?? motors.filter((m) => m.poles === poles);
  lists.set(poles, known);
  return known;
}
