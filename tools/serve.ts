/** Serves the built app on 127.0.0.1. Environment: PORT (4173), HOST, NERITE_SAMPLE=1 to seed new browsers with the sample studio. */
import { createServer, type Server } from 'node:http';

/** Static files go out without a policy of the page's; a worker obeys its own response, so each carries one. */
const FILES_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self'; connect-src 'self'";

export async function serve(port: number, host = process.env['HOST'] ?? '127.0.0.1'): Promise<Server> {
  process.env['ORIGIN'] ??= `http://${host}:${port}`;
  const { handler } = (await import(new URL('../build/handler.js', import.meta.url).href)) as {
    handler: Parameters<typeof createServer>[1] & ((...args: unknown[]) => void);
  };
  const server = createServer((request, response) => {
    if (/^\/(_app\/|favicon)/.test(request.url ?? '')) response.setHeader('content-security-policy', FILES_POLICY);
    response.setHeader('x-content-type-options', 'nosniff');
    response.setHeader('referrer-policy', 'no-referrer');
    handler(request, response);
  });
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, resolve);
  });
  return server;
}

if (process.argv[1] === new URL(import.meta.url).pathname) {
  const port = Number(process.env['PORT'] ?? 4173);
  await serve(port);
  console.log(`Nerite is open at http://${process.env['HOST'] ?? '127.0.0.1'}:${port}`);
}
