import { defineConfig } from 'vite'

export default defineConfig({
  build: {
    target: 'node20',
    ssr: true,
    chunkSizeWarningLimit: 5000,
    minify: false,
    sourcemap: true,
    rollupOptions: {
      input: { main: 'src/main.ts', backup: 'src/backup/cli.ts', benches: 'src/benches/cli.ts' },
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' },
    },
  },
  ssr: { noExternal: true, external: ['@electric-sql/pglite'] },
})
