import { useState } from "react"
import { useNavigate } from "react-router"
import type { Compared, Material, Plan } from "../keep/client"
import { useDeclarations } from "../keep/queries"
import { useQuestion } from "../keep/useQuestion"
import { Thumbnail } from "../drawing/Thumbnail"
import { Dialog } from "../pieces/Dialog"
import { Prose } from "../pieces/Prose"
import { covered, withMaterials } from "../wreath/layers"
import { useKnownMaterials } from "../wreath/useKnownMaterials"
import { SideBySide } from "./SideBySide"
import { percent } from "../pieces/money"
import { duration } from "../pieces/duration"
import { toPay } from "./takes"
import { Problem } from "../pieces/Problem"

const orders: Record<string, { says: string; by: (a: Compared, b: Compared) => number }> = {
  cost: {
    says: "Least to pay",
    by: (a, b) =>
      Number(a.short) - Number(b.short) || Number(a.to_buy) - Number(b.to_buy) || (a.minutes ?? 0) - (b.minutes ?? 0),
  },
  stash: {
    says: "From the stash first",
    by: (a, b) =>
      Number(b.enough_on_hand) - Number(a.enough_on_hand) ||
      (b.chance_enough ?? 0) - (a.chance_enough ?? 0) ||
      Number(a.to_buy) - Number(b.to_buy),
  },
  time: { says: "Quickest", by: (a, b) => (a.minutes ?? 0) - (b.minutes ?? 0) },
  length: { says: "Least material", by: (a, b) => (a.length ?? 0) - (b.length ?? 0) },
  name: { says: "By name", by: (a, b) => a.title.localeCompare(b.title) },
}

interface ViewProps {
  plan: Plan
  onChoose: (plan: Plan) => void
  /** Whoever chose goes on from here by themselves. */
  stay?: boolean
}

/** What the coverings follow from: the plan's own layers only say which material is liked. */
const followed = ({ form, units, quantity, sureness, materials }: Plan) => [
  form,
  units,
  quantity,
  sureness,
  materials,
]

/** Every covering on the maker's own form, drawn small, with what it takes; and why some do not suit. */
export function CoveringsView({ plan, onChoose, stay }: ViewProps) {
  const [order, setOrder] = useState("cost")
  const [picked, setPicked] = useState<string[]>([])
  const { data, isError, error } = useQuestion("/ask/coverings", plan, followed(plan))
  const navigate = useNavigate()
  const declarations = useDeclarations().data
  const known = useKnownMaterials(plan)
  const suits = data?.coverings.filter((each) => each.suits).sort(orders[order]!.by)
  const choose = (each: Compared) => {
    onChoose(withMaterials(covered(plan, each.layer!, declarations?.coverings ?? []), known))
    if (!stay) void navigate("../cover", { relative: "path" })
  }
  const pick = (method: string) =>
    setPicked((before) =>
      before.includes(method) ? before.filter((each) => each !== method) : [...before.slice(-1), method],
    )
  const pair = picked
    .map((method) => suits?.find((each) => each.method === method))
    .filter((each) => each !== undefined)
  const entries = (some: Compared[]) => (
    <ul className="grid gap-x-8 md:grid-cols-2 xl:grid-cols-3">
      {some.map((each) => (
        <Entry
          key={each.method}
          compared={each}
          known={known}
          current={plan.layers?.[0]?.method === each.method}
          picked={picked.includes(each.method)}
          onPick={() => pick(each.method)}
          onChoose={() => choose(each)}
        />
      ))}
    </ul>
  )
  return (
    <section
      aria-label="Coverings on your form"
      className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 sm:px-6"
      tabIndex={0}
    >
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 pb-1">
        <h2 className="text-xl">Coverings on your form</h2>
        <label className="flex items-center gap-2">
          In order
          <select className="select w-52 text-left" value={order} onChange={(event) => setOrder(event.target.value)}>
            {Object.entries(orders).map(([name, { says }]) => (
              <option key={name} value={name}>
                {says}
              </option>
            ))}
          </select>
        </label>
        <span className="text-sm text-quiet">Tick two to see them side by side.</span>
      </div>
      {isError && <Problem>{error.message}</Problem>}
      {!data && !isError && (
        <p aria-busy="true" className="text-quiet">
          Covering the form in every way…
        </p>
      )}
      {suits && entries(suits.filter(({ covers }) => covers))}
      {suits?.some(({ covers }) => !covers) && (
        <>
          <h3 className="pt-4 text-lg">These leave the form to be seen</h3>
          {entries(suits.filter(({ covers }) => !covers))}
        </>
      )}
      {data?.coverings.some((each) => !each.suits) && (
        <>
          <h3 className="pt-4 text-lg">Not on this form</h3>
          <dl className="grid gap-x-8 text-sm md:grid-cols-2">
            {data.coverings
              .filter((each) => !each.suits)
              .map((each) => (
                <div key={each.method} className="border-b border-dotted border-base-300 py-1">
                  <dt className="inline font-semibold">{each.title}: </dt>
                  <dd className="inline text-quiet">
                    <Prose>{each.why?.join(" ") ?? ""}</Prose>
                  </dd>
                </div>
              ))}
          </dl>
        </>
      )}
      {pair.length === 2 && (
        <Dialog title="Side by side" wide="yes" onClose={() => setPicked([])}>
          <SideBySide pair={[pair[0]!, pair[1]!]} known={known} onChoose={choose} />
        </Dialog>
      )}
    </section>
  )
}

interface EntryProps {
  compared: Compared
  known: Material[]
  current: boolean
  picked: boolean
  onPick: () => void
  onChoose: () => void
}

function Entry({ compared, known, current, picked, onPick, onChoose }: EntryProps) {
  return (
    <li className="flex gap-3 border-b border-base-300 py-2">
      <div className="h-28 w-28 shrink-0">
        <Thumbnail drawing={compared.drawing!} materials={known} label={`${compared.title} on this form`} />
      </div>
      <div className="flex min-w-0 flex-1 flex-col">
        <h3 className="text-base">{compared.title}</h3>
        <p className="text-sm text-quiet">
          {compared.materials?.join(", ")}
          {compared.length_says && ", "}
          <Prose>{compared.length_says ?? ""}</Prose>
        </p>
        <p className="text-sm">
          <strong>{toPay(compared)}</strong>, {duration(compared.minutes ?? 0)}
          {compared.chance_enough! < 0.995 && `, ${percent(compared.chance_enough!)} sure`}
        </p>
        <p className="mt-auto flex items-center gap-4">
          {current ? (
            <span className="py-1 text-sm font-semibold text-secondary">On your plan</span>
          ) : (
            <button type="button" className="link" onClick={onChoose} aria-label={`Take this: ${compared.title}`}>
              Take this
            </button>
          )}
          <label className="flex items-center gap-1.5 text-sm">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={picked}
              onChange={onPick}
              aria-label={`Compare ${compared.title}`}
            />
            Compare
          </label>
        </p>
      </div>
    </li>
  )
}
