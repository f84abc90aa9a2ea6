import fc from 'fast-check';
import { z } from 'zod';
import { caseSchema, dimensions, type CaseText, type DimensionSpec } from '@pilgrim/core';

/** Cases of the trade with plausible values in every combination, both practices; each is a valid case. */
export const likelyCase: fc.Arbitrary<CaseText> = fc
  .constantFrom('north-america' as const, 'iec' as const)
  .chain(likely);

/** Left out once in so many; 1: there in one of three. */
const some = <T>(arb: fc.Arbitrary<T>, freq = 2): fc.Arbitrary<T | undefined> =>
  freq > 1
    ? fc.option(arb, { nil: undefined, freq })
    : fc.oneof({ weight: 2, arbitrary: fc.constant(undefined) }, { weight: 1, arbitrary: arb });
const between = (min: number, max: number, digits = 2): fc.Arbitrary<number> =>
  fc.integer({ min: Math.round(min * 10 ** digits), max: Math.round(max * 10 ** digits) }).map((n) => n / 10 ** digits);
/** Evenly over the decades, to three figures. */
const decades = (min: number, max: number): fc.Arbitrary<number> =>
  fc
    .integer({ min: Math.round(1000 * Math.log10(min)), max: Math.round(1000 * Math.log10(max)) })
    .map((n) => Number((10 ** (n / 1000)).toPrecision(3)));
const text = (arb: fc.Arbitrary<number>, unit: string): fc.Arbitrary<string> => arb.map((n) => `${n} ${unit}`);
const one = fc.constantFrom;

