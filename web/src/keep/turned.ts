import { answered, api, type Plan, type Units } from "./client"

/** A plan in other units. What is typed while the server turns it is not lost: then it is turned anew. */
export async function turned(latest: () => Plan, to: Units): Promise<Plan> {
  for (;;) {
    const plan = latest()
    const next = answered(await api.POST("/ask/units", { body: { plan, to } }))
    if (latest() === plan) return next
  }
}
