import type { Field, Problem } from "../keep/client"
import { Fold } from "./Fold"
import { FieldControl } from "./FieldControl"

interface Props {
  fields: Field[]
  money?: Record<string, unknown>
  problems: Problem[]
  onChange: (money: Record<string, unknown> | undefined) => void
}

/** What a maker says of money besides prices: sale, tax, time, and what an asking price is made of. */
export function MoneyTerms({ fields, money, problems, onChange }: Props) {
  const change = (name: string, value: unknown) => {
    const { [name]: _, ...rest } = money ?? {}
    const next = value === undefined ? rest : { ...rest, [name]: value }
    onChange(Object.keys(next).length > 0 ? next : undefined)
  }
  return (
    <Fold
      className="pt-2"
      summary="Sale, tax, your time and an asking price"
      begin={money !== undefined}
      urgent={problems.some((problem) => problem.at.startsWith("money"))}
    >
      {fields.map((field) => (
        <FieldControl
          key={field.name}
          field={field}
          place={`money.${field.name}`}
          value={money?.[field.name]}
          fallback={field.default === undefined ? undefined : String(field.default)}
          problem={problems.find((problem) => problem.at === `money.${field.name}`)?.says}
          onChange={(value) => change(field.name, value)}
        />
      ))}
    </Fold>
  )
}
