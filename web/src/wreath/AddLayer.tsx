import type { Compared, Covering, Material, Plan, PlanLayer } from "../keep/client"
import { useQuestion } from "../keep/useQuestion"
import { Thumbnail } from "../drawing/Thumbnail"
import { Dialog } from "../pieces/Dialog"
import { Problem } from "../pieces/Problem"

interface Props {
  plan: Plan
  known: Material[]
  offered: Covering[]
  /** With the material that suits it, where there is any. */
  onAdd: (covering: Covering, layer?: PlanLayer) => void
  onClose: () => void
}

/** Which layer is to be laid on top: each as it would look on this form. */
export function AddLayer({ plan, known, offered, onAdd, onClose }: Props) {
  const { data, error } = useQuestion("/ask/coverings", plan)
  const choose = (each: Compared) => {
    const covering = offered.find(({ method }) => method === each.method)
    if (covering) onAdd(covering, each.layer)
    onClose()
  }
  const of = (what: "asks" | "lacks") => data?.coverings.filter((each) => each[what]) ?? []
  return (
    <Dialog title="Which layer?" wide="yes" onClose={onClose}>
      {error && <Problem>{error.message}</Problem>}
      {!data && !error && (
        <p aria-busy="true" className="text-quiet">
          Covering the form in every way…
        </p>
      )}
      <ul className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        {data?.coverings
          .filter(({ suits }) => suits)
          .map((each) => (
            <li key={each.method}>
              <button
                type="button"
                className="flex w-full cursor-pointer flex-col items-center gap-1 border-b border-base-300 p-2 text-sm
                  hover:border-primary"
                onClick={() => choose(each)}
              >
                <span className="h-24 w-24" aria-hidden="true">
                  <Thumbnail drawing={each.drawing!} materials={known} label="" />
                </span>
                {each.title}
              </button>
            </li>
          ))}
      </ul>
      <Others says="These ask for a size first" coverings={of("asks")} onChoose={choose} />
      <Others says="Nothing in the stash for these yet" coverings={of("lacks")} onChoose={choose} />
    </Dialog>
  )
}

interface OthersProps {
  says: string
  coverings: Compared[]
  onChoose: (covering: Compared) => void
}

/** Those that cannot be drawn before something else is there. */
function Others({ says, coverings, onChoose }: OthersProps) {
  if (coverings.length === 0) return null
  return (
    <>
      <h3 className="pt-4 text-lg">{says}</h3>
      <p className="flex flex-wrap gap-3 pt-2">
        {coverings.map((each) => (
          <button key={each.method} type="button" className="btn" onClick={() => onChoose(each)}>
            {each.title}
          </button>
        ))}
      </p>
    </>
  )
}
