import type { Case, StartSetting } from '../case';
import type { Method } from '../contract';
import {
  attainedSpeed,
  reducedHookup,
  softLimit,
  tap,
  type AnyPlan,
  type Changeover,
  type Plan,
  type StartCase,
} from '../physics';
import { writeQuantity, type Quantity } from '../quantity';

/**
 * A start as it would be set: what the simulation takes, and every setting with its field, assumed where nobody gave
 * it.
 */
export interface Planned {
  readonly plan: AnyPlan;
  readonly settings: readonly StartSetting[];
}

type Settings = NonNullable<Case['start']>;

/** Usual settings, common practice; each is shown as assumed where it is taken. */
export const usualSettings = {
  tap,
  reactorShare: tap,
  pause: 0.05,
  softLimit,
  softFrom: 0.3,
  softTime: 10,
  kickVoltage: 0.8,
  driveRamp: 10,
  boost: 0.03,
} as const;

export type UsualSettings = { readonly [K in keyof typeof usualSettings]: number };

/** Of the speed a reduced stage attains: where it has done what it can. */
const doneAt = 0.97;

/**
 * What a drive's start depends on beyond its settings: × plate current it may give, and the speed it goes to, r/min.
 */
export interface DriveAim {
  readonly overload: number;
  readonly speed: number;
  /** A ramp in s that its machine or cycle asks, and why. */
  readonly ramp?: readonly [number, string];
}

/** The plan of a method by the case's settings. */
export function planFor(
  settings: Settings | undefined,
  method: Method,
  s: StartCase,
  aim: DriveAim,
  other: Partial<UsualSettings> = {},
): Planned {
  const u: UsualSettings = { ...usualSettings, ...other };
  const list = new SettingList();
  switch (method) {
    case 'direct':
      return { plan: { method }, settings: [] };
    case 'star-delta': {
      const own = settings?.starDelta;
      const closed =
        list.word('start.starDelta.transition', 'Transition', own?.transition, 'open', 'the common kind') === 'closed';
      const pause = closed
        ? 0
        : list.time(
            'start.starDelta.pause',
            'Pause',
            own?.pause,
            u.pause,
            'usual time for the star contactor to clear',
          );
      return { plan: changing({ method, pause }, 'start.starDelta', own, s, list), settings: list.all };
    }
    case 'autotransformer': {
      const own = settings?.autotransformer;
      const ratio = list.share(
        'start.autotransformer.tap',
        'Tap',
        own?.tap,
        u.tap,
        found(u.tap, usualSettings.tap, 'the middle one of 50, 65 and 80 %'),
      );
      return { plan: changing({ method, tap: ratio }, 'start.autotransformer', own, s, list), settings: list.all };
    }
    case 'primary-reactor': {
      const own = settings?.reactor;
      const element =
        list.word('start.reactor.element', 'In series', own?.element, 'reactor', 'the common kind') === 'resistor'
          ? 'resistor'
          : 'reactor';
      const share = list.share(
        'start.reactor.share',
        'Motor voltage at standstill',
        own?.share,
        u.reactorShare,
        found(u.reactorShare, usualSettings.reactorShare, 'usual first step'),
      );
      return { plan: changing({ method, element, share }, 'start.reactor', own, s, list), settings: list.all };
    }
    case 'soft-starter':
      return { plan: softPlan(settings?.softStarter, s, list, u), settings: list.all };
    case 'drive': {
      const own = settings?.drive;
      const ramp = list.time(
        'start.drive.ramp',
        'Ramp to rated speed',
        own?.ramp,
        ...(aim.ramp ?? usualRamp(s, u.driveRamp)),
      );
      const limit = list.times(
        'start.drive.limit',
        'Current limit',
        own?.limit,
        aim.overload,
        'the overload rating for this kind of load',
      );
      const control =
        list.word('start.drive.control', 'Control', own?.control, 'vector', 'usual today; breakaway needs it') ===
        'scalar'
          ? 'scalar'
          : 'vector';
      const boost =
        control === 'scalar' ? list.share('start.drive.boost', 'Boost at zero speed', own?.boost, u.boost, 'usual') : 0;
      return {
        plan: { method, ramp, limit: limit * s.ratedCurrent, speed: aim.speed, control, boost },
        settings: list.all,
      };
    }
  }
}

/** Why a setting is taken: the usual one, or one found by simulating the others. */
const found = (value: number, usual: number, why: string): string =>
  value === usual ? why : 'found by simulating the usual ones';

/** A usual ramp in s, shorter where the machine must be at speed sooner; and why. */
function usualRamp(s: StartCase, usual: number): readonly [number, string] {
  const within = Number((0.7 * s.permitted).toPrecision(2));
  return within < usual ? [within, 'well within the permitted time'] : [usual, 'usual'];
}

