import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  dimensions,
  parseJson,
  q,
  readCase,
  readDraft,
  readGroups,
  readNumber,
  readQuantity,
  resultSchema,
  solve,
  physics,
  practice,
  writeExact,
  writeGroups,
  writeQuantity,
  type CaseText,
  type Dimension,
  type Result,
} from '@pilgrim/core';
import { conveyor, figure, solved } from './cases';

const anyDimension = fc.constantFrom(...(Object.keys(dimensions) as Dimension[]));

describe('quantity text', () => {
  it('never crashes, whatever is typed', () => {
    fc.assert(
      fc.property(anyDimension, fc.string({ unit: 'binary', maxLength: 60 }), (dimension, text) => {
        for (const reading of [readQuantity(dimension, text), readGroups(dimension, text), readNumber(text)]) {
          if (!reading.ok) expect(reading.message.length).toBeGreaterThan(5);
        }
      }),
      { numRuns: 2000 },
    );
  });
  it('what is written exactly is read back as the same number', () => {
    fc.assert(
      fc.property(anyDimension, fc.double({ min: -1e9, max: 1e9, noNaN: true }), (dimension, any) => {
        const value = Math.abs(any) < 1e-9 ? 0 : any;
        const read = readQuantity(dimension, writeExact(value, dimensions[dimension].base));
        if (!read.ok) expect.fail(read.message);
        expect(read.value.value + 0).toBe(value + 0);
      }),
    );
  });
  it('what is written for people is read back within its three figures', () => {
    fc.assert(
      fc.property(
        anyDimension,
        fc.double({ min: 1, max: 1e7, noNaN: true }),
        fc.constantFrom('si', 'us'),
        (dimension, value, system) => {
          const read = readQuantity(dimension, writeQuantity(value, dimensions[dimension].base, system));
          if (!read.ok) expect.fail(read.message);
          expect(Math.abs(read.value.value - value)).toBeLessThanOrEqual(Math.max(0.006 * value, 0.06));
        },
      ),
    );
  });
  it('groups are read back the same', () => {
    const group = fc.array(fc.integer({ min: 1, max: 9999 }), { minLength: 1, maxLength: 3 });
    fc.assert(
      fc.property(fc.array(group, { minLength: 1, maxLength: 3 }), (groups) => {
        const read = readGroups('voltage', writeGroups(groups, 'V'));
        if (!read.ok) expect.fail(read.message);
        expect(read.value.groups).toEqual(groups);
      }),
    );
  });
  it.each([[[[1], [2]]], [[[1, 1], [2]]], [[[7], [8]]]])('groups that look like a fraction too: %j', (groups) => {
    const read = readGroups('voltage', writeGroups(groups, 'V'));
    expect(read.ok && read.value.groups).toEqual(groups);
  });
  it.each([
    ['3/4 hp', 0.75],
    ['1 1/2 hp', 1.5],
    ['1-1/2 hp', 1.5],
    ['1½ hp', 1.5],
    ['7,5 hp', 7.5],
  ])('reads %s', (text, hp) => {
    const read = readQuantity('power', text);
    if (!read.ok) expect.fail(read.message);
    expect(read.value.value / 745.6998715822702).toBeCloseTo(hp, 12);
  });
  it('refuses what is nought but for the last bits, in quantities, groups and shares alike', () => {
    expect(readQuantity('power', '1e-9 W').ok).toBe(true);
    expect(readQuantity('power', '0.9e-9 W')).toMatchObject({
      ok: false,
      message: expect.stringContaining('too small'),
    });
    expect(readQuantity('power', '0 W').ok).toBe(true);
    expect(readQuantity('temperature', '32 degF').ok).toBe(true);
    expect(readGroups('voltage', '0.0000000009/460 V').ok).toBe(false);
    expect(readCase({ ...conveyor, rules: { maxDip: 5e-324 } })).toMatchObject({
      ok: false,
      errors: [{ path: 'rules.maxDip' }],
    });
    expect(readCase({ ...conveyor, rules: { maxDip: 1e-9 } }).ok).toBe(true);
  });
  it('refuses a comma that both traditions read differently, and a unit of another kind by name', () => {
    expect(readQuantity('power', '1,200 W')).toMatchObject({ ok: false, message: expect.stringContaining('could be') });
    expect(readQuantity('power', '50 lbf·ft')).toMatchObject({
      ok: false,
      message: expect.stringContaining('is a unit of torque'),
    });
  });
});

const random = {
  pull: fc.integer({ min: 1, max: 4000 }),
  ambient: fc.integer({ min: 0, max: 75 }),
  altitude: fc.integer({ min: 0, max: 4000 }),
};

const withPull = (pull: number): CaseText => ({
  ...conveyor,
  load: { ...conveyor.load, demand: { ...conveyor.load.demand, force: `${pull} lbf` } },
});
const withAmbient = (ambient: number, altitude: number): CaseText => ({
  ...conveyor,
  place: { ...conveyor.place, ambient: `${ambient} degC`, altitude: `${altitude} m` },
});

/** Power of the choice; nothing that passes counts as larger than everything. */
const chosen = (r: Result): number => (r.choice ? figure(r, 'choice.ratedPower') : Infinity);

