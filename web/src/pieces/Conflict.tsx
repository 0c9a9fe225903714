import { Dialog } from "./Dialog"

interface Props {
  /** What was changed in two places. */
  what: string
  mine: string
  theirs: string
  onSettle: (whose: "mine" | "theirs") => void
}

/** Two of one thing: both are still there, and the maker says which goes on. */
export function Conflict({ what, mine, theirs, onSettle }: Props) {
  const sides = [
    { says: "Yours", holds: mine },
    { says: "Theirs", holds: theirs },
  ]
  return (
    <Dialog title={`This ${what} was changed somewhere else`} onClose={() => {}}>
      <p>It was saved elsewhere while you were changing it here. Both are still there; choose which goes on.</p>
      <dl className="grid grid-cols-2 gap-4 py-3">
        {sides.map((side) => (
          <div key={side.says}>
            <dt className="font-semibold">{side.says}</dt>
            <dd>{side.holds}</dd>
          </div>
        ))}
      </dl>
      <p className="flex gap-3">
        <button type="button" className="amber-button" onClick={() => onSettle("mine")}>
          Go on with mine
        </button>
        <button type="button" className="plain-button" onClick={() => onSettle("theirs")}>
          Take theirs
        </button>
      </p>
    </Dialog>
  )
}
