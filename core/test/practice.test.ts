import { describe, expect, it } from 'vitest';
import { houseRules, practice, practiceById, readCase, type CaseText, type Practice } from '@pilgrim/core';
import { conveyor, figure, findingIds, horsepower, solved } from './cases';

const na = practiceById('north-america');
const iec = practiceById('iec');

describe('voltage a motor may see', () => {
  // North America: motor voltages sit below system voltages on purpose (NEMA MG 1 12.44 permits ±10 %, from memory).
  it.each([
    [480, 460, 'pass'],
    [240, 230, 'pass'],
    [600, 575, 'pass'],
    [208, 200, 'pass'],
    [208, 230, 'caution'],
    [480, 440, 'caution'],
    [480, 230, 'fail'],
    [400, 460, 'fail'],
  ] as const)('North America: %i V supply, %i V motor: %s', (supply, motor, outcome) => {
    expect(na.voltageFit(supply, motor).outcome).toBe(outcome);
  });
  // IEC 60034-1, 7.3: zone A ±5 %, zone B ±10 % (from memory).
  it.each([
    [400, 400, 'pass'],
    [400, 380, 'pass'],
    [400, 415, 'pass'],
    [440, 400, 'caution'],
    [400, 690, 'fail'],
    [400, 230, 'fail'],
  ] as const)('IEC: %i V supply, %i V motor: %s', (supply, motor, outcome) => {
    expect(iec.voltageFit(supply, motor).outcome).toBe(outcome);
  });
  it('says how far it is off, with its sign', () => {
    expect(na.voltageFit(208, 230).deviation).toBeCloseTo(-0.0957, 4);
    expect(iec.voltageFit(400, 380).deviation).toBeCloseTo(0.0526, 4);
  });
});

describe('table current (NFPA 70 Table 430.250, from memory)', () => {
  it.each([
    [30, 460, 40],
    [30, 230, 80],
    [30, 208, 88],
    [30, 200, 92],
    [30, 575, 32],
    [30, 220, 80],
    [30, 240, 80],
    [30, 440, 40],
    [30, 480, 40],
    [30, 600, 32],
    [0.5, 460, 1.1],
    [500, 460, 590],
  ])('%d hp at %i V: %d A', (hp, volts, amps) => {
    expect(na.tableCurrent(hp * horsepower, volts, 0)?.value).toBe(amps);
  });
  it('a rating between two rows takes the larger', () => {
    expect(na.tableCurrent(22 * horsepower, 460, 0)?.value).toBe(34);
  });
  it('beyond the table, or at a voltage it does not list, there is none', () => {
    expect(na.tableCurrent(600 * horsepower, 460, 0)).toBeUndefined();
    expect(na.tableCurrent(30 * horsepower, 690, 0)).toBeUndefined();
    expect(na.tableCurrent(30 * horsepower, 400, 0)).toBeUndefined();
    expect(na.tableCurrent(300 * horsepower, 208, 0)).toBeUndefined();
  });
  it('and the case then says that the plate current is used', () => {
    const r = solved({
      ...conveyor,
      load: undefined,
      plate: {
        power: '600 hp',
        voltage: '460 V',
        current: '680 A',
        speed: '1785 rpm',
        frequency: '60 Hz',
        serviceFactor: 1,
      },
    });
    expect(findingIds(r)).toContain('guard.no-table-current');
    expect(figure(r, 'guard.conductorCurrent')).toBeCloseTo(850, 9);
  });
  it('IEC knows none: the plate current stands', () => {
    expect(iec.tableCurrent(15000, 400, 28.5)?.value).toBe(28.5);
  });
});

