import { reaches } from '../../law';
import { commonPractice, remembered, type Source } from '../../contract';
import { takingUsual, type CableAsked, type Laid, type LaidSize, type NotLaid } from '../cables';
import type { Practice } from '../practice';
import { atBand, cell, madeOnce } from '../table';
import * as t from './tables/conductors';

/** Ratings of circuit-breakers by the preferred series of IEC 60059. */
const breakers = [
  1, 1.6, 2.5, 4, 6, 10, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250, 315, 400, 500, 630, 800, 1000, 1250,
  1600,
] as const; // prettier-ignore

/** Fuse-links gG and aM. */
const fuses = [
  2, 4, 6, 8, 10, 12, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250, 315, 400, 500, 630, 800, 1000, 1250,
] as const; // prettier-ignore

interface Groups {
  readonly at: (circuits: number) => number | undefined;
  readonly source: Source;
}

/** Which table of circuits together holds for a method and how they lie; undefined where none does. */
function groupsFor(method: t.InstallationMethod, lie: NonNullable<CableAsked['arrangement']>): Groups | undefined {
  if (method === 'D1' || method === 'D2')
    return { at: (n) => atBand(t.groundGroups, n, method), source: t.groundGroups.source };
  if (lie === 'bunched') return { at: (n) => atBand(t.bunchedGroups, n, 'bunched'), source: t.bunchedGroups.source };
  if (method !== 'C' && method !== 'E' && method !== 'F') return undefined;
  const of = lie === 'spaced' ? t.spacedGroups : t.layerGroups;
  return { at: (n) => atBand(of, n, method), source: of.source };
}

const sizesOf = madeOnce(
  (
    material: NonNullable<CableAsked['material']>,
    insulation: NonNullable<CableAsked['insulation']>,
    method: t.InstallationMethod,
  ): readonly LaidSize[] => {
    const table = t.capacities[material][insulation];
    return table.rows.flatMap((row) => {
      const base = cell(table, row, method);
      if (base === undefined) return [];
      const area = row[0];
      const resistance = t.resistivity[material] / area;
      const large = area > t.shortCircuitUpTo ? t.shortCircuitLarge[material][insulation] : undefined;
      return [
        {
          ...{ name: `${area} mm²`, area, base, resistance, reactance: t.reactance, parallel: area >= 50 },
          ...(large !== undefined && { k: large }),
        },
      ];
    });
  },
);

