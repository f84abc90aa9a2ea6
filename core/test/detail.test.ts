import { describe, expect, it } from 'vitest';
import type { CaseText, Result, StartRow } from '@pilgrim/core';
import { recommend } from '../src/stations/start/compare';
import { conveyor, figure, findingIds, ordinaryPlate, solved } from './cases';

/** What stations say beside their main figures, each against what it stands for. */

const fan = (power: string, over: Partial<CaseText> = {}, load: object = {}): CaseText => ({
  ...conveyor,
  load: { machine: 'centrifugal-fan', demand: { kind: 'power', power, speed: '1760 rpm' }, ...load },
  place: { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry' },
  ...over,
});
const circuit = {
  poles: 4,
  voltage: '460 V',
  frequency: '60 Hz',
  statorResistance: '0.25 ohm',
  statorReactance: '0.5 ohm',
  rotorResistance: '0.2 ohm',
  rotorReactance: '0.5 ohm',
  magnetisingReactance: '30 ohm',
  ratedSpeed: '1740 rpm',
  inertia: '0.2 kg.m2',
} as const;
const finding = (r: Result, id: string) => r.findings.find((f) => f.id === id);
const fact = (r: Result, id: string) => r.facts.find((f) => f.id === id);

describe('choice: why this and not that', () => {
  it('the next size down is of the same poles and series, and what it fails is its power', () => {
    const reasons = solved(fan('18 hp')).choice?.reasons.join(' ') ?? '';
    expect(reasons).toMatch(/Not the next size down, 15 hp: 15\.0 hp left after heat and height, but .* is asked/);
  });
  it('one that passes and is cheaper to buy is named with what it costs more over the years', () => {
    const some = ['9 kW', '18 kW', '26 kW', '40 kW'].map(
      (power) =>
        solved({
          format: 'pilgrim.case/1',
          practice: 'iec',
          supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'stiff' } },
          load: { machine: 'centrifugal-pump', demand: { kind: 'power', power, speed: '1475 rpm' } },
          place: { ambient: '30 degC', dirt: 'clean', water: 'dry' },
          speed: { need: 'fixed', profile: [{ hours: 6000, flow: 1 }] },
          money: { energyPrice: 0.2, years: 10 },
        }).choice?.reasons.join(' ') ?? '',
    );
    expect(some.join(' ')).toMatch(/cheaper, .* more over 10 years/);
  });
  it('sound needs a frame: a motor by its circuit has none, and is told no level', () => {
    const withFrame = solved(fan('18 hp', { motor: { plate: { ...ordinaryPlate, frame: '256T' } } }));
    expect(figure(withFrame, 'choice.soundPressure')).toBeGreaterThan(50);
    const without = solved(fan('18 hp', { motor: { circuit } }));
    expect(without.figures['choice.soundPressure']).toBeUndefined();
    expect(findingIds(without)).not.toContain('choice.loud');
  });
  it('oversize is said below the house’s least loading, and not at the load it is made for', () => {
    const at = (power: string) =>
      finding(solved(fan(power, { plate: { ...ordinaryPlate, power: '40 hp', frame: '324T' } })), 'choice.oversize');
    expect(at('15 hp')?.text).toMatch(/15\.0 hp of load on a 40\.0 hp motor: it ran at 3[78] %/);
    expect(at('25 hp')).toBeUndefined();
    expect(finding(solved(fan('15 hp')), 'choice.oversize')).toBeUndefined();
  });
});

