import { readdirSync, readFileSync } from 'node:fs';
import { getPriority } from 'node:os';
import { fileURLToPath } from 'node:url';
import { gunzipSync } from 'node:zlib';
import { demoCombinations, keep, nameplate, readCase, solve, type CaseText } from '@pilgrim/core';
import { afterAll, describe, expect, it } from 'vitest';
import { Refusal } from '$lib/server/refusal';
import {
  ahead,
  closePool,
  inOrder,
  keepCase,
  readListOf,
  solveCase,
  solveZipped,
  warming,
} from '$lib/server/solving/pool';
import type { SharedShelf } from '$lib/server/solving/worker';

const folder = (path: string): string => fileURLToPath(new URL(`../../${path}`, import.meta.url));
const example: CaseText = JSON.parse(readFileSync(folder('demo/example.case.json'), 'utf8'));
const here = (() => {
  const reading = readCase(example);
  if (!reading.ok) throw new Error('no case');
  return solve(reading.value);
})();
const json = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

afterAll(() => closePool());

describe('a case solved in a thread of its own', () => {
  it('is answered as it is here, whole or as a revision keeps it', async () => {
    const whole = await solveCase({ given: example });
    const kept = await keepCase({ given: example }, 'saves');
    const small = await solveZipped({ given: example });
    if (!whole.ok || !kept.ok || !small.ok) expect.fail('not solved');
    expect(gunzipSync(small.gzip).toString()).toBe(whole.result);
    expect(JSON.parse(whole.result)).toEqual(json(here));
    expect(JSON.parse(kept.result)).toEqual(json(keep(here)));
    expect([whole.core, kept.core]).toEqual([here.core, here.core]);
  });
  it.each(warming.map((given) => [JSON.stringify(given).slice(0, 60), given]))(
    'begun with %s, which reads',
    (_, given) => {
      const reading = readCase(given);
      expect(reading.ok && solve(reading.value).choice).toBeTruthy();
    },
  );
  it('or what of it cannot be read', async () => {
    const given = { ...example, supply: { voltage: 'some' } };
    expect(await solveCase({ given })).toMatchObject({ ok: false, errors: [{ path: 'supply.voltage' }] });
    expect(await solveCase({ given: null })).toMatchObject({ ok: false });
    expect(await solveZipped({ given })).toEqual(await solveCase({ given }));
  });
  it('is chosen from the shelf of the version that is named', async () => {
    const shelf = (version: number, quantity: number): SharedShelf => {
      const plate = {
        ...{ power: '30 hp', voltage: '230/460 V', current: '71/35.5 A', speed: '1770 rpm', frequency: '60 Hz' },
        ...{ enclosure: 'TEFC', serviceFactor: 1.15, insulation: 'F' },
      };
      const of = { place: 'Store 7', days: null, keptFor: '', price: null, name: 'Spare' };
      const text = Buffer.from(
        JSON.stringify({ motors: [{ id: 'spare-1', plate, quantity, ...of }], combinations: [] }),
      );
      const shared = new SharedArrayBuffer(text.byteLength);
      text.copy(new Uint8Array(shared));
      return { plant: 'p', version, json: shared };
    };
    const place = { ...example.place, cable: { length: '5 m' } };
    const given = { ...example, place, rules: { ranking: 'shelf' }, history: undefined, plate: undefined };
    const chosen = async (of: SharedShelf) => {
      const solved = await keepCase({ given, from: { shelf: of, own: [] } }, 'saves');
      return solved.ok ? JSON.parse(solved.result).choice.motor.id : undefined;
    };
    expect(await chosen(shelf(1, 2))).toBe('spare-1');
    // The thread keeps what it has made of a version, and makes it anew of another.
    expect(await chosen(shelf(1, 0))).toBe('spare-1');
    expect(await chosen(shelf(2, 0))).not.toBe('spare-1');
  });
});

