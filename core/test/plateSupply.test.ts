import { describe, expect, it } from 'vitest';
import { nameplate, type CaseText, type Result } from '@pilgrim/core';
import { figure, findingIds, solved } from './cases';

const on = (practice: CaseText['practice'], voltage: string, frequency: string, plate: CaseText['plate']): Result =>
  solved({ format: 'pilgrim.case/1', practice, supply: { voltage, frequency }, plate });
const fact = (r: Result, id: string): string => r.facts.find((f) => f.id === id)?.text ?? '';

const us = {
  power: '30 hp',
  voltage: '230/460 V',
  current: '72/36 A',
  speed: '1770 rpm',
  frequency: '60 Hz',
  serviceFactor: 1.15,
  efficiency: 0.936,
} as const;
const eu = {
  power: '15 kW',
  voltage: '400/690 V',
  current: '27.9/16.2 A',
  speed: '1470 rpm',
  frequency: '50 Hz',
  efficiency: 0.921,
} as const;

describe('a plate for several voltages', () => {
  const bare = (practice: CaseText['practice'], plate: CaseText['plate'], supply?: CaseText['supply']): Result =>
    solved({ format: 'pilgrim.case/1', practice, plate, ...(supply && { supply }) });
  const asked = (r: Result) => r.findings.find((f) => f.id === 'plate.several-voltages');

  it('asks what the supply is, and offers the systems its voltages are made for (ANSI C84.1)', () => {
    const r = bare('north-america', { ...us, voltage: '208-230/460 V', current: '79-72/36 A' });
    expect(asked(r)?.level).toBe('caution');
    expect(asked(r)?.text).toContain('208 V, 230 V or 460 V');
    expect(asked(r)?.suggestions.map((s) => [s.field, s.value])).toEqual([
      ['supply.voltage', '208 V'],
      ['supply.voltage', '240 V'],
      ['supply.voltage', '480 V'],
    ]);
    expect(r.findings.find((f) => f.id === 'load.missing')?.text).toContain('say what the supply’s voltage is');
    expect(r.choice).toBeNull();
  });
  it('is answered by any of them, and then its rating stands for the load', () => {
    const r = bare('north-america', us);
    for (const { value } of asked(r)?.suggestions ?? []) {
      const told = bare('north-america', us, { voltage: String(value) });
      expect(asked(told)).toBeUndefined();
      expect(told.choice?.basis).toBe('plate');
      expect(findingIds(told)).not.toContain('plate.voltage-mismatch');
    }
    expect(asked(r)?.suggestions).toHaveLength(2);
  });
  it('an IEC plate is rated for the system itself (IEC 60038)', () => {
    expect(asked(bare('iec', eu))?.suggestions.map((s) => s.value)).toEqual(['400 V', '690 V']);
    // An IEC plate in a case that was begun by the other practice is still that.
    expect(asked(bare('north-america', { ...eu, frame: '160L' }))?.suggestions.map((s) => s.value)).toEqual([
      '400 V',
      '690 V',
    ]);
  });
  it('one voltage asks nothing', () => {
    const r = bare('north-america', { ...us, voltage: '460 V', current: '36 A' });
    expect(asked(r)).toBeUndefined();
    expect(r.choice?.basis).toBe('plate');
    expect(bare('iec', {}).findings.find((f) => f.id === 'load.missing')?.text).toContain('give a complete plate');
  });
});

