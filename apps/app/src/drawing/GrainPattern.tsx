import { Defs, Line, Pattern } from 'react-native-svg';

/** Hatching that tells a cut body from what is seen behind it. */
export function GrainPattern({ stroke }: { readonly stroke: string }) {
  return (
    <Defs>
      <Pattern
        id="grain"
        width={7}
        height={7}
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(38)"
      >
        <Line x1={0} y1={0} x2={0} y2={7} stroke={stroke} strokeWidth={0.7} strokeOpacity={0.16} />
      </Pattern>
    </Defs>
  );
}
