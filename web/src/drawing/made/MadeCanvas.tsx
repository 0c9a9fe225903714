import { useEffect, useLayoutEffect, useRef, useState, useSyncExternalStore, type RefObject } from "react"
import type { Drawing, Material, Step } from "../../keep/client"
import { useDeclarations } from "../../keep/queries"
import type { Moment } from "./moments"
import { Painter } from "./painter"

interface Props extends Moment {
  drawing: Drawing
  materials: Material[]
  steps: Step[]
  label: string
  /** Who paints it: what moves with every frame is painted past React. */
  painterRef: RefObject<Painter | undefined>
}

const dusk = window.matchMedia("(prefers-color-scheme: dark)")

function onDusk(changed: () => void) {
  dusk.addEventListener("change", changed)
  return () => dusk.removeEventListener("change", changed)
}

/** The wreath as far as it is made, on a canvas: painted as fast as a slider is moved. */
export function MadeCanvas({ drawing, materials, steps, current, counts, label, painterRef }: Props) {
  const declarations = useDeclarations().data
  const canvas = useRef<HTMLCanvasElement>(null)
  const above = useRef<HTMLCanvasElement>(null)
  const [size, setSize] = useState<[number, number]>()
  const [, setPhotos] = useState(0)
  const dark = useSyncExternalStore(onDusk, () => dusk.matches)
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect
      const round = (pixels: number) => Math.max(Math.round(pixels * window.devicePixelRatio), 1)
      setSize([round(width), round(height)])
    })
    watch.observe(canvas.current!)
    return () => watch.disconnect()
  }, [])
  useLayoutEffect(() => {
    if (!size || !declarations) return
    for (const each of [canvas, above]) Object.assign(each.current!, { width: size[0], height: size[1] })
    const wreath = { drawing, steps, materials, declarations }
    painterRef.current = new Painter(wreath, canvas.current!, above.current!, () => setPhotos((before) => before + 1))
    // In the evening colours are others.
  }, [size, drawing, steps, materials, declarations, painterRef, dark])
  useLayoutEffect(() => painterRef.current?.paint({ current, counts }))
  return (
    <div className="relative h-full w-full">
      <canvas ref={canvas} className="own-layer absolute h-full w-full" role="img" aria-label={label} />
      <canvas ref={above} className="own-layer pointer-events-none absolute h-full w-full" aria-hidden="true" />
    </div>
  )
}
