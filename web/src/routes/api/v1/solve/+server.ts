import { readCase, solve } from '@pilgrim/core';
import { answer, jsonResponse, readJsonBody } from '$lib/server/http/http';
import { refuse } from '$lib/server/refusal';

export const POST = ({ request }) =>
  answer(async () => {
    const reading = readCase(await readJsonBody(request));
    if (!reading.ok) throw refuse(422, 'Not a valid case', { errors: reading.errors });
    return jsonResponse(solve(reading.value));
  });
