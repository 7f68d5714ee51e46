import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { applyPatch, difference, type CollectionDocument, type JsonPatch, type Meeting } from '@noria/core';

/** One undoable change, with the way there and back. */
export interface Step {
  /** What the undo button says: “Undo span”. */
  readonly name: string;
  readonly patch: JsonPatch;
  readonly inverse: JsonPatch;
  /** Steps of one key in close succession, such as typing in a field, are one. */
  readonly key: string | null;
  readonly at: number;
  /** Changes from elsewhere that came after this step (before it, where it was undone); it is made to fit them when it is its turn. */
  readonly seams?: readonly Seam[];
}

/** The collection as it was here, and as it became with a change from elsewhere. */
export interface Seam {
  readonly before: CollectionDocument;
  readonly after: CollectionDocument;
}

/** A change that the server has not acknowledged yet. */
export interface Unsent {
  readonly changeId: string;
  readonly patch: JsonPatch;
}

export type Saving =
  | { readonly state: 'saved' }
  | { readonly state: 'saving' }
  | { readonly state: 'waiting'; readonly why: string }
  | { readonly state: 'refused'; readonly why: string }
  /** Somebody has to decide, as `question` says. */
  | { readonly state: 'asked' }
  /** The collection was deleted elsewhere; what there is of it is here. */
  | { readonly state: 'deleted' };

/** Where changes from elsewhere and ours meet, and what they are. */
export interface Question {
  readonly base: CollectionDocument;
  readonly theirs: CollectionDocument;
  readonly revision: number;
  readonly meetings: readonly Meeting[];
}

export interface DocumentState {
  readonly id: string | null;
  readonly document: CollectionDocument | null;
  /** What a gesture under way would make of the document; never saved. */
  readonly trial: CollectionDocument | null;
  /** The last revision that the server acknowledged, and the document as it was then. */
  readonly revision: number;
  readonly base: CollectionDocument | null;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** The change on its way, which is sent again unaltered until it is acknowledged. */
  readonly underWay: Unsent | null;
  /** Patches made since. */
  readonly unsent: JsonPatch;
  readonly saving: Saving;
  readonly question: Question | null;
  /** Whether derived bands are still to be brought up to a change that was made here. */
  readonly isBehind: boolean;
}

const initialState: DocumentState = {
  id: null,
  document: null,
  trial: null,
  revision: 0,
  base: null,
  past: [],
  future: [],
  underWay: null,
  unsent: [],
  saving: { state: 'saved' },
  question: null,
  isBehind: false,
};

const MOST_STEPS = 500;
const ONE_STEP_MS = 1200;

/** Whether a step goes on with the one before. */
export const isOneStep = (last: Step | undefined, step: Step): last is Step =>
  last !== undefined && step.key !== null && last.key === step.key && step.at - last.at < ONE_STEP_MS;

const merged = (last: Step, next: Step): Step => ({
  ...next,
  patch: [...last.patch, ...next.patch],
  inverse: [...next.inverse, ...last.inverse],
});

/** What is not sent yet is not saved yet. */
const pending = ({ saving }: DocumentState): Saving =>
  saving.state === 'saved' ? { state: 'saving' } : saving;

/** A change from elsewhere is a seam above the last step and below the next one. */
const seamed = (steps: readonly Step[], seam: Seam): readonly Step[] => {
  const last = steps.at(-1);
  return last ? [...steps.slice(0, -1), { ...last, key: null, seams: [...(last.seams ?? []), seam] }] : steps;
};

type Opened = Pick<DocumentState, 'id' | 'revision' | 'unsent'> &
  Partial<Pick<DocumentState, 'base' | 'saving' | 'question'>> & { readonly document: CollectionDocument };

const hasDerived = ({ bands }: CollectionDocument): boolean =>
  bands.some(({ derived }) => derived !== undefined);

/** Steps that were made in a collection, and the collection as it was then. */
type Remembered = Pick<DocumentState, 'past' | 'future'> & { readonly document: CollectionDocument };

interface Moved {
  readonly document: CollectionDocument;
  /** The steps as they were made to fit, in the order in which they were gone over, and those that are left. */
  readonly steps: readonly Step[];
  readonly left: readonly Step[];
}

