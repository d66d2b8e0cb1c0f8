// @ts-check

import { randomUUID } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import AstroPWA from '@vite-pwa/astro';
import { defineConfig } from 'astro/config';
import { packAssets } from './assets.mjs';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [
    react(),
    // The worker of the card alone; it is registered by the card, for the card's own pages.
    AstroPWA({
      strategies: 'injectManifest',
      srcDir: 'src/sw',
      filename: 'sw.ts',
      injectRegister: false,
      manifest: false,
      injectManifest: { injectionPoint: undefined },
      devOptions: { enabled: false },
    }),
    {
      name: 'build-mark',
      hooks: {
        // What was computed by one build is not taken for what another one would.
        'astro:config:setup': ({ command, updateConfig }) => {
          const mark = command === 'build' ? randomUUID() : '';
          updateConfig({ vite: { define: { __BUILD_MARK__: JSON.stringify(mark) } } });
        },
      },
    },
    {
      name: 'packed-assets',
      hooks: { 'astro:build:done': ({ dir }) => packAssets(fileURLToPath(new URL('_astro', dir))) },
    },
  ],
  server: { host: '127.0.0.1' },
  devToolbar: { enabled: false },
  experimental: {
    // Adds the hashes of the few start-up scripts to a content policy that allows no other inline script.
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'self'",
        "form-action 'self'",
      ],
    },
  },
  vite: {
    plugins: [tailwindcss()],
    worker: { format: 'es' },
    ssr: { noExternal: ['lucide-react', 'date-fns', '@umbrex/core'] },
    build: { rollupOptions: { onwarn: (w, warn) => w.code !== 'INVALID_ANNOTATION' && warn(w) } },
  },
});
