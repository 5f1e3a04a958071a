export { firstNullToneHz, fullDeviationHz, spacingOf } from './deviation'
export { necessaryBandwidthHz } from './necessaryBandwidth'
export { ADJACENT_CHANNELS, adjacentHz, type AdjacentChannel } from './adjacentChannels'
