import { useMutation, useQueryClient } from "@tanstack/react-query"
import { memo } from "react"
import { Link, useNavigate } from "react-router"
import { answered, api, type ListedWreath } from "../keep/client"
import { askAgain } from "../keep/keys"
import { useSummary } from "../keep/queries"
import { money } from "../pieces/money"
import { Prose } from "../pieces/Prose"
import { nextOf } from "./listing"
import { Picture } from "./Picture"
import { Problem } from "../pieces/Problem"

interface Props {
  wreath: ListedWreath
  group: string
  /** Whether it can be changed, and not only looked at. */
  maker: boolean
}

/** One wreath in the list: its picture, what it is, and what becomes of it. */
export const WreathRow = memo(function WreathRow(props: Props) {
  return props.wreath.summary ? <Row {...props} summary={props.wreath.summary} /> : <AskedRow {...props} />
})

/** One whose line was not worked when the list was made. */
function AskedRow(props: Props) {
  return <Row {...props} summary={useSummary(props.wreath)} />
}

function Row({ wreath, group, maker, summary }: Props & { summary: ListedWreath["summary"] }) {
  const to = `/wreaths/${wreath.id}/${maker ? "cover" : "cut"}`
  const next = maker && !wreath.put_away ? nextOf({ ...wreath, summary }) : undefined
  const problem = wreath.problem ?? summary?.problem
  return (
    <>
      {group && (
        <li className="col-span-full pt-4">
          <p className="font-display text-lg font-bold">{group}</p>
        </li>
      )}
      <li className="flex min-h-38 items-center gap-4 border-b border-base-300 py-3 max-sm:min-h-42">
        <Link to={to} className="h-32 w-32 shrink-0" tabIndex={-1} aria-hidden="true">
          {summary && !problem && <Picture src={`/api/wreaths/${wreath.id}/thumbnail.webp?of=${wreath.picture}`} />}
        </Link>
        <div className="min-w-0 flex-1">
          <h2 className="text-lg leading-snug">
            <Link className="hover:underline" to={to}>
              {wreath.name}
            </Link>
          </h2>
          {summary?.says && <Answers summary={summary} />}
          {problem && (
            <p className="text-sm">
              <span className="font-semibold text-error">Cannot be worked yet: </span>
              <Prose>{problem}</Prose>
            </p>
          )}
          {maker && (
            <div className="flex flex-wrap items-center gap-x-5 gap-y-1 pt-1">
              {next && (
                <Link className="btn btn-primary btn-sm" to={next.to} aria-label={`${next.says}: ${wreath.name}`}>
                  {next.says}
                </Link>
              )}
              <Actions wreath={wreath} />
            </div>
          )}
        </div>
      </li>
    </>
  )
}

function Answers({ summary }: { summary: NonNullable<ListedWreath["summary"]> }) {
  const pay = Number(summary.to_buy) > 0
  const verdict = summary.short ? "Not enough" : pay ? `${money(summary.to_buy)} to pay` : "The stash is enough"
  const weight = summary.short ? "text-error" : pay ? "" : "text-secondary"
  return (
    <>
      <p className="text-sm text-quiet">
        <Prose>{summary.says ?? ""}</Prose>
      </p>
      <p className="pt-1">
        <span className={`font-semibold ${weight}`}>{verdict}</span>
        {summary.figures?.map((figure) => (
          <span key={figure} className="text-quiet">
            {" "}
            · <Prose>{figure}</Prose>
          </span>
        ))}
      </p>
    </>
  )
}

/** Copied, with the copy opened; put away and brought back; or deleted, and brought back from the bin. */
function Actions({ wreath }: { wreath: ListedWreath }) {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const path = { id: wreath.id }
  const act = useMutation({ mutationFn: (doing: () => Promise<void>) => doing() })
  const copy = async () => {
    const { plan } = answered(await api.GET("/wreaths/{id}", { params: { path } }))
    const made = answered(await api.POST("/wreaths", { body: { plan: { ...plan, name: `${wreath.name}, a copy` } } }))
    void askAgain(queries, ["wreaths"])
    void navigate(`/wreaths/${made.id}/cover`)
  }
  // Refused or not, what is there now is asked for.
  const remove = async () => {
    const params = { path, query: { version: wreath.version } }
    const outcome = await api.DELETE("/wreaths/{id}", { params })
    await askAgain(queries, ["wreaths", "bin"])
    answered(outcome)
  }
  const putAway = async () => {
    const outcome = await api.PUT("/wreaths/{id}/put-away", {
      params: { path },
      body: { put_away: !wreath.put_away },
    })
    await askAgain(queries, ["wreaths"])
    answered(outcome)
  }
  return (
    <p className="flex flex-wrap gap-4 text-sm text-quiet">
      <button type="button" className="link" onClick={() => act.mutate(copy)} aria-label={`Copy ${wreath.name}`}>
        Copy
      </button>
      <button
        type="button"
        className="link"
        onClick={() => act.mutate(putAway)}
        aria-label={`${wreath.put_away ? "Bring back" : "Put away"} ${wreath.name}`}
      >
        {wreath.put_away ? "Bring back" : "Put away"}
      </button>
      <button type="button" className="link" onClick={() => act.mutate(remove)} aria-label={`Delete ${wreath.name}`}>
        Delete
      </button>
      {act.isError && <Problem inline>{act.error.message}</Problem>}
    </p>
  )
}
