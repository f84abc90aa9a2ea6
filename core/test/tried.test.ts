import { describe, expect, it } from 'vitest';
import {
  genericMotors,
  motorById,
  readCase,
  runs,
  solveWith,
  type CaseText,
  type Method,
  type Motor,
  type Needs,
} from '@pilgrim/core';
import { conveyor } from './cases';

/** A start judged: every line by itself, both sides, on runs made up for it; then the search among settings. */

function needsOf(text: CaseText): Needs {
  const reading = readCase(text);
  if (!reading.ok) expect.fail(JSON.stringify(reading.errors));
  const { screening } = solveWith(reading.value);
  if (!screening) expect.fail('nothing was judged');
  return screening.needs;
}
const motor = (id: string): Motor => motorById(id) ?? expect.fail(`no motor ${id}`);

const four = motor('na-tefc-25hp-4p');
// Behind the bank a network is described: where none is, that is a condition of its own.
const needs = needsOf({ ...conveyor, supply: { ...conveyor.supply, upstream: '250 MVA' } });
const bench = runs.benchFor(needs, four) ?? expect.fail('no bench');
const synchronous = 1800;
const simulated = runs.triedOf(needs, four, 'direct')?.run ?? expect.fail('no run');

/** A start against which nothing speaks. */
const smooth: typeof simulated = {
  ...simulated,
  outcome: 'running',
  time: 3,
  heldAt: undefined,
  peakLine: 100,
  changeoverCurrent: undefined,
  dip: 0.02,
  margin: bench.ratedTorque,
  marginSpeed: 900,
  statorHeat: 0.3,
  rotorHeat: 0.4,
  events: [],
};

interface Asked {
  readonly method?: Method;
  readonly directPeak?: number;
  readonly starts?: number;
  readonly needs?: Needs;
}
const against = (over: Partial<typeof smooth> = {}, { method = 'direct', directPeak, starts, needs: n }: Asked = {}) =>
  runs.problemsOf(n ?? needs, bench, method, four, { ...smooth, ...over }, directPeak, starts);
const brief = (...given: Parameters<typeof against>): string[] => against(...given).map((p) => `${p.level} ${p.id}`);
const withStart = (over: Partial<Needs['start']>): Needs => ({ ...needs, start: { ...needs.start, ...over } });
const withSupply = (over: Partial<Needs['supply']>): Needs => ({ ...needs, supply: { ...needs.supply, ...over } });
/** Changed over at a share of synchronous speed, with a share of the direct start's peak of 200 A. */
const changed = (reached: number, share: number, over: Partial<typeof smooth> = {}) =>
  brief(
    {
      events: [{ what: 'changed-over', time: 4, speed: reached * synchronous }],
      changeoverCurrent: share * 200,
      ...over,
    },
    { method: 'star-delta', directPeak: 200 },
  );

