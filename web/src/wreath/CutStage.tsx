import { CutLength } from "../cut/CutLength"
import { openedSays } from "../cut/cutSays"
import { SendPicture } from "../cut/SendPicture"
import { Fold } from "../pieces/Fold"
import { FieldControl } from "../pieces/FieldControl"
import { ForMakers } from "../pieces/ForMakers"
import { useIsMaker } from "../keep/queries"
import { useSheetsKept } from "../keep/useSheetsKept"
import { put, valueAt } from "./places"
import type { StageProps } from "./stageProps"
import { Problem } from "../pieces/Problem"

/** What to cut from what: every length opened as a bar, its cuts in order, to scale. */
export function CutStage({
  plan,
  worked,
  problems,
  declarations,
  bench,
  onChange,
  onTick,
  onStash,
  refused,
  id,
}: StageProps) {
  const maker = useIsMaker()
  useSheetsKept(id)
  if (!worked) return null
  const done = worked.cut_sheet.filter((bar) => bench.ticks.includes(bar.id)).length
  const groups = worked.materials
    .map((material) => ({ material, bars: worked.cut_sheet.filter((bar) => bar.material === material.id) }))
    .filter((group) => group.bars.length > 0)
  const sheets = (id: string) => plan.materials?.find((material) => material.id === id)
  return (
    <section aria-label="Cut">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <h2 className="text-xl">Cut sheet</h2>
        {worked.cut_sheet.length > 0 && (
          <span className="text-quiet">
            {done} of {worked.cut_sheet.length} ticked
          </span>
        )}
        <span className="no-print ml-auto flex flex-wrap gap-2">
          <a className="btn" href={`/api/wreaths/${id}/cut-sheet.pdf`} download>
            PDF
          </a>
          <a className="btn" href={`/api/wreaths/${id}/pattern-card.pdf`} download>
            Pattern card
          </a>
          <SendPicture id={id} />
          <a className="btn" href={`/api/wreaths/${id}/cut-sheet.csv`} download>
            CSV
          </a>
          <button type="button" className="btn" onClick={() => window.print()}>
            Print
          </button>
        </span>
      </div>
      {refused && <Problem>{refused}</Problem>}
      {maker && groups.length > 0 && problems.length === 0 && (
        <p className="no-print flex flex-wrap items-center gap-3 py-2">
          {bench.cut ? (
            <>
              <span className="font-semibold text-secondary">
                Cut: its material is out of the stash, the remnants are in it.
              </span>
              <button type="button" className="btn" onClick={() => onStash()}>
                Take it back
              </button>
            </>
          ) : (
            <>
              <button type="button" className="btn btn-primary" onClick={() => onStash(worked.cut_sheet)}>
                I cut it
              </button>
              <span className="text-sm text-quiet">
                Takes these lengths out of the stash and puts the remnants in.
              </span>
            </>
          )}
        </p>
      )}
      <ForMakers quiet>
        <Fold
          className="no-print"
          summary="How sure, and how fine"
          urgent={problems.some((problem) => /^(sureness|smallest)/.test(problem.at))}
        >
          {declarations.cutting.map((field) => (
            <FieldControl
              key={field.name}
              field={field}
              place={field.name}
              value={valueAt(plan, field.name)}
              understood={problems.length > 0 ? undefined : worked.lengths[field.name]}
              fallback={field.default === undefined ? undefined : String(field.default)}
              problem={problems.find((problem) => problem.at === field.name)?.says}
              onChange={(value) => onChange(put(plan, field.name, value))}
            />
          ))}
        </Fold>
      </ForMakers>
      {groups.length === 0 && <p className="py-2 text-quiet">Nothing to cut yet: choose a covering first.</p>}
      {groups.map(({ material, bars }) => (
        <div key={material.id} className="pt-3">
          <h3 className="text-lg">{material.name}</h3>
          <p className="text-sm text-quiet">{openedSays(bars, material)}</p>
          <ul>
            {bars.map((bar) => (
              <CutLength
                key={bar.id}
                bar={bar}
                ticked={bench.ticks.includes(bar.id)}
                onTick={(made) => onTick(bar.id, made)}
                longest={Math.max(...bars.map((each) => each.length))}
                material={sheets(material.id)}
              />
            ))}
          </ul>
        </div>
      ))}
    </section>
  )
}
