import { keep, readCase, solve, type Result } from '@pilgrim/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { headOf, type Revision } from '$lib/api';
import { Desk } from '$lib/desk/desk.svelte';
import type { Draft } from '$lib/desk/drafts';

const drafts = new Map<string, Draft>();
let draftsWork = true;
vi.mock('$lib/desk/drafts', () => ({
  readStoredDraft: async (id: string) => {
    if (!draftsWork) throw new Error('no storage');
    return drafts.get(id);
  },
  storeDraft: async (id: string, draft: Draft) => {
    if (!draftsWork) throw new Error('no storage');
    drafts.set(id, draft);
  },
  dropDraft: async (id: string) => void drafts.delete(id),
}));

/** The worker's place is taken by the same reading and solving on this thread. */
vi.mock('$lib/solver', async () => {
  const { readDraft, solve } = await import('@pilgrim/core');
  return {
    LatestSolver: class {
      constructor(private readonly answer: (a: { result: Result | null; errors: readonly object[] }) => void) {}
      ask(draft: unknown): void {
        const { value, errors } = readDraft(draft);
        this.answer({ result: value ? solve(value) : null, errors });
      }
    },
    bringShelf: async () => {},
  };
});

const text = {
  format: 'pilgrim.case/1',
  practice: 'iec',
  name: 'Blower',
  load: { demand: { kind: 'pull', force: '160 lbf', radius: '1 ft', speed: '70 rpm' }, train: { ratio: 20 } },
};
/** What the server keeps of a case; another core than this one where `coreVersion` says so. */
function revision(given: unknown = text, more: Partial<Revision> = {}): Revision {
  const reading = readCase(given);
  if (!reading.ok) throw new Error('not a case');
  const result = keep(solve(reading.value));
  const of = { id: 'r1', author: 'a', note: '', createdAt: '2026-11-01T00:00:00Z' };
  return { ...of, caseText: given, result, coreVersion: result.core, ...more };
}
const withForce = (force: string) => ({ ...text, load: { ...text.load, demand: { ...text.load.demand, force } } });

let sent: { url: string; init: RequestInit }[] = [];
function server(status: number, body: unknown): void {
  vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
    sent.push({ url, init });
    return new Response(JSON.stringify(body), { status });
  });
}

let desk: Desk;
beforeEach(async () => {
  drafts.clear();
  draftsWork = true;
  sent = [];
  vi.stubGlobal('localStorage', { getItem: () => null });
  desk = await opened(new Desk('s1', headOf(revision()), 'Blower'));
});

/** A desk that has been answered what was saved, with an own shelf that is empty. */
async function opened(of: Desk): Promise<Desk> {
  await of.wake();
  server(200, []);
  await of.bringShelf('p1', []);
  sent = [];
  return of;
}
afterEach(() => vi.unstubAllGlobals());

