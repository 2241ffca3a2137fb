import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import { usedByMost } from './scripts/shared/chunks.ts'
import { licencesFile } from './scripts/shared/licences.ts'
import { shelfPictures } from './scripts/shared/shelf-pictures.ts'

export default defineConfig({
  plugins: [
    vue(),
    shelfPictures(fileURLToPath(new URL('.', import.meta.url))),
    licencesFile(fileURLToPath(new URL('.', import.meta.url))),
    VitePWA({
      // The new shell waits until the last window is closed and is taken at the next opening.
      registerType: 'prompt',
      injectRegister: false,
      includeAssets: ['icon.svg'],
      manifest: {
        name: 'Zovrin',
        short_name: 'Zovrin',
        description: 'Plans long-hold sessions for teachers of restorative yoga, yin yoga and prāṇāyāma.',
        theme_color: '#1d2a2a',
        background_color: '#e8ede9',
        display: 'standalone',
        icons: [{ src: 'icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        // So that the very first visit is covered too, not only those after a reload.
        clientsClaim: true,
        // What sets the sheets on paper is one large worker; with Vue's warnings left in it is larger still.
        maximumFileSizeToCacheInBytes: 5_000_000,
        globPatterns: ['**/*.{js,css,html,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/(screen|pair)$/],
      },
    }),
  ],
  build: {
    assetsInlineLimit: 0,
    target: 'es2023',
    chunkSizeWarningLimit: 900,
    // These rooms only compute: what a view does not use of their index files does not come along with it.
    rolldownOptions: {
      // The application, and what is not the teacher's: the students' screen with the way in to it.
      input: ['index.html', 'screen.html'],
      // How long the bundler's own steps took concerns nobody who starts Zovrin.
      checks: { pluginTimings: false },
      output: { codeSplitting: usedByMost(fileURLToPath(new URL('src/web/screen.ts', import.meta.url))) },
      treeshake: { moduleSideEffects: (id) => !/\/src\/(core|library|model|words|formats)\//.test(id) },
    },
  },
})
