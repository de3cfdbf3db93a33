import { defineConfig } from 'vite'

/** The SPICE engine and the server's database stay outside; everything of ours is bundled. */
export default defineConfig({
  build: {
    target: 'node20',
    ssr: true,
    minify: false,
    rollupOptions: { input: 'src/bench.ts', output: { entryFileNames: 'bench.js' } },
  },
  ssr: { noExternal: [/^@snug\//] },
})
