import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { CaseText, Result, StartRow } from '@pilgrim/core';
import { conveyor, figure, ordinaryPlate, solved } from './cases';
import { likelyCase } from './randomCases';

const poles4 = 1800;
const fan = (own: Partial<CaseText> = {}, load: object = {}): CaseText => ({
  ...conveyor,
  load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '18 hp', speed: '1750 rpm' }, ...load },
  motor: { plate: ordinaryPlate },
  ...own,
});
const row = (r: Result, method: string): StartRow => {
  const found = r.start?.rows.find((x) => x.method === method);
  if (!found) expect.fail(`no row ${method}`);
  return found;
};

describe('what a row of the comparison says is what its run shows', () => {
  /**
   * Its outcome and sentence against its own numbers; limits as in the house (stopping at 100 % heat, telling from 70
   * %).
   */
  const fits = (r: Result, x: StartRow, permitted: number): void => {
    const run = x.run;
    if (!run) return expect(x.outcome).toBe('fail');
    const about = `${r.name ?? ''} ${x.method}: ${x.text}`;
    const bad =
      run.ending !== 'running' ||
      run.thermalUse > 1 ||
      (run.time ?? Infinity) > permitted ||
      (run.dip !== null && run.dip > 0.15);
    if (bad) expect(x.outcome, about).toBe('fail');
    else if (run.thermalUse > 0.7) expect(x.outcome, about).not.toBe('pass');
    if (x.outcome === 'pass') {
      expect(run.ending, about).toBe('running');
      expect(run.thermalUse, about).toBeLessThanOrEqual(0.7);
      expect(run.margin, about).toBeGreaterThan(0);
      const told = Number(/([\d.]+) % of the permitted heat/.exec(x.text)?.[1]);
      expect(Math.abs(told - 100 * run.thermalUse), about).toBeLessThanOrEqual(0.5);
    }
    if (run.ending === 'stalled') expect(x.text, about).toMatch(/^Stalls|Only|Does not|Dips/);
  };
  it('over likely cases of both practices', () => {
    fc.assert(
      fc.property(likelyCase, (text) => {
        const r = solved({ ...text, rules: { ...text.rules, maxDip: 0.15 } });
        for (const x of r.start?.rows ?? []) fits(r, x, r.figures['start.permittedTime']?.value ?? Infinity);
      }),
      { numRuns: 60, seed: 20 },
    );
  });
  it('a direct start of growing inertia: passes, is told hot from 70 %, fails from 100 % heat', () => {
    const seen = [1, 4, 8, 12, 16, 20, 26, 32, 40, 60].map((kgm2) => {
      const x = row(solved(fan({ start: { stallTime: '12 s' } }, { inertia: `${kgm2} kg.m2` })), 'direct');
      return [x.run?.thermalUse ?? 9, x.outcome] as const;
    });
    for (const [i, [use]] of seen.entries()) expect(use).toBeGreaterThan(seen[i - 1]?.[0] ?? 0);
    for (const [use, outcome] of seen)
      expect([use, outcome]).toEqual([use, use > 1 ? 'fail' : use > 0.7 ? 'caution' : 'pass']);
    expect(new Set(seen.map(([, o]) => o))).toEqual(new Set(['pass', 'caution', 'fail']));
  });
  it('an autotransformer changed over too early jolts, and says at what speed', () => {
    const at = (speed: number) =>
      row(solved(fan({ start: { autotransformer: { tap: 0.5, speed } } })), 'autotransformer');
    expect(at(0.4)).toMatchObject({
      outcome: 'fail',
      text: expect.stringContaining('nearly as much as a direct start'),
    });
    expect(at(0.95).text).not.toContain('nearly as much');
  });
});

