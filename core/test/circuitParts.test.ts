import { describe, expect, it } from 'vitest';
import { deviceNames, type CaseText, type Result } from '@pilgrim/core';
import { figure, findingIds } from './cases';
import { american, base, crossing, european, finding, from, type Guard } from './guarded';

describe('fault current, earth and what a device may be marked with', () => {
  it('running motors add four times their current, and the panel must bear that', () => {
    const beside = {
      motors: [
        { current: '200 A', device: '250 A' },
        { current: '50 A', device: '63 A' },
      ],
    };
    const r = european({ feeder: beside, assemblyRating: '18.5 kA' });
    expect(figure(r, 'guard.faultWithMotors')).toBeCloseTo(18000 + 4 * 250, 0);
    expect(finding(r, 'guard.fault-too-high')?.text).toContain('19');
    expect(findingIds(european({ assemblyRating: '18.5 kA' }))).not.toContain('guard.fault-too-high');
  });
  it('an unmarked controller counts as 5 kA to 50 hp, 10 to 200 hp; IEC has no such number', () => {
    const emergency = { coordination: 'total' } as const;
    expect(figure(american(), 'guard.unmarkedRating')).toBe(5000);
    expect(findingIds(american(emergency))).toContain('guard.unmarked');
    const supply = (current: string) => ({
      supply: { voltage: '480 V', frequency: '60 Hz', source: { kind: 'fault-level' as const, current } },
    });
    expect(findingIds(american(emergency, supply('5 kA')))).not.toContain('guard.unmarked');
    expect(findingIds(american(emergency, supply('5.1 kA')))).toContain('guard.unmarked');
    expect(findingIds(american({ ...emergency, assemblyRating: '25 kA' }))).not.toContain('guard.unmarked');
    // One that was tested together has a rating of its own; where none is known the question to the builder says it.
    expect(findingIds(american())).not.toContain('guard.unmarked');
    const none = american({}, supply('150 kA'));
    expect(findingIds(none)).not.toContain('guard.unmarked');
    expect(finding(none, 'guard.no-combination')?.text).toContain('count as 5000 A');
    expect(european().figures['guard.unmarkedRating']).toBeUndefined();
  });
  it('a device marked 480Y/277 only where the star point is solidly earthed', () => {
    const supply = { voltage: '480 V', frequency: '60 Hz' };
    for (const earthing of ['corner', 'isolated', 'high-resistance'] as const)
      expect(findingIds(american({}, { supply: { ...supply, earthing } }))).toContain('guard.slash-rated');
    for (const earthing of ['solid', 'unknown', undefined] as const)
      expect(findingIds(american({}, { supply: { ...supply, ...(earthing && { earthing }) } }))).not.toContain(
        'guard.slash-rated',
      );
    expect(findingIds(european({}, from('18 kA', { earthing: 'isolated' })))).not.toContain('guard.slash-rated');
  });
  it('an earth fault far away must still open the device (60364-4-41)', () => {
    // A size that is there: one that is left out grows with its length.
    const at = (length: string, guard: Guard = {}) =>
      european({ cable: { area: '6 mm2' }, ...guard }, { place: { cable: { length } } });
    // By hand, 6 mm² and its earth of 6 mm², 20 m: 2 × 0.0225 × 20 ÷ 6 = 0.15 Ω; source 0.0128, reactance 0.0032:
    // 0.95 × 230.94 ÷ √(0.15² + 0.016²) = 1454 A.
    expect(figure(at('20 m'), 'guard.earthFault')).toBeCloseTo(1454, -1);
    expect(findingIds(at('20 m'))).not.toContain('guard.disconnection');
    // By the device: 21 A behind 40 A of gG have 5 s, whatever the dial, behind 32 A 0.4 s.
    const within = (current: string, device: 'fuse-gg' | 'fuse-am') =>
      european({ device }, { plate: { ...base({}, {}).plate, power: '11 kW', current }, load: { machine: 'conveyor' } })
        .figures['guard.earthFaultAsked']?.text;
    expect(within('21 A', 'fuse-gg')).toContain('off within 5 s');
    expect(within('19 A', 'fuse-gg')).toContain('off within 0.4 s');
    expect(within('31 A', 'fuse-am')).toContain('off within 0.4 s');
    expect(within('33 A', 'fuse-am')).toContain('off within 5 s');
    const far = finding(at('150 m'), 'guard.disconnection');
    expect(far).toMatchObject({ level: 'caution' });
    expect(far?.figures).toContain('guard.earthFaultAsked');
    expect(at('150 m').figures['guard.earthFault']?.assumed.map((a) => a.field)).toContain('supply.earthing');
    expect(american().figures['guard.earthFault']).toBeUndefined();
  });
  it('on a net that is not earthed it is the second fault that must open it (60364-4-41, 411.6.4)', () => {
    const at = (length: string, earthing: 'isolated' | 'corner' | 'high-resistance' | 'solid') =>
      european({ cable: { area: '6 mm2' } }, { ...from('18 kA', { earthing }), place: { cable: { length } } });
    // By hand, as above with the line's voltage over twice the loop: 0.95 × 400 ÷ (2 × 0.15085) = 1259.5 A.
    expect(figure(at('20 m', 'isolated'), 'guard.earthFault')).toBeCloseTo(1259.5, 0);
    expect(figure(at('20 m', 'high-resistance'), 'guard.earthFault')).toBeCloseTo(1259.5, 0);
    expect(figure(at('20 m', 'solid'), 'guard.earthFault')).toBeCloseTo(1454, -1);
    expect(at('20 m', 'corner').figures['guard.earthFault']).toBeUndefined();
    expect(findingIds(at('20 m', 'isolated'))).not.toContain('guard.disconnection');
    const far = finding(at('150 m', 'isolated'), 'guard.disconnection');
    expect(far?.text).toMatch(/^A second earth fault, in another circuit,/);
    expect(far?.text).not.toContain('residual-current');
  });
  it('400 V to 32 A is 230 V to earth: 0.4 s, and 690 V is 400: 0.2 s (60364-4-41, Table 41.1)', () => {
    const within = (voltage: string, current: string, power = '11 kW') =>
      european(
        {},
        {
          supply: { voltage, frequency: '50 Hz', source: { kind: 'fault-level', current: '18 kA' } },
          plate: { ...base({}, {}).plate, voltage, current, power },
          load: { machine: 'conveyor', demand: { kind: 'power', power: '8 kW', speed: '1475 rpm' } },
        },
      ).figures['guard.earthFaultAsked']?.text;
    expect(within('400 V', '20 A')).toContain('0.4 s');
    expect(within('415 V', '20 A')).toContain('0.4 s');
    expect(within('690 V', '20 A', '18.5 kW')).toContain('0.2 s');
    expect(within('400 V', '41 A', '22 kW')).toContain('5 s');
  });
  it('a size that nobody typed opens in time; one step smaller would not', () => {
    const at = (guard: Guard) =>
      european(guard, { place: { cable: { length: '150 m' } }, rules: { maxStartDrop: 0.4 } });
    const free = at({ maxDrop: 0.2 });
    expect(findingIds(free)).not.toContain('guard.disconnection');
    expect(finding(free, 'guard.cable-size')?.text).toContain('an earth fault that must be off in time');
    expect(figure(free, 'guard.earthFault')).toBeGreaterThanOrEqual(figure(free, 'guard.earthFaultAsked'));
    const sizes = [1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95];
    const below = sizes.findLast((s) => s < figure(free, 'guard.conductorArea'));
    expect(findingIds(at({ maxDrop: 0.2, cable: { area: `${below} mm2` } }))).toContain('guard.disconnection');
  });
  it('behind a drive under IEC its leakage decides earth conductor and residual-current device', () => {
    expect(findingIds(european({}, { method: 'drive' }))).toContain('guard.leakage');
    expect(findingIds(european())).not.toContain('guard.leakage');
    expect(findingIds(american({}, { method: 'drive' }))).not.toContain('guard.leakage');
  });
});

