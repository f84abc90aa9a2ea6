import type { Board } from '@pilgrim/core';
import type { Sql } from '$lib/server/db/database';
import { sharedShelf, type Plant } from '$lib/server/shelf/shelf';
import { addUpBoard } from '$lib/server/solving/pool';

export interface NamedBoard extends Board {
  readonly name: string;
}

/** So many boards of a plant are added up at once. */
export const mostBoards = 50;

/** The boards that saved positions of a plant name in `guard.board.name`, each added up; by name. */
export async function boardsOf(sql: Sql, plant: Plant): Promise<NamedBoard[]> {
  const rows = await sql<{ board: string; id: string; tag: string; name: string; given: unknown }[]>`
    select trim(r.case_text #>> '{guard,board,name}') as board, p.id, p.tag, p.name, r.case_text as given
    from positions p join areas a on a.id = p.area_id
    join studies s on s.position_id = p.id join revisions r on r.id = s.head
    where a.plant_id = ${plant.id} and p.deleted_at is null
      and trim(coalesce(r.case_text #>> '{guard,board,name}', '')) <> ''
    order by board, p.tag`;
  const names = [...new Set(rows.map((r) => r.board))].slice(0, mostBoards);
  const shelf = await sharedShelf(sql, plant);
  return Promise.all(
    names.map(async (name) => {
      const members = rows.filter((r) => r.board === name).map(({ board: _board, ...of }) => of);
      return { name, ...(await addUpBoard({ shelf, members })) };
    }),
  );
}
