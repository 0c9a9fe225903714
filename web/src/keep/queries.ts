import { keepPreviousData, queryOptions, useQuery, type QueryClient } from "@tanstack/react-query"
import { useMemo } from "react"
import { again, later } from "./again"
import {
  answered,
  api,
  ask,
  type ListedWreath,
  type Plan,
  type Problem,
  type Units,
  type WorkedOccasion,
  type WorkedPlan,
  type Wreath,
} from "./client"
import { followed, isToBeLookedAt } from "./followed"
import { hashOnce } from "./hashOnce"
import { keys } from "./keys"
import { lately, latelyOf, noteLately, seenLately } from "./lately"

/** What was asked for so many milliseconds ago need not be asked again. */
export const JUST_ASKED = 2000
/** How often it is asked whether anything was changed, in milliseconds. */
const LOOK_AGAIN = 4000

export const declarationsQuery = queryOptions({
  queryKey: keys.declarations(),
  staleTime: Infinity,
  queryFn: () => lately("declarations", async () => answered(await api.GET("/declarations"))),
})

export const useDeclarations = () => useQuery(declarationsQuery)

/** How one of the hand's moves goes. It is asked for when it is looked at, and stays on the device. */
export const moveQuery = (key: string) =>
  queryOptions({
    queryKey: keys.move(key),
    staleTime: Infinity,
    queryFn: () =>
      lately(`move ${key}`, async () => answered(await api.GET("/moves/{key}", { params: { path: { key } } }))),
  })

/** Who is signed in, where one has to be. */
export const useAccount = () =>
  useQuery({
    queryKey: keys.account(),
    staleTime: Infinity,
    queryFn: () => lately("account", async () => answered(await api.GET("/account"))),
  })

/** Whether who is here may change what is made: where nobody signs in, whoever is there; else a maker. */
export const useIsMaker = () => (useAccount().data?.workshop?.role ?? "maker") === "maker"

/** The workshop that this device is in, and who works in it. */
export const useWorkshop = () =>
  useQuery({ queryKey: keys.workshop(), queryFn: async () => answered(await api.GET("/workshop")) })

/** All workshops that the account is in. */
export const useWorkshops = () =>
  useQuery({ queryKey: keys.workshops(), queryFn: async () => answered(await api.GET("/workshops")).workshops })

/** Where the account is signed in. */
export const useDevices = () =>
  useQuery({
    queryKey: keys.devices(),
    queryFn: async () => answered(await api.GET("/account/devices")).devices,
  })

export const settingsQuery = queryOptions({
  queryKey: keys.settings(),
  staleTime: Infinity,
  queryFn: () => lately("settings", async () => answered(await api.GET("/settings"))),
})

export const useSettings = () => useQuery(settingsQuery)

export const useWreaths = () =>
  useQuery({ queryKey: keys.wreaths(), queryFn: async () => answered(await api.GET("/wreaths")).wreaths })

/** All wreaths as a list shows them. */
export const wreathListQuery = queryOptions({
  queryKey: keys.wreathList(),
  queryFn: async () => answered(await api.GET("/wreaths/list")),
})

export const useWreathList = () => useQuery({ ...wreathListQuery, staleTime: JUST_ASKED })

/** A wreath in a line: as the list knows it, or as it is worked now. */
export const useSummary = ({ id, digest, summary, problem }: ListedWreath) =>
  useQuery({
    queryKey: keys.summary(id, digest),
    enabled: !summary && !problem,
    staleTime: Infinity,
    initialData: summary,
    queryFn: async () => answered(await api.GET("/wreaths/{id}/summary", { params: { path: { id } } })),
  }).data

export const useStash = (units?: Units) =>
  useQuery({
    queryKey: keys.materials(units),
    placeholderData: keepPreviousData,
    queryFn: async () => answered(await api.GET("/materials", { params: { query: { units } } })).materials,
  })

/** What a wreath's plan was before it was changed, on whichever device, the newest first. */
export const useHistory = (id: number) =>
  useQuery({
    queryKey: keys.history(id),
    queryFn: async () => answered(await api.GET("/wreaths/{id}/history", { params: { path: { id } } })).versions,
  })

export interface Work {
  worked?: WorkedPlan
  problems: Problem[]
  /** Which plan it is of, as its answers are named. */
  of?: string
}

/** What came and went of a material. */
export const useLedger = (id: number, units: Units) =>
  useQuery({
    queryKey: keys.ledger(id, units),
    queryFn: async () =>
      answered(await api.GET("/materials/{id}/ledger", { params: { path: { id }, query: { units } } })).entries,
  })

/** Wreaths as this device had seen them before this page asked for them. */
const seenBefore = new Map<number, Wreath | undefined>()

export const wreathSeenBefore = (id: number) => seenBefore.get(id)

/** One wreath, as it is kept. */
export async function askForWreath(id: number) {
  if (!seenBefore.has(id)) seenBefore.set(id, await seenLately<Wreath>(`wreath ${id}`))
  return lately(`wreath ${id}`, async () => answered(await api.GET("/wreaths/{id}", { params: { path: { id } } })))
}

/** The same, asked for before its screen is there. */
export const wreathQuery = (id: number) =>
  queryOptions({ queryKey: keys.wreath(id), queryFn: () => askForWreath(id) })

