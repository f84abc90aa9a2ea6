import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  demoCombinations,
  fitting,
  lacking,
  nameplate,
  protectiveDevices,
  readCase,
  solve,
  type CombinationAsked,
} from '@pilgrim/core';
import { figure, findingIds } from './cases';
import { base, european, finding, from } from './guarded';

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
    const total = european({ coordination: 'total' });
    expect(finding(total, 'guard.no-coordination')).toMatchObject({ level: 'note' });
    expect(finding(total, 'guard.no-coordination')?.text).toContain('whoever answers for that duty');
    expect(total.guard?.combination.taken).toBeNull();
    expect(finding(european({ role: 'emergency' }), 'guard.emergency')?.text).toContain(
      'Whoever answers for that duty',
    );
    expect(european({ role: 'emergency' }).guard).toBeNull();
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
