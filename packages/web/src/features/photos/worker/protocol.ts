import type { ControlPoint, PhotoControl, Point, Region } from '@sardonyx/core';

/** What the page asks of the worker. Pictures are named by their address; the worker fetches and keeps the last one. */
export type PhotoRequest =
  | { readonly id: number; readonly kind: 'find card'; readonly url: string; readonly corners: readonly Point[] }
  | { readonly id: number; readonly kind: 'snap'; readonly url: string; readonly point: Point }
  | {
      readonly id: number;
      readonly kind: 'straighten';
      readonly url: string;
      readonly control: PhotoControl;
      /** At most so many pixels come out. */
      readonly mostPixels: number;
    };

/** A picture seen straight from above. */
export interface FlatPicture {
  readonly picture: Blob;
  readonly region: Region;
}

export type PhotoAnswer =
  | { readonly id: number; readonly kind: 'progress'; readonly share: number }
  | { readonly id: number; readonly kind: 'card'; readonly points: readonly ControlPoint[] }
  | { readonly id: number; readonly kind: 'snapped'; readonly point: Point | null }
  | ({ readonly id: number; readonly kind: 'flat' } & FlatPicture)
  | { readonly id: number; readonly kind: 'problem'; readonly message: string };
