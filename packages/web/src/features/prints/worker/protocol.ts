import type { MeshView } from '@sardonyx/core';

/** The file's bytes, to be read once; after that, the same mesh scaled and written. */
export type MeshRequest =
  | { readonly id: number; readonly kind: 'read'; readonly bytes: Uint8Array }
  | { readonly id: number; readonly kind: 'write'; readonly scale: readonly [x: number, y: number, z: number] };

export type MeshReply =
  | { readonly id: number; readonly kind: 'mesh'; readonly mesh: ReadMesh }
  | { readonly id: number; readonly kind: 'file'; readonly bytes: Uint8Array<ArrayBuffer> }
  | { readonly id: number; readonly kind: 'problem'; readonly message: string };

/** What is drawn of a mesh: three flat views, and the corners of its triangles for turning it. */
export interface ReadMesh {
  readonly views: readonly MeshView[];
  /** Nine numbers a triangle, millimetres. */
  readonly corners: Float32Array;
}
