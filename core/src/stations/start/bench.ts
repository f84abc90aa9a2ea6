import type { Motor } from '../../catalogue';
import { model } from '../../contract';
import { assumed, field, prescribed, type Given } from '../../law';
import { cableResistance, conductorResistance, totalInertia, usualInertia } from '../../physics';
import { q, writeQuantity } from '../../quantity';
import type { Needs, Subject, Walk } from '../../needs';
import { usualDensity } from '../../runs';

/** Figures of what the subject's start was simulated with: cable, inertia, permitted heat. */
export function tellBench(walk: Walk, needs: Needs, subject: Subject, motor: Motor): void {
  tellCable(walk, needs, subject, motor);
  tellInertia(walk, needs, motor);
  tellStallTime(walk);
}

function tellCable({ input, w }: Walk, needs: Needs, subject: Subject, motor: Motor): void {
  const length = needs.place.cable;
  if (length === undefined) return;
  const sized = needs.start.cableOf(motor, subject.method ?? 'direct');
  if (sized) {
    w.figure(
      'start.cableResistance',
      conductorResistance,
      {
        l: field('place.cable.length', q(length, 'm'), input.place?.cable?.length?.text),
        r: {
          ...prescribed(q(1000 * sized.perMetre, 'ohm'), sized.source),
          text: `${writeQuantity(1000 * sized.perMetre, 'ohm')} a km of ${sized.name}, as Guard sizes it`,
        },
        n: field('guard.cable.parallel', q(sized.count, '1'), `${sized.count}`),
      },
      { source: sized.source },
    );
    return;
  }
  w.figure('start.cableResistance', cableResistance, {
    l: field('place.cable.length', q(length, 'm')),
    I_n: subject.current,
    j: usualDensity,
  });
}

function tellInertia({ w }: Walk, { start }: Needs, motor: Motor): void {
  const J_m: Given<'kg.m2'> = prescribed(q(motor.inertia, 'kg.m2'), {
    kind: 'catalogue',
    title: 'Rotor inertia of the motor',
    part: motor.name,
    fromMemory: false,
  });
  if (start.loadInertia !== undefined) {
    w.figure('start.inertia', totalInertia, { J_m, J_L: 'load.inertiaAtMotor' });
    return;
  }
  const k = start.inertiaRatio;
  const size: Given<'kg.m2'> =
    start.sizeInertia === undefined
      ? J_m
      : prescribed(q(start.sizeInertia, 'kg.m2'), model('Rotor inertia by size', 'of a motor of the load’s own power'));
  w.figure('start.loadInertia', usualInertia, {
    J_m: size,
    k_J: assumed(
      'load.inertia',
      q(k, '1'),
      `no inertia given: ${k} × that of a motor of its size, usual for the machine`,
    ),
  });
  w.figure('start.inertia', totalInertia, { J_m, J_L: 'start.loadInertia' });
}

function tellStallTime({ input, practice, w }: Walk): void {
  const own = input.start?.stallTime;
  const usual = practice.stallTime;
  w.stated(
    'start.stallTime',
    's',
    own?.value ?? q(usual.value, 's'),
    own ? { kind: 'given', title: 'Given in start.stallTime', fromMemory: false } : usual.source,
    {
      field: 'start.stallTime',
      symbol: 't_E',
      assumed: own ? undefined : 'not given: the least a motor of this practice bears, hot',
    },
  );
}
