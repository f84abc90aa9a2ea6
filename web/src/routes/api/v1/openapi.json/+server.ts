import { openApi } from '$lib/server/openapi';
import { jsonResponse } from '$lib/server/http';

export const GET = () => jsonResponse(openApi);
