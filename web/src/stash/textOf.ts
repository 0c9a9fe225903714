/**
 * The text of a file as spreadsheets write it: UTF-8, UTF-16 with its mark, or else the Western European one of old
 * office programs, in which every byte is a letter.
 */
export function textOf(bytes: ArrayBuffer): string {
  const [first, second] = new Uint8Array(bytes)
  if (first === 0xff && second === 0xfe) return new TextDecoder("utf-16le").decode(bytes)
  if (first === 0xfe && second === 0xff) return new TextDecoder("utf-16be").decode(bytes)
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder("windows-1252").decode(bytes)
  }
}
