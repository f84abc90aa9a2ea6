import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { controls, physics, readCase, wayOf, type CaseText } from '@pilgrim/core';
import { figure, findingIds, solved } from './cases';

const { curvedMachine, flowPoint, speedFor, systemHead, typicalMachine } = physics;
const usual = typicalMachine(0.7);
const alone = (held: number) => ({ held, machines: 1 });
const bySpeed = { kind: 'speed' } as const;
const throttle = { kind: 'throttle' } as const;

describe('machine and system', () => {
  // Shut-off head 1.25, parabolic efficiency; computed by hand from n² · 1.25 = s + (1 − s + 0.25) q².
  it.each([
    [0.35, 0.6, 0.363],
    [0.5, 0.5, 0.35],
    [0.8, 0.5, 0.513],
    [0, 0.6, 0.216],
    [0, 1, 1],
  ])('static share %f, flow %f: %f of full shaft power', (held, q, share) => {
    expect(flowPoint(usual, alone(held), bySpeed, q).shaft).toBeCloseTo(share, 3);
  });
  it('lifts from √(0.7 ÷ 1.25) of full speed on; at 0.4 of flow it runs at 0.79', () => {
    expect(speedFor(usual, 0, systemHead(0.7, 0))).toBeCloseTo(0.748, 3);
    expect(flowPoint(usual, alone(0.7), bySpeed, 0.4).speed).toBeCloseTo(0.79, 2);
  });
  it('affinity: without static head flow goes with speed, power with its cube, whatever the curve', () => {
    const points = [0, 30, 60, 90, 120].map((flow) => ({
      flow,
      head: 40 - flow * flow * 0.001,
      efficiency: 0.5 + flow / 500,
    }));
    const machine = curvedMachine(points, { flow: 90, head: 40 - 8.1, efficiency: 0.68 });
    for (const q of [0.4, 0.7, 0.9]) {
      const at = flowPoint(machine, alone(0), bySpeed, q);
      expect(at.speed).toBeCloseTo(q, 6);
      expect(at.shaft).toBeCloseTo(q ** 3, 6);
    }
  });
  it('a typed parabola follows the drawn one between its points', () => {
    const points = [0, 0.25, 0.5, 0.75, 1, 1.2].map((x) => ({
      flow: 100 * x,
      head: 30 * (1.25 - 0.25 * x * x),
      efficiency: 0.7 * x * (2 - x),
    }));
    const machine = curvedMachine(points, { flow: 100, head: 30, efficiency: 0.7 });
    for (const [held, q] of [
      [0.35, 0.6],
      [0.5, 0.5],
      [0.8, 0.5],
    ] as const)
      expect(flowPoint(machine, alone(held), bySpeed, q).shaft).toBeCloseTo(
        flowPoint(usual, alone(held), bySpeed, q).shaft,
        2,
      );
  });
  it('a machine too large is throttled at full flow; slowed down it takes less even there', () => {
    const points = [0, 50, 100, 150].map((flow) => ({ flow, head: 50 - flow * flow * 0.001, efficiency: 0.7 }));
    // 40 m at 100 m³/h where 30 are asked.
    const large = curvedMachine(points, { flow: 100, head: 30, efficiency: 0.7 });
    const held = flowPoint(large, alone(0), throttle, 1);
    expect(held.shaft).toBeCloseTo(40 / 30, 6);
    expect(held.control).toBeCloseTo((0.7 * 10) / 30, 6);
    expect(flowPoint(large, alone(0), bySpeed, 1).shaft).toBeCloseTo(1, 2);
    expect(flowPoint(large, alone(0), bySpeed, 1).control).toBeCloseTo(0, 6);
  });
  it('two in parallel: one is enough as long as it gives the head; half flow of two is full flow of one', () => {
    const two = { held: 1, machines: 2 };
    const half = flowPoint(usual, two, throttle, 0.5);
    expect([half.share, half.flow]).toEqual([0.5, 1]);
    expect(half.shaft).toBeCloseTo(0.5, 6);
    const most = flowPoint(usual, two, throttle, 0.9);
    expect(most.share).toBe(1);
    // Against friction alone one pump meets half the flow at a quarter of the head.
    expect(flowPoint(usual, { held: 0, machines: 2 }, bySpeed, 0.5).shaft).toBeLessThanOrEqual(0.125 + 1e-9);
  });
  it('two machines of two speeds: both at the low one where it lifts, one of them at full where it does not', () => {
    const at = (held: number) => flowPoint(usual, { held, machines: 2 }, { kind: 'two-speed', low: 0.5 }, 0.5);
    expect(at(0)).toMatchObject({ share: 1, speed: 0.5 });
    expect(at(0).shaft).toBeCloseTo(0.125, 12);
    expect(at(0.5)).toMatchObject({ share: 0.5, speed: 1 });
    expect(at(0.5).shaft).toBeCloseTo(0.5, 6);
  });
  it('bypass and no control stay at full; on and off goes with time; two speeds throttle the lower one', () => {
    const at = (way: physics.FlowWay, q: number) => flowPoint(usual, alone(0), way, q);
    expect(at({ kind: 'bypass' }, 0.5).shaft).toBe(1);
    expect(at({ kind: 'full' }, 0.5).shaft).toBe(1);
    expect(at({ kind: 'on-off' }, 0.3).shaft).toBeCloseTo(0.3, 12);
    expect(at({ kind: 'two-speed', low: 0.5 }, 0.5).shaft).toBeCloseTo(0.125, 12);
    expect(at({ kind: 'two-speed', low: 0.5 }, 0.6).speed).toBe(1);
    // Against a head that is there without flow the low speed lifts nothing.
    expect(flowPoint(usual, alone(0.5), { kind: 'two-speed', low: 0.5 }, 0.3).speed).toBe(1);
  });
});