describe('cost and drive', () => {
  const saving = (installedCost: number | undefined, price = 0.14) =>
    solved(
      fan('18 hp', {
        plate: { ...ordinaryPlate, efficiency: 0.885 },
        speed: { need: 'variable', min: 0.5, control: 'outlet-damper', profile: [{ hours: 7000, flow: 0.6 }] },
        money: { energyPrice: price, years: 10, installedCost },
      }),
    );
  it('what comes back within a year is said so where the price is an index, and in figures where it was given', () => {
    const payback = (r: Result) => r.figures['cost.payback']?.value ?? NaN;
    // At twice the index, the dear end of its band, it is still back within the year.
    const quick = saving(undefined, 2);
    expect(2 * payback(quick)).toBeLessThan(1);
    expect(quick.stations.cost?.key).toBe('back within a year');
    const slow = saving(undefined, 0.02);
    expect(payback(slow)).toBeGreaterThan(1);
    const [least, most] = [Math.round(payback(slow) / 2), Math.ceil(2 * payback(slow))];
    expect(slow.stations.cost?.key).toBe(`back in ${least} to ${most} years`);
    // What takes longer than the years it is judged over is not told as a number of them.
    const never = saving(undefined, 0.002);
    expect(payback(never)).toBeGreaterThan(10);
    expect(never.stations.cost?.key).toBe('not back in 10 years');
    expect(saving(4000).stations.cost?.key).toMatch(/^back in [\d.]+ years$/);
  });
  it('only a blower is said again at the drive: a filter has its own line with the cable', () => {
    const driven = (over: Partial<CaseText>, load: object = {}) =>
      solved(fan('18 hp', { method: 'drive', motor: { catalogue: 'na-tefc-25hp-4p' }, ...over }, load));
    const long = driven({
      place: { dirt: 'clean', water: 'dry', ambient: '30 degC', cable: { length: '60 m' } },
      speed: { need: 'variable', min: 0.6, max: 1 },
    });
    expect(findingIds(long)).not.toContain('drive.remedy');
    expect(finding(long, 'drive.cable-too-long')?.level).toBe('note');
    const slow = driven({ speed: { need: 'variable', min: 0.1, max: 1 } }, { machine: 'conveyor' });
    expect(finding(slow, 'drive.remedy')?.text).toMatch(/blower/);
  });
  it('the efficiency counted with is the subject’s own', () => {
    const r = solved(fan('18 hp', { motor: { plate: { ...ordinaryPlate, efficiency: 0.921 } } }));
    expect(r.figures['cost.newEfficiency']).toMatchObject({ value: 0.921, symbol: 'eta_new', inputs: {} });
  });
  it('without a turndown of its own the drive’s least speed is common practice, and shown as assumed', () => {
    const own = solved(
      fan('18 hp', {
        plate: { ...ordinaryPlate, inverterDuty: { variableTorque: 4 } },
        speed: { need: 'variable', min: 0.5 },
        motor: { existing: true },
      }),
    );
    expect(own.figures['drive.minSpeed']?.assumed).toEqual([]);
    expect(figure(own, 'drive.minSpeed')).toBeCloseTo(1760 / 4, 0);
  });
});

describe('guard: what the code sets as a maximum is told where it sets one', () => {
  const guarded = (practice: CaseText['practice'], voltage: string, frequency: string) =>
    solved({
      format: 'pilgrim.case/1',
      practice,
      supply: { voltage, frequency },
      plate: { ...ordinaryPlate, voltage, current: '25 A' },
    });
  it('North America has the higher setting for a motor that will not start, IEC has none', () => {
    expect(guarded('north-america', '460 V', '60 Hz').figures['guard.overloadMaximum']).toBeDefined();
    expect(guarded('iec', '400 V', '50 Hz').figures['guard.overloadMaximum']).toBeUndefined();
  });
  it('without voltage there is nothing to guard', () => {
    const r = solved({ ...conveyor, supply: undefined, load: undefined, plate: { power: '20 hp', speed: '1760 rpm' } });
    expect(Object.keys(r.figures).filter((id) => id.startsWith('guard.'))).toEqual([]);
  });
});

