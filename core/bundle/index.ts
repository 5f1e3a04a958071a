export {
  bundleOf,
  MAX_REVIEW_BYTES,
  ownBundle,
  REVIEW_FORMAT,
  REVIEW_SCHEMA_VERSION,
  type ReviewBundle,
  type ReviewFileShape,
  writtenBy,
} from './reviewBundle'