describe('frames and enclosures', () => {
  it.each([
    ['160L', 160],
    ['80', 80],
    ['315S', 315],
    ['90 L', 90],
  ])('IEC frame %s is %i mm high', (frame, mm) => expect(iec.shaftHeight(frame)?.value).toBe(mm));
  it.each(['T286', 'frame', ''])('"%s" is no frame', (frame) => {
    expect(na.shaftHeight(frame)).toBeUndefined();
    expect(iec.shaftHeight(frame)).toBeUndefined();
  });
  it.each([
    [na, 'TEFC', 'enclosed'],
    [na, 'ODP', 'open'],
    [na, 'Totally enclosed, fan cooled', 'enclosed'],
    [na, 'washdown duty TENV', 'washdown'],
    [na, 'severe duty', 'severe-duty'],
    [iec, 'IP55', 'enclosed'],
    [iec, 'IP 23', 'open'],
    [iec, 'IP66', 'washdown'],
    [iec, 'TEFC', 'enclosed'],
  ] as const)('%# reads %s', (who: Practice, text: string, kind: string) =>
    expect(who.enclosureClass(text)).toBe(kind),
  );
  it('words it does not know are no class, and raise nothing', () => {
    expect(na.enclosureClass('pretty')).toBeUndefined();
    const r = solved({ ...conveyor, plate: { enclosure: 'pretty' }, place: { dirt: 'dirty', water: 'splash' } });
    expect(findingIds(r)).not.toContain('place.enclosure');
  });
  it('a dirtier or wetter place never permits more', () => {
    for (const who of [na, iec]) {
      const open = who.enclosures({
        dirt: 'clean',
        water: 'dry',
        corrosive: false,
        food: false,
        mounting: 'floor',
      }).value;
      for (const dirt of ['clean', 'dusty', 'dirty'] as const)
        for (const water of ['dry', 'drips', 'splash', 'washdown', 'outdoor'] as const)
          for (const corrosive of [false, true])
            for (const kind of who.enclosures({ dirt, water, corrosive, food: false, mounting: 'floor' }).value)
              expect(open).toContain(kind);
    }
  });
});

describe('drives on the ladder', () => {
  it('North America: the table’s currents beside their horsepower', () => {
    const sizes = na.driveSizes(460).value;
    expect(sizes.find((s) => s.name === '30 hp')?.current).toBe(40);
    expect(sizes.map((s) => s.current)).toEqual(sizes.map((s) => s.current).toSorted((a, b) => a - b));
  });
  it('IEC: each current carries its power at 400 V at a usual power factor and efficiency', () => {
    for (const s of iec.driveSizes(400).value.filter((x) => x.power > 1000)) {
      expect(s.power).toBeLessThanOrEqual(Math.sqrt(3) * 400 * s.current);
    }
  });
});

describe('overload by service factor shows what it rests on', () => {
  const plate = { power: '30 hp', voltage: '460 V', current: '36 A', speed: '1770 rpm', frequency: '60 Hz' } as const;
  it('a service factor nobody stamped counts 1.0 and is shown as assumed', () => {
    const r = solved({ ...conveyor, load: undefined, plate });
    expect(figure(r, 'guard.overloadTrip')).toBeCloseTo(1.15 * 36, 9);
    expect(r.figures['guard.overloadTrip']?.assumed.map((a) => a.field)).toEqual(['plate.serviceFactor']);
  });
  it('a stamped one is not', () => {
    const r = solved({ ...conveyor, load: undefined, plate: { ...plate, serviceFactor: 1.15 } });
    expect(r.figures['guard.overloadTrip']?.assumed).toEqual([]);
    expect(r.figures['guard.overloadTrip']?.origins.k).toMatchObject({
      field: 'plate.serviceFactor',
      source: { kind: 'code' },
    });
  });
  it('inside a delta the dial is 0.58 of the plate current, and the trip follows the dial', () => {
    const r = solved({
      format: 'pilgrim.case/1',
      practice: 'iec',
      method: 'star-delta',
      motor: { catalogue: 'iec-ip55-ie3-15kW-4p' },
      supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'stiff' } },
      load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '12 kW', speed: '1470 rpm' } },
    });
    expect(figure(r, 'guard.overloadDial') / figure(r, 'choice.ratedCurrent')).toBeCloseTo(0.577, 3);
    expect(figure(r, 'guard.overloadTrip')).toBeCloseTo(1.2 * figure(r, 'guard.overloadDial'), 9);
  });
});

