import type { Step } from "../keep/client"
import { turnSays } from "./turn"

/** What is said of a count: "40. Next: 3 Indigo tape", "12. All of them". */
export function spokenSays(step: Step, count: number, then: string): string {
  return [`${count}`, turnSays(step, count) ?? then].join(". ")
}

/** Whether this browser has a voice of its own. */
export const canSpeak = () => typeof window !== "undefined" && "speechSynthesis" in window

/** Says it, and leaves off whatever it was still saying: the hands are quicker than the voice. */
export function speak(text: string) {
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text))
}
