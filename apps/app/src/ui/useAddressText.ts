import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';

/** Something typed or chosen that stands in the address, so that back and reload find it again. */
export function useAddressText(name: string): readonly [string, (text: string) => void] {
  const router = useRouter();
  const asked = useLocalSearchParams<Record<string, string>>()[name] ?? '';
  const [text, setText] = useState(asked);
  const set = (next: string): void => {
    setText(next);
    router.setParams({ [name]: next === '' ? undefined : next });
  };
  return [text, set];
}
