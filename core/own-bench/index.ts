export {
  emptyBench,
  isEmptyBench,
  keptFrom,
  type MovedOn,
  MOST_BENCH_CHARACTERS,
  movedOn,
  type OwnBench,
  readBenchFile,
  takenOver,
  validBench,
  withOwnBench,
  writeBenchFile,
} from './ownBench'
