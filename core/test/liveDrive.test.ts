import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { physics } from '@pilgrim/core';
import { textbook } from './circuits';

const { LiveDrive, runOnDrive, stopOnDrive, programFrom } = physics;
type Machine = physics.DrivenMachine;
type Program = physics.DriveProgram;

const ratedTorque = physics.ratedTorqueOf(textbook);
const base = (120 * textbook.frequency) / textbook.poles;
const ratedCurrent = physics.currentAt(textbook, textbook.voltage, textbook.frequency, 1 - textbook.ratedSpeed / base);

const machine = (over: Partial<Machine> = {}): Machine => ({
  circuit: textbook,
  inertia: 0.5,
  load: {
    torque: 0.6 * ratedTorque,
    speed: base,
    shape: { kind: 'constant' },
    startRatio: 1,
    breakaway: 0.6 * ratedTorque,
  },
  ratedTorque,
  power: 18650,
  drag: 0.01 * ratedTorque,
  hangs: false,
  line: textbook.voltage,
  trip: 1.45 * Math.SQRT2 * textbook.voltage,
  chopper: 1.38 * Math.SQRT2 * textbook.voltage,
  capacitance: 6e-4,
  lossBraking: 0.12,
  idleLoss: 0.006,
  rated: 1.3 * ratedCurrent,
  overload: 1.5,
  ...over,
});
const program = (over: Partial<Program> = {}): Program => ({
  limit: 1.8 * ratedCurrent,
  control: 'vector',
  boost: 0,
  rampUp: 4,
  rampDown: 4,
  jerk: 0,
  leastFrequency: 5,
  greatestFrequency: textbook.frequency,
  overloadCurrent: ratedCurrent,
  overloadClass: 10,
  flyingStart: false,
  restarts: 0,
  signalLost: 3,
  linkLost: 0,
  stop: 'ramp',
  resistance: 0,
  ...over,
});
const fan = {
  torque: 0.8 * ratedTorque,
  speed: base,
  shape: { kind: 'quadratic' },
  startRatio: 1,
  breakaway: 0,
} as const;

const started = (m = machine(), p = program(), seconds = 0): physics.LiveDrive => {
  const drive = new LiveDrive(m);
  drive.take(p);
  drive.order({ run: true, reference: 1 });
  if (seconds > 0) drive.advance(seconds);
  return drive;
};
const kinds = (d: physics.LiveDrive): string[] =>
  d.events.map((e) => (e.fault === 'none' ? e.kind : `${e.kind} ${e.fault}`));

/** Start's own simulation of the run-up. */
const simulated = (m: Machine, p: Program): physics.Run =>
  runOnDrive({
    ...m,
    feed: {
      ...{ voltage: m.line, frequency: 60, resistance: 0, reactance: 0, generator: undefined },
      cable: { resistance: 0, reactance: 0 },
    },
    plan: { ...p, method: 'drive', ramp: p.rampUp, speed: base },
    stallTime: 10,
  });

describe('a run-up as Start simulates it', () => {
  it('keeps its energy within 0.1 %', () => {
    const some = fc.record({
      inertia: fc.double({ min: 0.05, max: 20, noNaN: true }),
      rampUp: fc.double({ min: 0.3, max: 30, noNaN: true }),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
      control: fc.constantFrom('vector' as const, 'scalar' as const),
    });
    fc.assert(
      fc.property(some, ({ inertia, rampUp, share, control }) => {
        const load = { ...machine().load, torque: share * ratedTorque, breakaway: 0 };
        const { energy } = simulated(machine({ inertia, load }), program({ rampUp, control, boost: 0.03 }));
        const went = energy.stator + energy.rotor + energy.core + energy.friction + energy.load + energy.kinetic;
        expect(Math.abs(went / energy.input - 1)).toBeLessThan(0.001);
      }),
      { numRuns: 40 },
    );
  });
});

