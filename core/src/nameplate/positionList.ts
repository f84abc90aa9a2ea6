import { distance } from 'fastest-levenshtein';
import { plateSchema, readCase, type CaseText } from '../case';
import { machines } from '../contract/words';
import { practiceById, practices, type PracticeId } from '../practice';
import { listColumns, plateOf, readCells, type ListColumn, type ListKind, type RowReading } from './list';
import { traditionOf } from './readings';

/** A position as a row of a list says it. */
export interface PositionRow {
  readonly tag: string;
  readonly name: string;
  readonly area: string;
  readonly case: CaseText;
}

const plateColumns: readonly ListColumn[] = listColumns
  .filter((c) => !c.kind.startsWith('own'))
  .map(({ needed: _, ...c }: ListColumn) => c);

/** Columns a list of positions may have; tag and area must be there. */
export const positionColumns: readonly ListColumn[] = [
  { key: 'tag', label: 'Tag', names: ['position', 'no', 'number', 'id', 'item', 'equipment', 'kks'], kind: 'own', needed: true },
  { key: 'name', label: 'Name', names: ['description', 'service', 'duty', 'bezeichnung', 'designation'], kind: 'own' },
  { key: 'area', label: 'Area', names: ['plant area', 'building', 'location', 'place', 'bereich'], kind: 'own', needed: true },
  { key: 'machine', label: 'Machine', names: ['driven machine', 'load', 'type', 'maschine'], kind: 'own' },
  { key: 'practice', label: 'Practice', names: ['standard', 'norm', 'standards'], kind: 'own' },
  { key: 'supplyVoltage', label: 'Supply voltage', names: ['mains', 'network voltage', 'bus voltage', 'netzspannung'], dimension: 'voltage', unit: 'V', kind: 'quantity' },
  { key: 'supplyFrequency', label: 'Supply frequency', names: ['mains frequency', 'network frequency', 'netzfrequenz'], dimension: 'frequency', unit: 'Hz', kind: 'quantity' },
  ...plateColumns,
]; // prettier-ignore

/** Where a column's value stands in a case. */
const pathOf = (key: string): string =>
  ({ supplyVoltage: 'supply.voltage', supplyFrequency: 'supply.frequency', machine: 'load.machine' })[key] ??
  (plateColumns.some((c) => c.key === key) ? `plate.${key}` : key);

/**
 * Reads one row: a position with its case, or what is wrong in which column. That a place is not hazardous is no
 * column: it is said at each position. Practice: as the row says, else as its plate is written.
 */
function read(
  cells: readonly string[],
  headings: readonly string[],
  mapping: Readonly<Partial<Record<string, number>>>,
): RowReading<PositionRow> {
  const { values, errors, fail } = readCells(positionColumns, cells, headings, mapping);
  const { tag, name, area, machine, practice, supplyVoltage, supplyFrequency } = values;
  const plate = plateOf(plateColumns, values);
  const kind = machine === undefined ? undefined : machineOf(String(machine));
  if (machine !== undefined && kind === undefined) fail('machine', whichMachine(String(machine)));
  const said = practice === undefined ? undefined : practiceOf(String(practice));
  if (practice !== undefined && said === undefined) fail('practice', `“${practice}” is neither North America nor IEC`);
  const plateRead = plateSchema.safeParse(plate);
  const asked = practiceById(
    values.frequency === undefined || /60/.test(String(values.frequency)) ? 'north-america' : 'iec',
  );
  const own: PracticeId = said ?? (plateRead.success ? traditionOf(plateRead.data, practices, asked) : asked).id;
  const supply = {
    ...(supplyVoltage === undefined ? {} : { voltage: String(supplyVoltage) }),
    ...(supplyFrequency === undefined ? {} : { frequency: String(supplyFrequency) }),
  };
  const called = String(name ?? tag ?? '');
  const text: CaseText = {
    format: 'pilgrim.case/1',
    practice: own,
    name: called,
    ...(Object.keys(plate).length === 0 ? {} : { plate }),
    ...(Object.keys(supply).length === 0 ? {} : { supply }),
    ...(kind === undefined ? {} : { load: { machine: kind } }),
  };
  const reading = readCase(text);
  if (!reading.ok)
    for (const { path, message } of reading.errors)
      fail(positionColumns.find((c) => path.startsWith(pathOf(c.key)))?.key ?? 'tag', message);
  if (errors.length > 0) return { ok: false, errors };
  return { ok: true, entry: { tag: String(tag).slice(0, 60), name: called, area: String(area), case: text } };
}

/** A list of motors in their places, each to become a position. */
export const positionList: ListKind<PositionRow> = { columns: positionColumns, read };

/** A position's cells in the order of `positionColumns`, as a list that is read back needs them. */
export const positionCells = ({ tag, name, area, case: text }: PositionRow): (string | number)[] =>
  positionColumns.map(({ key }) => {
    const own: Readonly<Record<string, string>> = { tag, name, area };
    const value: unknown = own[key] ?? pathOf(key).split('.').reduce(part, text);
    return typeof value === 'string' || typeof value === 'number' ? value : '';
  });

const part = (value: unknown, key: string): unknown =>
  typeof value === 'object' && value !== null ? Reflect.get(value, key) : undefined;

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z]+/g, '-')
    .replace(/^-|-$/g, '');

/** The kind of machine that is meant, where only one can be. */
function machineOf(text: string): (typeof machines)[number] | undefined {
  const asked = plain(text);
  const exact = machines.find((m) => m === asked);
  if (exact || asked === '') return exact;
  const near = machines.filter((m) => distance(m, asked) <= 2);
  const part = machines.filter((m) => m.split('-').includes(asked));
  return near.length === 1 ? near[0] : part.length === 1 ? part[0] : undefined;
}

function whichMachine(text: string): string {
  const asked = plain(text);
  const close = machines.filter((m) => m.includes(asked) || asked.includes(m));
  const some = (close.length > 0 ? close : machines).map((m) => m.replaceAll('-', ' '));
  return `“${text.slice(0, 40)}” is no kind of machine: write one of ${some.join(', ')}`;
}

const practiceOf = (text: string): PracticeId | undefined =>
  /^(iec|eu|europe)/i.test(text) ? 'iec' : /^(north|na$|nema|us|canada)/i.test(text) ? 'north-america' : undefined;
