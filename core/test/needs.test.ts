import { describe, expect, it } from 'vitest';
import type { FlowPoint } from '../src/physics';
import { genericMotors, motorById, practiceById, readCase, type Case, type CaseText, type Motor } from '@pilgrim/core';
import {
  connectionFor,
  directSpeed,
  doubledCrest,
  driveCurrentAsked,
  driveHousing,
  driveOverload,
  inputOf,
  isShortShaft,
  leftOf,
  matchDrive,
  numberOf,
  percent,
  pinnedCircuit,
  settledSpeed,
  shapeOf,
  shareLeft,
  starDeltaFits,
  startNeeds,
  subjectFromPlate,
  subjectOf,
  leastDriveSpeed,
  unfilteredLength,
  usualEfficiency,
  type Needs,
  type Walk,
  shaftStage,
} from '../src/needs';
import { rulesFor } from '../src/practice';
import { conveyor, horsepower } from './cases';

/** What a case asks, piece by piece and by hand: small functions that the judge and the stations both call. */

const northAmerica = practiceById('north-america');
const iec = practiceById('iec');
const motor = (id: string): Motor => motorById(id) ?? expect.fail(`no motor ${id}`);
const four = motor('na-tefc-25hp-4p');
const read = (text: CaseText): Case => {
  const reading = readCase(text);
  return reading.ok ? reading.value : expect.fail(JSON.stringify(reading.errors));
};
/** Only what is read of the needs. */
const needs = (over: object): Needs => over as unknown as Needs;

describe('what is on the motor’s shaft', () => {
  it.each([
    [undefined, 'direct', false],
    [{}, 'direct', false],
    [{ kind: 'gearbox', ratio: 1.4 }, 'gearbox', false],
    [{ ratio: 1.004 }, 'direct', false],
    [{ ratio: 1.006 }, 'belt', true],
    [{ ratio: 8 }, 'belt', true],
    [{ ratio: 8.1 }, 'gearbox', true],
    [{ ratio: 0.12 }, 'gearbox', true],
    [{ sheave: '200 mm' }, 'belt', true],
    [{ permittedPull: '2 kN', ratio: 20 }, 'belt', true],
    [{ stages: [{ ratio: 2 }, { kind: 'gearbox', ratio: 9 }] }, 'belt', true],
    [{ stages: [{ kind: 'chain', ratio: 2 }] }, 'chain', false],
  ] as const)('%j: %s', (train, kind, taken) => {
    const read = readCase({ ...conveyor, load: { ...conveyor.load, train } });
    if (!read.ok) expect.fail(read.errors.map((e) => e.message).join());
    const found = shaftStage(read.value.load?.train);
    expect(found.kind).toBe(kind);
    expect(found.taken !== undefined).toBe(taken);
  });
});

describe('speeds', () => {
  const columns = (c: { synchronous: number; speed: number; ratedTorque: number }) =>
    ({ synchronous: [c.synchronous], speed: [c.speed], ratedTorque: [c.ratedTorque] }) as never;
  const load = (torque: number, kind: string) => needs({ load: { speed: 1760, torque, shape: { kind } } });
  it('straight on the line a motor turns where its slip carries the load', () => {
    const at = columns({ synchronous: 1800, speed: 1760, ratedTorque: 100 });
    expect(directSpeed(load(100, 'constant'), at, 0)).toBeCloseTo(1760, 3);
    expect(directSpeed(load(50, 'constant'), at, 0)).toBeCloseTo(1780, 3);
  });
  it('a drive holds what is asked, and never less than the demand’s speed', () => {
    const at = (max: number) => needs({ load: { speed: 1760 }, speed: { max } });
    expect(settledSpeed(at(1), 'drive', 1780)).toBe(1760);
    expect(settledSpeed(at(1.2), 'drive', 1780)).toBeCloseTo(2112, 9);
    expect(settledSpeed(at(0.8), 'drive', 1780)).toBe(1760);
    expect(settledSpeed(at(1.2), 'direct', 1780)).toBe(1780);
    expect(settledSpeed(at(1.2), 'soft-starter', 1779)).toBe(1779);
  });
  it('down to its ratio: of variable torque on a fan, of constant torque on a conveyor', () => {
    const base = genericMotors().find((m) => m.practice === 'north-america') ?? expect.fail();
    const ratios = { ...base, inverterDuty: true, speed: 1760, turndown: { variableTorque: 10, constantTorque: 4 } };
    const on = (kind: string) =>
      leastDriveSpeed(needs({ load: { shape: { kind } }, rules: { slowSpeed: 'plate' } }), ratios);
    expect(on('quadratic')).toBe(176);
    expect(on('constant')).toBe(440);
  });
});

