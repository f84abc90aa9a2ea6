import { stationNames } from '../contract/stations';
import { errandAsks, type Errand } from '../contract/words';
import type { Result } from './result';

/** Where an errand stands. */
export interface ErrandState {
  /** Fields it asks first that nobody gave yet, in their order. */
  readonly open: readonly string[];
  /** Whether what is known answers it; more makes the answer better. */
  readonly enough: boolean;
  readonly text: string;
}

const enoughFor: Readonly<Record<Errand, string>> = {
  failed: 'Enough is known to choose',
  new: 'Enough is known to choose',
  overloaded: 'Enough is known to judge the load',
  wasteful: 'Enough is known to compare',
  read: 'The plate is read',
  control: 'Enough is known to choose starter or drive',
};

/** What answers a field's question as well. */
const instead: Readonly<Record<string, string>> = { 'money.energyPrice': 'money.tariff' };

/** Whether enough is known for an errand, and what it still asks. `text`: the case as typed. A stop is never enough. */
export function errandState(errand: Errand, text: unknown, result: Result | null): ErrandState {
  const has = (path: string): boolean => isGiven(path.split('.').reduce(part, text));
  const open = errandAsks[errand].filter((path) => !has(path) && !has(instead[path] ?? path));
  const stop = result?.findings.find((f) => f.level === 'stop');
  const answered = {
    failed: result?.choice != null,
    new: result?.choice != null,
    control: result?.choice != null,
    wasteful: result?.choice?.options != null,
    overloaded: open.length === 0,
    read: result !== null && result.stations.plate.state !== 'empty',
  }[errand];
  const enough = answered && !stop;
  const asked = open.length === 0 ? '' : `${open.length} of ${errandAsks[errand].length} asked first still open`;
  return {
    open,
    enough,
    text: stop
      ? `A stop stands at ${stationNames[stop.station]}`
      : [...(enough ? [enoughFor[errand]] : []), ...(asked === '' ? [] : [asked])].join('; ') ||
        'All that is asked first is there; see what the stations still want',
  };
}

const part = (value: unknown, key: string): unknown =>
  typeof value === 'object' && value !== null ? Reflect.get(value, key) : undefined;

const isGiven = (value: unknown): boolean =>
  Array.isArray(value) ? value.length > 0 : value !== undefined && value !== null && value !== '';
