import { holeWords } from '@nucleon/core/words/screens/hole';
import type { Step } from '@nucleon/core/documents/plan';
import { Column, Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Label, Small, Strong } from '../../ui/text';

interface StepListProps {
  readonly steps: readonly Step[];
  /** Shows the drawing's rim where a step happens. */
  readonly onShowDepth: (depthMm: number) => void;
}

/** Mark to clean-up; a step with a depth moves the rim in the drawing. */
export function StepList({ steps, onShowDepth }: StepListProps) {
  return (
    <Column render="ol" padding={0} margin={0} testID="steps">
      {steps.map((step, index) => {
        const { toDepthMm, fromDepthMm } = step;
        const content = (
          <Row gap="$3" alignItems="flex-start" paddingVertical="$2" width="100%">
            <Label width={26} textAlign="right" fontVariant={['tabular-nums']}>
              {index + 1}
            </Label>
            <Column flex={1} alignItems="flex-start">
              <Strong textAlign="left">{step.title}</Strong>
              <Small textAlign="left">{step.detail}</Small>
            </Column>
          </Row>
        );
        return (
          <Column
            key={`${index}-${step.kind}`}
            render="li"
            borderTopWidth={index > 0 ? 1 : 0}
            borderColor="$line"
          >
            {toDepthMm === undefined || fromDepthMm === undefined ? (
              content
            ) : (
              <Press
                aria-label={holeWords.stepShowItIn(index + 1, step.title, step.detail)}
                onPress={() => {
                  onShowDepth((fromDepthMm + toDepthMm) / 2);
                }}
                hoverStyle={{ backgroundColor: '$raised' }}
              >
                {content}
              </Press>
            )}
          </Column>
        );
      })}
    </Column>
  );
}
