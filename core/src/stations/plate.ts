import type { Case } from '../case';
import { commonPractice, field, prescribed, type Workings } from '../law';
import {
  efficiencyFromPlate,
  inputFromCurrent,
  inputFromEfficiency,
  lockedRotorFromCode,
  polesFromSpeed,
  powerFactorFromPlate,
  slip,
  synchronousSpeed,
  torqueFromPower,
} from '../physics';
import type { VoltageFit } from '../practice';
import { q, writeQuantity, type Q } from '../quantity';
import type { PlateFacts, Walk } from './walk';

type PlateOf = NonNullable<Case['plate']>;

/** Reads the existing motor's plate: connects the pair that fits the supply and works out what is not stamped. */
export function readPlate(walk: Walk): PlateFacts {
  const { input, w } = walk;
  w.enter('plate');
  lifetime(walk);
  const plate = input.plate;
  if (!plate || Object.keys(plate).length === 0) return {};
  if (plate.phases !== undefined && plate.phases !== 3) {
    w.finding(
      'plate.single-phase',
      'stop',
      `The plate says ${plate.phases} phase${plate.phases === 1 ? '' : 's'}. Pilgrim knows three-phase induction motors only: choose this one with its maker or a specialist.`,
      { fields: ['plate.phases'] },
    );
  }
  const block = blockFor(plate, input.supply?.frequency?.value);
  const frequency = block.frequency?.value ?? input.supply?.frequency?.value;
  const pair = connect(walk, block);
  const power = valueAt(block.power?.groups, pair.index);
  const speed = speedOf(walk, block, pair.index);
  const path = block === plate ? 'plate' : 'plate.alternate';

  w.given('plate.ratedPower', 'W', `${path}.power`, power);
  w.given('plate.ratedSpeed', 'rpm', `${path}.speed`, speed);
  if (pair.voltage !== undefined) {
    w.given('plate.connectedVoltage', 'V', `${path}.voltage`, pair.voltage);
    w.given('plate.connectedCurrent', 'A', `${path}.current`, pair.current);
  } else if (!plate.voltage) w.want('plate.voltage');

  const poles = polesAndSlip(w, frequency, path, block.frequency ? `${path}.frequency` : 'supply.frequency');
  w.figure('plate.ratedTorque', torqueFromPower, { P: 'plate.ratedPower', n: 'plate.ratedSpeed' });
  efficiencyAndPowerFactor(walk, plate);
  lockedRotor(walk, plate);
  if (plate.frame) shaftHeight(walk, plate.frame);
  doubts(walk, plate);
  if (block.frequency && input.supply?.frequency && block.frequency.value !== input.supply.frequency.value) {
    w.finding(
      'plate.frequency-mismatch',
      'caution',
      `The plate is for ${block.frequency.text}, the supply is ${input.supply.frequency.text}. Speed and torque change with frequency, and only the same volts per hertz keep the flux.`,
      { fields: ['plate.frequency', 'supply.frequency'] },
    );
  }
  return {
    power,
    voltage: pair.voltage,
    current: pair.current,
    speed,
    frequency,
    poles,
    frame: plate.frame,
  };
}

type Block = Pick<PlateOf, 'power' | 'voltage' | 'current' | 'speed' | 'frequency'>;

/** The main block, or the plate's second one where that is the one for the supply's frequency. */
function blockFor(plate: PlateOf, supplyFrequency: number | undefined): Block {
  const other = plate.alternate;
  if (!other || supplyFrequency === undefined) return plate;
  const same = (f: number | undefined): boolean => f !== undefined && Math.abs(f - supplyFrequency) < 0.5;
  return same(other.frequency?.value) && !same(plate.frequency?.value) ? other : plate;
}

interface Connected {
  readonly voltage?: Q<'V'>;
  readonly current?: Q<'A'>;
  /** Which slash group was connected. */
  readonly index: number;
}

interface Pair {
  readonly voltage: Q<'V'>;
  readonly current: Q<'A'> | undefined;
  readonly index: number;
}

/** Matched groups: the nth voltage of the mth connection goes with the nth current of the mth connection. */
function pairsOf(block: Block): Pair[] {
  const currents = block.current?.groups;
  return (block.voltage?.groups ?? []).flatMap((group, index) =>
    group.map((voltage, n) => {
      const matching = currents?.length === block.voltage?.groups.length ? currents?.[index] : undefined;
      const current =
        matching && (matching.length === group.length ? matching[n] : n === group.length - 1 ? matching[0] : undefined);
      return { voltage, current, index };
    }),
  );
}

