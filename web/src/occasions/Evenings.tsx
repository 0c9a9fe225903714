import type { Field } from "../keep/client"

/** Which evenings of the week are free, all in sight. */
export function Evenings({
  field,
  value,
  onChange,
}: {
  field?: Field
  value: string[]
  onChange: (value: string[] | undefined) => void
}) {
  const choices = field?.of?.choices ?? []
  const order = [...choices.slice(1), ...choices.slice(0, 1)]
  return (
    <fieldset className="border-b border-base-300 py-2">
      <legend className="float-left pb-1">{field?.label}</legend>
      <span className="flex clear-both flex-wrap justify-between gap-x-3 gap-y-1">
        {order.map((choice) => (
          <label key={choice.value} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={value.includes(choice.value)}
              aria-label={choice.says}
              onChange={(event) => {
                const next = event.target.checked
                  ? [...value, choice.value]
                  : value.filter((each) => each !== choice.value)
                onChange(next.length > 0 ? next : undefined)
              }}
            />
            {choice.says.slice(0, 3)}
          </label>
        ))}
      </span>
    </fieldset>
  )
}