it('an S after a T or U frame’s digits is a short shaft, and nothing else is', () => {
  expect(['284TS', '326TSC', '405US'].every(isShortShaft)).toBe(true);
  expect(['284T', 'S284T', 'X284TS', '56S', '4TS', '160S', ''].some(isShortShaft)).toBe(false);
  expect(isShortShaft(null)).toBe(false);
});

describe('motor cable without a filter', () => {
  const length = (leadLength: string, pulse: number, inverterDuty: boolean) =>
    unfilteredLength(needs({ rules: { leadLength } }), 480, pulse, inverterDuty);
  it('the doubled pulse of a 480 V line is 2 √2 × 480 V', () => {
    expect(doubledCrest(480)).toBeCloseTo(1357.6, 1);
  });
  it('calculated: any length where the winding bears the doubled pulse, else 15 m', () => {
    expect(length('calculated', doubledCrest(480), false)).toBe(Infinity);
    expect(length('calculated', 1357, false)).toBe(15);
    expect(length('calculated', 1600, true)).toBe(Infinity);
  });
  it('30 m only for a winding made for drives that bears it; 15 m otherwise and in the other school', () => {
    expect(length('30 m', 1600, true)).toBe(30);
    expect(length('30 m', 1600, false)).toBe(15);
    expect(length('30 m', 1300, true)).toBe(15);
    expect(length('15 m', 1600, true)).toBe(15);
  });
});

describe('connections', () => {
  const dual = {
    ...four,
    connections: [
      { voltage: 230, current: 60 },
      { voltage: 460, current: 30 },
    ],
  } as Motor;
  it('the one nearest the supply; the highest where nobody says what the supply is', () => {
    expect(connectionFor(dual, 240).voltage).toBe(230);
    expect(connectionFor(dual, 480)).toEqual({ voltage: 460, current: 30 });
    // 208 V is a tenth below 230 V and less than half of 460 V; 340 V lies 26 % under 460 V, 48 % over 230 V.
    expect(connectionFor(dual, 208).voltage).toBe(230);
    expect(connectionFor(dual, 340).voltage).toBe(460);
    expect(connectionFor(dual, undefined).voltage).toBe(460);
    const single = { ...dual, connections: [{ voltage: 575, current: 24 }] };
    expect(connectionFor(single, undefined).voltage).toBe(575);
    expect(connectionFor({ ...dual, connections: [] }, undefined)).toEqual({ voltage: 0, current: 0 });
  });
  it('star-delta asks windings whose delta is the line’s', () => {
    expect(starDeltaFits(iec, 400, { deltaVoltage: 400 })).toBe(true);
    expect(starDeltaFits(iec, 400, { deltaVoltage: 230 })).toBe(false);
    expect(starDeltaFits(iec, 400, { deltaVoltage: null })).toBe(false);
  });
});

