import { reaches } from '../../law';
import type { CircuitPart, CombinationTaken, GuardView } from '../../case';
import { deviceNames, filterNames, type FigureId } from '../../contract';
import { filterOf, isHoist, motorsOn, numberOf, type Needs, type Output, type Subject, type Walk } from '../../needs';
import { q, writeQuantity } from '../../quantity';
import type { Circuit } from './cable';
import type { DeviceTaken } from './chart';
import { ratingOf } from './devices';
import { leastBelow } from './cable';
import { softDuty } from './settings';

const amperes = (value: number): string => writeQuantity(q(value, 'A'), 'A');
function over(has: number | undefined, asks: number | undefined): string {
  if (has === undefined || asks === undefined || asks <= 0) return '';
  const share = Math.round(100 * (has / asks - 1));
  if (share > 300) return 'the least there is';
  return share < 0
    ? `${-share} % less than is asked`
    : share === 0
      ? 'just what is asked'
      : `${share} % over what is asked`;
}

/**
 * How the circuit is built: device and contactor, with a relay of its own, or what the method brings. What was tested
 * together says it: parts with a relay of their own are three.
 */
export function schemeOf(
  { input, practice }: Walk,
  { method }: Subject,
  tested: CombinationTaken | null,
): GuardView['scheme'] {
  if (method === 'drive' || method === 'soft-starter' || method === 'star-delta') return method;
  if (tested) return tested.relay === '' ? 'two-part' : 'three-part';
  return (input.guard?.device ?? practice.usualDevice) === 'motor-breaker' ? 'two-part' : 'three-part';
}

/** Whether the machine is run both ways: as the case says, else a hoist is. */
const turnsBothWays = ({ input }: Walk): boolean => input.guard?.reversing ?? isHoist(input);

const interlocked = 'interlocked by a bar and by contacts; AC-4 where it is inched or plugged';

/** Where the contactors of a star-delta starter stand that are not in the line. */
const windings: Partial<Record<FigureId, Pick<CircuitPart, 'range' | 'beside'>>> = {
  'guard.contactorDelta': { range: 'from the device to the far ends of the windings', beside: 'far-ends' },
  'guard.contactorStar': { range: 'joins the far ends of the windings', beside: 'star-point' },
};

/** A contactor of either direction where the machine is run both ways, else the one. */
function directions(
  name: string,
  both: boolean,
  of: (name: string, range: string) => CircuitPart,
): readonly CircuitPart[] {
  return both
    ? [of(`${name}, forward`, interlocked), { ...of(`${name}, reverse`, interlocked), beside: 'across' }]
    : [of(name, '')];
}

/** What the circuit is built of. */
export interface Built {
  readonly device: DeviceTaken | undefined;
  readonly circuit: Circuit | undefined;
  readonly needs: Needs | undefined;
  /** What stands between drive and motor; undefined where it cannot be said, or no drive feeds it. */
  readonly output: Output | undefined;
  /** The combination tested together, whose parts these are. */
  readonly tested: CombinationTaken | null;
}

