import { nameplate } from '@pilgrim/core';
import { database } from '$lib/server/db/database';
import { plantsOf } from '$lib/server/shelf/shelf';

export const load = async () => ({
  plants: await plantsOf(await database()),
  columns: nameplate.positionColumns.map(({ key, label, needed }) => ({ key, label, needed: needed === true })),
});
