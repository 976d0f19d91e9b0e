import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';
import { ENTRIES } from './src/threads/entries.mjs';

/** The commands and threads are built with the pages, as one graph of modules: one pool, one class of errors. */
const oneBuild = {
  name: 'footstool-one-build',
  apply: 'build',
  buildStart() {
    if (this.environment.name !== 'ssr') return;
    for (const [name, id] of Object.entries(ENTRIES)) this.emitFile({ type: 'chunk', id, fileName: `${name}.mjs` });
  },
};

// Origins are checked by our own middleware, which knows the run-time address; see docs/decisions.
export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  integrations: [react()],
  security: { checkOrigin: false },
  trailingSlash: 'never',
  devToolbar: { enabled: false },
  // Addresses of before, as they may stand in letters and bookmarks.
  redirects: {
    '/bench': '/sessions',
    '/bench/[...rest]': '/sessions/[...rest]',
    '/post': '/sent',
    '/post/[...rest]': '/sent/[...rest]',
  },
  build: { inlineStylesheets: 'never' },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data:",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
    },
  },
  vite: { plugins: [tailwindcss(), oneBuild], build: { assetsInlineLimit: 0 } },
});
