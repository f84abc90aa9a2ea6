import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  demoCombinations,
  deviceNames,
  fitting,
  lacking,
  nameplate,
  practice,
  protectiveDevices,
  readCase,
  solve,
  type CaseText,
  type CombinationAsked,
  type Result,
} from '@pilgrim/core';
import { figure, findingIds, solved } from './cases';

type Guard = NonNullable<CaseText['guard']>;

const base = (guard: Guard, over: Partial<CaseText>): CaseText => ({
  format: 'pilgrim.case/1',
  practice: 'iec',
  plate: {
    power: '22 kW',
    voltage: '400 V',
    current: '41 A',
    speed: '1475 rpm',
    frequency: '50 Hz',
    connection: 'delta',
  },
  motor: { existing: true },
  method: 'direct',
  supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'fault-level', current: '18 kA' } },
  load: { machine: 'conveyor', demand: { kind: 'power', power: '15 kW', speed: '1475 rpm' } },
  place: { cable: { length: '20 m' } },
  guard,
  ...over,
});
const european = (guard: Guard = {}, over: Partial<CaseText> = {}): Result => solved(base(guard, over));
const american = (guard: Guard = {}, over: Partial<CaseText> = {}): Result =>
  solved(
    base(guard, {
      practice: 'north-america',
      plate: {
        ...{ power: '30 hp', voltage: '460 V', current: '38 A', speed: '1765 rpm', frequency: '60 Hz' },
        ...{ serviceFactor: 1.15, designLetter: 'B' },
      },
      supply: { voltage: '480 V', frequency: '60 Hz', source: { kind: 'fault-level', current: '18 kA' } },
      load: { machine: 'conveyor', demand: { kind: 'power', power: '22 hp', speed: '1765 rpm' } },
      ...over,
    }),
  );
const from = (current: string, over: Partial<NonNullable<CaseText['supply']>> = {}): Partial<CaseText> => ({
  supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'fault-level', current }, ...over },
});
const finding = (r: Result, id: string) => r.findings.find((f) => f.id === id);
const crossing = (r: Result, id: string) => r.guard?.crossings.find((c) => c.id === id);

describe('gates and classes, entered a second time by column', () => {
  const column = (i: number) => practice.fuseGates.rows.map((r) => r[i]);
  it('IEC 60269-1, Table 3: gG', () => {
    expect(column(0)).toEqual([
      16, 20, 25, 32, 40, 50, 63, 80, 100, 125,
      160, 200, 250, 315, 400, 500, 630, 800, 1000, 1250,
    ]);
    expect(column(1)).toEqual([
      33, 42, 52, 75, 95, 125, 160, 215, 290, 355,
      460, 610, 750, 1050, 1420, 1780, 2200, 3060, 4000, 5000,
    ]);
    expect(column(2)).toEqual([
      65, 85, 110, 150, 190, 250, 320, 425, 580, 715,
      950, 1250, 1650, 2200, 2840, 3800, 5100, 7000, 9500, 13000,
    ]);
    expect(column(3)).toEqual([
      85, 110, 150, 200, 260, 350, 450, 610, 820, 1100,
      1450, 1910, 2590, 3420, 4500, 6000, 8060, 10600, 14140, 19000,
    ]);
    expect(column(4)).toEqual([
      150, 200, 260, 350, 450, 610, 820, 1100, 1450, 1910,
      2590, 3420, 4500, 6000, 8060, 10600, 14140, 19000, 24000, 35000,
    ]);
  }); // prettier-ignore
  it('what one rating surely melts at the next but two surely bears: gates of gG follow each other', () => {
    for (let i = 0; i + 2 < practice.fuseGates.rows.length; i++)
      expect(practice.fuseGates.rows[i]?.[4]).toBeLessThanOrEqual(
        Number(practice.fuseGates.rows[i + 3]?.[3] ?? Infinity),
      );
  });
  it('IEC 60269-1, Table 4: aM bears 4 × for 60 s, melts at 6.3 × within 60 s, at 12.5 × in 0.5 s, at 19 × in 0.1 s', () => {
    const { quick, slow } = practice.deviceBand('fuse-am', 100);
    expect(quick(399)).toBe(Infinity);
    expect(quick(400)).toBeCloseTo(60, 6);
    expect([quick(800), quick(1000)]).toEqual([0.5, 0.2]);
    expect([slow(630), slow(1250), slow(1900)].map((t) => Number(t.toFixed(6)))).toEqual([60, 0.5, 0.1]);
  });
  it('a relay of each class is at its own times at 7.2 ×, never trips at 1.04 and always does beyond 1.2', () => {
    const times = { '5': [0.5, 5], '10A': [2, 10], '10': [4, 10], '20': [6, 20], '30': [9, 30] } as const;
    for (const [of, [above, most]] of Object.entries(times) as [practice.TripClass, readonly [number, number]][]) {
      const band = practice.relayBand(of, 100);
      expect(band.quick(720)).toBeCloseTo(above, 3);
      expect(band.slow(720)).toBeCloseTo(most, 3);
      expect(band.quick(104)).toBe(Infinity);
      expect(Number.isFinite(band.slow(121))).toBe(true);
    }
  });
  it('at 1.5 × warm a class trips within the time of IEC 60947-4-1, Table 3: 2, 4, 8, 12 min', () => {
    const within = { '10A': 120, '10': 240, '20': 480, '30': 720 } as const;
    for (const [of, most] of Object.entries(within) as [practice.TripClass, number][])
      expect(practice.relayBand(of, 100, practice.hotShare.value).slow(150)).toBeLessThan(most);
  });
  it('no band is slower where more flows, and the quick edge never behind the slow', () => {
    const current = fc.double({ min: 20, max: 50000, noNaN: true });
    const devices = fc.constantFrom(...protectiveDevices);
    fc.assert(
      fc.property(devices, fc.double({ min: 2, max: 1200, noNaN: true }), current, current, (kind, rating, a, b) => {
        const { quick, slow } = practice.deviceBand(kind, rating);
        const [less, more] = a < b ? [a, b] : [b, a];
        expect(quick(more)).toBeLessThanOrEqual(quick(less) * 1.0001);
        expect(slow(more)).toBeLessThanOrEqual(slow(less) * 1.0001);
        expect(quick(a)).toBeLessThanOrEqual(slow(a) * 1.0001);
      }),
    );
  });
});

