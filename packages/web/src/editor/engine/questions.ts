import {
  bandAt,
  bearingAt,
  breakpointsCommand,
  change,
  checkFit,
  closeGaps,
  contrastsAt,
  deriveBand,
  difference,
  lookedAt,
  findBreakpoints,
  fixAllSafe,
  fixesFor,
  followWider,
  layoutCollection,
  levelOf,
  propose,
  setNarrowerBands,
  stackBand,
  type ClosedGaps,
  type CollectionDocument,
  type Details,
  type FitReport,
  type Fix,
  type Form,
  type JsonPatch,
  type Level,
  type Page,
  type Proposal,
  type TextMeasurer,
  type TileId,
} from '@noria/core';
import { detailsReader } from './details';
import { measurer } from './measurer';
import { drawThumbnail, type Thumbnail } from './thumbnail';

/** Where a question about a level is asked: its band, and the widths, px. */
export interface Asked {
  readonly level: Level;
  readonly band: number;
  readonly width: number;
  /** Width of the level's border box. */
  readonly inlineSize: number;
  /** The most of a picture that may be cropped away, 0 to 1. */
  readonly mostCrop: number;
}

/** What writes pages comes later, and before anybody is likely to ask for one. */
export const written = () => import('./written');

/** The last report, and the collection it is about. */
let last: { about: CollectionDocument; details: Details; report: FitReport } | null = null;

function reportOf(document: CollectionDocument, { details, ...options }: WithDetails): FitReport {
  if (last?.about !== document || last.details !== details)
    last = { about: document, details, report: checkFit(document, { details, ...options }) };
  return last.report;
}

interface WithDetails {
  readonly details: Details;
  readonly measurer: TextMeasurer;
}

const readDetails = detailsReader();
const withDetails = async (document: CollectionDocument): Promise<WithDetails> => ({
  details: await readDetails(document),
  measurer: measurer(),
});

const known = new Map<string, unknown>();
/** Where a tile sits says nothing about what it needs, so it is not measured anew when it moves. */
const NOWHERE = { columnSpan: 1, rowSpan: 1, pin: null };

/** The same content gives the object of before, with what core knows of it. */
function same<T extends object>(value: T): T {
  const text = JSON.stringify(value);
  const before = known.get(text);
  if (before) return before as T;
  if (known.size > 5000) known.clear();
  known.set(text, value);
  return value;
}

const viewOf = (document: CollectionDocument, level: Level): CollectionDocument =>
  level === null || document.tiles[level]?.kind === 'group' ? levelOf(document, level) : document;

function bearing(view: CollectionDocument, { width, inlineSize, mostCrop }: Asked) {
  const tiles = Object.fromEntries(
    Object.entries(view.tiles).map(([id, tile]) => [id, same({ ...tile, place: NOWHERE })]),
  );
  return bearingAt({ ...view, tiles }, width, inlineSize, mostCrop, measurer());
}

const freshBand = () => `band-${crypto.randomUUID().slice(0, 8)}`;

/** What is worked out beside the page, of the collection as the page has it. */
export const QUESTIONS = {
  async check(document: CollectionDocument): Promise<{ readonly report: FitReport; readonly ms: number }> {
    const options = await withDetails(document);
    const start = performance.now();
    const report = reportOf(document, options);
    return { report, ms: performance.now() - start };
  },
  /** What puts a finding right; nothing when it is not there any more. */
  async fixes(document: CollectionDocument, id: string): Promise<readonly Fix[]> {
    const options = await withDetails(document);
    const report = reportOf(document, options);
    const finding = report.findings.find((each) => each.id === id);
    return finding ? fixesFor(document, report, finding, options) : [];
  },
  fixAllSafe: async (
    document: CollectionDocument,
  ): Promise<{ readonly patch: JsonPatch; readonly fixed: number }> =>
    fixAllSafe(document, await withDetails(document)),
  /** The contrast of the words of a tile where they stand at a width; null where it has none. */
  async contrast(document: CollectionDocument, id: TileId, width: number): Promise<number | null> {
    const options = { ...(await withDetails(document)), ids: new Set([id]) };
    const band = bandAt(document, width);
    const looks = lookedAt(document, band.index);
    const layout = layoutCollection(document, width, { measurer: measurer() });
    return contrastsAt(looks, layout, width, band, options).get(id) ?? null;
  },
  derive: (document: CollectionDocument, band: number, anew: boolean): JsonPatch =>
    change(document, deriveBand(document, band, { measurer: measurer(), anew })).patch,
  stack: (document: CollectionDocument, band: number): JsonPatch =>
    change(document, stackBand(document, band, measurer())).patch,
  findBreakpoints(document: CollectionDocument): JsonPatch {
    return change(document, breakpointsCommand(findBreakpoints(document, measurer(), freshBand))).patch;
  },
  /** What brings derived bands up to the wider one; nothing where they are set by hand. */
  followWider: (document: CollectionDocument, shown?: number): JsonPatch =>
    difference(document, followWider(document, measurer(), freshBand, shown)),
  /** As `findBreakpoints`, and derived from then on. */
  deriveAll(document: CollectionDocument): JsonPatch {
    const began = change(document, setNarrowerBands([])).document;
    const { bands } = followWider(began, measurer(), freshBand);
    return change(document, setNarrowerBands(bands)).patch;
  },
  page: async (document: CollectionDocument, form: Form = 'page'): Promise<Page> =>
    (await written()).writeForm(form, document, measurer()),
  /** Measures all tiles, so that the first answer comes as fast as the later ones. */
  prepare(document: CollectionDocument, asked: Asked): null {
    const view = viewOf(document, asked.level);
    const { allows } = bearing(view, asked);
    for (const id of view.order) allows(id, { columns: 1, rows: 1 });
    return null;
  },
  closeGaps(document: CollectionDocument, asked: Asked, distance: number, mostSpans: number): ClosedGaps {
    const view = viewOf(document, asked.level);
    return closeGaps(view, asked.band, { distance, mostSpans, allows: bearing(view, asked).allows });
  },
  propose(document: CollectionDocument, asked: Asked, tiles: readonly TileId[], seed: number): Proposal[] {
    const view = viewOf(document, asked.level);
    const { allows, aspectOf } = bearing(view, asked);
    return propose(view, asked.band, { tiles, allows, aspectOf, seed, most: 12 });
  },
  /** A collection of a list in small, as the server sent it. */
  thumbnail: (_: CollectionDocument | null, received: unknown): Promise<Thumbnail> => drawThumbnail(received),
} as const;

export type Questions = typeof QUESTIONS;
export type QuestionName = keyof Questions;
/** What is asked beside the collection. */
export type ArgumentsOf<Name extends QuestionName> =
  Parameters<Questions[Name]> extends [unknown, ...infer Rest] ? Rest : [];
export type AnswerOf<Name extends QuestionName> = Awaited<ReturnType<Questions[Name]>>;
