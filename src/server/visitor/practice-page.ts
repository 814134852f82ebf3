import type { HttpAnswer } from '../http/exchange';

/** What the page may load: the widget, and what the widget asks for. */
const POLICY = [
  "default-src 'none'",
  "script-src 'self'",
  "connect-src 'self'",
  "img-src 'self' data: blob:",
  "font-src 'self' data: blob:",
  "style-src 'unsafe-inline'",
  "base-uri 'none'",
  "form-action 'none'",
  "frame-ancestors 'self'",
].join('; ');

/** An almost empty page with a site's snippet on it. The key is one of ours: twelve letters and digits. */
export function practicePage(siteKey: string): HttpAnswer {
  const html = `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<title>Practice page</title>
<style>
  body { margin: 0; min-height: 100vh; background: #eef1ee; font-family: system-ui, sans-serif }
  i { display: block; margin: 24px; height: 14px; border-radius: 7px; background: #d5dcd6 }
  i:first-of-type { height: 150px; border-radius: 12px; width: 55% }
</style>
<i></i><i style="width: 70%"></i><i style="width: 62%"></i><i style="width: 40%"></i>
<script async src="/w/porch.js" data-site="${siteKey}"></script>
`;
  return {
    status: 200,
    headers: {
      'Content-Type': 'text/html; charset=utf-8',
      'Content-Security-Policy': POLICY,
      'X-Content-Type-Options': 'nosniff',
      'Referrer-Policy': 'same-origin',
      'Cache-Control': 'no-store',
    },
    body: html,
  };
}
