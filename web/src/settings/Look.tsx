import { useState } from "react"
import { Field } from "../pieces/Field"
import { OpenChoice } from "../pieces/OpenChoice"
import { chooseTheme, chosenTheme, type Theme } from "../pieces/theme"

const LOOKS: { value: Theme; says: string }[] = [
  { value: "auto", says: "As the device" },
  { value: "lantern", says: "Day" },
  { value: "dusk", says: "Evening" },
]

/** By day, in the evening, or as the machine has it; of this device. */
export function Look() {
  const [theme, setTheme] = useState(chosenTheme)
  return (
    <Field label="Look" help="On this device.">
      <OpenChoice
        label="Look"
        name="look"
        value={theme}
        choices={LOOKS}
        onChange={(next) => {
          chooseTheme(next as Theme)
          setTheme(next as Theme)
        }}
      />
    </Field>
  )
}