describe('a combination tested together', () => {
  const all = demoCombinations();
  const asked: CombinationAsked = {
    ...{ voltage: 400, faultCurrent: 18000, dial: 41, contactor: 41, practice: 'iec' },
    ...{ class: '10', kind: undefined },
  };
  it('fits voltage, fault current, dial and AC-3, never less', () => {
    const arb = fc.record({
      voltage: fc.constantFrom(208, 230, 240, 400, 415, 440, 480, 500, 600, 690),
      faultCurrent: fc.integer({ min: 500, max: 150_000 }),
      dial: fc.double({ min: 0.5, max: 700, noNaN: true }),
      practice: fc.constantFrom('iec' as const, 'north-america' as const),
      class: fc.constantFrom('10', '20', undefined),
      kind: fc.constantFrom(undefined, ...protectiveDevices),
    });
    fc.assert(
      fc.property(arb, fc.constantFrom(1 as const, 2 as const), (a, type) => {
        const found = fitting(all, type, { ...a, contactor: a.dial });
        if (!found) return;
        expect(found.voltage).toBeGreaterThanOrEqual(a.voltage * 0.998);
        expect(found.faultCurrent).toBeGreaterThanOrEqual(a.faultCurrent * 0.999);
        expect(found.dialFrom).toBeLessThanOrEqual(a.dial * 1.001);
        expect(found.dialTo).toBeGreaterThanOrEqual(a.dial * 0.999);
        expect(found.ac3).toBeGreaterThanOrEqual(a.dial * 0.999);
        expect(found.type).toBeGreaterThanOrEqual(type);
        expect(a.kind === undefined || found.kind === a.kind).toBe(true);
        // Less fault current never loses what more had.
        const less = { ...a, contactor: a.dial, faultCurrent: a.faultCurrent / 2 };
        expect(fitting(all, type, less)).toBeDefined();
      }),
    );
  });
  it('says what one that does not fit lacks', () => {
    const one = fitting(all, 2, asked);
    if (!one) expect.fail('none');
    expect(lacking(one, asked)).toEqual([]);
    expect(lacking(one, { ...asked, faultCurrent: 1e6 })).toEqual(['faultCurrent']);
    expect(lacking(one, { ...asked, voltage: 690, dial: 300, contactor: 300 })).toEqual([
      'voltage',
      'dial',
      'contactor',
    ]);
    expect(lacking(one, { ...asked, practice: 'north-america', class: '30' })).toEqual(['practice', 'class']);
    expect(lacking(one, { ...asked, kind: 'fuse-gg' })).toEqual(['kind']);
  });

  it('a process motor is given type 2, with the step from type 1 in parts and price; nobody said: type 1', () => {
    const process = european({ role: 'process' });
    expect(process.guard?.combination.taken).toMatchObject({ type: 2, faultCurrent: 50000 });
    expect(process.guard?.combination.step).toMatch(/^From type 1 to type 2: contactor 50 A → contactor 80 A; price/);
    expect(finding(process, 'guard.combination')?.text).toContain('back into service');
    const general = european();
    expect(general.guard?.combination).toMatchObject({ taken: { type: 1 }, other: { type: 2 } });
    expect(general.guard?.combination.asked).toContain('nobody said');
    expect(finding(general, 'guard.combination')?.text).toContain('may have to be replaced');
    expect(findingIds(general)).not.toContain('guard.no-combination');
  });
  it('what is asked in the case goes before the role; emergency duty is referred, none is stopped', () => {
    expect(european({ role: 'general', coordination: 'type-2' }).guard?.combination.taken?.type).toBe(2);
    const emergency = european({ role: 'emergency' });
    expect(finding(emergency, 'guard.no-coordination')).toMatchObject({ level: 'note' });
    expect(finding(emergency, 'guard.no-coordination')?.text).toContain('whoever answers for that duty');
    expect(emergency.guard?.combination.taken).toBeNull();
    expect(finding(european({ role: 'process', coordination: 'none' }), 'guard.no-coordination')?.level).toBe('stop');
  });
  it('beyond what was tested there is none, and it says exactly what to ask for', () => {
    const none = european({ role: 'process' }, from('120 kA'));
    const text = finding(none, 'guard.no-combination')?.text ?? '';
    expect(none.guard?.combination.taken).toBeNull();
    for (const part of ['type 2', '100 kA', 'IEC 60947-4-1', '400 V', '120 kA', 'AC-3 41', 'dial 41', 'class 10'])
      expect(text).toContain(part);
    // Breakers end at 50 kA, fuses go on to 100.
    expect(european({ role: 'process' }, from('50 kA')).guard?.combination.taken?.device).toContain('breaker');
    expect(european({ role: 'process' }, from('51 kA')).guard?.combination.taken?.device).toContain('fused switch');
    expect(findingIds(european({ device: 'motor-breaker' }, from('51 kA')))).toContain('guard.no-combination');
  });
  it('no fault level: nothing is looked for; star-delta and soft starters are asked for whole; a drive is its maker’s', () => {
    const unknown = european({ role: 'process' }, { supply: { voltage: '400 V', frequency: '50 Hz' } });
    expect(finding(unknown, 'guard.no-coordination')?.text).toContain('never inferred');
    expect(findingIds(unknown)).not.toContain('guard.no-combination');
    expect(finding(european({}, { method: 'soft-starter' }), 'guard.no-combination')?.text).toContain('soft starter');
    const drive = european({}, { method: 'drive' });
    for (const id of ['guard.no-combination', 'guard.combination', 'guard.no-coordination', 'guard.unmarked'])
      expect(findingIds(drive)).not.toContain(id);
  });
  it('the plant’s own table stands instead of the one that ships', () => {
    const reading = readCase(base({ role: 'process' }, {}));
    if (!reading.ok) expect.fail('not read');
    const [first] = all.filter((c) => c.type === 2 && c.voltage === 415 && c.dialTo === 50);
    if (!first) expect.fail('no such row');
    const own = { ...first, table: 'Ours', device: 'our breaker', price: 10 };
    expect(solve(reading.value, [], [own]).guard?.combination.taken).toMatchObject({
      table: 'Ours',
      device: 'our breaker',
    });
    expect(solve(reading.value, [], []).findings.map((f) => f.id)).toContain('guard.no-combination');
  });
  it('what a warm board takes off, the contactor and the combination must have', () => {
    const cool = european();
    const warm = european({ board: { ambient: '50 degC', protection: 'IP54', mounting: 'withdrawable' } });
    // By hand: 50 + 10 − 40 = 20 K, 0.8 × 0.95 = 0.76; 41 ÷ 0.76 = 53.9 A: 65 A.
    expect(figure(warm, 'guard.boardFactor')).toBeCloseTo(0.76, 6);
    expect([figure(cool, 'guard.contactorRating'), figure(warm, 'guard.contactorRating')]).toEqual([50, 65]);
    expect(warm.guard?.combination.taken?.contactor).toBe('contactor 80 A');
    expect(cool.figures['guard.boardFactor']).toBeUndefined();
    expect(figure(european({ board: { mounting: 'fixed' } }), 'guard.boardFactor')).toBe(1);
  });
});

