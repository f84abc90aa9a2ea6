import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  caseSchema,
  findSettings,
  firstCyclesOf,
  methods,
  operateAt,
  physics,
  practice,
  readCase,
  resultSchema,
  solveWith,
  type CaseText,
  type Method,
  type Result,
  type Solved,
  type StartRow,
} from '@pilgrim/core';
import { figure, findingIds, horsepower } from './cases';

function whole(text: CaseText): Solved {
  const reading = readCase(text);
  if (!reading.ok) expect.fail(reading.errors.map((e) => `${e.path}: ${e.message}`).join('\n'));
  return solveWith(reading.value);
}
const solved = (text: CaseText): Result => whole(text).result;
const row = (r: Result, method: Method): StartRow => r.start?.rows.find((x) => x.method === method) ?? expect.fail();
const finding = (r: Result, id: string) => r.findings.find((f) => f.id === id);

/** The kiln's exhaust fan of the maltings. */
const fan: CaseText = {
  format: 'pilgrim.case/1',
  practice: 'iec',
  motor: { catalogue: 'iec-ip55-ie3-75kW-4p' },
  supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'transformer', rating: '630 kVA', impedance: 0.05 } },
  load: {
    machine: 'centrifugal-fan',
    demand: { kind: 'power', power: '62 kW', speed: '1480 rpm' },
    inertia: '9 kg·m²',
  },
  place: { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry', cable: { length: '40 m' } },
  speed: { need: 'fixed' },
};
const malt = (own: Partial<CaseText>): CaseText => ({ ...fan, ...own });

describe('cases that must fail fail with the right finding', () => {
  it('star-delta on a motor with three leads, and on one that is 400 V in star', () => {
    const three = malt({
      method: 'star-delta',
      motor: {
        circuit: {
          poles: 4,
          voltage: '400 V',
          frequency: '50 Hz',
          statorResistance: '0.03 ohm',
          statorReactance: '0.1 ohm',
          rotorResistance: '0.025 ohm',
          rotorReactance: '0.1 ohm',
          magnetisingReactance: '5 ohm',
          ratedSpeed: '1482 rpm',
          inertia: '1 kg·m²',
        },
      },
    });
    expect(finding(solved(three), 'start.six-leads')?.level).toBe('stop');
    const star = malt({
      method: 'star-delta',
      motor: { catalogue: 'iec-ip55-ie3-3kW-4p' },
      load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '2.4 kW', speed: '1450 rpm' } },
    });
    const r = solved(star);
    expect(finding(r, 'start.six-leads')?.text).toContain('230 V');
    expect(row(r, 'star-delta')).toMatchObject({ outcome: 'fail', run: null });
  });
  it('a loaded crusher in star stalls', () => {
    const r = solved(
      malt({
        method: 'star-delta',
        load: { machine: 'crusher', demand: { kind: 'power', power: '60 kW', speed: '1480 rpm' } },
      }),
    );
    expect(finding(r, 'start.stalls')).toMatchObject({ level: 'stop', text: expect.stringContaining('in star') });
    expect(row(r, 'star-delta').run?.ending).toBe('stalled');
    expect(r.start?.recommended?.method).not.toBe('star-delta');
  });
  it('a mill that grows heavy on the way up hangs in star, and the speed is named', () => {
    const shape: { points: [number, number][] } = {
      points: [
        [0, 0.05],
        [0.3, 0.1],
        [0.5, 0.8],
        [1, 1],
      ],
    };
    const r = solved(
      malt({
        method: 'star-delta',
        start: { starDelta: { speed: 0.9 } },
        load: { machine: 'mill', shape, breakaway: 0.1, demand: { kind: 'power', power: '60 kW', speed: '1480 rpm' } },
      }),
    );
    expect(finding(r, 'start.stalls')?.text).toMatch(/crosses the motor’s torque at [5-9]\d % speed in star/);
  });
  it('a deep-well pump on a ramp of ten seconds takes too long for its bearings', () => {
    const borehole = (start: CaseText['start'], method: Method) =>
      solved(
        malt({
          method,
          start,
          load: { machine: 'deep-well-pump', demand: { kind: 'power', power: '62 kW', speed: '1480 rpm' } },
        }),
      );
    for (const r of [
      borehole({ drive: { ramp: '10 s' } }, 'drive'),
      borehole({ softStarter: { time: '10 s' } }, 'soft-starter'),
    ])
      expect(finding(r, 'start.too-long')).toMatchObject({
        level: 'stop',
        text: expect.stringContaining('for its bearings'),
      });
    expect(findingIds(borehole({ drive: { ramp: '3 s' } }, 'drive'))).not.toContain('start.too-long');
    // Nobody's ramp is taken short enough.
    expect(findingIds(borehole(undefined, 'drive'))).not.toContain('start.too-long');
  });
  it('75 kW direct on a generator of 100 kVA', () => {
    const r = solved(
      malt({
        method: 'direct',
        supply: {
          voltage: '400 V',
          frequency: '50 Hz',
          source: { kind: 'generator', rating: '100 kVA', subtransientReactance: 0.12 },
        },
      }),
    );
    expect(finding(r, 'start.supply-weak')).toMatchObject({ level: 'stop' });
    expect(figure(r, 'start.direct.voltageDip')).toBeGreaterThan(0.3);
    // What it would start: a small part of its rating (common practice: about a third of the kVA as kW is already
    // much).
    expect(figure(r, 'start.direct.largestMotor')).toBeLessThan(25_000);
    expect(finding(r, 'start.supply-weak')?.text).toContain('This source starts about');
    expect(r.figures['start.transientReactance']?.assumed.length).toBe(1);
  });
  it('a start longer than the case permits', () => {
    const slow = malt({
      method: 'direct',
      load: { ...fan.load, inertia: '40 kg·m²', maxStartTime: '4 s' } as CaseText['load'],
    });
    expect(finding(solved(slow), 'start.too-long')?.text).toContain('4 s is permitted');
  });
  it('a start that heats the motor past its stall time', () => {
    const heavy = malt({ method: 'direct', load: { ...fan.load, inertia: '90 kg·m²' } as CaseText['load'] });
    expect(finding(solved(heavy), 'start.too-long')?.text).toMatch(/of what it bears from hot/);
    expect(finding(solved(heavy), 'start.heavy')?.source?.title).toBe('IEC 60034-12');
  });
  it('more starts an hour than its heat allows', () => {
    const often = solved(malt({ method: 'direct', load: { ...fan.load, startsPerHour: 20 } as CaseText['load'] }));
    expect(finding(often, 'start.too-often')?.text).toContain('20 starts an hour asked');
  });
});

