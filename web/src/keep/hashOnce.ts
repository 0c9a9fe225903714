import { hashKey, type QueryKey } from "@tanstack/react-query"

const written = new WeakMap<object, string>()

/**
 * The name under which an answer is kept. A plan is long, never changed in place, and asked about again and again
 * while a screen is drawn: it is written out once.
 */
export const hashOnce = (key: QueryKey) =>
  key.map((part) => (typeof part === "object" && part !== null ? once(part) : hashKey([part]))).join()

function once(part: object): string {
  const before = written.get(part)
  if (before !== undefined) return before
  const hash = hashKey([part])
  written.set(part, hash)
  return hash
}