describe('the dial as somebody set it', () => {
  it('IEC: at most the plate current; a little above is a stop that says what may be dialled', () => {
    expect(findingIds(european({ relay: { dial: '41 A' } }))).not.toContain('guard.dial-high');
    const high = european({ relay: { dial: '42 A' } });
    expect(finding(high, 'guard.dial-high')).toMatchObject({ level: 'stop', fields: ['guard.relay.dial'] });
    expect(finding(high, 'guard.dial-high')?.text).toContain('at most 41');
    expect(high.figures['guard.dialSet']?.text).toBe('42 A');
  });
  it('North America: to 140 ÷ 125 of it only where the motor cannot start, never beyond (430.32(C))', () => {
    // 38 A, service factor 1.15: 1.4 ÷ 1.25 × 38 = 42.56 A.
    const level = (dial: string) => finding(american({ relay: { dial } }), 'guard.dial-high')?.level;
    expect([level('38 A'), level('42 A'), level('42.5 A'), level('43 A')]).toEqual([
      undefined,
      'caution',
      'caution',
      'stop',
    ]);
  });
  it('so low that its own load trips it', () => {
    expect(findingIds(european({ relay: { dial: '20 A' } }))).toContain('guard.dial-low');
    expect(findingIds(european({ relay: { dial: '35 A' } }))).not.toContain('guard.dial-low');
  });
  it('a lower dial is nearer to a trip while starting, and trips sooner at standstill', () => {
    const [low, high] = [european({ relay: { dial: '33 A' } }), european({ relay: { dial: '41 A' } })];
    expect(figure(low, 'guard.tripAtStart') / figure(high, 'guard.tripAtStart')).toBeCloseTo((41 / 33) ** 2, 2);
    expect(figure(low, 'guard.tripAtStall')).toBeLessThan(figure(high, 'guard.tripAtStall'));
  });
});