/** The circuit from bus to machine, part by part, each with what the next one down would fail. */
export function partsOf(
  walk: Walk,
  subject: Subject,
  { device, circuit, needs, output, tested }: Built,
): readonly CircuitPart[] {
  const { input, practice, w } = walk;
  const text = (id: FigureId): string => w.figures.get(id)?.text ?? '';
  const value = (id: FigureId): number | undefined => w.figures.get(id)?.value;
  const part = (kind: CircuitPart['kind'], name: string, of: Partial<CircuitPart> = {}): CircuitPart => ({
    ...{ kind, name, rating: '', range: '', margin: '', below: '', figure: null },
    ...of,
  });
  const scheme = schemeOf(walk, subject, tested);
  const current = numberOf(w, subject.current);
  const list: CircuitPart[] = [
    part('source', 'supply', {
      rating: input.supply?.voltage?.text ?? '',
      range: text('guard.availableFault') && `${text('guard.availableFault')} at a fault`,
      figure: value('guard.availableFault') === undefined ? null : 'guard.availableFault',
    }),
  ];
  if (value('guard.disconnectCurrent') !== undefined)
    list.push(
      part('disconnect', 'disconnect', {
        rating: `${text('guard.disconnectCurrent')} at least`,
        range: practice.disconnectPlace ?? '',
        below: 'less than 115 % of the table current may not part the motor under load',
        figure: 'guard.disconnectCurrent',
      }),
    );
  const several = scheme === 'drive' ? motorsOn(input) : 1;
  if (scheme === 'drive') list.push(...driveParts(walk, output, part));
  else {
    if (device) list.push(devicePart(walk, device, tested, part));
    if (scheme === 'soft-starter')
      list.push(
        part('soft-starter', 'soft starter', {
          rating: current === undefined ? '' : `${amperes(current)} ${softDuty(walk, needs, subject, current)}`.trim(),
          range:
            input.start?.softStarter?.bypass === false
              ? 'without a bypass it carries the current all day'
              : 'with its bypass',
          below: 'a smaller one overheats in the start it was set to',
          figure: null,
        }),
      );
    const contactor = value('guard.contactorRating');
    const both = turnsBothWays(walk);
    if (scheme === 'star-delta')
      for (const [id, name] of [
        ['guard.contactorLine', 'line contactor'],
        ['guard.contactorDelta', 'delta contactor'],
        ['guard.contactorStar', 'star contactor'],
      ] as const)
        list.push(
          ...directions(name, both && id === 'guard.contactorLine', (of, range) =>
            part('contactor', of, {
              rating: `${text(id)} ${breaking(walk)}`,
              range,
              figure: value(id) === undefined ? null : id,
              ...windings[id],
            }),
          ),
        );
    else if (contactor !== undefined)
      list.push(
        ...directions('contactor', both, (name, range) =>
          part('contactor', name, {
            rating: tested?.contactor ?? `${amperes(contactor)} ${breaking(walk)}`,
            range: [text('guard.starterSize') && `or size ${text('guard.starterSize')}`, range]
              .filter(Boolean)
              .join(', '),
            margin: tested ? `type ${tested.type} as tested` : over(contactor, current),
            below: tested ? 'a smaller one was not tested with it' : smallerContactor(walk, contactor, current),
            figure: 'guard.contactorRating',
          }),
        ),
      );
  }
  const dial = w.figures.get('guard.dialSet') ?? w.figures.get('guard.overloadDial');
  if (dial)
    list.push(
      part(
        'overload',
        several > 1
          ? `overload relay of each of the ${several} motors`
          : scheme === 'drive'
            ? 'overload in the drive'
            : scheme === 'two-part'
              ? 'overload in the breaker'
              : 'overload relay',
        {
          rating: [scheme === 'three-part' && tested ? tested.relay : '', `dial ${dial.text}`]
            .filter(Boolean)
            .join(', '),
          range: [tested?.range, text('guard.tripClass') && `class ${text('guard.tripClass')}`]
            .filter(Boolean)
            .join(', '),
          margin: text('guard.overloadTrip') && `trips at ${text('guard.overloadTrip')} at most`,
          below:
            several > 1
              ? 'the drive’s own overload sees their sum: it guards none of them; its contact stops the drive'
              : 'dialled lower it trips under rated load',
          figure: value('guard.dialSet') === undefined ? 'guard.overloadDial' : 'guard.dialSet',
        },
      ),
    );
  if (scheme === 'drive')
    list.push(
      ...bypassParts(walk, list.length - list.findIndex((p) => p.kind === 'device'), dial?.text ?? '', current, part),
    );
  if (circuit)
    list.push(
      part('cable', several > 1 ? 'conductors to each motor' : 'conductors', {
        rating: text('guard.conductorArea'),
        range: text('guard.earthArea') && `earth ${text('guard.earthArea')}`,
        margin: over(value('guard.ampacity'), value('guard.conductorCurrent')),
        below: leastBelow(circuit, value('guard.conductorCurrent')),
        figure: 'guard.conductorArea',
      }),
    );
  list.push(
    part('motor', several > 1 ? `${several} motors, each` : 'motor', {
      rating: text('choice.ratedPower') || writeQuantity(numberOf(w, subject.power) ?? 0, 'W'),
      range: current === undefined ? '' : amperes(current),
    }),
    ...(isHoist(input)
      ? [
          part('brake', 'holding brake', {
            rating: brakeTorque(walk),
            range: 'at the motor’s shaft, spring-set; opens when torque is proved',
            below: 'without one the load is held by current alone, and falls when that goes',
          }),
        ]
      : []),
    part('load', 'machine', { rating: text('load.motorPower') }),
  );
  return list;
}

/** What a hoist's brake holds at least, ÷ the torque of the load (common practice; the hoist's standard decides). */
const holds = 1.6;

function brakeTorque({ w }: Walk): string {
  const torque = w.value('load.motorTorque');
  return torque === undefined ? '' : `${writeQuantity(q(holds * torque, 'N.m'), 'N.m')} at least`;
}

/** A drive, what stands before, beside and behind it, and its bypass. */
function driveParts(walk: Walk, output: Output | undefined, part: Part): readonly CircuitPart[] {
  const { input, w } = walk;
  const text = (id: FigureId): string => w.figures.get(id)?.text ?? '';
  const has = (id: FigureId): FigureId | null => (w.figures.has(id) ? id : null);
  const list: CircuitPart[] = [
    part('device', 'short-circuit device', {
      rating: 'the drive maker’s',
      below: 'ask its maker: any other voids its short-circuit rating',
    }),
    part('drive', 'drive', { rating: text('drive.ratedCurrent'), figure: has('drive.ratedCurrent') }),
  ];
  if (w.figures.has('drive.brakingResistance') && input.drive?.braking?.kind !== 'regenerative')
    list.push(
      part('resistor', 'braking resistor', {
        rating: [
          `${text('drive.brakingResistance')} at most`,
          text('drive.brakingLeast') && `${text('drive.brakingLeast')} at least`,
        ]
          .filter(Boolean)
          .join(', '),
        range: [
          text('drive.brakingPower') && `${text('drive.brakingPower')} at its peak`,
          text('drive.brakingMean') && `${text('drive.brakingMean')} for good`,
        ]
          .filter(Boolean)
          .join(', '),
        below: 'more ohms trip the bus, fewer burn the chopper; wire its thermal contact',
        figure: 'drive.brakingResistance',
        beside: 'hangs',
      }),
    );
  const filter = filterOf(input, output);
  if (filter !== 'none')
    list.push(
      part('filter', filterNames[filter], {
        rating: text('drive.requiredCurrent'),
        range: text('drive.peakJudged'),
        below: 'without it the pulses pass what the winding or the drive bears',
        figure: has('drive.peakJudged'),
      }),
    );
  return list;
}