describe('the comparison', () => {
  const r = solved(malt({}));
  it('has every method, simulated, with the figures of the contract', () => {
    expect(r.start?.rows.map((x) => x.method)).toEqual(methods);
    for (const m of methods)
      for (const id of ['time', 'torqueMargin', 'thermalUse', 'firstPeak', 'peakCurrent', 'voltageDip']) {
        const f = r.figures[`start.${m}.${id}`] ?? expect.fail(`start.${m}.${id}`);
        expect(Number.isFinite(f.value)).toBe(true);
        expect(Object.keys(f.inputs).length).toBeGreaterThan(0);
      }
  });
  it(
    'orders them as the trade does: direct the most current and the ' +
      'quickest, star-delta less, the drive the least',
    () => {
      const peak = (m: Method) => figure(r, `start.${m}.peakCurrent`);
      const time = (m: Method) => figure(r, `start.${m}.time`);
      expect(peak('direct')).toBeGreaterThan(peak('primary-reactor'));
      expect(peak('primary-reactor')).toBeGreaterThan(peak('autotransformer'));
      expect(peak('drive')).toBeLessThan(peak('soft-starter'));
      expect(time('direct')).toBeLessThan(time('star-delta'));
      expect(figure(r, 'start.drive.voltageDip')).toBeLessThan(0.005);
    },
  );
  it('recommends the cheapest that will do, and says of each cheaper one why not', () => {
    const weak = solved(
      malt({
        supply: {
          voltage: '400 V',
          frequency: '50 Hz',
          source: { kind: 'transformer', rating: '200 kVA', impedance: 0.05 },
        },
        rules: { maxDip: 0.08 },
      }),
    );
    const recommended = weak.start?.recommended ?? expect.fail();
    expect(recommended.method).not.toBe('direct');
    expect(recommended.reasons.some((x) => /^Direct on line costs less, but: Dips the bus/.test(x))).toBe(true);
    const best = row(weak, recommended.method);
    for (const x of weak.start?.rows ?? [])
      if (x.costIndex < best.costIndex) expect(x.outcome === 'fail' || best.outcome === 'pass').toBe(true);
  });
  it('variable speed leaves the drive alone', () => {
    const variable = solved(malt({ speed: { need: 'variable', min: 0.5, max: 1 } }));
    expect(variable.start?.recommended?.method).toBe('drive');
    expect(row(variable, 'soft-starter').text).toContain('Does not control speed');
  });
  it('a stall time that is given is given, else the standard of the practice is named', () => {
    const given = solved(malt({ start: { stallTime: '18 s' } })).figures['start.stallTime'];
    expect(given).toMatchObject({ value: 18, assumed: [], source: { kind: 'given' } });
    expect(r.figures['start.stallTime']).toMatchObject({ value: 10, source: { kind: 'common-practice' } });
  });
  it('marks every setting nobody gave, and takes those that are given', () => {
    for (const x of r.start?.rows ?? []) for (const s of x.settings) expect(s.assumed, s.path).not.toBeNull();
    const set = solved(malt({ start: { softStarter: { limit: 4.5, time: '5 s' }, autotransformer: { tap: 0.8 } } }));
    const soft = row(set, 'soft-starter').settings;
    expect(soft.find((s) => s.path.endsWith('limit'))).toMatchObject({ value: 4.5, assumed: null });
    expect(soft.find((s) => s.path.endsWith('from'))?.assumed).toBe('usual');
    expect(figure(set, 'start.soft-starter.peakCurrent')).toBeGreaterThan(figure(r, 'start.soft-starter.peakCurrent'));
    // Standstill, which all candidates are judged by, goes by the same settings.
    expect(
      figure(set, 'start.autotransformer.standstillCurrent') / figure(r, 'start.autotransformer.standstillCurrent'),
    ).toBeGreaterThan(1.3);
  });
  it('on a weak supply the share of a reduced start is explained in the working', () => {
    const weak = solved(
      malt({
        method: 'autotransformer',
        supply: {
          voltage: '400 V',
          frequency: '50 Hz',
          source: { kind: 'transformer', rating: '160 kVA', impedance: 0.05 },
        },
      }),
    );
    const fact = weak.facts.find((f) => f.id === 'start.share')?.text ?? '';
    expect(fact).toContain('on a stiff one 42 % and 42 %');
    expect(Number(/takes (\d+) %/.exec(fact)?.[1])).toBeGreaterThan(44);
  });
  it('has a circuit that meets the plate, with part load and losses', () => {
    const m = r.start?.machine ?? expect.fail();
    expect(m.origin).toBe('fitted');
    expect(m.met.every((x) => x.met)).toBe(true);
    const full = m.partLoad.find((p) => p.load === 1);
    expect(full?.current).toBeCloseTo(figure(r, 'choice.ratedCurrent'), 1);
    const losses = m.losses.reduce((sum, l) => sum + l.value, 0);
    expect(losses / ((full?.input ?? NaN) * (1 - (full?.efficiency ?? NaN)))).toBeCloseTo(1, 3);
    expect(m.assumed.join(' ')).toContain('common practice');
  });
  it('a pinned circuit is simulated as it is given', () => {
    const c = solved(
      malt({
        place: {},
        motor: {
          circuit: {
            poles: 4,
            voltage: '460 V',
            frequency: '60 Hz',
            statorResistance: '0.641 ohm',
            statorReactance: '1.106 ohm',
            rotorResistance: '0.332 ohm',
            rotorReactance: '0.464 ohm',
            magnetisingReactance: '26.3 ohm',
            frictionLoss: '1.1 kW',
            ratedSpeed: '1760 rpm',
            inertia: '0.1 kg·m²',
          },
        },
        practice: 'north-america',
        supply: { voltage: '460 V', frequency: '60 Hz', source: { kind: 'stiff' } },
        load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '9 kW', speed: '1760 rpm' } },
      }),
    );
    expect(c.start?.machine).toMatchObject({ origin: 'given', met: [] });
    // 154.9 A at standstill: 460/√3 over the circuit's own impedance (exact solution in machine.test).
    expect(figure(c, 'start.direct.peakCurrent')).toBeCloseTo(figure(c, 'motor.startingCurrent'), 1);
  });
  it('is part of the result’s published schema', () => {
    expect(resultSchema.safeParse(JSON.parse(JSON.stringify(r))).error).toBeUndefined();
  });
  it('without a supply voltage or a load nothing is simulated, and standstill is told as before', () => {
    const { supply: _, ...rest } = fan;
    const without = solved({ ...rest, supply: { frequency: '50 Hz' } });
    expect(without.start).toBeNull();
    expect(without.stations.start.wanted).toContain('supply.voltage');
  });
});