describe('fault current, earth and what a device may be marked with', () => {
  it('running motors add four times their current, and the panel must bear that', () => {
    const beside = {
      motors: [
        { current: '200 A', device: '250 A' },
        { current: '50 A', device: '63 A' },
      ],
    };
    const r = european({ feeder: beside, assemblyRating: '18.5 kA' });
    expect(figure(r, 'guard.faultWithMotors')).toBeCloseTo(18000 + 4 * 250, 0);
    expect(finding(r, 'guard.fault-too-high')?.text).toContain('19');
    expect(findingIds(european({ assemblyRating: '18.5 kA' }))).not.toContain('guard.fault-too-high');
  });
  it('an unmarked controller counts as 5 kA to 50 hp, 10 to 200 hp; IEC has no such number', () => {
    const emergency = { role: 'emergency' } as const;
    expect(figure(american(), 'guard.unmarkedRating')).toBe(5000);
    expect(findingIds(american(emergency))).toContain('guard.unmarked');
    const supply = (current: string) => ({
      supply: { voltage: '480 V', frequency: '60 Hz', source: { kind: 'fault-level' as const, current } },
    });
    expect(findingIds(american(emergency, supply('5 kA')))).not.toContain('guard.unmarked');
    expect(findingIds(american(emergency, supply('5.1 kA')))).toContain('guard.unmarked');
    expect(findingIds(american({ ...emergency, assemblyRating: '25 kA' }))).not.toContain('guard.unmarked');
    // One that was tested together has a rating of its own; where none is known the question to the builder says it.
    expect(findingIds(american())).not.toContain('guard.unmarked');
    const none = american({}, supply('150 kA'));
    expect(findingIds(none)).not.toContain('guard.unmarked');
    expect(finding(none, 'guard.no-combination')?.text).toContain('count as 5000 A');
    expect(european().figures['guard.unmarkedRating']).toBeUndefined();
  });
  it('a device marked 480Y/277 only where the star point is solidly earthed', () => {
    const supply = { voltage: '480 V', frequency: '60 Hz' };
    for (const earthing of ['corner', 'isolated', 'high-resistance'] as const)
      expect(findingIds(american({}, { supply: { ...supply, earthing } }))).toContain('guard.slash-rated');
    for (const earthing of ['solid', 'unknown', undefined] as const)
      expect(findingIds(american({}, { supply: { ...supply, ...(earthing && { earthing }) } }))).not.toContain(
        'guard.slash-rated',
      );
    expect(findingIds(european({}, from('18 kA', { earthing: 'isolated' })))).not.toContain('guard.slash-rated');
  });
  it('an earth fault far away must still open the device (60364-4-41)', () => {
    const at = (length: string, guard: Guard = {}) => european(guard, { place: { cable: { length } } });
    // By hand, 6 mm² and its earth of 6 mm², 20 m: 2 × 0.0225 × 20 ÷ 6 = 0.15 Ω; source 0.0128, reactance 0.0032:
    // 0.95 × 230.94 ÷ √(0.15² + 0.016²) = 1454 A.
    expect(figure(at('20 m'), 'guard.earthFault')).toBeCloseTo(1454, -1);
    expect(findingIds(at('20 m'))).not.toContain('guard.disconnection');
    const far = finding(at('150 m'), 'guard.disconnection');
    expect(far).toMatchObject({ level: 'caution' });
    expect(far?.figures).toContain('guard.earthFaultAsked');
    expect(at('150 m').figures['guard.earthFault']?.assumed.map((a) => a.field)).toContain('supply.earthing');
    // Unearthed, a first fault does not open anything: not this sheet's sum.
    const isolated = european(
      {},
      { ...from('18 kA', { earthing: 'isolated' }), place: { cable: { length: '150 m' } } },
    );
    expect(isolated.figures['guard.earthFault']).toBeUndefined();
    expect(american().figures['guard.earthFault']).toBeUndefined();
  });
  it('behind a drive under IEC its leakage decides earth conductor and residual-current device', () => {
    expect(findingIds(european({}, { method: 'drive' }))).toContain('guard.leakage');
    expect(findingIds(european())).not.toContain('guard.leakage');
    expect(findingIds(american({}, { method: 'drive' }))).not.toContain('guard.leakage');
  });
});

