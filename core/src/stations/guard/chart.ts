import { exceeds } from '../../law';
import type { Crossing, GuardCurves } from '../../case';
import { commonPractice, deviceNames, type FigureId, type ProtectiveDevice } from '../../contract';
import { coldStall } from '../../physics';
import {
  breaksAtMost,
  deviceBand,
  hotShare,
  isFuse,
  opening,
  relayBand,
  type TimeBand,
  type TripClass,
} from '../../practice';
import { writeQuantity, q } from '../../quantity';
import { clearing, faultBorne } from '../../needs';
import type { RelayTaken } from './relay';
import { steadyOf } from './seen';

/** The short-circuit device of the circuit: a rating, or a magnetic setting; A. */
export interface DeviceTaken {
  readonly kind: ProtectiveDevice;
  readonly rating: number;
}

/** Currents of a chart's grid: so many a decade are enough to look smooth. */
const steps = 60;
/** s up to which a conductor keeps the heat of a fault. */
const adiabatic = 5;
const leastTime = 0.005;
const mostTime = 4000;

const amperes = (value: number): string => writeQuantity(q(value, 'A'), 'A');
const seconds = (value: number): string => writeQuantity(q(value, 's'), 's');

type Points = readonly (readonly [number, number])[];

/** Four digits: what a chart can show. */
function short(x: number): number {
  const k = 10 ** (3 - Math.floor(Math.log10(x)));
  return Math.round(x * k) / k;
}

/** A curve sampled over a grid of currents, as far as it lies on the paper. */
function sampled(of: (current: number) => number, grid: readonly number[]): Points {
  return grid.flatMap((current) => {
    const time = of(current);
    return Number.isFinite(time) && time <= mostTime && time >= leastTime * 0.2 ? [[short(current), short(time)]] : [];
  });
}

function gridOf(from: number, to: number): number[] {
  return Array.from({ length: steps + 1 }, (_, i) => from * (to / from) ** (i / steps));
}

/** All that bears on time and current between bus and motor, in the line's amperes. */
export interface Timed {
  readonly relay: RelayTaken;
  readonly device: DeviceTaken | undefined;
  /** A, AC-3. */
  readonly contactor: number | undefined;
  /** Whether the parts stand in a table of what was tested together. */
  readonly tested: boolean;
  /** A²·s. */
  readonly withstand: number | undefined;
  /** A²·s of the device at the starter's fault current, where its maker's is known. */
  readonly letThrough: number | undefined;
  readonly fault: number | undefined;
  readonly faultAtMotor: number | undefined;
  /** A instantaneous. */
  readonly firstCrest: number | undefined;
  /** Locked-rotor current A, s it is borne hot, and s after which a warm relay is off at the latest. */
  readonly stall: { readonly current: number; readonly time: number; readonly trips: number | undefined } | undefined;
  /** The device itself trips at overload, and no relay beside it. */
  readonly opensItself: boolean;
}

/** A relay's band with the time its contactor takes to open. */
function throughContactor(of: TripClass, dial: number, left?: number): TimeBand {
  const band = relayBand(of, dial, left);
  return {
    quick: (I) => Math.max(opening.contactor, band.quick(I)),
    slow: (I) => Math.max(opening.contactor, band.slow(I)),
    source: band.source,
  };
}

/** A crossing whose figures are known as such. */
type Said = Crossing & { readonly figures: readonly FigureId[] };

