import type { ListedWreath } from "../keep/client"
import { hasWords } from "../pieces/hasWords"

/** Door 2 comes before door 10. Made once: to make it takes longer than to compare. */
const alphabet = new Intl.Collator("en", { numeric: true })

/** As many wreaths stand on a page. */
export const ON_A_PAGE = 48
/** So many more of them come at a time: on a telephone all that is seen before anything is scrolled. */
export const AT_A_TIME = 4

export const orders: Record<string, { says: string; by: (a: ListedWreath, b: ListedWreath) => number }> = {
  newest: { says: "Newest first", by: (a, b) => b.id - a.id },
  planned: { says: "As planned", by: (a, b) => a.id - b.id },
  changed: { says: "Changed last", by: (a, b) => b.updated_at.localeCompare(a.updated_at) || b.id - a.id },
  name: { says: "By name", by: (a, b) => alphabet.compare(a.name, b.name) },
  cost: { says: "Least to pay", by: (a, b) => pay(a) - pay(b) || a.id - b.id },
}

const pay = ({ summary }: ListedWreath) => (summary?.to_buy === undefined ? Infinity : Number(summary.to_buy))

export const groupings: Record<string, { says: string; of: (each: ListedWreath, occasions: Names) => string }> = {
  none: { says: "Not grouped", of: () => "" },
  occasion: {
    says: "By occasion",
    of: ({ occasion }, names) => (occasion == null ? "On no occasion" : (names[occasion] ?? "On no occasion")),
  },
  form: { says: "By form", of: ({ summary }) => sentence(summary?.form ?? "other forms") },
  state: { says: "By state", of: stateOf },
}

type Names = Record<number, string>

/** What tells how far a wreath is. */
type Known = Pick<ListedWreath, "made" | "at_bench" | "cut" | "problem" | "summary">

/** How far a wreath is. */
export function stateOf({ made, at_bench, cut, problem, summary }: Known): string {
  if (problem || summary?.problem) return "Not to be worked yet"
  if (at_bench) return "Being made"
  if (made > 0) return "Made"
  if (cut) return "Cut"
  return summary && !summary.short && Number(summary.to_buy) === 0 ? "All there" : "Planned"
}

/** What is to be done next with a wreath that is so far, and where; nothing where it is made. */
export function nextOf(wreath: ListedWreath): { says: string; to: string } | undefined {
  const next: Record<string, { says: string; stage: string }> = {
    "Being made": { says: goOn(wreath), stage: "bench" },
    Cut: { says: "Make it", stage: "bench" },
    "All there": { says: "Cut it", stage: "cut" },
    Planned: { says: "Buy for it", stage: "buy" },
  }
  const found = wreath.summary?.says ? next[stateOf(wreath)] : undefined
  return found && { says: found.says, to: `/wreaths/${wreath.id}/${found.stage}` }
}

/** "Go on at coil 34", where something is counted and not all of it is. */
function goOn({ bench, summary }: ListedWreath): string {
  const counted = bench && summary?.counted?.[bench.step]
  return counted && bench.count < counted.count ? `Go on at ${counted.one} ${bench.count + 1}` : "Go on at the bench"
}

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** Those in which every word that is looked for stands somewhere. */
export function found(wreaths: ListedWreath[], text: string): ListedWreath[] {
  return wreaths.filter(({ name, about, summary }) =>
    hasWords([name, about, summary?.says, ...(summary?.figures ?? [])], text),
  )
}

/** In order, the groups one after another; each group begins where its name stands. */
export function arranged(wreaths: ListedWreath[], order: string, grouping: string, occasions: Names) {
  const of = (groupings[grouping] ?? groupings.none!).of
  const by = (orders[order] ?? orders.newest!).by
  return wreaths
    .map((wreath) => ({ wreath, group: of(wreath, occasions) }))
    .sort((a, b) => (a.group === b.group ? 0 : alphabet.compare(a.group, b.group)) || by(a.wreath, b.wreath))
}
