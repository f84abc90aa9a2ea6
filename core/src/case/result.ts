import { z } from 'zod';
import {
  askedOf,
  factSchema,
  figureSchema,
  findingSchema,
  methods,
  pair,
  stations,
  type Figure,
  type Frozen,
  outputFilters,
  protectiveDevices,
} from '../contract';
import type { CaseError } from './read';

const method = z.enum(methods);

const outcome = z.enum(['pass', 'caution', 'fail']);
export type Outcome = z.output<typeof outcome>;

/** Never a bare yes or no: how much is left (a share, 0 is just enough), one sentence, and the figures it rests on. */
export const verdictSchema = z.strictObject({
  requirement: z.string(),
  outcome,
  margin: z.number().nullable(),
  text: z.string(),
  figures: z.array(z.string()),
  /** Why the engineer let this requirement not count; null where it counts. */
  waived: z.string().nullable(),
  /** It only just misses a house rule, and passes. */
  tight: z.boolean(),
  /** What is bought or set to make it pass; its price counts. */
  remedy: z.strictObject({ kind: z.string(), text: z.string(), priceIndex: z.number() }).nullable(),
  /** An input nobody gave, with the limit up to or from which it passes. */
  condition: z.strictObject({ field: z.string(), limit: z.string(), text: z.string() }).nullable(),
});
export type Verdict = Frozen<z.output<typeof verdictSchema>>;

/** Where a motor of the own shelf lies. */
const stock = z.strictObject({
  quantity: z.number(),
  place: z.string(),
  days: z.number().nullable(),
  keptFor: z.string(),
  assumed: z.array(z.string()),
});

const motor = z.strictObject({
  id: z.string(),
  name: z.string(),
  power: z.string(),
  speed: z.string(),
  voltage: z.string(),
  current: z.string(),
  efficiency: z.number(),
  frame: z.string().nullable(),
  enclosure: z.string(),
  poles: z.int(),
  construction: z.string(),
  designLetter: z.string(),
  serviceFactor: z.number(),
  /** kg, and sound power level in dB(A). */
  mass: z.number(),
  sound: z.number(),
  stock: stock.nullable(),
});
export type CandidateMotor = Frozen<z.output<typeof motor>>;

/** An enclosure class for this place. */
const enclosure = z.strictObject({
  kind: z.string(),
  words: z.string(),
  protection: z.string(),
  cooling: z.string(),
  construction: z.string(),
  suits: z.boolean(),
  cheapest: z.boolean(),
  text: z.string(),
});
export type EnclosureView = Frozen<z.output<typeof enclosure>>;

const control = z.strictObject({ name: z.string(), ratedCurrent: z.number().nullable() });
export type Control = Frozen<z.output<typeof control>>;

const candidate = z.strictObject({
  motor,
  method,
  control,
  outcome,
  verdicts: z.array(verdictSchema),
  /** The least that would have to change for it to be admitted; null where nothing fails. */
  change: z.string().nullable(),
  /** `assumed`: what life-cycle cost had to assume. */
  cost: z.strictObject({ priceIndex: z.number(), lifeCycle: z.number(), assumed: z.array(z.string()) }),
});
export type Candidate = Frozen<z.output<typeof candidate>>;

const methodVerdict = z.strictObject({ method, outcome, verdicts: z.array(verdictSchema) });
export type MethodVerdict = Frozen<z.output<typeof methodVerdict>>;

/** A line of the buying specification: what is asked, and what may differ. */
const buyingLine = z.strictObject({ what: z.string(), text: z.string(), may: z.string() });
export type BuyingLine = Frozen<z.output<typeof buyingLine>>;

