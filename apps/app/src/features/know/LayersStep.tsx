import { knowWords } from '@nucleon/core/words/screens/know';
import { commonWords } from '@nucleon/core/words/screens/common';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { Layer } from '@nucleon/core/documents/piece';
import { withLayers } from '@nucleon/core/setup/withLayers';
import {
  CAVITY,
  isBuiltWith,
  MATERIAL_IDS,
  MATERIALS,
} from '@nucleon/core/data/materials/materials';
import { wallDrawing } from '@nucleon/core/drawing/wallDrawing';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { Measured } from '../../drawing/Measured';
import { ScaleDrawing } from '../../drawing/ScaleDrawing';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Panel, Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Body, Heading, Small } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import type { StepProps } from './stepProps';
import { LeafHelp } from './LeafHelp';

const LEAF_IDS = MATERIAL_IDS.filter((id) => isBuiltWith(MATERIALS[id]));
const LEAF_CHIPS = [
  ...LEAF_IDS.map((id) => ({ value: id, label: MATERIALS[id].name })),
  { value: CAVITY, label: knowWords.cavity },
];
const NEW_LEAF_MM = 100;

/** A wall or floor leaf by leaf, with its cut to scale. */
export function LayersStep({ room, knowing }: StepProps) {
  const units = useUnits();
  const { piece, changePiece } = room.edit;
  const { customMaterials } = room.detail.job;
  const layers: readonly Layer[] = piece.layers?.length
    ? piece.layers
    : [{ material: piece.material, thicknessMm: piece.thicknessMm }];
  const [open, setOpen] = useState(0);
  const write = (next: readonly Layer[]): void => {
    changePiece(withLayers(next), 'layers');
  };
  const change = (index: number, layer: Layer): void => {
    write(layers.map((one, at) => (at === index ? layer : one)));
  };
  return (
    <>
      <Body>{knowWords.yourSideFirstCavities}</Body>
      <Panel wet testID="wall-drawing">
        <Measured>
          {(width) => (
            <ScaleDrawing
              drawing={wallDrawing(layers, customMaterials, units)}
              width={width}
              maxHeight={190}
            />
          )}
        </Measured>
      </Panel>
      {layers.map((layer, index) => (
        <LeafCard
          key={index}
          layer={layer}
          number={index + 1}
          open={open === index}
          onToggle={() => {
            setOpen(open === index ? -1 : index);
          }}
          onChange={(next) => {
            change(index, next);
          }}
          onRemove={
            layers.length > 1
              ? () => {
                  write(layers.filter((_, at) => at !== index));
                }
              : undefined
          }
        />
      ))}
      <Row flexWrap="wrap" gap="$2">
        <Button
          label={knowWords.addLeafBehind}
          icon={Plus}
          onPress={() => {
            write([...layers, { material: 'clay-brick', thicknessMm: NEW_LEAF_MM }]);
            setOpen(layers.length);
          }}
          testID="add-leaf"
        />
        <Button
          label={knowWords.addCavityAndLeaf}
          icon={Plus}
          onPress={() => {
            write([
              ...layers,
              { material: CAVITY, thicknessMm: 50 },
              { material: 'lightweight-block', thicknessMm: NEW_LEAF_MM },
            ]);
            setOpen(layers.length + 1);
          }}
          testID="add-cavity"
        />
      </Row>
      <Small>{knowWords.timberPlasterboardAndInsulation}</Small>
      <Button
        label={knowWords.goOn}
        icon={ArrowRight}
        look="main"
        onPress={() => {
          knowing.settle('layers', 'built');
        }}
        testID="know-layers-done"
      />
    </>
  );
}

interface LeafCardProps {
  readonly layer: Layer;
  /** From the side that is drilled, 1 upwards. */
  readonly number: number;
  readonly open: boolean;
  readonly onToggle: () => void;
  readonly onChange: (layer: Layer) => void;
  /** None where it is the only leaf. */
  readonly onRemove: (() => void) | undefined;
}

function LeafCard({ layer, number, open, onToggle, onChange, onRemove }: LeafCardProps) {
  return (
    <Column
      gap="$3"
      borderTopWidth={1}
      borderColor="$line"
      paddingTop="$3"
      testID={`leaf-${number}`}
    >
      <Row justifyContent="space-between">
        <Heading aria-level={3}>{knowWords.leaf(number)}</Heading>
        <Button
          label={open ? commonWords.close : knowWords.change}
          look="quiet"
          hint={knowWords.leafIsOpen(open, number)}
          onPress={onToggle}
        />
      </Row>
      {open ? (
        <>
          <Chips
            label={knowWords.madeOf}
            chips={LEAF_CHIPS}
            value={layer.mix?.length ? undefined : layer.material}
            onChange={(material) => {
              onChange({ material, thicknessMm: layer.thicknessMm });
            }}
          />
          {layer.material === CAVITY ? null : (
            <LeafHelp
              onFound={({ material, mix }) => {
                onChange({
                  material,
                  thicknessMm: layer.thicknessMm,
                  ...(mix ? { mix } : {}),
                });
              }}
            />
          )}
        </>
      ) : null}
      <Row gap="$3" alignItems="flex-end">
        <LengthBox
          inRow
          label={knowWords.thick(nameOf(layer))}
          valueMm={layer.thicknessMm}
          maxMm={LIMITS.thicknessMm.max}
          onChangeMm={(thicknessMm) => {
            onChange({ ...layer, thicknessMm });
          }}
          testID={`leaf-thickness-${number}`}
        />
        {onRemove ? (
          <Button
            label={knowWords.remove}
            icon={Trash}
            look="quiet"
            hint={knowWords.removeLeaf(number)}
            onPress={onRemove}
          />
        ) : null}
      </Row>
    </Column>
  );
}

function nameOf(layer: Layer): string {
  const known = LEAF_CHIPS.find((chip) => chip.value === layer.material);
  const name = known?.label ?? layer.material;
  return layer.mix?.length ? knowWords.orLike(name) : name;
}
