import {
  answerLength,
  at,
  frictionAt,
  prepare,
  preparedLength,
  seen,
  seenBy,
  seenLength,
  solveAt,
  type Circuit,
} from '../machine/circuit';
import { fedLosses } from '../machine/induction';
import { bestVoltage, pointAt, pointForTorque, type OperatingPoint } from '../machine/operating';
import { class10, relayHeat } from '../machine/relay';
import { driveShare } from './flow';
import { speedFor, type FlowMachine } from './flowMachine';

/** A machine and its motor as a bench takes them: plain data. Flow, head and shaft power ÷ those of the full demand. */
export interface FlowBenchSpec {
  readonly circuit: Circuit;
  /** kg·m² of motor and machine, at the motor. */
  readonly inertia: number;
  /** W at the motor's shaft at full flow, and r/min there. */
  readonly power: number;
  readonly speed: number;
  /** The machine's curve at full speed over flows from 0 to `most`, evenly. */
  readonly head: readonly number[];
  readonly shaft: readonly number[];
  readonly most: number;
  readonly efficiency: number;
  /** Share of the head that is there without flow. */
  readonly held: number;
}

/** Places of a curve that is handed over as plain data. */
const places = 48;

/** A machine's curve as plain data. */
export const tabled = ({ head, power, most, efficiency }: FlowMachine) => {
  const at = (of: (x: number) => number) => Array.from({ length: places + 1 }, (_, i) => of((most * i) / places));
  return { head: at(head), shaft: at(power), most, efficiency };
};

/** How the drive's voltage follows its frequency: in proportion, with its square, or sought for the least input. */
export const voltageCurves = ['proportional', 'square', 'least'] as const;
export type VoltageCurve = (typeof voltageCurves)[number];

/** What is wrong with both machines: × the pipe's or duct's resistance; the static share; × the motor's size; lines. */
export interface BenchSpoiling {
  readonly clog: number;
  readonly held: number;
  readonly oversize: number;
  readonly phases: 2 | 3;
}

/** What one of them shows. A, V, power factor and Hz at the motor; W from the supply; flow ÷ full. */
export interface BenchReading {
  readonly current: number;
  readonly voltage: number;
  readonly frequency: number;
  readonly powerFactor: number;
  /** W from the supply, and of it to the motor: a drive shows the second. */
  readonly watts: number;
  readonly motorWatts: number;
  readonly flow: number;
  readonly speed: number;
  /** Of the valve or damper, 0 shut to 1 open; 1 beside a drive, which has none. */
  readonly opening: number;
  readonly tripped: 'overload' | 'phase-lost' | null;
}

const rad = Math.PI / 30;
/** Below this share of speed bearings run dry and hold back by so much of rated torque (common practice). */
const dry = 0.05;
const stiction = 0.015;
/** s of one step in time, at most. */
const longest = 0.004;
/** A second of opening, and of a drive's frequency, ÷ their whole range. */
const valveRate = 0.35;
const rampTime = 8;
/** A ÷ rated beyond which a drive holds its ramp. */
const rampLimit = 1.2;
/** Slip that a drive compensates, of rated frequency at most, and over so many s. */
const mostSlip = 0.08;
const slipTime = 0.6;
/** Share of rated input from which a lost line trips a drive, and after so many s. */
const phaseShare = 0.35;
const phaseAfter = 1;
/** × rated that an overload relay of class 10 bears for ever. */
const relayBears = 1.1;
const relayTrips = relayHeat(class10, relayBears);
/** s between two searches for the least voltage, and the share a second by which it moves there. */
const seekEvery = 0.5;
const seekRate = 0.5;
const leastFrequency = 1;
/** Share of its volts per hertz below which no energy-saving mode goes (common practice); most of its frequency. */
const leastFlux = 0.5;
const mostFrequency = 1.05;

/** A motor `k` times as large, of the same kind: ohms ÷ k, watts × k. */
export function resized(c: Circuit, k: number): Circuit {
  const { cage2, saturation, strayResistance } = c;
  return {
    ...c,
    statorResistance: c.statorResistance / k,
    statorReactance: c.statorReactance / k,
    rotorResistance: c.rotorResistance / k,
    rotorReactance: c.rotorReactance / k,
    magnetisingReactance: c.magnetisingReactance / k,
    coreLoss: c.coreLoss * k,
    frictionLoss: c.frictionLoss * k,
    ...(strayResistance !== undefined && { strayResistance: strayResistance / k }),
    ...(cage2 && { cage2: { resistance: cage2.resistance / k, reactance: cage2.reactance / k } }),
    ...(saturation && { saturation: { ...saturation, from: saturation.from * k } }),
  };
}

