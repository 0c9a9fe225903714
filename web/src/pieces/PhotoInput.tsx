import { useState } from "react"
import type { KeptAs } from "../keep/upload"
import { Problem } from "./Problem"
import { shrunk } from "./shrunk"
import { usePhoto, type SentPhoto } from "./usePhoto"

interface Props {
  id?: string
  label?: string
  className: string
  as?: KeptAs
  onSent: (photo: SentPhoto) => void
}

/** A photo, taken or chosen, and sent at once. */
export function PhotoInput({ id, label, className, as, onSent }: Props) {
  const [unreadable, setUnreadable] = useState("")
  const { shown, send, forget } = usePhoto(as, onSent)
  const choose = async (file: File) => {
    forget()
    const photo = await shrunk(file)
    setUnreadable(photo ? "" : `${file.name} is no picture that can be read here. Choose a JPEG, PNG or WebP.`)
    if (photo) send(photo)
  }
  return (
    <>
      <PhotoChoice id={id} label={label} className={className} onChosen={(file) => void choose(file)} />
      {unreadable ? (
        <Problem inline small className="basis-full">
          {unreadable}
        </Problem>
      ) : (
        shown
      )}
    </>
  )
}

interface ChoiceProps {
  id?: string
  label?: string
  className: string
  onChosen: (file: File) => void
}

export function PhotoChoice({ id, label, className, onChosen }: ChoiceProps) {
  return (
    <input
      id={id}
      type="file"
      accept="image/jpeg,image/png,image/webp"
      aria-label={label}
      className={className}
      onChange={(event) => {
        const file = event.target.files?.[0]
        if (file) onChosen(file)
        // The same one can be chosen again.
        event.target.value = ""
      }}
    />
  )
}
