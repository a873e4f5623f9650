import { createContext, type RefObject } from 'react';

/** What a page’s content scrolls in; null where the page fills the height itself. */
export const PageScroll = createContext<RefObject<HTMLElement | null> | null>(null);
