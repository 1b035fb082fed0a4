import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** What jsPDF would load for HTML and SVG pictures, which nothing here asks it for. */
const UNUSED = ['html2canvas', 'dompurify', 'canvg'];
const nothing = fileURLToPath(new URL('./src/nothing.ts', import.meta.url));

/** The places inside the application, as the server has them. */
const PLACES = [/^\/$/, /^\/projects\/?$/, /^\/project\/[^/]+(\/[^/]+)?\/?$/];

/** All of it is kept by the browser when it is first opened. A new version is offered and never forced. */
const offline = VitePWA({
  registerType: 'prompt',
  injectRegister: false,
  manifest: {
    ...{ name: 'Kalotrope', short_name: 'Kalotrope', start_url: '/', display: 'standalone' },
    description: 'From a table of offsets to flat plywood panels, sheet layouts and quantities',
    theme_color: '#0E5A61',
    background_color: '#F5F2EA',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm}'],
    maximumFileSizeToCacheInBytes: 4_000_000,
    navigateFallback: '/index.html',
    navigateFallbackAllowlist: PLACES,
    // the first one at once, so that a page has all its parts should the server go
    clientsClaim: true,
  },
});

export default defineConfig({
  plugins: [react(), offline],
  resolve: { alias: Object.fromEntries(UNUSED.map((name) => [name, nothing])) },
  worker: { format: 'es' },
  build: { target: 'es2022', chunkSizeWarningLimit: 1600 },
});
