import {
  breakpointsCommand,
  change,
  checkFit,
  deriveBand,
  findBreakpoints,
  fixAllSafe,
  fixesFor,
  stackBand,
  type CollectionDocument,
  type FitReport,
  type Fix,
  type JsonPatch,
} from '@noria/core';
import { expose } from 'comlink';
import { loadFonts, measurer } from '../engine/measurer';
import { keeper } from '../engine/sharing';

const fonts = loadFonts((self as unknown as { fonts: FontFaceSet }).fonts);

const received = keeper<CollectionDocument>();
/** The last report, and the collection it is about. */
let last: { about: CollectionDocument; report: FitReport } | null = null;

function reportOf(document: CollectionDocument): FitReport {
  if (last?.about !== document) last = { about: document, report: checkFit(document, { measurer }) };
  return last.report;
}

const freshId = () => `band-${crypto.randomUUID().slice(0, 8)}`;

const fit = {
  async check(document: CollectionDocument): Promise<{ report: FitReport; ms: number }> {
    await fonts;
    const start = performance.now();
    const report = reportOf(received(document));
    return { report, ms: performance.now() - start };
  },
  /** What puts a finding right; nothing when it is not there any more. */
  async fixes(document: CollectionDocument, id: string): Promise<Fix[]> {
    await fonts;
    const here = received(document);
    const report = reportOf(here);
    const finding = report.findings.find((each) => each.id === id);
    return finding ? fixesFor(here, report, finding, { measurer }) : [];
  },
  async fixAllSafe(document: CollectionDocument): Promise<{ patch: JsonPatch; fixed: number }> {
    await fonts;
    return fixAllSafe(received(document), { measurer });
  },
  async derive(document: CollectionDocument, band: number, anew: boolean): Promise<JsonPatch> {
    await fonts;
    const here = received(document);
    return change(here, deriveBand(here, band, { measurer, anew })).patch;
  },
  async stack(document: CollectionDocument, band: number): Promise<JsonPatch> {
    await fonts;
    const here = received(document);
    return change(here, stackBand(here, band, measurer)).patch;
  },
  async findBreakpoints(document: CollectionDocument): Promise<JsonPatch> {
    await fonts;
    const here = received(document);
    return change(here, breakpointsCommand(findBreakpoints(here, measurer, freshId))).patch;
  },
};

export type FitWorker = typeof fit;

expose(fit);
