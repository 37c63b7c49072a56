import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [vue(), tailwindcss()],
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
