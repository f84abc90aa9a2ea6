import { toldAt, type BrakingKind } from '../../contract';
import { frictionAt, type Circuit } from '../machine/circuit';
import { Fed, noPoint, type FedBy } from '../machine/fed';
import { torqueRatio } from '../mechanics/shape';
import { startTorqueAt, type StartLoad } from '../start/run';
import { overloadAfter } from './overload';
import { injected, injectedTorque, lossTorque } from './stopping';

/** What hangs on the drive, and the drive's own parts. N·m, kg·m², V, A, W, F, Ω. */
export interface DrivenMachine {
  readonly circuit: Circuit;
  readonly inertia: number;
  readonly load: StartLoad;
  readonly ratedTorque: number;
  /** W of the motor. */
  readonly power: number;
  /** Bearings and seals, at any speed. */
  readonly drag: number;
  /** The load hangs: a holding brake takes it whenever the drive lets go, and it drives while it is lowered. */
  readonly hangs: boolean;
  /** Line voltage; of the bus: where it trips, where a chopper works, and what it stores by. */
  readonly line: number;
  readonly trip: number;
  readonly chopper: number;
  readonly capacitance: number;
  /** Share of rated power that motor and drive lose on purpose while braking; that the drive loses idle. */
  readonly lossBraking: number;
  readonly idleLoss: number;
  /** A it gives for good, and × that for a minute every ten. */
  readonly rated: number;
  readonly overload: number;
}

/** What is programmed. Ramps in s from standstill to rated frequency, Hz, A; shares. */
export interface DriveProgram extends FedBy {
  readonly rampUp: number;
  readonly rampDown: number;
  /** Share of a ramp over which its ends are rounded. */
  readonly jerk: number;
  readonly leastFrequency: number;
  readonly greatestFrequency: number;
  /** A of the motor that its overload protection counts from, and its trip class. */
  readonly overloadCurrent: number;
  readonly overloadClass: number;
  readonly flyingStart: boolean;
  /** Tries an hour by itself after a trip that is not the motor's. */
  readonly restarts: number;
  /** mA below which an analogue reference is lost; s without a word after which the link is. */
  readonly signalLost: number;
  readonly linkLost: number;
  readonly stop: BrakingKind;
  /** Ω of the braking resistor. */
  readonly resistance: number;
}

/** What is done to it from outside, to see what it does. */
export interface DriveSpoiling {
  /** × the load; below 0 it drives. */
  readonly load: number;
  /** × the line voltage. */
  readonly supply: number;
  readonly phases: 2 | 3;
  /** mA at the analogue input. */
  readonly signal: number;
}

export interface DriveCommand {
  readonly run: boolean;
  readonly source: 'network' | 'analogue';
  /** Of the range from the least to the greatest speed, 0 to 1, by the network. */
  readonly reference: number;
}

export const driveStates = ['not-programmed', 'ready', 'running', 'stopping', 'tripped'] as const;
export type DriveState = (typeof driveStates)[number];

export const driveFaults = [
  'none',
  'overvoltage',
  'motor-overload',
  'drive-overload',
  'phase-lost',
  'stalled',
  'link-lost',
  'reference-lost',
  'undervoltage',
] as const;
export type DriveFault = (typeof driveFaults)[number];

export const driveEvents = [
  'programmed',
  'run',
  'at-speed',
  'at-limit',
  'stop',
  'standing',
  'tripped',
  'reset',
  'restarted',
  'reference-held',
  'reference-back',
  'phase-missing',
  'spoiled',
] as const;
export type DriveEventKind = (typeof driveEvents)[number];

/** `time`: s since the drive was switched on. */
export interface DriveEvent {
  readonly number: number;
  readonly time: number;
  readonly kind: DriveEventKind;
  readonly fault: DriveFault;
}

/** What it shows. Hz, r/min, A, V, N·m, W; shares of a trip. */
export interface DriveReading {
  readonly time: number;
  readonly state: DriveState;
  readonly fault: DriveFault;
  readonly frequency: number;
  readonly speed: number;
  readonly current: number;
  readonly voltage: number;
  readonly torque: number;
  readonly bus: number;
  readonly input: number;
  readonly resistor: number;
  readonly motorHeat: number;
  readonly driveHeat: number;
  readonly reference: number;
}

/**
 * J since it was switched on: drawn from the line; lost in the resistor, the motor and the drive idle; what turns;
 * given to the load and to friction.
 */
export interface DriveEnergy {
  line: number;
  resistor: number;
  rotor: number;
  stator: number;
  core: number;
  idle: number;
  kinetic: number;
  load: number;
  friction: number;
}

