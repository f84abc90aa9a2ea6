import { describe, expect, it } from 'vitest';
import type { CaseText, Result } from '@pilgrim/core';
import { figure, findingIds, solved } from './cases';

type Drive = NonNullable<CaseText['drive']>;

/** A machine on a drive, 18 kW at 400 V and 1475 r/min, and what else the case says. */
const onDrive = (machine: string, drive: Drive = {}, over: Partial<CaseText> = {}): Result =>
  solved({
    format: 'pilgrim.case/1',
    practice: 'iec',
    supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'fault-level', current: '18 kA' } },
    load: {
      machine: machine as 'mixer',
      demand: { kind: 'power', power: '18 kW', speed: '1475 rpm' },
    },
    speed: { need: 'variable', min: 0.5, max: 1 },
    place: { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry' },
    method: 'drive',
    drive,
    ...over,
  });
const fixed: Partial<CaseText> = { speed: { need: 'fixed' } };
const hoist: Partial<CaseText> = {
  load: {
    machine: 'hoist',
    demand: { kind: 'hoist', mass: '3 t', speed: '0.4 m/s', efficiency: 0.85, drumDiameter: '0.5 m' },
    train: { kind: 'gearbox', ratio: 95, efficiency: 0.95 },
  },
};
const set = (r: Result, id: string) => r.drive?.settings.find((s) => s.id === id);
const value = (r: Result, id: string) => set(r, id)?.value;
const number = (r: Result, id: string) => set(r, id)?.number;

