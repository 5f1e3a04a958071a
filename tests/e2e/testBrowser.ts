import browserArguments from '../../scripts/browserArguments.json' with { type: 'json' }

/**
 * What the Chromium of the tests is started with. Compiled code is not kept for a next time: each test has a browser
 * of its own, and making that keepsake takes a tenth of all its work.
 */
export const TEST_BROWSER = [...browserArguments, '--blink-settings=v8CacheOptions=1']
