export { kept } from './kept'
export { createMemory, createReader, type Ask, type Memory, type Reader } from './memory'
