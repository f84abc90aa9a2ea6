import type { GuardView } from '../../case';
import { prescribed, type Given, exceeds } from '../../law';
import { numberOf, type Needs, type Subject, type Walk } from '../../needs';
import {
  hotShare,
  timesOf,
  toldAt,
  tripAtStall,
  tripTimes,
  tripUse,
  type OverloadRule,
  type TripClass,
} from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { triedOf } from '../../runs';
import { startSeen, type StartSeen } from './seen';

/** Classes proposed, the quickest first: one that does not outlast the start is passed over. */
const proposed: readonly TripClass[] = ['10', '20', '30'];

/** The overload relay as it is set, in the line's amperes, and the start it sees. */
export interface RelayTaken {
  readonly class: TripClass;
  /** A in the line: one inside a delta times √3. */
  readonly dial: number;
  readonly seen: StartSeen | undefined;
}

export const sitsInDelta = ({ input }: Pick<Walk, 'input'>, subject: Subject): boolean =>
  subject.method === 'star-delta' && input.guard?.relay?.at !== 'line';

/** The dial as set, where somebody set it, against what may be set and what the motor draws. */
export function judgeDial({ input, w }: Walk, rule: OverloadRule, insideDelta: boolean): GuardView['dial'] {
  const proposedDial = w.figures.get('guard.overloadDial');
  if (!proposedDial) return null;
  // A relay trips at so much above its dial: what is dialled is what is permitted, divided by that.
  const proposed = proposedDial.value;
  const most = rule.maximum === undefined ? proposed : (proposed * rule.maximum) / rule.trip;
  const why =
    `At most ${writeQuantity(q(most, 'A'), 'A')}: so dialled, ${writeQuantity(most * rule.trip, 'A')} may pass for ` +
    'ever, and this motor may carry no more.';
  const told = { proposed, most, why };
  const set = input.guard?.relay?.dial;
  if (!set) return told;
  const fields = ['guard.relay.dial'];
  const figures = ['guard.overloadDial', 'guard.overloadTrip'] as const;
  w.stated(
    'guard.dialSet',
    'A',
    q(set.value, 'A'),
    { kind: 'given', title: 'Set in guard.relay.dial', fromMemory: false },
    { symbol: 'I_d', text: set.text, field: 'guard.relay.dial' },
  );
  const trips = (factor: number): string => writeQuantity(factor * set.value, 'A');
  if (exceeds(set.value, most))
    w.finding(
      'guard.dial-high',
      'stop',
      `A dial of ${set.text} lets the motor carry ${trips(rule.trip)} for ever (${rule.trip} × its dial): at most ` +
        `${writeQuantity(most, 'A')} may be dialled. It would burn without a trip.`,
      { fields, figures, source: rule.source },
    );
  else if (exceeds(set.value, proposed))
    w.finding(
      'guard.dial-high',
      'caution',
      `A dial of ${set.text} lets ${trips(rule.trip)} pass for ever: only where the motor cannot otherwise start; ` +
        `else ${proposedDial.text}.`,
      { fields, figures, source: rule.source },
    );
  const runs = w.figures.get('choice.current');
  const inside = insideDelta ? Math.sqrt(3) : 1;
  if (runs && set.value * inside * 1.05 < runs.value)
    w.finding(
      'guard.dial-low',
      'caution',
      `With a dial of ${set.text} it trips under its own load, which draws ${runs.text}.`,
      { fields, figures: [...figures, 'choice.current'], source: tripTimes.source },
    );
  return told;
}

