import type { CutBar, Material } from "../api/client"
import { colourOf } from "../drawing/Textures"
import { Prose } from "../pieces/Prose"
import type { StageProps } from "./WreathScreen"

/** What to cut from what: every length opened as a bar, its cuts in order, to scale. */
export function CutStage({ plan, worked, problems, bench, onTick, onStash, refused, id }: StageProps) {
  if (!worked) return null
  const done = worked.cut_sheet.filter((bar) => bench.ticks.includes(bar.id)).length
  const groups = worked.materials.map((material) => ({ material, bars: worked.cut_sheet.filter((bar) => bar.material === material.id) })).filter((group) => group.bars.length > 0)
  const sheets = (id: string) => plan.materials?.find((material) => material.id === id)
  return (
    <section aria-label="Cut">
      <div className="flex items-baseline gap-4">
        <h2 className="text-xl">Cut sheet</h2>
        {worked.cut_sheet.length > 0 && <span className="text-quiet">{done} of {worked.cut_sheet.length} ticked</span>}
        <span className="no-print ml-auto flex gap-2">
          <a className="plain-button" href={`/api/wreaths/${id}/cut-sheet.pdf?paper=${plan.units === "in" ? "letter" : "a4"}`} download>PDF</a>
          <a className="plain-button" href={`/api/wreaths/${id}/cut-sheet.csv`} download>CSV</a>
          <button type="button" className="plain-button" onClick={() => window.print()}>Print</button>
        </span>
      </div>
      {refused && <p role="alert" className="font-semibold text-error">{refused}</p>}
      {groups.length > 0 && problems.length === 0 && (
        <p className="no-print flex flex-wrap items-center gap-3 py-2">
          {bench.cut
            ? <><span className="font-semibold text-secondary">Cut: its material is out of the stash, the remnants are in it.</span><button type="button" className="plain-button" onClick={() => onStash()}>Take it back</button></>
            : <><button type="button" className="amber-button" onClick={() => onStash(worked.cut_sheet)}>I cut it</button><span className="text-sm text-quiet">Takes these lengths out of the stash and puts the remnants in.</span></>}
        </p>
      )}
      {groups.length === 0 && <p className="py-2 text-quiet">Nothing to cut yet: choose a covering first.</p>}
      {groups.map(({ material, bars }) => (
        <div key={material.id} className="pt-3">
          <h3 className="text-lg">{material.name}</h3>
          <p className="text-sm text-quiet">
            {count(bars)} {count(bars) === 1 ? "length" : "lengths"} opened{material.joins > 0 ? `, ${material.joins} ${material.joins === 1 ? "join" : "joins"}` : ""}. {material.optimal ? "Nobody could buy less for it." : `At least ${material.bound} whatever one does.`}
          </p>
          <ul>{bars.map((bar) => <Bar key={bar.id} bar={bar} ticked={bench.ticks.includes(bar.id)} onTick={(made) => onTick(bar.id, made)} longest={Math.max(...bars.map((each) => each.length))} material={sheets(material.id)} />)}</ul>
        </div>
      ))}
    </section>
  )
}

const count = (bars: CutBar[]) => bars.reduce((sum, bar) => sum + bar.times, 0)

interface BarProps { bar: CutBar; longest: number; material?: Material; ticked: boolean; onTick: (made: boolean) => void }

function Bar({ bar, longest, material, ticked, onTick }: BarProps) {
  const sheet = material?.kind === "fabric"
  return (
    <li className={`border-b border-base-300 py-2 ${ticked ? "line-through decoration-1" : ""}`}>
      <p className="flex items-center gap-3 text-sm">
        <input type="checkbox" className="checkbox checkbox-sm" checked={ticked} onChange={(event) => onTick(event.target.checked)} aria-label={`Cut: ${bar.from}, ${bar.says}`} />
        <span className="font-semibold first-letter:uppercase"><Prose>{`${bar.from}${sheet ? "" : `, ${bar.says}${bar.times > 1 ? " each, all alike" : ""}`}`}</Prose></span>
        <span className="ml-auto text-quiet"><Prose>{sheet ? "" : bar.left > 0 ? `${bar.left_says} left${bar.keep ? ", keep it" : ", scrap"}` : "used up"}</Prose></span>
      </p>
      {!sheet && (
        <svg className="my-1 block h-5 w-full" viewBox={`0 0 ${longest} 10`} preserveAspectRatio="none" aria-hidden="true">
          <rect width={bar.length} height="10" fill="none" stroke="var(--color-base-content)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
          {bar.cuts.flatMap((cut) => Array.from({ length: cut.count }, (_, i) => (
            <rect key={`${cut.at}.${i}`} x={cut.at + i * cut.length} width={cut.length} height="10" fill={cut.shape === "pieces" ? "var(--color-primary)" : colourOf(material)} stroke="var(--color-base-content)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
          )))}
        </svg>
      )}
      <p>{bar.cuts.map((cut, i) => <span key={i}>{i > 0 && "; "}<Prose>{cut.shape === "run" ? `${cut.says} for the ${cut.what}` : `${cut.count} ${cut.what} of ${cut.says}`}</Prose></span>)}</p>
    </li>
  )
}
