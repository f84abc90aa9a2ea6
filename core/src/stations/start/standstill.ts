import { definition, model, type Method, type Source, type StartId } from '../../contract';
import { assumed, field, prescribed, type Given, type Workings } from '../../law';
import {
  driveLineCurrent,
  driveTorque,
  limitedCurrent,
  limitedTorque,
  methodShares,
  shareSource,
  softLimit,
  softLimitPractice,
  startingCurrent,
  startingTorque,
  tap,
  tapPractice,
  torqueReserve,
  voltageDip,
  type MethodShares,
  type StandstillSettings,
} from '../../physics';
import { q } from '../../quantity';
import { driveOverload, type Needs, percent, type Subject, type Walk } from '../../needs';
import { methodNames } from '../../contract';

/** What standstill is worked out from: the supply's voltage as it is given, and whether its source is described. */
export interface Standstill {
  readonly walk: Walk;
  readonly needs: Needs;
  readonly subject: Subject;
  readonly supply: Given<'V'>;
  readonly known: boolean;
  /** Tap, share and limit as they are set or were found. */
  readonly starter: StandstillSettings;
}

/** What the bus dips by: a generator's transient reactance before its regulator moves, else the source's impedance. */
export const dipsBy = (w: Workings): 'start.transientReactance' | 'start.sourceImpedance' =>
  w.figures.has('start.transientReactance') ? 'start.transientReactance' : 'start.sourceImpedance';

/** Where nothing is simulated, standstill is taken for the peak. */
export function peakAtStandstill(at: Standstill, method: Method): void {
  const { w } = at.walk;
  tellCurrent(at, method, `start.${method}.peakCurrent`);
  if (at.known)
    w.figure(`start.${method}.voltageDip`, voltageDip, {
      I_st: `start.${method}.peakCurrent`,
      Z_s: dipsBy(w),
      U: at.supply,
    });
}

/** Line current at standstill of one method, in closed form. */
function tellCurrent(
  { walk: { w, input }, needs, subject, supply: U, starter }: Standstill,
  method: Method,
  id: StartId<'peakCurrent' | 'standstillCurrent'>,
): void {
  const shares = methodShares(method, starter);
  const line = { U, Z_s: dipsBy(w), Z_LR: 'start.lockedRotorImpedance' } as const;
  if (shares) w.figure(id, startingCurrent, { ...line, c: prescribed(q(shares.current, '1'), sourceOf(shares)) });
  else if (method === 'soft-starter')
    w.figure(id, limitedCurrent, {
      ...line,
      m: limitOf(starter, input.start?.softStarter?.limit !== undefined),
      I_n: subject.current,
    });
  else w.figure(id, driveLineCurrent, { k: overloadOf(needs), I_n: subject.current });
}

/** Who says which share: the method itself, the usual tap, or the tap that was set. */
function sourceOf(shares: MethodShares): Source {
  if (shares.tap === undefined) return shareSource;
  return shares.tap === tap ? tapPractice : definition('Tap as set', `${percent(shares.tap)} of line voltage`);
}
function limitOf(starter: StandstillSettings, set: boolean): Given<'1'> {
  const limit = q(starter.softLimit, '1');
  if (set) return field('start.softStarter.limit', limit);
  return prescribed(limit, limit === softLimit ? softLimitPractice : foundSetting);
}
const foundSetting = model('Setting found by simulating', 'the first usual one with nothing against it');
const overloadOf = (needs: Needs): Given<'1'> =>
  field('load.shape', q(driveOverload(needs), '1'), `${driveOverload(needs)} × for this kind of load`);

/** Standstill current, torque and dip of one method, in closed form. */
export function tellStandstill(at: Standstill, method: Method): void {
  const { walk, needs, subject, supply, known, starter } = at;
  const { w } = walk;
  const shares = methodShares(method, starter);
  tellCurrent(at, method, `start.${method}.standstillCurrent`);
  if (known)
    w.figure(`start.${method}.standstillDip`, voltageDip, {
      I_st: `start.${method}.standstillCurrent`,
      Z_s: dipsBy(w),
      U: supply,
    });
  if (shares)
    w.figure(`start.${method}.startingTorque`, startingTorque, {
      T_LR: 'start.lockedRotorTorque',
      U: supply,
      dip: known
        ? `start.${method}.standstillDip`
        : assumed('supply.source', q(0, '1'), 'the source is not described: no dip is counted'),
      U_r: subject.voltage,
      c: prescribed(q(shares.torque, '1'), sourceOf(shares)),
    });
  else if (method === 'soft-starter')
    w.figure(`start.${method}.startingTorque`, limitedTorque, {
      T_LR: 'start.lockedRotorTorque',
      I_st: `start.${method}.standstillCurrent`,
      I_LR: 'start.lockedRotorCurrent',
    });
  else w.figure(`start.${method}.startingTorque`, driveTorque, { k: overloadOf(needs), T_r: 'start.ratedTorque' });
  // What asks nothing to break away leaves no ratio.
  if (w.value('load.breakawayTorque') !== 0)
    w.figure(`start.${method}.breakawayMargin`, torqueReserve, {
      T_st: `start.${method}.startingTorque`,
      T_b: 'load.breakawayTorque',
    });
}

/** What standstill alone says, where nothing could be simulated. */
export function judgeStandstill({ w, rules }: Walk, subject: Subject): void {
  const method = subject.method ?? 'direct';
  const margin = w.value(`start.${method}.breakawayMargin`);
  if (margin !== undefined && margin < 0) {
    w.finding(
      'start.stalls',
      'stop',
      `${methodNames[method]} gives ${w.text(`start.${method}.startingTorque`)} at standstill, the load asks ` +
        `${w.text('load.breakawayTorque')} to break away: it would stall. Take a ` +
        `drive, a motor with more starting torque, or start unloaded.`,
      {
        fields: ['method', 'load.breakaway'],
        figures: [`start.${method}.startingTorque`, 'load.breakawayTorque'],
      },
    );
  }
  const direct = w.value('start.direct.voltageDip');
  if (direct !== undefined && direct > rules.maxDip) {
    w.finding(
      'start.supply-weak',
      method === 'direct' ? 'stop' : 'note',
      `Direct on line would draw ${w.text('start.direct.peakCurrent')} and dip the bus by ` +
        `${percent(direct, 1)}; the house rule allows ${percent(rules.maxDip)}.`,
      { fields: ['supply.source'], figures: ['start.direct.voltageDip', 'start.direct.peakCurrent'] },
    );
  }
}