describe('house rules', () => {
  it('the defaults are among the alternatives, each with a reason', () => {
    for (const rule of Object.values(houseRules)) {
      const all: readonly unknown[] = rule.alternatives;
      expect(all).toContain(rule.value);
      expect(rule.reason.length).toBeGreaterThan(20);
    }
  });
  it('a case may write every alternative of every rule, and nothing else', () => {
    const wrong = (id: string, value: unknown) => readCase({ ...conveyor, rules: { [id]: value } }).ok === false;
    for (const [id, rule] of Object.entries(houseRules)) {
      for (const value of rule.alternatives) expect(wrong(id, value), `${id}: ${value}`).toBe(false);
      expect(wrong(id, 'as it was'), id).toBe(true);
    }
    expect([0.99, 1, 3, 3.01].map((m) => wrong('sizingMargin', m))).toEqual([true, false, false, true]);
    expect([0, 0.01, 0.99, 1].map((dip) => wrong('maxDip', dip))).toEqual([true, false, false, true]);
    expect(wrong('serviceFactorOnDrive', 1)).toBe(true);
  });
  it('one rule set leaves the others at their defaults', () => {
    expect(practice.rulesFor({ maxDip: 0.05 })).toEqual({ ...practice.rulesFor(undefined), maxDip: 0.05 });
  });
  it('rules in force stand on the sheet, the case’s own marked', () => {
    const r = solved({ ...conveyor, rules: { conductorBasis: 'plate' } });
    expect(r.rules.find((x) => x.id === 'conductorBasis')).toMatchObject({ value: 'plate', own: true });
    expect(r.rules.find((x) => x.id === 'serviceFactorOnDrive')).toMatchObject({ value: 'no', own: false });
    expect(r.rules.find((x) => x.id === 'maxDip')).toMatchObject({ value: '0.15', own: false });
    expect(solved(conveyor).rules.find((x) => x.id === 'conductorBasis')?.value).toBe('table (by practice)');
  });
  it('conductors from the plate or from the table', () => {
    const by = (conductorBasis: 'plate' | 'table') => solved({ ...conveyor, rules: { conductorBasis } });
    expect(figure(by('table'), 'guard.conductorCurrent')).toBeCloseTo(
      1.25 * figure(by('table'), 'guard.tableCurrent'),
      9,
    );
    expect(figure(by('plate'), 'guard.conductorCurrent')).toBeCloseTo(
      1.25 * figure(by('plate'), 'choice.ratedCurrent'),
      9,
    );
  });
  it('nominal efficiency instead of the guaranteed one never costs more energy', () => {
    const by = (efficiencyBasis: 'minimum' | 'nominal') =>
      figure(
        solved({ ...conveyor, rules: { efficiencyBasis }, motor: { catalogue: 'na-tefc-5hp-4p' } }),
        'cost.newEnergy',
      );
    expect(by('nominal')).toBeLessThan(by('minimum'));
  });
  it('the lead-length schools: 15 m, and 30 m for a winding made for drives', () => {
    const fan: CaseText = {
      ...conveyor,
      method: 'drive',
      place: { ...conveyor.place, cable: { length: '20 m' } },
    };
    const too = (catalogue: string) =>
      (['15 m', '30 m', 'calculated'] as const).map((leadLength) =>
        findingIds(solved({ ...fan, motor: { catalogue }, rules: { leadLength } })).includes('drive.cable-too-long'),
      );
    expect(too('na-tefc-5hp-4p')).toEqual([true, true, true]);
    expect(too('na-tefc-inv-5hp-4p')).toEqual([true, false, false]);
  });
  it('an output reactor is offered only where the house accepts it', () => {
    const text = (outputReactor: 'accept' | 'avoid') =>
      solved({
        ...conveyor,
        motor: { catalogue: 'na-tefc-5hp-4p' },
        method: 'drive',
        place: { cable: { length: '60 m' } },
        rules: { outputReactor },
      }).findings.find((f) => f.id === 'drive.cable-too-long')?.text;
    expect(text('accept')).toContain('output reactor');
    expect(text('avoid')).not.toContain('output reactor');
  });
  it.each(['price', 'efficiency', 'margin', 'life-cycle'] as const)(
    'ranking by %s puts first what it says',
    (ranking) => {
      const r = solved({ ...conveyor, rules: { ranking } });
      const passing = r.candidates.filter((c) => c.outcome === 'pass');
      expect(passing.length).toBeGreaterThan(1);
      const key = {
        price: (c: (typeof passing)[number]) => c.cost.priceIndex,
        efficiency: (c: (typeof passing)[number]) => -c.motor.efficiency,
        margin: (c: (typeof passing)[number]) => -(c.verdicts.find((v) => v.requirement === 'power')?.margin ?? 0),
        'life-cycle': (c: (typeof passing)[number]) => c.cost.lifeCycle,
      }[ranking];
      const values = passing.map(key);
      // Costs within the house rule count as equal: the first need not be the cheapest by a hair.
      const equal = ranking === 'life-cycle' ? 1.02 : 1;
      for (const value of values) expect(values[0]).toBeLessThanOrEqual(value * equal + 0.011);
    },
  );
});

