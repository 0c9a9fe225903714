import type { ReactNode } from "react"

const EDGES = "rounded-none border-0 border-b border-base-300"

/** What has to be said above everything else, from edge to edge, with what can be done about it. */
export function Bar({ urgent, children }: { urgent?: boolean; children: ReactNode }) {
  return (
    <div
      role={urgent ? "alert" : "status"}
      className={`alert ${EDGES} flex flex-wrap gap-x-3 gap-y-2 bg-primary/14 py-1.5`}
    >
      {children}
    </div>
  )
}
