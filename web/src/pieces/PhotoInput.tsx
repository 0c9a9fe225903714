import { useMutation } from "@tanstack/react-query"
import { useState } from "react"
import { sendPhoto, type Progress } from "../keep/upload"
import { Problem } from "./Problem"
import { Sending } from "./Sending"
import { shrunk } from "./shrunk"

export interface SentPhoto {
  id: string
  width: number
  height: number
  colour: string
}

interface Props {
  id?: string
  label?: string
  className: string
  /** Only its middle is kept, as a piece of cloth. */
  square?: boolean
  onSent: (photo: SentPhoto) => void
}

/** A photo, taken or chosen, and sent at once; over a line that breaks it goes on where it broke. */
export function PhotoInput({ id, label, className, square = false, onSent }: Props) {
  const [progress, setProgress] = useState<Progress>()
  const [unreadable, setUnreadable] = useState("")
  const send = useMutation({
    mutationFn: (photo: Blob) => sendPhoto(photo, square, setProgress),
    onSuccess: onSent,
  })
  const choose = async (file: File) => {
    send.reset()
    setProgress(undefined)
    const photo = await shrunk(file)
    setUnreadable(photo ? "" : `${file.name} is no picture that can be read here. Choose a JPEG, PNG or WebP.`)
    if (photo) send.mutate(photo)
  }
  return (
    <>
      <input
        id={id}
        type="file"
        accept="image/jpeg,image/png,image/webp"
        aria-label={label}
        className={className}
        onChange={(event) => {
          const file = event.target.files?.[0]
          if (file) void choose(file)
        }}
      />
      {send.isPending && <Sending what="the photo" progress={progress} />}
      {(unreadable || send.isError) && (
        <Problem inline small className="basis-full">
          {unreadable || send.error?.message}{" "}
          {!unreadable && (
            <button type="button" className="link" onClick={() => send.variables && send.mutate(send.variables)}>
              Go on sending it
            </button>
          )}
        </Problem>
      )}
    </>
  )
}