/** The best candidate with neither open caution nor condition, where it is another one. */
const closed = z.strictObject({ motor, method, control, costsMore: z.number(), text: z.string() });
export const choiceSchema = z.strictObject({
  motor,
  method,
  control,
  outcome,
  /** Whether a load was given, or the old motor's rating stands for it. */
  basis: z.enum(['load', 'plate']),
  reasons: z.array(z.string()),
  closed: closed.nullable(),
  /** The best of what lies on the own shelf, where the first must be bought: what can run tomorrow. */
  tomorrow: closed.nullable(),
  /** Those that cost the same within the house rule, and what decided between them; null where it stands alone. */
  tie: z.strictObject({ count: z.number(), by: z.string() }).nullable(),
  /** Starts that were simulated to find it. */
  runs: z.number(),
  buying: z.array(buyingLine),
  /** For a wasteful motor: what may be kept and what bought, each with its life-cycle cost; null for other errands. */
  options: z
    .array(
      z.strictObject({
        kind: z.enum(['keep', 'drive', 'replace', 'replace-drive']),
        motor,
        method,
        control,
        outcome,
        lifeCycle: z.number(),
        text: z.string(),
      }),
    )
    .nullable(),
});
export type Choice = Frozen<z.output<typeof choiceSchema>>;

/** The motor that the later stations speak of. */
export const subjectSchema = z.strictObject({
  kind: z.enum(['pinned', 'choice', 'plate']),
  name: z.string(),
  method: method.nullable(),
});

export const stationStates = ['empty', 'waits', 'stop', 'caution', 'condition', 'enough'] as const;

/**
 * What the way shows of a station: its state with the finding ids and fields that keep it from `enough`, its one key
 * figure in words, and the fields it still wants.
 */
export const stationSchema = z.strictObject({
  state: z.enum(stationStates),
  key: z.string(),
  wanted: z.array(z.string()),
  because: z.array(z.string()),
});
export type StationSummary = Frozen<z.output<typeof stationSchema>>;
export type StationState = StationSummary['state'];

/** What is unsaid and would decide; `limit`: up to or from which the answer holds; `who` can say it. */
export const openSchema = z.strictObject({
  field: z.string(),
  text: z.string(),
  limit: z.string().optional(),
  who: z.enum(askedOf),
});
export type OpenEntry = Frozen<z.output<typeof openSchema>>;

const ruleUsed = z.strictObject({
  id: z.string(),
  title: z.string(),
  value: z.string(),
  own: z.boolean(),
  reason: z.string(),
});
export type RuleUsed = Frozen<z.output<typeof ruleUsed>>;

/** One setting of a starter, with the field of the case it stands in. `assumed` says why, where nobody gave it. */
const startSetting = z.strictObject({
  path: z.string(),
  label: z.string(),
  value: z.union([z.number(), z.string()]),
  text: z.string(),
  assumed: z.string().nullable(),
});
export type StartSetting = Frozen<z.output<typeof startSetting>>;

/** How one method starts this load on this supply. A, N·m, s, r/min; shares as numbers. Run null: not simulated. */
const startRow = z.strictObject({
  method,
  outcome,
  /** One sentence: why it will do, or why not. */
  text: z.string(),
  settings: z.array(startSetting),
  events: z.array(z.strictObject({ time: z.number(), speed: z.number(), text: z.string() })),
  run: z
    .strictObject({
      ending: z.enum(['running', 'stalled', 'crawling', 'unfinished']),
      peakCurrent: z.number(),
      motorCurrent: z.number(),
      changeoverCurrent: z.number().nullable(),
      /** Null where the source is not described. */
      dip: z.number().nullable(),
      time: z.number().nullable(),
      margin: z.number(),
      marginSpeed: z.number(),
      thermalUse: z.number(),
      /** Largest sudden step of torque ÷ rated torque. */
      jolt: z.number(),
      endSpeed: z.number(),
    })
    .nullable(),
  leads: z.number(),
  parts: z.string(),
  whenOff: z.string(),
  speedControl: z.boolean(),
  /** Invented price index of the starter. */
  costIndex: z.number(),
});
export type StartRow = Frozen<z.output<typeof startRow>>;

