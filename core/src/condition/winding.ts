import type { MotorReading } from '../case';
import type { InsulationKind } from '../contract';
import { assumed } from '../law';
import { insulationThermoplastic, insulationThermosetting } from '../physics';
import { leastInsulation } from '../practice';
import { q } from '../quantity';
import { before, read, type Round } from './round';

const laws = { thermosetting: insulationThermosetting, thermoplastic: insulationThermoplastic };

/** Of a winding nobody described: thermosetting, but for class A and what was wound before 1970. */
export function windingOf({ walk: { input }, reading, earlier }: Pick<Round, 'walk' | 'reading' | 'earlier'>): {
  readonly kind: InsulationKind;
  readonly assumed: string | undefined;
} {
  const said = reading.winding ?? earlier.findLast((r) => r.winding !== undefined)?.winding;
  if (said) return { kind: said, assumed: undefined };
  const { insulation, year } = input.plate ?? {};
  const old = insulation === 'A' || (year !== undefined && year < 1970);
  return {
    kind: old ? 'thermoplastic' : 'thermosetting',
    assumed: old ? 'class A or wound before 1970: halves every 10 K' : 'enamelled wire and varnish: usual since 1970',
  };
}

/** A test at 40 °C in ohm; at 20 °C where nobody read the winding. */
export const insulationAt40 = (r: MotorReading, kind: InsulationKind): number | undefined =>
  r.insulation === undefined
    ? undefined
    : laws[kind].of({ R: q(1e6 * r.insulation, 'ohm'), T: q(windingTemperature(r), 'degC') });

const windingTemperature = (r: MotorReading): number => r.insulationTemperature ?? r.ambient ?? 20;

export const megohms = (ohm: number): string =>
  ohm >= 1e9 ? `${Number((ohm / 1e9).toPrecision(3))} GΩ` : `${Number((ohm / 1e6).toPrecision(3))} MΩ`;

/** Insulation to earth, its fall, and the polarisation index. */
export function tellWinding(round: Round): void {
  const { walk, reading, plate } = round;
  const { w } = walk;
  const { kind, assumed: why } = windingOf(round);
  const T =
    reading.insulationTemperature !== undefined
      ? read(round, 'insulationTemperature', 'degC')
      : assumed(
          'reading.insulationTemperature',
          q(windingTemperature(reading), 'degC'),
          reading.ambient === undefined ? 'not read: 20 °C' : 'not read: that of the air around it',
        );
  const at40 =
    reading.insulation === undefined
      ? undefined
      : w.figure(
          'condition.insulation',
          laws[kind],
          { R: { ...read(round, 'insulation', 'ohm', 1e6), text: megohms(1e6 * reading.insulation) }, T },
          {
            say: megohms,
            assumed: why === undefined ? [] : [{ field: 'reading.winding', value: kind, why }],
          },
        );
  const kindSaid = kind === 'thermoplastic' ? 'thermoplastic insulation' : 'thermosetting insulation';
  if (at40 !== undefined) {
    const spec = { figures: ['condition.insulation' as const], source: leastInsulation.source };
    const reads = `Insulation of ${megohms(at40)} at 40 °C (${kindSaid})`;
    if (at40 < leastInsulation.ohm)
      w.finding(
        'condition.insulation',
        'stop',
        `${reads} is below the ${megohms(leastInsulation.ohm)} a low-voltage winding needs: it is not started. ` +
          'Test the cable apart from the motor; wet: dry it (below 90 °C) and test again; dirty: clean it; no ' +
          'better: rewind or replace.',
        spec,
      );
    else if (at40 < 10 * leastInsulation.ohm)
      w.finding(
        'condition.insulation',
        'caution',
        `${reads} passes the least ${megohms(leastInsulation.ohm)}, but a sound dry winding reads hundreds: damp or ` +
          'dirty. Test it again warm, and the cable by itself.',
        spec,
      );
    else
      w.finding('condition.insulation', 'note', `${reads}: sound; the least is ${megohms(leastInsulation.ohm)}.`, spec);
    tellFall(round, at40, kind);
  }
  if (reading.polarisationIndex !== undefined) tellIndex(round, reading.polarisationIndex, at40, plate.power);
}

function tellFall(round: Round, at40: number, kind: InsulationKind): void {
  const earlier = before(round, 'insulation');
  const was = earlier && insulationAt40(earlier, kind);
  if (!earlier || was === undefined || at40 >= leastInsulation.fall * was) return;
  round.walk.w.finding(
    'condition.insulation-falls',
    'caution',
    `At 40 °C the insulation fell from ${megohms(was)} on ${earlier.at.slice(0, 10)} to ${megohms(at40)}: damp, dirt ` +
      'or a beginning fault. Test again within three months, and after a warm run.',
    { figures: ['condition.insulation'], source: leastInsulation.fallSource },
  );
}

function tellIndex(
  { walk: { w, input } }: Round,
  index: number,
  at40: number | undefined,
  power: number | undefined,
): void {
  const spec = { fields: ['reading.polarisationIndex'], source: leastInsulation.source };
  if (at40 !== undefined && at40 > leastInsulation.indexless) {
    const text = `Above ${megohms(leastInsulation.indexless)} a polarisation index says nothing.`;
    w.finding('condition.polarisation', 'note', text, spec);
    return;
  }
  const little =
    power !== undefined && power < leastInsulation.smallWinding
      ? ' On a small random-wound motor it is seldom worth its ten minutes: the resistance decides.'
      : '';
  const least = input.plate?.insulation === 'A' ? leastInsulation.indexOfA : leastInsulation.index;
  const low = index < least;
  w.finding(
    'condition.polarisation',
    low && little === '' ? 'caution' : 'note',
    `A polarisation index of ${index} is ${low ? 'below' : 'at or above'} ${least}: ` +
      `${low ? 'damp or dirty, or old and dry' : 'dry and clean'}.${little}`,
    spec,
  );
}