describe('load', () => {
  it('a stage of the train without a ratio is taken as one to one, and shown; one with it is not', () => {
    const train = (stages: NonNullable<NonNullable<CaseText['load']>['train']>['stages']) =>
      solved({ ...conveyor, load: { ...conveyor.load, train: { stages } } }).figures['load.motorTorque']?.assumed.map(
        (a) => a.field,
      ) ?? [];
    expect(
      train([
        { kind: 'gearbox', efficiency: 0.95 },
        { kind: 'gearbox', ratio: 25, efficiency: 0.95 },
      ]),
    ).toContain('load.train.stages[0].ratio');
    expect(
      train([
        { kind: 'gearbox', ratio: 1, efficiency: 0.95 },
        { kind: 'gearbox', ratio: 25, efficiency: 0.95 },
      ]),
    ).toEqual([]);
  });
  it('digging of an elevator is twelve diameters of its pulley; of 0.5 m where none is given', () => {
    const elevator = (drumDiameter: string | undefined) =>
      solved({
        ...conveyor,
        load: {
          machine: 'bucket-elevator',
          demand: { kind: 'conveyor', massFlow: '60 t/h', lift: '24 m', speed: '2.5 m/s', drumDiameter },
        },
      });
    // 60 t/h × (24 m + 12 × d) ÷ 367 (ISO 7119's constant).
    expect(figure(elevator('0.6 m'), 'load.power') / 1000).toBeCloseTo((60 * (24 + 7.2)) / 367, 1);
    const without = elevator(undefined);
    const digging = without.figures['load.power']?.assumed.find((a) => a.field === 'load.demand.digging');
    expect(digging).toMatchObject({ value: 6 });
  });
  it('an input power that was read is given, not derived', () => {
    const r = solved({ ...conveyor, load: { machine: 'mixer', demand: { kind: 'measured', power: '12 kW' } } });
    expect(r.figures['load.measuredInput']?.source).toMatchObject({ kind: 'given', fromMemory: false });
  });
  it('a motor that is there starts the load only where the machine is named', () => {
    const kept = (load: CaseText['load']) =>
      solved({ ...conveyor, load, plate: { ...ordinaryPlate }, motor: { existing: true }, method: 'direct' });
    expect(kept({ machine: 'centrifugal-fan' }).start).not.toBeNull();
    expect(kept(undefined).start).toBeNull();
  });
});

describe('place, history, measurements', () => {
  it('an explosive place sends to its own field', () => {
    expect(finding(solved(fan('18 hp', { place: { hazardous: true } })), 'place.hazardous')?.fields).toEqual([
      'place.hazardous',
    ]);
  });
  it('a plate that says no enclosure is blamed for none', () => {
    const old = (enclosure: string | undefined) =>
      findingIds(
        solved(fan('18 hp', { plate: { ...ordinaryPlate, enclosure }, place: { water: 'outdoor', dirt: 'dirty' } })),
      );
    expect(old('ODP')).toContain('place.enclosure');
    expect(old(undefined)).not.toContain('place.enclosure');
  });
  it('how it was started is asked where the damage may come of it', () => {
    const wanted = (cause: 'fluted-race' | 'insulation-punctured' | 'shaft-broken') =>
      solved(fan('18 hp', { plate: ordinaryPlate, history: { causes: [cause] } })).stations.plate?.wanted ?? [];
    expect(wanted('fluted-race')).toContain('history.method');
    expect(wanted('insulation-punctured')).toContain('history.method');
    expect(wanted('shaft-broken')).not.toContain('history.method');
  });
  const measured = (m: NonNullable<CaseText['measured']>, practice: CaseText['practice'] = 'iec') =>
    solved({
      format: 'pilgrim.case/1',
      practice,
      supply: { voltage: '400 V', frequency: '50 Hz' },
      plate: { condition: 'missing' },
      measured: { speed: '1465 rpm', ...m },
    });
  it('the rating’s grounds are named: frame, currents, or both', () => {
    const from = (r: Result) => fact(r, 'measured.rating')?.text.split(', from ')[1];
    expect(from(measured({ shaftHeight: '160 mm' }))).toBe('frame');
    expect(from(measured({ noLoadCurrent: '9 A' }))).toBe('currents or resistance');
    expect(from(measured({ shaftHeight: '160 mm', noLoadCurrent: '9.5 A' }))).toBe('frame and currents or resistance');
  });
  it('ratings run from the least to the most that fits', () => {
    const text = fact(measured({ noLoadCurrent: '9 A' }), 'measured.rating')?.text ?? '';
    const [, low, high] = /^([\d.]+) kW.* to ([\d.]+) kW/.exec(text) ?? [];
    expect(Number(low)).toBeLessThan(Number(high));
  });
  it('a winding’s resistance tells a power whose copper loss it would be: I² × 1.5 R is the share of the input', () => {
    const r = measured({ windingResistance: '0.6 ohm' });
    const found = r.figures['measured.ratedPowerByResistance'];
    const { c, eta, pf } = found?.inputs ?? {};
    const current = (found?.value ?? NaN) / (Math.sqrt(3) * 400 * Number(eta) * Number(pf));
    const loss = 1.5 * 0.6 * current ** 2;
    expect(loss / ((found?.value ?? NaN) / Number(eta))).toBeCloseTo(Number(c), 3);
    // The shares it was found with are those of its own size: 10 % at 1 kW, falling with the power 0.37.
    expect(Number(c)).toBeCloseTo(0.1 * ((found?.value ?? NaN) / 1000) ** -0.37, 3);
  });
  it('currents without a voltage ask for it; nothing measured asks for nothing', () => {
    const asks = (m: NonNullable<CaseText['measured']>) =>
      solved({ format: 'pilgrim.case/1', practice: 'iec', plate: { condition: 'missing' }, measured: m }).stations.plate
        ?.wanted ?? [];
    expect(asks({ noLoadCurrent: '9 A' })).toContain('measured.voltage');
    expect(asks({ windingResistance: '0.6 ohm' })).toContain('measured.voltage');
    expect(asks({ speed: '1465 rpm' })).not.toContain('measured.voltage');
  });
  it('one frame is named alone, several with what would tell them apart', () => {
    const text = (m: NonNullable<CaseText['measured']>) => fact(measured(m), 'measured.frame')?.text;
    expect(text({ shaftHeight: '160 mm' })).toMatch(/also .*measure more/);
    expect(
      text({ shaftHeight: '160 mm', feetAlong: '254 mm', feetAcross: '254 mm', shaftDiameter: '42 mm' }),
    ).not.toMatch(/also/);
  });
});

