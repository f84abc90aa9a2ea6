import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { physics, presentRatio } from '@pilgrim/core';

const profileFromLog = (samples: readonly physics.Sample[], options: Omit<physics.LogOptions, 'presentRatio'>) =>
  physics.profileFromLog(physics.seriesOf(samples), { ...options, presentRatio });
const steady = (values: readonly number[], every = 600) => values.map((value, i) => ({ time: i * every, value }));
const flowLog = { kind: 'flow', control: 'none', magnetising: 0.4 } as const;
const profile = (...args: Parameters<typeof profileFromLog>) => {
  const reading = profileFromLog(...args);
  if (!reading.ok) expect.fail(reading.message);
  return reading.profile;
};

describe('a logger’s readings become hours a year', () => {
  it('half the time at full flow and half at 60 % is 4380 h each', () => {
    const p = profile(steady([...Array(100).fill(50), ...Array(100).fill(30)]), flowLog);
    expect(p.rows).toEqual([
      { hours: 4380, flow: 0.6 },
      { hours: 4380, flow: 1 },
    ]);
    expect(p.full).toBe(50);
  });
  it('a log may begin at any time of the clock: what counts is the time it covers', () => {
    const from = 1.7e9;
    const p = profile(
      [0, 10, 20, 30].map((t) => ({ time: from + t, value: 50 })),
      flowLog,
    );
    expect(p.span).toBe(30);
    const brief = [0, 0.3, 0.9].map((t) => ({ time: from + t, value: 50 }));
    expect(profileFromLog(brief, flowLog)).toMatchObject({ ok: false });
  });
  it('four usual intervals are no gap yet, more are', () => {
    const at = (late: number) =>
      profile(
        [0, 10, 20, 30, 30 + late, 40 + late].map((time) => ({ time, value: 50 })),
        flowLog,
      );
    expect(at(40).gaps).toEqual([]);
    expect(at(41).gaps).toEqual([{ from: 30, to: 71 }]);
  });
  it('standing still is no flow: it takes its share of the year and makes no row', () => {
    const p = profile(steady([...Array(150).fill(20), ...Array(50).fill(0)]), flowLog);
    expect(p.rows).toEqual([{ hours: 6570, flow: 1 }]);
    expect(p.standing / p.covered).toBeCloseTo(0.25, 2);
  });
  it('below 3 % of full flow it stands, at 3 % it runs', () => {
    const at = (flow: number) => profile(steady([...Array(100).fill(100), ...Array(100).fill(flow)]), flowLog);
    expect(at(2.9).rows).toHaveLength(1);
    expect(at(2.9).standing / at(2.9).covered).toBeCloseTo(0.5, 2);
    expect(at(3).rows).toHaveLength(2);
    expect(at(3).standing).toBe(0);
  });
  it('a gap counts for nothing and is reported', () => {
    const before = steady(Array(50).fill(10));
    const after = steady(Array(50).fill(5)).map((s) => ({ ...s, time: s.time + 10 * 24 * 3600 }));
    const p = profile([...before, ...after], flowLog);
    expect(p.gaps).toHaveLength(1);
    expect(p.rows.map((r) => r.hours)).toEqual([4380, 4380]);
  });
  it('the order of the lines does not matter; the value at full flow may be said', () => {
    const list = steady([10, 20, 30, 40, 20, 10]);
    expect(profile(list.toReversed(), flowLog)).toEqual(profile(list, flowLog));
    expect(profile(list, { ...flowLog, full: 80 }).rows.at(-1)?.flow).toBe(0.5);
    expect(profile(list, { ...flowLog, full: 20 }).above).toBe(2);
  });
  it.each(['outlet-damper', 'inlet-vane', 'throttle-valve'] as const)(
    'power behind %s is turned back into the flow it came from',
    (control) => {
      const flows = [1, 0.8, 0.6, 0.4];
      const p = profile(steady(flows.flatMap((f) => Array(10).fill(37 * presentRatio(control, f)))), {
        kind: 'power',
        control,
        magnetising: 0.4,
        full: 37,
      });
      expect(p.rows.map((r) => r.flow)).toEqual([0.4, 0.6, 0.8, 1]);
    },
  );
  it('current is freed of its magnetising part first', () => {
    const k = 0.38;
    const amps = (power: number) => 54 * Math.sqrt(k * k + (1 - k * k) * power * power);
    const p = profile(steady([1, 0.7].flatMap((f) => Array(10).fill(amps(presentRatio('outlet-damper', f))))), {
      kind: 'current',
      control: 'outlet-damper',
      magnetising: k,
      full: 54,
    });
    expect(p.rows.map((r) => r.flow)).toEqual([0.7, 1]);
  });
  it('what cannot tell a flow is refused in words', () => {
    expect(profileFromLog(steady([1, 2]), flowLog)).toMatchObject({
      ok: false,
      message: expect.stringContaining('three readings'),
    });
    expect(profileFromLog(steady([0, 0, -1, 0]), flowLog)).toMatchObject({
      ok: false,
      message: expect.stringContaining('right column'),
    });
    expect(profileFromLog(steady([5, 6, 7]), { kind: 'power', control: 'none', magnetising: 0.4 })).toMatchObject({
      ok: false,
      message: expect.stringContaining('how flow is controlled'),
    });
  });
  it('readings at the same instant, or as good as that, are one: they make no interval', () => {
    const twice = [
      { time: 0, value: 1 },
      { time: 5e-324, value: 1 },
      { time: 1e-323, value: 1 },
      { time: 3600, value: 1 },
      { time: 7200, value: 1 },
    ];
    const reading = profileFromLog(twice, { kind: 'flow', control: 'none', magnetising: 0.4 });
    expect(reading.ok && reading.profile.rows).toEqual([{ hours: 8760, flow: 1 }]);
  });
  it('whatever is logged, the hours never exceed a year by more than their rounding, and no flow is negative', () => {
    const sample = fc.record({
      time: fc.double({ min: 0, max: 1e8, noNaN: true }),
      value: fc.double({ min: -100, max: 1e5, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(sample, { maxLength: 200 }),
        fc.constantFrom('flow', 'current', 'power'),
        fc.constantFrom('none', 'outlet-damper', 'throttle-valve', 'on-off'),
        (samples, kind, control) => {
          const reading = profileFromLog(samples, { kind, control, magnetising: 0.4 });
          if (!reading.ok) return;
          const { rows } = reading.profile;
          expect(rows.reduce((sum, r) => sum + r.hours, 0)).toBeLessThanOrEqual(8784);
          for (const r of rows) expect(r.flow).toBeGreaterThan(0);
        },
      ),
    );
  });
  it('tells the peak, the starts, the idling and the drift', () => {
    const values = [0, 0, 40, 40, 40, 0, 40, 99, 4, 4];
    const p = profile(steady(values), { ...flowLog, full: 50 });
    expect(p.peak).toEqual({ time: 4200, value: 99 });
    expect(p.starts).toBe(2);
    // 4 of 50 runs, and moves next to nothing: two readings of ten minutes.
    expect(p.idling).toBe(1200);
    expect(p.drift).toBeNull();
    const worn = profile(steady(Array.from({ length: 200 }, (_, i) => (i < 100 ? 50 : 45))), flowLog);
    expect(worn.drift).toBeCloseTo(-0.1, 12);
    // Another mix of duties is no drift: full by day at first, mostly half later, but full is full.
    const mixed = Array.from({ length: 400 }, (_, i) => (i % 10 < (i < 200 ? 8 : 3) ? 50 : 25));
    expect(profile(steady(mixed), flowLog).drift).toBeCloseTo(0, 12);
  });
  it('a start after a gap is not counted: nobody saw it', () => {
    const p = profile(
      [0, 10, 20, 400, 410, 420].map((time) => ({ time, value: time < 100 ? 0 : 5 })),
      flowLog,
    );
    expect([p.starts, p.gaps.length]).toEqual([0, 1]);
  });
  it('the outline keeps every peak and trough, however many readings', () => {
    const values = Array.from({ length: 5000 }, (_, i) => (i === 3333 ? 80 : i === 1234 ? 3 : 40));
    const p = profile(steady(values, 1), flowLog);
    expect(p.outline.length).toBeLessThanOrEqual(400);
    expect(Math.max(...p.outline.map((o) => o[2]))).toBe(80);
    expect(Math.min(...p.outline.map((o) => o[1]))).toBe(3);
  });
});

describe('a logger’s clock', () => {
  const at = (text: string): number => Date.parse(`${text}Z`) / 1000;
  const every = (from: string, minutes: number, count: number): number[] =>
    Array.from({ length: count }, (_, i) => at(from) + 60 * minutes * i);
  it('put back in autumn: the hour that comes twice is two hours', () => {
    const night = Float64Array.from([...every('2026-10-25T01:00:00', 10, 12), ...every('2026-10-25T02:00:00', 10, 12)]);
    expect(physics.settleClock(night, true)).toEqual({ back: 1, forward: 0, midnights: 0 });
    expect(Array.from(night.subarray(1), (t, i) => t - (night[i] ?? 0)).every((d) => d === 600)).toBe(true);
  });
  it('put forward in spring: the hour that is missing was none; on another night it is a gap', () => {
    const night = (day: string) =>
      Float64Array.from([...every(`${day}T01:00:00`, 10, 6), ...every(`${day}T03:00:00`, 10, 6)]);
    const spring = night('2026-03-29');
    expect(physics.settleClock(spring, true)).toMatchObject({ forward: 1 });
    expect((spring[6] ?? 0) - (spring[5] ?? 0)).toBe(600);
    const monday = night('2026-03-30');
    expect(physics.settleClock(monday, true)).toMatchObject({ forward: 0 });
    expect((monday[6] ?? 0) - (monday[5] ?? 0)).toBe(4200);
  });
  it('times of day without a date run past midnight', () => {
    const times = Float64Array.from([86_000, 86_200, 0, 200]);
    expect(physics.settleClock(times, false)).toMatchObject({ midnights: 1 });
    expect([...times]).toEqual([86_000, 86_200, 86_400, 86_600]);
  });
  it('a clock that runs on is left as it is', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 1500 }), { minLength: 3, maxLength: 50 }), (steps) => {
        let t = 1.8e9;
        const times = Float64Array.from(steps, (d) => (t += d));
        const before = [...times];
        physics.settleClock(times, true);
        expect([...times]).toEqual(before);
      }),
    );
  });
});
