import { lazy, Suspense, useState } from "react"
import { pictureAt } from "../drawing/Textures"
import type { CutOutline } from "../photo/CutOut"
import { PhotoChoice, PhotoInput } from "./PhotoInput"
import { usePhoto } from "./usePhoto"

const CutOut = lazy(async () => ({ default: (await import("../photo/CutOut")).CutOut }))

const CHOICE = "file-input file-input-sm w-52"

interface Props {
  id: string
  value: unknown
  /** Whether what it shows is cut out of it. */
  outlined?: boolean
  onChange: (value: unknown, beside?: Record<string, unknown>) => void
}

/** A photo of a material: taken or chosen, and drawn with from then on. */
export function PictureControl({ id, value, outlined = false, onChange }: Props) {
  const picture = typeof value === "string" ? value : undefined
  return (
    <span className="flex flex-wrap items-center justify-end gap-2">
      {picture && (
        <img
          src={pictureAt(picture)}
          alt="The photo"
          className={`h-12 w-12 rounded ${outlined ? "checkered object-contain" : "object-cover"}`}
        />
      )}
      {outlined ? (
        <OutlinedInput id={id} onChange={onChange} />
      ) : (
        <PhotoInput
          id={id}
          as="square"
          className={CHOICE}
          onSent={({ id: kept, colour }) => onChange(kept, { colour })}
        />
      )}
      {picture && (
        <button
          type="button"
          className="link text-sm"
          onClick={() => onChange(undefined, outlined ? { cut_out: undefined } : undefined)}
        >
          Without the photo
        </button>
      )}
    </span>
  )
}

/** A photo that something is cut out of before it is sent. */
function OutlinedInput({ id, onChange }: Pick<Props, "id" | "onChange">) {
  const [file, setFile] = useState<File>()
  const [cut, setCut] = useState<CutOutline>()
  const { shown, send, forget } = usePhoto("cut_out", ({ id: kept, colour }) =>
    onChange(kept, { colour, cut_out: cut }),
  )
  return (
    <>
      <PhotoChoice
        id={id}
        className={CHOICE}
        onChosen={(chosen) => {
          forget()
          setFile(chosen)
        }}
      />
      {shown}
      {file && (
        <Suspense>
          <CutOut
            photo={file}
            onClose={() => setFile(undefined)}
            onCut={(picture, outline) => {
              setCut(outline)
              setFile(undefined)
              send(picture)
            }}
          />
        </Suspense>
      )}
    </>
  )
}
