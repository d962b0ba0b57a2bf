import { createSlice } from '@reduxjs/toolkit';

/** Whether the server answered last time. */
export const connectionSlice = createSlice({
  name: 'connection',
  initialState: { isOnline: true },
  reducers: {
    cameOnline: (state) => {
      state.isOnline = true;
    },
    wentOffline: (state) => {
      state.isOnline = false;
    },
  },
});

export const { cameOnline, wentOffline } = connectionSlice.actions;
