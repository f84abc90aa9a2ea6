import type { Demand } from '../../case';
import { commonPractice } from '../../contract';
import { assumed, field, type Given, type Input } from '../../law';
import { noLoadShare } from '../../nameplate';
import {
  currentRatio,
  drivenSpeed,
  powerBehindTrain,
  shaftFromInput,
  shareByCurrent,
  shareByPower,
  shareBySlip,
  shareOfRating,
  shareTaken,
  speedAtShare,
  speedThroughTrain,
  torqueBehindTrain,
  torqueFromPower,
} from '../../physics';
import { q } from '../../quantity';
import type { Drivetrain } from './drivetrain';
import { percent, type PlateFacts, usualEfficiency, type Walk } from '../../needs';

export type Readings = Extract<Demand, { kind: 'measured' }>;

/** The readings as laws take them: typed, or figures made of several. */
export interface Read {
  readonly U: Input<'V'>;
  readonly I: Input<'A'>;
  readonly n: Input<'rpm'>;
  readonly P: Input<'W'>;
}

/** A way the running motor tells its load, and how far it may be off. */
export interface Way {
  readonly id: 'load.shareByPower' | 'load.shareByCurrent' | 'load.shareBySlip';
  readonly name: string;
  readonly share: number;
  readonly off: number;
}

/** Load from readings at the running motor: by power, by current, by speed, and how far the ways disagree. */
export function tellRunning(walk: Walk, demand: Readings, train: Drivetrain, plate: PlateFacts): number {
  const { w } = walk;
  const read = {
    U: field('load.demand.voltage', demand.voltage?.value, demand.voltage?.text),
    I: field('load.demand.current', demand.current?.value, demand.current?.text),
    n: field('load.demand.speed', demand.speed?.value, demand.speed?.text),
    P: field('load.demand.power', demand.power?.value, demand.power?.text),
  };
  if (!demand.power && !demand.current && !demand.speed) {
    w.want('load.demand.power');
    w.want('load.demand.current');
    w.without('load.motorPower', 'load.motorTorque', 'load.motorSpeed', 'load.power', 'load.torque', 'load.speed');
    return 0.1;
  }
  const { ways, best } = tellShare(walk, demand, read, plate);
  if (best) w.figure('load.motorPower', shareOfRating, { x: 'load.share', P_r: 'plate.ratedPower' });
  else inputOnly(walk, demand, read.P);
  motorSpeed(walk, demand, plate, best !== undefined);
  w.figure('load.motorTorque', torqueFromPower, { P: 'load.motorPower', n: 'load.motorSpeed' });
  w.figure('load.speed', drivenSpeed, { n_m: 'load.motorSpeed', i: train.ratio });
  w.figure('load.power', powerBehindTrain, { P_m: 'load.motorPower', eta: train.efficiency });
  w.figure('load.torque', torqueBehindTrain, { T_m: 'load.motorTorque', i: train.ratio, eta: train.efficiency });
  judgeWays(walk, ways, best);
  return best?.off ?? 0.1;
}

/** What the running motor carries as a share of its rating: by every reading there is, and by the one that is taken. */
export function tellShare(
  walk: Walk,
  demand: Readings,
  read: Read,
  plate: PlateFacts,
): { readonly ways: readonly Way[]; readonly best: Way | undefined } {
  const ways = plate.power === undefined ? [] : waysOf(walk, demand, read, plate);
  const best = bestWay(ways);
  if (best) walk.w.figure('load.share', shareTaken, { x: best.id });
  return { ways, best };
}

function waysOf(walk: Walk, demand: Readings, read: Read, plate: PlateFacts): Way[] {
  const { w, practice, input } = walk;
  const ways: Way[] = [];
  const poles = plate.poles ?? 4;
  const voltage: Input<'V'> = demand.voltage
    ? read.U
    : input.supply?.voltage
      ? { ...field('load.demand.voltage', input.supply.voltage.value), assumed: 'not read: the supply’s voltage' }
      : { value: undefined, field: 'load.demand.voltage' };
  if (demand.power) {
    const usual = usualEfficiency(input, practice, plate.power ?? 0, poles);
    const eta: Input<'1'> = w.figures.has('plate.efficiency')
      ? 'plate.efficiency'
      : { ...assumed('plate.efficiency', q(usual.value, '1'), usual.why), source: usual.source };
    const share = w.figure('load.shareByPower', shareByPower, { P_in: read.P, P_r: 'plate.ratedPower', eta });
    if (share !== undefined) ways.push({ id: 'load.shareByPower', name: 'input power', share, off: 0.06 });
  }
  if (demand.current && plate.current !== undefined) {
    w.figure('load.shareByCurrentRatio', currentRatio, {
      I: read.I,
      I_n: 'plate.connectedCurrent',
      U: voltage,
      U_r: 'plate.connectedVoltage',
    });
    const k = noLoadShare(poles);
    const share = w.figure('load.shareByCurrent', shareByCurrent, {
      I: read.I,
      I_n: 'plate.connectedCurrent',
      k: { value: q(k, '1'), source: commonPractice('No-load current ÷ rated current by poles, a quarter either way') },
    });
    // The share of magnetising current is known to a quarter: what that makes of the answer grows as the load falls.
    const off = share === undefined ? 1 : Math.min(1, 0.08 + (0.25 * k * k) / Math.max(share, 0.05) ** 2);
    if (share !== undefined) ways.push({ id: 'load.shareByCurrent', name: 'current', share, off });
  }
  if (demand.speed && w.figures.has('plate.synchronousSpeed')) {
    if (demand.speed.value >= (w.value('plate.synchronousSpeed') ?? 0))
      w.finding(
        'load.speed-read',
        'caution',
        `${demand.speed.text} is not below the synchronous ${w.text('plate.synchronousSpeed')}: ` +
          `read it again, with a strobe or tachometer good to 1 r/min.`,
        { fields: ['load.demand.speed'] },
      );
    else {
      const share = w.figure('load.shareBySlip', shareBySlip, {
        n_s: 'plate.synchronousSpeed',
        n: read.n,
        n_r: 'plate.ratedSpeed',
        U: voltage,
        U_r: 'plate.connectedVoltage',
      });
      if (share !== undefined) ways.push({ id: 'load.shareBySlip', name: 'slip', share, off: 0.25 });
    }
  }
  return ways;
}

