import { isProtectiveDevice, type Combination } from '../catalogue';
import { deviceNames, protectiveDevices } from '../contract';
import { readQuantity, type Dimension } from '../quantity';
import { readCells, type ListColumn, type ListKind, type ListMapping, type RowReading } from './list';

/** Columns of a table of tested combinations. */
export const combinationColumns = [
  { key: 'standard', label: 'Standard', names: ['tested by', 'norm', 'norme'], kind: 'own', needed: true },
  { key: 'voltage', label: 'Voltage', names: ['volts', 'v', 'ue', 'spannung', 'tension'], dimension: 'voltage', unit: 'V', kind: 'quantity', needed: true },
  { key: 'faultCurrent', label: 'Fault current', names: ['iq', 'sccr', 'icc', 'short circuit', 'short circuit current', 'kurzschlussstrom'], dimension: 'current', unit: 'kA', kind: 'quantity', needed: true },
  { key: 'type', label: 'Type', names: ['coordination', 'coordination type', 'zuordnungsart'], kind: 'own', needed: true },
  { key: 'kind', label: 'Kind of device', names: ['device kind', 'protection kind'], kind: 'own' },
  { key: 'device', label: 'Device', names: ['breaker', 'fuse', 'short circuit device', 'scpd'], kind: 'own', needed: true },
  { key: 'contactor', label: 'Contactor', names: ['schütz', 'schuetz', 'contacteur'], kind: 'own', needed: true },
  { key: 'ac3', label: 'AC-3 current', names: ['ac 3', 'ac3', 'ie'], dimension: 'current', unit: 'A', kind: 'quantity', needed: true },
  { key: 'relay', label: 'Relay', names: ['overload', 'overload relay', 'motorschutzrelais'], kind: 'own' },
  { key: 'dialFrom', label: 'Dial from', names: ['range from', 'setting from', 'min'], dimension: 'current', unit: 'A', kind: 'quantity', needed: true },
  { key: 'dialTo', label: 'Dial to', names: ['range to', 'setting to', 'max'], dimension: 'current', unit: 'A', kind: 'quantity', needed: true },
  { key: 'power', label: 'Power', names: ['kw', 'hp', 'rating', 'leistung'], dimension: 'power', unit: 'kW', kind: 'quantity' },
  { key: 'classes', label: 'Trip class', names: ['class', 'classes', 'auslöseklasse'], kind: 'own' },
  { key: 'price', label: 'Price', names: ['cost', 'preis', 'prix'], kind: 'own number' },
] as const satisfies readonly ListColumn[]; // prettier-ignore

/** Headings of a table as it is written, with the units its cells are in. */
export const combinationHeadings: readonly string[] = combinationColumns.map((c) =>
  'unit' in c ? `${c.label} (${c.key === 'faultCurrent' ? 'kA' : c.unit})` : c.label,
);

/** A combination as cells of such a table. */
export const combinationCells = (c: Combination): readonly string[] =>
  combinationColumns.map(({ key }) => {
    if (key === 'classes') return c.classes.join(' ');
    if (key === 'faultCurrent') return String(c.faultCurrent / 1000);
    if (key === 'power') return c.power === null ? '' : String(c.power / 1000);
    return String(c[key] ?? '');
  });

type Key = (typeof combinationColumns)[number]['key'];

/** One row of a table of tested combinations, or what is wrong in which column. The table's name is its file's. */
export function readCombinationRow(
  cells: readonly string[],
  headings: readonly string[],
  mapping: ListMapping,
): RowReading<Omit<Combination, 'table'>> {
  const { values, errors, fail } = readCells(combinationColumns, cells, headings, mapping);
  const words = (key: Key): string => String(values[key] ?? '').trim();
  const amount = (key: Key, dimension: Dimension): number => {
    if (values[key] === undefined) return NaN;
    const read = readQuantity(dimension, words(key));
    if (!read.ok) fail(key, read.message);
    else if (read.value.value <= 0) fail(key, 'must be above zero');
    return read.ok ? read.value.value : NaN;
  };
  const type = /\b([12])\b/.exec(words('type'))?.[1];
  if (values['type'] !== undefined && type === undefined)
    fail('type', `“${words('type')}” is neither type 1 nor type 2`);
  const kind = kindOf(words('kind') || words('device'));
  if (kind === undefined)
    fail(words('kind') ? 'kind' : 'device', `what it is cannot be told: one of ${protectiveDevices.join(', ')}`);
  const [dialFrom, dialTo] = [amount('dialFrom', 'current'), amount('dialTo', 'current')];
  if (dialFrom > dialTo) fail('dialTo', 'is below where the dial begins');
  const power = values['power'] === undefined ? null : amount('power', 'power');
  const entry = {
    standard: words('standard'),
    voltage: amount('voltage', 'voltage'),
    faultCurrent: amount('faultCurrent', 'current'),
    type: type === '2' ? 2 : 1,
    kind: kind ?? 'breaker',
    device: words('device'),
    contactor: words('contactor'),
    relay: words('relay'),
    ...{ dialFrom, dialTo, power },
    ac3: amount('ac3', 'current'),
    classes: words('classes').match(/\d+A?/g) ?? [],
    price: values['price'] === undefined ? null : Number(values['price']),
  } as const;
  return errors.length > 0 ? { ok: false, errors } : { ok: true, entry };
}

/** The kind of device a table means: by its own name in the file, or by what its words say. */
function kindOf(text: string): Combination['kind'] | undefined {
  const said = text.toLowerCase().trim();
  const slug = said.replaceAll(' ', '-');
  if (isProtectiveDevice(slug)) return slug;
  const named = protectiveDevices.find((kind) => said.includes(deviceNames[kind].toLowerCase()));
  if (named !== undefined && named !== 'breaker') return named;
  if (/\bam\b/.test(said)) return 'fuse-am';
  if (/\bg[gl]\b/.test(said)) return 'fuse-gg';
  if (/time.?delay|dual.?element/.test(said)) return 'dual-element-fuse';
  if (/motor.*breaker/.test(said)) return 'motor-breaker';
  if (/magnetic|instantaneous|motor circuit protector/.test(said)) return 'instantaneous-breaker';
  if (/fuse/.test(said)) return undefined;
  return /breaker/.test(said) ? 'breaker' : undefined;
}

/** A table of combinations that were tested together. */
export const combinationList: ListKind<Omit<Combination, 'table'>> = {
  columns: combinationColumns,
  read: readCombinationRow,
};