describe('a plate stamped the other way', () => {
  const noted = (practice: CaseText['practice'], over: Partial<CaseText>): Result['findings'][number] | undefined =>
    solved({ format: 'pilgrim.case/1', practice, ...over }).findings.find((f) => f.id === 'plate.tradition');
  it('is a caution whatever else is typed, with practice, voltage and frequency to take', () => {
    const by = noted('iec', { plate: us });
    expect(by).toMatchObject({ level: 'caution' });
    expect(by?.text).toContain('stamped the North American way');
    expect(by?.suggestions.map((s) => s.field)).toEqual(['practice', 'supply.voltage', 'supply.frequency']);
    expect(noted('north-america', { plate: { ...eu, frame: '160L' } })?.suggestions[0]?.value).toBe('iec');
    for (const over of [{ supply: { voltage: '400 V' } }, { load: { machine: 'mixer' } }] as const) {
      const r = solved({ format: 'pilgrim.case/1', practice: 'iec', plate: us, ...over });
      expect(r.findings.find((f) => f.id === 'plate.tradition')?.level).toBe('caution');
      if (r.choice) expect(r.choice.outcome).not.toBe('pass');
    }
  });
  it('is a note once somebody says that the machine was imported', () => {
    const r = solved({
      format: 'pilgrim.case/1',
      practice: 'iec',
      plate: us,
      accepted: [{ finding: 'plate.tradition', reason: 'imported with its machine, fed by a 60 Hz set' }],
    });
    expect(r.findings.find((f) => f.id === 'plate.tradition')).toMatchObject({ level: 'note' });
  });
  it('is nothing to tell where it is the case’s own, or where nothing shows it', () => {
    expect(noted('north-america', { plate: us })).toBeUndefined();
    expect(noted('iec', { plate: { voltage: '460 V', speed: '1770 rpm' } })).toBeUndefined();
    // Horsepower alone is none: it stands on frames in millimetres.
    expect(noted('iec', { plate: { power: '20 hp', frame: '160L', frequency: '50 Hz' } })).toBeUndefined();
    expect(noted('iec', { plate: { power: '20 hp', frequency: '50 Hz' } })).toBeUndefined();
    expect(noted('iec', { plate: { power: '20 hp', frequency: '60 Hz' } })).toBeDefined();
  });
  it('shows in a pasted text: by its frame, else by the unit of its power', () => {
    const made = (text: string) => nameplate.readPlateText(text).made;
    expect(made('HP 20 VOLTS 230/460 FR 256T')).toBe('north-america');
    expect(made('15 kW 400/690 V 1470 rpm 160L')).toBe('iec');
    expect(made('30 hp 1770 rpm')).toBe('north-america');
    expect(made('1770 rpm 460 V')).toBeUndefined();
    expect(made('')).toBeUndefined();
  });
});

