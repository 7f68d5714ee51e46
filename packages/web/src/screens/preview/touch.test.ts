/** @jest-environment jsdom */
import '../../testing/browser';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { scrolled, touched } from './touch';

const AT = { x: 12, y: 30 };
let said: string[];

/** A page, with what happens on each element that has an id. */
function page(html: string): (id: string) => HTMLElement {
  document.body.innerHTML = html;
  said = [];
  for (const element of document.body.querySelectorAll('[id]'))
    for (const type of ['pointerdown', 'pointerup', 'click', 'focus', 'blur'])
      element.addEventListener(type, () => said.push(`${type} ${element.id}`));
  return (id) => document.getElementById(id) as HTMLElement;
}

/** What scrolls, as jsdom lays nothing out: an element with room for so many px. */
function scrollable(element: Element, room: { readonly x?: number; readonly y?: number }): Element {
  const held = (value: number, most = 0) => Math.min(most, Math.max(0, value));
  element.scrollBy = (to) => {
    const { left = 0, top = 0 } = to as ScrollToOptions;
    element.scrollLeft = held(element.scrollLeft + left, room.x);
    element.scrollTop = held(element.scrollTop + top, room.y);
  };
  return element;
}

describe('a finger', () => {
  test('tells where it is of itself, and that it is one', () => {
    const get = page('<p id="a">Hut</p>');
    let event: Event | null = null;
    get('a').addEventListener('pointerdown', (each) => (event = each));
    touched(get('a'), 'pointerdown', AT);
    expect(event).toMatchObject({ clientX: 12, clientY: 30, bubbles: true, cancelable: true });
  });

  test('that taps presses what is under it, and moves the focus there', () => {
    const get = page('<button id="b"><span id="s">Next</span></button>');
    touched(get('s'), 'click', AT);
    expect(said).toEqual(['focus b', 'click s', 'click b']);
    expect(document.activeElement).toBe(get('b'));
  });

  test('that taps on a sign in a button presses the button', () => {
    const get = page('<button id="b"><svg><path id="p" /></svg></button>');
    touched(get('p'), 'click', AT);
    expect(said).toEqual(['focus b', 'click b']);
  });

  test('that taps beside everything takes the focus away', () => {
    const get = page('<input id="i"><p id="a">Hut</p>');
    get('i').focus();
    touched(get('a'), 'click', AT);
    expect(said).toEqual(['focus i', 'blur i', 'click a']);
  });

  test.each(['<a id="t" href="#x">x</a>', '<i id="t" tabindex="0">x</i>', '<input id="t">'])(
    'that taps gives the focus to what takes it: %s',
    (html) => {
      touched(page(html)('t'), 'click', AT);
      expect(said).toEqual(['focus t', 'click t']);
    },
  );
});

describe('a finger that drags', () => {
  const html =
    '<div id="outer" style="overflow-y: auto"><div id="strip" style="overflow-x: scroll"><p id="a">Hut</p></div></div>';
  const root = () => document.documentElement;

  beforeEach(() => {
    Object.defineProperty(document, 'scrollingElement', { configurable: true, value: root() });
    root().scrollTop = 0;
    root().scrollLeft = 0;
    scrollable(root(), { y: 1000 });
  });

  test('scrolls the innermost that goes that way', () => {
    const get = page(html);
    scrollable(get('outer'), { y: 40 });
    scrollable(get('strip'), { x: 60 });
    scrolled(get('a'), 25, 0);
    scrolled(get('a'), 0, 30);
    expect([get('strip').scrollLeft, get('outer').scrollTop, root().scrollTop]).toEqual([25, 30, 0]);
  });

  test('scrolls the next one out where the inner one is at its end', () => {
    const get = page(html);
    scrollable(get('outer'), { y: 40 });
    scrollable(get('strip'), { x: 60 });
    scrolled(get('a'), 0, 40);
    scrolled(get('a'), 0, 15);
    expect([get('outer').scrollTop, root().scrollTop]).toEqual([40, 15]);
  });

  test('scrolls nothing that is only cut', () => {
    const get = page('<div id="cut" style="overflow: hidden"><p id="a">Hut</p></div>');
    scrollable(get('cut'), { y: 500 });
    scrolled(get('a'), 0, 20);
    expect([get('cut').scrollTop, root().scrollTop]).toEqual([0, 20]);
  });

  test('scrolls nothing under an open dialog', () => {
    const get = page('<dialog id="d" open><p id="a">Hut</p></dialog>');
    scrolled(get('a'), 0, 20);
    expect(root().scrollTop).toBe(0);
  });
});