describe('a desk', () => {
  it('shows stations and choice as saved until that is solved again, with the own shelf', async () => {
    const saved = revision();
    const fresh = new Desk('s1', headOf(saved), 'Blower');
    await fresh.wake();
    expect(fresh).toMatchObject({ opening: true, result: null, stations: saved.result.stations });
    expect(fresh.choice).toBe(headOf(saved).choice);
    await opened(fresh);
    expect(fresh.opening).toBe(false);
    expect(fresh.result?.choice).toEqual(saved.result.choice);
    expect(fresh.choice).toBe(headOf(saved).choice);
  });
  it('is opened without the own shelf where the server does not answer, and says so', async () => {
    const fresh = new Desk('s1', headOf(revision()), 'Blower');
    vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('fetch failed')));
    await fresh.bringShelf('p1', []);
    expect(fresh.opening).toBe(false);
    expect(fresh.message).toContain('own shelf could not be fetched');
  });
  it('an edit made before that is solved after it, and rests on it where it cannot be read', async () => {
    const fresh = new Desk('s1', headOf(revision()), 'Blower');
    fresh.set('load.demand.force', '90 apples');
    expect(fresh.result).toBeNull();
    await opened(fresh);
    expect(fresh.figure('load.torque')?.value).toBeCloseTo(160 * 4.4482216152605 * 0.3048, 9);
    expect(fresh.waiting.get('load')).toEqual(['load.demand.force']);
    // And what it changed is told against what was saved.
    expect(fresh.since?.called).toBe('Pull');
    expect(fresh.since?.result?.figures['load.torque']?.value).toBeCloseTo(160 * 4.4482216152605 * 0.3048, 9);
  });
  it('is waited for by what seeks a field of a station that is not there yet', async () => {
    const fresh = new Desk('s1', headOf(revision()), 'Blower');
    let done = false;
    const waiting = fresh.opened().then(() => (done = true));
    await fresh.wake();
    expect(done).toBe(false);
    await opened(fresh);
    await waiting;
    expect(done).toBe(true);
    await fresh.opened();
  });
  it('tells apart what another core answered of the same case', async () => {
    const old = revision();
    const { 'load.torque': torque, ...others } = old.result.figures;
    if (!torque) expect.fail('no torque');
    const result = { ...old.result, figures: { ...others, 'load.torque': { ...torque, text: '7 N·m', value: 7 } } };
    const earlier = { ...old, result, coreVersion: '0.0.9' };
    vi.stubGlobal('fetch', async (url: string) => Response.json(url.includes('revisions/') ? earlier : []));
    const fresh = new Desk('s1', headOf(earlier), 'Blower');
    await fresh.bringShelf('p1', []);
    await vi.waitFor(() => expect(fresh.program).not.toBeNull());
    expect(fresh.program?.figures.map((f) => [f.id, f.before?.text])).toEqual([['load.torque', '7 N·m']]);
    expect(fresh.program).toMatchObject({ choice: null, gone: [], come: [], reworded: [] });
    // The same of this core: nothing is asked, and nothing told.
    expect(desk.program).toBeNull();
  });
  it('starts from the newest revision, saved', () => {
    expect(desk.state).toBe('saved');
    expect(desk.parent).toBe('r1');
    expect(desk.value('load.demand.force')).toBe('160 lbf');
    expect(desk.figure('load.torque')?.value).toBeCloseTo(160 * 4.4482216152605 * 0.3048, 9);
  });
  it('starts a position with nothing but a name as an empty case', () => {
    const bare = new Desk('s2', null, 'Spare bay');
    expect(bare.case).toEqual({ format: 'pilgrim.case/1', practice: 'iec', name: 'Spare bay' });
    expect(bare.parent).toBeNull();
  });
  it('solves on every edit, and keeps what cannot be read with its message', () => {
    desk.set('load.demand.force', '90 kgf');
    expect(desk.state).toBe('edited');
    expect(desk.figure('load.torque')?.value).toBeCloseTo(90 * 9.80665 * 0.3048, 9);
    desk.set('load.demand.force', '90 apples');
    expect(desk.value('load.demand.force')).toBe('90 apples');
    expect(desk.error('load.demand.force')).toContain('write a force');
    // The figure of the pull that was read stands on, and its station waits.
    expect(desk.figure('load.torque')?.value).toBeCloseTo(90 * 9.80665 * 0.3048, 9);
    expect(desk.waiting.get('load')).toEqual(['load.demand.force']);
  });
  it('an edit to the same value is none', () => {
    desk.set('load.demand.force', '160 lbf');
    expect(desk.state).toBe('saved');
  });
});

describe('undo', () => {
  it('takes the letters of one field back at once, fields one by one, and redoes them', () => {
    for (const typed of ['1', '12', '120 lbf']) desk.set('load.demand.force', typed);
    desk.set('load.train.ratio', 25);
    desk.undo();
    expect(desk.value('load.train.ratio')).toBe(20);
    expect(desk.value('load.demand.force')).toBe('120 lbf');
    desk.undo();
    expect(desk.value('load.demand.force')).toBe('160 lbf');
    desk.undo();
    desk.redo();
    desk.redo();
    expect(desk.value('load.demand.force')).toBe('120 lbf');
    expect(desk.value('load.train.ratio')).toBe(25);
  });
  it('a new edit ends what could be redone', () => {
    desk.set('load.train.ratio', 25);
    desk.undo();
    desk.set('load.train.ratio', 30);
    desk.redo();
    expect(desk.value('load.train.ratio')).toBe(30);
  });
  it('adding rows one after another is one step each', () => {
    desk.change('', (d) => Reflect.set(d, 'speed', { profile: [{ hours: 1, flow: 1 }] }));
    desk.change('', (d) => Reflect.set(d, 'speed', { profile: [{ hours: 2, flow: 1 }] }));
    desk.undo();
    expect(desk.value('speed.profile[0].hours')).toBe(1);
  });
});

