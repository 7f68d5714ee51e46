/** An operation of JSON Patch (RFC 6902). */
export type JsonPatchOperation =
  | { readonly op: 'add' | 'replace' | 'test'; readonly path: string; readonly value: unknown }
  | { readonly op: 'remove'; readonly path: string }
  | { readonly op: 'move' | 'copy'; readonly path: string; readonly from: string };

export type JsonPatch = readonly JsonPatchOperation[];
