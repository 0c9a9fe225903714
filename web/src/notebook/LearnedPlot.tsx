import type { Learned } from "../keep/client"

const WIDTH = 420
const LINE = 30

/** Makes as dots along what was used for every one planned; the allowance as a line, its spread as a band. */
export function LearnedPlot({ learned }: { learned: Learned }) {
  const { ratios, factor, spread } = learned
  const low = Math.min(0.9, ...ratios, factor - spread)
  const high = Math.max(1.1, ...ratios, factor + spread)
  const x = (ratio: number) => 14 + ((ratio - low) / (high - low)) * (WIDTH - 28)
  const percent = (ratio: number) => `${ratio >= 1 ? "+" : "−"}${Math.abs((ratio - 1) * 100).toFixed(1)}`
  const range = `${percent(Math.min(...ratios))} to ${percent(Math.max(...ratios))} %`
  const makes = `${ratios.length} ${ratios.length === 1 ? "make" : "makes"} from ${range}`
  return (
    <>
      <h3 className="text-base">
        {learned.title}, {learned.name}
      </h3>
      <p>
        {learned.says}, give or take {(spread * 100).toFixed(1)} %.
      </p>
      <svg
        viewBox={`0 0 ${WIDTH} 66`}
        className="mt-1 block w-full"
        role="img"
        aria-label={`${makes}; the allowance is ${percent(factor)} %.`}
      >
        <rect
          x={x(factor - spread)}
          y={LINE - 18}
          width={x(factor + spread) - x(factor - spread)}
          height={36}
          fill="var(--color-accent)"
        />
        <path d={`M8 ${LINE} H${WIDTH - 8}`} stroke="var(--color-base-content)" strokeOpacity={0.5} />
        <path d={`M${x(1)} ${LINE - 20} V${LINE + 20}`} stroke="var(--color-base-content)" strokeDasharray="3 3" />
        <path d={`M${x(factor)} ${LINE - 20} V${LINE + 20}`} stroke="var(--color-primary)" strokeWidth={3} />
        {ratios.map((ratio, index) => (
          <circle
            key={index}
            cx={x(ratio)}
            cy={LINE - ((index % 3) - 1) * 8}
            r={4.5}
            fill="var(--color-secondary)"
            stroke="var(--color-base-200)"
          />
        ))}
        <g fontSize="12" fill="currentColor" textAnchor="middle">
          <text x={x(1)} y={62}>
            as planned
          </text>
          {Math.abs(x(factor) - x(1)) > 55 && (
            <text x={Math.min(Math.max(x(factor), 30), WIDTH - 30)} y={62}>
              {percent(factor)} %
            </text>
          )}
        </g>
      </svg>
    </>
  )
}
