import { genericMotors, type Motor } from './catalogue';
import type { Candidate, Case, Choice, Curves, MethodVerdict, Result, StationSummary } from './case';
import { stations, Workings, type FigureId, type Method, type StationName } from './law';
import { torqueRatio } from './physics';
import { practiceById, rulesFor } from './practice';
import {
  askSpeed,
  bestOfEach,
  comparedMethods,
  costKey,
  countMotors,
  driveKey,
  explain,
  explainMethods,
  findLoad,
  guardKey,
  judge,
  loadKey,
  methodNames,
  pinnedMotor,
  placeKey,
  plateKey,
  readPlate,
  readSupply,
  reasonsFor,
  rulesUsed,
  speedKey,
  startKey,
  subjectFromPlate,
  subjectOf,
  surveyPlace,
  tellChoice,
  tellCost,
  tellDrive,
  tellGuard,
  tellPoint,
  tellStart,
  type Judged,
  type Needs,
  type Subject,
  type Walk,
} from './stations';

export const coreVersion = '0.1.0';

/** Stops that end the choosing: not a matter of margins. */
const blocking: ReadonlySet<string> = new Set(['place.hazardous', 'plate.single-phase', 'supply.single-phase']);

/** Walks a case through the ten stations: state, judge, tell. Never throws for a case that was read. */
export function solve(input: Case): Result {
  const practice = practiceById(input.practice);
  const rules = rulesFor(input.rules);
  const w = new Workings();
  const walk: Walk = { input, practice, rules, w };

  const plate = readPlate(walk);
  const load = findLoad(walk, plate);
  const place = surveyPlace(walk);
  const speed = askSpeed(walk);
  const supply = readSupply(walk);
  const blocked = w.findings.find((f) => blocking.has(f.id));

  let told: Told = nothing;
  if (load && !blocked) {
    const assumed: string[] = [];
    if (input.speed?.need === undefined) assumed.push('a fixed speed');
    if (input.place?.dirt === undefined || input.place.water === undefined) assumed.push('a clean, dry place');
    if (speed.assumedHours) assumed.push('4000 h a year at full flow');
    if (input.money?.energyPrice === undefined) assumed.push('an energy price of 0.15 per kWh');
    if (input.money?.years === undefined) assumed.push('10 years');
    if (input.money?.discountRate === undefined) assumed.push('7 % discount');
    const needs: Needs = {
      practice,
      rules,
      supply,
      load,
      place,
      speed,
      oldFrame: plate.frame,
      energyPrice: input.money?.energyPrice ?? 0.15,
      years: input.money?.years ?? 10,
      discountRate: input.money?.discountRate ?? 0.07,
      assumed,
    };
    told = chooseAndTell(walk, needs, plate);
  } else if (!blocked) {
    const subject = subjectFromPlate(walk, plate);
    if (subject) tellGuard(walk, subject);
    told = { ...nothing, subject: subject ?? null };
  }

  return {
    format: 'pilgrim.result/1',
    core: coreVersion,
    name: input.name ?? null,
    practice: practice.id,
    figures: Object.fromEntries(w.figures),
    findings: sorted(w),
    counts: told.counts,
    candidates: told.candidates,
    methods: told.methods,
    choice: told.choice,
    subject: told.subject && { kind: told.subject.kind, name: told.subject.name, method: told.subject.method },
    stations: summaries(walk, told),
    rules: rulesUsed(walk),
    curves: told.curves,
  };
}

interface Told {
  readonly counts: Result['counts'];
  readonly candidates: readonly Candidate[];
  readonly methods: readonly MethodVerdict[];
  readonly choice: Choice | null;
  readonly subject: Subject | null;
  readonly curves: Curves;
}

const nothing: Told = {
  counts: { motors: 0, pass: 0, caution: 0, fail: 0 },
  candidates: [],
  methods: [],
  choice: null,
  subject: null,
  curves: { torqueSpeed: null, flow: null },
};