describe('parts, settings and what else watches', () => {
  const kinds = (r: Result) => r.guard?.parts.map((p) => p.kind);
  it('the circuit is built from the method: two parts, three, star-delta, soft starter, drive', () => {
    expect(european().guard?.scheme).toBe('two-part');
    expect(american().guard?.scheme).toBe('three-part');
    expect(european({ device: 'fuse-am' }).guard?.scheme).toBe('three-part');
    expect(kinds(european())).toEqual(['source', 'device', 'contactor', 'overload', 'cable', 'motor', 'load']);
    expect(kinds(american())).toContain('disconnect');
    expect(kinds(european({}, { method: 'star-delta' }))?.filter((k) => k === 'contactor')).toHaveLength(3);
    expect(kinds(european({}, { method: 'soft-starter' }))).toContain('soft-starter');
    expect(kinds(european({}, { method: 'drive', place: { cable: { length: '5 m' } } }))).toEqual([
      'source',
      'device',
      'drive',
      'overload',
      'cable',
      'motor',
      'load',
    ]);
  });
  it('what was decided between drive and motor stands in the line, as the choice counts it', () => {
    const far = european({}, { method: 'drive', place: { cable: { length: '60 m' } } });
    const decided = part(far, 'filter');
    expect(decided?.name).toMatch(/filter|reactor/);
    expect(decided?.range).toContain(far.figures['drive.peakJudged']?.text);
    expect(kinds(european({}, { method: 'drive', place: { cable: { length: '5 m' } } }))).not.toContain('filter');
    expect(kinds(european({}, { place: { cable: { length: '60 m' } } }))).not.toContain('filter');
  });
  it('a bypass has two contactors that exclude each other, and an overload relay of its own', () => {
    const near = { method: 'drive', place: { cable: { length: '5 m' } } } as const;
    const bypassed = european({}, { ...near, drive: { bypass: true } }).guard?.parts ?? [];
    const contactors = bypassed.filter((p) => p.kind === 'contactor');
    expect(contactors.map((p) => [p.name, p.beside])).toEqual([
      ['contactor behind the drive', undefined],
      ['bypass contactor', 'leaves'],
    ]);
    expect(contactors.every((p) => p.rating === '50 A AC-3' && p.range.includes('exclude each other'))).toBe(true);
    const way = bypassed.findIndex((p) => p.name === 'bypass contactor');
    // It leaves the line above the drive and joins it below its own relay.
    expect(bypassed[way - (contactors[1]?.spans ?? 0)]?.kind).toBe('drive');
    expect(bypassed[way + 1]).toMatchObject({
      kind: 'overload',
      name: 'overload relay in the bypass',
      beside: 'joins',
    });
    expect(bypassed[way + 1]?.rating).toContain('41 A');
    expect(kinds(european({}, { ...near, drive: { bypass: false } }))).not.toContain('contactor');
  });
  it('of several motors on one drive each has a relay, a cable and a plate; the drive guards none of them', () => {
    const three = european({}, { method: 'drive', drive: { motors: 3 }, place: { cable: { length: '5 m' } } });
    expect(part(three, 'overload')?.name).toBe('overload relay of each of the 3 motors');
    expect(part(three, 'overload')?.rating).toContain('41 A');
    expect(part(three, 'cable')?.name).toBe('conductors to each motor');
    const set = (r: Result, id: string) => r.drive?.settings.find((s) => s.id === id)?.number ?? NaN;
    const one = european({}, { method: 'drive', place: { cable: { length: '5 m' } } });
    for (const id of ['motor-current', 'current-limit', 'overload-current'])
      expect(set(three, id) / set(one, id)).toBeCloseTo(3, 6);
    expect(part(one, 'overload')?.name).toBe('overload in the drive');
    expect(finding(three, 'drive.motors')?.text).toContain('none has a contactor behind the running drive');
    // Of many small ones the drive bears the start of one.
    const many = european({}, { method: 'drive', drive: { motors: 16 }, place: { cable: { length: '5 m' } } });
    expect(finding(many, 'drive.motors')?.text).toContain('one may be switched on while it runs');
  });
  it('a hoist has a holding brake, and on a drive its resistor with ohms, peak and mean', () => {
    const lifting: Partial<CaseText> = {
      load: {
        startsPerHour: 30,
        demand: { kind: 'hoist', mass: '3 t', speed: '0.4 m/s', efficiency: 0.85, drumDiameter: '0.5 m' },
      },
    };
    const driven = european({}, { ...lifting, method: 'drive' });
    expect(kinds(driven)).toEqual(expect.arrayContaining(['resistor', 'brake']));
    const resistor = part(driven, 'resistor');
    for (const id of ['drive.brakingResistance', 'drive.brakingLeast'])
      expect(resistor?.rating).toContain(driven.figures[id]?.text);
    for (const id of ['drive.brakingPower', 'drive.brakingMean'])
      expect(resistor?.range).toContain(driven.figures[id]?.text);
    const torque = figure(driven, 'load.motorTorque');
    expect(Number.parseFloat(part(driven, 'brake')?.rating ?? '') / torque).toBeCloseTo(1.6, 1);
    expect(kinds(european({}, lifting))).toContain('brake');
    expect(kinds(european({}, lifting))).not.toContain('resistor');
    expect(
      kinds(european({}, { ...lifting, method: 'drive', drive: { braking: { kind: 'regenerative' } } })),
    ).not.toContain('resistor');
    expect(kinds(european({}, { method: 'drive' }))).not.toContain('brake');
    const bypassed = (over: Partial<CaseText>) =>
      finding(european({}, { ...over, method: 'drive', drive: { bypass: true } }), 'drive.bypass')?.level;
    expect([bypassed(lifting), bypassed({})]).toEqual(['caution', 'note']);
  });
  it('a fuse says which: aM and gG', () => {
    const link = (device: Guard['device']) => {
      const p = part(european({ device }), 'device');
      return `${p?.rating} ${p?.range}`;
    };
    expect(link('fuse-am')).toContain('aM');
    expect(link('fuse-gg')).toContain('gG');
    expect(link('breaker')).not.toMatch(/aM|gG/);
  });
  it('run both ways it has two contactors, interlocked: as the case says, else of a hoist', () => {
    const contactors = (r: Result) =>
      r.guard?.parts.filter((p) => p.kind === 'contactor').map((p) => [p.name, p.range.includes('interlocked')]);
    const pair = [['contactor, forward', true], ['contactor, reverse', true]]; // prettier-ignore
    const lifting: Partial<CaseText> = {
      load: { demand: { kind: 'hoist', mass: '3 t', speed: '0.4 m/s', efficiency: 0.85, drumDiameter: '0.5 m' } },
    };
    expect(contactors(european())).toEqual([['contactor', false]]);
    expect(contactors(european({ reversing: true }))).toEqual(pair);
    expect(contactors(european({}, lifting))).toEqual(pair);
    expect(contactors(european({ reversing: false }, lifting))).toEqual([['contactor', false]]);
    expect(contactors(european({ reversing: true }, { method: 'star-delta' }))).toEqual([
      ['line contactor, forward', true],
      ['line contactor, reverse', true],
      ['delta contactor', false],
      ['star contactor', false],
    ]);
    const beside = (r: Result) => r.guard?.parts.filter((p) => p.kind === 'contactor').map((p) => p.beside);
    expect(beside(european({ reversing: true }))).toEqual([undefined, 'across']);
    expect(beside(european({}, { method: 'star-delta' }))).toEqual([undefined, 'far-ends', 'star-point']);
    expect(contactors(european({ reversing: true }, { method: 'drive' }))).toEqual([]);
  });
  it('a soft starter is designated by its simulated start: AC-53b with a bypass, AC-53a without', () => {
    const pump = { machine: 'centrifugal-pump', demand: { kind: 'power', power: '15 kW', speed: '1475 rpm' } } as const;
    const soft = (of: object) =>
      european({}, { load: pump, method: 'soft-starter', start: { softStarter: { limit: 3.5, ...of } } });
    const said = (r: Result) => r.guard?.settings.find((s) => s.name === 'Starter rated')?.value ?? '';
    const [, multiple = '', time = '', rest = ''] = /AC-53b: ([\d.]+)-(\d+): (\d+)$/.exec(said(soft({}))) ?? [];
    const run = soft({});
    expect(Number(multiple) * 41).toBeGreaterThanOrEqual(figure(run, 'start.soft-starter.peakCurrent'));
    expect((Number(multiple) - 0.1) * 41).toBeLessThan(figure(run, 'start.soft-starter.peakCurrent'));
    expect(Number(time)).toBe(Math.ceil(figure(run, 'start.soft-starter.time')));
    expect(Number(rest) + Number(time)).toBe(3600);
    expect(said(soft({ bypass: false }))).toContain(`AC-53a: ${multiple}-${time}: 99-1`);
    expect(part(soft({}), 'soft-starter')?.rating).toBe(said(soft({})));
    expect(said(european())).toBe('');
    // A conveyor that sticks does not come up on it: no rating is designated.
    expect(said(european({}, { method: 'soft-starter', start: { softStarter: { limit: 2 } } }))).toBe('');
  });
  it('an instantaneous breaker is permitted in a listed combination only: said where none is known', () => {
    const of = (device: Guard['device'], current: string) =>
      findingIds(
        american(
          { device },
          { supply: { voltage: '480 V', frequency: '60 Hz', source: { kind: 'fault-level', current } } },
        ),
      );
    expect(of('instantaneous-breaker', '150 kA')).toContain('guard.only-listed');
    expect(of('instantaneous-breaker', '18 kA')).not.toContain('guard.only-listed');
    expect(of('inverse-time-breaker', '150 kA')).not.toContain('guard.only-listed');
    expect(findingIds(european({ device: 'instantaneous-breaker' }))).not.toContain('guard.only-listed');
  });
  const part = (r: Result, kind: string) => r.guard?.parts.find((p) => p.kind === kind);
  it('each part says what the next one down would fail', () => {
    const asked = european({ coordination: 'total' });
    expect(part(asked, 'contactor')?.below).toContain('40 A AC-3 would carry 2 % too much');
    // At 690 V it breaks less than it is named by at 400 V: it is bought by what it breaks there.
    expect(part(asked, 'contactor')?.rating).toMatch(/ A AC-3$/);
    const supply = { voltage: '690 V', frequency: '50 Hz', source: { kind: 'fault-level', current: '10 kA' } } as const;
    const plate = { power: '22 kW', voltage: '690 V', current: '23.7 A', speed: '1475 rpm', frequency: '50 Hz' };
    const high = european({ coordination: 'total' }, { supply, plate });
    expect(part(high, 'contactor')?.rating).toMatch(/ A AC-3 at 690 V$/);
    expect(part(european(), 'contactor')).toMatchObject({ rating: 'contactor 50 A', margin: 'type 1 as tested' });
    expect(part(european(), 'cable')?.below).toContain('4 mm²');
    expect(part(american(), 'device')).toMatchObject({
      ...{ rating: 'breaker 80 A', range: 'to 100 A by the code, 160 A where it cannot start' },
      figure: 'guard.breakerRating',
    });
    expect(
      part(american({}, { supply: { voltage: '480 V', frequency: '60 Hz', earthing: 'solid' } }), 'device')?.below,
    ).not.toContain('slash');
    for (const kind of Object.keys(deviceNames) as (keyof typeof deviceNames)[])
      expect(part(american({ device: kind }), 'motor')?.rating).toContain('hp');
  });
  it('one of another kind than asked says nothing of what the code permits the other', () => {
    const large = american(
      {},
      {
        plate: { power: '500 hp', voltage: '460 V', current: '570 A', speed: '1785 rpm', frequency: '60 Hz' },
        load: { machine: 'centrifugal-pump', demand: { kind: 'power', power: '480 hp', speed: '1785 rpm' } },
      },
    );
    expect(large.guard?.combination.taken?.kind).toBe('instantaneous-breaker');
    expect(part(large, 'device')).toMatchObject({ name: 'magnetic breaker', range: '' });
  });
  it('standstill is told by one figure, in the finding and beside the chart', () => {
    const r = european({ relay: { class: 30 } });
    const trip = r.figures['guard.tripAtStall']?.text ?? 'none';
    expect(crossing(r, 'trips-before-stall')?.text).toContain(trip);
  });
  it('settings of a soft starter and of star-delta, each with why and what goes wrong otherwise', () => {
    for (const method of ['soft-starter', 'star-delta'] as const) {
      const plate = { ...base({}, {}).plate, voltage: '400/690 V', current: '41/23.7 A' };
      const { settings = [] } = european({}, { method, plate }).guard ?? {};
      expect(settings.length).toBeGreaterThan(3);
      for (const s of settings)
        expect([s.value, s.why, s.otherwise].every((t) => t !== '' && t !== 'as simulated')).toBe(true);
    }
    expect(european().guard?.settings).toEqual([]);
  });
  const watch = (r: Result, id: string) => r.guard?.watches.find((x) => x.id === id);
  const at = (machine: NonNullable<CaseText['load']>['machine'], over: Partial<CaseText> = {}, guard: Guard = {}) =>
    european(guard, { load: { machine, demand: { kind: 'power', power: '15 kW', speed: '1475 rpm' } }, ...over });
  it('what is proposed follows machine and place, both sides', () => {
    expect(watch(at('conveyor'), 'jam')?.proposed).toBe('yes');
    expect(watch(at('centrifugal-pump'), 'jam')?.proposed).toBe('not asked here');
    expect(watch(at('centrifugal-pump'), 'underload')?.proposed).toBe('yes');
    expect(watch(at('conveyor'), 'underload')?.proposed).toBe('not asked here');
    expect(watch(at('conveyor', { place: { humid: true } }), 'spaceHeater')?.proposed).toBe('yes');
    expect(watch(at('conveyor'), 'spaceHeater')?.proposed).toBe('not asked here');
    expect(watch(at('conveyor', { place: { ambient: '46 degC' } }), 'windingSensor')?.proposed).toBe('yes');
    expect(watch(at('conveyor', { place: { ambient: '40 degC' } }), 'windingSensor')?.proposed).toBe('not asked here');
    expect(watch(at('conveyor', { place: { water: 'washdown' } }), 'earthFault')?.proposed).toBe('yes');
    expect(watch(at('conveyor'), 'earthFault')?.proposed).toBe('not asked here');
    expect(watch(at('conveyor', { method: 'drive' }), 'safeTorqueOff')?.proposed).toBe('yes');
    expect(watch(at('centrifugal-pump', { method: 'drive' }), 'safeTorqueOff')?.proposed).toBe(
      'by the risk assessment',
    );
    expect(watch(at('mixer'), 'emergencyStop')?.proposed).toBe('yes');
    expect(watch(at('centrifugal-pump'), 'emergencyStop')?.proposed).toBe('by the risk assessment');
    for (const r of [at('mixer'), at('centrifugal-fan')]) expect(watch(r, 'phaseLoss')?.proposed).toBe('yes');
  });
  it('who sees a lost phase goes by the kind of relay', () => {
    const why = (kind?: 'thermal' | 'electronic') =>
      watch(at('mixer', {}, kind ? { relay: { kind } } : {}), 'phaseLoss')?.why;
    expect(why('electronic')).toContain('sees it itself');
    expect(why('thermal')).toContain('trips late');
    expect(why()).toBe(why('thermal'));
  });
  it('what was decided is kept beside what was proposed', () => {
    const decided = at('conveyor', {}, { watch: { jam: false, spaceHeater: true }, undervoltage: 'ride-through' });
    expect(watch(decided, 'jam')).toMatchObject({ proposed: 'yes', decided: 'no' });
    expect(watch(decided, 'spaceHeater')).toMatchObject({ proposed: 'not asked here', decided: 'yes' });
    expect(watch(decided, 'undervoltage')).toMatchObject({ proposed: 'release', decided: 'ride-through' });
    expect(watch(decided, 'underload')?.decided).toBeNull();
  });
  it('when the voltage goes is one decision of Guard and drive: bridged, unless people can reach it or somebody said', () => {
    const told = (machine: 'centrifugal-pump' | 'conveyor', guard: Guard = {}) => {
      const r = at(machine, { method: 'drive' }, guard);
      return [watch(r, 'undervoltage')?.proposed, r.drive?.settings.find((s) => s.id === 'ride-through')?.value];
    };
    expect(told('centrifugal-pump')).toEqual(['ride-through', 'on, kinetic']);
    expect(told('conveyor')).toEqual(['release', 'off']);
    expect(told('centrifugal-pump', { undervoltage: 'release' })).toEqual(['ride-through', 'off']);
    expect(told('conveyor', { undervoltage: 'ride-through' })).toEqual(['release', 'on, kinetic']);
  });
  it('an automatic restart where people can reach it is a caution; of a pump it is not', () => {
    expect(findingIds(at('conveyor', {}, { restart: 'automatic' }))).toContain('guard.restart');
    expect(findingIds(at('conveyor', {}, { restart: 'manual' }))).not.toContain('guard.restart');
    expect(findingIds(at('centrifugal-pump', {}, { restart: 'automatic' }))).not.toContain('guard.restart');
    expect(watch(at('centrifugal-pump', {}, { restart: 'automatic' }), 'undervoltage')?.proposed).toBe('ride-through');
  });
});

