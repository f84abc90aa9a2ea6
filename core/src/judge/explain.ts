import { ratedTorque, starterPriceIndex, type Motor } from '../catalogue';
import type { Candidate, CandidateMotor, Control, MethodVerdict, Outcome, Verdict } from '../case';
import { methodNames, type FigureId, type Method } from '../contract';
import { ambientFor, enclosureFault } from '../practice';
import { writeQuantity } from '../quantity';
import { entryVerdict, methodRequirements, outcomeOf, requirements, type Judged, type Requirement } from './asked';
import {
  connectionFor,
  directSpeed,
  driveCurrentAsked,
  matchDrive,
  type Needs,
  percent,
  settledSpeed,
  turndownSpeedOf,
  unfilteredLength,
} from '../needs';
import { judgeLesson } from './lessons';

/** A candidate with its verdicts in words. Made only when somebody looks at it. */
export function explain(needs: Needs, judged: Judged, entry: number): Candidate {
  const M = judged.methods.length;
  const i = Math.floor(entry / M);
  const motor = judged.columns.motors[i];
  const method = judged.methods[entry % M];
  if (!motor || !method) throw new RangeError(`no candidate ${entry}`);
  const verdicts = verdictsOf(needs, judged, entry, i, motor, method);
  return {
    motor: motorView(needs, motor),
    method,
    control: controlFor(needs, motor, method),
    outcome: outcomeOf(judged.worst[entry] ?? 2),
    verdicts,
    change: changeFor(needs, verdicts, motor, method),
    cost: {
      priceIndex: motor.priceIndex + starterPriceIndex(method, motor.power),
      lifeCycle: Math.round(judged.lifeCycle[entry] ?? 0),
      assumed: needs.assumed,
    },
  };
}

/** How each method would do for one motor. */
export function explainMethods(needs: Needs, judged: Judged, i: number): MethodVerdict[] {
  const M = judged.methods.length;
  return judged.methods.map((_, m) => {
    const { method, outcome, verdicts } = explain(needs, judged, i * M + m);
    return { method, outcome, verdicts: verdicts.filter((v) => byMethod.has(v.requirement)) };
  });
}

/** Verdicts that differ by how the motor is started: those of the method, and the lessons a gentler start may answer. */
const byMethod: ReadonlySet<string> = new Set([
  ...methodRequirements,
  'history-starts',
  'history-phase-loss',
  'history-shaft-current',
  'history-pulses',
  'history-shock',
  'history-cooling',
]);

export function motorView(needs: Needs, motor: Motor): CandidateMotor {
  const { voltage, current } = connectionFor(motor, needs.supply.voltage);
  return {
    id: motor.id,
    name: motor.name,
    power: motor.powerText,
    speed: writeQuantity(motor.speed, 'rpm'),
    voltage: writeQuantity(voltage, 'V'),
    current: writeQuantity(current, 'A'),
    efficiency: motor.efficiency,
    frame: motor.frame,
    enclosure: motor.enclosureText,
    poles: motor.poles,
    construction: motor.construction,
    designLetter: motor.designLetter,
    serviceFactor: motor.serviceFactor,
    mass: motor.mass,
    sound: motor.sound,
    stock: motor.stock ?? null,
  };
}

function controlFor(needs: Needs, motor: Motor, method: Method): Control {
  if (method !== 'drive') return { name: methodNames[method], ratedCurrent: null };
  const { voltage, current } = connectionFor(motor, needs.supply.voltage);
  const asked = driveCurrentAsked(needs, current, ratedTorque(motor));
  const size = matchDrive(needs, voltage, asked, motor.power).taken;
  return size
    ? { name: `Drive ${size.name}`, ratedCurrent: size.current }
    : { name: 'Drive above the generic ladder', ratedCurrent: null };
}

function verdictsOf(needs: Needs, judged: Judged, entry: number, i: number, motor: Motor, method: Method): Verdict[] {
  return requirements.flatMap((requirement) => {
    const found = entryVerdict(judged, entry, requirement);
    if (!found) return [];
    const { outcome, margin } = found;
    return [
      {
        requirement,
        outcome,
        margin: numeric.has(requirement) ? Number(margin.toPrecision(4)) : null,
        text: sentence(requirement, outcome, margin, needs, judged, i, motor, method),
        figures: restsOn[requirement] ?? [],
        waived: needs.waived.get(requirement) ?? null,
      },
    ];
  });
}

