import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

interface Connection {
  /** The server answered last time. */
  readonly isOnline: boolean;
  /** Why its disk does not take what is written; null while it does. */
  readonly trouble: string | null;
}

const initialState: Connection = { isOnline: true, trouble: null };

/** Whether what is sent arrives, and whether it is kept there. */
export const connectionSlice = createSlice({
  name: 'connection',
  initialState,
  reducers: {
    cameOnline: (state) => ({ ...state, isOnline: true }),
    wentOffline: (state) => ({ ...state, isOnline: false }),
    diskFailed: (state, { payload }: PayloadAction<string>) => ({ ...state, trouble: payload }),
    diskRecovered: (state) => ({ ...state, trouble: null }),
  },
});

export const { cameOnline, wentOffline, diskFailed, diskRecovered } = connectionSlice.actions;

/** Whether there is any use in sending an edit now. */
export const takesEdits = ({ isOnline, trouble }: Connection): boolean => isOnline && trouble === null;
