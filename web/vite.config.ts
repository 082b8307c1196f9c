import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

// What only the director's desk shows is not carried on a coach's phone; it is fetched when it is asked for.
const DESK = ['NewCurriculum', 'PlanPage', 'ProgressionsPage', 'BandsPage', 'EveningsPage', 'LevelsPage', 'SeasonFields', 'ClubsPage', 'OutboxPage', 'JoinPage']

export default defineConfig({
  plugins: [
    react(),
    VitePWA({
      // A coach in the middle of an evening is asked before a new version takes the place of the one that runs.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Jogo',
        short_name: 'Jogo',
        description: 'Plan, deliver and assess technical football for children.',
        id: '/',
        start_url: '/',
        display: 'standalone',
        background_color: '#efe2ca',
        theme_color: '#efe2ca',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['index.html', '*.{svg,png}', 'assets/*.{js,css}', 'assets/*latin-*.woff2'],
        globIgnores: DESK.map((page) => `assets/${page}-*.js`),
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/(api|calendar)\//],
        // The page that the server answers with is the same for every address but for a number in it.
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  // Fonts and pictures stay files: the page's policy takes nothing from data addresses but drawings.
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  server: { proxy: { '/api': 'http://127.0.0.1:7300' } },
})