describe('a drive in time', () => {
  it('keeps its energy: what the line gave is lost, done or turning, within 0.1 %', () => {
    fc.assert(
      fc.property(
        fc.record({
          inertia: fc.double({ min: 0.05, max: 20, noNaN: true }),
          rampUp: fc.double({ min: 0.3, max: 20, noNaN: true }),
          rampDown: fc.double({ min: 0.3, max: 20, noNaN: true }),
          jerk: fc.constantFrom(0, 0.2, 1),
          stop: fc.constantFrom('coast', 'ramp', 'dc', 'chopper', 'regenerative'),
          share: fc.double({ min: 0, max: 1, noNaN: true }),
          control: fc.constantFrom('vector', 'scalar'),
        }),
        ({ inertia, share, ...p }) => {
          const m = machine({ inertia, load: { ...machine().load, torque: share * ratedTorque, breakaway: 0 } });
          const drive = started(m, program({ ...p, boost: 0.03, resistance: 60 }), 8);
          drive.order({ run: false });
          drive.advance(6);
          const { line, ...rest } = drive.energy;
          const stored = (m.capacitance * (drive.reading.bus ** 2 - 2 * m.line ** 2)) / 2;
          const went = Object.values(rest).reduce((a, b) => a + b, stored);
          const scale = Object.values(drive.energy).reduce((a, b) => a + Math.abs(b), 0);
          // A step in which it comes to rest ends short of its end: some joules.
          expect(Math.abs(line - went)).toBeLessThan(0.001 * scale + 2);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('comes up as the simulated start does, within 1 %', () => {
    for (const [inertia, rampUp] of [
      [0.5, 4],
      [3, 2],
      [0.1, 10],
    ] as const) {
      const m = machine({ inertia, drag: 0 });
      const p = program({ rampUp });
      const run = simulated(m, p);
      const drive = new LiveDrive(m);
      drive.take(p);
      drive.order({ run: true, reference: 1 });
      while (drive.reading.speed < 0.95 * base && drive.reading.time < 60) drive.advance(0.005);
      expect(drive.reading.time / (run.time ?? NaN)).toBeCloseTo(1, 2);
    }
  });
  it('runs out by itself as its run-out is worked out', () => {
    const m = machine({ load: fan, inertia: 4 });
    const drive = started(m, program({ stop: 'coast' }), 12);
    drive.order({ run: false });
    const from = drive.reading.time;
    const n = drive.reading.speed;
    while (drive.reading.speed > 0 && drive.reading.time < 2000) drive.advance(0.05);
    const turning = { inertia: 4, speed: n, load: (x: number) => physics.startTorqueAt(fan, x) };
    const drag = (x: number): number => m.drag + physics.frictionAt(textbook, x) / ((x * Math.PI) / 30);
    expect((drive.reading.time - from) / physics.coastTime(turning, drag)).toBeCloseTo(1, 2);
  });
  it('rounds its ramp: the slope changes by no more than the curve allows', () => {
    const slopes = (jerk: number): number => {
      const drive = started(machine({ load: { ...machine().load, torque: 0, breakaway: 0 } }), program({ jerk }));
      let [before, slope, most] = [0, 0, 0];
      for (let i = 0; i < 1200; i++) {
        drive.advance(0.005);
        const now = (drive.reading.speed - before) / 0.005;
        most = Math.max(most, Math.abs(now - slope));
        [before, slope] = [drive.reading.speed, now];
      }
      return most;
    };
    // r/min a second; 450 in four seconds to 1800, reached over a tenth of the ramp.
    expect(slopes(0)).toBeGreaterThan(300);
    expect(slopes(0.2)).toBeLessThan(15);
  });
});

describe('stopping on a drive', () => {
  it('a straight ramp trips exactly where it is shorter than the losses bear', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        fc.constantFrom(0.6, 1.25),
        (inertia, share, times) => {
          const load = { ...fan, torque: share * ratedTorque };
          const m = machine({ inertia, load });
          const n = textbook.ratedSpeed;
          const quickest = physics.quickestRamp(
            { inertia, speed: n, load: (x) => physics.startTorqueAt(load, x) },
            (x) => physics.lossTorque(m.lossBraking * m.power, ratedTorque, x),
            (x) => m.drag + (x > 0 ? physics.frictionAt(textbook, x) / ((x * Math.PI) / 30) : 0),
          );
          // A short stop of little energy is swallowed by the bus.
          fc.pre(quickest > 1);
          const time = times * quickest;
          const stop = stopOnDrive(m, program({ rampDown: (time * base) / n }), n, time);
          if (times > 1) expect(stop.fault).toBe('none');
          else expect(stop.fault).toBe('overvoltage');
        },
      ),
      { numRuns: 40 },
    );
  });
  it('a chopper with the ohms of its peak power holds the bus; with twice as many it trips', () => {
    const m = machine({ load: { ...fan, torque: 0 }, inertia: 1 });
    const peak = physics.rampedStop({ inertia: 1, speed: base, load: () => 0 }, 2).peak;
    const ohms = m.chopper ** 2 / peak;
    const held = stopOnDrive(m, program({ rampDown: 2, stop: 'chopper', resistance: ohms }), base, 2);
    expect(held.fault).toBe('none');
    expect(Math.max(...held.bus)).toBeLessThanOrEqual(m.chopper * 1.001);
    expect(held.stopped).toBeCloseTo(2, 1);
    expect(stopOnDrive(m, program({ rampDown: 2, stop: 'chopper', resistance: 2 * ohms }), base, 2).fault).toBe(
      'overvoltage',
    );
  });
  it('direct current turns all that turns into heat of the rotor', () => {
    const m = machine({ load: { ...fan, torque: 0 }, drag: 0, inertia: 1, circuit: { ...textbook, frictionLoss: 0 } });
    const drive = started(m, program({ stop: 'dc' }), 6);
    const turns = drive.energy.kinetic;
    const before = drive.energy.rotor;
    drive.order({ run: false });
    for (let i = 0; i < 4000 && drive.reading.state === 'stopping'; i++) drive.advance(0.01);
    expect((drive.energy.rotor - before) / turns).toBeCloseTo(1, 2);
  });
  it('what is fed back comes off the bill', () => {
    const m = machine({ load: { ...fan, torque: 0 }, inertia: 2 });
    const drive = started(m, program({ stop: 'regenerative', rampDown: 2 }), 8);
    const { line, kinetic } = drive.energy;
    drive.order({ run: false });
    drive.advance(3);
    expect(drive.reading.state).toBe('ready');
    expect((line - drive.energy.line) / kinetic).toBeGreaterThan(0.5);
    expect((line - drive.energy.line) / kinetic).toBeLessThan(1);
  });
  it('a load that hangs and is let go is held by its brake', () => {
    const m = machine({ hangs: true });
    const drive = started(m, program({ stop: 'chopper', resistance: 40 }), 8);
    drive.spoil({ supply: 0.3 });
    drive.advance(1);
    drive.spoil({ load: -1 });
    drive.advance(2);
    expect(drive.reading.fault).toBe('undervoltage');
    expect(drive.reading.speed).toBe(0);
  });
});

describe('what it does when something is wrong', () => {
  it('does not run before it is programmed', () => {
    const drive = new LiveDrive(machine());
    drive.order({ run: true, reference: 1 });
    drive.advance(1);
    expect(drive.reading.state).toBe('not-programmed');
    expect(drive.reading.speed).toBe(0);
  });
  it('held at its current limit it stalls and trips; reset, it waits for a new order', () => {
    const drive = started(machine(), program(), 6);
    expect(drive.reading.state).toBe('running');
    drive.spoil({ load: 5 });
    drive.advance(10);
    expect([drive.reading.state, drive.reading.fault]).toEqual(['tripped', 'stalled']);
    drive.spoil({ load: 1 });
    drive.reset();
    drive.advance(1);
    expect([drive.reading.state, drive.reading.speed]).toEqual(['ready', 0]);
    drive.order({ run: true });
    drive.advance(6);
    expect(drive.reading.state).toBe('running');
    expect(kinds(drive)).toEqual([
      ...['programmed', 'run', 'at-speed', 'spoiled', 'at-limit', 'tripped stalled', 'spoiled', 'reset'],
      ...['run', 'at-speed'],
    ]);
  });
  it('a motor above 1.15 × its reference trips in time, one below never does', () => {
    const at = (x: number): physics.LiveDrive => {
      const drive = started(machine({ rated: 100 * ratedCurrent }), program({ rampUp: 0.5 }), 2);
      const current = drive.reading.current;
      drive.take(program({ rampUp: 0.5, overloadCurrent: current / x }));
      return drive;
    };
    const above = at(1.2);
    above.advance(4000, 0.05);
    expect(above.reading.fault).toBe('motor-overload');
    const below = at(1.1);
    below.advance(4000, 0.05);
    expect(below.reading.fault).toBe('none');
  });
  it('its own overload is borne for a minute, and again after ten', () => {
    const drive = started(machine({ load: { ...machine().load, torque: ratedTorque } }), program({ rampUp: 0.5 }), 2);
    const m = machine({ rated: drive.reading.current / 1.5, load: { ...machine().load, torque: ratedTorque } });
    const loaded = started(m, program({ rampUp: 0.5, overloadCurrent: 10 * ratedCurrent }));
    loaded.advance(50);
    expect(loaded.reading.fault).toBe('none');
    // Nine minutes below its rating, and it bears it again.
    loaded.spoil({ load: 0.1 });
    loaded.advance(540);
    loaded.spoil({ load: 1 });
    loaded.advance(50);
    expect(loaded.reading.fault).toBe('none');
    loaded.advance(15);
    expect(loaded.reading.fault).toBe('drive-overload');
  });
  it('a lost line trips it under load in a second, and unloaded not', () => {
    const loaded = started(machine(), program(), 6);
    loaded.spoil({ phases: 2 });
    loaded.advance(0.9);
    expect(loaded.reading.fault).toBe('none');
    loaded.advance(0.2);
    expect(loaded.reading.fault).toBe('phase-lost');
    const idle = started(machine({ load: { ...fan, torque: 0 } }), program(), 6);
    idle.spoil({ phases: 2 });
    idle.advance(20);
    expect(idle.reading.fault).toBe('none');
    expect(kinds(idle)).toContain('phase-missing phase-lost');
  });
  it('a broken reference is held, and stops it after half a minute; mended in time it goes on', () => {
    const drive = started(machine(), program(), 0);
    drive.order({ source: 'analogue' });
    drive.spoil({ signal: 20 });
    drive.advance(6);
    const n = drive.reading.speed;
    expect(n).toBeCloseTo(textbook.ratedSpeed, 0);
    drive.spoil({ signal: 0 });
    drive.advance(20);
    expect(drive.reading.speed).toBeCloseTo(n, 3);
    drive.spoil({ signal: 12 });
    drive.advance(5);
    expect(drive.reading.frequency).toBeLessThan(0.7 * textbook.frequency);
    expect(kinds(drive)).toContain('reference-back');
    drive.spoil({ signal: 2.9 });
    drive.advance(40);
    expect([drive.reading.state, drive.reading.fault]).toEqual(['tripped', 'reference-lost']);
  });
  it('a link that falls silent stops it after its time, where one is set', () => {
    const watched = started(machine(), program({ linkLost: 3 }), 2);
    watched.heard();
    watched.advance(2.9);
    expect(watched.reading.state).toBe('running');
    watched.advance(0.2);
    expect(watched.reading.state).toBe('stopping');
    watched.advance(6);
    expect([watched.reading.state, watched.reading.fault]).toEqual(['tripped', 'link-lost']);
    expect(started(machine(), program({ linkLost: 0 }), 60).reading.state).toBe('running');
  });
  it('restarts by itself only as often as it is told, and never after an overload', () => {
    const again = started(machine(), program({ restarts: 1 }), 6);
    const lose = (): void => {
      again.spoil({ phases: 2 });
      again.advance(2);
      again.spoil({ phases: 3 });
      again.advance(12);
    };
    lose();
    expect(again.reading.state).toBe('running');
    lose();
    expect(again.reading.state).toBe('tripped');
    const stalled = started(machine(), program({ restarts: 5 }), 6);
    stalled.spoil({ load: 5 });
    stalled.advance(10);
    stalled.spoil({ load: 1 });
    stalled.advance(20);
    expect(stalled.reading.fault).toBe('stalled');
  });
  it('a machine caught turning trips it without a flying start, and not with one', () => {
    const caught = (flyingStart: boolean): string => {
      const drive = new LiveDrive(machine({ load: { ...fan, torque: 0.1 }, inertia: 5 }));
      drive.take(program({ flyingStart }));
      drive.turning(0.8 * base);
      drive.order({ run: true, reference: 1 });
      drive.advance(5);
      return drive.reading.fault;
    };
    expect(caught(false)).toBe('overvoltage');
    expect(caught(true)).toBe('none');
  });
});

describe('the register map', () => {
  const all = [
    ...Object.values(physics.driveSpoils),
    ...Object.values(physics.driveSettings),
    { address: physics.driveOrders.reference },
  ].map((r) => r.address);
  it('lays every float on two registers of its own', () => {
    expect(new Set(all.flatMap((a) => [a, a + 1])).size).toBe(2 * all.length);
    const shown = Object.values(physics.driveShows).map((r) => r.address);
    expect(new Set(shown.flatMap((a) => [a, a + 1])).size).toBe(2 * shown.length);
    expect(Math.max(...shown) + 2).toBe(physics.shownLength);
    const last = Math.max(...Object.values(physics.driveSettings).map((r) => r.address));
    expect(last + 2).toBe(physics.settingsFrom + physics.settingsLength);
  });
  const numbers: Record<string, number> = {
    'motor-voltage': 400,
    'motor-frequency': 50,
    'motor-current': 21,
    'overload-current': 21,
    'current-limit': 31,
    'ramp-up': 10,
    'greatest-speed': 50,
  };
  it('programs nothing where something needed is missing or not a number', () => {
    expect(programFrom(numbers)?.limit).toBe(31);
    for (const id of physics.neededSettings)
      for (const bad of [undefined, NaN, 0, -1]) expect(programFrom({ ...numbers, [id]: bad })).toBeUndefined();
  });
  it('is finite and in range whatever is written', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom(...Object.keys(physics.driveSettings)), fc.float({ noDefaultInfinity: true })),
        (given) => {
          const p = programFrom({ ...numbers, ...given });
          if (!p) return;
          for (const value of Object.values(p)) if (typeof value === 'number') expect(value).not.toBeNaN();
          expect(p.leastFrequency).toBeLessThanOrEqual(p.greatestFrequency);
          expect(p.rampDown).toBeGreaterThan(0);
        },
      ),
    );
  });
});

describe('docs/stand-in-drive.md', () => {
  const text = readFileSync(new URL('../../docs/stand-in-drive.md', import.meta.url), 'utf8');
  it('has every register of the map, with its address and unit', () => {
    for (const map of [physics.driveShows, physics.driveSettings, physics.driveSpoils])
      for (const [id, { address, unit, says }] of Object.entries(map))
        expect(text).toContain(`| ${address} | \`${id}\` | ${unit} | ${says} |`);
    for (const words of [physics.driveStates, physics.driveFaults, physics.driveEvents])
      expect(text).toContain(words.map((w, i) => `${i} ${w}`).join(', '));
  });
});
