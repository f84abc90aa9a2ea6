import { describe, expect, it } from 'vitest';
import type { CaseText, Result } from '@pilgrim/core';
import { conveyor, figure, findingIds, horsepower, solved } from './cases';

const poundFoot = 4.4482216152605 * 0.3048;
const near = (value: number, expected: number, share = 1e-6): void =>
  expect(Math.abs(value - expected)).toBeLessThanOrEqual(share * Math.abs(expected));

describe('Load: ways to know it agree with first principles', () => {
  const asked = (load: CaseText['load'], practice: CaseText['practice'] = 'iec'): Result =>
    solved({ format: 'pilgrim.case/1', practice, load });

  it('power and speed give torque', () => {
    const r = asked({ demand: { kind: 'power', power: '11 kW', speed: '1460 rpm' } });
    near(figure(r, 'load.torque'), 11000 / ((1460 * 2 * Math.PI) / 60));
  });
  it('torque and speed give power', () => {
    const r = asked({ demand: { kind: 'torque', torque: '100 lbf·ft', speed: '525.2113 rpm' } });
    near(figure(r, 'load.power') / horsepower, 10, 1e-5);
  });
  it('a pull in kilograms-force is the same as in newtons', () => {
    const kgf = asked({ demand: { kind: 'pull', force: '90 kgf', radius: '1.25 ft', speed: '70 rpm' } });
    const newton = asked({ demand: { kind: 'pull', force: '882.5985 N', radius: '381 mm', speed: '70 rpm' } });
    near(figure(kgf, 'load.torque'), figure(newton, 'load.torque'));
    near(figure(kgf, 'load.torque'), 90 * 9.80665 * 0.381);
  });
  it('a pump lifts ρ g Q H', () => {
    const r = asked({
      demand: {
        kind: 'pump',
        flow: '360 m³/h',
        head: '10 m',
        density: '1000 kg/m³',
        efficiency: 0.8,
        speed: '1450 rpm',
      },
    });
    near(figure(r, 'load.power'), (1000 * 9.80665 * 0.1 * 10) / 0.8);
  });
  it('a pump without density is taken to move cold water, and says so', () => {
    const r = asked({ demand: { kind: 'pump', flow: '36 m³/h', head: '10 m', efficiency: 0.8, speed: '1450 rpm' } });
    expect(r.figures['load.power']?.assumed).toEqual([
      { field: 'load.demand.density', value: 1000, why: 'cold water' },
    ]);
  });
  it('a fan moves Q × p', () => {
    const r = asked({
      demand: { kind: 'fan', flow: '10 m³/s', pressure: '1500 Pa', efficiency: 0.75, speed: '980 rpm' },
    });
    near(figure(r, 'load.power'), 20000);
  });
  it('a hoist lifts m g v, its drum turns v ÷ (π D)', () => {
    const r = asked({
      machine: 'hoist',
      demand: { kind: 'hoist', mass: '1000 kg', speed: '0.5 m/s', efficiency: 0.9, drumDiameter: '0.4 m' },
      train: { kind: 'gearbox', ratio: 60, efficiency: 0.94 },
    });
    near(figure(r, 'load.power'), (1000 * 9.80665 * 0.5) / 0.9);
    near(figure(r, 'load.speed'), (60 * 0.5) / (Math.PI * 0.4));
    // Torque at the drum is weight times radius over the same efficiency.
    near(figure(r, 'load.torque'), (1000 * 9.80665 * 0.2) / 0.9);
  });
  it('a current without a plate tells no load; that is said, not guessed', () => {
    const r = asked({ demand: { kind: 'measured', current: '20 A', voltage: '400 V' } });
    expect(findingIds(r)).toEqual(expect.arrayContaining(['load.no-rating', 'load.missing']));
    expect(r.figures['load.power']).toBeUndefined();
  });
  it('power is the same on both sides of a lossless train; a lossy one asks for more', () => {
    const lossless = asked({
      demand: { kind: 'torque', torque: '300 N·m', speed: '60 rpm' },
      train: { kind: 'gearbox', ratio: 24, efficiency: 1 },
    });
    near(figure(lossless, 'load.motorPower'), figure(lossless, 'load.power'));
    const lossy = asked({
      demand: { kind: 'torque', torque: '300 N·m', speed: '60 rpm' },
      train: { kind: 'gearbox', ratio: 24, efficiency: 0.8 },
    });
    near(figure(lossy, 'load.motorPower'), figure(lossy, 'load.power') / 0.8);
    near(figure(lossy, 'load.motorTorque'), 300 / (24 * 0.8));
  });
  it('inertia is seen through the train by the square of the ratio', () => {
    const r = asked({
      inertia: '12 kg·m²',
      demand: { kind: 'power', power: '1 kW', speed: '100 rpm' },
      train: { ratio: 2 },
    });
    expect(figure(r, 'load.inertiaAtMotor')).toBe(3);
  });
  it('GD² is a quarter of it when written as such', () => {
    const r = asked({ inertia: '48 kg·m² GD2', demand: { kind: 'power', power: '1 kW', speed: '100 rpm' } });
    near(figure(r, 'load.inertiaAtMotor'), 12);
  });
  it('a driven speed left out follows from the old motor through the ratio', () => {
    const r = solved({
      format: 'pilgrim.case/1',
      practice: 'north-america',
      plate: { power: '10 hp', speed: '1755 rpm', frequency: '60 Hz' },
      load: { demand: { kind: 'torque', torque: '20 lbf·ft' }, train: { kind: 'belt', ratio: 1.5 } },
    });
    near(figure(r, 'load.speed'), 1170);
    near(figure(r, 'load.torque') / poundFoot, 20);
    expect(r.figures['load.speed']?.assumed[0]?.why).toContain('old motor');
  });
  it.each([
    ['conveyor', 1.5],
    ['centrifugal-fan', 0.15],
    ['displacement-pump', 1.4],
  ] as const)('breakaway of a %s is assumed and marked', (machine, ratio) => {
    const r = asked({ machine, demand: { kind: 'torque', torque: '10 N·m', speed: '100 rpm' } });
    near(figure(r, 'load.breakawayTorque'), figure(r, 'load.motorTorque') * ratio);
    expect(r.figures['load.breakawayTorque']?.assumed.map((a) => a.field)).toContain('load.breakaway');
  });
});

