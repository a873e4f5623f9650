import { uiWords } from '@nucleon/core/words/screens/ui';
import Drill from 'lucide-react-native/icons/drill';
import NotebookPen from 'lucide-react-native/icons/notebook-pen';
import SlidersHorizontal from 'lucide-react-native/icons/sliders-horizontal';
import { routes } from '../routes';
import { Icon } from './Icon';
import { LinkPress } from './LinkPress';
import { Strong } from './text';

const LINKS = [
  [routes.log(), uiWords.log, NotebookPen],
  [routes.kit(), uiWords.kit, Drill],
  [routes.display(), uiWords.display, SlidersHorizontal],
] as const;

/** The ways on from the jobs list. */
export function TopLinks() {
  return (
    <>
      {LINKS.map(([href, word, icon]) => (
        <LinkPress key={href} to={href} paddingHorizontal="$2" gap="$1">
          <Icon of={icon} />
          <Strong fontSize="$2">{word}</Strong>
        </LinkPress>
      ))}
    </>
  );
}
