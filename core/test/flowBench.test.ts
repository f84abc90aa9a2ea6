import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { flowBenchOf, physics, readCase, solveWith, type CaseText } from '@pilgrim/core';

const { BenchSide, resized, smallBlower, smallBlowerRead, tabled, typicalMachine } = physics;

const pumpCase: CaseText = {
  format: 'pilgrim.case/1',
  practice: 'iec',
  supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'transformer', rating: '630 kVA', impedance: 0.06 } },
  load: {
    machine: 'centrifugal-pump',
    demand: {
      kind: 'pump',
      flow: '160 m³/h',
      head: '20 m',
      staticHead: '4 m',
      efficiency: 0.74,
      speed: '1465 rpm',
    },
  },
  speed: {
    control: 'throttle-valve',
    profile: [
      { hours: 4000, flow: 1 },
      { hours: 3000, flow: 0.6 },
    ],
  },
};
function benchOf(text: CaseText) {
  const reading = readCase(text);
  if (!reading.ok) expect.fail(JSON.stringify(reading.errors));
  return flowBenchOf(solveWith(reading.value));
}
const own = benchOf(pumpCase);
if (!own) throw new Error('no bench');
const { spec } = own;

/** A side after so many seconds at a flow. */
function ran(way: 'throttle' | 'drive', flow: number, seconds: number, set: (s: physics.BenchSide) => void = () => {}) {
  const side = new BenchSide(spec, way);
  side.wanted = flow;
  set(side);
  side.run(true);
  for (let i = 0; i < 60 * seconds; i++) side.advance(1 / 60);
  return side;
}

describe('two identical machines on the bench', () => {
  it.each([1, 0.8, 0.5])('run in time they come to rest where they are said to, at a flow of %d', (flow) => {
    for (const way of ['throttle', 'drive'] as const) {
      const side = ran(way, flow, 30);
      const rest = side.settled(flow);
      expect(side.reading.flow).toBeCloseTo(flow, 2);
      expect(side.reading.watts / (rest?.watts ?? 0)).toBeCloseTo(1, 2);
      expect(side.reading.speed / (rest?.speed ?? 0)).toBeCloseTo(1, 3);
      expect(side.reading.current / (rest?.current ?? 0)).toBeCloseTo(1, 2);
    }
  });
  it('on the line it runs up at several times its current, on a drive within its limit', () => {
    const [line, drive] = [new BenchSide(spec, 'throttle'), new BenchSide(spec, 'drive')];
    let [lineMost, driveMost] = [0, 0];
    for (const side of [line, drive]) side.run(true);
    for (let i = 0; i < 60 * 15; i++) {
      for (const side of [line, drive]) side.advance(1 / 60);
      lineMost = Math.max(lineMost, line.reading.current);
      driveMost = Math.max(driveMost, drive.reading.current);
    }
    const rated = line.settled(1)?.current ?? 0;
    expect(lineMost / rated).toBeGreaterThan(4);
    expect(driveMost / rated).toBeLessThan(2);
  });
  it('takes the shaft power of the machine’s curve: throttled along it, on a drive by similarity', () => {
    const machine = typicalMachine(0.74);
    const side = new BenchSide({ ...spec, ...tabled(machine), held: 0 }, 'drive');
    const whole = side.settled(1);
    const half = side.settled(0.5);
    // No static head: speed with flow, so shaft power with its cube; the motor's own losses stay below.
    expect((half?.speed ?? 0) / (whole?.speed ?? 1)).toBeCloseTo(0.5, 2);
    expect((half?.watts ?? 0) / (whole?.watts ?? 1)).toBeGreaterThan(0.125);
    expect((half?.watts ?? 0) / (whole?.watts ?? 1)).toBeLessThan(0.2);
  });
  it('more static head never saves more, at any flow', () => {
    const flows = fc.double({ min: 0.35, max: 0.95, noNaN: true });
    const heads = fc.tuple(fc.double({ min: 0, max: 0.8, noNaN: true }), fc.double({ min: 0, max: 0.8, noNaN: true }));
    const saved = (held: number, flow: number): number => {
      const sides = (['throttle', 'drive'] as const).map((way) => new BenchSide({ ...spec, held }, way));
      const [a, b] = sides.map((s) => s.settled(flow)?.watts ?? NaN);
      return (a ?? 0) - (b ?? 0);
    };
    fc.assert(
      fc.property(flows, heads, (flow, [a, b]) => {
        expect(saved(Math.max(a, b), flow)).toBeLessThanOrEqual(saved(Math.min(a, b), flow) + 1e-3 * spec.power);
      }),
      { numRuns: 40 },
    );
  });
  it('energy-saving never takes more, whatever the flow', () => {
    for (const flow of [1, 0.8, 0.6, 0.4]) {
      const side = new BenchSide(spec, 'drive');
      const at = (curve: physics.VoltageCurve) => side.settled(flow, curve)?.motorWatts ?? NaN;
      expect(at('least')).toBeLessThanOrEqual(at('proportional') * 1.005);
    }
  });
});

