import { LayersStage } from "./LayersStage"
import type { StageProps } from "./WreathScreen"

/** Which covering, of what, and how it lies. */
export const CoverStage = (props: StageProps) => <LayersStage {...props} stage="cover" />
