import { demoCombinations, genericMotors, inFrame56, motorById, withParts, type Motor } from '../catalogue';
import {
  bestFifty,
  type Candidate,
  type Case,
  type StationState,
  type Verdict,
  type Choice,
  type Curves,
  type MethodVerdict,
  type Result,
} from '../case';
import { commonPractice, comparedMethods, endingFindings, isFindingId, worstFirst, isFigureId } from '../contract';
import { Workings } from '../law';
import { softLimit, tap, torqueRatio, type DrivenMachine } from '../physics';
import { acceptDoubts } from './doubts';
import { askUnusual } from './unusual';
import { practiceById, rulesFor, usualRate, usualYears } from '../practice';
import {
  declaredLosses,
  methodsFor,
  onOnePhase,
  percent,
  rankingPrice,
  startNeeds,
  subjectFromPlate,
  subjectOf,
  weekPrice,
  type Needs,
  type Subject,
  type Walk,
} from '../needs';
import {
  asked,
  entryVerdict,
  explain,
  explainMethods,
  findFirst,
  judge,
  requirements,
  simulateEntry,
  type Judged,
} from '../judge';
import {
  askSpeed,
  bestOfEach,
  buyingLines,
  countMotors,
  enclosureTable,
  findLoad,
  judgeMeasured,
  learnFromFailure,
  pinnedMotor,
  readPlate,
  readSupply,
  reasonsFor,
  rulesUsed,
  surveyPlace,
  tellChoice,
  tellCost,
  type CostTold,
  tellDrive,
  tellGuard,
  tellMachine,
  tellOldSize,
  tellPoint,
  tellReplacement,
  tellReserve,
  tellStart,
  type Starting,
} from '../stations';
import { closedBeside, onShelf } from './beside';
import { compareWays } from './compare';
import { openOf } from './open';
import { optionsOf } from './options';
import { proposeTrain } from './train';
import { statesOf } from './state';
import { summaries } from './summaries';

export const coreVersion = '0.1.0';

/** A case solved, with what a screen needs to look at more than the best fifty. */
export interface Solved {
  readonly result: Result;
  /** Every candidate judged; null where nothing was chosen among. */
  readonly screening: { readonly needs: Needs; readonly judged: Judged } | null;
  /** The subject's start, to be simulated with other settings; null where it cannot be. */
  readonly starting: Starting | null;
  /** The subject behind its drive, to be run in time; null where it cannot be. */
  readonly driven: DrivenMachine | null;
}

/** Walks a case through the ten stations: state, judge, tell. Never throws for a case that was read. */
export function solve(input: Case, shelf: readonly Motor[] = [], combinations = demoCombinations()): Result {
  return solveWith(input, shelf, bestFifty, combinations).result;
}

/**
 * The same, keeping the judged columns. The shelf's motors are judged beside the catalogue's. `told`: how many
 * candidates to put
 * into words, fifty at most; a screen that asks the columns for more needs few.
 */
