import type { QueryClient } from "@tanstack/react-query"
import type { Plan, Units } from "./client"

/** The names under which answers are kept, made here and nowhere else. */
export const keys = {
  declarations: () => ["declarations"] as const,
  move: (key: string) => ["move", key] as const,
  account: () => ["account"] as const,
  devices: () => ["account", "devices"] as const,
  workshops: () => ["account", "workshops"] as const,
  workshop: () => ["account", "workshop"] as const,
  invitation: (token: string) => ["invitation", token] as const,
  settings: () => ["settings"] as const,
  revisions: () => ["revisions"] as const,
  wreaths: () => ["wreaths"] as const,
  wreathList: () => ["wreaths", "list"] as const,
  summary: (id: number, digest: string) => ["summary", id, digest] as const,
  wreath: (id: number) => ["wreath", id] as const,
  history: (id: number) => ["history", id] as const,
  templates: (id: number) => ["templates", id] as const,
  finish: (id: number, waiting: number, count: number) => ["finish", id, waiting, count] as const,
  materials: (units?: Units) => ["materials", units] as const,
  ledger: (id: number, units: Units) => ["ledger", id, units] as const,
  forms: () => ["forms"] as const,
  places: () => ["places"] as const,
  place: (id: number) => ["place", id] as const,
  work: (plan?: Plan) => ["work", plan] as const,
  coverage: (plan?: Plan) => ["coverage", plan] as const,
  question: (path: string, asked: unknown) => ["ask", path, asked] as const,
  adviceOfOccasion: (id: number) => ["occasions", id, "advice"] as const,
  photoSizes: (photo: string, taps: unknown) => ["photoSizes", photo, taps] as const,
  shop: () => ["shop"] as const,
  occasions: () => ["occasions"] as const,
  occasion: (id: number) => ["occasions", id] as const,
  doors: (id: number) => ["places", "occasion", id] as const,
  hanging: (id: number) => ["places", "wreath", id] as const,
  workedOccasion: (id: number) => ["occasions", id, "worked"] as const,
  notebook: () => ["notebook"] as const,
  backups: () => ["backups"] as const,
  bin: () => ["bin"] as const,
}

/** What an answer is about: the first word of its key. */
export type About = ReturnType<(typeof keys)[keyof typeof keys]>[0]

/** What has to be asked again after something was changed. */
export const touched = {
  /** A wreath's plan was saved. */
  wreath: ["wreaths", "templates", "occasions", "history"],
  /** Something came into the stash, or went. */
  stash: ["materials", "ledger", "wreaths", "wreath", "ask", "occasions"],
  /** An occasion was saved, or its wreaths were gathered. */
  occasion: ["occasions", "wreaths"],
  /** Something was deleted, or came back. */
  bin: ["bin", "wreaths", "wreath", "materials", "ledger", "ask", "occasions"],
  /** The maker's own forms, or what is set for all screens. */
  forms: ["forms"],
  places: ["places", "place"],
  settings: ["settings"],
  /** Something was finished, or torn out of the notebook. */
  makes: ["notebook", "wreaths", "wreath"],
} as const satisfies Record<string, readonly About[]>

/** What has to be asked again when another device has changed something, by what the server calls it. */
export const news = {
  wreaths: ["wreath", ...touched.wreath],
  materials: touched.stash,
  occasions: touched.occasion,
  forms: touched.forms,
  places: touched.places,
  settings: touched.settings,
  makes: touched.makes,
} as const satisfies Record<string, readonly About[]>

/** Has answers about these things asked again. */
export const askAgain = (queries: QueryClient, about: readonly About[]) =>
  queries.invalidateQueries({ predicate: ({ queryKey }) => about.some((each) => each === queryKey[0]) })
