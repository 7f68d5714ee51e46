import { expose } from 'comlink';
import { mirror, type MirrorStep } from '../editor/engine/mirror';
import { QUESTIONS, type QuestionName } from '../editor/engine/questions';

type Hear = (event: { readonly data: unknown }) => void;

/** One end of a line; what is posted at it is heard at the other, a little later. */
class End {
  private readonly hearing = new Set<Hear>();
  other: End | null = null;

  postMessage(data: unknown) {
    setTimeout(() => this.other?.hearing.forEach((hear) => hear({ data })));
  }
  addEventListener(event: string, hear: Hear) {
    if (event === 'message') this.hearing.add(hear);
  }
  removeEventListener(_: string, hear: Hear) {
    this.hearing.delete(hear);
  }
  terminate() {
    this.other = null;
  }
}

/** A worker in whose place the page answers; imported after `browser`, whose workers stand still. */
class WorkerHere extends End {
  constructor() {
    super();
    const inside = new End();
    inside.other = this;
    this.other = inside;
    const follow = mirror();
    const answer = (step: MirrorStep, name: QuestionName, given: readonly unknown[]) =>
      (QUESTIONS[name] as (...all: readonly unknown[]) => unknown)(follow(step), ...given);
    expose({ answer }, inside as never);
  }
}

Object.assign(globalThis, { Worker: WorkerHere });
