export interface Choice {
  value: string
  says: string
}

interface Props {
  id: string
  label: string
  value: string
  /** What choosing none is called, where none will do. */
  none?: string
  choices: Choice[]
  onChange: (value: string | undefined) => void
}

/** One of a list. */
export function Select({ id, label, value, none, choices, onChange }: Props) {
  return (
    <select
      id={id}
      aria-label={label}
      className="select w-56 text-left"
      value={value}
      onChange={(event) => onChange(event.target.value || undefined)}
    >
      {none !== undefined && <option value="">{none}</option>}
      {choices.map((choice) => (
        <option key={choice.value} value={choice.value}>
          {choice.says}
        </option>
      ))}
    </select>
  )
}
