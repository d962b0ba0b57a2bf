import type {
  CameraFit,
  CardValues,
  ColourSample,
  ControlPoint,
  PhotoControl,
  PhotoFit,
  Point,
  Region,
  SnappedTrace,
  TracedShape,
} from '@sardonyx/core';

/** What the page asks of the worker. Pictures are named by their address; the worker fetches and keeps the last one. */
export type PhotoRequest =
  /** Where corners is null the card is looked for. */
  | { readonly id: number; readonly kind: 'find card'; readonly url: string; readonly corners: readonly Point[] | null }
  /** Fits the colour card; where corners is null it is looked for, where its values are null it is as it was designed. */
  | {
      readonly id: number;
      readonly kind: 'fit card';
      readonly url: string;
      readonly corners: readonly Point[] | null;
      readonly card: CardValues | null;
    }
  | {
      readonly id: number;
      readonly kind: 'sample';
      readonly url: string;
      readonly fit: CameraFit;
      readonly point: Point;
      readonly radiusPx: number;
    }
  | { readonly id: number; readonly kind: 'snap'; readonly url: string; readonly point: Point }
  | {
      readonly id: number;
      readonly kind: 'snap shape';
      readonly url: string;
      readonly control: PhotoControl;
      readonly fit: PhotoFit;
      readonly shape: TracedShape;
    }
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

/** The colour card as it was found in a picture. */
export interface FittedCard {
  readonly fit: CameraFit;
  readonly dots: readonly Point[];
}

export type PhotoAnswer =
  | { readonly id: number; readonly kind: 'progress'; readonly share: number }
  | { readonly id: number; readonly kind: 'card'; readonly points: readonly ControlPoint[] }
  | ({ readonly id: number; readonly kind: 'fitted' } & FittedCard)
  | { readonly id: number; readonly kind: 'sampled'; readonly sample: ColourSample }
  | { readonly id: number; readonly kind: 'snapped'; readonly point: Point | null }
  | ({ readonly id: number; readonly kind: 'shape snapped' } & SnappedTrace)
  | ({ readonly id: number; readonly kind: 'flat' } & FlatPicture)
  | { readonly id: number; readonly kind: 'problem'; readonly message: string };