describe('Plate', () => {
  const base = { format: 'pilgrim.case/1', practice: 'iec', supply: { voltage: '400 V', frequency: '50 Hz' } } as const;
  const plated = (plate: CaseText['plate'], supply: CaseText['supply'] = base.supply): Result =>
    solved({ ...base, supply, plate });

  it.each([
    ['400 V', 400, 28.5],
    ['690 V', 690, 16.5],
  ])('a 400/690 V plate on %s connects its own pair', (voltage, volts, amps) => {
    const r = plated({ power: '15 kW', voltage: '400/690 V', current: '28.5/16.5 A' }, { voltage, frequency: '50 Hz' });
    expect(figure(r, 'plate.connectedVoltage')).toBe(volts);
    expect(figure(r, 'plate.connectedCurrent')).toBe(amps);
  });
  it('groups that do not match give no current, and a finding', () => {
    const r = plated({ power: '15 kW', voltage: '400/690 V', current: '28.5 A' });
    expect(findingIds(r)).toContain('plate.current-inconsistent');
    expect(r.figures['plate.connectedCurrent']).toBeUndefined();
  });
  it('without a supply a grouped plate waits, a single pair does not', () => {
    const grouped = solved({
      format: 'pilgrim.case/1',
      practice: 'iec',
      plate: { voltage: '400/690 V', current: '28.5/16.5 A' },
    });
    expect(grouped.stations.plate.wanted).toContain('supply.voltage');
    const single = solved({
      format: 'pilgrim.case/1',
      practice: 'iec',
      plate: { voltage: '400 V', current: '28.5 A' },
    });
    expect(figure(single, 'plate.connectedVoltage')).toBe(400);
  });
  it('efficiency and power factor follow from each other, and input from both ways alike', () => {
    const plate = {
      power: '15 kW',
      voltage: '400 V',
      current: '28.5 A',
      speed: '1465 rpm',
      frequency: '50 Hz',
    } as const;
    const pf = figure(plated({ ...plate, efficiency: 0.906 }), 'plate.powerFactor');
    const back = plated({ ...plate, powerFactor: Number(pf.toFixed(6)) });
    near(figure(back, 'plate.efficiency'), 0.906, 1e-4);
    near(figure(back, 'plate.inputPower'), 15000 / 0.906, 1e-4);
    near(pf, 15000 / (0.906 * Math.sqrt(3) * 400 * 28.5));
  });
  it('a current that would need more than 100 % efficiency is a misreading, and nothing is made of it', () => {
    const r = plated({ power: '15 kW', voltage: '400 V', current: '18 A', powerFactor: 0.85 });
    expect(findingIds(r)).toContain('plate.current-inconsistent');
    expect(r.figures['plate.efficiency']).toBeUndefined();
    expect(r.figures['plate.inputPower']).toBeUndefined();
  });
  it('the guaranteed efficiency is the stamped one, else from the band, else from the tolerance', () => {
    const stamped = plated({ power: '15 kW', efficiency: 0.906, efficiencyMinimum: 0.89 });
    expect(figure(stamped, 'plate.efficiencyMinimum')).toBe(0.89);
    // IEC 60034-1: 15 % of the losses up to 150 kW (from memory).
    near(figure(plated({ power: '15 kW', efficiency: 0.9 }), 'plate.efficiencyMinimum'), 0.885);
    near(figure(plated({ power: '200 kW', efficiency: 0.95 }), 'plate.efficiencyMinimum'), 0.945);
  });
  it.each([
    ['286TZ', 'plate.special-shaft'],
    ['286TY', 'plate.special-mounting'],
  ])('suffix of frame %s', (frame, id) => {
    expect(findingIds(solved({ ...base, practice: 'north-america', plate: { frame } }))).toContain(id);
  });
  it('plain suffixes raise nothing', () => {
    for (const frame of ['286T', '284TS', '56C', '145TC']) {
      expect(
        findingIds(solved({ ...base, practice: 'north-america', plate: { frame } })).filter((f) =>
          f.startsWith('plate.special'),
        ),
      ).toEqual([]);
    }
  });
  it('a motor rated for minutes must not run all day', () => {
    expect(findingIds(plated({ duty: '30 min' }))).toContain('plate.short-duty');
    for (const duty of ['continuous', 'CONT', 'S1'])
      expect(findingIds(plated({ duty }))).not.toContain('plate.short-duty');
  });
  it('a two-speed plate is named, its higher speed used', () => {
    const r = plated({ voltage: '400 V', speed: '1470/980 rpm', frequency: '50 Hz' });
    expect(findingIds(r)).toContain('plate.two-speed');
    expect(figure(r, 'plate.ratedSpeed')).toBe(1470);
  });
  it('another frequency than the supply’s is said', () => {
    expect(findingIds(plated({ frequency: '60 Hz', speed: '1765 rpm' }))).toContain('plate.frequency-mismatch');
  });
});