describe('another frequency, from first principles: same volts per hertz, same flux, torque, current and slip in r/min', () => {
  it('60 Hz on 50 Hz: five sixths of the voltage; synchronous speed 1500; the slip stays 30 r/min', () => {
    const r = on('iec', '380 V', '50 Hz', us);
    expect(figure(r, 'plate.scaledVoltage')).toBeCloseTo((460 * 50) / 60, 9);
    expect(figure(r, 'plate.scaledSpeed')).toBeCloseTo(1500 - 30, 9);
    // Torque is unchanged, so power goes with speed.
    expect(figure(r, 'plate.scaledPower') / figure(r, 'plate.ratedPower')).toBeCloseTo(1470 / 1770, 9);
    expect(figure(r, 'plate.scaledCurrent')).toBe(36);
    expect(r.figures['plate.scaledCurrent']?.band).toHaveLength(2);
    expect(figure(r, 'plate.fluxRatio')).toBeCloseTo(380 / 50 / (460 / 60), 9);
    expect(figure(r, 'plate.connectedVoltage')).toBe(460);
    expect(findingIds(r)).toContain('plate.frequency-mismatch');
    expect(findingIds(r)).not.toContain('plate.voltage-mismatch');
  });
  it('400 V star 50 Hz on 480 V 60 Hz: the same flux, a fifth more speed and power', () => {
    const r = on('north-america', '480 V', '60 Hz', eu);
    expect(figure(r, 'plate.fluxRatio')).toBeCloseTo(1, 9);
    expect(figure(r, 'plate.scaledSpeed')).toBeCloseTo(1800 - 30, 9);
    expect(figure(r, 'plate.scaledPower')).toBeCloseTo((15000 * 1770) / 1470, 6);
  });
  it('at the same volts a 60 Hz motor is over-fluxed on 50 Hz: not to be connected', () => {
    const r = on('iec', '460 V', '50 Hz', { ...us, voltage: '460 V', current: '36 A' });
    expect(r.findings.find((f) => f.id === 'plate.voltage-mismatch')?.level).toBe('stop');
  });
  it('on its own frequency the other one is told as a note in figures, without a finding', () => {
    const r = on('north-america', '480 V', '60 Hz', us);
    expect(figure(r, 'plate.scaledSpeed')).toBeCloseTo(1470, 9);
    expect(findingIds(r)).not.toContain('plate.frequency-mismatch');
  });
  it('the service factor does not hold on another frequency', () => {
    expect(figure(on('iec', '380 V', '50 Hz', us), 'plate.serviceFactorHere')).toBe(1);
    expect(figure(on('north-america', '480 V', '60 Hz', us), 'plate.serviceFactorHere')).toBe(1.15);
  });
  it('the second block is used where it is the one for the supply', () => {
    const r = on('iec', '380 V', '50 Hz', {
      ...us,
      alternate: { frequency: '50 Hz', power: '25 hp', voltage: '190/380 V', current: '74/37 A', speed: '1470 rpm' },
    });
    expect(figure(r, 'plate.connectedCurrent')).toBe(37);
    expect(figure(r, 'plate.synchronousSpeed')).toBe(1500);
    expect(r.figures['plate.scaledSpeed']).toBeUndefined();
  });
  it('with the service factor that block states; the first one’s is not its own', () => {
    const second = { frequency: '50 Hz', power: '25 hp', voltage: '190/380 V', current: '74/37 A', speed: '1470 rpm' };
    const trips = (alternate: object) =>
      figure(on('north-america', '380 V', '50 Hz', { ...us, alternate }), 'guard.overloadTrip') / 37;
    expect(trips({ ...second, serviceFactor: 1.15 })).toBeCloseTo(1.25, 9);
    expect(trips({ ...second, serviceFactor: 1 })).toBeCloseTo(1.15, 9);
    expect(trips(second)).toBeCloseTo(1.15, 9);
  });
});

describe('connection, from the geometry of three windings', () => {
  it('a coil sees the same volts whichever line the motor is connected for', () => {
    const low = figure(on('north-america', '240 V', '60 Hz', us), 'plate.windingVoltage');
    const high = figure(on('north-america', '480 V', '60 Hz', us), 'plate.windingVoltage');
    expect(low).toBeCloseTo(230 / Math.sqrt(3), 9);
    expect(high).toBeCloseTo(low, 9);
    const delta = figure(on('iec', '400 V', '50 Hz', eu), 'plate.windingVoltage');
    const star = figure(on('iec', '690 V', '50 Hz', eu), 'plate.windingVoltage');
    expect(delta).toBe(400);
    expect(star / delta).toBeCloseTo(1, 2);
  });
  it('2 : 1 is parallel and series on nine leads (NEMA MG 1 Part 2, from memory), no star-delta', () => {
    expect(fact(on('north-america', '480 V', '60 Hz', us), 'plate.connection')).toMatch(
      /series.*4-7, 5-8, 6-9.*no star-delta/,
    );
    expect(fact(on('north-america', '240 V', '60 Hz', us), 'plate.connection')).toMatch(
      /parallel.*1-7, 2-8, 3-9; join 4-5-6/,
    );
    expect(fact(on('north-america', '480 V', '60 Hz', { ...us, leads: 12 }), 'plate.connection')).toMatch(
      /star-delta is possible/,
    );
  });
  it('√3 : 1 is delta and star on six (IEC 60034-8, from memory); star-delta only where delta is the line', () => {
    expect(fact(on('iec', '400 V', '50 Hz', eu), 'plate.connection')).toMatch(/delta.*U1-W2.*Star-delta is possible/);
    expect(fact(on('iec', '690 V', '50 Hz', eu), 'plate.connection')).toMatch(/star.*join U2-V2-W2.*not possible here/);
  });
});

