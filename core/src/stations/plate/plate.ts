import { field, prescribed, type Given, type Workings } from '../../law';
import {
  blockFor,
  enclosureOf,
  frameOf,
  hazardMark,
  hazardSource,
  nearestPair,
  pairsOf,
  serviceFactorOf,
  specialParts,
  traditionOf,
  foreignSigns,
  valueAt,
  type Block,
  type Pair,
  constantLossSaid,
  isUsualConstantLoss,
  kindSource,
  kindsOf,
  type KindFound,
} from '../../nameplate';
import {
  apparentPower,
  efficiencyFromPlate,
  inputFromCurrent,
  inputFromEfficiency,
  lockedRotorFromCode,
  lockedRotorRatio,
  multipleOfTorque,
  polesFromSpeed,
  powerFactorFromPlate,
  powerFromPlate,
  slip,
  synchronousSpeed,
  torqueFromPower,
  constantLossShare,
} from '../../physics';
import { practices, type Practice, type VoltageFit } from '../../practice';
import { q, writeQuantity, type Q } from '../../quantity';
import type { Case, Plate } from '../../case';
import { atOtherFrequency, atThisVoltage, connection, serviceFactor, tableCurrent, type Connected } from './supply';
import { doubts, drivesAndSpeeds, frame, words } from './words';
import { percent, type PlateFacts, type Walk } from '../../needs';

type OldPlate = NonNullable<Case['plate']>;

/**
 * Reads the existing motor's plate: connects the pair that fits the supply, works out what is not stamped, doubts it.
 */
export function readPlate(walk: Walk): PlateFacts {
  const { input, w } = walk;
  w.enter('plate');
  const plate = input.plate;
  if (!plate || Object.keys(plate).length === 0) return {};
  condition(walk, plate);
  outOfField(walk, plate);
  certified(walk, plate);
  const kinds = special(walk, plate);
  // Doubts and standard frames follow the tradition the motor was made in; the case's practice is whose code it runs
  // under.
  const made = traditionOf(plate, practices, walk.practice);
  tradition(walk, plate);
  const { block, path } = blockFor(plate, input.supply?.frequency?.value);
  const frequency = block.frequency?.value ?? input.supply?.frequency?.value;
  const pair = connect(walk, block, made);
  const power = valueAt(block.power?.groups, pair.index);
  const speed = speedOf(walk, block, pair.index);

  w.given('plate.ratedSpeed', 'rpm', `${path}.speed`, speed);
  if (pair.voltage !== undefined) {
    w.given('plate.connectedVoltage', 'V', `${path}.voltage`, pair.voltage);
    w.given('plate.connectedCurrent', 'A', `${path}.current`, pair.current);
  } else {
    if (!plate.voltage) w.want('plate.voltage');
    w.without('plate.connectedVoltage', 'plate.connectedCurrent');
  }
  ratedPower(walk, plate, path, power);

  const poles = polesAndSlip(w, frequency, block.frequency ? `${path}.frequency` : 'supply.frequency');
  w.figure('plate.ratedTorque', torqueFromPower, { P: 'plate.ratedPower', n: 'plate.ratedSpeed' });
  w.figure('plate.apparentPower', apparentPower, { U: 'plate.connectedVoltage', I: 'plate.connectedCurrent' });
  const second = path === 'plate' ? undefined : plate.alternate;
  efficiencyAndPowerFactor(walk, {
    efficiency: second?.efficiency ?? plate.efficiency,
    powerFactor: second?.powerFactor ?? plate.powerFactor,
    efficiencyMinimum: plate.efficiencyMinimum,
  });
  if (!second?.efficiency) partLoad(walk, plate);
  efficiencyClass(walk, made, poles);
  lockedRotor(walk, plate);
  designTorques(walk, plate, made, poles, frequency);
  tableCurrent(walk);
  connection(walk, block, pair, plate, made);
  serviceFactor(walk, plate, pair, frequency);
  atThisVoltage(walk, block, plate, frequency);
  atOtherFrequency(walk, block, path, frequency);
  if (plate.frame) frame(walk, plate.frame, made, poles);
  drivesAndSpeeds(walk, plate);
  words(walk, plate);
  doubts(walk, plate, made);

  return {
    power: w.value('plate.ratedPower'),
    voltage: pair.voltage,
    current: pair.current,
    speed,
    frequency,
    poles,
    frame: plate.frame,
    special: specialParts(plate, frameOf(plate, made, walk.practice, poles)),
    enclosure: enclosureOf(plate, walk.practice),
    serviceFactor: serviceFactorOf(plate, input.supply?.frequency?.value).value,
    kinds,
  };
}

