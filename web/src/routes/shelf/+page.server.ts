import { nameplate } from '@pilgrim/core';
import { database } from '$lib/server/db/database';
import { plantsOf, shelfOf } from '$lib/server/shelf/shelf';
import { combinationsOf } from '$lib/server/shelf/combinations';
import { shelfLines } from '$lib/server/shelf/lines';

export const load = async ({ url }) => {
  const sql = await database();
  const plants = await plantsOf(sql);
  const plant = plants.find((p) => p.id === url.searchParams.get('plant')) ?? plants[0];
  const told = (list: readonly nameplate.ListColumn[]) =>
    list.map(({ key, label, needed }) => ({ key, label, needed: needed === true }));
  const tested = plant ? await combinationsOf(sql, plant.id) : [];
  return {
    ...{ plants, plant },
    columns: told(nameplate.listColumns),
    combinationColumns: told(nameplate.combinationColumns),
    tables: [...new Set(tested.map((c) => c.table))].map((name) => ({
      name,
      rows: tested.filter((c) => c.table === name).length,
    })),
    motors: plant ? shelfLines(await shelfOf(sql, plant.id)) : [],
  };
};
