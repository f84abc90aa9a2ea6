import { isStation, stationNames, type StationName } from '@pilgrim/core/vocabulary';
import { z } from 'zod';
import type { PendingQuery, Row } from 'postgres';
import type { Sql } from '$lib/server/db/database';
import { refuse } from '$lib/server/refusal';
import { rowStates, type PlantPage, type PlantRow } from '$lib/plant/rows';

const sorts = ['area', 'tag', 'name', 'machine', 'choice', 'state', 'open', 'cost'] as const;
type SortBy = (typeof sorts)[number];

/** A page of the plant list: what is looked for, in which order, and after which row. */
export const plantQuery = z.object({
  find: z.string().trim().max(200).default(''),
  /** A state; `draft` with the studies that have one. */
  show: z.enum(['', ...rowStates, 'draft']).default(''),
  studies: z
    .string()
    .default('')
    .transform((ids) => ids.split(',').filter((id) => z.uuid().safeParse(id).success)),
  by: z.enum(sorts).default('area'),
  way: z.enum(['asc', 'desc']).default('asc'),
  after: z.string().max(2000).default(''),
  limit: z.coerce.number().int().min(1).max(500).default(100),
});
export type PlantQuery = z.output<typeof plantQuery>;

/** A row's place in its order: value of the key, tag, id. */
const cursor = z.tuple([z.union([z.string(), z.number()]), z.string(), z.uuid()]);

const ofCursor = (after: z.output<typeof cursor>): string => Buffer.from(JSON.stringify(after)).toString('base64url');
function asCursor(text: string): z.output<typeof cursor> {
  try {
    return cursor.parse(JSON.parse(Buffer.from(text, 'base64url').toString('utf8')));
  } catch {
    throw refuse(400, 'after is no place in this list: take it from next of the page before');
  }
}

interface Found extends Omit<PlantRow, 'state' | 'open' | 'machine' | 'worst'> {
  readonly key: string | number;
  readonly total: number;
  readonly state: number;
  readonly stations: Readonly<Record<string, { readonly state: string }>> | null;
  readonly machine: string | null;
  readonly worst: { readonly level: string; readonly text: string } | null;
}

type Fragment = PendingQuery<Row[]>;

const amounts: readonly SortBy[] = ['state', 'open', 'cost'];
/** What a position has without its revision. */
const ofPosition: readonly SortBy[] = ['area', 'tag', 'name'];

/**
 * So many positions, sorted and filtered in the database, and the place after the last; `total`: how many there are.
 * Refused where `after` is no place.
 */
export async function plantPage(sql: Sql, query: PlantQuery): Promise<PlantPage> {
  const choice = sql`case when r.chosen_method is not null
    then concat_ws(' · ', r.chosen_power, r.chosen_enclosure, r.chosen_method) end`;
  const words = (of: Fragment): Fragment => sql`coalesce(${of}, '') collate by_number`;
  const keys: Readonly<Record<SortBy, Fragment>> = {
    area: words(sql`a.place || ' ' || a.name`),
    tag: words(sql`p.tag`),
    name: words(sql`p.name`),
    machine: words(sql`r.machine`),
    choice: words(choice),
    state: sql`coalesce(r.state_rank, 2)::double precision`,
    // A name and nothing else has all of its stations open.
    open: sql`coalesce(r.open_stations, 10)::double precision`,
    cost: sql`coalesce(r.energy_cost, -1)`,
  };
  const wanted =
    query.show === 'draft'
      ? sql`and s.id = any(${query.studies})`
      : query.show === ''
        ? sql``
        : sql`and coalesce(r.state_rank, 2) = ${rowStates.indexOf(query.show)}`;
  const named =
    query.find === ''
      ? sql``
      : sql`and strpos(lower(concat_ws(' ', p.tag, p.name, a.name, r.machine, translate(r.machine, '-', ' '),
          ${choice})), lower(${query.find})) > 0`;
  const [down, beyond] = query.way === 'desc' ? [sql`desc`, sql`<`] : [sql`asc`, sql`>`];
  const after = query.after === '' ? undefined : asCursor(query.after);
  const key = after && (amounts.includes(query.by) ? sql`${Number(after[0])}::float8` : sql`${String(after[0])}::text`);
  const later =
    after && key ? sql`(f.key, f.tag, f.id) ${beyond} (${key}, ${after[1]}::text, ${after[2]}::uuid)` : sql`true`;
  // Revisions of all positions are looked at only where what is asked rests on them.
  const study = sql`
    join lateral (select id, head from studies where position_id = p.id order by nth limit 1) s on true`;
  const resting = query.find !== '' || query.show !== '' || !ofPosition.includes(query.by);
  const rows = await sql<Found[]>`
    with found as (
      select p.id, p.tag collate by_number as tag, ${keys[query.by]} as key, count(*) over ()::int as total
      from positions p join areas a on a.id = p.area_id
      ${resting ? sql`${study} left join revisions r on r.id = s.head` : sql``}
      where p.deleted_at is null ${wanted} ${named}
    ),
    page as (
      select * from found f where ${later} order by f.key ${down}, f.tag ${down}, f.id ${down} limit ${query.limit + 1}
    )
    select f.id, s.id as "studyId", f.tag, p.name, a.name as area, f.key, f.total, r.machine, ${choice} as choice,
      coalesce(r.state_rank, 2)::int as state, r.stations, r.currency, r.energy_cost as cost,
      jsonb_build_object('level', r.worst -> 'level', 'text', r.worst -> 'text') as worst,
      exists (
        select from positions o join areas oa on oa.id = o.area_id
        where o.tag = p.tag and o.id <> p.id and o.deleted_at is null and oa.plant_id = a.plant_id) as twice
    from page f join positions p on p.id = f.id join areas a on a.id = p.area_id
    ${study} left join revisions r on r.id = s.head
    order by f.key ${down}, f.tag ${down}, f.id ${down}`;
  const shown = rows.slice(0, query.limit);
  const last = shown.at(-1);
  return {
    rows: shown.map(rowOf),
    total: rows[0]?.total ?? 0,
    next: last && rows.length > shown.length ? ofCursor([last.key, last.tag, last.id]) : null,
  };
}

function rowOf({ key: _key, total: _total, stations, state, worst, ...row }: Found): PlantRow {
  const open =
    stations &&
    Object.keys(stationNames).filter((id) => stations[id]?.state === 'empty' || stations[id]?.state === 'waits');
  return {
    ...row,
    state: rowStates[state] ?? 'empty',
    open: open?.filter((id): id is StationName => isStation(id)) ?? null,
    worst: worst?.level ? worst : null,
  };
}

/** What the plant's page says beside its rows: the plant's name, its areas, and how many lie in the trash. */
export async function plantHead(
  sql: Sql,
): Promise<{ readonly plant: string | null; readonly areas: readonly string[]; readonly trashed: number }> {
  const [head] = await sql<{ plant: string | null; areas: string[]; trashed: number }[]>`
    select
      (select pl.name from plants pl join areas a on a.plant_id = pl.id join positions p on p.area_id = a.id
        where p.deleted_at is null order by a.place, a.name limit 1) as plant,
      array(select name from areas group by name order by min(place), name limit 200) as areas,
      (select count(*)::int from positions where deleted_at is not null) as trashed`;
  return head ?? { plant: null, areas: [], trashed: 0 };
}
