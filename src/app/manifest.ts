import type { MetadataRoute } from 'next';

/** What a phone or a desk needs to keep Rung among its programs. */
export default function manifest(): MetadataRoute.Manifest {
  const path = process.env.RUNG_PATH ?? '';
  return {
    name: 'Rung',
    short_name: 'Rung',
    description: 'Which flight controller carries your build, why, and how to wire it.',
    start_url: `${path}/`,
    display: 'standalone',
    background_color: '#f6f2e8',
    theme_color: '#f6f2e8',
    icons: [{ src: `${path}/icon.svg`, sizes: 'any', type: 'image/svg+xml' }],
  };
}
