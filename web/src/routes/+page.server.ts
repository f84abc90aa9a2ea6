import { database } from '$lib/server/db/database';
import { listPositions } from '$lib/server/positions/positions';

export const load = async () => ({ positions: await listPositions(await database()) });
