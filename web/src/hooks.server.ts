import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';
import { config } from '$lib/server/db/config';
import { closeDatabase, renew } from '$lib/server/db/database';
import { isLateWrite, isLost, lostHeaders, lostProblem } from '$lib/server/db/lost';
import { heldAlready, lostResponse, ofApi, problemResponse, unchanged, zipped } from '$lib/server/http/http';
import { log } from '$lib/server/http/log';
import { closeDrives } from '$lib/server/drives/drives';
import { resumeMeters, stopMeters } from '$lib/server/meters/meters';
import { closePool, warmPool } from '$lib/server/solving/pool';

/**
 * The driver throws a late write outside of any promise, and a transaction that is given up refuses what nobody waits
 * for any more: neither must end everybody's server. (A rejection nobody caught comes here too.)
 */
process.on('uncaughtException', (error) => {
  if (isLost(error)) {
    log.warn(error);
    if (isLateWrite(error)) renew();
    return;
  }
  log.fatal(error);
  process.exit(1);
});
process.on('sveltekit:shutdown', () => void Promise.all([closeDatabase(), closePool(), closeDrives(), stopMeters()]));

/** Nobody waits for it: requests are answered meanwhile. */
export const init: ServerInit = () => {
  void warmPool().catch((error: unknown) => log.error(error));
  void resumeMeters().catch((error: unknown) => log.error(error));
};

const writes = new Set(['POST', 'PUT', 'PATCH', 'DELETE']);

/** Hosts this server answers to; another name in Host would be a rebound address. */
const hosts = new Set([config.host, '127.0.0.1', 'localhost', '[::1]'].flatMap((h) => [h, `${h}:${config.port}`]));

export const handle: Handle = async (given) => {
  const { request, url } = given.event;
  const id = crypto.randomUUID();
  const from = performance.now();
  const response = await handled(given);
  response.headers.set('x-request-id', id);
  const took = Math.round(performance.now() - from);
  log.info({ id, method: request.method, path: url.pathname, status: response.status, ms: took }, 'request');
  return response;
};

const handled: Handle = async ({ event, resolve }) => {
  const { request } = event;
  const host = request.headers.get('host') ?? '';
  if (!hosts.has(host)) return problemResponse({ status: 421, title: 'This server does not answer to that name' });
  if (writes.has(request.method)) {
    const origin = request.headers.get('origin');
    const site = request.headers.get('sec-fetch-site');
    const foreign =
      (origin !== null && origin !== `http://${host}` && origin !== `https://${host}`) || site === 'cross-site';
    if (foreign)
      return problemResponse({
        status: 403,
        title: 'Writes come from this application or a script, not from another site',
      });
  }
  const dark = event.cookies.get('theme') === 'dark';
  let response = await resolve(event, {
    transformPageChunk: ({ html }) => (dark ? html.replace('<html lang="en">', '<html lang="en" class="dark">') : html),
    preload: ({ type }) => type === 'js' || type === 'css' || type === 'font',
  });
  // A page that wanted the database while it is away.
  if (event.locals.lost !== undefined) {
    const lost = lostResponse(event.locals.lost);
    if (event.url.pathname.startsWith('/api/')) return lost;
    response = new Response(response.body, {
      status: lost.status,
      headers: { ...lostHeaders, 'content-type': 'text/html' },
    });
  }
  if (event.url.pathname.startsWith('/api/')) response = ofApi(response);
  if (heldAlready(request, response)) response = unchanged(response);
  else response = await zipped(request, response);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('x-frame-options', 'DENY');
  return response;
};

export const handleError: HandleServerError = ({ error, event, status, message }) => {
  if (isLost(error)) {
    event.locals.lost = error;
    return { message: lostProblem.title };
  }
  // What a client did wrong is no fault of this server.
  if (status < 500) log.info({ status, message }, 'refused');
  else log.error(error);
  return {
    message:
      status === 404
        ? 'There is nothing here'
        : status < 500
          ? message
          : 'Something went wrong here; it was written to the log',
  };
};
