import { formatPressure } from '@nucleon/core/units/formatQuantity';
import { oddsInWords } from '@nucleon/core/risk/oddsWords';
import { oddsHereText, oddsMapText } from '@nucleon/core/plan/oddsMapText';
import { formatDecimals } from '@nucleon/core/units/roundNumber';
import { boundingBox, type PointMm } from '@nucleon/core/geometry/outline';
import type { SupportSetup } from '@nucleon/core/job/job';
import type { SupportId } from '@nucleon/core/supports/supports';
import { useMedia } from '@tamagui/core';
import { useState } from 'react';
import { Measured } from '../../drawing/Measured';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column, Panel, Row } from '../../ui/layout';
import { PartPanel } from '../../ui/PartPanel';
import { ShareBar } from '../../ui/ShareBar';
import { Loading } from '../../ui/StateView';
import { Heading, Label, Numeral, Small } from '../../ui/text';
import type { StressView } from '../../workers/stressView';
import { useTask } from '../../workers/useTask';
import { useUnits } from '../display/displayStore';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { useHoleRoom } from '../hole/useHoleRoom';
import { EdgeTruthPanel } from './EdgeTruthPanel';
import { HeldMap } from './HeldMap';
import { PadPanel } from './PadPanel';
import { SupportRows } from './SupportRows';
import { useOddsMap, type OddsSoFar } from './useOddsMap';

const MAP_CHIPS = [
  { value: 'stress', label: 'Bending' },
  { value: 'odds', label: 'Odds elsewhere' },
] as const;

