import tailwindcss from "@tailwindcss/vite"
import react from "@vitejs/plugin-react"
import { marked } from "marked"
import { defineConfig, type Plugin } from "vite"
import { compression } from "vite-plugin-compression2"
import { VitePWA } from "vite-plugin-pwa"

const YEAR = 365 * 86_400
/** What is asked for when it is opened keeps a file of its own, under its own name. */
const OPENED_BY_ITSELF = /(?:Screen|Stage|View)\.tsx$/

/** A page of the documentation as HTML, a heading a level lower; it ends where it says that the rest is no screen's. */
const pages = (): Plugin => ({
  name: "pages",
  enforce: "pre",
  async load(id) {
    const [file, query] = id.split("?")
    if (query !== "page" || !file) return
    this.addWatchFile(file)
    const text = (await this.fs.readFile(file, { encoding: "utf8" })).split("<!--")[0] ?? ""
    const lower = (html: string) =>
      html.replace(/(<\/?h)([1-5])/g, (_, tag: string, level) => tag + (Number(level) + 1))
    return `export default ${JSON.stringify(lower(marked.parse(text, { async: false })))}`
  },
})

/** The letters of a screen are asked for with its page, so that no line is set twice. */
const lettersFirst = (): Plugin => ({
  name: "letters-first",
  transformIndexHtml: {
    order: "post",
    handler: (_, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((file) => /-latin-(wght|700)-normal.*\.woff2$/.test(file))
        .map((file) => ({
          tag: "link",
          attrs: { rel: "preload", href: `/${file}`, as: "font", type: "font/woff2", crossorigin: true },
          injectTo: "head" as const,
        })),
  },
})

export default defineConfig({
  plugins: [
    pages(),
    lettersFirst(),
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
        navigateFallbackDenylist: [/^\/api\//, /^\/authority\.crt$/],
        runtimeCaching: [
          {
            // What has such a name never changes.
            urlPattern: /\/api\/(?:pictures\/|wreaths\/\d+\/thumbnail\.webp)/,
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
    // Beside each file, what is sent of it to whoever can read it so.
    compression({ algorithms: ["brotliCompress"], include: /\.(?:js|css|html|svg)$/, threshold: 1500 }),
  ],
  build: {
    target: "es2022",
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 700,
    manifest: true,
    rolldownOptions: {
      output: {
        chunkFileNames: ({ name }) => `assets/${name.split("~")[0]}-[hash].js`,
        // Few files: one that is small costs a way there and back as well, and packs worse by itself.
        codeSplitting: {
          groups: [
            { name: "base", tags: ["$initial"] },
            {
              name: "shared",
              test: (id) => !OPENED_BY_ITSELF.test(id),
              minShareCount: 2,
              entriesAware: true,
              entriesAwareMergeThreshold: 8000,
            },
          ],
        },
      },
    },
  },
  server: { proxy: { "/api": "http://127.0.0.1:9292" } },
})
