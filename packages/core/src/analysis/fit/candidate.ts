import type { Command } from '../../edit/patch/change.js';

/** Something that might put a finding right. */
export interface Candidate {
  readonly does: string;
  readonly command: Command;
  /** Whether it changes no more than where tiles sit; else it is a matter of taste, and never done by itself. */
  readonly isTame: boolean;
}

export const tame = (does: string, command: Command): Candidate => ({ does, command, isTame: true });
export const taste = (does: string, command: Command): Candidate => ({ does, command, isTame: false });
