import { database } from '$lib/server/database';
import { listPositions } from '$lib/server/positions';

export const load = async () => ({ positions: await listPositions(await database()) });
