import { z } from 'zod';
import {
  causes,
  dirts,
  cableArrangements,
  cableInsulations,
  cableMethods,
  cableTemperatures,
  conductorMaterials,
  conduits,
  coordinations,
  brakingKinds,
  driveCommands,
  driveCoolings,
  driveDuties,
  driveHousings,
  driveInputs,
  driveLocations,
  outputFilters,
  rectifiers,
  machines,
  methods,
  mountings,
  plateConditions,
  brakePlaces,
  errands,
  rotations,
  practiceIds,
  shapes,
  trainKinds,
  waters,
  protectiveDevices,
  raceways,
  boardMountings,
  capacitorPlaces,
  earthings,
  guardRoles,
  relayKinds,
  relayPlaces,
  restarts,
  undervoltages,
  watches,
  type Watch,
  wires,
} from '../contract';
import { houseRules, ruleIds, type HouseRule, type RuleId, type RuleValue } from '../practice';
import { money, speed } from './energy';
import { conductorSize, flag, groups, number, oneOf, quantity, text, generatorRating, upstreamLevel } from './fields';

const efficiency = () => number({ above: 0, below: 1 }, 0.936);
const ratio = (example = 1) => number({ min: 0, max: 100 }, example);
/** How far the load may be off, as a share; usual for the way it is known where left out. */
const uncertainty = number({ min: 0, below: 1 }, 0.1).optional();
const month = text(7).regex(/^\d{4}(-(0[1-9]|1[0-2]))?$/, { error: 'write a year and month such as "2021-03"' });

/**
 * What a plate may carry, in the order plates are stamped. Quantities keep their text; groups keep their hyphens and
 * slashes.
 */
const plateFields = {
  power: groups('power').optional(),
  /** The same rating in the other unit, where both are stamped. */
  powerAlso: groups('power').optional(),
  voltage: groups('voltage').optional(),
  current: groups('current').optional(),
  speed: groups('speed').optional(),
  frequency: quantity('frequency').optional(),
  phases: z.int({ error: 'must be 1, 2 or 3' }).min(1).max(3, { error: 'must be 1, 2 or 3' }).optional(),
  frame: text(20).optional(),
  mounting: text(40).optional(),
  enclosure: text(80).optional(),
  /** IP code, and IC code of the cooling. */
  protection: text(20).optional(),
  cooling: text(20).optional(),
  serviceFactor: number({ min: 1, max: 2 }, 1.15).optional(),
  codeLetter: text(1)
    .regex(/^[A-HJ-NPR-Va-hj-npr-v]$/, { error: 'must be one letter, A to V without I, O and Q' })
    .optional(),
  designLetter: text(3).optional(),
  /** Breakdown torque ÷ rated, stamped or on the data sheet. */
  breakdownTorque: number({ min: 1, max: 6 }, 2.4).optional(),
  insulation: oneOf(['A', 'E', 'B', 'F', 'H', 'N']).optional(),
  temperatureRise: quantity('temperatureRise').optional(),
  /** Class to whose rise the motor is used, where a plate says "F/B". */
  riseClass: oneOf(['A', 'E', 'B', 'F', 'H', 'N']).optional(),
  ambient: quantity('temperature', 'any').optional(),
  duty: text(40).optional(),
  efficiency: efficiency().optional(),
  efficiencyMinimum: efficiency().optional(),
  efficiencyThreeQuarter: efficiency().optional(),
  efficiencyHalf: efficiency().optional(),
  efficiencyClass: text(20).optional(),
  powerFactor: number({ above: 0, max: 1 }, 0.83).optional(),
  serviceFactorCurrent: groups('current').optional(),
  usableAt: z
    .strictObject({ voltage: quantity('voltage').optional(), current: quantity('current').optional() })
    .optional(),
  inverterDuty: z
    .strictObject({
      variableTorque: number({ min: 1, max: 10000 }, 10).optional(),
      constantTorque: number({ min: 1, max: 10000 }, 4).optional(),
      /** Above base speed: highest speed ÷ rated speed at constant power. */
      constantPower: number({ min: 1, max: 20 }, 1.5).optional(),
    })
    .optional(),
  maxSpeed: quantity('speed').optional(),
  bearings: z.strictObject({ driveEnd: text(40).optional(), oppositeEnd: text(40).optional() }).optional(),
  grease: text(80).optional(),
  greaseInterval: quantity('time').optional(),
  connection: text(40).optional(),
  leads: z.int({ error: 'must be a whole number of leads such as 9' }).min(3).max(24).optional(),
  thermalProtection: text(80).optional(),
  weight: quantity('mass').optional(),
  altitude: quantity('length', 'any').optional(),
  year: z.int({ error: 'must be a year such as 2014' }).min(1880).max(2100).optional(),
  /** Kind of machine where the plate says so ("wound rotor", "permanent magnet"). */
  kind: text(60).optional(),
  /** The maker's own words for the type, and the serial number. */
  model: text(80).optional(),
  serial: text(80).optional(),
  /** Certification for hazardous places and the like: kept as text, never read as a permission. */
  remarks: text(400).optional(),
};