describe('the chart', () => {
  const hp = fc.constantFrom('1 hp', '3 hp', '10 hp', '25 hp', '60 hp', '125 hp');
  const one = fc.record({
    power: hp,
    inertia: fc.constantFrom('0.05 kg.m2', '1 kg.m2', '10 kg.m2', '60 kg.m2'),
    class: fc.constantFrom(10 as const, 20 as const, 30 as const, '10A' as const, undefined),
    device: fc.constantFrom(
      'inverse-time-breaker' as const,
      'dual-element-fuse' as const,
      'instantaneous-breaker' as const,
    ),
    fault: fc.constantFrom('2 kA', '18 kA', '65 kA'),
    length: fc.constantFrom('5 m', '60 m', '300 m'),
  });
  const chosen = (x: typeof one extends fc.Arbitrary<infer T> ? T : never): Result =>
    solved({
      format: 'pilgrim.case/1',
      practice: 'north-america',
      method: 'direct',
      supply: { voltage: '480 V', frequency: '60 Hz', source: { kind: 'fault-level', current: x.fault } },
      load: {
        machine: 'centrifugal-fan',
        demand: { kind: 'power', power: x.power, speed: '1760 rpm' },
        inertia: x.inertia,
      },
      place: { cable: { length: x.length } },
      guard: { device: x.device, ...(x.class !== undefined && { relay: { class: x.class } }) },
    });
  const at = (r: Result, id: string, edge: 'points' | 'slow', current: number): number => {
    const line = r.curves.guard?.lines.find((l) => l.id === id);
    const points = (edge === 'slow' ? line?.slow : line?.points) ?? [];
    const i = points.findIndex(([a]) => a >= current);
    const [b, c] = [points[i - 1], points[i]];
    if (!b || !c) return current > (points.at(-1)?.[0] ?? Infinity) ? 0 : Infinity;
    const share = Math.log(current / b[0]) / Math.log(c[0] / b[0]);
    return b[1] * (c[1] / b[1]) ** share;
  };

  it('what is said of a crossing agrees with the curves that are drawn (sampled)', () => {
    fc.assert(
      fc.property(one, (x) => {
        const r = chosen(x);
        if (!r.curves.guard) return;
        const heat = r.curves.guard.lines.find((l) => l.id === 'start-heat')?.points ?? [];
        const outlasts = crossing(r, 'outlasts-start');
        // Nearest any moment of the start comes to the quick edge, as a share of it.
        const nearest = Math.max(0, ...heat.map(([I, t]) => t / at(r, 'relay-cold', 'points', I)));
        if (outlasts?.outcome === 'pass') expect(nearest).toBeLessThan(1.03);
        if (outlasts?.outcome === 'fail') expect(nearest).toBeGreaterThan(0.97);
        expect(outlasts?.outcome === 'fail').toBe(findingIds(r).includes('guard.trips-starting'));

        const stall = crossing(r, 'trips-before-stall');
        const bears = r.curves.guard.lines.find((l) => l.id === 'stall-hot')?.points.at(-1);
        if (stall && bears) {
          const latest = at(r, 'relay-warm', 'slow', bears[0]);
          if (stall.outcome === 'pass') expect(latest).toBeLessThan(bears[1] * 1.03);
          else expect(latest).toBeGreaterThan(bears[1] * 0.97);
        }

        const cable = crossing(r, 'protects-cable');
        const marks = new Map(r.curves.guard.marks.map((m) => [m.id, m.current]));
        const [far, near] = [marks.get('fault-at-motor'), marks.get('fault')];
        if (cable && far !== undefined && near !== undefined) {
          const samples = Array.from({ length: 40 }, (_, i) => far * (near / far) ** (i / 39));
          const ratio = samples.map(
            (I) => Math.min(at(r, 'device', 'slow', I), at(r, 'relay-cold', 'slow', I)) / at(r, 'cable', 'points', I),
          );
          const worst = Math.max(...ratio.filter((v) => Number.isFinite(v)));
          if (cable.outcome === 'pass') expect(worst).toBeLessThan(1.06);
          else expect(worst).toBeGreaterThan(0.9);
        }
      }),
      { numRuns: 25 },
    );
  });
  it('has every curve of the circuit, in the line’s amperes, and no gap', () => {
    const r = european();
    expect(r.curves.guard?.lines.map((l) => l.id)).toEqual([
      ...['start', 'start-heat', 'relay-cold', 'relay-warm', 'stall-hot', 'stall-cold', 'device', 'cable'],
    ]);
    expect(r.curves.guard?.marks.map((m) => m.id)).toEqual([
      'dial',
      'first-crest',
      'contactor',
      'fault-at-motor',
      'fault',
    ]);
    for (const { points, slow } of r.curves.guard?.lines ?? [])
      for (const [I, t] of [...points, ...(slow ?? [])]) expect(I > 0 && t > 0 && Number.isFinite(I * t)).toBe(true);
  });
  it('the first crest trips a magnetic release that is set too low for it, and not one that is high enough', () => {
    const crest = (device: Guard['device']) => crossing(american({ device }), 'rides-first-crest')?.outcome;
    // 8 × 40 A × 0.8 = 256 A; the crest of a design B motor of 30 hp is near 217 × 2.3 = 500 A, ÷ √2 above it.
    expect(crest('instantaneous-breaker')).toBe('caution');
    expect(crest('dual-element-fuse')).toBe('pass');
    expect(findingIds(american({ device: 'instantaneous-breaker' }))).toContain('guard.crossing');
    expect(crossing(european(), 'rides-first-crest')?.outcome).toBe('pass');
  });
  it('a relay in the line sees a third of what one inside the delta sees against its dial', () => {
    const plate = { ...base({}, {}).plate, voltage: '400/690 V', current: '41/23.7 A' };
    const use = (at: 'line' | 'delta') =>
      european({ relay: { at, class: 10 } }, { method: 'star-delta', plate, start: { starDelta: { time: '4 s' } } });
    const [line, delta] = [use('line'), use('delta')];
    if (!line.figures['guard.tripAtStart']) expect.fail('not simulated');
    expect(figure(line, 'guard.tripAtStart')).toBeLessThan(figure(delta, 'guard.tripAtStart'));
  });
});

