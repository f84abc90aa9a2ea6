import { describe, expect, it } from 'vitest';
import type { CaseText, Result } from '@pilgrim/core';
import { clearing, faultBorne, heatModelOf, priceShare, weekPrice, isEmergency } from '../src/needs';
import { costKey } from '../src/stations/cost/cost';
import { figure, solved } from './cases';
import { american, european, finding, from } from './guarded';

const drop = (r: Result) => figure(r, 'guard.voltageDrop');

describe('a cable, and what is lost on it', () => {
  it('two in parallel lose half of what one does, by √3 · I · (R cos φ + X sin φ)', () => {
    const cable = (parallel: number | undefined) =>
      european({ cable: { area: '25 mm2', ...(parallel && { parallel }) } }, { place: { cable: { length: '100 m' } } });
    const [one, two] = [cable(undefined), cable(2)];
    expect(drop(one) / drop(two)).toBeCloseTo(2, 3);
    // 25 mm² of copper when warm: 0.0225 Ω·mm²/m ÷ 25, 0.08 Ω/km; 41 A at the plate's power factor.
    const c = 22e3 / (Math.sqrt(3) * 400 * 41 * 0.92);
    const lost = (Math.sqrt(3) * 41 * ((0.0225 * 100 * c) / 25 + 0.008 * Math.sqrt(1 - c * c))) / 400;
    expect(drop(one) / lost).toBeGreaterThan(0.9);
    expect(drop(one) / lost).toBeLessThan(1.1);
  });
  it('a wish of less than is lost is a caution that names the size; what is lost itself is none', () => {
    const wished = (maxDrop: number) =>
      european({ maxDrop, cable: { area: '10 mm2' } }, { place: { cable: { length: '100 m' } } });
    const lost = drop(wished(0.2));
    expect(finding(wished(lost * 1.001), 'guard.drop')).toBeUndefined();
    const over = finding(wished(lost * 0.99), 'guard.drop');
    expect([over?.level, over?.text.includes('16 mm² does'), over?.fields.includes('guard.maxDrop')]).toEqual([
      'caution',
      true,
      true,
    ]);
    expect(finding(wished(0.0005), 'guard.drop')?.text).toContain('no size of the tables does');
  });
  it('the air of the motor’s place counts beyond the tables’ 30 °C, where it is not buried and nobody said otherwise', () => {
    const factor = (guard: NonNullable<CaseText['guard']>, ambient: string) =>
      figure(european(guard, { place: { ambient, cable: { length: '20 m' } } }), 'guard.ambientFactor');
    // IEC 60364-5-52, Table B.52.14: PVC 0.87 at 40 °C, XLPE 0.91.
    expect(factor({ cable: { insulation: 'pvc' } }, '40 degC')).toBe(0.87);
    expect(factor({ cable: { insulation: 'xlpe' } }, '40 degC')).toBe(0.91);
    const plain = (guard: NonNullable<CaseText['guard']>, ambient: string) =>
      european(guard, { place: { ambient, cable: { length: '20 m' } } }).figures['guard.ambientFactor']?.value ?? 1;
    expect(plain({ cable: { insulation: 'pvc' } }, '30 degC')).toBe(1);
    expect(plain({ cable: { insulation: 'pvc', method: 'D1' } }, '40 degC')).toBe(1);
    expect(plain({ cable: { insulation: 'pvc', ambient: '30 degC' } }, '40 degC')).toBe(1);
  });
  it('terminals and insulation of North America by their own columns', () => {
    const size = (cable: NonNullable<NonNullable<CaseText['guard']>['cable']>) =>
      figure(american({ cable }), 'guard.conductorArea');
    // 40 A × 1.25 = 50 A: 60 °C 6 AWG, 75 °C 8 AWG (NFPA 70, Table 310.16).
    expect(size({ terminals: '60 degC' })).toBeCloseTo(13.3, 1);
    expect(size({ rating: '75 degC', terminals: '75 degC' })).toBeCloseTo(8.37, 1);
    expect(size({ rating: '90 degC', terminals: '75 degC' })).toBeCloseTo(8.37, 1);
  });
});