/** Second and third pass: judge every candidate, then narrate the subject. */
function chooseAndTell(walk: Walk, needs: Needs, plate: ReturnType<typeof readPlate>): Told {
  const { input, practice, w } = walk;
  const pinned = pinnedMotor(walk);
  const motors = pinned ? pin(pinned) : ofPractice(practice.id);
  const methods: readonly Method[] = input.method ? [input.method] : comparedMethods;
  const judged = judge(needs, motors, methods);
  const entries = bestOfEach(judged, 50);
  const candidates = entries.map((entry) => explain(needs, judged, entry));
  const first = candidates[0];
  const entry = entries[0];
  const motor = entry === undefined ? undefined : judged.columns.motors[Math.floor(entry / methods.length)];

  w.enter('choice');
  let subject: Subject | undefined;
  let choice: Choice | null = null;
  let i = -1;
  if (first && motor && entry !== undefined && (pinned || first.outcome !== 'fail')) {
    i = Math.floor(entry / methods.length);
    tellChoice(walk, needs, motor);
    subject = subjectOf(walk, motor, first.method, pinned ? 'pinned' : 'choice');
    tellPoint(walk, needs, judged, i, first.method);
    if (first.outcome !== 'fail') {
      choice = {
        motor: first.motor,
        method: first.method,
        control: first.control,
        outcome: first.outcome,
        reasons: reasonsFor(needs, judged, { motor, entry, candidate: first }),
      };
    }
    if (needs.assumed.length > 0)
      w.finding('choice.assumed', 'note', `Chosen with ${needs.assumed.join(', ')}, which nobody gave.`, {
        fields: ['speed.need', 'place.dirt', 'speed.profile', 'money.energyPrice'],
      });
  }
  if (!choice) {
    const nearest = first?.verdicts.find((v) => v.outcome === 'fail');
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
  let flow: Curves['flow'] = null;
  if (subject) {
    tellStart(walk, needs, subject);
    tellGuard(walk, subject);
    tellDrive(walk, needs, subject);
    flow = tellCost(walk, needs, subject, plate);
  }
  const all = input.method && motor && i >= 0 ? judge(needs, [motor], comparedMethods) : judged;
  return {
    counts: countMotors(judged),
    candidates,
    methods: i >= 0 ? explainMethods(needs, all, all === judged ? i : 0) : [],
    choice,
    subject: subject ?? null,
    curves: { torqueSpeed: torqueSpeed(needs, judged, i), flow },
  };
}

const requirementFields: Readonly<Record<string, readonly string[]>> = {
  power: ['load.demand'],
  voltage: ['supply.voltage'],
  frequency: ['supply.frequency'],
  speed: ['load.demand.speed', 'load.train.ratio'],
  enclosure: ['place.water', 'place.dirt'],
  'speed-control': ['speed.need', 'method'],
  supply: ['supply.source'],
  'starting-torque': ['load.breakaway'],
  leads: ['method'],
  turndown: ['speed.min'],
  winding: ['place.cable.length'],
};

const fieldsFor = (requirement: string | undefined): readonly string[] => requirementFields[requirement ?? ''] ?? [];

const byPractice = new Map<string, readonly Motor[]>();
const pins = new Map<string, readonly Motor[]>();

/** The catalogue's motors of one practice; one list each, so that columns are built once. */
function ofPractice(id: string): readonly Motor[] {
  const known = byPractice.get(id) ?? genericMotors().filter((m) => m.practice === id);
  byPractice.set(id, known);
  return known;
}

function pin(motor: Motor): readonly Motor[] {
  const known = pins.get(motor.id) ?? [motor];
  pins.set(motor.id, known);
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

const order = { stop: 0, caution: 1, note: 2 } as const;

function sorted(w: Workings): Result['findings'] {
  return w.findings.toSorted(
    (a, b) => order[a.level] - order[b.level] || stations.indexOf(a.station) - stations.indexOf(b.station),
  );
}

function summaries(walk: Walk, told: Told): Result['stations'] {
  const { w, practice } = walk;
  const method = told.subject?.method ?? null;
  const keys: Record<StationName, string> = {
    plate: plateKey(walk),
    load: loadKey(walk, practice.words.powerUnit),
    place: placeKey(walk),
    speed: speedKey(walk),
    choice: told.choice ? `${told.choice.motor.power} · ${methodNames[told.choice.method].toLowerCase()}` : 'none yet',
    start: startKey(walk, method),
    guard: guardKey(walk),
    drive: driveKey(walk, method === 'drive'),
    cost: costKey(walk),
    sheet: told.choice ? 'ready' : 'incomplete',
  };
  const summary = (station: StationName): StationSummary => ({
    state: stateOf(walk, told, station),
    key: keys[station],
    wanted: w.wanted(station),
  });
  return {
    plate: summary('plate'),
    load: summary('load'),
    place: summary('place'),
    speed: summary('speed'),
    choice: summary('choice'),
    start: summary('start'),
    guard: summary('guard'),
    drive: summary('drive'),
    cost: summary('cost'),
    sheet: summary('sheet'),
  };
}

/** The figure without which a station has nothing to say. */
const keyFigures: Partial<Record<StationName, FigureId>> = {
  load: 'load.requiredPower',
  choice: 'choice.ratedPower',
  start: 'start.direct.peakCurrent',
  guard: 'guard.overloadDial',
  drive: 'drive.ratedCurrent',
  cost: 'cost.savedEnergy',
};

function stateOf({ input, w }: Walk, told: Told, station: StationName): StationSummary['state'] {
  const levels = w.findings.filter((f) => f.station === station).map((f) => f.level);
  if (levels.includes('stop')) return 'stop';
  const key = keyFigures[station];
  if (key !== undefined && !w.figures.has(key)) return 'empty';
  if (station === 'sheet') return told.choice ? 'enough' : 'empty';
  if (station === 'plate' && !input.plate) return 'empty';
  if (station === 'place' && !input.place) return 'empty';
  if (station === 'speed' && !input.speed?.need) return 'empty';
  return levels.includes('caution') ? 'caution' : 'enough';
}