describe('parts, settings and what else watches', () => {
  const kinds = (r: Result) => r.guard?.parts.map((p) => p.kind);
  it('the circuit is built from the method: two parts, three, star-delta, soft starter, drive', () => {
    expect(european().guard?.scheme).toBe('two-part');
    expect(american().guard?.scheme).toBe('three-part');
    expect(european({ device: 'fuse-am' }).guard?.scheme).toBe('three-part');
    expect(kinds(european())).toEqual(['source', 'device', 'contactor', 'overload', 'cable', 'motor', 'load']);
    expect(kinds(american())).toContain('disconnect');
    expect(kinds(european({}, { method: 'star-delta' }))?.filter((k) => k === 'contactor')).toHaveLength(3);
    expect(kinds(european({}, { method: 'soft-starter' }))).toContain('soft-starter');
    expect(kinds(european({}, { method: 'drive' }))).toEqual([
      'source',
      'device',
      'drive',
      'overload',
      'cable',
      'motor',
      'load',
    ]);
  });
  const part = (r: Result, kind: string) => r.guard?.parts.find((p) => p.kind === kind);
  it('each part says what the next one down would fail', () => {
    const asked = european({ role: 'emergency' });
    expect(part(asked, 'contactor')?.below).toContain('40 A AC-3 would carry 2 % too much');
    expect(part(european(), 'contactor')).toMatchObject({ rating: 'contactor 50 A', margin: 'type 1 as tested' });
    expect(part(european(), 'cable')?.below).toContain('4 mm²');
    expect(part(american(), 'device')).toMatchObject({
      ...{ rating: 'breaker 80 A', range: 'to 100 A by the code, 160 A where it cannot start' },
      figure: 'guard.breakerRating',
    });
    expect(
      part(american({}, { supply: { voltage: '480 V', frequency: '60 Hz', earthing: 'solid' } }), 'device')?.below,
    ).not.toContain('slash');
    for (const kind of Object.keys(deviceNames) as (keyof typeof deviceNames)[])
      expect(part(american({ device: kind }), 'motor')?.rating).toContain('hp');
  });
  it('one of another kind than asked says nothing of what the code permits the other', () => {
    const large = american(
      {},
      {
        plate: { power: '500 hp', voltage: '460 V', current: '570 A', speed: '1785 rpm', frequency: '60 Hz' },
        load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '480 hp', speed: '1785 rpm' } },
      },
    );
    expect(large.guard?.combination.taken?.kind).toBe('instantaneous-breaker');
    expect(part(large, 'device')).toMatchObject({ name: 'magnetic breaker', range: '' });
  });
  it('standstill is told by one figure, in the finding and beside the chart', () => {
    const r = european({ relay: { class: 30 } });
    const trip = r.figures['guard.tripAtStall']?.text ?? 'none';
    expect(crossing(r, 'trips-before-stall')?.text).toContain(trip);
  });
  it('settings of a soft starter and of star-delta, each with why and what goes wrong otherwise', () => {
    for (const method of ['soft-starter', 'star-delta'] as const) {
      const plate = { ...base({}, {}).plate, voltage: '400/690 V', current: '41/23.7 A' };
      const { settings = [] } = european({}, { method, plate }).guard ?? {};
      expect(settings.length).toBeGreaterThan(3);
      for (const s of settings)
        expect([s.value, s.why, s.otherwise].every((t) => t !== '' && t !== 'as simulated')).toBe(true);
    }
    expect(european().guard?.settings).toEqual([]);
  });
  const watch = (r: Result, id: string) => r.guard?.watches.find((x) => x.id === id);
  const at = (machine: NonNullable<CaseText['load']>['machine'], over: Partial<CaseText> = {}, guard: Guard = {}) =>
    european(guard, { load: { machine, demand: { kind: 'power', power: '15 kW', speed: '1475 rpm' } }, ...over });
  it('what is proposed follows machine and place, both sides', () => {
    expect(watch(at('conveyor'), 'jam')?.proposed).toBe('yes');
    expect(watch(at('centrifugal-pump'), 'jam')?.proposed).toBe('not needed');
    expect(watch(at('centrifugal-pump'), 'underload')?.proposed).toBe('yes');
    expect(watch(at('conveyor'), 'underload')?.proposed).toBe('not needed');
    expect(watch(at('conveyor', { place: { humid: true } }), 'spaceHeater')?.proposed).toBe('yes');
    expect(watch(at('conveyor'), 'spaceHeater')?.proposed).toBe('not needed');
    expect(watch(at('conveyor', { place: { ambient: '46 degC' } }), 'windingSensor')?.proposed).toBe('yes');
    expect(watch(at('conveyor', { place: { ambient: '40 degC' } }), 'windingSensor')?.proposed).toBe('not needed');
    expect(watch(at('conveyor', { place: { water: 'washdown' } }), 'earthFault')?.proposed).toBe('yes');
    expect(watch(at('conveyor'), 'earthFault')?.proposed).toBe('not needed');
    expect(watch(at('conveyor', { method: 'drive' }), 'safeTorqueOff')?.proposed).toBe('yes');
    expect(watch(at('centrifugal-pump', { method: 'drive' }), 'safeTorqueOff')?.proposed).toBe('not needed');
    expect(watch(at('mixer'), 'emergencyStop')?.proposed).toBe('yes');
    expect(watch(at('centrifugal-pump'), 'emergencyStop')?.proposed).toBe('not needed');
    for (const r of [at('mixer'), at('centrifugal-fan')]) expect(watch(r, 'phaseLoss')?.proposed).toBe('yes');
  });
  it('what was decided is kept beside what was proposed', () => {
    const decided = at('conveyor', {}, { watch: { jam: false, spaceHeater: true }, undervoltage: 'ride-through' });
    expect(watch(decided, 'jam')).toMatchObject({ proposed: 'yes', decided: 'no' });
    expect(watch(decided, 'spaceHeater')).toMatchObject({ proposed: 'not needed', decided: 'yes' });
    expect(watch(decided, 'undervoltage')).toMatchObject({ proposed: 'release', decided: 'ride-through' });
    expect(watch(decided, 'underload')?.decided).toBeNull();
  });
  it('an automatic restart where people can reach it is a caution; of a pump it is not', () => {
    expect(findingIds(at('conveyor', {}, { restart: 'automatic' }))).toContain('guard.restart');
    expect(findingIds(at('conveyor', {}, { restart: 'manual' }))).not.toContain('guard.restart');
    expect(findingIds(at('centrifugal-pump', {}, { restart: 'automatic' }))).not.toContain('guard.restart');
    expect(watch(at('centrifugal-pump', {}, { restart: 'automatic' }), 'undervoltage')?.proposed).toBe('ride-through');
  });
});