export const documentSlice = createSlice({
  name: 'document',
  initialState: initialState,
  reducers: {
    opened: (_: DocumentState, { payload }: PayloadAction<Opened>): DocumentState => ({
      ...initialState,
      saving: { state: payload.unsent.length > 0 ? 'saving' : 'saved' },
      base: payload.document,
      isBehind: payload.unsent.length > 0 || !hasDerived(payload.document),
      ...payload,
    }),
    /** The steps of the page before; what changed since they were kept came from elsewhere. */
    remembered: (
      state: DocumentState,
      { payload: { document, past, future } }: PayloadAction<Remembered>,
    ): DocumentState => {
      if (!state.document || state.past.length + state.future.length > 0) return state;
      const seam = { before: document, after: state.document };
      const isSame = difference(document, state.document).length === 0;
      // Gestures are counted anew with each page: none goes on with a step of the page before.
      const ended = past.map((step) => ({ ...step, key: null }));
      return {
        ...state,
        past: isSame ? ended : seamed(ended, seam),
        future: isSame ? future : seamed(future, seam),
      };
    },
    changed: (
      state: DocumentState,
      { payload }: PayloadAction<{ document: CollectionDocument; step: Step }>,
    ): DocumentState => {
      const { document, step } = payload;
      const last = state.past.at(-1);
      const past = isOneStep(last, step)
        ? [...state.past.slice(0, -1), merged(last, step)]
        : [...state.past, step].slice(-MOST_STEPS);
      return {
        ...state,
        document,
        trial: null,
        past,
        future: [],
        unsent: [...state.unsent, ...step.patch],
        saving: pending(state),
        isBehind: true,
      };
    },
    /** What follows from the last step, and goes with it. */
    amended: (
      state: DocumentState,
      { payload }: PayloadAction<Pick<Step, 'patch' | 'inverse'> & { document: CollectionDocument }>,
    ): DocumentState => {
      const { document, patch, inverse } = payload;
      if (!state.document) return state;
      const seam = { before: state.document, after: document };
      const last = state.past.at(-1);
      return {
        ...state,
        document,
        past:
          last && !last.seams
            ? [
                ...state.past.slice(0, -1),
                { ...last, patch: [...last.patch, ...patch], inverse: [...inverse, ...last.inverse] },
              ]
            : seamed(state.past, seam),
        future: seamed(state.future, seam),
        unsent: [...state.unsent, ...patch],
        saving: pending(state),
        isBehind: false,
      };
    },
    /** Derived bands are as the wider one is. */
    caughtUp: (state: DocumentState): DocumentState =>
      state.isBehind ? { ...state, isBehind: false } : state,
    /** A change that makes the last step as if it had not been. */
    takenBack: (
      state: DocumentState,
      { payload }: PayloadAction<{ document: CollectionDocument; patch: JsonPatch }>,
    ): DocumentState => ({
      ...state,
      document: payload.document,
      trial: null,
      past: state.past.slice(0, -1),
      unsent: [...state.unsent, ...payload.patch],
      saving: pending(state),
      isBehind: true,
    }),
    undone: (state: DocumentState, { payload }: PayloadAction<Moved>): DocumentState => ({
      ...state,
      document: payload.document,
      trial: null,
      past: payload.left,
      future: [...state.future, ...payload.steps],
      unsent: [...state.unsent, ...payload.steps.flatMap(({ inverse }) => inverse)],
      saving: pending(state),
      isBehind: true,
    }),
    redone: (state: DocumentState, { payload }: PayloadAction<Moved>): DocumentState => ({
      ...state,
      document: payload.document,
      trial: null,
      past: [...state.past, ...payload.steps.map((step) => ({ ...step, key: null }))],
      future: payload.left,
      unsent: [...state.unsent, ...payload.steps.flatMap(({ patch }) => patch)],
      saving: pending(state),
      isBehind: true,
    }),
    tried: (state: DocumentState, { payload }: PayloadAction<CollectionDocument | null>): DocumentState => ({
      ...state,
      trial: payload,
    }),
    /** What is unsent goes on its way. */
    sent: (state: DocumentState, { payload }: PayloadAction<string>): DocumentState => ({
      ...state,
      underWay: state.underWay ?? { changeId: payload, patch: state.unsent },
      unsent: state.underWay ? state.unsent : [],
      // While the server is away every attempt sends; the reason stays in sight until one arrives.
      saving: state.saving.state === 'waiting' ? state.saving : { state: 'saving' },
    }),
    acknowledged: (state: DocumentState, { payload }: PayloadAction<number>): DocumentState => ({
      ...state,
      revision: payload,
      base: state.base && state.underWay ? applyPatch(state.base, state.underWay.patch) : state.base,
      underWay: null,
      saving: { state: state.unsent.length > 0 ? 'saving' : 'saved' },
    }),
    /** Changes from elsewhere and ours together; the steps before are made to fit when it is their turn. */
    joined: (
      state: DocumentState,
      {
        payload,
      }: PayloadAction<{
        document: CollectionDocument;
        base: CollectionDocument;
        revision: number;
        unsent: JsonPatch;
      }>,
    ): DocumentState => {
      const seam = state.document && { before: state.document, after: payload.document };
      return {
        ...state,
        ...payload,
        underWay: null,
        trial: null,
        question: null,
        past: seam ? seamed(state.past, seam) : state.past,
        future: seam ? seamed(state.future, seam) : state.future,
        saving: { state: payload.unsent.length > 0 ? 'saving' : 'saved' },
        // Who changed a collection derives its bands: two who measure words a little differently would never agree.
        isBehind: state.isBehind || payload.unsent.length > 0,
      };
    },
    /** Changes from elsewhere meet ours: somebody has to decide. */
    asked: (state: DocumentState, { payload }: PayloadAction<Question>): DocumentState => ({
      ...state,
      unsent: [...(state.underWay?.patch ?? []), ...state.unsent],
      underWay: null,
      trial: null,
      saving: { state: 'asked' },
      question: payload,
    }),
    /** Refused changes join what comes after, so that undoing them mends it. */
    refused: (state: DocumentState, { payload }: PayloadAction<string>): DocumentState => ({
      ...state,
      unsent: [...(state.underWay?.patch ?? []), ...state.unsent],
      underWay: null,
      saving: { state: 'refused', why: payload },
    }),
    savingChanged: (state: DocumentState, { payload }: PayloadAction<Saving>): DocumentState => ({
      ...state,
      saving: payload,
    }),
  },
});

export const {
  opened,
  remembered,
  changed,
  amended,
  caughtUp,
  takenBack,
  undone,
  redone,
  tried,
  sent,
  acknowledged,
  joined,
  asked,
  refused,
  savingChanged,
} = documentSlice.actions;