describe('capacitors', () => {
  it('never behind a drive or a soft starter; at the board a drive makes it needless', () => {
    const level = (method: NonNullable<CaseText['method']>, capacitor: Guard['capacitor']) =>
      finding(european({ ...(capacitor && { capacitor }) }, { method }), 'guard.capacitor')?.level;
    expect([level('drive', 'motor'), level('soft-starter', 'motor')]).toEqual(['stop', 'stop']);
    expect([level('drive', 'board'), level('soft-starter', 'board')]).toEqual(['note', undefined]);
    expect([level('direct', 'board'), level('direct', undefined)]).toEqual([undefined, undefined]);
  });
  it('what raises the plate’s power factor to 0.95, and what the motor’s terminals bear', () => {
    const r = european({ capacitor: 'motor' });
    const [c, P] = [figure(r, 'motor.powerFactor'), figure(r, 'motor.inputPower')];
    const byHand = P * (Math.tan(Math.acos(c)) - Math.tan(Math.acos(0.95)));
    expect(figure(r, 'guard.capacitorAsked')).toBeCloseTo(byHand, 0);
    expect(finding(r, 'guard.capacitor')?.text).toContain('dial the relay lower');
    const most = figure(r, 'guard.capacitorMost');
    // A 22 kW motor magnetises with some 35 to 45 % of its 41 A.
    expect(most / (0.9 * Math.sqrt(3) * 400 * 41)).toBeGreaterThan(0.25);
    expect(most / (0.9 * Math.sqrt(3) * 400 * 41)).toBeLessThan(0.55);
    const sized = (kvar: number) =>
      european({ capacitor: 'motor', capacitorPower: `${kvar} kvar` }).findings.filter(
        (f) => f.id === 'guard.capacitor',
      );
    expect(sized(most / 1000 - 0.1).map((f) => f.level)).toEqual(['note']);
    expect(sized(most / 1000 + 0.1).map((f) => f.level)).toEqual(['caution', 'note']);
  });
});

