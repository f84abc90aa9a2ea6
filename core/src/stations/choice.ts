import { motorById, type Motor } from '../catalogue';
import type { Candidate, Choice, Result } from '../case';
import { assumed, field, prescribed, type Given } from '../law';
import { drivenSpeed, loading, operatingSpeed, powerAtPoint, speedOnDrive } from '../physics';
import { q } from '../quantity';
import { explain, methodNames } from './explain';
import { connectionFor, type Judged } from './judge';
import { catalogueSource } from './subject';
import type { Needs, Walk } from './walk';

export interface Chosen {
  readonly motor: Motor;
  readonly entry: number;
  readonly candidate: Candidate;
}

/** The best entry of each motor, best first, at most `limit`. */
export function bestOfEach(judged: Judged, limit: number): number[] {
  const seen = new Set<number>();
  const best: number[] = [];
  for (const entry of judged.order) {
    const motor = Math.floor(entry / judged.methods.length);
    if (seen.has(motor)) continue;
    seen.add(motor);
    best.push(entry);
    if (best.length === limit) break;
  }
  return best;
}

export function countMotors(judged: Judged): Result['counts'] {
  const M = judged.methods.length;
  const counts = { motors: judged.columns.motors.length, pass: 0, caution: 0, fail: 0 };
  for (let i = 0; i < counts.motors; i++) {
    let best = 2;
    for (let m = 0; m < M; m++) best = Math.min(best, judged.worst[i * M + m] ?? 2);
    if (best === 0) counts.pass++;
    else if (best === 1) counts.caution++;
    else counts.fail++;
  }
  return counts;
}

/** Narrates the motor chosen or pinned: rated values, where it meets the load, how it is loaded. */
export function tellChoice(walk: Walk, needs: Needs, motor: Motor): void {
  const { w } = walk;
  w.enter('choice');
  const source = catalogueSource(motor);
  const connection = connectionFor(motor, needs.supply.voltage);
  w.stated('choice.ratedPower', 'W', q(motor.power, 'W'), source, { symbol: 'P_r' });
  w.stated('choice.ratedSpeed', 'rpm', q(motor.speed, 'rpm'), source, { symbol: 'n_r' });
  w.stated('choice.ratedCurrent', 'A', q(connection.current, 'A'), source, { symbol: 'I_n' });
}

/** Where the subject and the load meet with its method. */
export function tellPoint(
  walk: Walk,
  needs: Needs,
  judged: Judged,
  i: number,
  method: Chosen['candidate']['method'],
): void {
  const { input, w } = walk;
  w.enter('choice');
  const motor = judged.columns.motors[i];
  if (!motor) return;
  const source = catalogueSource(motor);
  const ratio: Given<'1'> = { field: 'load.train.ratio', value: q(needs.load.ratio, '1') };
  if (method === 'drive') {
    const max = input.speed?.max;
    w.figure('point.motorSpeed', speedOnDrive, {
      n_m: 'load.motorSpeed',
      k:
        max === undefined
          ? assumed('speed.max', q(1, '1'), 'no highest speed given: that of the demand')
          : field('speed.max', q(needs.speed.max, '1')),
    });
  } else {
    w.figure('point.motorSpeed', operatingSpeed(needs.load.shape), {
      n_s: prescribed(q(judged.columns.synchronous[i] ?? 0, 'rpm'), source),
      n_r: 'choice.ratedSpeed',
      T_r: prescribed(q(judged.columns.ratedTorque[i] ?? 0, 'N.m'), source),
      n: 'load.motorSpeed',
      T: 'load.motorTorque',
    });
  }
  w.figure('point.drivenSpeed', drivenSpeed, { n_m: 'point.motorSpeed', i: ratio });
  w.figure('point.shaftPower', powerAtPoint(needs.load.shape), {
    T: 'load.motorTorque',
    n: 'load.motorSpeed',
    n_op: 'point.motorSpeed',
  });
  w.figure('choice.loading', loading, { P: 'point.shaftPower', P_r: 'choice.ratedPower', d: 'place.motorDerating' });
}

/** Why this one, why not the next size down, why started this way. */
export function reasonsFor(needs: Needs, judged: Judged, chosen: Chosen): Choice['reasons'] {
  const { motor, candidate } = chosen;
  const cautions = candidate.verdicts.filter((v) => v.outcome !== 'pass').map((v) => v.text);
  const smaller = judged.columns.motors
    .map((m, i) => ({ m, i }))
    .filter(
      ({ m }) =>
        m.poles === motor.poles &&
        m.enclosureText === motor.enclosureText &&
        m.efficiencyClass === motor.efficiencyClass &&
        m.voltageText === motor.voltageText &&
        m.power < motor.power,
    )
    .at(-1);
  const reasons = [
    `First of ${judged.columns.motors.length} motors by ${needs.rules.ranking.replace('-', ' ')} among those that ${candidate.outcome === 'pass' ? 'meet every requirement' : 'pass with cautions'}.`,
  ];
  if (smaller) {
    const entry = smaller.i * judged.methods.length + judged.methods.indexOf(candidate.method);
    const verdict = explain(needs, judged, entry).verdicts.find((v) => v.outcome === 'fail');
    reasons.push(
      verdict
        ? `Not the next size down, ${smaller.m.powerText}: ${verdict.text}`
        : `The next size down, ${smaller.m.powerText}, would pass but costs more over ${needs.years} years.`,
    );
  }
  const how = candidate.verdicts.find(
    (v) => v.requirement === (needs.speed.variable ? 'speed-control' : 'starting-torque'),
  );
  reasons.push(`${methodNames[candidate.method]}: ${how?.text ?? 'the simplest that starts it'}`);
  return [...reasons, ...cautions];
}

/** The motor the case pins from the catalogue, with a finding where its id is unknown. */
export function pinnedMotor({ input, w }: Walk): Motor | undefined {
  const id = input.motor?.catalogue;
  if (!input.motor) return undefined;
  w.enter('choice');
  if (id === undefined) {
    w.finding(
      'choice.pin-not-used',
      'caution',
      'A motor pinned by plate or circuit is kept in the case; this version judges catalogue motors, so the choice is made among them.',
      {
        fields: ['motor'],
      },
    );
    return undefined;
  }
  const motor = motorById(id);
  if (!motor)
    w.finding('choice.unknown-motor', 'caution', `The catalogue has no motor "${id}"; the choice is made among all.`, {
      fields: ['motor.catalogue'],
    });
  return motor;
}
