import { expect, it } from 'vitest'

const files = import.meta.glob<string>('./**/*.{ts,vue}', { query: '?raw', import: 'default', eager: true })

/** Which rooms a room may ask; whoever it is, api and itself besides. */
const asks: Record<string, string[]> = {
  api: [],
  controls: ['frame'],
  drawing: [],
  job: ['controls', 'drawing', 'stations/index'],
  stations: ['controls', 'drawing', 'job'],
  shop: ['controls', 'drawing', 'job'],
  frame: ['controls', 'job', 'shop'],
}

function imports(path: string, text: string): string[] {
  const folder = path.split('/').slice(0, -1)
  return [...text.matchAll(/from '(\.[^']+)'|import\('(\.[^']+)'\)/g)].map((m) => {
    const way = [...folder]
    for (const step of (m[1] ?? m[2] ?? '').split('/')) {
      if (step === '..') way.pop()
      else if (step !== '.') way.push(step)
    }
    return way.slice(1).join('/')
  })
}

const within = Object.entries(files).filter(
  ([path]) => path.split('/').length > 2 && !path.includes('.spec.'),
)

it('rooms lead one way: drawing and controls know no job, a page of the shop no station', () => {
  const wrong = within.flatMap(([path, text]) => {
    const room = path.split('/')[1]!
    const allowed = ['api', room, ...(asks[room] ?? [])]
    return imports(path, text)
      .filter((to) => !allowed.some((a) => to === a || to.startsWith(`${a}/`) || `${to}/index` === a))
      .map((to) => `${path} asks ${to}`)
  })
  expect(wrong).toEqual([])
})

it('no station knows another', () => {
  const wrong = within.flatMap(([path, text]) => {
    const own = /^\.\/(stations\/[^/]+)\//.exec(path)?.[1]
    if (!own) return []
    return imports(path, text)
      .filter((to) => /^stations\/[^/]+\//.test(to) && !to.startsWith(`${own}/`))
      .map((to) => `${path} asks ${to}`)
  })
  expect(wrong).toEqual([])
})

it('there is something to hold', () => {
  expect(within.length).toBeGreaterThan(100)
})
