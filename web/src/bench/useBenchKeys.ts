import { useEffect } from "react"

interface Ways {
  /** The keys do nothing: the maker is at the form. */
  off: boolean
  /** Whether the step counts anything. */
  counted: boolean
  action: React.RefObject<HTMLButtonElement | null>
  current: number
  onCount: (amount: number) => void
  onGo: (index: number) => void
}

/** What a page-turner’s pedals send. */
const PEDAL_ON = ["PageDown", "ArrowDown"]
const PEDAL_BACK = ["PageUp", "ArrowUp"]

/** Space counts, Backspace takes back, the arrows go from step to step. */
export function useBenchKeys({ off, counted, action, current, onCount, onGo }: Ways) {
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      const at = event.target as HTMLElement
      if (off || at.closest("input, textarea, select, dialog")) return
      if (event.ctrlKey || event.metaKey || event.altKey) return
      // Space always counts, so that one more than planned is counted too and does not turn the page.
      const counting = at === action.current && counted
      const own = at.matches("button, a") && !counting
      if ((event.key === " " && !own) || PEDAL_ON.includes(event.key)) onCount(1)
      else if (["Backspace", "-", ...PEDAL_BACK].includes(event.key)) onCount(-1)
      else if (event.key === "ArrowRight") onGo(current + 1)
      else if (event.key === "ArrowLeft") onGo(Math.max(current - 1, 0))
      else return
      event.preventDefault()
    }
    const up = (event: KeyboardEvent) => {
      if (event.key === " " && event.target === action.current && counted) event.preventDefault()
    }
    window.addEventListener("keydown", key)
    window.addEventListener("keyup", up)
    return () => {
      window.removeEventListener("keydown", key)
      window.removeEventListener("keyup", up)
    }
  }, [off, counted, action, current, onCount, onGo])
}