/** A value the circuit was fitted to, and what it gives. */
const met = z.strictObject({
  label: z.string(),
  wanted: z.number(),
  got: z.number(),
  unit: z.string(),
  deviation: z.number(),
  met: z.boolean(),
});
export type MetView = Frozen<z.output<typeof met>>;

/** The machine's circuit and what follows from it. Ω, W, A. */
const machine = z.strictObject({
  name: z.string(),
  origin: z.enum(['given', 'fitted']),
  voltage: z.number(),
  frequency: z.number(),
  parameters: z.array(z.strictObject({ symbol: z.string(), label: z.string(), text: z.string() })),
  met: z.array(met),
  /** Why the data cannot belong to one machine; null where they can. */
  reason: z.string().nullable(),
  assumed: z.array(z.string()),
  partLoad: z.array(
    z.strictObject({
      load: z.number(),
      speed: z.number(),
      current: z.number(),
      powerFactor: z.number(),
      efficiency: z.number(),
      input: z.number(),
    }),
  ),
  losses: z.array(z.strictObject({ label: z.string(), value: z.number() })),
});
export type MachineView = Frozen<z.output<typeof machine>>;

const startView = z.strictObject({
  rows: z.array(startRow),
  recommended: z.strictObject({ method, reasons: z.array(z.string()) }).nullable(),
  machine,
});
export type StartView = Frozen<z.output<typeof startView>>;

const numbers = z.array(z.number());
/** Columns over time of the subject's start, and torque and current over speed of every method. */
const startCurves = z.strictObject({
  method,
  time: numbers,
  speed: numbers,
  line: numbers,
  torque: numbers,
  load: numbers,
  bus: numbers,
  heat: numbers,
  loadSpeed: z.array(pair),
  methods: z.array(z.strictObject({ method, speed: numbers, torque: numbers, current: numbers })),
});
export type StartCurves = Frozen<z.output<typeof startCurves>>;

const profilePoint = z.strictObject({
  hours: z.number(),
  flow: z.number(),
  oldInput: z.number(),
  newInput: z.number(),
});
export type ProfilePoint = Frozen<z.output<typeof profilePoint>>;

const timeCurve = z.array(pair);
/** A against s, in the line: lines, or bands from their quickest to their slowest, and currents that are marked. */
const guardCurves = z.strictObject({
  dial: z.number(),
  class: z.string(),
  lines: z.array(z.strictObject({ id: z.string(), name: z.string(), points: timeCurve, slow: timeCurve.nullable() })),
  marks: z.array(z.strictObject({ id: z.string(), name: z.string(), current: z.number() })),
});
export type GuardCurves = Frozen<z.output<typeof guardCurves>>;

/** What is said of two curves that cross, or do not; `at`: where, A and s. */
const crossing = z.strictObject({
  id: z.enum(['outlasts-start', 'trips-before-stall', 'within-contactor', 'rides-first-crest', 'protects-cable']),
  /** A condition holds as far as its text says, and is answered by its field. */
  outcome: z.enum(['pass', 'caution', 'fail', 'condition']),
  text: z.string(),
  at: pair.nullable(),
  figures: z.array(z.string()),
});
export type Crossing = Frozen<z.output<typeof crossing>>;

/** A part of the circuit: `range` what it is set within, `below` what the next one down would fail. */
const circuitPart = z.strictObject({
  kind: z.enum([
    'source',
    'disconnect',
    'device',
    'contactor',
    'soft-starter',
    'drive',
    'resistor',
    'filter',
    'overload',
    'cable',
    'motor',
    'brake',
    'load',
  ]),
  name: z.string(),
  rating: z.string(),
  range: z.string(),
  margin: z.string(),
  below: z.string(),
  figure: z.string().nullable(),
  /**
   * Not in the line: across the part before it, from before that to the windings' far ends, the star point, hung on
   * the part before, or on a way of its own that leaves the line `spans` parts above and joins it below.
   */
  beside: z.enum(['across', 'far-ends', 'star-point', 'hangs', 'leaves', 'joins']).optional(),
  spans: z.int().optional(),
});
export type CircuitPart = Frozen<z.output<typeof circuitPart>>;

