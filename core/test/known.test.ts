import { describe, expect, it } from 'vitest';
import { genericMotors, nameplate, practiceById, type CaseText, type Result } from '@pilgrim/core';
import { readFrame } from '../src/practice/frames';
import { nemaFirstFrames } from '../src/practice/frames/nema';
import * as na from '../src/practice/north-america/tables/motors';
import { horsepower, conveyor, figure, findingIds, ordinaryPlate, solved } from './cases';

/** What is known of motors by their age, height, winding and place; each with its source or "common practice". */

const northAmerica = practiceById('north-america');
const iec = practiceById('iec');
const motors = genericMotors();
const motor = (id: string) => motors.find((m) => m.id === id) ?? expect.fail(`no motor ${id}`);
const fact = (r: Result, id: string) => r.facts.find((f) => f.id === id)?.text;
const finding = (r: Result, id: string) => r.findings.find((f) => f.id === id);
const verdict = (r: Result, requirement: string) =>
  r.candidates[0]?.verdicts.find((v) => v.requirement === requirement);
const place = { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry' } as const;
const fan = (power: string, over: Partial<CaseText> = {}): CaseText => ({
  ...conveyor,
  load: { machine: 'centrifugal-fan', demand: { kind: 'power', power, speed: '1760 rpm' } },
  place,
  ...over,
});
const malt = (over: Partial<CaseText> = {}): CaseText => ({
  ...fan('15 kW'),
  practice: 'iec',
  supply: { voltage: '400 V', frequency: '50 Hz', phases: 3, source: { kind: 'stiff' } },
  load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '15 kW', speed: '1475 rpm' } },
  ...over,
});

describe('frames of every age (NEMA MG 1, from memory, second pass by column)', () => {
  const column = (table: typeof na.frames, poles: '2' | '4' | '6') =>
    table.rows.map((r) => r[table.columns.indexOf(poles) + 1]);
  const names = (text: string) => text.split(' ').map((n) => (n === '-' ? null : n));
  it('13.2: open motors of two poles lie a size below the enclosed from 3 hp on', () => {
    const two =
      '143T 143T 145T 145T 182T 184T 213T 215T 254T 256T 284TS 286TS 324TS 326TS 364TS 365TS 404TS 405TS 444TS 445TS';
    expect(column(na.openFrames, '2')).toEqual(names(two));
    for (const [i, open] of column(na.openFrames, '2').entries()) {
      const [hp, enclosed] = na.frames.rows[i] ?? expect.fail('no row');
      if (hp >= 3) expect(Number.parseInt(String(open)), `${hp} hp`).toBeLessThan(Number.parseInt(String(enclosed)));
    }
    for (const poles of ['4', '6'] as const)
      expect(column(na.openFrames, poles).slice(0, 15)).toEqual(column(na.frames, poles).slice(0, 15));
    expect([motor('na-odp-10hp-2p').frame, motor('na-odp-60hp-2p').frame]).toEqual(['213T', '326TS']);
    expect([motor('na-tefc-10hp-2p').frame, motor('na-tefc-60hp-2p').frame]).toEqual(['215T', '364TS']);
  });
  it('ratings of the U series and of the first, at four poles', () => {
    expect(column(na.uFrames, '4')).toEqual(
      names('182 184 184 213 215 254U 256U 284U 286U 324U 326U 364U 365U 405U 444U 445U'),
    );
    expect(column(na.firstFrames, '4')).toEqual(
      names('203 204 224 225 254 284 324 326 364 364 365 404 405 444 445 504 505'),
    );
    // A younger series carries the same power in no larger a frame.
    for (const [hp, ...first] of na.firstFrames.rows)
      for (const [i, frame] of first.entries()) {
        const u = na.uFrames.rows.find((r) => r[0] === hp)?.[i + 1];
        if (frame && u)
          expect(Number.parseInt(String(u)), `${hp} hp`).toBeLessThanOrEqual(Number.parseInt(String(frame)));
      }
  });
  it('shafts of the first series are thinner than those of the U series in the same digits', () => {
    const shafts = new Map(nemaFirstFrames.map(([name, , , , , , shaft]) => [name, shaft]));
    expect([...shafts.values()]).toEqual([
      0.75, 0.75, 1, 1, 1.125, 1.25, 1.625, 1.625, 1.875, 1.875, 2.125, 2.125, 2.375, 2.375, 2.875, 2.875,
    ]);
    for (const [name, shaft] of shafts) {
      const u = readFrame(`${name}U`)?.shaftDiameter;
      if (u !== undefined) expect(shaft * 25.4).toBeLessThan(u);
    }
  });
  it.each([
    ['324', 'first', 41.275],
    ['324U', 'U', 47.625],
    ['324T', 'T', 53.975],
    ['505', 'first', 73.025],
    ['182', 'U', 22.225],
    ['254', 'first', 28.575],
    ['56', 'small', 15.875],
  ] as const)('%s is of the series %s, shaft %d mm', (name, series, shaft) => {
    const frame = readFrame(name);
    expect(frame?.series).toBe(series);
    expect(frame?.shaftDiameter).toBeCloseTo(shaft, 6);
  });
  it('an old motor is held against its own series, and told what stands there today', () => {
    const plate = (over: CaseText['plate']): CaseText => ({
      ...conveyor,
      plate: { ...ordinaryPlate, speed: '1750 rpm', enclosure: 'ODP', ...over },
    });
    const u = solved(plate({ power: '10 hp', current: '28/14 A', frame: '256U' }));
    expect(fact(u, 'plate.standardFrame')).toBe('256U, as stamped; today 215T');
    const first = solved(plate({ power: '10 hp', current: '28/14 A', frame: '324' }));
    expect(fact(first, 'plate.standardFrame')).toBe('324, as stamped; today 215T');
    for (const r of [u, first]) expect(findingIds(r)).not.toContain('plate.frame-rating');
    const wrong = solved(plate({ power: '40 hp', current: '100/50 A', frame: '254U' }));
    expect(findingIds(wrong)).toContain('plate.frame-rating');
  });
});