export const plateSchema = z.strictObject({
  ...plateFields,
  alternate: z
    .strictObject({
      frequency: plateFields.frequency,
      power: plateFields.power,
      voltage: plateFields.voltage,
      current: plateFields.current,
      speed: plateFields.speed,
      serviceFactor: plateFields.serviceFactor,
      efficiency: plateFields.efficiency,
      powerFactor: plateFields.powerFactor,
    })
    .optional(),
});

/** The plate of the motor that is there: also how it was read. */
const oldPlate = plateSchema.extend({
  /** Whether there is a plate to read at all. */
  condition: oneOf(plateConditions).optional(),
  /** The text it was read from, whole, so that what was not understood stays visible. */
  text: text(4000).optional(),
});

/** What is measured where the plate is missing or burnt. */
const measured = z.strictObject({
  shaftHeight: quantity('length').optional(),
  shaftDiameter: quantity('length').optional(),
  feetAcross: quantity('length').optional(),
  feetAlong: quantity('length').optional(),
  speed: quantity('speed').optional(),
  voltage: quantity('voltage').optional(),
  noLoadCurrent: quantity('current').optional(),
  loadCurrent: quantity('current').optional(),
  /** Between two line terminals, as connected for the line, winding cold. */
  windingResistance: quantity('resistance').optional(),
});

const demand = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({
      kind: z.literal('power'),
      power: quantity('power').optional(),
      speed: quantity('speed').optional(),
      uncertainty,
    }),
    z.strictObject({
      kind: z.literal('torque'),
      torque: quantity('torque').optional(),
      speed: quantity('speed').optional(),
      /**
       * Where it was measured: at the driven shaft, or at the motor's end of the train (a wrench on the gearbox
       * input).
       */
      at: oneOf(['driven', 'train-input']).optional(),
      uncertainty,
    }),
    z.strictObject({
      kind: z.literal('pull'),
      /** Pull that keeps it moving; the pull that gets it moving is read apart. */
      force: quantity('force').optional(),
      breakawayForce: quantity('force').optional(),
      radius: quantity('length').optional(),
      speed: quantity('speed').optional(),
      uncertainty,
    }),
    z.strictObject({
      kind: z.literal('pump'),
      flow: quantity('flow').optional(),
      head: quantity('length').optional(),
      /** Part of the head that is there without flow. */
      staticHead: quantity('length', 'zero').optional(),
      density: quantity('density').optional(),
      viscosity: quantity('viscosity').optional(),
      efficiency: efficiency().optional(),
      speed: quantity('speed').optional(),
      uncertainty,
    }),
    z.strictObject({
      kind: z.literal('fan'),
      flow: quantity('flow').optional(),
      pressure: quantity('pressure').optional(),
      /** Whether the pressure is as it is there, or as catalogued for standard air of 1.2 kg/m³. */
      pressureAt: oneOf(['actual', 'standard']).optional(),
      gasTemperature: quantity('temperature', 'any').optional(),
      efficiency: efficiency().optional(),
      speed: quantity('speed').optional(),
      uncertainty,
    }),
    z.strictObject({
      kind: z.literal('conveyor'),
      massFlow: quantity('massFlow').optional(),
      length: quantity('length').optional(),
      lift: quantity('length', 'any').optional(),
      friction: ratio(0.03).optional(),
      speed: quantity('linearSpeed').optional(),
      drumDiameter: quantity('length').optional(),
      /** Belt both ways and rollers, per metre of conveyor. */
      movingMass: quantity('linearMass', 'zero').optional(),
      /** Secondary resistances of a belt: total ÷ main resistance. */
      secondary: number({ min: 1, max: 10 }, 1.8).optional(),
      screwDiameter: quantity('length').optional(),
      /** Height added for digging and friction of a bucket elevator. */
      digging: quantity('length', 'zero').optional(),
      /** Speed of a screw's shaft, where there is no drum. */
      shaftSpeed: quantity('speed').optional(),
      uncertainty,
    }),
    z.strictObject({
      kind: z.literal('hoist'),
      mass: quantity('mass').optional(),
      speed: quantity('linearSpeed').optional(),
      efficiency: efficiency().optional(),
      drumDiameter: quantity('length').optional(),
      uncertainty,
    }),
    z.strictObject({
      kind: z.literal('measured'),
      voltage: quantity('voltage').optional(),
      current: quantity('current').optional(),
      power: quantity('power').optional(),
      speed: quantity('speed').optional(),
      uncertainty,
    }),
  ],
  { error: 'kind must be one of power, torque, pull, pump, fan, conveyor, hoist, measured' },
);

