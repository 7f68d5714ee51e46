import { expose } from 'comlink';
import { inWorkspace } from '../../api/workspace';
import { facesOf } from './faces';
import { loadFaces } from './measurer';
import { mirror, type MirrorStep } from './mirror';
import { QUESTIONS, written, type QuestionName } from './questions';

const here = self as unknown as { readonly fonts: FontFaceSet; readonly name: string };
/** What is needed first comes first, ms. */
const AHEAD_MS = 1500;
const follow = mirror();
// A worker's own address says nothing of the page's; its name does.
inWorkspace(here.name);

const engine = {
  async answer(step: MirrorStep, name: QuestionName, given: readonly unknown[]): Promise<unknown> {
    const document = follow(step);
    if (document) await loadFaces(here.fonts, facesOf(document));
    return (QUESTIONS[name] as (...all: readonly unknown[]) => unknown)(document, ...given);
  },
};

export type EngineWorker = typeof engine;

expose(engine);
// Without a server, too.
setTimeout(() => void written().catch(() => undefined), AHEAD_MS);
