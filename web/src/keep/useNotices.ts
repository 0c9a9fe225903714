import { useCallback, useState } from "react"
import type { Difference } from "./differences"

/** What has to be said of a document once: that others have changed it, or what became of it when it was kept. */
export function useNotices() {
  const [elsewhere, setElsewhere] = useState<Difference[]>([])
  const [remark, setRemark] = useState<string>()
  const dismiss = useCallback(() => {
    setElsewhere([])
    setRemark(undefined)
  }, [])
  return { elsewhere, setElsewhere, remark, setRemark, dismiss }
}
