import type { StoredBit } from '@nucleon/contract/wire';
import {
  BIT_LOOK_IDS,
  BIT_LOOKS,
  dressedSharpness,
  judgeBit,
  type BitLooks,
} from '@nucleon/core/bits/bitCheck';
import type { SharpnessNote } from '@nucleon/core/documents/kit';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { putBit } from '../../api/kit';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Notice } from '../../ui/Notice';
import { Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';

const LEVELS = { use: 'fine', dress: 'caution', bin: 'stop' } as const;
const TITLES = { use: 'Use it', dress: 'Dress it first', bin: 'Bin it' } as const;
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
  const client = useQueryClient();
  const [looks, setLooks] = useState<Partial<BitLooks>>({});
  const [gaugeMm, setGauge] = useState<number | null>(null);
  const [trouble, setTrouble] = useState('');
  const next = BIT_LOOK_IDS.find((look) => looks[look] === undefined);
  const verdict =
    next === undefined ? judgeBit(bit, looks as BitLooks, units, gaugeMm ?? undefined) : null;
  const keep = async (sharpness: number, how: SharpnessNote['how']): Promise<void> => {
    if (!verdict) return;
    const { id, updatedAt: _at, ...own } = bit;
    try {
      await putBit(id, {
        ...own,
        sharpness,
        runOutMm: verdict.runOutMm,
        state: how === 'dressed' ? 'good' : verdict.state,
        sharpnessLog: [...(bit.sharpnessLog ?? []), { at: clock(), sharpness, how }],
        ...(verdict.kind === 'bin' ? { retired: true } : {}),
      });
      await client.invalidateQueries();
      onDone();
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'It was not kept.');
    }
  };
  return (
    <Column padding="$4" gap="$4" backgroundColor="$ground" testID="bit-check-panel">
      {BIT_LOOK_IDS.filter((look) => looks[look] !== undefined || look === next).map((look) => (
        <Column key={look} gap="$2">
          <Strong>
            {BIT_LOOK_IDS.indexOf(look) + 1} · {BIT_LOOKS[look].title}
          </Strong>
          <Chips
            label={BIT_LOOKS[look].ask}
            chips={Object.entries(BIT_LOOKS[look].answers).map(([value, label]) => ({
              value,
              label,
            }))}
            value={looks[look]}
            onChange={(answer) => {
              setLooks({ ...looks, [look]: answer });
            }}
            testID={`look-${look}`}
          />
          {look === 'spin' && looks.spin !== undefined ? (
            <LengthBox
              label="Run-out by a gauge, if you have one"
              valueMm={gaugeMm}
              placeholder="not measured"
              mostMm={20}
              anySign
              onChangeMm={(mm) => {
                setGauge(Math.max(0, mm));
              }}
              onClear={() => {
                setGauge(null);
              }}
            />
          ) : null}
        </Column>
      ))}
      {verdict ? (
        <Notice
          level={LEVELS[verdict.kind]}
          title={TITLES[verdict.kind]}
          text={[verdict.text, ...verdict.doFirst].join(' ')}
          testID={`verdict-${verdict.kind}`}
          live
        />
      ) : null}
      {trouble ? (
        <Small color="$stop" role="alert">
          {trouble}
        </Small>
      ) : null}
      <Row gap="$2" flexWrap="wrap">
        {verdict?.kind === 'dress' ? (
          <Button
            label="I have dressed it, it catches"
            look="main"
            onPress={() => void keep(dressedSharpness(bit), 'dressed')}
            testID="bit-dressed"
          />
        ) : null}
        {verdict ? (
          <Button
            label={verdict.kind === 'bin' ? 'Keep this, and put it away' : 'Keep this'}
            look={verdict.kind === 'dress' ? 'plain' : 'main'}
            onPress={() => void keep(verdict.sharpness, 'checked')}
            testID="check-keep"
          />
        ) : null}
        <Button label="Leave it" look="quiet" onPress={onDone} />
      </Row>
    </Column>
  );
}