describe('what is programmed', () => {
  it('of the motor: its own plate, its current also as the overload, at the frequency it is wound for', () => {
    const r = onDrive('centrifugal-pump');
    expect(number(r, 'motor-voltage')).toBe(400);
    expect(number(r, 'motor-frequency')).toBe(50);
    expect(number(r, 'motor-current')).toBe(figure(r, 'choice.ratedCurrent'));
    expect(number(r, 'overload-current')).toBe(figure(r, 'choice.ratedCurrent'));
    expect(number(r, 'motor-speed')).toBe(figure(r, 'choice.ratedSpeed'));
    expect(number(r, 'motor-power')).toBe(figure(r, 'choice.ratedPower'));
    expect(number(r, 'overload-class')).toBe(10);
    const two = onDrive('centrifugal-pump', { motors: 2 });
    expect(number(two, 'motor-current')).toBeCloseTo(2 * figure(two, 'choice.ratedCurrent'), 6);
    expect(set(two, 'motor-current')?.why).toContain('of all 2 together');
    expect([set(r, 'motor-current')?.source, set(two, 'motor-current')?.source]).toEqual(['plate', 'plates']);
  });
  it('a register stands only beside what is a number', () => {
    for (const s of onDrive('centrifugal-pump').drive?.settings ?? []) {
      expect(s.number === null, s.id).toBe(s.register === null);
      expect(
        [s.value, s.why, s.otherwise, s.source].every((text) => text.length > 0),
        s.id,
      ).toBe(true);
    }
  });
  it('speeds in hertz of its motor; one speed where nothing varies', () => {
    const r = onDrive('conveyor');
    const rated = figure(r, 'choice.ratedSpeed');
    expect(number(r, 'least-speed')).toBeCloseTo((50 * 0.5 * 1475) / rated, 6);
    expect(number(r, 'greatest-speed')).toBeCloseTo((50 * 1475) / rated, 6);
    expect(set(r, 'least-speed')?.why).toBe('as asked; the motor bears it');
    const one = onDrive('conveyor', {}, fixed);
    expect(number(one, 'least-speed')).toBe(number(one, 'greatest-speed'));
    expect(set(one, 'least-speed')?.why).toBe('it runs at one speed');
    const above = onDrive('conveyor', {}, { speed: { need: 'variable', min: 0.5, max: 1.2 } });
    expect(number(above, 'greatest-speed')).toBeCloseTo((50 * 1.2 * 1475) / figure(above, 'choice.ratedSpeed'), 6);
  });
  it('a pump against a static head is kept above the speed at which it moves nothing', () => {
    const r = onDrive('centrifugal-pump', {}, { speed: { need: 'variable', min: 0.3, max: 1, staticFraction: 0.5 } });
    expect(set(r, 'least-speed')?.why).toContain('moves nothing');
    // Half of the head is there at √(0.5 ÷ its head at no flow); above that by the house rule.
    const least = figure(r, 'speed.leastLift');
    expect(least).toBeGreaterThan(0.6);
    expect(number(r, 'least-speed')).toBeGreaterThan(least * (number(r, 'greatest-speed') ?? NaN));
    expect(value(r, 'set-point')).toContain('PI');
    expect(value(r, 'sleep')).toContain('60 s');
    expect([value(onDrive('conveyor'), 'set-point'), value(onDrive('centrifugal-pump', {}, fixed), 'sleep')]).toEqual([
      undefined,
      undefined,
    ]);
  });
  it.each([
    ['centrifugal-fan', 'on', 'vector, no encoder', '0 %'],
    ['centrifugal-pump', 'on', 'vector, no encoder', '0 %'],
    ['conveyor', 'off', 'vector, no encoder', '20 %'],
    ['bucket-elevator', 'off', 'vector, no encoder', '20 %'],
    ['mixer', 'off', 'vector, no encoder', '0 %'],
  ])('%s: flying start %s, %s, S-curve %s', (machine, flying, control, jerk) => {
    const r = onDrive(machine);
    expect([value(r, 'flying-start'), value(r, 'control'), value(r, 'jerk')]).toEqual([flying, control, jerk]);
    expect(number(r, 'control')).toBe(control.startsWith('vector') ? 1 : 0);
    const spares = flying === 'on' ? 'on' : 'off';
    expect(value(r, 'flux')).toBe(spares);
  });
  it('an encoder closes the loop, several motors take it away', () => {
    expect(value(onDrive('mixer', { encoder: true }), 'control')).toBe('vector with encoder');
    expect(set(onDrive('mixer', { encoder: true }), 'control')?.why).toBe('an encoder is there');
    expect(value(onDrive('mixer', { encoder: false }), 'control')).toBe('vector, no encoder');
    expect(value(onDrive('mixer', { motors: 2 }), 'control')).toBe('volts per hertz');
    const scalar = onDrive('mixer', {}, { start: { drive: { control: 'scalar' } } });
    expect([value(scalar, 'control'), number(scalar, 'control')]).toEqual(['volts per hertz', 0]);
    // Volts lost in the winding are boosted by volts per hertz alone: vector control finds them itself.
    expect(number(scalar, 'boost')).toBeGreaterThan(0);
    expect(number(onDrive('mixer', { motors: 2 }), 'boost')).toBe(0.02);
    expect([value(onDrive('mixer'), 'boost'), value(onDrive('centrifugal-fan'), 'boost')]).toEqual([
      'automatic',
      'automatic',
    ]);
    expect(set(onDrive('mixer', { motors: 2 }), 'current-limit')?.why).toContain('of all 2 together');
  });
  it('the carrier as asked, else the usual one, said so', () => {
    expect([value(onDrive('mixer'), 'carrier'), number(onDrive('mixer'), 'carrier')]).toEqual([
      '4 kHz (not said)',
      4000,
    ]);
    const asked = onDrive('mixer', { carrier: '8 kHz' });
    expect([value(asked, 'carrier'), number(asked, 'carrier')]).toEqual(['8 kHz', 8000]);
    expect(set(asked, 'carrier')?.why).toContain('derated');
  });
  it('restart and riding through as Guard decided; by hand where nobody did', () => {
    expect(number(onDrive('centrifugal-pump'), 'restart')).toBe(0);
    const alone = onDrive('centrifugal-pump', {}, { guard: { restart: 'automatic' } });
    expect([number(alone, 'restart'), set(alone, 'restart')?.why]).toEqual([3, 'as decided at Guard']);
    const held = onDrive('centrifugal-pump', {}, { guard: { undervoltage: 'release' } });
    expect([value(held, 'ride-through'), set(held, 'ride-through')?.why.startsWith('decided')]).toEqual(['off', true]);
  });
  it('a hoist: brake, limits, nothing by itself, vector with the load held', () => {
    const r = onDrive('hoist', { braking: { kind: 'chopper' } }, { ...hoist, guard: { restart: 'automatic' } });
    expect(value(r, 'brake-logic')).toContain('proves the torque');
    expect(value(r, 'travel-limits')).toContain('load limiter');
    expect([number(r, 'restart'), value(r, 'ride-through'), value(r, 'jerk')]).toEqual([0, 'off', '20 %']);
    expect(set(r, 'ride-through')?.why).toContain('must not go on by itself');
    expect(value(onDrive('mixer'), 'brake-logic')).toBeUndefined();
  });
  it('commands: contacts where nobody said, a live zero for a signal, a lost link for a network', () => {
    expect(value(onDrive('mixer'), 'command')).toBe('contacts (not said)');
    const both = onDrive('mixer', { command: ['analogue', 'network'] });
    expect(value(both, 'command')).toBe('analogue signal, network');
    expect([value(both, 'reference')?.startsWith('4 to 20 mA'), number(both, 'reference-lost')]).toEqual([true, 3]);
    expect(number(both, 'link-lost')).toBe(3);
    const keys = onDrive('mixer', { command: ['keypad'] });
    expect([value(keys, 'reference'), value(keys, 'link-lost')]).toEqual([undefined, undefined]);
    const line = (r: Result) => r.drive?.command ?? '';
    expect(line(both)).toContain('1 analogue input');
    expect(line(both)).toContain('a port for the plant');
    expect(line(keys)).toContain('a keypad, in the door');
    expect(line(onDrive('mixer', { safeTorqueOff: true }))).toContain('safe torque off, two channels');
    expect(line(onDrive('mixer', { encoder: true }))).toContain('an encoder input');
  });
  it('a stop: its ramp told from rated frequency, none where it coasts, ohms for a chopper alone', () => {
    const ramp = onDrive('conveyor', { braking: { kind: 'ramp', time: '20 s' } });
    const rated = figure(ramp, 'choice.ratedSpeed');
    // 20 s from 1475 r/min are so much more from 1500.
    expect(number(ramp, 'ramp-down')).toBeCloseTo((20 * 1500) / 1475, 6);
    expect(rated).toBeLessThan(1500);
    expect(value(onDrive('conveyor', { braking: { kind: 'coast' } }), 'ramp-down')).toBe('none: it coasts');
    expect(value(ramp, 'resistor')).toBeUndefined();
    const chopper = onDrive('conveyor', { braking: { kind: 'chopper', time: '0.5 s' } });
    expect(number(chopper, 'resistor')).toBe(figure(chopper, 'drive.brakingResistance'));
  });
  it('the winding’s sensor trips where Guard watches it', () => {
    expect(value(onDrive('mixer', {}, { guard: { watch: { windingSensor: true } } }), 'sensor')).toBe('trip');
    expect(value(onDrive('mixer'), 'sensor')).toBeUndefined();
  });
  it('without a drive nothing is programmed', () => {
    expect(solved({ ...conveyorCase, method: 'direct' }).drive?.settings ?? []).toEqual([]);
  });
});

