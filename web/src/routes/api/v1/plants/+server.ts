import { database } from '$lib/server/database';
import { answer, jsonResponse } from '$lib/server/http';
import { plantsOf } from '$lib/server/shelf';

export const GET = () => answer(async () => jsonResponse(await plantsOf(await database())));
