import { NextResponse, type NextRequest } from 'next/server';
import { BASE_PATH } from './core/schema/basePath';
import { VERSION_HEADER } from './workers/offline/messages';

/*
 * Closed doors: only this page's own scripts run, nothing is loaded from elsewhere, nobody frames the page, and of the
 * browser's devices only what is used is open.
 */
const development = process.env.NODE_ENV === 'development';

function contentPolicy(nonce: string): string {
  return [
    "default-src 'self'",
    // The development server evaluates what it reloads.
    `script-src 'self' 'nonce-${nonce}'${development ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    `connect-src 'self'${development ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

const closed = ['accelerometer', 'display-capture', 'geolocation', 'gyroscope', 'magnetometer', 'microphone'];
const closedToo = [
  'midi',
  'payment',
  'serial',
  'usb',
  'bluetooth',
  'hid',
  'browsing-topics',
  'publickey-credentials-get',
];
const permissions = [
  ...[...closed, ...closedToo].map((name) => `${name}=()`),
  // Codes on another screen are read by it.
  'camera=(self)',
  'screen-wake-lock=(self)',
  'fullscreen=(self)',
].join(', ');

/** Gives every page its doors; an address that does not read leads to the page that says so. */
export function proxy(request: NextRequest): NextResponse {
  const nonce = btoa(crypto.randomUUID());
  const policy = contentPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const readable = isReadable(request.nextUrl.pathname);
  const response = readable
    ? NextResponse.next({ request: { headers } })
    : NextResponse.rewrite(new URL(`${BASE_PATH}/no-such-page`, request.url), { request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  // A browser that keeps the pages keeps those of one version.
  response.headers.set(VERSION_HEADER, process.env.AETAS_VERSION ?? 'unnamed');
  response.headers.set('X-Content-Type-Options', 'nosniff');
  response.headers.set('Referrer-Policy', 'no-referrer');
  response.headers.set('Permissions-Policy', permissions);
  response.headers.set('Cross-Origin-Opener-Policy', 'same-origin');
  return response;
}

function isReadable(path: string): boolean {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}
