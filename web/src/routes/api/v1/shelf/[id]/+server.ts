import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse, parsed, readJsonBody, versionSeen } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { shelfChange } from '$lib/server/http/inputs';
import { changeOnShelf, takeOffShelf, type ShelfWrite } from '$lib/server/shelf/shelf';

/** Writes carry the shelf's version as they saw it, the ETag of the plant's shelf. */
export const PATCH = ({ params, request }) =>
  answer(async () => {
    const seen = versionSeen(request);
    const change = parsed(shelfChange, await readJsonBody(request));
    told(await changeOnShelf(await database(), idOf(params.id), seen, change));
    return jsonResponse(change, 200, { etag: `"${seen + 1}"` });
  });

export const DELETE = ({ params, request }) =>
  answer(async () => {
    const seen = versionSeen(request);
    told(await takeOffShelf(await database(), idOf(params.id), seen));
    return new Response(null, { status: 204 });
  });

function told(write: ShelfWrite): void {
  if (write === 'missing') throw refuse(404, 'It is not on a shelf');
  if (write === 'outdated') throw refuse(412, 'The shelf was changed in between');
}
