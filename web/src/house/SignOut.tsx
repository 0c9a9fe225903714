import { useMutation, useQueryClient } from "@tanstack/react-query"
import { answered, api } from "../keep/client"
import { arrive } from "./arrive"

export function SignOut() {
  const queries = useQueryClient()
  const leave = useMutation({
    mutationFn: async () => answered(await api.POST("/account/sign-out", { body: {} })),
    onSuccess: async () => {
      queries.clear()
      await arrive()
    },
  })
  return (
    <p className="pt-3">
      <button type="button" className="btn" onClick={() => leave.mutate()}>
        Sign out on this device
      </button>
    </p>
  )
}