function condition({ w }: Walk, plate: OldPlate): void {
  if (plate.condition !== 'missing' && plate.condition !== 'burnt') return;
  w.finding(
    'plate.unreadable',
    'caution',
    plate.condition === 'burnt'
      ? 'A burnt plate is itself a finding: the motor was overheated. ' +
          'Replace it, measure the load, and ask what heated it.'
      : 'No plate: measure the motor (feet, shaft, currents) and the load; what ' +
          'follows is an estimate until the new plate is read.',
    { fields: ['plate.condition', 'measured.shaftHeight'] },
  );
}

/** Machines Pilgrim does not know: it stops and says so. */
function outOfField({ w }: Walk, plate: OldPlate): void {
  if (plate.phases !== undefined && plate.phases !== 3) {
    w.finding(
      'plate.single-phase',
      'stop',
      `The plate says ${plate.phases} phase${plate.phases === 1 ? '' : 's'}. Pilgrim knows three-phase ` +
        `induction motors only: choose this one with its maker or a specialist.`,
      { fields: ['plate.phases'] },
    );
  }
  const other =
    /permanent|\bPM|brushless|wound|slip ?ring|synchronous|reluctance|armature|shunt|\bd\.?c\b|direct current/i.exec(
      (plate.kind ?? '').replace(/asynchronous/gi, ''),
    );
  if (other) {
    w.finding(
      'plate.not-cage',
      'stop',
      `The plate says "${plate.kind}". Pilgrim knows three-phase cage induction motors only: permanent-magnet, ` +
        `brushless, wound-rotor and direct-current machines are chosen with their maker or a specialist.`,
      { fields: ['plate.kind'] },
    );
  }
  if (plate.remarks) {
    w.finding(
      'plate.remarks',
      'note',
      `Remarks are kept as stamped: "${plate.remarks}". Pilgrim reads no permission from them: the area ` +
        `classification and the choice for a hazardous place come from a competent person.`,
      { fields: ['plate.remarks'] },
    );
  }
}

/**
 * A motor made for an explosive atmosphere is never answered by an ordinary one, unless somebody states that the place
 * is none.
 */
function certified({ input, w }: Walk, plate: OldPlate): void {
  const mark = hazardMark(plate);
  if (!mark) return;
  const cleared = input.place?.hazardous === false;
  w.finding(
    'plate.hazardous',
    cleared ? 'caution' : 'stop',
    cleared
      ? `The plate says "${mark.words}": that motor was made for an explosive atmosphere, and this place is ` +
          `stated to be none. What is chosen here is an ordinary motor: keep on paper who stated ` +
          `it, and never put it where the old one was certified to stand.`
      : `The plate says "${mark.words}": a motor made for an explosive atmosphere. No ordinary motor takes its ` +
          `place: the area classification and the certified motor, with its starter or drive, come from a ` +
          `competent person. Where the place is none, state so, and the choice goes on.`,
    { fields: [`plate.${mark.field}`, 'place.hazardous'], source: hazardSource },
  );
}

/**
 * What the plate says in words of its motor, that the next one must be or have as well. Where a person says that the
 * brake is the machine's, or none, it is not asked again; a motor that stays loses nothing.
 */
