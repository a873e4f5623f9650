import { placeWords } from '@nucleon/core/words/screens/place';
import type { LucideIcon } from 'lucide-react-native';
import Maximize from 'lucide-react-native/icons/maximize';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { Icon } from '../../ui/Icon';
import { Column } from '../../ui/layout';
import { Press } from '../../ui/Press';

const NEARER = 1.6;

/** Nearer, further and the whole piece, for gloves that cannot pinch and for keys. */
export function ZoomButtons({
  onZoom,
  onWhole,
  isWhole,
}: {
  readonly onZoom: (by: number) => void;
  readonly onWhole: () => void;
  readonly isWhole: boolean;
}) {
  const one = (label: string, icon: LucideIcon, run: () => void, off = false) => (
    <Press
      aria-label={label}
      disabled={off}
      aria-disabled={off}
      width={48}
      justifyContent="center"
      backgroundColor="$surface"
      borderWidth={1}
      borderColor="$line"
      onPress={run}
    >
      <Icon of={icon} />
    </Press>
  );
  return (
    <Column position="absolute" right={8} top={8} gap="$1">
      {one(placeWords.zoomIn, Plus, () => {
        onZoom(NEARER);
      })}
      {one(placeWords.zoomOut, Minus, () => {
        onZoom(1 / NEARER);
      })}
      {isWhole ? null : one(placeWords.theWholePiece, Maximize, onWhole)}
    </Column>
  );
}
