import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Native or file-reading packages stay outside the bundle.
  serverExternalPackages: ['better-sqlite3', 'pdfkit', 'sharp', '@node-rs/argon2'],
};

export default config;
