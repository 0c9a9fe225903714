import type { Saving } from "../keep/keeper"

/** Where the keeping of something stands, in words. */
export const savingSays: Record<Saving, string> = {
  saved: "Saved",
  waiting: "Saving",
  saving: "Saving",
  away: "Not saved yet: the server is away, trying again",
  conflict: "Changed elsewhere",
  refused: "Not saved: see below",
}