const anyWay = fc.oneof(
  fc.constantFrom<physics.FlowWay>(
    ...([{ kind: 'full' }, { kind: 'throttle' }, { kind: 'bypass' }, { kind: 'on-off' }, { kind: 'speed' }] as const),
    wayOf('outlet-damper', false),
    wayOf('inlet-vane', false),
  ),
  fc.double({ min: 0.3, max: 0.8, noNaN: true }).map((low): physics.FlowWay => ({ kind: 'two-speed', low })),
);
const anyMachine = fc.double({ min: 0.3, max: 0.85, noNaN: true }).map(typicalMachine);
const share = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('laws of the account', () => {
  it('shaft power is flow work and every named loss, for every control', () => {
    fc.assert(
      fc.property(
        anyMachine,
        anyWay,
        share(0, 0.95),
        share(0.2, 1),
        fc.integer({ min: 1, max: 4 }),
        (m, way, held, q, machines) => {
          const p = flowPoint(m, { held, machines }, way, q);
          expect(p.work + p.control + p.machine).toBeCloseTo(p.shaft, 9);
          expect(p.work).toBeCloseTo(m.efficiency * q * systemHead(held, q), 9);
          expect(Math.min(p.work, p.control, p.machine)).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
    );
  });
  it('more static head never saves more', () => {
    fc.assert(
      fc.property(share(0, 0.9), share(0, 0.09), share(0.2, 1), (held, more, q) => {
        const saved = (s: number): number =>
          flowPoint(usual, alone(s), throttle, q).shaft - flowPoint(usual, alone(s), bySpeed, q).shaft;
        expect(saved(held + more)).toBeLessThanOrEqual(saved(held) + 1e-9);
      }),
    );
  });
});

const pump = (speed: CaseText['speed'], over: Partial<CaseText> = {}): CaseText => ({
  ...{ format: 'pilgrim.case/1', practice: 'iec', supply: { voltage: '400 V', frequency: '50 Hz' } },
  load: {
    machine: 'centrifugal-pump',
    demand: { kind: 'pump', flow: '100 m³/h', head: '30 m', efficiency: 0.7, speed: '1475 rpm' },
  },
  method: 'drive',
  speed: { need: 'variable', min: 0.5, max: 1, profile: [{ hours: 4000, flow: 0.6 }], ...speed },
  ...over,
});
const ratio = (speed: CaseText['speed']): number => figure(solved(pump(speed)), 'cost.shaftRatio');
const curve = [
  { flow: '0 m³/h', head: '37.5 m', efficiency: 0 },
  { flow: '50 m³/h', head: '35.6 m', efficiency: 0.525 },
  { flow: '100 m³/h', head: '30 m', efficiency: 0.7 },
  { flow: '120 m³/h', head: '26.7 m', efficiency: 0.672 },
];
const wrong = (text: unknown) => {
  const read = readCase(text);
  return read.ok ? [] : read.errors;
};
const raised = (speed: CaseText['speed']) => findingIds(solved(pump(speed)));

describe('a year’s account', () => {
  const of = (
    control: NonNullable<CaseText['speed']>['control'],
    speed: CaseText['speed'],
    method: CaseText['method'],
  ) =>
    solved(
      pump(
        { control, ...speed },
        {
          method,
          ...{ place: { cable: { length: '60 m' } }, drive: { filter: 'sine' } },
          money: { energyPrice: 0.15 },
        },
      ),
    );
  it('what is drawn is flow work and every named loss, for every control, to the last kilowatt-hour', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...controls),
        fc.constantFrom('direct', 'drive'),
        fc.array(fc.record({ hours: fc.integer({ min: 10, max: 900 }), flow: share(0.2, 1) }), {
          minLength: 1,
          maxLength: 5,
        }),
        share(0, 0.9).map((x) => Number(x.toFixed(3))),
        (control, method, profile, staticFraction) => {
          const r = of(control, { profile, staticFraction, need: 'fixed' }, method);
          const account = r.cost?.account ?? [];
          for (const [key, id] of [
            ['old', 'cost.oldEnergy'],
            ['new', 'cost.newEnergy'],
          ] as const) {
            const paid = account.filter((a) => a.beside !== true);
            const sum = paid.reduce((total, a) => total + a[key], 0);
            expect(Math.abs(sum / figure(r, id) - 1)).toBeLessThan(0.001);
            expect(Math.min(...account.map((a) => a[key]))).toBeGreaterThan(-0.5);
          }
        },
      ),
      { numRuns: 40 },
    );
  });
  it('what moves no flow has no flow to lose: a conveyor’s shaft power is its work', () => {
    const conveyor = { machine: 'conveyor', demand: { kind: 'power', power: '6 kW', speed: '1450 rpm' } } as const;
    const r = solved(
      pump(
        { control: 'none', need: 'fixed', profile: [{ hours: 4000, flow: 1 }] },
        { load: conveyor, method: 'direct' },
      ),
    );
    expect(r.cost?.account.map((a) => a.kind)).toEqual(['work', 'motor']);
  });
  it('names what is there: a filter only behind a drive, a train only where there is one, a valve only where it holds', () => {
    const kinds = (r: ReturnType<typeof of>) => r.cost?.account.map((a) => a.kind) ?? [];
    const driven = of('throttle-valve', {}, 'drive');
    expect(kinds(driven)).toEqual(['work', 'control', 'machine', 'motor', 'drive', 'filter', 'wire']);
    expect(driven.cost?.account.find((a) => a.kind === 'control')?.new).toBeCloseTo(0, 6);
    expect(kinds(of('throttle-valve', {}, 'direct'))).not.toContain('filter');
  });
});

