import fc from 'fast-check';
import * as financial from 'financial';
import { describe, expect, it } from 'vitest';
import { physics, readCase, solve, type CaseText, type Result } from '@pilgrim/core';

const { growingPresentValue, spendings, presentWorth, internalRate, discountedYears } = physics;
const worth = (over: Partial<physics.Worth> = {}): physics.Worth => ({
  ...{ cost: 1000, benefit: 162.7454, years: 10, inflation: 0, life: Infinity, once: 0 },
  ...over,
});

describe('sums in time', () => {
  it('one a year: 7.0236 for ten years at 7 %, 6.7101 at 8 %, 9.8181 for twenty at 8 %; tables of present values', () => {
    expect(growingPresentValue(0.07, 10, 0)).toBeCloseTo(7.0236, 4);
    expect(growingPresentValue(0.08, 10, 0)).toBeCloseTo(6.7101, 4);
    expect(growingPresentValue(0.08, 20, 0)).toBeCloseTo(9.8181, 4);
    expect(growingPresentValue(0, 12, 0)).toBeCloseTo(12, 9);
  });
  it('rising prices: as the sums added up one by one, and n ÷ (1 + i) where both rates are one', () => {
    let sum = 0;
    for (let k = 1; k <= 8; k++) sum += 1.03 ** (k - 1) / 1.07 ** k;
    expect(growingPresentValue(0.07, 8, 0.03)).toBeCloseTo(sum, 9);
    expect(growingPresentValue(0.05, 8, 0.05)).toBeCloseTo(8 / 1.05, 9);
  });
  it('162.75 a year for ten years on 1000 is 10 %: 1000 ÷ 6.1446', () => {
    expect(internalRate(worth())).toBeCloseTo(0.1, 5);
    // Twice the cost back after a year.
    expect(internalRate(worth({ years: 1, benefit: 2000 }))).toBeCloseTo(1, 6);
  });
  it('against a package of finance (financial 0.2.4): annuity, net present value and internal rate', () => {
    const rates = fc.double({ min: 0.005, max: 0.3, noNaN: true });
    const given = fc.record({
      cost: fc.double({ min: 100, max: 1e5, noNaN: true }),
      benefit: fc.double({ min: 10, max: 1e5, noNaN: true }),
      years: fc.integer({ min: 1, max: 40 }),
      inflation: fc.double({ min: 0, max: 0.1, noNaN: true }),
    });
    fc.assert(
      fc.property(rates, given, (rate, given) => {
        const w = worth(given);
        const flows = Array.from({ length: given.years }, (_, k) => given.benefit * (1 + given.inflation) ** k);
        expect(physics.presentValue(rate, given.years)).toBeCloseTo(-financial.pv(rate, given.years, 1), 6);
        const theirs = financial.npv(rate, [-given.cost, ...flows]);
        expect(Math.abs(presentWorth(w, rate) - theirs)).toBeLessThan(1e-6 * (given.cost + given.benefit));
        const ours = internalRate(w);
        // The package looks from ten per cent and may not come to an answer far away.
        const irr = financial.irr([-given.cost, ...flows], 0.1, 1e-9, 200);
        if (ours === undefined || Number.isNaN(irr)) return;
        if (irr > -0.5 && irr < 2) expect(ours).toBeCloseTo(irr, 5);
      }),
    );
    expect(internalRate(worth())).toBeCloseTo(financial.irr([-1000, ...Array<number>(10).fill(162.7454)]), 6);
  });
  it('has no rate where nothing is spent or nothing comes back', () => {
    expect(internalRate(worth({ cost: 0 }))).toBeUndefined();
    expect(internalRate(worth({ benefit: 0 }))).toBeUndefined();
    expect(internalRate(worth({ benefit: -5 }))).toBeUndefined();
  });
  it('is bought once where it lasts, again where it does not; what is left at the end counts', () => {
    expect(spendings(0.07, 10, 0, 10)).toBe(1);
    expect(spendings(0.07, 10, 0, Infinity)).toBe(1);
    // Fifteen years, bought at 0 and 10; half of the second is left.
    expect(spendings(0.07, 15, 0, 10)).toBeCloseTo(1 + 1.07 ** -10 - 0.5 * 1.07 ** -15, 9);
    expect(spendings(0, 12, 0, 4)).toBeCloseTo(3, 9);
  });
  it('at the internal rate nothing is left, and more of the cost never makes it higher', () => {
    fc.assert(
      fc.property(
        fc.record({
          cost: fc.double({ min: 100, max: 1e5, noNaN: true }),
          benefit: fc.double({ min: 10, max: 1e5, noNaN: true }),
          years: fc.integer({ min: 1, max: 40 }),
          inflation: fc.double({ min: 0, max: 0.1, noNaN: true }),
        }),
        (given) => {
          const w = worth(given);
          const rate = internalRate(w);
          fc.pre(rate !== undefined);
          expect(presentWorth(w, rate) / w.cost).toBeCloseTo(0, 6);
          expect(internalRate({ ...w, cost: 1.1 * w.cost }) ?? -1).toBeLessThanOrEqual(rate + 1e-9);
        },
      ),
    );
  });
  it('discounted, it pays in the years whose present value is the cost, or never', () => {
    expect(discountedYears(worth({ cost: 7023.582, benefit: 1000 }), 0.07)).toBeCloseTo(10, 4);
    expect(discountedYears(worth({ cost: 1e6, benefit: 1 }), 0.07)).toBeUndefined();
    expect(discountedYears(worth({ cost: 0 }), 0.07)).toBe(0);
  });
});

