import { expect, it } from "vitest"
import { textOf } from "./textOf"

const bytes = (...numbers: number[]) => new Uint8Array(numbers).buffer

// “é” in each: RFC 3629, RFC 2781, and the table of windows-1252.
it("reads what spreadsheets write, whatever encoding they chose", () => {
  expect(textOf(bytes(0xc3, 0xa9))).toBe("é")
  expect(textOf(bytes(0xff, 0xfe, 0xe9, 0x00))).toBe("é")
  expect(textOf(bytes(0xfe, 0xff, 0x00, 0xe9))).toBe("é")
  expect(textOf(bytes(0xe9, 0x3b))).toBe("é;")
})
