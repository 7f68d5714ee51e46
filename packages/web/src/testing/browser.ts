import { TextDecoder, TextEncoder } from 'node:util';

/** Stands still: nothing in a unit test has a size, and nothing works in another thread. */
class Still {
  observe() {
    // nothing changes its size
  }
  unobserve() {
    // nothing was observed
  }
  disconnect() {
    // nothing was observed
  }
  postMessage() {
    // never answered
  }
  addEventListener() {
    // never said
  }
  removeEventListener() {
    // never said
  }
  terminate() {
    // nothing runs
  }
}

/** What a browser has and jsdom lacks; imported before anything that asks for it. */
Object.assign(globalThis, {
  TextDecoder,
  TextEncoder,
  ResizeObserver: Still,
  IntersectionObserver: Still,
  Worker: Still,
  structuredClone: (value: unknown) => JSON.parse(JSON.stringify(value)) as unknown,
  matchMedia: () => Object.assign(new Still(), { matches: false }),
});
Object.assign(Element.prototype, {
  scrollIntoView: () => undefined,
  hasPointerCapture: () => false,
  setPointerCapture: () => undefined,
  releasePointerCapture: () => undefined,
});
Object.assign(URL, { createObjectURL: () => 'blob:none', revokeObjectURL: () => undefined });
if (!('PointerEvent' in globalThis)) Object.assign(globalThis, { PointerEvent: MouseEvent });
// Libraries look here to know whether there are pointers.
if (!('onpointerdown' in globalThis)) Object.assign(globalThis, { onpointerdown: null });
