import { peopleWords } from '@nucleon/core/words/screens/people';
import type { Joining } from '../../api/people';
import type { Write } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { TextBox } from '../../ui/TextBox';
import { Trouble } from '../../ui/Trouble';

interface CredentialsFormProps {
  readonly given: Joining;
  readonly onChange: (given: Joining) => void;
  /** Whether the password is chosen here. */
  readonly isNew: boolean;
  readonly label: string;
  readonly entering: Write<void>;
}

/** Name, password and what the device is called. */
export function CredentialsForm({ given, onChange, isNew, label, entering }: CredentialsFormProps) {
  const { name, password, device } = given;
  return (
    <Column gap="$4">
      <TextBox
        label={peopleWords.name}
        value={name}
        credential="username"
        onChangeText={(text) => {
          onChange({ ...given, name: text });
        }}
        testID="name"
      />
      <TextBox
        label={peopleWords.password}
        value={password}
        credential={isNew ? 'new-password' : 'current-password'}
        {...(isNew ? { note: peopleWords.passwordNote } : {})}
        onChangeText={(text) => {
          onChange({ ...given, password: text });
        }}
        onEnter={() => {
          entering.run();
        }}
        testID="password"
      />
      <TextBox
        label={peopleWords.thisDevice}
        value={device}
        note={peopleWords.deviceNote}
        onChangeText={(text) => {
          onChange({ ...given, device: text.slice(0, 80) });
        }}
        testID="device-name"
      />
      <Trouble text={entering.trouble} testID="trouble" />
      <Button
        label={label}
        look="main"
        disabled={entering.busy || name.trim() === '' || password === ''}
        onPress={() => {
          entering.run();
        }}
        testID="enter"
      />
    </Column>
  );
}
