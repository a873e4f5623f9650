import { resultWords } from '@nucleon/core/words/screens/result';
import { resultFlagText } from '@nucleon/core/words/run/resultFlagWords';
import { judgeResult } from '@nucleon/core/run/judgeResult';
import { resultLines } from '@nucleon/core/words/run/resultLines';
import { Image } from 'react-native';
import { runPhotoAddress } from '../../api/runs';
import { Column, Row } from '../../ui/layout';
import { Lines } from '../../ui/Lines';
import { Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { LiveRun } from '../run/useRun';

const PHOTO_PX = 140;

/** What came out of a run that is over, and what of it does not go together. */
export function ResultSummary({ run }: { readonly run: LiveRun }) {
  const units = useUnits();
  const { state, runId } = run;
  const { result } = state;
  if (!result) return null;
  return (
    <Column paddingHorizontal="$4" gap="$2" testID="result-summary">
      <Lines lines={resultLines(result, units)} />
      {judgeResult(result, state).map((flag) => (
        <Small key={flag.code} color="$caution">
          {resultFlagText(flag, units)}
        </Small>
      ))}
      <Row gap="$2" flexWrap="wrap">
        {result.photoIds?.map((id) => (
          <Image
            key={id}
            source={{ uri: runPhotoAddress(runId, id) }}
            style={{ width: PHOTO_PX, height: PHOTO_PX }}
            alt={resultWords.whatCameOut}
          />
        ))}
      </Row>
    </Column>
  );
}
