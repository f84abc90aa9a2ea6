import type { askedOf } from '../contract/words';
import type { Result } from './result';

/** Who can answer: whoever sells or makes the motor, who supplies the power, or who stands at the machine. */
export { askedOf as asked } from '../contract/words';
export type Asked = (typeof askedOf)[number];
export const askedNames: Readonly<Record<Asked, string>> = {
  maker: 'To the maker or the repair shop',
  power: 'To the supplier of power',
  site: 'On site',
};

/** Something the answer rests on that nobody said yet. It is ticked off by giving the field. */
export interface Question {
  readonly to: Asked;
  readonly field: string;
  /** What must hold, or why something was assumed instead. */
  readonly text: string;
}

/**
 * What is open of a case: conditions of the standing choice first, then what it asks to be ordered, then every input
 * that was assumed for a figure. One line a field.
 */
export function openQuestions(result: Result): Question[] {
  const { choice } = result;
  const chosen = result.candidates.find((c) => c.motor.id === choice?.motor.id && c.method === choice.method);
  const conditions = (chosen?.verdicts ?? []).flatMap((v) => (v.condition ? [v.condition] : []));
  const orders = result.findings.filter((f) => f.id === 'choice.ask-for');
  const assumed = Object.values(result.figures).flatMap((f) => f.assumed);
  const all = [
    ...conditions.map((c) => ({ to: whoKnows(c.field), field: c.field, text: c.text })),
    ...orders.map((f) => ({ to: 'maker' as const, field: f.fields[0] ?? 'load.machine', text: f.text })),
    ...assumed.map((a) => ({ to: whoKnows(a.field), field: a.field, text: `Assumed: ${a.why}.` })),
  ];
  const key = (q: Question): string => (q.to === 'maker' ? q.text : q.field);
  return all.filter((q, i) => all.findIndex((other) => key(other) === key(q)) === i);
}

const whoKnows = (field: string): Asked =>
  field.startsWith('supply.') ? 'power' : /^(plate|motor|start\.stallTime|history)\b/.test(field) ? 'maker' : 'site';
