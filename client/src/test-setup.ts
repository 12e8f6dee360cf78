// jsdom has no layout, so it lacks the observer that Vuetify's fields watch their size with.
class NoLayout {
  observe() {}
  unobserve() {}
  disconnect() {}
}
globalThis.ResizeObserver ??= NoLayout as unknown as typeof ResizeObserver