function likely(practice: CaseText['practice']): fc.Arbitrary<CaseText> {
  const us = practice === 'north-america';
  const frequency = us ? 60 : 50;
  const volts = us ? [208, 240, 480, 480, 480, 600] : [400, 400, 400, 690];
  const supply = fc.record({
    voltage: text(one(...volts), 'V'),
    frequency: fc.constant(`${frequency} Hz`),
    phases: fc.constant(3 as const),
    unbalance: some(between(0, 0.03, 3)),
    source: some(
      fc.oneof(
        fc.record({
          kind: one('transformer' as const),
          rating: text(decades(30, 2500), 'kVA'),
          impedance: between(0.02, 0.08, 3),
        }),
        fc.record({
          kind: one('generator' as const),
          rating: text(decades(20, 1500), 'kVA'),
          subtransientReactance: between(0.1, 0.25),
        }),
        fc.record({ kind: one('fault-level' as const), current: text(decades(500, 50000), 'A') }),
        fc.record({ kind: one('stiff' as const) }),
      ),
    ),
  });
  const kw = decades(0.4, 250);
  const rpm = text(decades(12, 3500), 'rpm');
  const demand = fc.oneof(
    { weight: 5, arbitrary: fc.record({ kind: one('power' as const), power: text(kw, 'kW'), speed: some(rpm, 4) }) },
    fc.record({ kind: one('torque' as const), torque: text(decades(1, 20000), 'N·m'), speed: some(rpm, 4) }),
    fc.record({
      kind: one('pull' as const),
      force: text(decades(50, 20000), 'N'),
      radius: text(between(0.05, 0.6), 'm'),
      speed: some(rpm, 4),
    }),
    fc.record({
      kind: one('pump' as const),
      flow: text(decades(5, 800), 'm³/h'),
      head: text(decades(3, 120), 'm'),
      efficiency: some(between(0.4, 0.85)),
      speed: some(rpm),
    }),
    fc.record({
      kind: one('fan' as const),
      flow: text(decades(500, 90000), 'm³/h'),
      pressure: text(decades(80, 6000), 'Pa'),
      efficiency: some(between(0.4, 0.85)),
      speed: some(rpm),
    }),
    fc.record({
      kind: one('conveyor' as const),
      massFlow: text(decades(5, 800), 't/h'),
      length: text(decades(5, 200), 'm'),
      lift: some(text(between(0, 30, 0), 'm')),
      speed: text(between(0.3, 3), 'm/s'),
      drumDiameter: text(between(0.2, 1), 'm'),
    }),
    fc.record({
      kind: one('hoist' as const),
      mass: text(decades(100, 8000), 'kg'),
      speed: text(between(0.05, 1), 'm/s'),
      drumDiameter: text(between(0.2, 1), 'm'),
    }),
  );
  const train = fc.record({
    kind: one('direct', 'belt', 'gearbox', 'chain'),
    ratio: some(decades(0.5, 60), 4),
    efficiency: some(between(0.8, 1)),
    sheave: some(text(between(60, 400, 0), 'mm')),
  });
  const load = fc.record({
    machine: one(
      'conveyor',
      'screw-conveyor',
      'bucket-elevator',
      'hoist',
      'centrifugal-pump',
      'deep-well-pump',
      'displacement-pump',
      'centrifugal-fan',
      'blower',
      'compressor',
      'mixer',
      'crusher',
      'mill',
      'machine-tool',
      'winder',
      'other',
    ),
    shape: some(one('constant', 'linear', 'quadratic', 'constant-power'), 1),
    breakaway: some(between(0, 2), 1),
    demand,
    train: some(train),
    inertia: some(text(decades(0.01, 300), 'kg·m²'), 1),
    startsPerHour: some(between(0, 20, 0), 1),
    maxStartTime: some(text(between(1, 40, 0), 's'), 1),
    overload: some(fc.record({ ratio: between(1, 2.2) }), 1),
    cycle: some(
      fc.array(fc.record({ duration: text(between(5, 900, 0), 's'), ratio: between(0, 1.6) }), {
        minLength: 1,
        maxLength: 4,
      }),
      1,
    ),
  });
  const place = fc.record({
    ambient: some(text(between(-10, 60, 0), 'degC')),
    driveAmbient: some(text(between(5, 50, 0), 'degC'), 1),
    altitude: some(text(between(0, 3500, 0), 'm'), 1),
    dirt: some(one('clean', 'dusty', 'dirty')),
    water: some(one('dry', 'drips', 'splash', 'washdown', 'outdoor')),
    corrosive: some(one(true, false, false), 1),
    vibration: some(one(true, false), 1),
    noiseLimit: some(text(between(65, 100, 0), 'dB'), 1),
    cable: some(fc.record({ length: text(decades(3, 400), 'm') })),
  });
  const speed = fc.record({
    need: one('fixed' as const, 'fixed' as const, 'variable' as const),
    min: some(between(0.05, 0.9)),
    max: some(between(0.9, 1.3)),
    profile: some(
      fc.array(fc.record({ hours: between(1, 2000, 0), flow: between(0.2, 1) }), { minLength: 1, maxLength: 4 }),
    ),
    control: some(one('none', 'outlet-damper', 'inlet-vane', 'throttle-valve', 'bypass', 'on-off')),
    staticFraction: some(between(0, 0.9)),
  });
  const money = fc.record({
    currency: fc.constant('EUR'),
    energyPrice: some(between(0.04, 0.5)),
    demandPrice: some(between(0, 20)),
    years: some(between(1, 25, 0)),
    discountRate: some(between(0, 0.15)),
    carbon: some(between(0, 0.9)),
    installedCost: some(decades(200, 90000)),
  });
  const rules = fc.record({
    sizingMargin: some(between(1, 1.4)),
    driveMatch: some(one('current' as const, 'power' as const)),
    leadLength: some(one('calculated' as const, '15 m' as const, '30 m' as const)),
    inverterDuty: some(one('judged' as const, 'plate' as const, 'modern' as const)),
    efficiencyBasis: some(one('minimum' as const, 'nominal' as const)),
    conductorBasis: some(one('table' as const, 'plate' as const)),
    driveAltitude: some(one('current' as const, 'temperature' as const)),
    maxDip: some(between(0.03, 0.3)),
    ranking: some(
      one('life-cycle' as const, 'price' as const, 'efficiency' as const, 'shelf' as const, 'margin' as const),
    ),
  });
  return fc.record({
    format: fc.constant('pilgrim.case/1' as const),
    practice: fc.constant(practice),
    rules: some(rules, 1),
    plate: some(likelyPlate(us), 2),
    history: some(
      fc.record({
        causes: fc.subarray([
          'overheated',
          'phase-burnt',
          'drive-end-bearing',
          'fluted-race',
          'water',
          'dust',
          'shaft-broken',
          'insulation-punctured',
          'unknown',
        ] as const),
      }),
      1,
    ),
    supply: some(supply, 9),
    load: some(load, 9),
    place: some(place, 5),
    speed: some(speed, 5),
    money: some(money),
    method: some(one('direct', 'star-delta', 'autotransformer', 'primary-reactor', 'soft-starter', 'drive'), 1),
  });
}