describe('what speaks against a start', () => {
  it('nothing, where it is smooth', () => {
    expect(against()).toEqual([]);
  });

  it('that it does not come up: stalled, crawling, or not there in ten minutes', () => {
    const [stalled] = against(
      { outcome: 'stalled', margin: -12, heldAt: 600, time: undefined },
      { method: 'star-delta' },
    );
    expect(stalled).toMatchObject({ id: 'start.stalls', level: 'fail' });
    expect(stalled?.text).toMatch(/^Stalls in star: at 600 r\/min the load asks 12(\.0)? N·m/);
    expect(against({ outcome: 'stalled', margin: -12, time: undefined })[0]?.text).toMatch(/^Stalls: at standstill/);
    const [crawling] = against(
      { outcome: 'crawling', heldAt: 0.6 * synchronous, time: undefined },
      { method: 'drive' },
    );
    expect(crawling?.text).toBe('Crawls: the load crosses the motor’s torque at 60 % speed at the current limit.');
    const late = against({
      outcome: 'unfinished',
      time: undefined,
      events: [
        { what: 'changed-over', time: 40, speed: 900 },
        { what: 'changed-over', time: 590, speed: 900 },
      ],
    });
    expect(late[0]).toMatchObject({ id: 'start.too-long', level: 'fail' });
    expect(late[0]?.text).toContain('590 s');
    expect(late.map((p) => p.id)).toEqual(['start.too-long']);
  });

  it('a motor that is there and runs by this starter is not said to stall; by another, or bought, it is', () => {
    const stalled = { ...smooth, outcome: 'stalled', margin: -12, time: undefined } as const;
    const level = (id: string, today: Method | undefined, method: Method = 'direct') =>
      runs.problemsOf(withStart({ today }), bench, method, { ...four, id }, stalled, undefined, undefined)[0];
    expect(level('existing', 'direct')).toMatchObject({ id: 'start.stalls', level: 'caution' });
    expect(level('existing', 'direct')?.text).toMatch(/^It starts so today: .* is doubted\. By it: Stalls/);
    expect(level('existing', 'direct', 'star-delta')?.level).toBe('fail');
    expect(level('existing', undefined)?.level).toBe('fail');
    expect(level(four.id, 'direct')?.level).toBe('fail');
  });
  it('a fit that does not meet its data stops nothing that its maker owes: to one and a half times on a drive', () => {
    const stalled = { ...smooth, outcome: 'stalled', margin: -12, time: undefined, dip: 0 } as const;
    const fitted = { ...(bench.fitted ?? expect.fail()), reason: 'No cage gives this.' };
    const level = (asked: number, method: Method, control?: 'vector' | 'scalar', reason = true) => {
      const load = { ...bench.load, torque: asked * bench.ratedTorque, breakaway: asked * bench.ratedTorque };
      const at = { ...bench, load, fitted: reason ? fitted : (bench.fitted ?? expect.fail()) };
      const n = withStart({ settings: { drive: { ...(control && { control }) } } as never });
      return runs.problemsOf(n, at, method, four, stalled, undefined, undefined)[0]?.level;
    };
    expect([level(1.49, 'drive'), level(1.51, 'drive')]).toEqual(['caution', 'fail']);
    expect([level(0.99, 'drive', 'scalar'), level(1.01, 'drive', 'scalar')]).toEqual(['caution', 'fail']);
    expect(level(1.4, 'drive', undefined, false)).toBe('fail');
    // 480 V on a motor of 460 V: its pull-up torque by the square.
    const owed = four.pullUpTorque * (480 / 460) ** 2;
    expect([level(owed - 0.01, 'direct'), level(owed + 0.01, 'direct')]).toEqual(['caution', 'fail']);
    expect(level(0.2, 'star-delta')).toBe('fail');
  });

  it('heat: over 70 % a caution, over all of it a fail, at the line neither', () => {
    expect(brief({ rotorHeat: 0.7 })).toEqual([]);
    expect(brief({ rotorHeat: 0.71 })).toEqual(['caution start.too-hot']);
    expect(brief({ statorHeat: 1 })).toEqual(['caution start.too-hot']);
    expect(brief({ statorHeat: 1.01 })).toEqual(['fail start.too-hot']);
    expect(against({ statorHeat: 0.2, rotorHeat: 1.3 })[0]?.text).toContain('130 %');
    // What never came up is not told that it was hot as well.
    expect(brief({ outcome: 'stalled', rotorHeat: 2, time: undefined })).toEqual(['fail start.stalls']);
  });

  it('a changeover too early: crawling before it, or none reached', () => {
    expect(changed(0.75, 0.5)).toEqual([]);
    expect(changed(0.74, 0.5)).toEqual(['caution start.crawls']);
    expect(changed(0.9, 0.5, { heldAt: 0.74 * synchronous })).toEqual(['caution start.crawls']);
    expect(changed(0.9, 0.5, { heldAt: 0.75 * synchronous })).toEqual([]);
    const text = (over: Partial<typeof smooth>) =>
      against({ events: [{ what: 'changed-over', time: 4, speed: 900 }], ...over }, { method: 'star-delta' })[0]?.text;
    expect(text({ heldAt: 720 })).toBe(
      'The load crosses the motor’s torque at 40 % speed in star: it crawls there until the changeover.',
    );
    expect(text({})).toBe(
      'The load crosses the motor’s torque at about 50 % speed in star: no more is to be had before the changeover.',
    );
  });

  it('a changeover that draws nearly as much as a direct start: a fail where it comes early besides', () => {
    expect(changed(0.9, 0.9)).toEqual([]);
    expect(changed(0.9, 0.91)).toEqual(['caution start.jolts']);
    expect(changed(0.75, 0.91)).toEqual(['caution start.jolts']);
    expect(changed(0.7, 0.91)).toEqual(['fail start.jolts', 'caution start.crawls']);
    // Nothing to compare with, nothing said; and none of it where the start did not come up.
    expect(brief({ events: [{ what: 'changed-over', time: 4, speed: 1700 }], changeoverCurrent: 900 })).toEqual([]);
    expect(changed(0.5, 0.95, { outcome: 'stalled', time: undefined })).toEqual(['fail start.stalls']);
  });

  it('time: longer than is permitted, by the case or by the machine’s own habit', () => {
    const permitted = (machine: boolean) => withStart({ permitted: { value: 3, text: '3 s', machine } });
    expect(brief({ time: 3 }, { needs: permitted(false) })).toEqual([]);
    const [own] = against({ time: 3.01 }, { needs: permitted(false) });
    expect(own).toMatchObject({ id: 'start.too-long', level: 'fail' });
    expect(own?.text).toContain('3 s is permitted');
    expect(against({ time: 3.01 }, { needs: permitted(true) })[0]?.text).toContain('this machine wants to be there');
  });

  it('the dip: to the house rule, two per cent over it tight, beyond a fail', () => {
    const { maxDip } = needs.rules;
    expect(brief({ dip: maxDip })).toEqual([]);
    expect(brief({ dip: maxDip * 1.015 })).toEqual(['note start.supply-weak']);
    expect(brief({ dip: maxDip * 1.03 })).toEqual(['fail start.supply-weak']);
    expect(against({ dip: maxDip * 1.015 })[0]?.text).toContain('tight');
    expect(against({ dip: maxDip * 1.03 })[0]?.text).not.toContain('tight');
  });

  it('a source nobody described: a caution but for a drive, and for motors too small to ask it', () => {
    const unknown = withSupply({ impedance: undefined });
    expect(brief({ dip: 0.5 }, { needs: unknown })).toEqual(['caution start.source-unknown']);
    expect(brief({ dip: 0.5 }, { needs: unknown, method: 'drive' })).toEqual([]);
    // 4 kW is left to start straight on the line anywhere: torque × speed on either side of it.
    const at = (watts: number) => {
      const ratedTorque = watts / (bench.load.speed * (Math.PI / 30));
      return runs.problemsOf(unknown, { ...bench, ratedTorque }, 'direct', four, smooth, undefined, undefined);
    };
    expect(at(3990)).toEqual([]);
    expect(at(4010).map((p) => p.id)).toEqual(['start.source-unknown']);
  });

  it('what the supplier lets a start draw', () => {
    const limited = withSupply({ startLimit: 100 });
    expect(brief({ peakLine: 100 }, { needs: limited })).toEqual([]);
    expect(against({ peakLine: 101 }, { needs: limited })).toMatchObject([
      { id: 'start.supply-weak', level: 'fail', text: 'Draws 101 A; the supplier lets a start draw 100 A.' },
    ]);
    expect(brief({ peakLine: 1e6 })).toEqual([]);
  });

  it('starts an hour: two are always borne, over what is borne a caution, over twice that a fail', () => {
    const often = (perHour: number | undefined, starts: number | undefined) =>
      brief({}, { needs: withStart({ perHour }), starts });
    expect(often(2, 0.5)).toEqual([]);
    expect(often(3, 0.5)).toEqual(['caution start.too-often']);
    expect(often(6, 6)).toEqual([]);
    expect(often(7, 6)).toEqual(['caution start.too-often']);
    expect(often(12, 6)).toEqual(['caution start.too-often']);
    expect(often(13, 6)).toEqual(['fail start.too-often']);
    // A drive limits nothing, and nobody asked.
    expect(often(100, undefined)).toEqual([]);
    expect(often(undefined, 1)).toEqual([]);
  });

  it('torque to spare: less than 5 % of rated, or a wait until the voltage is back', () => {
    const spare = (share: number) => against({ margin: share * bench.ratedTorque });
    expect(spare(0.0501)).toEqual([]);
    expect(spare(0.0499)).toMatchObject([{ id: 'start.little-margin', level: 'caution' }]);
    expect(spare(0.0499)[0]?.text).toMatch(/^Only .* to spare at 900 r\/min\.$/);
    expect(spare(-0.01)[0]?.text).toMatch(/^Waits: at 900 r\/min the load asks .* more than the motor gives/);
    expect(brief({ margin: -1, outcome: 'stalled', time: undefined })).toEqual(['fail start.stalls']);
  });

  it('no speed control where the machine has use for it, but by a drive', () => {
    const variable = { ...needs, speed: { ...needs.speed, variable: true } };
    expect(brief({}, { needs: variable })).toEqual(['fail start.no-speed-control']);
    expect(brief({}, { needs: variable, method: 'drive' })).toEqual([]);
  });

  it('the worst first', () => {
    const { maxDip } = needs.rules;
    const all = brief(
      { rotorHeat: 0.8, dip: maxDip * 1.015, time: 9 },
      {
        needs: {
          ...withStart({
            permitted: { value: 3, text: '3 s', machine: false },
          }),
        },
      },
    );
    expect(all).toEqual(['fail start.too-long', 'caution start.too-hot', 'note start.supply-weak']);
  });
});

