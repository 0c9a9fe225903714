import { useMutation, useQueryClient } from "@tanstack/react-query"
import { Link, useNavigate } from "react-router"
import { answered, api, type Occasion } from "../keep/client"
import { askAgain } from "../keep/keys"
import { useOccasions, useWorkedOccasion } from "../keep/queries"
import { Deleted } from "../pieces/Deleted"
import { OnlyMakers } from "../pieces/ForMakers"
import { Page } from "../pieces/Page"
import { useUnits } from "../pieces/useUnits"
import { dayText, hoursText } from "./days"
import { money } from "../pieces/money"
import { Problem } from "../pieces/Problem"

/** All occasions: their day, how many wreaths, what is to be paid, and by when to buy. */
export function OccasionsScreen() {
  const [units, setUnits] = useUnits()
  const occasions = useOccasions()
  const queries = useQueryClient()
  const navigate = useNavigate()
  const begin = useMutation({
    mutationFn: async () =>
      answered(await api.POST("/occasions", { body: { name: "New occasion", units, occasion: {} } })),
    onSuccess: (occasion) => {
      void askAgain(queries, ["occasions"])
      void navigate(`/occasions/${occasion.id}`)
    },
  })
  return (
    <Page title="Occasions" units={units} onUnits={setUnits}>
      <main className="mx-auto max-w-5xl px-4 py-4 sm:px-6">
        <div className="flex items-baseline gap-4 pb-2">
          <h1 className="text-2xl">Occasions</h1>
          <OnlyMakers>
            <button
              type="button"
              className="btn btn-primary ml-auto"
              onClick={() => begin.mutate()}
              disabled={begin.isPending}
            >
              New occasion
            </button>
          </OnlyMakers>
        </div>
        {(occasions.isError || begin.isError) && <Problem>{(occasions.error ?? begin.error)?.message}</Problem>}
        {occasions.data?.length === 0 && (
          <p className="py-6 text-quiet">
            Hang several wreaths on one day: they are bought and cut together, and fitted into your evenings.
          </p>
        )}
        <ul>
          {occasions.data?.map((occasion) => (
            <Row key={occasion.id} occasion={occasion} />
          ))}
        </ul>
        <OnlyMakers>
          <Deleted shelf="occasions" />
        </OnlyMakers>
      </main>
    </Page>
  )
}

function Row({ occasion }: { occasion: Occasion }) {
  const worked = useWorkedOccasion(occasion.id).data?.worked
  return (
    <li className="flex flex-wrap items-baseline gap-x-6 border-b border-base-300 py-3">
      <h2 className="text-lg">
        <Link className="hover:underline" to={`/occasions/${occasion.id}`}>
          {occasion.name}
        </Link>
      </h2>
      <span>{occasion.occasion.day ? dayText(occasion.occasion.day) : "no day yet"}</span>
      {worked && (
        <span className="text-quiet">
          {worked.quantity} {worked.quantity === 1 ? "wreath" : "wreaths"}, {hoursText(worked.minutes)} at the bench
        </span>
      )}
      {worked && (
        <span className="ml-auto font-semibold">
          {money(worked.cost.to_pay ?? worked.cost.to_buy)} to pay
          {worked.dates && ` by ${dayText(worked.dates.buy_by)}`}
        </span>
      )}
    </li>
  )
}
