import { describe, expect, it } from 'vitest';
import { genericMotors, practice, practiceById, starterPriceIndex, type Motor } from '@pilgrim/core';
import { buildColumns, starterPrices, supplyColumns } from '../src/judge/columns';

/** What is kept of every motor of a list is that motor's own, whichever place it stands at. */

const na = practiceById('north-america');
const iec = practiceById('iec');
const of = (id: string): Motor => {
  const motor = genericMotors().find((m) => m.id === id);
  if (!motor) throw new Error(id);
  return motor;
};
const ofIec = of(genericMotors().find((m) => m.practice === 'iec' && m.poles === 4)?.id ?? '');
const base = of('na-tefc-25hp-4p');
const changed = (change: Partial<Motor>): Motor => ({ ...base, ...change });
const stock = { quantity: 2, place: 'rack', days: null, keptFor: '', assumed: [] };

describe('columns of build', () => {
  it('repeat what each motor says of itself', () => {
    const list = [base, of('na-odp-25hp-4p'), ofIec];
    const c = buildColumns(na, list);
    for (const [i, m] of list.entries()) {
      expect(c.frequency[i]).toBe(m.frequency);
      expect(c.maxSpeed[i]).toBe(m.maxSpeed);
      expect(c.pulseRating[i]).toBe(m.pulseRating);
      expect(c.serviceFactor[i]).toBe(m.serviceFactor);
      expect(c.sound[i]).toBe(m.sound);
      expect(c.inverterDuty[i]).toBe(Number(m.inverterDuty));
      expect(c.enclosures[i]).toBe(m.enclosure);
    }
    // Of every remedy's price: 40 and 5 times kW to the power 0.8 for an adapter, and so on in the order of the kinds.
    const kinds = practice.remedyKinds;
    for (const [i, m] of list.entries())
      for (const [k, kind] of kinds.entries())
        expect(c.remedyPrices[i * kinds.length + k]).toBe(practice.remedyPrice(kind, practice.bulkOf(m.power)));
    expect(c.remedyPrices[kinds.indexOf('adapter')]).toBe(Math.round(40 + 5 * (base.power / 1000) ** 0.8));
  });

  it('a winding of class F or above is a hot one, of class B not', () => {
    const list = (['B', 'F', 'H'] as const).map((insulation) => changed({ insulation }));
    expect([...buildColumns(na, list).hotWinding]).toEqual([0, 1, 1]);
  });

  it('cast iron and stainless stand shaking; only stainless is stainless', () => {
    const list = (['rolled-steel', 'aluminium', 'cast-iron', 'stainless'] as const).map((construction) =>
      changed({ construction }),
    );
    const c = buildColumns(na, list);
    expect([...c.rugged]).toEqual([0, 0, 1, 1]);
    expect([...c.stainless]).toEqual([0, 0, 0, 1]);
  });

  it('a new motor is of the newest year, an old one of its own, one of unknown age of none', () => {
    const c = buildColumns(na, [base, changed({ made: 1995 }), changed({ made: null })]);
    expect(c.made[0]).toBeGreaterThan(2100);
    expect(c.made[1]).toBe(1995);
    expect(c.made[2]).toBeNaN();
  });

  it('on the shelf, there, and kept for another are three things', () => {
    const list = [
      base,
      ...[{}, { quantity: 0 }, { quantity: 1, keptFor: 'GE-310' }].map((s) => changed({ stock: { ...stock, ...s } })),
    ];
    const c = buildColumns(na, list);
    expect([...c.onShelf]).toEqual([0, 1, 1, 1]);
    expect([...c.inStock]).toEqual([0, 1, 0, 1]);
    expect([...c.kept]).toEqual([0, 0, 0, 1]);
    expect([...c.reserved]).toEqual([0, 0, 0, 1]);
  });

  it('frames tell short shafts, the least sheave and special parts; without a frame there is none', () => {
    const c = buildColumns(na, [
      changed({ frame: '284T' }),
      changed({ frame: '284TS' }),
      changed({ frame: null }),
      changed({ frame: '215JM' }),
    ]);
    expect([...c.shortShaft]).toEqual([0, 1, 0, 0]);
    expect(c.leastSheave[0]).toBe(na.leastSheave('284T')?.value);
    expect(c.leastSheave[2]).toBeNaN();
    expect(c.special.map((s) => s.length > 0)).toEqual([false, false, false, true]);
  });

  it('the floor of efficiency asks motors of the frequency it is tabled at, open and enclosed by their own columns', () => {
    // 10 CFR 431.25: 25 hp, 4 poles: 93.6 % enclosed, 93.6 % open; 40 hp 2 poles: 92.4 % enclosed, 92.4 % open;
    // 125 hp 2 poles: 95.0 % enclosed, 94.1 % open.
    const list = (
      [
        ['enclosed', 125, 2, 60],
        ['open', 125, 2, 60],
        ['enclosed', 125, 2, 50],
      ] as const
    ).map(([enclosure, hp, poles, frequency]) => changed({ enclosure, power: hp * 745.7, poles, frequency }));
    const { floor } = buildColumns(na, list);
    expect(floor[0]).toBeCloseTo(0.95, 4);
    expect(floor[1]).toBeCloseTo(0.941, 4);
    expect(floor[2]).toBeNaN();
  });

  it('are kept by practice and list, and not mixed', () => {
    const list = [base, ofIec];
    expect(buildColumns(na, list)).toBe(buildColumns(na, list));
    expect(buildColumns(iec, list)).not.toBe(buildColumns(na, list));
    expect(buildColumns(na, [...list])).not.toBe(buildColumns(na, list));
  });
});