describe('coordination is told at its fields', () => {
  it('none is a stop, total whoever answers for it; an unknown fault asks for the source', () => {
    const none = finding(european({ coordination: 'none' }), 'guard.no-coordination');
    expect([none?.level, none?.fields, none?.figures]).toEqual([
      'stop',
      ['guard.coordination', 'guard.role'],
      ['guard.availableFault'],
    ]);
    const total = finding(european({ coordination: 'total' }), 'guard.no-coordination');
    expect([total?.level, total?.fields]).toEqual(['note', ['guard.coordination', 'guard.role']]);
    const unknown = finding(
      european({ coordination: 'type-2' }, { supply: { voltage: '400 V', frequency: '50 Hz' } }),
      'guard.no-coordination',
    );
    expect([unknown?.level, unknown?.fields, unknown?.figures]).toEqual(['note', ['supply.source'], []]);
  });
  it('the supply’s part carries its voltage and the fault there', () => {
    const source = european().guard?.parts.find((p) => p.kind === 'source');
    expect([source?.rating, source?.figure]).toEqual(['400 V', 'guard.availableFault']);
    expect(source?.range).toContain('18.0 kA');
    const nobody = european({}, { supply: { voltage: '400 V', frequency: '50 Hz' } });
    expect(nobody.guard?.parts.find((p) => p.kind === 'source')?.figure).toBeNull();
  });
  it('what a device one step down would do is said where there is one', () => {
    const device = (r: Result) => r.guard?.parts.find((p) => p.kind === 'device');
    const fuse = device(american({ device: 'dual-element-fuse', coordination: 'none' }));
    expect(fuse?.below).toMatch(/\d+(\.\d)? A may open in the start/);
    expect(device(european({ device: 'motor-breaker' }, from('200 kA')))?.below).not.toContain('may open');
  });
});

describe('faults along a cable', () => {
  it('without a relay nothing opens what its fuse does not; a maker’s let-through decides above where it limits', () => {
    const fuse = clearing({ kind: 'fuse-gg', rating: 63, relay: undefined }, undefined);
    expect(fuse.clears(10)).toBe(Infinity);
    expect(fuse.clears(1000)).toBeLessThan(1);
    const relayed = clearing({ kind: 'fuse-gg', rating: 63, relay: { class: '10', dial: 20 } }, undefined);
    expect(relayed.clears(150)).toBeLessThan(fuse.clears(150));
    const limits = (letThrough: number | undefined, withstand: number) =>
      faultBorne({ clears: () => 0.1, limitsFrom: 1000, letThrough }, [2000, 4000], withstand);
    // 0.1 s of 2 kA are 400,000 A²s.
    expect(limits(undefined, 2e6)).toEqual({ bears: 'yes', at: undefined });
    expect(limits(undefined, 3e5)).toEqual({ bears: 'unknown', at: 4000 });
    expect(limits(2e5, 3e5).bears).toBe('yes');
    expect(limits(3e5, 3e5).bears).toBe('yes');
    expect(limits(3.1e5, 3e5).bears).toBe('no');
    const plain = faultBorne({ clears: () => 0.1, limitsFrom: undefined, letThrough: 1 }, [2000, 4000], 3e5);
    expect(plain.bears).toBe('no');
  });
});

it('the thermal model: rotor loss by slip, the rest shared, and all of it one', () => {
  const m = heatModelOf({
    ...{ power: 22e3, speed: 1470, synchronous: 1500, efficiency: 0.92, powerFactor: 0.84, breakdownTorque: 2.6 },
    ...{ cooling: 'shaft-fan', insulation: undefined, rise: undefined },
  });
  // Slip 2 %: 22 kW × 0.02 ÷ 0.98 = 449 W of losses of 1913 W.
  expect(m.rotor).toBeCloseTo(449 / 1913, 3);
  expect(m.rotor + m.stator + m.core + m.stray + m.friction).toBeCloseTo(1, 9);
  expect(m.magnetising).toBeCloseTo(0.8 * Math.sqrt(1 - 0.84 ** 2), 9);
  expect(m.reserve).toBe(1);
});

