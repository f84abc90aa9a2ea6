import { choiceInWords, nameplate, readKept, type CaseText, type Kept } from '@pilgrim/core';
import type { TransactionSql } from 'postgres';
import type { Sql } from '$lib/server/db/database';
import { refuse } from '$lib/server/refusal';
import { plantOfStudy, sharedShelf, type Plant } from '$lib/server/shelf/shelf';
import { inOrder, keepCase, type Lane } from '$lib/server/solving/pool';
import type { SolveTask } from '$lib/server/solving/worker';

/** Anything that runs SQL: the pool or one transaction. */
type Runner = Sql | TransactionSql;

export interface PositionRow {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
  readonly area: string;
  readonly plant: string;
  readonly plantId: string;
  readonly version: number;
  readonly deleted: boolean;
  readonly studyId: string;
}

export interface PositionListed extends PositionRow {
  readonly machine: string | null;
  readonly practice: string | null;
  readonly choice: string | null;
  readonly stations: Kept['stations'] | null;
  readonly worst: { readonly level: string; readonly id: string; readonly text: string } | null;
  readonly savedMoney: string | null;
  readonly newEnergy: number | null;
  readonly currency: string | null;
  readonly energyPrice: number | null;
}

export interface Revision {
  readonly id: string;
  readonly studyId: string;
  readonly parent: string | null;
  readonly caseText: CaseText;
  readonly result: Kept;
  readonly coreVersion: string;
  readonly author: string;
  readonly note: string;
  readonly createdAt: string;
}

export interface RevisionListed extends Pick<Revision, 'id' | 'author' | 'note' | 'createdAt' | 'coreVersion'> {
  readonly choice: string | null;
}

export interface Study {
  readonly id: string;
  readonly positionId: string;
  readonly name: string;
  readonly head: string | null;
}

/** Every position that is not in the trash, by area, with what its newest revision says. */
export async function listPositions(sql: Sql): Promise<PositionListed[]> {
  return sql<PositionListed[]>`
    select p.id, p.tag, p.name, a.name as area, pl.name as plant, pl.id as "plantId", p.version,
      false as deleted, s.id as "studyId",
      r.machine, r.practice, r.currency, r.stations, r.worst,
      case when r.chosen_method is not null
        then concat_ws(' · ', r.chosen_power, r.chosen_enclosure, r.chosen_method) end as choice,
      r.saved_money as "savedMoney", r.new_energy::float as "newEnergy", r.energy_price::float as "energyPrice"
    from positions p
    join areas a on a.id = p.area_id
    join plants pl on pl.id = a.plant_id
    join lateral (select * from studies where position_id = p.id order by nth limit 1) s on true
    left join revisions r on r.id = s.head
    where p.deleted_at is null
    order by a.place, a.name, p.tag`;
}

/** The plant list as a sheet: a line of headings, then each position with its plate and what its revision answers. */
export async function positionsSheet(sql: Sql): Promise<(string | number)[][]> {
  const cases = await sql<{ id: string; caseText: CaseText }[]>`
    select s.position_id as id, r.case_text as "caseText" from studies s join revisions r on r.id = s.head`;
  const textOf = new Map(cases.map((c) => [c.id, c.caseText]));
  const rows = (await listPositions(sql)).map((p) => [
    ...nameplate.positionCells({ ...p, case: textOf.get(p.id) ?? { format: 'pilgrim.case/1', practice: 'iec' } }),
    p.choice ?? '',
    p.worst ? `${p.worst.level}: ${p.worst.text}` : '',
    p.newEnergy === null ? '' : Math.round(p.newEnergy),
    p.newEnergy === null || p.energyPrice === null ? '' : Math.round(p.newEnergy * p.energyPrice),
    p.currency ?? '',
  ]);
  const answers = ['Standing choice', 'Worst finding', 'Energy a year (kWh)', 'Cost of it a year', 'Currency'];
  return [[...nameplate.positionColumns.map((c) => c.label), ...answers], ...rows];
}

