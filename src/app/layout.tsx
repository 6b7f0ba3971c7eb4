import '@fontsource-variable/archivo/wdth.css';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import type { ReactNode } from 'react';
import { Queries } from '@/ui/frame/Queries';
import { Look } from '@/ui/theme/Look';

export const metadata: Metadata = {
  title: { default: 'Rung', template: '%s, Rung' },
  description: 'Which flight controller carries your build, why, and how to wire it.',
};

/** Every page carries the number by which its own scripts and styles may run (server/security-policy.ts). */
export default async function Layout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data-scheme" defaultMode="system" nonce={nonce} />
        <AppRouterCacheProvider options={nonce === undefined ? {} : { nonce }}>
          <Look>
            <NuqsAdapter>
              <Queries>{children}</Queries>
            </NuqsAdapter>
          </Look>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