describe('drafts', () => {
  it('are kept until saved, and brought back with the revision they were made on', async () => {
    desk.set('load.demand.force', '90 kgf');
    await desk.keepDraft();
    expect(drafts.get('s1')).toMatchObject({ parent: 'r1', case: { load: { demand: { force: '90 kgf' } } } });
    const again = await opened(new Desk('s1', headOf(revision()), 'Blower'));
    expect(again.state).toBe('edited');
    expect(again.value('load.demand.force')).toBe('90 kgf');
    expect(again.message).toContain('brought back');
  });
  it('where the browser keeps none, the desk says so and works on', async () => {
    draftsWork = false;
    await desk.wake();
    expect(desk.message).toContain('save often');
    desk.set('load.train.ratio', 25);
    await desk.keepDraft();
    expect(desk.message).toContain('save now');
  });
  it('nothing is kept of a desk without edits', async () => {
    await desk.keepDraft();
    expect(drafts.size).toBe(0);
  });
});

describe('what an edit changed', () => {
  it('undo and redo say what they take back; typing on in one field is one step', async () => {
    expect(desk.undoes).toBeUndefined();
    desk.set('load.demand.force', '170 lbf');
    desk.set('load.demand.force', '175 lbf');
    desk.set('place.altitude', '900 m');
    expect([desk.undoes, desk.redoes]).toEqual(['Altitude', undefined]);
    desk.undo();
    expect([desk.undoes, desk.redoes]).toEqual(['Pull', 'Altitude']);
    desk.undo();
    expect(desk.value('load.demand.force')).toBe('160 lbf');
    desk.redo();
    expect(desk.value('load.demand.force')).toBe('175 lbf');
  });
  it('the answer before it stands beside the answer after it, from its first letter on', async () => {
    const before = desk.result;
    desk.set('load.demand.force', '17 lbf');
    desk.set('load.demand.force', '175 lbf');
    expect(desk.since).toEqual({ result: before, called: 'Pull' });
    expect(desk.result?.figures['load.power']?.value).not.toBe(before?.figures['load.power']?.value);
  });
  it('another state of the case is brought back as one step', async () => {
    desk.replace({ format: 'pilgrim.case/1', practice: 'iec', name: 'Other' }, 'the revision of yesterday');
    expect(desk.case).toEqual({ format: 'pilgrim.case/1', practice: 'iec', name: 'Other' });
    expect(desk.undoes).toBe('the revision of yesterday');
    desk.undo();
    expect(desk.case).toEqual(text);
  });
});