it.runIf(process.platform === 'linux')(
  'what is solved for scripts gives way, the thread of saves does not',
  async () => {
    const giveWay = (): number =>
      readdirSync('/proc/self/task').filter((thread) => {
        // The 19th field, after the name in brackets: proc(5).
        const [, after = ''] = readFileSync(`/proc/self/task/${thread}/stat`, 'utf8').split(') ');
        return Number(after.split(' ')[16]) > getPriority();
      }).length;
    await closePool();
    const before = giveWay();
    await keepCase({ given: example }, 'saves');
    expect(giveWay()).toBe(before);
    await solveCase({ given: example });
    expect(giveWay()).toBeGreaterThan(before);
  },
);

describe('many at once', () => {
  it('are answered in their order, a few of them under way', async () => {
    let [under, most] = [0, 0];
    const ask = async (n: number): Promise<number> => {
      most = Math.max(most, ++under);
      await new Promise((done) => setTimeout(done, 20 - 3 * (n % 5)));
      under--;
      return n * n;
    };
    const answers: number[] = [];
    for await (const n of inOrder([0, 1, 2, 3, 4, 5, 6, 7], ask)) answers.push(n);
    expect(answers).toEqual([0, 1, 4, 9, 16, 25, 36, 49]);
    expect(most).toBe(ahead);
  });
  it('one that fails ends it, and those under way harm nobody', async () => {
    const ask = async (n: number): Promise<number> => (n > 1 ? Promise.reject(new Error(`no ${n}`)) : n);
    const answers: number[] = [];
    const all = async () => {
      for await (const n of inOrder([0, 1, 2, 3, 4], ask)) answers.push(n);
    };
    await expect(all()).rejects.toThrow('no 2');
    expect(answers).toEqual([0, 1]);
  });
  it('more than can wait are refused at once, to be tried again', async () => {
    const asked = await Promise.allSettled(Array.from({ length: 300 }, () => solveCase({ given: null })));
    const refused = asked.flatMap((a) => (a.status === 'rejected' ? [a.reason] : []));
    expect(refused.length).toBeGreaterThan(0);
    expect(refused.length).toBeLessThan(300);
    for (const reason of refused) expect(reason).toMatchObject({ problem: { status: 503 } });
  });
});

describe('a list read in a thread of its own', () => {
  const bytes = new TextEncoder().encode(
    'Tag,Name,Area,Power (kW)\nA-1,Pump,Hall,7.5\nA-2,Fan,Hall,4\nA-2,Fan,Hall,4\n',
  );
  it('tells a tag that is a position already, or stands twice', async () => {
    const task = { bytes, mapping: undefined, constants: { practice: 'iec' } };
    const read = await readListOf<nameplate.PositionRow>({ ...task, of: { tags: ['A-1'] } });
    expect(read.good.map((r) => r.tag)).toEqual(['A-2']);
    expect(read.errors.map((e) => e.message)).toEqual([
      '“A-1” is a position already',
      '“A-2” stands twice in the list',
    ]);
  });
  it('a table of combinations as well, and as it is written it reads back', async () => {
    const [first] = demoCombinations();
    if (!first) expect.fail('no demonstration table');
    const csv = [nameplate.combinationHeadings, nameplate.combinationCells(first), ['IEC', '400', 'x']];
    const text = new TextEncoder().encode(csv.map((row) => row.join(',')).join('\n'));
    const task = { bytes: text, mapping: undefined, constants: undefined, of: 'combinations' } as const;
    const { table: _, ...row } = first;
    const read = await readListOf<unknown>(task);
    expect(read.good).toEqual([row]);
    expect(read.errors.map((e) => e.line)).toContain(3);
  });
  it('is refused as it is here', async () => {
    const bad = new Uint8Array([0xff, 0xfe, 0]);
    const task = { bytes: bad, mapping: undefined, constants: undefined, of: 'shelf' } as const;
    const reason: unknown = await readListOf(task).catch((e: unknown) => e);
    expect(reason).toBeInstanceOf(Refusal);
    expect(reason).toMatchObject({ problem: { status: 422 } });
  });
});