describe('leads', () => {
  const [wye, delta] = [
    { ...four, deltaVoltage: null },
    { ...four, deltaVoltage: 230 },
  ];
  it('star-delta says what the motor lacks', () => {
    expect(runs.missingLeads(wye).text).toContain('does not say it has them');
    expect(runs.missingLeads(delta).text).toContain('has delta at 230 V');
  });
});

describe('settings that the case leaves open', () => {
  const heavy = {
    ...conveyor,
    practice: 'iec',
    supply: {
      voltage: '400 V',
      frequency: '50 Hz',
      phases: 3,
      source: { kind: 'transformer', rating: '250 kVA', impedance: 0.04 },
    },
    load: {
      machine: 'centrifugal-fan',
      demand: { kind: 'power', power: '27 kW', speed: '1475 rpm' },
      inertia: '12 kg.m2',
    },
  } as const satisfies CaseText;
  const thirty =
    genericMotors().find((m) => m.practice === 'iec' && m.power === 30e3 && m.poles === 4 && m.deltaVoltage === 400) ??
    expect.fail('no motor of 30 kW');
  const planned = (text: CaseText, method: Method) => runs.triedOf(needsOf(text), thirty, method);
  const order = { pass: 0, caution: 1, fail: 2 } as const;

  it.each([
    ['soft-starter', 'softStarter', 'limit', [3, 4, 4.5]],
    ['autotransformer', 'autotransformer', 'tap', [0.5, 0.65, 0.8]],
    ['primary-reactor', 'reactor', 'share', [0.5, 0.65, 0.8]],
  ] as const)('%s: none of the usual ones is better than the one found', (method, part, field, values) => {
    const found = planned(heavy, method);
    const set = values.map((value) => planned({ ...heavy, start: { [part]: { [field]: value } } } as CaseText, method));
    const best = Math.min(...set.map((t) => order[t?.outcome ?? 'fail']));
    expect(order[found?.outcome ?? 'fail']).toBeLessThanOrEqual(best);
    // And they differ, or there were nothing to search.
    expect(new Set(set.map((t) => t?.run?.peakLine.toFixed(0))).size).toBe(values.length);
  });

  it('what the case sets is tried alone', () => {
    const at = (limit: number) =>
      planned({ ...heavy, start: { softStarter: { limit } } }, 'soft-starter')?.run?.peakMotor ?? NaN;
    // A start at 1.5 times rated current cannot lift this fan; it is not quietly started at three times.
    expect(at(1.5)).toBeLessThan(at(3));
    expect(planned({ ...heavy, start: { softStarter: { limit: 1.5 } } }, 'soft-starter')?.outcome).toBe('fail');
  });

  it('a reduced start is held against the direct one of the same motor', () => {
    const direct = planned(heavy, 'direct')?.run?.peakLine ?? NaN;
    const star = planned(heavy, 'star-delta')?.run;
    expect(star?.peakLine).toBeLessThan(direct);
  });
});

