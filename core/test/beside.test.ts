import { describe, expect, it } from 'vitest';
import { explainMotor, nameplate, readCase, solveWith, type CaseText } from '@pilgrim/core';
import { conveyor, findingIds, ordinaryPlate, solved } from './cases';

type Over = Partial<CaseText>;
const fan = (hp: number, over: Over = {}, load: object = {}): CaseText => ({
  ...conveyor,
  load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: `${hp} hp`, speed: '1760 rpm' }, ...load },
  place: { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry' },
  ...over,
});
/** What stands beside the choice: the buying specification, what can run tomorrow, what may be kept. */

describe('the buying specification', () => {
  const lines = (text: CaseText) =>
    Object.fromEntries((solved(text).choice?.buying ?? []).map((l) => [l.what, `${l.text} | ${l.may}`]));
  it('has every line a buyer needs, from the motor that was chosen, and what may differ', () => {
    const of = lines({ ...fan(18), plate: ordinaryPlate });
    expect(Object.keys(of)).toEqual([
      'Motor',
      'Speed',
      'Supply',
      'Current',
      'Enclosure',
      'Frame',
      'Shaft',
      'Efficiency',
      'Torque',
      'Winding',
      'Place',
      'Delivery',
      'Starts',
      'Starter',
      'Papers',
    ]);
    expect(of.Motor).toMatch(/20 hp.*S1.*never smaller/);
    expect(of.Speed).toMatch(/^4 poles/);
    expect(of.Supply).toMatch(/460 V connection on 480 V, 60 Hz, 3 phases/);
    expect(of.Frame).toMatch(/256T; the old motor stood on 256T/);
    expect(of.Shaft).toMatch(/standard shaft/);
    expect(of.Starter).toMatch(/^Direct on line/);
    expect(of.Starts).toMatch(/say so where it is more/);
  });
  it('says of the enclosure what else will do, of the winding what must not differ, of the class that it is stated', () => {
    const of = lines({ ...fan(18), method: 'direct', place: { dirt: 'clean', water: 'dry', ambient: '30 degC' } });
    expect(of.Enclosure).toMatch(/^ODP.*will do too/);
    expect(of.Enclosure?.split('|')[1]).not.toMatch(/open/);
    expect(lines({ ...fan(8), place: { dirt: 'dirty', water: 'washdown' } }).Enclosure).toContain(
      'nothing else will do',
    );
    expect(of.Supply).toContain('another winding with this voltage on it');
    expect(of.Efficiency).toMatch(/^Premium, \d\d\.\d % nominal/);
    const star = lines({
      format: 'pilgrim.case/1',
      practice: 'iec',
      supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'stiff' } },
      load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '12 kW', speed: '1470 rpm' } },
      method: 'star-delta',
    });
    expect(star.Supply).toMatch(/nothing: star-delta needs six leads/);
  });
  it('leaves out what a stated reason sets aside', () => {
    const cable: CaseText = {
      ...fan(18, { place: { dirt: 'clean', water: 'dry', cable: { length: '60 m' } } }),
      method: 'drive',
      motor: { catalogue: 'na-tefc-25hp-4p' },
    };
    expect(lines(cable)['With it']).toContain('filter');
    const reason = 'the filter stands in the panel already';
    const without = lines({ ...cable, waived: [{ requirement: 'winding', reason }] })['With it'] ?? '';
    expect(without).not.toContain('filter');
  });
  it('names remedies and what is to be settled first; belts ask the long shaft, a drive its current', () => {
    const of = lines({
      ...fan(
        18,
        { speed: { need: 'variable', min: 0.5, max: 1 } },
        { train: { kind: 'belt', ratio: 1 }, startsPerHour: 6 },
      ),
      motor: { catalogue: 'na-tefc-25hp-4p' },
    });
    expect(of.Shaft).toMatch(/^long shaft/);
    expect(of.Drive).toMatch(/A continuous; speed 50 % to 100 %/);
    expect(of['Settle first']).toContain('motor cable of 15 m or less');
    expect(of.Starts).toMatch(/^6 an hour/);
    const long = lines({
      ...fan(18, { place: { dirt: 'clean', water: 'dry', cable: { length: '60 m' } } }),
      method: 'drive',
      motor: { catalogue: 'na-tefc-25hp-4p' },
    });
    expect(long['With it']).toContain('a sine filter');
  });
});

