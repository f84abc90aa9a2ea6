import { database } from '$lib/server/db/database';
import { listPositions, listTrash } from '$lib/server/positions/positions';

export const load = async () => {
  const sql = await database();
  const [positions, trash] = await Promise.all([listPositions(sql), listTrash(sql)]);
  return { positions, trashed: trash.length };
};
