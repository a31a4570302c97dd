import { existsSync } from 'node:fs';

/**
 * Plain JavaScript: a server that starts need not compile it first.
 * @type {import('next').NextConfig}
 */
export default {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Whoever builds once, to open a shop or to test, does not write 200 MB that the next build would read.
  experimental: { turbopackFileSystemCacheForBuild: existsSync('.next/BUILD_ID') },
  // Types are checked by `npm test` and `npm run typecheck`: whoever opens a shop does not wait for it again.
  typescript: { ignoreBuildErrors: true },
  // Native or file-reading packages stay outside the bundle.
  serverExternalPackages: ['better-sqlite3', 'pdfkit', 'sharp', '@node-rs/argon2'],
};