/** Time-current curves of a circuit, and what is to be said of where they cross. */
export function chartOf(timed: Timed): { readonly curves: GuardCurves; readonly crossings: readonly Said[] } {
  const { relay, device, withstand, stall } = timed;
  const far = Math.max(timed.fault ?? 0, (stall?.current ?? 0) * 3, relay.dial * 30);
  const grid = gridOf(relay.dial * 0.9, far * 1.1);
  const cold = throughContactor(relay.class, relay.dial);
  const warm = throughContactor(relay.class, relay.dial, hotShare.value);
  const lines: GuardCurves['lines'][number][] = [];
  const band = (id: string, name: string, of: TimeBand): void => {
    lines.push({ id, name, points: sampled(of.quick, grid), slow: sampled(of.slow, grid) });
  };
  const line = (id: string, name: string, points: Points): void => {
    if (points.length > 1) lines.push({ id, name, points, slow: null });
  };
  if (relay.seen) {
    line('start', 'the start, simulated', thinned(relay.seen.time.map((t, i) => [relay.seen?.current[i] ?? 0, t])));
    line('start-heat', 'the start as a steady current of its heat', thinned(steadyOf(relay.seen)));
  }
  band('relay-cold', `relay, class ${relay.class}, cold`, cold);
  band('relay-warm', `relay, class ${relay.class}, warm`, warm);
  if (stall) {
    // An I²t is straight on this paper: its ends are enough.
    const bears = (time: number): Points => [
      [short(relay.dial * 2), short(time * (stall.current / (relay.dial * 2)) ** 2)],
      [short(stall.current), short(time)],
    ];
    line('stall-hot', 'what the motor bears, hot', bears(stall.time));
    line('stall-cold', 'what the motor bears, cold', bears(stall.time * coldStall));
  }
  const scpd = device && deviceBand(device.kind, device.rating);
  if (device && scpd) band('device', deviceNames[device.kind], scpd);
  if (withstand !== undefined) {
    const most = far * 1.1;
    line('cable', 'what the cable bears', [
      [short(Math.sqrt(withstand / adiabatic)), adiabatic],
      [short(most), short(withstand / most ** 2)],
    ]);
  }
  const marks: GuardCurves['marks'][number][] = [];
  const mark = (id: string, name: string, current: number | undefined): void => {
    if (current !== undefined) marks.push({ id, name, current: short(current) });
  };
  mark('dial', 'dial', relay.dial);
  mark('first-crest', 'first crest ÷ √2', timed.firstCrest && timed.firstCrest / Math.SQRT2);
  mark('contactor', 'contactor breaks', timed.contactor && breaksAtMost.value * timed.contactor);
  mark('fault-at-motor', 'fault at the motor', timed.faultAtMotor);
  mark('fault', 'fault at the starter', timed.fault);
  return { curves: { dial: relay.dial, class: relay.class, lines, marks }, crossings: crossingsOf(timed) };
}

function thinned(points: Points): Points {
  const every = Math.max(1, Math.ceil(points.length / 80));
  return points
    .filter(([current, time], i) => (i % every === 0 || i === points.length - 1) && time > 0 && current > 0)
    .map(([current, time]) => [short(current), short(Math.max(leastTime, time))]);
}

/** Where the curves cross, in the order a circuit is read: while starting, at standstill, at a fault. */
function crossingsOf(timed: Timed): readonly Said[] {
  const { relay, device, stall } = timed;
  const cold = throughContactor(relay.class, relay.dial);
  const warm = throughContactor(relay.class, relay.dial, hotShare.value);
  const band = device && deviceBand(device.kind, device.rating);
  const list: Said[] = [];
  const say = (
    id: Crossing['id'],
    outcome: Crossing['outcome'],
    text: string,
    at: readonly [number, number] | null,
    figures: readonly FigureId[],
  ): void => {
    list.push({ id, outcome, text, at: at && [short(at[0]), short(at[1])], figures: [...figures] });
  };

  if (relay.seen) {
    const steady = steadyOf(relay.seen);
    const last = steady.at(-1);
    const trips = steady.find(([current, time]) => cold.quick(current) <= time);
    say(
      'outlasts-start',
      trips ? 'fail' : 'pass',
      trips
        ? `The quickest relay of class ${relay.class} trips ${seconds(trips[1])} after switch-on.`
        : `Even the quickest relay of class ${relay.class} lets it start` +
            (last && Number.isFinite(cold.quick(last[0]))
              ? `: it would trip at ${seconds(cold.quick(last[0]))}, the start takes ${seconds(last[1])}.`
              : '.'),
      trips ?? last ?? null,
      ['guard.tripAtStart', 'guard.tripClass'],
    );
  }
  if (stall) {
    const latest = stall.trips ?? warm.slow(stall.current);
    say(
      'trips-before-stall',
      latest <= stall.time ? 'pass' : 'caution',
      latest <= stall.time
        ? `Held at standstill it is off after ${seconds(latest)} at the latest, warm; it bears ${seconds(stall.time)}.`
        : `Held at standstill a warm relay may take ${seconds(latest)}, the motor bears ${seconds(stall.time)}.`,
      [stall.current, latest],
      ['guard.tripAtStall', 'start.stallTime'],
    );
  }
  if (band && device && timed.contactor !== undefined) contactorCrossing(say, timed, cold, band, device);
  if (band && device && timed.firstCrest !== undefined) crestCrossing(say, timed.firstCrest, band, device);
  if (device && timed.withstand !== undefined) cableCrossing(say, timed, timed.withstand, device);
  return list;
}

