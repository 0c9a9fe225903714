import { useSearchParams } from "react-router"
import { useOccasionWreaths, useWorkedOccasion } from "../keep/queries"

export interface OneRound {
  /** The step that all wreaths of the occasion are at. */
  step: string
  /** Where it goes on when this wreath’s step is done, and what that is called. */
  to: string
  says: string
  /** The steps of all of them. */
  back: string
  /** "wreath 2 of 5". */
  place: string
}

/** When one step is done for all wreaths of an occasion: which wreath comes next. */
export function useRound(wreath: number): OneRound | undefined {
  const [said] = useSearchParams()
  const occasion = Number(said.get("occasion"))
  const step = said.get("step")
  const worked = useWorkedOccasion(occasion || undefined).data?.worked
  const planned = useOccasionWreaths(occasion || undefined)
  const round = worked?.rounds.find(({ key }) => key === said.get("round"))
  if (!round || !step || !planned) return undefined
  const here = round.steps.findIndex((each) => planned[each.number - 1] === wreath)
  if (here < 0) return undefined
  const next = round.steps[here + 1]
  const place = `wreath ${here + 1} of ${round.steps.length} at this step`
  const back = `/occasions/${occasion}?part=bench`
  if (!next) return { step, to: back, back, says: "Done for all: choose the next step", place }
  const query = new URLSearchParams({ step: next.step, occasion: String(occasion), round: round.key })
  return {
    step,
    to: `/wreaths/${planned[next.number - 1]}/bench?${query}`,
    says: `Next wreath: ${worked?.hand_out[next.number - 1]?.wreath}`,
    back,
    place,
  }
}
