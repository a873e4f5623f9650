import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { TamaguiProvider, View } from '@tamagui/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { StatusBar } from 'expo-status-bar';
import { lazy, Suspense, useEffect, useLayoutEffect, useState } from 'react';
import { keepAnswers } from '../api/keptAnswers';
import { ApiProblem } from '../api/problem';
import { useSendNewThings } from '../api/useSendNewThings';
// A route is read in when it is opened: what is to come before that begins here.
import '../features/lateScreens';
import { useThemeName } from '../features/display/displayStore';
import { useOutbox } from '../features/run/useOutbox';
import { KeeperBar } from '../features/people/KeeperBar';
import { ReadingBar } from '../features/people/ReadingBar';
import { WhoIsHere } from '../features/people/WhoIsHere';
import { PlannerProvider } from '../workers/PlannerProvider';
import { keepForOffline } from './keepForOffline';
import { KeyHelp } from './KeyHelp';
import { OfflineBar } from './OfflineBar';
import { PrintStyle } from './PrintStyle';
import { config } from './tamagui.config';
import { TextScale } from './TextScale';
import { UndoBar } from './UndoBar';

/** The engine of runs is large, and nothing on the first screen waits for it. */
const RunBar = lazy(() => import('../features/run/RunBar'));

const makeClient = (): QueryClient =>
  new QueryClient({
    defaultOptions: {
      queries: {
        networkMode: 'always',
        // Kept on the device for as long as it may be wanted without a server.
        gcTime: Infinity,
        staleTime: 5_000,
        // A fault in what was asked stays a fault; only an unreachable server is asked again.
        retry: (count, error) =>
          !(error instanceof ApiProblem && error.body.status < 500) && count < 2,
        retryDelay: 800,
      },
      mutations: { networkMode: 'always', retry: false },
    },
  });

/**
 * The page at the address. It follows the address from the moment it is seen: a state set in a layout effect makes
 * React run all effects before the browser's next event. Otherwise whoever goes back between a page's coming and its
 * effects, a second on a slow phone, is put where they were, and what they went back to is overwritten.
 */
function Pages() {
  const [, setSeen] = useState(false);
  useLayoutEffect(() => {
    setSeen(true); // eslint-disable-line react-hooks/set-state-in-effect -- the render at once is what is wanted
  }, []);
  return <Slot />;
}

export function AppRoot() {
  const [client] = useState(makeClient);
  const theme = useThemeName();
  const [fontsLoaded, fontsFailed] = useFonts({
    Hyperlegible: AtkinsonHyperlegibleNext_400Regular,
    'Hyperlegible-600': AtkinsonHyperlegibleNext_600SemiBold,
    'Hyperlegible-700': AtkinsonHyperlegibleNext_700Bold,
  });
  useEffect(keepForOffline, []);
  useEffect(() => {
    void keepAnswers(client, Date.now).catch(() => undefined);
  }, [client]);
  useOutbox();
  useSendNewThings(client);
  if (!fontsLoaded && !fontsFailed) return null;
  return (
    <TamaguiProvider config={config} defaultTheme={theme} key={theme}>
      <QueryClientProvider client={client}>
        <PlannerProvider>
          <StatusBar style={theme === 'dark' ? 'light' : 'dark'} />
          {typeof document === 'undefined' ? null : (
            <>
              <PrintStyle />
              <TextScale />
            </>
          )}
          <View height="100dvh">
            <OfflineBar />
            <ReadingBar />
            <KeeperBar />
            <Suspense fallback={null}>
              <RunBar />
            </Suspense>
            <View flex={1} minHeight={0}>
              <WhoIsHere>
                <Pages />
              </WhoIsHere>
            </View>
          </View>
          <UndoBar />
          <KeyHelp />
        </PlannerProvider>
      </QueryClientProvider>
    </TamaguiProvider>
  );
}
