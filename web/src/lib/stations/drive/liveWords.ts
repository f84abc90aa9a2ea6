import type { physics } from '@pilgrim/core';
import type { LinkLine, LinkState } from '$lib/api/drives';

/** What a drive's states, faults and log are called. */
export const stateWords: Readonly<Record<physics.DriveState, string>> = {
  'not-programmed': 'not programmed',
  ready: 'ready',
  running: 'running',
  stopping: 'stopping',
  tripped: 'tripped',
};

export const faultWords: Readonly<Record<physics.DriveFault, string>> = {
  none: '',
  overvoltage: 'its bus rose too high: more came back than it can burn',
  'motor-overload': 'the motor was overloaded for too long',
  'drive-overload': 'the drive itself was overloaded for too long',
  'phase-lost': 'a line of the supply is missing',
  stalled: 'it was held at its current limit',
  'link-lost': 'nobody spoke over the link',
  'reference-lost': 'the reference was lost',
  undervoltage: 'the supply fell too low',
};

const eventWords: Readonly<Record<LinkLine['what'], string>> = {
  programmed: 'took the table',
  run: 'runs',
  'at-speed': 'at speed',
  'at-limit': 'at its current limit',
  stop: 'stops',
  standing: 'stands',
  tripped: 'tripped',
  reset: 'reset',
  restarted: 'started again by itself',
  'reference-held': 'reference broken: holds its speed',
  'reference-back': 'reference is back',
  'phase-missing': 'one line missing',
  spoiled: 'something was done to it',
  'link-connecting': 'connecting',
  'link-up': 'link is up',
  'link-cut': 'link cut here',
  'link-lost': 'link lost',
  writing: 'writing allowed',
};
export const lineWords = ({ what, fault }: LinkLine): string =>
  fault === 'none' || what.startsWith('reference') || what === 'phase-missing'
    ? eventWords[what]
    : `${eventWords[what]}: ${faultWords[fault]}`;

export const linkWords: Readonly<Record<LinkState, string>> = {
  connecting: 'connecting …',
  up: 'link up',
  cut: 'link cut',
  lost: 'no answer',
};

/** What can be done to a stand-in; `well` puts all of it right. */
export const well: physics.DriveSpoiling = { load: 1, supply: 1, phases: 3, signal: 12 };
export const spoils: readonly (readonly [string, string, Partial<physics.DriveSpoiling>])[] = [
  ['overload', 'three times the load', { load: 3 }],
  ['overhauls', 'the load drives it', { load: -1 }],
  ['phase', 'a line of the supply lost', { phases: 2 }],
  ['low', 'the supply at half', { supply: 0.5 }],
  ['reference', 'the reference wire broken', { signal: 0 }],
];
