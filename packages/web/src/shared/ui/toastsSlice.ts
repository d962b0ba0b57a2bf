import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

export interface Toast {
  readonly id: number;
  readonly text: string;
}

interface ToastsState {
  readonly next: number;
  readonly shown: readonly Toast[];
}

const MOST_SHOWN = 3;
const initialState: ToastsState = { next: 1, shown: [] };

/** Short news of what was done: read out, gone after a while, and never the only place where it can be seen. */
export const toastsSlice = createSlice({
  name: 'toasts',
  initialState,
  reducers: {
    toastShown: (state, { payload: text }: PayloadAction<string>) => ({
      next: state.next + 1,
      shown: [...state.shown, { id: state.next, text }].slice(-MOST_SHOWN),
    }),
    toastClosed: (state, { payload: id }: PayloadAction<number>) => ({
      ...state,
      shown: state.shown.filter((toast) => toast.id !== id),
    }),
  },
});

export const { toastShown, toastClosed } = toastsSlice.actions;
