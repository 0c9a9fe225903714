import { useEffect } from "react"

/**
 * Ctrl-Z takes back, Ctrl-Shift-Z and Ctrl-Y do again, except while somebody types in a field, which has its own.
 */
export function useUndoKey({ goBack }: { goBack: (steps: number) => void }) {
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
      const letter = event.key.toLowerCase()
      if (!(event.ctrlKey || event.metaKey) || !["z", "y"].includes(letter) || typing) return
      event.preventDefault()
      goBack(letter === "z" && !event.shiftKey ? 1 : -1)
    }
    window.addEventListener("keydown", key)
    return () => window.removeEventListener("keydown", key)
  }, [goBack])
}
