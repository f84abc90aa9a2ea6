import type { DriveCurves, DriveView, Verdict } from '../../case';
import { commonPractice, definition, model } from '../../contract';
import { assumed, field, prescribed, exceeds } from '../../law';
import {
  bothDuties,
  cycleCurrent,
  driveHousing,
  driveHousingSource,
  driveLeft,
  restartsAlone,
  driveOverload,
  matchDrive,
  motorsOn,
  numberOf,
  overloadOfClass,
  percent,
  type Needs,
  type Output,
  type Subject,
  type Walk,
} from '../../needs';
import {
  carrierSource,
  deratedCurrent,
  driveCurrent,
  dutyOverload,
  overloadCurrent,
  singlePhaseShare,
} from '../../practice';
import { q, writeQuantity } from '../../quantity';
import type { DrivenMachine } from '../../physics';
import { tellEnvelope } from './envelope';
import { tellInput } from './input';
import { tellPlacing } from './placing';
import { commandLine, programOf } from './program';
import { tellMotors, tellPulses } from './pulses';
import { runCurve, tellStop, tellStopping } from './stopping';

type Remedy = NonNullable<Verdict['remedy']>;

/**
 * Sizes a drive by amperes for the subject, and says what the motor can do on it, what cable and supply bear, how it
 * stops, and what to program. `verdicts`: what was found of the choice; what it is bought with needs no
 * caution here. `onlyThisStarts`: no other
 * method starts the motor.
 */
export function tellDrive(
  walk: Walk,
  needs: Needs,
  subject: Subject,
  verdicts: readonly Verdict[] = [],
  onlyThisStarts = false,
): DriveTold {
  const { w } = walk;
  const remedies = verdicts.flatMap((v) => v.remedy ?? []);
  w.enter('drive');
  const k = driveOverload(needs);
  const voltage = numberOf(w, subject.voltage);
  w.stated(
    'drive.overload',
    '1',
    q(k, '1'),
    needs.drive?.duty
      ? dutyOverload.source
      : commonPractice(
          '150 % for a minute under constant torque, 120 % under variable torque, more where the case asks',
        ),
    {
      field: needs.drive?.duty ? 'drive.duty' : 'load.shape',
      symbol: 'k',
    },
  );
  const power = numberOf(w, subject.power);
  w.figure('drive.overloadCurrent', overloadCurrent, {
    I_n: subject.current,
    r:
      needs.load.peak === 1
        ? assumed('load.overload.ratio', q(1, '1'), 'no overload described')
        : field(
            needs.load.peak === needs.load.overload ? 'load.overload.ratio' : 'load.cycle',
            q(needs.load.peak, '1'),
          ),
    T_m: 'load.motorTorque',
    T_r: w.figures.has('start.ratedTorque') ? 'start.ratedTorque' : 'plate.ratedTorque',
  });
  const required = w.figure('drive.requiredCurrent', driveCurrent, {
    I_n: subject.current,
    I_o: 'drive.overloadCurrent',
    k: 'drive.overload',
    m: prescribed(q(motorsOn(needs), '1'), definition('Drive', 'motors on it')),
  });
  // What is chosen without a drive is told what one would be, and warned of nothing.
  const spared = !needs.speed.variable && subject.method !== undefined && subject.method !== 'drive';
  const inTime = tellCycle(walk, needs, subject, required);
  if (required !== undefined && voltage !== undefined && power !== undefined)
    chooseSize(walk, needs, { required: Math.max(required, inTime), voltage, power }, spared ? 'note' : 'caution');

  const blown = remedies.some((r) => r.kind === 'blower');
  const envelope = tellEnvelope(walk, needs, subject, blown);
  const {
    pulses,
    remedies: compared,
    output,
  } = tellPulses(
    walk,
    needs,
    subject,
    verdicts.find((v) => v.requirement === 'winding'),
  );
  tellMotors(walk, needs, subject);
  const stopping = tellStopping(walk, needs, subject);
  tellPlacing(walk, needs, subject, output);
  // What no drive feeds, and nobody asked of one, is spared the simulation of its rectifier.
  const drawn = subject.method === 'drive' || walk.input.drive !== undefined ? tellInput(walk, needs, subject) : null;
  if (power !== undefined)
    w.fact('drive.housing', 'Where it hangs', driveHousing(needs, walk.input.place, power), driveHousingSource, {
      fields: ['place.driveHousing', 'rules.driveHousing'],
    });
  tellRemedies(walk, remedies);
  if (!needs.speed.variable && !needs.speed.throttled && subject.method === 'drive' && !onlyThisStarts) {
    w.finding(
      'drive.no-use',
      'caution',
      'Speed is fixed: a drive used only for starting is usually money wasted. ' +
        'It is right where the supply is weak or breakaway is high.',
      { fields: ['speed.need'] },
    );
  }
  if (subject.method === 'drive') {
    w.finding(
      'drive.capacitors',
      'note',
      'A drive’s capacitors stay lethal for minutes after power-off: wait the maker’s time and measure. ' +
        (restartsAlone(walk.input)
          ? 'It restarts by itself, as decided at Guard: guard rotating parts.'
          : 'It is set to restart by hand only; what feeds it may still start it: lock out before hands go in.'),
      { fields: ['guard.restart'] },
    );
  }
  const settings = subject.method !== 'drive' ? [] : [...programOf(walk, needs, subject, stopping, output)];
  return {
    machine: stopping?.machine ?? null,
    output,
    curves: {
      envelope,
      pulses,
      waveform: drawn?.waveform ?? null,
      spectrum: drawn?.spectrum ?? null,
      run: subject.method === 'drive' ? runCurve(needs, subject) : null,
      stop: stopping && subject.method === 'drive' ? tellStop(walk, stopping, settings) : null,
    },
    view: {
      command: commandLine(walk.input),
      settings,
      remedies: compared,
    },
  };
}

