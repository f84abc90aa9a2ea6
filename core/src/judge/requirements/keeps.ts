import type { SpecialKind } from '../../nameplate';
import type { Needs } from '../../needs';
import type { RemedyKind } from '../../practice';
import { code } from '../code';
import { passIf, remedied, requirement, type Bench, type Entry, type Requirement } from '../requirement';

/** What the old motor was or had, and the new one must be or have: bought with it, or open until somebody says. */
const kept = {
  brake: {
    bought: 'brake',
    what: 'a brake',
    order: 'a brake on the motor, of the old one’s torque and voltage',
    anew: 'a spring-set brake on the motor that holds the load by itself',
  },
  encoder: {
    bought: 'encoder',
    what: 'an encoder',
    order: 'an encoder of the same pulses a turn',
    anew: 'an encoder of 1024 pulses a turn, or as the drive’s input asks',
  },
  'forced-cooling': { bought: 'blower', what: 'a blower of its own', order: 'a blower of its own on the motor' },
  sensors: {
    bought: 'sensors',
    what: 'winding sensors',
    order: 'winding sensors of the kind its relay or drive reads',
  },
  heater: { bought: 'heater', what: 'a space heater', order: 'a space heater in the motor, and its feed' },
  geared: { what: 'a gear of its own', order: '' },
  'two-speed': { what: 'two speeds', order: '' },
  'high-slip': { what: 'high slip', order: '' },
  'hollow-shaft': { what: 'a vertical hollow shaft', order: '' },
  marine: { what: 'a marine certificate', order: '' },
  railway: { what: 'a railway certificate', order: '' },
} as const satisfies Partial<Record<SpecialKind, { what: string; order: string; anew?: string; bought?: RemedyKind }>>;

type Kept = keyof typeof kept;
const keptKinds = Object.keys(kept) as Kept[];

/** Whether it is asked: the old plate spoke of it, or the case names it; a person's word takes it away. */
function isAsked({ old, load, drive, stays }: Needs, kind: Kept): boolean {
  if (stays) return false;
  const said = (old.kinds ?? []).some((k) => k.kind === kind);
  if (kind === 'brake') return load.brake === undefined ? said : load.brake === 'motor';
  if (kind === 'encoder') return said || drive?.encoder === true;
  return said;
}

/** Whether it was the old motor's, not the case's own wish. */
const isOld = ({ old }: Needs, kind: Kept): boolean => (old.kinds ?? []).some((k) => k.kind === kind);

/** Whether a candidate is or has it by itself. */
function hasIt(
  { motors, needs }: Pick<Bench, 'motors' | 'needs'>,
  { i, drive }: Pick<Entry, 'i' | 'drive'>,
  kind: Kept,
): boolean {
  const motor = motors[i];
  if (kind === 'forced-cooling') return motor?.cooling === 'blower';
  if (kind === 'high-slip') return motor?.designLetter === 'D';
  // A drive makes any speed, where the machine may have any.
  if (kind === 'two-speed') return drive && needs.speed.variable;
  return false;
}

export const keeps: readonly Requirement<`keeps-${Kept}`>[] = keptKinds.map((kind) => {
  const row: { readonly what: string; readonly order: string; readonly anew?: string; readonly bought?: RemedyKind } =
    kept[kind];
  return requirement({
    id: `keeps-${kind}`,
    of: kind === 'two-speed' ? 'method' : 'motor',
    fields: kind === 'brake' ? ['load.brake', 'plate.kind'] : ['plate.kind', 'plate.remarks'],
    applies: (needs) => isAsked(needs, kind),
    judge(bench, e) {
      e.margin = 0;
      if (hasIt(bench, e, kind)) return code.pass;
      return row.bought === undefined ? passIf(false, code.caution) : remedied(e, row.bought);
    },
    sentence: ({ outcome, needs }) =>
      outcome === 'pass'
        ? `It has ${row.what}${row.bought === undefined ? '' : ', ordered with it'}, as ${
            isOld(needs, kind) ? 'the old one' : 'the case asks'
          }.`
        : `The old motor had ${row.what}; this one has not: say that it is not needed, or order one that has.`,
    remedied: ({ needs }) => (isOld(needs, kind) ? row.order : (row.anew ?? row.order)),
    cure: () => row.what,
  });
});

/** A pump at the bottom of a well hangs from a vertical motor, or has its motor in the water. */
export const vertical = requirement({
  id: 'vertical',
  of: 'motor',
  fields: ['place.mounting', 'load.machine'],
  applies: ({ load, stays }) => load.machine === 'deep-well-pump' && !stays,
  judge({ needs }, e) {
    e.margin = 0;
    return needs.place.conditions.mounting.startsWith('shaft-') ? remedied(e, 'vertical') : code.caution;
  },
  sentence: ({ outcome }) =>
    outcome === 'pass'
      ? 'A vertical motor with a thrust bearing and a ratchet against turning back; state the thrust.'
      : 'A deep-well pump hangs from a vertical hollow-shaft motor, or has a submersible: this one stands on feet.',
  remedied: () => 'a vertical build with thrust bearing and ratchet',
  cure: () => 'a vertical motor',
});
