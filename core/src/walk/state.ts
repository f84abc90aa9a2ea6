import type { Candidate, Choice, GuardView, OpenEntry, StationState } from '../case';
import {
  answeredFindings,
  isFindingId,
  passingFindings,
  type Finding,
  type Method,
  type StationName,
} from '../contract';
import { requirementFields } from '../judge';
import type { Walk } from '../needs';
import { letThroughAsked, sheetAsks } from './open';
import { usesOf, type Uses } from './uses';

/** What was chosen and told, as far as a state rests on it. */
export interface Standing {
  readonly choice: Choice | null;
  readonly subject: { readonly method: Method | null } | null;
  /** The first candidate: its verdicts are the choice's. */
  readonly first: Candidate | undefined;
  /** Whether the old motor's rating stands for the load. */
  readonly plateLoad: boolean;
  readonly open: readonly OpenEntry[];
  readonly guard: GuardView | null;
}

/** A station's state, and the findings and fields that keep it from `enough`. */
export interface State {
  readonly state: StationState;
  readonly because: readonly string[];
}

/** The stations that each rests on, nearest first. */
const asking: readonly StationName[] = ['plate', 'load', 'place', 'speed'];
const restsOn: Readonly<Record<StationName, readonly StationName[]>> = {
  plate: [],
  load: [],
  place: [],
  speed: [],
  choice: asking,
  start: asking,
  guard: ['choice', 'start', ...asking],
  drive: ['choice', 'start', ...asking],
  cost: ['choice', 'start', ...asking],
  sheet: ['choice', 'start', 'guard', 'drive', 'cost', ...asking],
};

/** The figure without which a station has nothing to say. */
const keyFigures: Readonly<Partial<Record<StationName, string>>> = {
  load: 'load.requiredPower',
  choice: 'choice.ratedPower',
  guard: 'guard.overloadDial',
  drive: 'drive.ratedCurrent',
  cost: 'cost.savedEnergy',
};

/** Where a verdict is narrated beside Choice: what it leaves open is open there. */
const narratedAt: Readonly<Record<string, StationName>> = {
  supply: 'start',
  'starting-torque': 'start',
  'run-up': 'start',
  'start-time': 'start',
  'start-heat': 'start',
  starts: 'start',
  winding: 'drive',
  turndown: 'drive',
  cable: 'guard',
};

/**
 * The one place that says how a station stands: from its own findings, those it rests on, conditions, and what is
 * unsaid. Stops pass on. A neighbour's caution passes on where a figure of this station rests on what it doubts,
 * unless it is counted there already (`answeredFindings`). What is open keeps only the sheet.
 */
export function statesOf(walk: Walk, told: Standing): Readonly<Record<StationName, State>> {
  const uses = usesOf(walk, told.plateLoad);
  return {
    plate: stateOf(walk, told, 'plate', uses),
    load: stateOf(walk, told, 'load', uses),
    place: stateOf(walk, told, 'place', uses),
    speed: stateOf(walk, told, 'speed', uses),
    choice: stateOf(walk, told, 'choice', uses),
    start: stateOf(walk, told, 'start', uses),
    guard: stateOf(walk, told, 'guard', uses),
    drive: stateOf(walk, told, 'drive', uses),
    cost: stateOf(walk, told, 'cost', uses),
    sheet: stateOf(walk, told, 'sheet', uses),
  };
}

