// What the browser is told of this application: the policy in the page, and the headers that the server sends.
import { createHash } from "node:crypto";

/** Stands in the page's policy until the build has written the scripts that stand in the page. */
const INLINE = "'unsafe-inline'";

/** The text of every script that stands in a page itself. */
const inlineScripts = (html) =>
  [...html.matchAll(/<script\b(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g)].map(([, text]) => text);

const META = /(<meta http-equiv="Content-Security-Policy" content=")([^"]*)(")/;

/** The page with a policy that lets the scripts in it run by their hashes, and no other. */
export function withHashes(html) {
  const hashes = [
    ...new Set(
      inlineScripts(html).map((text) => `'sha256-${createHash("sha256").update(text).digest("base64")}'`),
    ),
  ];
  const [, , policy] = META.exec(html) ?? [];
  if (!policy) throw new Error("The page has no policy.");
  const words = policy.replaceAll("&#x27;", "'");
  if (!words.includes(`script-src 'self' ${INLINE}`))
    throw new Error("The page's policy was changed: look here.");
  const strict = words.replace(`script-src 'self' ${INLINE}`, `script-src 'self' ${hashes.join(" ")}`);
  return html.replace(META, `$1${strict.replaceAll("'", "&#x27;")}$3`);
}

/** The policy that stands in a page. */
export const policyIn = (html) => (META.exec(html)?.[2] ?? "").replaceAll("&#x27;", "'");

/** Headers for every answer, scripts of workers too: a worker is bound by its own file's policy, not by the page's. */
export const headersFor = (html) => ({
  "Content-Security-Policy": `${policyIn(html)}; frame-ancestors 'none'`,
  "X-Frame-Options": "DENY",
  "X-Content-Type-Options": "nosniff",
  "Referrer-Policy": "no-referrer",
  "Cross-Origin-Opener-Policy": "same-origin",
  "Cross-Origin-Resource-Policy": "same-origin",
  "Permissions-Policy":
    "camera=(self), microphone=(self), screen-wake-lock=(self), geolocation=(), payment=(), usb=(), serial=(self), display-capture=()",
});
