import { configureStore, createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useDispatch, useSelector } from 'react-redux';
import { VIEWS } from '@sardonyx/contract';
import { api } from './api/api.ts';
import { cameOnline, connectionSlice, diskRecovered } from './api/connectionSlice.ts';
import { sendUnsent } from './edits/editRow.ts';
import { editsSlice, keepUnsent } from './edits/editsSlice.ts';
import { phoneSlice } from './ui/phoneSlice.ts';
import { toastsSlice } from './ui/toastsSlice.ts';

const listeners = createListenerMiddleware();

export const store = configureStore({
  reducer: {
    [api.reducerPath]: api.reducer,
    [connectionSlice.name]: connectionSlice.reducer,
    [editsSlice.name]: editsSlice.reducer,
    [phoneSlice.name]: phoneSlice.reducer,
    [toastsSlice.name]: toastsSlice.reducer,
  },
  middleware: (defaults) =>
    defaults({ serializableCheck: { ignoredPaths: ['api'], ignoredActionPaths: ['meta', 'payload'] } })
      .prepend(listeners.middleware)
      .concat(api.middleware),
});
setupListeners(store.dispatch);

listeners.startListening({
  predicate: (_action, now, before) => (now as RootState).edits.unsent !== (before as RootState).edits.unsent,
  effect: (_action, { getState }) => keepUnsent((getState() as RootState).edits.unsent),
});
listeners.startListening({
  matcher: isAnyOf(cameOnline, diskRecovered),
  effect: async (_action, { dispatch }) => {
    await dispatch(sendUnsent());
    dispatch(api.util.invalidateTags([...VIEWS]));
  },
});

export type RootState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();
