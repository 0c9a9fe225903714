interface Props {
  label: string
  name: string
  value: string | undefined
  choices: { value: string; says: string }[]
  onChange: (value: string) => void
}

/** A choice of two to four, all in sight. */
export function OpenChoice({ label, name, value, choices, onChange }: Props) {
  return (
    <fieldset className="open-choice">
      <legend className="sr-only">{label}</legend>
      {choices.map((choice) => (
        <label key={choice.value}>
          <input
            type="radio"
            className="peer sr-only"
            name={name}
            value={choice.value}
            checked={choice.value === value}
            onChange={() => onChange(choice.value)}
          />
          <span>{choice.says}</span>
        </label>
      ))}
    </fieldset>
  )
}