const rad = Math.PI / 30;
/** Longest step, s. */
const longestStep = 0.005;
const tables = 32;
/** s at the current limit, behind the reference, after which it counts as stalled. */
const stallAfter = 5;
/** s of a lost phase under load until it trips, and of a held reference until it stops. */
const phaseAfter = 1;
const holdFor = 30;
/** s between a trip and a start by itself. */
const restartAfter = 5;
/** Bus ÷ its rated below which it is too low. */
const lowBus = 0.65;
/** × what rated current brings, at which overload protection trips; and × the reference that it bears. */
const overloadBears = 1.15;
const kept = 64;

/**
 * A drive and its motor in time: a ramp with rounded ends, torque within the current limit by the motor's circuit, the
 * bus by what comes back, and protection. A simple drive: it lengthens no ramp by itself, and it trips where its bus,
 * its motor's or its own heating go too far. Source: any textbook of electrical drives; overload by I²t, trip class at
 * 7.2 times (IEC 60947-4-1, from memory); the rest common practice.
 */
export class LiveDrive {
  #program: DriveProgram | undefined;
  #fed: Fed | undefined;
  #able = new Float64Array(tables + 1);
  #brakes = new Float64Array(tables + 1);
  #slips = new Float64Array(tables + 1);
  readonly #point = noPoint();
  #command: DriveCommand = { run: false, source: 'network', reference: 0 };
  #spoiling: DriveSpoiling = { load: 1, supply: 1, phases: 3, signal: 12 };
  #state: DriveState = 'not-programmed';
  #fault: DriveFault = 'none';
  #time = 0;
  #speed = 0;
  #set = 0;
  #slope = 0;
  #bus: number;
  #torque = 0;
  #input = 0;
  #resistor = 0;
  #motorHeat = 0;
  #driveHeat = 0;
  #atLimit = 0;
  #phaseFor = 0;
  #heldFor = 0;
  #silence = 0;
  #tripped = 0;
  #restarts = 0;
  #arrived = false;
  /** It has been at speed: its load is the running one, breakaway and a start without load are over. */
  #loaded = false;
  #limited = false;
  #afterStop: DriveFault = 'none';
  /** What was signalled last while it could be read, 0 to 1. */
  #held = 0;
  #events: DriveEvent[] = [];
  #number = 0;
  readonly energy: DriveEnergy = {
    line: 0,
    resistor: 0,
    rotor: 0,
    stator: 0,
    core: 0,
    idle: 0,
    kinetic: 0,
    load: 0,
    friction: 0,
  };

  constructor(readonly machine: DrivenMachine) {
    this.#bus = this.#rectified();
  }

  get program(): DriveProgram | undefined {
    return this.#program;
  }
  get command(): DriveCommand {
    return this.#command;
  }
  get spoiling(): DriveSpoiling {
    return this.#spoiling;
  }
  /** The last of what happened, oldest first. */
  get events(): readonly DriveEvent[] {
    return this.#events;
  }

  get reading(): DriveReading {
    const p = this.#point;
    return {
      time: this.#time,
      state: this.#state,
      fault: this.#fault,
      frequency: p.frequency,
      speed: this.#speed,
      current: p.current,
      voltage: p.voltage,
      torque: this.#torque,
      bus: this.#bus,
      input: this.#input,
      resistor: this.#resistor,
      motorHeat: this.#motorHeat / (overloadBears * overloadBears),
      driveHeat: this.#driveHeat,
      reference: this.#wanted(),
    };
  }