function special({ input, w }: Walk, plate: OldPlate): readonly KindFound[] {
  const stays = input.motor?.existing === true;
  const braked = input.load?.brake;
  const kinds = kindsOf(plate).filter(
    (k) => !(k.kind === 'other-machine' && w.findings.some((f) => f.id === 'plate.not-cage')),
  );
  for (const { kind, level, words, field: path, is, ask } of kinds) {
    if (kind === 'two-speed') continue;
    const answered =
      stays ||
      (kind === 'brake' && braked !== undefined) ||
      input.waived?.some((v) => v.requirement === `keeps-${kind}`);
    const fields = [`plate.${path}`, ...(kind === 'brake' ? ['load.brake'] : [])];
    const text = `The plate says "${words}": ${is}. ${ask}`;
    if (kind === 'other-machine') w.finding('plate.not-cage', 'stop', text, { fields, source: kindSource });
    else
      w.finding('plate.special-motor', level === 'caution' && answered ? 'note' : level, text, {
        fields,
        source: kindSource,
      });
  }
  return kinds;
}

function connect(walk: Walk, block: Block, made: Practice): Connected {
  const { input, practice, w } = walk;
  const pairs = pairsOf(block);
  const first = pairs[0];
  if (!first) return { index: 0 };
  if (block.current && block.current.groups.length !== block.voltage?.groups.length) {
    w.finding(
      'plate.current-inconsistent',
      'caution',
      `"${block.voltage?.text ?? ''}" has ${block.voltage?.groups.length} connection(s), ` +
        `"${block.current.text}" has ${block.current.groups.length}: the groups ` +
        `do not match, so no current can be paired with a voltage.`,
      { fields: ['plate.voltage', 'plate.current'], doubt: true },
    );
  }
  const supply = input.supply?.voltage;
  if (!supply) {
    if (pairs.length > 1) whichVoltage(w, pairs, made);
    return pairs.length === 1 ? first : { index: 0 };
  }
  const best = nearestPair(block, supply.value, input.supply?.frequency?.value, practice);
  if (!best) return { index: 0 };
  if (best.fit.outcome !== 'pass') mismatch(walk, block, supply.text, best.pair, best.fit);
  return best.fit.outcome === 'fail' ? { index: best.pair.index } : best.pair;
}

/** A plate for several voltages and no supply: asked, never guessed. */
function whichVoltage(w: Workings, pairs: readonly Pair[], practice: Practice): void {
  w.want('supply.voltage');
  const own = pairs.map((p) => writeQuantity(p.voltage, 'V'));
  const supplies = new Map(
    pairs.map((p): [string, Q<'V'>] => [writeQuantity(practice.supplyFor(p.voltage).value, 'V'), p.voltage]),
  );
  w.finding(
    'plate.several-voltages',
    'caution',
    `The plate can be connected for ${own.slice(0, -1).join(', ')} or ${own.at(-1)}: say what the supply is. ` +
      `Its current, and with no other load its rating as the load, wait for that.`,
    {
      fields: ['supply.voltage', 'plate.voltage'],
      source: practice.supplyFor(pairs[0]?.voltage ?? 0).source,
      suggestions: [...supplies].map(([value, volts]) => ({
        field: 'supply.voltage',
        value,
        why: `then it is connected for ${writeQuantity(volts, 'V')}`,
      })),
    },
  );
}

/**
 * A plate of the other tradition is no motor of this one until somebody says which is right: the practice with voltage
 * and frequency together, or that it is an imported machine (accepted with a reason).
 */
function tradition({ input, practice, w }: Walk, plate: OldPlate): void {
  const signs = foreignSigns(plate, practice);
  const made = practices.find((p) => p.id !== practice.id);
  if (signs.length === 0 || made === undefined) return;
  const volts = plate.voltage?.groups.at(-1)?.at(-1);
  const hertz = plate.frequency?.value;
  w.finding(
    'plate.tradition',
    'caution',
    `The plate is stamped the ${made.words.name} way (${signs.join(', ')}); the case works by ${practice.words.name} ` +
      `practice. Take its practice with voltage and frequency, or say that the machine was imported and what feeds it.`,
    {
      fields: ['practice', 'plate.frame', 'plate.frequency'],
      suggestions: [
        { field: 'practice', value: made.id, why: `work by ${made.words.name} practice` },
        ...(volts === undefined || input.supply?.voltage !== undefined
          ? []
          : [
              {
                field: 'supply.voltage',
                value: writeQuantity(made.supplyFor(volts).value, 'V'),
                why: 'as its plate asks',
              },
            ]),
        ...(hertz === undefined || input.supply?.frequency !== undefined
          ? []
          : [{ field: 'supply.frequency', value: `${hertz} Hz`, why: 'as its plate asks' }]),
      ],
    },
  );
}

