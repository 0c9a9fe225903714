import { useMutation } from "@tanstack/react-query"
import { useState } from "react"
import { sendPhoto, type KeptAs, type Progress } from "../keep/upload"
import { Problem } from "./Problem"
import { Sending } from "./Sending"

export interface SentPhoto {
  id: string
  width: number
  height: number
  colour: string
}

/** Sends a photo; over a line that breaks it goes on where it broke. What is shown of that comes along. */
export function usePhoto(as: KeptAs | undefined, onSent: (photo: SentPhoto) => void) {
  const [progress, setProgress] = useState<Progress>()
  const send = useMutation({ mutationFn: (photo: Blob) => sendPhoto(photo, as, setProgress), onSuccess: onSent })
  const shown = (
    <>
      {send.isPending && <Sending what="the photo" progress={progress} />}
      {send.isError && (
        <Problem inline small className="basis-full">
          {send.error.message}{" "}
          <button type="button" className="link" onClick={() => send.variables && send.mutate(send.variables)}>
            Go on sending it
          </button>
        </Problem>
      )}
    </>
  )
  return {
    shown,
    send: (photo: Blob) => {
      setProgress(undefined)
      send.mutate(photo)
    },
    forget: send.reset,
  }
}