describe('a machine that runs on, and one that tripped', () => {
  const fan = (inertia: string, over: Partial<CaseText> = {}) =>
    european(
      {},
      {
        load: { machine: 'centrifugal-fan', inertia, demand: { kind: 'power', power: '15 kW', speed: '1475 rpm' } },
        ...over,
      },
    );
  const watched = (r: Result) => r.guard?.watches.find((x) => x.id === 'restart')?.why ?? '';
  it('long coasting is told with its seconds, a guard that stays locked, and lock-out', () => {
    const heavy = fan('40 kg.m2');
    const told = finding(heavy, 'guard.coasting');
    expect(figure(heavy, 'drive.coastTime')).toBeGreaterThan(10);
    expect(told?.text).toMatch(/stays locked .*lock-out/);
    expect(told?.level).toBe('note');
    const light = fan('0.02 kg.m2');
    expect(figure(light, 'drive.coastTime')).toBeLessThan(10);
    expect(finding(light, 'guard.coasting')).toBeUndefined();
  });
  it('it cools for minutes first, by the starts an hour that it bears; a jam is cleared behind lock-out', () => {
    const r = fan('12 kg.m2');
    const perHour = figure(r, 'start.startsPerHour');
    expect(perHour).toBeLessThan(12);
    expect(watched(r)).toContain(`${Math.min(60, Math.ceil(60 / perHour))} min`);
    // What bears hundreds of starts an hour still rests after it was too hot.
    const light = fan('0.02 kg.m2');
    expect(figure(light, 'start.startsPerHour')).toBeGreaterThan(12);
    expect(watched(light)).toContain('cools for some minutes first');
    expect(watched(r)).not.toContain('lock-out');
    expect(watched(european())).toContain('a jam is cleared by hand behind lock-out');
  });
});
