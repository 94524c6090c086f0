import type { Server } from "node:http";

export function serve(port?: number, directory?: string): Promise<{ server: Server; address: string }>;
