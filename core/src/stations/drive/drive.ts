import type { Verdict } from '../../case';
import { commonPractice, houseRule } from '../../contract';
import { assumed, field } from '../../law';
import { doubledPulse, isVariableTorque } from '../../physics';
import { deratedCurrent, driveCurrent, overloadCurrent, turndownSpeed, houseRules } from '../../practice';
import { q, writeQuantity } from '../../quantity';
import {
  catalogueSource,
  driveOverload,
  matchDrive,
  type Needs,
  numberOf,
  percent,
  type Subject,
  driveHousing,
  driveHousingSource,
  unfilteredLength,
  type Walk,
} from '../../needs';

/** Sizes a drive by amperes for the subject: overload, heat and height, next size; turndown, pulses and cable. */
type Remedy = NonNullable<Verdict['remedy']>;

/**
 * `verdicts`: what was found of the choice; what it is bought with needs no caution here. `onlyThisStarts`: no other
 * method starts the motor.
 */
export function tellDrive(
  walk: Walk,
  needs: Needs,
  subject: Subject,
  verdicts: readonly Verdict[] = [],
  onlyThisStarts = false,
): void {
  const { w } = walk;
  const remedies = verdicts.flatMap((v) => v.remedy ?? []);
  w.enter('drive');
  const variable = isVariableTorque(needs.load.shape);
  const k = driveOverload(needs);
  const voltage = numberOf(w, subject.voltage);
  w.stated(
    'drive.overload',
    '1',
    q(k, '1'),
    commonPractice('150 % for a minute under constant torque, 120 % under variable torque, more where the case asks'),
    {
      field: 'load.shape',
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
  });
  // What is chosen without a drive is told what one would be, and warned of nothing.
  const spared = !needs.speed.variable && subject.method !== undefined && subject.method !== 'drive';
  if (required !== undefined && voltage !== undefined && power !== undefined)
    chooseSize(walk, needs, { required, voltage, power }, spared ? 'note' : 'caution');

  turndown(
    walk,
    needs,
    subject,
    variable,
    remedies.some((r) => r.kind === 'blower'),
  );
  pulses(
    walk,
    subject,
    verdicts.find((v) => v.requirement === 'winding'),
  );
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
      'A drive’s capacitors stay lethal for minutes after power-off: wait the maker’s time ' +
        'and measure. Expect an automatic restart; guard rotating parts.',
      {},
    );
    w.finding(
      'drive.bearing-current',
      'note',
      'Shaft voltage from the drive can pit bearings: a grounding ring, and on ' +
        'larger motors an insulated opposite-drive-end bearing as well.',
      {},
    );
  }
}

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
  w.figure('drive.deratedCurrent', deratedCurrent, { I_d: 'drive.ratedCurrent', d_d: 'place.driveDerating' });
  if (byPower && byCurrent && byPower !== byCurrent) {
    const small = byPower.current < byCurrent.current;
    w.finding(
      'drive.power-match',
      small ? level : 'note',
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

function turndown({ w }: Walk, needs: Needs, subject: Subject, variable: boolean, blown: boolean): void {
  const ratio = variable
    ? (subject.turndown.variableTorque ?? subject.turndown.constantTorque)
    : subject.turndown.constantTorque;
  const path = `plate.inverterDuty.${variable ? 'variableTorque' : 'constantTorque'}`;
  const common = variable ? 10 : 2;
  const given =
    ratio === undefined
      ? assumed(path, q(common, '1'), 'no inverter-duty ratio: common practice for a general-purpose motor')
      : field(subject.kind === 'plate' ? path : 'motor', q(ratio, '1'));
  const least = w.figure('drive.minSpeed', turndownSpeed, { n_r: subject.speed, k: given });
  const asked = needs.speed.min * needs.load.speed;
  if (!blown && needs.speed.variable && least !== undefined && asked < least) {
    w.finding(
      'drive.below-turndown',
      'caution',
      `${percent(needs.speed.min)} speed is ${writeQuantity(asked, 'rpm')}; on this load the motor will ` +
        `overheat below ${writeQuantity(least, 'rpm')}. Fit a blower, gear down, or take a larger motor.`,
      {
        fields: ['speed.min'],
        figures: ['drive.minSpeed'],
      },
    );
  }
  if (needs.speed.variable && asked > 0 && asked < 30) {
    w.finding(
      'drive.encoder',
      'caution',
      `${writeQuantity(asked, 'rpm')} is below 30 r/min: use an encoder, or the speed will not hold.`,
      { fields: ['speed.min'] },
    );
  }
  if (subject.maxSpeed === undefined) return;
  if (subject.kind === 'plate') w.given('drive.maxSpeed', 'rpm', 'plate.maxSpeed', subject.maxSpeed);
  else if (subject.motor)
    w.stated('drive.maxSpeed', 'rpm', subject.maxSpeed, catalogueSource(subject.motor), { symbol: 'n_max' });
  const top = needs.speed.max * needs.load.speed;
  if (needs.speed.variable && top > subject.maxSpeed) {
    w.finding(
      'drive.above-max-speed',
      'stop',
      `${writeQuantity(top, 'rpm')} is above the motor’s maximum safe ` +
        `speed of ${writeQuantity(subject.maxSpeed, 'rpm')}.`,
      {
        fields: ['speed.max'],
        figures: ['drive.maxSpeed'],
      },
    );
  }
}

function pulses({ input, rules, w }: Walk, subject: Subject, winding: Verdict | undefined): void {
  const supply = field('supply.voltage', input.supply?.voltage?.value, input.supply?.voltage?.text);
  const peak = w.figure('drive.peakVoltage', doubledPulse, { U: supply });
  if (peak === undefined) return;
  const metres = unfilteredLength(rules, supply.value ?? 0, subject.pulseRating ?? 0, subject.inverterDuty);
  if (metres === Infinity) return;
  w.stated(
    'drive.cableLimit',
    'm',
    q(metres, 'm'),
    houseRule(houseRules.leadLength.title, houseRules.leadLength.reason),
    {
      field: 'rules.leadLength',
      symbol: 'l_max',
      assumed: rules.leadLength === 'calculated' ? 'the drive’s rise time is not known: the 15 m fallback' : undefined,
    },
  );
  const cable = input.place?.cable?.length;
  const filtered = winding?.remedy != null;
  // What the choice accepts as it is, by a house rule, is not doubted here.
  const accepted = winding?.outcome === 'pass' && !filtered;
  if (subject.method === 'drive' && cable && cable.value > metres && !accepted) {
    const cure = rules.outputReactor === 'accept' ? 'a dV/dt filter or an output reactor' : 'a dV/dt filter';
    w.finding(
      'drive.cable-too-long',
      filtered ? 'note' : 'caution',
      `${cable.text} of motor cable, ${metres} m without a filter: pulses may double to ` +
        `${writeQuantity(peak, 'V')} at the motor. ` +
        `${
          filtered
            ? `The choice counts ${cure}.`
            : `Fit ${cure}, hang the drive nearer, or take an inverter-duty motor.`
        }`,
      {
        fields: ['place.cable.length'],
        figures: ['drive.peakVoltage', 'drive.cableLimit'],
      },
    );
  }
}

export function driveKey({ w }: Walk, chosen: boolean): string {
  const size = w.figures.get('drive.ratedCurrent');
  if (!size) return 'no drive sized';
  return chosen ? `${size.text} drive` : `would be ${size.text}`;
}
