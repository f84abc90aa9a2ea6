import { resultSchema, type Result } from './result';

/**
 * Reads a result kept or exported by this or an earlier core; undefined where it is none. What earlier cores did not
 * tell is filled in as
 * empty, so that nothing else has to know of them.
 */
export function readResult(value: unknown): Result | undefined {
  const filled = isRecord(value) ? fill(value) : value;
  return isResult(filled) ? filled : undefined;
}

type Plain = Readonly<Record<string, unknown>>;

export const isRecord = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): readonly Plain[] => (Array.isArray(value) ? value.filter(isRecord) : []);

/** Before a station's state said why. */
export const reasoned = ({ stations }: Plain): Plain =>
  isRecord(stations) ? { stations: mapped(stations, (s) => ({ because: [], ...s })) } : {};

const mapped = (of: Plain, to: (value: Plain) => Plain): Plain =>
  Object.fromEntries(Object.entries(of).map(([key, value]) => [key, isRecord(value) ? to(value) : value]));

/** Before quotes had days and spares a position. */
const stockOf = (stock: unknown): Plain => (isRecord(stock) ? { stock: { days: null, keptFor: '', ...stock } } : {});

/** Before plates were doubted, motors described, starts simulated and failures weighed. */
function fill(result: Plain): Plain {
  const motor = (m: unknown): unknown =>
    isRecord(m)
      ? {
          poles: 4,
          construction: '',
          designLetter: '',
          serviceFactor: 1,
          mass: 0,
          sound: 0,
          stock: null,
          ...m,
          ...stockOf(m.stock),
        }
      : m;
  const verdicts = (row: Plain): Plain => ({
    ...row,
    ...(Array.isArray(row.verdicts) ? { verdicts: listOf(row.verdicts).map((v) => ({ waived: null, ...v })) } : {}),
    ...('motor' in row ? { motor: motor(row.motor) } : {}),
  });
  return {
    facts: [],
    enclosures: [],
    history: null,
    replacement: null,
    start: null,
    guard: null,
    open: [],
    ...result,
    findings: listOf(result.findings).map((f) => ({ doubt: false, suggestions: [], accepted: null, ...f })),
    candidates: listOf(result.candidates).map((c) => verdicts({ change: null, ...c })),
    methods: listOf(result.methods).map(verdicts),
    choice: isRecord(result.choice) ? verdicts(result.choice) : result.choice,
    ...reasoned(result),
    curves: isRecord(result.curves) ? { start: null, guard: null, ...result.curves } : result.curves,
  };
}

/** Units of figures are of this core or of a later one, which screens spell out. */
const isResult = (value: unknown): value is Result => resultSchema.safeParse(value).success;
