import type { Case } from '../../case';
import { commonPractice, type FigureId, type Source } from '../../contract';
import { field } from '../../law';
import {
  coolingSource,
  doubtPlate,
  enclosureWordsSource,
  frameOf,
  mountingSource,
  protectionSource,
  readCooling,
  enclosureOf,
  readDuty,
  readEnclosure,
  readMounting,
  readProtection,
  wildlyOff,
} from '../../nameplate';
import { classLimit, insulationSource, permittedRise, turndownSpeed, type Practice } from '../../practice';
import { q } from '../../quantity';
import type { Walk } from '../../needs';

type OldPlate = NonNullable<Case['plate']>;

export function frame({ w, practice, input }: Walk, stamped: string, made: Practice, poles: number | undefined): void {
  const found = frameOf({ frame: stamped }, made, practice, poles);
  if (!found) {
    w.finding(
      'plate.unreadable',
      'caution',
      `"${stamped}" is not a frame of this practice: no shaft height follows from it.`,
      {
        fields: ['plate.frame'],
      },
    );
    return;
  }
  const inches = (mm: number): string => `${Number(mm.toFixed(1))} mm (${Number((mm / 25.4).toFixed(3))} in)`;
  const dimensions: readonly (readonly [FigureId, number | undefined, string])[] = [
    ['plate.shaftHeight', found.shaftHeight, 'H'],
    ['plate.feetAcross', found.feetAcross, 'A'],
    ['plate.feetAlong', found.feetAlong, 'B'],
    ['plate.shaftDiameter', found.shaftDiameter, 'D'],
    ['plate.shaftLength', found.shaftLength, 'E'],
  ];
  for (const [id, mm, symbol] of dimensions)
    if (mm !== undefined)
      w.stated(id, 'mm', q(mm, 'mm'), found.source, { field: 'plate.frame', symbol, text: inches(mm) });
  for (const suffix of found.suffixes) {
    if (suffix.letter === 'Y')
      w.finding(
        'plate.special-mounting',
        'caution',
        `Suffix Y on frame ${stamped}: special mounting dimensions; often it can be adapted. Measure the feet.`,
        { fields: ['plate.frame'] },
      );
    else if (suffix.kind === 'special')
      w.finding(
        'plate.special-shaft',
        'caution',
        `Suffix ${suffix.letter} on frame ${stamped}: a ${suffix.meaning}` +
          (suffix.letter === 'Z'
            ? ', which usually means the original maker.'
            : ': only a motor made so fits the machine.'),
        { fields: ['plate.frame'] },
      );
  }
  const series = {
    T: 'NEMA, T series since 1964',
    U: 'NEMA, U series of 1952 to 1964',
    first: 'NEMA, first series, before 1952',
    small: 'NEMA, small frame',
    iec: 'IEC',
    unlisted: 'not in the lists here',
  };
  const suffixes = found.suffixes
    .filter((s) => s.letter !== 'T' && s.letter !== 'U')
    .map((s) => `${s.letter}: ${s.meaning}`);
  w.fact('plate.frame', 'Frame', [`${series[found.series]}`, ...suffixes].join('; '), found.source, {
    fields: ['plate.frame'],
  });
  const power = w.value('plate.ratedPower');
  if (power === undefined || poles === undefined) return;
  const open = input.plate !== undefined && enclosureOf(input.plate, made) === 'open';
  const own = made.standardFrame(power, poles, { open, series: found.series });
  const today = made.standardFrame(power, poles, { open });
  if (!today) return;
  const digits = (t: string): string => /\d+[SML]?/.exec(t)?.[0] ?? t;
  const then = own ?? today;
  const said =
    digits(then.value) === digits(stamped.toUpperCase())
      ? `${then.value}, as stamped`
      : `${then.value} for this rating; the plate says ${stamped}`;
  w.fact(
    'plate.standardFrame',
    'Standard frame',
    then === today || then.value === today.value ? said : `${said}; today ${today.value}`,
    then.source,
    {
      fields: ['plate.frame'],
      figures: ['plate.ratedPower', 'plate.poles'],
    },
  );
}