  /** Takes a table of settings; what it does meanwhile goes on by them. */
  take(program: DriveProgram): void {
    this.#program = program;
    const { circuit } = this.machine;
    const fed = new Fed(circuit, program);
    this.#fed = fed;
    const most = this.#top();
    for (let i = 0; i <= tables; i++) {
      const n = (most * i) / tables;
      const slip = fed.most(n, this.#point);
      this.#slips[i] = slip;
      this.#able[i] = this.#point.torque;
      fed.solve(n, -slip, this.#point);
      this.#brakes[i] = Math.min(0, this.#point.torque);
    }
    this.#still();
    if (this.#state === 'not-programmed') this.#state = 'ready';
    this.#happens('programmed');
  }

  /** Runs, stops, and follows a reference. */
  order(command: Partial<DriveCommand>): void {
    const before = this.#command.run;
    this.#command = { ...this.#command, ...command };
    if (this.#command.run && !before && this.#state === 'ready') this.#begin('run');
    else if (!this.#command.run && before && this.#state === 'running') {
      this.#state = 'stopping';
      this.#happens('stop');
    } else if (this.#command.run && !before && this.#state === 'stopping' && this.#afterStop === 'none') {
      this.#state = 'running';
      this.#happens('run');
    }
  }

  /** Acknowledges a trip; it starts again only by a new order. */
  reset(): void {
    if (this.#state !== 'tripped') return;
    this.#fault = 'none';
    this.#restarts = 0;
    this.#state = this.#program ? 'ready' : 'not-programmed';
    this.#command = { ...this.#command, run: false };
    this.#happens('reset');
  }

  spoil(spoiling: Partial<DriveSpoiling>): void {
    this.#spoiling = { ...this.#spoiling, ...spoiling };
    this.#happens('spoiled');
  }

  /** Somebody spoke over the link. */
  heard(): void {
    this.#silence = 0;
  }

  /** Moves on by so many seconds, in steps of `longest` at most. */
  advance(seconds: number, longest = longestStep): void {
    const steps = Math.max(1, Math.ceil(seconds / longest));
    for (let i = 0; i < steps; i++) this.#step(seconds / steps);
  }

  /** The machine turns already. r/min; `loaded`: with its load on it, not as it starts. */
  turning(speed: number, loaded = this.#loaded): void {
    this.#speed = speed;
    this.#loaded = loaded;
  }

  #rectified(): number {
    return Math.SQRT2 * this.machine.line * this.#spoiling.supply;
  }

  #top(): number {
    return this.#at(this.#program?.greatestFrequency ?? this.machine.circuit.frequency);
  }

  /** r/min at f Hz: by the plate, slip counted. */
  #at(f: number): number {
    const { circuit } = this.machine;
    return (circuit.ratedSpeed * f) / circuit.frequency;
  }

  #between(table: Float64Array, n: number): number {
    const x = Math.max(0, Math.min(1, n / this.#top())) * tables;
    const i = Math.min(tables - 1, Math.floor(x));
    const low = table[i] ?? 0;
    return low + (x - i) * ((table[i + 1] ?? 0) - low);
  }

  /** Of its range, 0 to 1, that is wanted now. */
  #wanted(): number {
    if (this.#command.source === 'network') return Math.max(0, Math.min(1, this.#command.reference));
    return this.#held;
  }

  /** r/min that is wanted. */
  #goal(): number {
    const p = this.#program;
    if (!p || this.#state !== 'running') return 0;
    return this.#at(p.leastFrequency + this.#wanted() * (p.greatestFrequency - p.leastFrequency));
  }

  /** N·m of the machine at n r/min. */
  #resists(n: number): number {
    const { load } = this.machine;
    const torque = this.#loaded
      ? load.torque * torqueRatio(load.working ?? load.shape, n / load.speed)
      : startTorqueAt(load, n);
    return this.#spoiling.load * torque;
  }

  #happens(kind: DriveEventKind, fault: DriveFault = 'none'): void {
    this.#number++;
    this.#events = [...this.#events.slice(1 - kept), { number: this.#number, time: this.#time, kind, fault }];
  }

  #begin(kind: 'run' | 'restarted'): void {
    this.#state = 'running';
    this.#arrived = false;
    this.#loaded = false;
    this.#afterStop = 'none';
    this.#silence = 0;
    this.#atLimit = 0;
    this.#set = this.#program?.flyingStart ? this.#speed : 0;
    this.#slope = 0;
    this.#happens(kind);
  }

