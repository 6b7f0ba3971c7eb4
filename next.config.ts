import { randomUUID } from 'node:crypto';
import type { NextConfig } from 'next';
import { barePolicy } from './src/server/security-policy';

const config: NextConfig = {
  reactStrictMode: true,
  reactCompiler: true,
  poweredByHeader: false,
  // Types are checked by `npm test`, once; a build would do it again.
  typescript: { ignoreBuildErrors: true },
  // Behind a proxy under a path: RUNG_PATH=/rung when it is built and when it is started.
  ...(process.env.RUNG_PATH ? { basePath: process.env.RUNG_PATH } : {}),
  env: {
    NEXT_PUBLIC_RUNG_PATH: process.env.RUNG_PATH ?? '',
    // What one build of Rung worked out is no answer of another one.
    NEXT_PUBLIC_RUNG_CODE: process.env.NODE_ENV === 'production' ? randomUUID() : '',
  },
  // What only the server uses is taken from node_modules as it stands: a build need not pack it, and the first page comes sooner.
  serverExternalPackages: ['better-auth', 'drizzle-orm', 'pg', 'pg-boss', 'pino', 'zod'],
  devIndicators: false,
  // A build that has its cache on disk takes a third longer, and is made once for each state of the code; maps of the server's code take a sixth more, and nothing reads them.
  experimental: { turbopackFileSystemCacheForBuild: false, turbopackSourceMaps: false },
  async headers() {
    return [
      {
        source: '/:path*',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'Referrer-Policy', value: 'same-origin' },
          { key: 'X-Frame-Options', value: 'DENY' },
          { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
          { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
          { key: 'Permissions-Policy', value: 'camera=(), microphone=(), geolocation=(), payment=()' },
        ],
      },
      { source: '/api/:path*', headers: [{ key: 'Content-Security-Policy', value: barePolicy }] },
    ];
  },
};

export default config;