/** Power first; current where it may be believed, above half load; slip; current after all. */
function bestWay(ways: readonly Way[]): Way | undefined {
  const by = (id: Way['id']): Way | undefined => ways.find((x) => x.id === id);
  const current = by('load.shareByCurrent');
  return by('load.shareByPower') ?? (current && current.share >= 0.5 ? current : (by('load.shareBySlip') ?? current));
}

function inputOnly({ input, w, practice }: Walk, demand: Readings, P: Given<'W'>): void {
  if (!demand.power) {
    w.want('plate.power');
    w.without('load.motorPower');
    w.finding(
      'load.no-rating',
      'caution',
      'Current and speed tell a load only against a plate: enter the plate’s ' +
        'power, current and speed, or read the input power.',
      { fields: ['plate.power', 'load.demand.power'] },
    );
    return;
  }
  const usual = usualEfficiency(input, practice, demand.power.value, 4);
  w.stated(
    'load.measuredInput',
    'W',
    demand.power.value,
    { kind: 'given', title: 'Given in load.demand.power', fromMemory: false },
    { field: 'load.demand.power', symbol: 'P_in' },
  );
  w.figure('load.motorPower', shaftFromInput, {
    P_in: P,
    eta: {
      ...assumed('plate.efficiency', q(usual.value, '1'), 'no plate: usual for this power, four poles'),
      source: usual.source,
    },
  });
}

function motorSpeed(walk: Walk, demand: Readings, plate: PlateFacts, share: boolean): void {
  const { w, input, practice } = walk;
  if (demand.speed) {
    w.given('load.motorSpeed', 'rpm', 'load.demand.speed', demand.speed.value);
  } else if (share && plate.speed !== undefined && w.figures.has('plate.synchronousSpeed')) {
    w.figure('load.motorSpeed', speedAtShare, {
      n_s: 'plate.synchronousSpeed',
      n_r: 'plate.ratedSpeed',
      x: 'load.share',
    });
  } else {
    const f = input.supply?.frequency?.value ?? practice.frequency;
    w.figure('load.motorSpeed', speedThroughTrain, {
      n_L: assumed(
        'load.demand.speed',
        q((120 * f) / 4, 'rpm'),
        'not read and no plate: synchronous speed of four poles',
      ),
      i: { value: q(1, '1'), text: 'at the motor' },
    });
  }
}

/** Whether the ways agree within what each may be off, and what they say of the motor. */
export function judgeWays({ w }: Walk, ways: readonly Way[], best: Way | undefined): void {
  if (!best) return;
  const figures = ways.map((x) => x.id);
  const said = ways.map((x) => `${x.name} ${percent(x.share)} (± ${percent(x.off)})`).join(', ');
  const apart = ways.some((a) => ways.some((b) => a.share * (1 - a.off) > b.share * (1 + b.off) + 0.02));
  if (ways.length > 1)
    w.finding(
      apart ? 'load.ways-disagree' : 'load.ways-agree',
      apart ? 'caution' : 'note',
      apart
        ? `The ways of reading the load disagree: ${said}. By ${best.name} is taken. Look ` +
            `at the voltage, the plate’s speed and a clamp on one phase only.`
        : `The ways of reading the load agree within their uncertainty: ${said}. By ${best.name} is taken.`,
      { fields: ['load.demand'], figures },
    );
  const current = ways.find((x) => x.id === 'load.shareByCurrent');
  const ratio = w.value('load.shareByCurrentRatio');
  if (current && ratio !== undefined && current.share < 0.5)
    w.finding(
      'load.current-misleads',
      best.id === 'load.shareByCurrent' ? 'caution' : 'note',
      `Below half load current misleads: it is ${percent(ratio)} of rated, but most of it magnetises; ` +
        `the load is nearer ${percent(current.share)}. Read input power instead.`,
      { fields: ['load.demand.current'], figures: ['load.shareByCurrentRatio', 'load.shareByCurrent'] },
    );
  if (best.share > 1)
    w.finding(
      'load.overloaded',
      'caution',
      `The running motor carries ${percent(best.share)} of its rating: it is overloaded, or the plate is misread.`,
      { fields: ['load.demand'], figures: [best.id] },
    );
}
