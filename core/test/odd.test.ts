import { describe, expect, it } from 'vitest';
import { nameplate, readCase, type CaseText, type Result } from '@pilgrim/core';
import { solved, verdictOf } from './cases';

/** Odd cases that a practitioner judges at sight, each with the one beside it that is ordinary. */

type Plate = NonNullable<CaseText['plate']>;
const us: Plate = {
  ...{ power: '10 hp', voltage: '460 V', current: '13 A', speed: '1755 rpm', frequency: '60 Hz', phases: 3 },
  ...{ frame: '215T', enclosure: 'TEFC' },
};
const eu: Plate = {
  ...{ power: '15 kW', voltage: '400/690 V', current: '28/16 A', speed: '1470 rpm', frequency: '50 Hz', phases: 3 },
  ...{ frame: '160L', protection: 'IP55' },
};
const stiff = { source: { kind: 'stiff' } } as const;
const bank = { source: { kind: 'transformer', rating: '630 kVA', impedance: 0.05 } } as const;

const american = (plate: Plate, over: Partial<CaseText> = {}): Result =>
  solved({
    ...{ format: 'pilgrim.case/1', practice: 'north-america', plate: { ...us, ...plate } },
    supply: { voltage: '480 V', frequency: '60 Hz', ...stiff },
    ...over,
  });
const european = (over: Partial<CaseText>): Result =>
  solved({
    ...{ format: 'pilgrim.case/1', practice: 'iec', supply: { voltage: '400 V', frequency: '50 Hz', ...stiff } },
    ...over,
  });
const load = (
  machine: NonNullable<CaseText['load']>['machine'],
  power: string,
  speed = '1470 rpm',
  more: object = {},
) => ({ machine, demand: { kind: 'power', power, speed }, ...more }) as const;
const level = (r: Result, id: string): string | undefined => r.findings.find((f) => f.id === id)?.level;
const readPlate = (plate: Plate) => {
  const read = readCase({ format: 'pilgrim.case/1', practice: 'iec', plate });
  if (!read.ok || !read.value.plate) throw new Error('no plate');
  return read.value.plate;
};
const kinds = (remarks: string): string[] => nameplate.kindsOf(readPlate({ remarks })).map((k) => k.kind);

describe('what a plate says in words', () => {
  it.each([
    ['6 inch submersible', 'submersible'],
    ['water filled, canned', 'submersible'],
    ['smoke extraction F300 120 min', 'smoke-extract'],
    ['F400, 120 min', 'smoke-extract'],
    ['torque motor', 'torque-motor'],
    ['permanent magnet', 'other-machine'],
    ['synchronous motor', 'other-machine'],
    ['spring applied brake 40 Nm 180 V DC', 'brake'],
    ['geared motor i = 25', 'geared'],
    ['output 58 r/min, output speed', 'geared'],
    ['two-speed, tapped winding', 'two-speed'],
    ['pole-changing', 'two-speed'],
    ['high slip', 'high-slip'],
    ['VHS', 'hollow-shaft'],
    ['marine duty', 'marine'],
    ['railway', 'railway'],
    ['1024 pulses per turn', 'encoder'],
    ['IC 416', 'forced-cooling'],
    ['3 PTC 150 °C', 'sensors'],
    ['PT100 in winding', 'sensors'],
    ['space heater 230 V', 'heater'],
  ])('%s: %s', (remarks, kind) => expect(kinds(remarks)).toContain(kind));
  it.each([
    ['not submersible'],
    ['without brake'],
    ['brake: none'],
    ['12 brake horsepower'],
    ['no encoder'],
    ['asynchronous motor'],
    ['synchronous speed 1500'],
    ['F300 paint'],
    ['IP55 IC411, insulation F'],
    ['non-geared, foot mounted'],
  ])('%s: an ordinary motor', (remarks) => expect(kinds(remarks)).toEqual([]));
  it.each([
    ['Inverter duty', true],
    ['VFD rated', true],
    ['vector duty', true],
    ['inverter ready', false],
    ['inverter capable, MG 1 part 31', true],
    ['not inverter duty', false],
    ['converter rated', true],
    ['premium efficiency', false],
  ])('%s: made for pulses %s', (remarks, is) => expect(nameplate.saysInverterDuty(readPlate({ remarks }))).toBe(is));
  it('words give the pulse rating, never a turndown', () => {
    const r = american(
      { remarks: 'Inverter duty' },
      {
        motor: { existing: true },
        method: 'drive',
        load: load('conveyor', '8.5 hp', '1755 rpm'),
        speed: { need: 'variable', min: 0.5 },
      },
    );
    expect(r.figures['drive.peakPermitted']?.value).toBeCloseTo(3.1 * 460, 6);
    const stamped = american(
      { inverterDuty: { constantTorque: 4 } },
      {
        motor: { existing: true },
        method: 'drive',
        load: load('conveyor', '8.5 hp', '1755 rpm'),
        speed: { need: 'variable', min: 0.5 },
      },
    );
    expect(r.figures['drive.minSpeed']?.value).toBeGreaterThan(stamped.figures['drive.minSpeed']?.value ?? NaN);
  });
});

