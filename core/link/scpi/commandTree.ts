import { isMnemonic } from './mnemonic'
import type { ScpiCommand } from './message'

/** A node of a header: its mnemonic, whether it may be left out, whether it takes a number. */
interface Node {
  mnemonic: string
  isOptional: boolean
}

/** A header as a pattern: `[SOURce:]FREQuency[:CW]?`. */
export interface HeaderPattern {
  nodes: readonly Node[]
  isQuery: boolean
}

/** Reads a pattern of a header. */
export function headerPattern(pattern: string): HeaderPattern {
  const isQuery = pattern.endsWith('?')
  const plain = isQuery ? pattern.slice(0, -1) : pattern
  const nodes = plain
    .replaceAll(':]', ']')
    .replaceAll('[:', '[')
    .split(/(\[[^\]]+\])|:/)
    .filter((part): part is string => !!part)
    .map(part => ({ mnemonic: part.replace(/[[\]]/g, ''), isOptional: part.startsWith('[') }))
  return { nodes, isQuery }
}

/** Whether a command has a header of this pattern. */
export function fits(
  { header, isQuery }: Pick<ScpiCommand, 'header' | 'isQuery'>,
  pattern: HeaderPattern,
): boolean {
  return isQuery === pattern.isQuery && nodesFit(header, pattern.nodes)
}

function nodesFit(words: readonly string[], nodes: readonly Node[]): boolean {
  const [node, ...others] = nodes
  if (!node) return words.length === 0
  const [word, ...rest] = words
  if (word !== undefined && isMnemonic(word, node.mnemonic) && nodesFit(rest, others)) return true
  return node.isOptional && nodesFit(words, others)
}