describe('curves of the start', () => {
  const r = solved(fan({ method: 'direct' }, { inertia: '4 kg.m2' }));
  const curves = r.curves.start;
  it('all columns over time are equally long, begin at standstill and end where the run ends', () => {
    if (!curves) expect.fail('no curves');
    const { time, speed, line, torque, load, bus, heat } = curves;
    for (const column of [speed, line, torque, load, bus, heat]) expect(column.length).toBe(time.length);
    expect([time[0], speed[0], heat[0]]).toEqual([0, 0, 0]);
    expect(time.length).toBeGreaterThan(50);
    for (const [i, t] of time.entries()) if (i > 0) expect(t).toBeGreaterThanOrEqual(time[i - 1] ?? -1);
    expect(time.at(-1)).toBeGreaterThanOrEqual((row(r, 'direct').run?.time ?? NaN) - 1e-3);
    // A trace asks for shorter steps than the run that was judged.
    expect(Math.abs((speed.at(-1) ?? 0) / (row(r, 'direct').run?.endSpeed ?? 1) - 1)).toBeLessThan(1e-3);
    // Heat only rises while it starts; the bus is lowest where the line draws most.
    expect(heat.at(-1)).toBe(Math.max(...heat));
    expect(bus.indexOf(Math.min(...bus))).toBe(line.indexOf(Math.max(...line)));
    expect(bus.every((u) => u > 0.8 && u <= 1.001)).toBe(true);
  });
  it('each method’s torque and current run from standstill over the speeds it is used at', () => {
    const methods = curves?.methods ?? [];
    expect(methods.map((m) => m.method)).toContain('drive');
    for (const { method, speed, torque, current } of methods) {
      expect(torque.length, method).toBe(speed.length);
      expect(current.length, method).toBe(speed.length);
      expect(speed[0], method).toBe(0);
      // Where it is changed over it steps: the same speed twice, once, and nowhere else.
      const step = speed.findIndex((n, i) => n === speed[i - 1]);
      if (['direct', 'soft-starter', 'drive'].includes(method)) expect(step, method).toBe(-1);
      for (const [i, n] of speed.entries())
        if (i > 0 && i !== step) expect(n, method).toBeGreaterThan(speed[i - 1] ?? -1);
      if (method !== 'drive') expect(torque.at(-1), method).toBeLessThan(Math.max(...torque) / 3);
    }
    const drive = methods.find((m) => m.method === 'drive');
    const most = drive?.speed.at(-1) ?? 0;
    expect(drive?.speed.map((n) => n / most)).toEqual(Array.from({ length: 13 }, (_, i) => expect.closeTo(i / 12, 4)));
    expect(most).toBeGreaterThan(0.9 * poles4);
  });
});

describe('a curve and the figures beside it', () => {
  it('star-delta runs in star up to its changeover, and three times that in delta from there', () => {
    const text: CaseText = {
      ...{ format: 'pilgrim.case/1', practice: 'iec', method: 'star-delta' },
      supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'stiff' } },
      load: {
        machine: 'centrifugal-fan',
        inertia: '4 kg.m2',
        demand: { kind: 'power', power: '15 kW', speed: '1470 rpm' },
      },
    };
    const r = solved(text);
    const curve = r.curves.start?.methods.find((m) => m.method === 'star-delta');
    const at = curve?.speed.findIndex((n, i) => n === curve.speed[i + 1]) ?? -1;
    expect(at).toBeGreaterThan(0);
    const changed = r.start?.rows.find((x) => x.method === 'star-delta')?.events.find((e) => e.text === 'full line');
    expect(curve?.speed[at]).toBeCloseTo(changed?.speed ?? NaN, 0);
    expect((curve?.torque[at + 1] ?? 0) / (curve?.torque[at] ?? 1)).toBeCloseTo(3, 1);
    const direct = r.curves.start?.methods.find((m) => m.method === 'direct');
    expect(curve?.torque.at(-1)).toBeCloseTo(direct?.torque.at(-1) ?? NaN, 1);
    expect((direct?.torque[0] ?? 0) / (curve?.torque[0] ?? 1)).toBeCloseTo(3, 1);
  });
});

