import { kitWords } from '@nucleon/core/words/screens/kit';
import type { StoredBit } from '@nucleon/contract/wire';
import {
  BIT_LOOK_IDS,
  dressedSharpness,
  judgeBit,
  type BitLook,
  type BitLooks,
  type BitVerdict,
} from '@nucleon/core/advice/bitCheck';
import { lookAt, todoText, verdictText } from '@nucleon/core/words/advice/bitCheckWords';
import type { SharpnessNote } from '@nucleon/core/documents/kit';
import { useState, type ReactNode } from 'react';
import { putBit } from '../../api/kit';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Notice } from '../../ui/Notice';
import { Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { Trouble } from '../../ui/Trouble';

const LEVELS = { use: 'fine', dress: 'caution', bin: 'stop' } as const;
const TITLES = { use: kitWords.useIt, dress: kitWords.dressItFirst, bin: kitWords.binIt } as const;
const clock = (): string => new Date().toISOString();

/** Four looks at a bit, and what they say: its run-out and sharpness are kept, and go into the plans. */
export function BitCheck({
  bit,
  onDone,
}: {
  readonly bit: StoredBit;
  readonly onDone: () => void;
}) {
  const units = useUnits();
  const [looks, setLooks] = useState<Partial<BitLooks>>({});
  const [gaugeMm, setGauge] = useState<number | null>(null);
  const next = BIT_LOOK_IDS.find((look) => looks[look] === undefined);
  const verdict =
    next === undefined ? judgeBit(bit, looks as BitLooks, gaugeMm ?? undefined) : null;
  const kept = useWrite(
    (note: SharpnessNote & Pick<BitVerdict, 'runOutMm' | 'kind' | 'state'>) => {
      const { id, updatedAt: _at, ...own } = bit;
      const { runOutMm, kind, state, ...noted } = note;
      return putBit(id, {
        ...own,
        sharpness: note.sharpness,
        runOutMm,
        state: note.how === 'dressed' ? 'good' : state,
        sharpnessLog: [...(bit.sharpnessLog ?? []), noted],
        ...(kind === 'bin' ? { retired: true, retiredWhy: 'worn' as const } : {}),
      });
    },
    { done: onDone },
  );
  const keep = (sharpness: number, how: SharpnessNote['how']): void => {
    if (!verdict) return;
    const { runOutMm, kind, state } = verdict;
    kept.run({ at: clock(), sharpness, how, runOutMm, kind, state });
  };
  return (
    <Column padding="$4" gap="$4" backgroundColor="$ground" testID="bit-check-panel">
      {BIT_LOOK_IDS.filter((look) => looks[look] !== undefined || look === next).map((look) => (
        <LookQuestion
          key={look}
          look={look}
          family={bit.family}
          answer={looks[look]}
          onAnswer={(answer) => {
            setLooks({ ...looks, [look]: answer });
          }}
        >
          {look === 'spin' && looks.spin !== undefined ? (
            <GaugeBox gaugeMm={gaugeMm} onGauge={setGauge} />
          ) : null}
        </LookQuestion>
      ))}
      {verdict ? (
        <Notice
          level={LEVELS[verdict.kind]}
          title={TITLES[verdict.kind]}
          text={[verdictText(verdict, units), ...verdict.doFirst.map(todoText)].join(' ')}
          testID={`verdict-${verdict.kind}`}
          live
        />
      ) : null}
      <Trouble text={kept.trouble} />
      <Row gap="$2" flexWrap="wrap">
        {verdict?.kind === 'dress' ? (
          <Button
            label={kitWords.iHaveDressedIt}
            look="main"
            onPress={() => {
              keep(dressedSharpness(bit), 'dressed');
            }}
            testID="bit-dressed"
          />
        ) : null}
        {verdict ? (
          <Button
            label={verdict.kind === 'bin' ? kitWords.keepThisAndPut : kitWords.keepThis}
            look={verdict.kind === 'dress' ? 'plain' : 'main'}
            onPress={() => {
              keep(verdict.sharpness, 'checked');
            }}
            testID="check-keep"
          />
        ) : null}
        <Button label={kitWords.leaveIt} look="quiet" onPress={onDone} />
      </Row>
    </Column>
  );
}

function LookQuestion({
  look,
  family,
  answer,
  onAnswer,
  children,
}: {
  readonly look: BitLook;
  readonly family: StoredBit['family'];
  readonly answer: string | undefined;
  readonly onAnswer: (answer: string) => void;
  readonly children: ReactNode;
}) {
  const { title, ask, answers } = lookAt(look, family);
  return (
    <Column gap="$2">
      <Strong>
        {BIT_LOOK_IDS.indexOf(look) + 1} · {title}
      </Strong>
      <Chips
        label={ask}
        chips={Object.entries(answers).map(([value, label]) => ({ value, label }))}
        value={answer}
        onChange={onAnswer}
        testID={`look-${look}`}
      />
      {children}
    </Column>
  );
}

function GaugeBox({
  gaugeMm,
  onGauge,
}: {
  readonly gaugeMm: number | null;
  readonly onGauge: (mm: number | null) => void;
}) {
  return (
    <LengthBox
      label={kitWords.runOutByGauge}
      valueMm={gaugeMm}
      placeholder={kitWords.notMeasured}
      maxMm={20}
      anySign
      onChangeMm={(mm) => {
        onGauge(Math.max(0, mm));
      }}
      onClear={() => {
        onGauge(null);
      }}
    />
  );
}
