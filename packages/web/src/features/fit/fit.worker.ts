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
import { loadFonts, measurer } from '../../measure/measurer';
import { sharing } from './sharing';

const fonts = loadFonts((self as unknown as { fonts: FontFaceSet }).fonts);

let last: CollectionDocument | null = null;
let lastReport: FitReport | null = null;

/** A copy from the page, with all that stayed as it was as the objects of before: what core knows of them holds. */
function received(document: CollectionDocument): CollectionDocument {
  last = sharing(last, document);
  return last;
}

const freshId = () => `band-${crypto.randomUUID().slice(0, 8)}`;

const fit = {
  async check(document: CollectionDocument): Promise<{ report: FitReport; ms: number }> {
    await fonts;
    const start = performance.now();
    const report = checkFit(received(document), { measurer });
    lastReport = report;
    return { report, ms: performance.now() - start };
  },
  /** What puts a finding right; nothing when it is not there any more. */
  async fixes(document: CollectionDocument, id: string): Promise<Fix[]> {
    await fonts;
    const before = last;
    const here = received(document);
    const report = before === here && lastReport ? lastReport : checkFit(here, { measurer });
    lastReport = report;
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
