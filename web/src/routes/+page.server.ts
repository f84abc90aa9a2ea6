import { database } from '$lib/server/db/database';
import { parsed } from '$lib/server/http/http';
import { plantHead, plantPage, plantQuery } from '$lib/server/positions/plantList';
import { Refusal } from '$lib/server/refusal';
import { error } from '@sveltejs/kit';

/** Rows that come with the page; more are fetched when it stands. */
const first = 20;

export const load = async ({ url }) => {
  const sql = await database();
  const query = (() => {
    try {
      return parsed(plantQuery, { ...Object.fromEntries(url.searchParams), after: '', limit: first });
    } catch (refused) {
      if (refused instanceof Refusal) error(400, 'The list cannot be asked so');
      throw refused;
    }
  })();
  const [page, head] = await Promise.all([plantPage(sql, query), plantHead(sql)]);
  const { find, show, by, way } = query;
  return { ...head, page, asked: { find, show, by, way } };
};