describe('columns of a supply', () => {
  const dual = changed({
    connections: [
      { voltage: 230, current: 60 },
      { voltage: 460, current: 30 },
    ],
    lockedRotorCurrent: 183,
  });

  it('connect each motor as its nearest voltage says, with that current; what it draws locked grows as its volts fall', () => {
    const c = supplyColumns(na, [dual, dual], 240);
    expect(c.voltage[1]).toBe(230);
    expect(c.current[1]).toBe(60);
    expect(c.locked[1]).toBeCloseTo((183 * 460) / 230, 6);
    const high = supplyColumns(na, [dual], 480);
    expect([high.voltage[0], high.current[0]]).toEqual([460, 30]);
    expect(high.locked[0]).toBeCloseTo(183, 6);
  });

  it('say how well the voltage fits, with what is left to the limit of ±10 %', () => {
    const c = supplyColumns(na, [dual], 480);
    expect(c.fitMargin[0]).toBeCloseTo(1 - (480 / 460 - 1) / 0.1, 2);
    expect(supplyColumns(na, [dual], 380).fit[0]).not.toBe(c.fit[0]);
    expect(supplyColumns(na, [dual], 380).fitMargin[0]).toBeLessThan(0);
  });

  it('without a supply: the highest connection, and nothing said of fit', () => {
    const c = supplyColumns(na, [dual], undefined);
    expect(c.voltage[0]).toBe(460);
    expect(c.fitMargin[0]).toBe(0);
    expect(c.fit[0]).not.toBe(supplyColumns(na, [dual], 480).fit[0]);
  });

  it('star-delta fits where the delta voltage is the line’s', () => {
    const list = [changed({ deltaVoltage: 400 }), changed({ deltaVoltage: 230 }), changed({ deltaVoltage: null })];
    expect([...supplyColumns(iec, list, 400).deltaFits]).toEqual([1, 0, 0]);
  });
});

it('the price of a starter is of its method and motor, in the order motor by motor', () => {
  const list = [base, of('na-tefc-50hp-4p')];
  const methods = ['direct', 'soft-starter', 'drive'] as const;
  expect([...starterPrices(na, list, methods)]).toEqual(
    list.flatMap((m) => methods.map((x) => starterPriceIndex(x, m.power))),
  );
  expect(new Set(starterPrices(na, list, methods)).size).toBe(6);
});
