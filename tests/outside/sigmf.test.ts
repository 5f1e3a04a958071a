import { describe, expect, it } from 'vitest'
import { sigmfSchema } from '#core/format'

/** A minimal valid recording (SigMF specification 1.0, core namespace, from memory). */
const minimal = {
  global: { 'core:datatype': 'cf32_le', 'core:version': '1.0.0' },
  captures: [{ 'core:sample_start': 0 }],
  annotations: [{ 'core:sample_start': 0 }],
}

describe('SigMF’s required fields (specification 1.0, core namespace, from memory)', () => {
  it('takes the minimal recording, unknown extensions too', () => {
    expect(sigmfSchema.validate(minimal).error).toBeUndefined()
    expect(
      sigmfSchema.validate({ ...minimal, global: { ...minimal.global, 'my:thing': 1 } }).error,
    ).toBeUndefined()
  })

  it.each([
    ['global', { ...minimal, global: undefined }],
    ['captures', { ...minimal, captures: undefined }],
    ['annotations', { ...minimal, annotations: undefined }],
    ['core:datatype', { ...minimal, global: { 'core:version': '1.0.0' } }],
    ['core:version', { ...minimal, global: { 'core:datatype': 'cf32_le' } }],
    ['a capture’s core:sample_start', { ...minimal, captures: [{}] }],
    ['an annotation’s core:sample_start', { ...minimal, annotations: [{}] }],
  ])('refuses without %s', (_what, data) => {
    expect(sigmfSchema.validate(data).error).toBeDefined()
  })

  it.each(['cf32_le', 'ci16_be', 'ru8', 'ci8', 'rf64_le', 'cu32_le'])('knows the datatype %s', datatype => {
    expect(
      sigmfSchema.validate({ ...minimal, global: { ...minimal.global, 'core:datatype': datatype } }).error,
    ).toBeUndefined()
  })
})