describe('prices by time', () => {
  const from = (hours: number) => ({ minutes: 60 * hours });
  const money = {
    currency: 'EUR',
    tariff: [
      { from: from(6), to: from(22), price: 0.3 },
      { from: from(22), to: from(6), price: 0.1 },
    ],
  } as unknown as Parameters<typeof weekPrice>[0];
  const row = (of: object) => ({ hours: 100, flow: 1, ...of }) as Parameters<typeof priceShare>[1];
  it('of a week by its hours: 16 at 0.30 and 8 at 0.10; a row’s share by its own hours', () => {
    const mean = (16 * 0.3 + 8 * 0.1) / 24;
    expect(weekPrice(money)).toBeCloseTo(mean, 9);
    expect(priceShare(money, row({ from: from(8), to: from(16) }))).toBeCloseTo(0.3 / mean, 9);
    expect(priceShare(money, row({ from: from(20) }))).toBeCloseTo((2 * 0.3 + 2 * 0.1) / 4 / mean, 9);
    expect(priceShare(money, row({ to: from(6) }))).toBeCloseTo(0.1 / mean, 9);
    expect(priceShare(money, row({}))).toBeCloseTo(1, 9);
  });
  it('without a tariff one price holds, and no share', () => {
    expect(weekPrice({ energyPrice: 0.2 } as Parameters<typeof weekPrice>[0])).toBe(0.2);
    expect(weekPrice(undefined)).toBeUndefined();
    expect(priceShare(undefined, row({ from: from(8) }))).toBe(1);
  });
});

it.each([
  ['Fire pump 2', true],
  ['Fire-fighting booster', true],
  ['Sprinkler jockey', true],
  ['Firebrick conveyor', false],
  [undefined, false],
])('emergency duty by its name: %s %s', (name, emergency) => {
  expect(isEmergency({ name })).toBe(emergency);
});

describe('payback in words', () => {
  const said = (payback: number | undefined, money: object = {}, assumed: readonly string[] = [], more: object = {}) =>
    costKey({
      input: { money },
      w: {
        figures: new Map(
          payback === undefined
            ? []
            : [
                [
                  'cost.payback',
                  { value: payback, text: `${payback} years`, assumed: assumed.map((field) => ({ field })) },
                ],
              ],
        ),
        value: (id: string) => (more as Record<string, number>)[id],
      },
    } as unknown as Parameters<typeof costKey>[0]);
  it('what comes back within the years counted, and what does not', () => {
    expect(said(4.2)).toBe('back in 4.2 years');
    expect(said(3, { years: 3 })).toBe('back in 3 years');
    expect(said(3.01, { years: 3 })).toBe('not back in 3 years');
    expect(said(1.01, { years: 1 })).toBe('not back in 1 year');
  });
  it('of an invented price in whole years, by what a quote may lie between', () => {
    expect(said(4, {}, ['money.installedCost'])).toMatch(/^back in \d+ to \d+ years$/);
    expect(said(0.2, {}, ['money.installedCost'])).toBe('back within a year');
  });
});

it('years of money: nothing saved is told as such, and what would have to be otherwise where it is not worth it', () => {
  const fan = (installedCost: number, hours: number): Result =>
    solved({
      format: 'pilgrim.case/1',
      practice: 'iec',
      plate: { power: '11 kW', voltage: '400 V', current: '21.5 A', speed: '1460 rpm', frequency: '50 Hz', phases: 3 },
      supply: { voltage: '400 V', frequency: '50 Hz' },
      errand: 'wasteful',
      load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '9 kW', speed: '1460 rpm' } },
      speed: { need: 'variable', min: 0.5, max: 1, control: 'outlet-damper', profile: [{ hours, flow: 0.6 }] },
      method: 'drive',
      money: { currency: 'EUR', energyPrice: 0.2, installedCost },
    });
  const poor = fan(60_000, 200).findings.find((f) => f.id === 'cost.not-worth-it')?.text ?? '';
  expect(poor).toMatch(/^Not worth it: /);
  expect(poor).toContain('or less, or energy cost');
  expect(poor).toMatch(/it ran \d+\.\d times as long a year/);
  const rich = fan(3000, 6000);
  expect(rich.findings.map((f) => f.id)).not.toContain('cost.not-worth-it');
  expect(figure(rich, 'cost.netPresentValue')).toBeGreaterThan(0);
});
