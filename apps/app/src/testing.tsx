import { TamaguiProvider } from '@tamagui/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render } from '@testing-library/react';
import type { ReactElement, ReactNode } from 'react';
import { config } from './ui/tamagui.config';

/** The providers a component needs, without the network: tests give their own answers. */
export function Around({ children }: { readonly children: ReactNode }) {
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false, gcTime: Infinity } },
  });
  return (
    <TamaguiProvider config={config} defaultTheme="light">
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    </TamaguiProvider>
  );
}

export const show = (element: ReactElement) => render(element, { wrapper: Around });

/** Writes `value` into a box, in place of what stands there. */
export const typeIn = (box: Element, value: string) => fireEvent.change(box, { target: { value } });
