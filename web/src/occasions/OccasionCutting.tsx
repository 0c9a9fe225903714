import { CutLength } from "../cut/CutLength"
import { openedSays } from "../cut/cutSays"
import type { WorkedOccasion } from "../keep/client"
import { useStash } from "../keep/queries"
import { OnlyMakers } from "../pieces/ForMakers"
import { Prose } from "../pieces/Prose"
import type { useOccasion } from "./useOccasion"
import { Problem } from "../pieces/Problem"

interface Props {
  worked: WorkedOccasion
  occasion: ReturnType<typeof useOccasion>
}

/** One cut sheet for all wreaths of the day, to be ticked, and taken out of the stash as one. */
export function Cutting({ worked, occasion }: Props) {
  const stash = useStash(worked.units).data ?? []
  const groups = worked.materials
    .map((material) => ({ material, bars: worked.cut_sheet.filter((bar) => bar.material === material.id) }))
    .filter(({ bars }) => bars.length > 0)
  return (
    <section aria-label="Cut">
      {occasion.refused && <Problem>{occasion.refused}</Problem>}
      <p className="no-print flex flex-wrap items-center gap-3 pb-3">
        <OnlyMakers>
          <Taking worked={worked} occasion={occasion} />
        </OnlyMakers>
        <span className="text-sm text-quiet">
          {occasion.ticks.length} of {worked.cut_sheet.length} ticked
        </span>
        {occasion.alreadyCut > 0 && <span className="text-sm text-quiet">{alreadySays(occasion.alreadyCut)}</span>}
      </p>
      <div className="grid gap-x-10 lg:grid-cols-2">
        {groups.map(({ material, bars }) => (
          <div key={material.id} className="min-w-0 pb-4">
            <h2 className="text-lg">{material.name}</h2>
            <p className="text-sm text-quiet">{openedSays(bars, material)}</p>
            <ul>
              {bars.map((bar) => (
                <CutLength
                  key={bar.id}
                  bar={bar}
                  longest={Math.max(...bars.map((each) => each.length))}
                  material={stash.find((each) => each.material.id === material.id)?.material}
                  ticked={occasion.ticks.includes(bar.id)}
                  onTick={(made) => void occasion.tick(bar.id, made)}
                />
              ))}
            </ul>
          </div>
        ))}
      </div>
      <HandOut worked={worked} />
    </section>
  )
}

/** Which package is for which wreath. */
function HandOut({ worked }: { worked: WorkedOccasion }) {
  return (
    <section aria-label="Handed out" className="border-t border-base-300 pt-3">
      <h2 className="text-lg">Handed out, wreath by wreath</h2>
      <ul className="grid gap-x-10 lg:grid-cols-2">
        {worked.hand_out
          .filter(({ parts }) => parts.length > 0)
          .map((each) => (
            <li key={each.key} className="min-w-0 py-2">
              <h3 className="font-semibold">
                {each.wreath}
                {each.quantity > 1 && `, ${each.quantity} alike`}
              </h3>
              <ul className="text-sm">
                {each.parts.map((part, index) => (
                  <li key={index}>
                    <Prose>{partSays(part)}</Prose>
                  </li>
                ))}
              </ul>
            </li>
          ))}
      </ul>
    </section>
  )
}

function partSays({ name, from, count, what, says }: WorkedOccasion["hand_out"][number]["parts"][number]): string {
  if (!from) return `${name}: ${says}`
  return `${name}, ${from}: ${count} ${what}, ${says}${(count ?? 1) > 1 ? " each" : ""}`
}

const alreadySays = (count: number) =>
  count === 1
    ? "1 wreath was cut already and is not on this sheet."
    : `${count} wreaths were cut already and are not on this sheet.`

/** Takes the material of all of them out of the stash, or puts it back. */
function Taking({ worked, occasion }: Props) {
  if (occasion.cut) {
    return (
      <>
        <span className="font-semibold text-secondary">
          Cut: the material of all of them is out of the stash, the remnants are in it.
        </span>
        <button type="button" className="btn" onClick={() => void occasion.settleStash()}>
          Take it back
        </button>
      </>
    )
  }
  if (worked.cut_sheet.length === 0) return null
  return (
    <>
      <button type="button" className="btn btn-primary" onClick={() => void occasion.settleStash(worked.cut_sheet)}>
        I cut it all
      </button>
      <span className="text-sm text-quiet">Takes these lengths out of the stash for every wreath of the day.</span>
    </>
  )
}
