import { heightOf } from '../../catalogue';
import { commonPractice, remembered, type OutputFilter } from '../../contract';
import { assumed, field, prescribed } from '../../law';
import {
  driveHousing,
  isHoist,
  motorsOn,
  numberOf,
  percent,
  type Needs,
  type Output,
  type Subject,
  type Walk,
} from '../../needs';
import {
  apparentOf,
  chargingCurrent,
  declaredLoss,
  driveEfficiency,
  driveLossAt,
  lossPoints,
  panelAir,
  type LossPoint,
} from '../../physics';
import { bearingSteps, cableWave, farOversize, panelRise, usualCarrier } from '../../practice';
import { q, writeNumber, writeQuantity } from '../../quantity';

const earthingSource = commonPractice(
  'Drives on earthed and unearthed supplies: filters, varistors, voltages to earth',
);
const heightSource = remembered('standard', 'IEC 60664-1', '2020', 'clearances hold to 2000 m');

/** m³/s, exact by the foot. */
const cubicFootAMinute = 0.3048 ** 3 / 60;
/** W of a BTU an hour. */
const british = 0.29307;
/** Heat as those who cool panels say it. */
const heatText = (watts: number): string => `${writeNumber(watts)} W (${writeNumber(watts / british)} BTU/h)`;

const declaredSource = remembered(
  'standard',
  'IEC 61800-9-2',
  '2017',
  'losses as declared at its points, of the apparent power paired with the motor’s rating',
);

/** Heat and air, size against the motor, earthing, height, bearings, bypass and what else stands around it. */
export function tellPlacing(walk: Walk, needs: Needs, subject: Subject, output: Output | undefined): void {
  const { input, w } = walk;
  const power = numberOf(w, subject.power);
  const current = numberOf(w, subject.current);
  if (power === undefined) return;
  const total = motorsOn(needs) * power;
  const declared = needs.fed.losses;
  const apparent = apparentOf(total);
  const taken = total / (subject.efficiency.value ?? 0.9);
  const full = declared ? apparent * declared.s90t100 : driveLossAt(1) * taken;
  const source = declared ? declaredSource : driveEfficiency.source;
  for (const key of Object.keys(lossPoints) as LossPoint[])
    if (input.drive?.losses && input.drive.losses[key] === undefined) w.want(`drive.losses.${key}`);
  w.stated('drive.heat', 'W', q(full, 'W'), source, { symbol: 'P_h', text: heatText(full) });
  const share = Math.min(1.2, (w.value('load.motorPower') ?? power) / power);
  const part = declared ? apparent * declaredLoss(declared, 1, share) : driveLossAt(share) * taken;
  w.stated('drive.heatPart', 'W', q(part, 'W'), source, { symbol: 'P_h', text: heatText(part) });
  const sealed = driveHousing(needs, input.place, power).startsWith('sealed');
  if (!sealed)
    w.figure(
      'drive.airflow',
      panelAir,
      { P: 'drive.heat', dT: prescribed(q(panelRise, 'K'), commonPractice('Air through a panel may warm by 10 K')) },
      { say: (v) => `${writeNumber(v * 3600)} m³/h (${writeNumber(v / cubicFootAMinute)} cfm)` },
    );
  if (subject.method !== 'drive') return;
  const ambient = input.place?.driveAmbient ?? input.place?.ambient;
  if (!sealed) {
    const air = w.figures.get('drive.airflow')?.text ?? '';
    const hot = ambient !== undefined && ambient.value + panelRise > 50;
    w.finding(
      'drive.heat',
      hot ? 'caution' : 'note',
      `${heatText(full)} of heat at full load: ${air} of air through the panel for ${panelRise} K` +
        (hot
          ? `; from ${writeQuantity(ambient.value, 'degC')} it leaves hotter than 50 °C: a cooler, or hang it ` +
            `elsewhere.`
          : '. ') +
        (hot
          ? ''
          : 'Leave the clearances its maker asks above and below; glands that clamp the cable’s screen all round.'),
      { fields: ['place.driveAmbient', 'place.driveHousing'], figures: ['drive.heat', 'drive.airflow'] },
    );
  }
  const rated = w.value('drive.ratedCurrent');
  if (rated !== undefined && current !== undefined && rated > farOversize.value * current * motorsOn(needs))
    w.finding(
      'drive.oversize',
      'caution',
      `The drive’s ${writeQuantity(rated, 'A')} are ${(rated / current).toFixed(1)} times the motor’s current: its ` +
        'protection cannot be set that low. An overload relay of its own, or a smaller drive.',
      { fields: ['drive.motors'], figures: ['drive.ratedCurrent'], source: farOversize.source },
    );
  tellEarthing(walk);
  tellAround(walk, needs, { subject, power, output });
}

