import tailwind from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { fileURLToPath, URL } from 'node:url'
import { defineConfig } from 'vite'

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [vue(), tailwind()],
  build: {
    target: 'es2022',
    emptyOutDir: true, // the charts, which are loaded with what needs them
    chunkSizeWarningLimit: 600,
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
})