const numeric: ReadonlySet<Requirement> = new Set([
  'power',
  'peak-torque',
  'run-up',
  'noise',
  'voltage',
  'speed',
  'supply',
  'starting-torque',
  'turndown',
  'winding',
  'history-reserve',
]);

const restsOn: Partial<Record<Requirement, readonly FigureId[]>> = {
  power: ['load.requiredPower', 'place.motorDerating'],
  'peak-torque': ['load.peakTorque'],
  'run-up': ['load.motorTorque'],
  shaft: ['load.beltPull'],
  bearings: ['load.beltPull'],
  voltage: [],
  frequency: [],
  speed: ['load.motorSpeed'],
  enclosure: [],
  frame: [],
  'speed-control': [],
  supply: ['start.sourceImpedance'],
  'starting-torque': ['load.breakawayTorque'],
  leads: [],
  turndown: ['load.motorSpeed'],
  winding: [],
  'history-reserve': ['plate.ratedPower', 'place.motorDerating'],
};

function sentence(
  requirement: Requirement,
  outcome: Outcome,
  margin: number,
  needs: Needs,
  judged: Judged,
  i: number,
  motor: Motor,
  method: Method,
): string {
  const { load, place, speed, supply, practice, rules } = needs;
  const power = (watts: number): string => writeQuantity(watts, 'W', practice.words.powerUnit === 'hp' ? 'us' : 'si');
  const rated = motor.power * place.motorDerating;
  switch (requirement) {
    case 'power': {
      const asked = rated / (1 + margin);
      if (outcome === 'pass')
        return `${power(rated)} left after heat and height, ${power(asked)} asked with the margin.`;
      const hottest = ambientFor(asked / motor.power, place.altitude, place.unbalanceDerating);
      const cure =
        asked <= motor.power && hottest > -20
          ? `It would pass up to ${writeQuantity(hottest, 'degC', 'si')}.`
          : `It would pass with ${percent(1 + margin)} of this load.`;
      return `${power(rated)} left after heat and height, but ${power(asked)} is asked. ${cure}`;
    }
    case 'voltage': {
      const { voltage } = connectionFor(motor, supply.voltage);
      const fit = practice.voltageFit(supply.voltage ?? voltage, voltage);
      return `${writeQuantity(voltage, 'V')} motor on ${writeQuantity(supply.voltage ?? voltage, 'V')}: ${(fit.deviation * 100).toFixed(1)} % off, ${percent(fit.limit)} permitted.`;
    }
    case 'frequency':
      return outcome === 'pass'
        ? `${motor.frequency} Hz motor on ${supply.frequency} Hz.`
        : `${motor.frequency} Hz motor on ${supply.frequency} Hz: right only at the same volts per hertz${outcome === 'caution' ? ', which the drive must be set to' : ''}.`;
    case 'speed': {
      const direct = directSpeed(needs, judged.columns, i);
      const n = settledSpeed(needs, method, direct);
      const off = `${((n / load.speed - 1) * 100).toFixed(1)} %`;
      if (method !== 'drive')
        return `Runs at ${writeQuantity(n, 'rpm')} with this load; ${writeQuantity(load.speed, 'rpm')} is wanted (${off}).`;
      return `${writeQuantity(n, 'rpm')} is ${percent(n / motor.speed)} of its rated speed on a drive; it may turn ${writeQuantity(motor.maxSpeed, 'rpm')}.`;
    }
    case 'enclosure':
      return outcome === 'pass'
        ? `${motor.enclosureText} suits the place.`
        : `${motor.enclosureText} does not suit the place; it wants ${place.enclosures[0]} or better.`;
    case 'frame':
      return outcome === 'pass'
        ? `Same frame as the old motor (${needs.oldFrame}).`
        : `Frame ${motor.frame ?? 'not standardised'} where ${needs.oldFrame} stood: base, coupling and shaft need adapting.`;
    case 'interchange': {
      const parts = (needs.old.special ?? []).map((p) => p.words).join(' and ');
      return outcome === 'pass'
        ? `It has the old motor’s ${parts}.`
        : `The machine is built around a ${parts}; frame ${motor.frame ?? 'not standardised'} has none: it cannot stand where the old one stood.`;
    }
    case 'speed-control':
      if (outcome === 'pass') return 'Speed follows the need.';
      return outcome === 'fail'
        ? `${methodNames[method]} cannot vary speed, and the machine needs it.`
        : 'Speed is fixed: a drive used only for starting is usually money wasted. Right where the supply is weak or breakaway high.';
    case 'supply':
      if (supply.impedance === undefined) {
        return outcome === 'pass'
          ? 'The source is not described; the current drawn is small.'
          : 'The source is not described: the dip cannot be judged, and some suppliers limit starting from about 4 kW.';
      }
      return `Dips the bus by ${percent(rules.maxDip * (1 - margin), 1)}; ${percent(rules.maxDip)} is the house rule.`;
    case 'starting-torque':
      return margin < 0
        ? `Gives only ${percent(1 + margin)} of the breakaway torque at standstill: it would stall.`
        : `Starts with ${percent(margin)} more than breakaway torque at standstill.`;
    case 'peak-torque': {
      const peak = `${writeQuantity(load.torque * load.peak, 'N.m')} at the peak`;
      return margin < 0
        ? `Breaks down: its ${writeQuantity(load.torque * load.peak * (1 + margin), 'N.m')} of breakdown torque here is less than ${peak}.`
        : `Breakdown torque is ${percent(margin)} over ${peak}${outcome === 'caution' ? ': a dip of the voltage takes that away' : ''}.`;
    }
    case 'run-up':
      if (outcome === 'pass') return `Pulls up with ${percent(margin)} more than the load asks on the way.`;
      return outcome === 'fail'
        ? `Even its breakdown torque, as ${methodNames[method].toLowerCase()} leaves it, is below what the load asks on the way up: it would crawl.`
        : `The least pull-up torque the standard allows is ${percent(-margin)} below what the load asks on the way up: ask the maker, or start it unloaded.`;
    case 'construction':
      return outcome === 'pass'
        ? `${construction(motor)} stands the vibration.`
        : `${construction(motor)} where it vibrates: cast iron lasts longer.`;
    case 'shaft':
      if (outcome === 'fail')
        return `Frame ${motor.frame} has a short shaft, for direct coupling only: a belt needs the long one.`;
      return outcome === 'pass'
        ? load.sheave === undefined
          ? 'A shaft for belts; give the sheave’s diameter to see whether it is large enough.'
          : 'Shaft and sheave suit each other.'
        : `A sheave of ${writeQuantity(load.sheave ?? 0, 'm')} is below the standard’s ${writeQuantity((load.sheave ?? 0) / (1 + margin), 'm')} for frame ${motor.frame}: shaft and bearing take too much.`;
    case 'bearings':
      return outcome === 'pass'
        ? 'A ball bearing at the drive end carries the belt.'
        : 'A belt at this size: order it with a roller bearing at the drive end.';
    case 'efficiency-floor': {
      const floor = ((motor.efficiency - margin) * 100).toFixed(1);
      if (motor.stock && margin < -0.0005)
        return `${(motor.efficiency * 100).toFixed(1)} %, below the ${floor} % asked of a new motor: allowed, for it lies on the own shelf; it costs more to run.`;
      return outcome === 'pass'
        ? `${(motor.efficiency * 100).toFixed(1)} % meets the ${floor} % asked of a new motor.`
        : `${(motor.efficiency * 100).toFixed(1)} % is below the ${floor} % that ${practice.id === 'iec' ? 'the European Union' : 'the United States'} ask of a new motor: for use as stock or under an exemption only.`;
    }
    case 'noise':
      return `${motor.sound} dB(A) at no load by the standard’s limit; ${place.noiseLimit} dB(A) is allowed${outcome === 'fail' ? ': more poles, or a hood' : ''}.`;
    case 'insulation':
      return outcome === 'pass'
        ? `Class ${motor.insulation} insulation.`
        : `Class ${motor.insulation} insulation: F or H is wanted on a drive.`;
    case 'service-factor':
      return outcome === 'pass'
        ? `Service factor ${motor.serviceFactor}: a well-cooled motor; on the drive it counts as 1.0.`
        : `Service factor ${motor.serviceFactor}: ${practice.driveServiceFactor ?? 1.15} is wanted on a drive, as a sign of better cooling.`;
    case 'leads':
      return outcome === 'pass'
        ? 'Both ends of three windings are brought out, and delta voltage is the line voltage.'
        : motor.deltaVoltage === null
          ? `${motor.leads} leads: star-delta needs both ends of three windings, and delta at line voltage.`
          : `Delta voltage is ${writeQuantity(motor.deltaVoltage, 'V')}, not the line voltage: in delta on this supply it would burn.`;
    case 'turndown':
      return `Lowest speed asked is ${writeQuantity(speed.min * load.speed, 'rpm')}; on this load the motor may go down to ${writeQuantity(turndownSpeedOf(needs, motor), 'rpm')}.`;
    case 'winding':
      return windingSentence(outcome, margin, needs, motor);
    default:
      return judgeLesson(needs, requirement, motor, method).text();
  }
}

