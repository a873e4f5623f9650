import { commonWords } from '@nucleon/core/words/screens/common';
import { holeWords } from '@nucleon/core/words/screens/hole';
import { MATERIAL_CLASSES, type MaterialClass } from '@nucleon/core/data/choices';
import type { Material } from '@nucleon/core/data/materials/material';
import { MATERIAL_IDS, MATERIALS } from '@nucleon/core/data/materials/materials';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';

const CLASS_WORDS: Record<MaterialClass, string> = {
  glass: holeWords.glass,
  ceramic: holeWords.ceramic,
  stone: holeWords.stone,
  masonry: holeWords.masonry,
};

interface MaterialPickerProps {
  readonly value: string | undefined;
  readonly custom?: readonly Material[];
  readonly onPick: (material: Material) => void;
  /** Offered where one may go on without knowing which. */
  readonly onNotSure?: (kind: MaterialClass) => void;
}

/** Four kinds, then the materials of that kind. */
export function MaterialPicker({ value, custom = [], onPick, onNotSure }: MaterialPickerProps) {
  const all = [...custom, ...MATERIAL_IDS.map((id) => MATERIALS[id])];
  const current = all.find((material) => material.id === value);
  const [kind, setKind] = useState<MaterialClass | undefined>(current?.class);
  return (
    <Column gap="$3">
      <Chips
        label={holeWords.kindOfMaterial}
        chips={MATERIAL_CLASSES.map((one) => ({ value: one, label: CLASS_WORDS[one] }))}
        value={kind}
        onChange={setKind}
        testID="material-kind"
      />
      {kind && onNotSure ? (
        <Button
          label={holeWords.notSureWhichHelp}
          onPress={() => {
            onNotSure(kind);
          }}
          testID="not-sure"
        />
      ) : null}
      {kind ? (
        <Chips
          label={commonWords.material}
          chips={all
            .filter((material) => material.class === kind)
            .map((material) => ({ value: material.id, label: material.name }))}
          value={value}
          onChange={(id) => {
            const picked = all.find((material) => material.id === id);
            if (picked) onPick(picked);
          }}
          testID="material"
        />
      ) : null}
    </Column>
  );
}