/** The same with what Start, Guard, Drive and Cost ask, and what is there today. */
export const everyStation: fc.Arbitrary<CaseText> = likelyCase.chain((text) =>
  beyond(text.practice).map((more): CaseText => ({
    ...text,
    ...more,
    ...(text.supply && { supply: { ...text.supply, ...more.supply } }),
    ...(text.load && { load: { ...text.load, ...more.load } }),
    ...(text.place && { place: { ...text.place, ...more.place } }),
    ...(text.money && { money: { ...text.money, ...more.money } }),
  })),
);

function beyond(practice: CaseText['practice']) {
  const us = practice === 'north-america';
  const devices = us
    ? (['inverse-time-breaker', 'instantaneous-breaker', 'dual-element-fuse', 'single-element-fuse'] as const)
    : (['breaker', 'motor-breaker', 'fuse-gg', 'fuse-am'] as const);
  const cable: fc.Arbitrary<NonNullable<NonNullable<CaseText['guard']>['cable']>> = us
    ? fc.record({
        material: some(one('copper' as const, 'aluminium' as const), 1),
        area: some(one('10 AWG', '6 AWG', '2/0 AWG', '350 kcmil'), 1),
        ambient: some(text(between(20, 55, 0), 'degC'), 1),
        rating: some(one('75 degC' as const, '90 degC' as const)),
        terminals: some(one('60 degC' as const, '75 degC' as const), 1),
        conductors: some(one(3, 6, 9), 1),
        raceway: some(one('conduit-steel' as const, 'conduit-pvc' as const, 'tray' as const, 'free-air' as const)),
      })
    : fc.record({
        material: some(one('copper' as const, 'aluminium' as const), 1),
        area: some(one('4 mm2', '16 mm2', '95 mm2'), 1),
        ambient: some(text(between(20, 55, 0), 'degC'), 1),
        insulation: some(one('pvc' as const, 'xlpe' as const)),
        method: some(one('B2' as const, 'C' as const, 'E' as const, 'D2' as const)),
        circuits: some(one(1, 3, 6), 1),
      });
  const guard = fc.record({
    role: some(one('general' as const, 'process' as const), 1),
    device: some(one(...devices)),
    coordination: some(one('type-1' as const, 'type-2' as const), 1),
    board: some(fc.record({ ambient: text(between(25, 60, 0), 'degC'), protection: one('IP21', 'IP54') }), 1),
    relay: some(fc.record({ class: one(10 as const, 20 as const, 30 as const) }), 1),
    cable: some(cable),
    maxDrop: some(between(0.01, 0.08, 3), 1),
    assemblyRating: some(text(one(5, 10, 25, 50), 'kA'), 1),
    reversing: some(fc.boolean(), 1),
    restart: some(one('manual' as const, 'automatic' as const), 1),
  });
  const drive = fc.record({
    duty: some(one('normal' as const, 'heavy' as const), 1),
    rectifier: some(one('six-pulse' as const, 'twelve-pulse' as const, 'active' as const), 1),
    choke: some(between(0, 0.06, 3), 1),
    filter: some(one('none' as const, 'reactor' as const, 'dv-dt' as const, 'sine' as const), 1),
    carrier: some(text(one(2, 4, 8), 'kHz'), 1),
    riseTime: some(text(between(0.05, 1), 'us'), 1),
    cooling: some(one('self' as const, 'blower' as const), 1),
    braking: some(
      fc.record({ kind: one('coast' as const, 'ramp' as const, 'chopper' as const, 'regenerative' as const) }),
      1,
    ),
    motors: some(one(1, 2, 4), 1),
    bypass: some(fc.boolean(), 1),
    encoder: some(fc.boolean(), 1),
    command: some(fc.constant(['contacts', 'analogue'] as ('contacts' | 'analogue')[]), 1),
    site: some(fc.record({ current: text(decades(50, 3000), 'A') }), 1),
  });
  const given = <T extends object>(of: fc.Arbitrary<T>): fc.Arbitrary<Partial<T>> =>
    of.map((o) => Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as Partial<T>);
  return fc.record({
    guard: given(guard),
    drive: given(drive),
    starter: some(one('direct' as const, 'star-delta' as const, 'soft-starter' as const, 'drive' as const), 1),
    start: given(
      fc.record({
        stallTime: some(text(between(5, 40, 0), 's'), 1),
        softStarter: some(given(fc.record({ limit: some(between(2, 5)), bypass: some(fc.boolean()) })), 1),
        starDelta: some(given(fc.record({ transition: some(one('open' as const, 'closed' as const)) })), 1),
      }),
    ),
    supply: given(
      fc.record({
        earthing: some(one('solid' as const, 'isolated' as const, 'corner' as const, 'high-resistance' as const)),
        startLimit: some(text(decades(20, 2000), 'A'), 1),
        upstream: some(text(decades(10, 500), 'MVA'), 1),
      }),
    ),
    load: given(
      fc.record({
        brake: some(one('none' as const, 'motor' as const, 'machine' as const), 1),
        rotation: some(one('either' as const, 'clockwise' as const)),
      }),
    ),
    place: given(
      fc.record({ hazardous: some(fc.constant(false)), humid: some(fc.boolean(), 1), food: some(fc.boolean(), 1) }),
    ),
    money: given(
      fc.record({
        inflation: some(between(0, 0.05), 1),
        life: some(between(3, 25, 0), 1),
        maintenance: some(between(0, 500, 0), 1),
        carbonPrice: some(between(0, 150, 0), 1),
      }),
    ),
  });
}

