import { peopleWords } from '@nucleon/core/words/screens/people';
import Copy from 'lucide-react-native/icons/copy';
import { Suspense, useState } from 'react';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Small } from '../../ui/text';
import { QrCode } from './lazyQrCode';

/** A link for another device: to be held a camera at, or copied. */
export function LinkCode({ link, testID }: { readonly link: string; readonly testID: string }) {
  const [copied, setCopied] = useState(false);
  return (
    <Column gap="$2" alignItems="flex-start" testID={testID}>
      <Suspense fallback={null}>
        <QrCode text={link} label={link} />
      </Suspense>
      <Small userSelect="text" style={{ overflowWrap: 'anywhere' }} testID={`${testID}-link`}>
        {link}
      </Small>
      <Button
        label={copied ? peopleWords.copied : peopleWords.copyLink}
        icon={Copy}
        onPress={() => {
          void navigator.clipboard.writeText(link).then(() => {
            setCopied(true);
          });
        }}
      />
    </Column>
  );
}