export function solveWith(
  input: Case,
  shelf: readonly Motor[] = [],
  told = bestFifty,
  combinations = demoCombinations(),
): Solved {
  const practice = practiceById(input.practice);
  const rules = rulesFor(input.rules);
  const w = new Workings(input.money?.currency);
  const walk: Walk = { input, practice, rules, w, combinations };

  const plate = readPlate(walk);
  judgeMeasured(walk);
  const load = findLoad(walk, plate);
  const place = surveyPlace(walk);
  const speed = askSpeed(walk);
  const supply = readSupply(walk);
  const { history, lessons } = learnFromFailure(walk, plate, load, place, speed);
  // What is doubted stops only what is sized from it: the plate, where it stands for the load or its motor stays.
  acceptDoubts(walk);
  const plateCounts = load?.basis === 'plate' || input.motor?.existing === true;
  const blocked = w.findings.some(
    (f) => f.level === 'stop' && isFindingId(f.id) && endingFindings.has(f.id) && (!f.doubt || plateCounts),
  );
  const waived = waivedIn(walk);
  tellMachine(walk);

  let found: Told = nothing;
  if (load && !blocked) {
    const needs: Needs = {
      practice,
      rules,
      supply,
      load,
      place,
      speed,
      starter: {
        tap: input.start?.autotransformer?.tap ?? tap,
        reactorShare: input.start?.reactor?.share ?? tap,
        softLimit: input.start?.softStarter?.limit ?? softLimit,
      },
      start: startNeeds(walk, supply.frequency),
      drive: input.drive,
      onePhase: onOnePhase(input),
      fed: {
        losses: declaredLosses(input.drive),
        leastFlux: input.drive?.energySaving === true,
        standby: input.drive?.standby?.value ?? 0,
      },
      oldFrame: plate.frame,
      old: plate,
      lessons,
      stays: input.motor?.existing === true,
      waived,
      energyPrice: weekPrice(input.money) ?? rankingPrice,
      currency: input.money?.currency ?? '',
      years: input.money?.years ?? usualYears,
      discountRate: input.money?.discountRate ?? usualRate,
      assumed: assumedFor(walk, speed.assumedHours),
    };
    found = chooseAndTell(walk, needs, plate, shelf, Math.min(told, bestFifty));
  } else if (!blocked) {
    const subject = subjectFromPlate(walk, plate);
    const guard = subject && tellGuard(walk, subject);
    found = {
      ...nothing,
      subject: subject ?? null,
      replacement: tellReplacement(walk, plate, undefined, undefined),
      guard: guard?.view ?? null,
      curves: { ...nothing.curves, guard: guard?.curves ?? null },
    };
  }
  askUnusual(walk);
  acceptDoubts(walk);
  const first = found.choice ? found.candidates[0] : undefined;
  const drive = found.subject?.method === 'drive';
  const plateLoad = load?.basis === 'plate';
  const open = openOf(walk, { first, drive, plateLoad, guard: found.guard });
  const standing = { choice: found.choice, subject: found.subject, first, plateLoad, open, guard: found.guard };
  const states = statesOf(walk, standing);

  const has = (id: string): boolean => isFigureId(id) && w.figures.has(id);
  // What a verdict rests on is of its own candidate: of others only what is the same for all was told.
  const subjectMethod = found.subject && found.subject.kind !== 'plate' ? found.subject.method : undefined;
  const resting = (verdicts: readonly Verdict[], isSubject: boolean): Verdict[] =>
    verdicts.map((v) => ({ ...v, figures: v.figures.filter((id) => has(id) && (isSubject || isShared(id))) }));

  const result: Result = {
    format: 'pilgrim.result/1',
    core: coreVersion,
    name: input.name ?? null,
    practice: practice.id,
    figures: Object.fromEntries(w.figures),
    findings: worstFirst(w.findings).map((f) => ({ ...f, figures: f.figures.filter(has) })),
    facts: w.facts,
    enclosures: enclosureTable(place),
    history,
    replacement: found.replacement,
    counts: found.counts,
    candidates: found.candidates.map((c, i) => ({
      ...c,
      verdicts: resting(c.verdicts, i === 0 && subjectMethod === c.method),
    })),
    methods: found.methods.map((m) => ({ ...m, verdicts: resting(m.verdicts, m.method === subjectMethod) })),
    choice: found.choice && { ...found.choice, outcome: outcomeBy(states.choice.state, found.choice.outcome) },
    subject: found.subject && { kind: found.subject.kind, name: found.subject.name, method: found.subject.method },
    stations: summaries(walk, found.choice, found.subject?.method ?? null, states),
    open,
    rules: rulesUsed(walk),
    curves: found.curves,
    start: found.start,
    guard: found.guard,
    drive: found.drive,
    cost: found.cost,
  };
  return { result, screening: found.screening, starting: found.starting, driven: found.driven };
}

/** Figures that are the same whatever is chosen. */
const isShared = (id: string): boolean =>
  /^(plate|load|place|speed)\.|^start\.(sourceImpedance|faultCurrent)$/.test(id);

/** A choice whose station is cautioned does not pass; one that holds on conditions does, and lists them. */
const outcomeBy = (state: StationState, outcome: Choice['outcome']): Choice['outcome'] =>
  outcome === 'pass' && state !== 'enough' && state !== 'condition' ? 'caution' : outcome;