describe('a drive', () => {
  const load = (kind: string, peak = 1, torque = 100) => needs({ load: { shape: { kind }, peak, torque, cycle: [] } });
  it('holds 120 % for a minute on variable torque, 150 % on constant, more where the case asks it', () => {
    expect(driveOverload(load('quadratic'))).toBe(1.2);
    expect(driveOverload(load('constant'))).toBe(1.5);
    expect(driveOverload(load('quadratic', 1.4))).toBe(1.4);
    expect(driveOverload(load('constant', 2))).toBe(2);
    expect(driveOverload(load('constant', 1.2))).toBe(1.5);
  });
  it('carries the motor’s current, or the peak over its own overload where that is more', () => {
    expect(driveCurrentAsked(load('constant', 1.5, 100), 30, 100)).toBeCloseTo(30, 9);
    // On variable torque 120 % for a minute: a peak of 2 × at full torque is its own overload, and no more is asked.
    expect(driveCurrentAsked(load('quadratic', 2, 100), 30, 100)).toBeCloseTo(30, 9);
    expect(driveCurrentAsked(load('constant', 1.5, 140), 30, 100)).toBeCloseTo(42, 9);
  });
  const matched = (driveMatch: string, asked: number, power: number, driveDerating = 1) =>
    matchDrive(needs({ practice: northAmerica, rules: { driveMatch }, place: { driveDerating } }), 460, asked, power);
  const sizes = northAmerica.driveSizes(460).value;
  const size = sizes[6] ?? expect.fail('a short ladder');
  const next = sizes[7] ?? expect.fail('a short ladder');
  it('is matched by power or by current, as the house has it', () => {
    expect(matched('power', size.current * 1.05, size.power)).toEqual({ byPower: size, byCurrent: next, taken: size });
    expect(matched('current', size.current * 1.05, size.power).taken).toEqual(next);
  });
  it('rounded figures make no larger drive: half a thousandth of current, a hundredth of power', () => {
    expect(matched('current', size.current * 1.0004, 1).taken).toEqual(size);
    expect(matched('current', size.current * 1.0006, 1).taken).toEqual(next);
    expect(matched('power', 1, size.power * 1.01).taken).toEqual(size);
    expect(matched('power', 1, size.power * 1.0102).taken).toEqual(next);
  });
  it('heat and height count against its current; above the ladder there is none', () => {
    expect(matched('current', size.current * 0.9, 1, 0.9).taken).toEqual(size);
    expect(matched('current', size.current * 0.91, 1, 0.9).taken).toEqual(next);
    expect(matched('current', 1e5, 1).taken).toBeUndefined();
    expect(matched('power', 1, 1e9).taken).toBeUndefined();
  });

  const housed = (power: number, place: Case['place'] = {}, rule = 'by size') =>
    driveHousing({ rules: { driveHousing: rule } as never }, place, power * horsepower);
  it('is sealed on the wall to 20 hp and in a cabinet beyond, unless the house or the case says otherwise', () => {
    expect(housed(20)).toMatch(/^sealed on the wall \(IP54 or type 12 at least\)/);
    expect(housed(20.3)).toMatch(/^in a cabinet,/);
    expect(housed(5, {}, 'cabinet')).toMatch(/^in a cabinet/);
    expect(housed(50, {}, 'sealed')).toMatch(/^sealed/);
    expect(housed(50, { driveHousing: 'wall' }, 'cabinet')).toMatch(/^sealed/);
    expect(housed(5, { driveHousing: 'cabinet' }, 'sealed')).toMatch(/^in a cabinet/);
  });
  it('in dust the filters are changed monthly; outdoors it is made for it', () => {
    expect(housed(50)).toContain('every three months');
    expect(housed(50, { dirt: 'clean' })).toContain('every three months');
    expect(housed(50, { dirt: 'dusty' })).toContain('every month');
    expect(housed(50, { driveLocation: 'outdoor' })).toContain('in a cabinet, made for outdoors,');
    expect(housed(5, { driveLocation: 'outdoor' })).toContain('at least, made for outdoors)');
    expect(housed(5, { driveLocation: 'indoor' } as never)).not.toContain('outdoors');
  });
});