describe('Place', () => {
  const at = (place: CaseText['place'], plate?: CaseText['plate']): Result => solved({ ...conveyor, place, plate });
  it('46 °C takes 6 % off a motor, and is said', () => {
    const r = at({ ambient: '46 degC' });
    near(figure(r, 'place.motorDerating'), 0.94);
    expect(findingIds(r)).toContain('place.hot');
  });
  it('104 °F is 40 °C: nothing is lost', () => {
    const r = at({ ambient: '104 degF' });
    near(figure(r, 'place.motorDerating'), 1);
    expect(findingIds(r)).not.toContain('place.hot');
  });
  it('an open motor in the dust would fail the same way again', () => {
    const r = at({ dirt: 'dusty', water: 'dry' }, { enclosure: 'ODP' });
    expect(findingIds(r)).toContain('place.enclosure');
    expect(findingIds(at({ dirt: 'dusty', water: 'dry' }, { enclosure: 'TEFC' }))).not.toContain('place.enclosure');
  });
  it('IEC reads the same from the IP code', () => {
    const iec = (enclosure: string, water: 'splash' | 'washdown'): string[] =>
      findingIds(
        solved({ format: 'pilgrim.case/1', practice: 'iec', plate: { enclosure }, place: { dirt: 'clean', water } }),
      );
    expect(iec('IP23', 'splash')).toContain('place.enclosure');
    expect(iec('IP55', 'splash')).not.toContain('place.enclosure');
    expect(iec('IP55', 'washdown')).toContain('place.enclosure');
    expect(iec('IP66', 'washdown')).not.toContain('place.enclosure');
  });
  it.each([
    [{ dirt: 'clean', water: 'dry' }, 'ODP'],
    [{ dirt: 'dusty', water: 'dry' }, 'TEFC'],
    [{ dirt: 'clean', water: 'outdoor' }, 'TEFC'],
    [{ dirt: 'clean', water: 'dry', corrosive: true }, 'severe duty'],
    [{ dirt: 'clean', water: 'washdown' }, 'washdown'],
  ] as const)('%o takes %s at the lowest price', (place, enclosure) => {
    const r = solved({ ...conveyor, place, rules: { ranking: 'price' } });
    expect(r.choice?.motor.enclosure).toContain(enclosure);
  });
});

