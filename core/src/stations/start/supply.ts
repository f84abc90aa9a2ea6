import type { Case } from '../../case';
import { commonPractice } from '../../contract';
import { assumed, field, type Given, type Workings } from '../../law';
import {
  faultCurrent,
  faultCurrentOnePhase,
  sourceImpedance,
  sourceImpedanceBehind,
  sourceImpedanceFromFault,
} from '../../physics';
import { usualCopper, usualImpedance } from '../../practice';
import { q } from '../../quantity';
import type { SupplyNeeds, Walk } from '../../needs';

type Generator = Extract<NonNullable<NonNullable<Case['supply']>['source']>, { kind: 'generator' }>;

/** The supply at the starter: voltage, frequency, and how stiff it is. Its figures belong to Start. */
export function readSupply({ input, practice, w }: Walk): SupplyNeeds {
  const { method } = input;
  w.enter('start');
  const supply = input.supply;
  const U = supply?.voltage;
  if (supply?.phases !== undefined && supply.phases !== 3) {
    const driven = method === undefined || method === null || method === 'drive';
    w.finding(
      'supply.single-phase',
      driven ? 'caution' : 'stop',
      driven
        ? 'The supply is single-phase: nothing but a drive feeds a three-phase motor from it. One made for three ' +
            'phases is taken at twice its size, for its bus ripples at twice the line’s frequency; its phase-loss ' +
            'trip is set for that by its maker’s word, and no more voltage comes out than goes in: the motor is ' +
            'connected for the line’s.'
        : 'The supply is single-phase; a three-phase motor does not start on it. Take a drive, sized for ' +
            'single-phase input, or a three-phase supply.',
      {
        fields: driven ? ['supply.phases'] : ['supply.phases', 'method'],
      },
    );
  }
  if (!U) w.want('supply.voltage');
  const volts = field('supply.voltage', U?.value, U?.text);
  const source = supply?.source;
  let impedance: number | undefined;
  let copper = 0;
  let generator: SupplyNeeds['generator'];
  switch (source?.kind) {
    case 'transformer': {
      const bank = {
        U: volts,
        S: field('supply.source.rating', source.rating?.value, source.rating?.text),
        x: usualUnless('supply.source.impedance', source.impedance, usualImpedance, '4 to 6 % by rating'),
      };
      const behind = supply?.upstream;
      impedance = behind
        ? w.figure('start.sourceImpedance', sourceImpedanceBehind, {
            ...bank,
            S_k: field('supply.upstream', behind.value, behind.text),
          })
        : w.figure('start.sourceImpedance', sourceImpedance, bank);
      if (U && source.rating) copper = (usualCopper.value * U.value ** 2) / source.rating.value;
      break;
    }
    case 'generator':
      impedance = w.figure('start.sourceImpedance', sourceImpedance, {
        U: volts,
        S: ratingOf(source),
        x: usualUnless(
          'supply.source.subtransientReactance',
          source.subtransientReactance,
          usualSubtransient,
          '0.1 to 0.2 for sets of this kind',
        ),
      });
      generator = readGenerator(source, volts, w);
      break;
    case 'fault-level':
      impedance = w.figure('start.sourceImpedance', sourceImpedanceFromFault, {
        U: volts,
        I_k: field('supply.source.current', source.current?.value, source.current?.text),
      });
      break;
    case 'stiff':
      w.stated(
        'start.sourceImpedance',
        'ohm',
        q(0, 'ohm'),
        { kind: 'given', title: 'Given in supply.source', fromMemory: false },
        { field: 'supply.source.kind', symbol: 'Z_s' },
      );
      impedance = 0;
      break;
    case undefined:
      w.want('supply.source');
  }
  if (impedance !== undefined && impedance > 0)
    w.figure(
      'start.faultCurrent',
      supply?.phases === 1 && source?.kind !== 'fault-level' ? faultCurrentOnePhase : faultCurrent,
      { U: volts, Z_s: 'start.sourceImpedance' },
    );
  return {
    voltage: U?.value,
    phases: supply?.phases ?? 3,
    frequency: supply?.frequency?.value ?? practice.frequency,
    impedance,
    copper,
    startLimit: supply?.startLimit?.value,
    upstreamKnown: source?.kind !== 'transformer' || supply?.upstream !== undefined,
    rating: sourceRating(source),
    generator,
  };
}

/** VA of the bank, or of all sets that run; undefined of any other source, or where nobody said. */
export const sourceRating = (source: NonNullable<Case['supply']>['source']): number | undefined =>
  source?.kind === 'transformer'
    ? source.rating?.value
    : source?.kind === 'generator'
      ? ratingOf(source).value
      : undefined;

/** Apparent power of all sets that run: kW ÷ power factor, times their number. */
function ratingOf({ rating, powerFactor, sets = 1 }: Generator): Given<'VA'> {
  const each = rating && (rating.real ? rating.value / (powerFactor ?? usualPowerFactor) : rating.value);
  const given = field('supply.source.rating', each === undefined ? undefined : q(each * sets, 'VA'), rating?.text);
  if (!rating || (!rating.real && sets === 1)) return given;
  const text = [
    sets === 1 ? '' : `${sets} sets of `,
    rating.text,
    rating.real ? ` at cos φ ${powerFactor ?? usualPowerFactor}` : '',
  ].join('');
  return rating.real && powerFactor === undefined
    ? { ...assumed('supply.source.powerFactor', q((each ?? 0) * sets, 'VA'), 'kW given, no power factor: 0.8'), text }
    : { ...given, text };
}

/** Sets are rated at 0.8 (ISO 8528-1, from memory). */
const usualPowerFactor = 0.8;

/** What was given, else what is usual of its kind and shown as assumed: no source that is described is stiff. */
const usualUnless = (path: string, given: number | undefined, usual: number, range: string): Given<'1'> =>
  given === undefined
    ? assumed(path, q(usual, '1'), `not given: ${usual}, common practice (${range})`)
    : field(path, q(given, '1'));

/** Transient reactance and recovery, as usual where nobody gives them. */
function readGenerator(source: Generator, U: Given<'V'>, w: Workings): SupplyNeeds['generator'] {
  const x =
    source.transientReactance === undefined
      ? assumed(
          'supply.source.transientReactance',
          q(usualTransient * (source.subtransientReactance ?? usualSubtransient), '1'),
          'not given: 1.5 × the subtransient reactance, common practice',
        )
      : field('supply.source.transientReactance', q(source.transientReactance, '1'));
  const transientReactance = w.figure('start.transientReactance', sourceImpedance, {
    U,
    S: ratingOf(source),
    x,
  });
  const recovery = source.recovery?.value ?? usualRecovery;
  w.stated(
    'start.recovery',
    's',
    q(recovery, 's'),
    commonPractice('A generator’s regulator brings the bus back within one to two seconds'),
    {
      field: 'supply.source.recovery',
      symbol: 'T_v',
      assumed: source.recovery ? undefined : 'not given: 0.5 s as time constant',
    },
  );
  return transientReactance === undefined ? undefined : { transientReactance, recovery };
}

/** Of sets of this kind; the transient as a multiple of it; time constant of the regulator, s (common practice). */
const usualSubtransient = 0.15;
const usualTransient = 1.5;
const usualRecovery = 0.5;
