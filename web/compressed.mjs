import compression from 'compression';

// Live updates go out line by line as they come.
const compress = compression({
  filter: (request, response) =>
    !String(response.getHeader('content-type')).startsWith('text/event-stream') &&
    compression.filter(request, response),
});

/**
 * A handler whose answers are compressed. The middleware swallows what is to be called after a write; a page that comes to a stop half way is
 * ended by that, so it is called here: else its reader would wait for ever.
 * @param {(request: import('node:http').IncomingMessage, response: import('node:http').ServerResponse) => void} handle
 * @returns {import('node:http').RequestListener}
 */
export function compressed(handle) {
  return (request, response) =>
    compress(request, response, () => {
      const write = response.write.bind(response);
      response.write = (chunk, encoding, done) => {
        const after = typeof encoding === 'function' ? encoding : done;
        const isOpen = write(chunk, typeof encoding === 'function' ? undefined : encoding);
        if (after) setImmediate(after);
        return isOpen;
      };
      handle(request, response);
    });
}
