// Serves the production build on this machine: compressed, hashed files for ever, the rest asked for anew.
import { createServer } from "node:http";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import sirv from "sirv";
import { headersFor } from "./policy.mjs";

/** Starts the server; port 0 takes a free one. */
export function serve(port = 0, directory = "build/client") {
  const headers = headersFor(readFileSync(join(directory, "index.html"), "utf8"));
  const files = sirv(directory, {
    single: true,
    gzip: true,
    brotli: true,
    etag: true,
    setHeaders: (response, path) => {
      const hashed = path.startsWith("/assets/");
      response.setHeader("Cache-Control", hashed ? "public, max-age=31536000, immutable" : "no-cache");
    },
  });
  const server = createServer((request, response) => {
    for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
    files(request, response, () => {
      response.statusCode = 404;
      response.end("Not found");
    });
  });
  return new Promise((resolve, reject) => {
    server.on("error", reject);
    server.listen(port, "127.0.0.1", () =>
      resolve({ server, address: `http://localhost:${server.address().port}` }),
    );
  });
}

if (import.meta.url === `file://${process.argv[1]}`) {
  const { address } = await serve(Number(process.env.PORT ?? 0));
  console.log(address);
}
