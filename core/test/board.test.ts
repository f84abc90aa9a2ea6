import { describe, expect, it } from 'vitest';
import { beside, boardOf, readCase, type CaseText } from '@pilgrim/core';

const member = (tag: string, over: Partial<CaseText> = {}) => {
  const reading = readCase({
    format: 'pilgrim.case/1',
    practice: 'north-america',
    method: 'direct',
    supply: {
      voltage: '480 V',
      frequency: '60 Hz',
      source: { kind: 'transformer', rating: '500 kVA', impedance: 0.05 },
    },
    ...over,
  } satisfies CaseText);
  if (!reading.ok) expect.fail(reading.errors.map((e) => `${e.path}: ${e.message}`).join('\n'));
  return { id: tag, tag, name: `Motor ${tag}`, input: reading.value };
};
/** A pinned motor of a rating with a load of its own. */
const motor = (tag: string, power: string, current: string, over: Partial<CaseText> = {}) =>
  member(tag, {
    plate: {
      ...{ power, voltage: '460 V', current, speed: '1765 rpm', frequency: '60 Hz' },
      ...{ serviceFactor: 1.15, designLetter: 'B' },
    },
    motor: { existing: true },
    load: { machine: 'centrifugal-pump', demand: { kind: 'power', power, speed: '1765 rpm' } },
    ...over,
  });

describe('a board', () => {
  const three = [motor('A', '10 hp', '13 A'), motor('B', '20 hp', '25 A'), motor('C', '30 hp', '37 A')];

  it('adds its motors up as 430.24 and 430.62 do: 1.25 × 40 + 27 + 14 = 91 A, 100 + 27 + 14 = 141, so 125 A', () => {
    const board = boardOf(three);
    expect(board.feeder?.value).toBeCloseTo(91, 6);
    expect(board.device?.value).toBe(125);
    expect(board.motors.map((m) => [m.tag, m.current, m.device])).toEqual([
      ['A', 14, 35],
      ['B', 27, 70],
      ['C', 40, 100],
    ]);
    expect(board.open).toEqual([]);
    expect(board.remarks).toEqual([]);
    // 500 kVA at 480 V: 601.4 A; 5 %: 12,028 A; and 4 × 81 A of motors.
    expect(board.fault).toBeCloseTo(12028, -1);
    expect(board.faultWithMotors).toBeCloseTo(12028 + 324, -1);
    expect(board.spare).toBeCloseTo(601.4 - 81, 0);
  });
  it('what its source gives is held against the sum: told from four fifths on, and what to do beyond', () => {
    const on = (rating: string) =>
      boardOf(
        three.map(({ tag }, i) =>
          motor(tag, ['10 hp', '20 hp', '30 hp'][i] ?? '', ['13 A', '25 A', '37 A'][i] ?? '', {
            supply: {
              voltage: '480 V',
              frequency: '60 Hz',
              source: { kind: 'transformer', rating, impedance: 0.05 },
            },
          }),
        ),
      ).remarks.join(' ');
    // 81 A at 480 V are 67.3 kVA.
    expect(on('85 kVA')).toBe('');
    expect(on('84 kVA')).toMatch(/81 A of the 101 A .*little is left/);
    expect(on('66 kVA')).toMatch(/a larger one, or fewer at once/);
  });
  it('the largest start is simulated while the others run: deeper than alone, of the one that draws most', () => {
    const { largest } = boardOf(three);
    expect(largest).toMatchObject({ tag: 'C', comesUp: true });
    expect(largest?.dip ?? 0).toBeGreaterThan(largest?.alone ?? 1);
    const more = boardOf([...three, motor('D', '25 hp', '31 A'), motor('E', '25 hp', '31 A')]);
    expect(more.largest?.dip ?? 0).toBeGreaterThan(largest?.dip ?? 1);
    const drive = boardOf([motor('A', '10 hp', '13 A'), motor('C', '30 hp', '37 A', { method: 'drive' })]);
    expect(drive.largest?.tag).toBe('A');
  });
  it('a branch device that is not known, a position without an answer, sources and voltages that differ are told', () => {
    const board = boardOf([
      three[0] ?? expect.fail(),
      motor('M', '30 hp', '37 A', { method: 'drive' }),
      member('N'),
      motor('S', '5 hp', '6.5 A', {
        supply: { voltage: '460 V', frequency: '60 Hz', source: { kind: 'fault-level', current: '8 kA' } },
      }),
    ]);
    expect(board.device).toBeNull();
    expect(board.open.map((o) => o.tag)).toEqual(['N']);
    expect(board.remarks.join(' ')).toMatch(/same voltage.*same source/);
    expect(boardOf([member('N')])).toMatchObject({ motors: [], feeder: null, device: null, largest: null });
  });
  it('others beside a source: voltage and impedance by complex hand calculation', () => {
    // 480 V, X 0.02304 Ω; 300 A at 0.85: Z 0.92376, r 0.78520, x 0.48663. r + j(x + X): 0.78520 + j0.50967, 0.93611.
    const { voltage, resistance, reactance } = beside(480, 0.02304, 300);
    expect(voltage).toBeCloseTo((480 * 0.92376) / 0.93611, 1);
    expect(resistance).toBeCloseTo((0.02304 ** 2 * 0.7852) / 0.93611 ** 2, 6);
    expect(reactance).toBeCloseTo((0.02304 * (0.7852 ** 2 + 0.48663 * 0.50967)) / 0.93611 ** 2, 6);
    expect(beside(480, 0.02304, 0)).toEqual({ voltage: 480, resistance: 0, reactance: 0.02304 });
  });
  it('twelve motors on one board are added up', () => {
    const twelve = Array.from({ length: 12 }, (_, i) => motor(`M${i}`, '10 hp', '13 A'));
    expect(boardOf(twelve).feeder?.value).toBeCloseTo(14 * 12.25, 6);
  });
});