describe('the machine the start is made with', () => {
  const machine = (text: CaseText) => solved(text).start?.machine;
  it('fitted: seven parameters, two more for a second cage, one for stray loss; the points it met', () => {
    const m = machine(fan());
    const symbols = m?.parameters.map((p) => p.symbol) ?? [];
    const cages = symbols.includes('R3');
    expect(symbols).toEqual([
      'R1',
      'X1',
      'R2',
      'X2',
      ...(cages ? ['R3', 'X3'] : []),
      'Xm',
      'Pc',
      'Pf',
      ...(symbols.includes('Rs') ? ['Rs'] : []),
    ]);
    expect(m?.origin).toBe('fitted');
    expect(m?.reason).toBeNull();
    expect(m?.met.map((x) => x.label)).toContain('Locked-rotor current');
    for (const x of m?.met ?? []) expect(x.deviation).toBeCloseTo(x.got / x.wanted - 1, 6);
    expect(m?.assumed.every((a) => a.includes(' '))).toBe(true);
    expect(m?.assumed.some((a) => a.includes('stator copper'))).toBe(true);
    expect(m?.partLoad.map((p) => p.load)).toEqual([0.25, 0.5, 0.75, 1, 1.25]);
  });
  it('values no one machine has: the reason stands in the view and in the finding alike', () => {
    const r = solved(fan({ motor: { plate: { ...ordinaryPlate, speed: '1620 rpm', efficiency: 0.93 } } }));
    const finding = r.findings.find((f) => f.id === 'motor.inconsistent');
    expect(r.start?.machine?.reason).toBeTruthy();
    expect(finding?.text).toContain(r.start?.machine?.reason ?? 'nothing');
  });
});

describe('guard of what is there', () => {
  const plate = (own: object) => ({
    ...conveyor,
    motor: { plate: { ...ordinaryPlate, ...own } },
    method: 'direct' as const,
  });
  it('beyond the code’s table the plate’s current stands, and that is said', () => {
    const big = solved(plate({ power: '600 hp', current: '1300/650 A', frame: undefined }));
    expect(big.findings.find((f) => f.id === 'guard.no-table-current')).toMatchObject({
      level: 'caution',
      text: expect.stringContaining('600 hp'),
    });
    expect(big.figures['guard.tableCurrent']).toBeUndefined();
    expect(solved(plate({})).findings.map((f) => f.id)).not.toContain('guard.no-table-current');
  });
  it('without a current, nothing is told rather than something made up', () => {
    const r = solved({ ...conveyor, load: undefined, plate: { ...ordinaryPlate, current: undefined } });
    expect(Object.keys(r.figures).filter((id) => id.startsWith('guard.'))).toEqual([]);
  });
  it('the higher trip of the code is told where the practice has one, and under IEC not', () => {
    expect(figure(solved(plate({})), 'guard.overloadMaximum')).toBeCloseTo(
      1.3 * figure(solved(plate({})), 'guard.overloadDial'),
      9,
    );
    const european = solved({
      ...conveyor,
      practice: 'iec',
      supply: { voltage: '400 V', frequency: '50 Hz', phases: 3 },
      motor: { catalogue: 'iec-ip55-ie3-15kW-4p' },
    });
    expect(european.figures['guard.overloadTrip']).toBeDefined();
    expect(european.figures['guard.overloadMaximum']).toBeUndefined();
  });
});

describe('torque where the supply is off', () => {
  // U²: 440 V on a motor of 460 V leaves 91.5 %; without a motor the nearest made voltage stands for it.
  it('of the plate’s voltage, else of the nearest a motor is made for', () => {
    const at = (volts: string, plate?: CaseText['plate']) =>
      figure(
        solved({ ...conveyor, load: undefined, plate, supply: { ...conveyor.supply, voltage: volts } }),
        'place.torqueHere',
      );
    expect(at('440 V', ordinaryPlate)).toBeCloseTo((440 / 460) ** 2, 9);
    expect(at('470 V')).toBeCloseTo((470 / 480) ** 2, 9);
    expect(at('225 V')).toBeCloseTo((225 / 230) ** 2, 9);
    expect(at('590 V')).toBeCloseTo((590 / 600) ** 2, 9);
  });
});