describe('how a motor starts by its class (common practice)', () => {
  it.each(['1_5', '4', '7_5', '15', '30', '75', '110', '200', '315'])(
    'IE3 and IE4 of %s kW at four poles draw 6.5 to 8.5 times rated current and pull 2.0 to 2.7 times rated torque',
    (kw) => {
      for (const series of ['ie3', 'ie4']) {
        const m = motor(`iec-ip55-${series}-${kw}kW-4p`);
        const ratio = m.lockedRotorCurrent / (m.connections.at(-1)?.current ?? NaN);
        expect(ratio, m.id).toBeGreaterThan(6.5);
        expect(ratio, m.id).toBeLessThan(8.5);
        expect(m.lockedRotorTorque).toBeGreaterThanOrEqual(2);
        expect(m.lockedRotorTorque).toBeLessThanOrEqual(2.7);
        // No more than IEC 60034-12 allows design N, and no less torque than it asks.
        expect(m.lockedRotorCurrent).toBeLessThan(
          iec.lockedRotorLimit(m.power, m.connections.at(-1)?.voltage ?? 0, 50)?.value ?? NaN,
        );
        expect(m.lockedRotorTorque).toBeGreaterThan(iec.lockedRotorTorque(m.power, 4).value);
      }
    },
  );
  it('the better class draws more and pulls alike; the design for hard starts pulls a seventh more', () => {
    const [ie3, ie4, hard] = ['ie3', 'ie4', 'h'].map((s) => motor(`iec-ip55-${s}-30kW-4p`));
    const ratio = (m: typeof ie3) => (m?.lockedRotorCurrent ?? 0) / (m?.connections.at(-1)?.current ?? NaN);
    expect(ratio(ie4) - ratio(ie3)).toBeCloseTo(0.6, 1);
    expect(ie4?.lockedRotorTorque).toBe(ie3?.lockedRotorTorque);
    expect((hard?.lockedRotorTorque ?? 0) / (ie3?.lockedRotorTorque ?? NaN)).toBeCloseTo(1.15, 2);
  });
  it('an old plate that says IE3 is taken so too, and one that says no class by the standard’s tables', () => {
    const plate = { power: '15 kW', voltage: '400 V', current: '28 A', speed: '1475 rpm', frequency: '50 Hz' } as const;
    const of = (over: object) => {
      const entry = { id: 'x', name: 'Spare', quantity: 1, place: 'store', days: null, keptFor: '', price: null };
      const list = nameplate.shelfMotors([{ ...entry, plate: { ...plate, ...over } }], 'iec').motors;
      return list[0] ?? expect.fail('no motor');
    };
    expect(of({ efficiencyClass: 'IE3' }).lockedRotorCurrent / 28).toBeCloseTo(7.6, 1);
    expect(of({ efficiencyClass: 'IE3' }).lockedRotorTorque).toBeCloseTo(2.4, 6);
    expect(of({}).lockedRotorTorque).toBeCloseTo(iec.lockedRotorTorque(15_000, 4).value, 6);
    // IE3 asks 92.1 % of 15 kW at four poles; without a class the standard's older one is taken, and class B.
    expect(of({ efficiencyClass: 'IE3' })).toMatchObject({ efficiency: 92.1 / 100, insulation: 'F' });
    expect(of({})).toMatchObject({ efficiency: 90.6 / 100, insulation: 'B' });
    expect(of({ efficiencyClass: 'IE3' }).pulseRating).toBe(1350);
    expect(of({}).pulseRating).toBe(1000);
  });
});

