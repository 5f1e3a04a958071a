import type { PhysicalKind } from '../physicalStudy'
import { ambientKinds } from './ambient'
import { bandwidthKinds } from './bandwidth'
import { carrierKinds } from './carrier'
import { detectorKinds } from './detectors'
import { meterKinds } from './meters'
import { plainKinds } from './plain'
import { reflectionKinds } from './reflections'
import { scaleKinds } from './scale'
import { traceKinds } from './traces'

/** Every way in which a bench of the study lies, one file a family. */
export const physicalKinds: readonly PhysicalKind[] = [
  ...plainKinds,
  ...carrierKinds,
  ...detectorKinds,
  ...reflectionKinds,
  ...meterKinds,
  ...scaleKinds,
  ...ambientKinds,
  ...bandwidthKinds,
  ...traceKinds,
]
