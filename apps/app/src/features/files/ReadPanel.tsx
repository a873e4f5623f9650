import { filesWords } from '@nucleon/core/words/screens/files';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import type { UnitSystem } from '@nucleon/core/data/unitSystem';
import { boundingBox } from '@nucleon/core/layout/outline';
import { HELPER_LAYERS, type DrawnFile, type Entry } from '@nucleon/files/drawnFile';
import { pieceFromDrawing, type DrawnPiece } from '@nucleon/files/pieceFromDrawing';
import FileUp from 'lucide-react-native/icons/file-up';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { pickFile } from '../../ui/pickFile';
import { Press } from '../../ui/Press';
import { Label, Small, Strong } from '../../ui/text';
import { askFiles } from '../../workers/files';
import { useUnits } from '../display/displayStore';

export type TakenPiece = Extract<DrawnPiece, { readonly kind: 'piece' }>;

const UNITS = [
  { value: 1, label: filesWords.mm },
  { value: 10, label: filesWords.cm },
  { value: 25.4, label: filesWords.inch },
  { value: 25.4 / 96, label: filesWords.screenPoints },
] as const;

interface Opened {
  readonly name: string;
  readonly drawn: DrawnFile;
}

/** An outline and holes from a DXF or SVG: what is taken and what is left is shown before it is used. */
export function ReadPanel({ onTake }: { readonly onTake: (piece: TakenPiece) => void }) {
  const units = useUnits();
  const [said, setSaid] = useState('');
  const [trouble, setTrouble] = useState('');
  const [opened, setOpened] = useState<Opened | null>(null);
  const [unit, setUnit] = useState<number | undefined>(undefined);
  const [layers, setLayers] = useState<readonly string[]>([]);
  const open = async (): Promise<void> => {
    const file = await pickFile('.dxf,.svg,image/svg+xml,image/vnd.dxf');
    if (!file) return;
    setTrouble('');
    setOpened(null);
    setSaid(filesWords.reading(file.name));
    const bytes = new Uint8Array(await file.arrayBuffer());
    const outcome = await askFiles('readDrawing', { bytes, name: file.name }).done;
    setSaid('');
    if (outcome.kind === 'refused') setTrouble(outcome.message);
    else {
      const { drawn } = outcome;
      setOpened({ name: file.name, drawn });
      setUnit(drawn.mmPerUnit ?? undefined);
      setLayers(drawn.layers.filter((layer) => !HELPER_LAYERS.includes(layer)));
    }
  };
  const made =
    opened && unit !== undefined
      ? pieceFromDrawing(opened.drawn, { mmPerUnit: unit, layers })
      : null;
  return (
    <Column gap="$4">
      <Button
        label={filesWords.outlineAndHolesFrom}
        icon={FileUp}
        onPress={() => void open()}
        testID="read-open"
      />
      <Small role="status" aria-live="polite">
        {said}
      </Small>
      {trouble ? (
        <Notice level="stop" title={filesWords.notRead} text={trouble} live testID="read-trouble" />
      ) : null}
      {opened ? (
        <Column gap="$4" testID="read-found">
          <Strong>{opened.name}</Strong>
          {opened.drawn.mmPerUnit === null ? (
            <Chips
              label={filesWords.theFileDoesNot}
              chips={UNITS}
              value={unit}
              onChange={setUnit}
              testID="read-unit"
            />
          ) : null}
          <LayerPicker layers={opened.drawn.layers} chosen={layers} onChange={setLayers} />
          {made ? <Found made={made} units={units} /> : null}
          <Row gap="$2" flexWrap="wrap">
            <Button
              label={filesWords.useThem}
              look="main"
              disabled={made?.kind !== 'piece'}
              onPress={() => {
                if (made?.kind !== 'piece') return;
                onTake(made);
                setOpened(null);
                setSaid(filesWords.takenUndoBringsBack);
              }}
              testID="read-use"
            />
            <Button
              label={filesWords.leaveIt}
              look="quiet"
              onPress={() => {
                setOpened(null);
              }}
            />
          </Row>
        </Column>
      ) : null}
    </Column>
  );
}

function LayerPicker({
  layers,
  chosen,
  onChange,
}: {
  readonly layers: readonly string[];
  readonly chosen: readonly string[];
  readonly onChange: (chosen: readonly string[]) => void;
}) {
  if (layers.length < 2) return null;
  return (
    <Column gap="$2" role="group" aria-label={filesWords.layersToRead}>
      <Label>{filesWords.layersToRead}</Label>
      <Row gap="$2" flexWrap="wrap">
        {layers.map((layer) => {
          const on = chosen.includes(layer);
          return (
            <Press
              key={layer}
              role="checkbox"
              aria-checked={on}
              paddingHorizontal="$3"
              borderWidth={1}
              borderBottomWidth={on ? 3 : 1}
              borderColor={on ? '$water' : '$line'}
              backgroundColor={on ? '$waterWash' : '$surface'}
              onPress={() => {
                onChange(on ? chosen.filter((one) => one !== layer) : [...chosen, layer]);
              }}
            >
              <Strong fontSize="$2" color={on ? '$water' : '$ink'}>
                {layer}
              </Strong>
            </Press>
          );
        })}
      </Row>
    </Column>
  );
}

const listed = (entries: readonly Entry[]): string =>
  entries.map(({ what, count }) => `${count} ${what}`).join(', ');

function Found({ made, units }: { readonly made: DrawnPiece; readonly units: UnitSystem }) {
  if (made.kind === 'none')
    return <Notice level="caution" text={made.message} testID="read-none" />;
  const { widthMm, heightMm } = boundingBox(made.outline);
  return (
    <Column gap="$1">
      <Strong testID="read-size">
        {formatLengthShort(widthMm, units)} × {formatLengthShort(heightMm, units)}
      </Strong>
      <Small testID="read-taken">{filesWords.taken(listed(made.taken))}</Small>
      {made.left.length > 0 ? (
        <Small testID="read-left">{filesWords.left(listed(made.left))}</Small>
      ) : null}
    </Column>
  );
}
