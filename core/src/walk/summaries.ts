import type { Choice, Result, StationSummary } from '../case';
import type { FigureId, Method, StationName } from '../contract';
import type { Walk } from '../needs';
import { methodNames } from '../contract';
import { costKey, driveKey, guardKey, loadKey, placeKey, plateKey, speedKey, startKey } from '../stations';

/** What was chosen and told, as far as a summary speaks of it. */
export interface Summarised {
  readonly choice: Choice | null;
  readonly subject: { readonly method: Method | null } | null;
}

/** What the way shows of every station. */
export function summaries(walk: Walk, told: Summarised): Result['stations'] {
  const { w, practice } = walk;
  const method = told.subject?.method ?? null;
  const keys: Record<StationName, string> = {
    plate: plateKey(walk),
    load: loadKey(walk, practice.words.powerUnit),
    place: placeKey(walk),
    speed: speedKey(walk),
    choice: told.choice ? `${told.choice.motor.power} · ${methodNames[told.choice.method].toLowerCase()}` : 'none yet',
    start: startKey(walk, method),
    guard: guardKey(walk),
    drive: driveKey(walk, method === 'drive'),
    cost: costKey(walk),
    sheet: told.choice ? 'ready' : 'incomplete',
  };
  const summary = (station: StationName): StationSummary => ({
    state: stateOf(walk, told, station),
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

/** The figure without which a station has nothing to say. */
const keyFigures: Partial<Record<StationName, FigureId>> = {
  load: 'load.requiredPower',
  choice: 'choice.ratedPower',
  start: 'start.direct.peakCurrent',
  guard: 'guard.overloadDial',
  drive: 'drive.ratedCurrent',
  cost: 'cost.savedEnergy',
};

function stateOf({ input, w }: Walk, told: Summarised, station: StationName): StationSummary['state'] {
  const levels = w.findings.filter((f) => f.station === station).map((f) => f.level);
  if (levels.includes('stop')) return 'stop';
  const key = keyFigures[station];
  if (key !== undefined && !w.figures.has(key)) return 'empty';
  if (station === 'sheet') return told.choice ? 'enough' : 'empty';
  if (station === 'plate' && !input.plate) return 'empty';
  if (station === 'place' && !input.place) return 'empty';
  if (station === 'speed' && !input.speed?.need) return 'empty';
  return levels.includes('caution') ? 'caution' : 'enough';
}