const ratedPoint = (c: Circuit): OperatingPoint =>
  pointAt(c, c.voltage, c.frequency, 1 - (c.ratedSpeed * c.poles) / (120 * c.frequency));

/** One of the two machines on the bench, in time: `throttle` on the line, or `drive`. */
export class BenchSide {
  /** Flow ÷ full that is wanted. */
  wanted = 1;
  curve: VoltageCurve = 'square';
  #on = false;
  #n = 0;
  #opening = 1;
  #frequency = 0;
  #flux = 1;
  #slip = 0;
  #aimed = 1;
  #sought = 0;
  #heat = 0;
  #phaseFor = 0;
  #tripped: BenchReading['tripped'] = null;
  #spoiling: BenchSpoiling;
  #circuit: Circuit;
  #rated: OperatingPoint;
  readonly #machine: FlowMachine;
  readonly #answer = new Float64Array(answerLength);
  readonly #prepared = new Float64Array(preparedLength);
  readonly #forward = new Float64Array(seenLength);
  readonly #backward = new Float64Array(seenLength);
  #current = 0;
  #volts = 0;
  #factor = 0;
  #input = 0;

  constructor(
    readonly spec: FlowBenchSpec,
    readonly way: 'throttle' | 'drive',
  ) {
    this.#circuit = spec.circuit;
    this.#rated = ratedPoint(spec.circuit);
    this.#spoiling = { clog: 1, held: spec.held, oversize: 1, phases: 3 };
    const { head, shaft, most, efficiency } = spec;
    const lookUp = (table: readonly number[]) => (x: number) => {
      const i = Math.max(0, Math.min(places, (x / most) * places));
      const low = Math.min(places - 1, Math.floor(i));
      const a = table[low] ?? 0;
      return a + (i - low) * ((table[low + 1] ?? 0) - a);
    };
    this.#machine = { head: lookUp(head), power: lookUp(shaft), most, efficiency };
  }

  get running(): boolean {
    return this.#on;
  }
  get spoiling(): BenchSpoiling {
    return this.#spoiling;
  }

  /** Switches it on or off; on, a trip is acknowledged. */
  run(on: boolean): void {
    if (on && !this.#on) {
      this.#tripped = null;
      this.#frequency = this.way === 'drive' ? Math.max(leastFrequency, (this.#n * this.#circuit.poles) / 120) : 0;
      this.#phaseFor = 0;
    }
    this.#on = on;
  }

  spoil(spoiling: Partial<BenchSpoiling>): void {
    this.#spoiling = { ...this.#spoiling, ...spoiling };
    this.#circuit = resized(this.spec.circuit, this.#spoiling.oversize);
    this.#rated = ratedPoint(this.#circuit);
  }

  get reading(): BenchReading {
    const motor = this.#input;
    return {
      current: this.#current,
      voltage: this.#volts,
      frequency: !this.#feeding ? 0 : this.way === 'drive' ? this.#frequency : this.#circuit.frequency,
      powerFactor: this.#factor,
      watts: this.#feeding ? this.#fromSupply(motor) : 0,
      motorWatts: motor,
      flow: this.#flowAt(this.#n, this.#opening),
      speed: this.#n,
      opening: this.way === 'drive' ? 1 : this.#opening,
      tripped: this.#tripped,
    };
  }

  /** Moves on by so many seconds. */
  advance(seconds: number): void {
    const steps = Math.max(1, Math.ceil(seconds / longest));
    for (let i = 0; i < steps; i++) this.#step(seconds / steps);
  }

