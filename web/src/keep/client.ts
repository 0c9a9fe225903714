import createClient from "openapi-fetch"
import type { components, paths } from "./schema"
import { send } from "./sending"
import { hasMoved, ownHeaders } from "./workshop"

export const api = createClient<paths>({ baseUrl: "/api", fetch: asked })

/** Asks as the workshop that this screen is in. */
async function asked(request: Request): Promise<Response> {
  for (const [name, value] of Object.entries(ownHeaders())) request.headers.set(name, value)
  const response = await send(request)
  hasMoved(response)
  return response
}

type Schemas = components["schemas"]
export type Plan = Schemas["Plan"]
/** Changes a plan: to another, or to what becomes of the one that is there when it is called. */
export type ChangePlan = (next: Plan | ((now: Plan) => Plan)) => void
export type PlanLayer = Schemas["PlanLayer"]
export type Material = Schemas["Material"]
export type StashMaterial = Schemas["StashMaterial"]
export type Wreath = Schemas["Wreath"]
export type Account = Schemas["Account"]
export type Role = Schemas["Role"]
export type Membership = Schemas["Membership"]
export type Workshop = Schemas["Workshop"]
export type ListedWreath = Schemas["ListedWreath"]
export type WorkedPlan = Schemas["WorkedPlan"]
export type Coverage = Schemas["Coverage"]
export type WorkedLayer = Schemas["WorkedLayer"]
export type WorkedMaterial = Schemas["WorkedMaterial"]
export type WorkingLine = Schemas["WorkingLine"]
export type Finding = Schemas["Finding"]
export type Settings = Schemas["Settings"]
export type Revisions = Schemas["Revisions"]
export type Notebook = Schemas["Notebook"]
export type Advice = Schemas["Advice"]
export type PhotoSizes = Schemas["PhotoSizes"]
export type Problem = Schemas["Problem"]
export type Field = Schemas["Field"]
export type Covering = Schemas["Covering"]
export type Declarations = Schemas["Declarations"]
export type Drawing = Schemas["Drawing"]
export type Lie = Schemas["Lie"]
export type Look = Schemas["Look"]
export type Mark = Schemas["Mark"]
export type Texture = Schemas["Texture"]
export type CutBar = Schemas["CutBar"]
export type Bench = Schemas["Bench"]
export type Step = Schemas["Step"]
export type Make = Schemas["Make"]
export type Learned = Schemas["Learned"]
export type LedgerEntry = Schemas["Entry"]
export type Shop = Schemas["Shop"]
export type Occasion = Schemas["Occasion"]
export type WorkedOccasion = Schemas["WorkedOccasion"]
export type Compared = Schemas["Compared"]
export type Bare = Schemas["Bare"]
export type TapeFigure = Schemas["TapeFigure"]
export type Units = Schemas["Units"]
export type Place = Schemas["Place"]
export type KeptPlace = Schemas["KeptPlace"]
export type OnDoor = Schemas["OnDoor"]
export type StageKey = Schemas["StageKey"]
export type ShownMove = Schemas["ShownMove"]
export type MoveFrame = Schemas["MoveFrame"]

/** Where a question of the contract is asked, what is sent, and what is answered. */
export type QuestionPath = Extract<keyof paths, `/ask/${string}`>
type Question<P extends QuestionPath> = paths[P]["post"]
export type Asked<P extends QuestionPath> =
  Question<P> extends { requestBody: { content: { "application/json": infer Sent } } } ? Sent : never
export type Answer<P extends QuestionPath> =
  Question<P> extends { responses: { 200: { content: { "application/json": infer Said } } } } ? Said : never

/** Asks a question; its problems are thrown. */
export async function ask<P extends QuestionPath>(path: P, body: Asked<P>, signal?: AbortSignal): Promise<Answer<P>> {
  const headers = { "content-type": "application/json" }
  const response = await asked(
    new Request(`/api${path}`, { method: "POST", headers, body: JSON.stringify(body), signal }),
  )
  const answer: unknown = await response.json().catch(() => undefined)
  if (!response.ok) throw new Refusal(problemsOf(answer), response.status)
  return answer as Answer<P>
}

/** What a call that failed had to say, as problems. */
export class Refusal extends Error {
  constructor(
    readonly problems: Problem[],
    readonly status = 0,
  ) {
    super(problems.map((problem) => problem.says).join(" "))
  }
}

/** Whether a call failed because nobody is signed in. */
export const isStranger = (error: unknown) => error instanceof Refusal && error.status === 401

/** Whether a call failed because so much was being worked out just then. */
export const isBusy = (error: unknown) => error instanceof Refusal && error.status === 503

/** Whether a call failed because there is no such thing. */
export const isMissing = (error: unknown) => error instanceof Refusal && error.status === 404

/** The answer of a call, or its problems thrown. */
export function answered<T>(result: { data?: T; error?: unknown; response: Response }): T {
  if (result.data !== undefined) return result.data
  throw new Refusal(problemsOf(result.error), result.response.status)
}

export function problemsOf(error: unknown): Problem[] {
  if (typeof error === "object" && error !== null && "problems" in error)
    return (error as { problems: Problem[] }).problems
  return [{ at: "", says: "The server did not answer. What is on this screen is kept; try again in a moment." }]
}

/** The same in one line. */
export const saysOf = (error: unknown) =>
  problemsOf(error)
    .map(({ says }) => says)
    .join(" ")
