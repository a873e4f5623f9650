import { knowWords } from '@nucleon/core/words/screens/know';
import { conclude } from '@nucleon/core/advice/identify/conclude';
import { conclusionText } from '@nucleon/core/words/advice/conclusionText';
import { identify } from '@nucleon/core/advice/identify/identify';
import { isIdentifierKind } from '@nucleon/core/advice/identify/knowPath';
import {
  becauseLines,
  hardnessText,
  sharesInWords,
  tellsApart,
} from '@nucleon/core/words/advice/identifyWords';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Body, Heading, Small } from '../../ui/text';
import type { StepProps } from './stepProps';
import { Shares } from './Shares';

const isoNow = (): string => new Date().toISOString();

/** The ranked list, what speaks for the first, what would tell them apart, and what to make of it. */
export function FoundStep({ room, knowing }: StepProps) {
  const { piece } = room.edit;
  const { knowing: known } = piece;
  if (!isIdentifierKind(known?.kind)) return null;
  const { kind, answers } = { kind: known.kind, answers: known.answers };
  const found = identify(kind, answers);
  const best = found.ranked[0]?.candidate;
  if (!best) return null;
  const take = (how: 'likeliest' | 'not-sure') => (): void => {
    knowing.settle('found', how, conclude(kind, answers, piece, how, isoNow()));
  };
  const likeliest = conclude(kind, answers, piece, 'likeliest', '');
  const unsure = conclude(kind, answers, piece, 'not-sure', '');
  const forbids = likeliest.glassTreatment !== undefined && likeliest.glassTreatment !== 'unknown';
  return (
    <>
      <Shares found={found} max={5} />
      {found.hardnessBand ? <Body>{hardnessText(found.hardnessBand)}</Body> : null}
      {found.strengthenedOdds !== null ? (
        <Notice
          level={forbids ? 'stop' : likeliest.checks ? 'fine' : 'caution'}
          title={knowWords.strengthenedInSomeWay(sharesInWords(found.strengthenedOdds))}
          text={conclusionText(likeliest, best.name)}
          testID="found-conclusion"
        />
      ) : null}
      {becauseLines(found).length > 0 ? (
        <Column gap="$1">
          <Heading aria-level={3}>{knowWords.why(best.name.toLowerCase())}</Heading>
          {becauseLines(found).map((line) => (
            <Small key={line}>{line}</Small>
          ))}
        </Column>
      ) : null}
      {tellsApart(found).length > 0 ? (
        <Column gap="$2">
          <Heading aria-level={3}>{knowWords.whatWouldTellThem}</Heading>
          {tellsApart(found)
            .slice(0, 3)
            .map(({ question, ask }) => (
              <Button
                key={question}
                label={ask}
                onPress={() => {
                  knowing.goTo(`q:${question}`);
                }}
              />
            ))}
        </Column>
      ) : null}
      <Small>{found.staysUnknown}</Small>
      <Button
        label={
          forbids
            ? knowWords.takeItFor(best.name.toLowerCase())
            : knowWords.takeItAs(best.name.toLowerCase())
        }
        look={found.sure || kind === 'glass' ? 'main' : 'plain'}
        onPress={take('likeliest')}
        testID="found-take"
      />
      <Button
        label={knowWords.stillNotSure}
        look={found.sure || kind === 'glass' ? 'plain' : 'main'}
        onPress={take('not-sure')}
        testID="found-not-sure"
      />
      <Small>{knowWords.ifYouAreNot(conclusionText(unsure, best.name))}</Small>
    </>
  );
}