/** A throttled pump, 18 kW, that would run on a drive. */
const pump = (money: CaseText['money'], over: Partial<CaseText> = {}): Result => {
  const reading = readCase({
    format: 'pilgrim.case/1',
    practice: 'iec',
    supply: { voltage: '400 V', frequency: '50 Hz' },
    load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '18 kW', speed: '1470 rpm' } },
    speed: {
      need: 'variable',
      control: 'throttle-valve',
      min: 0.5,
      profile: [
        { hours: 2000, flow: 1 },
        { hours: 2000, flow: 0.7 },
      ],
    },
    method: 'drive',
    money: { currency: 'EUR', energyPrice: 0.16, years: 10, discountRate: 0.07, installedCost: 6000, ...money },
    ...over,
  });
  if (!reading.ok) throw new Error(JSON.stringify(reading.errors));
  return solve(reading.value);
};
const value = (r: Result, id: string): number => r.figures[id]?.value ?? NaN;
const notWorth = (r: Result) => r.findings.find((f) => f.id === 'cost.not-worth-it');

describe('what a change is worth', () => {
  it('it is back by what the year brings: maintenance takes from it, priced carbon adds to it', () => {
    const plain = pump({});
    const saved = value(plain, 'cost.savedMoney');
    expect(value(plain, 'cost.payback')).toBeCloseTo(6000 / saved, 9);
    expect(value(pump({ maintenance: saved / 2 }), 'cost.payback')).toBeCloseTo(12000 / saved, 6);
    const carbon = pump({ carbon: 0.4, carbonPrice: 100 });
    expect(value(carbon, 'cost.payback')).toBeCloseTo(
      6000 / (saved + value(carbon, 'cost.savedEnergy') * 0.4 * 0.1),
      6,
    );
    // What maintenance eats whole never comes back, however much energy is saved.
    const eaten = pump({ maintenance: saved });
    expect(eaten.figures['cost.payback']).toBeUndefined();
    expect(eaten.stations.cost.key).toBe('brings nothing a year');
  });
  it('at an equal price: saved money × present value of one a year, less the cost', () => {
    const r = pump({});
    expect(value(r, 'cost.savedMoney')).toBeCloseTo(value(r, 'cost.savedEnergy') * 0.16, 6);
    expect(value(r, 'cost.netPresentValue')).toBeCloseTo(
      value(r, 'cost.savedMoney') * ((1 - 1.07 ** -10) / 0.07) - 6000,
      4,
    );
    expect(value(r, 'cost.lifeCycle')).toBeCloseTo(6000 + value(r, 'cost.newEnergy') * 0.16 * 7.02358, 0);
    expect(value(r, 'cost.internalRate')).toBeGreaterThan(0.07);
    expect(value(r, 'cost.discountedPayback')).toBeGreaterThan(value(r, 'cost.payback'));
    expect(notWorth(r)).toBeUndefined();
    const taken = (id: string) => r.figures[id]?.assumed.map((a) => [a.field, a.value]);
    expect(taken('cost.spendings')).toEqual([['money.life', '10']]);
    expect(taken('cost.internalRate')).toEqual(
      expect.arrayContaining([
        ['money.life', '10'],
        ['money.inflation', 0],
      ]),
    );
  });
  it('maintenance takes, carbon at a price and rising prices give', () => {
    const net = (money: CaseText['money']): number => value(pump(money), 'cost.netPresentValue');
    const plain = net({});
    expect(net({ maintenance: 500 })).toBeCloseTo(plain - 500 * 7.02358, 1);
    expect(net({ carbon: 0.25, carbonPrice: 80 })).toBeGreaterThan(plain);
    expect(net({ carbonPrice: 80 })).toBeCloseTo(plain, 6);
    expect(net({ inflation: 0.03 })).toBeGreaterThan(plain);
    expect(net({ life: 5 })).toBeLessThan(plain);
    expect(net({ life: 10 })).toBeCloseTo(plain, 6);
  });
  it('not worth it is said with the sum, and with what would make it worth', () => {
    const r = pump({ installedCost: 60_000 });
    const found = notWorth(r);
    expect(found?.level).toBe('note');
    expect(found?.text).toMatch(/^Not worth it: at 7\.0 % over 10 years it costs [\d,]+ EUR more than it brings\./);
    const price = Number(/energy cost ([\d.]+) EUR/.exec(found?.text ?? '')?.[1]);
    expect(Math.abs(value(pump({ installedCost: 60_000, energyPrice: price }), 'cost.netPresentValue'))).toBeLessThan(
      600,
    );
    // What must be bought anyway is not asked whether it pays.
    expect(notWorth(pump({ installedCost: 60_000 }, { errand: 'failed' }))).toBeUndefined();
  });
  it('says that it rests on an invented index where nobody gave the cost', () => {
    const r = pump({ installedCost: undefined, energyPrice: 0.001 });
    expect(notWorth(r)?.text).toContain('by an invented price index');
    expect(r.figures['cost.netPresentValue']?.assumed.map((a) => a.field)).toContain('money.installedCost');
  });
});

