import { resultWords } from '@nucleon/core/words/screens/result';
import Camera from 'lucide-react-native/icons/camera';
import X from 'lucide-react-native/icons/x';
import { useEffect, useState } from 'react';
import { Image } from 'react-native';
import { v7 as newId } from 'uuid';
import { runPhotoAddress } from '../../api/runs';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { pickFile } from '../../ui/pickFile';
import { Label, Small } from '../../ui/text';
import type { WaitingPhoto } from '../run/benchDb';
import { RefusedNotice } from '../run/RefusedNotice';
import { sendPictures } from '../run/sendRun';
import { dropPhoto, keepPhoto, waitingPhotos } from './keptPhotos';

const SIZE_PX = 96;
const LARGEST_BYTES = 12 * 1024 * 1024;
const RETRY_MS = 4000;

interface PhotoStripProps {
  readonly runId: string;
  readonly photoIds: readonly string[];
  readonly onChange: (photoIds: readonly string[]) => void;
}

/** Whether the browser can draw it: what it cannot is no picture, whatever it is called. */
const opens = (picture: Blob): Promise<boolean> =>
  createImageBitmap(picture).then(
    (bitmap) => {
      bitmap.close();
      return true;
    },
    () => false,
  );

/** Pictures that wait for the server, sent again and again; how another is taken in. */
function useKeptPhotos(
  runId: string,
  photoIds: readonly string[],
  onChange: (photoIds: readonly string[]) => void,
) {
  const [waiting, setWaiting] = useState<readonly WaitingPhoto[]>([]);
  const [said, setSaid] = useState('');
  const ids = photoIds.join();

  useEffect(() => {
    let over = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const send = async (): Promise<void> => {
      const here = await waitingPhotos(runId).catch(() => []);
      // Shown from the device first: asked of the server too early, a picture would stay blank.
      if (!over) setWaiting(here);
      const away = await sendPictures(here).then(
        () => false,
        () => true,
      );
      const left = await waitingPhotos(runId).catch(() => []);
      if (over) return;
      setWaiting(left);
      const waits = left.some(({ refused }) => refused === null);
      setSaid(
        waits ? (away ? resultWords.thePictureWaitsOn : resultWords.thePictureWaitsOnThis) : '',
      );
      if (waits) timer = setTimeout(() => void send(), RETRY_MS);
    };
    void send();
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [runId, ids]);

  const add = async (): Promise<void> => {
    const picture = await pickFile('image/*');
    if (!picture) return;
    if (picture.size > LARGEST_BYTES) {
      setSaid(resultWords.isMbAtMost(picture.name, Math.round(picture.size / 1024 / 1024)));
      return;
    }
    if (!(await opens(picture))) {
      setSaid(resultWords.isNotPictureThat(picture.name));
      return;
    }
    setSaid('');
    const photoId = newId();
    try {
      const photo = { runId, photoId, picture, refused: null };
      await keepPhoto(photo);
      setWaiting((now) => [...now, photo]);
    } catch {
      setSaid(resultWords.doesNotFitOn(picture.name));
      return;
    }
    onChange([...photoIds, photoId]);
  };
  return { waiting, said, add };
}

/** Pictures of what came out; kept here until the server has them. */
export function PhotoStrip({ runId, photoIds, onChange }: PhotoStripProps) {
  const { waiting, said, add } = useKeptPhotos(runId, photoIds, onChange);
  return (
    <Column gap="$2" testID="photos">
      <Label>{resultWords.pictures}</Label>
      <Row gap="$2" flexWrap="wrap">
        {photoIds.map((photoId) => {
          const here = waiting.find((photo) => photo.photoId === photoId);
          return (
            <Column key={photoId} gap="$1" alignItems="center">
              <Picture runId={runId} photoId={photoId} waits={here ?? null} />
              <Button
                label={resultWords.delete}
                icon={X}
                look="quiet"
                onPress={() => {
                  void dropPhoto(photoId).catch(() => undefined);
                  onChange(photoIds.filter((id) => id !== photoId));
                }}
              />
            </Column>
          );
        })}
      </Row>
      <Row>
        <Button
          label={resultWords.addPicture}
          icon={Camera}
          onPress={() => void add()}
          testID="add-photo"
        />
      </Row>
      <Small role="status" aria-live="polite" testID="photo-said">
        {said}
      </Small>
      <RefusedNotice runId={runId} since={waiting.filter(({ refused }) => refused).length} />
    </Column>
  );
}

function Picture({
  runId,
  photoId,
  waits,
}: {
  readonly runId: string;
  readonly photoId: string;
  readonly waits: WaitingPhoto | null;
}) {
  if (waits === null)
    return (
      <Image
        source={{ uri: runPhotoAddress(runId, photoId) }}
        style={{ width: SIZE_PX, height: SIZE_PX }}
        alt={resultWords.whatCameOut}
      />
    );
  return (
    <Column
      width={SIZE_PX}
      height={SIZE_PX}
      backgroundColor="$raised"
      alignItems="center"
      justifyContent="center"
    >
      <Small>{waits.refused === null ? resultWords.waiting : resultWords.notTaken}</Small>
    </Column>
  );
}
