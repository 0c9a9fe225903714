const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** How far an arrow key moves something, right and down; with Shift by one. Nothing for other keys. */
export function byArrow(
  { key, shiftKey }: { key: string; shiftKey: boolean },
  far: number,
): [number, number] | undefined {
  const [right, down] = ARROWS[key] ?? []
  const step = shiftKey ? 1 : far
  return right === undefined || down === undefined ? undefined : [right * step, down * step]
}
