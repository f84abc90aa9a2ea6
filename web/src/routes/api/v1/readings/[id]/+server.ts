import { database } from '$lib/server/db/database';
import { answer, idOf, ifMatch } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { dropRound } from '$lib/server/rounds/rounds';

/** A round never changes: what was last seen of it is its id. */
export const DELETE = ({ params, request }) =>
  answer(async () => {
    if (ifMatch(request) !== params.id) throw refuse(412, 'That is another round');
    if (!(await dropRound(await database(), idOf(params.id)))) throw refuse(404, 'There is no such round');
    return new Response(null, { status: 204 });
  });
