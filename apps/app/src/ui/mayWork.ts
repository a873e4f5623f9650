import { createContext, useContext } from 'react';

/** Whether what is changed here is kept: not of whoever only reads along. */
export const MayWork = createContext(true);
export const useMayWork = (): boolean => useContext(MayWork);
