import type { FlowBenchOf } from '@pilgrim/core';
import { BenchSide, type BenchReading, type BenchSpoiling, type VoltageCurve } from '@pilgrim/core/bench';

export type Which = 'throttle' | 'drive';
export type Pair<T> = Readonly<Record<Which, T>>;

/** s of the tape, and between two of its marks. */
export const tapeSeconds = 60;
const tapeEvery = 0.05;
const marks = tapeSeconds / tapeEvery;
/** s in which a year is played. */
const yearSeconds = 60;
/** Longest stretch of time that is caught up with, s: a page that was hidden does not race. */
const longest = 0.25;

/** What of the year has been played: h, money, and what was drawn. */
export interface YearPlayed {
  readonly hours: number;
  readonly of: number;
  readonly saved: number;
  readonly kWh: Pair<number>;
  readonly row: number;
}

const still: BenchReading = {
  current: 0,
  voltage: 0,
  frequency: 0,
  powerFactor: 0,
  watts: 0,
  motorWatts: 0,
  flow: 0,
  speed: 0,
  opening: 1,
  tripped: null,
};

/** Two identical machines in time, one throttled and one on a drive, and the tape of what they draw. */
export class Bench {
  readonly sides: Pair<BenchSide>;
  readings: Pair<BenchReading> = $state.raw({ throttle: still, drive: still });
  running = $state(false);
  wanted = $state(1);
  curve: VoltageCurve = $state('square');
  /** kWh saved and money since both were switched on. */
  saved = $state(0);
  played: YearPlayed | null = $state.raw(null);
  playing = $state(false);
  /** W of both, oldest first from `head`; NaN where nothing was drawn yet. */
  readonly tape: Pair<Float32Array>;
  head = 0;
  /** Longest time between two frames since it was begun, ms. */
  slowest = 0;
  #since = 0;

  constructor(readonly of: FlowBenchOf) {
    const { spec } = of;
    this.sides = { throttle: new BenchSide(spec, 'throttle'), drive: new BenchSide(spec, 'drive') };
    this.tape = { throttle: new Float32Array(marks).fill(NaN), drive: new Float32Array(marks).fill(NaN) };
  }

  run(on: boolean): void {
    this.running = on;
    this.playing = false;
    for (const side of Object.values(this.sides)) side.run(on);
  }

  want(flow: number): void {
    this.wanted = flow;
    for (const side of Object.values(this.sides)) side.wanted = flow;
  }

  follow(curve: VoltageCurve): void {
    this.curve = curve;
    this.sides.drive.curve = curve;
  }

  spoil(which: readonly Which[], change: Partial<BenchSpoiling>): void {
    const sound = { clog: 1, held: this.of.spec.held, oversize: 1, phases: 3 } as const;
    for (const [id, side] of Object.entries(this.sides) as [Which, BenchSide][])
      side.spoil(which.includes(id) ? { ...sound, ...change } : sound);
  }

  /** What both show once all has come to rest at a flow. */
  atRest(flow: number): Pair<BenchReading | null> {
    return { throttle: this.sides.throttle.settled(flow), drive: this.sides.drive.settled(flow) };
  }

  play(): void {
    this.running = false;
    this.playing = true;
    const of = this.of.year.reduce((sum, r) => sum + r.hours, 0);
    this.played = { hours: 0, of, saved: 0, kWh: { throttle: 0, drive: 0 }, row: 0 };
  }
  pause(): void {
    this.playing = false;
  }

  /** One frame: so many ms after the last. */
  frame(ms: number): void {
    this.slowest = Math.max(this.slowest, ms);
    const seconds = Math.min(longest, ms / 1000);
    if (this.playing) this.#year(seconds);
    else {
      for (const side of Object.values(this.sides)) side.advance(seconds);
      this.readings = { throttle: this.sides.throttle.reading, drive: this.sides.drive.reading };
      if (this.running) this.saved += (this.#less * seconds) / 3.6e6;
    }
    this.#since += seconds;
    for (; this.#since >= tapeEvery; this.#since -= tapeEvery) {
      this.tape.throttle[this.head] = this.readings.throttle.watts;
      this.tape.drive[this.head] = this.readings.drive.watts;
      this.head = (this.head + 1) % marks;
    }
  }

  get #less(): number {
    return this.readings.throttle.watts - this.readings.drive.watts;
  }

  #year(seconds: number): void {
    const { played } = this;
    if (!played) return;
    let left = (seconds / yearSeconds) * played.of;
    let { hours, saved, row } = played;
    const kWh = { ...played.kWh };
    const { year, price } = this.of;
    let passed = year.slice(0, row).reduce((sum, r) => sum + r.hours, 0);
    while (left > 0 && row < year.length) {
      const here = year[row];
      if (!here) break;
      const part = Math.min(left, passed + here.hours - hours);
      const rest = this.#resting(here.flow);
      for (const id of ['throttle', 'drive'] as const) kWh[id] += ((rest[id]?.watts ?? 0) * part) / 1000;
      saved = (kWh.throttle - kWh.drive) * price;
      hours += part;
      left -= part;
      this.readings = { throttle: rest.throttle ?? still, drive: rest.drive ?? still };
      if (hours >= passed + here.hours - 1e-9) {
        passed += here.hours;
        row++;
      }
    }
    this.played = { ...played, hours, saved, kWh, row };
    if (row >= year.length) this.playing = false;
  }

  /** The same flow is asked each frame: what it comes to is worked out once. */
  #rest: { readonly key: string; readonly at: Pair<BenchReading | null> } | null = null;
  #resting(flow: number): Pair<BenchReading | null> {
    const key = JSON.stringify([flow, this.curve, this.sides.throttle.spoiling, this.sides.drive.spoiling]);
    if (this.#rest?.key !== key) this.#rest = { key, at: this.atRest(flow) };
    return this.#rest.at;
  }
}