const construction = (motor: Motor): string => {
  const words = motor.construction.replace('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
};

/** The least that would have to change for a failing candidate to be admitted: one change for each failing requirement. */
function changeFor(needs: Needs, verdicts: readonly Verdict[], motor: Motor, method: Method): string | null {
  const failing = verdicts.filter((v) => v.outcome === 'fail' && v.waived === null);
  if (failing.length === 0) return null;
  return failing.map((v) => cure(needs, v, motor, method)).join('; ');
}

function cure({ load, place, speed, rules, old }: Needs, v: Verdict, motor: Motor, method: Method): string {
  const left = 1 + (v.margin ?? 0);
  const most = (share: number): string => `at most ${percent(share)} of this load`;
  switch (v.requirement) {
    case 'power': {
      const asked = (motor.power * place.motorDerating) / left;
      const hottest = ambientFor(asked / motor.power, place.altitude, place.unbalanceDerating);
      return asked <= motor.power && hottest > -20 ? `up to ${writeQuantity(hottest, 'degC', 'si')}` : most(left);
    }
    case 'peak-torque':
      return `a peak of at most ${(load.peak * left).toFixed(2)} × the steady torque`;
    case 'voltage':
      return `a supply within ${percent(0.1)} of ${motor.voltageText}`;
    case 'frequency':
      return `${motor.frequency} Hz, or a drive`;
    case 'speed': {
      if (method === 'drive') return `at most ${writeQuantity(motor.maxSpeed, 'rpm')} at the motor`;
      const ratio = (load.ratio * motor.speed) / load.speed;
      return `a ratio of ${ratio.toPrecision(3)} instead of ${load.ratio.toPrecision(3)}`;
    }
    case 'enclosure':
      return `a place for ${motor.enclosureText}: ${enclosureFault(motor.enclosure, place.conditions) ?? 'other conditions'} now`;
    case 'interchange':
      return `the old motor’s ${(old.special ?? []).map((p) => p.words).join(' and ')}, made to order`;
    case 'shaft':
      return 'direct coupling instead of the belt';
    case 'noise':
      return `${motor.sound} dB(A) allowed`;
    case 'speed-control':
      return 'fixed speed';
    case 'supply':
      return `a dip of ${percent(rules.maxDip * (1 - (v.margin ?? 0)), 1)} allowed, or a stiffer source`;
    case 'starting-torque':
      return `breakaway of at most ${(load.breakaway * left).toFixed(2)} × the steady torque`;
    case 'run-up':
      return 'an unloaded start';
    case 'leads':
      return 'six leads with delta at line voltage';
    case 'turndown':
      return `not below ${percent(turndownSpeedOf({ load }, motor) / load.speed)} speed`;
    case 'winding':
      return rules.inverterDuty === 'plate'
        ? 'a house rule that judges heat and pulses apart'
        : 'a sine filter, or a lower voltage';
    default:
      return speed.variable && v.requirement === 'history-cooling' ? 'a higher lowest speed' : 'what its verdict says';
  }
}

function windingSentence(outcome: Outcome, margin: number, needs: Needs, motor: Motor): string {
  const pulse = motor.pulseRating / (1 + margin);
  const facts = `Pulses may reach ${writeQuantity(pulse, 'V')}, the winding bears ${writeQuantity(motor.pulseRating, 'V')}`;
  if (margin >= 0) return `${facts}: any cable length.`;
  if (outcome === 'pass') {
    return needs.rules.inverterDuty === 'modern'
      ? 'Accepted by house rule as of modern make.'
      : `${facts}, but the cable is no longer than ${unfilteredLength(needs)} m.`;
  }
  if (outcome === 'caution')
    return `${facts}: keep the cable below ${unfilteredLength(needs)} m, fit a dV/dt filter, or take an inverter-duty motor.`;
  return needs.rules.inverterDuty === 'plate'
    ? 'The house rule wants inverter duty on the plate.'
    : `${facts}: at this voltage take an inverter-duty motor.`;
}
