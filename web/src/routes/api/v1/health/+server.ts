import { coreVersion } from '@pilgrim/core';
import { database } from '$lib/server/database';
import { answer, jsonResponse } from '$lib/server/http';

export const GET = () =>
  answer(async () => {
    const sql = await database();
    await sql`select 1`;
    return jsonResponse({ status: 'ok', core: coreVersion });
  });