describe('monotone', () => {
  it('more load never selects a smaller motor', () => {
    fc.assert(
      fc.property(random.pull, random.pull, (a, b) => {
        expect(chosen(solved(withPull(Math.max(a, b))))).toBeGreaterThanOrEqual(
          chosen(solved(withPull(Math.min(a, b)))),
        );
      }),
      { numRuns: 60 },
    );
  });
  it('more load never selects a smaller motor for a fan on a drive either', () => {
    const fan = (hp: number): CaseText => ({
      ...conveyor,
      load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: `${hp} hp`, speed: '1760 rpm' } },
      speed: {
        need: 'variable',
        min: 0.4,
        max: 1,
        profile: [
          { hours: 3000, flow: 1 },
          { hours: 3000, flow: 0.5 },
        ],
        control: 'outlet-damper',
      },
    });
    const hp = fc.double({ min: 0.5, max: 450, noNaN: true });
    fc.assert(
      fc.property(hp, hp, (a, b) => {
        expect(chosen(solved(fan(Math.max(a, b))))).toBeGreaterThanOrEqual(chosen(solved(fan(Math.min(a, b)))));
      }),
      { numRuns: 40 },
    );
  });
  it('hotter or higher never raises a rating', () => {
    fc.assert(
      fc.property(random.ambient, random.ambient, random.altitude, random.altitude, (a, b, c, d) => {
        const mild = { theta: q(Math.min(a, b), 'degC'), h: q(Math.min(c, d), 'm') };
        const harsh = { theta: q(Math.max(a, b), 'degC'), h: q(Math.max(c, d), 'm') };
        const d_u = q(1, '1');
        expect(practice.motorDerating.of({ ...harsh, d_u })).toBeLessThanOrEqual(
          practice.motorDerating.of({ ...mild, d_u }),
        );
        expect(practice.driveDeratingByCurrent.of(harsh)).toBeLessThanOrEqual(practice.driveDeratingByCurrent.of(mild));
        expect(practice.driveDeratingByTemperature.of(harsh)).toBeLessThanOrEqual(
          practice.driveDeratingByTemperature.of(mild),
        );
      }),
    );
  });
  it('hotter never selects a smaller motor', () => {
    fc.assert(
      fc.property(random.ambient, random.ambient, random.altitude, (a, b, altitude) => {
        const [cool, hot] = [Math.min(a, b), Math.max(a, b)];
        expect(chosen(solved(withAmbient(hot, altitude)))).toBeGreaterThanOrEqual(
          chosen(solved(withAmbient(cool, altitude))),
        );
      }),
      { numRuns: 30 },
    );
  });
});

describe('nothing leaves core but numbers', () => {
  const amount = fc.double({ min: 1e-6, max: 1e7, noNaN: true });
  it('for any input that is a valid case', () => {
    fc.assert(
      fc.property(
        amount,
        amount,
        amount,
        fc.double({ min: 0.001, max: 9999, noNaN: true }),
        fc.constantFrom('constant', 'linear', 'quadratic', 'constant-power'),
        (force, radius, speed, ratio, shape) => {
          const reading = readCase({
            ...conveyor,
            load: {
              shape,
              demand: { kind: 'pull', force: `${force} N`, radius: `${radius} m`, speed: `${speed} rpm` },
              train: { ratio },
              breakaway: 0,
            },
            speed: { need: 'variable', min: 0, profile: [{ hours: 1, flow: 0 }] },
          });
          if (!reading.ok) expect.fail(JSON.stringify(reading.errors));
          const result = solve(reading.value);
          for (const f of Object.values(result.figures)) expect(Number.isFinite(f.value)).toBe(true);
          const text = JSON.stringify(result);
          expect(resultSchema.safeParse(JSON.parse(text)).error?.issues ?? []).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('and the operating point balances torque', () => {
    const n = physics.meetingSpeed(1800, 1765, 100, 1765, 80, { kind: 'quadratic' });
    expect((100 * (1800 - n)) / 35).toBeCloseTo(80 * (n / 1765) ** 2, 2);
  });
});

describe('cases', () => {
  it('any JSON is answered with errors or a case, and a draft never throws', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 4 }), (value) => {
        const reading = readCase(value);
        if (!reading.ok) for (const e of reading.errors) expect(e.path.length).toBeGreaterThan(0);
        readDraft(value);
        readDraft({ ...conveyor, load: value, speed: value });
      }),
      { numRuns: 300 },
    );
  });
  it('an unknown key names the nearest known one', () => {
    const reading = readCase({ ...conveyor, load: { ...conveyor.load, machin: 'mixer' } });
    expect(reading).toMatchObject({
      ok: false,
      errors: [{ path: 'load.machin', message: expect.stringContaining('"machine"') }],
    });
  });
  it('a field that cannot be read is left out of a draft, the rest is solved', () => {
    const draft = readDraft({ ...conveyor, plate: { power: '5 apples', voltage: '460 V' } });
    expect(draft.errors).toMatchObject([{ path: 'plate.power' }]);
    expect(draft.value?.plate?.voltage?.text).toBe('460 V');
    expect(draft.value && solve(draft.value).choice).not.toBeNull();
  });
  it('an empty row of a profile is cut alone', () => {
    const draft = readDraft({
      ...conveyor,
      speed: { profile: [{ hours: 10, flow: 1 }, { hours: 'x' }, { hours: 20, flow: 0.5 }] },
    });
    expect(draft.value?.speed?.profile).toEqual([
      { hours: 10, flow: 1 },
      { hours: 20, flow: 0.5 },
    ]);
  });
  it('brackets beyond measure and an empty text are refused, not thrown', () => {
    expect(parseJson('['.repeat(1_000_000))).toMatchObject({ ok: false, errors: [{ path: 'case' }] });
    expect(parseJson('')).toMatchObject({ ok: false, errors: [{ path: 'case' }] });
  });
});