describe('limits of inertia (from memory)', () => {
  it('NEMA MG 1 12.54.1: 100 hp at 1800 r/min 441 lb·ft², 10 hp 51, 75 hp at 3600 r/min 71', () => {
    const pounds = (hp: number, poles: number) =>
      practice.northAmerica.inertiaLimit(hp * horsepower, poles).value / (0.45359237 * 0.3048 ** 2);
    expect(pounds(100, 4)).toBeCloseTo(441, 0);
    expect(Math.abs(pounds(10, 4) - 51)).toBeLessThan(2);
    expect(pounds(75, 2)).toBeCloseTo(71, 0);
  });
  it('IEC 60034-12: 0.04 P^0.9 p^2.5', () => {
    expect(practice.iec.inertiaLimit(10_000, 4).value).toBeCloseTo(0.04 * 10 ** 0.9 * 2 ** 2.5, 9);
  });
});

describe('settings found', () => {
  const { starting } = whole(
    malt({ load: { ...fan.load, machine: 'centrifugal-pump', maxStartTime: '15 s' } as CaseText['load'] }),
  );
  const s = starting ?? expect.fail();
  const found = findSettings(s);
  const of = (path: string) => found.find((f) => f.path === path) ?? expect.fail(path);
  const plan = (settings: CaseText['start'], method: Method) => {
    const again = whole(
      malt({
        method,
        start: settings,
        load: { ...fan.load, machine: 'centrifugal-pump', maxStartTime: '15 s' } as CaseText['load'],
      }),
    );
    return row(again.result, method);
  };
  it('the lowest limit starts in time, and less does not', () => {
    const limit = Number(of('start.softStarter.limit').value);
    expect(plan({ softStarter: { limit } }, 'soft-starter').run?.time).toBeLessThanOrEqual(15);
    const less = plan({ softStarter: { limit: limit - 0.15 } }, 'soft-starter').run;
    expect(less?.time ?? Infinity).toBeGreaterThan(15);
  });
  it('the shortest ramp is followed, a shorter one meets the limit', () => {
    const ramp = String(of('start.drive.ramp').value);
    const events = (x: StartRow) => x.events.map((e) => e.text);
    expect(events(plan({ drive: { ramp } }, 'drive'))).not.toContain('current limit reached');
    expect(events(plan({ drive: { ramp: `${parseFloat(ramp) * 0.8} s` } }, 'drive'))).toContain(
      'current limit reached',
    );
  });
  it('the changeover found starts the machine', () => {
    const time = String(of('start.starDelta.time').value);
    expect(plan({ starDelta: { time } }, 'star-delta').run?.ending).toBe('running');
  });
  it('a pump’s stop is slow against its pipeline', () => {
    expect(parseFloat(String(of('start.softStarter.stop').value))).toBeGreaterThanOrEqual(10);
    // 20 L ÷ a at 1200 m/s: 1.8 km want 30 s.
    expect(physics.gentlestStop(s.bench, 1800)).toBeCloseTo(30, 6);
    // 9.5493 r/min are 1 rad/s: to half of it 6 kg·m² coast 5 s against 0.6 × 1 N·m; a ramp takes three times that.
    const load = { ...s.bench.load, speed: 30 / Math.PI, torque: 1 };
    expect(physics.gentlestStop({ ...s.bench, inertia: 6, load }, undefined)).toBeCloseTo(15, 9);
    expect(physics.gentlestStop({ ...s.bench, inertia: 3, load }, undefined)).toBe(10);
    const slams = solved(
      malt({
        method: 'soft-starter',
        start: { softStarter: { stop: '3 s', pipe: '1800 m' } },
        load: { ...fan.load, machine: 'centrifugal-pump' } as CaseText['load'],
      }),
    );
    expect(finding(slams, 'start.slams')?.text).toContain('may slam');
  });
  it('where none will do it says so', () => {
    const hard =
      whole(
        malt({
          load: { machine: 'crusher', breakaway: 2.6, demand: { kind: 'power', power: '60 kW', speed: '1480 rpm' } },
        }),
      ).starting ?? expect.fail();
    const none = findSettings(hard).filter((f) => f.value === null);
    expect(none.map((f) => f.path)).toEqual(
      expect.arrayContaining(['start.softStarter.limit', 'start.starDelta.time']),
    );
    for (const f of none) expect(f.why.length).toBeGreaterThan(20);
  });
});

