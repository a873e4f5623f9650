import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { Icon } from './Icon';
import { Row } from './layout';
import { Small } from './text';

/** One line over every screen, while it holds. */
export function SayingBar({
  children,
  grave = false,
  testID,
}: {
  readonly children: string;
  readonly grave?: boolean;
  readonly testID: string;
}) {
  return (
    <Row
      role={grave ? 'alert' : 'status'}
      gap="$2"
      paddingHorizontal="$3"
      paddingVertical="$1"
      backgroundColor="$raised"
      borderBottomWidth={1}
      borderColor="$line"
      testID={testID}
    >
      {grave ? <Icon of={TriangleAlert} tone="caution" size={16} /> : null}
      <Small fontSize="$1" lineHeight="$1" flexShrink={1}>
        {children}
      </Small>
    </Row>
  );
}
