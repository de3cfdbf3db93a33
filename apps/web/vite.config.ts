import react from '@vitejs/plugin-react'
import tailwindcss from '@tailwindcss/vite'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  build: { target: 'es2022', sourcemap: true },
  server: {
    port: 5180,
    proxy: { '/api': { target: 'http://localhost:4780', changeOrigin: true, headers: { origin: 'http://localhost:4780' } } },
  },
})