describe('what is there today', () => {
  const plate = {
    ...{ power: '18.5 kW', voltage: '400 V', current: '35 A', speed: '1470 rpm', frequency: '50 Hz', phases: 3 },
    ...{ frame: '180M', protection: 'IP55' },
  } as const;
  const ways = (over: Partial<CaseText>) => {
    const r = pump({}, { errand: 'wasteful', plate, motor: { existing: true }, ...over });
    return { r, keep: r.cost?.options.find((o) => o.kind === 'keep'), kinds: r.cost?.options.map((o) => o.kind) };
  };
  it('a motor that hangs on a drive already runs by speed today: nothing is saved by putting it on one', () => {
    const valve = ways({ method: null, motor: null });
    const driven = ways({ method: null, motor: null, starter: 'drive' });
    expect(valve.keep?.method).toBe('direct');
    expect(driven.keep?.method).toBe('drive');
    expect(driven.keep?.energy).toBeLessThan((valve.keep?.energy ?? 0) * 0.9);
    expect(valve.kinds).toContain('drive');
    expect(driven.kinds).not.toContain('drive');
    const told = (r: Result) => r.facts.find((x) => x.id === 'cost.starter')?.text;
    expect([told(driven.r), told(valve.r)]).toEqual(['drive', 'direct on line: assumed, nobody said']);
  });
  it('what stands there runs: it never fails, whatever it would be called if it were chosen', () => {
    const small = { ...plate, power: '11 kW', current: '21 A' };
    const { keep, r } = ways({ plate: small, method: null, motor: null, starter: 'star-delta' });
    expect(keep).toMatchObject({ method: 'star-delta', outcome: 'caution' });
    expect(keep?.text).toMatch(/^It runs today, but/);
    expect(r.choice?.options?.[0]).toMatchObject({ kind: 'keep', method: 'star-delta', outcome: 'caution' });
  });
});