function mismatch({ input, w }: Walk, block: Block, supply: string, pair: Pair, fit: VoltageFit): void {
  // A motor that is only replaced is not connected here; the one that stays, or whose rating is taken, is.
  const connected = input.motor?.existing === true || input.load?.demand === undefined;
  const off = `${(fit.deviation * 100).toFixed(1)} %`;
  const text =
    fit.outcome === 'fail'
      ? `No voltage of the plate (${block.voltage?.text ?? ''}) fits a ${supply} supply: the nearest, ` +
        `${writeQuantity(pair.voltage, 'V')}, is off by ${off}. Do not connect this motor here.`
      : `${writeQuantity(pair.voltage, 'V')} on a ${supply} supply is off by ${off}: permitted, but with more ` +
        `current and torque by the square of voltage. Count its service factor as 1.0.`;
  w.finding('plate.voltage-mismatch', fit.outcome === 'fail' && connected ? 'stop' : 'caution', text, {
    fields: ['plate.voltage', 'supply.voltage'],
    source: fit.source,
  });
}

function speedOf({ input, w }: Walk, block: Block, index: number): Q<'rpm'> | undefined {
  const speeds = block.speed?.groups;
  if (!speeds) return undefined;
  const flat = speeds.flat();
  if (flat.length > 1 && speeds.length !== block.voltage?.groups.length) {
    w.finding(
      'plate.two-speed',
      input.motor?.existing || input.waived?.some((x) => x.requirement === 'keeps-two-speed') ? 'note' : 'caution',
      `Several speeds on the plate (${block.speed?.text ?? ''}): a two-speed motor. Both speeds stand: a motor of ` +
        `one speed does not take its place unless the lower is not used. The highest is reckoned with here.`,
      { fields: ['plate.speed'], source: kindSource },
    );
    return flat.reduce((a, b) => (b > a ? b : a));
  }
  return valueAt(speeds, index);
}

/** Rated power as stamped, else from voltage, current, efficiency and power factor. */
function ratedPower({ w }: Walk, plate: OldPlate, path: string, power: Q<'W'> | undefined): void {
  if (power !== undefined || plate.efficiency === undefined || plate.powerFactor === undefined) {
    w.given('plate.ratedPower', 'W', `${path}.power`, power);
    return;
  }
  const worked = w.figure('plate.ratedPower', powerFromPlate, {
    U: 'plate.connectedVoltage',
    I: 'plate.connectedCurrent',
    eta: field('plate.efficiency', q(plate.efficiency, '1')),
    pf: field('plate.powerFactor', q(plate.powerFactor, '1')),
  });
  if (worked === undefined) w.want(`${path}.power`);
}

function polesAndSlip(w: Workings, frequency: number | undefined, frequencyPath: string): number | undefined {
  const f = frequency === undefined ? undefined : q(frequency, 'Hz');
  const speed = w.value('plate.ratedSpeed');
  // What keeps these from being worked out is wanted, or doubted, of its own.
  w.without('plate.poles', 'plate.synchronousSpeed', 'plate.slip');
  if (speed === undefined) return undefined;
  const poles = w.figure('plate.poles', polesFromSpeed, { f: field(frequencyPath, f), n: 'plate.ratedSpeed' });
  if (poles === undefined || poles < 2) {
    w.figures.delete('plate.poles');
    return undefined;
  }
  const synchronous = w.figure('plate.synchronousSpeed', synchronousSpeed, {
    f: field(frequencyPath, f),
    p: 'plate.poles',
  });
  if (synchronous === undefined || speed >= synchronous) return poles;
  w.figure('plate.slip', slip, { n_s: 'plate.synchronousSpeed', n: 'plate.ratedSpeed' });
  return poles;
}

