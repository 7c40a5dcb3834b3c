import { expect, test } from '@jest/globals';
import { bundleFault, MOST_BUNDLE_BYTES } from './bundleLimit';

test('a bundle is refused beyond its limit, with what to do', () => {
  expect(bundleFault(MOST_BUNDLE_BYTES)).toBeNull();
  expect(bundleFault(MOST_BUNDLE_BYTES + 1)).toMatch(/64\.0 MB is the most\. Remove faces/);
});
