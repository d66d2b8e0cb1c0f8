// Production start: serve, and stop cleanly on SIGTERM or SIGINT.
process.env.ASTRO_NODE_AUTOSTART = 'disabled'; // before entry.mjs is loaded
const { startServer } = await import('./dist/server/entry.mjs');
const { server } = startServer(); // reads HOST and PORT
server.server.once('error', (error) => {
  console.error(error); // a port in use: without this the process ends with exit code 0
  process.exit(1);
});

// Longer than a proxy or client keeps an idle connection, so that none sends into one that is just being closed.
server.server.keepAliveTimeout = 65_000;
server.server.headersTimeout = 66_000;

let stopping = false;
for (const signal of ['SIGTERM', 'SIGINT']) {
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    server.server.close(() => process.exit(0)); // waits for requests in flight
    server.server.closeIdleConnections();
    // Streams of live updates never end by themselves; their browsers come back to the next start.
    setTimeout(() => server.server.closeAllConnections(), 1500).unref();
    setTimeout(() => process.exit(1), 10_000).unref();
  });
}