describe('on demand', () => {
  const s = whole(malt({ method: 'star-delta' })).starting ?? expect.fail();
  it('first cycles of a direct start: a crest well above √2 × locked-rotor current, and torque both ways', () => {
    const v = firstCyclesOf(s, 'direct');
    const locked = physics.currentAt(s.bench.circuit, 400, 50, 1);
    expect(v.peakCurrent / (Math.SQRT2 * locked)).toBeGreaterThan(1.05);
    expect(v.peakCurrent / (Math.SQRT2 * locked)).toBeLessThan(2);
    expect(v.time.length).toBe(v.current.length);
    expect(v.caution).toContain('instantaneous trip');
  });
  it('first cycles of the changeover take the worse wiring', () => {
    const v = firstCyclesOf(s, 'star-delta');
    expect(v.torqueRatio).toBeGreaterThan(1);
    expect(v.residual).toBeGreaterThan(0);
  });
  it(
    'any operating point: half voltage carries half load at more slip; the ' +
      'best voltage for little load is lower and takes less',
    () => {
      const full = operateAt(s, 400, 50, 0.25);
      const low = operateAt(s, 300, 50, 0.25);
      expect(low.at?.slip ?? 0).toBeGreaterThan(full.at?.slip ?? 1);
      expect(full.best?.voltage ?? 400).toBeLessThan(390);
      expect(full.best?.input ?? Infinity).toBeLessThan(full.at?.input ?? 0);
      expect(operateAt(s, 100, 50, 1).at).toBeNull();
      // Above base speed: the same voltage at 60 Hz turns faster and carries less.
      expect(operateAt(s, 400, 60, 0.5).at?.speed ?? 0).toBeGreaterThan(1750);
    },
  );
});