/** What this page has made of a wreath is no news to it. */
export function noteWreath(wreath: Wreath) {
  seenBefore.set(wreath.id, wreath)
  noteLately(`wreath ${wreath.id}`, wreath)
}

/** What tells whether anything was changed: asked every few seconds while a screen is looked at. */
export const useRevisions = () =>
  useQuery({
    queryKey: keys.revisions(),
    staleTime: 0,
    retry: false,
    refetchInterval: LOOK_AGAIN,
    refetchOnWindowFocus: "always",
    queryFn: async () => answered(await api.GET("/revisions")).revisions,
  })

/**
 * Works a plan. Problems are an answer too: a maker in the middle of typing makes them all the time. That of a wreath
 * is there while the server is away, as long as nothing of it was changed.
 */
export const useWork = (plan: Plan | undefined, wreath?: number) =>
  useQuery({ ...workQuery(plan, wreath), enabled: plan !== undefined, placeholderData: keepPreviousData })

const workQuery = (plan: Plan | undefined, wreath?: number) =>
  queryOptions({
    queryKey: keys.work(plan),
    gcTime: 60_000,
    staleTime: Infinity,
    retry: again,
    retryDelay: later,
    queryFn: async ({ signal }): Promise<Work> => {
      const asked = () => ask("/ask/try", plan!, signal)
      const answer = await (wreath === undefined ? asked() : latelyOf(`work ${wreath}`, plan!, asked))
      return { ...answer, of: hashOnce([plan]) }
    },
  })

let begun: ReturnType<typeof keys.work> | undefined

/** Asks for a plan as soon as it was changed, before anything is drawn for it. What it overtakes is dropped. */
export function beginWork(queries: QueryClient, plan: Plan, wreath: number) {
  const overtaken = begun
  begun = keys.work(plan)
  if (overtaken && overtaken[1] !== plan) void queries.cancelQueries({ queryKey: overtaken, exact: true })
  void queries.prefetchQuery(workQuery(plan, wreath))
}

/** Works a plan, and looks at what follows from where its strips lie as soon as that is known. */
export function useWholeWork(plan: Plan | undefined, wreath?: number) {
  const { data: work, error, isPlaceholderData: older } = useWork(plan, wreath)
  const worked = work?.worked
  const looks = worked !== undefined && isToBeLookedAt(worked)
  const coverage = useQuery({
    queryKey: keys.coverage(plan),
    enabled: looks && !older,
    gcTime: 60_000,
    staleTime: Infinity,
    retry: again,
    retryDelay: later,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => {
      const asked = () => ask("/ask/coverage", plan!, signal)
      const answer = await (wreath === undefined ? asked() : latelyOf(`coverage ${wreath}`, plan!, asked))
      return { answer, of: hashOnce([plan]) }
    },
  })
  const looked = looks && !coverage.isError ? coverage.data?.answer : undefined
  // Both of the plan that is shown; that is the one before until the first of them is there.
  const fresh = coverage.data?.of === work?.of
  const whole = useMemo(
    () => work && worked && { ...work, worked: followed(worked, looked, fresh) },
    [work, worked, looked, fresh],
  )
  return { data: whole ?? work, error }
}

/** What a wise friend says to all wreaths of an occasion. */
export const useAdviceOfOccasion = (id: number) =>
  useQuery({
    queryKey: keys.adviceOfOccasion(id),
    queryFn: async ({ signal }) =>
      answered(await api.GET("/occasions/{id}/advice", { params: { path: { id } }, signal })).advice,
  })

/** The simulated shop: made-up prices and sale weeks. */
export const useShop = () =>
  useQuery({ queryKey: keys.shop(), staleTime: Infinity, queryFn: async () => answered(await api.GET("/shop")) })

export const useOccasions = () =>
  useQuery({ queryKey: keys.occasions(), queryFn: async () => answered(await api.GET("/occasions")).occasions })

/** All wreaths of an occasion cut, bought and dated as one. Problems are an answer too. */
export const useWorkedOccasion = (id: number | undefined) =>
  useQuery<{ worked?: WorkedOccasion; problems: Problem[] }>({
    queryKey: keys.workedOccasion(id ?? 0),
    enabled: id !== undefined,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) =>
      answered(await api.GET("/occasions/{id}/try", { params: { path: { id: id! } }, signal })),
  })

/** One occasion, as it is kept. */
export const askForOccasion = async (id: number) =>
  answered(await api.GET("/occasions/{id}", { params: { path: { id } } }))

/** The wreaths of an occasion that are planned together, in the order of their plans. */
export const useOccasionWreaths = (id: number | undefined) =>
  useQuery({
    queryKey: keys.occasion(id ?? 0),
    enabled: id !== undefined,
    queryFn: () => askForOccasion(id!),
    refetchOnWindowFocus: false,
  }).data?.planned

/** What was made, and what it teaches. */
export const useNotebook = () =>
  useQuery({ queryKey: keys.notebook(), queryFn: async () => answered(await api.GET("/notebook")) })

/** The maker's own forms. */
export const useForms = () =>
  useQuery({ queryKey: keys.forms(), queryFn: async () => answered(await api.GET("/forms")).forms })

/** What of a wreath can be printed at its true size. */
export const useTemplates = (id: number) =>
  useQuery({
    queryKey: keys.templates(id),
    queryFn: async () => answered(await api.GET("/wreaths/{id}/templates", { params: { path: { id } } })).templates,
  })