  #trip(fault: DriveFault): void {
    this.#fault = fault;
    this.#state = 'tripped';
    this.#tripped = 0;
    this.#happens('tripped', fault);
  }

  #still(): void {
    Object.assign(this.#point, noPoint());
    this.#torque = 0;
  }

  #step(h: number): void {
    const m = this.machine;
    this.#time += h;
    this.#watch(h);
    const n = this.#speed;
    const w = n * rad;
    const driven = this.#state === 'running' || this.#state === 'stopping';
    const coasting = this.#state === 'stopping' && this.#program?.stop === 'coast';
    const injecting = this.#state === 'stopping' && this.#program?.stop === 'dc';
    const turning = n > 1e-3;
    const resisting = this.#resists(n) + m.drag + (turning ? frictionAt(m.circuit, n) / w : 0);
    const feeding = driven && !coasting && !injecting && this.#fed !== undefined;
    if (feeding) this.#follow(h, resisting);
    else if (injecting && turning) this.#inject(n);
    else this.#still();
    // Whatever lets go of a load that hangs is held by its brake, with half as much again as the motor's torque.
    const held = m.hangs && !(driven && !coasting) ? 1.5 * m.ratedTorque + Math.max(0, -resisting) : 0;
    const net = this.#torque - resisting - held;
    const next = Math.max(0, n + (net * h) / m.inertia / rad);
    this.#speed = next;
    const moved = ((n + next) / 2) * rad;
    const { rotor, stator, core } = this.#point;
    // Direct current brakes without taking anything from the shaft but heat in the rotor.
    let electric = (injecting ? 0 : this.#torque * moved + rotor + core) + stator;
    // While it brakes it raises its flux, and loses on purpose.
    const counted = lossTorque(m.lossBraking * m.power, m.ratedTorque, n) * moved - (rotor + stator + core);
    const wasted = electric < 0 ? Math.max(0, Math.min(-electric, counted)) : 0;
    electric += wasted;
    const e = this.energy;
    const loadTorque = this.#resists(n);
    e.load += loadTorque * moved * h;
    e.friction += (resisting - loadTorque + held) * moved * h;
    e.rotor += rotor * h;
    e.stator += (stator + wasted) * h;
    e.core += core * h;
    e.kinetic = (m.inertia * (next * rad) ** 2) / 2;
    this.#store(h, electric);
    this.#heat(h);
    if (this.#state === 'stopping' && (next <= 1e-3 || (next < 0.005 * this.#top() && this.#set <= 0))) this.#stood();
  }

  #stood(): void {
    if (this.#program?.stop !== 'coast') this.#speed = 0;
    this.#still();
    this.#happens('standing');
    if (this.#afterStop !== 'none') this.#trip(this.#afterStop);
    else this.#state = 'ready';
    this.#afterStop = 'none';
  }

  /** What its wires tell it, or no longer do. */
  #watch(h: number): void {
    const p = this.#program;
    if (!p) return;
    const { signal, phases } = this.#spoiling;
    const running = this.#state === 'running';
    const analogue = this.#command.source === 'analogue';
    if (signal >= p.signalLost) {
      if (this.#heldFor > 0 && analogue) this.#happens('reference-back');
      this.#heldFor = 0;
      this.#held = Math.max(0, Math.min(1, (signal - 4) / 16));
    } else if (analogue) {
      if (this.#heldFor === 0) this.#happens('reference-held', 'reference-lost');
      this.#heldFor += h;
      if (running && this.#heldFor > holdFor) this.#stopFor('reference-lost');
    }
    this.#silence += h;
    if (running && !analogue && p.linkLost > 0 && this.#silence > p.linkLost) this.#stopFor('link-lost');
    const loaded = this.#input > 0.3 * this.machine.power;
    if (phases === 2 && this.#phaseFor === 0) this.#happens('phase-missing', 'phase-lost');
    this.#phaseFor = phases === 2 ? this.#phaseFor + (loaded ? h : 1e-9) : 0;
    if (this.#phaseFor > phaseAfter && running) this.#trip('phase-lost');
    if (this.#state === 'tripped') {
      this.#tripped += h;
      const itself = this.#fault === 'overvoltage' || this.#fault === 'undervoltage' || this.#fault === 'phase-lost';
      if (itself && this.#command.run && this.#restarts < p.restarts && this.#tripped > restartAfter) {
        this.#restarts++;
        this.#fault = 'none';
        this.#begin('restarted');
      }
    }
  }

  #stopFor(fault: DriveFault): void {
    this.#afterStop = fault;
    this.#state = 'stopping';
    this.#happens('stop', fault);
  }

  /** Follows its ramp with the torque it has. */
  #follow(h: number, resisting: number): void {
    const m = this.machine;
    const p = this.#program;
    const fed = this.#fed;
    if (!p || !fed) return;
    const n = this.#speed;
    const goal = this.#goal();
    this.#ramp(h, goal, p);
    const asked = resisting + (m.inertia * (this.#set - n) * rad) / h;
    const able = this.#between(this.#able, n);
    const least = this.#between(this.#brakes, n);
    const torque = Math.max(least, Math.min(able, asked));
    // The ramp waits for a machine that cannot follow it.
    if (asked > able) this.#set = n + ((torque - resisting) * h) / m.inertia / rad;
    fed.give(n, torque, this.#between(this.#slips, n), this.#point);
    this.#torque = torque;
    this.#limits(h, asked / able, goal);
    const arrived = Math.abs(this.#speed - goal) < 0.005 * Math.max(goal, 1);
    if (this.#state === 'running' && arrived && !this.#arrived) this.#happens('at-speed');
    this.#arrived = arrived;
    this.#loaded ||= arrived;
  }

  /** `pressed`: torque asked ÷ torque at the current limit. */
  #limits(h: number, pressed: number, goal: number): void {
    const limited = pressed > 1 + 1e-9;
    if (limited && !this.#limited) this.#happens('at-limit');
    // Off the limit only well below it: else the log fills with coming and going.
    this.#limited = limited || (this.#limited && pressed > 0.95);
    const behind = this.#speed < 0.97 * goal;
    const rising = this.#torque > 0 && this.#slope >= 0 && this.#gains();
    this.#atLimit = limited && behind && !rising ? this.#atLimit + h : 0;
    if (this.#atLimit > stallAfter) this.#trip('stalled');
  }

  /** Whether torque at the limit still moves it on, by a thousandth of its range a second. */
  #gains(): boolean {
    const m = this.machine;
    const resisting = this.#resists(this.#speed) + m.drag;
    return (this.#torque - resisting) / m.inertia / rad > 0.001 * this.#top();
  }

  /** Moves the set speed along a ramp with rounded ends. */
  #ramp(h: number, goal: number, p: DriveProgram): void {
    const base = (120 * this.machine.circuit.frequency) / this.machine.circuit.poles;
    const away = goal - this.#set;
    const time = Math.max(0.05, away >= 0 ? p.rampUp : p.rampDown);
    const steepest = base / time;
    if (p.jerk <= 0) {
      this.#set += Math.max(-steepest * h, Math.min(steepest * h, away));
      this.#slope = 0;
      return;
    }
    const change = steepest / ((p.jerk * time) / 2);
    const left = Math.max(0, Math.abs(away) - Math.abs(this.#slope) * h);
    const wanted = Math.sign(away) * Math.min(steepest, Math.sqrt(2 * change * left));
    this.#slope += Math.max(-change * h, Math.min(change * h, wanted - this.#slope));
    const next = this.#set + this.#slope * h;
    const passes = (goal - next) * away <= 0;
    this.#set = passes ? goal : Math.max(0, next);
    if (passes) this.#slope = 0;
  }

  /** Brakes by direct current in the winding. */
  #inject(n: number): void {
    const { circuit } = this.machine;
    const current = injected * (this.#program?.overloadCurrent ?? 0);
    this.#torque = -injectedTorque(circuit, current, n);
    const stator = 3 * current * current * circuit.statorResistance;
    const voltage = 2 * current * circuit.statorResistance;
    Object.assign(this.#point, noPoint(), { current, stator, rotor: -this.#torque * n * rad, voltage });
    this.#set = 0;
  }

  /** The bus, its resistor and the line. */
  #store(h: number, electric: number): void {
    const m = this.machine;
    const p = this.#program;
    const fed = this.#rectified();
    const on = this.#state !== 'not-programmed';
    const idle = on ? m.idleLoss * m.power : 0;
    const drawn = electric + idle;
    this.energy.idle += idle * h;
    let square = this.#bus * this.#bus - (2 * h * drawn) / m.capacitance;
    // A chopper burns what lies above its threshold, and no more than its resistor takes there.
    const above = ((square - m.chopper * m.chopper) * m.capacitance) / 2 / h;
    const chops = p?.stop === 'chopper' && p.resistance > 0 && above > 0;
    this.#resistor = chops ? Math.min(above, (m.chopper * m.chopper) / p.resistance) : 0;
    square -= (2 * h * this.#resistor) / m.capacitance;
    const bus = Math.sqrt(Math.max(0, square));
    const feedsBack = p?.stop === 'regenerative' && bus > fed;
    this.#bus = bus < fed || feedsBack ? fed : bus;
    this.#input = (m.capacitance * (this.#bus * this.#bus - square)) / 2 / h;
    this.energy.line += this.#input * h;
    this.energy.resistor += this.#resistor * h;
    if (this.#state === 'tripped' || !p) return;
    if (this.#bus > m.trip) this.#trip('overvoltage');
    else if (this.#bus < lowBus * Math.SQRT2 * m.line && this.#state !== 'ready') this.#trip('undervoltage');
  }

  /** Overload of the motor by I²t with its class, and of the drive by its minute every ten. */
  #heat(h: number): void {
    const p = this.#program;
    if (!p) return;
    const x = this.#point.current / p.overloadCurrent;
    const bears = overloadBears * overloadBears;
    const tau = p.overloadClass / -Math.log(1 - bears / (toldAt * toldAt));
    this.#motorHeat += ((x * x - this.#motorHeat) * h) / tau;
    const own = this.#point.current / this.machine.rated;
    this.#driveHeat = overloadAfter(this.#driveHeat, own, this.machine.overload, h);
    if (this.#state !== 'running' && this.#state !== 'stopping') return;
    if (this.#motorHeat > bears) this.#trip('motor-overload');
    else if (this.#driveHeat > 1) this.#trip('drive-overload');
  }
}
