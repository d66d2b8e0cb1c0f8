import { stillOpen } from '@/server/auth/session';
import { endpoint } from '@/server/endpoint';
import { listen } from '@/server/live';

const PING_MS = 20_000;

/**
 * GET a stream of what changes in the workspace, as server-sent events: kind and id, and the tab it came from. What is changed
 * is not in it; who may see it fetches it. A session that ended meanwhile ends the stream at its next sign of life.
 */
export const GET = endpoint('GET /api/events', async ({ db, workspace, context }) => {
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const text = new TextEncoder();
      const send = (words: string) => {
        try {
          controller.enqueue(text.encode(words));
        } catch {
          stop(); // the reader is gone
        }
      };
      const end = listen(({ workspaceId, kind, id, tab }) => {
        if (workspaceId === workspace.id) send(`data: ${JSON.stringify({ kind, id, tab })}\n\n`);
      });
      const ping = setInterval(() => {
        stillOpen(db, context).then(
          (open) => {
            if (open) send(': still here\n\n');
            else leave();
          },
          () => leave(),
        );
      }, PING_MS);
      stop = () => {
        clearInterval(ping);
        end();
      };
      const leave = () => {
        stop();
        try {
          controller.close();
        } catch {
          // the reader was gone before
        }
      };
      context.request.signal.addEventListener('abort', stop);
      send('retry: 3000\n\n');
    },
    cancel: () => stop(),
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    },
  });
});
