import { describe, expect, it } from 'vitest';
import type { CaseText, Result } from '@pilgrim/core';
import { stampedText } from '../src/walk/doubts';
import { conveyor, figure, findingIds, solved } from './cases';

const unusual = (over: Partial<CaseText>): string[] =>
  solved({ ...conveyor, ...over })
    .findings.filter((f) => f.id === 'case.unusual')
    .map((f) => f.text);

describe('values that are seldom meant', () => {
  const power = (text: string): Partial<CaseText> => ({
    load: { machine: 'mixer', demand: { kind: 'power', power: text, speed: '1760 rpm' } },
  });
  it('are asked about on both sides of what the trade has, and at its very ends not', () => {
    expect(unusual(power('10 W'))).toEqual([]);
    expect(unusual(power('9.9 W')).join()).toMatch(/^9\.9 W is far from .* seldom below 10/);
    expect(unusual(power('10 MW'))).toEqual([]);
    expect(unusual(power('10.1 MW')).join()).toContain('seldom above 10');
    expect(unusual({ place: { ambient: '70 degC' } })).toEqual([]);
    expect(unusual({ place: { ambient: '71 degC' } }).join()).toContain('seldom above 70');
    expect(unusual({ place: { ambient: '-51 degC' } }).join()).toContain('seldom below -50');
  });
  it('stand at their field', () => {
    const found = solved({ ...conveyor, place: { altitude: '6000 m' } }).findings.find((f) => f.id === 'case.unusual');
    expect([found?.level, found?.fields, found?.station]).toEqual(['caution', ['place.altitude'], 'place']);
  });
});

describe('what the engineer let stand', () => {
  const hot: Partial<CaseText> = { place: { ...conveyor.place, ambient: '71 degC' } };
  const accepted = (finding: string, values?: Record<string, string>): Result =>
    solved({ ...conveyor, ...hot, accepted: [{ finding, reason: 'a drying loft', ...(values && { values }) }] });
  const found = (r: Result) => r.findings.find((f) => f.id === 'case.unusual');
  it('becomes a note that carries the reason; another finding’s acceptance leaves it', () => {
    expect([found(accepted('case.unusual'))?.level, found(accepted('case.unusual'))?.accepted]).toEqual([
      'note',
      'a drying loft',
    ]);
    expect([found(accepted('choice.oversize'))?.level, found(accepted('choice.oversize'))?.accepted]).toEqual([
      'caution',
      null,
    ]);
  });
  it('is back where a value it rests on has changed, or is none of its own', () => {
    expect(found(accepted('case.unusual', { 'place.ambient': '71 degC' }))?.level).toBe('note');
    expect(found(accepted('case.unusual', { 'place.ambient': '72 degC' }))?.level).toBe('caution');
    expect(found(accepted('case.unusual', { 'load.machine': 'screw-conveyor' }))?.level).toBe('caution');
  });
  it('a field as it was written: text, number or nothing', () => {
    const input = { place: { ambient: { value: 344.15, text: '71 degC' } }, drive: { motors: 2 } } as never;
    expect([stampedText(input, 'place.ambient'), stampedText(input, 'drive.motors')]).toEqual(['71 degC', '2']);
    expect([stampedText(input, 'place.altitude'), stampedText(input, 'no.such.path')]).toEqual(['', '']);
  });
  it('what was accepted on one station says nothing of another', () => {
    const r = accepted('case.unusual');
    expect(r.stations.place.because).toContain('case.unusual');
    expect(r.stations.load.because).not.toContain('case.unusual');
  });
});

