import { driveOf, order } from '$lib/server/drives/drives';
import { answer, idOf, jsonResponse, parsed, readJsonBody } from '$lib/server/http/http';
import { driveOrder } from '$lib/server/http/inputs';

export const POST = ({ params, request }) =>
  answer(async () => {
    const link = driveOf(idOf(params.id));
    const settings = await order(link, parsed(driveOrder, await readJsonBody(request)));
    return jsonResponse({ settings, writes: link.told.writes, link: link.told.link });
  });
