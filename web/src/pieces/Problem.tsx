import type { ReactNode } from "react"

interface Props {
  id?: string
  /** Beside something, and not a line of its own. */
  inline?: boolean
  small?: boolean
  className?: string
  children: ReactNode
}

/** What is wrong, where it belongs; read aloud as soon as it stands there. */
export function Problem({ id, inline, small, className = "", children }: Props) {
  const Tag = inline ? "span" : "p"
  return (
    <Tag id={id} role="alert" className={`font-semibold text-error ${small ? "text-sm" : ""} ${className}`}>
      {children}
    </Tag>
  )
}
