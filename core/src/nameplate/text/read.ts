import { readDraft, type CaseText } from '../../case';
import { practices, type PracticeId } from '../../practice';
import { repairWords } from '../../quantity';
import { traditionSaid } from '../readings';
import { columns, rules, type Found } from './rules';

type PlateInput = NonNullable<CaseText['plate']>;

/** A stretch of the text: what it gave, or that it was not understood. Together the pieces are the whole text. */
export interface Piece {
  readonly text: string;
  /** Fields it was read into, as dotted paths below the plate; empty where it was not understood. */
  readonly fields: readonly string[];
  /** Why something that looks like a value was not taken, or what in it was repaired. */
  readonly note?: string;
}

export interface PlateText {
  readonly plate: PlateInput;
  readonly pieces: readonly Piece[];
  /** Words and numbers that were not understood, in order; separators alone are not listed. */
  readonly rest: readonly string[];
  /** The practice it is stamped by, where it shows. */
  readonly made: PracticeId | undefined;
}

/** Longest text read at once; a plate has a few hundred characters. */
export const longestPlateText = 4000;

interface Claim {
  readonly start: number;
  readonly end: number;
  readonly found: readonly Found[];
  readonly note?: string;
}

/**
 * Reads a block of text typed from a plate or copied from an e-mail into fields. Never throws; every character of the
 * text
 * comes back in exactly one piece.
 */
export function readPlateText(typed: string): PlateText {
  // A letter that stands for a figure is one character for one: every place stays where it is.
  const text = repairWords(typed);
  const claims = [...tableClaims(text)];
  claims.push(...scan(text, claims));
  claims.sort((a, b) => a.start - b.start);
  const kept = settle(claims, text);
  const { plate, refused } = assemble(kept);
  const pieces = asTyped(piecesOf(text, kept, refused), typed);
  return {
    plate,
    made: madeBy(plate),
    pieces,
    rest: pieces.filter((p) => p.fields.length === 0).flatMap((p) => wordsIn(p.text)),
  };
}

/** The tradition that the text itself shows: by its frame or the unit of its power. */
function madeBy(plate: PlateInput): PracticeId | undefined {
  const read = readDraft({ format: 'pilgrim.case/1', practice: 'iec', plate }).value?.plate;
  return read && traditionSaid(read, practices)?.id;
}

/** The pieces in the words that were typed; where a letter was read as a figure, with a note of it. */
function asTyped(pieces: readonly Piece[], typed: string): Piece[] {
  let at = 0;
  return pieces.map((piece) => {
    const text = typed.slice(at, at + piece.text.length);
    at += piece.text.length;
    if (text === piece.text) return piece;
    const read = `a letter read as a figure: "${piece.text.trim()}"`;
    return { ...piece, text, note: piece.note === undefined ? read : `${piece.note}; ${read}` };
  });
}

/** Runs of words between separators; punctuation alone is none. */
const wordsIn = (text: string): string[] =>
  (text.match(/[^\s,;:|/]+(?:[ /]+[^\s,;:|/]+)*/g) ?? []).flatMap((w) => w.replace(/^[^\p{L}\p{N}]+/u, '') || []);

const separator = /[\s,;:|•·/()–-]/;

/** Walks the text word by word; at each the first rule that reads something claims it. */
function scan(text: string, taken: readonly Claim[]): Claim[] {
  const claims: Claim[] = [];
  let i = 0;
  while (i < text.length) {
    const block = taken.find((c) => i >= c.start && i < c.end);
    if (block) {
      i = block.end;
      continue;
    }
    const claim = ruleAt(text, i);
    if (claim) {
      claims.push(claim);
      i = claim.end;
    } else if (separator.test(text.charAt(i))) i++;
    else i = wordEnd(text, i);
  }
  return claims;
}