const load = z.strictObject({
  machine: oneOf(machines).optional(),
  shape: z
    .union(
      [
        z.enum(shapes),
        z.strictObject({
          points: z
            .array(z.tuple([ratio(), ratio()]))
            .min(1)
            .max(200),
        }),
      ],
      { error: `must be one of ${shapes.join(', ')}, or { "points": [[speedRatio, torqueRatio], …] }` },
    )
    .optional(),
  breakaway: ratio(1.5).optional(),
  demand: demand.optional(),
  train: z
    .strictObject({
      kind: oneOf(trainKinds).optional(),
      ratio: number({ above: 0, max: 10000 }, 25).optional(),
      efficiency: number({ above: 0, max: 1 }, 0.95).optional(),
      /** Up to three stages from the motor to the machine, instead of kind, ratio and efficiency of the whole. */
      stages: z
        .array(
          z.strictObject({
            kind: oneOf(trainKinds).optional(),
            ratio: number({ above: 0, max: 10000 }, 2).optional(),
            efficiency: number({ above: 0, max: 1 }, 0.95).optional(),
            /** Of its parts, at its slower side. */
            inertia: quantity('inertia', 'zero').optional(),
          }),
        )
        .min(1)
        .max(3, { error: 'three stages at most' })
        .optional(),
      /** Pitch diameter of the sheave or sprocket on the motor's shaft. */
      sheave: quantity('length').optional(),
      /** Radial load that the motor's maker permits on its shaft. */
      permittedPull: quantity('force').optional(),
    })
    .optional(),
  inertia: quantity('inertia', 'zero').optional(),
  /** Seen from the drive end. */
  rotation: oneOf(rotations).optional(),
  brake: oneOf(brakePlaces).optional(),
  /** Torque during the run-up ÷ torque of the shape, where the machine starts unloaded. */
  startRatio: number({ above: 0, max: 1 }, 0.4).optional(),
  startsPerHour: number({ min: 0, max: 3600 }, 2).optional(),
  maxStartTime: quantity('time').optional(),
  overload: z
    .strictObject({
      ratio: number({ min: 1, max: 20 }, 1.2).optional(),
      duration: quantity('time').optional(),
      /** Breakdown torque ÷ rated that the maker of whatever motor is bought promises. */
      breakdown: number({ min: 1, max: 6 }, 2.4).optional(),
    })
    .optional(),
  cycle: z
    .array(
      z.strictObject({
        duration: quantity('time'),
        ratio: ratio(),
        /** The motor stands still in this segment. */
        rest: flag().optional(),
      }),
    )
    .max(1000)
    .optional(),
});