describe('starts an hour', () => {
  const often = { ...conveyor, load: { ...conveyor.load, inertia: '3 kg.m2' } } as const satisfies CaseText;
  it('straight on the line: the lesser of heat and of the standard; by another method heat alone', () => {
    const n = needsOf(often);
    const byStandard = runs.startsByStandard(n, four)?.value.starts ?? NaN;
    const direct = runs.triedOf(n, four, 'direct');
    expect(direct?.starts).toBeLessThanOrEqual(byStandard);
    const soft = runs.triedOf(n, four, 'soft-starter');
    expect(soft?.run?.outcome).toBe('running');
    // By heat: what full load's losses leave over the load's own, by a start's heat (an hour of it).
    const losses = runs.lossesOf(n, bench);
    const b = runs.benchFor(n, four);
    const own = b && runs.lossesOf(n, b);
    if (!losses || !own || !soft?.run) expect.fail('no losses');
    const heat = soft.run.energy.stator + soft.run.energy.rotor;
    expect(soft.starts).toBeCloseTo((3600 * (own.rated - own.running)) / heat, 3);
    expect(runs.triedOf(n, four, 'drive')?.starts).toBeUndefined();
  });
  it('losses are not known where the load is more than the motor ever gives', () => {
    const much = { ...needs, load: { ...needs.load, torque: 100 * bench.ratedTorque } };
    expect(runs.lossesOf(much, bench)).toBeUndefined();
    expect(runs.lossesOf(needs, bench)?.rated).toBeGreaterThan(0);
  });
});

