import { useQuery } from "@tanstack/react-query"
import { useEffect, type ReactNode } from "react"
import { Link, useParams } from "react-router"
import { isMissing, type Problem, type WorkedPlan, type Wreath } from "../keep/client"
import { keys } from "../keep/keys"
import { askForWreath, useWork } from "../keep/queries"
import { useSheetsKept } from "../keep/useSheetsKept"
import { AtTheBench } from "./AtTheBench"

/** A wreath at the bench: one step at a time, one big counter, nothing lost. */
export function BenchScreen() {
  const { id } = useParams()
  return (
    <ToBeMade key={id} id={Number(id)} called="Bench">
      {(wreath, worked) => <AtTheBench wreath={wreath} worked={worked} />}
    </ToBeMade>
  )
}

interface Props {
  id: number
  /** What the screen is called in the window’s title. */
  called: string
  children: (wreath: Wreath, worked: WorkedPlan) => ReactNode
}

/** A wreath that can be made, and what is worked out of it; else why there is none. */
export function ToBeMade({ id, called, children }: Props) {
  const { data: wreath, error } = useQuery({
    queryKey: keys.wreath(id),
    staleTime: Infinity,
    refetchOnMount: "always",
    // The server may be away for as long as it likes; what is not there does not come.
    retry: (_, error) => !isMissing(error),
    queryFn: () => askForWreath(id),
  })
  const work = useWork(wreath?.plan, id).data
  useSheetsKept(id)
  useEffect(() => {
    document.title = `${called}: ${wreath?.name ?? "wreath"} · Crisp Lantern`
  }, [called, wreath?.name])
  if (isMissing(error)) return <NotHere />
  if (!wreath || !work) {
    return (
      <main className="p-6" aria-busy="true">
        <h1 className="text-2xl">Laying out the bench…</h1>
      </main>
    )
  }
  if (!work.worked) return <CannotBeMade id={id} problems={work.problems} />
  return children(wreath, work.worked)
}

function NotHere() {
  return (
    <main className="p-6">
      <h1 className="text-2xl">This wreath is not here</h1>
      <p className="pt-3">
        It may have been deleted.{" "}
        <Link className="underline" to="/">
          All wreaths
        </Link>
      </p>
    </main>
  )
}

function CannotBeMade({ id, problems }: { id: number; problems: Problem[] }) {
  return (
    <main className="p-6">
      <h1 className="text-2xl">This wreath cannot be made yet</h1>
      <ul>
        {problems.map((problem) => (
          <li key={problem.at + problem.says}>{problem.says}</li>
        ))}
      </ul>
      <p className="pt-3">
        <Link className="btn btn-primary" to={`/wreaths/${id}/cover`}>
          Back to the plan
        </Link>
      </p>
    </main>
  )
}
