import { coreVersion } from '@pilgrim/core';
import { database } from '$lib/server/db/database';
import { answer, jsonResponse } from '$lib/server/http/http';

export const GET = () =>
  answer(async () => {
    const sql = await database();
    await sql`select 1`;
    return jsonResponse({ status: 'ok', core: coreVersion });
  });