describe('what the result carries beside the figures', () => {
  const r = solved(conveyor);
  it('every candidate once, the best method of each, at most fifty, what fails after all else', () => {
    expect(r.candidates).toHaveLength(50);
    expect(new Set(r.candidates.map((c) => c.motor.id)).size).toBe(50);
    const order = r.candidates.map((c) => Number(c.outcome === 'fail'));
    expect(order).toEqual(order.toSorted((a, b) => a - b));
  });
  it('counts add up', () => {
    expect(r.counts.pass + r.counts.caution + r.counts.fail).toBe(r.counts.motors);
    expect(r.candidates.filter((c) => c.outcome === 'pass').length).toBe(Math.min(50, r.counts.pass));
  });
  it('a candidate is as good as its worst verdict', () => {
    for (const c of r.candidates) {
      const worst = c.verdicts.some((v) => v.outcome === 'fail')
        ? 'fail'
        : c.verdicts.some((v) => v.outcome === 'caution')
          ? 'caution'
          : 'pass';
      expect(c.outcome).toBe(worst);
    }
  });
  it('the choice says why, and why not the next size down', () => {
    expect(r.choice?.reasons[0]).toContain('life-cycle');
    expect(r.choice?.reasons[0]).toMatch(/(Not the next size down|The next size down)/);
    expect(r.choice?.reasons[0]).toMatch(/(ot the next cheaper|is cheaper to buy|cheaper to buy, )/);
  });
  it('the load’s curve starts at breakaway and holds its torque', () => {
    const load = r.curves.torqueSpeed?.load ?? [];
    expect(load[0]?.[1]).toBeCloseTo(figure(r, 'load.breakawayTorque'), 9);
    expect(load.at(-1)?.[1]).toBeCloseTo(figure(r, 'load.motorTorque'), 9);
  });
  it('the motor’s line passes through rated torque at rated speed', () => {
    const rated = r.curves.torqueSpeed?.motor.find(([n]) => Math.abs(n - figure(r, 'choice.ratedSpeed')) < 1e-9);
    expect(rated?.[1]).toBeCloseTo(figure(r, 'start.ratedTorque'), 9);
  });
  it('rows of the year add up to the energies', () => {
    const rows = r.curves.flow?.rows ?? [];
    const total = (of: 'oldInput' | 'newInput') => rows.reduce((sum, row) => sum + row.hours * row[of], 0);
    expect(total('oldInput')).toBeCloseTo(figure(r, 'cost.oldEnergy'), 6);
    expect(total('newInput')).toBeCloseTo(figure(r, 'cost.newEnergy'), 6);
  });
  it('what nobody said is on the figures that rest on it', () => {
    expect(r.figures['cost.oldEnergy']?.assumed.map((a) => a.field)).toContain('speed.control');
    const bare = solved({ format: 'pilgrim.case/1', practice: 'iec', load: conveyor.load });
    const said = bare.findings.find((f) => f.id === 'choice.assumed')?.text ?? '';
    for (const words of ['fixed speed', 'at least what stood there', '4000 h', '0.15 per kWh'])
      expect(said).toContain(words);
  });
  it('a station’s state is its worst finding, empty where its key figure is missing; a stop closes what rests on it', () => {
    const empty = solved({ format: 'pilgrim.case/1', practice: 'iec' });
    expect(new Set(Object.values(empty.stations).map((s) => s.state))).toEqual(new Set(['empty']));
    const stopped = solved({ ...conveyor, place: { ...conveyor.place, hazardous: true } });
    expect(stopped.stations.place.state).toBe('stop');
    expect(stopped.stations.choice).toMatchObject({ state: 'stop', because: ['place.hazardous'] });
    expect(stopped.stations.sheet).toMatchObject({ state: 'stop', key: 'stopped' });
    expect(solved({ ...conveyor, place: { ...conveyor.place, ambient: '45 degC' } }).stations.place.state).toBe(
      'caution',
    );
  });
});
