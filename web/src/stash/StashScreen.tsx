import { useState } from "react"
import type { StashMaterial } from "../api/client"
import { useDeclarations, useStash } from "../api/queries"
import { colourOf } from "../drawing/Textures"
import { Swatch } from "../drawing/Swatch"
import { Page } from "../pieces/Page"
import { Prose } from "../pieces/Prose"
import { useUnits } from "../pieces/useUnits"
import { LedgerDialog } from "./LedgerDialog"
import { MaterialForm } from "./MaterialForm"
import { ShopDialog } from "./ShopDialog"
import { TakeIn } from "./TakeIn"

/** What the maker owns or buys, by kind, its lengths on hand to scale. */
export function StashScreen() {
  const [units, setUnits] = useUnits()
  const stash = useStash(units)
  const declarations = useDeclarations().data
  const [open, setOpen] = useState<StashMaterial | "new">()
  const [traced, setTraced] = useState<StashMaterial>()
  const [file, setFile] = useState<"in" | "shop">()
  const kinds = declarations?.materials.filter(({ kind }) => stash.data?.some((each) => each.material.kind === kind)) ?? []
  return (
    <Page title="Stash" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-5xl px-4 py-4 sm:px-6">
        <div className="flex items-baseline gap-4 pb-2">
          <h1 className="text-2xl">Stash</h1>
          <span className="text-quiet">{stash.data && `${stash.data.length} materials`}</span>
          <span className="ml-auto flex flex-wrap gap-2"><button type="button" className="plain-button" onClick={() => setFile("shop")}>Shop</button>
          <button type="button" className="plain-button" onClick={() => setFile("in")}>Take in CSV</button>
          <a className="plain-button" href={`/api/stash.csv?units=${units}`} download>CSV</a></span>
          <button type="button" className="amber-button" onClick={() => setOpen("new")}>Add a material</button>
        </div>
        {stash.isError && <p role="alert" className="font-semibold text-error">{stash.error.message}</p>}
        {stash.data?.length === 0 && <p className="py-6 text-quiet">Put in what you own, remnants and all, and every plan knows what need not be bought.</p>}
        {kinds.map(({ kind, title }) => {
          const own = stash.data?.filter((each) => each.material.kind === kind) ?? []
          const longest = Math.max(1, ...own.flatMap((each) => each.pieces))
          return (
            <section key={kind} className="pt-3" aria-label={title}>
              <h2 className="text-lg">{title}</h2>
              <ul>{own.map((each) => <Row key={each.id} stashed={each} longest={longest} onOpen={() => setOpen(each)} onLedger={() => setTraced(each)} />)}</ul>
            </section>
          )
        })}
      </main>
      {open && declarations && <MaterialForm stashed={open === "new" ? undefined : open} units={units} kinds={declarations.materials} onClose={() => setOpen(undefined)} />}
      {file === "in" && <TakeIn units={units} onClose={() => setFile(undefined)} />}
      {file === "shop" && <ShopDialog onClose={() => setFile(undefined)} />}
      {traced && <LedgerDialog stashed={stash.data?.find((each) => each.id === traced.id) ?? traced} units={units} onClose={() => setTraced(undefined)} />}
    </Page>
  )
}

interface Sheet { width: number; length: number; end_width?: number }

/** Pieces of cloth to scale, side by side, each with its length upright. */
function Sheets({ sheets, colour }: { sheets: Sheet[]; colour: string }) {
  const high = Math.max(...sheets.map((sheet) => sheet.length))
  const places = sheets.map((_, i) => sheets.slice(0, i).reduce((sum, sheet) => sum + Math.max(sheet.width, sheet.end_width ?? 0) + high * 0.12, 0))
  const wide = places.at(-1)! + Math.max(sheets.at(-1)!.width, sheets.at(-1)!.end_width ?? 0)
  return (
    <svg className="block max-w-full" style={{ height: 44 }} viewBox={`-0.5 -0.5 ${wide + 1} ${high + 1}`} aria-hidden="true">
      {sheets.map((sheet, i) => {
        const far = sheet.end_width ?? sheet.width
        const most = Math.max(sheet.width, far)
        const [left, end] = [places[i]! + (most - sheet.width) / 2, places[i]! + (most - far) / 2]
        return <polygon key={i} points={`${left},0 ${left + sheet.width},0 ${end + far},${sheet.length} ${end},${sheet.length}`} fill={colour} stroke="var(--color-base-content)" vectorEffect="non-scaling-stroke" />
      })}
    </svg>
  )
}

function Row({ stashed, longest, onOpen, onLedger }: { stashed: StashMaterial; longest: number; onOpen: () => void; onLedger: () => void }) {
  const { material, lengths, pieces } = stashed
  const size = (["width", "diameter"] as const).flatMap((name) => (lengths[name] ? [`${lengths[name]} ${name === "width" ? "wide" : "thick"}`] : []))
  const offers = (material.offers ?? []).map((offer, i) => `${offer.count !== undefined ? String(offer.count) : ["width", "length"].flatMap((side) => lengths[`offers.${i}.${side}`] ?? []).join(" by ")} for ${String(offer.price)}`)
  const hand = pieces.map((_, i) => lengths[`on_hand.${i}`])
  const sheets = (material.on_hand ?? []).filter((each): each is Sheet => typeof each === "object" && each !== null && typeof (each as Sheet).width === "number")
  const count = (material.on_hand ?? []).reduce<number>((sum, each) => sum + (typeof each === "number" && pieces.length === 0 ? each : 1), 0)
  return (
    <li className="grid grid-cols-[2.5rem_minmax(0,1fr)_auto] items-center gap-x-4 border-b border-base-300 py-2 sm:grid-cols-[2.5rem_minmax(0,1fr)_minmax(0,1fr)_auto]">
      <Swatch material={material} />
      <div>
        <h3 className="text-base">{material.name}</h3>
        <p className="text-sm text-quiet"><Prose>{[...size, ...offers].join(", ")}</Prose></p>
      </div>
      <div className="max-sm:col-start-2">
        {pieces.length > 0 && (
          <svg className="block w-full" style={{ height: pieces.length * 9 + 2 }} preserveAspectRatio="none" viewBox={`0 0 ${longest} ${pieces.length * 9 + 2}`} role="img" aria-label={`On hand: ${hand.join(", ")}`}>
            {pieces.map((piece, index) => <rect key={index} y={index * 9 + 1} width={piece} height="7" fill={colourOf(material)} stroke="var(--color-base-content)" vectorEffect="non-scaling-stroke" />)}
          </svg>
        )}
        {sheets.length > 0 && <Sheets sheets={sheets} colour={colourOf(material)} />}
        <p className="text-sm"><Prose>{sheets.length > 0 ? `${sheets.map((_, i) => ["width", "length"].map((side) => lengths[`on_hand.${i}.${side}`]).join(" by ")).join(", ")} on hand` : count === 0 ? "none on hand" : pieces.length > 0 ? `${hand.join(", ")} on hand` : `${count} ${count === 1 ? "piece" : "pieces"} on hand`}</Prose></p>
      </div>
      <span className="flex gap-2">
        <button type="button" className="plain-button" onClick={onLedger} aria-label={`Where it went: ${material.name}`}>Where it went</button>
        <button type="button" className="plain-button" onClick={onOpen} aria-label={`Change ${material.name}`}>Change</button>
      </span>
    </li>
  )
}
