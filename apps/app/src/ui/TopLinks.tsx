import { useRouter } from 'expo-router';
import Drill from 'lucide-react-native/icons/drill';
import SlidersHorizontal from 'lucide-react-native/icons/sliders-horizontal';
import { Icon } from './Icon';
import { Press } from './Press';
import { Strong } from './text';

/** The ways on from the jobs list. */
export function TopLinks() {
  const router = useRouter();
  return (
    <>
      <Press
        role="link"
        paddingHorizontal="$3"
        gap="$2"
        onPress={() => {
          router.navigate('/kit');
        }}
      >
        <Icon of={Drill} />
        <Strong fontSize="$2">Kit</Strong>
      </Press>
      <Press
        role="link"
        paddingHorizontal="$3"
        gap="$2"
        onPress={() => {
          router.navigate('/display');
        }}
      >
        <Icon of={SlidersHorizontal} />
        <Strong fontSize="$2">Display</Strong>
      </Press>
    </>
  );
}
