// After the build: the offline worker with every file of it, and compressed copies for the server.
import { readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import { generateSW } from "workbox-build";
import { licences } from "./licences.mjs";
import { withHashes } from "./policy.mjs";

const CLIENT = "build/client";
const LARGEST_FILE = 8 * 1024 * 1024;

// No script in the page runs that was not written by the build.
const page = join(CLIENT, "index.html");
writeFileSync(page, withHashes(readFileSync(page, "utf8")));

writeFileSync(join(CLIENT, "licences.txt"), licences());

const { count, size, warnings } = await generateSW({
  globDirectory: CLIENT,
  globPatterns: ["**/*.{html,js,css,woff,woff2,svg,png,webmanifest,wasm,jpg,dcm,txt}"],
  swDest: join(CLIENT, "offline.js"),
  mode: "production",
  inlineWorkboxRuntime: true,
  sourcemap: false,
  maximumFileSizeToCacheInBytes: LARGEST_FILE,
  // Tabs that still run the version before get its files from where it was kept.
  runtimeCaching: [
    {
      urlPattern: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith("/assets/"),
      handler: "CacheFirst",
      options: { cacheName: "plumbline-before" },
    },
  ],
  navigateFallback: "/index.html",
  dontCacheBustURLsMatching: /^assets\//,
  cleanupOutdatedCaches: true,
  clientsClaim: true,
  skipWaiting: false,
});
if (warnings.length > 0) throw new Error(`offline worker: ${warnings.join("; ")}`);
console.log(`offline: ${count} files, ${(size / 1e6).toFixed(1)} MB`);

for (const name of readdirSync(CLIENT, { recursive: true })) {
  const path = join(CLIENT, name.toString());
  if (!/\.(js|css|html|svg|webmanifest|wasm|txt)$/.test(path) || statSync(path).size < 1024) continue;
  const content = readFileSync(path);
  writeFileSync(`${path}.gz`, gzipSync(content, { level: 9 }));
  writeFileSync(
    `${path}.br`,
    brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
  );
}