function connect({ input, practice, w }: Walk, block: Block): Connected {
  const pairs = pairsOf(block);
  const first = pairs[0];
  if (!first) return { index: 0 };
  if (block.current && block.current.groups.length !== block.voltage?.groups.length) {
    w.finding(
      'plate.current-inconsistent',
      'caution',
      `"${block.voltage?.text ?? ''}" has ${block.voltage?.groups.length} connection(s), "${block.current.text}" has ${block.current.groups.length}: the groups do not match, so no current can be paired with a voltage.`,
      { fields: ['plate.voltage', 'plate.current'] },
    );
  }
  const supply = input.supply?.voltage;
  if (!supply) {
    if (pairs.length > 1) w.want('supply.voltage');
    return pairs.length === 1 ? first : { index: 0 };
  }
  const best = pairs
    .map((pair) => ({ pair, fit: practice.voltageFit(supply.value, pair.voltage) }))
    .reduce((a, b) => (Math.abs(b.fit.deviation) < Math.abs(a.fit.deviation) ? b : a));
  if (best.fit.outcome !== 'pass') mismatch(w, block, supply.text, best.pair, best.fit);
  return best.fit.outcome === 'fail' ? { index: best.pair.index } : best.pair;
}

function mismatch(w: Workings, block: Block, supply: string, pair: Pair, fit: VoltageFit): void {
  const off = `${(fit.deviation * 100).toFixed(1)} %`;
  const text =
    fit.outcome === 'fail'
      ? `No voltage of the plate (${block.voltage?.text ?? ''}) fits a ${supply} supply: the nearest, ${writeQuantity(pair.voltage, 'V')}, is off by ${off}. Do not connect this motor here.`
      : `${writeQuantity(pair.voltage, 'V')} on a ${supply} supply is off by ${off}: permitted, but with more current and torque by the square of voltage. Count its service factor as 1.0.`;
  w.finding('plate.voltage-mismatch', fit.outcome === 'fail' ? 'stop' : 'caution', text, {
    fields: ['plate.voltage', 'supply.voltage'],
    source: fit.source,
  });
}

function speedOf({ w }: Walk, block: Block, index: number): Q<'rpm'> | undefined {
  const speeds = block.speed?.groups;
  if (!speeds) return undefined;
  const flat = speeds.flat();
  if (flat.length > 1 && speeds.length !== block.voltage?.groups.length) {
    w.finding(
      'plate.two-speed',
      'note',
      `Several speeds on the plate (${block.speed?.text ?? ''}): a two-speed motor. The highest is used here.`,
      {
        fields: ['plate.speed'],
      },
    );
    return flat.reduce((a, b) => (b > a ? b : a));
  }
  return valueAt(speeds, index);
}

function valueAt<T>(groups: readonly (readonly T[])[] | undefined, index: number): T | undefined {
  return (groups?.[index] ?? groups?.[0])?.at(-1);
}

function polesAndSlip(
  w: Workings,
  frequency: number | undefined,
  path: string,
  frequencyPath: string,
): number | undefined {
  const f = frequency === undefined ? undefined : q(frequency, 'Hz');
  const speed = w.value('plate.ratedSpeed');
  if (speed === undefined) return undefined;
  const poles = w.figure('plate.poles', polesFromSpeed, { f: field(frequencyPath, f), n: 'plate.ratedSpeed' });
  if (poles === undefined || poles < 2) {
    if (poles !== undefined) {
      w.figures.delete('plate.poles');
      notBelow(w, path, `${writeQuantity(speed, 'rpm')} is above what two poles can give at this frequency.`, 'stop');
    }
    return undefined;
  }
  const synchronous = w.figure('plate.synchronousSpeed', synchronousSpeed, {
    f: field(frequencyPath, f),
    p: 'plate.poles',
  });
  if (synchronous !== undefined && speed >= synchronous) {
    const equal = speed === synchronous;
    notBelow(
      w,
      path,
      equal
        ? `${writeQuantity(speed, 'rpm')} is synchronous speed itself; full-load speed lies below it. Some plates print synchronous speed: measure the running speed.`
        : `${writeQuantity(speed, 'rpm')} is not below synchronous speed (${writeQuantity(synchronous, 'rpm')}): no induction motor does that under load. Read the plate again.`,
      equal ? 'caution' : 'stop',
    );
    return poles;
  }
  w.figure('plate.slip', slip, { n_s: 'plate.synchronousSpeed', n: 'plate.ratedSpeed' });
  return poles;
}

