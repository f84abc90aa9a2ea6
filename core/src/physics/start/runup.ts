import { answerLength, at as steady, frictionAt, solveAt } from '../machine/circuit';
import { grid, gridLength, Network, onLine, type Control, type Hookup } from '../supply/network';
import { reducedHookup } from './hookups';
import {
  startTorqueAt,
  type Changeover,
  type Run,
  type RunEvent,
  type RunOutcome,
  type RunSpec,
  type Trace,
} from './run';

/** Of the final speed: where a start counts as done. */
export const arrived = 0.95;
/** Longest start worth simulating, s. */
export const longest = 600;
const mostSteps = 20_000;
const traceLength = 1024;
const usualTolerance = 1e-6;
const shortest = 1e-9;
/** Of the final speed: where the simulation ends; and net torque ÷ motor torque below which nothing moves any more. */
const settled = 0.998;
const heldBelow = 0.002;
/**
 * Step × rate of decay near which the explicit pair is held by stability (3.3) and not by error, and so many accepted
 * steps at it in a row before the implicit one takes over: Hairer and Wanner, Solving Ordinary Differential Equations
 * II, IV.2 (from memory).
 */
const stabilityEdge = 2.5;
const edgeSteps = 8;
/** Of the two-stage Rosenbrock method: L-stable, of order two. */
const gamma = 1 - Math.SQRT1_2;

/**
 * Regulator of a generator: the most it forces, ÷ rated, and the time constant with which the subtransient period
 * ends, s. Common practice.
 */
export const generatorForcing = 1.25;
const subtransientTime = 0.03;

/** Which integral stands where in the state. */
const at = { speed: 0, input: 1, stator: 2, rotor: 3, core: 4, friction: 5, load: 6, squared: 7, emf: 8 } as const;
const states = 9;

/**
 * Speed, currents, voltages and heat of a start on the line: J dω/dt = T(ω, U) − T_load(ω), with the machine in its
 * steady state at every speed, integrated by Dormand and Prince's 5(4) pair with step control, where a light machine
 * follows a ramp at once by a two-stage Rosenbrock method; heat and work are integrals beside it. Ends at the
 * final speed, stuck, or at the horizon. Never throws for finite positive data; allocates nothing in its loop.
 * Electrical
 * transients (tens of ms) are left to `firstCycles`. Source: any textbook of electrical drives; Hairer, Nørsett and
 * Wanner, Solving
 * Ordinary Differential Equations I, table II.5.2 (from memory).
 */
export function runUp(spec: RunSpec): Run {
  return new RunUp(spec).run();
}

/** Coefficients of Dormand and Prince. */
const a21 = 1 / 5;
const [a31, a32] = [3 / 40, 9 / 40];
const [a41, a42, a43] = [44 / 45, -56 / 15, 32 / 9];
const [a51, a52, a53, a54] = [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729];
const [a61, a62, a63, a64, a65] = [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656];
const [b1, b3, b4, b5, b6] = [35 / 384, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84];
const [e1, e3, e4, e5, e6, e7] = [71 / 57600, -71 / 16695, 71 / 1920, -17253 / 339200, 22 / 525, -1 / 40];

const fromOmega = 30 / Math.PI;

/** Arrays of the start being simulated: one at a time, so one set is enough and nothing is allocated for it. */
const space = {
  out: new Float64Array(gridLength),
  y: new Float64Array(states),
  next: new Float64Array(states),
  k1: new Float64Array(states),
  k2: new Float64Array(states),
  k3: new Float64Array(states),
  k4: new Float64Array(states),
  k5: new Float64Array(states),
  k6: new Float64Array(states),
  k7: new Float64Array(states),
} as const;

