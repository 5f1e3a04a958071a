export { findings, type Findings, type FindingsRow } from './findings'
export { remarks, type Remark } from './remarks'