function notBelow(w: Workings, path: string, text: string, level: 'stop' | 'caution'): void {
  w.finding('plate.speed-not-below-synchronous', level, text, {
    fields: [`${path}.speed`, 'plate.frequency'],
    figures: ['plate.synchronousSpeed'],
  });
}

function efficiencyAndPowerFactor({ w, practice }: Walk, plate: PlateOf): void {
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
    w.finding(
      'plate.current-inconsistent',
      'caution',
      `Power, voltage, current and ${id === 'plate.efficiency' ? 'power factor' : 'efficiency'} give ${id === 'plate.efficiency' ? 'an efficiency' : 'a power factor'} of ${value.toFixed(2)}, which cannot be: one of them is misread.`,
      { fields: ['plate.power', 'plate.voltage', 'plate.current', 'plate.efficiency', 'plate.powerFactor'] },
    );
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

function lockedRotor({ practice, w }: Walk, plate: PlateOf): void {
  if (!plate.codeLetter) return;
  const band = practice.codeLetter(plate.codeLetter);
  if (!band) return;
  const ends = [
    ['plate.lockedRotorCurrentMin', band.value.low],
    ['plate.lockedRotorCurrentMax', band.value.high],
  ] as const;
  for (const [id, kva] of ends) {
    if (kva === undefined) continue;
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
}

function shaftHeight({ practice, w }: Walk, frame: string): void {
  const height = practice.shaftHeight(frame);
  if (height) {
    w.stated('plate.shaftHeight', 'mm', q(height.value, 'mm'), height.source, {
      field: 'plate.frame',
      symbol: 'H',
      text: `${Number(height.value.toFixed(1))} mm (${Number((height.value / 25.4).toFixed(3))} in)`,
    });
  } else {
    w.finding(
      'plate.unreadable',
      'caution',
      `"${frame}" is not a frame of this practice: no shaft height follows from it.`,
      {
        fields: ['plate.frame'],
      },
    );
  }
  const suffix = /^\d+(?:T|U)?([A-Z]*)/i.exec(frame)?.[1]?.toUpperCase() ?? '';
  if (suffix.includes('Z')) {
    w.finding(
      'plate.special-shaft',
      'caution',
      `Suffix Z on frame ${frame}: a special shaft, which usually means the original maker.`,
      {
        fields: ['plate.frame'],
      },
    );
  }
  if (suffix.includes('Y')) {
    w.finding(
      'plate.special-mounting',
      'caution',
      `Suffix Y on frame ${frame}: special mounting dimensions; often it can be adapted. Measure the feet.`,
      {
        fields: ['plate.frame'],
      },
    );
  }
}

function doubts({ w }: Walk, plate: PlateOf): void {
  const duty = plate.duty?.trim();
  if (duty && !/^(cont|s1)/i.test(duty)) {
    w.finding(
      'plate.short-duty',
      'caution',
      `Duty "${duty}": a motor rated for minutes must not run all day. Choose a continuous rating unless the work is as short.`,
      {
        fields: ['plate.duty'],
      },
    );
  }
}

/** A motor that died early must not be replaced by the same motor into the same trouble. */
function lifetime({ input, w }: Walk): void {
  const { installed, failed, causes } = input.history ?? {};
  if (installed === undefined || failed === undefined) return;
  const months = monthsOf(failed) - monthsOf(installed);
  if (months < 0) {
    w.finding('history.order', 'caution', 'The motor failed before it was installed: one of the two dates is wrong.', {
      fields: ['history.installed', 'history.failed'],
    });
  } else if (months < 60) {
    w.finding(
      'history.early-failure',
      'caution',
      `The motor lasted ${months} months${causes && causes.length > 0 ? ` (${causes.join(', ').replaceAll('-', ' ')})` : ''}. Ask what killed it before putting the same motor into the same trouble.`,
      {
        fields: ['history.installed', 'history.failed'],
        source: commonPractice('A motor is expected to last well beyond five years'),
      },
    );
  }
}

/** Months of a "2025-07" or "2025" since year nought. */
function monthsOf(date: string): number {
  const [year, month] = date.split('-').map(Number);
  return (year ?? 0) * 12 + (month ?? 1);
}

export function plateKey({ w, input }: Walk): string {
  if (!input.plate || Object.keys(input.plate).length === 0) return 'no plate yet';
  const power = input.plate.power?.text;
  const pair = [w.figures.get('plate.connectedVoltage')?.text, w.figures.get('plate.connectedCurrent')?.text];
  return [power, ...pair].filter(Boolean).join(' · ') || 'partly read';
}
