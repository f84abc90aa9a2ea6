import { motorById, type Motor } from '../../catalogue';
import type { Replacement } from '../../case';
import { commonPractice, model, type Method } from '../../contract';
import { field, prescribed, type Given } from '../../law';
import { compareMotors, identityOfMotor, identityOfPlate, overall, traditionOf, type Identity } from '../../nameplate';
import { currentAtLoad, operatingSpeed, powerAtPoint, ratio, torqueFromPower } from '../../physics';
import { practices } from '../../practice';
import { q, writeQuantity, type Q } from '../../quantity';
import { connectionFor, type Needs, type PlateFacts, shaftStage, shapeOf, type Walk } from '../../needs';

/**
 * Old plate against a second plate, a catalogue motor, or the standing choice: line by line, and what its speed does.
 */
export function tellReplacement(
  walk: Walk,
  plate: PlateFacts,
  needs: Needs | undefined,
  choice: Motor | undefined,
  chosenBy?: Method,
): Replacement | null {
  const { input, practice, w } = walk;
  const stamped = input.plate;
  if (!stamped || (stamped.power === undefined && stamped.frame === undefined)) return null;
  w.enter('plate');
  const asked = input.replacement;
  let kind: Replacement['kind'] = 'choice';
  let next: Identity | undefined;
  let motor = choice;
  if (asked?.plate && Object.keys(asked.plate).length > 0) {
    kind = 'plate';
    motor = undefined;
    next = identityOfPlate(asked.plate, traditionOf(asked.plate, practices, practice), 'the second plate');
  } else if (asked?.catalogue !== undefined) {
    kind = 'catalogue';
    motor = motorById(asked.catalogue);
    if (!motor)
      w.finding('replacement.unknown', 'caution', `The catalogue has no motor "${asked.catalogue}".`, {
        fields: ['replacement.catalogue'],
      });
  }
  if (motor) next = identityOfMotor(motor, practice);
  if (!next) return null;
  const old = identityOfPlate(stamped, traditionOf(stamped, practices, practice), 'the old motor');
  const train = input.load?.train?.kind;
  const lines = compareMotors(old, next, {
    practice,
    supplyVoltage: input.supply?.voltage?.value,
    belt: shaftStage(input.load?.train).kind === 'belt',
    direct: train === 'direct',
    required: w.value('load.requiredPower'),
    enclosures:
      input.place?.dirt !== undefined || input.place?.water !== undefined ? (needs?.place.enclosures ?? []) : [],
    starDelta: (input.method ?? input.history?.method) === 'star-delta',
    drive: input.method === 'drive' || (input.method === undefined && input.speed?.need === 'variable'),
  });
  fasterSpeed(walk, plate, needs, old, next, motor, kind === 'choice' ? chosenBy : undefined);
  return { kind, name: next.name, likeness: overall(lines), lines };
}