const conveyorCase: CaseText = {
  format: 'pilgrim.case/1',
  practice: 'iec',
  supply: { voltage: '400 V', frequency: '50 Hz' },
  load: { machine: 'conveyor', demand: { kind: 'power', power: '6 kW', speed: '1450 rpm' } },
  speed: { need: 'fixed' },
};

describe('how slowly, and what a stop of a load does', () => {
  it('a blower of its own cools at any speed, and the habit of a plate without a ratio is said', () => {
    const blown = onDrive('conveyor', { cooling: 'blower' });
    expect(figure(blown, 'drive.minSpeed')).toBe(0);
    expect(blown.figures['drive.minSpeed']?.text).toContain('a blower of its own');
    const plated: CaseText = {
      ...conveyorCase,
      plate: {
        ...{ power: '7.5 kW', voltage: '400 V', current: '14.7 A', speed: '1455 rpm', frequency: '50 Hz' },
        phases: 3,
      },
      motor: { existing: true },
      method: 'drive',
      speed: { need: 'variable', min: 0.2, max: 1 },
    };
    const habit = solved(plated);
    expect(habit.figures['drive.minSpeed']?.assumed.map((a) => a.why).join()).toContain('no ratio on the plate');
    expect(figure(habit, 'drive.minSpeed')).toBeGreaterThan(0.2 * 1455);
  });
  it('torque at the least speed: at a tenth less than at half, beyond rated speed less than at it', () => {
    const left = (min: number) =>
      figure(onDrive('conveyor', {}, { speed: { need: 'variable', min, max: 1.3 } }), 'drive.torqueLeast');
    expect(left(0.1)).toBeLessThan(left(0.5));
    expect(left(1.25)).toBeLessThan(left(1));
  });
  it('what coasts is followed to standstill by its friction: twice the inertia, twice the time', () => {
    const coasting = (inertia: string) =>
      onDrive(
        'conveyor',
        { braking: { kind: 'coast' } },
        {
          load: { machine: 'conveyor', inertia, demand: { kind: 'power', power: '18 kW', speed: '1475 rpm' } },
        },
      );
    const [one, two] = [coasting('4 kg.m2'), coasting('8 kg.m2')];
    expect(figure(two, 'drive.stopTime') / figure(one, 'drive.stopTime')).toBeGreaterThan(1.85);
    expect(figure(two, 'drive.stopTime') / figure(one, 'drive.stopTime')).toBeLessThan(2.0001);
    // By hand: J ω ÷ T of the load alone is the longest it can be.
    const [J, w, T] = [figure(one, 'start.inertia'), (1475 * Math.PI) / 30, figure(one, 'load.motorTorque')];
    expect(figure(one, 'drive.stopTime')).toBeLessThan((J * w) / T);
    expect(figure(one, 'drive.stopTime')).toBeGreaterThan((0.85 * J * w) / T);
    expect(one.curves.drive?.stop?.speed.at(-1)?.[1]).toBe(0);
  });
  it('what hangs has no run-out, and one that is let go no stop', () => {
    const r = onDrive('hoist', { braking: { kind: 'coast' } }, hoist);
    expect(r.figures['drive.coastTime']).toBeUndefined();
    expect(r.figures['drive.stopTime']).toBeUndefined();
    expect(r.curves.drive?.stop ?? null).toBeNull();
    expect(findingIds(r)).toContain('drive.braking');
  });
  it('a load that stops it sooner than its ramp is told with its own time', () => {
    const r = onDrive(
      'conveyor',
      { braking: { kind: 'ramp', time: '60 s' } },
      {
        load: {
          ...{ machine: 'conveyor', shape: 'constant-power', inertia: '0.2 kg.m2' },
          demand: { kind: 'power', power: '18 kW', speed: '1475 rpm' },
        },
      },
    );
    const end = r.curves.drive?.stop?.speed.at(-1)?.[0] ?? NaN;
    const told = figure(r, 'drive.stopTime');
    expect(end).toBeLessThan(60 / 1.05);
    expect(told / end).toBeCloseTo(1, 2);
    expect(r.figures['drive.stopTime']?.text).toContain('its load ahead of the ramp');
  });
});
