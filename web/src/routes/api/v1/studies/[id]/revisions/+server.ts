import { database } from '$lib/server/db/database';
import { answer, idOf, jsonResponse, parsed, readJsonBody, revisionSeen } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';
import { newRevision } from '$lib/server/http/inputs';
import { findStudy, revisionsOf, saveRevision } from '$lib/server/positions/positions';

export const GET = ({ params }) =>
  answer(async () => jsonResponse(await revisionsOf(await database(), idOf(params.id))));

/**
 * A save: the case is solved here and kept, if the study's head still is what If-Match names ("none" for a first
 * save).
 */
export const POST = ({ params, request }) =>
  answer(async () => {
    const studyId = idOf(params.id);
    const seen = revisionSeen(request);
    const given = parsed(newRevision, await readJsonBody(request));
    const sql = await database();
    if (!(await findStudy(sql, studyId))) throw refuse(404, 'There is no such study');
    const saved = await saveRevision(sql, studyId, seen, {
      caseText: given.case,
      author: given.author,
      note: given.note,
    });
    if (!saved.ok) throw refuse(412, 'Somebody saved in between', { head: saved.head });
    return jsonResponse(saved.revision, 201, { etag: `"${saved.revision.id}"` });
  });
