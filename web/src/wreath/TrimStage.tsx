import { LayersStage } from "./LayersStage"
import type { StageProps } from "./stageProps"

/** Bows and what is fixed on, each at its place by the clock. */
export const TrimStage = (props: StageProps) => <LayersStage {...props} stage="trim" />
