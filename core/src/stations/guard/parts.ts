import type { CircuitPart, CombinationTaken, GuardView } from '../../case';
import { deviceNames, type FigureId } from '../../contract';
import { isHoist, numberOf, type Needs, type Subject, type Walk } from '../../needs';
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
  /** The combination tested together, whose parts these are. */
  readonly tested: CombinationTaken | null;
}

/** The circuit from bus to machine, part by part, each with what the next one down would fail. */
export function partsOf(
  walk: Walk,
  subject: Subject,
  { device, circuit, needs, tested }: Built,
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
  if (scheme === 'drive')
    list.push(
      part('device', 'short-circuit device', {
        rating: 'the drive maker’s',
        below: 'ask its maker: any other voids its short-circuit rating',
      }),
      part('drive', 'drive', {
        rating: text('drive.ratedCurrent'),
        figure: value('drive.ratedCurrent') === undefined ? null : 'drive.ratedCurrent',
      }),
    );
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
              rating: `${text(id)} AC-3`,
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
            rating: tested?.contactor ?? `${amperes(contactor)} AC-3`,
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
        scheme === 'drive'
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
          below: 'dialled lower it trips under rated load',
          figure: value('guard.dialSet') === undefined ? 'guard.overloadDial' : 'guard.dialSet',
        },
      ),
    );
  if (circuit)
    list.push(
      part('cable', 'conductors', {
        rating: text('guard.conductorArea'),
        range: text('guard.earthArea') && `earth ${text('guard.earthArea')}`,
        margin: over(value('guard.ampacity'), value('guard.conductorCurrent')),
        below: leastBelow(circuit, value('guard.conductorCurrent')),
        figure: 'guard.conductorArea',
      }),
    );
  list.push(
    part('motor', 'motor', {
      rating: text('choice.ratedPower') || writeQuantity(numberOf(w, subject.power) ?? 0, 'W'),
      range: current === undefined ? '' : amperes(current),
    }),
    part('load', 'machine', { rating: text('load.motorPower') }),
  );
  return list;
}

type Part = (kind: CircuitPart['kind'], name: string, of?: Partial<CircuitPart>) => CircuitPart;

function devicePart(
  { input, practice, w }: Walk,
  device: DeviceTaken,
  tested: CombinationTaken | null,
  part: Part,
): CircuitPart {
  const magnetic = device.kind === 'motor-breaker' || device.kind === 'instantaneous-breaker';
  const ratings = practice.deviceRatings(device.kind).value;
  const next = ratings.findLast((r) => r < device.rating * 0.999);
  const ceiling = w.figures.get(magnetic ? 'guard.instantaneousCeiling' : 'guard.deviceCeiling');
  const fault = w.figures.get('guard.faultWithMotors') ?? w.figures.get('guard.availableFault');
  const slash = practice.slashRated?.(input.supply?.voltage?.value ?? 0, input.supply?.earthing)?.value;
  const permitted = magnetic ? `magnetic at ${amperes(device.rating)}` : amperes(device.rating);
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

function smallerContactor({ practice }: Walk, rating: number, current: number | undefined): string {
  const next = practice.contactorRatings.value.findLast((r) => r < rating * 0.999);
  if (next === undefined || current === undefined) return '';
  return next < current
    ? `${amperes(next)} AC-3 would carry ${Math.round(100 * (current / next - 1))} % too much`
    : `${amperes(next)} is a size too small for the rating`;
}
