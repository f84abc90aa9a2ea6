import { database } from '$lib/server/db/database';
import { answer, jsonResponse, parsed } from '$lib/server/http/http';
import { plantPage, plantQuery } from '$lib/server/positions/plantList';

/** A page of the plant list, found, sorted and filtered; `next` of one is `after` of the next. */
export const GET = ({ url }) =>
  answer(async () => {
    const query = parsed(plantQuery, Object.fromEntries(url.searchParams));
    return jsonResponse(await plantPage(await database(), query));
  });
