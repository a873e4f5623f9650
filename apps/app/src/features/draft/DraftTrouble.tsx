import { draftWords } from '@nucleon/core/words/screens/draft';
import { fieldInWords, valueInWords } from '@nucleon/core/words/screens/fieldsInWords';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Label, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { Clash } from './merge';
import type { DraftHandle } from './useVersionedDraft';

interface DraftTroubleProps<T> extends DraftHandle<T> {
  /** What was done here and waits: “typed”, “moved”. */
  readonly done: string;
  /** A document by the name people know it under; empty where there is only one. */
  readonly nameOf?: (part: string) => string;
  /** Brings back what was deleted elsewhere, and saves this over it. */
  readonly bringBack?: () => Promise<void>;
}

/** What keeps an edit from being saved; where two changed the same, both versions side by side. */
export function DraftTrouble<T>({
  draft: { save },
  dispatch,
  done,
  nameOf = () => '',
  bringBack,
}: DraftTroubleProps<T>) {
  switch (save.kind) {
    case 'saved':
    case 'waiting':
    case 'saving':
      return null;
    case 'unreachable':
      return (
        <Notice
          level="caution"
          title={draftWords.notOnServerYet}
          text={draftWords.whatYouIsKept(save.message, done)}
          testID="unreachable"
          live
        />
      );
    case 'refused':
      return (
        <Notice level="stop" title={draftWords.notSaved} text={save.message} testID="refused" />
      );
    case 'gone':
      return <Gone message={save.message} bringBack={bringBack} />;
    case 'conflict':
      return (
        <Notice
          level="stop"
          title={draftWords.changedElsewhere}
          text={draftWords.someoneChangedSameAfter}
          testID="conflict"
        >
          <Clashes clashes={save.clashes} nameOf={nameOf} />
          <Row gap="$2" flexWrap="wrap">
            <Button
              label={draftWords.keepMine}
              look="main"
              onPress={() => {
                dispatch({ type: 'keep-mine' });
              }}
            />
            <Button
              label={draftWords.takeTheirs}
              onPress={() => {
                dispatch({ type: 'take-theirs' });
              }}
            />
          </Row>
        </Notice>
      );
  }
}

function Gone({
  message,
  bringBack,
}: {
  readonly message: string;
  readonly bringBack: (() => Promise<void>) | undefined;
}) {
  const [said, setSaid] = useState('');
  return (
    <Notice level="stop" title={draftWords.deletedElsewhere} text={said || message} testID="gone">
      {bringBack ? (
        <Button
          label={draftWords.bringItBack}
          look="main"
          onPress={() => {
            bringBack().catch((error: unknown) => {
              setSaid(error instanceof Error ? error.message : draftWords.itCouldNotBe);
            });
          }}
          testID="bring-back"
        />
      ) : null}
    </Notice>
  );
}

const MAX_SHOWN = 8;

function Clashes({
  clashes,
  nameOf,
}: {
  readonly clashes: readonly Clash[];
  readonly nameOf: (part: string) => string;
}) {
  const units = useUnits();
  const more = clashes.length - MAX_SHOWN;
  return (
    <Column gap="$1">
      <Row>
        <Label flex={1}> </Label>
        <Label flex={1}>{draftWords.yours}</Label>
        <Label flex={1}>{draftWords.theirs}</Label>
      </Row>
      {clashes.slice(0, MAX_SHOWN).map((clash) => (
        <Row key={[clash.part, ...clash.path].join('/')} alignItems="flex-start">
          <Small flex={1}>{fieldInWords(nameOf(clash.part), clash.path)}</Small>
          <Small flex={1} color="$ink">
            {valueInWords(clash.mine, clash.path, units)}
          </Small>
          <Small flex={1} color="$ink">
            {valueInWords(clash.theirs, clash.path, units)}
          </Small>
        </Row>
      ))}
      {more > 0 ? <Small>{draftWords.andMore(more)}</Small> : null}
    </Column>
  );
}
