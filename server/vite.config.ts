import { defineConfig } from 'vite';

export default defineConfig({
  build: { ssr: 'src/main.ts', target: 'node20', outDir: 'dist', emptyOutDir: true },
  ssr: { noExternal: ['@pondu/core'] },
});
