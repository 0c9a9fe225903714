import { PhotoInput } from "./PhotoInput"

interface Props {
  id: string
  value: unknown
  onChange: (value: unknown, beside?: Record<string, unknown>) => void
}

/** A photo of a material: taken or chosen, and drawn with from then on. */
export function PictureControl({ id, value, onChange }: Props) {
  const picture = typeof value === "string" ? value : undefined
  return (
    <span className="flex flex-wrap items-center justify-end gap-2">
      {picture && <img src={`/api/pictures/${picture}`} alt="The photo" className="h-12 w-12 rounded object-cover" />}
      <PhotoInput
        id={id}
        square
        className="file-input file-input-sm w-52"
        onSent={({ id: kept, colour }) => onChange(kept, { colour })}
      />
      {picture && (
        <button type="button" className="link text-sm" onClick={() => onChange(undefined)}>
          Without the photo
        </button>
      )}
    </span>
  )
}