describe('Start', () => {
  const fed = (source: NonNullable<CaseText['supply']>['source']): Result =>
    solved({ ...conveyor, supply: { voltage: '480 V', frequency: '60 Hz', source } });
  it('a transformer’s fault current is rating ÷ (√3 U z)', () => {
    near(
      figure(fed({ kind: 'transformer', rating: '500 kVA', impedance: 0.05 }), 'start.faultCurrent'),
      500000 / (Math.sqrt(3) * 480 * 0.05),
    );
  });
  it('a fault level given comes back the same', () => {
    near(figure(fed({ kind: 'fault-level', current: '9 kA' }), 'start.faultCurrent'), 9000);
  });
  it('a stiff supply does not dip', () => {
    const r = fed({ kind: 'stiff' });
    expect(figure(r, 'start.direct.voltageDip')).toBe(0);
  });
  it('a dip is the share of the starting current in the fault current', () => {
    const r = fed({ kind: 'fault-level', current: '2 kA' });
    near(figure(r, 'start.direct.standstillDip'), figure(r, 'start.direct.standstillCurrent') / 2000);
  });
  it('torque falls with the square of what voltage is left', () => {
    const stiff = fed({ kind: 'stiff' });
    const weak = fed({ kind: 'fault-level', current: '1 kA' });
    const left = 1 - figure(weak, 'start.direct.standstillDip');
    const same = weak.choice?.motor.id === stiff.choice?.motor.id;
    expect(same).toBe(true);
    near(figure(weak, 'start.direct.startingTorque'), figure(stiff, 'start.direct.startingTorque') * left * left, 1e-9);
  });
  it('a source nobody described claims no dip and says what it took', () => {
    const r = fed(undefined);
    expect(r.figures['start.direct.voltageDip']).toBeUndefined();
    expect(r.figures['start.direct.peakCurrent']?.assumed.map((a) => a.field)).toContain('supply.source');
    expect(r.stations.start.wanted).toContain('supply.source');
  });
  it('a weaker supply never dips less', () => {
    const dips = [20, 10, 5, 2, 1].map((ka) =>
      figure(fed({ kind: 'fault-level', current: `${ka} kA` }), 'start.direct.voltageDip'),
    );
    expect(dips).toEqual(dips.toSorted((a, b) => a - b));
  });
  it('the house rule on the dip decides', () => {
    const source = { kind: 'fault-level', current: '400 A' } as const;
    const supply = { voltage: '480 V', frequency: '60 Hz', source } as const;
    const strict = solved({ ...conveyor, supply, rules: { maxDip: 0.05 } });
    const direct = (r: Result) =>
      r.methods.find((m) => m.method === 'direct')?.verdicts.find((v) => v.requirement === 'supply');
    expect(direct(strict)?.outcome).toBe('fail');
    expect(direct(solved({ ...conveyor, supply, rules: { maxDip: 0.5 } }))?.outcome).toBe('pass');
  });
});