/** What the ranking takes because nobody gave it, in words. */
function assumedFor({ input }: Walk, hours: boolean): string[] {
  const { speed, place, money } = input;
  return [
    speed?.need === undefined && 'a fixed speed',
    place?.dirt === undefined && place?.water === undefined
      ? 'a place that wants at least what stood there, enclosed where nothing is known'
      : (place.dirt === undefined || place.water === undefined) && 'a clean, dry place',
    hours && '4000 h a year at full flow',
    weekPrice(money) === undefined && `an energy price of ${rankingPrice} per kWh`,
    money?.years === undefined && `${usualYears} years`,
    money?.discountRate === undefined && `${percent(usualRate)} discount`,
  ].filter((x) => typeof x === 'string');
}

/** Requirements that shall not count, with a finding for a name that is none. */
function waivedIn({ input, w }: Walk): ReadonlyMap<string, string> {
  w.enter('choice');
  const known: ReadonlySet<string> = new Set(requirements);
  const map = new Map<string, string>();
  for (const { requirement, reason } of input.waived ?? []) {
    if (known.has(requirement)) map.set(requirement, reason);
    else
      w.finding('choice.unknown-requirement', 'caution', `There is no requirement "${requirement}" to leave out.`, {
        fields: ['waived'],
      });
  }
  if (map.size > 0)
    w.finding(
      'choice.waived',
      'caution',
      `Not counted for this choice: ` +
        `${[...map].map(([r, reason]) => `${r.replaceAll('-', ' ')} (${reason})`).join('; ')}.`,
      { fields: ['waived'] },
    );
  return map;
}

interface Told {
  readonly counts: Result['counts'];
  readonly candidates: readonly Candidate[];
  readonly methods: readonly MethodVerdict[];
  readonly choice: Choice | null;
  readonly subject: Subject | null;
  readonly curves: Curves;
  readonly start: Result['start'];
  readonly guard: Result['guard'];
  readonly drive: Result['drive'];
  readonly cost: Result['cost'];
  readonly replacement: Result['replacement'];
  readonly screening: Solved['screening'];
  readonly starting: Starting | null;
  readonly driven: DrivenMachine | null;
}

const nothing: Told = {
  counts: { motors: 0, pass: 0, caution: 0, fail: 0 },
  candidates: [],
  methods: [],
  choice: null,
  subject: null,
  curves: { torqueSpeed: null, flow: null, money: null, machine: null, start: null, guard: null, drive: null },
  start: null,
  guard: null,
  drive: null,
  cost: null,
  replacement: null,
  screening: null,
  starting: null,
  driven: null,
};

