import { uiWords } from '@nucleon/core/words/screens/ui';
import RotateCw from 'lucide-react-native/icons/rotate-cw';
import type { ReactNode } from 'react';
import { ApiProblem, Unreachable } from '../api/problem';
import { Button } from './Button';
import { Column } from './layout';
import { Body, Heading, Small } from './text';

/** Waiting: said, not spun, so that it can be read out and does not flicker. */
export function Loading({ what }: { readonly what: string }) {
  return (
    <Column padding="$5" alignItems="center" role="status" aria-live="polite">
      <Small>{uiWords.fetching(what)}</Small>
    </Column>
  );
}

/** What went wrong, in words, and the way on. */
export function Failed({
  error,
  onRetry,
}: {
  readonly error: Error;
  readonly onRetry: () => void;
}) {
  const text =
    error instanceof Unreachable
      ? uiWords.whatYouTypedIs(error.message)
      : error instanceof ApiProblem
        ? error.body.detail
        : uiWords.somethingUnexpectedWentWrong;
  return (
    <Column padding="$5" gap="$3" alignItems="center" role="alert" testID="failed">
      <Body textAlign="center">{text}</Body>
      <Button label={uiWords.tryAgain} icon={RotateCw} onPress={onRetry} />
    </Column>
  );
}

export function Empty({
  title,
  text,
  children,
}: {
  readonly title: string;
  readonly text: string;
  readonly children?: ReactNode;
}) {
  return (
    <Column padding="$5" gap="$3" alignItems="center">
      <Heading aria-level={2} textAlign="center">
        {title}
      </Heading>
      <Body textAlign="center" color="$muted" maxWidth={420}>
        {text}
      </Body>
      {children}
    </Column>
  );
}
