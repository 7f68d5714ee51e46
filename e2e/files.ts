import { createHash } from 'node:crypto';
import sharp from 'sharp';
import type { Locator, Page } from '@playwright/test';

/** A JPEG of one colour. */
export const picture = (width: number, height: number, background: string) =>
  sharp({ create: { width, height, channels: 3, background } })
    .jpeg()
    .toBuffer();
/** The same as a file with a name, with a corner of a colour by it: two names are never one picture. */
export const file = async (name: string, width: number, height: number, background: string) => {
  const [r = 0, g = 0, b = 0] = createHash('sha256').update(name).digest();
  const corner = { width: 8, height: 8, channels: 3, background: { r, g, b } } as const;
  return {
    name,
    mimeType: 'image/jpeg',
    buffer: await sharp({ create: { width, height, channels: 3, background } })
      .composite([{ input: { create: corner }, left: 0, top: 0 }])
      .jpeg()
      .toBuffer(),
  };
};

/** A film of half a second, which this browser makes. */
export async function film(page: Page, name: string) {
  const bytes = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    canvas.width = 64;
    canvas.height = 36;
    const paint = canvas.getContext('2d');
    const recorder = new MediaRecorder(canvas.captureStream(25), { mimeType: 'video/webm' });
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => parts.push(data);
    recorder.start();
    for (let frame = 0; frame < 12; frame++) {
      if (paint) paint.fillStyle = `hsl(${frame * 20} 50% 40%)`;
      paint?.fillRect(0, 0, 64, 36);
      await new Promise((resolve) => setTimeout(resolve, 40));
    }
    await new Promise((resolve) => {
      recorder.onstop = resolve;
      recorder.stop();
    });
    return btoa(String.fromCharCode(...new Uint8Array(await new Blob(parts).arrayBuffer())));
  });
  return { name, mimeType: 'video/webm', buffer: Buffer.from(bytes, 'base64') };
}

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