describe('what is bought', () => {
  const index = (over: Partial<CaseText>) => {
    const r = pump({ installedCost: undefined }, over);
    const { origins, value: cost = NaN, band } = r.figures['cost.investment'] ?? {};
    return { r, cost, band, inputs: r.figures['cost.investment']?.inputs ?? {}, origins };
  };
  const cable = (length: string): Partial<CaseText> => ({ place: { cable: { length } } });
  it('filter and cable are counted, and a sum that nobody typed is a band', () => {
    const near = index(cable('5 m'));
    const far = index({ ...cable('10 m'), drive: { filter: 'dv-dt' } });
    expect(near.inputs.f).toBe(0);
    expect(far.inputs.f).toBeGreaterThan(100);
    expect(far.inputs.c).toBeCloseTo(Number(near.inputs.c) * 2, -1);
    const { m = 0, s = 0, f = 0, c = 0 } = far.inputs;
    expect(far.cost).toBe(Number(m) + Number(s) + Number(f) + Number(c));
    expect(far.band).toEqual([far.cost / 2, far.cost * 2]);
    expect(far.r.stations.cost.key).toMatch(/^(back in \d+ to \d+ years|not back in)/);
  });
  it('without a length no cable is counted, and where a drive is already there neither', () => {
    expect(index({}).inputs.c).toBe(0);
    expect(index({ ...cable('60 m'), starter: 'drive' }).inputs.c).toBe(0);
    expect(index({ ...cable('60 m'), method: 'direct', speed: { need: 'fixed' } }).inputs.c ?? 0).toBe(0);
  });
  it('a starter that somebody says is there is not bought again, unless the motor outgrows it', () => {
    const plate = { power: '22 kW', voltage: '400 V', speed: '1470 rpm', frequency: '50 Hz', phases: 3 } as const;
    expect(index({ plate, starter: 'drive' }).inputs.s).toBe(0);
    expect(index({ plate }).inputs.s).toBeGreaterThan(300);
    expect(index({ plate: { ...plate, power: '7.5 kW' }, starter: 'drive' }).inputs.s).toBeGreaterThan(300);
  });
  it('what the decided filter loses is in the year’s sums', () => {
    const loss = (over: Partial<CaseText>) =>
      index(over).r.cost?.account.find((row) => row.kind === 'filter')?.new ?? 0;
    expect(loss(cable('5 m'))).toBe(0);
    const typed = loss({ ...cable('5 m'), drive: { filter: 'sine' } });
    const all = value(index({ ...cable('5 m'), drive: { filter: 'sine' } }).r, 'cost.newEnergy');
    expect(typed / all).toBeCloseTo(0.01, 3);
    // Asked by the motor’s winding on a long cable, typed by nobody.
    expect(loss({ ...cable('120 m'), supply: { voltage: '500 V', frequency: '50 Hz' } })).toBeGreaterThan(0);
  });
});

describe('the choice and the sums', () => {
  const other = (r: Result) => r.findings.find((f) => f.id === 'cost.other-way');
  const profile = [{ hours: 6000, flow: 0.7 }];
  const throttled: Partial<CaseText> = {
    plate: {
      ...{ power: '18.5 kW', voltage: '400 V', current: '35 A', speed: '1470 rpm', frequency: '50 Hz', phases: 3 },
      ...{ frame: '180M', protection: 'IP55' },
    },
  };
  it('where another way costs less than what stands chosen, one sentence says which, how much, and why not', () => {
    const speed = { need: 'fixed', control: 'throttle-valve', profile } as const;
    const r = pump({}, { ...throttled, errand: 'wasteful', method: 'direct', speed });
    const open = r.cost?.options.filter((o) => o.kind !== 'keep' && o.outcome !== 'fail') ?? [];
    const best = open.toSorted((a, b) => b.netPresentValue - a.netPresentValue)[0];
    expect(best?.method).toBe('drive');
    expect(other(r)?.text).toContain(best?.name);
    expect(other(r)?.text).toContain(best?.motor);
    expect(other(r)?.level).toBe('note');
  });
  it('where the choice is the cheapest, nothing is said', () => {
    const r = pump({}, { ...throttled, speed: { need: 'variable', min: 0.4, control: 'throttle-valve', profile } });
    expect(r.choice?.method).toBe('drive');
    expect(other(r)).toBeUndefined();
  });
});