describe('praise', () => {
  it('says time, heat and dip, the dip only of a source that is known', () => {
    const run = { ...smooth, time: 2.5, statorHeat: 0.1, rotorHeat: 0.42, dip: 0.035 };
    expect(runs.praise(run, true)).toMatch(
      /^At speed in 2\.5\d? s with 42 % of the permitted heat, dipping the bus by 3\.5 %\.$/,
    );
    expect(runs.praise(run, false)).toMatch(/heat\.$/);
    expect(runs.praise({ ...run, time: undefined }, true)).toBe('');
    expect(runs.praise(undefined, true)).toBe('');
  });
});

it('any motor of the catalogue that can be started is judged by the same lines', () => {
  const some = genericMotors().filter((m) => m.practice === 'north-america' && m.power > 15e3 && m.power < 30e3);
  let judged = 0;
  for (const m of some.slice(0, 8)) {
    const tried = runs.triedOf(needs, m, 'direct');
    const b = runs.benchFor(needs, m, 'direct');
    if (!tried?.run || !b) continue;
    judged++;
    expect(tried.problems).toEqual(runs.problemsOf(needs, b, 'direct', m, tried.run, undefined, tried.starts));
    const worst = tried.problems.some((p) => p.level === 'fail');
    expect(tried.outcome === 'fail').toBe(worst);
  }
  expect(judged).toBeGreaterThan(4);
});
