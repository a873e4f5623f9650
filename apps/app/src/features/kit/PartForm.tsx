import { kitWords } from '@nucleon/core/words/screens/kit';
import { commonWords } from '@nucleon/core/words/screens/common';
import type {
  KitPartSort,
  Coupling,
  OwnedGuide,
  OwnedSupport,
  OwnedWater,
} from '@nucleon/core/documents/kit';
import { COOLANT_IDS, COOLANTS, type CoolantId } from '@nucleon/core/data/coolants';
import { APART_WAYS, APART_WORDS } from '@nucleon/core/data/couplings/apart';
import { COUPLING_KINDS } from '@nucleon/core/data/choices';
import { SUPPORT_IDS, SUPPORTS, type SupportId } from '@nucleon/core/data/supports';
import { deletePart, putPart, restorePart, showNewPart, type StoredPart } from '../../api/kit';
import { Chips } from '../../ui/Chips';
import { Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Small } from '../../ui/text';
import { TextBox } from '../../ui/TextBox';
import { HolderField } from './HolderField';
import { KitFormShell } from './KitFormShell';
import { useKitDraft, type KitContent } from './useKitDraft';
import { COUPLING_WORDS, GUIDE_WORDS } from './partSorts';
import { ShankField } from './ShankField';

/** Any part's fields while it is filled in. */
interface PartDraft {
  readonly name?: string;
  readonly kind?: string;
  readonly [field: string]: unknown;
}

const FRESH: Readonly<Record<KitPartSort, PartDraft>> = {
  couplings: { kind: 'adapter', into: { kind: 'hex' }, takes: { kind: 'thread-m14' } },
  supports: { kind: 'dense-foam-board' },
  guides: { kind: 'board' },
  water: { kind: 'still-bath' },
};

const KINDS: Readonly<Record<KitPartSort, readonly { value: string; label: string }[]>> = {
  couplings: COUPLING_KINDS.map((value) => ({ value, label: COUPLING_WORDS[value] })),
  supports: SUPPORT_IDS.filter((id) => id !== 'nothing').map((value) => ({
    value,
    label: SUPPORTS[value].name,
  })),
  guides: Object.entries(GUIDE_WORDS).map(([value, label]) => ({ value, label })),
  water: COOLANT_IDS.filter((id) => id !== 'none').map((value) => ({
    value,
    label: COOLANTS[value].name,
  })),
};

const NOTES: Readonly<Record<KitPartSort, (kind: string) => string>> = {
  couplings: () => '',
  supports: (kind) => SUPPORTS[kind as SupportId].note,
  guides: () => '',
  water: (kind) => COOLANTS[kind as CoolantId].note,
};

type Change = (change: PartDraft) => void;

interface PartFormProps {
  readonly sort: KitPartSort;
  readonly part: StoredPart | null;
  readonly onDone: () => void;
}

/** A coupling, backing, guide or way of wetting. */
export function PartForm({ sort, part, onDone }: PartFormProps) {
  const kit = useKitDraft<PartDraft, KitContent<PartDraft>>({
    kind: sort,
    stored: part as KitContent<PartDraft> | null,
    fresh: FRESH[sort],
    put: (id, body) => putPart(sort, id, body) as unknown as Promise<KitContent<PartDraft>>,
    restore: (id) => restorePart(sort, id),
    path: (id) => `/kit/${sort}/${id}`,
    showNew: (client, made) => {
      showNewPart(client, sort, made as unknown as StoredPart);
    },
    onDone,
  });
  const { value: draft, change } = kit;
  const kind = draft.kind ?? '';
  const usualName = KINDS[sort].find((chip) => chip.value === kind)?.label ?? kitWords.part;
  const note = NOTES[sort](kind);
  return (
    <KitFormShell
      draft={kit}
      canSave={kit.nameFault === undefined}
      save={() => kit.save({ name: draft.name?.trim() || usualName })}
      onDone={onDone}
      deletion={
        part
          ? {
              name: part.name,
              remove: () => deletePart(sort, part.id),
              restore: () => restorePart(sort, part.id),
            }
          : undefined
      }
      putAway={
        part
          ? {
              away: part.retired ?? false,
              toggle: () => {
                const { id, updatedAt: _at, ...own } = part;
                return putPart(sort, id, { ...own, retired: !part.retired });
              },
            }
          : undefined
      }
    >
      <Chips
        label={kitWords.kind}
        chips={KINDS[sort]}
        value={kind}
        onChange={(next) => {
          change({ kind: next });
        }}
        testID="part-kind"
      />
      {note ? <Small>{note}</Small> : null}
      <TextBox
        label={commonWords.name}
        value={draft.name ?? ''}
        placeholder={usualName}
        onChangeText={(name) => {
          change({ name });
        }}
        fault={kit.nameFault}
        testID="part-name"
      />
      <Fields sort={sort} draft={draft} change={change} />
    </KitFormShell>
  );
}

