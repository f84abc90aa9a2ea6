import { isUpTo } from '../law';
import type { Case } from '../case';
import { existingMotor, modelInertia, type Motor } from '../catalogue';
import type { Method } from '../contract';
import { q, writeQuantity } from '../quantity';
import { cableImpedance } from './cable';
import { connectionFor } from './candidate';
import { pinnedCircuit } from './circuit';
import { starterThere } from './machines';
import { factsOf } from '../practice';
import type { Needs, StartNeeds, Walk } from './walk';

/** What the case asks of a start, once the load station has told the inertia at the motor. */
export function startNeeds(walk: Pick<Walk, 'input' | 'practice' | 'rules' | 'w'>, frequency: number): StartNeeds {
  const { input, practice, w } = walk;
  return {
    settings: input.start,
    loadInertia: input.load?.inertia ? w.value('load.inertiaAtMotor') : undefined,
    inertiaRatio: factsOf(input.load?.machine).inertia,
    sizeInertia: sizeInertia(w.value('load.motorPower'), w.value('load.motorSpeed'), frequency),
    stallTime: input.start?.stallTime?.value ?? q(practice.stallTime.value, 's'),
    stallTyped: input.start?.stallTime !== undefined,
    permitted: permittedTime(input),
    today: input.motor?.existing === true && input.errand !== 'failed' ? starterThere(input) : undefined,
    perHour: input.load?.startsPerHour,
    cableOf: (motor, method) => {
      const { power, speed } = motor;
      const { voltage, current } = connectionFor(motor, input.supply?.voltage?.value);
      return cableImpedance(walk, motor, { power, voltage, current, speed }, method);
    },
    circuit: pinnedCircuit({ input }),
  };
}

/** Whether the case or a standard says how long a motor of so many W bears standing still. */
export const isStallGiven = ({ start, practice }: Pick<Needs, 'start' | 'practice'>, power: number): boolean =>
  start.stallTyped || isUpTo(power, practice.stallTimeTo);

/** Whether this motor is started so today: it runs, so whatever says that it does not start is doubted instead. */
export const startsToday = ({ start }: Pick<Needs, 'start'>, motor: Pick<Motor, 'id'>, method: Method): boolean =>
  motor.id === existingMotor && method === start.today;

/** A machine does not grow with the motor that is tried on it: what is usual is a multiple of its own size's rotor. */
function sizeInertia(power: number | undefined, speed: number | undefined, frequency: number): number | undefined {
  if (power === undefined || speed === undefined || !(power > 0) || !(speed > 0)) return undefined;
  const pairs = Math.max(1, Math.round((60 * frequency) / speed));
  return modelInertia(power, (60 * frequency) / pairs);
}

/** Longest time to speed: the case's, else what the machine itself asks, else none. */
function permittedTime(input: Case): StartNeeds['permitted'] {
  const own = input.load?.maxStartTime;
  if (own) return { value: own.value, text: own.text, machine: false };
  const usual = factsOf(input.load?.machine).startTime;
  if (usual === undefined) return { value: Infinity, text: '', machine: false };
  return { value: usual, text: writeQuantity(usual, 's'), machine: true };
}
