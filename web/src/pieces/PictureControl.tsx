import { useMutation } from "@tanstack/react-query"
import { answered, api } from "../keep/client"
import { shrunk } from "./shrunk"
import { Problem } from "./Problem"

interface Props {
  id: string
  value: unknown
  onChange: (value: unknown, beside?: Record<string, unknown>) => void
}

/** A photo of a material: taken or chosen, and drawn with from then on. */
export function PictureControl({ id, value, onChange }: Props) {
  const keep = useMutation({
    mutationFn: async (file: File) => {
      const picture = await shrunk(file)
      if (!picture) throw new Error(`${file.name} is no picture that can be read here. Choose a JPEG, PNG or WebP.`)
      return answered(await api.POST("/pictures", { body: { picture, square: true } }))
    },
    onSuccess: ({ id: kept, colour }) => onChange(kept, { colour }),
  })
  const picture = typeof value === "string" ? value : undefined
  return (
    <span className="flex flex-wrap items-center justify-end gap-2">
      {picture && <img src={`/api/pictures/${picture}`} alt="The photo" className="h-12 w-12 rounded object-cover" />}
      <input
        id={id}
        type="file"
        accept="image/jpeg,image/png,image/webp"
        className="file-input file-input-sm w-52"
        onChange={(event) => {
          const file = event.target.files?.[0]
          if (file) keep.mutate(file)
        }}
      />
      {picture && (
        <button type="button" className="link text-sm" onClick={() => onChange(undefined)}>
          Without the photo
        </button>
      )}
      {keep.isPending && <span role="status">Reading…</span>}
      {keep.isError && (
        <Problem inline small className="basis-full">
          {keep.error.message}
        </Problem>
      )}
    </span>
  )
}
