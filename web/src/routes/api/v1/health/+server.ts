import { coreVersion } from '@pilgrim/core';
import { jsonResponse } from '$lib/server/http/http';

/** Alive; whether the database is there is told by `ready`. Waits for nothing. */
export const GET = () => jsonResponse({ status: 'ok', core: coreVersion });
