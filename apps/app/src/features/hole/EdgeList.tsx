import { holeWords } from '@nucleon/core/words/screens/hole';
import { type JudgedRule } from '@nucleon/core/layout/edgeRules';
import { edgeText } from '@nucleon/core/words/layout/edgeText';
import CircleCheck from 'lucide-react-native/icons/circle-check';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { Label, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';

/** The schools of how near is too near, side by side, the strictest first. */
export function EdgeList({ edges }: { readonly edges: readonly JudgedRule[] }) {
  const units = useUnits();
  if (edges.length === 0) return null;
  return (
    <Column gap="$2" testID="edges">
      <Label>{holeWords.howNearIsToo}</Label>
      {edges.map((edge) => (
        <Row key={`${edge.rule} ${edge.measure}`} gap="$3" alignItems="flex-start">
          <Icon of={edge.ok ? CircleCheck : TriangleAlert} tone={edge.ok ? 'fine' : 'caution'} />
          <Column flex={1}>
            <Strong fontSize="$2">
              {edge.label}
              {edge.binds ? holeWords.thisOneBinds : ''}
            </Strong>
            <Small>
              {edgeText(edge, units)} {edge.source}.
            </Small>
          </Column>
        </Row>
      ))}
    </Column>
  );
}
