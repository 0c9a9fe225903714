/** One thing that two documents say differently, in words. */
export interface Difference {
  what: string
  mine: string
  theirs: string
}

/** So many are told; of more, that there are more. */
const MOST = 12
/** What one of two does not say at all. */
export const NOT_SAID = "–"

/** What two documents say differently, field by field; the things of a list are known by their ids. */
export function differences(mine: unknown, theirs: unknown): Difference[] {
  const all = found(mine, theirs, "")
  if (all.length <= MOST) return all
  return [...all.slice(0, MOST), { what: `${all.length - MOST} more`, mine: "", theirs: "" }]
}

function found(mine: unknown, theirs: unknown, what: string): Difference[] {
  if (JSON.stringify(mine) === JSON.stringify(theirs)) return []
  if (isNamed(mine) && isNamed(theirs)) return inList(mine, theirs, what)
  if (isObject(mine) && isObject(theirs)) {
    const keys = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])]
    return keys.flatMap((key) => found(mine[key], theirs[key], joined(what, words(key))))
  }
  return [{ what, mine: said(mine), theirs: said(theirs) }]
}

function inList(mine: Named[], theirs: Named[], what: string): Difference[] {
  const ids = [...new Set([...mine, ...theirs].map(({ id }) => id))]
  const each = ids.flatMap((id) => {
    const [one, other] = [mine, theirs].map((list) => list.find((thing) => thing.id === id))
    if (one && other) return found(one, other, joined(what, titleOf(one)))
    const title = titleOf((one ?? other)!)
    return [{ what: joined(what, title), mine: one ? "there" : NOT_SAID, theirs: other ? "there" : NOT_SAID }]
  })
  if (each.length > 0) return each
  const order = (list: Named[]) => list.map(titleOf).join(", ")
  return [{ what: joined(what, "order"), mine: order(mine), theirs: order(theirs) }]
}

interface Named {
  id: string
  method?: string
  name?: string
  title?: string
}

const titleOf = (thing: Named) => words(thing.name ?? thing.title ?? thing.method ?? thing.id)

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value)

const isNamed = (value: unknown): value is Named[] =>
  Array.isArray(value) && value.every((each) => isObject(each) && typeof each.id === "string")

/** What the screens call by another word than the document does. */
const CALLED: Record<string, string> = { quantity: "wreaths alike", sureness: "how sure" }

const words = (key: string) => CALLED[key] ?? key.replaceAll("_", " ")

const joined = (before: string, after: string) => (before === "" ? after : `${before}: ${after}`)

function said(value: unknown): string {
  if (value === undefined || value === null || value === "") return NOT_SAID
  if (typeof value === "boolean") return value ? "yes" : "no"
  return (typeof value === "object" ? JSON.stringify(value) : String(value)).slice(0, 80)
}
