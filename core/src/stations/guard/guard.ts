import type { GuardCurves, GuardView } from '../../case';
import { definition, type FigureId } from '../../contract';
import { prescribed, type Given } from '../../law';
import { conductorCurrent, overloadDial, overloadTrip } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import {
  conductorBasis,
  isEmergency,
  numberOf,
  percent,
  type Needs,
  type Output,
  type Subject,
  type Walk,
} from '../../needs';
import { tellCable, type Circuit } from './cable';
import { tellCapacitors } from './capacitors';
import { chartOf, chartSource } from './chart';
import { tellCoordination } from './coordination';
import { deviceTaken, tellDevices } from './devices';
import { judgeListed, judgeUnmarked, tellEarthFault, tellFault, tellLeakage } from './fault';
import { tellFeeder } from './feeder';
import { partsOf, schemeOf } from './parts';
import { judgeDial, sitsInDelta, tellRelay } from './relay';
import { settingsOf } from './settings';
import { watchesOf } from './watches';

/** What Guard tells beyond its figures and findings. */
export interface GuardTold {
  readonly curves: GuardCurves | null;
  readonly view: GuardView | null;
}

/** Overload dial and trip from plate current, table current, and the least ampacity of the conductors. */
export function tellGuard(walk: Walk, subject: Subject, needs?: Needs, output?: Output): GuardTold {
  const { practice, w } = walk;
  w.enter('guard');
  if (isEmergency(walk.input)) {
    w.without('guard.overloadDial', 'guard.overloadTrip', 'guard.conductorCurrent', 'guard.availableFault');
    w.finding(
      'guard.emergency',
      'caution',
      'Fire pumps and emergency duty have rules of their own: no dial, trip or branch device is given here, for ' +
        'such a motor may have to run until it fails. Whoever answers for that duty decides.',
      { fields: ['guard.role', 'name'] },
    );
    return { curves: null, view: null };
  }
  const power = numberOf(w, subject.power);
  const voltage = numberOf(w, subject.voltage);
  const current = numberOf(w, subject.current);
  if (power === undefined || voltage === undefined || current === undefined) return { curves: null, view: null };
  const speed = numberOf(w, subject.speed);
  const { table, byTable, slow } = conductorBasis(walk, { power, voltage, current, speed });
  if (table) w.stated('guard.tableCurrent', 'A', q(table.value, 'A'), table.source, { symbol: 'I_t' });
  else {
    w.finding(
      'guard.no-table-current',
      'caution',
      `The code’s table has no current for ${writeQuantity(power, 'W')} at ${writeQuantity(voltage, 'V')}: ` +
        `the plate current is used, and a licensed electrician decides.`,
      { fields: ['supply.voltage'] },
    );
  }
  const low = practice.lowSpeed;
  if (slow && low && table)
    w.finding(
      'guard.low-speed',
      'note',
      `A motor of less than ${writeQuantity(low.value, 'rpm')} may draw more than the table says: its plate ` +
        `current of ${writeQuantity(current, 'A')} stands for the table’s ${writeQuantity(table.value, 'A')}.`,
      { figures: ['guard.tableCurrent', 'guard.conductorCurrent'], source: low.source },
    );
  w.figure(
    'guard.conductorCurrent',
    conductorCurrent,
    {
      k: prescribed(q(practice.conductorFactor.value, '1'), practice.conductorFactor.source),
      I: byTable ? 'guard.tableCurrent' : subject.current,
    },
    { source: practice.conductorFactor.source },
  );

  const insideDelta = sitsInDelta(walk, subject);
  w.figure('guard.overloadDial', overloadDial, {
    c: prescribed(
      q(insideDelta ? 1 / Math.sqrt(3) : 1, '1'),
      definition('Overload relay', insideDelta ? 'inside the delta: 1/√3 = 0.58' : 'in the line'),
    ),
    I_n: subject.current,
  });
  const rule = practice.overload(subject.serviceFactor.value, subject.temperatureRise);
  const I = 'guard.overloadDial';
  const factor = (k: number): Given<'1'> => ({
    ...subject.serviceFactor,
    value: q(k, '1'),
    source: rule.source,
    text: `${k} for ${rule.because}`,
  });
  w.figure('guard.overloadTrip', overloadTrip, { k: factor(rule.trip), I }, { source: rule.source });
  if (rule.maximum !== undefined) {
    w.figure('guard.overloadMaximum', overloadTrip, { k: factor(rule.maximum), I }, { source: rule.source });
  }
  w.finding(
    'guard.dial',
    'note',
    rule.maximum === undefined
      ? 'Dial the relay at the plate current; its trip factor is built in.'
      : 'Many relays have the factor built in and are dialled at the plate current: dialling 125 % on such a one ' +
          'permits about 150 %. The higher maximum is only for a motor that cannot otherwise start.',
    { figures: ['guard.overloadDial', 'guard.overloadTrip'], source: rule.source },
  );
  const dial = judgeDial(walk, rule, insideDelta);
  const needed = numberOf(w, 'guard.conductorCurrent');
  const circuit = needed === undefined ? undefined : tellCable(walk, subject, needed, current);
  const relay = tellRelay(walk, needs, subject);
  tellDevices(walk, subject, circuit);
  const device = subject.method === 'drive' ? undefined : deviceTaken(walk);
  tellFault(walk, subject, circuit);
  tellEarthFault(walk, circuit, device, relay);
  tellLeakage(walk, subject);
  tellFeeder(walk, subject);
  tellCapacitors(walk, subject, needs);
  const value = (id: FigureId): number | undefined => w.figures.get(id)?.value;
  const combination = tellCoordination(walk, subject, current / (value('guard.boardFactor') ?? 1));
  const asksBuilder = w.findings.some((f) => f.id === 'guard.no-combination');
  if (combination.taken === null && !asksBuilder) judgeUnmarked(walk);
  if (combination.taken === null) judgeListed(walk, subject);
  tellHotBoard(walk, combination.taken !== null);
  if (subject.method === 'drive')
    w.finding(
      'guard.drive-device',
      'note',
      `Its maker names the device before a drive: ask. ${beforeDrive(walk)} These figures are the motor’s side and a ` +
        'bypass.',
      { fields: ['method'], figures: w.figures.has('drive.ratedInput') ? ['drive.ratedInput'] : [] },
    );
  const locked = value('motor.startingCurrent');
  const stall = value('start.stallTime');
  const chart =
    relay &&
    chartOf({
      relay,
      device,
      contactor:
        subject.method === 'star-delta' ? undefined : (combination.taken?.ac3 ?? value('guard.contactorRating')),
      tested: combination.taken !== null,
      opensItself: schemeOf(walk, subject, combination.taken) === 'two-part',
      withstand: withstandOf(circuit, value('guard.cableWithstand')),
      letThrough: walk.input.guard?.letThrough?.value,
      fault: value('guard.availableFault'),
      faultAtMotor: value('guard.faultAtMotor'),
      firstCrest: subject.method === 'direct' ? value('start.direct.firstPeak') : undefined,
      stall:
        locked === undefined || stall === undefined
          ? undefined
          : { current: locked, time: stall, trips: value('guard.tripAtStall') },
    });
  for (const { id, outcome, text, figures } of chart?.crossings ?? [])
    if (outcome !== 'pass' && outcome !== 'condition' && !toldElsewhere.has(id))
      w.finding('guard.crossing', id === 'within-contactor' ? 'note' : 'caution', text, {
        fields: id === 'protects-cable' ? ['guard.device', 'guard.cable.area'] : ['guard.device'],
        figures,
        source: chartSource,
      });
  return {
    curves: chart?.curves ?? null,
    view: {
      scheme: schemeOf(walk, subject, combination.taken),
      parts: [...partsOf(walk, subject, { device, circuit, needs, output, tested: combination.taken })],
      combination,
      dial: subject.method === 'drive' ? null : dial,
      crossings: [...(chart?.crossings ?? [])],
      settings: [...settingsOf(walk, needs, subject, (w.figures.get('guard.dialSet') ?? w.figures.get(I))?.text ?? '')],
      watches: [...watchesOf(walk, subject)],
    },
  };
}

