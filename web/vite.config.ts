import tailwindcss from "@tailwindcss/vite"
import react from "@vitejs/plugin-react"
import { defineConfig } from "vite"
import { VitePWA } from "vite-plugin-pwa"

const YEAR = 365 * 86_400

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      // A new version is offered, and taken when the maker says so.
      registerType: "prompt",
      injectRegister: false,
      // It stands in public/manifest.webmanifest.
      manifest: false,
      workbox: {
        globPatterns: ["**/*.{js,css,html,svg,woff2}"],
        navigateFallback: "/index.html",
        navigateFallbackDenylist: [/^\/api\//],
        runtimeCaching: [
          {
            // What has such a name never changes.
            urlPattern: /\/api\/(?:pictures\/|wreaths\/\d+\/thumbnail\.png)/,
            handler: "CacheFirst",
            options: { cacheName: "pictures", expiration: { maxEntries: 400, maxAgeSeconds: YEAR } },
          },
          {
            // Sheets that were printed lately, as they were then.
            urlPattern: /\/api\/wreaths\/\d+\/(?:cut-sheet|pattern-card)\.pdf/,
            handler: "NetworkFirst",
            options: { cacheName: "sheets", expiration: { maxEntries: 60 } },
          },
        ],
      },
    }),
  ],
  build: { target: "es2022", assetsInlineLimit: 0, chunkSizeWarningLimit: 700 },
  server: { proxy: { "/api": "http://127.0.0.1:9292" } },
})
