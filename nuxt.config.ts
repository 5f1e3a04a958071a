import { fileURLToPath } from 'node:url'
import { darkTheme, lightTheme } from './app/theme/themes'
import { version } from './package.json'
import { writeServiceWorker } from './scripts/serviceWorker.mjs'
import { fileHeaders } from './server/utils/securityHeaders'

/** Plain files for any web host (`npm run static`) in place of a server. */
const isStatic = process.env.RIGOROUS_METER_STATIC === '1'

const nuxtIsDeveloping = () => process.env.NODE_ENV === 'development'

const coreFolder = fileURLToPath(new URL('./core', import.meta.url))

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt', 'vuetify-nuxt-module'],
  alias: { '#core': coreFolder },
  imports: { autoImport: true, dirs: ['stores', 'composables'] },
  components: [{ path: '~/components', pathPrefix: false }],
  css: [
    'vuetify/styles/layers',
    'vuetify/styles/core',
    '~/assets/fonts.css',
    '~/assets/base.css',
    '~/assets/layout.css',
  ],
  runtimeConfig: {
    public: { demo: false, version },
  },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Rigorous Meter',
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'The bench companion for testing handheld and mobile radios.' },
        { name: 'color-scheme', content: 'light dark' },
      ],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
      ],
    },
  },
  vuetify: {
    moduleOptions: { importComposables: true, disableVuetifyStyles: true },
    vuetifyOptions: {
      icons: { defaultSet: 'mdi-svg' },
      theme: { defaultTheme: 'day', themes: { day: lightTheme, night: darkTheme } },
      defaults: {
        VBtn: { variant: 'flat', elevation: 0, ripple: false },
        VTextField: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
        VTextarea: { variant: 'outlined', density: 'compact', hideDetails: 'auto', autoGrow: true, rows: 2 },
        VSelect: { variant: 'outlined', density: 'compact', hideDetails: 'auto' },
        VCheckbox: { density: 'compact', hideDetails: true, ripple: false, color: 'primary' },
        VSwitch: { density: 'compact', hideDetails: true, ripple: false, color: 'primary', inset: true },
        VCard: { elevation: 0, variant: 'flat' },
        VDialog: { scrim: true },
      },
    },
  },
  typescript: {
    strict: true,
    tsConfig: { compilerOptions: { noUncheckedIndexedAccess: true } },
  },
  hooks: {
    // While developing, Nuxt looks for a server's entry even where the page comes without one.
    'vite:extendConfig': (config, { isClient }) => {
      const input = config.build?.rollupOptions?.input
      if (!nuxtIsDeveloping() || !isClient || typeof input !== 'object' || Array.isArray(input)) return
      const server = input.entry ?? ''
      Object.assign(config, {
        environments: { ...config.environments, ssr: { build: { rollupOptions: { input: { server } } } } },
      })
    },
    // The first screen is not to wait for pages nobody asked for: links fetch theirs once they are seen.
    'build:manifest': manifest => {
      for (const file of Object.values(manifest)) file.prefetch = false
    },
    // The worker that keeps all files in the browser is written once they are there.
    'nitro:build:public-assets': async nitro => {
      if (!nitro.options.dev && !isStatic) await writeServiceWorker(nitro.options.output.publicDir, '/')
    },
  },
  // A page puts its own policy, with a nonce, over this one.
  $production: { routeRules: { '/**': { headers: fileHeaders } } },
  nitro: {
    ...(isStatic
      ? {
          preset: 'static',
          output: { dir: 'dist', publicDir: 'dist/public' },
          prerender: { routes: ['/', '/demo-review'], crawlLinks: false },
        }
      : { preset: 'node-server' }),
    compressPublicAssets: { gzip: true, brotli: true },
    // Its CommonJS form has no names to import.
    externals: { inline: ['wavefile'] },
  },
  vite: {
    worker: { format: 'es' },
    build: { chunkSizeWarningLimit: 2500 },
  },
})
