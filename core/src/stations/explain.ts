import { starterPriceIndex, type Motor } from '../catalogue';
import type { Candidate, CandidateMotor, Control, MethodVerdict, Outcome, Verdict } from '../case';
import type { FigureId, Method } from '../law';
import { ambientFor } from '../practice';
import { writeQuantity } from '../quantity';
import {
  connectionFor,
  directSpeed,
  entryVerdict,
  outcomeOf,
  requirements,
  settledSpeed,
  turndownSpeedOf,
  unfilteredLength,
  type Judged,
  type Requirement,
} from './judge';
import { percent, type Needs } from './walk';

/** A candidate with its verdicts in words. Made only when somebody looks at it. */
export function explain(needs: Needs, judged: Judged, entry: number): Candidate {
  const M = judged.methods.length;
  const i = Math.floor(entry / M);
  const motor = judged.columns.motors[i];
  const method = judged.methods[entry % M];
  if (!motor || !method) throw new RangeError(`no candidate ${entry}`);
  return {
    motor: motorView(needs, motor),
    method,
    control: controlFor(needs, motor, method),
    outcome: outcomeOf(judged.worst[entry] ?? 2),
    verdicts: verdictsOf(needs, judged, entry, i, motor, method),
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
    return { method, outcome, verdicts: verdicts.filter((v) => methodRequirements.has(v.requirement)) };
  });
}

const methodRequirements: ReadonlySet<string> = new Set([
  'speed-control',
  'supply',
  'starting-torque',
  'leads',
  'turndown',
  'winding',
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
  };
}

function controlFor(needs: Needs, motor: Motor, method: Method): Control {
  if (method !== 'drive') return { name: methodNames[method], ratedCurrent: null };
  const { voltage, current } = connectionFor(motor, needs.supply.voltage);
  const size = needs.practice
    .driveSizes(voltage)
    .value.find((s) => s.current * needs.place.driveDerating >= current * 0.999);
  return size
    ? { name: `Drive ${size.name}`, ratedCurrent: size.current }
    : { name: 'Drive above the generic ladder', ratedCurrent: null };
}

export const methodNames: Readonly<Record<Method, string>> = {
  direct: 'Direct on line',
  'star-delta': 'Star-delta',
  autotransformer: 'Autotransformer',
  'primary-reactor': 'Primary reactor',
  'soft-starter': 'Soft starter',
  drive: 'Drive',
};

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
        figures: restsOn[requirement],
      },
    ];
  });
}

const numeric: ReadonlySet<Requirement> = new Set([
  'power',
  'voltage',
  'speed',
  'supply',
  'starting-torque',
  'turndown',
  'winding',
]);

const restsOn: Readonly<Record<Requirement, readonly FigureId[]>> = {
  power: ['load.requiredPower', 'place.motorDerating'],
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
