import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CollectionDocument, JsonPatch } from '@noria/core';

/** One undoable change, with the way there and back. */
export interface Step {
  /** What the undo button says: “Undo span”. */
  readonly name: string;
  readonly patch: JsonPatch;
  readonly inverse: JsonPatch;
  /** Steps of one key in close succession, such as typing in a field, are one. */
  readonly key: string | null;
  readonly at: number;
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
  | { readonly state: 'conflict'; readonly revision: number };

export interface DocumentState {
  readonly id: string | null;
  readonly document: CollectionDocument | null;
  /** What a gesture under way would make of the document; never saved. */
  readonly trial: CollectionDocument | null;
  /** The last revision that the server acknowledged. */
  readonly revision: number;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** The change on its way, which is sent again unaltered until it is acknowledged. */
  readonly underWay: Unsent | null;
  /** Patches made since. */
  readonly unsent: JsonPatch;
  readonly saving: Saving;
}

const initialState: DocumentState = {
  id: null,
  document: null,
  trial: null,
  revision: 0,
  past: [],
  future: [],
  underWay: null,
  unsent: [],
  saving: { state: 'saved' },
};

const MOST_STEPS = 500;
const ONE_STEP_MS = 1200;

const merged = (last: Step, next: Step): Step => ({
  ...next,
  patch: [...last.patch, ...next.patch],
  inverse: [...next.inverse, ...last.inverse],
});

/** What is not sent yet is not saved yet. */
const pending = ({ saving }: DocumentState): Saving =>
  saving.state === 'saved' ? { state: 'saving' } : saving;

type Opened = Pick<DocumentState, 'id' | 'document' | 'revision' | 'underWay' | 'unsent'>;

export const documentSlice = createSlice({
  name: 'document',
  initialState: initialState,
  reducers: {
    opened: (_: DocumentState, { payload }: PayloadAction<Opened>): DocumentState => ({
      ...initialState,
      ...payload,
      saving: { state: payload.underWay || payload.unsent.length > 0 ? 'saving' : 'saved' },
    }),
    changed: (
      state: DocumentState,
      { payload }: PayloadAction<{ document: CollectionDocument; step: Step }>,
    ): DocumentState => {
      const { document, step } = payload;
      const last = state.past.at(-1);
      const one =
        last !== undefined && step.key !== null && last.key === step.key && step.at - last.at < ONE_STEP_MS;
      const past = one
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
      };
    },
    undone: (state: DocumentState, { payload }: PayloadAction<CollectionDocument>): DocumentState => {
      const step = state.past.at(-1) as Step;
      return {
        ...state,
        document: payload,
        trial: null,
        past: state.past.slice(0, -1),
        future: [...state.future, step],
        unsent: [...state.unsent, ...step.inverse],
        saving: pending(state),
      };
    },
    redone: (state: DocumentState, { payload }: PayloadAction<CollectionDocument>): DocumentState => {
      const step = { ...(state.future.at(-1) as Step), key: null };
      return {
        ...state,
        document: payload,
        trial: null,
        past: [...state.past, step],
        future: state.future.slice(0, -1),
        unsent: [...state.unsent, ...step.patch],
        saving: pending(state),
      };
    },
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
      underWay: null,
      saving: { state: state.unsent.length > 0 ? 'saving' : 'saved' },
    }),
    /** Another tab's changes and ours together; the steps before do not fit any more. */
    joined: (
      state: DocumentState,
      { payload }: PayloadAction<{ document: CollectionDocument; revision: number; unsent: JsonPatch }>,
    ): DocumentState => ({
      ...state,
      ...payload,
      underWay: null,
      trial: null,
      past: [],
      future: [],
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

export const { opened, changed, undone, redone, tried, sent, acknowledged, joined, refused, savingChanged } =
  documentSlice.actions;
