export {
  REFERENCE_OHM,
  EMF_OVER_PD_DB,
  dbmFromWatts,
  wattsFromDbm,
  dbmFromVoltsPd,
  voltsPdFromDbm,
  dbmFromDbuvPd,
  dbmFromDbuvEmf,
  dbFromPowerRatio,
} from './power'
export {
  reflectionFromVswr,
  returnLossDbFromVswr,
  mismatchLossDbFromVswr,
  vswrFromReflection,
  vswrFromReturnLossDb,
} from './reflection'
export { LEVEL_LAWS, LEVEL_UNITS, levelIn, type LevelUnit } from './levelUnits'
export {
  differenceUnit,
  FIGURE_UNITS,
  SCALAR_UNITS,
  type DifferenceUnit,
  type FigureUnit,
  type ScalarUnit,
} from './units'
export { parseRatio, type RatioRead, type RatioUnit } from './parseRatio'
export { figureWords } from './figureWords'
export { parseMatch } from './parseMatch'
export { parseReflection, type ReflectionRead, type ReflectionUnit } from './parseReflection'
export {
  printDbc,
  printLevel,
  printOhm,
  printPercent,
  printPpm,
  printSignificant,
  printAmperes,
  printVswr,
} from './printQuantity'
export { parseLevel, type LevelRead, type ParseLevelOptions } from './parseLevel'
export { parseFrequency, type FrequencyRead } from './parseFrequency'
export { parsePlainNumber, type PlainNumberRead, type ParsePlainNumberOptions } from './parsePlainNumber'
export type { ParseRefusal } from './parseResult'
export { spelled } from './spelled'
export { readNumber, type NumberRead, type NumberAmbiguous } from './readNumber'
export {
  MINUS,
  UNIT_SPACE,
  printNumber,
  printSigned,
  printDbm,
  printDb,
  printHz,
  printMargin,
  printMarginIn,
  printPlusMinus,
  printRange,
  printWatts,
  printHalfWidth,
  printClaimW,
  printDbmAsWatts,
  printDuration,
  printMhzFigure,
  printMhz,
  printFrequencyShort,
} from './print'
export { parseFigure, printFigure, type FigureRead, type ParseFigureOptions } from './parseFigure'
