/** Writes the service worker that keeps the app's own files on the device: it opens without the server. */
import { join } from 'node:path';

/** The plan worker is the largest of them. */
const LARGEST_BYTES = 8 * 1024 * 1024;

export async function writeServiceWorker(folder) {
  const { generateSW } = await import('workbox-build');
  const { warnings } = await generateSW({
    globDirectory: folder,
    globPatterns: [
      'index.html',
      '*.{webmanifest,png,ico}',
      '_expo/**/*.js',
      'assets/**/*.{ttf,png}',
    ],
    swDest: join(folder, 'sw.js'),
    // Every address is the same page; what is asked of the API is never answered from here.
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    // Hashed names say themselves when they change.
    dontCacheBustURLsMatching: /-[0-9a-f]{32}\./,
    maximumFileSizeToCacheInBytes: LARGEST_BYTES,
    cleanupOutdatedCaches: true,
    clientsClaim: true,
    skipWaiting: true,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: 'production',
  });
  for (const warning of warnings) console.warn(warning);
}
