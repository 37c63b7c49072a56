import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'
import { writeShipped } from './scripts/shipped.mjs'

/** Writes down which packages have got into what is shipped; check-lock.mjs looks at them. */
const shipped: Plugin = {
  name: 'shipped',
  generateBundle(_, bundle) {
    const modules = Object.values(bundle).flatMap((one) =>
      one.type === 'chunk' ? Object.keys(one.modules) : [],
    )
    writeShipped(modules)
  },
}

export default defineConfig({
  plugins: [vue(), tailwindcss(), shipped],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: {
    outDir: 'target/classes/static',
    // Nothing inline: the content policy allows what comes from here as a file.
    assetsInlineLimit: 0,
    emptyOutDir: true,
    chunkSizeWarningLimit: 800,
  },
  // Thousands of random journeys take their time on a machine that does other things as well.
  test: { environment: 'happy-dom', include: ['src/**/*.test.ts'], testTimeout: 300_000 },
})
