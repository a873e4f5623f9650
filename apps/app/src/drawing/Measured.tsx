import { useState, type ReactNode } from 'react';
import { View, type LayoutChangeEvent } from 'react-native';

/** Gives its width to what it draws. */
export function Measured({ children }: { readonly children: (width: number) => ReactNode }) {
  const [width, setWidth] = useState(0);
  const measure = ({ nativeEvent }: LayoutChangeEvent): void => {
    setWidth(nativeEvent.layout.width);
  };
  return (
    <View onLayout={measure} style={{ width: '100%', minHeight: 80 }}>
      {width > 0 ? children(width) : null}
    </View>
  );
}
