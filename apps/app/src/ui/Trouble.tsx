import { Small } from './text';

/** What went wrong, said as soon as it does; nothing where nothing did. */
export function Trouble({ text, testID }: { readonly text: string; readonly testID?: string }) {
  return text === '' ? null : (
    <Small color="$stop" role="alert" testID={testID}>
      {text}
    </Small>
  );
}
