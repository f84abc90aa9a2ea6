import { database } from '$lib/server/db/database';
import { standInOf } from '$lib/server/drives/drives';
import { addressOf } from '$lib/server/drives/polled';
import { answer, idOf, jsonResponse, parsed, readJsonBody } from '$lib/server/http/http';
import { meterOrder } from '$lib/server/http/inputs';
import { dropLink, keepLink } from '$lib/server/meters/links';
import { findMeter, recordMeter, stopMeter } from '$lib/server/meters/meters';
import { findPosition } from '$lib/server/positions/positions';
import { refuse } from '$lib/server/refusal';

export const GET = ({ params }) => answer(() => Promise.resolve(jsonResponse(findMeter(idOf(params.id)))));

/** Records the meter at the stand-in's input, or at an address; or ends that. */
export const POST = ({ params, request }) =>
  answer(async () => {
    const id = idOf(params.id);
    const asked = parsed(meterOrder, await readJsonBody(request));
    if (asked.do === 'stop') {
      stopMeter(id);
      await dropLink(await database(), id);
      return jsonResponse(null);
    }
    const sql = await database();
    const position = await findPosition(sql, id);
    if (!position || position.deleted) throw refuse(404, 'There is no such position');
    if (asked.address !== undefined) {
      const address = addressOf({ address: asked.address, unit: asked.unit });
      const told = recordMeter(id, address, false);
      await keepLink(sql, id, address);
      return jsonResponse(told, 201);
    }
    const { host, meter } = standInOf(id);
    const told = recordMeter(id, { host, port: meter, unit: 1 }, true);
    await dropLink(sql, id);
    return jsonResponse(told, 201);
  });
