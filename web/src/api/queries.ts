import { keepPreviousData, useQuery } from "@tanstack/react-query"
import { answered, api, problemsOf, sent, type Plan, type Problem, type Units, type WorkedOccasion, type WorkedPlan } from "./client"

export const useDeclarations = () =>
  useQuery({ queryKey: ["declarations"], staleTime: Infinity, queryFn: async () => answered(await api.GET("/declarations")) })

export const useWreaths = () => useQuery({ queryKey: ["wreaths"], queryFn: async () => answered(await api.GET("/wreaths")).wreaths })

export const useStash = (units?: Units) =>
  useQuery({
    queryKey: ["materials", units],
    placeholderData: keepPreviousData,
    queryFn: async () => answered(await api.GET("/materials", { params: { query: { units } } })).materials,
  })

export interface Work {
  worked?: WorkedPlan
  problems: Problem[]
}

/** Every covering on a plan's form; its own layers only say which material is liked. */
export const useCoverings = (plan: Plan | undefined) =>
  useQuery({
    queryKey: ["coverings", plan?.form, plan?.units, plan?.quantity, plan?.sureness, plan?.materials],
    enabled: plan !== undefined,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => answered(await api.POST("/coverings", { body: sent(plan!), signal })).coverings,
  })

/** What came and went of a material. */
export const useLedger = (id: number, units: Units) =>
  useQuery({ queryKey: ["ledger", id, units], queryFn: async () => answered(await api.GET("/materials/{id}/ledger", { params: { path: { id }, query: { units } } })).entries })

/** Where the form still shows under a plan's covering. */
export const useBare = (plan: Plan | undefined) =>
  useQuery({
    queryKey: ["bare", plan?.form, plan?.layers, plan?.materials],
    enabled: plan !== undefined,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => answered(await api.POST("/bare", { body: sent(plan!), signal })),
  })

/** Works a plan. Problems are an answer too: a maker in the middle of typing makes them all the time. */
export const useWork = (plan: Plan | undefined) =>
  useQuery<Work>({
    queryKey: ["work", plan],
    enabled: plan !== undefined,
    gcTime: 60_000,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => {
      const { data, error } = await api.POST("/work", { body: sent(plan!), signal })
      return data ? { worked: data, problems: [] } : { problems: problemsOf(error) }
    },
  })

/** The simulated shop: made-up prices and sale weeks. */
export const useShop = () => useQuery({ queryKey: ["shop"], staleTime: Infinity, queryFn: async () => answered(await api.GET("/shop")) })

export const useOccasions = () => useQuery({ queryKey: ["occasions"], queryFn: async () => answered(await api.GET("/occasions")).occasions })

/** All wreaths of an occasion cut, bought and dated as one. Problems are an answer too. */
export const useWorkedOccasion = (id: number) =>
  useQuery<{ worked?: WorkedOccasion; problems: Problem[] }>({
    queryKey: ["occasions", id, "worked"],
    placeholderData: keepPreviousData,
    queryFn: async () => {
      const { data, error } = await api.GET("/occasions/{id}/worked", { params: { path: { id } } })
      return data ? { worked: data, problems: [] } : { problems: problemsOf(error) }
    },
  })

/** What was made, and what it teaches. */
export const useNotebook = () => useQuery({ queryKey: ["notebook"], queryFn: async () => answered(await api.GET("/notebook")) })

/** What of a wreath can be printed at its true size; not asked while the plan cannot be worked. */
export const useTemplates = (id: number, stale: boolean) =>
  useQuery({ queryKey: ["templates", id], enabled: !stale, queryFn: async () => answered(await api.GET("/wreaths/{id}/templates", { params: { path: { id } } })).templates })
