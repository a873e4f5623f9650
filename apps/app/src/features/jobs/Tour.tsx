import { tourWords } from '@nucleon/core/words/screens/tour';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Panel, Row } from '../../ui/layout';
import { Body, Heading, Small } from '../../ui/text';
import { keepOnDevice, keptOnDevice } from '../draft/keptOnDevice';

const KIND = 'tour';
const ID = 'seen';

/** What it is about, in three steps on the front page, until it was read or skipped on this device. */
export function Tour() {
  const [at, setAt] = useState(() => (keptOnDevice(KIND, ID) === undefined ? 0 : null));
  if (at === null) return null;
  const { steps } = tourWords;
  const step = steps[at];
  const leave = (): void => {
    keepOnDevice(KIND, ID, { seen: true });
    setAt(null);
  };
  if (!step) return null;
  const isLast = at === steps.length - 1;
  return (
    <Panel wet padding="$4" gap="$3" role="region" aria-label={tourWords.tour} testID="tour">
      <Row justifyContent="space-between">
        <Heading aria-level={2}>{step.title}</Heading>
        <Small>{tourWords.step(at + 1, steps.length)}</Small>
      </Row>
      <Body aria-live="polite">{step.text}</Body>
      <Row gap="$2" justifyContent="flex-end">
        {isLast ? null : (
          <Button label={tourWords.skip} look="quiet" onPress={leave} testID="tour-skip" />
        )}
        <Button
          label={isLast ? tourWords.done : tourWords.next}
          icon={ArrowRight}
          onPress={
            isLast
              ? leave
              : () => {
                  setAt(at + 1);
                }
          }
          testID="tour-next"
        />
      </Row>
    </Panel>
  );
}
