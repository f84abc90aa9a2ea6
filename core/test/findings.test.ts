import { describe, expect, it } from 'vitest';
import { type CaseText, type FindingId } from '@pilgrim/core';
import { conveyor, ordinaryPlate as plate, solved } from './cases';

/**
 * A finding with its level and the fields it sends the reader to, in a case that raises it, and a case just beside it
 * that does not.
 * What has tests of its own elsewhere (hazard, special, guard, plates, start) is not repeated.
 */
type Row = readonly [id: FindingId, level: string, fields: readonly string[], raises: CaseText, not: CaseText];

type Plate = NonNullable<CaseText['plate']>;
const stamped = (own: Plate, over: Partial<CaseText> = {}): CaseText => ({
  ...conveyor,
  ...over,
  plate: { ...plate, ...own },
});

const load = (own: NonNullable<CaseText['load']>, over: Partial<CaseText> = {}): CaseText => ({
  ...conveyor,
  ...over,
  load: own,
});
const belt = (own: object, machine = 'conveyor' as const): CaseText =>
  load({
    machine,
    demand: {
      kind: 'conveyor',
      massFlow: '40 t/h',
      length: '60 m',
      lift: '5 m',
      speed: '1.5 m/s',
      drumDiameter: '0.4 m',
      ...own,
    },
    train: { kind: 'gearbox', ratio: 20, efficiency: 0.9 },
  });
