import { database } from '$lib/server/db/database';
import { answer, idOf, ifMatch } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { dropPhotograph, photographContent } from '$lib/server/photographs/photographs';

export const GET = ({ params }) =>
  answer(async () => {
    const found = await photographContent(await database(), idOf(params.id));
    if (!found) throw refuse(404, 'There is no such photograph');
    return new Response(new Uint8Array(found.content), {
      headers: {
        'content-type': found.type,
        etag: `"${params.id}"`,
        'cache-control': 'private, max-age=31536000, immutable',
        'content-security-policy': "default-src 'none'",
      },
    });
  });

/** A photograph never changes: what was last seen of it is its id. */
export const DELETE = ({ params, request }) =>
  answer(async () => {
    if (ifMatch(request) !== params.id) throw refuse(412, 'That is another photograph');
    if (!(await dropPhotograph(await database(), idOf(params.id)))) throw refuse(404, 'There is no such photograph');
    return new Response(null, { status: 204 });
  });