function ruleAt(text: string, start: number): Claim | undefined {
  // A word that begins within another is none.
  const before = text.charAt(start - 1);
  if (separator.test(text.charAt(start)) && !/[<≤(-]/.test(text.charAt(start))) return undefined;
  if (/\p{L}/u.test(before) && /\p{L}/u.test(text.charAt(start))) return undefined;
  for (const rule of rules) {
    rule.pattern.lastIndex = start;
    const match = rule.pattern.exec(text);
    if (!match || match[0].length === 0) continue;
    const found = rule
      .read(match)
      .filter((f) => (typeof f.value === 'number' ? Number.isFinite(f.value) : f.value !== ''));
    if (found.length === 0) continue;
    const end = start + match[0].trimEnd().length;
    return rule.runsOn ? runOn(text, start, end, found) : { start, end, found };
  }
  return undefined;
}

/** Free words after a label, until another rule begins or the line ends. */
function runOn(text: string, start: number, from: number, found: readonly Found[]): Claim | undefined {
  let end = from;
  while (end < text.length && !/[\n,;|]/.test(text.charAt(end)) && end - from < 60) {
    if (/\s/.test(text.charAt(end))) {
      end++;
      continue;
    }
    if (end > from && ruleAt(text, end)) break;
    end = wordEnd(text, end);
  }
  const value = text.slice(from, end).trim();
  const first = found[0];
  return value === '' || !first
    ? undefined
    : { start, end: from + text.slice(from, end).trimEnd().length, found: [{ field: first.field, value }] };
}

/** End of the word at i: a run of letters, or of anything else up to a separator. */
function wordEnd(text: string, i: number): number {
  const letters = /\p{L}+/uy;
  letters.lastIndex = i;
  const word = letters.exec(text);
  if (word && word[0].length > 0) return i + word[0].length;
  let end = i + 1;
  while (end < text.length && !separator.test(text.charAt(end)) && !/\p{L}/u.test(text.charAt(end))) end++;
  return end;
}

interface Word {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

/** A line of column heads and the lines of values under it, as many plates are laid out. */
function tableClaims(text: string): Claim[] {
  const claims: Claim[] = [];
  const lines = linesOf(text);
  for (const [n, line] of lines.entries()) {
    const heads = line.map((w) => columns.find(([of]) => of.test(w.text)));
    if (line.length < 3 || heads.some((h) => h === undefined)) continue;
    const rows: Claim[][] = [];
    for (const below of lines.slice(n + 1)) {
      const cells = joinMarks(below);
      if (cells.length !== line.length) break;
      const read = cells.map((cell, i) => ({
        start: cell.start,
        end: cell.end,
        found: heads[i]?.[2](cell.text) ?? [],
      }));
      if (
        read.some(
          (r) =>
            r.found.length === 0 ||
            r.found.some((f) => f.value === '' || Number.isNaN(f.value) || /^ (V|A|rpm|hp|kW)$/.test(String(f.value))),
        )
      )
        break;
      rows.push(read);
    }
    if (rows.length === 0) continue;
    for (const [i, head] of line.entries()) {
      const field = heads[i]?.[1];
      if (field !== undefined) claims.push({ start: head.start, end: head.end, found: [{ field, value: '' }] });
    }
    // The frequency of a row is read first, so that it is known which block the row belongs to.
    claims.push(...rows.flat());
  }
  return claims;
}

function linesOf(text: string): Word[][] {
  const lines: Word[][] = [];
  let offset = 0;
  for (const line of text.split('\n')) {
    const words = [...line.matchAll(/[^\s|]+/g)].map((m) => ({
      text: m[0],
      start: offset + m.index,
      end: offset + m.index + m[0].length,
    }));
    lines.push(words.map((w) => ({ ...w, text: w.text.replace(/[.:]$/, '') })));
    offset += line.length + 1;
  }
  return lines.filter((l) => l.length > 0);
}

/** "Δ 400" is one cell. */
function joinMarks(words: readonly Word[]): Word[] {
  const cells: Word[] = [];
  for (const word of words) {
    const last = cells.at(-1);
    if (last && /^[Δ∆△λYD]$/.test(last.text) && /^\d/.test(word.text))
      cells[cells.length - 1] = { text: `${last.text} ${word.text}`, start: last.start, end: word.end };
    else cells.push(word);
  }
  return cells;
}

const blockFields: ReadonlySet<string> = new Set([
  'power',
  'voltage',
  'current',
  'speed',
  'frequency',
  'serviceFactor',
  'efficiency',
  'powerFactor',
]);
const joined: ReadonlySet<string> = new Set(['voltage', 'current']);

/**
 * Decides what a value stated twice means: the same again, another connection (joined with a slash), the second block
 * for
 * another frequency, or a contradiction that is left in sight.
 */
function settle(claims: readonly Claim[], text: string): Claim[] {
  const values = new Map<string, string | number>();
  const frequencies = new Set(
    claims
      .flatMap((c) => c.found)
      .filter((f) => f.field === 'frequency')
      .map((f) => f.value),
  );
  frequencies.delete('');
  const twoBlocks = frequencies.size === 2;
  let lineBlock: { readonly of: string | number } | undefined;
  const ofLine = frequencyOfLines(claims, text);
  return claims.map((claim): Claim => {
    const found: Found[] = [];
    let note: string | undefined;
    const own = ofLine(claim.start);
    if (own !== undefined) lineBlock = { of: own };
    for (const f of claim.found) {
      if (f.value === '') {
        found.push(f);
        continue;
      }
      if (f.field === 'frequency') lineBlock = { of: f.value };
      const known = values.get(f.field);
      const second = `alternate.${f.field}`;
      if (known === undefined) values.set(f.field, f.value);
      else if (known === f.value) {
        // The same again; in the second block's line it belongs there too.
        if (
          twoBlocks &&
          blockFields.has(f.field) &&
          lineBlock?.of !== values.get('frequency') &&
          f.field !== 'frequency' &&
          !values.has(second)
        ) {
          values.set(second, f.value);
          found.push({ field: second, value: f.value });
          continue;
        }
      } else if (f.field === 'power' && unitOf(known) !== unitOf(f.value) && !values.has('powerAlso')) {
        values.set('powerAlso', f.value);
        found.push({ field: 'powerAlso', value: f.value });
        continue;
      } else if (f.field === 'connection') {
        const text = String(known).includes(String(f.value)) ? known : `${known}/${f.value}`;
        values.set('connection', text);
        found.push({ field: 'connection', value: text });
        continue;
      } else if (twoBlocks && blockFields.has(f.field) && !(joined.has(f.field) && sameBlock(values, lineBlock))) {
        const there = values.get(second);
        const value = there === undefined ? f.value : joined.has(f.field) ? joinGroups(there, f.value) : undefined;
        if (value === undefined || (there !== undefined && there === f.value)) {
          if (there !== f.value) note = `a third value for ${f.field}`;
          else found.push({ field: second, value: f.value });
          continue;
        }
        values.set(second, value);
        found.push({ field: second, value });
        continue;
      } else if (joined.has(f.field)) {
        const value = joinGroups(known, f.value);
        values.set(f.field, value);
        found.push({ field: f.field, value });
        continue;
      } else {
        note = `a second value for ${f.field}; the first, ${known}, stands`;
        continue;
      }
      found.push(f);
    }
    return { start: claim.start, end: claim.end, found, ...(note === undefined ? {} : { note }) };
  });
}

/** A line that names one frequency speaks of that block, wherever in the line it stands. */
function frequencyOfLines(claims: readonly Claim[], text: string): (at: number) => string | number | undefined {
  const line = (at: number): number => text.slice(0, at).split('\n').length;
  const byLine = new Map<number, Set<string | number>>();
  for (const { start, found } of claims)
    for (const { field, value } of found) {
      if (field !== 'frequency' || value === '') continue;
      byLine.set(line(start), (byLine.get(line(start)) ?? new Set()).add(value));
    }
  return (at) => {
    const found = [...(byLine.get(line(at)) ?? [])];
    return found.length === 1 ? found[0] : undefined;
  };
}

/** Whether the line being read belongs to the block whose frequency was read first. */
const sameBlock = (
  values: ReadonlyMap<string, string | number>,
  line: { readonly of: string | number } | undefined,
): boolean => line === undefined || line.of === values.get('frequency');

const unitOf = (value: string | number): string => /[A-Za-z]+$/.exec(String(value))?.[0] ?? '';

/** "400 V" and "690 V" are two connections: "400/690 V". */
function joinGroups(a: string | number, b: string | number): string {
  const unit = unitOf(a);
  return `${String(a).replace(/\s*[A-Za-z]+$/, '')}/${String(b)}`.replace(/\s*[A-Za-z]+$/, ` ${unit}`);
}

/** Puts the values together; what the case's own schema would not read is handed back with its reason. */
function assemble(claims: readonly Claim[]): {
  readonly plate: PlateInput;
  readonly refused: ReadonlyMap<string, string>;
} {
  const plate: Record<string, unknown> = {};
  for (const { found } of claims)
    for (const { field, value } of found) {
      if (value === '') continue;
      const [head = '', inner] = field.split('.');
      if (inner === undefined) plate[head] = value;
      else plate[head] = { ...(typeof plate[head] === 'object' ? plate[head] : {}), [inner]: value };
    }
  const draft = readDraft({ format: 'pilgrim.case/1', practice: 'iec', plate });
  const refused = new Map(draft.errors.map((e) => [e.path.replace(/^plate\./, ''), e.message]));
  for (const field of refused.keys()) {
    const [head = '', inner] = field.split('.');
    const holder: unknown = plate[head];
    if (inner === undefined || typeof holder !== 'object' || holder === null) Reflect.deleteProperty(plate, head);
    else {
      Reflect.deleteProperty(holder, inner);
      if (Object.keys(holder).length === 0) Reflect.deleteProperty(plate, head);
    }
  }
  return { plate: isPlate(plate) ? plate : {}, refused };
}

/** Checked above by the case's own schema. */
const isPlate = (value: Record<string, unknown>): value is PlateInput =>
  readDraft({ format: 'pilgrim.case/1', practice: 'iec', plate: value }).errors.length === 0;

function piecesOf(text: string, claims: readonly Claim[], refused: ReadonlyMap<string, string>): Piece[] {
  const pieces: Piece[] = [];
  let at = 0;
  const rest = (to: number): void => {
    if (to > at) pieces.push({ text: text.slice(at, to), fields: [] });
    at = Math.max(at, to);
  };
  for (const { start, end, found, note } of claims) {
    if (start < at) continue;
    rest(start);
    const fields = [...new Set(found.map((f) => f.field))].filter((f) => !refused.has(f));
    const bad = found.map((f) => refused.get(f.field)).find((m) => m !== undefined);
    const why = note ?? (fields.length === 0 ? bad : undefined);
    pieces.push({ text: text.slice(start, end), fields, ...(why === undefined ? {} : { note: why }) });
    at = end;
  }
  rest(text.length);
  return pieces;
}