function efficiencyAndPowerFactor(
  { w, practice }: Walk,
  plate: Pick<Plate, 'efficiency' | 'powerFactor' | 'efficiencyMinimum'>,
): void {
  const U = 'plate.connectedVoltage';
  const I = 'plate.connectedCurrent';
  const P = 'plate.ratedPower';
  if (plate.efficiency !== undefined) w.given('plate.efficiency', '1', 'plate.efficiency', q(plate.efficiency, '1'));
  if (plate.powerFactor !== undefined)
    w.given('plate.powerFactor', '1', 'plate.powerFactor', q(plate.powerFactor, '1'));
  if (plate.efficiency === undefined && plate.powerFactor !== undefined) {
    w.figure('plate.efficiency', efficiencyFromPlate, { P, U, I, pf: 'plate.powerFactor' });
  }
  if (plate.powerFactor === undefined && plate.efficiency !== undefined) {
    w.figure('plate.powerFactor', powerFactorFromPlate, { P, eta: 'plate.efficiency', U, I });
  }
  let consistent = true;
  for (const id of ['plate.efficiency', 'plate.powerFactor'] as const) {
    const value = w.value(id);
    if (value === undefined || (value > 0 && value < 1)) continue;
    // What cannot be is told as a doubt; nothing is made of it.
    w.figures.delete(id);
    consistent = false;
  }
  if (!w.figures.has('plate.efficiency')) w.want('plate.efficiency');
  if (consistent && w.figures.has('plate.efficiency'))
    w.figure('plate.inputPower', inputFromEfficiency, { P, eta: 'plate.efficiency' });
  else if (consistent && w.figures.has('plate.powerFactor'))
    w.figure('plate.inputPower', inputFromCurrent, { U, I, pf: 'plate.powerFactor' });
  if (plate.efficiencyMinimum !== undefined) {
    w.given('plate.efficiencyMinimum', '1', 'plate.efficiencyMinimum', q(plate.efficiencyMinimum, '1'));
  } else {
    const nominal = w.value('plate.efficiency');
    const least =
      nominal === undefined ? undefined : practice.minimumEfficiency(nominal, w.value('plate.ratedPower') ?? 0);
    if (least) w.stated('plate.efficiencyMinimum', '1', q(least.value, '1'), least.source, { symbol: 'eta_min' });
  }
}

/** How its losses go with load, by the part-load efficiency stamped. */
function partLoad({ w }: Walk, plate: Plate): void {
  const said = constantLossSaid(plate);
  if (!said || !isUsualConstantLoss(said.share)) return;
  w.figure('plate.constantLoss', constantLossShare, {
    eta: 'plate.efficiency',
    x: { value: q(said.load, '1'), text: said.load === 0.5 ? 'half load' : 'three quarters load' },
    eta_x: field(`plate.${said.field}`, q(said.efficiency, '1')),
  });
}

function efficiencyClass({ w, input }: Walk, made: Practice, poles: number | undefined): void {
  const eta = w.value('plate.efficiency');
  const power = w.value('plate.ratedPower');
  if (eta === undefined || power === undefined || poles === undefined) return;
  if (made.frequency !== (input.plate?.frequency?.value ?? made.frequency)) return;
  const open = input.plate !== undefined && enclosureOf(input.plate, made) === 'open';
  const classes = made.efficiencyClasses(power, poles, open);
  const lowest = classes[0];
  if (!lowest) return;
  const met = classes.filter((c) => eta >= c.efficiency - 0.0006);
  const best = met.at(-1);
  const next = classes[met.length];
  const text = [
    best
      ? `meets ${best.name} (${percent(best.efficiency, 1)})`
      : `below ${lowest.name} (${percent(lowest.efficiency, 1)})`,
    best && next ? `${next.name} would be ${percent(next.efficiency, 1)}` : '',
  ];
  w.fact('plate.efficiencyClass', 'Efficiency class', text.filter(Boolean).join('; '), (best ?? lowest).source, {
    fields: ['plate.efficiency'],
    figures: ['plate.efficiency', 'plate.ratedPower'],
    estimate: input.plate?.efficiency === undefined,
  });
}

