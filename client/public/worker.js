// Keeps the shell (page, scripts, styles, letters) so that a tablet opens without the shop's server; never the shop's data.
const shell = 'iron-loop-shell'

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(shell)
      .then((kept) => kept.add('/'))
      .then(() => self.skipWaiting()),
  )
})
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

/** The page as it is now; where another was kept, what belonged to that one goes. */
async function page(request) {
  const kept = await caches.open(shell)
  try {
    const now = await fetch(request)
    if (!now.ok) return now
    const before = await kept.match('/')
    const text = await now.clone().text()
    if (!before || (await before.text()) !== text) {
      for (const one of await kept.keys()) await kept.delete(one)
      await kept.put('/', now.clone())
    }
    return now
  } catch (away) {
    const before = await kept.match('/')
    if (before) return before
    throw away
  }
}

/** A built file never changes under its name. */
async function built(request) {
  const kept = await caches.open(shell)
  const here = await kept.match(request)
  if (here) return here
  const now = await fetch(request)
  if (now.ok) await kept.put(request, now.clone())
  return now
}

self.addEventListener('fetch', (event) => {
  const { request } = event
  const { origin, pathname } = new URL(request.url)
  if (request.method !== 'GET' || origin !== self.location.origin || pathname.startsWith('/api/')) return
  if (request.mode === 'navigate') event.respondWith(page(request))
  else if (pathname.startsWith('/assets/')) event.respondWith(built(request))
})
