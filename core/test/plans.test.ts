import { describe, expect, it } from 'vitest';
import { methods, motorById, readCase, runs, solveWith, type CaseText, type Method } from '@pilgrim/core';
import { conveyor } from './cases';

const fan = {
  ...conveyor,
  load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '18 hp', speed: '1750 rpm' } },
} as const satisfies CaseText;

/** A start of the same motor, planned by what the case sets. */
function planned(method: Method, start: CaseText['start'] = {}, load: Partial<CaseText['load']> = {}) {
  const reading = readCase({ ...fan, load: { ...fan.load, ...load }, start, motor: { catalogue: 'na-tefc-25hp-4p' } });
  if (!reading.ok) expect.fail(JSON.stringify(reading.errors));
  const { screening } = solveWith(reading.value);
  const motor = motorById('na-tefc-25hp-4p');
  const bench = screening && motor && runs.benchFor(screening.needs, motor);
  if (!bench) expect.fail('no bench');
  return { bench, ...runs.planFor(reading.value.start, method, bench, bench.aim) };
}
/** Settings as label, text, and whether somebody gave them. */
const shown = (p: ReturnType<typeof planned>): [string, string, boolean][] =>
  p.settings.map((s) => [s.label, s.text, s.assumed === null]);

describe('a method’s plan where nobody set anything: the usual, marked as assumed', () => {
  it('every setting of every method says that it was assumed, and where to set it', () => {
    for (const method of methods) {
      for (const s of planned(method).settings) {
        expect(s.assumed).toBeTruthy();
        expect(s.path).toMatch(/^start\.(starDelta|autotransformer|reactor|softStarter|drive)\.\w+$/);
      }
    }
  });
  it('direct has none', () => expect(planned('direct')).toMatchObject({ plan: { method: 'direct' }, settings: [] }));
  it('star-delta: open, 50 ms, changed over where the star has done what it can', () => {
    const p = planned('star-delta');
    expect(p.plan).toMatchObject({ method: 'star-delta', pause: 0.05, changeover: { at: 'speed' } });
    expect(shown(p).slice(0, 2)).toEqual([
      ['Transition', 'open', false],
      ['Pause', '0.05 s', false],
    ]);
    const share = p.settings.find((s) => s.path === 'start.starDelta.speed')?.value;
    expect(Number(share)).toBeGreaterThan(0.5);
    expect(Number(share)).toBeLessThan(1);
  });
  it('autotransformer: 65 % tap', () => {
    const p = planned('autotransformer');
    expect(p.plan).toMatchObject({ tap: 0.65, changeover: { at: 'speed' } });
    expect(shown(p)[0]).toEqual(['Tap', '65 %', false]);
  });
  it('reactor: 65 % of the voltage', () => {
    expect(planned('primary-reactor').plan).toMatchObject({ element: 'reactor', share: 0.65 });
  });
  it('soft starter: 3.5 × rated, voltage ramp from 30 % in 10 s, no kick', () => {
    const p = planned('soft-starter');
    expect(p.plan).toMatchObject({ ramp: 'voltage', from: 0.3, time: 10, kick: undefined });
    expect(p.plan.method === 'soft-starter' && p.plan.limit / p.bench.ratedCurrent).toBeCloseTo(3.5, 10);
    expect(shown(p)).toEqual([
      ['Current limit', '3.5 × rated current', false],
      ['Ramp of', 'voltage', false],
      ['Voltage at the start', '30 %', false],
      ['Ramp time', '10 s', false],
    ]);
  });
  it('drive: 10 s to rated speed, its overload as limit, vector control without boost', () => {
    const p = planned('drive');
    expect(p.plan).toMatchObject({ method: 'drive', ramp: 10, control: 'vector', boost: 0 });
    expect(p.plan.method === 'drive' && p.plan.limit / p.bench.ratedCurrent).toBeCloseTo(1.2, 10);
    expect(p.plan.method === 'drive' && p.plan.speed).toBeCloseTo(1750, 6);
    expect(p.settings.map((s) => s.label)).toEqual(['Ramp to rated speed', 'Current limit', 'Control']);
  });
  it('a machine that must be up sooner gets shorter ramps, and says why', () => {
    const ramp = (method: Method, maxStartTime: string) =>
      planned(method, {}, { maxStartTime }).settings.find(
        (s) => /\.(time|ramp)$/.test(s.path) && s.value !== 'voltage',
      );
    expect(ramp('drive', '4 s')).toMatchObject({ value: 2.8, assumed: 'well within the permitted time' });
    expect(ramp('soft-starter', '4 s')).toMatchObject({ value: 2.8, assumed: 'well within the permitted time' });
    // 0.7 × 14.3 s is ten seconds.
    expect(ramp('drive', '14.2 s')?.value).toBe(9.9);
    expect(ramp('drive', '15 s')).toMatchObject({ value: 10, assumed: 'usual' });
  });
});

