import { Fragment, memo } from "react"

/** A fraction, or a share, whose sign stays with its number. */
const FRACTION = /(\d+ )?(\d+)\/(\d+)|[\d.]+ %/g

/** Text with its fractions set as fractions: 31 1/2 in is never left in running text with a slash. */
export const Prose = memo(function Prose({ children }: { children: string }) {
  const parts: React.ReactNode[] = []
  let end = 0
  for (const match of children.matchAll(FRACTION)) {
    const [text, whole, over, under] = match
    parts.push(children.slice(end, match.index))
    parts.push(
      under === undefined ? (
        <span className="whitespace-nowrap" key={match.index}>
          {text}
        </span>
      ) : (
        <span className="fraction whitespace-nowrap" key={match.index}>
          {whole && `${whole.trim()}\u2009`}
          <sup>{over}</sup>
          <i>⁄</i>
          <sub>{under}</sub>
        </span>
      ),
    )
    end = match.index + text.length
  }
  parts.push(children.slice(end))
  return (
    <>
      {parts.map((part, index) => (
        <Fragment key={index}>{part}</Fragment>
      ))}
    </>
  )
})