const wholeSets = 'write a whole number of sets, 1 to 50';
const source = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({
      kind: z.literal('transformer'),
      rating: quantity('apparentPower').optional(),
      impedance: number({ above: 0, below: 1 }, 0.0575).optional(),
    }),
    z.strictObject({
      kind: z.literal('generator'),
      /** In kVA, or in kW with its power factor. */
      rating: generatorRating().optional(),
      powerFactor: number({ above: 0, max: 1 }, 0.8).optional(),
      /** Alike, running side by side at the worst hour. */
      sets: z.int({ error: wholeSets }).min(1, wholeSets).max(50, wholeSets).optional(),
      subtransientReactance: number({ above: 0, below: 1 }, 0.12).optional(),
      transientReactance: number({ above: 0, below: 1 }, 0.2).optional(),
      /** Time constant with which the regulator brings the bus back. */
      recovery: quantity('time').optional(),
    }),
    z.strictObject({ kind: z.literal('fault-level'), current: quantity('current').optional() }),
    z.strictObject({ kind: z.literal('stiff') }),
  ],
  { error: 'kind must be one of transformer, generator, fault-level, stiff' },
);

const circuit = z.strictObject({
  poles: z.int().min(2).max(48),
  voltage: quantity('voltage'),
  frequency: quantity('frequency'),
  statorResistance: quantity('resistance'),
  statorReactance: quantity('resistance'),
  rotorResistance: quantity('resistance'),
  rotorReactance: quantity('resistance'),
  magnetisingReactance: quantity('resistance'),
  coreLoss: quantity('power', 'zero').optional(),
  frictionLoss: quantity('power', 'zero').optional(),
  ratedSpeed: quantity('speed').optional(),
  inertia: quantity('inertia', 'zero').optional(),
  cage2: z.strictObject({ resistance: quantity('resistance'), reactance: quantity('resistance') }).optional(),
});

/** When a reduced-voltage stage ends: after a time, or at a share of synchronous speed; the one that is given. */
const changeover = {
  time: quantity('time').optional(),
  speed: number({ min: 0.1, max: 0.99 }, 0.9).optional(),
};

/** How the starter is set. What is left out is taken as usual and shown as assumed. */
const start = z.strictObject({
  /** Safe stall time of the hot motor. */
  stallTime: quantity('time').optional(),
  starDelta: z
    .strictObject({
      ...changeover,
      transition: oneOf(['open', 'closed']).optional(),
      pause: quantity('time', 'zero').optional(),
    })
    .optional(),
  autotransformer: z.strictObject({ ...changeover, tap: number({ min: 0.3, max: 0.95 }, 0.65).optional() }).optional(),
  reactor: z
    .strictObject({
      ...changeover,
      element: oneOf(['reactor', 'resistor']).optional(),
      /** Motor voltage at standstill ÷ line voltage. */
      share: number({ min: 0.3, max: 0.95 }, 0.65).optional(),
    })
    .optional(),
  softStarter: z
    .strictObject({
      /** Times plate current. */
      limit: number({ min: 1, max: 8 }, 3.5).optional(),
      ramp: oneOf(['voltage', 'torque', 'none']).optional(),
      /** Share of line voltage, or of rated torque, at which the ramp begins. */
      from: number({ min: 0, max: 1 }, 0.3).optional(),
      time: quantity('time', 'zero').optional(),
      kick: quantity('time', 'zero').optional(),
      kickVoltage: number({ min: 0.3, max: 1 }, 0.8).optional(),
      /** Time over which it stops; 0 lets the machine coast. */
      stop: quantity('time', 'zero').optional(),
      bypass: flag().optional(),
      lineContactor: flag().optional(),
      /** Of the pipeline to the first free surface. */
      pipe: quantity('length').optional(),
    })
    .optional(),
  drive: z
    .strictObject({
      ramp: quantity('time').optional(),
      /** Times plate current. */
      limit: number({ min: 0.5, max: 3 }, 1.5).optional(),
      control: oneOf(['vector', 'scalar']).optional(),
      /** Share of rated voltage at zero frequency. */
      boost: number({ min: 0, max: 0.3 }, 0.03).optional(),
    })
    .optional(),
});

