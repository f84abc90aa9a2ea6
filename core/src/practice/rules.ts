import { rankings } from '../contract';

/** A choice on which practitioners disagree: what Pilgrim takes unless told otherwise, and why. */
export interface HouseRule<V> {
  readonly title: string;
  readonly value: V;
  readonly alternatives: readonly V[];
  readonly reason: string;
  /** Of a number: what may be written. */
  readonly range?: { readonly min?: number; readonly above?: number; readonly max?: number; readonly below?: number };
}

const rule = <V>(
  title: string,
  value: NoInfer<V>,
  alternatives: readonly V[],
  reason: string,
  range?: HouseRule<V>['range'],
): HouseRule<V> => ({ title, value, alternatives, reason, ...(range && { range }) });

export const houseRules = {
  sizingMargin: rule<number>(
    'Margin on power',
    1.1,
    [1, 1.1, 1.15, 1.25],
    'Next size after a 10 % margin; dirt raises it to 15 % unless it is set ' +
      'here. Heat is counted by derating, not by margin as well.',
    { min: 1, max: 3 },
  ),
  dutySizing: rule<'steady' | 'thermal'>(
    'Duty cycle sizes by',
    'steady',
    ['steady', 'thermal'],
    'The steady demand, or more where the cycle heats more: a cycle as told is seldom the cycle as ' +
      'run. The other school takes the thermal equivalent even where it is less.',
  ),
  driveMatch: rule<'current' | 'power'>(
    'Drive matched by',
    'current',
    ['current', 'power'],
    'Amperes are what heats and trips a drive; the power match is shown as a cross-check.',
  ),
  leadLength: rule<'calculated' | '15 m' | '30 m'>(
    'Motor cable without a filter',
    'calculated',
    ['calculated', '15 m', '30 m'],
    'Calculated from the pulse against the winding’s rating; 15 m where the data for that are missing.',
  ),
  outputReactor: rule<'accept' | 'avoid'>(
    'Output reactor',
    'avoid',
    ['avoid', 'accept'],
    'A dV/dt filter is proposed first; a reactor can make reflections worse.',
  ),
  brakedPulses: rule<'chopper' | 'line'>(
    'Pulses where a chopper brakes',
    'chopper',
    ['chopper', 'line'],
    'While it brakes the bus stands at the chopper’s voltage, and every pulse with it: a hoist lowers in each cycle. ' +
      'Other plants judge at the line where a chopper works for seconds in a day.',
  ),
  inputReactor: rule<'as asked' | 'every drive'>(
    'Input reactor',
    'as asked',
    ['as asked', 'every drive'],
    'One where the site’s limit or a stiff source asks for it. Other plants buy 3 % with every drive: it spares the ' +
      'rectifier in every surge.',
  ),
  surgeArrester: rule<'as asked' | 'every panel'>(
    'Surge arrester',
    'as asked',
    ['as asked', 'every panel'],
    'Where lightning or switching has killed drives before. Other plants put one in every panel with a drive.',
  ),
  slowSpeed: rule<'plate' | 'heat'>(
    'How slowly a motor may run',
    'plate',
    ['plate', 'heat'],
    'The ratio on its plate, where there is one: its maker tried it. The other school goes by the heat of this load.',
  ),
  inverterDuty: rule<'judged' | 'plate' | 'modern'>(
    'Motor for a drive',
    'judged',
    ['judged', 'plate', 'modern'],
    'Heat and pulses are judged apart; the plate need not say inverter duty.',
  ),
  serviceFactorOnDrive: rule<boolean>(
    'Service factor used on a drive',
    false,
    [false, true],
    'On a drive the service factor counts as 1.0: pulses add loss that uses it up.',
  ),
  driveHousing: rule<'by size' | 'sealed' | 'cabinet'>(
    'Where a drive hangs',
    'by size',
    ['by size', 'sealed', 'cabinet'],
    'Sealed on the wall to 20 hp; beyond that a cabinet, filtered and under slight pressure, lives ' +
      'longer and is opened without dust. Either school for all sizes can be set.',
  ),
  foodFinish: rule<'either' | 'stainless'>(
    'Motor at food',
    'either',
    ['either', 'stainless'],
    'Stainless where it is made, sealed epoxy above; some plants take nothing but stainless, for epoxy chips.',
  ),
  serviceFactorUse: rule<'reserve' | 'sized'>(
    'Service factor on the line',
    'reserve',
    ['reserve', 'sized'],
    'Sized as if it were 1.0: the factor is a reserve for short overloads, and a sign of a robust motor. ' +
      'The other school sizes into it at usual ambient and height.',
  ),
  efficiencyBasis: rule<'minimum' | 'nominal'>(
    'Efficiency compared by',
    'minimum',
    ['minimum', 'nominal'],
    'The motor on the floor may be the worst of its band.',
  ),
  conductorBasis: rule<'table' | 'plate' | 'practice'>(
    'Conductors sized from',
    'practice',
    ['practice', 'table', 'plate'],
    'Table current under the North American code, plate current under IEC.',
  ),
  driveAltitude: rule<'current' | 'temperature'>(
    'Drive derating for height',
    'current',
    ['current', 'temperature'],
    'The current rule is the more cautious of the two in a cool room.',
  ),
  maxDip: rule<number>(
    'Largest voltage dip on starting',
    0.15,
    [0.05, 0.1, 0.15, 0.2],
    'At 15 % most contactors stay in and lights flicker; the supplier may ask for less.',
    { above: 0, below: 1 },
  ),
  maxStartDrop: rule<number>(
    'Largest voltage lost on the motor’s cable by a start straight on the line',
    0.15,
    [0.08, 0.1, 0.15, 0.2],
    'At 85 % of its voltage a contactor’s coil still holds and the motor gives 72 % of its torque.',
    { above: 0, below: 0.5 },
  ),
  sizing: rule<'margin' | 'certainty'>(
    'Motor sized above its load by',
    'margin',
    ['margin', 'certainty'],
    'The house margin, whatever is known. The other school sizes to the top of what the load may be: a measured load ' +
      'needs less above it, a guessed one more.',
  ),
  liftMargin: rule<number>(
    'Least speed of a pump above the one at which it moves nothing',
    0.05,
    [0, 0.05, 0.1],
    'At that speed itself it only churns: wear and a falling level move the point.',
    { min: 0, max: 0.5 },
  ),
  leastLoading: rule<number>(
    'Least loading without a reason',
    0.5,
    [0.3, 0.4, 0.5, 0.6],
    'Below half load power factor and then efficiency fall away, and the starter is paid for nothing.',
    { min: 0, max: 0.9 },
  ),
  cautionWeight: rule<number>(
    'An open caution weighs, of the purchase price',
    0.25,
    [0, 0.1, 0.25, 0.5],
    'Something not answered costs thought, time or a call later: a ' +
      'quarter of the price is about what it turns out to cost.',
    { min: 0, max: 5 },
  ),
  costTie: rule<number>(
    'Costs that count as equal',
    0.02,
    [0, 0.01, 0.02, 0.05],
    'Price index, hours and efficiencies are not known better than that.',
    { min: 0, max: 0.2 },
  ),
  usualTransformer: rule<number>(
    'A source not described is at most, kVA',
    1000,
    [250, 500, 1000, 2500],
    'What needs more than a usual transformer is a caution until somebody says what is there.',
    { above: 0, max: 1e5 },
  ),
  ranking: rule<(typeof rankings)[number]>(
    'Candidates ranked by',
    'life-cycle',
    rankings,
    'Price is a small part of what a motor costs over its life.',
  ),
} as const;

export type RuleId = keyof typeof houseRules;
export type RuleValue<I extends RuleId> = (typeof houseRules)[I]['value'];
export type Rules = { readonly [I in RuleId]: RuleValue<I> };

/** The rules in force: the case's own where it sets one, else the defaults. */
export function rulesFor(own: Partial<Rules> | undefined): Rules {
  // A rule that is there but holds nothing is not set.
  return { ...defaults, ...Object.fromEntries(Object.entries(own ?? {}).filter(([, v]) => v !== undefined)) };
}

/** Every rule as Pilgrim takes it unless told otherwise. */
const defaults = Object.fromEntries(Object.entries(houseRules).map(([id, { value }]) => [id, value])) as Rules;

export const ruleIds = Object.keys(houseRules) as RuleId[];
