import { placeWords } from '@nucleon/core/words/screens/place';
import { useTheme } from '@tamagui/core';
import type { BoxMm, PointMm } from '@nucleon/core/layout/outline';
import type { Datum } from '@nucleon/core/documents/piece';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { Circle, Ellipse, G } from 'react-native-svg';
import { useUnits } from '../display/displayStore';
import type { Lead } from './lead';
import { Span } from './Span';

interface LeadMarksProps {
  readonly lead: Lead;
  /** From the hole's own coordinates to the face's, mm both ways. */
  readonly shift: number;
  readonly datum: Datum | undefined;
  readonly isBase: boolean;
  readonly px: number;
  readonly window: { readonly leftMm: number; readonly rightMm: number };
  readonly box: BoxMm;
}

/** The chosen hole's distances: from the datum edges, and the one that binds; where it comes out. */
export function LeadMarks({ lead, shift, datum, isBase, px, window, box }: LeadMarksProps) {
  const theme = useTheme();
  const units = useUnits();
  const { hole, judged, exit } = lead;
  const at: PointMm = { xMm: hole.xMm + shift, yMm: hole.yMm + shift };
  const { x = 'left', y = 'bottom' } = datum ?? {};
  const sideX = x === 'left' ? 0 : box.widthMm;
  const sideY = y === 'bottom' ? 0 : box.heightMm;
  // Where the strictest is about the hole’s own size, the nearest distance that counts is shown.
  const binding = judged.find(({ counts, span }) => counts && span);
  const halo = theme.ground.val;
  const show = (mm: number): string => formatLengthShort(mm, units);
  const tone = binding?.ok === false ? theme.stop.val : theme.fine.val;
  return (
    <G>
      {isBase ? null : (
        <>
          <Span
            from={{ xMm: sideX, yMm: at.yMm }}
            to={at}
            text={show(Math.abs(at.xMm - sideX))}
            tone={theme.muted.val}
            halo={halo}
            px={px}
            window={window}
          />
          <Span
            from={{ xMm: at.xMm, yMm: sideY }}
            to={at}
            text={show(Math.abs(at.yMm - sideY))}
            tone={theme.muted.val}
            halo={halo}
            px={px}
            window={window}
          />
        </>
      )}
      {binding?.span ? (
        <Span
          {...binding.span}
          text={placeWords.least(show(binding.actualMm), show(binding.requiredMm))}
          tone={tone}
          halo={halo}
          px={px}
          window={window}
          heavy
        />
      ) : null}
      {exit && (exit.fallMm !== 0 || exit.acrossMm * (1 / px) > 2) ? (
        <G>
          <Ellipse
            cx={exit.at.xMm + shift}
            cy={-(exit.at.yMm + shift)}
            rx={hole.diameterMm / 2 + exit.acrossMm}
            ry={exit.lengthMm / 2 + exit.alongMm}
            fill="none"
            stroke={theme.muted.val}
            strokeWidth={1.2 * px}
            strokeDasharray={`${2 * px} ${3 * px}`}
          />
          <Circle
            cx={exit.at.xMm + shift}
            cy={-(exit.at.yMm + shift)}
            r={2.5 * px}
            fill={theme.muted.val}
          />
        </G>
      ) : null}
    </G>
  );
}