describe('what the case sets is taken, and not marked as assumed', () => {
  it('star-delta', () => {
    const open = planned('star-delta', { starDelta: { transition: 'open', pause: '80 ms', time: '6 s' } });
    expect(open.plan).toMatchObject({ pause: 0.08, changeover: { at: 'time', time: 6 } });
    expect(shown(open)).toEqual([
      ['Transition', 'open', true],
      ['Pause', '0.08 s', true],
      ['Changeover after', '6 s', true],
    ]);
    const closed = planned('star-delta', { starDelta: { transition: 'closed', pause: '80 ms', speed: 0.9 } });
    expect(closed.plan).toMatchObject({ pause: 0, changeover: { at: 'speed', share: 0.9 } });
    expect(shown(closed)).toEqual([
      ['Transition', 'closed', true],
      ['Changeover at', '90 % speed', true],
    ]);
  });
  it('autotransformer and reactor', () => {
    const auto = planned('autotransformer', { autotransformer: { tap: 0.8, time: '5 s' } });
    expect(auto.plan).toMatchObject({ tap: 0.8, changeover: { at: 'time', time: 5 } });
    expect(shown(auto).every(([, , given]) => given)).toBe(true);
    const resistor = planned('primary-reactor', { reactor: { element: 'resistor', share: 0.7, speed: 0.8 } });
    expect(resistor.plan).toMatchObject({ element: 'resistor', share: 0.7, changeover: { at: 'speed', share: 0.8 } });
    expect(shown(resistor).every(([, , given]) => given)).toBe(true);
  });
  it('soft starter with a torque ramp and a kick', () => {
    const p = planned('soft-starter', {
      softStarter: { limit: 4, ramp: 'torque', from: 0.2, time: '7 s', kick: '0.2 s', kickVoltage: 0.7 },
    });
    expect(p.plan).toMatchObject({ ramp: 'torque', from: 0.2, time: 7, kick: { voltage: 0.7, time: 0.2 } });
    expect(shown(p)).toEqual([
      ['Current limit', '4 × rated current', true],
      ['Ramp of', 'torque', true],
      ['Torque at the start', '20 %', true],
      ['Ramp time', '7 s', true],
      ['Kick', '0.2 s', true],
      ['Kick voltage', '70 %', true],
    ]);
  });
  it('a kick without its voltage takes the usual one; a kick of no time is none', () => {
    const usual = planned('soft-starter', { softStarter: { kick: '0.2 s' } });
    expect(usual.plan).toMatchObject({ kick: { voltage: 0.8, time: 0.2 } });
    expect(shown(usual).at(-1)).toEqual(['Kick voltage', '80 %', false]);
    const none = planned('soft-starter', { softStarter: { kick: '0 s' } });
    expect(none.plan).toMatchObject({ kick: undefined });
    expect(shown(none).map(([label]) => label)).not.toContain('Kick');
  });
  it('soft starter without a ramp: full voltage at once, under the limit', () => {
    const p = planned('soft-starter', { softStarter: { ramp: 'none' } });
    expect(p.plan).toMatchObject({ ramp: 'none', from: 1, time: 0 });
    expect(p.settings.map((s) => s.label)).toEqual(['Current limit', 'Ramp of']);
  });
  it('drive', () => {
    const p = planned('drive', { drive: { ramp: '20 s', limit: 1.4, control: 'scalar', boost: 0.05 } });
    expect(p.plan).toMatchObject({ ramp: 20, control: 'scalar', boost: 0.05 });
    expect(p.plan.method === 'drive' && p.plan.limit / p.bench.ratedCurrent).toBeCloseTo(1.4, 10);
    expect(shown(p)).toEqual([
      ['Ramp to rated speed', '20 s', true],
      ['Current limit', '1.4 × rated current', true],
      ['Control', 'scalar', true],
      ['Boost at zero speed', '5 %', true],
    ]);
    expect(planned('drive', { drive: { control: 'scalar' } }).plan).toMatchObject({ boost: 0.03 });
  });
});

describe('a changeover where the reduced stage has done what it can', () => {
  it('comes sooner on less voltage, and at a hundredth of the speed where it does not even start', () => {
    const share = (tap: number): number => {
      const { plan } = planned('autotransformer', { autotransformer: { tap } });
      return plan.method === 'autotransformer' && plan.changeover.at === 'speed' ? plan.changeover.share : NaN;
    };
    expect(share(0.4)).toBeLessThan(share(0.5));
    expect(share(0.5)).toBeLessThan(share(0.8));
    expect(share(0.8)).toBeLessThan(0.97);
    const hard = planned('autotransformer', { autotransformer: { tap: 0.5 } }, { breakaway: 5 });
    expect(hard.plan).toMatchObject({ changeover: { at: 'speed', share: 0.01 } });
  });
});

describe('fitted circuits', () => {
  it('are found once for each connection, none where the data are no motor’s', () => {
    const motor = motorById('na-tefc-25hp-4p');
    if (!motor) expect.fail('no motor');
    expect(runs.fittedCircuit(motor, 460)).toBe(runs.fittedCircuit(motor, 460));
    expect(runs.fittedCircuit({ ...motor, speed: 1800 }, 460)).toBeUndefined();
    expect(runs.fittedCircuit({ ...motor, efficiency: 1 }, 460)).toBeUndefined();
    expect(runs.fittedCircuit({ ...motor, connections: [] }, 460)).toBeUndefined();
    expect(runs.fittedCircuit({ ...motor, speed: 1799 }, 460)).toBeDefined();
    // A voltage it has no connection for is met by its highest.
    expect(runs.fittedCircuit({ ...motor }, 999)?.circuit.voltage).toBe(motor.connections.at(-1)?.voltage);
  });
  it('low and high voltage are the same machine', () => {
    const motor = motorById('na-tefc-25hp-4p');
    const [low, high] = [230, 460].map((u) => motor && runs.fittedCircuit(motor, u)?.circuit);
    expect(Math.abs((high?.statorReactance ?? 0) / (low?.statorReactance ?? 1) / 4 - 1)).toBeLessThan(0.02);
  });
});
