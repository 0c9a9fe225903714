import { useEffect } from "react"

/** Keeps the screen lit while the maker's hands are sticky, where the browser can. */
export function useWakeLock() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined
    const ask = async () => {
      try {
        if (!document.hidden) lock = await navigator.wakeLock?.request("screen")
      } catch {
        // Refused, as on a low battery: the screen goes dark as it always does.
      }
    }
    void ask()
    document.addEventListener("visibilitychange", ask)
    return () => {
      document.removeEventListener("visibilitychange", ask)
      void lock?.release()
    }
  }, [])
}