/** How the piece is held and backed, and what that does to it. */
export function HeldScreen() {
  return (
    <HoleLoader title="How it is held">
      {(loaded) => <HeldRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function HeldRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const units = useUnits();
  const { wide } = useMedia();
  const { edit, asked, plan } = room;
  const { piece, hole, changeSetup, changeHole } = edit;
  const [shown, setShown] = useState<'stress' | 'odds'>('stress');
  const [chosen, setChosen] = useState<number | null>(null);
  const [place, setPlace] = useState<PointMm | null>(null);
  const stressed = useTask('stress', asked);
  const supports = useTask('supports', asked);
  const { map: odds, progress } = useOddsMap(shown === 'odds' ? asked : null);
  const stress = stressed.outcome?.kind === 'drawn' ? stressed.outcome.view : null;
  if (!stress || !plan)
    return (
      <RoomPage name="held" room={room}>
        {stressed.faults.length === 0 ? <Loading what="the bending" /> : null}
      </RoomPage>
    );
  const support: SupportSetup = {
    ...hole.setup?.support,
    kind: hole.setup?.support?.kind ?? (plan.setup.supportKind as SupportId),
  };
  const { edgesHeld } = plan.setup;
  const drawsMap = stress.bending.kind !== 'declined';
  const isBuilding = piece.form === 'wall' || piece.form === 'floor';
  const here = place && odds ? cellAt(odds, boundingBox(piece.outline), place) : null;
  const map = drawsMap ? (
    <Column gap="$3">
      <Chips
        label="Shown"
        hideLabel
        chips={MAP_CHIPS}
        value={shown}
        onChange={setShown}
        testID="map-shows"
      />
      <Measured>
        {(width) => (
          <HeldMap
            piece={piece}
            hole={hole}
            support={{ ...support, edgesHeld }}
            stress={stress}
            showsOdds={shown === 'odds'}
            odds={odds}
            asked={place}
            width={width}
            tallest={wide ? 430 : 460}
            chosen={chosen}
            onChoose={setChosen}
            onMove={(index, to) => {
              const pads = (support.pads ?? []).map((pad, i) =>
                i === index ? { ...pad, ...to } : pad,
              );
              changeSetup({ support: { ...support, pads } }, `pad-${index}`);
            }}
            onTap={setPlace}
          />
        )}
      </Measured>
      {shown === 'odds' ? (
        <Column gap="$2">
          {progress < 1 ? <ShareBar label="Worked out so far" share={progress} text="" /> : null}
          <Small role="status" testID="odds-text">
            {odds ? oddsMapText(odds.odds) : 'Working it out, coarse first.'}
          </Small>
          {place && here ? (
            <Row gap="$3" flexWrap="wrap">
              <Small flex={1} color="$ink" testID="odds-here">
                {oddsHereText(place, here.odds, here.stressMpa, units)}
              </Small>
              {Number.isNaN(here.odds) ? null : (
                <Button
                  label="Move the hole here"
                  onPress={() => {
                    changeHole(
                      { xMm: Math.round(place.xMm), yMm: Math.round(place.yMm) },
                      'odds-place',
                    );
                    setPlace(null);
                  }}
                  testID="move-here"
                />
              )}
            </Row>
          ) : (
            <Small>Tap the piece to ask about a place.</Small>
          )}
        </Column>
      ) : (
        <Legend stress={stress} />
      )}
    </Column>
  ) : null;
  const share = stress.totalMpa / stress.limitMpa;
  const figures = (
    <Panel wet padding="$4" gap="$3" testID="held-figures">
      <Row gap="$5" flexWrap="wrap" alignItems="flex-start">
        {isBuilding ? null : (
          <Column>
            <Label>{drawsMap ? 'All stress together' : 'Heat and built-in stress'}</Label>
            <Numeral>{formatPressure(stress.totalMpa, units)}</Numeral>
          </Column>
        )}
        <Column>
          <Label>{isBuilding ? 'Spoils the face' : 'Cracks'}</Label>
          <Numeral testID="held-odds">{oddsInWords(stress.crackProbability)}</Numeral>
        </Column>
      </Row>
      {isBuilding ? null : (
        <ShareBar
          strong
          label={`Of the working limit, ${formatPressure(stress.limitMpa, units)}`}
          share={Math.min(1, share)}
          text={`${formatDecimals(share * 100, 0)} %`}
        />
      )}
      <Small role="status" aria-live="polite" color="$ink" testID="held-text">
        {stress.text}
      </Small>
    </Panel>
  );
  const rest = (
    <>
      {drawsMap ? (
        <PadPanel
          edit={edit}
          support={support}
          edgesHeld={edgesHeld}
          chosen={chosen}
          onChoose={setChosen}
        />
      ) : null}
      {supports.outcome?.kind === 'ranked' ? (
        supports.outcome.ranked.length > 0 ? (
          <SupportRows
            ranked={supports.outcome.ranked}
            barred={supports.outcome.barred}
            onUse={({ setup }) => {
              changeHole({ setup }, 'support-choice');
            }}
          />
        ) : null
      ) : (
        <Loading what="what else it could lie on" />
      )}
      <Column>
        <Heading aria-level={2}>How to hold it</Heading>
        {stress.advice.map((part) => (
          <PartPanel key={part.id} {...part} testID={`hold-${part.id}`} />
        ))}
      </Column>
      {stress.bending.kind === 'bent' ? <EdgeTruthPanel room={room} /> : null}
    </>
  );
  return (
    <RoomPage name="held" room={room} maxWidth={1240}>
      <Column padding="$4" gap="$5">
        {wide ? (
          <Row gap="$6" alignItems="flex-start">
            <Column flex={1.25} gap="$4">
              {figures}
              {map}
            </Column>
            <Column flex={1} gap="$5">
              {rest}
            </Column>
          </Row>
        ) : (
          <>
            {figures}
            {map}
            {rest}
          </>
        )}
      </Column>
    </RoomPage>
  );
}

/** What the washes stand for, as far as they are on the map. */
function Legend({ stress }: { readonly stress: StressView }) {
  const units = useUnits();
  const { bands, limitMpa } = stress;
  if (bands.length === 0) return null;
  const reached = bands.some(({ isLimit }) => isLimit);
  return (
    <Small testID="stress-legend">
      Bending, from pale to dark: {bands.map(({ mpa }) => formatPressure(mpa, units)).join(', ')}.{' '}
      {reached
        ? `The strong line is the working limit, ${formatPressure(limitMpa, units)}.`
        : `The working limit, ${formatPressure(limitMpa, units)}, is nowhere reached.`}
    </Small>
  );
}

function cellAt(
  { columns, rows, odds, stressMpa }: OddsSoFar,
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  at: PointMm,
): { readonly odds: number; readonly stressMpa: number } | null {
  const column = Math.floor((at.xMm / widthMm) * columns);
  const row = Math.floor((at.yMm / heightMm) * rows);
  if (column < 0 || column >= columns || row < 0 || row >= rows) return null;
  const cell = row * columns + column;
  return { odds: odds[cell] ?? NaN, stressMpa: stressMpa[cell] ?? NaN };
}
