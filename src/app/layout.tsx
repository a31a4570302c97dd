import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import '@/ui/theme/globals.css';
import '@/ui/theme/work.css';
import '@/ui/theme/stages.css';
import '@/ui/theme/meet.css';
import '@/ui/theme/fit.css';
import '@/ui/theme/compare.css';
import '@/ui/theme/packages.css';
import '@/ui/theme/parts.css';
import '@/ui/theme/build.css';
import '@/ui/theme/bench.css';
import '@/ui/theme/lane.css';
import '@/ui/theme/history.css';
import '@/ui/theme/sheet.css';
import '@/ui/theme/today.css';
import '@/ui/theme/frame.css';
import '@/ui/theme/map.css';
import '@/ui/theme/narrow.css';
import '@/ui/theme/dock.css';
import '@/ui/theme/narrow-fit.css';
import '@/ui/theme/narrow-kit.css';
import { loadShop } from '@/server/shop';
import { Shell } from '@/ui/frame/Shell';

export const metadata: Metadata = {
  title: { default: 'Waffenrad', template: '%s · Waffenrad' },
  description: 'Fit, build, tune and hand over a bow.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };
// Every page is made from the database as it is now.
export const dynamic = 'force-dynamic';

const DIM_BEFORE_PAINT =
  "try{document.documentElement.dataset.dim=localStorage.getItem('waffenrad.dim')==='yes'?'yes':'no'}catch{}";

export default function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        {/* Before the first paint: a lane in the dark must not be lit up by a white screen. */}
        <script dangerouslySetInnerHTML={{ __html: DIM_BEFORE_PAINT }} />
        <AppRouterCacheProvider>
          <Shell shop={loadShop()}>{children}</Shell>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
