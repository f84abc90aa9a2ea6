import type { LinkTold } from '$lib/api/drives';
import { driveOf } from '$lib/server/drives/drives';
import { answer, idOf } from '$lib/server/http/http';

/** Readings and log as they come; at first all that is kept. */
export const GET = ({ params }) =>
  answer(() => {
    const link = driveOf(idOf(params.id));
    const text = new TextEncoder();
    const event = (name: 'all' | 'more', told: LinkTold): Uint8Array =>
      text.encode(`event: ${name}\ndata: ${JSON.stringify(told)}\n\n`);
    let leave = (): void => undefined;
    const body = new ReadableStream<Uint8Array>({
      start(controller) {
        controller.enqueue(event('all', link.told));
        leave = link.listen(
          (told) => controller.enqueue(event('more', told)),
          () => controller.close(),
        );
      },
      cancel: () => leave(),
    });
    const headers = { 'content-type': 'text/event-stream', 'cache-control': 'no-store' };
    return Promise.resolve(new Response(body, { headers }));
  });
