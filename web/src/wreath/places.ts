type Holder = Record<string, unknown> | unknown[]

/** A copy of a document with another value at a place such as layers.0.lap; undefined takes the key out. */
export function put<T>(document: T, place: string, value: unknown): T {
  const [key = "", ...rest] = place.split(".")
  const copy: Holder = Array.isArray(document) ? [...document] : { ...(document as Record<string, unknown>) }
  const holder = copy as Record<string, unknown>
  const next = rest.length === 0 ? value : put(holder[key] ?? {}, rest.join("."), value)
  if (next === undefined && !Array.isArray(copy)) delete holder[key]
  else holder[key] = next
  return copy as T
}

/** The value at a place, if anything stands there. */
export function valueAt(document: unknown, place: string): unknown {
  return place
    .split(".")
    .reduce<unknown>((value, key) => (value as Record<string, unknown> | undefined)?.[key], document)
}