describe('spoiled', () => {
  const settled = (change: Partial<physics.BenchSpoiling>, way: 'throttle' | 'drive', flow: number) => {
    const side = new BenchSide(spec, way);
    side.spoil(change);
    return side.settled(flow);
  };
  it('a clogged strainer: the throttled one gives less than is wanted, the driven one turns faster for it', () => {
    expect(settled({ clog: 2.5 }, 'throttle', 1)?.flow).toBeLessThan(0.95);
    const [clean, clogged] = [settled({}, 'drive', 0.6), settled({ clog: 2.5 }, 'drive', 0.6)];
    expect(clogged?.flow).toBeCloseTo(0.6, 2);
    expect(clogged?.speed).toBeGreaterThan((clean?.speed ?? 0) * 1.05);
    expect(clogged?.watts).toBeGreaterThan(clean?.watts ?? 0);
  });
  it('a motor twice as large idles: more amperes than the right one, a worse power factor', () => {
    const [right, large] = [settled({}, 'throttle', 0.6), settled({ oversize: 2 }, 'throttle', 0.6)];
    expect(large?.powerFactor).toBeLessThan((right?.powerFactor ?? 0) - 0.1);
    expect(large?.flow).toBeCloseTo(right?.flow ?? 0, 2);
    const c = resized(spec.circuit, 2);
    expect(c.coreLoss).toBe(2 * spec.circuit.coreLoss);
    expect(c.statorResistance).toBe(spec.circuit.statorResistance / 2);
  });
  it('a lost line: the throttled one runs hot on two until its relay trips, and does not start again', () => {
    const side = ran('throttle', 1, 10);
    const before = side.reading.current;
    side.spoil({ phases: 2 });
    for (let i = 0; i < 60; i++) side.advance(1 / 60);
    // Textbook: about 1.7 times the current for the same power on two lines.
    expect(side.reading.current / before).toBeGreaterThan(1.4);
    for (let i = 0; i < 60 * 600 && side.reading.tripped === null; i++) side.advance(1 / 60);
    expect(side.reading.tripped).toBe('overload');
    expect(side.reading.watts).toBe(0);
    for (let i = 0; i < 60 * 120; i++) side.advance(1 / 60);
    side.run(false);
    side.run(true);
    for (let i = 0; i < 60 * 4; i++) side.advance(1 / 60);
    expect(side.reading.speed).toBeLessThan(0.2 * spec.speed);
  });
  it('a lost line trips the drive under load within seconds, and not at light load', () => {
    const loaded = ran('drive', 1, 20);
    loaded.spoil({ phases: 2 });
    for (let i = 0; i < 60 * 2; i++) loaded.advance(1 / 60);
    expect(loaded.reading.tripped).toBe('phase-lost');
    const light = ran('drive', 0.3, 20, (s) => s.spoil({ phases: 2, held: 0 }));
    expect(light.reading.tripped).toBeNull();
  });
});

describe('the small, much oversized blower', () => {
  const flow = smallBlowerRead.frequency / smallBlower.circuit.frequency;
  const line = new BenchSide(smallBlower, 'throttle');
  const drive = new BenchSide(smallBlower, 'drive');
  it('draws its 128 to 132 W and .83 A at a power factor of .22, however the damper stands', () => {
    for (const q of [1, 0.8, flow]) {
      const r = line.settled(q);
      expect(r?.watts).toBeGreaterThanOrEqual(smallBlowerRead.throttled[0]);
      expect(r?.watts).toBeLessThanOrEqual(smallBlowerRead.throttled[1]);
      expect(r?.current).toBeCloseTo(smallBlowerRead.current, 1);
      expect(r?.powerFactor).toBeCloseTo(smallBlowerRead.powerFactor, 1);
    }
  });
  it('on a drive at 28 Hz takes 20 W within the stated band, and its energy-saving mode about a tenth or more less', () => {
    const square = drive.settled(flow, 'square');
    const least = drive.settled(flow, 'least');
    expect(square?.frequency).toBeCloseTo(smallBlowerRead.frequency, 0);
    expect(Math.abs((square?.motorWatts ?? 0) / smallBlowerRead.driven - 1)).toBeLessThan(smallBlowerRead.band);
    expect((least?.motorWatts ?? 0) / (square?.motorWatts ?? 1)).toBeLessThan(0.92);
    // Volts in proportion to hertz leave the flux, and most of the loss, where they were.
    expect(drive.settled(flow, 'proportional')?.motorWatts).toBeGreaterThan(2 * (square?.motorWatts ?? 0));
  });
});

describe('the machine of a case', () => {
  it('is its own pump, motor, year and price', () => {
    expect(own.spec.held).toBeCloseTo(0.2, 6);
    expect(own.year).toEqual([
      { hours: 4000, flow: 1 },
      { hours: 3000, flow: 0.6 },
    ]);
    expect(own.assumedYear).toBe(false);
    expect(own.motor).not.toBe('');
  });
  it('none for a conveyor, nor where nothing is said of the load', () => {
    const conveyor = { machine: 'conveyor', demand: { kind: 'power', power: '9 kW', speed: '1450 rpm' } } as const;
    expect(benchOf({ ...pumpCase, load: conveyor })).toBeNull();
    expect(benchOf({ format: 'pilgrim.case/1', practice: 'iec' })).toBeNull();
  });
});