describe('capacitors', () => {
  it('never behind a drive or a soft starter; at the board a drive makes it needless', () => {
    const level = (method: NonNullable<CaseText['method']>, capacitor: Guard['capacitor']) =>
      finding(european({ ...(capacitor && { capacitor }) }, { method }), 'guard.capacitor')?.level;
    expect([level('drive', 'motor'), level('soft-starter', 'motor')]).toEqual(['stop', 'stop']);
    expect([level('drive', 'board'), level('soft-starter', 'board')]).toEqual(['note', undefined]);
    expect([level('direct', 'board'), level('direct', undefined)]).toEqual([undefined, undefined]);
  });
  it('what raises the plate’s power factor to 0.95, and what the motor’s terminals bear', () => {
    const r = european({ capacitor: 'motor' });
    const [c, P] = [figure(r, 'motor.powerFactor'), figure(r, 'motor.inputPower')];
    const byHand = P * (Math.tan(Math.acos(c)) - Math.tan(Math.acos(0.95)));
    expect(figure(r, 'guard.capacitorAsked')).toBeCloseTo(byHand, 0);
    expect(finding(r, 'guard.capacitor')?.text).toContain('dial the relay lower');
    const most = figure(r, 'guard.capacitorMost');
    // A 22 kW motor magnetises with some 35 to 45 % of its 41 A.
    expect(most / (0.9 * Math.sqrt(3) * 400 * 41)).toBeGreaterThan(0.25);
    expect(most / (0.9 * Math.sqrt(3) * 400 * 41)).toBeLessThan(0.55);
    const sized = (kvar: number) =>
      european({ capacitor: 'motor', capacitorPower: `${kvar} kvar` }).findings.filter(
        (f) => f.id === 'guard.capacitor',
      );
    expect(sized(most / 1000 - 0.1).map((f) => f.level)).toEqual(['note']);
    expect(sized(most / 1000 + 0.1).map((f) => f.level)).toEqual(['caution', 'note']);
  });
});