describe('ways to go on, side by side', () => {
  const fan = (over: Partial<CaseText> = {}): Result =>
    solved({
      format: 'pilgrim.case/1',
      practice: 'iec',
      errand: 'wasteful',
      plate: {
        ...{ power: '11 kW', voltage: '400/690 V', current: '21.5/12.4 A', speed: '1455 rpm', frequency: '50 Hz' },
        ...{ phases: 3, efficiency: 0.88 },
      },
      supply: { voltage: '400 V', frequency: '50 Hz' },
      load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '8 kW', speed: '1455 rpm' } },
      speed: { need: 'variable', min: 0.4, max: 1, control: 'outlet-damper', profile: [{ hours: 6000, flow: 0.6 }] },
      money: { currency: 'EUR', energyPrice: 0.2, years: 10, discountRate: 0.05 },
      ...over,
    });
  const way = (r: Result, kind: string) => r.cost?.options.find((o) => o.kind === kind);
  it('the first is to keep what is there: it costs nothing, and every sum is against it', () => {
    const r = fan();
    const [first, ...others] = r.cost?.options ?? [];
    expect([first?.kind, first?.cost, first?.index, first?.netPresentValue, first?.payback, first?.life]).toEqual([
      'keep',
      0,
      false,
      0,
      null,
      null,
    ]);
    expect(others.length).toBeGreaterThan(2);
    for (const o of others) {
      const saved = (first?.bill ?? NaN) - o.bill;
      const more = o.cost - (first?.cost ?? NaN);
      // Simple payback by hand; none where nothing is saved or nothing is spent.
      if (saved > 0 && more > 0) expect(o.payback, o.kind).toBeCloseTo(more / saved, 6);
      else expect(o.payback, o.kind).toBeNull();
      expect(o.netPresentValue, o.kind).toBeCloseTo((first?.lifeCycle ?? NaN) - o.lifeCycle, 6);
    }
  });
  it('a rewound motor loses more, a drive on a fan at 0.6 of its flow saves more than any motor', () => {
    const r = fan();
    const energy = (kind: string) => way(r, kind)?.energy ?? NaN;
    expect(energy('rewind')).toBeGreaterThan(energy('keep'));
    expect(energy('premium')).toBeLessThan(energy('keep'));
    expect(energy('drive')).toBeLessThan(energy('premium'));
  });
  it('upkeep counts with what is chosen and never with what is kept; carbon by its price', () => {
    const plain = fan({ method: 'drive' });
    const kept = fan({ method: 'drive', money: { currency: 'EUR', energyPrice: 0.2, years: 10, maintenance: 500 } });
    const same = fan({ method: 'drive', money: { currency: 'EUR', energyPrice: 0.2, years: 10 } });
    expect(way(kept, 'keep')?.bill).toBeCloseTo(way(same, 'keep')?.bill ?? NaN, 6);
    const drives = (kept.cost?.options ?? []).filter((o) => o.method === 'drive' && o.kind !== 'keep');
    expect(drives.length).toBeGreaterThan(0);
    for (const o of drives) expect(o.bill - (way(same, o.kind)?.bill ?? NaN), o.kind).toBeCloseTo(500, 6);
    const carbon = fan({
      money: { currency: 'EUR', energyPrice: 0.2, years: 10, carbon: 0.4, carbonPrice: 100 },
    });
    const old = way(carbon, 'keep');
    expect(old?.carbon).toBeCloseTo(0.4 * (old?.energy ?? NaN), 6);
    expect(old?.bill).toBeCloseTo((0.2 + 0.04) * (old?.energy ?? NaN), 4);
    expect(figure(plain, 'cost.oldEnergy')).toBeCloseTo(way(plain, 'keep')?.energy ?? NaN, 6);
  });
  it('star is offered to a delta of 690 V in star at a light load, and not to a wound star', () => {
    const light = (voltage: string, current: string, power: string) =>
      way(
        fan({
          plate: {
            ...{ power: '11 kW', voltage, current, speed: '1455 rpm', frequency: '50 Hz' },
            ...{ phases: 3, efficiency: 0.88 },
          },
          load: { machine: 'centrifugal-fan', demand: { kind: 'power', power, speed: '1455 rpm' } },
          speed: { need: 'fixed', profile: [{ hours: 6000, flow: 1 }] },
        }),
        'star',
      );
    expect(light('400/690 V', '21.5/12.4 A', '2 kW')?.cost).toBe(0);
    expect(light('400/690 V', '21.5/12.4 A', '2 kW')?.outcome).not.toBe('fail');
    expect(light('230/400 V', '37/21.5 A', '2 kW')).toBeUndefined();
    expect(light('400/690 V', '21.5/12.4 A', '8 kW')).toBeUndefined();
  });
  it('where the change is worth nothing: at that price its worth is nought', () => {
    const r = fan({ method: 'drive', money: { currency: 'EUR', energyPrice: 0.2, installedCost: 4000 } });
    const price = r.cost?.breakEven?.price;
    expect(price).toBeGreaterThan(0);
    const there = fan({
      method: 'drive',
      motor: { catalogue: r.choice?.motor.id ?? '' },
      money: { currency: 'EUR', energyPrice: price ?? NaN, installedCost: 4000 },
    });
    expect(Math.abs(figure(there, 'cost.netPresentValue'))).toBeLessThan(5);
  });
  it('nothing is compared where nothing is there and nothing asked', () => {
    expect(findingIds(solved(conveyor))).not.toContain('cost.not-worth-it');
  });
});