const fan = (own: Partial<CaseText['load']> = {}, over: Partial<CaseText> = {}): CaseText =>
  load(
    { machine: 'centrifugal-fan', demand: { kind: 'power', power: '20 hp', speed: '1750 rpm' }, ...own },
    { place: { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry' }, ...over },
  );
const varied: CaseText['speed'] = { need: 'variable', min: 0.5, max: 1, profile: [{ hours: 4000, flow: 1 }] };
const driven = (speed: object, over: Partial<CaseText> = {}): CaseText =>
  fan({}, { speed: { ...varied, ...speed }, method: 'drive', ...over });
const place = (own: NonNullable<CaseText['place']>): CaseText =>
  fan({}, { place: { ambient: '30 degC', altitude: '100 m', dirt: 'clean', water: 'dry', ...own } });
const read = (own: object): CaseText =>
  load({ machine: 'centrifugal-fan', demand: { kind: 'measured', voltage: '460 V', ...own } }, { plate });
const european = (over: Partial<CaseText>): CaseText =>
  fan({}, { practice: 'iec', supply: { voltage: '400 V', frequency: '50 Hz', phases: 3 }, ...over });
const cycle = (seconds: number, ratio: number): CaseText =>
  fan({
    cycle: [
      { duration: `${seconds} s`, ratio },
      { duration: '60 s', ratio: 0.5 },
    ],
  });
const direct = (own: object, over: Partial<CaseText> = {}): CaseText => fan(own, { method: 'direct', ...over });
const weak = (kva: number): Partial<CaseText> => ({
  supply: { ...conveyor.supply, source: { kind: 'transformer', rating: `${kva} kVA`, impedance: 0.05 } },
});
const pinned: Partial<CaseText> = { motor: { plate } };
const soft = (own: object, over: Partial<CaseText> = {}): CaseText =>
  fan({}, { method: 'soft-starter', start: { softStarter: own }, ...over });

const rows: readonly Row[] = [
  // The case
  ['case.unusual', 'caution', ['supply.voltage'],
    stamped({}, { supply: { voltage: '15.1 kV', frequency: '60 Hz' } }), stamped({}, { supply: { voltage: '15 kV', frequency: '60 Hz' } })],
  ['case.unusual', 'caution', ['load.demand.power'],
    fan({ demand: { kind: 'power', power: '99999 kW', speed: '1750 rpm' } }), fan({ demand: { kind: 'power', power: '10 MW', speed: '1750 rpm' } })],
  ['case.unusual', 'caution', ['load.demand.power'],
    fan({ demand: { kind: 'power', power: '9.9 W', speed: '1750 rpm' } }), fan({ demand: { kind: 'power', power: '10 W', speed: '1750 rpm' } })],
  ['case.unusual', 'caution', ['place.ambient'], place({ ambient: '71 degC' }), place({ ambient: '70 degC' })],
  ['case.unusual', 'caution', ['place.altitude'], place({ altitude: '5201 m' }), place({ altitude: '5200 m' })],
  ['case.unusual', 'caution', ['place.cable.length'], place({ cable: { length: '5001 m' } }), place({ cable: { length: '5000 m' } })],
  ['choice.oversize', 'caution', ['plate.power', 'load.demand'],
    fan({ demand: { kind: 'power', power: '3.9 hp', speed: '1750 rpm' } }, { plate }), fan({ demand: { kind: 'power', power: '4.1 hp', speed: '1750 rpm' } }, { plate })],
  // Plate
  ['plate.design-unknown', 'note', ['plate.designLetter'], stamped({ designLetter: 'Q' }), stamped({ designLetter: 'B' })],
  ['plate.duty-unread', 'note', ['plate.duty'], stamped({ duty: 'sometimes' }), stamped({ duty: 'CONT' })],
  ['plate.short-duty', 'caution', ['plate.duty'], stamped({ duty: '15 min' }), stamped({ duty: 'S1' })],
  ['plate.max-speed', 'caution', ['plate.maxSpeed', 'plate.speed'], stamped({ maxSpeed: '1759 rpm' }), stamped({ maxSpeed: '1760 rpm' })],
  ['plate.second-block', 'caution', ['plate.alternate.voltage', 'plate.alternate.frequency', 'plate.alternate.speed'],
    stamped({ alternate: { frequency: '50 Hz', voltage: '190/380 V', speed: '970 rpm' } }),
    stamped({ alternate: { frequency: '50 Hz', voltage: '190/380 V', speed: '1460 rpm' } })],
  ['plate.second-block', 'caution', ['plate.alternate.voltage', 'plate.alternate.frequency', 'plate.alternate.speed'],
    stamped({ alternate: { frequency: '50 Hz', voltage: '690 V', speed: '1460 rpm' } }),
    stamped({ alternate: { frequency: '50 Hz', voltage: '380 V', speed: '1460 rpm' } })],
  // NEMA MG 1 table 12-12: 20 hp, four poles, enclosed: 93.0 (from memory).
  ['plate.efficiency-class', 'caution', ['plate.efficiency', 'plate.efficiencyClass', 'plate.power', 'plate.speed'],
    stamped({ efficiency: 0.928, efficiencyClass: 'Premium' }), stamped({ efficiency: 0.93, efficiencyClass: 'Premium' })],
  ['plate.insulation-rise', 'caution', ['plate.riseClass', 'plate.insulation'],
    stamped({ insulation: 'B', riseClass: 'F' }), stamped({ insulation: 'F', riseClass: 'B' })],
  // Class B: 80 K at 40 °C.
  ['plate.insulation-rise', 'caution', ['plate.temperatureRise', 'plate.insulation', 'plate.ambient'],
    stamped({ insulation: 'B', temperatureRise: '81 K' }), stamped({ insulation: 'B', temperatureRise: '80 K' })],
  ['plate.voltage-ratio', 'caution', ['plate.voltage'],
    stamped({ voltage: '230/300 V', current: '50/38 A' }), stamped({})],
  ['plate.remarks', 'note', ['plate.remarks'], stamped({ remarks: 'pump end' }), stamped({})],
  // Load
  ['load.sheave-unused', 'note', ['load.train.sheave'],
    fan({ train: { kind: 'gearbox', ratio: 1, sheave: '0.2 m' } }), fan({ train: { kind: 'belt', ratio: 1, sheave: '0.2 m' } })],
  ['load.belt-pull', 'note', ['load.train.sheave'],
    fan({ train: { kind: 'belt', ratio: 1, efficiency: 0.95, sheave: '0.2 m' } }), fan({ train: { kind: 'direct' } })],
  ['load.moving-mass', 'note', ['load.demand.movingMass'], belt({}), belt({ movingMass: '40 kg/m' })],
  ['load.long-cycle', 'caution', ['load.cycle'], cycle(541, 1.1), cycle(540, 1.1)],
  ['load.long-cycle', 'caution', ['load.cycle'], cycle(541, 1.1), cycle(541, 1)],
  ['load.duty-sizing', 'note', ['rules.dutySizing'],
    { ...cycle(60, 1), rules: { dutySizing: 'steady' } }, { ...cycle(60, 1), rules: { dutySizing: 'thermal' } }],
  ['load.holdback', 'caution', ['load.demand.lift'], belt({ lift: '20 m', movingMass: '40 kg/m' }), belt({ lift: '0 m', movingMass: '40 kg/m' })],
  ['load.current-misleads', 'note', ['load.demand.current'], read({ current: '12 A', power: '5 kW' }), read({ current: '17 A', power: '10 kW' })],
  ['load.current-misleads', 'caution', ['load.demand.current'], read({ current: '12 A' }), read({ current: '17 A' })],
  ['load.speed-read', 'caution', ['load.demand.speed'], read({ current: '17 A', speed: '1800 rpm' }), read({ current: '17 A', speed: '1799 rpm' })],
  ['load.no-rating', 'caution', ['plate.power', 'load.demand.power'], { ...read({ current: '17 A' }), plate: undefined }, read({ current: '17 A' })],
  ['load.breakaway-only', 'caution', ['load.demand.force'],
    load({ machine: 'screw-conveyor', demand: { kind: 'pull', breakawayForce: '200 lbf', radius: '1 ft', speed: '70 rpm' } }),
    load({ machine: 'screw-conveyor', demand: { kind: 'pull', force: '150 lbf', breakawayForce: '200 lbf', radius: '1 ft', speed: '70 rpm' } })],
  // Place
  ['place.ambient-order', 'caution', ['place.ambientMin', 'place.ambient'],
    place({ ambientMin: '31 degC' }), place({ ambientMin: '30 degC' })],
  ['place.sun', 'caution', ['place.sun', 'place.ambient'], place({ sun: true }), place({ sun: false })],
  ['place.vibration', 'caution', ['place.vibration'], place({ vibration: true }), place({ vibration: false })],
  ['place.mounting', 'caution', ['place.mounting'], place({ mounting: 'shaft-down' }), place({ mounting: 'floor' })],
  ['place.high', 'caution', ['place.altitude'], place({ altitude: '1001 m' }), place({ altitude: '1000 m' })],
  ['place.cold', 'caution', ['place.ambientMin'], place({ ambientMin: '-15.1 degC' }), place({ ambientMin: '-15 degC' })],
  ['place.condensation', 'caution', ['place.humid', 'place.ambientNight', 'place.water'],
    place({ water: 'drips', ambientNight: '14.9 degC' }), place({ water: 'drips', ambientNight: '15 degC' })],
  ['place.condensation', 'caution', ['place.humid', 'place.ambientNight', 'place.water'],
    place({ water: 'outdoor', ambientNight: '4.9 degC' }), place({ water: 'dry', ambientNight: '4.9 degC' })],
  ['place.cabinet', 'note', ['place.driveHousing', 'place.driveAmbient'],
    place({ driveHousing: 'cabinet' }), place({ driveHousing: 'wall' })],
  ['place.drive-outdoor', 'caution', ['place.driveLocation'],
    place({ driveLocation: 'outdoor' }), place({ driveLocation: 'indoor-clean' })],
  ['place.hot', 'caution', ['place.ambient'], place({ ambient: '40.1 degC' }), place({ ambient: '40 degC' })],
  ['place.beyond', 'caution', ['place.driveAmbient'], place({ driveAmbient: '50.1 degC' }), place({ driveAmbient: '50 degC' })],
  // Speed
  ['speed.range', 'caution', ['speed.min', 'speed.max'], driven({ min: 1, max: 0.9 }), driven({ min: 0.9, max: 0.9 })],
  ['speed.no-hours', 'caution', ['speed.profile[0].hours', 'speed.profile[1].hours'],
    driven({ profile: [{ hours: 0, flow: 1 }, { hours: 0, flow: 0.5 }] }),
    driven({ profile: [{ hours: 0, flow: 1 }, { hours: 1, flow: 0.5 }] })],
  // Supply and start
  ['supply.single-phase', 'caution', ['supply.phases'],
    fan({}, { supply: { voltage: '230 V', frequency: '60 Hz', phases: 1 } }), fan({}, { supply: { voltage: '230 V', frequency: '60 Hz', phases: 3 } })],
  ['supply.single-phase', 'stop', ['supply.phases', 'method'],
    fan({}, { method: 'direct', supply: { voltage: '230 V', frequency: '60 Hz', phases: 1 } }),
    fan({}, { method: 'drive', supply: { voltage: '230 V', frequency: '60 Hz', phases: 3 } })],
  ['start.too-long', 'stop', ['load.maxStartTime', 'load.inertia', 'method'],
    direct({ inertia: '6 kg.m2', maxStartTime: '1 s' }, pinned), direct({ inertia: '6 kg.m2', maxStartTime: '60 s' }, pinned)],
  ['start.too-long', 'stop', ['load.inertia', 'start.stallTime'],
    direct({ inertia: '400 kg.m2' }, pinned), direct({ inertia: '4 kg.m2' }, pinned)],
  ['start.live-output', 'note', ['start.softStarter.lineContactor'], soft({}), direct({})],
  ['start.no-bypass', 'caution', ['start.softStarter.bypass'], soft({ bypass: false }), soft({ bypass: true })],
  ['start.supply-weak', 'stop', ['supply.source'], direct({}, { ...weak(20), ...pinned }), direct({}, { ...weak(500), ...pinned })],
  ['start.supply-weak', 'note', ['supply.source'], soft({ limit: 2.5 }, { ...weak(20), ...pinned }), soft({ limit: 2.5 }, { ...weak(500), ...pinned })],
  ['start.stalls', 'stop', ['method', 'load.breakaway', 'load.shape'], soft({ limit: 1.5 }, pinned), soft({ limit: 4.5 }, pinned)],
  ['start.six-leads', 'stop', ['method'], fan({}, { method: 'star-delta', ...pinned }), direct({}, pinned)],
  ['start.jolts', 'stop', ['method'],
    fan({}, { method: 'autotransformer', ...pinned, start: { autotransformer: { tap: 0.5, speed: 0.3 } } }),
    fan({}, { method: 'autotransformer', ...pinned, start: { autotransformer: { tap: 0.8, speed: 0.95 } } })],
  ['start.little-margin', 'caution', ['method'], soft({ limit: 2.15 }, pinned), soft({ limit: 4 }, pinned)],
  ['start.too-often', 'stop', ['load.startsPerHour'], direct({ startsPerHour: 500 }, pinned), direct({ startsPerHour: 1, demand: { kind: 'power', power: '10 hp', speed: '1750 rpm' } }, pinned)],
  // Guard
  ['guard.dial', 'note', [], direct({}), load({}, {})],
  ['guard.no-coordination', 'note', ['supply.source'], direct({}, { supply: { voltage: '480 V', frequency: '60 Hz' } }), direct({})],
  ['guard.combination', 'note', ['guard.coordination', 'guard.role'], direct({}), load({}, {})],
  // Drive
  ['drive.capacitors', 'note', ['guard.restart'], driven({}), direct({})],
  ['drive.bearing-current', 'note', ['plate.frame', 'speed.max', 'speed.min'], driven({}), direct({})],
  ['drive.too-large', 'caution', [],
    { ...driven({}), load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '2000 kW', speed: '1750 rpm' } }, plate: { power: '2600 hp', voltage: '460 V', current: '2900 A', speed: '1785 rpm', frequency: '60 Hz' } },
    driven({})],
  ['drive.above-max-speed', 'stop', ['speed.max'],
    driven({ max: 2 }, { motor: { plate: { ...plate, maxSpeed: '2700 rpm' } } }),
    driven({ max: 1.5 }, { motor: { plate: { ...plate, maxSpeed: '2700 rpm' } } })],
  ['drive.no-use', 'caution', ['speed.need'],
    fan({}, { method: 'drive', speed: { need: 'fixed', profile: [{ hours: 4000, flow: 1 }] } }), driven({})],
  // Choice
  // 37 kW, two poles, 200L: 90 dB(A) of power by the standard's limit, 2 dB of load, 8 dB less at a metre.
  ['choice.loud', 'note', ['place.noiseLimit'],
    european({ motor: { catalogue: 'iec-ip55-ie3-37kW-2p' } }), european({ motor: { catalogue: 'iec-ip55-ie3-7_5kW-6p' } })],
  ['choice.unknown-requirement', 'caution', ['waived'],
    fan({}, { waived: [{ requirement: 'beauty', reason: 'old' }] }), fan({}, { waived: [{ requirement: 'frame', reason: 'new base' }] })],
  ['choice.waived', 'caution', ['waived'], fan({}, { waived: [{ requirement: 'frame', reason: 'new base' }] }), fan()],
  ['choice.unknown-motor', 'caution', ['motor.catalogue'],
    fan({}, { motor: { catalogue: 'nobody-1' } }), fan({}, { motor: { catalogue: 'na-tefc-25hp-4p' } })],
  // Doubts of a plate
  ['plate.speed-unusual', 'caution', ['plate.speed', 'plate.frequency'], stamped({ speed: '1650 rpm' }), stamped({ speed: '1745 rpm' })],
  ['plate.efficiency-unusual', 'caution', ['plate.efficiency', 'plate.power'], stamped({ efficiency: 0.7 }), stamped({ efficiency: 0.9 })],
  ['plate.frame-rating', 'caution', ['plate.frame', 'plate.power', 'plate.speed'], stamped({ frame: '145T' }), stamped({ frame: '254T' })],
  // Code letters by NFPA 70, table 430.7(B); 20 hp of design B draws at most 290 A at 230 V, 5.8 kVA/hp (from memory).
  ['plate.code-letter', 'caution', ['plate.codeLetter', 'plate.power', 'plate.designLetter'],
    stamped({ codeLetter: 'J', designLetter: 'B' }), stamped({ codeLetter: 'G', designLetter: 'B' })],
  // A 6309 has a bore of 45 mm, a 6305 one of 25; the shaft of a 256T is 1.625 in, 41 mm.
  ['plate.bearing-bore', 'caution', ['plate.bearings.driveEnd', 'plate.frame'],
    stamped({ bearings: { driveEnd: '6305' } }), stamped({ bearings: { driveEnd: '6309' } })],
  ['plate.current-unusual', 'caution', ['plate.current', 'plate.power', 'plate.voltage'],
    stamped({ current: '90/45 A' }), stamped({ current: '50/25 A' })],
  ['plate.kva-unequal', 'caution', ['plate.voltage', 'plate.current'], stamped({ current: '50/30 A' }), stamped({ current: '50/26 A' })],
  ['plate.voltage-unusual', 'caution', ['plate.voltage'], stamped({ voltage: '427 V', current: '26 A' }), stamped({ voltage: '440 V', current: '26 A' })],
  ['plate.power-units', 'caution', ['plate.power', 'plate.powerAlso'], stamped({ powerAlso: '18.5 kW' }), stamped({ powerAlso: '15 kW' })],
  ['plate.service-factor-current', 'caution', ['plate.serviceFactorCurrent', 'plate.current', 'plate.serviceFactor'],
    stamped({ serviceFactor: 1.15, serviceFactorCurrent: '48/24 A' }), stamped({ serviceFactor: 1.15, serviceFactorCurrent: '57.5/28.8 A' })],
  ['plate.208-on-230', 'caution', ['plate.voltage', 'plate.usableAt.voltage', 'supply.voltage'],
    stamped({}, { supply: { ...conveyor.supply, voltage: '208 V' } }), stamped({}, { supply: { ...conveyor.supply, voltage: '211 V' } })],
  // Measured and remembered
  ['measured.estimate', 'note', ['measured.shaftHeight'],
    { ...conveyor, measured: { shaftHeight: '160 mm', speed: '1460 rpm' } }, conveyor],
  ['history.likely-cause', 'caution', ['history.causes'],
    stamped({}, { history: { causes: ['fluted-race'], method: 'drive' } }), stamped({}, { history: { causes: ['unknown'], method: 'direct' } })],
  ['history.hours', 'caution', ['history.hours', 'history.installed', 'history.failed'],
    stamped({}, { history: { installed: '2020-01', failed: '2020-11', hours: 8185 } }),
    stamped({}, { history: { installed: '2020-01', failed: '2020-11', hours: 8184 } })],
  ['history.early-failure', 'caution', ['history.installed', 'history.failed'],
    stamped({}, { history: { installed: '2020-01', failed: '2024-12' } }), stamped({}, { history: { installed: '2020-01', failed: '2025-01' } })],
  ['load.viscous', 'caution', ['load.demand.viscosity'],
    load({ machine: 'centrifugal-pump', demand: { kind: 'pump', flow: '60 m3/h', head: '20 m', viscosity: '20.1 cSt' } }),
    load({ machine: 'centrifugal-pump', demand: { kind: 'pump', flow: '60 m3/h', head: '20 m', viscosity: '20 cSt' } })],
  ['load.long-overload', 'caution', ['load.overload.duration', 'load.cycle'],
    fan({ overload: { ratio: 1.2, duration: '61 s' } }), fan({ overload: { ratio: 1.2, duration: '60 s' } })],
  // Start and drive
  ['motor.inconsistent', 'caution', ['motor', 'plate.codeLetter', 'plate.speed'],
    direct({}, { motor: { plate: { ...plate, speed: '1620 rpm', efficiency: 0.93 } } }), direct({}, pinned)],
  ['drive.power-match', 'caution', ['rules.driveMatch'], driven({}, { motor: { plate: { ...plate, current: '68/34 A' } }, rules: { driveMatch: 'power' } }),
    driven({}, { motor: { plate: { ...plate, current: '68/34 A' } } })],
  ['drive.cable-too-long', 'caution', ['place.cable.length'],
    stamped({}, { load: undefined, method: 'drive', place: { cable: { length: '15.1 m' } } }),
    stamped({}, { load: undefined, method: 'drive', place: { cable: { length: '15 m' } } })],
]; // prettier-ignore

describe('every finding in a case that raises it, and not in the one beside it', () => {
  it.each(rows.map((row, i) => [`${row[0]} ${row[1]} (${i})`, row] as const))(
    '%s',
    (_, [id, level, fields, yes, no]) => {
      const raised = (text: CaseText) =>
        solved(text)
          .findings.filter((f) => f.id === id && f.level === level)
          .map((f) => f.fields);
      expect(raised(yes)).toEqual([fields]);
      const beside = raised(no).filter((f) => JSON.stringify(f) === JSON.stringify(fields));
      expect(beside).toEqual([]);
    },
  );
});