describe('no motor taken for another', () => {
  it('a submersible, a smoke extractor, a torque motor: referred, nothing chosen', () => {
    for (const remarks of ['submersible', 'smoke extract F300', 'torque motor']) {
      const r = american({ remarks });
      expect(r.choice, remarks).toBeNull();
      expect(level(r, 'plate.special-motor'), remarks).toBe('stop');
      expect(r.stations.sheet.state).toBe('stop');
    }
  });
  it('a brake motor asks for its brake until somebody says where it is; then it is bought, or is not', () => {
    const braked = (brake?: 'motor' | 'machine' | 'none') =>
      european({ plate: { ...eu, kind: 'brake motor' }, load: load('mixer', '12 kW', '1470 rpm', brake && { brake }) });
    expect(braked().choice?.outcome).toBe('caution');
    expect(braked('motor').choice?.buying.some((l) => /brake on the motor/.test(l.text))).toBe(true);
    expect(verdictOf(braked('motor'), 'keeps-brake')?.remedy?.priceIndex).toBeGreaterThan(0);
    expect(verdictOf(braked('machine'), 'keeps-brake')).toBeUndefined();
    expect(level(braked('machine'), 'plate.special-motor')).toBe('note');
  });
  it('sensors and heaters of the old motor are bought again', () => {
    const r = european({ plate: { ...eu, remarks: '3 PTC, space heater' } });
    const bought = r.choice?.buying.map((l) => l.text).join('; ') ?? '';
    expect(bought).toMatch(/winding sensors/);
    expect(bought).toMatch(/space heater/);
  });
  it('a geared motor stays open until it is waived with a reason', () => {
    const geared = (waived?: string) =>
      european({
        plate: { ...eu, remarks: 'geared motor i=12' },
        ...(waived && { waived: [{ requirement: 'keeps-geared', reason: waived }] }),
      });
    expect(verdictOf(geared(), 'keeps-geared')?.outcome).toBe('caution');
    expect(geared().choice?.outcome).toBe('caution');
    expect(level(geared('the gear is bought apart'), 'plate.special-motor')).toBe('note');
  });
  it('the motor that stays loses nothing', () => {
    const r = european({
      plate: { ...eu, kind: 'brake motor' },
      motor: { existing: true },
      load: load('mixer', '12 kW'),
    });
    expect(verdictOf(r, 'keeps-brake')).toBeUndefined();
  });
  it('a 56C face asks its own shaft; two horsepower are made so, three not', () => {
    const faced = (power: string, current: string) =>
      american({ power, current, speed: '1735 rpm', frame: '56C', mounting: 'C-face, footless' });
    expect(faced('1 hp', '1.5 A').choice?.motor.frame).toBe('56C');
    expect(faced('3 hp', '4.4 A').choice).toBeNull();
  });
  it('a deep-well pump wants a vertical motor, bought so once it is said how it stands', () => {
    const well = (mounting?: 'shaft-down') =>
      european({
        load: load('deep-well-pump', '20 kW', '2900 rpm'),
        place: { water: 'outdoor', dirt: 'clean', ...(mounting && { mounting }) },
      });
    expect(verdictOf(well(), 'vertical')?.outcome).toBe('caution');
    expect(well().choice?.outcome).toBe('caution');
    expect(verdictOf(well('shaft-down'), 'vertical')?.remedy?.kind).toBe('vertical');
  });
  it('a plate faster than synchronous closes all that rests on it', () => {
    const r = european({ plate: { ...eu, speed: '3080 rpm' } });
    expect(r.choice).toBeNull();
    for (const id of ['choice', 'guard', 'sheet'] as const) expect(r.stations[id].state).toBe('stop');
  });
  it('a current three times the rating’s holds back what is sized from it, until a reason is given', () => {
    const off = (current: string, over: Partial<CaseText> = {}) => american({ current }, over);
    expect(off('48 A').choice).toBeNull();
    expect(off('16 A').choice).not.toBeNull();
    const accepted = ['plate.current-unusual', 'plate.current-inconsistent'].map((finding) => ({
      finding,
      reason: 'read twice',
    }));
    expect(off('48 A', { accepted }).choice).not.toBeNull();
    // With a load of its own the new motor is not sized from the old one's current.
    expect(off('48 A', { load: load('mixer', '8 hp', '1755 rpm') }).choice).not.toBeNull();
  });
});

