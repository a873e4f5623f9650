import type { Identification } from '@nucleon/core/advice/identify/identify';
import { sharesInWords } from '@nucleon/core/words/advice/identifyWords';
import { Column } from '../../ui/layout';
import { ShareBar } from '../../ui/ShareBar';

/** The likeliest candidates with how likely each is. */
export function Shares({ found, max }: { readonly found: Identification; readonly max: number }) {
  return (
    <Column gap="$3" testID="shares">
      {found.ranked.slice(0, max).map((one, index) => (
        <ShareBar
          key={one.id}
          label={one.candidate.name}
          share={one.likelihood}
          text={sharesInWords(one.likelihood)}
          strong={index === 0}
        />
      ))}
    </Column>
  );
}
