import type { Setting } from '../../case';
import { starDeltaFits, numberOf, type Needs, type Subject, type Walk } from '../../needs';
import { q, writeQuantity } from '../../quantity';
import { triedOf } from '../../runs';

/** Why a setting is as it is, and what goes wrong otherwise; by its field. Common practice. */
const reasons: Readonly<Record<string, readonly [why: string, otherwise: string]>> = {
  'start.starDelta.transition': [
    'open: three contactors; closed: four and resistors, for a weak supply',
    'an open change jolts: its first crest can exceed that of a direct start',
  ],
  'start.starDelta.pause': [
    'the star contactor’s arc must be out before delta closes',
    'too short: a short circuit across the supply; too long: speed falls, the jolt grows',
  ],
  'start.starDelta.time': [
    'change when star has done what it can',
    'too soon: nearly the direct current; too late: it crawls and heats',
  ],
  'start.starDelta.speed': [
    'change when star has done what it can',
    'too soon: nearly the direct current; too late: it crawls and heats',
  ],
  'start.softStarter.limit': [
    'the least that brings this load up in time',
    'lower: it hangs below speed and overheats; higher: the supply dips for nothing',
  ],
  'start.softStarter.ramp': [
    'voltage for most; torque where a pump must not hammer',
    'the wrong kind surges near speed',
  ],
  'start.softStarter.from': ['just enough to turn at once', 'lower: it hums and heats at rest; higher: it jerks'],
  'start.softStarter.time': [
    'long enough to be gentle, within the permitted time',
    'longer than the motor needs only heats it and its relay',
  ],
  'start.softStarter.kick': ['only for a load that sticks', 'elsewhere it is a direct start for a moment'],
  'start.softStarter.kickVoltage': ['breaks the load loose', 'higher than needed dips the supply'],
};

/** s an hour. */
const hour = 3600;

/**
 * What a soft starter is rated for, as IEC 60947-4-2 (2011, 5.4, from memory) designates it: current, category, the
 * multiple of it while starting and for how many seconds, then the rest between starts in seconds where a bypass takes
 * over (AC-53b), or the share of time on load and the starts an hour where none does (AC-53a).
 */
export function softDuty(
  { input }: Walk,
  needs: Needs | undefined,
  { motor, method }: Subject,
  current: number,
): string {
  const run = needs && motor && method === 'soft-starter' ? triedOf(needs, motor, method)?.run : undefined;
  if (run?.time === undefined) return '';
  const perHour = Math.max(1, input.load?.startsPerHour ?? 1);
  const seconds = Math.ceil(run.time);
  const times = `${(Math.ceil((10 * run.peakLine) / current) / 10).toFixed(1)}-${seconds}`;
  return input.start?.softStarter?.bypass === false
    ? `AC-53a: ${times}: 99-${Math.ceil(perHour)}`
    : `AC-53b: ${times}: ${Math.max(0, Math.floor(hour / perHour - seconds))}`;
}

/** Settings of a soft starter or star-delta starter, as simulated, and what its bypass and relay want. */
export function settingsOf(walk: Walk, needs: Needs | undefined, subject: Subject, dial: string): readonly Setting[] {
  const { motor, method } = subject;
  if (!needs || !motor || (method !== 'soft-starter' && method !== 'star-delta')) return [];
  const planned = triedOf(needs, motor, method)?.planned;
  if (!planned) return [];
  const list = planned.settings.map(({ path, label, text }): Setting => {
    const [why, otherwise] = reasons[path] ?? ['as simulated', ''];
    return { name: label, value: text, why, otherwise };
  });
  const own: Setting =
    method === 'soft-starter'
      ? {
          name: 'Motor current',
          value: dial,
          why: 'the plate’s: its overload and its limit count by it',
          otherwise: 'set at the starter’s own rating the limit is too high and the overload blind',
        }
      : {
          name: 'Overload dial',
          value: dial,
          why: 'inside the delta 0.58 of the plate current, in the line all of it',
          otherwise: 'the plate current dialled inside the delta lets 1.73 times as much pass',
        };
  return [own, ...rated(walk, needs, subject), ...list];
}

/** What a soft starter must be rated for in the line, and inside the delta of a motor with six leads. */
function rated(walk: Walk, needs: Needs, subject: Subject): readonly Setting[] {
  const current = numberOf(walk.w, subject.current);
  const line = walk.input.supply?.voltage?.value;
  const duty = current === undefined ? '' : softDuty(walk, needs, subject, current);
  if (current === undefined || duty === '') return [];
  const inDelta: Setting = {
    name: 'Or inside the delta',
    value: `${writeQuantity(q(current / Math.sqrt(3), 'A'), 'A')} ${duty}`,
    why: 'in series with each winding it carries 0.58 of the current; six leads to it',
    otherwise: 'stopped, the windings stay live without a contactor before them',
  };
  return [
    {
      name: 'Starter rated',
      value: `${writeQuantity(q(current, 'A'), 'A')} ${duty}`,
      why: 'as simulated: times its current, seconds, then the rest between starts',
      otherwise: 'one rated for a lighter start trips or burns in this one',
    },
    ...(line !== undefined && subject.motor && starDeltaFits(walk.practice, line, subject.motor) ? [inDelta] : []),
  ];
}
