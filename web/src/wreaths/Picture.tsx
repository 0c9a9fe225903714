import { useEffect, useRef, useState } from "react"
import { turns } from "./turns"

// A picture that was never drawn takes the server a moment: of the few that a browser asks for at once, some are kept
// free for what the maker does meanwhile.
const take = turns(3)

/** How far outside the window a picture is asked for already. */
const NEAR = "300px"

/**
 * A wreath as lists show it, asked for when it comes into view.
 * @param otherwise what is said where there is none
 */
export function Picture({ src, otherwise }: { src: string; otherwise?: string }) {
  const frame = useRef<HTMLImageElement>(null)
  const end = useRef<() => void>(undefined)
  const [shown, setShown] = useState<string>()
  useEffect(() => {
    const seen = new IntersectionObserver(
      ([entry]) => {
        if (!entry?.isIntersecting) return
        seen.disconnect()
        end.current = take(() => setShown(src))
      },
      { rootMargin: NEAR },
    )
    seen.observe(frame.current!)
    return () => {
      seen.disconnect()
      end.current?.()
    }
  }, [src])
  const [none, setNone] = useState<string>()
  const over = () => end.current?.()
  if (otherwise && none === src) return <p className="p-2 text-quiet">{otherwise}</p>
  return (
    <img
      ref={frame}
      src={shown}
      alt=""
      className="h-full w-full object-contain"
      onLoad={over}
      onError={() => {
        over()
        setNone(src)
      }}
    />
  )
}
