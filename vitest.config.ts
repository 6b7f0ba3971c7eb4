import path from 'node:path';
import { defineConfig } from 'vitest/config';

const alias = { '@': path.resolve(import.meta.dirname, 'src') };

/** They set the environment of the process and use the one database that the application keeps open: each on its own. */
const asApplication = ['src/server/people/people.test.ts', 'src/server/ranking.test.ts'];

/** How long a thing may take before it is taken to hang: no test is to fail for a slow machine. What waits within a test gives up before. */
const patience = {
  testTimeout: 600_000,
  hookTimeout: 300_000,
  expect: { poll: { timeout: 150_000 } },
};

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          include: ['src/{core,ui,workers,highs}/**/*.test.ts', 'cli/**/*.test.ts', 'demo/**/*.test.ts'],
          ...patience,
          // Loading the core anew for each file takes a third as long as its tests; what a test stubs it puts back.
          isolate: false,
          // Vitest leaves one processor of two to itself, and hardly uses it.
          maxWorkers: '100%',
          // Climbs make much that lives for a moment: with room for it a tenth to a sixth of the time is saved.
          execArgv: ['--max-semi-space-size=64'],
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'database',
          include: ['src/{db,server}/**/*.test.ts'],
          exclude: asApplication,
          ...patience,
          fileParallelism: false,
          isolate: false,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'database as the application has it',
          include: asApplication,
          ...patience,
          fileParallelism: false,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'screens',
          include: ['e2e/**/*.test.ts'],
          setupFiles: ['e2e/own-server.ts'],
          isolate: false,
          ...patience,
          // A page may draw anew between the finding of a button and its click; what fails twice is a fault. The report says what was tried again.
          retry: 1,
          // As many as there are servers.
          maxWorkers: 2,
        },
      },
    ],
  },
});
