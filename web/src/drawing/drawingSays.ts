import type { Material, WorkedPlan } from "../keep/client"

/** What a drawing shows, for who cannot see it: a sentence a layer. */
export function drawingSays(worked: WorkedPlan, materials: Material[], side: "front" | "back"): string {
  const name = (id: string) => materials.find((material) => material.id === id)?.name ?? id
  const layers = worked.layers.map(({ id, title }) => {
    const lies = worked.drawing.layers.filter((lie) => lie.layer === id && lie.unit !== "pinches")
    const seen = lies.filter((lie) => lie[side].length > 0).map((lie) => `${lie[side].length} ${lie.what}`)
    const made = [...new Set(lies.flatMap((lie) => lie.materials))].map(name)
    return `${title}: ${seen.join(", ") || "not seen from here"}${made.length > 0 ? `, of ${made.join(" and ")}` : ""}.`
  })
  return [`${worked.name}, seen from the ${side}.`, ...(layers.length > 0 ? layers : ["The bare form."])].join(" ")
}