const combinationTaken = z.strictObject({
  type: z.int(),
  table: z.string(),
  standard: z.string(),
  voltage: z.number(),
  faultCurrent: z.number(),
  kind: z.enum(protectiveDevices),
  device: z.string(),
  contactor: z.string(),
  ac3: z.number(),
  relay: z.string(),
  range: z.string(),
  price: z.number().nullable(),
});
export type CombinationTaken = Frozen<z.output<typeof combinationTaken>>;

const setting = z.strictObject({ name: z.string(), value: z.string(), why: z.string(), otherwise: z.string() });
export type Setting = Frozen<z.output<typeof setting>>;

const watched = z.strictObject({
  id: z.string(),
  name: z.string(),
  /** What is proposed, in words, and the reason. */
  proposed: z.string(),
  why: z.string(),
  /** As decided in the case; null where nobody decided. */
  decided: z.string().nullable(),
});
export type Watched = Frozen<z.output<typeof watched>>;

/** The circuit as a decision: its parts, what was tested together, what the curves say, settings, what else watches. */
const guardView = z.strictObject({
  scheme: z.enum(['two-part', 'three-part', 'star-delta', 'soft-starter', 'drive']),
  parts: z.array(circuitPart),
  /** `taken`: the one of the type that is asked; `other`: the one of the other type. */
  combination: z.strictObject({
    asked: z.string(),
    taken: combinationTaken.nullable(),
    other: combinationTaken.nullable(),
    step: z.string(),
  }),
  /** On the relay's own scale: what is proposed, and the most that may be dialled. A. */
  dial: z.strictObject({ proposed: z.number(), most: z.number(), why: z.string() }).nullable(),
  crossings: z.array(crossing),
  settings: z.array(setting),
  watches: z.array(watched),
});
export type GuardView = Frozen<z.output<typeof guardView>>;

/** A drive's curves: N·m and r/min, V and m, A against degrees of a period, A by order. */
const driveCurves = z.strictObject({
  envelope: z
    .strictObject({
      continuous: z.array(pair),
      minute: z.array(pair),
      load: z.array(pair),
      /** r/min by the ratio on the plate. */
      ratio: z.number().nullable(),
      least: z.number(),
      most: z.number(),
    })
    .nullable(),
  pulses: z
    .strictObject({
      bare: z.array(pair),
      filtered: z.array(pair).nullable(),
      permitted: z.number(),
      length: z.number().nullable(),
    })
    .nullable(),
  waveform: z.array(pair).nullable(),
  spectrum: z.array(pair).nullable(),
  /** The run-up as simulated at Start: r/min, N·m, A and V of the motor against s. */
  run: z
    .strictObject({ speed: z.array(pair), torque: z.array(pair), current: z.array(pair), voltage: z.array(pair) })
    .nullable(),
  /** The stop: r/min, N·m, V of the bus and W of its resistor against s; where it trips the drive says by what. */
  stop: z
    .strictObject({
      speed: z.array(pair),
      torque: z.array(pair),
      current: z.array(pair),
      voltage: z.array(pair),
      bus: z.array(pair),
      resistor: z.array(pair),
      trip: z.number(),
      fault: z.string(),
    })
    .nullable(),
});
export type DriveCurves = Frozen<z.output<typeof driveCurves>>;

const driveSetting = z.strictObject({
  id: z.string(),
  name: z.string(),
  value: z.string(),
  /** As a number, in the unit of its register and the register it is written to; null where there is none. */
  number: z.number().nullable(),
  unit: z.string(),
  register: z.int().nullable(),
  why: z.string(),
  otherwise: z.string(),
  source: z.string(),
});
export type DriveSetting = Frozen<z.output<typeof driveSetting>>;

