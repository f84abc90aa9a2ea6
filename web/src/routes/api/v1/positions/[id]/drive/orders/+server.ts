import { closeDrive, driveOf, order } from '$lib/server/drives/drives';
import { answer, idOf, jsonResponse, parsed, readJsonBody } from '$lib/server/http/http';
import { driveOrder } from '$lib/server/http/inputs';

export const POST = ({ params, request }) =>
  answer(async () => {
    const id = idOf(params.id);
    const link = driveOf(id);
    const asked = parsed(driveOrder, await readJsonBody(request));
    if (asked.do === 'drop') {
      await closeDrive(id);
      return jsonResponse({ settings: null, writes: false, link: 'cut' });
    }
    const settings = await order(link, asked);
    return jsonResponse({ settings, writes: link.told.writes, link: link.told.link });
  });
