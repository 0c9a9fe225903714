import type { Notebook } from "../keep/client"
import { Prose } from "../pieces/Prose"

type Calibration = Notebook["calibration"]

const SIDE = 190
const LOW = 0.4
const place = (share: number) => 34 + ((Math.max(share, LOW) - LOW) / (1 - LOW)) * (SIDE - 44)

/** Whether the predictions hold: so sure, and so many really enough. On the line they are just right. */
export function CalibrationPlot({ calibration }: { calibration: Calibration }) {
  const { points, says } = calibration
  return (
    <section aria-label="Whether predictions hold" className="border-b border-base-300 py-3">
      <h2 className="text-lg">Do the predictions hold?</h2>
      <p>
        <Prose>{says}</Prose>
      </p>
      {points.length > 0 && (
        <svg
          viewBox={`0 0 ${SIDE} ${SIDE}`}
          className="mt-2 block w-72 max-w-full"
          role="img"
          aria-label={told(points)}
        >
          <path d={`M34 8 V${SIDE - 30} H${SIDE - 8}`} fill="none" stroke="var(--color-base-content)" />
          <path
            d={`M${place(LOW)} ${up(LOW)} L${place(1)} ${up(1)}`}
            stroke="var(--color-base-content)"
            strokeDasharray="3 3"
          />
          <path
            d={points.map(({ sure, enough, of }, i) => `${i ? "L" : "M"}${place(sure)} ${up(enough / of)}`).join(" ")}
            fill="none"
            stroke="var(--color-primary)"
            strokeWidth={2.5}
          />
          {points.map(({ sure, enough, of }) => (
            <circle key={sure} cx={place(sure)} cy={up(enough / of)} r={3.5} fill="var(--color-secondary)" />
          ))}
          <g fontSize="9" fill="currentColor">
            {[0.5, 0.7, 0.9].map((share) => (
              <g key={share}>
                <text x={place(share)} y={SIDE - 18} textAnchor="middle">
                  {Math.round(share * 100)} %
                </text>
                <text x={30} y={up(share) + 3} textAnchor="end">
                  {Math.round(share * 100)} %
                </text>
              </g>
            ))}
            <text x={(34 + SIDE) / 2} y={SIDE - 5} textAnchor="middle">
              planned to be so sure
            </text>
            <text x={38} y={14}>
              really enough
            </text>
          </g>
        </svg>
      )}
    </section>
  )
}

const up = (share: number) => SIDE + 4 - place(share)

const told = (points: Calibration["points"]) =>
  points.map(({ sure, enough, of }) => `At ${Math.round(sure * 100)} % ${enough} of ${of} were enough`).join(". ")