describe('a 230 V motor on 208 V', () => {
  const r = on('north-america', '208 V', '60 Hz', { ...us, voltage: '230 V', current: '72 A' });
  it('loses torque by the square of voltage and draws more at the same power (first principles)', () => {
    expect(figure(r, 'plate.torqueHere')).toBeCloseTo((208 / 230) ** 2, 9);
    expect(figure(r, 'plate.currentHere')).toBeCloseTo((72 * 230) / 208, 9);
    expect(figure(r, 'plate.slipHere')).toBeCloseTo((30 / 1800) * (230 / 208) ** 2, 9);
  });
  it('agrees with the ratio of the code’s own columns, NFPA 70 Table 430.250, 208 to 230 V (from memory)', () => {
    expect(Math.abs(figure(r, 'plate.currentHere') / 72 / (88 / 80) - 1)).toBeLessThan(0.01);
  });
  it('is warned of by name of NEMA MG 1 14.35, and its service factor counts as 1.0', () => {
    const found = r.findings.find((f) => f.id === 'plate.208-on-230');
    expect(found?.source?.part).toContain('14.35');
    expect(found?.text).toContain('does not say it is usable');
    expect(figure(r, 'plate.serviceFactorHere')).toBe(1);
  });
  it('a plate that says so gives its own current', () => {
    const usable = on('north-america', '208 V', '60 Hz', {
      ...us,
      voltage: '230 V',
      current: '72 A',
      usableAt: { voltage: '208 V', current: '78 A' },
    });
    expect(figure(usable, 'plate.currentHere')).toBe(78);
    expect(usable.findings.find((f) => f.id === 'plate.208-on-230')?.text).toContain('Usable at 208 V by its plate');
  });
  it('a motor for 200 V is right on 208 V', () => {
    const right = on('north-america', '208 V', '60 Hz', { ...us, voltage: '200 V', current: '83 A' });
    expect(findingIds(right)).not.toContain('plate.208-on-230');
    expect(findingIds(right)).not.toContain('plate.voltage-mismatch');
  });
});

describe('worked out from what is stamped', () => {
  it('power from volts, amperes, efficiency and power factor where it is not stamped', () => {
    const r = on('iec', '400 V', '50 Hz', {
      voltage: '400 V',
      current: '27.9 A',
      efficiency: 0.921,
      powerFactor: 0.84,
    });
    expect(figure(r, 'plate.ratedPower')).toBeCloseTo(Math.sqrt(3) * 400 * 27.9 * 0.921 * 0.84, 6);
    expect(r.stations.plate.wanted).not.toContain('plate.power');
  });
  it('the service-factor current as stamped, else about in proportion and marked as an estimate', () => {
    expect(
      figure(
        on('north-america', '480 V', '60 Hz', { ...us, serviceFactorCurrent: '80/40 A' }),
        'plate.serviceFactorCurrent',
      ),
    ).toBe(40);
    const r = on('north-america', '480 V', '60 Hz', us);
    expect(figure(r, 'plate.serviceFactorCurrent')).toBeCloseTo(41.4, 9);
    expect(r.figures['plate.serviceFactorCurrent']?.estimate).toBe(true);
  });
  it('a constant-torque ratio of 2:1 at 1770 r/min forbids full torque below 885', () => {
    expect(
      figure(
        on('north-america', '480 V', '60 Hz', { ...us, inverterDuty: { constantTorque: 2 } }),
        'plate.minSpeedConstantTorque',
      ),
    ).toBe(885);
  });
  it('1000:1 deserves doubt', () => {
    expect(
      findingIds(on('north-america', '480 V', '60 Hz', { ...us, inverterDuty: { constantTorque: 1000 } })),
    ).toContain('plate.turndown');
  });
  it('least torques by the design letter; the usual letter is assumed and says so', () => {
    const c = on('north-america', '480 V', '60 Hz', { ...us, designLetter: 'C' });
    expect(figure(c, 'plate.lockedRotorTorque') / figure(c, 'plate.ratedTorque')).toBeCloseTo(2, 9);
    const b = on('north-america', '480 V', '60 Hz', us);
    // NEMA MG 1 12.38.1 and 12.39.1: 150 and 200 % at 30 hp, four poles (from memory).
    expect(figure(b, 'plate.lockedRotorTorque') / figure(b, 'plate.ratedTorque')).toBeCloseTo(1.5, 9);
    expect(figure(b, 'plate.breakdownTorque') / figure(b, 'plate.ratedTorque')).toBeCloseTo(2, 9);
    expect(b.figures['plate.lockedRotorTorque']?.assumed[0]?.why).toContain('design B');
  });
  it('class, standard frame, table current and codes in words', () => {
    const r = on('north-america', '480 V', '60 Hz', {
      ...us,
      frame: '284T',
      protection: 'IP55',
      cooling: 'IC411',
      mounting: 'F1',
      duty: 'CONT',
      insulation: 'F',
    });
    expect(fact(r, 'plate.efficiencyClass')).toContain('meets premium (93.6 %)');
    expect(fact(r, 'plate.standardFrame')).toBe('286T for this rating; the plate says 284T');
    expect(figure(r, 'plate.tableCurrent')).toBe(40);
    expect(fact(r, 'plate.protection')).toContain('jets');
    expect(fact(r, 'plate.cooling')).toContain('fan on the shaft');
    expect(fact(r, 'plate.mounting')).toContain('left');
    expect(fact(r, 'plate.duty')).toContain('S1');
    expect(fact(r, 'plate.insulation')).toContain('155 °C');
  });
});

