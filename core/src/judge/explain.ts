import { ratedTorque, type Motor } from '../catalogue';
import type { Candidate, CandidateMotor, Control, MethodVerdict, Verdict } from '../case';
import { methodNames, type Method } from '../contract';
import { connectionFor, directSpeed, driveCurrentAsked, matchDrive, type Needs } from '../needs';
import { writeQuantity } from '../quantity';
import { triedOf } from '../runs';
import { bulkOf, remedyKinds, remedyPrice, tight } from '../practice';
import { answer, entryVerdict, outcomeOf, placeOf, remedyNamed, type Judged } from './asked';
import type { Looked } from './requirement';
import { asked } from './requirements';

/** A candidate with its verdicts in words. Made only when somebody looks at it. */
export function explain(needs: Needs, judged: Judged, entry: number): Candidate {
  const M = judged.methods.length;
  const i = Math.floor(entry / M);
  const motor = judged.columns.motors[i];
  const method = judged.methods[entry % M];
  if (!motor || !method) throw new RangeError(`no candidate ${entry}`);
  const { verdicts, change } = verdictsOf(needs, judged, entry, i, motor, method);
  const outcome = outcomeOf(judged.worst[entry] ?? 2);
  return {
    motor: motorView(needs, motor),
    method,
    control: controlFor(needs, motor, method),
    // What only a start would tell passes for the search alone.
    outcome: outcome === 'pass' && verdicts.some((v) => v.text.endsWith(notSimulated)) ? 'caution' : outcome,
    verdicts,
    change,
    cost: {
      priceIndex: Math.round(judged.price[entry] ?? 0),
      lifeCycle: Math.round(judged.lifeCycle[entry] ?? 0),
      assumed: needs.assumed,
    },
  };
}

/** A verdict by a closed form below its limit, of which a simulated start would decide. */
const notSimulated = 'Its start was not simulated: pin it to see.';

/** How each method would do for one motor. */
export function explainMethods(needs: Needs, judged: Judged, i: number): MethodVerdict[] {
  const M = judged.methods.length;
  return judged.methods.map((_, m) => {
    const { method, outcome, verdicts } = explain(needs, judged, i * M + m);
    return { method, outcome, verdicts: verdicts.filter((v) => byMethod.has(v.requirement)) };
  });
}

/** Verdicts that differ by how the motor is started. */
const byMethod: ReadonlySet<string> = new Set(asked.filter((r) => r.of === 'method').map((r) => r.id));

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

/**
 * Verdicts in words, and what would have to change for a failing candidate to be admitted: one change for each failing
 * requirement.
 */
function verdictsOf(
  needs: Needs,
  judged: Judged,
  entry: number,
  i: number,
  motor: Motor,
  method: Method,
): { readonly verdicts: Verdict[]; readonly change: string | null } {
  const direct = directSpeed(needs, judged.columns, i);
  const tried = judged.simulated[entry] ? triedOf(needs, motor, method) : undefined;
  const verdicts: Verdict[] = [];
  const cures: string[] = [];
  for (const requirement of asked) {
    const found = entryVerdict(judged, entry, requirement.id);
    if (!found) continue;
    const { margin, answered } = found;
    const looked: Looked = { outcome: found.outcome, margin, needs, motor, method, direct, tried };
    const { told, problems } = requirement;
    // Beyond what counts as tight nothing passes by its margin: a start was to decide, or the limit does not hold here.
    const short = found.outcome === 'pass' && told && margin < 0 && answered === undefined;
    const open = short && problems.length > 0 && judged.bench.simulates && !tried;
    const excused = short && !open && margin < -tight;
    const outcome = open ? 'caution' : found.outcome;
    const kind = remedyNamed(remedyKinds, judged.answers[placeOf(judged, entry, requirement.id)] ?? answer.none);
    const waived = needs.waived.get(requirement.id) ?? null;
    verdicts.push({
      requirement: requirement.id,
      outcome,
      // A shortfall that is answered is no margin of what passes.
      margin:
        !told ||
        excused ||
        requirement.limitless(looked) ||
        (outcome === 'pass' && margin < 0 && answered !== undefined)
          ? null
          : Number(margin.toPrecision(4)),
      text: open ? `${requirement.sentence(looked)} ${notSimulated}` : requirement.sentence(looked),
      figures: requirement.figures,
      waived,
      tight: outcome === 'pass' && told && margin < 0 && answered === undefined && !excused,
      remedy:
        kind === undefined
          ? null
          : { kind, text: requirement.remedied(looked), priceIndex: remedyPrice(kind, bulkOf(motor.power)) },
      condition: answered === 'condition' ? (requirement.holdsIf(looked) ?? null) : null,
    });
    if (outcome === 'fail' && waived === null) cures.push(requirement.cure(looked));
  }
  return { verdicts, change: cures.length === 0 ? null : cures.join('; ') };
}