/** The overload relay's trip class against the simulated start and the motor's safe stall time. */
export function tellRelay(walk: Walk, needs: Needs | undefined, subject: Subject): RelayTaken | undefined {
  const { input, w } = walk;
  const { motor, method } = subject;
  const current = numberOf(w, subject.current);
  // A drive watches its motor itself.
  if (current === undefined || method === 'drive') return undefined;
  const insideDelta = sitsInDelta(walk, subject);
  const set = input.guard?.relay?.dial?.value;
  const dial = set === undefined ? current : set * (insideDelta ? Math.sqrt(3) : 1);
  const given = input.guard?.relay?.class;
  const own = given === undefined ? undefined : (String(given) as TripClass);
  const locked = w.figures.get('motor.startingCurrent');
  const run = needs && motor && method !== null ? triedOf(needs, motor, method, true)?.run : undefined;
  if (!run || !locked || !w.figures.has('start.stallTime') || method === null)
    return { class: own ?? '10', dial, seen: undefined };
  const heat = run.statorHeat * locked.value ** 2 * (w.figures.get('start.stallTime')?.value ?? NaN);
  const seen = startSeen(run, method, insideDelta, method === 'star-delta' && !insideDelta ? undefined : heat);
  const used = seen?.squared.at(-1) ?? heat;
  const useOf = (of: TripClass): number => used / ((toldAt * dial) ** 2 * timesOf(of).above);
  const taken = own ?? proposed.find((c) => useOf(c) <= 1) ?? '30';
  const { above, most } = timesOf(taken);
  const number = Number.parseInt(taken, 10);
  w.stated('guard.tripClass', '1', q(number, '1'), tripTimes.source, {
    text: taken,
    symbol: 'class',
    field: 'guard.relay.class',
    ...(own === undefined && { assumed: 'not given: the quickest that outlasts the simulated start' }),
  });
  w.stated('guard.tripAtSeven', 's', q(most, 's'), tripTimes.source, {
    text: `${above} to ${most} s`,
    symbol: 't_c',
  });
  const share = run.statorHeat * (used / heat);
  const h: Given<'1'> = prescribed(q(share, '1'), locked.source);
  const t_E = 'start.stallTime';
  const I_LR = 'motor.startingCurrent';
  const I = set === undefined ? subject.current : prescribed(q(dial, 'A'), locked.source);
  w.figure('guard.tripAtStart', tripUse, {
    ...{ h: { ...h, text: `${share.toPrecision(3)} of the stator’s permitted heat, simulated` }, I_LR, t_E },
    I,
    t_c: prescribed(q(above, 's'), tripTimes.source),
  });
  w.figure('guard.tripAtStall', tripAtStall, {
    ...{ f: prescribed(q(hotShare.value, '1'), hotShare.source), I_LR, I },
    t_c: prescribed(q(most, 's'), tripTimes.source),
  });
  judgeRelay(
    { input, w },
    taken,
    useOf(taken),
    proposed.find((c) => useOf(c) <= 1),
  );
  return { class: taken, dial, seen };
}

function judgeRelay({ w }: Pick<Walk, 'input' | 'w'>, taken: TripClass, use: number, enough?: TripClass): void {
  const fields = ['guard.relay.class'];
  const figures = ['guard.tripAtStart', 'guard.tripClass'] as const;
  const hot = use / hotShare.value;
  if (use > 1)
    w.finding(
      'guard.trips-starting',
      'caution',
      `A relay of class ${taken} may trip before the motor is up: the start uses ${Math.round(100 * use)} % ` +
        'of its way. ' +
        (enough === undefined
          ? 'No class outlasts it: start it otherwise, or have the relay’s curve set to this start.'
          : `Class ${enough} outlasts it.`),
      { fields, figures, source: tripTimes.source },
    );
  else if (hot > 1)
    w.finding(
      'guard.hot-restart',
      'note',
      `Cold it starts; stopped and started again at once a relay of class ${taken} may trip ` +
        `(${Math.round(100 * hot)} % of what it has left). Let it cool.`,
      { fields, figures, source: hotShare.source },
    );
  const stall = w.figures.get('start.stallTime');
  const trip = w.figures.get('guard.tripAtStall');
  if (stall && trip && exceeds(trip.value, stall.value))
    w.finding(
      'guard.stall-unprotected',
      'caution',
      `Held at standstill the motor bears ${stall.text}, a warm relay of class ${taken} takes up to ` +
        `${writeQuantity(trip.value, 's')}: a quicker class, or a relay that knows standstill.`,
      { fields, figures: ['guard.tripAtStall', 'start.stallTime'], source: tripTimes.source },
    );
}