describe('a panel builder’s table', () => {
  const headings = [
    'Standard',
    'Voltage (V)',
    'Iq (kA)',
    'Type',
    'Device',
    'Contactor',
    'AC-3 (A)',
    'Relay',
    'Dial from',
    'Dial to',
    'Class',
    'Price',
  ];
  const mapping = nameplate.guessMapping(headings, nameplate.combinationColumns);
  const read = (...cells: string[]) => nameplate.readCombinationRow(cells, headings, mapping);
  it('finds its columns by their headings and reads a row', () => {
    expect(nameplate.unmapped(mapping, nameplate.combinationColumns)).toEqual([]);
    const row = read(
      'IEC 60947-4-1',
      '400',
      '50',
      'type 2',
      'motor breaker 37-50 A',
      'contactor 80 A',
      '80',
      '',
      '37',
      '50',
      '10',
      '384',
    );
    expect(row).toEqual({
      ok: true,
      entry: {
        ...{ standard: 'IEC 60947-4-1', voltage: 400, faultCurrent: 50000, type: 2, kind: 'motor-breaker' },
        ...{ device: 'motor breaker 37-50 A', contactor: 'contactor 80 A', relay: '', dialFrom: 37, dialTo: 50 },
        ...{ power: null, ac3: 80, classes: ['10'], price: 384 },
      },
    });
    const fused = read(
      'UL 60947-4-1',
      '480 V',
      '100 kA',
      '1',
      'time-delay fuse 70 A',
      'size 3',
      '90 A',
      'electronic',
      '30 A',
      '45 A',
      '10, 20, 30',
      '',
    );
    expect(fused).toMatchObject({
      ok: true,
      entry: { kind: 'dual-element-fuse', classes: ['10', '20', '30'], price: null },
    });
  });
  it('says by column what cannot be read', () => {
    const bad = read('IEC 60947-4-1', '0', 'fifty', '3', 'something', 'contactor', '80', '', '50', '37', '', '');
    expect(bad).toMatchObject({ ok: false });
    if (!bad.ok)
      expect(bad.errors.map((e) => e.column).toSorted()).toEqual([
        ...['Device', 'Dial to', 'Iq (kA)', 'Type', 'Voltage (V)'],
      ]);
    const empty = read('', '', '', '', '', '', '', '', '', '', '', '');
    expect(empty.ok).toBe(false);
  });
  it('tells devices of both traditions by their words', () => {
    const kind = (device: string) => {
      const row = read('IEC', '400', '50', '1', device, 'K1', '9', '', '1', '2', '', '');
      return row.ok ? row.entry.kind : undefined;
    };
    expect(
      [
        'fuse gG 63 A',
        '63 A aM',
        'motor circuit-breaker',
        'magnetic breaker',
        'circuit-breaker 80 A',
        'dual-element fuse',
      ].map(kind),
    ).toEqual([...['fuse-gg', 'fuse-am', 'motor-breaker', 'instantaneous-breaker', 'breaker', 'dual-element-fuse']]);
    expect(kind('fuse 63 A')).toBeUndefined();
  });
});
