export { coverageStudy, COVERAGE_DEFAULTS, type CoverageOptions, type CoverageRow } from './coverageStudy'
export { benchKinds, type BenchKind } from './benchKinds'
