'use client';

import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A way to another page of Rung. Nothing is fetched ahead: every page is made when it is asked for, so that of a page ahead nothing comes but its outline, and a stile of
 * twelve links asked for two dozen of those at each page that was opened.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