function softPlan(own: Settings['softStarter'], s: StartCase, list: SettingList, u: UsualSettings): Plan {
  const limit = list.times(
    'start.softStarter.limit',
    'Current limit',
    own?.limit,
    u.softLimit,
    found(u.softLimit, usualSettings.softLimit, 'within the usual 3 to 4.5'),
  );
  const word = list.word('start.softStarter.ramp', 'Ramp of', own?.ramp, 'voltage', 'the common kind');
  const ramp = word === 'torque' || word === 'none' ? word : 'voltage';
  const ramped = ramp !== 'none';
  const from = ramped
    ? list.share(
        'start.softStarter.from',
        ramp === 'voltage' ? 'Voltage at the start' : 'Torque at the start',
        own?.from,
        u.softFrom,
        'usual',
      )
    : 1;
  const time = ramped ? list.time('start.softStarter.time', 'Ramp time', own?.time, ...usualRamp(s, u.softTime)) : 0;
  const kick = own?.kick && own.kick.value > 0 ? own.kick : undefined;
  if (kick) list.time('start.softStarter.kick', 'Kick', kick, 0, '');
  const voltage = kick
    ? list.share('start.softStarter.kickVoltage', 'Kick voltage', own?.kickVoltage, u.kickVoltage, 'usual')
    : 1;
  return {
    method: 'soft-starter',
    limit: limit * s.ratedCurrent,
    ramp,
    from,
    time,
    kick: kick && { voltage, time: kick.value },
    ratedTorque: s.ratedTorque,
  };
}

type Reduced =
  | { readonly method: 'star-delta'; readonly pause: number }
  | { readonly method: 'autotransformer'; readonly tap: number }
  | { readonly method: 'primary-reactor'; readonly element: 'reactor' | 'resistor'; readonly share: number };

interface OwnChangeover {
  readonly time?: Quantity<'time'>;
  readonly speed?: number;
}

/** A reduced stage with its changeover: by the time or speed given, else where the stage has done what it can. */
function changing(p: Reduced, path: string, own: OwnChangeover | undefined, s: StartCase, list: SettingList): Plan {
  const asked = own?.time ?? own?.speed;
  const changeover = asked === undefined ? whereDone(p, s) : changeoverOf(own);
  const assumed = asked === undefined ? 'where the reduced stage has 97 % of the speed it attains' : null;
  list.put(
    changeover.at === 'time'
      ? {
          path: `${path}.time`,
          label: 'Changeover after',
          value: changeover.time,
          text: writeQuantity(changeover.time, 's'),
          assumed,
        }
      : {
          path: `${path}.speed`,
          label: 'Changeover at',
          value: changeover.share,
          text: `${(changeover.share * 100).toFixed(0)} % speed`,
          assumed,
        },
  );
  return { ...p, changeover };
}

const changeoverOf = (own: OwnChangeover | undefined): Changeover =>
  own?.time ? { at: 'time', time: own.time.value } : { at: 'speed', share: own?.speed ?? doneAt };

function whereDone(p: Reduced, s: StartCase): Changeover {
  const hookup = reducedHookup(s.circuit, s.feed.frequency, { ...p, changeover: { at: 'time', time: 0 } });
  const synchronous = (120 * s.feed.frequency) / s.circuit.poles;
  return { at: 'speed', share: Math.max(0.01, (doneAt * attainedSpeed(s, hookup)) / synchronous) };
}

/** Settings as they are read, with a mark on each that was assumed. */
class SettingList {
  readonly all: StartSetting[] = [];

  put(setting: StartSetting): void {
    this.all.push(setting);
  }

  #take(path: string, label: string, own: number | undefined, usual: number, why: string, text: (v: number) => string) {
    const value = own ?? usual;
    this.put({ path, label, value, text: text(value), assumed: own === undefined ? why : null });
    return value;
  }

  share(path: string, label: string, own: number | undefined, usual: number, why: string): number {
    return this.#take(path, label, own, usual, why, (v) => `${(v * 100).toFixed(0)} %`);
  }

  times(path: string, label: string, own: number | undefined, usual: number, why: string): number {
    return this.#take(path, label, own, usual, why, (v) => `${v} × rated current`);
  }

  time(path: string, label: string, own: Quantity<'time'> | undefined, usual: number, why: string): number {
    return this.#take(path, label, own?.value, usual, why, (v) => writeQuantity(v, 's'));
  }

  word(path: string, label: string, own: string | undefined, usual: string, why: string): string {
    const value = own ?? usual;
    this.put({ path, label, value, text: value, assumed: own === undefined ? why : null });
    return value;
  }
}
