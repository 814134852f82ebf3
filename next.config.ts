import type { NextConfig } from 'next';

const PAGE_HEADERS = [
  { key: 'X-Frame-Options', value: 'DENY' },
  { key: 'X-Content-Type-Options', value: 'nosniff' },
  { key: 'Referrer-Policy', value: 'same-origin' },
];

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3', '@node-rs/argon2', 'sharp', 'undici', 'pino'],
  poweredByHeader: false,
  devIndicators: false,
  headers: () => Promise.resolve([{ source: '/((?!w/).*)', headers: PAGE_HEADERS }]),
};

export default config;