/** Second and third pass: judge every candidate, then narrate the subject. */
function chooseAndTell(
  walk: Walk,
  needs: Needs,
  plate: ReturnType<typeof readPlate>,
  shelf: readonly Motor[],
  told: number,
): Told {
  const { input, practice, w } = walk;
  const pinned = pinnedMotor(walk, shelf, motorById);
  const offered = motorsFor(practice.id, shelf, {
    frequency: needs.supply.frequency,
    letters: needs.waived.has('interchange') ? [] : (plate.special ?? []).map((p) => p.letter),
    small: practice.frameSystem === 'nema' && /^\D{0,2}56/.test(plate.frame?.trim() ?? ''),
  });
  const motors = pinned ? pin(pinned) : offered;
  const methods = methodsFor(input);
  const judged = judge(needs, motors, methods, pinned !== undefined);
  findFirst(judged);
  const entries = bestOfEach(judged, told);
  const candidates = entries.map((entry) => explain(needs, judged, entry));
  const first = candidates[0];
  const entry = entries[0];
  const motor = entry === undefined ? undefined : judged.columns.motors[Math.floor(entry / methods.length)];

  w.enter('choice');
  tellOldSize(walk, needs, plate);
  if (!pinned) proposeTrain(walk, needs, offered);
  let subject: Subject | undefined;
  let choice: Choice | null = null;
  let i = -1;
  if (first && motor && entry !== undefined && (pinned || first.outcome !== 'fail')) {
    i = Math.floor(entry / methods.length);
    tellChoice(walk, needs, motor);
    // Where the old motor's rating stands for the load there is no operating point, and the stations go on speaking of
    // the old motor.
    if (pinned || needs.load.basis === 'load') {
      subject = subjectOf(walk, motor, first.method, pinned ? 'pinned' : 'choice');
      tellPoint(walk, needs, judged, i, first.method);
      tellReserve(walk, needs, motor, first.method);
    }
    if (first.outcome !== 'fail') {
      choice = {
        motor: first.motor,
        method: first.method,
        control: first.control,
        outcome: first.outcome,
        basis: needs.load.basis,
        reasons: reasonsFor(needs, judged, { motor, entry, candidate: first }),
        closed: closedBeside(needs, judged, entry, first),
        tomorrow: (motor.stock?.quantity ?? 0) > 0 ? null : onShelf(needs, judged, entry, first),
        tie: judged.tie && judged.tie.by !== '' ? { count: judged.tie.count, by: judged.tie.by } : null,
        runs: judged.runs,
        buying: buyingLines(walk, needs, motor, first),
        options: input.errand === 'wasteful' ? optionsOf(walk, needs, offered) : null,
      };
    }
    if (needs.assumed.length > 0)
      w.finding('choice.assumed', 'note', `Chosen with ${needs.assumed.join(', ')}, which nobody gave.`, {
        fields: ['speed.need', 'place.dirt', 'speed.profile', 'money.energyPrice'],
      });
  }
  if (!choice) {
    const nearest = first?.verdicts.find((v) => v.outcome === 'fail' && v.waived === null);
    const special = plate.special ?? [];
    if (special.length > 0 && !needs.waived.has('interchange') && !anyFits(judged))
      w.finding(
        'choice.impossible',
        'caution',
        `The old motor has a ${special.map((p) => p.words).join(' and ')}, and the machine is built around it: ` +
          `no motor here has it, and no choice is better than one that cannot be fitted. Ask the original ` +
          `maker or a motor shop for one made so; or say why it need not count, and the choice goes on.`,
        { fields: [...special.map((p) => `plate.${p.field}`), 'waived'], source: specialSource },
      );
    else
      w.finding(
        'choice.none',
        'caution',
        `Nothing in the catalogue passes. Nearest: ${first?.motor.name ?? 'none'}. ${nearest?.text ?? ''}`.trim(),
        {
          fields: fieldsFor(nearest?.requirement),
        },
      );
  }
  subject ??= subjectFromPlate(walk, plate);
  let cost: CostTold | undefined;
  let compared: Result['cost'] = null;
  let start: ReturnType<typeof tellStart>;
  let guard: ReturnType<typeof tellGuard> | undefined;
  let drive: ReturnType<typeof tellDrive> | undefined;
  if (subject) {
    if (needs.load.basis === 'load' || needs.load.startKnown)
      start = tellStart(walk, needs, subject, subject.kind === 'plate' ? undefined : choice?.method);
    const verdicts = subject.kind === 'plate' ? [] : (first?.verdicts ?? []);
    const onlyThisStarts = first?.verdicts.some((v) => v.requirement === 'speed-control' && v.outcome === 'pass');
    drive = tellDrive(walk, needs, subject, verdicts, onlyThisStarts);
    // After the drive: its line has the drive in it.
    guard = tellGuard(walk, subject, needs, drive.output);
    if (needs.load.basis === 'load') {
      cost = tellCost(walk, needs, subject, plate, verdicts);
      compared = compareWays(walk, needs, subject, offered, cost);
    }
  }
  const others = input.supply?.phases === 1 ? methods : comparedMethods;
  const all = input.method && motor && i >= 0 ? judge(needs, [motor], others, pinned !== undefined) : judged;
  if (i >= 0)
    for (let m = 0; m < all.methods.length; m++) simulateEntry(all, (all === judged ? i : 0) * all.methods.length + m);
  return {
    counts: countMotors(judged),
    candidates,
    methods: i >= 0 ? explainMethods(needs, all, all === judged ? i : 0) : [],
    choice,
    subject: subject ?? null,
    curves: {
      torqueSpeed: torqueSpeed(needs, judged, i),
      ...(cost?.curves ?? { flow: null, money: null, machine: null }),
      start: start?.curves ?? null,
      guard: guard?.curves ?? null,
      drive: drive?.curves ?? null,
    },
    start: start?.view ?? null,
    guard: guard?.view ?? null,
    drive: drive?.view ?? null,
    cost: compared,
    replacement: tellReplacement(walk, plate, needs, choice ? motor : undefined, choice?.method),
    screening: { needs, judged },
    starting: start?.starting ?? null,
    driven: drive?.machine ?? null,
  };
}

