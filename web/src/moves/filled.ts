/** A text of a frame with the step's measures in it: `{tail|the tail}` is the tail, or these words. */
export const filled = (text: string, measures: Record<string, string> = {}) =>
  text
    .replace(/\{([a-z_]+)(?:\|([^}]*))?\}/g, (_, key: string, words?: string) => measures[key] ?? words ?? "")
    .replace(/ {2,}/g, " ")
    .trim()
