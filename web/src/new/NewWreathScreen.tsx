import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useCallback, useEffect, useRef, useState } from "react"
import { useNavigate } from "react-router"
import { CoveringsView } from "../coverings/CoveringsView"
import {
  answered,
  api,
  type ChangePlan,
  type Declarations,
  type Plan,
  type Settings,
  type Units,
} from "../keep/client"
import { askAgain } from "../keep/keys"
import { useDeclarations, useSettings } from "../keep/queries"
import { turned } from "../keep/turned"
import { Fetching } from "../pieces/Fetching"
import { Page } from "../pieces/Page"
import { useUnits } from "../pieces/useUnits"
import { QuickMaterial } from "../stash/QuickMaterial"
import { ChooseForm } from "./ChooseForm"
import { SizeForm } from "./SizeForm"
import { Problem } from "../pieces/Problem"

/**
 * A new wreath: which form, how large, what have you got? Nothing is kept before a covering is chosen, and leaving it
 * leaves nothing behind.
 */
export function NewWreathScreen() {
  const [units, setUnits] = useUnits()
  const declarations = useDeclarations().data
  const settings = useSettings().data
  const [plan, setPlan] = useState<Plan>()
  const latest = useRef<Plan>(undefined)
  const change = useCallback<ChangePlan>(
    (next) => setPlan((now) => (typeof next === "function" ? now && next(now) : next)),
    [],
  )
  useEffect(() => {
    latest.current = plan
  }, [plan])
  if (!declarations) return <Fetching what="New wreath" />
  const turn = async (next: Units) => {
    if (latest.current) setPlan(await turned(() => latest.current!, next))
    setUnits(next)
  }
  return (
    <Page title="New wreath" units={units} onUnits={(next) => void turn(next)}>
      <main className="mx-auto max-w-7xl px-4 py-4 sm:px-6">
        <h1 className="text-2xl">New wreath</h1>
        {plan ? (
          <Begun plan={plan} declarations={declarations} onPlan={change} onLeave={() => setPlan(undefined)} />
        ) : (
          <ChooseForm
            declarations={declarations}
            units={units}
            onChoose={(form) =>
              setPlan({
                format: "crisp-lantern/plan",
                version: 1,
                name: "New wreath",
                units,
                form,
                materials: [],
                ...begunWith(settings),
              })
            }
          />
        )}
      </main>
    </Page>
  )
}

/** What the maker has set for new wreaths, where that is not the usual. */
function begunWith(settings: Settings | undefined): Pick<Plan, "sureness" | "smallest_mark"> {
  return {
    ...(settings && settings.sureness !== "0.9" && { sureness: Number(settings.sureness) }),
    ...(settings?.smallest_mark && { smallest_mark: settings.smallest_mark }),
  }
}

interface BegunProps {
  plan: Plan
  declarations: Declarations
  onPlan: ChangePlan
  onLeave: () => void
}

/** The form is chosen: its sizes, and then what it can be covered with. */
function Begun({ plan, declarations, onPlan, onLeave }: BegunProps) {
  const [sized, setSized] = useState(false)
  const [adding, setAdding] = useState(false)
  const navigate = useNavigate()
  const queries = useQueryClient()
  const keep = useMutation({
    mutationFn: async (next: Plan) => answered(await api.POST("/wreaths", { body: { plan: next } })),
    onSuccess: (wreath) => {
      void askAgain(queries, ["wreaths"])
      void navigate(`/wreaths/${wreath.id}/cover`, { replace: true })
    },
  })
  const taken = new Set(declarations.coverings.filter(({ stage }) => stage === "cover").flatMap((each) => each.takes))
  // In the order in which the stash has them.
  const kinds = declarations.materials.flatMap(({ kind }) => (taken.has(kind) ? [kind] : []))
  return (
    <>
      <SizeForm
        plan={plan}
        declarations={declarations}
        sized={sized}
        onPlan={onPlan}
        onBack={() => (sized ? setSized(false) : onLeave())}
        onNext={() => setSized(true)}
      />
      {keep.isError && <Problem>{keep.error.message}</Problem>}
      {sized && (
        <section aria-label="What have you got?" className="-mx-4 pt-3 sm:-mx-6">
          <p className="flex flex-wrap items-baseline gap-4 px-4 sm:px-6">
            <span className="text-quiet">What your stash can make on it, and what it would cost.</span>
            <button type="button" className="link" onClick={() => setAdding(true)}>
              Add a material…
            </button>
          </p>
          <CoveringsView plan={plan} onChoose={(next) => keep.mutate(next)} stay />
        </section>
      )}
      {adding && (
        <QuickMaterial
          kinds={kinds}
          units={plan.units}
          beside={plan.materials}
          // What was just added is what the wreath is to be made of.
          onAdded={(material) => onPlan((now) => ({ ...now, materials: [material, ...(now.materials ?? [])] }))}
          onClose={() => setAdding(false)}
        />
      )}
    </>
  )
}
