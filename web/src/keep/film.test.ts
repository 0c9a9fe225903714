import { expect, test } from "vitest"
import { linesOf } from "./film"

test("an answer is read line by line, however it arrives in pieces", async () => {
  const pieces = ['{"done":1', ',"of":2}\n{"do', 'ne":2,"of":2}\n', '{"film":"AA"}']
  const body = new ReadableStream<Uint8Array<ArrayBuffer>>({
    start(controller) {
      pieces.forEach((piece) => controller.enqueue(new TextEncoder().encode(piece)))
      controller.close()
    },
  })
  const lines: string[] = []
  for await (const line of linesOf({ body })) lines.push(line)
  expect(lines).toEqual(['{"done":1,"of":2}', '{"done":2,"of":2}', '{"film":"AA"}'])
})