class RunUp {
  readonly #net: Network;
  readonly #out = space.out;
  readonly #y = space.y;
  readonly #next = space.next;
  #k1 = space.k1;
  #k7 = space.k7;
  readonly #control: Control = { current: Infinity, voltage: 1, torque: Infinity };
  readonly #synchronous: number;
  readonly #tolerance: number;
  readonly #horizon: number;
  readonly #events: RunEvent[] = [];
  readonly #permitted: number;
  readonly #permittedRotor: number;
  #stage: Hookup = onLine;
  #controlled = false;
  #t = 0;
  #steps = 0;
  #peakLine = 0;
  #peakMotor = 0;
  #leastBus = Infinity;
  #leastTerminal = Infinity;
  #lost = 0;
  #margin = Infinity;
  #marginSpeed = 0;
  #limited = false;
  #finalSpeed: number | undefined;
  #arrival: number | undefined;
  #heldAt: number | undefined;
  #changeover: number | undefined;
  #jolt = 0;
  /** Accepted steps in a row at the edge of stability, step × rate of decay of the last, and whether it is implicit. */
  #atEdge = 0;
  #decay = 0;
  #stiff = false;
  #torqueBefore = 0;
  #trace: { data: Float64Array; length: number; stride: number; seen: number } | undefined;

  constructor(readonly spec: RunSpec) {
    const { circuit, feed } = spec;
    this.#net = new Network(circuit, feed);
    this.#synchronous = (120 * feed.frequency) / circuit.poles;
    this.#tolerance = spec.tolerance ?? usualTolerance;
    this.#horizon = spec.horizon ?? longest;
    const locked = new Float64Array(answerLength);
    solveAt(circuit, circuit.voltage, circuit.frequency, 1, locked);
    this.#permitted = (locked[steady.current] ?? 1) ** 2 * spec.stallTime;
    this.#permittedRotor = (locked[steady.airGap] ?? 1) * spec.stallTime;
    this.#y.fill(0);
    this.#y[at.emf] = feed.voltage;
    if (spec.traced) this.#trace = { data: new Float64Array(traceLength * 9), length: 0, stride: 1, seen: 0 };
  }

  run(): Run {
    const { spec } = this;
    const y = this.#y;
    this.#finalSpeed = this.#meetingSpeed();
    this.#follow();
    const last = this.#events.at(-1)?.what;
    const stuck = last === 'stalled' || last === 'crawling' ? last : 'unfinished';
    const outcome: RunOutcome = this.#arrival === undefined ? stuck : 'running';
    const speed = (y[at.speed] ?? 0) * fromOmega;
    const omega = y[at.speed] ?? 0;
    const before = spec.feed.voltage;
    return {
      outcome,
      time: this.#arrival,
      speed,
      finalSpeed: this.#finalSpeed,
      heldAt: this.#heldAt,
      peakLine: this.#peakLine,
      peakMotor: this.#peakMotor,
      changeoverCurrent: this.#changeover,
      jolt: this.#jolt,
      dip: shareLost(this.#leastBus, before),
      terminalDip: shareLost(this.#leastTerminal, before),
      cableDrop: this.#lost / before,
      margin: this.#margin === Infinity ? 0 : this.#margin,
      marginSpeed: this.#marginSpeed,
      statorHeat: (y[at.squared] ?? 0) / this.#permitted,
      rotorHeat: (y[at.rotor] ?? 0) / this.#permittedRotor,
      energy: {
        input: y[at.input] ?? 0,
        stator: y[at.stator] ?? 0,
        rotor: y[at.rotor] ?? 0,
        core: y[at.core] ?? 0,
        friction: y[at.friction] ?? 0,
        load: y[at.load] ?? 0,
        kinetic: 0.5 * spec.inertia * omega * omega,
      },
      events: this.#events,
      trace: this.#trace && columnsOf(this.#trace.data, this.#trace.length),
      steps: this.#steps,
    };
  }

  /** The stages of the method, one after another. */
  #follow(): void {
    const { plan, feed, circuit } = this.spec;
    const reduced = reducedHookup(circuit, feed.frequency, plan);
    switch (plan.method) {
      case 'direct':
        break;
      case 'star-delta':
        this.#reduced(reduced, plan.changeover);
        if (plan.pause > 0 && this.#goes()) {
          this.#event('opened');
          this.#stage = { ...onLine, open: true };
          this.#advance(this.#t + plan.pause, Infinity);
        }
        break;
      case 'autotransformer':
      case 'primary-reactor':
        this.#reduced(reduced, plan.changeover);
        break;
      case 'soft-starter':
        this.#controlled = true;
        if (plan.kick) {
          this.#limited = false;
          this.#advance(plan.kick.time, Infinity);
        }
        this.#advance(plan.time + (plan.kick?.time ?? 0), Infinity);
    }
    if (!this.#goes()) return;
    this.#stage = onLine;
    this.#begin();
    if (this.#t > 0 && plan.method !== 'soft-starter') {
      this.#changeover = this.#out[grid.line] ?? 0;
      this.#event('changed-over');
    }
    this.#advance(this.#horizon, Infinity);
  }

  #reduced(stage: Hookup, changeover: Changeover): void {
    this.#stage = stage;
    if (changeover.at === 'time') this.#advance(changeover.time, Infinity);
    else this.#advance(this.#horizon, (changeover.share * this.#synchronous) / fromOmega, true);
  }

  /** True while there is something left to simulate. */
  #goes(): boolean {
    const last = this.#events.at(-1)?.what;
    return last !== 'stalled' && last !== 'crawling' && this.#t < this.#horizon && this.#steps < mostSteps;
  }

