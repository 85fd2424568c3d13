import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import { join } from 'node:path';
import react from '@vitejs/plugin-react';
import type { Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';

/** The core in the browser, as the Makefile pressed it, goes beside the one that is not. */
const pressed = (): Plugin => ({
  name: 'pressed',
  apply: 'build',
  async writeBundle({ dir }, bundle) {
    for (const name of Object.keys(bundle).filter((n) => n.endsWith('.wasm')))
      await copyFile('src/core/built/core.wasm.br', join(dir!, `${name}.br`));
  },
});

export default defineConfig({
  plugins: [
    react(),
    pressed(),
    // The page itself, its fonts and the core, for when there is no signal; what is known of the water is
    // kept by the page (src/device/device.ts). A newer program waits until the last page of the old is gone.
    VitePWA({
      injectRegister: false,
      registerType: 'prompt',
      manifest: {
        name: 'Grey Pebble',
        short_name: 'Grey Pebble',
        description: 'When and where to fish, with what, and what it came to.',
        id: '/',
        start_url: '/fish',
        scope: '/',
        display: 'standalone',
        background_color: '#e8e6e1',
        theme_color: '#20282c',
        icons: [
          { src: '/pebble.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/pebble-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/pebble-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/pebble-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm}'],
        maximumFileSizeToCacheInBytes: 12_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        inlineWorkboxRuntime: true,
        // What could not be sent is sent by the browser when there is signal, the page closed or not, where the
        // browser can. It says whose it is: somebody else may be signed in by then.
        runtimeCaching: [
          {
            urlPattern: ({ url }) => url.pathname.startsWith('/api/v1/outings/'),
            method: 'PUT',
            handler: 'NetworkOnly',
            options: { backgroundSync: { name: 'outings', options: { maxRetentionTime: 7 * 24 * 60 } } },
          },
        ],
        sourcemap: false,
      },
    }),
  ],
  // What a device kept of answers of another API is asked for anew (src/device/stand.ts).
  define: {
    __API__: JSON.stringify(
      createHash('sha256').update(readFileSync('openapi.yaml')).digest('hex').slice(0, 12),
    ),
  },
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    // The budget is 350 kB gzip for the first load; an end-to-end test keeps it.
    chunkSizeWarningLimit: 600,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules[\\/](react|react-dom|scheduler|react-router)[\\/]/ },
            { name: 'antd', test: /node_modules[\\/](antd|@ant-design|@rc-component|rc-[a-z-]+)[\\/]/ },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': process.env.GREYPEBBLE_API ?? 'http://127.0.0.1:8080' } },
  // One page serves all tests: loading it for each file would take most of the time.
  test: {
    environment: 'happy-dom',
    isolate: false,
    setupFiles: 'src/testkit/setup.ts',
    testTimeout: 120_000,
  },
});
