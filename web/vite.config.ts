import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [
    // Each text is drawn in the words of the shop.
    react({ jsxImportSource: '@pondu/web/vocabulary' }),
    tailwindcss(),
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: null,
      // The manifest too is behind the door.
      useCredentials: true,
      manifest: {
        name: 'Pondu',
        short_name: 'Pondu',
        description: 'Traces faults on old engines, station by station.',
        start_url: '/',
        display: 'standalone',
        background_color: '#e7ece4',
        theme_color: '#16231e',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/enter\.html/],
        cleanupOutdatedCaches: true,
        // A picture never changes under its id: once seen it is there without a signal too.
        runtimeCaching: [
          {
            urlPattern: /\/api\/jobs\/[^/]+\/pictures\//,
            handler: 'CacheFirst',
            options: { cacheName: 'pictures', expiration: { maxEntries: 200 } },
          },
        ],
      },
    }),
  ],
  build: {
    target: 'es2023',
    outDir: 'dist',
    emptyOutDir: true,
    rollupOptions: { input: { main: 'index.html', enter: 'enter.html' } },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
});