function tellEarthing({ input, w }: Walk): void {
  const earthing = input.supply?.earthing;
  const line = input.supply?.voltage?.value;
  const fields = ['supply.earthing'];
  const toEarth = line === undefined ? '' : ` (${writeQuantity(q(line, 'V'), 'V')} to earth here)`;
  if (earthing === 'corner')
    w.finding(
      'drive.earthing',
      'caution',
      `One corner is earthed: two lines carry the whole voltage to earth${toEarth}. Take the drive’s filter ` +
        `capacitors ` +
        'and varistors to earth out as its maker says, and ask whether it is permitted at all.',
      { fields, source: earthingSource },
    );
  else if (earthing === 'isolated' || earthing === 'high-resistance')
    w.finding(
      'drive.earthing',
      'caution',
      `Not earthed solidly: with one line to earth the others rise to the whole line voltage${toEarth} and ` +
        `stay. Take the ` +
        'filter capacitors to earth and the varistors out; watch the insulation; the motor’s winding sees it too.',
      { fields, source: earthingSource },
    );
  else if (earthing === undefined || earthing === 'unknown')
    w.finding(
      'drive.earthing',
      'note',
      'Nobody said how the source is earthed: on an unearthed or corner-earthed one the drive’s filters to ' +
        'earth must ' +
        'come out. Look before it is switched on.',
      { fields, source: earthingSource },
    );
  const altitude = input.place?.altitude;
  if (altitude && altitude.value > 2000)
    w.finding(
      'drive.high',
      'caution',
      `At ${altitude.text}, above 2000 m, air insulates less: a lower overvoltage category, an earthed star or an ` +
        'isolating transformer; ask its maker.',
      { fields: ['place.altitude', 'supply.earthing'], source: heightSource },
    );
}

/** What currents through the bearings ask, by frame (else the rating's usual one) and speed. */
function tellBearings({ input, practice, w }: Walk, needs: Needs, subject: Subject, power: number): void {
  const frame = subject.motor?.frame ?? input.plate?.frame ?? null;
  const height = heightOf(frame, practice.frameSystem, power);
  const rated = numberOf(w, subject.speed) ?? 0;
  const [top, least] = [rated * needs.speed.max, rated * needs.speed.min];
  const from = top >= bearingSteps.fast ? bearingSteps.insulatedFast : bearingSteps.insulated;
  const insulated = height >= from - 3;
  const steps = [
    'a shaft-earthing ring',
    insulated && 'an insulated opposite-drive-end bearing',
    height >= bearingSteps.choke - 3 && 'a common-mode choke',
    'screened symmetrical cable, its screen clamped at both ends',
  ].filter(Boolean);
  const named = frame === null ? 'a frame usual for the rating' : `frame ${frame}`;
  const why = `${named}, ${writeQuantity(q(top, 'rpm'), 'rpm')}`;
  const slow =
    least > 0 && least < bearingSteps.slow
      ? ` Below ${bearingSteps.slow} rpm the grease film hardly parts ball and race: less is discharged there, more ` +
        'wears; ask for the grease and its interval.'
      : '';
  w.finding(
    'drive.bearing-current',
    'note',
    `Shaft voltage from the drive can pit bearings (${why}): ${steps.join(', ')}.${slow}`,
    { source: bearingSteps.source, fields: ['plate.frame', 'speed.max', 'speed.min'] },
  );
}