export async function findPosition(sql: Runner, id: string): Promise<PositionRow | undefined> {
  const [row] = await sql<PositionRow[]>`
    select p.id, p.tag, p.name, a.name as area, pl.name as plant, pl.id as "plantId", p.version,
      p.deleted_at is not null as deleted, s.id as "studyId"
    from positions p
    join areas a on a.id = p.area_id
    join plants pl on pl.id = a.plant_id
    join lateral (select * from studies where position_id = p.id order by nth limit 1) s on true
    where p.id = ${id}`;
  return row;
}

export interface NewPosition {
  readonly id?: string;
  readonly tag: string;
  readonly name: string;
  readonly area: string;
  readonly plant: string;
}

/** A new position with one empty study; its area and plant are made where they do not exist. */
export async function createPosition(sql: Sql, given: NewPosition): Promise<string> {
  return sql.begin(async (tx) => {
    const id = given.id ?? crypto.randomUUID();
    const area = await areaId(tx, given);
    await tx`insert into positions (id, area_id, tag, name) values (${id}, ${area}, ${given.tag}, ${given.name})`;
    await tx`insert into studies (id, position_id, name) values (${crypto.randomUUID()}, ${id}, 'Main')`;
    return id;
  });
}

async function areaId(tx: TransactionSql, { plant, area }: Pick<NewPosition, 'plant' | 'area'>): Promise<string> {
  const [known] = await tx<{ id: string }[]>`
    insert into plants (id, name) values (${crypto.randomUUID()}, ${plant})
    on conflict (name) do update set name = excluded.name
    returning id`;
  if (!known) throw new Error('plant not made');
  const plantId = known.id;
  const [row] = await tx<{ id: string }[]>`
    insert into areas (id, plant_id, name, place)
    values (${crypto.randomUUID()}, ${plantId}, ${area}, (select count(*) from areas where plant_id = ${plantId}))
    on conflict (plant_id, name) do update set name = excluded.name
    returning id`;
  if (!row) throw new Error('area not made');
  return row.id;
}

/**
 * Positions of a list, each with its case solved and saved as its first revision: all of them or none. `progress` is
 * told how many are solved; others are served between.
 */
export async function addPositions(
  sql: Sql,
  plant: Plant,
  rows: readonly nameplate.PositionRow[],
  progress: (done: number) => void,
): Promise<void> {
  const shelf = await sharedShelf(sql, plant);
  const kept: KeptText[] = [];
  const ask = (row: nameplate.PositionRow): Promise<KeptText> =>
    solvedCase({ given: row.case, from: { shelf, own: [row.tag, row.name] } }, 'others');
  for await (const one of inOrder(rows, ask)) {
    kept.push(one);
    progress(kept.length);
  }
  await sql.begin(async (tx) => {
    for (const [i, row] of rows.entries()) {
      const result = kept[i];
      if (!result) throw new Error('a row was not solved');
      const [id, studyId, revision] = [crypto.randomUUID(), crypto.randomUUID(), crypto.randomUUID()];
      const area = await areaId(tx, { plant: plant.name, area: row.area });
      await tx`insert into positions (id, area_id, tag, name) values (${id}, ${area}, ${row.tag}, ${row.name})`;
      await tx`insert into studies (id, position_id, name) values (${studyId}, ${id}, 'Main')`;
      await insertRevision(tx, {
        id: revision,
        studyId,
        parent: null,
        caseText: row.case,
        result,
        author: 'list',
        note: 'From a list',
      });
      await tx`update studies set head = ${revision} where id = ${studyId}`;
    }
  });
}

/** Tags of a plant's positions that are not in the trash. */
export async function tagsOf(sql: Sql, plantId: string): Promise<ReadonlySet<string>> {
  const rows = await sql<{ tag: string }[]>`
    select p.tag from positions p join areas a on a.id = p.area_id
    where a.plant_id = ${plantId} and p.deleted_at is null`;
  return new Set(rows.map((r) => r.tag));
}