  /** What it would show once all has come to rest at a flow; null where it cannot run so. */
  settled(flow: number, curve = this.curve): BenchReading | null {
    const c = this.#circuit;
    const base = { flow, tripped: null } as const;
    if (this.way === 'throttle') {
      let n = this.spec.speed;
      let opening = 1;
      for (let i = 0; i < 30; i++) {
        opening = this.#openingFor(n, flow);
        const p = pointForTorque(c, c.voltage, c.frequency, this.#resists(n, opening));
        if (!p) return null;
        n = (n + p.speed) / 2;
      }
      const p = pointForTorque(c, c.voltage, c.frequency, this.#resists(n, opening));
      if (!p) return null;
      const { current, voltage, powerFactor, input } = p;
      const shown = { current, voltage, frequency: c.frequency, powerFactor, watts: input, motorWatts: input };
      return { ...base, ...shown, flow: this.#flowAt(n, opening), speed: n, opening };
    }
    const n = this.#speedWanted(flow);
    const torque = this.#resists(n, 1);
    let f = (n * c.poles) / 120;
    let point: OperatingPoint | undefined;
    for (let i = 0; i < 12; i++) {
      point = pointForTorque(c, this.#proportional(f) * this.#fluxFor(curve, f, torque), f, torque);
      // A squared curve that does not carry it is raised, as whoever sets the drive would.
      point ??= pointForTorque(c, this.#proportional(f), f, torque);
      if (!point) return null;
      f = Math.min(mostFrequency * c.frequency, f + ((n - point.speed) * c.poles) / 120);
    }
    if (!point) return null;
    const motorWatts = this.#fed(point.input, point.output);
    const { current, voltage, powerFactor } = point;
    const shown = { current, voltage, frequency: f, powerFactor, watts: this.#fromSupply(motorWatts), motorWatts };
    return { ...base, ...shown, flow: this.#flowAt(n, 1), speed: n, opening: 1 };
  }

  get #feeding(): boolean {
    return this.#on && this.#tripped === null;
  }

  /** V of the line's volts per hertz at f. */
  #proportional(f: number): number {
    return this.#circuit.voltage * Math.min(1, f / this.#circuit.frequency);
  }

  /** What a drive's pulses add to what the motor takes. */
  #fed(input: number, output: number): number {
    return output + fedLosses(this.#rated.output) * Math.max(0, input - output);
  }

  /** W from the supply where the motor takes so many. */
  #fromSupply(motor: number): number {
    if (this.way === 'throttle') return motor;
    const rated = this.#rated.input;
    const x = Math.max(1e-4, motor / rated);
    return (x / driveShare(x)) * rated;
  }

  /** Head ÷ full that the system asks at a flow, through a valve or damper so far open. */
  #asks(x: number, opening: number): number {
    const { held, clog } = this.#spoiling;
    return held + ((1 - held) * clog * x * x) / (opening * opening);
  }

  /** Flow ÷ full at a speed and an opening. */
  #flowAt(n: number, opening: number): number {
    const w = n / this.spec.speed;
    if (w < 1e-3) return 0;
    const { head, most } = this.#machine;
    const over = (x: number): number => w * w * head(x / w) - this.#asks(x, opening);
    if (over(0) <= 0) return 0;
    let low = 0;
    let high = most * w;
    if (over(high) >= 0) return high;
    for (let i = 0; i < 40; i++) {
      const mid = (low + high) / 2;
      if (over(mid) > 0) low = mid;
      else high = mid;
    }
    return low;
  }

  /** Opening at which a flow is held at a speed; 1 where even open does not give it. */
  #openingFor(n: number, flow: number): number {
    if (this.#flowAt(n, 1) <= flow) return 1;
    let low = 0.01;
    let high = 1;
    for (let i = 0; i < 40; i++) {
      const mid = (low + high) / 2;
      if (this.#flowAt(n, mid) < flow) low = mid;
      else high = mid;
    }
    return high;
  }

  /** r/min at which a drive gives a flow; at most as fast as full. */
  #speedWanted(flow: number): number {
    const w = speedFor(this.#machine, Math.max(0.02, flow), Math.max(1e-3, this.#asks(flow, 1)));
    return this.spec.speed * Math.min(1, w);
  }

  /** N·m the machine asks at n r/min and an opening. */
  #resists(n: number, opening: number): number {
    const w = Math.max(n / this.spec.speed, 1e-3);
    const x = this.#flowAt(n, opening);
    return (this.spec.power * w * w * this.#machine.power(x / w)) / (this.spec.speed * rad);
  }

  #step(h: number): void {
    const c = this.#circuit;
    const feeding = this.#feeding;
    if (this.way === 'throttle') {
      const off = Math.max(-1, Math.min(1, 6 * (this.wanted - this.#flowAt(this.#n, this.#opening))));
      this.#opening = Math.max(0.02, Math.min(1, this.#opening + valveRate * off * h));
    } else if (feeding) this.#ramp(h);
    const pulls = (n: number): number => (feeding ? this.#torque(n) : 0);
    const friction = this.#n < 1e-3 ? 0 : frictionAt(c, this.#n) / (this.#n * rad);
    const sticks = this.#n < dry * this.spec.speed ? stiction * this.#rated.torque : 0;
    const load = this.#resists(this.#n, this.#opening) + friction + sticks;
    // Half implicit: a stiff motor holds its speed tighter than a step is long.
    const faster = pulls(this.#n + 0.5);
    const here = pulls(this.#n);
    const slope = Math.min(0, (faster - here) / 0.5) / rad;
    const rise = (h * (here - load)) / this.spec.inertia / (1 - (h * slope) / this.spec.inertia);
    this.#n = Math.max(0, this.#n + rise / rad);
    if (feeding) this.#protect(h);
    else this.#idle();
  }

  #idle(): void {
    this.#current = this.#volts = this.#factor = this.#input = 0;
    this.#frequency = 0;
  }

  #ramp(h: number): void {
    const c = this.#circuit;
    // The slip is compensated slowly, or frequency and speed would chase each other.
    const slip = this.#frequency - (this.#n * c.poles) / 120;
    this.#slip += (Math.max(0, Math.min(mostSlip * c.frequency, slip)) - this.#slip) * Math.min(1, h / slipTime);
    const goal = (this.#speedWanted(this.wanted) * c.poles) / 120 + this.#slip;
    const step = (c.frequency / rampTime) * h;
    const highest = mostFrequency * c.frequency;
    if (goal > this.#frequency && this.#current > rampLimit * this.#rated.current) return;
    this.#frequency = Math.max(
      leastFrequency,
      this.#frequency + Math.max(-step, Math.min(step, Math.min(highest, goal) - this.#frequency)),
    );
    // The least is sought now and then, and only at rest: while it moves it keeps its flux.
    this.#sought -= h;
    if (this.curve !== 'least' || this.#sought <= 0) {
      this.#sought = seekEvery;
      const moving = this.curve === 'least' && Math.abs(goal - this.#frequency) > 0.2;
      const torque = this.curve === 'least' ? this.#resists(this.#n, 1) : 0;
      this.#aimed = moving ? 1 : this.#fluxFor(this.curve, this.#frequency, torque);
    }
    const change = seekRate * h;
    this.#flux += Math.max(-change, Math.min(change, this.#aimed - this.#flux));
  }

  /** Share of its volts per hertz that a drive gives at f Hz and so much torque. */
  #fluxFor(curve: VoltageCurve, f: number, torque: number): number {
    const c = this.#circuit;
    if (curve === 'proportional') return 1;
    if (curve === 'square') return Math.min(1, f / c.frequency);
    const best = bestVoltage(c, f, torque);
    return best ? Math.max(leastFlux, best.voltage / this.#proportional(f)) : 1;
  }

  /** N·m of the motor at n r/min as it is fed; what it draws is left for the reading. */
  #torque(n: number): number {
    const c = this.#circuit;
    const f = this.way === 'drive' ? this.#frequency : c.frequency;
    const U = this.way === 'drive' ? this.#proportional(f) * this.#flux : c.voltage;
    const s = 1 - (n * c.poles) / (120 * f);
    if (this.way === 'throttle' && this.#spoiling.phases === 2) return this.#onTwoLines(U, f, s);
    solveAt(c, U, f, s, this.#answer);
    const input = Math.max(0, this.#answer[at.input] ?? 0);
    const output = Math.max(0, this.#answer[at.output] ?? 0);
    this.#current = this.#answer[at.current] ?? 0;
    this.#volts = U;
    this.#factor = this.#answer[at.powerFactor] ?? 0;
    this.#input = this.way === 'drive' ? this.#fed(input, output) : input;
    return this.#answer[at.torque] ?? 0;
  }

  /** On two lines both sequences carry the same current, their impedances in series. */
  #onTwoLines(U: number, f: number, s: number): number {
    const c = this.#circuit;
    prepare(c, f, this.#prepared);
    seenBy(this.#prepared, Math.abs(s) < 1e-6 ? 1e-6 : s, this.#forward);
    seenBy(this.#prepared, 2 - s, this.#backward);
    const of = (view: Float64Array, i: number): number => view[i] ?? 0;
    const r = of(this.#forward, seen.resistance) + of(this.#backward, seen.resistance);
    const x = of(this.#forward, seen.reactance) + of(this.#backward, seen.reactance);
    const current = U / Math.hypot(r, x);
    // Each sequence carries the line's current over the root of three.
    const square = (current * current) / 3;
    const gap = square * (of(this.#forward, seen.airGap) - of(this.#backward, seen.airGap));
    this.#current = current;
    this.#volts = U;
    this.#factor = r / Math.hypot(r, x);
    this.#input = current * current * r;
    return gap / ((4 * Math.PI * f) / c.poles);
  }

  #protect(h: number): void {
    const load = this.#current / this.#rated.current;
    if (this.way === 'throttle') {
      this.#heat = Math.max(0, this.#heat + (load * load - relayBears * relayBears) * h);
      if (this.#heat > relayTrips) this.#trip('overload');
      return;
    }
    const share = this.#input / this.#rated.input;
    this.#phaseFor = this.#spoiling.phases === 2 && share > phaseShare ? this.#phaseFor + h : 0;
    if (this.#phaseFor > phaseAfter) this.#trip('phase-lost');
  }

  #trip(why: NonNullable<BenchReading['tripped']>): void {
    this.#tripped = why;
    this.#heat = 0;
    this.#idle();
  }
}