function stateOf(walk: Walk, told: Standing, station: StationName, uses: Uses): State {
  const { w } = walk;
  // What a drive would be asks nothing of who has none.
  const passing = restsOn[station].filter((at) => at !== 'drive' || told.subject?.method === 'drive');
  const bears = (f: Finding): boolean =>
    f.station === station || (passing.includes(f.station) && passes(f, station, uses));
  const stops = w.findings.filter((f) => f.level === 'stop' && (bears(f) || isSupply(f, station)));
  if (stops.length > 0) return { state: 'stop', because: idsOf(stops) };
  if (isEmpty(walk, told, station)) return unsaid(walk, station);
  const cautions = [
    ...idsOf(w.findings.filter((f) => f.level === 'caution' && bears(f))),
    ...verdictFields(told, station, 'caution'),
  ];
  const conditions = [
    ...verdictFields(told, station, 'condition'),
    ...(station === 'guard' && letThroughAsked(told.guard) ? ['guard.letThrough'] : []),
    ...(told.plateLoad && (station === 'load' || station === 'choice' || station === 'sheet') ? ['load.demand'] : []),
    ...(station === 'sheet' ? sheetAsks(told.open) : []),
  ];
  const accepted = w.findings.filter((f) => f.station === station && f.accepted !== null);
  return {
    state: cautions.length > 0 ? 'caution' : conditions.length > 0 ? 'condition' : 'enough',
    because: unique([...cautions, ...conditions, ...idsOf(accepted)]),
  };
}

const unique = <T>(list: readonly T[]): T[] => [...new Set(list)];
const idsOf = (list: readonly Finding[]): string[] => unique(list.map((f) => f.id));

/** The supply is told at Start, and nothing is chosen for one that is none. */
const isSupply = (f: Finding, station: StationName): boolean =>
  f.station === 'start' && f.id.startsWith('supply.') && station === 'choice';

/** Whether what a station's finding says bears on another that rests on it. */
function passes(f: Finding, station: StationName, uses: Uses): boolean {
  // A doubt holds back only what is sized from it.
  if (f.level === 'stop' && !f.doubt) return true;
  if (isFindingId(f.id) && answeredFindings.has(f.id)) return false;
  if (isFindingId(f.id) && passingFindings.has(f.id)) return station === 'choice' || station === 'sheet';
  if (station !== 'sheet') return uses(f).has(station);
  return !asking.includes(f.station) || restsOn.sheet.some((at) => !asking.includes(at) && uses(f).has(at));
}

/** Nothing is told here yet. */
function isEmpty({ input, w }: Walk, told: Standing, station: StationName): boolean {
  const key = keyFigures[station];
  // What a drive would be is told, and ticked by nobody, where another method starts the motor.
  const method = told.subject?.method ?? told.choice?.method;
  if (station === 'drive' && method !== undefined && method !== 'drive') return true;
  if (station === 'start') return ![...w.figures.keys()].some((id) => /^start\.[\w-]+\.peakCurrent$/.test(id));
  if (key !== undefined) return ![...w.figures.keys()].some((id) => id === key);
  if (station === 'sheet') return told.choice === null;
  if (station === 'plate') return !input.plate;
  if (station === 'place') return !input.place;
  return !input.speed?.need;
}

/** Waits for fields where something was begun, else is empty; where nothing passes, that is what stands. */
function unsaid({ input, w }: Walk, station: StationName): State {
  const none = w.findings.filter((f) => f.id === 'choice.none' || f.id === 'choice.impossible');
  if (none.length > 0 && (station === 'choice' || station === 'sheet'))
    return { state: 'caution', because: idsOf(none) };
  const begun = asking.includes(station) ? Object.hasOwn(input, station) : input.load !== undefined || !!input.plate;
  const lacking = begun ? w.wanted(station) : [];
  return lacking.length > 0 ? { state: 'waits', because: [...lacking] } : { state: 'empty', because: [] };
}

/** Fields of the choice's verdicts that are open, or that hold on a condition, as far as a station tells them. */
function verdictFields({ first, choice }: Standing, station: StationName, what: 'caution' | 'condition'): string[] {
  if (!choice) return [];
  const told = first?.verdicts.filter(
    (v) => v.waived === null && (station === 'choice' || station === 'sheet' || narratedAt[v.requirement] === station),
  );
  return (told ?? []).flatMap((v) =>
    what === 'condition' ? (v.condition?.field ?? []) : v.outcome === 'caution' ? requirementFields(v.requirement) : [],
  );
}
