import { Text, type TextProps } from 'react-native-svg';

interface HaloTextProps extends TextProps {
  /** The ground’s own colour. */
  readonly halo: string;
}

/** Words on a halo of the ground, so that they read over borders and lines. */
export const HaloText = ({ halo, fill, children, ...words }: HaloTextProps) => (
  <>
    <Text {...words} stroke={halo} strokeWidth={4} fill="none">
      {children}
    </Text>
    <Text {...words} fill={fill}>
      {children}
    </Text>
  </>
);