/** What to buy and to program for a drive. */
const driveView = z.strictObject({
  /** Inputs and outputs by the way it is commanded; empty where nobody said. */
  command: z.string(),
  settings: z.array(driveSetting),
  /** What may stand between drive and motor: V it leaves at the motor, share of the voltage it costs, price index. */
  remedies: z.array(
    z.strictObject({
      /** What stands between drive and motor, a drive hung nearer, or another winding. */
      filter: z.enum([...outputFilters, 'nearer', 'winding']),
      name: z.string(),
      peak: z.number(),
      does: z.boolean(),
      drop: z.number(),
      price: z.number(),
      text: z.string(),
    }),
  ),
});
export type DriveView = Frozen<z.output<typeof driveView>>;

/** Sums of money as of today. */
const moneyCurves = z.strictObject({
  usual: z.number(),
  /** Share of the draws at each net present value. */
  bars: z.array(pair),
  /** One uncertain input at a time, what moves it most first: its ends ÷ usual, and the net present value there. */
  tornado: z.array(
    z.strictObject({
      ...{ input: z.string(), name: z.string() },
      ...{ least: z.number(), most: z.number(), low: z.number(), high: z.number() },
    }),
  ),
  /** Sum after so many years. */
  years: z.array(pair),
});
export type MoneyCurves = Frozen<z.output<typeof moneyCurves>>;

/** Machine and system: share of full flow, and of the head asked there. */
const machineCurves = z.strictObject({
  /** At full speed, and at the speeds of the year. */
  speeds: z.array(z.strictObject({ speed: z.number(), points: z.array(pair) })),
  system: z.array(pair),
  /** The year: where each flow lies now and new, and its hours; heads the machine gives. */
  points: z.array(
    z.strictObject({
      ...{ hours: z.number(), flow: z.number(), needed: z.number() },
      ...{ old: z.number(), new: z.number(), speed: z.number() },
    }),
  ),
  typed: z.boolean(),
});
export type MachineCurves = Frozen<z.output<typeof machineCurves>>;

/** One way to go on, its sums against the first of the list. */
const costOption = z.strictObject({
  kind: z.enum([
    ...(['keep', 'star', 'rewind', 'like-for-like', 'premium', 'right-size'] as const),
    ...(['two-speed', 'drive', 'replace-drive'] as const),
  ]),
  name: z.string(),
  /** What is bought. */
  motor: z.string(),
  method,
  outcome,
  text: z.string(),
  /** kWh and kg a year, kW, and money: a year's bill, what is spent at once. */
  energy: z.number(),
  carbon: z.number().nullable(),
  demand: z.number(),
  bill: z.number(),
  cost: z.number(),
  /** With its renewals, as of today. */
  spent: z.number(),
  /** Whether the invented price index stands for its cost. */
  index: z.boolean(),
  /** Years until it is bought again; null where it lasts the years counted. */
  life: z.number().nullable(),
  netPresentValue: z.number(),
  lifeCycle: z.number(),
  /** Years; null where it never is, or nothing is spent. */
  payback: z.number().nullable(),
  /** Between which a quote may lie, where no more than an index stands for the cost, and the years with it. */
  band: z.strictObject({ cost: pair, payback: pair.nullable() }).nullable(),
});
export type CostOption = Frozen<z.output<typeof costOption>>;

const costView = z.strictObject({
  /** Where a year's energy goes, kWh now and new; what lies `beside` is not in what is paid for. */
  account: z.array(
    z.strictObject({
      ...{ kind: z.string(), name: z.string(), old: z.number(), new: z.number() },
      beside: z.boolean().optional(),
    }),
  ),
  options: z.array(costOption),
  /**
   * Where the change is worth nothing and costs nothing, one thing moved at a time: a kWh's mean price; hours and load
   * ÷ what is counted; the share of the head that is static. Null where no such place is met.
   */
  breakEven: z
    .strictObject({
      price: z.number().nullable(),
      hours: z.number().nullable(),
      load: z.number().nullable(),
      head: z.number().nullable(),
    })
    .nullable(),
});
export type CostView = Frozen<z.output<typeof costView>>;

