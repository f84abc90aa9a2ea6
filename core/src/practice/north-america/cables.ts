import { exceeds, isUpTo, reaches } from '../../law';
import { remembered, type Source } from '../../contract';
import { takingUsual, type CableAsked, type Laid, type LaidSize, type NotLaid } from '../cables';
import { horsepower, type Practice } from '../practice';
import { atBand, cell, madeOnce } from '../table';
import * as t from './tables/conductors';

const code = (part: string): Source => remembered('code', 'NFPA 70 (National Electrical Code)', '2023', part);
const foot = 0.3048;

type Column = '60' | '75' | '90';
const columnOf = (temperature: number): Column => (temperature >= 90 ? '90' : temperature >= 75 ? '75' : '60');

/** Place in `wireSizes` from which conductors may run in parallel: 1/0. */
const parallelFrom = t.wireSizes.findIndex(([name]) => name === '1/0 AWG');

const thermoset = (wire: string | undefined): boolean => wire?.startsWith('XHHW') ?? false;

/** A·s^½/mm² by ICEA P-32-382, from the insulation's temperature to 150 °C, or 250 °C of a thermoset at 90 °C. */
function withstandOf(material: 'copper' | 'aluminium', rating: number, wire: string | undefined): number {
  const [factor, zero] = material === 'copper' ? [0.0297, 234] : [0.0125, 228];
  const hot = thermoset(wire) && rating >= 90 ? 250 : 150;
  // The formula counts circular mils: 1973.5 to a mm².
  return Math.sqrt(factor * Math.log10((hot + zero) / (rating + zero))) * 1973.5;
}

/** What terminals permit: as marked, else by the current and the motor's design letter. */
function terminalsOf(asked: CableAsked, rating: number): { readonly column: Column; readonly source: Source } {
  if (asked.terminals !== undefined)
    return { column: columnOf(asked.terminals), source: code('110.14(C)(1), as marked') };
  if (asked.current > 100) return { column: '75', source: code('110.14(C)(1)(b)') };
  if (rating >= 75 && ['B', 'C', 'D'].includes(asked.design ?? ''))
    return { column: '75', source: code('110.14(C)(1)(a)(4), design letters B, C and D') };
  return { column: '60', source: code('110.14(C)(1)(a)') };
}

const sizesOf = madeOnce(
  (
    material: 'copper' | 'aluminium',
    place: 'free air' | 'raceway',
    metal: 'steel' | 'pvc',
    own: Column,
    terminals: Column,
    wire: 'XHHW' | 'THHN',
  ): readonly LaidSize[] => {
    const [table, inRaceway] = [
      place === 'raceway' ? t.inRaceway[material] : t.inFreeAir[material],
      t.inRaceway[material],
    ];
    return table.rows.flatMap((row): LaidSize[] => {
      const size = row[0];
      const [name, area] = t.wireSizes[size] ?? ['', 0];
      // Sizes between the rows of Table 9 take the larger impedance of their neighbours.
      const z = t.wireImpedance.rows.findLast((r) => r[0] <= size);
      const base = cell(table, row, own);
      const r = cell(t.wireImpedance, z, `${material} ${metal}`);
      const x = cell(t.wireImpedance, z, `reactance ${metal}`);
      if (base === undefined || r === undefined || x === undefined) return [];
      const insulated = atBand(t.wireAreas, size, wire);
      const there = inRaceway.rows.find((s) => s[0] === size);
      return [
        {
          ...{ name, area, base, parallel: size >= parallelFrom },
          ...{ resistance: r / 1000 / foot, reactance: x / 1000 / foot },
          terminals: cell(inRaceway, there, terminals),
          ...(insulated !== undefined && { insulated }),
        },
      ];
    });
  },
);

/** V of networks that are three-phase star or delta alike. */
const slashVoltages = [240, 480, 600];