describe('plate', () => {
  it('a class by the stamped efficiency is no estimate, one by the usual efficiency is', () => {
    const at = (efficiency: number | undefined) =>
      fact(solved({ ...conveyor, plate: { ...ordinaryPlate, efficiency } }), 'plate.efficiencyClass');
    expect(at(0.93)?.estimate).toBe(false);
    expect(at(undefined)?.estimate ?? true).toBe(true);
  });
  it('a doubt nothing explains has no “Misread?”, one with a likely slip has', () => {
    const doubt = (own: object) =>
      solved({ ...conveyor, plate: { ...ordinaryPlate, ...own } }).findings.filter((f) => f.doubt);
    const swapped = doubt({ speed: '1670 rpm' });
    expect(swapped.some((f) => /Misread\?/.test(f.text))).toBe(true);
    for (const f of doubt({ voltage: '230/470 V' })) expect(f.text.endsWith('Misread? .')).toBe(false);
    for (const f of [...swapped, ...doubt({ efficiency: 0.5 })])
      expect(/Misread\?/.test(f.text)).toBe(f.suggestions.length > 0);
  });
  it('another frequency sends to what it scales', () => {
    const r = solved({ ...conveyor, plate: ordinaryPlate, supply: { voltage: '380 V', frequency: '50 Hz' } });
    expect(finding(r, 'plate.frequency-mismatch')?.figures).toEqual(
      expect.arrayContaining(['plate.scaledVoltage', 'plate.scaledPower', 'plate.scaledSpeed', 'plate.fluxRatio']),
    );
  });
  it('the service factor here is the plate’s, sent to its field', () => {
    const r = solved({ ...conveyor, plate: { ...ordinaryPlate, serviceFactor: 1.15, serviceFactorCurrent: '28.4 A' } });
    expect(r.figures['plate.serviceFactorHere']).toMatchObject({
      symbol: 'SF',
      value: 1.15,
    });
    // One current stamped for two voltages is that of the connection in use.
    expect(figure(r, 'plate.serviceFactorCurrent')).toBe(28.4);
  });
});

