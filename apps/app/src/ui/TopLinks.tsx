import { uiWords } from '@nucleon/core/words/screens/ui';
import { useRouter } from 'expo-router';
import Drill from 'lucide-react-native/icons/drill';
import NotebookPen from 'lucide-react-native/icons/notebook-pen';
import SlidersHorizontal from 'lucide-react-native/icons/sliders-horizontal';
import { routes } from '../routes';
import { Icon } from './Icon';
import { Press } from './Press';
import { Strong } from './text';

const LINKS = [
  [routes.log(), uiWords.log, NotebookPen],
  [routes.kit(), uiWords.kit, Drill],
  [routes.display(), uiWords.display, SlidersHorizontal],
] as const;

/** The ways on from the jobs list. */
export function TopLinks() {
  const router = useRouter();
  return (
    <>
      {LINKS.map(([href, word, icon]) => (
        <Press
          key={href}
          role="link"
          paddingHorizontal="$2"
          gap="$1"
          onPress={() => {
            router.navigate(href);
          }}
        >
          <Icon of={icon} />
          <Strong fontSize="$2">{word}</Strong>
        </Press>
      ))}
    </>
  );
}
