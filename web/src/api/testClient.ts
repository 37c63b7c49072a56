import createClient from 'openapi-fetch'

/**
 * The client's module as it is, but what it asks is answered here. For vi.mock, so it imports nothing
 * that imports the client.
 */
export async function answeredBy(
  original: () => Promise<unknown>,
  fetch: (request: Request) => Promise<Response>,
) {
  const api = createClient({ baseUrl: 'http://test.test/', fetch })
  return { ...((await original()) as object), api }
}

/** An answer of the server; a problem if its status says so. */
export function json(body: unknown, status = 200): Response {
  const type = status === 200 ? 'application/json' : 'application/problem+json'
  return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': type } })
}