describe('what a plate is asked for', () => {
  const bare = (plate: CaseText['plate'], rules: CaseText['rules'] = {}) =>
    solved({ format: 'pilgrim.case/1', practice: 'north-america', supply: conveyor.supply, plate, rules });
  const { power, voltage, ...rest } = ordinaryPlate;
  it('a table’s current needs power and voltage, each', () => {
    expect(figure(bare(ordinaryPlate), 'plate.tableCurrent')).toBeCloseTo(27, 6);
    expect(bare({ ...rest, power }).figures['plate.tableCurrent']).toBeUndefined();
    expect(bare({ ...rest, voltage }).figures['plate.tableCurrent']).toBeUndefined();
  });
  it('without a voltage its connection is not told, and the voltage is asked', () => {
    const r = bare({ ...rest, power });
    expect(r.figures['plate.connectedVoltage']).toBeUndefined();
    expect(r.stations.plate?.wanted).toContain('plate.voltage');
    expect(bare(ordinaryPlate).stations.plate?.wanted).not.toContain('plate.voltage');
  });
  it('the sheet says which basis the practice’s own rule is, and a stated one as it stands', () => {
    const basis = (r: Result) => r.rules.find((x) => x.id === 'conductorBasis')?.value;
    expect(basis(bare(ordinaryPlate))).toBe('table (by practice)');
    expect(basis(bare(ordinaryPlate, { conductorBasis: 'plate' }))).toBe('plate');
  });
});

describe('replacement by its catalogue number or its plate', () => {
  it('an unknown number sends to its field', () => {
    const r = solved({ ...conveyor, plate: ordinaryPlate, replacement: { catalogue: 'nothing-like-it' } });
    expect(finding(r, 'replacement.unknown')?.fields).toEqual(['replacement.catalogue']);
  });
  it('its current at the supply’s voltage: of two on its plate the nearer one', () => {
    const r = solved({
      ...fan('18 hp'),
      plate: ordinaryPlate,
      replacement: { plate: { ...ordinaryPlate, speed: '1775 rpm', voltage: '230/460 V', current: '48/24 A' } },
    });
    expect(r.figures['replacement.newCurrent']?.inputs?.I_n).toBe(24);
    expect(figure(r, 'replacement.newPower')).toBeGreaterThan(figure(r, 'replacement.oldPower'));
  });
  it('without a current nothing is told of it, and without a speed nothing at all', () => {
    const of = (own: object) =>
      Object.keys(
        solved({ ...fan('18 hp'), plate: ordinaryPlate, replacement: { plate: { ...ordinaryPlate, ...own } } }).figures,
      ).filter((id) => id.startsWith('replacement.new'));
    expect(of({ speed: '1775 rpm', current: undefined })).not.toContain('replacement.newCurrent');
    expect(of({ speed: undefined })).toEqual([]);
    const old = (own: object) =>
      Object.keys(
        solved({
          ...fan('18 hp'),
          plate: { ...ordinaryPlate, ...own },
          replacement: { plate: { ...ordinaryPlate, speed: '1775 rpm' } },
        }).figures,
      ).filter((id) => id.startsWith('replacement.new'));
    expect(old({}).length).toBeGreaterThan(0);
    expect(old({ speed: undefined })).toEqual([]);
  });
});