describe('what heat and height leave of a motor', () => {
  const at = (ambient: number, altitude: number, rules: object = {}) =>
    needs({
      place: { ambient, altitude, motorDerating: 0.9, unbalanceDerating: 0.95 },
      rules: { serviceFactorUse: 'reserve', serviceFactorOnDrive: false, ...rules },
    });
  it('its own derating where it has no service factor to give, or the place is hot', () => {
    expect(shareLeft(at(40, 2000), 1, false)).toBe(0.9);
    expect(shareLeft(at(40, 2000), 1.14, false)).toBe(0.9);
    expect(shareLeft(at(41, 2000), 1.15, false)).toBe(0.9);
    expect(leftOf(at(41, 2000), 1.15, false)).toEqual({ share: 0.9, by: 'place', source: undefined });
  });
  it('at height a service factor of 1.15 stands for it up to 2740 m', () => {
    expect(shareLeft(at(40, 1001), 1.15, false)).toBe(0.95);
    expect(shareLeft(at(40, 2740), 1.15, false)).toBe(0.95);
    expect(shareLeft(at(40, 2741), 1.15, false)).toBe(0.9);
    expect(leftOf(at(40, 2000), 1.25, false)).toMatchObject({ by: 'height', source: { title: 'NEMA MG 1' } });
  });
  it('on the plain it counts as rating only by house rule, and on a drive only by another', () => {
    expect(shareLeft(at(40, 1000), 1.15, false)).toBe(0.9);
    expect(shareLeft(at(40, 1000, { serviceFactorUse: 'sized' }), 1.15, false)).toBeCloseTo(0.95 * 1.15, 12);
    expect(leftOf(at(40, 1000, { serviceFactorUse: 'sized' }), 1.15, false).source?.kind).toBe('common-practice');
    const drive = { serviceFactorUse: 'sized', serviceFactorOnDrive: true };
    expect(shareLeft(at(40, 1000, { serviceFactorUse: 'sized' }), 1.15, true)).toBe(0.9);
    expect(shareLeft(at(40, 1000, drive), 1.15, true)).toBeCloseTo(0.95 * 1.15, 12);
  });
});

describe('input power', () => {
  // 10 kW at 90 %: losses 1111 W, of which 40 % stay and 60 % go with the square of load.
  const motor = { rated: 10e3, eta: 0.9, constant: 0.4 };
  const losses = (x: number) => 1111.11 * (0.4 + 0.6 * x * x);
  const point = (shaft: number, over: Partial<FlowPoint> = {}): FlowPoint => ({
    ...{ speed: 1, flow: shaft, head: 1, shaft, share: 1, work: 0, control: 0, machine: shaft },
    ...over,
  });
  const [speed, throttle] = [{ kind: 'speed' }, { kind: 'throttle' }] as const;
  it('straight on the line: the shaft power of the row, and the motor’s losses there', () => {
    expect(inputOf(10e3, motor, point(1), throttle)).toBeCloseTo(11_111.1, 0);
    expect(inputOf(5e3, motor, point(1), throttle)).toBeCloseTo(5e3 + losses(0.5), 0);
    expect(inputOf(10e3, motor, point(0.5), throttle)).toBeCloseTo(5e3 + losses(0.5), 0);
  });
  it('a published share, or time switched on, is a share of what full flow draws', () => {
    const published = { kind: 'published', behind: true, share: () => 0.8 } as const;
    expect(inputOf(5e3, motor, point(0.8), published)).toBeCloseTo(0.8 * (5e3 + losses(0.5)), 0);
    expect(inputOf(5e3, motor, point(0.3), { kind: 'on-off' })).toBeCloseTo(0.3 * (5e3 + losses(0.5)), 0);
  });
  it('of two machines one rests: the other takes what it takes at its own load', () => {
    expect(inputOf(10e3, motor, point(0.25, { share: 0.5 }), throttle)).toBeCloseTo(0.5 * (5e3 + losses(0.5)), 0);
  });
  it('a two-speed winding at low speed is a smaller motor, and a worse one', () => {
    const low = { kind: 'two-speed', low: 0.5 } as const;
    // 1/8 of 10 kW, at full load there.
    expect(inputOf(10e3, motor, point(0.125, { speed: 0.5 }), low)).toBeCloseTo(1250 / (0.9 * 0.96), 0);
    expect(inputOf(10e3, motor, point(1), low)).toBeCloseTo(11_111.1, 0);
  });
  it('behind a drive: the load by speed, and the drive’s own losses on top', () => {
    // 15 % more than on a sine (IEC 61800-9-2, from memory).
    const motorIn = 5e3 + 1.15 * losses(0.5);
    const share = (motorIn * 0.9) / 10e3;
    expect(inputOf(10e3, motor, point(0.5), speed)).toBeCloseTo(motorIn * (1 + (0.01 + 0.02 * share) / share), 0);
  });
  it('idling is finite: what it takes is its standing losses', () => {
    expect(inputOf(0, motor, point(1), throttle)).toBeCloseTo(444.4, 0);
    expect(Number.isFinite(inputOf(10e3, motor, point(0), speed))).toBe(true);
  });
});