describe('what feeds it', () => {
  const pump = (rating: string, over: Partial<CaseText> = {}) =>
    european({
      supply: {
        voltage: '400 V',
        frequency: '50 Hz',
        source: { kind: 'generator', rating, subtransientReactance: 0.14 },
      },
      load: load('centrifugal-pump', '40 kW', '1475 rpm'),
      speed: { need: 'variable', min: 0.6 },
      ...over,
    });
  it('a set too small for what runs on it fails; one that is nearly full is a caution', () => {
    // By hand: 40 kW ÷ 0.95 ÷ 0.97 is 43 kW; 0.8 of the kVA are a set's kW.
    expect(pump('40 kVA').choice).toBeNull();
    expect(verdictOf(pump('60 kVA'), 'source')?.outcome).toBe('caution');
    expect(verdictOf(pump('90 kVA'), 'source')?.outcome).toBe('pass');
  });
  it('the network behind a bank: told where the start needs it, and counted where it is given', () => {
    const on = (upstream?: string) =>
      european({
        supply: { voltage: '400 V', frequency: '50 Hz', ...bank, ...(upstream && { upstream }) },
        load: load('compressor', '45 kW', '1480 rpm'),
        method: 'direct',
        motor: { catalogue: 'iec-ip55-ie3-55kW-4p' },
        rules: { maxDip: 0.05 },
      });
    const said = verdictOf(on(), 'supply')?.condition;
    expect(said).toMatchObject({ field: 'supply.upstream' });
    expect(verdictOf(on('500 MVA'), 'supply')?.condition).toBeNull();
    const z = (r: Result) => r.figures['start.sourceImpedance']?.value ?? NaN;
    // 400² ÷ 50 MVA is 3.2 mΩ more; 10 kA at 20 kV are 346 MVA.
    expect(z(on('50 MVA')) - z(on())).toBeCloseTo(0.0032, 9);
    expect(z(on('10 kA at 20 kV')) - z(on())).toBeCloseTo(160_000 / (Math.sqrt(3) * 10_000 * 20_000), 9);
    expect(readCase({ format: 'pilgrim.case/1', practice: 'iec', supply: { upstream: 'much' } }).ok).toBe(false);
  });
  it('a stiff supply is no fault level: a caution of Guard, never of the choice', () => {
    const r = european({ load: load('mixer', '12 kW') });
    expect(level(r, 'guard.no-fault-level')).toBe('caution');
    expect(r.stations.guard.state).toBe('caution');
    expect(r.stations.choice.state).toBe('enough');
  });
});