describe('efficiency of a motor whose plate does not say it, by when it was made (common practice)', () => {
  const thirty = (year?: number) => northAmerica.usualEfficiency(30 * horsepower, 4, year).value;
  it.each([
    [1948, 0.882, 0.89],
    [1965, 0.89, 0.9],
    [1978, 0.898, 0.904],
    [1990, 0.912, 0.918],
  ])('30 hp of %d: between %d and %d', (year, least, most) => {
    expect(thirty(year)).toBeGreaterThan(least);
    expect(thirty(year)).toBeLessThan(most);
  });
  it('from 1998 what the law asked: energy efficient, then premium; unknown as of the 1990s', () => {
    expect([thirty(1997), thirty(1998), thirty(2010), thirty(2011)]).toEqual([thirty(1990), 0.924, 0.924, 93.6 / 100]);
    expect(thirty()).toBe(thirty(1990));
  });
  it('under IEC class IE1 and worse before 2011, then IE2, IE3', () => {
    const of = (year?: number) => Number((100 * iec.usualEfficiency(22_000, 4, year).value).toFixed(1));
    expect([of(1969), of(1975), of(1997), of(1998), of(2011)]).toEqual([88.1, 89, 89, 89.9, 89.9]);
    expect([of(2012), of(2018), of()]).toEqual([91.6, 93, 91.6]);
  });
  it('a stamped class tells it where no value is stamped', () => {
    const old = (efficiencyClass: string) =>
      solved(
        fan('18 hp', {
          plate: { ...ordinaryPlate, efficiencyClass },
          speed: { need: 'fixed', profile: [{ hours: 6000, flow: 1 }] },
        }),
      );
    expect(figure(old('PREMIUM'), 'cost.oldEfficiency')).toBeCloseTo(0.93, 9);
    expect(old('PREMIUM').figures['cost.oldEfficiency']?.assumed[0]?.why).toContain('what class premium asks');
    expect(figure(old('?'), 'cost.oldEfficiency')).toBeLessThan(0.92);
  });
  it('reaches the saving: an older motor wastes more', () => {
    const saved = (year?: number) =>
      figure(
        solved(
          fan('18 hp', {
            plate: { ...ordinaryPlate, year },
            speed: { need: 'fixed', profile: [{ hours: 6000, flow: 1 }] },
            money: { energyPrice: 0.12, years: 10 },
          }),
        ),
        'cost.oldEfficiency',
      );
    expect(saved(1965)).toBeLessThan(saved(1990));
    expect(saved(1990)).toBe(saved());
    expect(saved(2012)).toBeGreaterThan(saved());
  });
});