/** A board that leaves its parts this little is cooled before it is filled (common practice). */
const littleLeft = 0.8;

/** What a warm, tight board takes of its parts, said where they are taken. */
function tellHotBoard({ input, w }: Walk, tested: boolean): void {
  const left = w.value('guard.boardFactor');
  if (left === undefined || left > 0.995) return;
  const { ambient, protection, mounting } = input.guard?.board ?? {};
  const what = [ambient?.text, protection, mounting === 'withdrawable' ? 'withdrawable' : '']
    .filter(Boolean)
    .join(', ');
  w.finding(
    'guard.board',
    left < littleLeft ? 'caution' : 'note',
    `The board (${what}) leaves its parts ${percent(left)} of their ratings: contactor and combination are ` +
      `taken for the motor’s current ÷ ${left.toFixed(2)}. ` +
      (tested ? 'Combinations are tested at 40 °C: ask the builder for its rating in this board' : 'Ask the builder') +
      ', and whether its thermal release is compensated.',
    { fields: ['guard.board.ambient', 'guard.board.protection'], figures: ['guard.boardFactor'] },
  );
}

/** What the conductors before a drive are sized by: its input current at rated load, as far as it is known. */
function beforeDrive({ practice, w }: Walk): string {
  const { value: factor } = practice.driveInputFactor;
  const rated = w.figures.get('drive.ratedInput');
  const asked = factor === 1 ? '' : `${Math.round(100 * factor)} % of `;
  return rated
    ? `Its conductors carry ${asked}its rated input current, simulated ${rated.text} for this motor: ` +
        `${writeQuantity(factor * rated.value, 'A')} at least, and more if the drive’s plate says more.`
    : `Its conductors carry ${asked}its rated input current, which its plate says.`;
}

/** Crossings that have findings of their own. */
const toldElsewhere: ReadonlySet<string> = new Set(['outlasts-start', 'trips-before-stall']);

/** Conductors side by side share a fault. */
const withstandOf = (circuit: Circuit | undefined, one: number | undefined): number | undefined =>
  circuit && one !== undefined ? one * circuit.conductors.count ** 2 : undefined;

export function guardKey({ w }: Walk): string {
  const dial = w.figures.get('guard.dialSet') ?? w.figures.get('guard.overloadDial');
  return dial ? `dial ${dial.text}` : 'nothing to guard';
}
