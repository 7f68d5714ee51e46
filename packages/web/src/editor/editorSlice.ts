import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { LIMITS, type PartId, type SetFor, type TileId, type TileStart, type Transfer } from '@noria/core';
import type { ArrivingTable } from './tables/tableFile';

export interface EditorState {
  /** The width now shown, in px. */
  readonly needle: number;
  readonly selected: readonly TileId[];
  readonly setFor: SetFor;
  readonly showLines: boolean;
  /** Whether a line leads through the tiles as they are read. */
  readonly showOrder: boolean;
  /** While a pointer drags the width, tiles follow at once instead of gliding. */
  readonly sweeping: boolean;
  readonly keySheet: boolean;
  /** The groups that were entered, outermost first. */
  readonly trail: readonly TileId[];
  /** The kind of tile that is drawn on free cells. */
  readonly drawn: TileStart;
  /** What a drag over the stage does: tiles, or cells painted into an area. */
  readonly tool: 'tiles' | 'areas';
  readonly showing: Showing | null;
  /** A table that is about to become tiles; null: none. */
  readonly arriving: ArrivingTable | null;
  readonly commandList: boolean;
  /** Whether a drag moves the picture in its slot instead of the tile. */
  readonly cropping: boolean;
  /** Whether a picture is being chosen for the selected tile. */
  readonly choosing: boolean;
  /** The words that are written in on the stage; null: none. */
  readonly writing: WordsPlace | null;
  /** What of which tile is put on every tile that is pressed; null: nothing. */
  readonly brush: { readonly from: TileId; readonly what: Transfer } | null;
  /** What is under way for longer, in words. */
  readonly busy: string | null;
  /** Id of the finding whose fixes are open; null: none. */
  readonly finding: string | null;
  /** Widths that were added to the Widths view, px. */
  readonly addedWidths: readonly number[];
}

/** Words of a card: those of one of its parts. */
export interface WordsPlace {
  readonly tile: TileId;
  readonly part: PartId;
}

/** What is there in place of the settings until it is closed. */
export type Showing =
  'gaps' | 'proposals' | 'looks' | 'recipes' | 'table' | 'findings' | 'band' | 'skeletons' | 'texts';

const initialState: EditorState = {
  needle: 1280,
  selected: [],
  setFor: 'band',
  showLines: false,
  showOrder: false,
  sweeping: false,
  keySheet: false,
  trail: [],
  drawn: 'text',
  tool: 'tiles',
  showing: null,
  arriving: null,
  commandList: false,
  cropping: false,
  choosing: false,
  writing: null,
  brush: null,
  busy: null,
  finding: null,
  addedWidths: [],
};

export const editorSlice = createSlice({
  name: 'compose',
  initialState: initialState,
  reducers: {
    needleMoved: (state, { payload }: PayloadAction<number>) => ({
      ...state,
      needle: Math.min(LIMITS.widest, Math.max(LIMITS.narrowest, Math.round(payload))),
    }),
    swept: (state, { payload }: PayloadAction<boolean>) => ({ ...state, sweeping: payload }),
    tilesSelected: (state, { payload }: PayloadAction<readonly TileId[]>) => ({
      ...state,
      selected: payload,
      cropping: false,
      choosing: false,
      writing: null,
    }),
    /** Adds a tile to the selected ones, or lets it go. */
    toggled: (state, { payload }: PayloadAction<TileId>) => ({
      ...state,
      selected: state.selected.includes(payload)
        ? state.selected.filter((id) => id !== payload)
        : [...state.selected, payload],
    }),
    /** Goes into a group, or back out to one of the trail; null is the collection itself. */
    entered: (state, { payload }: PayloadAction<TileId | null>) => {
      const at = payload === null ? -1 : state.trail.indexOf(payload);
      const trail =
        payload === null ? [] : at === -1 ? [...state.trail, payload] : state.trail.slice(0, at + 1);
      return { ...state, trail, selected: [], showing: null, writing: null };
    },
    drawnChosen: (state, { payload }: PayloadAction<TileStart>) => ({ ...state, drawn: payload }),
    toolChosen: (state, { payload }: PayloadAction<EditorState['tool']>) => ({
      ...state,
      tool: payload,
      selected: [],
      writing: null,
    }),
    shown: (state, { payload }: PayloadAction<Showing | null>) => ({
      ...state,
      showing: payload,
      arriving: null,
    }),
    /** A table is shown until it is made into tiles, or left. */
    tableArrived: (state, { payload }: PayloadAction<ArrivingTable | null>) => ({
      ...state,
      showing: 'table' as const,
      arriving: payload,
    }),
    croppingChosen: (state, { payload }: PayloadAction<boolean>) => ({ ...state, cropping: payload }),
    choosing: (state, { payload }: PayloadAction<boolean>) => ({ ...state, choosing: payload }),
    writingIn: (state, { payload }: PayloadAction<WordsPlace | null>) => ({ ...state, writing: payload }),
    brushTaken: (state, { payload }: PayloadAction<EditorState['brush']>) => ({ ...state, brush: payload }),
    busyWith: (state, { payload }: PayloadAction<string | null>) => ({ ...state, busy: payload }),
    findingOpened: (state, { payload }: PayloadAction<string | null>) => ({ ...state, finding: payload }),
    widthsAdded: (state, { payload }: PayloadAction<readonly number[]>) => ({
      ...state,
      addedWidths: payload,
    }),
    commandListToggled: (state, { payload }: PayloadAction<boolean>) => ({ ...state, commandList: payload }),
    setForChosen: (state, { payload }: PayloadAction<SetFor>) => ({ ...state, setFor: payload }),
    linesToggled: (state) => ({ ...state, showLines: !state.showLines }),
    orderToggled: (state) => ({ ...state, showOrder: !state.showOrder }),
    keySheetToggled: (state, { payload }: PayloadAction<boolean>) => ({ ...state, keySheet: payload }),
  },
});

export const {
  needleMoved,
  swept,
  tilesSelected,
  toggled,
  entered,
  drawnChosen,
  toolChosen,
  shown,
  tableArrived,
  busyWith,
  findingOpened,
  widthsAdded,
  croppingChosen,
  choosing,
  writingIn,
  brushTaken,
  commandListToggled,
  setForChosen,
  linesToggled,
  orderToggled,
  keySheetToggled,
} = editorSlice.actions;
