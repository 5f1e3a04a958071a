export { coverageStudy, COVERAGE_DEFAULTS, type CoverageOptions, type CoverageRow } from './coverageStudy'
export { benchKinds } from './benchKinds'
export type { BenchKind } from './benchDraws'
