import { THING_QUESTION, WORKPIECE_WORDS } from '@nucleon/core/words/advice/startQuestions';
import { useTheme } from '@tamagui/core';
import { Circle, Path, Svg } from 'react-native-svg';
import { Row } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Strong } from '../../ui/text';
import { SKETCH_BOX, SKETCHES, type Sketch } from './workpieceSketch';

type Thing = keyof typeof WORKPIECE_WORDS;
const THINGS = Object.keys(WORKPIECE_WORDS) as readonly Thing[];
/** Two or three to a line on a phone. */
const CARD_PX = 104;

/** Every thing that is brought to be drilled, drawn and named. */
export function ThingChips({ onPick }: { readonly onPick: (thing: Thing) => void }) {
  return (
    <Row
      render="ul"
      alignItems="stretch"
      flexWrap="wrap"
      gap="$2"
      padding={0}
      margin={0}
      aria-label={THING_QUESTION.title}
    >
      {THINGS.map((thing) => (
        <Row
          key={thing}
          render="li"
          alignItems="stretch"
          flexBasis={CARD_PX}
          flexGrow={1}
          maxWidth={2 * CARD_PX}
        >
          <Press
            flex={1}
            flexDirection="column"
            justifyContent="flex-start"
            gap="$1"
            padding="$2"
            borderWidth={1}
            borderColor="$line"
            backgroundColor="$surface"
            hoverStyle={{ borderColor: '$water' }}
            onPress={() => {
              onPick(thing);
            }}
            testID={`thing-${thing}`}
          >
            <SketchOf sketch={SKETCHES[thing]} />
            <Strong fontSize="$2" lineHeight="$2" textAlign="center">
              {WORKPIECE_WORDS[thing]}
            </Strong>
          </Press>
        </Row>
      ))}
    </Row>
  );
}

function SketchOf({ sketch: { strokes, hole } }: { readonly sketch: Sketch }) {
  const theme = useTheme();
  return (
    <Svg
      width={72}
      height={52}
      viewBox={`0 0 ${SKETCH_BOX.width} ${SKETCH_BOX.height}`}
      aria-hidden
    >
      {strokes.map((d) => (
        <Path key={d} d={d} fill="none" stroke={theme.ink.val} strokeWidth={1.2} />
      ))}
      <Circle
        cx={hole.x}
        cy={hole.y}
        r={hole.r}
        fill={theme.surface.val}
        stroke={theme.rim.val}
        strokeWidth={1.6}
      />
    </Svg>
  );
}