describe('start', () => {
  // Solved inside the tests, so that what is solved counts as tested by them.
  const fanStart = () =>
    solved(
      fan(
        '18 hp',
        { method: 'direct', motor: { plate: { ...ordinaryPlate, efficiency: 0.93 } } },
        { inertia: '4 kg.m2' },
      ),
    );
  const machineOf = () => fanStart().start?.machine ?? expect.fail('no machine');
  it('the machine’s list has each part of its circuit once, the second cage where it has two', () => {
    const machine = machineOf();
    const symbols = machine.parameters.map((p) => p.symbol);
    expect(new Set(symbols).size).toBe(symbols.length);
    expect(symbols.filter((s) => s === 'R3' || s === 'X3').length).toBe(
      machine.parameters.some((p) => p.label.includes('first cage')) ? 2 : 0,
    );
    for (const p of machine.parameters) expect(p.text).toMatch(/^[\d.]+ /);
  });
  it('part load is from a quarter to five quarters, each as the circuit gives it', () => {
    const machine = machineOf();
    expect(machine.partLoad.map((p) => p.load)).toEqual([0.25, 0.5, 0.75, 1, 1.25]);
    for (const p of machine.partLoad) expect(p.efficiency).toBeGreaterThan(0.5);
  });
  it('a circuit that was given has no fit behind it, and assumes nothing for it', () => {
    const given = solved(fan('18 hp', { method: 'direct', motor: { circuit } })).start?.machine;
    expect(given).toMatchObject({ origin: 'given', met: [], reason: null });
    expect(given?.parameters.map((p) => p.symbol)).toEqual(['R1', 'X1', 'R2', 'X2', 'Xm', 'Pc', 'Pf']);
    expect(given?.assumed.join(' ')).not.toContain('losses beside the rotor');
    expect(given?.assumed).toEqual([]);
    expect(machineOf().assumed.join(' ')).toContain('losses beside the rotor');
    const double = { ...circuit, cage2: { resistance: '1.6 ohm', reactance: '0.55 ohm' } };
    const two = solved(fan('18 hp', { method: 'direct', motor: { circuit: double } })).start?.machine.parameters;
    expect(two?.map((p) => p.symbol)).toEqual(['R1', 'X1', 'R2', 'X2', 'R3', 'X3', 'Xm', 'Pc', 'Pf']);
  });
  it('the course ends where the run ends: the last row is at speed and at the time of arrival', () => {
    const r = fanStart();
    const { time, speed, bus } = r.curves.start ?? expect.fail('no course');
    const run = r.start?.rows.find((x) => x.method === 'direct')?.run;
    expect(time.length).toBeGreaterThan(50);
    expect(time[0]).toBe(0);
    expect(time.at(-1) ?? 0).toBeGreaterThanOrEqual((run?.time ?? Infinity) * 0.999);
    expect(speed.at(-1) ?? 0).toBeGreaterThan(1700);
    expect(Math.min(...time.slice(1).map((t, i) => t - (time[i] ?? 0)))).toBeGreaterThanOrEqual(0);
    // The bus in shares of its voltage: the dip is over, the drop of running stays.
    expect(bus.at(-1) ?? 0).toBeGreaterThan(0.98);
    expect(bus.at(-1) ?? 2).toBeLessThan(1);
  });
  it('a drive’s curve runs over its speeds in even steps from standstill to the top', () => {
    const driven = solved(fan('18 hp', { method: 'drive', speed: { need: 'variable', min: 0.5 } }));
    const curve = driven.curves.start?.methods.find((m) => m.method === 'drive') ?? expect.fail('no curve');
    expect(curve.speed[0]).toBe(0);
    const steps = curve.speed.slice(1).map((n, i) => n - (curve.speed[i] ?? 0));
    for (const step of steps) expect(step).toBeCloseTo(steps[0] ?? 0, 0);
    expect(curve.speed.at(-1) ?? 0).toBeGreaterThan(1600);
  });
  const row = (method: StartRow['method'], outcome: StartRow['outcome'], costIndex: number): StartRow => ({
    ...(fanStart().start?.rows[0] ?? expect.fail('no row')),
    method,
    outcome,
    costIndex,
    text: `${method} text.`,
  });
  it('recommended without a choice: the cheapest that passes, before a cheaper one with a caution; failing that, the caution', () => {
    const rows = [
      row('direct', 'fail', 1),
      row('star-delta', 'caution', 2),
      row('soft-starter', 'pass', 3),
      row('drive', 'pass', 5),
    ];
    expect(recommend(rows, undefined)?.method).toBe('soft-starter');
    expect(recommend(rows.slice(0, 2), undefined)?.method).toBe('star-delta');
    expect(recommend(rows.slice(0, 1), undefined)).toBeNull();
    const chosen = recommend(rows, 'drive');
    expect(chosen?.method).toBe('drive');
    expect(chosen?.reasons.join(' ')).toMatch(/as chosen.*direct text.*Soft starter would start it too/s);
  });
});
