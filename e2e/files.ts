import sharp from 'sharp';
import type { Locator } from '@playwright/test';

/** A JPEG of one colour. */
export const picture = (width: number, height: number, background: string) =>
  sharp({ create: { width, height, channels: 3, background } })
    .jpeg()
    .toBuffer();
/** The same as a file with a name; the name is in it too, so that two names are never one picture. */
export const file = async (name: string, width: number, height: number, background: string) => ({
  name,
  mimeType: 'image/jpeg',
  buffer: await sharp({ create: { width, height, channels: 3, background } })
    .withExif({ IFD0: { ImageDescription: name } })
    .jpeg()
    .toBuffer(),
});

/** Holds files over the middle of an element. */
export const hover = (target: Locator, files: Parameters<typeof drop>[1]) =>
  drop(target, files, { isHeld: true });

/** Drops files on an element, as from a folder: in its middle, or at shares of its width and height. */
export async function drop(
  target: Locator,
  files: readonly { name: string; mimeType: string; buffer: Buffer }[],
  {
    shift = false,
    at = [0.5, 0.5],
    isHeld = false,
  }: {
    readonly shift?: boolean;
    readonly at?: readonly [number, number];
    readonly isHeld?: boolean;
  } = {},
) {
  await target.scrollIntoViewIfNeeded();
  const data = files.map(({ name, mimeType, buffer }) => ({
    name,
    mimeType,
    bytes: buffer.toString('base64'),
  }));
  await target.evaluate(
    (element, { all, shiftKey, held, at: [across, down] }) => {
      const transfer = new DataTransfer();
      for (const { name, mimeType, bytes } of all) {
        const raw = Uint8Array.from(atob(bytes), (letter) => letter.charCodeAt(0));
        transfer.items.add(new File([raw], name, { type: mimeType }));
      }
      const { x, y, width, height } = element.getBoundingClientRect();
      const at = { clientX: x + width * across, clientY: y + height * down, bubbles: true, cancelable: true };
      for (const type of held ? ['dragover'] : ['dragover', 'drop'])
        element.dispatchEvent(new DragEvent(type, { ...at, dataTransfer: transfer, shiftKey }));
    },
    { all: data, shiftKey: shift, held: isHeld, at },
  );
}
