import vue from '@vitejs/plugin-vue'
import vuetify from 'vite-plugin-vuetify'
import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'

/** The page asks for its letters at once, not only when the styles have been read. */
const lettersFirst: Plugin = {
  name: 'letters-first',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((file) => /-latin-(?!ext).*\.woff2$/.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: '', href: `/${file}` },
        })),
  },
}

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true }), lettersFirst],
  build: { target: 'es2022', chunkSizeWarningLimit: 700, license: { fileName: 'licences.json' } },
  // Calls and the live line go to the server, which takes a page of this port for one of its own.
  server: {
    proxy: {
      '/api': { target: 'http://127.0.0.1:5180', ws: true, changeOrigin: true, rewriteWsOrigin: true },
    },
  },
  test: {
    environment: 'jsdom',
    // One world for all files: making one for each takes longer than all they test.
    isolate: false,
    setupFiles: ['./src/test-setup.ts'],
    // They run beside the server's build.
    testTimeout: 30_000,
    server: { deps: { inline: ['vuetify'] } },
  },
})
