import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Types are checked by `npm test` and `npm run typecheck`: whoever opens a shop does not wait for it again.
  typescript: { ignoreBuildErrors: true },
  // Native or file-reading packages stay outside the bundle.
  serverExternalPackages: ['better-sqlite3', 'pdfkit', 'sharp', '@node-rs/argon2'],
};

export default config;
