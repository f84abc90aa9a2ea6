import { demoTable, fitting, testedTo, type Combination, type CombinationAsked } from '../../catalogue';
import type { CombinationTaken, GuardView } from '../../case';
import { deviceNames, remembered } from '../../contract';
import type { Subject, Walk } from '../../needs';
import { q, writeQuantity } from '../../quantity';

const coordinationSource = remembered(
  'standard',
  'IEC 60947-4-1',
  '2018',
  '8.2.5: co-ordination with protective devices',
);

const wordsOf = {
  general: 'a general-purpose motor',
  process: 'a process that must be back at once',
  emergency: 'emergency duty',
} as const;

/** What may be ruined after a fault, by type. */
const ruins = {
  1: 'After a fault contactor and relay may have to be replaced; people and enclosure are safe.',
  2:
    'After a fault it goes back into service: contacts may have welded lightly and be parted, fuse links are ' +
    'replaced.',
} as const;

const kA = (amperes: number): string => writeQuantity(q(amperes, 'A'), 'A');

const taken = (c: Combination): CombinationTaken => ({
  type: c.type,
  table: c.table,
  standard: c.standard,
  voltage: c.voltage,
  faultCurrent: c.faultCurrent,
  kind: c.kind,
  device: c.device,
  contactor: c.contactor,
  ac3: c.ac3,
  relay: c.relay,
  range: `${c.dialFrom} to ${c.dialTo} A`,
  price: c.price,
});

const inWords = (c: Combination): string =>
  `${c.device}, ${c.contactor}${c.relay === '' ? '' : `, ${c.relay}`} (type ${c.type} to ${kA(c.faultCurrent)} at ` +
  `${c.voltage} V by ${c.standard}; ${c.table})`;

/** Coordination: the type that duty or case asks, and a combination tested so; never inferred from ratings. */
export function tellCoordination(
  walk: Walk,
  subject: Subject,
  contactor: number | undefined,
): GuardView['combination'] {
  const { input, w, combinations } = walk;
  const role = input.guard?.role;
  const asked =
    input.guard?.coordination ?? (role === 'process' ? 'type-2' : role === 'emergency' ? 'total' : 'type-1');
  const because =
    input.guard?.coordination !== undefined
      ? 'asked'
      : role === undefined
        ? 'nobody said what hangs on it: general-purpose taken'
        : wordsOf[role];
  const none = { asked: `${asked.replace('-', ' ')} (${because})`, taken: null, other: null, step: '' };
  const fields = ['guard.coordination', 'guard.role'];
  const available = w.figures.get('guard.availableFault');
  const figures = available ? (['guard.availableFault'] as const) : [];
  if (asked === 'none') {
    w.finding(
      'guard.no-coordination',
      'stop',
      'Nothing coordinated is never permitted: after a fault contactor and relay may burn, weld or fail to open. Ask ' +
        'for type 1 at least, type 2 where it must be back at once.',
      { fields, figures },
    );
    return none;
  }
  if (asked === 'total') {
    w.finding(
      'guard.no-coordination',
      'note',
      'Total coordination is named for emergency duty: whoever answers for that duty decides it, not this sheet.',
      { fields, figures },
    );
    return none;
  }
  const dial = w.figures.get('guard.dialSet') ?? w.figures.get('guard.overloadDial');
  const voltage = input.supply?.voltage?.value;
  const level = w.figures.get('guard.faultWithMotors') ?? available;
  if (subject.method === 'drive') return none;
  if (!level || !dial || voltage === undefined || contactor === undefined) {
    w.finding(
      'guard.no-coordination',
      'note',
      'Coordination (type 1 or 2) is never inferred from ratings: take a combination tested ' +
        'together at this voltage, and ask for the available fault current first.',
      { fields: ['supply.source'], figures },
    );
    return none;
  }
  const type = asked === 'type-2' ? 2 : 1;
  const ask: CombinationAsked = {
    ...{ voltage, contactor, practice: walk.practice.id },
    faultCurrent: level.value,
    dial: dial.value,
    class: w.figures.get('guard.tripClass')?.text,
    kind: input.guard?.device ?? walk.practice.usualDevice,
  };
  const special = subject.method !== null && subject.method !== 'direct' ? subject.method.replaceAll('-', ' ') : '';
  // Where nobody named the device, one of another kind that was tested is better than none.
  const kinds = input.guard?.device === undefined ? [ask.kind, undefined] : [ask.kind];
  const find = (of: 1 | 2): Combination | undefined =>
    special ? undefined : kinds.map((kind) => fitting(combinations, of, { ...ask, kind })).find((c) => c !== undefined);
  const [found, other] = [find(type), find(type === 1 ? 2 : 1)];
  if (!found) {
    const unmarked = w.figures.get('guard.unmarkedRating')?.text;
    const to = special ? undefined : testedTo(combinations, type, { ...ask, kind: kinds.at(-1) });
    w.finding(
      'guard.no-combination',
      'caution',
      `No combination of type ${type} is known here` +
        (to === undefined ? '' : ` beyond ${kA(to)}, ${level.text} may flow`) +
        `. Ask a panel builder for one tested together: ${special ? `${special.replace(/ starter$/, '')} starter, ` : ''}type ${type} by ` +
        `${walk.practice.combinationStandard}, at least ${writeQuantity(voltage, 'V')}, ` +
        `at least ${level.text}, AC-3 ${kA(contactor)}, dial ${dial.text}` +
        `${ask.class === undefined ? '' : `, class ${ask.class}`}` +
        `${input.guard?.device === undefined ? '' : `, ${deviceNames[input.guard.device]}`}.` +
        (unmarked === undefined ? '' : ` Parts marked with no rating of their own count as ${unmarked}.`),
      { fields: [...fields, 'supply.source'], figures, source: coordinationSource },
    );
    return { ...none, other: other ? taken(other) : null };
  }
  const demo = found.table === demoTable;
  w.finding(
    'guard.combination',
    'note',
    `Type ${type} (${because}): ${inWords(found)}. ${ruins[found.type]}` +
      (demo ? ' The table is invented: take your panel builder’s.' : ''),
    { fields, figures, source: coordinationSource },
  );
  return {
    ...none,
    taken: taken(found),
    other: other && other !== found ? taken(other) : null,
    step: other && other !== found ? stepBetween(type === 1 ? found : other, type === 1 ? other : found) : '',
  };
}

/** What going from type 1 to type 2 changes, in parts and price. */
function stepBetween(one: Combination, two: Combination): string {
  const parts = (['device', 'contactor', 'relay'] as const)
    .filter((part) => one[part] !== two[part])
    .map((part) => `${one[part] || 'no relay of its own'} → ${two[part] || 'no relay of its own'}`);
  const price =
    one.price !== null && two.price !== null ? `; price ${one.price} → ${two.price}` : '; prices are not known';
  return `From type 1 to type 2: ${parts.length > 0 ? parts.join(', ') : 'the same parts'}${price}.`;
}
