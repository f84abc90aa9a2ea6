import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { practice, protectiveDevices, type Result } from '@pilgrim/core';
import { figure, findingIds, solved } from './cases';
import { american, base, crossing, european, finding, type Guard } from './guarded';

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
  it.each([
    [4, 18.5, 47],
    [6, 28, 72],
    [8, 35.2, 92],
    [10, 46.5, 110],
    [12, 55.2, 140],
    // Of 2 A no gate is remembered: half of 4 A's.
    [2, 9.25, 23.5],
  ])('IEC 60269-2: %d A gG is off in 5 s at %d A and in 0.1 s at %d A', (rating, five, tenth) => {
    const { quick, slow } = practice.deviceBand('fuse-gg', rating);
    expect(slow(five)).toBeCloseTo(5, 6);
    expect(slow(tenth)).toBeCloseTo(0.1, 6);
    for (const m of [3, 5, 8]) expect(quick(m * rating)).toBeLessThanOrEqual(slow(m * rating));
  });
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
