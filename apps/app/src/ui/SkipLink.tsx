import { uiWords } from '@nucleon/core/words/screens/ui';
import { Press } from './Press';
import { Strong } from './text';

/** Over the head for whoever comes by keyboard: past it, to what the page is about. */
export const SkipLink = ({ onPress }: { readonly onPress: () => void }) => (
  <Press
    position="absolute"
    top={-80}
    left={8}
    zIndex="$over"
    paddingHorizontal="$3"
    backgroundColor="$surface"
    borderWidth={1}
    borderColor="$water"
    focusStyle={{ top: 6 }}
    onPress={onPress}
    testID="skip"
  >
    <Strong fontSize="$2">{uiWords.skipToContent}</Strong>
  </Press>
);
