import { holeWords } from '@nucleon/core/words/screens/hole';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { Outline } from '@nucleon/core/documents/outline';
import { Chips } from '../../ui/Chips';
import { Row } from '../../ui/layout';
import { LengthBox } from '../../ui/LengthBox';
import { Small } from '../../ui/text';

type Kind = Outline['kind'];

const KIND_CHIPS: readonly { value: Kind; label: string }[] = [
  { value: 'rectangle', label: holeWords.rectangle },
  { value: 'circle', label: holeWords.round },
  { value: 'cylinder', label: holeWords.cylinder },
  { value: 'cone', label: holeWords.cone },
];

/** The same piece in another shape, keeping its sizes where they carry over. */
function reshaped(outline: Outline, kind: Kind): Outline {
  const across =
    'diameterMm' in outline
      ? outline.diameterMm
      : 'outerDiameterMm' in outline
        ? outline.outerDiameterMm
        : 'widthMm' in outline
          ? outline.widthMm
          : 'bottomDiameterMm' in outline
            ? outline.bottomDiameterMm
            : 200;
  const height = 'heightMm' in outline ? outline.heightMm : across;
  switch (kind) {
    case 'rectangle':
      return { kind, widthMm: across, heightMm: height };
    case 'circle':
      return { kind, diameterMm: across };
    case 'cylinder':
      return { kind, outerDiameterMm: across, heightMm: height };
    case 'cone':
      return { kind, bottomDiameterMm: across, topDiameterMm: across, heightMm: height };
    case 'polygon':
      return outline;
  }
}

const FIELDS: Record<Kind, readonly (readonly [key: string, label: string])[]> = {
  rectangle: [
    ['widthMm', holeWords.width],
    ['heightMm', holeWords.height],
  ],
  circle: [['diameterMm', holeWords.across]],
  cylinder: [
    ['outerDiameterMm', holeWords.outsideDiameter],
    ['heightMm', holeWords.height],
  ],
  cone: [
    ['bottomDiameterMm', holeWords.footDiameter],
    ['topDiameterMm', holeWords.rimDiameter],
    ['heightMm', holeWords.height],
  ],
  polygon: [],
};

interface OutlineFieldsProps {
  readonly outline: Outline;
  readonly onChange: (outline: Outline, group: string) => void;
}

export function OutlineFields({ outline, onChange }: OutlineFieldsProps) {
  const values = outline as unknown as Record<string, number>;
  return (
    <>
      <Chips
        label={holeWords.shape}
        chips={KIND_CHIPS}
        value={outline.kind}
        onChange={(kind) => {
          onChange(reshaped(outline, kind), 'outline-kind');
        }}
      />
      {outline.kind === 'polygon' ? (
        <Small>{holeWords.anOutlineOfPoints(outline.pointsMm.length)}</Small>
      ) : null}
      <Row gap="$3" alignItems="flex-start" flexWrap="wrap">
        {FIELDS[outline.kind].map(([key, label]) => (
          <LengthBox
            inRow
            key={`${outline.kind}.${key}`}
            label={label}
            valueMm={values[key] ?? 0}
            maxMm={LIMITS.lengthMm.max}
            onChangeMm={(mm) => {
              onChange({ ...outline, [key]: mm }, `outline-${key}`);
            }}
          />
        ))}
      </Row>
    </>
  );
}
