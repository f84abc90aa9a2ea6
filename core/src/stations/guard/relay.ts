import { prescribed, type Given } from '../../law';
import { numberOf, type Needs, type Subject, type Walk } from '../../needs';
import { cell, hotShare, toldAt, tripAtStall, tripClasses, tripTimes, tripUse, type TripClass } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import { triedOf } from '../../runs';

const times = (of: TripClass): { readonly above: number; readonly most: number } => {
  const row = tripTimes.rows.find((r) => r[0] === tripClasses.indexOf(of));
  return { above: cell(tripTimes, row, 'above') ?? NaN, most: cell(tripTimes, row, 'most') ?? NaN };
};

/** Classes proposed, the quickest first: one that does not outlast the start is passed over. */
const proposed: readonly TripClass[] = ['10', '20', '30'];

/** The overload relay's trip class against the simulated start and the motor's safe stall time. */
export function tellRelay({ input, w }: Walk, needs: Needs | undefined, subject: Subject): void {
  const { motor, method } = subject;
  // A drive watches its motor itself.
  if (!needs || !motor || method === null || method === 'drive') return;
  const run = triedOf(needs, motor, method)?.run;
  const current = numberOf(w, subject.current);
  const locked = w.figures.get('motor.startingCurrent');
  if (!run || current === undefined || !locked || !w.figures.has('start.stallTime')) return;
  const used = run.statorHeat * locked.value ** 2 * (w.figures.get('start.stallTime')?.value ?? NaN);
  const useOf = (of: TripClass): number => used / ((toldAt * current) ** 2 * times(of).above);
  const given = input.guard?.relay?.class;
  const own = given === undefined ? undefined : (String(given) as TripClass);
  const taken = own ?? proposed.find((c) => useOf(c) <= 1) ?? '30';
  const { above, most } = times(taken);
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
  const h: Given<'1'> = prescribed(q(run.statorHeat, '1'), locked.source);
  const t_E = 'start.stallTime';
  const I_LR = 'motor.startingCurrent';
  w.figure('guard.tripAtStart', tripUse, {
    ...{ h: { ...h, text: `${run.statorHeat.toPrecision(3)} of the stator’s permitted heat, simulated` }, I_LR, t_E },
    I: subject.current,
    t_c: prescribed(q(above, 's'), tripTimes.source),
  });
  w.figure('guard.tripAtStall', tripAtStall, {
    ...{ f: prescribed(q(hotShare.value, '1'), hotShare.source), I_LR, I: subject.current },
    t_c: prescribed(q(most, 's'), tripTimes.source),
  });
  judgeRelay(
    { input, w },
    taken,
    useOf(taken),
    proposed.find((c) => useOf(c) <= 1),
  );
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
  if (stall && trip && trip.value > stall.value * 1.0001)
    w.finding(
      'guard.stall-unprotected',
      'caution',
      `Held at standstill the motor bears ${stall.text}, a warm relay of class ${taken} takes up to ` +
        `${writeQuantity(trip.value, 's')}: a quicker class, or a relay that knows standstill.`,
      { fields, figures: ['guard.tripAtStall', 'start.stallTime'], source: tripTimes.source },
    );
}