describe('out of the field', () => {
  it.each(['permanent magnet', 'brushless', 'wound rotor', 'DC motor', 'synchronous'])('a %s plate stops', (kind) => {
    const r = on('north-america', '480 V', '60 Hz', { ...us, kind });
    expect(r.findings.find((f) => f.id === 'plate.not-cage')?.level).toBe('stop');
    expect(r.choice).toBeNull();
  });
  it.each(['3-phase induction motor', 'asynchronous motor', 'squirrel cage'])('"%s" does not', (kind) => {
    expect(findingIds(on('north-america', '480 V', '60 Hz', { ...us, kind }))).not.toContain('plate.not-cage');
  });
  it('remarks for hazardous places are kept as text and never a permission', () => {
    const r = on('north-america', '480 V', '60 Hz', { ...us, remarks: 'CLASS I DIV 1 GROUP D' });
    expect(r.findings.find((f) => f.id === 'plate.remarks')?.text).toMatch(/CLASS I DIV 1 GROUP D.*no permission/);
  });
});

describe('accepted doubts', () => {
  const doubted = { ...us, current: '110/55 A' };
  const found = on('north-america', '480 V', '60 Hz', doubted).findings.find(
    (f) => f.id === 'plate.current-inconsistent',
  );
  const accept = (values: Record<string, string>): Result =>
    solved({
      format: 'pilgrim.case/1',
      practice: 'north-america',
      supply: { voltage: '480 V', frequency: '60 Hz' },
      plate: doubted,
      accepted: [{ finding: 'plate.current-inconsistent', values, reason: 'Measured 54 A at full load' }],
    });
  const of = (r: Result) => r.findings.find((f) => f.id === 'plate.current-inconsistent');
  it('become notes that carry the reason', () => {
    expect(found?.level).toBe('caution');
    expect(found?.doubt).toBe(true);
    const now = of(accept({ 'plate.current': '110/55 A', 'plate.power': '30 hp' }));
    expect(now?.level).toBe('note');
    expect(now?.accepted).toBe('Measured 54 A at full load');
  });
  it('come back when a value they rest on has changed', () => {
    expect(of(accept({ 'plate.current': '72/36 A' }))?.level).toBe('caution');
  });
  it('a stop cannot be accepted away', () => {
    const r = solved({
      format: 'pilgrim.case/1',
      practice: 'iec',
      plate: { phases: 1 },
      accepted: [{ finding: 'plate.single-phase', reason: 'because' }],
    });
    expect(r.findings.find((f) => f.id === 'plate.single-phase')?.level).toBe('stop');
  });
});
