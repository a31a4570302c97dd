import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { headers } from 'next/headers';
import { preload } from 'react-dom';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import '@/ui/theme/globals.css';
import type { Shop } from '@/core/job';
import { askerIn, type Asker } from '@/server/access/asker';
import { erasedArchers } from '@/server/erased';
import { openingHour } from '@/server/first-hour';
import { shopOrSickness } from '@/server/shop';
import type { Sickness } from '@/server/sick';
import { SCHEME } from '@/ui/theme/tokens';
import { Dress } from '@/ui/frame/Dress';
import { SickShop } from '@/ui/frame/SickShop';
import { Shell } from '@/ui/frame/Shell';

export const metadata: Metadata = {
  title: { default: 'Waffenrad', template: '%s · Waffenrad' },
  description: 'Fit, build, tune and hand over a bow.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };
// Every page is made from the database as it is now.
export const dynamic = 'force-dynamic';

/** Asked for with the page itself, not only once its style sheets were read. */
const FACES = [
  new URL(
    '../../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
    import.meta.url,
  ),
  new URL(
    '../../node_modules/@fontsource-variable/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-wght-normal.woff2',
    import.meta.url,
  ),
].map((face) => face.pathname);

/** Nothing stands there yet, and somebody at the machine itself is asked what to do. */
const atOpening = ({ kind }: Sickness, asked: Headers) =>
  kind === 'no-shop' && askerIn({ headers: asked })?.atMachine === true;

/** Who is signed in has the whole of it; at the door there is the look alone. */
function Inside({
  shop,
  asker,
  children,
}: {
  shop: Shop;
  asker: Asker | null;
  children: ReactNode;
}) {
  if (!asker?.by) return <Dress>{children}</Dress>;
  const { by, personId, mark, since } = asker;
  return (
    <Shell
      shop={shop}
      someone={{ id: personId ?? '', name: by.name, rights: by.rights, mark, since }}
      hints={openingHour() !== null}
      erased={erasedArchers()}
    >
      {children}
    </Shell>
  );
}

export default async function Layout({ children }: { children: ReactNode }) {
  const asked = await headers();
  const nonce = asked.get('x-nonce') ?? '';
  for (const face of FACES)
    preload(face, { as: 'font', type: 'font/woff2', crossOrigin: 'anonymous' });
  const found = shopOrSickness();
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        {/* Before the first paint: a lane in the dark must not be lit up by a white screen. */}
        <InitColorSchemeScript
          nonce={nonce}
          attribute={SCHEME.selector}
          modeStorageKey={SCHEME.storageKey}
          defaultMode="light"
        />
        <AppRouterCacheProvider options={{ enableCssLayer: true }}>
          {'sick' in found && atOpening(found.sick, asked) ? (
            <Dress>{children}</Dress>
          ) : 'sick' in found ? (
            <SickShop title={found.sick.title} detail={found.sick.detail} />
          ) : (
            <Inside shop={found.shop} asker={askerIn({ headers: asked })}>
              {children}
            </Inside>
          )}
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
