import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { describe, expect, it } from 'vitest';
import ts from 'typescript';
import { demandKinds, readCase, supplyKinds } from '@pilgrim/core';
import { areaOf, areas, notAsked } from '../../tools/mutate.areas.mjs';

const src = join(import.meta.dirname, '..', 'src');
const files = readdirSync(src, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'));
const known = new Set(files.map((f) => normalize(f)));

/** Files of core that one imports, types among them. */
const imports = new Map(
  files.map((file) => {
    const named = ts.preProcessFile(readFileSync(join(src, file), 'utf8'), true, true).importedFiles;
    const targets = named.flatMap(({ fileName }) => {
      if (!fileName.startsWith('.')) return [];
      const base = normalize(join(dirname(file), fileName));
      return [`${base}.ts`, join(base, 'index.ts')].filter((f) => known.has(f));
    });
    return [normalize(file), targets];
  }),
);

/** The first circle met on the way from a file, as the list of its files; undefined where there is none. */
function circleFrom(file: string, way: readonly string[], clear: Set<string>): readonly string[] | undefined {
  if (way.includes(file)) return [...way.slice(way.indexOf(file)), file];
  if (clear.has(file)) return undefined;
  for (const next of imports.get(file) ?? []) {
    const circle = circleFrom(next, [...way, file], clear);
    if (circle) return circle;
  }
  clear.add(file);
  return undefined;
}

it('no file of core imports itself by way of others', () => {
  const clear = new Set<string>();
  for (const file of known) expect(circleFrom(file, [], clear)?.join(' → ')).toBeUndefined();
  expect(clear.size).toBe(known.size);
});

describe('the open formats’ words stand once', () => {
  const refusedAt = (text: object): string[] => {
    const reading = readCase({ format: 'pilgrim.case/1', practice: 'iec', ...text });
    return reading.ok ? [] : reading.errors.map((e) => e.path);
  };
  it.each(demandKinds)('demand "%s" is one the case reads', (kind) => {
    expect(refusedAt({ load: { demand: { kind } } })).not.toContain('load.demand.kind');
  });
  it.each(supplyKinds)('source "%s" is one the case reads', (kind) => {
    expect(refusedAt({ supply: { source: { kind } } })).not.toContain('supply.source.kind');
  });
  it('another is refused', () => {
    expect(refusedAt({ load: { demand: { kind: 'guess' } } })).toContain('load.demand.kind');
    expect(refusedAt({ supply: { source: { kind: 'guess' } } })).toContain('supply.source.kind');
  });
});

it('mutation testing knows all of core: every folder is an area, every test is asked by one', () => {
  const folders = readdirSync(src, { withFileTypes: true }).flatMap((f) => (f.isDirectory() ? [f.name] : []));
  expect(folders.filter((f) => areaOf(f) === undefined)).toEqual([]);
  const asked = new Set(Object.values(areas).flat());
  const tests = readdirSync(import.meta.dirname).flatMap((f) => (f.endsWith('.test.ts') ? [f.slice(0, -8)] : []));
  expect(tests.filter((t) => !asked.has(t) && !notAsked.includes(t))).toEqual([]);
  expect([...asked].filter((t) => !tests.includes(t))).toEqual([]);
});
