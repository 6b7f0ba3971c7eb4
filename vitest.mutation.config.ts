import path from 'node:path';
import { defineConfig } from 'vitest/config';

/** The quick tests of the core, for mutation testing: without the searches over thousands of random builds, which would run for every mutant. */
export default defineConfig({
  resolve: { alias: { '@': path.resolve(import.meta.dirname, 'src') } },
  test: {
    include: ['src/core/**/*.test.ts'],
    exclude: [
      'src/core/tests/hostile.test.ts',
      'src/core/evaluate/{soundness,soundness-of-build}.test.ts',
      'src/core/solver/{oracle,general,improve,search,solve}.test.ts',
      'src/core/wiring/verify.test.ts',
    ],
    testTimeout: 20_000,
  },
});
