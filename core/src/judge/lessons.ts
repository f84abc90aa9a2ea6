import type { Motor } from '../catalogue';
import type { Outcome } from '../case';
import type { Method } from '../contract';
import type { LessonId } from '../nameplate';
import { type Needs, percent, slowReserve } from '../needs';

export interface LessonVerdict {
  readonly outcome: Outcome;
  /** A share left over where there is one to tell; 0 where the lesson is met or not. */
  readonly margin: number;
  /** The sentence, made only when somebody looks. */
  readonly text: () => string;
}

const verdict = (outcome: Outcome, text: string | (() => string), margin = 0): LessonVerdict => ({
  outcome,
  margin,
  text: typeof text === 'string' ? () => text : text,
});
/** A load measured to this sizes a motor by itself (common practice: a clamp reading with voltage and power factor). */
const wellKnown = 0.05;

const protection = ['open', 'enclosed', 'severe-duty', 'washdown'];

/** Whether a candidate does differently what killed the old motor. Closed forms; the sentence is made when asked. */
export function judgeLesson(needs: Needs, lesson: LessonId, motor: Motor, method: Method): LessonVerdict {
  const drive = method === 'drive';
  switch (lesson) {
    case 'history-reserve': {
      const old = needs.old.power;
      if (old === undefined)
        return verdict('caution', 'The old motor was overheated: measure the load before trusting its rating.');
      const reserve = (motor.power * needs.place.motorDerating) / old - 1;
      // A load known so well stands by itself, whatever the old one was rated.
      if (reserve < -0.005 && needs.load.basis === 'load' && needs.load.uncertainty <= wellKnown)
        return verdict('pass', () => `The load is known to ± ${percent(needs.load.uncertainty)}: it decides.`, reserve);
      return reserve >= -0.005
        ? verdict(
            'pass',
            () => `After heat and height it keeps ${percent(1 + reserve)} of the rating that was overheated.`,
            reserve,
          )
        : verdict(
            'caution',
            () =>
              `After heat and height it keeps ${percent(1 + reserve)} of the rating ` +
              `that was overheated: only right if the load was measured.`,
            reserve,
          );
    }
    case 'history-enclosure': {
      const [was, is] = [protection.indexOf(needs.old.enclosure ?? ''), protection.indexOf(motor.enclosure)];
      if (was === 0 && is === 0)
        return verdict('fail', () => `${motor.enclosureText} again: dirt or water would come in as before.`);
      if (was >= 0 && is > was)
        return verdict('pass', () => `${motor.enclosureText} keeps out more than the old one did.`);
      if (is === 0) return verdict('fail', () => `${motor.enclosureText}: dirt or water would come in.`);
      return is >= 2
        ? verdict('pass', () => `${motor.enclosureText} is made for it; keep drains open and the fan cover clean.`)
        : verdict(
            'caution',
            () => `${motor.enclosureText}, as before: seals, drains and a clean fan cover must do the rest.`,
          );
    }
    case 'history-cooling': {
      if (!drive || !needs.speed.variable) return verdict('pass', 'It runs at full speed, with full air.');
      if (needs.drive?.cooling === 'blower') return verdict('pass', 'A blower of its own cools it at any speed.');
      const reserve = slowReserve(needs, motor);
      if (reserve < 0) return verdict('fail', 'It would be run slower than its own fan permits, as before.', reserve);
      return motor.inverterDuty
        ? verdict('pass', 'Inverter duty: made to run slow.', reserve)
        : verdict(
            'caution',
            'Within its turndown, but not made for slow running: a blower of its own is safer.',
            reserve,
          );
    }
    case 'history-starts':
      return drive || method === 'soft-starter'
        ? verdict('pass', 'Started with less current, so less heat each time.')
        : verdict('caution', 'Each start heats it as before: start it less often.');
    case 'history-phase-loss':
      return drive || method === 'soft-starter'
        ? verdict('pass', 'Drives and soft starters trip when a phase is lost; see that it is switched on.')
        : verdict('caution', 'Fit an overload relay that sees the loss of a phase, and find what lost it.');
    case 'history-bearing':
      return verdict(
        'caution',
        'Order it with a roller bearing at the drive end, or with larger sheaves; set the tension by gauge.',
      );
    case 'history-shaft-current':
      return drive
        ? verdict(
            'caution',
            'Order a shaft grounding ring, and above about 75 kW (100 hp) an insulated bearing at the opposite end.',
          )
        : verdict('pass', 'Without a drive no such currents flow.');
    case 'history-pulses': {
      if (!drive) return verdict('pass', 'Without a drive no such pulses come.');
      return motor.inverterDuty
        ? verdict('pass', 'A winding made for pulses.')
        : verdict('pass', 'The winding is not made for pulses: a filter stands between, whatever the cable.');
    }
    case 'history-shock':
      return drive || method === 'soft-starter'
        ? verdict('pass', 'Torque rises gently.')
        : verdict(
            'caution',
            method === 'star-delta' ? 'The changeover jolts.' : 'The start jolts shaft and machine as before.',
          );
  }
}
