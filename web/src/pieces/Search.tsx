interface Props {
  label: string
  placeholder?: string
  value: string
  onChange: (text: string) => void
}

/** Where one looks for what is on a screen, as it is typed. */
export function Search({ label, placeholder = label, value, onChange }: Props) {
  return (
    <input
      type="search"
      aria-label={label}
      placeholder={placeholder}
      className="input w-64 max-w-full text-left"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  )
}