function likelyPlate(us: boolean): fc.Arbitrary<CaseText['plate']> {
  const ratings = us
    ? [1, 2, 5, 7.5, 10, 20, 30, 50, 75, 100, 150, 250]
    : [0.75, 1.5, 4, 7.5, 11, 15, 22, 37, 55, 90, 132, 200];
  return fc
    .record({
      rating: one(...ratings),
      poles: one(2, 4, 4, 4, 6, 8),
      slip: between(0.005, 0.045, 3),
      frame: some(
        us
          ? one('145T', '184T', '256T', '286T', '286TS', '326T', '405T', '445T', '256TC', '184JM', '256TZ')
          : one('90L', '112M', '132S', '160L', '200L', '280S'),
      ),
      enclosure: some(us ? one('TEFC', 'ODP', 'TENV', 'XP', 'washdown') : one('IP55', 'IP23', 'IP66')),
      serviceFactor: some(one(1, 1.15, 1.25)),
      letter: some(one('F', 'G', 'H', 'K')),
      insulation: some(one('B' as const, 'F' as const, 'H' as const)),
      temperatureRise: some(one('40 K', '80 K'), 1),
      currentOff: between(0.85, 1.2),
    })
    .map(({ rating, poles, slip, currentOff, letter, ...rest }) => {
      const kw = us ? rating * 0.7457 : rating;
      const high = us ? 460 : 690;
      const low = us ? 230 : 400;
      const amps = (v: number): string => ((currentOff * kw * 1000) / (Math.sqrt(3) * v * 0.75)).toPrecision(3);
      return {
        power: `${rating} ${us ? 'hp' : 'kW'}`,
        voltage: `${low}/${high} V`,
        current: `${Number(amps(low))}/${Number(amps(high))} A`,
        speed: `${Math.round(((120 * (us ? 60 : 50)) / poles) * (1 - slip))} rpm`,
        frequency: us ? '60 Hz' : '50 Hz',
        phases: 3,
        ...rest,
        ...(us ? { codeLetter: letter } : {}),
      };
    });
}

/** What a JSON Schema says of one value, as far as it is read here. */
interface Node {
  readonly type?: string;
  readonly description?: string;
  readonly const?: string;
  readonly enum?: readonly (string | number)[];
  readonly properties?: Readonly<Record<string, Node>>;
  readonly required?: readonly string[];
  readonly items?: Node;
  readonly prefixItems?: readonly Node[];
  readonly anyOf?: readonly Node[];
  readonly oneOf?: readonly Node[];
  readonly allOf?: readonly Node[];
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
  readonly pattern?: string;
  readonly propertyNames?: Node;
}

