export {
  PHYSICAL_DEFAULTS,
  type PhysicalKind,
  type PhysicalOptions,
  type PhysicalRow,
  physicalStudy,
} from './physicalStudy'
