import vue from '@vitejs/plugin-vue'
import vuetify from 'vite-plugin-vuetify'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true })],
  build: { target: 'es2022', chunkSizeWarningLimit: 700, license: { fileName: 'licences.json' } },
  server: { proxy: { '/api': 'http://127.0.0.1:5180' } },
  test: {
    environment: 'jsdom',
    setupFiles: ['./src/test-setup.ts'],
    // They run beside the server's build.
    testTimeout: 30_000,
    server: { deps: { inline: ['vuetify'] } },
  },
})
