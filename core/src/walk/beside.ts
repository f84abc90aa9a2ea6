import { writeAmount } from '../quantity';
import type { Candidate, Choice } from '../case';
import { methodNames } from '../contract';
import { closedOf, explain, inStockOf, type Judged } from '../judge';
import type { Needs } from '../needs';

/** The best with neither open caution nor condition, where the first has one. */
export function closedBeside(needs: Needs, judged: Judged, entry: number, first: Candidate): Choice['closed'] {
  if (judged.open[entry] === 0 && judged.conditions[entry] === 0) return null;
  return beside(needs, judged, closedOf(judged), entry, first, () => 'With nothing left open');
}

/** What lies on the own shelf and would do, where the first choice must be bought. */
export const onShelf = (needs: Needs, judged: Judged, entry: number, first: Candidate): Choice['tomorrow'] =>
  beside(
    needs,
    judged,
    inStockOf(judged),
    entry,
    first,
    ({ stock }) => `Can run tomorrow, from ${stock?.place || 'the own shelf'}`,
  );

function beside(
  needs: Needs,
  judged: Judged,
  other: number | undefined,
  entry: number,
  first: Candidate,
  say: (motor: Candidate['motor']) => string,
): Choice['closed'] {
  if (other === undefined || other === entry) return null;
  const { motor, method, control, cost, verdicts } = explain(needs, judged, other);
  const open = verdicts.filter((v) => v.outcome === 'caution' && v.waived === null).map((v) => v.text);
  const costsMore = cost.lifeCycle - first.cost.lifeCycle;
  return {
    motor,
    method,
    control,
    costsMore,
    text: [
      `${say(motor)}: ${motor.name}, ${methodNames[method].toLowerCase()}, ${difference(costsMore, needs)}.`,
      ...open,
    ].join(' '),
  };
}

const difference = (more: number, { years, currency }: Pick<Needs, 'years' | 'currency'>): string =>
  more === 0
    ? 'at the same cost'
    : `for ${writeAmount(Math.abs(more), currency)} ${more < 0 ? 'less' : 'more'} over ${years} years`;