interface FieldsProps {
  readonly sort: KitPartSort;
  readonly draft: PartDraft;
  readonly change: Change;
}

function Fields({ sort, draft, change }: FieldsProps) {
  const length = (field: string, label: string) => (
    <LengthBox
      inRow
      label={label}
      valueMm={(draft[field] as number | undefined) ?? null}
      placeholder={kitWords.notMeasured}
      maxMm={5000}
      onChangeMm={(mm) => {
        change({ [field]: mm });
      }}
      onClear={() => {
        change({ [field]: undefined });
      }}
      testID={`part-${field}`}
    />
  );
  const several = (fields: readonly (readonly [string, string])[]) => (
    <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
      {fields.map(([field, label]) => (
        <Row key={field} flexGrow={1} flexBasis={116}>
          {length(field, label)}
        </Row>
      ))}
    </Row>
  );
  switch (sort) {
    case 'couplings':
      return (
        <CouplingFields coupling={draft as unknown as Coupling} change={change} length={length} />
      );
    case 'supports':
      return several([
        ['thicknessMm', kitWords.thick],
        ['widthMm', kitWords.wide],
        ['lengthMm', kitWords.long],
      ] satisfies readonly (readonly [keyof OwnedSupport, string])[]);
    case 'guides':
      return several([
        ['boreMm', kitWords.itsHole],
        ['thicknessMm', kitWords.thick],
      ] satisfies readonly (readonly [keyof OwnedGuide, string])[]);
    case 'water':
      return draft.kind === 'still-bath' || draft.kind === 'oil-bath'
        ? several([
            ['trayLengthMm', kitWords.trayLong],
            ['trayWidthMm', kitWords.trayWide],
            ['trayDepthMm', kitWords.trayDeep],
          ] satisfies readonly (readonly [keyof OwnedWater, string])[])
        : null;
  }
}

const APART_CHIPS = APART_WAYS.map((value) => ({ value, label: APART_WORDS[value].label }));
const WATER_CHIPS = [
  { value: 'yes', label: kitWords.bringsWaterIn },
  { value: 'no', label: kitWords.dry },
] as const;

function CouplingFields({
  coupling,
  change,
  length,
}: {
  readonly coupling: Coupling;
  readonly change: Change;
  readonly length: (field: string, label: string) => React.ReactNode;
}) {
  return (
    <>
      <ShankField
        label={kitWords.goesIntoMachineWith}
        shank={coupling.into}
        onChange={(into) => {
          change({ into });
        }}
        testID="part-into"
      />
      <HolderField
        label={kitWords.takesBitBy}
        holder={coupling.takes}
        onChange={(takes) => {
          change({ takes });
        }}
        testID="part-takes"
      />
      <Row gap="$3" flexWrap="wrap" alignItems="flex-start">
        {length('lengthMm', kitWords.carriesItFurtherBy)}
        {length('diameterMm', kitWords.widestIfKnown)}
      </Row>
      <Chips
        label={commonWords.water}
        chips={WATER_CHIPS}
        value={coupling.carriesWater ? 'yes' : 'no'}
        onChange={(answer) => {
          change({ carriesWater: answer === 'yes' });
        }}
      />
      <Chips
        label={kitWords.comesApartBy}
        chips={APART_CHIPS}
        value={coupling.apart}
        onChange={(apart) => {
          change({ apart });
        }}
      />
      {coupling.apart ? <Small>{APART_WORDS[coupling.apart].text}</Small> : null}
    </>
  );
}