describe('what can run tomorrow', () => {
  const entry = (over: object = {}) => ({
    id: 'spare',
    name: 'Spare of the store',
    plate: { ...ordinaryPlate, efficiency: 0.91, designLetter: 'B', codeLetter: 'G' },
    quantity: 1,
    place: 'Store 2',
    days: null,
    keptFor: '',
    price: null as number | null,
    ...over,
  });
  const withShelf = (entries: readonly ReturnType<typeof entry>[], hp = 17) => {
    const reading = readCase({ ...fan(hp), rules: { costTie: 0 } });
    if (!reading.ok) expect.fail('not a case');
    return solveWith(reading.value, nameplate.shelfMotors(entries, 'north-america').motors).result.choice;
  };
  it('stands beside a choice that must be bought, with its place and what it costs more', () => {
    const choice = withShelf([entry()]);
    expect(choice?.motor.stock).toBeNull();
    expect(choice?.tomorrow).toMatchObject({
      motor: { name: expect.stringContaining('Spare of the store') },
      text: expect.stringContaining('Can run tomorrow, from Store 2'),
    });
  });
  it('beside a quote that was chosen too, which comes later; the buying specification says when', () => {
    const quoted = { ...entry({ id: 'quoted', quantity: 0, days: 28, name: 'Quoted' }), price: 10 };
    const choice = withShelf([entry(), quoted]);
    expect(choice?.motor).toMatchObject({ id: 'quoted', stock: { days: 28 } });
    expect(choice?.tomorrow?.motor.id).toBe('spare');
    const delivery = (c: typeof choice) => c?.buying.find((l) => l.what === 'Delivery')?.text;
    expect(delivery(choice)).toBe('quoted, 28 days');
    expect(delivery(withShelf([{ ...entry(), price: 10 }]))).toBe('1 at Store 2');
    expect(delivery(withShelf([]))).toMatch(/^ask when/);
  });
  it('a line of the shelf is pinned by its own number, and one that is nowhere is said so', () => {
    const pinned = (catalogue: string) => {
      const reading = readCase({ ...fan(17), motor: { catalogue } });
      if (!reading.ok) expect.fail('not a case');
      return solveWith(reading.value, nameplate.shelfMotors([entry()], 'north-america').motors).result;
    };
    expect(pinned('spare').choice?.motor.id).toBe('spare');
    expect(findingIds(pinned('spare'))).not.toContain('choice.unknown-motor');
    expect(findingIds(pinned('another'))).toContain('choice.unknown-motor');
  });
  it('a spare kept for another position is an open caution there, and none at its own, by tag or name', () => {
    const kept = (own: readonly string[], quantity = 1, more: Partial<CaseText> = {}) => {
      const reading = readCase({ ...fan(17), rules: { ranking: 'shelf' }, ...more });
      if (!reading.ok) expect.fail('not a case');
      const { motors } = nameplate.shelfMotors([entry({ keptFor: 'KM-7', quantity })], 'north-america');
      const { result, screening } = solveWith(reading.value, nameplate.spareOf(motors, own));
      if (!screening) expect.fail('nothing judged');
      const spare = explainMotor(screening, 'spare')?.verdicts.find((v) => v.requirement === 'spare');
      return [spare?.outcome, spare?.text ?? '', result.choice?.motor.id, result.choice?.tomorrow?.motor.id];
    };
    const at = (...own: string[]) => kept(own).slice(0, 3);
    // The only one: named as what can run tomorrow, with what it leaves bare, and taken by a person alone.
    expect(kept(['KM-8', 'Mill fan'])).toEqual([
      'caution',
      expect.stringMatching(/^Kept as the spare of KM-7: .*has none .*only a person takes it/),
      expect.not.stringMatching(/^spare$/),
      'spare',
    ]);
    expect(kept(['KM-8'], 2)).toEqual(['caution', expect.stringContaining('has 1 left'), 'spare', undefined]);
    expect(kept(['KM-8'], 1, { motor: { catalogue: 'spare' } })[2]).toBe('spare');
    expect(kept(['KM-8'], 1, { waived: [{ requirement: 'spare', reason: 'another is on its way' }] })[2]).toBe('spare');
    expect(at('km-7', 'Mill fan')).toEqual([undefined, '', 'spare']);
    expect(at('KM-8', 'KM 7')).toEqual([undefined, '', 'spare']);
  });
  it('the spares of one position are one list, however often it is asked; who has none sees the shelf itself', () => {
    const shelf = [entry({ keptFor: 'KM-7' }), { ...entry({ keptFor: 'KM-8' }), id: 'other' }];
    const { motors } = nameplate.shelfMotors(shelf, 'north-america');
    const kept = (...own: string[]) => nameplate.spareOf(motors, own).map((m) => m.stock?.keptFor);
    expect([kept('KM-7'), kept('KM-8'), kept('km-8', 'KM 7')]).toEqual([
      ['', 'KM-8'],
      ['KM-7', ''],
      ['', ''],
    ]);
    expect(nameplate.spareOf(motors, ['KM-7', 'Mill fan'])).toBe(nameplate.spareOf(motors, ['km 7', 'Other']));
    expect(nameplate.spareOf(motors, ['KM-9', ''])).toBe(motors);
  });
  it('not where none is there, or none there will do', () => {
    expect(withShelf([entry({ quantity: 0 })])?.tomorrow).toBeNull();
    expect(withShelf([entry()], 40)?.tomorrow).toBeNull();
  });
});

