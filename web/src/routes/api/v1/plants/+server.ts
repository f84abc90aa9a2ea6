import { database } from '$lib/server/db/database';
import { answer, jsonResponse } from '$lib/server/http/http';
import { plantsOf } from '$lib/server/shelf/shelf';

export const GET = () => answer(async () => jsonResponse(await plantsOf(await database())));