describe('a shape and a circuit', () => {
  it('the shape as given, its points in order; else the machine’s', () => {
    expect(shapeOf('constant', 'centrifugal-fan')).toEqual({ kind: 'constant' });
    expect(shapeOf(undefined, 'centrifugal-fan')).toEqual({ kind: 'quadratic' });
    expect(shapeOf(undefined, 'screw-conveyor')).toEqual({ kind: 'constant' });
    const points = [
      [1, 1],
      [0, 0.2],
      [0.5, 0.4],
    ] as [number, number][];
    expect(shapeOf({ points } as never, undefined)).toEqual({
      kind: 'points',
      points: [
        [0, 0.2],
        [0.5, 0.4],
        [1, 1],
      ],
    });
  });
  const circuit = {
    poles: 4,
    voltage: '400 V',
    frequency: '50 Hz',
    statorResistance: '0.1 ohm',
    statorReactance: '0.2 ohm',
    rotorResistance: '0.11 ohm',
    rotorReactance: '0.3 ohm',
    magnetisingReactance: '9 ohm',
  } as const;
  const pinned = (more: object) =>
    pinnedCircuit({ input: read({ ...conveyor, motor: { circuit: { ...circuit, ...more } } } as never) });
  it('is taken as it is pinned; without losses there are none, without rated speed there is none of it', () => {
    expect(pinned({ ratedSpeed: '1470 rpm' })).toEqual({
      poles: 4,
      voltage: 400,
      frequency: 50,
      statorResistance: 0.1,
      statorReactance: 0.2,
      rotorResistance: 0.11,
      rotorReactance: 0.3,
      magnetisingReactance: 9,
      coreLoss: 0,
      frictionLoss: 0,
      ratedSpeed: 1470,
    });
    expect(pinned({})).toBeUndefined();
    expect(pinned({ ratedSpeed: '1470 rpm', coreLoss: '300 W', frictionLoss: '150 W' })).toMatchObject({
      coreLoss: 300,
      frictionLoss: 150,
    });
    const cage2 = { resistance: '0.4 ohm', reactance: '0.1 ohm' };
    expect(pinned({ ratedSpeed: '1470 rpm', cage2 })?.cage2).toEqual({ resistance: 0.4, reactance: 0.1 });
  });
});

