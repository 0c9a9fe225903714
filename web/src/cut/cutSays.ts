import type { CutBar, WorkedMaterial } from "../keep/client"
import { money } from "../pieces/money"

type Cut = CutBar["cuts"][number]

/** A cut in words: "3 strips of 12 in", "9 ft for the coils". */
export const cutSays = (cut: Cut) =>
  cut.shape === "run"
    ? `${cut.says} for the ${cut.what}`
    : `${cut.count} ${cut.count === 1 ? cut.one : cut.what} of ${cut.says}`

/** Cuts of one kind said once, however many blocks they lie in. */
export const alike = (cuts: Cut[]) =>
  cuts.reduce<Cut[]>((said, cut) => {
    const same = said.findIndex((each) => isPieces(each, cut) && each.what === cut.what && each.says === cut.says)
    if (same < 0) return [...said, cut]
    return said.map((each, i) => (i === same ? { ...each, count: each.count + cut.count } : each))
  }, [])

const isPieces = (...cuts: Cut[]) => cuts.every((each) => each.shape === "pieces")

/** How many lengths or sheets are opened, in words; and what is bought besides and stays closed. */
export function openedSays(bars: CutBar[], material: WorkedMaterial): string {
  const number = bars.reduce((sum, bar) => sum + bar.times, 0)
  const what = bars[0]?.sheet ? "sheet" : "length"
  const opened = `${number} ${what}${number === 1 ? "" : "s"} opened`
  const joins = material.joins > 0 ? `, ${material.joins} ${material.joins === 1 ? "join" : "joins"}` : ""
  return `${opened}${joins}. ${closedSays(material.closed)}${provenSays(material)}`
}

const closedSays = (closed: number) =>
  closed === 0
    ? ""
    : `${closed} more ${closed === 1 ? "is" : "are"} bought and ${closed === 1 ? "stays" : "stay"} closed, to be sure. `

function provenSays({ optimal, closed, bound, short }: WorkedMaterial): string {
  if (short > 0) return ""
  if (!optimal) return `Less than ${money(bound)} is not possible.`
  return closed > 0 ? "Fewest packages possible for the sureness you ask for." : "Fewest packages possible."
}
