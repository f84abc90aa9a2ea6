import { describe, expect, it } from 'vitest';
import { type CaseText } from '@pilgrim/core';
import { conveyor, figure, ordinaryPlate as plate, solved } from './cases';

type Plate = NonNullable<CaseText['plate']>;
const fan = {
  machine: 'centrifugal-fan',
  demand: { kind: 'power', power: '18 hp', speed: '1750 rpm' },
} as const satisfies CaseText['load'];
const calm = { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry' } as const;
const base = { ...conveyor, load: fan, place: calm } satisfies CaseText;

/** The fact of an id, as text and fields. */
const fact = (text: CaseText, id: string) => {
  const found = solved(text).facts.find((f) => f.id === id);
  return found ? [found.text, found.fields] : undefined;
};
const stamped = (own: Plate): CaseText => ({ ...base, plate: { ...plate, ...own } });

describe('what a plate’s words mean, and where they stand', () => {
  it.each<[string, Plate, string | undefined, readonly string[]]>([
    ['plate.protection', { protection: 'IP55' }, 'IP55: ', ['plate.protection']],
    ['plate.protection', { enclosure: 'IP54' }, 'IP54: ', ['plate.enclosure']],
    ['plate.protection', { protection: 'so so' }, undefined, []],
    ['plate.enclosure', {}, 'fan', ['plate.enclosure']],
    ['plate.cooling', { cooling: 'IC411' }, 'IC411: ', ['plate.cooling']],
    ['plate.cooling', { cooling: 'breeze' }, undefined, []],
    ['plate.mounting', { mounting: 'IM B3' }, 'feet, shaft horizontal', ['plate.mounting']],
    [
      'plate.insulation',
      { insulation: 'F' },
      'F: 155 °C at the hottest spot, 105 K rise at 40 °C; each',
      ['plate.insulation'],
    ],
    ['plate.insulation', { insulation: 'B' }, 'B: 130 °C at the hottest spot, 80 K rise', ['plate.insulation']],
    ['plate.insulation', { insulation: 'H' }, 'H: 180 °C at the hottest spot, 125 K rise', ['plate.insulation']],
    ['plate.insulation', { insulation: 'A' }, 'A: 105 °C at the hottest spot, 60 K rise', ['plate.insulation']],
    ['plate.insulation', { insulation: 'E' }, 'E: 120 °C at the hottest spot, 75 K rise', ['plate.insulation']],
    [
      'plate.insulation',
      { insulation: 'F', riseClass: 'B' },
      '80 K rise at 40 °C (used as class B)',
      ['plate.insulation'],
    ],
    ['plate.insulation', { insulation: 'F', riseClass: 'F' }, '105 K rise at 40 °C; each', ['plate.insulation']],
    ['plate.duty', { duty: 'S3 40 %' }, '40 %', ['plate.duty']],
    ['plate.design', { designLetter: 'B' }, 'B: ', ['plate.designLetter']],
    ['plate.frame', {}, 'NEMA, T series since 1964', ['plate.frame']],
    ['plate.frame', { frame: '256U' }, 'NEMA, U series of 1952 to 1964', ['plate.frame']],
    ['plate.frame', { frame: '56C' }, 'NEMA, small frame; C: ', ['plate.frame']],
    ['plate.frame', { frame: '256TZ' }, 'Z: ', ['plate.frame']],
    ['plate.standardFrame', {}, '256T, as stamped', ['plate.frame']],
    ['plate.standardFrame', { frame: '254T' }, '256T for this rating; the plate says 254T', ['plate.frame']],
  ])('%s of %j', (id, own, text, fields) => {
    const told = fact(stamped(own), id);
    if (text === undefined) expect(told).toBeUndefined();
    else expect(told).toEqual([expect.stringContaining(text), fields]);
  });
  it('nothing is told of what is not stamped', () => {
    const told = solved(base).facts.filter((f) => f.id.startsWith('plate.'));
    expect(told).toEqual([]);
  });
  it('the connection for the supply’s voltage, with what it rests on', () => {
    expect(fact(stamped({ leads: 9 }), 'plate.connection')).toEqual([
      expect.stringMatching(/^On 480 V: .*The diagram in the lid decides\.$/),
      ['plate.voltage', 'plate.leads', 'supply.voltage'],
    ]);
  });
  it('the design letter’s torques, and the usual letter’s marked as assumed', () => {
    const rated = figure(solved(stamped({})), 'plate.ratedTorque');
    // NEMA MG 1 tables 12-2 and 12-3: 20 hp, four poles, design B: 150 and 200 %; design C: 200 % (from memory).
    const b = solved(stamped({ designLetter: 'B' }));
    expect(figure(b, 'plate.lockedRotorTorque') / rated).toBeCloseTo(1.5, 6);
    expect(figure(b, 'plate.breakdownTorque') / rated).toBeCloseTo(2, 6);
    expect(b.figures['plate.lockedRotorTorque']?.assumed).toEqual([]);
    const none = solved(stamped({})).figures['plate.lockedRotorTorque'];
    expect(none?.assumed.map((a) => [a.field, a.why])).toEqual([
      ['plate.designLetter', 'no design letter: design B, the usual one'],
    ]);
    expect(figure(solved(stamped({ designLetter: 'C' })), 'plate.lockedRotorTorque') / rated).toBeCloseTo(2, 6);
  });
});

describe('enclosures by the place', () => {
  const rows = (place: NonNullable<CaseText['place']>) => solved({ ...base, place: { ...calm, ...place } }).enclosures;
  const kinds = (place: NonNullable<CaseText['place']>) =>
    rows(place)
      .filter((r) => r.suits)
      .map((r) => r.kind);
  it('the cheapest that will do is marked, once, and dearer ones that will do are said to', () => {
    for (const place of [
      {},
      { dirt: 'dusty' },
      { water: 'splash' },
      { water: 'washdown' },
      { corrosive: true },
    ] as const) {
      const table = rows(place);
      const cheapest = table.filter((r) => r.cheapest);
      expect(cheapest).toHaveLength(1);
      expect(cheapest[0]?.text).toBe('the cheapest that will do');
      expect(cheapest[0]?.suits).toBe(true);
      expect(table.find((r) => r.suits)?.kind).toBe(cheapest[0]?.kind);
      for (const r of table.filter((x) => x.suits && !x.cheapest)) expect(r.text).toBe('will do, and costs more');
      for (const r of table.filter((x) => !x.suits)) expect(r.text).not.toMatch(/will do/);
    }
  });
  it('open only where it is clean and dry', () => {
    expect(kinds({})).toContain('open');
    expect(kinds({ dirt: 'dusty' })).not.toContain('open');
    expect(kinds({ water: 'splash' })).not.toContain('open');
    expect(kinds({ dirt: 'dusty' })).toContain('enclosed');
    expect(kinds({ water: 'washdown' })).not.toContain('enclosed');
    expect(kinds({ water: 'washdown' })).toContain('washdown');
  });
  it('an old enclosure that does not suit the place is doubted, one that does is not', () => {
    const found = (enclosure: string, place: NonNullable<CaseText['place']>) =>
      solved({ ...stamped({ enclosure }), place: { ...calm, ...place } }).findings.filter(
        (f) => f.id === 'place.enclosure',
      );
    expect(found('ODP', { dirt: 'dusty' }).map((f) => f.fields)).toEqual([
      ['plate.enclosure', 'place.dirt', 'place.water'],
    ]);
    expect(found('ODP', {})).toEqual([]);
    expect(found('TEFC', { dirt: 'dusty' })).toEqual([]);
    expect(found('something', { dirt: 'dusty' })).toEqual([]);
  });
});

describe('mounting', () => {
  it.each([
    ['wall', 'IM B6 or B7 (W-1 to W-8): say so when ordering'],
    ['ceiling', 'IM B8 (C-1, C-2): say so when ordering'],
    ['flange', 'IM B5 or B14 (D or C flange): say so when ordering'],
  ] as const)('%s', (mounting, text) => {
    expect(fact({ ...base, place: { ...calm, mounting } }, 'place.mounting')).toEqual([text, ['place.mounting']]);
  });
  it('on the floor says nothing', () => {
    expect(fact({ ...base, place: { ...calm, mounting: 'floor' } }, 'place.mounting')).toBeUndefined();
    expect(fact(base, 'place.mounting')).toBeUndefined();
  });
});

describe('height says more the higher it is', () => {
  const said = (altitude: string): string =>
    solved({ ...base, place: { ...calm, altitude } }).findings.find((f) => f.id === 'place.high')?.text ?? '';
  it('each line on both sides', () => {
    expect(said('1000 m')).toBe('');
    expect(said('1001 m')).toMatch(/thin air cools less\.$/);
    expect(said('2000 m')).toMatch(/thin air cools less\.$/);
    expect(said('2001 m')).toMatch(/Above 2000 m ask/);
    expect(said('4000 m')).toMatch(/Above 2000 m ask/);
    const beyond = (altitude: string) =>
      solved({ ...base, place: { ...calm, altitude } }).findings.find((f) => f.id === 'place.beyond')?.text;
    expect(beyond('4001 m')).toMatch(/Above 4000 m the sums here no longer hold/);
    expect(beyond('4000 m')).toBeUndefined();
  });
});

describe('what each station says of itself', () => {
  const key = (text: CaseText, station: 'place' | 'start'): string => solved(text).stations[station].key;
  it('place', () => {
    expect(key(base, 'place')).toBe('30 °C, clean, dry');
    expect(key({ ...base, place: { dirt: 'dusty' } }, 'place')).toBe('dusty');
    expect(key({ ...base, place: {} }, 'place')).toBe('partly described');
    expect(key({ ...base, place: undefined }, 'place')).toBe('not described');
    expect(key({ ...base, place: { ...calm, hazardous: true } }, 'place')).toBe('hazardous');
  });
  it('start', () => {
    const direct = key({ ...base, method: 'direct' }, 'start');
    expect(direct).toMatch(/^\d+ A, dip \d\.\d % · \d+\.\d s$/);
    expect(
      key({ ...base, method: 'direct', supply: { voltage: '480 V', frequency: '60 Hz', phases: 3 } }, 'start'),
    ).toMatch(/^Direct on line, \d+ A · /);
  });
});

describe('why this one', () => {
  const reasons = (text: CaseText): string => solved(text).choice?.reasons.join(' ') ?? '';
  it('says first of how many and by what', () => {
    expect(reasons({ ...base, rules: { ranking: 'price' } })).toMatch(/First of \d+ motors by price/);
    expect(reasons({ ...base, rules: { ranking: 'efficiency' } })).toMatch(/First of \d+ motors by efficiency/);
    expect(reasons({ ...base, rules: { ranking: 'margin' } })).toMatch(/First of \d+ motors by margin/);
  });
  it('says why not smaller, with the verdict that fails', () => {
    expect(reasons({ ...base, method: 'direct' })).toMatch(/Not the next size down, \d+ hp: /);
  });
  it('names what was waived, with its reason', () => {
    const waived = [{ requirement: 'power', reason: 'runs an hour a year' }];
    const text = reasons({ ...base, method: 'direct', motor: { catalogue: 'na-tefc-15hp-4p' }, waived });
    expect(text).toMatch(/Not counted: .*\(runs an hour a year\)/);
  });
});

describe('a load near the top of its uncertainty', () => {
  const uncertain = (uncertainty: number, power: string) =>
    solved({
      ...base,
      method: 'direct',
      motor: { catalogue: 'na-tefc-20hp-4p' },
      load: { ...fan, demand: { kind: 'power', power, speed: '1760 rpm', uncertainty } },
    }).findings.filter((f) => f.id === 'choice.uncertain-load');
  it('is said where the motor would be overloaded there, and not below', () => {
    expect(uncertain(0.2, '17.5 hp').map((f) => f.fields)).toEqual([['load.demand.uncertainty']]);
    expect(uncertain(0.2, '17.5 hp')[0]?.text).toMatch(
      /± 20 %: at the top of that this motor would be loaded to 10\d %/,
    );
    expect(uncertain(0.1, '17.5 hp')).toEqual([]);
  });
  it('the old motor’s rating held against itself is not uncertain', () => {
    const kept = solved({ ...base, load: undefined, plate, motor: { existing: true } });
    expect(kept.findings.map((f) => f.id)).toContain('load.from-plate');
    expect(kept.findings.map((f) => f.id)).not.toContain('choice.uncertain-load');
  });
});

describe('a payback', () => {
  it('is not asked for where nothing is chosen that would have to be paid', () => {
    const r = solved({
      ...base,
      plate: { power: '2 hp', voltage: '230/460 V', current: '5.49/2.75 A', speed: '879 rpm', frequency: '60 Hz' },
      load: {
        machine: 'winder',
        demand: { kind: 'power', power: '1.01 kW', speed: '3490 rpm' },
        train: { kind: 'chain', ratio: 1.91, efficiency: 0.98 },
      },
      speed: { need: 'variable', min: 0.87, profile: [{ hours: 502, flow: 0.66 }], staticFraction: 0.45 },
      money: { currency: 'EUR', energyPrice: 0.49 },
    });
    expect(r.figures['cost.investment']).toBeUndefined();
    expect(r.findings.map((f) => f.id)).not.toContain('case.gap');
  });
});

describe('the replacement’s speed', () => {
  const compared = (speed: string, shape?: 'constant') =>
    solved({
      ...base,
      plate,
      load: { ...fan, ...(shape ? { shape } : {}), demand: { kind: 'power', power: '18 hp', speed: '1762 rpm' } },
      replacement: { plate: { ...plate, speed } },
    });
  it('a fan takes about the cube of it, and a caution says so from two percent', () => {
    const r = compared('1785 rpm');
    const ratio = figure(r, 'replacement.speedRatio');
    expect(ratio).toBeCloseTo(figure(r, 'replacement.newSpeed') / figure(r, 'replacement.oldSpeed'), 9);
    expect(figure(r, 'replacement.powerRatio')).toBeCloseTo(ratio ** 3, 4);
    const found = r.findings.find((f) => f.id === 'replacement.speed');
    expect([found?.level, found?.fields]).toEqual(['caution', ['load.shape']]);
    expect(found?.text).toMatch(/more shaft power .* Trim the sheave/);
  });
  it('below a percent nothing is said; between one and two a note; slower takes less', () => {
    const level = (speed: string) => compared(speed).findings.find((f) => f.id === 'replacement.speed')?.level;
    expect(level('1762 rpm')).toBeUndefined();
    expect(level('1769 rpm')).toBe('note');
    expect(compared('1735 rpm').findings.find((f) => f.id === 'replacement.speed')?.text).toMatch(/less shaft power/);
  });
  it('constant torque takes only the speed’s own share', () => {
    const r = compared('1785 rpm', 'constant');
    expect(figure(r, 'replacement.powerRatio')).toBeCloseTo(figure(r, 'replacement.speedRatio'), 6);
  });
});
