/// <reference lib="webworker" />
/**
 * Keeps the pages of the crew where a browser lets it, so that they open again without a connection.
 * What they show is kept by themselves; of the API nothing goes through here.
 */
const worker = self as unknown as ServiceWorkerGlobalScope
const FILES = '__FILES__' as unknown as string[]
const NAME = `hamper-crew-${'__BUILD__'}`
/** So long the page is waited for, where there may be a connection (ms). */
const PATIENCE = 2500

worker.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(NAME)
      .then((cache) => cache.addAll(['/', '/icon.svg', '/crew.webmanifest', ...FILES]))
      .then(() => worker.skipWaiting()),
  )
})

worker.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((names) =>
        Promise.all(names.filter((name) => name !== NAME).map((name) => caches.delete(name))),
      )
      .then(() => worker.clients.claim()),
  )
})

async function kept(path: string): Promise<Response> {
  return (await caches.match(path)) ?? Response.error()
}

async function page(request: Request): Promise<Response> {
  const late = new Promise<undefined>((done) => setTimeout(() => done(undefined), PATIENCE))
  const answer = await Promise.race([fetch(request).catch(() => undefined), late])
  return answer?.ok ? answer : kept('/')
}

worker.addEventListener('fetch', (event) => {
  const { request } = event
  const path = new URL(request.url).pathname
  if (request.method !== 'GET' || path.startsWith('/crew/')) {
    return
  }
  if (request.mode === 'navigate') {
    event.respondWith(page(request))
  } else {
    event.respondWith(caches.match(path).then((known) => known ?? fetch(request)))
  }
})
