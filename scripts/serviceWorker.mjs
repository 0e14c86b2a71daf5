import { generateSW } from 'workbox-build';

/** The largest file that is kept on the device, bytes: the library of loose pieces is the largest there is. */
const LARGEST = 8 * 2 ** 20;

/**
 * Writes the worker that has the built pages start without a network. A newer one waits until it is told to take over.
 * @param {string} folder the built pages
 * @throws Error where a file would be left out
 */
export async function writeServiceWorker(folder) {
  const { warnings } = await generateSW({
    globDirectory: folder,
    globPatterns: ['**/*.{html,js,css,ttf,png,ico,wasm,webmanifest}'],
    modifyURLPrefix: { '': '/' },
    swDest: `${folder}/sw.js`,
    mode: 'production',
    inlineWorkboxRuntime: true,
    sourcemap: false,
    maximumFileSizeToCacheInBytes: LARGEST,
    // What carries a hash in its name never changes.
    dontCacheBustURLsMatching: /[.-][0-9a-f]{16,}\./,
    cleanupOutdatedCaches: true,
    skipWaiting: false,
    clientsClaim: true,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//, /\.[a-z0-9]+$/i],
    runtimeCaching: [
      {
        // Their addresses change with what they show.
        urlPattern: /\/api\/(courses|kits|published)\/[^/]+\/picture/,
        handler: 'CacheFirst',
        options: {
          cacheName: 'pictures',
          expiration: { maxEntries: 300 },
          cacheableResponse: { statuses: [200] },
        },
      },
      {
        urlPattern: /\/api\/recordings\/[^/]+$/,
        handler: 'CacheFirst',
        options: {
          cacheName: 'recordings',
          expiration: { maxEntries: 40 },
          cacheableResponse: { statuses: [200] },
          rangeRequests: true,
        },
      },
    ],
  });
  if (warnings.length > 0) throw new Error(warnings.join('\n'));
}