describe('what is asked of a start', () => {
  const values: Record<string, number> = {
    'load.inertiaAtMotor': 2.5,
    'load.motorPower': 15e3,
    'load.motorSpeed': 1750,
  };
  const w = (known = values) => ({ value: (id: string) => known[id] }) as unknown as Walk['w'];
  const asked = (load: object, known?: Record<string, number>, over: object = {}) =>
    startNeeds(
      {
        input: read({ ...conveyor, ...over, load: { ...conveyor.load, ...load } }),
        practice: northAmerica,
        rules: rulesFor(undefined),
        w: w(known),
      },
      60,
    );
  it('the inertia only where the case gives one', () => {
    expect(asked({ inertia: '2 kg.m2' }).loadInertia).toBe(2.5);
    expect(asked({}).loadInertia).toBeUndefined();
  });
  it('the size of rotor that is usual: of a motor of the load’s own power and nearest speed', () => {
    const at = (speed: number, power = 15e3) =>
      asked({}, { ...values, 'load.motorSpeed': speed, 'load.motorPower': power }).sizeInertia;
    expect(at(1750)).toBeCloseTo(at(1795) ?? 0, 12);
    expect(at(1160)).toBeGreaterThan(at(1750) ?? Infinity);
    // Faster than two poles turn: still the two-pole motor's.
    expect(at(5000)).toBeCloseTo(at(3550) ?? 0, 12);
    expect(at(0)).toBeUndefined();
    expect(at(1750, 0)).toBeUndefined();
    expect(asked({}, {}).sizeInertia).toBeUndefined();
    expect(asked({}, { 'load.motorPower': 15e3 }).sizeInertia).toBeUndefined();
  });
  it('the time it may take: the case’s, else the machine’s own, else as long as it likes', () => {
    expect(asked({ maxStartTime: '7 s' }).permitted).toEqual({ value: 7, text: '7 s', machine: false });
    expect(asked({}).permitted).toEqual({ value: Infinity, text: '', machine: false });
    const deep = asked({ machine: 'deep-well-pump' }).permitted;
    expect(deep.machine).toBe(true);
    expect(deep.value).toBeGreaterThan(2);
    expect(deep.value).toBeLessThan(5);
  });
  it('the time the motor bears its locked-rotor current: the case’s, else the practice’s', () => {
    expect(asked({}, values, { start: { stallTime: '17 s' } }).stallTime).toBe(17);
    expect(asked({}).stallTime).toBe(northAmerica.stallTime.value);
    expect(asked({ startsPerHour: 6 }).perHour).toBe(6);
    expect(asked({}).perHour).toBeUndefined();
  });
});

