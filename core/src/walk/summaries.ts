import type { Choice, Result, StationSummary } from '../case';
import { methodNames, type Method, type StationName } from '../contract';
import type { Walk } from '../needs';
import { costKey, driveKey, guardKey, loadKey, placeKey, plateKey, speedKey, startKey } from '../stations';
import type { State } from './state';

/** What the way shows of every station. */
export function summaries(
  walk: Walk,
  choice: Choice | null,
  method: Method | null,
  states: Readonly<Record<StationName, State>>,
): Result['stations'] {
  const { w, practice } = walk;
  const keys: Record<StationName, string> = {
    plate: plateKey(walk),
    load: loadKey(walk, practice.words.powerUnit),
    place: placeKey(walk),
    speed: speedKey(walk),
    choice: choice ? `${choice.motor.power} · ${methodNames[choice.method].toLowerCase()}` : 'none yet',
    start: startKey(walk, method),
    guard: guardKey(walk),
    drive: driveKey(walk, method === 'drive'),
    cost: costKey(walk),
    sheet: sheetWords[states.sheet.state],
  };
  const summary = (station: StationName): StationSummary => ({
    ...states[station],
    because: [...states[station].because],
    key: keys[station],
    wanted: w.wanted(station),
  });
  return {
    plate: summary('plate'),
    load: summary('load'),
    place: summary('place'),
    speed: summary('speed'),
    choice: summary('choice'),
    start: summary('start'),
    guard: summary('guard'),
    drive: summary('drive'),
    cost: summary('cost'),
    sheet: summary('sheet'),
  };
}

/** What the sheet is, by its state. */
const sheetWords: Readonly<Record<State['state'], string>> = {
  empty: 'incomplete',
  waits: 'incomplete',
  stop: 'stopped',
  caution: 'not ready',
  condition: 'not ready',
  enough: 'ready',
};