describe('a wasteful motor: what may be kept and what bought', () => {
  const wasteful = (over: Over = {}): CaseText => ({
    ...fan(15, {
      errand: 'wasteful',
      plate: { ...ordinaryPlate, efficiency: 0.885 },
      speed: {
        need: 'fixed',
        control: 'outlet-damper',
        profile: [
          { hours: 3000, flow: 0.6 },
          { hours: 3000, flow: 0.9 },
        ],
      },
      money: { energyPrice: 0.14, years: 10 },
    }),
    ...over,
  });
  const options = (text: CaseText) => Object.fromEntries((solved(text).choice?.options ?? []).map((o) => [o.kind, o]));
  it('are four, each with its method and cost; kept is what the old plate says', () => {
    const of = options(wasteful());
    expect(Object.keys(of)).toEqual(['keep', 'drive', 'replace', 'replace-drive']);
    expect(of.keep?.motor.power).toBe('20 hp');
    expect(of.drive?.method).toBe('drive');
    expect(of.replace?.method).not.toBe('drive');
    expect(of['replace-drive']?.method).toBe('drive');
    expect(of.keep?.lifeCycle).toBeGreaterThan(0);
  });
  it('a better motor saves little, a drive on a damped fan much: cube law at 60 and 90 % flow', () => {
    const of = options(wasteful());
    const [keep, drive, both] = [of.keep, of.drive, of['replace-drive']].map((o) => o?.lifeCycle ?? NaN);
    // (0.6³ + 0.9³) ÷ 2 is 0.47 of full power and a drive's losses; a damper takes 0.8 to 0.95 of it (common practice).
    expect((drive ?? 1) / (keep ?? 1)).toBeLessThan(0.8);
    expect((drive ?? 1) / (keep ?? 1)).toBeGreaterThan(0.5);
    expect(Math.abs((both ?? 1) / (drive ?? 1) - 1)).toBeLessThan(0.2);
  });
  it('whatever is said of the speed: the drive is judged along the profile, the others at full speed', () => {
    const fixed = options(wasteful());
    const asked: CaseText['speed'] = {
      need: 'variable',
      min: 0.6,
      max: 1,
      control: 'outlet-damper',
      profile: [
        { hours: 3000, flow: 0.6 },
        { hours: 3000, flow: 0.9 },
      ],
    };
    const variable = options(wasteful({ speed: asked }));
    for (const kind of ['keep', 'drive', 'replace', 'replace-drive'])
      expect(variable[kind]?.lifeCycle, kind).toBe(fixed[kind]?.lifeCycle);
  });
  it('at full flow all year a drive saves nothing and costs its losses', () => {
    const of = options(
      wasteful({ speed: { need: 'fixed', control: 'outlet-damper', profile: [{ hours: 6000, flow: 1 }] } }),
    );
    expect(of.drive?.lifeCycle ?? 0).toBeGreaterThan(of.keep?.lifeCycle ?? Infinity);
  });
  it('without a plate only what is bought is compared; for another errand nothing is', () => {
    expect(Object.keys(options(wasteful({ plate: undefined })))).toEqual(['replace', 'replace-drive']);
    expect(solved(wasteful({ errand: 'failed' })).choice?.options).toBeNull();
  });
});
