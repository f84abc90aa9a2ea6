import { database } from '$lib/server/db/database';
import { boardsOf } from '$lib/server/positions/boards';
import { plantsOf } from '$lib/server/shelf/shelf';

export const load = async ({ url }) => {
  const sql = await database();
  const plants = await plantsOf(sql);
  const plant = plants.find((p) => p.id === url.searchParams.get('plant')) ?? plants[0];
  return { plants, plant, boards: plant ? await boardsOf(sql, plant) : [] };
};
