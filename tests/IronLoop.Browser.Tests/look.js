// What a fitter would stumble over on the page as it stands: each fault in words. Asked of every view at every size.
(() => {
  const faults = []
  const said = (e) =>
    `<${e.tagName.toLowerCase()}${e.className?.baseVal === undefined && e.className ? '.' + String(e.className).split(' ').slice(0, 3).join('.') : ''}> “${(e.getAttribute('aria-label') ?? e.innerText ?? e.textContent ?? e.name ?? '').trim().slice(0, 40)}”`
  const shown = (e) => e.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true })
  const over = document.querySelector('[role=dialog]')
  const root = over ?? document.body

  if (document.documentElement.scrollWidth > innerWidth) faults.push(`the page is ${document.documentElement.scrollWidth} wide of ${innerWidth}`)
  for (const e of root.querySelectorAll('.sheets, .sheet, .rack, .asks, .answer'))
    if (e.scrollWidth > e.clientWidth + 1) {
      const edge = e.getBoundingClientRect().left + e.clientWidth + 1
      const widest = [...e.querySelectorAll('*')].filter((c) => c.getBoundingClientRect().right > edge).at(-1)
      faults.push(`${said(e)} scrolls sideways, ${e.scrollWidth} of ${e.clientWidth}: ${widest ? said(widest) : 'it'}`)
    }

  // Text: no smaller than 14 px, in drawings 12.
  const texts = []
  const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT)
  while (walker.nextNode()) {
    const node = walker.currentNode
    const e = node.parentElement
    if (!node.data.trim() || !e || ['SCRIPT', 'STYLE', 'OPTION'].includes(e.tagName) || !shown(e)) continue
    const svg = e.closest('svg')
    const size = parseFloat(getComputedStyle(e).fontSize) * (svg && e.getScreenCTM ? e.getScreenCTM().a : 1)
    if (size < (svg ? 11.9 : 13.9)) faults.push(`text of ${size.toFixed(1)} px: ${said(e)}`)
    texts.push({ node, e })
  }

  // The act that comes next is in sight.
  const act = document.querySelector('[data-act=first]')
  if (act && !over) {
    const r = act.getBoundingClientRect()
    if (r.top < 0 || r.left < 0 || r.bottom > innerHeight + 1 || r.right > innerWidth + 1) faults.push('the act that comes next is out of sight')
  }

  // What can be pressed can be hit by a thumb: 44 px each way, or the line that it stands in.
  const pressed = 'a[href], button:not(.v-icon), input:not([type=hidden]):not([type=file]), select, textarea, summary, [role=button], [role=tab], [role=checkbox], [role=option], [role=radio]'
  for (const e of root.querySelectorAll(pressed)) {
    if (!shown(e) || e.disabled || e.closest('.v-overlay, .skip, :disabled')) continue
    const isInline = e.tagName === 'A' && getComputedStyle(e).display === 'inline'
    // What is drawn finer than a thumb stands in a list beside the drawing too.
    if (isInline || e.closest('svg')) continue
    // Of a long list the first dozen tell.
    const row = e.closest('li, tr')
    if (row && [...row.parentElement.children].indexOf(row) > 12) continue
    const whole = e.closest('label, .v-field, .v-selection-control') ?? e.parentElement?.querySelector(`label[for="${e.id}"]`) ?? e
    let [r, x, y] = [null, 0, 0]
    const see = () => {
      r = e.getBoundingClientRect()
      ;[x, y] = [r.left + r.width / 2, r.top + r.height / 2]
    }
    see()
    if (r.width === 0) continue
    const hits = (dx, dy) => {
      const on = document.elementFromPoint(x + dx, y + dy)
      return on && (on === e || e.contains(on) || whole.contains(on))
    }
    // How far from its middle it still answers, each way; the edge of the window is not its fault.
    const far = (dx, dy) => {
      let by = 0
      while (by < 44 && hits(dx * (by + 1), dy * (by + 1))) by++
      const [at, edge] = dy === 0 ? [x + dx * (by + 1), innerWidth] : [y + dy * (by + 1), innerHeight]
      return at <= 0 || at >= edge ? 44 : by
    }
    const isEasy = () => hits(0, 0) && hits(0, -21) && hits(0, 21) && hits(-21, 0) && hits(21, 0)
    if (isEasy()) continue
    e.scrollIntoView({ block: 'center', inline: 'nearest' })
    see()
    if (isEasy()) continue
    if (!hits(0, 0)) faults.push(`covered: ${said(e)}`)
    else if (far(0, -1) + far(0, 1) < 42) faults.push(`too low to hit (${r.height.toFixed(0)} px): ${said(e)}`)
    else if (far(-1, 0) + far(1, 0) < 42) faults.push(`too narrow to hit (${r.width.toFixed(0)} px): ${said(e)}`)
  }
  for (const e of root.querySelectorAll('.sheets, .sheet, .rack')) e.scrollTop = 0

  // No two texts or controls cross.
  const clip = (r, from) => {
    let [t, l, b, s] = [r.top, r.left, r.bottom, r.right]
    for (let p = from; p; p = p.parentElement) {
      const style = getComputedStyle(p)
      if (style.overflow === 'visible' && style.overflowY === 'visible') continue
      const c = p.getBoundingClientRect()
      ;[t, l, b, s] = [Math.max(t, c.top), Math.max(l, c.left), Math.min(b, c.bottom), Math.min(s, c.right)]
    }
    return b - t > 1 && s - l > 1 ? { t, l, b, s } : null
  }
  const boxes = []
  for (const { node, e } of texts) {
    if (e.closest('.skip, .unseen, svg [aria-hidden]')) continue
    const range = document.createRange()
    range.selectNodeContents(node)
    for (const r of range.getClientRects()) {
      // The ink of a line, not its leading.
      const size = parseFloat(getComputedStyle(e).fontSize) * (e.closest('svg') && e.getScreenCTM ? e.getScreenCTM().a : 1)
      const pad = Math.max(0, (r.height - size * 0.9) / 2)
      const box = clip({ top: r.top + pad, left: r.left, bottom: r.bottom - pad, right: r.right }, e)
      if (box) boxes.push({ ...box, e, of: e.closest('.v-input') ?? e.closest('button, a, label, select') ?? e })
    }
  }
  for (const e of root.querySelectorAll('button, a.v-btn, select, input:not([type=hidden]):not([type=file]), textarea')) {
    if (!shown(e) || e.closest('.skip')) continue
    const box = clip(e.getBoundingClientRect(), e.parentElement)
    if (box && getComputedStyle(e).opacity !== '0') boxes.push({ ...box, e, of: e.closest('.v-input') ?? e.closest('label') ?? e })
  }
  const fixed = (e) => { for (let p = e; p; p = p.parentElement) if (['fixed', 'sticky'].includes(getComputedStyle(p).position)) return p; return null }
  for (let i = 0; i < boxes.length; i++)
    for (let j = i + 1; j < boxes.length; j++) {
      const [a, b] = [boxes[i], boxes[j]]
      if (Math.min(a.s, b.s) - Math.max(a.l, b.l) <= 1 || Math.min(a.b, b.b) - Math.max(a.t, b.t) <= 1) continue
      if (a.of === b.of || a.of.contains(b.of) || b.of.contains(a.of) || fixed(a.e) !== fixed(b.e)) continue
      faults.push(`cross: ${said(a.e)} and ${said(b.e)}`)
    }
  return [...new Set(faults)].slice(0, 40)
})()