interface Placed {
  readonly subject: Subject;
  readonly power: number;
  /** What was decided between drive and motor. */
  readonly output: Output | undefined;
}

function tellAround(walk: Walk, needs: Needs, { subject, power, output }: Placed): void {
  const { input, w } = walk;
  const { drive } = input;
  tellBearings(walk, needs, subject, power);
  if (drive?.bypass)
    w.finding(
      'drive.bypass',
      isHoist(input) ? 'caution' : 'note',
      (isHoist(input)
        ? 'A hoist in bypass has no torque proving, no ramp and no hold at low speed: give it none. '
        : '') +
        'A bypass: two contactors that exclude each other, changed over with the motor at rest or its flux gone ' +
        '(1 to 2 s); ' +
        'in bypass it starts on the line, and Guard’s device, contactor and overload are its own.',
      { fields: ['drive.bypass'] },
    );
  if (drive?.safeTorqueOff)
    w.finding(
      'drive.safe-torque-off',
      'note',
      'Safe torque off takes the torque away, not the voltage: it isolates nothing, and a hanging load needs a ' +
        'brake. ' +
        'Its two channels and its test belong to the safety of the machine: whoever answers for that decides.',
      { fields: ['drive.safeTorqueOff'] },
    );
  if (input.supply?.source?.kind === 'generator')
    w.finding(
      'drive.on-generator',
      'note',
      'On a generator a passive filter leads at light load and upsets its regulator: one that switches off, a ' +
        'choke, or an active front end. Nothing may be fed back into it.',
      { fields: ['supply.source', 'drive.rectifier'] },
    );
  w.fact(
    'drive.isolator',
    'A disconnect at the motor',
    'with an early-break contact that takes the drive’s release away before the blades part: opened under way it ' +
      'arcs, closed on a running drive it trips; never a contactor switched carelessly',
    commonPractice('Disconnects between drive and motor'),
    { fields: ['place.cable.length'] },
  );
  tellCharging(walk, needs, output?.filter ?? walk.input.drive?.filter);
}

/** Share of a drive's rating beyond which what its cable is charged with counts. */
const muchCharging = 0.2;

function tellCharging({ input, w }: Walk, needs: Needs, filter: OutputFilter | undefined): void {
  const cable = input.place?.cable?.length;
  const rated = w.value('drive.ratedCurrent');
  if (!cable || filter === 'sine') return;
  const charging = w.figure('drive.chargingCurrent', chargingCurrent, {
    U: field('supply.voltage', input.supply?.voltage?.value, input.supply?.voltage?.text),
    l: field('place.cable.length', cable.value, cable.text),
    v: prescribed(q(cableWave.speed, 'm/s'), cableWave.source),
    Z_0: prescribed(q(cableWave.surge, 'ohm'), cableWave.source),
    f_c: input.drive?.carrier
      ? field('drive.carrier', input.drive.carrier.value, input.drive.carrier.text)
      : assumed('drive.carrier', q(usualCarrier, 'Hz'), 'not given: the usual one'),
  });
  if (charging === undefined || rated === undefined) return;
  const share = (motorsOn(needs) * charging) / rated;
  if (share > muchCharging)
    w.finding(
      'drive.charging',
      'caution',
      `Charging ${cable.text} of screened cable takes about ${writeQuantity(q(charging, 'A'), 'A')}, ` +
        `${percent(share)} of the drive’s rating: it may trip with the motor idle. A lower carrier, a larger drive, ` +
        'an output reactor, or a shorter cable; ask its maker for the longest.',
      { fields: ['place.cable.length', 'drive.carrier'], figures: ['drive.chargingCurrent', 'drive.ratedCurrent'] },
    );
}