/** Renames a position if it is still at the version the caller saw. */
export async function changePosition(
  sql: Sql,
  id: string,
  version: number,
  change: { tag?: string; name?: string },
): Promise<boolean> {
  const done = await sql`
    update positions set tag = coalesce(${change.tag ?? null}, tag), name = coalesce(${change.name ?? null}, name),
      version = version + 1
    where id = ${id} and version = ${version} and deleted_at is null`;
  return done.count === 1;
}

export interface Trashed {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
  readonly area: string;
  readonly version: number;
  readonly deletedAt: string;
  readonly revisions: number;
}
/** What lies in the trash, newest first. */
export async function listTrash(sql: Sql): Promise<Trashed[]> {
  return sql<Trashed[]>`
    select p.id, p.tag, p.name, a.name as area, p.version, p.deleted_at as "deletedAt",
      (select count(*)::int from revisions r join studies s on s.id = r.study_id where s.position_id = p.id)
        as revisions
    from positions p
    join areas a on a.id = p.area_id
    where p.deleted_at is not null
    order by p.deleted_at desc`;
}

/** Moves a position whole into the trash, or back out of it. */
export async function setDeleted(sql: Sql, id: string, version: number, deleted: boolean): Promise<boolean> {
  const done = await sql`
    update positions set deleted_at = ${deleted ? sql`now()` : null}, version = version + 1
    where id = ${id} and version = ${version}`;
  return done.count === 1;
}

export async function findStudy(sql: Runner, id: string): Promise<Study | undefined> {
  const [row] = await sql<Study[]>`select id, position_id as "positionId", name, head from studies where id = ${id}`;
  return row;
}

export async function studiesOf(sql: Runner, positionId: string): Promise<Study[]> {
  return sql<
    Study[]
  >`select id, position_id as "positionId", name, head from studies where position_id = ${positionId} order by nth`;
}

export async function createStudy(sql: Sql, positionId: string, name: string): Promise<string> {
  const id = crypto.randomUUID();
  await sql`insert into studies (id, position_id, name) values (${id}, ${positionId}, ${name})`;
  return id;
}

const revisionColumns = (sql: Runner) => sql`
  id, study_id as "studyId", parent, case_text as "caseText", result, core_version as "coreVersion", author, note,
  created_at as "createdAt"`;

export interface HeadRow extends Pick<Revision, 'id' | 'caseText' | 'author' | 'note' | 'createdAt' | 'coreVersion'> {
  readonly stations: Kept['stations'];
  /** In words; null where nothing was chosen. */
  readonly choice: string | null;
}

/** A study's newest revision without what it answered, but for its stations and choice; null where there is none. */
export async function findHead(sql: Runner, studyId: string): Promise<HeadRow | null> {
  const [row] = await sql<(Omit<HeadRow, 'choice'> & { readonly choice: Kept['choice'] })[]>`
    select r.id, r.case_text as "caseText", r.author, r.note, r.created_at as "createdAt",
      r.core_version as "coreVersion", r.stations, r.result -> 'choice' as choice
    from studies s join revisions r on r.id = s.head where s.id = ${studyId}`;
  if (!row) return null;
  const choice = row.choice && choiceInWords(row.choice);
  return { ...row, choice, createdAt: new Date(row.createdAt).toISOString() };
}

export async function findRevision(sql: Runner, id: string): Promise<Revision | undefined> {
  const [row] = await sql<Revision[]>`select ${revisionColumns(sql)} from revisions where id = ${id}`;
  return row;
}

export async function revisionsOf(sql: Runner, studyId: string): Promise<Revision[]> {
  return sql<
    Revision[]
  >`select ${revisionColumns(sql)} from revisions where study_id = ${studyId} order by created_at desc, id`;
}

