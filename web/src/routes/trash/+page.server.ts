import { database } from '$lib/server/db/database';
import { listTrash } from '$lib/server/positions/positions';

export const load = async () => ({ positions: await listTrash(await database()) });