const declared = () => number({ min: 0, max: 0.5 }, 0.02);
/** What a drive's data sheet declares of its losses: all eight points, each ÷ its rated apparent power. */
const losses = z.strictObject({
  s0t25: declared(),
  s0t50: declared(),
  s0t100: declared(),
  s50t25: declared(),
  s50t50: declared(),
  s50t100: declared(),
  s90t50: declared(),
  s90t100: declared(),
});

/** The drive, its cable and its supply. What is left out is taken as usual and shown as assumed. */
const drive = z.strictObject({
  losses: losses.partial().optional(),
  /** Lowers the flux at part load for the least loss. */
  energySaving: flag().optional(),
  /** What it takes while the motor rests: watts (common practice, 10 to 200), so a bare number is not meant. */
  standby: quantity('power')
    .refine(({ value }) => value < 1000, { error: 'a drive at rest takes watts: write them so, such as "20 W"' })
    .optional(),
  duty: oneOf(driveDuties).optional(),
  rectifier: oneOf(rectifiers).optional(),
  /** At the input or in the DC link, as an equivalent share at the input; 0 is none. */
  choke: number({ min: 0, max: 0.2 }, 0.03).optional(),
  filter: oneOf(outputFilters).optional(),
  carrier: quantity('frequency').optional(),
  riseTime: quantity('time').optional(),
  cooling: oneOf(driveCoolings).optional(),
  braking: z
    .strictObject({
      time: quantity('time').optional(),
      kind: oneOf(brakingKinds).optional(),
      perHour: number({ min: 0, max: 3600 }, 6).optional(),
    })
    .optional(),
  /** How many hang on it. */
  motors: number({ min: 1, max: 200 }, 2)
    .refine((n) => Number.isInteger(n), { error: 'write a whole number, such as 2' })
    .optional(),
  input: oneOf(driveInputs).optional(),
  encoder: flag().optional(),
  bypass: flag().optional(),
  safeTorqueOff: flag().optional(),
  command: z.array(oneOf(driveCommands)).max(4, { error: 'name each at most once' }).optional(),
  /** What else hangs at the point of connection. */
  site: z
    .strictObject({
      /** Maximum demand. */
      current: quantity('current').optional(),
      /** Of it, what does not distort. */
      linear: quantity('current', 'zero').optional(),
      drives: z
        .array(
          z.strictObject({
            power: quantity('power').optional(),
            rectifier: oneOf(rectifiers).optional(),
            choke: number({ min: 0, max: 0.2 }, 0.03).optional(),
          }),
        )
        .max(50, { error: 'at most 50; add alike ones up' })
        .optional(),
    })
    .optional(),
});