/** What Drive tells beyond its figures and findings. */
interface DriveTold {
  readonly curves: DriveCurves;
  readonly view: DriveView;
  /** What stands between drive and motor; undefined where it cannot be said. */
  readonly output: Output | undefined;
  /** To be run in time. */
  readonly machine: DrivenMachine | null;
}

/** The load in time against the overloads of a drive of its class; A that it asks, 0 where it is steady. */
function tellCycle({ w }: Walk, needs: Needs, subject: Subject, required: number | undefined): number {
  const current = numberOf(w, subject.current);
  const ratedTorque = w.value('start.ratedTorque') ?? w.value('plate.ratedTorque');
  if (needs.load.cycle.length === 0 || current === undefined || ratedTorque === undefined) return 0;
  const asked = cycleCurrent(needs, current, ratedTorque);
  if (!Number.isFinite(asked)) return 0;
  w.stated('drive.cycleCurrent', 'A', q(asked, 'A'), overloadModel, { symbol: 'I_c', field: 'load.cycle' });
  if (required !== undefined && exceeds(asked, required))
    w.finding(
      'drive.cycle',
      'note',
      `In time the load asks for ${writeQuantity(asked, 'A')} of a drive that bears ` +
        `${percent(overloadOfClass(needs))} for a minute every ten: its overloads are longer, higher or oftener than ` +
        `that, and they size it.`,
      { fields: ['load.cycle', 'load.overload.duration'], figures: ['drive.cycleCurrent', 'drive.requiredCurrent'] },
    );
  return asked;
}
const overloadModel = model(
  'Overload of a drive in time',
  'thermal equivalent by I²; above its rating the excess of I² as in a minute of its overload, recovered in nine',
);

function chooseSize(
  { practice, w }: Walk,
  needs: Needs,
  { required, voltage, power }: Readonly<Record<'required' | 'voltage' | 'power', number>>,
  level: 'caution' | 'note',
): void {
  const sizes = practice.driveSizes(voltage);
  const { byPower, byCurrent, taken: size } = matchDrive(needs, voltage, required, power);
  if (byPower)
    w.stated('drive.powerMatch', 'W', q(byPower.power, 'W'), sizes.source, {
      symbol: 'P_d',
      text: `${writeQuantity(byPower.power, 'W', practice.words.units)}, ${writeQuantity(byPower.current, 'A')}`,
    });
  if (!size) {
    w.finding(
      'drive.too-large',
      level,
      `The generic ladder ends below ${writeQuantity(required, 'A')}: ask for a drive made for it.`,
      { figures: ['drive.requiredCurrent'] },
    );
    return;
  }
  w.stated('drive.ratedCurrent', 'A', q(size.current, 'A'), sizes.source, { symbol: 'I_d' });
  const { normal, heavy } = bothDuties(needs, sizes.value, size);
  if (normal !== undefined)
    w.stated('drive.normalCurrent', 'A', q(normal, 'A'), dutyOverload.source, { symbol: 'I_nd' });
  if (heavy !== undefined) w.stated('drive.heavyCurrent', 'A', q(heavy, 'A'), dutyOverload.source, { symbol: 'I_hd' });
  w.figure('drive.deratedCurrent', deratedCurrent, {
    I_d: 'drive.ratedCurrent',
    d_d:
      driveLeft(needs) === needs.place.driveDerating
        ? 'place.driveDerating'
        : prescribed(q(driveLeft(needs), '1'), needs.onePhase ? singlePhaseShare.source : carrierSource),
  });
  if (byPower && byCurrent && byPower !== byCurrent) {
    const small = byPower.current < byCurrent.current;
    w.finding(
      'drive.power-match',
      small && size === byPower ? level : 'note',
      `Matched by power it would be the ${byPower.name} drive with ${writeQuantity(byPower.current, 'A')}; by ` +
        `amperes it is ${writeQuantity(byCurrent.current, 'A')}. ` +
        `${small ? 'Amperes decide: the smaller one would trip or burn.' : 'Too large only wastes money.'}`,
      {
        fields: ['rules.driveMatch'],
        figures: ['drive.requiredCurrent', 'drive.powerMatch'],
      },
    );
  }
}

function tellRemedies({ w }: Walk, remedies: readonly Remedy[]): void {
  for (const { kind, text } of remedies)
    if (kind === 'blower')
      w.finding('drive.remedy', 'note', `The choice counts on ${text}: buy it with the motor and drive.`, {
        fields: ['speed.min'],
        figures: ['drive.minSpeed'],
      });
}

export function driveKey({ w }: Walk, chosen: boolean): string {
  const size = w.figures.get('drive.ratedCurrent');
  if (!size) return 'no drive sized';
  return chosen ? `${size.text} drive` : `would be ${size.text}`;
}