  #event(what: RunEvent['what']): void {
    this.#events.push({ time: this.#t, speed: (this.#y[at.speed] ?? 0) * fromOmega, what });
  }

  /** Sets what a soft starter holds at time t. */
  #set(t: number): void {
    const { plan } = this.spec;
    if (plan.method !== 'soft-starter') return;
    const c = this.#control;
    const kick = plan.kick?.time ?? 0;
    if (t < kick && plan.kick) {
      c.voltage = plan.kick.voltage;
      c.current = Infinity;
      c.torque = Infinity;
      return;
    }
    const share = plan.time > 0 ? Math.min(1, (t - kick) / plan.time) : 1;
    const value = plan.from + (1 - plan.from) * share;
    c.current = plan.limit;
    c.voltage = plan.ramp === 'voltage' ? value : 1;
    // A torque ramp ends at what lets the machine through: twice rated torque.
    c.torque =
      plan.ramp === 'torque' && share < 1 ? (plan.from + (2 - plan.from) * share) * plan.ratedTorque : Infinity;
  }

  #solve(t: number, n: number, emf: number): void {
    const { feed } = this.spec;
    let x = feed.reactance;
    if (feed.generator)
      x =
        feed.generator.transientReactance +
        (feed.reactance - feed.generator.transientReactance) * Math.exp(-t / subtransientTime);
    if (this.#controlled) this.#set(t);
    this.#net.solve(n, this.#stage, this.#controlled ? this.#control : undefined, emf, x, this.#out);
  }

  /**
   * Rates of change of the state at time t and a speed in rad/s; standing, it moves only when torque beats breakaway.
   */
  #rates(t: number, speed: number, emf: number, dy: Float64Array): void {
    const { spec } = this;
    const omega = Math.max(0, speed);
    const n = omega * fromOmega;
    this.#solve(t, n, emf);
    const out = this.#out;
    const friction = frictionAt(spec.circuit, n);
    const load = startTorqueAt(spec.load, n);
    const torque = out[grid.torque] ?? 0;
    let net = torque - load - (omega > 1e-9 ? friction / omega : 0);
    if (omega <= 0 && net < 0) net = 0;
    const motor = out[grid.motor] ?? 0;
    dy[at.speed] = net / spec.inertia;
    dy[at.input] = out[grid.input] ?? 0;
    dy[at.stator] = out[grid.stator] ?? 0;
    dy[at.rotor] = (out[grid.airGap] ?? 0) - torque * omega;
    dy[at.core] = out[grid.core] ?? 0;
    dy[at.friction] = friction;
    dy[at.load] = load * omega;
    // As the running connection's line current: in star the winding's share is √3 more of it.
    dy[at.squared] = motor * motor * this.#stage.impedance;
    const g = spec.feed.generator;
    dy[at.emf] = g ? this.#recovering(emf, out[grid.bus] ?? 0, g.recovery) : 0;
  }

  #recovering(emf: number, bus: number, recovery: number): number {
    const wanted = this.spec.feed.voltage;
    const rate = (wanted - bus) / recovery;
    return rate > 0 && emf >= generatorForcing * wanted ? 0 : rate;
  }

  /** Looks at the state as it stands: peaks, margins, trace. */
  #begin(): void {
    this.#beforeRegulator();
    this.#rates(this.#t, this.#y[at.speed] ?? 0, this.#y[at.emf] ?? 0, this.#k1);
    const torque = this.#out[grid.torque] ?? 0;
    this.#jolt = Math.max(this.#jolt, Math.abs(torque - this.#torqueBefore));
    this.#look();
  }

  #look(): void {
    const out = this.#out;
    const n = (this.#y[at.speed] ?? 0) * fromOmega;
    this.#peaks();
    const limited = (out[grid.inserted] ?? 0) > 0;
    if (this.#controlled && this.#limited && !limited && n > 0) this.#event('limit-left');
    this.#limited = limited;
    this.#torqueBefore = out[grid.torque] ?? 0;
    this.#keep(n);
    if (n >= arrived * (this.#finalSpeed ?? Infinity) || this.#stage.open) return;
    const margin = this.#able(n) - startTorqueAt(this.spec.load, n);
    if (margin < this.#margin) {
      this.#margin = margin;
      this.#marginSpeed = n;
    }
  }

  /** The dip of a generator by its transient reactance, before its regulator moves: what is told of a set. */
  #beforeRegulator(): void {
    const { generator } = this.spec.feed;
    if (!generator) return;
    const [speed, emf] = [(this.#y[at.speed] ?? 0) * fromOmega, this.#y[at.emf] ?? 0];
    if (this.#controlled) this.#set(this.#t);
    const control = this.#controlled ? this.#control : undefined;
    this.#net.solve(speed, this.#stage, control, emf, generator.transientReactance, this.#out);
    this.#lowest();
  }

  #peaks(): void {
    const out = this.#out;
    this.#peakLine = Math.max(this.#peakLine, out[grid.line] ?? 0);
    this.#peakMotor = Math.max(this.#peakMotor, out[grid.motor] ?? 0);
    this.#lowest();
  }

  /** Least voltages so far: at the bus, and on the full line at the terminals. */
  #lowest(): void {
    const out = this.#out;
    this.#leastBus = Math.min(this.#leastBus, out[grid.bus] ?? Infinity);
    const full = this.#stage === onLine && (!this.#controlled || (out[grid.inserted] ?? 0) <= 0);
    if (!full) return;
    this.#leastTerminal = Math.min(this.#leastTerminal, out[grid.terminal] ?? Infinity);
    this.#lost = Math.max(this.#lost, (out[grid.bus] ?? 0) - (out[grid.terminal] ?? 0));
  }

  /**
   * Torque the motor can give now: of a ramp that is still rising, what its current limit lets through. Changes
   * `#out`.
   */
  #able(n: number): number {
    const { plan } = this.spec;
    const now = this.#out[grid.torque] ?? 0;
    if (plan.method !== 'soft-starter' || !this.#ramping()) return now;
    this.#net.solve(
      n,
      this.#stage,
      { current: plan.limit, voltage: 1, torque: Infinity },
      this.#y[at.emf] ?? 0,
      this.spec.feed.reactance,
      this.#out,
    );
    return Math.max(now, this.#out[grid.torque] ?? 0);
  }

  #ramping(): boolean {
    const { plan } = this.spec;
    return plan.method === 'soft-starter' && this.#t < plan.time + (plan.kick?.time ?? 0);
  }

  #keep(n: number): void {
    const trace = this.#trace;
    if (!trace) return;
    if (trace.seen++ % trace.stride !== 0) return;
    if (trace.length === traceLength) {
      // Full: every second row goes, and from now on half as many are kept.
      for (let i = 0; i < traceLength / 2; i++) trace.data.copyWithin(i * 9, i * 18, i * 18 + 9);
      trace.length = traceLength / 2;
      trace.stride *= 2;
    }
    const out = this.#out;
    const row = trace.length++ * 9;
    const { data } = trace;
    data[row] = this.#t;
    data[row + 1] = n;
    data[row + 2] = out[grid.line] ?? 0;
    data[row + 3] = out[grid.motor] ?? 0;
    data[row + 4] = out[grid.torque] ?? 0;
    data[row + 5] = startTorqueAt(this.spec.load, n);
    data[row + 6] = out[grid.bus] ?? 0;
    data[row + 7] = out[grid.terminal] ?? 0;
    data[row + 8] = Math.max(
      (this.#y[at.squared] ?? 0) / this.#permitted,
      (this.#y[at.rotor] ?? 0) / this.#permittedRotor,
    );
  }

  /**
   * Integrates in the present stage to time `until`, or to the angular speed `target` where that comes first; the last
   * stage ends where the
   * final speed is reached or nothing moves any more. `waits`: a stage that ends at a speed only.
   */
  #advance(until: number, target: number, waits = false): void {
    const y = this.#y;
    const next = this.#next;
    this.#begin();
    const scale = (this.#synchronous / fromOmega) * this.#tolerance;
    const goal = (this.#finalSpeed ?? Infinity) / fromOmega;
    const last = until >= this.#horizon;
    let h = this.#firstStep(scale);
    this.#stiff = false;
    this.#atEdge = 0;
    while (this.#t < until && this.#steps < mostSteps) {
      if (this.#stuck(last)) return;
      if ((last || this.#ramping()) && !waits && (y[at.speed] ?? 0) >= settled * goal) return;
      h = Math.min(h, until - this.#t, this.#drawable());
      const error = this.#stiff ? this.#implicitStep(h, scale) : this.#step(h, scale);
      const order = this.#stiff ? 2 : 5;
      this.#steps++;
      if (error > 1 && h > shortest) {
        h *= Math.max(0.2, 0.9 * error ** (-1 / order));
        continue;
      }
      const w1 = next[at.speed] ?? 0;
      // Where the stage ends, and where the start counts as done, the step is cut to end there.
      const stop = this.#arrival === undefined ? Math.min(target, arrived * goal) : target;
      if (w1 - stop > 1e-6 * stop && h > shortest) {
        const w0 = y[at.speed] ?? 0;
        h *= Math.max(0.05, (stop - w0) / (w1 - w0));
        continue;
      }
      this.#accept(h);
      if (this.#arrival === undefined && w1 >= arrived * goal * (1 - 1e-6)) {
        this.#arrival = this.#t;
        this.#event('at-speed');
      }
      if (w1 >= target * (1 - 1e-6)) return;
      h *= Math.min(5, 0.9 * Math.max(error, 1e-6) ** (-1 / order));
      this.#judgeStiffness();
    }
  }

  /** Changes to the implicit step where stability holds the explicit one, and back where it no longer would. */
  #judgeStiffness(): void {
    if (this.#stiff) this.#stiff = this.#decay > 1;
    else {
      this.#atEdge = this.#decay > stabilityEdge ? this.#atEdge + 1 : 0;
      this.#stiff = this.#atEdge >= edgeSteps && !this.spec.feed.generator;
    }
    if (this.#stiff) this.#atEdge = 0;
  }

  /** Takes the step just made. */
  #accept(h: number): void {
    const k = this.#k7;
    this.#y.set(this.#next);
    this.#t += h;
    // The last stage of the pair is the first of the next step.
    this.#k7 = this.#k1;
    this.#k1 = k;
    if ((this.#y[at.speed] ?? 0) < 0) {
      this.#y[at.speed] = 0;
      this.#rates(this.#t, 0, this.#y[at.emf] ?? 0, k);
    }
    this.#look();
  }

  /**
   * One step of the pair into `next`; gives the error of speed (and of a generator's voltage) ÷ what is allowed. Only
   * these two drive the
   * rates, so the integrals are summed once, at the end of the step.
   */
  #step(h: number, scale: number): number {
    const y = this.#y;
    const next = this.#next;
    const t = this.#t;
    const { k2, k3, k4, k5, k6 } = space;
    const k1 = this.#k1;
    const k7 = this.#k7;
    const w = y[at.speed] ?? 0;
    const e = y[at.emf] ?? 0;
    const w1 = k1[at.speed] ?? 0;
    const g1 = k1[at.emf] ?? 0;
    this.#rates(t + h / 5, w + h * a21 * w1, e + h * a21 * g1, k2);
    const w2 = k2[at.speed] ?? 0;
    const g2 = k2[at.emf] ?? 0;
    this.#rates(t + 0.3 * h, w + h * (a31 * w1 + a32 * w2), e + h * (a31 * g1 + a32 * g2), k3);
    const w3 = k3[at.speed] ?? 0;
    const g3 = k3[at.emf] ?? 0;
    this.#rates(t + 0.8 * h, w + h * (a41 * w1 + a42 * w2 + a43 * w3), e + h * (a41 * g1 + a42 * g2 + a43 * g3), k4);
    const w4 = k4[at.speed] ?? 0;
    const g4 = k4[at.emf] ?? 0;
    const t5 = t + (8 / 9) * h;
    this.#rates(
      t5,
      w + h * (a51 * w1 + a52 * w2 + a53 * w3 + a54 * w4),
      e + h * (a51 * g1 + a52 * g2 + a53 * g3 + a54 * g4),
      k5,
    );
    const w5 = k5[at.speed] ?? 0;
    const g5 = k5[at.emf] ?? 0;
    const sixth = w + h * (a61 * w1 + a62 * w2 + a63 * w3 + a64 * w4 + a65 * w5);
    this.#rates(t + h, sixth, e + h * (a61 * g1 + a62 * g2 + a63 * g3 + a64 * g4 + a65 * g5), k6);
    for (let i = 0; i < states; i++)
      next[i] =
        (y[i] ?? 0) +
        h * (b1 * (k1[i] ?? 0) + b3 * (k3[i] ?? 0) + b4 * (k4[i] ?? 0) + b5 * (k5[i] ?? 0) + b6 * (k6[i] ?? 0));
    this.#rates(t + h, next[at.speed] ?? 0, next[at.emf] ?? 0, k7);
    const ofSpeed = Math.abs(
      h * (e1 * w1 + e3 * w3 + e4 * w4 + e5 * w5 + e6 * (k6[at.speed] ?? 0) + e7 * (k7[at.speed] ?? 0)),
    );
    const apart = Math.abs((next[at.speed] ?? 0) - sixth);
    this.#decay = apart > 0 ? (h * Math.abs((k7[at.speed] ?? 0) - (k6[at.speed] ?? 0))) / apart : 0;
    if (!this.spec.feed.generator) return ofSpeed / scale;
    const ofEmf = Math.abs(
      h * (e1 * g1 + e3 * g3 + e4 * g4 + e5 * g5 + e6 * (k6[at.emf] ?? 0) + e7 * (k7[at.emf] ?? 0)),
    );
    return Math.max(ofSpeed / scale, ofEmf / (this.#tolerance * this.spec.feed.voltage));
  }

  /**
   * One step of the Rosenbrock method of order two (Verwer and others; from memory) into `next`, for a speed that
   * follows what drives it at once; gives the error as `#step` does. The integrals by trapezoids.
   */
  #implicitStep(h: number, scale: number): number {
    const y = this.#y;
    const next = this.#next;
    const { k2, k3 } = space;
    const k1 = this.#k1;
    const k7 = this.#k7;
    const [w, e] = [y[at.speed] ?? 0, y[at.emf] ?? 0];
    const rate = k1[at.speed] ?? 0;
    const byTime = 1e-3 * h;
    this.#rates(this.#t + byTime, w, e, k2);
    const slope = ((k2[at.speed] ?? 0) - rate) / byTime;
    const bySpeed = Math.max(scale, 1e-6 * w);
    this.#rates(this.#t, w + bySpeed, e, k3);
    const jacobian = ((k3[at.speed] ?? 0) - rate) / bySpeed;
    const divisor = 1 - gamma * h * jacobian;
    const first = (rate + gamma * h * slope) / divisor;
    this.#rates(this.#t + h, w + h * first, e, k2);
    const second = ((k2[at.speed] ?? 0) - gamma * h * slope - 2 * first) / divisor;
    const after = w + h * (1.5 * first + 0.5 * second);
    this.#rates(this.#t + h, after, e, k7);
    for (let i = 0; i < states; i++) next[i] = (y[i] ?? 0) + (h / 2) * ((k1[i] ?? 0) + (k7[i] ?? 0));
    next[at.speed] = after;
    this.#decay = h * Math.abs(jacobian);
    return Math.abs(0.5 * h * (first + second)) / scale;
  }

  /** Longest step a chart still draws well: a hundredth of the speed, a twentieth of the time so far. */
  #drawable(): number {
    if (!this.#trace) return Infinity;
    const rate = Math.abs(this.#k1[at.speed] ?? 0);
    const bySpeed = rate > 0 ? (0.01 * this.#synchronous) / fromOmega / rate : Infinity;
    return Math.max(1e-4, Math.min(bySpeed, 0.05 * Math.max(this.#t, 0.4)));
  }

  /**
   * A first step that moves the speed by a hundredth of synchronous at most, a twentieth of a second where nothing
   * moves.
   */
  #firstStep(scale: number): number {
    const rate = Math.abs(this.#k1[at.speed] ?? 0);
    return rate > 0 ? Math.max(shortest, Math.min(0.05, ((0.01 / this.#tolerance) * scale) / rate)) : 0.05;
  }

  /**
   * True where the start ends here because nothing moves it any more: at standstill, or where the load has met the
   * motor below the final speed. A stage that ends by time waits on, with a note of where it was held; a ramp ends
   * where all that its current limit lets through is not enough.
   */
  #stuck(last: boolean): boolean {
    if (this.#arrival !== undefined || this.#stage.open || this.#recoversYet()) return false;
    const omega = this.#y[at.speed] ?? 0;
    const ramping = this.#ramping();
    if (ramping && omega <= 0) return false;
    const torque = this.#out[grid.torque] ?? 0;
    const still = heldBelow * Math.max(Math.abs(torque), 1e-9);
    const net = (this.#k1[at.speed] ?? 0) * this.spec.inertia;
    if (net > still) return false;
    if (ramping) {
      // Looking at it has left what the limit lets through in `#out`.
      const n = omega * fromOmega;
      const spare = torque - startTorqueAt(this.spec.load, n) - frictionAt(this.spec.circuit, n) / omega;
      if (spare > still) return false;
      this.#peaks();
    }
    if (this.#heldAt === undefined || last || ramping) {
      this.#heldAt = omega * fromOmega;
      this.#event(last || ramping ? (omega > 0 ? 'crawling' : 'stalled') : 'held');
    }
    return last || ramping;
  }

  #recoversYet(): boolean {
    return this.spec.feed.generator !== undefined && (this.#k1[at.emf] ?? 0) > 0.002 * this.spec.feed.voltage;
  }

  /**
   * Speed between synchronism and breakdown at which the motor on the full line carries the load, r/min; undefined
   * where it does not.
   */
  #meetingSpeed(): number | undefined {
    const { feed, circuit, load } = this.spec;
    const reactance = feed.generator?.transientReactance ?? feed.reactance;
    const net = (s: number): number => {
      const n = this.#synchronous * (1 - s);
      this.#net.solve(n, onLine, undefined, feed.voltage, reactance, this.#out);
      return (
        (this.#out[grid.torque] ?? 0) -
        startTorqueAt(load, n) -
        (frictionAt(circuit, n) * fromOmega) / Math.max(n, 1e-9)
      );
    };
    let outer = net(0) > 0 ? -0.3 : 0;
    let inner = outer < 0 ? 0 : 0.002;
    let torque = 0;
    while (outer >= 0 && net(inner) <= 0) {
      // Past breakdown the load is not carried, only met.
      const here = this.#out[grid.torque] ?? 0;
      if (here < torque || inner > 0.7) return undefined;
      torque = here;
      outer = inner;
      inner *= 2;
    }
    if (outer < 0 && net(outer) > 0) return undefined;
    return this.#synchronous * (1 - root(net, outer, inner));
  }
}

/** Where f crosses nought between two values at which its sign differs: regula falsi, Illinois, to 1e-9. */
function root(f: (x: number) => number, from: number, to: number): number {
  let [a, b] = [from, to];
  let [fa, fb] = [f(a), f(b)];
  for (let i = 0; i < 60 && Math.abs(b - a) > 1e-9; i++) {
    const x = b - (fb * (b - a)) / (fb - fa);
    const fx = f(x);
    if (fx === 0) return x;
    if (fx > 0 === fb > 0) fa /= 2;
    else [a, fa] = [b, fb];
    if (Math.abs(x - b) < 1e-9) return x;
    [b, fb] = [x, fx];
  }
  return b;
}

/** 1 − U/U0, nought where only rounding is left of it or nothing was ever measured. */
function shareLost(least: number, before: number): number {
  const lost = 1 - least / before;
  return least === Infinity || lost < 1e-12 ? 0 : lost;
}

/** Rows of nine numbers as a trace. */
export function columnsOf(data: Float64Array, length: number): Trace {
  const column = (k: number): Float64Array => Float64Array.from({ length }, (_, i) => data[i * 9 + k] ?? 0);
  return {
    time: column(0),
    speed: column(1),
    line: column(2),
    motor: column(3),
    torque: column(4),
    load: column(5),
    bus: column(6),
    terminal: column(7),
    heat: column(8),
  };
}