/** The circuit between the bus and the motor's terminals. What is left out is taken as usual and shown as assumed. */
const guard = z.strictObject({
  role: oneOf(guardRoles).optional(),
  device: oneOf(protectiveDevices).optional(),
  coordination: oneOf(coordinations).optional(),
  /** Where the starter sits: around the board, how tight it is, how its parts are fitted. */
  board: z
    .strictObject({
      /** Which one, by name: positions of a plant with the same hang on one board. */
      name: text(60).optional(),
      ambient: quantity('temperature', 'any').optional(),
      protection: text(12)
        .regex(/^IP\s?[0-6X][0-9X]$/i, { error: 'write a degree of protection, such as IP54' })
        .optional(),
      mounting: oneOf(boardMountings).optional(),
    })
    .optional(),
  relay: z
    .strictObject({
      class: z
        .union([z.literal(5), z.literal(10), z.literal(20), z.literal(30), z.literal('10A')], {
          error: 'must be one of 5, 10, 20, 30 or "10A"',
        })
        .optional(),
      kind: oneOf(relayKinds).optional(),
      /** Inside the delta, or in the line before it. */
      at: oneOf(relayPlaces).optional(),
      /** As it is set; left out: as proposed. */
      dial: quantity('current').optional(),
    })
    .optional(),
  cable: z
    .strictObject({
      material: oneOf(conductorMaterials).optional(),
      /** Left out: the least that does. */
      area: conductorSize().optional(),
      parallel: number({ min: 1, max: 12 }, 2)
        .refine((n) => Number.isInteger(n), { error: 'write a whole number, such as 2' })
        .optional(),
      ambient: quantity('temperature', 'any').optional(),
      rating: oneOf(cableTemperatures).optional(),
      terminals: oneOf(cableTemperatures).optional(),
      /** Current-carrying ones in the raceway. */
      conductors: number({ min: 1, max: 1000 }, 6).optional(),
      raceway: oneOf(raceways).optional(),
      insulation: oneOf(cableInsulations).optional(),
      method: oneOf(cableMethods).optional(),
      /** Circuits that lie together, this one counted. */
      circuits: number({ min: 1, max: 100 }, 3).optional(),
      arrangement: oneOf(cableArrangements).optional(),
      wire: oneOf(wires).optional(),
      conduit: oneOf(conduits).optional(),
    })
    .optional(),
  /** Running, as a share of the line voltage. */
  maxDrop: number({ above: 0, max: 0.5 }, 0.03).optional(),
  /** Short-circuit rating of the panel. */
  assemblyRating: quantity('current').optional(),
  /** Of the branch device at the starter's fault current, as its maker says. */
  letThrough: quantity('letThrough').optional(),
  /** Where a capacitor sits that serves this motor, and how large it is. */
  capacitor: oneOf(capacitorPlaces).optional(),
  capacitorPower: quantity('reactivePower').optional(),
  /** The machine is run both ways; left out: a hoist is. */
  reversing: flag().optional(),
  restart: oneOf(restarts).optional(),
  undervoltage: oneOf(undervoltages).optional(),
  /** What watches over the motor, as decided; left out: as proposed. */
  watch: z
    .strictObject(
      Object.fromEntries(Object.keys(watches).map((id) => [id, flag().optional()])) as {
        [W in Watch]: z.ZodOptional<ReturnType<typeof flag>>;
      },
    )
    .optional(),
  feeder: z
    .strictObject({
      motors: z
        .array(
          z.strictObject({
            power: quantity('power').optional(),
            current: quantity('current').optional(),
            /** Rating of its branch device. */
            device: quantity('current').optional(),
          }),
        )
        .max(100)
        .optional(),
      other: quantity('current', 'zero').optional(),
    })
    .optional(),
});

/** What may be written for a house rule: one of its alternatives, or a number in its range. */
function ruleSchema({ value, alternatives, range }: HouseRule<string | number | boolean>): z.ZodType {
  if (typeof value === 'boolean') return flag();
  if (typeof value === 'number') return number(range ?? {}, value);
  return oneOf(alternatives as [string, ...string[]]);
}

/** House rules the case sets itself. */
const rules = z.strictObject(
  Object.fromEntries(ruleIds.map((id) => [id, ruleSchema(houseRules[id]).optional()])) as {
    [I in RuleId]: z.ZodOptional<z.ZodType<RuleValue<I>>>;
  },
);