const curves = z.strictObject({
  /** Torque in N·m against r/min at the motor shaft. */
  torqueSpeed: z.strictObject({ load: z.array(pair), motor: z.array(pair) }).nullable(),
  /** Input in kW against flow ratio, old and new way of control, and the year's rows. */
  flow: z.strictObject({ old: z.array(pair), new: z.array(pair), rows: z.array(profilePoint) }).nullable(),
  money: moneyCurves.nullable(),
  machine: machineCurves.nullable(),
  start: startCurves.nullable(),
  guard: guardCurves.nullable(),
  drive: driveCurves.nullable(),
});
export type Curves = Frozen<z.output<typeof curves>>;

/** How one line of the old plate compares with its replacement. */
const likeness = z.enum(['same', 'better', 'adaptable', 'impossible', 'unknown']);
export type Likeness = z.output<typeof likeness>;

/** `text`: what it means, or what adapting needs. */
const replacementLine = z.strictObject({
  item: z.string(),
  likeness,
  old: z.string(),
  new: z.string(),
  text: z.string(),
});
export type ReplacementLine = Frozen<z.output<typeof replacementLine>>;

const replacement = z.strictObject({
  kind: z.enum(['choice', 'catalogue', 'plate']),
  name: z.string(),
  likeness,
  lines: z.array(replacementLine),
});
export type Replacement = Frozen<z.output<typeof replacement>>;

/** A cause of the failure, with what speaks for and against it. */
const likelyCause = z.strictObject({
  cause: z.string(),
  title: z.string(),
  likelihood: z.enum(['likely', 'possible', 'unlikely']),
  reasons: z.array(z.string()),
  remedy: z.string(),
});
export type LikelyCause = Frozen<z.output<typeof likelyCause>>;

/** What the new choice must do differently: judged for every candidate under this requirement. */
const lesson = z.strictObject({ requirement: z.string(), cause: z.string(), text: z.string() });
export type LessonView = Frozen<z.output<typeof lesson>>;

const history = z.strictObject({ causes: z.array(likelyCause), lessons: z.array(lesson) });
export type FailureHistory = Frozen<z.output<typeof history>>;

/** How many candidates a result carries in words. */
export const bestFifty = 50;

/** `pilgrim.result/1`: what core makes, the published JSON Schema, and what is read back. */
export const resultSchema = z.strictObject({
  format: z.literal('pilgrim.result/1'),
  core: z.string(),
  name: z.string().nullable(),
  practice: z.string(),
  figures: z.record(z.string(), figureSchema),
  findings: z.array(findingSchema),
  facts: z.array(factSchema),
  enclosures: z.array(enclosure),
  history: history.nullable(),
  replacement: replacement.nullable(),
  counts: z.strictObject({ motors: z.int(), pass: z.int(), caution: z.int(), fail: z.int() }),
  candidates: z.array(candidate).max(bestFifty),
  methods: z.array(methodVerdict),
  choice: choiceSchema.nullable(),
  subject: subjectSchema.nullable(),
  stations: z.record(z.enum(stations), stationSchema),
  /** Most important first. */
  open: z.array(openSchema),
  rules: z.array(ruleUsed),
  curves,
  start: startView.nullable(),
  guard: guardView.nullable(),
  drive: driveView.nullable(),
  cost: costView.nullable(),
});
export type Result = Frozen<Omit<z.output<typeof resultSchema>, 'figures'>> & {
  readonly figures: Readonly<Record<string, Figure>>;
};

export interface Errors {
  readonly format: 'pilgrim.errors/1';
  readonly errors: readonly CaseError[];
}
