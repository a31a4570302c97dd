import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import '@/ui/theme/globals.css';
import { loadShop } from '@/server/shop';
import { SCHEME } from '@/ui/theme/tokens';
import { Shell } from '@/ui/frame/Shell';

export const metadata: Metadata = {
  title: { default: 'Waffenrad', template: '%s · Waffenrad' },
  description: 'Fit, build, tune and hand over a bow.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };
// Every page is made from the database as it is now.
export const dynamic = 'force-dynamic';

export default function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        {/* Before the first paint: a lane in the dark must not be lit up by a white screen. */}
        <InitColorSchemeScript
          attribute={SCHEME.selector}
          modeStorageKey={SCHEME.storageKey}
          defaultMode="light"
        />
        <AppRouterCacheProvider options={{ enableCssLayer: true }}>
          <Shell shop={loadShop()}>{children}</Shell>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
