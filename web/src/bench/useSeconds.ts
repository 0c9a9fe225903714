import { useEffect, useRef } from "react"

/** How often it is told, and what is longer than anybody looks at a step: a lid that was closed. */
const EVERY = 20_000
const MOST = 120

/** Tells how long a step has had the maker's eyes, now and then and when it ends. */
export function useSeconds(step: string, tell: (seconds: number) => void) {
  const telling = useRef(tell)
  useEffect(() => {
    telling.current = tell
  })
  useEffect(() => {
    let since = Date.now()
    const say = () => {
      const seconds = Math.round((Date.now() - since) / 1000)
      since = Date.now()
      if (seconds > 0 && seconds < MOST) telling.current(seconds)
    }
    const again = window.setInterval(() => {
      if (!document.hidden) say()
    }, EVERY)
    const hide = () => {
      if (document.hidden) say()
      else since = Date.now()
    }
    document.addEventListener("visibilitychange", hide)
    return () => {
      window.clearInterval(again)
      document.removeEventListener("visibilitychange", hide)
      say()
    }
  }, [step])
}
