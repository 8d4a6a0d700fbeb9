/**
 * Serves the built app. Environment: PORT (4173), HOST (127.0.0.1), NERITE_SAMPLE=1 to seed new browsers with the sample
 * studio, NERITE_HOSTS for further names it is reached by, with commas between.
 */
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

/** Static files go out without a policy of the page's; a worker obeys its own response, so each carries one. */
const FILES_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self'; connect-src 'self'";

/** Names the app answers to. A page elsewhere that has its own name point here must not read what this server streams. */
function namesOf(host: string, port: number): Set<string> {
  const own = ['127.0.0.1', 'localhost', '[::1]', host.includes(':') ? `[${host}]` : host];
  const further = (process.env['NERITE_HOSTS'] ?? '').split(',').map((name) => name.trim().toLowerCase());
  return new Set([...own, ...further].filter(Boolean).flatMap((name) => [name, `${name}:${port}`]));
}

/** @throws where nothing can listen there; the error's code says why */
export async function serve(port: number, host = process.env['HOST'] ?? '127.0.0.1'): Promise<Server> {
  process.env['ORIGIN'] ??= `http://${host}:${port}`;
  const { handler } = (await import(new URL('../build/handler.js', import.meta.url).href)) as {
    handler: Parameters<typeof createServer>[1] & ((...args: unknown[]) => void);
  };
  let names = new Set<string>();
  const server = createServer((request, response) => {
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('referrer-policy', 'no-referrer');
    if (!names.has((request.headers.host ?? '').toLowerCase())) {
      response.writeHead(421, { 'content-type': 'text/plain; charset=utf-8' });
      return void response.end(
        `Nerite does not answer to this name. Open it at ${process.env['ORIGIN']}, or give the name in NERITE_HOSTS.\n`,
      );
    }
    if (/^\/(_app\/|favicon)/.test(request.url ?? '')) response.setHeader('content-security-policy', FILES_POLICY);
    handler(request, response);
  });
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, resolve);
  });
  names = namesOf(host, (server.address() as AddressInfo).port);
  return server;
}

/** Ends the server: streams are closed with it, so that it takes no longer than the last answer. */
export function ended(server: Server): Promise<void> {
  return new Promise((resolve) => {
    server.close(() => resolve());
    server.closeAllConnections();
  });
}

/** One sentence for what keeps a server from starting. */
function says(error: unknown, port: number, host: string): string {
  switch ((error as NodeJS.ErrnoException).code) {
    case 'EADDRINUSE':
      return `Port ${port} is taken. End what uses it, or give another in PORT.`;
    case 'EACCES':
      return `Port ${port} may not be used here. Give one from 1024 on in PORT.`;
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return `${host} is no address of this machine. Leave HOST out, or give 127.0.0.1.`;
    default:
      return `Nerite could not be served: ${error instanceof Error ? error.message : String(error)}`;
  }
}

if (process.argv[1] === new URL(import.meta.url).pathname) {
  const host = process.env['HOST'] ?? '127.0.0.1';
  const asked = process.env['PORT'] ?? '4173';
  const port = Number(asked);
  const stop = (line: string): never => {
    console.error(line);
    process.exit(1);
  };
  if (!/^\d{1,5}$/.test(asked) || port < 1 || port > 65535) stop(`PORT is “${asked}”. Give a number from 1 to 65535.`);
  const server = await serve(port, host).catch((error: unknown) => stop(says(error, port, host)));
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => void ended(server).then(() => process.exit(0)));
  console.log(`Nerite is open at http://${host.includes(':') ? `[${host}]` : host}:${port}`);
}
