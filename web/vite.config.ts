import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

// What only the director's desk shows is not carried on a coach's phone; it is fetched when it is asked for.
const DESK = [
  'NewCurriculum',
  'PlanPage',
  'ProgressionsPage',
  'BandsPage',
  'SessionsPage',
  'BookPage',
  'ChangePage',
  'YearPage',
  'DaysOff',
  'DaysOffDialog',
  'LevelsPage',
  'SeasonFields',
  'ClubsPage',
  'ClubListPage',
  'TimesPage',
  'SlotsDialog',
  'OutboxPage',
  'JoinPage',
]

type InfoOf = (id: string) => { isEntry: boolean; importers: string[] } | null

/** Whether a module is needed before anything is asked for: the page's entry leads to it by plain imports. */
function isFirst(id: string, infoOf: InfoOf, seen = new Set<string>()): boolean {
  if (seen.has(id)) return false
  seen.add(id)
  const info = infoOf(id)
  return info !== null && (info.isEntry || info.importers.some((importer) => isFirst(importer, infoOf, seen)))
}

// The form of the interface's answers: what a device keeps of another form is not read.
const form = createHash('sha256').update(readFileSync('src/api/schema.ts')).digest('hex').slice(0, 12)

export default defineConfig({
  define: { __API_FORM__: JSON.stringify(form) },
  plugins: [
    react(),
    VitePWA({
      // A coach in the middle of a session is asked before a new version takes the place of the one that runs.
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
        globPatterns: [
          'index.html',
          'glimpse.js',
          '*.{svg,png}',
          'assets/*.{js,css}',
          'assets/*latin-*.woff2',
        ],
        globIgnores: DESK.map((page) => `assets/${page}-*.js`),
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/(api|calendar)\//],
        // The page that the server answers with is the same for every address but for a number in it.
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  build: {
    // Fonts and pictures stay files: the page's policy takes nothing from data addresses but drawings.
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    // Each file costs a slow phone a while, so that all that the first screen needs is one.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: (id, context) => (isFirst(id, (each) => context.getModuleInfo(each)) ? 'first' : null) },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:7300' }, fs: { allow: ['..'] } },
})
