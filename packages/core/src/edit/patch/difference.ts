import jsonPatch from 'fast-json-patch';
import type { JsonPatch } from './types.js';

/** The JSON Patch that leads from one document to another; what both share is not looked into. */
export const difference = (from: object, to: object): JsonPatch =>
  from === to ? [] : (jsonPatch.compare(from, to) as JsonPatch);