describe('saving', () => {
  it('keeps why it was saved, and both edits where they were put together', async () => {
    desk.set('load.demand.force', '90 kgf');
    server(412, { head: revision(text, { id: 'r9', author: 'other' }) });
    await desk.save('new scale');
    expect(JSON.parse(String(sent[0]?.init.body))).toMatchObject({ note: 'new scale' });
    server(201, revision(withForce('90 kgf'), { id: 'r10' }));
    await desk.keepMine({ ...text, name: 'Blower of both' });
    expect(JSON.parse(String(sent[1]?.init.body))).toMatchObject({ case: { name: 'Blower of both' } });
    expect(desk.undoes).toBe('the edits of other');
  });
  it('names the revision it was based on, takes the new one, and drops the draft', async () => {
    desk.set('load.demand.force', '90 kgf');
    await desk.keepDraft();
    server(201, revision(withForce('90 kgf'), { id: 'r2' }));
    await desk.save();
    expect(sent[0]?.url).toBe('/api/v1/studies/s1/revisions');
    expect(new Headers(sent[0]?.init.headers).get('if-match')).toBe('"r1"');
    expect(desk).toMatchObject({ state: 'saved', parent: 'r2', message: '' });
    expect(drafts.size).toBe(0);
  });
  it('a shelf that changed meanwhile is said, where the server chose otherwise with it', async () => {
    desk.set('load.demand.force', '90 kgf');
    const { choice, ...result } = revision(withForce('90 kgf')).result;
    if (!choice) expect.fail('no choice');
    const other = { ...choice, motor: { ...choice.motor, name: 'Spare of the store' } };
    server(201, revision(withForce('90 kgf'), { id: 'r2', result: { ...result, choice: other } }));
    await desk.save();
    expect(desk.message).toContain('the own shelf has changed');
  });
  it('a first save expects nothing there', async () => {
    const bare = new Desk('s2', null, 'Spare bay');
    bare.set('name', 'x');
    server(201, revision());
    await bare.save();
    expect(new Headers(sent[0]?.init.headers).get('if-match')).toBe('"none"');
  });
  it('an outdated one shows the revision in the way; keeping mine saves on top of it', async () => {
    desk.set('load.demand.force', '90 kgf');
    const theirs = revision(text, { id: 'r9', author: 'other' });
    server(412, { title: 'Somebody saved in between', head: theirs });
    await desk.save();
    expect(desk.state).toBe('failed');
    expect(desk.conflict?.author).toBe('other');
    expect(desk.value('load.demand.force')).toBe('90 kgf');
    server(201, revision(withForce('90 kgf'), { id: 'r10' }));
    await desk.keepMine();
    expect(new Headers(sent[1]?.init.headers).get('if-match')).toBe('"r9"');
    expect(desk).toMatchObject({ state: 'saved', parent: 'r10', conflict: null });
  });
  it('taking theirs drops mine', async () => {
    desk.set('load.demand.force', '90 kgf');
    server(412, { head: revision(text, { id: 'r9' }) });
    await desk.save();
    await desk.takeTheirs('Blower');
    expect(desk).toMatchObject({ state: 'saved', parent: 'r9' });
    expect(desk.value('load.demand.force')).toBe('160 lbf');
  });
  it('what cannot be read is refused with its fields, and nothing typed is lost', async () => {
    desk.set('load.demand.force', 'apples');
    server(422, { errors: [{ path: 'load.demand.force', message: 'no' }] });
    await desk.save();
    expect(desk.message).toContain('Pull cannot be read');
    expect(desk.value('load.demand.force')).toBe('apples');
  });
  it('a server that does not answer leaves the draft', async () => {
    desk.set('load.demand.force', '90 kgf');
    vi.stubGlobal('fetch', async () => {
      throw new TypeError('fetch failed');
    });
    await desk.save();
    expect(desk).toMatchObject({ state: 'failed', parent: 'r1' });
    expect(desk.message).toContain('draft is kept');
  });
  it('an edit made while the server was busy stays an edit', async () => {
    desk.set('load.demand.force', '90 kgf');
    const answer = revision(withForce('90 kgf'), { id: 'r2' });
    vi.stubGlobal('fetch', async () => {
      desk.set('load.demand.force', '95 kgf');
      return new Response(JSON.stringify(answer), { status: 201 });
    });
    await desk.save();
    expect(desk).toMatchObject({ state: 'edited', parent: 'r2' });
    expect(desk.value('load.demand.force')).toBe('95 kgf');
  });
});

describe('a field that cannot be read stops what rests on it', () => {
  const bad = () => {
    desk.set('load.demand.force', '160 furlongs');
    return desk;
  };
  it('the stations that rest on it wait for it, the others go on', async () => {
    expect(desk.waiting.size).toBe(0);
    expect([...bad().waiting.keys()]).toEqual(['load', 'choice', 'start', 'guard', 'drive', 'cost', 'sheet']);
    expect(desk.waiting.get('choice')).toEqual(['load.demand.force']);
    expect(desk.waiting.has('place')).toBe(false);
  });
  it('what stood before stands on there; elsewhere the newest answer shows', async () => {
    const before = desk.result;
    bad().set('place.ambient', '46 degC');
    expect(desk.result?.figures['load.motorTorque']).toEqual(before?.figures['load.motorTorque']);
    expect(desk.result?.choice).toEqual(before?.choice);
    expect(desk.result?.stations.choice).toEqual(before?.stations.choice);
    expect(desk.result?.figures['place.motorDerating']?.value).toBeCloseTo(0.94, 9);
  });
  it('findings of both answers stand worst first', async () => {
    bad().set('place.ambient', '46 degC');
    const levels = desk.result?.findings.map((f) => ['stop', 'caution', 'note'].indexOf(f.level)) ?? [];
    expect(levels.length).toBeGreaterThan(1);
    expect(levels).toEqual(levels.toSorted((a, b) => a - b));
    expect(desk.result?.findings[0]?.level).not.toBe('note');
  });
  it('mended, everything is of the newest answer', async () => {
    const before = desk.result?.figures['load.motorTorque']?.value ?? NaN;
    bad().set('load.demand.force', '320 lbf');
    expect(desk.waiting.size).toBe(0);
    expect(desk.result?.figures['load.motorTorque']?.value).toBeCloseTo(2 * before, 6);
  });
});
