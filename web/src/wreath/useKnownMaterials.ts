import { useMemo } from "react"
import type { Plan } from "../keep/client"
import { useStash } from "../keep/queries"
import { knownMaterials } from "./layers"

/** What a plan can be made of: its own materials, and those of the stash. */
export function useKnownMaterials({ units, materials }: Plan) {
  const stash = useStash(units).data
  return useMemo(() => knownMaterials({ materials }, stash ?? []), [materials, stash])
}
