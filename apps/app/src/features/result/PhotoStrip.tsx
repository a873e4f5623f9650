import Camera from 'lucide-react-native/icons/camera';
import X from 'lucide-react-native/icons/x';
import { useEffect, useState } from 'react';
import { Image } from 'react-native';
import { v7 as newId } from 'uuid';
import { putRunPhoto, runPhotoAddress } from '../../api/runs';
import { Unreachable } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { pickFile } from '../../ui/pickFile';
import { Label, Small } from '../../ui/text';
import { dropPhoto, keepPhoto, waitingPhotos, type WaitingPhoto } from './keptPhotos';

const SIZE_PX = 96;
const LARGEST_BYTES = 12 * 1024 * 1024;
const RETRY_MS = 4000;

interface PhotoStripProps {
  readonly runId: string;
  readonly photoIds: readonly string[];
  readonly onChange: (photoIds: readonly string[]) => void;
}

/** Pictures of what came out; kept here until the server has them. */
export function PhotoStrip({ runId, photoIds, onChange }: PhotoStripProps) {
  const [waiting, setWaiting] = useState<readonly WaitingPhoto[]>([]);
  const [said, setSaid] = useState('');
  const ids = photoIds.join();

  useEffect(() => {
    let over = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const send = async (): Promise<void> => {
      const left = await waitingPhotos(runId).catch(() => []);
      if (over) return;
      setWaiting(left);
      for (const photo of left) {
        try {
          await putRunPhoto(runId, photo.photoId, photo.picture);
          await dropPhoto(photo.photoId);
          setWaiting((now) => now.filter(({ photoId }) => photoId !== photo.photoId));
          setSaid('');
        } catch (error) {
          if (error instanceof Unreachable) {
            setSaid('The picture waits on this device for the server.');
            timer = setTimeout(() => void send(), RETRY_MS);
            return;
          }
          await dropPhoto(photo.photoId);
          setSaid(error instanceof Error ? error.message : 'The picture was not kept.');
          onChange(ids.split(',').filter((id) => id !== '' && id !== photo.photoId));
        }
      }
    };
    void send();
    return () => {
      over = true;
      clearTimeout(timer);
    };
    // onChange is new at each rendering; what is sent hangs on the pictures alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [runId, ids]);

  const add = async (): Promise<void> => {
    const picture = await pickFile('image/*');
    if (!picture) return;
    if (picture.size > LARGEST_BYTES) {
      setSaid(
        `“${picture.name}” is ${Math.round(picture.size / 1024 / 1024)} MB; at most 12 MB is taken.`,
      );
      return;
    }
    setSaid('');
    const photoId = newId();
    await keepPhoto({ runId, photoId, picture });
    onChange([...photoIds, photoId]);
  };
  return (
    <Column gap="$2" testID="photos">
      <Label>Pictures</Label>
      <Row gap="$2" flexWrap="wrap">
        {photoIds.map((photoId) => {
          const here = waiting.find((photo) => photo.photoId === photoId);
          return (
            <Column key={photoId} gap="$1" alignItems="center">
              {here ? (
                <Column
                  width={SIZE_PX}
                  height={SIZE_PX}
                  backgroundColor="$raised"
                  alignItems="center"
                  justifyContent="center"
                >
                  <Small>Waiting</Small>
                </Column>
              ) : (
                <Image
                  source={{ uri: runPhotoAddress(runId, photoId) }}
                  style={{ width: SIZE_PX, height: SIZE_PX }}
                  alt="What came out"
                />
              )}
              <Button
                label="Take away"
                icon={X}
                look="quiet"
                onPress={() => {
                  onChange(photoIds.filter((id) => id !== photoId));
                }}
              />
            </Column>
          );
        })}
      </Row>
      <Row>
        <Button label="Add a picture" icon={Camera} onPress={() => void add()} testID="add-photo" />
      </Row>
      <Small role="status" aria-live="polite" testID="photo-said">
        {said}
      </Small>
    </Column>
  );
}
