import { useEffect, useLayoutEffect, useRef, useState, type PointerEvent, type RefObject } from "react"
import type { Place, Point, Scale, Spot } from "./byHand"
import { carry, type Carried } from "./carry"

/** Milliseconds that a hand rests before what it holds is worked where it is. */
const RESTS = 160

interface Hand {
  /** From where it is drawn to where it was grabbed. */
  from: Point
  here: Point
  at: Place
  rests?: ReturnType<typeof setTimeout>
}

const minus = ([ax, ay]: Point, [bx, by]: Point): Point => [ax - bx, ay - by]

/**
 * A handle that is dragged. What can be carried goes with the hand at once and is worked where the hand rests or lets
 * go; anything else is worked at every place that it is dragged over.
 *
 * @param knobRef the handle
 * @param where it is drawn
 * @param letter how large the drawing’s letters are
 */
export function useCarried(
  knobRef: RefObject<SVGCircleElement | null>,
  where: Point,
  { scale, spot, letter, onPlace }: { scale: Scale; spot: Spot; letter: number; onPlace: (at: Place) => void },
) {
  const [over, setOver] = useState<Place>()
  const held = useRef<Hand>(undefined)
  const carried = useRef<Carried>(undefined)
  const dropped = useRef<Place>(undefined)
  const { carries } = spot

  const end = () => {
    carried.current?.end()
    carried.current = undefined
  }
  const bring = (by: Point, at: Place) => {
    const svg = knobRef.current?.ownerSVGElement
    if (!svg || !carries) return
    carried.current ??= carry(svg, carries, where, letter)
    carried.current.to(by)
    carried.current.says(scale.says(at))
  }

  const [x, y] = where
  // Drawn anew it lies where it is drawn, or still in the hand.
  useLayoutEffect(() => {
    end()
    const hand = held.current
    if (hand) bring(minus(hand.here, [x, y]), hand.at)
    // Only what is drawn elsewhere is put there.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [x, y])
  // What was put elsewhere meanwhile, or taken back, is not waited for.
  useLayoutEffect(() => {
    if (!held.current && dropped.current !== spot.at) end()
  }, [spot.at])
  useEffect(
    () => () => {
      clearTimeout(held.current?.rests)
      end()
    },
    [],
  )

  const pointed = (event: PointerEvent): Point | undefined => {
    const matrix = knobRef.current?.ownerSVGElement?.getScreenCTM()
    if (!matrix) return undefined
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
    return [point.x, point.y]
  }
  const grab = (event: PointerEvent) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    const point = pointed(event)
    if (point && carries) held.current = { from: minus(point, where), here: where, at: spot.at }
  }
  const move = (event: PointerEvent) => {
    const point = event.buttons === 1 ? pointed(event) : undefined
    if (!point) return
    const hand = held.current
    if (!hand || !carries) {
      const next = scale.at(point[0], point[1])
      if (next !== spot.at) onPlace(next)
      return
    }
    clearTimeout(hand.rests)
    const here = minus(point, hand.from)
    const at = scale.at(here[0], here[1])
    held.current = { ...hand, here, at, rests: setTimeout(() => at !== spot.at && onPlace(at), RESTS) }
    bring(minus(here, where), at)
    setOver(at)
  }
  const drop = () => {
    const hand = held.current
    held.current = undefined
    setOver(undefined)
    if (!hand) return
    clearTimeout(hand.rests)
    // It stays where it was put until it is drawn there.
    dropped.current = hand.at
    if (hand.at === spot.at) end()
    else onPlace(hand.at)
  }
  return { over, grab, move, drop }
}