const specialSource = commonPractice(
  'A special shaft or face is part of the machine: a motor without it cannot be fitted',
);

/** Whether any motor judged has the old one's special shaft and face. */
const anyFits = (judged: Judged): boolean =>
  [...judged.order].some((entry) => entryVerdict(judged, entry, 'interchange')?.outcome === 'pass');

/** Where a requirement is answered; the load, where none of its own fields is. */
function fieldsFor(requirement: string | undefined): readonly string[] {
  const { fields = [] } = asked.find((r) => r.id === requirement) ?? {};
  return fields.length > 0 ? fields : ['load.demand'];
}

const lists = new Map<string, WeakMap<readonly Motor[], readonly Motor[]>>();
const noShelf: readonly Motor[] = [];
const pins = new WeakMap<Motor, readonly Motor[]>();

interface Offered {
  /** Of the supply, Hz: the catalogue offers what is made for it. */
  readonly frequency: number;
  /** Faces and shafts that are asked, by the letters of frames: the catalogue's motors are ordered with them. */
  readonly letters: readonly string[];
  /** The old one stood on frame 56: small ratings are made on it too. */
  readonly small?: boolean;
}

/**
 * The catalogue's motors of one practice that fit the grid, and those of the shelf; one list for each shelf, so that
 * columns are built once.
 */
export function motorsFor(
  practice: string,
  shelf: readonly Motor[],
  { frequency, letters, small = false }: Offered,
): readonly Motor[] {
  const hertz = Math.abs(frequency - 50) < Math.abs(frequency - 60) ? 50 : 60;
  const of = [practice, hertz, small, ...letters].join(' ');
  const ofPractice = lists.get(of) ?? new WeakMap<readonly Motor[], readonly Motor[]>();
  lists.set(of, ofPractice);
  const key = shelf.length === 0 ? noShelf : shelf;
  // Where two rank the same, what lies here comes first, and what is only quoted last.
  const known = ofPractice.get(key) ?? [
    ...key.filter((m) => (m.stock?.quantity ?? 0) > 0),
    ...genericMotors()
      .filter((m) => m.practice === practice && m.frequency === hertz)
      .map((m) => (small ? inFrame56(m, letters) : undefined) ?? withParts(m, letters) ?? m),
    ...key.filter((m) => (m.stock?.quantity ?? 0) === 0),
  ];
  ofPractice.set(key, known);
  return known;
}

function pin(motor: Motor): readonly Motor[] {
  const known = pins.get(motor) ?? [motor];
  pins.set(motor, known);
  return known;
}

/** Load torque over speed, and the chosen motor's straight line near full load. */
function torqueSpeed(needs: Needs, judged: Judged, i: number): Curves['torqueSpeed'] {
  const { load } = needs;
  const c = judged.columns;
  const ns = c.synchronous[i] ?? load.speed * 1.03;
  const steps = Array.from({ length: 41 }, (_, k) => (ns * k) / 40);
  const motor: (readonly [number, number])[] = [];
  const nr = c.speed[i];
  const tr = c.ratedTorque[i];
  if (nr !== undefined && tr !== undefined) {
    for (const over of [1.5, 1.25, 1, 0.75, 0.5, 0.25, 0]) motor.push([ns - (ns - nr) * over, tr * over]);
  }
  return {
    load: steps.map((n) => [n, load.torque * (n === 0 ? load.breakaway : torqueRatio(load.shape, n / load.speed))]),
    motor,
  };
}
