import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Whether the sheet with the door for phones stands open. */
export const phoneSlice = createSlice({
  name: 'phone',
  initialState: { isSheetOpen: false },
  reducers: {
    phoneSheetTurned: (_state, { payload }: PayloadAction<boolean>) => ({ isSheetOpen: payload }),
  },
});

export const { phoneSheetTurned } = phoneSlice.actions;