/**
 * Anything the schema of a case admits or nearly admits, its numbers and quantities as extreme as text can make them.
 */
export const extremeCase = (): fc.Arbitrary<unknown> =>
  fromNode(z.toJSONSchema(caseSchema, { io: 'input', unrepresentable: 'any' }) as Node);

const specs: readonly DimensionSpec[] = Object.values(dimensions);
const sizes = [5e-324, 1e-300, 1e-12, 1e-3, 0.5, 1, 3, 17, 60, 230, 400, 1765, 1e4, 1e9, 1e14];

function fromNode(node: Node): fc.Arbitrary<unknown> {
  if (node.const !== undefined) return fc.constant(node.const);
  if (node.enum) return one(...node.enum);
  const choices = node.anyOf ?? node.oneOf;
  if (choices) return fc.oneof(...choices.map(fromNode));
  if (node.properties) {
    const { format, practice, ...rest } = node.properties;
    const wanted = new Set(node.required);
    const always: Record<string, fc.Arbitrary<unknown>> = {
      ...(format && { format: fromNode(format) }),
      ...(practice && { practice: fromNode(practice) }),
    };
    const sometimes: Record<string, fc.Arbitrary<unknown>> = {};
    for (const [key, of] of Object.entries(rest)) (wanted.has(key) ? always : sometimes)[key] = fromNode(of);
    return fc.tuple(fc.record(sometimes, { requiredKeys: [] }), fc.record(always)).map(([a, b]) => ({ ...a, ...b }));
  }
  if (node.prefixItems) return fc.tuple(...node.prefixItems.map(fromNode));
  if (node.items) return fc.array(fromNode(node.items), { minLength: 1, maxLength: 4 });
  switch (node.type) {
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    case 'integer':
    case 'number':
      return numberOf(node);
    case 'string':
      return stringOf(node);
    default:
      return fc.constant({});
  }
}

/** At, just within and far within the limits. */
function numberOf({ minimum, maximum, exclusiveMinimum, exclusiveMaximum, type }: Node): fc.Arbitrary<number> {
  const low = minimum ?? exclusiveMinimum ?? -1e12;
  const high = maximum ?? exclusiveMaximum ?? 1e12;
  const ends = [
    minimum,
    maximum,
    exclusiveMinimum === undefined ? undefined : low + 5e-324,
    low + 1e-12 * Math.max(1, Math.abs(low)),
  ];
  const whole = [...ends, ...sizes, 0].filter((x) => x !== undefined).filter((x) => x >= low && x <= high);
  const values = type === 'integer' ? whole.filter((x) => Number.isInteger(x)) : whole;
  const inside =
    type === 'integer'
      ? fc.integer({ min: Math.max(low, -1e6), max: Math.min(high, 1e6) })
      : fc.double({ min: Math.max(low, -1e6), max: Math.min(high, 1e6), noNaN: true });
  return values.length === 0 ? inside : fc.oneof(inside, one(...values));
}

function stringOf({ description, pattern }: Node): fc.Arbitrary<string> {
  const spec = specs.find((s) => description?.startsWith(`${s.label},`) || description?.startsWith(`${s.label} as`));
  if (spec) {
    const unit = one(...spec.units.map((u) => u.names[0]));
    const size = fc.oneof(one(...sizes), decades(1e-3, 1e6));
    const signed = /temperature/.test(spec.label)
      ? fc.oneof(
          size,
          size.map((x) => -x),
        )
      : size;
    const single = fc.tuple(signed, unit).map(([n, u]) => `${n} ${u}`);
    if (!description?.includes('as stamped')) return single;
    return fc.oneof(
      single,
      fc.tuple(size, size, unit).map(([a, b, u]) => `${a}/${b} ${u}`),
    );
  }
  if (pattern?.includes('\\d{4}')) return one('2019', '2021-03', '1999-12');
  if (pattern?.includes('A-HJ')) return one('A', 'G', 'V');
  return one('', 'x', 'F', 'TEFC', 'IP55', '286T', '132S', 'S1', '6311', 'XP', 'continuous', '15 min', 'premium');
}
