import { materialsWords } from '@nucleon/core/words/screens/materials';
import { commonWords } from '@nucleon/core/words/screens/common';
import type { JobDetail } from '@nucleon/contract/wire';
import {
  COLUMN_WORDS,
  columnShown,
  columnStored,
  type ColumnWords,
} from '@nucleon/core/data/materials/columns';
import type { Material, MaterialColumn } from '@nucleon/core/data/materials/material';
import { provenance } from '@nucleon/core/data/materials/provenance';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { jobQuery, putMaterials } from '../../api/jobs';
import { Chips } from '../../ui/Chips';
import { Column, Row } from '../../ui/layout';
import { NumberBox } from '../../ui/NumberBox';
import { Label, Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { KitFormShell } from '../kit/KitFormShell';

interface MaterialFormProps {
  readonly job: JobDetail;
  readonly material: Material;
  readonly onDone: () => void;
}

const COLUMNS = Object.keys(COLUMN_WORDS) as readonly MaterialColumn[];
const HIGHEST = 1e6;

const DUST = [
  { value: 'silica', label: materialsWords.holdsSilica },
  { value: 'nuisance', label: materialsWords.plain },
  { value: 'shell', label: materialsWords.shell },
] as const;
const WEAR = [
  { value: 'soft-abrasive', label: materialsWords.softAndGritty },
  { value: 'medium', label: materialsWords.inBetween },
  { value: 'hard', label: materialsWords.hardAndClose },
] as const;

/** Every column of a material, with its unit and where the starting value comes from. */
export function MaterialForm({ job, material, onDone }: MaterialFormProps) {
  const client = useQueryClient();
  const [draft, setDraft] = useState(material);
  const change = (more: Partial<Material>): void => {
    setDraft((last) => ({ ...last, ...more }));
  };
  const others = job.customMaterials.filter((one) => one.id !== material.id);
  const isNew = others.length === job.customMaterials.length;
  const store = (customMaterials: readonly Material[], version = job.version) =>
    putMaterials(job.id, { version, customMaterials });
  return (
    <KitFormShell
      canSave={draft.name.trim() !== ''}
      save={async () => {
        await store([...others, { ...draft, name: draft.name.trim() }]);
        onDone();
      }}
      onDone={onDone}
      from={materialsWords.fromThisJob}
      deletion={
        isNew
          ? undefined
          : {
              name: material.name,
              remove: () => store(others),
              restore: async () => {
                const now = await client.query({ ...jobQuery(job.id), staleTime: 0 });
                return store([...now.customMaterials, material], now.version);
              },
            }
      }
    >
      <TextBox
        label={commonWords.name}
        value={draft.name}
        onChangeText={(name) => {
          change({ name });
        }}
        testID="material-name"
      />
      {COLUMNS.map((column) => (
        <Column key={column} gap="$1">
          <ColumnBox column={column} draft={draft} onChange={change} />
          <Small>{provenance(draft, column).source}.</Small>
        </Column>
      ))}
    </KitFormShell>
  );
}

interface ColumnBoxProps {
  readonly column: MaterialColumn;
  readonly draft: Material;
  readonly onChange: (more: Partial<Material>) => void;
}

function ColumnBox({ column, draft, onChange }: ColumnBoxProps) {
  const words: ColumnWords = COLUMN_WORDS[column];
  const label = `${words.label}${words.symbol ? ` ${words.symbol}` : ''}${words.unit ? `, ${words.unit}` : ''}`;
  switch (column) {
    case 'pressureMpa':
    case 'rimSpeedMPerS':
      return (
        <Column gap="$1">
          <Label>{label}</Label>
          <Row gap="$2" flexWrap="wrap" alignItems="flex-start">
            {Object.entries(draft[column]).map(([step, value]) => (
              <NumberBox
                key={step}
                inRow
                label={step}
                value={value}
                limit={{ above: 0, max: 20, unit: words.unit }}
                onChange={(next) => {
                  if (next !== undefined)
                    onChange({ [column]: { ...draft[column], [step]: next } });
                }}
                testID={`column-${column}-${step}`}
              />
            ))}
          </Row>
        </Column>
      );
    case 'dust':
      return (
        <Chips
          label={label}
          chips={DUST}
          value={draft.dust}
          onChange={(dust) => {
            onChange({ dust });
          }}
        />
      );
    case 'abrasiveness':
      return (
        <Chips
          label={label}
          chips={WEAR}
          value={draft.abrasiveness}
          onChange={(abrasiveness) => {
            onChange({ abrasiveness });
          }}
        />
      );
    case 'finesColour':
      return (
        <TextBox
          label={label}
          value={draft.finesColour}
          onChangeText={(finesColour) => {
            onChange({ finesColour });
          }}
          fault={
            /^#[0-9A-Fa-f]{6}$/.test(draft.finesColour)
              ? undefined
              : materialsWords.isNotColourWrite(draft.finesColour)
          }
        />
      );
    default:
      return (
        <NumberBox
          label={label}
          value={columnShown(draft, column)}
          limit={
            column === 'heatConstraint'
              ? { min: 0, max: 1, unit: '' }
              : { above: 0, max: HIGHEST, unit: words.unit }
          }
          onChange={(next) => {
            if (next !== undefined) onChange({ [column]: columnStored(column, next) });
          }}
          testID={`column-${column}`}
        />
      );
  }
}
