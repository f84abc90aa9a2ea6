import { nameplate } from '@pilgrim/core';
import { database } from '$lib/server/db/database';
import { plantsOf, shelfOf } from '$lib/server/shelf/shelf';
import { shelfLines } from '$lib/server/shelf/lines';

export const load = async ({ url }) => {
  const sql = await database();
  const plants = await plantsOf(sql);
  const plant = plants.find((p) => p.id === url.searchParams.get('plant')) ?? plants[0];
  const columns = nameplate.listColumns.map((c) => ({ key: c.key, label: c.label, needed: 'needed' in c }));
  return { plants, plant, columns, motors: plant ? shelfLines(await shelfOf(sql, plant.id)) : [] };
};
