import type { Setting } from '../../case';
import type { Needs, Subject } from '../../needs';
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

/** Settings of a soft starter or star-delta starter, as simulated, and what its bypass and relay want. */
export function settingsOf(needs: Needs | undefined, { motor, method }: Subject, dial: string): readonly Setting[] {
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
  return [own, ...list];
}