describe('what hangs on it', () => {
  it('inertia and train count where no power is typed', () => {
    const r = american(
      {},
      {
        motor: { existing: true },
        load: { machine: 'centrifugal-fan', inertia: '20 kg·m²', train: { kind: 'belt', ratio: 2 } },
      },
    );
    expect(r.figures['load.inertiaAtMotor']?.value).toBeCloseTo(20 / 4, 6);
  });
  it('beyond the inertia that the standard lets it start: a caution, but not behind a drive or with a stall time', () => {
    const heavy = (over: Partial<CaseText>) =>
      european({
        ...{
          load: load('centrifugal-fan', '40 kW', '1480 rpm', { inertia: '45 kg·m²' }),
          motor: { catalogue: 'iec-ip55-ie3-45kW-4p' },
        },
        ...over,
      });
    expect(heavy({ method: 'soft-starter' }).start?.rows.find((x) => x.method === 'soft-starter')?.outcome).not.toBe(
      'pass',
    );
    expect(level(heavy({ method: 'drive' }), 'start.heavy')).toBe('note');
  });
  it('a machine tool starts idling: constant power sizes its range, not its run-up', () => {
    const r = european({ load: load('machine-tool', '7.5 kW', '1450 rpm') });
    expect(r.choice).toMatchObject({ method: 'direct' });
    expect(r.figures['choice.ratedPower']?.value).toBe(11_000);
  });
  it('a hoist told by its power is a hoist: lowering, brake, no restart by itself, no coasting', () => {
    const hoist = (over: Partial<CaseText> = {}) =>
      european({
        ...{
          load: load('hoist', '9 kW', '1450 rpm', { startsPerHour: 60 }),
          speed: { need: 'variable', min: 0.2 },
          method: 'drive',
        },
        ...over,
      });
    expect(level(hoist(), 'load.overhauling')).toBe('caution');
    expect(hoist().figures['drive.brakingResistance']).toBeDefined();
    expect(hoist().open.map((o) => o.field)).toContain('load.brake');
    expect(level(hoist({ guard: { restart: 'automatic' } }), 'guard.restart')).toBe('stop');
    expect(level(hoist({ drive: { braking: { kind: 'coast' } } }), 'drive.braking')).toBe('stop');
    const conveyor = european({ load: load('conveyor', '9 kW', '1450 rpm'), guard: { restart: 'automatic' } });
    expect(level(conveyor, 'guard.restart')).toBe('caution');
  });
  it('a fire pump has no dial, no trip and no branch device', () => {
    for (const over of [{ name: 'Fire pump 1' }, { guard: { role: 'emergency' } }] as const) {
      const r = european({ load: load('centrifugal-pump', '30 kW'), ...over });
      expect(Object.keys(r.figures).filter((id) => id.startsWith('guard.'))).toEqual([]);
      expect(level(r, 'guard.emergency')).toBe('caution');
    }
  });
  it('a capacitor at a star-delta motor stops; at the board it does not', () => {
    const at = (capacitor: 'motor' | 'board') =>
      level(
        european({ load: load('centrifugal-pump', '30 kW'), method: 'star-delta', guard: { capacitor } }),
        'guard.capacitor',
      );
    expect(at('motor')).toBe('stop');
    expect(at('board')).not.toBe('stop');
  });
  it('refusing to watch for a lost phase is cautioned; of an unknown machine nothing is said', () => {
    const watch = (guard: CaseText['guard']) => european({ load: load('mixer', '12 kW'), ...(guard && { guard }) });
    expect(level(watch({ watch: { phaseLoss: false } }), 'guard.phase-loss')).toBe('caution');
    expect(level(watch({}), 'guard.phase-loss')).toBeUndefined();
    const unknown = european({ load: { demand: { kind: 'power', power: '12 kW', speed: '1470 rpm' } } });
    for (const w of unknown.guard?.watches ?? []) expect(w.proposed, w.id).not.toMatch(/not (needed|asked)/);
  });
  it('a load known to ten per cent whose margin is just missed is a caution; one measured is not', () => {
    const pull = (uncertainty?: number) =>
      american(
        {},
        {
          plate: undefined as never,
          load: {
            machine: 'conveyor',
            demand: {
              kind: 'pull',
              force: '200 lbf',
              radius: '0.25 ft',
              speed: '72 rpm',
              ...(uncertainty !== undefined && { uncertainty }),
            },
            train: { kind: 'gearbox', ratio: 24.3, efficiency: 1 },
          },
        },
      );
    expect(pull().choice?.outcome).toBe('caution');
    expect(level(pull(0.03), 'choice.uncertain-load')).toBeUndefined();
  });
});

describe('air that may explode', () => {
  it.each(['Solvent pump', 'Grain elevator', 'Coal mill', 'Sewage pump 2', 'Paint booth fan', 'Hydrogen blower'])(
    '%s asks until somebody is named',
    (name) => {
      const asked = (place: CaseText['place']) =>
        european({ name, load: load('mixer', '12 kW'), ...(place && { place }) });
      expect(level(asked(undefined), 'place.hazard-words')).toBe('caution');
      expect(level(asked({ hazardous: false }), 'place.hazard-words')).toBe('caution');
      expect(level(asked({ hazardous: false, hazardousBy: 'process safety' }), 'place.hazard-words')).toBeUndefined();
    },
  );
  it.each(['Cooling pump', 'Woodward mixer', 'Workshop fan'])('%s does not', (name) =>
    expect(level(european({ name, load: load('mixer', '12 kW') }), 'place.hazard-words')).toBeUndefined(),
  );
  it('no reason lets it stand: a person is named', () => {
    const r = european({
      ...{ name: 'Coal mill', load: load('mixer', '12 kW'), place: { hazardous: false } },
      accepted: [{ finding: 'place.hazard-words', reason: 'never seen any' }],
    });
    expect(level(r, 'place.hazard-words')).toBe('caution');
  });
  it('an elevator in dust does, whatever it is called', () => {
    const r = european({ load: load('bucket-elevator', '12 kW'), place: { dirt: 'dusty', water: 'dry' } });
    expect(level(r, 'place.hazard-words')).toBe('caution');
  });
});