type Say = (
  id: Crossing['id'],
  outcome: Crossing['outcome'],
  text: string,
  at: readonly [number, number] | null,
  figures: readonly FigureId[],
) => void;

/** From this current on the device is off before the quickest relay asks its contactor to open. */
export function takesOverAt(relay: TimeBand, device: TimeBand, from: number, to: number): number | undefined {
  const grid = gridOf(from, to);
  const last = grid.findLastIndex((I) => device.slow(I) > relay.quick(I));
  return grid[last + 1];
}

function contactorCrossing(say: Say, timed: Timed, cold: TimeBand, band: TimeBand, device: DeviceTaken): void {
  const { contactor: rating = 0, tested } = timed;
  const limit = breaksAtMost.value * rating;
  const figures = ['guard.contactorRating'] as const;
  if (timed.opensItself) {
    say(
      'within-contactor',
      'pass',
      'The breaker opens at overload as well as at a fault: the contactor need not.',
      null,
      figures,
    );
    return;
  }
  const over = takesOverAt(cold, band, rating, limit * 10);
  const holds = over !== undefined && !exceeds(over, limit);
  const upTo = over === undefined ? 'At every current' : `Up to ${amperes(over)}`;
  say(
    'within-contactor',
    holds || tested ? 'pass' : 'caution',
    holds
      ? `From ${amperes(over)} on the ${deviceNames[device.kind]} is quicker than the relay; the contactor breaks ` +
          `${amperes(limit)}.`
      : `${upTo} the relay may open the contactor first, which breaks ${amperes(limit)}: ` +
          (tested
            ? 'the combination was tested for it.'
            : 'only a combination tested together tells that it bears it.'),
    over === undefined ? null : [over, cold.quick(over)],
    figures,
  );
}

function crestCrossing(say: Say, crest: number, band: TimeBand, device: DeviceTaken): void {
  const current = crest / Math.SQRT2;
  const holds = isFuse(device.kind) ? band.quick(current) > 0.01 : band.quick(current) > opening.slow;
  say(
    'rides-first-crest',
    holds ? 'pass' : 'caution',
    holds
      ? `The first crest of ${amperes(crest)} passes the ${deviceNames[device.kind]}.`
      : `The first crest of ${amperes(crest)} may trip the ${deviceNames[device.kind]}` +
          `${isFuse(device.kind) ? '' : `, which may act from ${amperes((1 - opening.tolerance) * device.rating)}`}: ` +
          'set it higher, as far as the code permits, or take one that looks away for the first half cycle.',
    [current, 0.01],
    ['guard.instantaneousTrip'],
  );
}

function cableCrossing(say: Say, timed: Timed, withstand: number, device: DeviceTaken): void {
  const { relay, fault, faultAtMotor, letThrough } = timed;
  const most = fault ?? faultAtMotor;
  if (most === undefined) return;
  const { bears, at } = faultBorne(clearing({ ...device, relay }, letThrough), [faultAtMotor ?? most, most], withstand);
  const name = deviceNames[device.kind];
  const least = writeQuantity(q(withstand, 'A2.s'), 'A2.s');
  const told = {
    yes: ['pass', `At a fault the ${name} is off before the cable is hurt.`],
    unknown: [
      'condition',
      `Holds if the ${name} lets through ${least} or less at ${amperes(at ?? most)}: its maker says, as it limits ` +
        'there.',
    ],
    no: [
      'caution',
      `At ${amperes(at ?? most)} the ${name} may let through more than the ${least} that the cable bears: a larger ` +
        'conductor, or a device that lets through less.',
    ],
  } as const;
  const [outcome, text] = told[bears];
  say('protects-cable', outcome, text, at === undefined ? null : [at, withstand / at ** 2], [
    'guard.cableWithstand',
    'guard.availableFault',
  ]);
}

/** Said of the chart as a whole. */
export const chartSource = commonPractice(
  'Bands by the standards’ gates and classes; a maker’s own curve lies within them and replaces them',
);
