import { defineConfig } from 'vite'

export default defineConfig({
  build: {
    target: 'node20',
    ssr: true,
    minify: false,
    sourcemap: true,
    rollupOptions: { input: 'src/main.ts', output: { entryFileNames: 'main.js' } },
  },
  ssr: { noExternal: [/^@snug\//] },
})
