import type { Nest, NestQuestion } from '@sardonyx/core';

export interface NestRequest {
  readonly id: number;
  readonly question: NestQuestion;
}

/** The best so far, many times; the last one is `isEnd`. */
export type NestReply =
  | { readonly id: number; readonly kind: 'nest'; readonly nest: Nest; readonly share: number; readonly isEnd: boolean }
  | { readonly id: number; readonly kind: 'problem'; readonly message: string };