function lockedRotor({ practice, w }: Walk, plate: OldPlate): void {
  if (!plate.codeLetter) return;
  const band = practice.codeLetter(plate.codeLetter);
  if (!band) return;
  const ends = [
    ['plate.lockedRotorCurrentMin', band.value.low],
    ['plate.lockedRotorCurrentMax', band.value.high],
  ] as const;
  for (const [id, kva] of ends) {
    // The last letter has no upper end.
    if (kva === undefined) {
      w.without(id);
      continue;
    }
    w.figure(id, lockedRotorFromCode, {
      k: {
        ...prescribed(q(kva, 'kVA/hp'), band.source),
        field: 'plate.codeLetter',
        text: `code ${plate.codeLetter}: ${kva} kVA/hp`,
      },
      P: 'plate.ratedPower',
      U: 'plate.connectedVoltage',
    });
  }
  w.figure('plate.lockedRotorRatio', lockedRotorRatio, {
    I_LR: 'plate.lockedRotorCurrentMax',
    I: 'plate.connectedCurrent',
  });
}

/** What the design letter promises; the usual letter where none is stamped, marked as assumed. */
function designTorques(
  { w }: Walk,
  plate: OldPlate,
  made: Practice,
  poles: number | undefined,
  frequency: number | undefined,
): void {
  const power = w.value('plate.ratedPower');
  const voltage = w.value('plate.connectedVoltage');
  if (power === undefined || poles === undefined) return;
  const stamped = plate.designLetter === undefined ? undefined : made.design(plate.designLetter, power, poles);
  const design = plate.designLetter === undefined ? made.design(made.usualDesign, power, poles) : stamped;
  if (!design) {
    w.finding(
      'plate.design-unknown',
      'note',
      `Design "${plate.designLetter}" is no letter of this tradition: no torque follows from it.`,
      {
        fields: ['plate.designLetter'],
      },
    );
    return;
  }
  const times = (t: number): Given<'1'> => ({
    ...prescribed(q(t, '1'), design.source),
    field: 'plate.designLetter',
    ...(plate.designLetter === undefined
      ? { assumed: `no design letter: design ${made.usualDesign}, the usual one` }
      : {}),
  });
  if (design.lockedRotorTorque !== undefined)
    w.figure('plate.lockedRotorTorque', multipleOfTorque, {
      t: times(design.lockedRotorTorque),
      T_r: 'plate.ratedTorque',
    });
  if (plate.breakdownTorque !== undefined)
    w.figure('plate.breakdownTorque', multipleOfTorque, {
      t: field('plate.breakdownTorque', q(plate.breakdownTorque, '1')),
      T_r: 'plate.ratedTorque',
    });
  else if (design.breakdownTorque !== undefined)
    w.figure('plate.breakdownTorque', multipleOfTorque, { t: times(design.breakdownTorque), T_r: 'plate.ratedTorque' });
  if (design.limitsCurrent && voltage !== undefined) {
    const limit = made.lockedRotorLimit(power, voltage, frequency ?? made.frequency);
    if (limit) w.stated('plate.lockedRotorLimit', 'A', q(limit.value, 'A'), limit.source, { symbol: 'I_LRmax' });
  }
  if (plate.designLetter !== undefined)
    w.fact('plate.design', 'Design', `${design.letter}: ${design.words}`, design.source, {
      fields: ['plate.designLetter'],
    });
}

export function plateKey({ w, input }: Walk): string {
  if (!input.plate || Object.keys(input.plate).length === 0) return 'no plate yet';
  if (input.plate.condition === 'missing' || input.plate.condition === 'burnt') return `plate ${input.plate.condition}`;
  const power = input.plate.power?.text ?? w.figures.get('plate.ratedPower')?.text;
  const pair = [w.figures.get('plate.connectedVoltage')?.text, w.figures.get('plate.connectedCurrent')?.text];
  return [power, ...pair].filter(Boolean).join(' · ') || 'partly read';
}