describe('height and service factor (NEMA MG 1 14.4, from memory)', () => {
  const high = (altitude: string, over: Partial<CaseText> = {}, ambient = '40 degC') =>
    solved(fan('17.9 hp', { place: { ...place, ambient, altitude }, ...over }));
  const pinned = { motor: { catalogue: 'na-tefc-20hp-4p' } } as const;
  const left = (r: Result) => figure(r, 'point.shaftPower') / figure(r, 'choice.loading') / (20 * horsepower);
  it('a factor of 1.15 is taken up by the height to 2740 m at 40 °C: the rating stays', () => {
    expect(left(high('1000 m', pinned))).toBeCloseTo(1, 9);
    expect(left(high('1001 m', pinned))).toBeCloseTo(1, 9);
    expect(left(high('2740 m', pinned))).toBeCloseTo(1, 9);
    expect(left(high('2741 m', pinned))).toBeCloseTo(1 - 0.1741, 9);
    expect(left(high('2000 m', pinned, '41 degC'))).toBeCloseTo(0.89, 9);
    expect(verdict(high('2000 m', pinned), 'power')?.text).toContain('its service factor takes up the height');
  });
  it('not on a drive, where the factor counts as 1.0 unless the house rule says otherwise', () => {
    const drive = { ...pinned, method: 'drive', speed: { need: 'variable', min: 0.6 } } as const;
    expect(left(high('2000 m', drive))).toBeCloseTo(0.9, 9);
    expect(left(high('2000 m', { ...drive, rules: { serviceFactorOnDrive: true } }))).toBeCloseTo(1, 9);
  });
  it('and not for a motor without one', () => {
    const plate = { ...ordinaryPlate, efficiency: 0.93, serviceFactor: 1 };
    expect(left(high('2000 m', { motor: { plate } }))).toBeCloseTo(0.9, 9);
    expect(left(high('2000 m', { motor: { plate: { ...plate, serviceFactor: 1.15 } } }))).toBeCloseTo(1, 9);
  });
  it('by the other school the factor sizes, at usual heat and height, and the winding bears it', () => {
    const sized = (over: Partial<CaseText> = {}) =>
      solved(fan('21 hp', { rules: { serviceFactorUse: 'sized' }, ...over }));
    const reserve = solved(fan('21 hp'));
    expect(reserve.choice?.motor.name).toContain('25 hp');
    expect(sized().choice?.motor.name).toMatch(/^20 hp/);
    const hot = (r: Result) => figure(r, 'choice.windingTemperature');
    expect(hot(sized())).toBeGreaterThan(hot(reserve));
    expect(sized({ place: { ...place, ambient: '41 degC' } }).choice?.motor.name).toContain('25 hp');
  });
});