describe('a case', () => {
  it('shaft power by static share, by what is kept, and by its own curve', () => {
    expect(ratio({ staticFraction: 0.35 })).toBeCloseTo(0.363, 3);
    // 1.03 bar of the 2.94 bar that 30 m of water are.
    expect(ratio({ keptPressure: '1.03 bar' })).toBeCloseTo(0.363, 2);
    expect(ratio({ staticFraction: 0.35, curve })).toBeCloseTo(0.363, 2);
    expect(ratio({ keptPressure: '2.942 bar' })).toBeGreaterThan(0.6);
  });
  it('its own curve is what the sums cite; without one the published or the usual', () => {
    const source = (speed: CaseText['speed'], id: string) => solved(pump(speed)).figures[id]?.source.title;
    expect(source({ control: 'throttle-valve', curve }, 'cost.oldRatio')).toBe('The machine’s own curve');
    expect(source({ control: 'throttle-valve' }, 'cost.oldRatio')).toBe('Typical centrifugal pump curve');
    expect(source({ curve }, 'cost.shaftRatio')).toBe('The machine’s own curve');
  });
  it('what is kept is a share of what is asked, and a curve’s head stands against it', () => {
    // 1.03 bar of the 2.942 bar that 30 m of water are; 28.9 m where 30 m are asked.
    expect(figure(solved(pump({ keptPressure: '1.03 bar' })), 'speed.keptShare')).toBeCloseTo(1.03 / 2.942, 3);
    expect(figure(solved(pump({ curve: with30('28.9 m') })), 'speed.curveHead')).toBeCloseTo(28.9 / 30, 3);
  });
  it('least speed that lifts, and a lowest speed below it: both sides', () => {
    expect(figure(solved(pump({ staticFraction: 0.7 })), 'speed.leastLift')).toBeCloseTo(0.748, 3);
    expect(raised({ staticFraction: 0.7, min: 0.74 })).toContain('speed.below-lift');
    expect(raised({ staticFraction: 0.7, min: 0.76 })).not.toContain('speed.below-lift');
    expect(raised({ min: 0.1 })).not.toContain('speed.below-lift');
  });
  const with30 = (head: string, efficiency = 0.7) =>
    curve.map((p) => (p.flow === '100 m³/h' ? { ...p, head, efficiency } : p));
  it.each<[string, CaseText['speed'], CaseText['speed']]>([
    ['speed.curve-short', { curve: with30('28.9 m') }, { curve: with30('29.2 m') }],
    ['speed.curve-large', { curve: with30('34.7 m') }, { curve: with30('34.3 m') }],
    ['speed.curve-differs', { curve: with30('30 m', 0.77) }, { curve: with30('30 m', 0.75) }],
    ['speed.curve-hump', { curve: [{ ...curve[0]!, head: '34 m' }, ...curve.slice(1)] }, { curve }],
    [
      'speed.run-out',
      { curve, profile: [{ hours: 100, flow: 1.25 }] },
      { curve, profile: [{ hours: 100, flow: 1.19 }] },
    ],
    ['speed.kept-above', { keptPressure: '3 bar' }, { keptPressure: '2.9 bar' }],
  ])('%s is raised, and not beside it', (id, here, beside) => {
    expect(raised(here)).toContain(id);
    expect(raised(beside)).not.toContain(id);
  });
  it('what is kept is not guessed where nobody said what the machine gives', () => {
    const demand = { kind: 'power', power: '11 kW', speed: '1475 rpm' } as const;
    const known = (speed: CaseText['speed']) =>
      findingIds(solved(pump(speed, { load: { machine: 'centrifugal-pump', demand } })));
    expect(known({ keptPressure: '2 bar' })).toContain('speed.kept-unknown');
    expect(known({ keptPressure: '2 bar', curve })).not.toContain('speed.kept-unknown');
  });
  it('a pump without a typed efficiency takes its own curve’s', () => {
    const demand = { kind: 'pump', flow: '100 m³/h', head: '30 m', speed: '1475 rpm' } as const;
    const r = solved(pump({ curve }, { load: { machine: 'centrifugal-pump', demand } }));
    expect(figure(r, 'load.power')).toBeCloseTo((1000 * 9.80665 * (100 / 3600) * 30) / 0.7, 0);
  });
  it.each<[string, unknown, string]>([
    ['speed.curve', curve.slice(0, 2), 'three points'],
    ['speed.curve[1].flow', [curve[1], curve[0], curve[2]], 'above the flow of the point before'],
    ['speed.curve[0]', [{ flow: '0 m³/h', efficiency: 0 }, ...curve.slice(1)], 'head or its pressure'],
    ['speed.curve', curve.map((p) => ({ ...p, efficiency: 0 })), 'efficiency above 0'],
  ])('%s: says what is wrong', (path, value, message) => {
    const errors = wrong({ ...pump({}), speed: { curve: value } });
    expect(errors.find((e) => e.path === path)?.message).toContain(message);
  });
});
