import { useEffect } from "react"

/** Ctrl-Z undoes, except while somebody types in a field, which undoes its own. */
export function useUndoKey(undo: (() => void) | undefined) {
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
      if (!(event.ctrlKey || event.metaKey) || event.key !== "z" || typing || !undo) return
      event.preventDefault()
      undo()
    }
    window.addEventListener("keydown", key)
    return () => window.removeEventListener("keydown", key)
  }, [undo])
}
