import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { answered, api, type KeptPlace, type Place } from "../keep/client"
import { keys, touched } from "../keep/keys"
import { useIsMaker } from "../keep/queries"
import { outcomeOf, sendLast } from "../keep/outcome"
import { useDocument, type DocumentKind } from "../keep/useDocument"
import { ownName } from "../keep/workshop"

interface Said {
  name: string
  place: Place
}

const KIND: DocumentKind<KeptPlace, Said> = {
  what: "place",
  key: keys.place,
  load: async (id) => answered(await api.GET("/places/{id}", { params: { path: { id } } })),
  save: (id, version, said) =>
    outcomeOf(api.PUT("/places/{id}", { params: { path: { id } }, body: { version, ...said } })),
  sendLast: (id, version, said) => sendLast("PUT", `/api/places/${id}`, { version, ...said }),
  said: ({ name, place }) => ({ name, place }),
  // What its photo shows, the server says.
  own: ({ name, place: { seen: _, ...place } }) => ({ name, place }),
  touched: touched.places,
}

/** One door while it is looked at: what is said of it, and its keeping. */
export const usePlace = (id: number) => useDocument(KIND, id)

/** The doors that wreaths are looked at on. */
export const usePlaces = () =>
  useQuery({ queryKey: keys.places(), queryFn: async () => answered(await api.GET("/places")).places })

/** Which door a wreath is for and where on it it hangs, and how that is changed. */
export function useHanging(id: number) {
  const queries = useQueryClient()
  const maker = useIsMaker()
  const params = { path: { id } }
  const kept = useQuery({
    queryKey: keys.hanging(id),
    queryFn: async () => answered(await api.GET("/wreaths/{id}/place", { params })),
  }).data
  const hang = useMutation({
    // One after the other: what was said last holds.
    scope: { id: `hanging ${id}` },
    mutationFn: async (body: { place: number; at?: number[] }) =>
      answered(await api.PUT("/wreaths/{id}/place", { params, body })),
    onSuccess: (now) => queries.setQueryData(keys.hanging(id), now),
  })
  return [kept, (place: number, at?: number[]) => maker && hang.mutate({ place, at })] as const
}

/** The door that was looked at last on this device, and how another is. */
export function useLastPlace(): [number | undefined, (id: number) => void] {
  const name = ownName("lantern.place")
  const [id, setId] = useState(() => Number(localStorage.getItem(name)) || undefined)
  return [
    id,
    (next) => {
      localStorage.setItem(name, String(next))
      setId(next)
    },
  ]
}
