import { LayersStage } from "./LayersStage"
import type { StageProps } from "./stageProps"

/** Which covering, of what, and how it lies. */
export const CoverStage = (props: StageProps) => <LayersStage {...props} stage="cover" />
