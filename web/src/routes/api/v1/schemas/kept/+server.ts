import { keptJsonSchema } from '$lib/server/http/openapi';
import { jsonResponse } from '$lib/server/http/http';

export const GET = () => jsonResponse(keptJsonSchema);