/** Contactors and overload of a drive's bypass; `above`: parts of the line that it goes round. */
function bypassParts(
  { input, w }: Walk,
  above: number,
  dial: string,
  current: number | undefined,
  part: Part,
): readonly CircuitPart[] {
  const contactor = w.value('guard.contactorRating');
  if (input.drive?.bypass !== true || contactor === undefined) return [];
  const rating = { rating: `${amperes(contactor)} ${breaking({ input })}`, figure: 'guard.contactorRating' } as const;
  return [
    part('contactor', 'contactor behind the drive', {
      ...rating,
      range: bypassInterlock,
      below: 'closed beside the bypass, the line stands on the drive’s output and destroys it',
    }),
    part('contactor', 'bypass contactor', {
      ...rating,
      ...{ range: bypassInterlock, margin: over(contactor, current), beside: 'leaves', spans: above },
      below: 'in bypass it starts straight on the line, behind a device of its own',
    }),
    part('overload', 'overload relay in the bypass', {
      rating: `dial ${dial}`,
      range: w.figures.has('guard.tripClass') ? `class ${w.figures.get('guard.tripClass')?.text}` : '',
      below: 'in bypass the drive’s own overload sees nothing',
      beside: 'joins',
    }),
  ];
}

const bypassInterlock = 'the two exclude each other by a bar and by contacts';

type Part = (kind: CircuitPart['kind'], name: string, of?: Partial<CircuitPart>) => CircuitPart;

function devicePart(
  { input, practice, w }: Walk,
  device: DeviceTaken,
  tested: CombinationTaken | null,
  part: Part,
): CircuitPart {
  const magnetic = device.kind === 'motor-breaker' || device.kind === 'instantaneous-breaker';
  const ratings = practice.deviceRatings(device.kind).value;
  const next = ratings.findLast((r) => !reaches(r, device.rating));
  const ceiling = w.figures.get(magnetic ? 'guard.instantaneousCeiling' : 'guard.deviceCeiling');
  const fault = w.figures.get('guard.faultWithMotors') ?? w.figures.get('guard.availableFault');
  const slash = practice.slashRated?.(input.supply?.voltage?.value ?? 0, input.supply?.earthing)?.value;
  const link = device.kind === 'fuse-am' ? ' aM' : device.kind === 'fuse-gg' ? ' gG' : '';
  const permitted = magnetic ? `magnetic at ${amperes(device.rating)}` : `${amperes(device.rating)}${link}`;
  const below = tested
    ? 'a smaller one was not tested with it'
    : magnetic
      ? 'set lower the first crest may trip it'
      : next === undefined
        ? ''
        : `${amperes(next)} may open in the start`;
  const unslashed =
    slash !== undefined && slash !== 'permitted' ? 'no slash rating unless a star is solidly earthed' : '';
  return part('device', tested ? tested.device.replace(/,? \d.*$/, '') : deviceNames[device.kind], {
    rating: tested?.device ?? permitted,
    // What the code permits is of the kind that was asked; another kind was tested where that was not.
    range:
      tested && tested.kind !== device.kind
        ? ''
        : [tested && `to ${permitted} by the code`, ceiling && `${ceiling.text} where it cannot start`]
            .filter(Boolean)
            .join(', '),
    margin: fault ? `breaks ${fault.text} at least` : '',
    below: [below, unslashed].filter((t) => t !== '').join('; '),
    figure: magnetic ? 'guard.instantaneousTrip' : (ratingOf[device.kind] ?? null),
  });
}

/** V up to which contactors break what they are named by; beyond, some 50 to 85 % of it (common practice). */
const namedTo = 440;

/** The category a contactor is bought by, with the voltage where it breaks less than it is named by at 400 V. */
function breaking({ input }: Pick<Walk, 'input'>): string {
  const voltage = input.supply?.voltage?.value ?? 0;
  return voltage > 1.1 * namedTo ? `AC-3 at ${writeQuantity(voltage, 'V')}` : 'AC-3';
}

function smallerContactor({ practice }: Walk, rating: number, current: number | undefined): string {
  const next = practice.contactorRatings.value.findLast((r) => !reaches(r, rating));
  if (next === undefined || current === undefined) return '';
  return next < current
    ? `${amperes(next)} AC-3 would carry ${Math.round(100 * (current / next - 1))} % too much`
    : `${amperes(next)} is a size too small for the rating`;
}