/** Cables and devices by IEC 60364 and IEC 60947. */
export const cables = {
  hotterCable: { field: 'insulation', value: 'xlpe' },
  cable(asked: CableAsked): Laid | NotLaid {
    const { taken, or } = takingUsual();
    const material = or(asked.material, 'material', 'copper');
    const insulation = or(asked.insulation, 'insulation', 'pvc');
    const method = or(asked.method, 'method', 'C');
    const buried = method === 'D1' || method === 'D2';
    const ambient = or(asked.ambient, 'ambient', buried ? 20 : 30, '°C');
    const circuits = or(asked.circuits, 'circuits', 1);
    const table = t.capacities[material][insulation];
    const factors = buried ? t.groundFactors : t.airFactors;
    const ambientFactor = atBand(factors, Math.max(10, ambient), insulation);
    if (ambientFactor === undefined)
      return { because: `The tables end below ${ambient} °C for this insulation.`, path: 'guard.cable.ambient' };
    const groups = groupsFor(method, asked.arrangement ?? 'bunched');
    if (!groups)
      return {
        because:
          `Laid by method ${method} the tables know circuits in a bunch alone: single layers are for walls and trays ` +
          '(C, E, F).',
        path: 'guard.cable.arrangement',
      };
    // Conductors of a phase side by side are circuits as well (523.7).
    const grouped = (parallel: number) => {
      const value = groups.at(circuits + parallel - 1);
      return value === undefined ? undefined : { value, source: groups.source };
    };
    if (!grouped(1))
      return {
        because: `The tables know no ${circuits} circuits laid so: say how else, or have it worked out.`,
        path: 'guard.cable.circuits',
      };
    const pvc = t.capacities[material].pvc;
    return {
      sizes: sizesOf(material, insulation, method),
      taken,
      besides: 'guard.cable.circuits',
      source: table.source,
      impedanceSource: t.dropSource,
      ambientFactor: { value: ambientFactor, source: factors.source },
      grouped,
      k: { value: t.shortCircuitK[material][insulation], source: t.shortCircuitSource },
      ...(insulation === 'xlpe' && {
        remark:
          'At what its table says this cable runs at 90 °C: terminals made for 70 °C take no more than ' +
          'its size in PVC ' +
          `carries (16 mm²: ${
            cell(
              pvc,
              pvc.rows.find((r) => r[0] === 16),
              method,
            ) ?? 0
          } A). Ask what they are made for.`,
      }),
    };
  },

  earthConductor(_device, phase) {
    const size = (area: number) => ({ name: `${area} mm²`, area });
    const half = t.capacities.copper.pvc.rows.find((r) => r[0] >= phase.area / 2)?.[0] ?? phase.area;
    const area = phase.area <= 16 ? phase.area : phase.area <= 35 ? 16 : half;
    return { value: size(area), source: t.earthSource };
  },

  deviceRatings: (kind) =>
    kind.startsWith('fuse')
      ? {
          value: fuses,
          source: remembered('standard', 'IEC 60269-1', '2014', '5.3.1: preferred ratings of fuse-links'),
        }
      : { value: breakers, source: remembered('standard', 'IEC 60059', '1999', 'standard current ratings') },

  devices: () => [
    {
      kind: 'breaker',
      share: 1,
      most: 1,
      setting: false,
      source: remembered('standard', 'IEC 60364-4-43', '2008', '433.1: I_B ≤ I_n'),
      exceptions: remembered('standard', 'IEC 60364-4-43', '2008', '433.1: I_n ≤ I_z'),
    },
    {
      kind: 'fuse-am',
      share: 1,
      most: 1,
      setting: false,
      source: commonPractice(
        'A motor fuse aM (IEC 60269-2) at the plate current or the next above: it bears the start',
      ),
      exceptions: commonPractice('aM fuses guard against short circuit alone'),
    },
    {
      kind: 'fuse-gg',
      share: 1.6,
      most: 1.6,
      setting: false,
      source: commonPractice(
        'A fuse gG (IEC 60269-2) at 1.6 times the plate current or the next above: it bears a start',
      ),
      exceptions: commonPractice('gG fuses before a motor'),
    },
    {
      kind: 'motor-breaker',
      share: 13,
      most: 13,
      setting: true,
      source: commonPractice(
        'Magnetic release of a motor circuit-breaker at 13 × its current: rides through the crest',
      ),
      exceptions: commonPractice('Magnetic release of a motor circuit-breaker'),
    },
  ],

  usualDevice: 'motor-breaker',
  combinationStandard: 'IEC 60947-4-1',

  disconnection(rating, line) {
    const toEarth = t.nominalToEarth.find(([from, to]) => line >= from && line <= to)?.[2] ?? line / Math.sqrt(3);
    const row = t.disconnectionTimes.rows.find((r) => toEarth <= r[0]);
    const time = rating <= 32 ? (cell(t.disconnectionTimes, row, 'final') ?? 0.1) : 5;
    return { value: time, source: t.disconnectionTimes.source };
  },

  contactorRatings: {
    value: [9, 12, 18, 25, 32, 40, 50, 65, 80, 95, 115, 150, 185, 225, 265, 330, 400, 500, 630, 800],
    source: commonPractice('AC-3 ratings at 400 V as contactors are made (IEC 60947-4-1)'),
  },

  starterSize: () => undefined,

  feeder(motors, other) {
    const sum = motors.reduce((all, m) => all + m.current, 0) + other;
    const source = commonPractice('All motors running at plate current at once; diversity is the engineer’s');
    return { current: sum, device: breakers.find((r) => reaches(r, sum)), source, deviceSource: source };
  },
} satisfies Partial<Practice> & ThisType<Practice>;
