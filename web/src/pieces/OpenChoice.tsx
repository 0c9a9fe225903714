interface Props {
  label: string
  name: string
  value: string | undefined
  choices: { value: string; says: string }[]
  onChange: (value: string) => void
}

const CHOICE =
  "btn join-item peer-checked:border-neutral peer-checked:bg-neutral peer-checked:text-neutral-content " +
  "peer-focus-visible:outline-3 peer-focus-visible:-outline-offset-3 peer-focus-visible:outline-secondary"

/** A choice of two to four, all in sight. */
export function OpenChoice({ label, name, value, choices, onChange }: Props) {
  return (
    <fieldset className="join flex-wrap">
      <legend className="sr-only">{label}</legend>
      {choices.map((choice) => (
        <label key={choice.value} className="cursor-pointer">
          <input
            type="radio"
            className="peer sr-only"
            name={name}
            value={choice.value}
            checked={choice.value === value}
            onChange={() => onChange(choice.value)}
          />
          <span className={CHOICE}>{choice.says}</span>
        </label>
      ))}
    </fieldset>
  )
}
