import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useEffect, useState } from "react"
import { useNavigate } from "react-router"
import { answered, api } from "../keep/client"
import { askAgain } from "../keep/keys"
import { sendInParts } from "../keep/upload"
import { codeIn } from "./codeIn"
import { Problem } from "../pieces/Problem"
import { WhichOfYours } from "./WhichOfYours"

/** What stands before the plan in a link, as the code on a pattern card holds it. */
const LINKED = "#plan="

/** Whether the list was opened by such a link. */
export const isLinked = () => location.hash.startsWith(LINKED)

const fromLink = async (link: string) => answered(await api.POST("/wreaths/linked", { body: { link } }))

async function fromFile(file: File) {
  const { upload, parts } = await sendInParts(file, () => undefined)
  return answered(await api.POST("/uploads/{upload}/wreath", { params: { path: { upload } }, body: { parts } }))
}

/**
 * A picture that somebody sent, with its plan in it: chosen, or dropped anywhere on the list, it is a new wreath; and
 * so is a photo of a pattern card with its code, and the link in it, opened here or pasted.
 */
export function TakeInPicture() {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const take = useMutation({
    mutationFn: async (sent: File | string) => {
      if (typeof sent === "string") return fromLink(sent)
      try {
        return await fromFile(sent)
      } catch (refused) {
        const code = await codeIn(sent).catch(() => undefined)
        if (!code?.includes(LINKED)) throw refused
        return fromLink(code)
      }
    },
    onSuccess: (wreath) => {
      void askAgain(queries, ["wreaths"])
      if (!wreath.unsure) void navigate(`/wreaths/${wreath.id}/cover`)
    },
  })
  const { mutate } = take
  const [link, setLink] = useState(() => (isLinked() ? location.href : ""))
  useEffect(() => {
    // A field that takes files of its own is left alone.
    const taken = (event: DragEvent) => event.target instanceof HTMLInputElement
    const over = (event: DragEvent) => taken(event) || event.preventDefault()
    const drop = (event: DragEvent) => {
      const file = event.dataTransfer?.files[0]
      if (!file || taken(event)) return
      event.preventDefault()
      mutate(file)
    }
    window.addEventListener("dragover", over)
    window.addEventListener("drop", drop)
    return () => {
      window.removeEventListener("dragover", over)
      window.removeEventListener("drop", drop)
    }
  }, [mutate])
  return (
    <div className="no-print py-4">
      <label className="flex max-w-full flex-wrap items-center gap-3">
        A picture with its plan in it, or a photo of a pattern card
        <input
          type="file"
          accept="image/png,image/svg+xml,image/jpeg,image/webp"
          className="file-input max-w-full"
          onChange={(event) => {
            const file = event.target.files?.[0]
            if (file) mutate(file)
          }}
        />
      </label>
      <form
        className="flex flex-wrap items-center gap-3 pt-2"
        onSubmit={(event) => {
          event.preventDefault()
          mutate(link)
        }}
      >
        <label className="flex max-w-full flex-wrap items-center gap-3">
          Or the link of a pattern card
          <input
            className="input w-80 max-w-full text-left"
            value={link}
            onChange={(event) => setLink(event.target.value)}
          />
        </label>
        {link && (
          <button type="submit" className={`btn ${isLinked() ? "btn-primary" : ""}`} disabled={take.isPending}>
            Take it in
          </button>
        )}
      </form>
      {take.isPending && (
        <p role="status" className="text-quiet">
          Reading the plan…
        </p>
      )}
      {take.isError && <Problem>{take.error.message}</Problem>}
      {take.data?.unsure && (
        <WhichOfYours
          wreath={take.data}
          unsure={take.data.unsure}
          onDone={() => void navigate(`/wreaths/${take.data.id}/cover`)}
        />
      )}
    </div>
  )
}
