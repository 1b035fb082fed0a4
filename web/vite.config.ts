import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** What jsPDF would load for HTML and SVG pictures, which nothing here asks it for. */
const UNUSED = ['html2canvas', 'dompurify', 'canvg'];
const nothing = fileURLToPath(new URL('./src/nothing.ts', import.meta.url));

export default defineConfig({
  plugins: [react()],
  resolve: { alias: Object.fromEntries(UNUSED.map((name) => [name, nothing])) },
  worker: { format: 'es' },
  build: { target: 'es2022', chunkSizeWarningLimit: 1600 },
});
