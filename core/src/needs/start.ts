import type { Case } from '../case';
import { q, writeQuantity } from '../quantity';
import { pinnedCircuit } from './circuit';
import { factsOf } from '../practice';
import type { StartNeeds, Walk } from './walk';

/** What the case asks of a start, once the load station has told the inertia at the motor. */
export function startNeeds({ input, practice, w }: Pick<Walk, 'input' | 'practice' | 'w'>): StartNeeds {
  return {
    settings: input.start,
    loadInertia: input.load?.inertia ? w.value('load.inertiaAtMotor') : undefined,
    inertiaRatio: factsOf(input.load?.machine).inertia,
    stallTime: input.start?.stallTime?.value ?? q(practice.stallTime.value, 's'),
    permitted: permittedTime(input),
    perHour: input.load?.startsPerHour,
    circuit: pinnedCircuit({ input }),
  };
}

/** Longest time to speed: the case's, else what the machine itself asks, else none. */
function permittedTime(input: Case): StartNeeds['permitted'] {
  const own = input.load?.maxStartTime;
  if (own) return { value: own.value, text: own.text, machine: false };
  const usual = factsOf(input.load?.machine).startTime;
  if (usual === undefined) return { value: Infinity, text: '', machine: false };
  return { value: usual, text: writeQuantity(usual, 's'), machine: true };
}