describe('windings on a drive', () => {
  const driven = (over: Partial<CaseText> = {}, cable = '60 m') =>
    malt({
      method: 'drive',
      speed: { need: 'variable', min: 0.5 },
      place: { ...place, cable: { length: cable } },
      ...over,
    });
  const winding = (r: Result) => verdict(r, 'winding');
  const ordinary = { motor: { catalogue: 'iec-ip55-ie3-18_5kW-4p' } } as const;
  it('IEC windings bear 1350 V: at 400 V the drive sets the cable, a filter at 500 V', () => {
    expect(winding(solved(driven(ordinary)))).toMatchObject({ outcome: 'pass', remedy: null });
    expect(winding(solved(driven(ordinary)))?.text).not.toContain('any cable');
    const at500 = { supply: { ...malt().supply, voltage: '500 V' }, motor: { catalogue: 'iec-ip55-500-18_5kW-4p' } };
    expect(winding(solved(driven(at500)))?.remedy?.kind).toBe('filter');
  });
  it('Choice and Drive say the same of the same cable, by every school', () => {
    const wound = ['na-tefc-25hp-4p', 'na-tefc-inv-25hp-4p'];
    for (const leadLength of ['calculated', '15 m', '30 m'] as const)
      for (const catalogue of wound)
        for (const length of ['15 m', '15.1 m', '30 m', '30.1 m']) {
          const r = solved(
            fan('18 hp', {
              method: 'drive',
              motor: { catalogue },
              rules: { leadLength },
              speed: { need: 'variable', min: 0.6 },
              place: { ...place, cable: { length } },
            }),
          );
          const filtered = /filter$/.test(winding(r)?.remedy?.kind ?? '');
          expect(findingIds(r).includes('drive.cable-too-long'), `${leadLength} ${catalogue} ${length}`).toBe(filtered);
        }
  });
  it('30 m is for windings made for drives, 15 m for the others', () => {
    const asks = (catalogue: string, length: string) =>
      winding(
        solved(
          fan('18 hp', {
            method: 'drive',
            motor: { catalogue },
            rules: { leadLength: '30 m' },
            speed: { need: 'variable', min: 0.6 },
            place: { ...place, cable: { length } },
          }),
        ),
      )?.remedy?.kind;
    expect([asks('na-tefc-25hp-4p', '15 m'), asks('na-tefc-25hp-4p', '16 m')]).toEqual([undefined, 'filter']);
    expect([asks('na-tefc-inv-25hp-4p', '30 m'), asks('na-tefc-inv-25hp-4p', '31 m')]).toEqual([undefined, 'filter']);
  });
  it('“modern motors are fine” looks at the year, and asks for it where the plate does not say', () => {
    const old = (year?: number) =>
      winding(
        solved(
          fan('18 hp', {
            method: 'drive',
            motor: { plate: { ...ordinaryPlate, power: '25 hp', current: '62/31 A', efficiency: 0.92, year } },
            rules: { inverterDuty: 'modern' },
            speed: { need: 'variable', min: 0.6 },
            place: { ...place, cable: { length: '60 m' } },
          }),
        ),
      );
    expect(old(2015)).toMatchObject({ outcome: 'pass', text: expect.stringContaining('made in 2015') });
    expect(old(2014)?.remedy?.kind).toBe('sine-filter');
    expect(old()?.condition).toMatchObject({ field: 'plate.year', limit: '2015' });
  });
});

