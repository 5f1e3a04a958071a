import localforage from 'localforage'
import { canonicalPublication } from '#core/publication'
import type { Publication, PublicationSignature } from '#core/review'

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256' } as const
const STORE = 'rigorous-meter-keys'
const NAME = 'signing'

const store = localforage.createInstance({ name: STORE, driver: localforage.INDEXEDDB })

/**
 * This browser's key, made when it is first asked for. The private half never leaves the browser: it can sign, and
 * nobody can read it.
 * @throws Error in words where the browser has no such keys.
 */
async function signingKey(): Promise<CryptoKeyPair> {
  const kept = await store.getItem<CryptoKeyPair>(NAME)
  if (kept) return kept
  const made = await crypto.subtle.generateKey(ALGORITHM, false, ['sign', 'verify'])
  await store.setItem(NAME, made)
  return made
}

/** Whether publications can be signed here: keys want a secure address. */
export const canSign = (): boolean => typeof crypto !== 'undefined' && crypto.subtle !== undefined

/** Signs a publication with this browser's key. */
export async function signed(publication: Publication): Promise<Publication> {
  if (!canSign())
    throw new Error(
      'This browser makes no keys at this address (it wants https or localhost). Publish unsigned.',
    )
  const { privateKey, publicKey } = await signingKey()
  const message = new TextEncoder().encode(canonicalPublication(publication))
  const value = await crypto.subtle.sign({ name: ALGORITHM.name, hash: 'SHA-256' }, privateKey, message)
  const signature: PublicationSignature = {
    publicKey: base64(await crypto.subtle.exportKey('raw', publicKey)),
    value: base64(value),
  }
  return { ...publication, signature }
}

function base64(bytes: ArrayBuffer): string {
  return btoa(String.fromCharCode(...new Uint8Array(bytes)))
}