/** Conductors, earth and conduit by the National Electrical Code. */
export const cables = {
  hotterCable: { field: 'rating', value: 90 },
  cable(asked: CableAsked): Laid | NotLaid {
    const { taken, or } = takingUsual();
    const material = or(asked.material, 'material', 'copper');
    const rating = or(asked.rating, 'rating', 75, '°C');
    const ambient = or(asked.ambient, 'ambient', 30, '°C');
    const raceway = or(asked.raceway, 'raceway', 'conduit-steel');
    const free = raceway === 'free-air';
    const conductors = free ? 3 : or(asked.conductors, 'conductors', 3);
    const terminals = terminalsOf(asked, rating);
    if (asked.terminals === undefined)
      taken.push({
        path: 'guard.cable.terminals',
        value: `${terminals.column} °C`,
      });
    const own = columnOf(rating);
    const ambientFactor = atBand(t.ambientFactors, Math.max(10, ambient), own);
    if (ambientFactor === undefined)
      return {
        because: `No insulation of ${rating} °C carries current at ${ambient} °C by the code’s table.`,
        path: 'guard.cable.ambient',
      };
    const table = (free ? t.inFreeAir : t.inRaceway)[material];
    const group = { value: atBand(t.bundlingFactors, conductors, 'factor') ?? 0.35, source: t.bundlingFactors.source };
    return {
      sizes: sizesOf(
        material,
        free ? 'free air' : 'raceway',
        raceway === 'conduit-steel' ? 'steel' : 'pvc',
        own,
        terminals.column,
        thermoset(asked.wire) ? 'XHHW' : 'THHN',
      ),
      taken,
      besides: 'guard.cable.conductors',
      source: table.source,
      impedanceSource: t.wireImpedance.source,
      ambientFactor: { value: ambientFactor, source: t.ambientFactors.source },
      // Each set side by side in a raceway of its own, as 310.10(G) has it usually.
      grouped: () => group,
      k: {
        value: withstandOf(material, rating, asked.wire),
        source: remembered('standard', 'ICEA P-32-382', '2018', 'short-circuit heating of conductors'),
      },
      terminals: { value: Number(terminals.column), source: terminals.source },
      ...(raceway === 'tray' && {
        remark:
          'In a tray: taken as one multi-conductor cable (392.80(A)(1)); single conductors there have ' +
          'their own shares.',
      }),
    };
  },

  earthConductor(device, phase, material, larger) {
    const place = atBand(t.earthSizes, device, material);
    if (place === undefined) return undefined;
    const [, least] = t.wireSizes[place] ?? ['', Infinity];
    // Phases larger than their current asks make the earth larger in proportion.
    const [name, area] = t.wireSizes.find((w) => reaches(w[1], least * larger)) ?? ['', Infinity];
    const part = larger > 1 ? 'Table 250.122, 250.122(B)' : 'Table 250.122, 250.122(D)(1)';
    return { value: area > phase.area ? phase : { name, area }, source: code(part) };
  },

  deviceRatings: (kind) => ({
    value: kind.endsWith('fuse') ? t.fuseRatings : t.deviceRatings,
    source: t.deviceRatingsSource,
  }),

  devices(current, { efficientB }) {
    const { source, exceptions } = t.deviceShares;
    return (['inverse-time-breaker', 'dual-element-fuse', 'single-element-fuse', 'instantaneous-breaker'] as const).map(
      (kind) => {
        const setting = kind === 'instantaneous-breaker';
        const of = t.deviceShares[setting && efficientB ? 'instantaneousEfficient' : kind];
        const by = current > 100 ? of.mostAbove100 : of.most;
        // A non-time-delay fuse of more than 600 A goes no higher than 300 %.
        const { upTo, beyond } = t.deviceShares.largeFuse;
        const most = kind === 'single-element-fuse' ? Math.max(beyond, Math.min(by, upTo / current)) : by;
        return { kind, share: of.usual, most, setting, source, exceptions };
      },
    );
  },

  usualDevice: 'inverse-time-breaker',
  onlyListed: { value: 'instantaneous-breaker', source: code('430.52(C)(3)') },
  combinationStandard: 'UL 60947-4-1',
  disconnectFactor: { value: 1.15, source: code('430.110(A)') },

  disconnectPlace: 'in sight of motor and controller, or lockable (430.102)',

  slashRated(supply, earthing) {
    if (!slashVoltages.some((v) => Math.abs(supply / v - 1) < 0.05)) return undefined;
    const value =
      earthing === 'solid' ? 'permitted' : earthing === undefined || earthing === 'unknown' ? 'unknown' : 'excluded';
    return { value, source: code('240.85, 430.83(E)') };
  },

  defaultFaultRating(power) {
    const value = atBand(t.defaultFaultRatings, power / horsepower, 'A');
    return value === undefined ? undefined : { value, source: t.defaultFaultRatings.source };
  },

  contactorRatings: {
    value: [9, 18, 27, 45, 90, 135, 270, 540, 810],
    source: remembered('standard', 'NEMA ICS 2', '2000', 'continuous ratings of sizes 00 to 7'),
  },

  starterSize(power, voltage, current) {
    if (voltage > 600) return undefined;
    const column = voltage < 215 ? '200' : voltage < 300 ? '230' : voltage < 420 ? '380' : '460';
    const { value: carries } = this.contactorRatings;
    const row = t.starterSizes.rows.find(
      (r) =>
        isUpTo(power / horsepower, cell(t.starterSizes, r, column) ?? 0) && reaches(carries[r[0] + 1] ?? 0, current),
    );
    return row && { value: row[0], source: t.starterSizes.source };
  },

  conduit(wires, kind) {
    const area = wires.reduce((sum, w) => sum + w.area * w.count, 0);
    const row = t.conduitAreas.rows.find((r) => (cell(t.conduitAreas, r, kind) ?? 0) >= area);
    const share = area / (cell(t.conduitAreas, row, kind) ?? NaN);
    return row && { value: { size: t.conduitSizes[row[0]] ?? '', share }, source: t.conduitAreas.source };
  },

  feeder(motors, other) {
    const sum = motors.reduce((all, m) => all + m.current, 0) + other;
    const largest = Math.max(0, ...motors.map((m) => m.current));
    // The largest device counts with the other motors' currents; of equal ones the first.
    const first = motors.toSorted((a, b) => (b.device ?? 0) - (a.device ?? 0))[0];
    const known = motors.every((m) => m.device !== undefined) && first?.device !== undefined;
    const most = known ? first.device + sum - first.current : undefined;
    return {
      current: sum + 0.25 * largest,
      device: most === undefined ? undefined : t.deviceRatings.findLast((r) => !exceeds(r, most)),
      source: code('430.24'),
      deviceSource: code('430.62(A)'),
    };
  },
} satisfies Partial<Practice> & ThisType<Practice>;