describe('Cost', () => {
  const pump: CaseText = {
    format: 'pilgrim.case/1',
    practice: 'iec',
    supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'stiff' } },
    load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '20 kW', speed: '1470 rpm' } },
    place: { dirt: 'clean', water: 'dry' },
    speed: { need: 'variable', profile: [{ hours: 4000, flow: 0.6 }], control: 'throttle-valve', staticFraction: 0 },
    money: { energyPrice: 0.2, demandPrice: 0, carbon: 0.3 },
  };
  const saved = (change: Partial<NonNullable<CaseText['speed']>>): number =>
    figure(solved({ ...pump, speed: { ...pump.speed, ...change } }), 'cost.savedEnergy');

  it('static head spoils the cube', () => {
    const savings = [0, 0.3, 0.6, 0.9].map((staticFraction) => saved({ staticFraction }));
    expect(savings).toEqual(savings.toSorted((a, b) => b - a));
  });
  it('less flow never takes more input under speed control, and losses stay when the flow is gone', () => {
    const curve = solved(pump).curves.flow?.new ?? [];
    expect(curve.length).toBeGreaterThan(10);
    for (const [i, [, kw]] of curve.entries()) if (i > 0) expect(kw).toBeGreaterThan(curve[i - 1]?.[1] ?? 0);
    expect(curve[0]?.[1]).toBeGreaterThan(20 * 0.2 ** 3);
  });
  it('money and carbon are the energy at its price and intensity', () => {
    const r = solved(pump);
    near(figure(r, 'cost.savedMoney'), figure(r, 'cost.savedEnergy') * 0.2);
    near(figure(r, 'cost.savedCarbon'), figure(r, 'cost.savedEnergy') * 0.3);
  });
  it('a demand price counts twelve months of lower peak', () => {
    const free = solved(pump);
    const priced = solved({ ...pump, money: { ...pump.money, demandPrice: 10 } });
    const lower = figure(free, 'cost.oldPeak') - figure(free, 'cost.newPeak');
    near(figure(priced, 'cost.savedMoney') - figure(free, 'cost.savedMoney'), 120 * lower, 1e-6);
  });
  it('twice the hours are twice the energy', () => {
    near(saved({ profile: [{ hours: 8000, flow: 0.6 }] }), 2 * saved({}), 1e-9);
  });
  it('bypass wastes more than a valve, a valve more than on-off', () => {
    const old = (control: NonNullable<CaseText['speed']>['control']): number =>
      figure(solved({ ...pump, speed: { ...pump.speed, control } }), 'cost.oldEnergy');
    expect(old('bypass')).toBeGreaterThan(old('throttle-valve'));
    expect(old('throttle-valve')).toBeGreaterThan(old('on-off'));
  });
  it('without a price there is energy but no money, and the field is wanted', () => {
    const r = solved({ ...pump, money: undefined });
    expect(r.figures['cost.savedEnergy']).toBeDefined();
    expect(r.figures['cost.savedMoney']).toBeUndefined();
    expect(r.stations.cost.wanted).toContain('money.energyPrice');
    expect(findingIds(r)).toContain('choice.assumed');
  });
  it('an installed cost nobody gave comes from the invented index, and says so', () => {
    const r = solved(pump);
    expect(r.figures['cost.investment']?.assumed[0]?.why).toContain('invented price index');
    expect(r.figures['cost.payback']?.estimate).toBe(true);
  });
  it('a new machine has nothing to save against, and is not told that nothing comes back', () => {
    const fresh = solved({ ...pump, speed: { need: 'fixed', profile: [{ hours: 4000, flow: 1 }] } });
    expect(findingIds(fresh)).not.toContain('cost.no-saving');
    expect(fresh.stations.cost.key).toMatch(/MWh a year$/);
    const replaced = solved({
      ...pump,
      plate: {
        power: '22 kW',
        voltage: '400 V',
        current: '40 A',
        speed: '1475 rpm',
        frequency: '50 Hz',
        efficiency: 0.96,
        efficiencyMinimum: 0.96,
      },
      speed: { need: 'fixed', profile: [{ hours: 4000, flow: 1 }] },
    });
    expect(findingIds(replaced)).toContain('cost.no-saving');
  });
  it('hours nobody gave make no energy figure', () => {
    const r = solved({ ...pump, speed: { need: 'variable', min: 0.5 } });
    expect(r.figures['cost.oldEnergy']).toBeUndefined();
    expect(r.stations.cost.wanted).toContain('speed.profile');
  });
});