describe('whatever a case says of its start', () => {
  it('every figure is finite and every row has a sentence', () => {
    const share = fc.double({ min: 0.3, max: 0.95, noNaN: true });
    const seconds = fc.double({ min: 0.01, max: 400, noNaN: true }).map((x) => `${x} s`);
    // Nought but for the last bits is refused where it is typed.
    const plainly = (min: number, max: number) => fc.double({ min, max, noNaN: true }).map((x) => (x < 1e-9 ? 0 : x));
    const start = fc.record(
      {
        starDelta: fc.record(
          { time: seconds, transition: fc.constantFrom('open' as const, 'closed' as const) },
          { requiredKeys: [] },
        ),
        autotransformer: fc.record({ tap: share, speed: share }, { requiredKeys: [] }),
        reactor: fc.record(
          { share, element: fc.constantFrom('reactor' as const, 'resistor' as const) },
          { requiredKeys: [] },
        ),
        softStarter: fc.record(
          {
            limit: fc.double({ min: 1, max: 8, noNaN: true }),
            ramp: fc.constantFrom('voltage' as const, 'torque' as const, 'none' as const),
            from: plainly(0, 1),
            time: seconds,
            kick: fc.constantFrom('0 s', '0.5 s'),
          },
          { requiredKeys: [] },
        ),
        drive: fc.record(
          {
            ramp: seconds,
            limit: fc.double({ min: 0.5, max: 3, noNaN: true }),
            control: fc.constantFrom('vector' as const, 'scalar' as const),
            boost: plainly(0, 0.3),
          },
          { requiredKeys: [] },
        ),
      },
      { requiredKeys: [] },
    );
    const inertia = fc.constantFrom('0 kg·m²', '0.001 kg·m²', '5 kg·m²', '4000 kg·m²', '1e9 kg·m²');
    const machine = fc.constantFrom(
      'crusher' as const,
      'centrifugal-fan' as const,
      'machine-tool' as const,
      'hoist' as const,
    );
    fc.assert(
      fc.property(
        start,
        inertia,
        machine,
        fc.constantFrom('10 MVA', '630 kVA', '20 kVA'),
        fc.constantFrom(...methods),
        (settings, J, kind, rating, method) => {
          const r = solved(
            malt({
              method,
              start: settings,
              supply: {
                voltage: '400 V',
                frequency: '50 Hz',
                source: { kind: 'transformer', rating, impedance: 0.05 },
              },
              load: { machine: kind, inertia: J, demand: { kind: 'power', power: '60 kW', speed: '1480 rpm' } },
            }),
          );
          for (const [id, f] of Object.entries(r.figures)) expect(Number.isFinite(f.value), id).toBe(true);
          for (const x of r.start?.rows ?? []) expect(x.text, x.method).not.toBe('');
          expect(JSON.stringify(r)).not.toContain('null,null');
        },
      ),
      { numRuns: 60 },
    );
  }, 60_000);
  it('a setting out of range is said at its field', () => {
    const bad = readCase(malt({ start: { softStarter: { limit: 12 } } }));
    expect(bad.ok ? [] : bad.errors.map((e) => e.path)).toEqual(['start.softStarter.limit']);
    expect(
      caseSchema.safeParse(malt({ start: { drive: { control: 'magic' } } as unknown as CaseText['start'] })).success,
    ).toBe(false);
  });
});