export function drivesAndSpeeds({ w }: Walk, plate: OldPlate): void {
  const duty = plate.inverterDuty;
  const kinds = [
    ['plate.minSpeedVariableTorque', 'variableTorque', duty?.variableTorque],
    ['plate.minSpeedConstantTorque', 'constantTorque', duty?.constantTorque],
  ] as const;
  for (const [id, name, ratio] of kinds) {
    if (ratio === undefined) continue;
    const path = `plate.inverterDuty.${name}`;
    w.figure(id, turndownSpeed, { n_r: 'plate.ratedSpeed', k: field(path, q(ratio, '1')) });
    if (ratio >= 1000)
      w.finding(
        'plate.turndown',
        'caution',
        `${ratio}:1 deserves doubt: the motor may survive it, the load and the speed regulation may not.`,
        { fields: [path], doubt: true, source: commonPractice('Turndown ratios on plates') },
      );
  }
}

/** What codes and words on the plate mean. */
export function words({ w }: Walk, plate: OldPlate): void {
  const say = (id: string, label: string, text: string | undefined, source: Source, path: string): void => {
    if (text !== undefined) w.fact(id, label, text, source, { fields: [path] });
  };
  const ip = [plate.protection, plate.enclosure]
    .map((t) => (t ? readProtection(t) : undefined))
    .find((x) => x !== undefined);
  say(
    'plate.protection',
    'Protection',
    ip && `${ip.code}: ${ip.words}`,
    protectionSource,
    plate.protection ? 'plate.protection' : 'plate.enclosure',
  );
  say(
    'plate.enclosure',
    'Enclosure',
    plate.enclosure && readEnclosure(plate.enclosure),
    enclosureWordsSource,
    'plate.enclosure',
  );
  const ic = plate.cooling ? readCooling(plate.cooling) : undefined;
  say('plate.cooling', 'Cooling', ic && `${ic.code}: ${ic.words}`, coolingSource, 'plate.cooling');
  say('plate.mounting', 'Mounting', plate.mounting && readMounting(plate.mounting), mountingSource, 'plate.mounting');
  const limit = (classLimit as Readonly<Record<string, number>>)[plate.insulation ?? ''];
  if (limit !== undefined) {
    const rise = permittedRise[plate.riseClass ?? plate.insulation ?? ''];
    say(
      'plate.insulation',
      'Insulation',
      `${plate.insulation}: ${limit} °C at the hottest spot` +
        (rise === undefined ? '' : `, ${rise} K rise at 40 °C`) +
        (rise !== undefined && plate.riseClass && plate.riseClass !== plate.insulation
          ? ` (used as class ${plate.riseClass})`
          : '') +
        '; each 10 °C over halves its life',
      insulationSource,
      'plate.insulation',
    );
  }
  if (plate.duty === undefined) return;
  const duty = readDuty(plate.duty);
  if (!duty) {
    w.finding('plate.duty-unread', 'note', `Duty "${plate.duty}" is not understood: continuous is not shown.`, {
      fields: ['plate.duty'],
    });
    return;
  }
  say('plate.duty', 'Duty', duty.words, duty.source, 'plate.duty');
  if (!duty.continuous)
    w.finding(
      'plate.short-duty',
      'caution',
      `Duty "${plate.duty}" (${duty.words}): a motor rated for minutes or a part of the time must ` +
        `not run all day. Choose a continuous rating unless the work is as short.`,
      { fields: ['plate.duty'], source: duty.source },
    );
}

/** Every way the plate contradicts itself, with the misreading that would explain it. */
export function doubts({ w, input }: Walk, plate: OldPlate, made: Practice): void {
  // A plate that is silent on it is doubted at the frequency that feeds it, else at the usual one; that is no doubt of
  // the frequency itself.
  const { supply } = input;
  const frequency = plate.frequency ?? supply?.frequency ?? { value: made.frequency, text: `${made.frequency} Hz` };
  for (const doubt of doubtPlate({ ...plate, frequency }, made)) {
    if (!plate.frequency && !supply?.frequency && doubt.fields.some((f) => f.endsWith('frequency'))) continue;
    const likely = doubt.misreadings.map((m) => m.why);
    const stop = doubt.id === 'plate.speed-not-below-synchronous' && !doubt.text.includes('synchronous speed itself');
    // A reason lets it stand; until then nothing is sized from it.
    const wild = (doubt.factor ?? 1) >= wildlyOff;
    w.finding(
      doubt.id,
      stop || wild ? 'stop' : 'caution',
      likely.length > 0 ? `${doubt.text} Misread? ${likely.join('; ')}.` : doubt.text,
      {
        fields: doubt.fields.map((f) => `plate.${f}`),
        source: doubt.source,
        doubt: !stop,
        suggestions: doubt.misreadings.map((m) => ({ ...m, field: `plate.${m.field}` })),
      },
    );
  }
}
