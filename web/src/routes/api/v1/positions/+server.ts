import { stringify } from 'csv-stringify/sync';
import writeSheet from 'write-excel-file/node';
import { database } from '$lib/server/db/database';
import { answer, jsonResponse, parsed, readJsonBody, sheetType } from '$lib/server/http/http';
import { newPosition } from '$lib/server/http/inputs';
import { createPosition, findPosition, listPositions, positionsSheet } from '$lib/server/positions/positions';

/** The plant list: JSON, or with `?as=csv` or `?as=xlsx` a sheet that can be brought back as a list. */
export const GET = ({ url }) =>
  answer(async () => {
    const sql = await database();
    const as = url.searchParams.get('as');
    if (as !== 'csv' && as !== 'xlsx') return jsonResponse(await listPositions(sql));
    const rows = await positionsSheet(sql);
    const file =
      as === 'csv' ? stringify(rows, { escape_formulas: true, bom: true }) : await writeSheet(rows).toBuffer();
    return new Response(typeof file === 'string' ? file : new Uint8Array(file), {
      headers: {
        'content-type': as === 'csv' ? 'text/csv; charset=utf-8' : sheetType,
        'content-disposition': `attachment; filename="plant-list.${as}"`,
      },
    });
  });

export const POST = ({ request }) =>
  answer(async () => {
    const given = parsed(newPosition, await readJsonBody(request));
    const sql = await database();
    const id = await createPosition(sql, given);
    return jsonResponse(await findPosition(sql, id), 201, { location: `/api/v1/positions/${id}`, etag: '"1"' });
  });
