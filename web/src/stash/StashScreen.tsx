import { useState } from "react"
import type { StashMaterial } from "../keep/client"
import { useDeclarations, useStash } from "../keep/queries"
import { Deleted } from "../pieces/Deleted"
import { ForMakers, OnlyMakers } from "../pieces/ForMakers"
import { hasWords } from "../pieces/hasWords"
import { Page } from "../pieces/Page"
import { Search } from "../pieces/Search"
import { useUnits } from "../pieces/useUnits"
import { LedgerDialog } from "./LedgerDialog"
import { MaterialForm } from "./MaterialForm"
import { StashRow } from "./StashRow"
import { ShopDialog } from "./ShopDialog"
import { TakeIn } from "./TakeIn"
import { Problem } from "../pieces/Problem"

/** What the maker owns or buys, by kind, its lengths on hand to scale. */
export function StashScreen() {
  const [units, setUnits] = useUnits()
  const stash = useStash(units)
  const declarations = useDeclarations().data
  const [open, setOpen] = useState<StashMaterial | "new">()
  const [traced, setTraced] = useState<StashMaterial>()
  const [file, setFile] = useState<"in" | "shop">()
  const [text, setText] = useState("")
  const shown = (stash.data ?? []).filter(({ material }) =>
    hasWords([material.name, material.kind, material.texture, material.notes], text),
  )
  const kinds = declarations?.materials.filter(({ kind }) => shown.some((each) => each.material.kind === kind)) ?? []
  return (
    <Page title="Stash" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-5xl px-4 py-4 sm:px-6">
        <ForMakers>
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2 pb-2">
            <h1 className="text-2xl">Stash</h1>
            <span className="text-quiet">{stash.data && `${stash.data.length} materials`}</span>
            <Search label="Look for a material" value={text} onChange={setText} />
            <span className="ml-auto flex flex-wrap gap-2">
              <button type="button" className="btn" onClick={() => setFile("shop")}>
                Shop
              </button>
              <button type="button" className="btn" onClick={() => setFile("in")}>
                Take in CSV
              </button>
              <a className="btn" href={`/api/stash.csv?units=${units}`} download>
                CSV
              </a>
            </span>
            <button type="button" className="btn btn-primary" onClick={() => setOpen("new")}>
              Add a material
            </button>
          </div>
          {stash.isError && <Problem>{stash.error.message}</Problem>}
          {stash.data?.length === 0 && (
            <p className="py-6 text-quiet">
              Put in what you own, remnants and all, and every plan knows what need not be bought.
            </p>
          )}
          {stash.data && stash.data.length > 0 && shown.length === 0 && (
            <p className="py-6 text-quiet">No material is called so.</p>
          )}
          {kinds.map(({ kind, title }) => {
            const own = shown.filter((each) => each.material.kind === kind)
            const longest = Math.max(1, ...own.flatMap((each) => each.pieces))
            return (
              <section key={kind} className="pt-3" aria-label={title}>
                <h2 className="text-lg">{title}</h2>
                <ul>
                  {own.map((each) => (
                    <StashRow
                      key={each.id}
                      stashed={each}
                      longest={longest}
                      onOpen={() => setOpen(each)}
                      onLedger={() => setTraced(each)}
                    />
                  ))}
                </ul>
              </section>
            )
          })}
        </ForMakers>
        <OnlyMakers>
          <Deleted shelf="materials" />
        </OnlyMakers>
      </main>
      {open && declarations && (
        <MaterialForm
          stashed={open === "new" ? undefined : open}
          units={units}
          kinds={declarations.materials}
          others={(stash.data ?? []).map(({ material }) => material)}
          onClose={() => setOpen(undefined)}
        />
      )}
      {file === "in" && <TakeIn units={units} onClose={() => setFile(undefined)} />}
      {file === "shop" && <ShopDialog onClose={() => setFile(undefined)} />}
      {traced && (
        <LedgerDialog
          stashed={stash.data?.find((each) => each.id === traced.id) ?? traced}
          units={units}
          onClose={() => setTraced(undefined)}
        />
      )}
    </Page>
  )
}