/** A case as written in a file: `pilgrim.case/1`. Output carries quantities as text with value. */
export const caseSchema = z.strictObject(
  {
    format: z.literal('pilgrim.case/1', { error: 'must be "pilgrim.case/1"' }),
    name: text().optional(),
    practice: oneOf(practiceIds),
    /** What brought the engineer here: it orders what is asked, never what is true. */
    errand: oneOf(errands).optional(),
    rules: rules.optional(),
    plate: oldPlate.optional(),
    measured: measured.optional(),
    history: z
      .strictObject({
        installed: month.optional(),
        failed: month.optional(),
        hours: number({ min: 0, max: 1e6 }, 18000).optional(),
        causes: z.array(oneOf(causes)).max(10).optional(),
        /** How the failed motor was started or fed. */
        method: oneOf(methods).optional(),
      })
      .optional(),
    /** How the motor is started or fed today; left out: straight on the line. */
    starter: oneOf(methods).optional(),
    replacement: z
      .strictObject({ plate: plateSchema.optional(), catalogue: text(80).optional() })
      .refine((r) => r.plate === undefined || r.catalogue === undefined, {
        error: 'must hold one of plate or catalogue',
      })
      .optional(),
    accepted: z
      .array(
        z.strictObject({
          finding: text(80),
          /** Values of the finding's fields when it was accepted; where one has changed since, the doubt is back. */
          values: z.record(z.string().max(80), z.string().max(400)).optional(),
          reason: text(400).min(1, { error: 'write why this may stand' }),
        }),
      )
      .max(50)
      .optional(),
    /** Requirements that shall not count for this choice, each with the reason. */
    waived: z
      .array(
        z.strictObject({
          requirement: text(40),
          reason: text(400).min(1, { error: 'write why this requirement need not hold' }),
        }),
      )
      .max(40)
      .optional(),
    supply: z
      .strictObject({
        voltage: quantity('voltage').optional(),
        frequency: quantity('frequency').optional(),
        phases: z.union([z.literal(1), z.literal(3)], { error: 'must be 1 or 3' }).optional(),
        unbalance: number({ min: 0, max: 0.05 }, 0.01).optional(),
        source: source.optional(),
        /** Fault level of the network at the bank's high side. */
        upstream: upstreamLevel().optional(),
        /** The supplier's limit of starting current in the line. */
        startLimit: quantity('current').optional(),
        earthing: oneOf(earthings).optional(),
      })
      .optional(),
    load: load.optional(),
    start: start.optional(),
    place: z
      .strictObject({
        ambient: quantity('temperature', 'any').optional(),
        ambientMin: quantity('temperature', 'any').optional(),
        ambientNight: quantity('temperature', 'any').optional(),
        driveAmbient: quantity('temperature', 'any').optional(),
        driveAmbientMin: quantity('temperature', 'any').optional(),
        /** Damp air, or standing long where warm days meet cold nights. */
        humid: flag().optional(),
        altitude: quantity('length', 'any').optional(),
        dirt: oneOf(dirts).optional(),
        water: oneOf(waters).optional(),
        corrosive: flag().optional(),
        food: flag().optional(),
        sun: flag().optional(),
        vibration: flag().optional(),
        mounting: oneOf(mountings).optional(),
        noiseLimit: quantity('sound').optional(),
        hazardous: flag().optional(),
        /** Name or role of who said that it is none. */
        hazardousBy: text(80).optional(),
        driveLocation: oneOf(driveLocations).optional(),
        driveHousing: oneOf(driveHousings).optional(),
        cable: z.strictObject({ length: quantity('length', 'zero').optional() }).optional(),
      })
      .optional(),
    speed: speed.optional(),
    guard: guard.optional(),
    drive: drive.optional(),
    money: money.optional(),
    motor: z
      .strictObject({
        catalogue: text(80).optional(),
        plate: plateSchema.optional(),
        circuit: circuit.optional(),
        /** The motor on the case's own plate stays. */
        existing: z.literal(true, { error: 'must be true, or left out' }).optional(),
      })
      .refine((m) => Object.values(m).filter((x) => x !== undefined).length === 1, {
        error: 'must hold one of catalogue, plate, circuit or existing',
      })
      .nullish(),
    method: z.enum(methods, { error: () => `must be one of ${methods.join(', ')}, or null` }).nullish(),
  },
  { error: (issue) => (issue.code === 'invalid_type' ? 'must be an object' : undefined) },
);

/** A case as it was written: what files, drafts and revisions keep. */
export type CaseText = z.input<typeof caseSchema>;
/** A case that was read: quantities carry their value. */
export type Case = z.output<typeof caseSchema>;
export type Plate = z.output<typeof plateSchema>;
export type Demand = z.output<typeof demand>;
