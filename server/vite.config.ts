import { defineConfig } from 'vite';

export default defineConfig({
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist',
    emptyOutDir: true,
    rollupOptions: {
      input: {
        main: 'src/main.ts',
        worker: 'src/compute/worker.ts',
        restore: 'src/restore.ts',
        workOut: 'src/workOut.ts',
      },
    },
  },
  ssr: { noExternal: ['@pondu/core'] },
});