/** A more efficient motor often runs a little faster: what the load makes of it, in power and current. */
function fasterSpeed(
  walk: Walk,
  plate: PlateFacts,
  needs: Needs | undefined,
  old: Identity,
  next: Identity,
  motor: Motor | undefined,
  method: Method | undefined,
): void {
  const { input, w } = walk;
  const { speed, power, poles, frequency } = plate;
  if (speed === undefined || power === undefined || poles === undefined || frequency === undefined) return;
  if (next.speed === undefined || next.power === undefined || next.poles !== poles || next.frequency !== frequency)
    return;
  const asked = needs?.load.basis === 'load' ? needs : undefined;
  const shape = needs?.load.shape ?? shapeOf(input.load?.shape, input.load?.machine);
  const n_s: Given<'rpm'> = { field: 'plate.frequency', value: q((120 * frequency) / poles, 'rpm') };
  // Without a load the old motor is taken to be fully loaded.
  const T: Given<'N.m'> = asked
    ? { value: q(asked.load.torque, 'N.m'), field: 'load.demand' }
    : {
        value: torqueFromPower.of({ P: q(power, 'W'), n: q(speed, 'rpm') }),
        field: 'load.demand',
        assumed: 'no load known: the old motor fully loaded',
      };
  const n: Given<'rpm'> = asked
    ? { value: q(asked.load.speed, 'rpm'), field: 'load.demand.speed' }
    : { value: q(speed, 'rpm'), field: 'plate.speed' };
  const newCurrent = currentOf(next, motor, input.supply?.voltage?.value);
  const ends = [
    ['replacement.oldSpeed', 'replacement.oldPower', 'replacement.oldCurrent', old, plate.current, 'plate'],
    ['replacement.newSpeed', 'replacement.newPower', 'replacement.newCurrent', next, newCurrent, 'replacement'],
  ] as const;
  for (const [speedId, powerId, currentId, identity, current, path] of ends) {
    const [rated, at] = [identity.power, identity.speed];
    if (rated === undefined || at === undefined || at >= (n_s.value ?? 0)) return;
    const torque = torqueFromPower.of({ P: q(rated, 'W'), n: q(at, 'rpm') });
    w.figure(speedId, operatingSpeed(shape), {
      n_s,
      n_r: { field: `${path}.speed`, value: q(at, 'rpm') },
      T_r: { field: `${path}.power`, value: torque },
      n,
      T,
    });
    w.figure(powerId, powerAtPoint(shape), { T, n, n_op: speedId });
    w.figure(currentId, currentAtLoad, {
      I_n: { field: `${path}.current`, value: current === undefined ? undefined : q(current, 'A') },
      P: powerId,
      P_r: { field: `${path}.power`, value: q(rated, 'W') },
      k: prescribed(q(0.35, '1'), model('Magnetising current', '35 % of rated current, at right angles to the load’s')),
    });
  }
  w.figure(
    'replacement.speedRatio',
    ratio,
    dimensionless(w.value('replacement.newSpeed'), w.value('replacement.oldSpeed')),
  );
  w.figure(
    'replacement.powerRatio',
    ratio,
    dimensionless(w.value('replacement.newPower'), w.value('replacement.oldPower')),
  );
  const more = w.value('replacement.powerRatio');
  const faster = w.value('replacement.speedRatio');
  if (more === undefined || faster === undefined || Math.abs(more - 1) < 0.01) return;
  // A drive gives the speed that is asked, however little its motor slips.
  if (method === 'drive') return;
  w.finding(
    'replacement.speed',
    more > 1.02 ? 'caution' : 'note',
    `With this load the replacement runs at ${w.text('replacement.newSpeed')} instead of ` +
      `${w.text('replacement.oldSpeed')}, and takes ${Math.abs((more - 1) * 100).toFixed(1)} % ` +
      `${more > 1 ? 'more' : 'less'} shaft power ` +
      `(${writeQuantity(w.value('replacement.newPower') ?? 0, 'W')}).` +
      (more > 1.02 ? ' Trim the sheave or the flow, or part of the saving is lost.' : ''),
    {
      fields: ['load.shape'],
      figures: ['replacement.newSpeed', 'replacement.oldSpeed', 'replacement.powerRatio'],
      source: commonPractice('A more efficient motor slips less; a fan or pump takes the cube of its speed'),
    },
  );
}

const dimensionless = (now: number | undefined, before: number | undefined) => ({
  x_new: field('replacement', now === undefined ? undefined : q(now, '1')),
  x_old: field('plate', before === undefined ? undefined : q(before, '1')),
});

function currentOf(next: Identity, motor: Motor | undefined, supply: number | undefined): Q<'A'> | undefined {
  const current = motor
    ? connectionFor(motor, supply).current
    : next.pairs.reduce<{ voltage: number; current: number | undefined } | undefined>(
        (a, b) =>
          a && Math.abs(a.voltage - (supply ?? a.voltage)) <= Math.abs(b.voltage - (supply ?? b.voltage)) ? a : b,
        undefined,
      )?.current;
  return current === undefined ? undefined : q(current, 'A');
}