describe('the motor that guard, drive and cost speak of', () => {
  const walk = (text: object, practice = northAmerica, figures: Record<string, number> = {}) =>
    ({
      input: read({ ...conveyor, ...text } as CaseText),
      practice,
      rules: { efficiencyBasis: 'nominal' },
      w: { figures: new Map(Object.entries(figures).map(([id, value]) => [id, { value }])) },
    }) as unknown as Walk;
  const facts = { power: 15 * horsepower, voltage: 460, current: 19, poles: 6 };

  describe('on the plate', () => {
    it('is there only where power, voltage and current are', () => {
      const { power, voltage, current } = facts;
      expect(subjectFromPlate(walk({}), { power, voltage })).toBeUndefined();
      expect(subjectFromPlate(walk({}), { power, current })).toBeUndefined();
      expect(subjectFromPlate(walk({}), { voltage, current })).toBeUndefined();
      expect(subjectFromPlate(walk({}), facts)).toMatchObject({ kind: 'plate', motor: undefined, method: null });
      expect(subjectFromPlate(walk({ method: 'direct' }), facts)?.method).toBe('direct');
    });
    it('its efficiency: what a test would allow before what is stamped, before what is usual, each said', () => {
      const of = (figures: Record<string, number>) =>
        subjectFromPlate(walk({}, northAmerica, figures), facts)?.efficiency;
      expect(of({ 'plate.efficiency': 0.91, 'plate.efficiencyMinimum': 0.9 })?.value).toBe(0.9);
      expect(of({ 'plate.efficiency': 0.91 })).toEqual({ field: 'plate.efficiency', value: 0.91 });
      const usual = northAmerica.usualEfficiency(facts.power, 6, undefined);
      expect(of({})).toMatchObject({
        value: usual.value,
        source: usual.source,
        assumed: 'not on the plate: usual for its rating',
      });
    });
    it('by its class where one is stamped, by its year where that is; an open one by the open table', () => {
      const of = (plate: object, practice = iec) =>
        usualEfficiency(read({ ...conveyor, practice: practice.id, plate } as never), practice, 15e3, 4);
      expect(of({ efficiencyClass: 'IE3' }).value).toBeCloseTo(0.921, 12);
      expect(of({ efficiencyClass: 'IE3' }).why).toBe('what class IE3 asks');
      expect(of({ year: 1965 }).why).toBe('usual for its rating and its year, 1965');
      expect(of({ year: 1965 }).value).toBeLessThan(of({ year: 2015 }).value);
      expect(of({}).why).toBe('usual for its rating');
      // 3 hp at two poles is tabled apart: 85.5 % open, 86.5 % enclosed (MG 1 table 12-12).
      const premium = (enclosure: string) =>
        usualEfficiency(
          read({ ...conveyor, plate: { efficiencyClass: 'premium', enclosure } }),
          northAmerica,
          3 * horsepower,
          2,
        ).value;
      expect(premium('ODP')).toBeCloseTo(0.855, 9);
      expect(premium('TEFC')).toBeCloseTo(0.865, 9);
      expect(of({}, iec).value).toBe(usualEfficiency(read({ ...conveyor, practice: 'iec' }), iec, 15e3, 4).value);
    });
    it('its service factor, rise and highest speed, and what its maker allows on a drive', () => {
      const bare = subjectFromPlate(walk({}), facts);
      expect(bare?.serviceFactor).toMatchObject({ value: 1, assumed: expect.stringContaining('1.0') });
      expect(bare).toMatchObject({ temperatureRise: undefined, maxSpeed: undefined, pulseRating: undefined });
      expect(bare).toMatchObject({ inverterDuty: false, turndown: {}, deltaVoltage: null });
      const plate = {
        serviceFactor: 1.15,
        temperatureRise: '40 K',
        maxSpeed: '1800 rpm',
        inverterDuty: { variableTorque: 20, constantTorque: 10 },
      };
      const full = subjectFromPlate(walk({ plate }), facts);
      expect(full?.serviceFactor).toEqual({ field: 'plate.serviceFactor', value: 1.15 });
      expect(full).toMatchObject({ temperatureRise: 40, maxSpeed: 1800, inverterDuty: true });
      expect(full?.turndown).toEqual({ variableTorque: 20, constantTorque: 10 });
      expect(full?.pulseRating).toBe(northAmerica.drivePulse(460).value);
    });
    it('its locked-rotor current: by its letter, by its class, else by the standard’s table', () => {
      const byLetter = subjectFromPlate(walk({}, northAmerica, { 'plate.lockedRotorCurrentMax': 130 }), facts);
      expect(byLetter?.lockedRotorCurrent).toEqual({ field: 'plate.codeLetter', value: 130 });
      const byTable = subjectFromPlate(walk({}), facts);
      expect(byTable?.lockedRotorCurrent).toMatchObject({
        value: northAmerica.lockedRotorCurrent(facts.power, 460, 60).value,
        assumed: 'no code letter: the standard’s value for the rating',
      });
      // Six poles of 15 hp start with 140 % of rated torque at least (MG 1 12.38).
      expect(byTable?.lockedRotorTorque).toMatchObject({ value: 1.4, assumed: expect.stringContaining('the least') });
      expect(subjectFromPlate(walk({}), { ...facts, poles: undefined as never })?.lockedRotorTorque.value).toBe(1.6);
      const ie3 = subjectFromPlate(walk({ practice: 'iec', plate: { efficiencyClass: 'IE3' } }, iec), {
        power: 15e3,
        voltage: 400,
        current: 28,
        poles: 4,
      });
      expect((ie3?.lockedRotorCurrent.value ?? 0) / 28).toBeGreaterThan(6.4);
      expect((ie3?.lockedRotorCurrent.value ?? 99) / 28).toBeLessThan(8.6);
      expect(ie3?.lockedRotorCurrent.assumed).toBe('no code letter: usual for its class and rating');
      expect(ie3?.lockedRotorTorque.assumed).toBe('usual for its class and rating');
    });
    it('a current stamped for this very supply is the one that counts', () => {
      const usableAt = { voltage: '208 V', current: '41 A' };
      const current = (plate: object, voltage: string) =>
        subjectFromPlate(walk({ plate, supply: { ...conveyor.supply, voltage } }), facts)?.current;
      expect(current({ usableAt }, '208 V')).toBe('plate.currentHere');
      expect(current({ usableAt }, '240 V')).toBe('plate.connectedCurrent');
      expect(current({ usableAt: { voltage: '208 V' } }, '208 V')).toBe('plate.connectedCurrent');
      expect(current({}, '208 V')).toBe('plate.connectedCurrent');
    });
  });

  describe('out of the catalogue', () => {
    const at = (voltage: string, rules: object = { efficiencyBasis: 'nominal' }) =>
      subjectOf({ ...walk({ supply: { ...conveyor.supply, voltage } }), rules } as Walk, four, 'direct', 'choice');
    it('has the values of the connection on this supply', () => {
      const [low, high] = [at('240 V'), at('480 V')];
      const voltage = (s: ReturnType<typeof at>) => (typeof s.voltage === 'string' ? NaN : s.voltage.value);
      expect([voltage(low), voltage(high)]).toEqual([230, 460]);
      expect(low.lockedRotorCurrent.value / high.lockedRotorCurrent.value).toBeCloseTo(2, 9);
      expect(high.lockedRotorCurrent.value).toBe(four.lockedRotorCurrent);
      expect(high).toMatchObject({
        kind: 'choice',
        method: 'direct',
        maxSpeed: four.maxSpeed,
        temperatureRise: undefined,
      });
    });
    it('with its nominal or its least efficiency, as the house has it', () => {
      expect(at('480 V').efficiency.value).toBe(four.efficiency);
      expect(at('480 V', { efficiencyBasis: 'minimum' }).efficiency.value).toBe(four.efficiencyMinimum);
      expect(four.efficiencyMinimum).toBeLessThan(four.efficiency);
    });
    it('says where it is from: shelf, what is pinned, or the catalogue', () => {
      const title = (m: Partial<Motor>) =>
        subjectOf(walk({}), { ...four, ...m } as Motor, 'direct', 'choice').efficiency.source?.title;
      expect(title({})).toBe('Generic catalogue');
      expect(title({ id: 'existing' })).toBe('The motor that is there');
      expect(title({ id: 'pinned-plate' })).toBe('Pinned plate');
      expect(title({ id: 'pinned-circuit' })).toBe('Pinned circuit, solved');
      expect(title({ id: 'existing', stock: { count: 1 } as never })).toBe('Own shelf');
    });
  });

  it('the number behind an input is the figure’s, or the one given', () => {
    const w = { value: (id: string) => (id === 'choice.ratedPower' ? 18e3 : undefined) } as unknown as Walk['w'];
    expect(numberOf(w, 'choice.ratedPower')).toBe(18e3);
    expect(numberOf(w, { value: 11e3 as never })).toBe(11e3);
  });
});

it('a share is said in per cent, and what is out of all proportion as that', () => {
  expect(percent(0.123)).toBe('12 %');
  expect(percent(0.123, 1)).toBe('12.3 %');
  expect(percent(5)).toBe('500 %');
  expect(percent(5.01)).toBe('over 500 %');
  expect(percent(-0.2)).toBe('-20 %');
});

it('every motor of the catalogue has a connection for its own voltage', () => {
  const wrong = genericMotors().filter((m) => connectionFor(m, m.connections[0]?.voltage) !== m.connections[0]);
  expect(wrong.map((m) => m.id)).toEqual([]);
});