describe('Drive', () => {
  const driven: CaseText = {
    ...conveyor,
    speed: { need: 'variable', min: 0.2, max: 1, profile: [{ hours: 3000, flow: 0.7 }] },
  };
  it('a general-purpose motor at a fifth of its speed under full torque is below its turndown', () => {
    const full = {
      ...driven,
      load: { ...driven.load, demand: { ...conveyor.load.demand, force: '220 lbf' } },
    } as const;
    const r = solved({ ...full, motor: { catalogue: 'na-tefc-5hp-4p' } });
    // A blower of its own answers it, and is counted: no caution stands beside the choice.
    expect(r.candidates[0]?.verdicts.find((v) => v.requirement === 'turndown')).toMatchObject({
      outcome: 'pass',
      remedy: { kind: 'blower' },
    });
    expect(findingIds(r)).toContain('drive.remedy');
    expect(findingIds(r)).not.toContain('drive.below-turndown');
    const open = solved({ ...full, place: { dirt: 'clean', water: 'dry' }, motor: { catalogue: 'na-odp-5hp-4p' } });
    expect(findingIds(open)).toContain('drive.below-turndown');
    expect(open.choice).toBeNull();
    expect(solved(full).choice?.motor.enclosure).toContain('inverter duty');
  });
  it('below 30 r/min an encoder is wanted', () => {
    expect(
      findingIds(
        solved({
          ...driven,
          speed: { need: 'variable', min: 0.01, max: 1 },
          motor: { catalogue: 'na-tefc-inv-5hp-4p' },
        }),
      ),
    ).toContain('drive.encoder');
  });
  it('the house rule can require the plate to say inverter duty', () => {
    const r = solved({ ...driven, speed: { need: 'variable', min: 0.6, max: 1 }, rules: { inverterDuty: 'plate' } });
    expect(r.choice?.motor.name).toMatch(/inverter duty|washdown/);
  });
  it('matched by power or by amperes, the other is shown as a cross-check', () => {
    const byPower = solved({ ...driven, rules: { driveMatch: 'power' } });
    expect(byPower.figures['drive.powerMatch']?.text).toContain('hp');
    const r = solved({ ...driven, load: { ...driven.load, overload: { ratio: 3 } } });
    expect(figure(r, 'drive.ratedCurrent')).toBeGreaterThanOrEqual(figure(r, 'drive.requiredCurrent'));
  });
});
