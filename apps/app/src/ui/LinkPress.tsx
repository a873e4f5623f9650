import type { GetProps } from '@tamagui/core';
import { useRouter } from 'expo-router';
import type { MouseEvent } from 'react';
import type { Route } from '../routes';
import { Press } from './Press';

interface LinkPressProps extends Omit<GetProps<typeof Press>, 'onPress' | 'href' | 'render'> {
  readonly to: Route;
}

const isPlain = (event: MouseEvent): boolean =>
  !event.metaKey && !event.ctrlKey && !event.shiftKey && event.button === 0;

/** A real link: opened in another tab, copied or read out as one, and within the app without loading it anew. */
export function LinkPress({ to, ...rest }: LinkPressProps) {
  const router = useRouter();
  const link = {
    href: to,
    onClick: (event: MouseEvent) => {
      if (!isPlain(event)) return;
      event.preventDefault();
      router.navigate(to);
    },
  };
  return <Press render="a" role="link" {...link} {...rest} />;
}