describe('place, start and failure', () => {
  it('small IEC motors are enclosed; open ones begin at 11 kW', () => {
    const open = motors.filter((m) => m.practice === 'iec' && m.enclosure === 'open').map((m) => m.power);
    expect(Math.min(...open)).toBe(11_000);
    expect(
      solved(malt({ load: { ...malt().load, demand: { kind: 'power', power: '5 kW', speed: '1475 rpm' } } })).choice
        ?.motor.name,
    ).not.toContain('IP23');
  });
  it('an open motor is never chosen in silence', () => {
    const r = solved(fan('18 hp', { motor: { catalogue: 'na-odp-20hp-4p' } }));
    expect(finding(r, 'choice.open')?.text).toContain('clean and dry');
    expect(findingIds(solved(fan('18 hp', { motor: { catalogue: 'na-tefc-20hp-4p' } })))).not.toContain('choice.open');
  });
  it('food takes stainless or sealed epoxy, or by house rule stainless alone', () => {
    const food = (power: string, foodFinish?: 'stainless') =>
      solved(fan(power, { place: { ...place, food: true, water: 'washdown' }, rules: foodFinish && { foodFinish } }));
    expect(food('15 hp').choice?.motor.construction).toBe('stainless');
    expect(food('27 hp').choice?.motor.construction).toBe('cast-iron');
    expect(food('15 hp', 'stainless').choice?.motor.construction).toBe('stainless');
    expect(food('27 hp', 'stainless').choice).toBeNull();
    const epoxy = solved(
      fan('27 hp', {
        place: { ...place, food: true, water: 'washdown' },
        rules: { foodFinish: 'stainless' },
        motor: { catalogue: 'na-epoxy-30hp-4p' },
      }),
    );
    expect(verdict(epoxy, 'enclosure')?.text).toContain('house rule wants stainless');
  });
  it('a drive hangs sealed on the wall to 20 hp, in a cabinet beyond, or as the case or the house says', () => {
    const hangs = (power: string, over: Partial<CaseText> = {}) =>
      fact(solved(fan(power, { method: 'drive', speed: { need: 'variable', min: 0.5 }, ...over })), 'drive.housing');
    expect(hangs('17 hp')).toMatch(/^sealed on the wall/);
    expect(hangs('22 hp')).toMatch(/^in a cabinet, filtered .* three months/);
    expect(hangs('22 hp', { place: { ...place, dirt: 'dusty' } })).toMatch(/every month/);
    expect(hangs('22 hp', { place: { ...place, driveHousing: 'wall' } })).toMatch(/^sealed/);
    expect(hangs('17 hp', { rules: { driveHousing: 'cabinet' } })).toMatch(/^in a cabinet/);
    expect(hangs('22 hp', { rules: { driveHousing: 'sealed' } })).toMatch(/^sealed/);
  });
  it('what the line sees of a start is not compared where a drive starts the motor', () => {
    const replace = (over: Partial<CaseText>) =>
      solved(
        fan('18 hp', {
          plate: { ...ordinaryPlate, codeLetter: 'G' },
          replacement: { plate: { ...ordinaryPlate, codeLetter: 'H' } },
          ...over,
        }),
      ).replacement?.lines.some((l) => l.item === 'code letter and inrush');
    expect(replace({})).toBe(true);
    expect(replace({ method: 'drive' })).toBe(false);
    expect(replace({ speed: { need: 'variable', min: 0.5 } })).toBe(false);
  });
  it('a hot-gas fan started cold moves the air of its height', () => {
    const hot = (altitude: string) => {
      const demand = {
        kind: 'fan',
        flow: '5 m3/s',
        pressure: '2000 Pa',
        efficiency: 0.7,
        gasTemperature: '200 degC',
        speed: '1760 rpm',
      } as const;
      const r = solved({
        ...fan('1 hp'),
        load: { machine: 'centrifugal-fan', demand },
        place: { ...place, altitude },
      });
      return finding(r, 'load.cold-start')?.text ?? '';
    };
    // Air of 20 °C: 1.20 kg/m³ at the sea, 0.94 at 2000 m (ISO 2533 pressure); the ratio is that of temperatures.
    expect(hot('0 m')).toMatch(/air of 1\.20 kg\/m³, the fan takes 161 %/);
    expect(hot('2000 m')).toMatch(/air of 0\.94 kg\/m³, the fan takes 161 %/);
  });
  it('a failure of unknown cause is looked at in the usual order, with what the case makes suspect', () => {
    const failed = (causes: NonNullable<CaseText['history']>['causes'], over: Partial<CaseText> = {}) =>
      solved(fan('18 hp', { plate: { ...ordinaryPlate, enclosure: 'ODP' }, history: { causes }, ...over }));
    const unknown = finding(failed(['unknown'], { place: { ...place, dirt: 'dirty' } }), 'history.unknown-cause');
    expect(unknown?.text).toMatch(/bearings, then insulation, then heat/);
    expect(unknown?.text).toContain('Suspect here');
    expect(findingIds(failed([]))).toContain('history.unknown-cause');
    expect(findingIds(failed(['water']))).not.toContain('history.unknown-cause');
    expect(findingIds(solved(fan('18 hp')))).not.toContain('history.unknown-cause');
  });
});

describe('tables corrected (from memory, second pass)', () => {
  it('NEMA MG 1 12.39.2: design C keeps 200 % at four poles to 20 hp', () => {
    const at = (hp: number) => northAmerica.design('C', hp * horsepower, 4)?.breakdownTorque;
    expect([at(5), at(7.5), at(20), at(25)]).toEqual([2, 2, 2, 1.9]);
  });
  it('10 CFR 431.25: open six-pole motors of 250 to 500 hp', () => {
    const nominal = (hp: number) => Number((100 * motor(`na-odp-${hp}hp-6p`).efficiency).toFixed(1));
    expect([200, 250, 300, 350, 400, 450, 500].map(nominal)).toEqual([95.4, 95.8, 95.8, 95.8, 95.8, 96.2, 96.2]);
  });
});