/** A study's revisions as a list shows them, newest first. */
export async function revisionsListed(sql: Runner, studyId: string): Promise<RevisionListed[]> {
  return sql<RevisionListed[]>`
    select id, author, note, created_at as "createdAt", core_version as "coreVersion",
      case when chosen_method is not null then concat_ws(', ', chosen_name, chosen_method) end as choice
    from revisions where study_id = ${studyId} order by created_at desc, id`;
}

export interface NewRevision {
  readonly id?: string;
  readonly caseText: CaseText;
  readonly author: string;
  readonly note: string;
}

export type Saved =
  { readonly ok: true; readonly revision: Revision } | { readonly ok: false; readonly head: Revision | undefined };

/**
 * Solves a case with this core and its plant's shelf, and keeps it as the study's newest revision, if `parent` still
 * is its head.
 */
export async function saveRevision(
  sql: Sql,
  studyId: string,
  parent: string | null,
  given: NewRevision,
): Promise<Saved> {
  const plant = await plantOfStudy(sql, studyId);
  const from = plant && { shelf: await sharedShelf(sql, plant), own: plant.own };
  const result = await solvedCase({ given: given.caseText, ...(from ? { from } : {}) }, 'saves');
  return sql.begin(async (tx): Promise<Saved> => {
    const [study] = await tx<{ head: string | null; deleted: boolean }[]>`
      select s.head, p.deleted_at is not null as deleted
      from studies s join positions p on p.id = s.position_id where s.id = ${studyId} for update of s`;
    if (study?.deleted) throw refuse(409, 'This position is in the trash: bring it back first');
    if (!study || study.head !== parent) {
      return { ok: false, head: study?.head ? await findRevision(tx, study.head) : undefined };
    }
    const { caseText, author, note } = given;
    const createdAt = new Date().toISOString();
    const kept = { id: given.id ?? crypto.randomUUID(), studyId, parent, caseText, author, note, createdAt };
    await insertRevision(tx, { ...kept, result });
    await tx`update studies set head = ${kept.id} where id = ${studyId}`;
    const revision = { ...kept, result: JSON.parse(result.json) as Kept, coreVersion: result.core };
    return { ok: true, revision };
  });
}

/** What is kept of a result as JSON, and the core that solved it. */
export interface KeptText {
  readonly json: string;
  readonly core: string;
}

/** Solves a case as a revision keeps it; refused, with its paths, where it cannot be read. */
async function solvedCase(task: SolveTask, lane: Lane): Promise<KeptText> {
  const solved = await keepCase(task, lane);
  if (!solved.ok) throw refuse(422, 'Not a valid case', { errors: solved.errors });
  return { json: solved.result, core: solved.core };
}

export async function insertRevision(
  tx: TransactionSql,
  r: Omit<Revision, 'createdAt' | 'result' | 'coreVersion'> & {
    readonly result: KeptText;
    readonly createdAt?: string;
  },
): Promise<void> {
  await tx`
    insert into revisions (id, study_id, parent, case_text, result, core_version, author, note, created_at, lean)
    values (${r.id}, ${r.studyId}, ${r.parent}, ${JSON.stringify(r.caseText)}::text::jsonb,
      ${r.result.json}::text::jsonb, ${r.result.core}, ${r.author}, ${r.note},
      ${r.createdAt ?? new Date().toISOString()}, true)`;
}

/**
 * Makes lean what earlier versions kept whole, some at a time. A result that nobody can read any more stays as it is.
 */
export async function makeLean(sql: Sql): Promise<void> {
  const some = 50;
  for (;;) {
    const rows = await sql<{ id: string; result: unknown }[]>`
      select id, result from revisions where not lean limit ${some}`;
    for (const { id, result } of rows)
      await sql`update revisions set lean = true,
        result = ${JSON.stringify(readKept(result) ?? result)}::text::jsonb where id = ${id}`;
    if (rows.length < some) return;
  }
}

export { areaId };
